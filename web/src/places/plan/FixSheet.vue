<script setup lang="ts">
import { dayOf, epochInZone } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import ManyChips from '../../frame/ManyChips.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { hhmm } from '../../when'
import { word } from '../../words/word'
import type { Found } from './use-plan'

/** Gives a joint a person, or a time, or both; the rest of the plan goes round it. */
const props = defineProps<{ jointId: string; found: Found | null }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const fixed = computed(() => job.state.plan.fixed.get(props.jointId) ?? null)
const planned = computed(() => props.found?.plan.plan.find(({ id }) => id === props.jointId) ?? null)
const hands = computed(() => planned.value?.people.length ?? 1)
const crew = ref<string[]>([...(fixed.value?.crew ?? [])])
const startS = fixed.value?.startS ?? null
const day = ref(dayOf(startS ?? planned.value?.startS ?? clock.nowS, zone.value))
const time = ref(startS === null ? '' : hhmm(startS, zone.value))
const fault = ref('')
const tag = computed(() => view.tagOf(props.jointId))
async function write(data: { crew?: string[]; startS?: number }, says: string): Promise<void> {
  await job.write([{ kind: 'joint-fixed', jointId: props.jointId, data }], says)
  emit('close')
}
async function keep(): Promise<void> {
  const at = time.value.trim() ? epochInZone(day.value.trim(), time.value.trim(), zone.value) : undefined
  if (at === null || (at !== undefined && at <= clock.nowS)) return void (fault.value = word('plan-by-wrong'))
  if (crew.value.length && crew.value.length < hands.value)
    return void (fault.value = word('plan-fix-few', { hands: hands.value }))
  const own = crew.value.length ? { crew: crew.value } : {}
  await write(
    { ...own, ...(at === undefined ? {} : { startS: at }) },
    word('plan-fix-said', { tag: tag.value }),
  )
}
</script>

<template>
  <Sheet :title="word('plan-fix-title', { tag })" @close="emit('close')">
    <p class="why">{{ word('plan-fix-why') }}</p>
    <h3>{{ word('plan-fix-who') }}: {{ crew.length ? '' : word('plan-fix-anybody') }}</h3>
    <ManyChips
      v-model="crew"
      :options="job.state.plan.crew.map((member) => [member.id, member.name] as const)"
    />
    <h3>{{ word('plan-fix-when') }}</h3>
    <div class="fields">
      <span
        ><label for="fix-day">{{ word('plan-by-day') }}</label
        ><ElInput id="fix-day" v-model="day" size="large"
      /></span>
      <span
        ><label for="fix-time">{{ word('plan-by-time') }}</label
        ><ElInput id="fix-time" v-model="time" size="large" placeholder="07:30"
      /></span>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <div class="buttons">
      <button type="button" class="button main" @click="keep">{{ word('plan-fix-keep') }}</button>
      <button v-if="fixed" type="button" class="button" @click="write({}, word('plan-free-said', { tag }))">
        {{ word('plan-free') }}
      </button>
    </div>
  </Sheet>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.fields > span {
  flex: 1 1 130px;
}
label {
  font-weight: 600;
}
</style>
