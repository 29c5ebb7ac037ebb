<script setup lang="ts">
import { type WorkTime, workTimesOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { methodTold as nameOf } from './said'
import { capital, word } from '../../words/word'

/** How long joints take, by way of joining: ours, as measured here, or as somebody says. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const rows = computed(() => workTimesOf(view.facts))
const typed = reactive<Record<string, string>>(
  Object.fromEntries([...job.state.plan.works].map(([method, minutes]) => [method, String(minutes)])),
)
const fault = ref('')
const minutes = (seconds: number): number => Math.round(seconds / 60)
const says = ({ workS, measured }: WorkTime): string =>
  measured
    ? word('plan-work-measured', {
        minutes: minutes(workS),
        count: measured.count,
        low: minutes(measured.lowS),
        high: minutes(measured.highS),
      })
    : word('plan-work-ours', { minutes: minutes(workS) })
async function keep(): Promise<void> {
  const changed = rows.value.flatMap(({ method }) => {
    const text = (typed[method] ?? '').trim()
    const before = job.state.plan.works.get(method)
    const now = text ? Number(text.replace(',', '.')) : undefined
    return now === before ? [] : [{ method, now }]
  })
  const wrong = changed.find(({ now }) => now !== undefined && !(now >= 1 && now <= 1440))
  if (wrong) return void (fault.value = `${capital(nameOf(wrong.method))}: ${word('plan-work-wrong')}`)
  if (changed.length)
    await job.write(
      changed.map(({ method, now }) => ({
        kind: 'work-time',
        data: { method, ...(now === undefined ? {} : { minutes: now }) },
      })),
      word('plan-work-said'),
    )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('plan-work-title')" @close="emit('close')">
    <p class="why">{{ word('plan-work-why') }}</p>
    <div v-for="row in rows" :key="row.method" class="row">
      <label :for="`work-${row.method}`">{{ capital(nameOf(row.method)) }}</label>
      <ElInput
        :id="`work-${row.method}`"
        v-model="typed[row.method]"
        size="large"
        inputmode="decimal"
        :aria-label="`${nameOf(row.method)}: ${word('plan-work-minutes')}`"
      />
      <p v-for="one in row.sizes" :key="one.size" class="why">{{ one.size }}: {{ says(one.time) }}</p>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">{{ word('ui-keep-it') }}</button>
  </Sheet>
</template>

<style scoped>
.row {
  margin-block-end: 14px;
}
.row .why {
  margin: 2px 0;
}
label {
  font-weight: 600;
}
</style>
