<script setup lang="ts">
import { type CareTask, asksTorque, doneEntry, doneFaults } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import ListField from '../../frame/ListField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useTimeThatWas } from '../../time-that-was'
import { told, word } from '../../words/word'
import DoneRow from './DoneRow.vue'
import { type RowSaid, emptyRow, isSaid, rowSaid } from './done-row'

/** What was done, joint by joint: those that are due stand first, and rows that say nothing stay as they are. */
const props = defineProps<{ task: CareTask }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const timeThatWas = useTimeThatWas()
const MANY = 12
const most = ref(MANY)
const items = computed(() => props.task.items.slice(0, most.value))
const rows = reactive<Record<string, RowSaid>>(
  Object.fromEntries(props.task.items.map(({ id }) => [id, emptyRow()])),
)
const typed = reactive({ when: '', renewed: 'no' as 'yes' | 'no', lotId: '' })
/** A clamp may be closed again on the old gasket or a new one; a change of gasket leaves no choice. */
const { act } = props.task.does
const opens = act === 'gasket' || act === 'open'
const renewed = computed(() => act === 'gasket' || (opens && typed.renewed === 'yes'))
const lots = computed(() =>
  [...job.state.store.values()]
    .filter(({ kind, lot }) => lot && kind === 'gasket')
    .map(({ id, name }) => [id, name] as const),
)
const GASKETS = [
  ['no', word('upkeep-old-gasket')],
  ['yes', word('upkeep-new-gasket')],
] as const
const faults = reactive<Record<string, string>>({})
const fault = ref('')
watch([rows, typed], () => {
  fault.value = ''
  for (const id of Object.keys(faults)) delete faults[id]
})
async function keep(): Promise<void> {
  const atS = timeThatWas(typed.when)
  if (atS === null) return void (fault.value = word('ui-no-time-that-was'))
  const said = props.task.items.flatMap((item) => {
    const row = rows[item.id]
    return row && isSaid(row)
      ? [{ item, said: rowSaid(row, { renewed: renewed.value, lotId: typed.lotId || null }) }]
      : []
  })
  if (!said.length) return void (fault.value = word('upkeep-nothing-said'))
  for (const one of said) {
    const wrong = doneFaults(job.state, props.task, one.item, one.said, atS ?? clock.nowS)
    if (wrong[0]) faults[one.item.id] = job.t(wrong[0].says)
  }
  if (Object.keys(faults).length) return
  await job.write(
    said.map((one) => doneEntry(props.task, one.item, one.said, atS)),
    word('upkeep-done-now', { count: said.length, does: told(props.task.does.does) }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="told(task.does.does)" @close="emit('close')">
    <p v-if="task.device === null && opens" class="caution">{{ word('upkeep-before-opening') }}</p>
    <p v-else-if="asksTorque(task.items[0]!)" class="caution">{{ word('upkeep-cold-first') }}</p>
    <ChipChoice
      v-if="act === 'open'"
      v-model="typed.renewed"
      :label="word('upkeep-gasket')"
      :options="GASKETS"
    />
    <ListField
      v-if="renewed && lots.length"
      id="done-lot"
      v-model="typed.lotId"
      :label="word('upkeep-lot')"
      :options="lots"
      clearable
    />
    <DoneRow
      v-for="item in items"
      :key="item.id"
      v-model="rows[item.id]!"
      :item="item"
      :renewed="renewed"
      :fault="faults[item.id] ?? ''"
    />
    <button v-if="task.items.length > most" type="button" class="button" @click="most = Infinity">
      {{ word('upkeep-show-all', { count: task.items.length }) }}
    </button>
    <label for="done-when">{{ word('upkeep-when') }}</label>
    <ElInput id="done-when" v-model="typed.when" size="large" placeholder="2026-11-27 07:30" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">{{ word('upkeep-keep') }}</button>
  </Sheet>
</template>

<style scoped src="./sheet.css"></style>
