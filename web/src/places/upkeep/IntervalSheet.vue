<script setup lang="ts">
import { type CareTask, intervalEntry, intervalFaults } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'
import { ofWhat } from './said'

/** How often something is done, by the maker's sheet or the plant's rule: it goes before ours. */
const props = defineProps<{ task: CareTask }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const figure = (value: number | null | undefined): string => (value ? String(value) : '')
const typed = reactive({
  months: figure(props.task.said?.months),
  openings: figure(props.task.said?.openings),
  reference: props.task.said?.reference ?? '',
})
/** Openings are counted where a joint is opened and closed. */
const counts = computed(() => props.task.does.act === 'gasket')
const faults = ref<ReturnType<typeof intervalFaults>>([])
watch(typed, () => (faults.value = []))
const faultAt = (field: keyof typeof typed): string => {
  const own = faults.value.find((fault) => fault.field === field)
  return own ? job.t(own.says) : ''
}
async function keep(): Promise<void> {
  faults.value = intervalFaults(typed)
  if (faults.value.length) return
  await job.write([intervalEntry(props.task, typed)], word('upkeep-interval-kept'))
  emit('close')
}
async function byRule(): Promise<void> {
  await job.write([intervalEntry(props.task, null)], word('upkeep-interval-gone'))
  emit('close')
}
</script>

<template>
  <Sheet :title="told(task.does.does)" @close="emit('close')">
    <p>{{ ofWhat(task) }}</p>
    <label for="every-months">{{ word('upkeep-months') }}</label>
    <ElInput id="every-months" v-model="typed.months" size="large" inputmode="numeric" />
    <p v-if="faultAt('months')" class="refusal" role="alert">{{ faultAt('months') }}</p>
    <template v-if="counts">
      <label for="every-openings">{{ word('upkeep-openings') }}</label>
      <ElInput id="every-openings" v-model="typed.openings" size="large" inputmode="numeric" />
      <p v-if="faultAt('openings')" class="refusal" role="alert">{{ faultAt('openings') }}</p>
    </template>
    <label for="every-reference">{{ word('upkeep-reference') }}</label>
    <ElInput id="every-reference" v-model="typed.reference" size="large" maxlength="200" />
    <p v-if="faultAt('reference')" class="refusal" role="alert">{{ faultAt('reference') }}</p>
    <button type="button" class="button main" @click="keep">{{ word('upkeep-keep') }}</button>
    <button v-if="task.said" type="button" class="button" @click="byRule">
      {{ word('upkeep-by-rule') }}
    </button>
  </Sheet>
</template>

<style scoped src="./sheet.css"></style>
