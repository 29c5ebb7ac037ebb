<script setup lang="ts">
import { type Section, dayOf, epochInZone } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmm } from '../../when'
import { word } from '../../words/word'

/** When a section is out of service for the work on it, with what it takes to empty it and to bring it back. */
const props = defineProps<{ section: Section }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const had = job.state.plan.shutdowns.get(props.section.id)
const { zone: own } = job.state.job
const typed = reactive({
  fromDay: dayOf(had?.fromS ?? clock.nowS, own),
  from: had ? hhmm(had.fromS, own) : '',
  untilDay: dayOf(had?.untilS ?? clock.nowS + 86_400, own),
  until: had ? hhmm(had.untilS, own) : '',
  before: had ? String(had.beforeMin) : '',
  after: had ? String(had.afterMin) : '',
})
const FIELDS = [
  ['fromDay', 'plan-shut-from-day'],
  ['from', 'plan-shut-from'],
  ['untilDay', 'plan-shut-until-day'],
  ['until', 'plan-shut-until'],
  ['before', 'plan-shut-before'],
  ['after', 'plan-shut-after'],
] as const
type Name = (typeof FIELDS)[number][0]
const fault = ref<{ at: Name; says: string } | null>(null)
const MOST_MIN = 2880
const minutesOf = (text: string): number | null => {
  const minutes = Number(text.trim().replace(',', '.'))
  return text.trim() && minutes >= 0 && minutes <= MOST_MIN ? minutes : null
}
/** What was typed; or where it is wrong. */
function read(): { fromS: number; untilS: number; beforeMin: number; afterMin: number } | null {
  const wrong = (at: Name, says: string): null => {
    fault.value = { at, says }
    return null
  }
  fault.value = null
  const fromS = epochInZone(typed.fromDay.trim(), typed.from.trim(), zone.value)
  if (fromS === null) return wrong('from', word('plan-shut-no-time'))
  const untilS = epochInZone(typed.untilDay.trim(), typed.until.trim(), zone.value)
  if (untilS === null) return wrong('until', word('plan-shut-no-time'))
  if (untilS <= clock.nowS) return wrong('until', word('plan-by-wrong'))
  const [beforeMin, afterMin] = [minutesOf(typed.before), minutesOf(typed.after)]
  if (beforeMin === null) return wrong('before', word('plan-shut-minutes'))
  if (afterMin === null) return wrong('after', word('plan-shut-minutes'))
  // Before anything is cut it would have to come back.
  if (untilS - fromS <= (beforeMin + afterMin) * 60) return wrong('until', word('plan-shut-short'))
  return { fromS, untilS, beforeMin, afterMin }
}
async function write(shut: object, says: string): Promise<void> {
  await job.write([{ kind: 'shutdown-set', data: { sectionId: props.section.id, ...shut } }], says)
  emit('close')
}
async function keep(): Promise<void> {
  const shut = read()
  if (shut) await write({ shut }, word('plan-shut-said', { tag: props.section.tag }))
}
</script>

<template>
  <Sheet :title="word('plan-shut-title', { tag: section.tag })" @close="emit('close')">
    <p class="why">{{ word('plan-shut-why') }}</p>
    <form @submit.prevent="keep">
      <div class="fields">
        <span v-for="[name, says] in FIELDS" :key="name">
          <label :for="`shut-${name}`">{{ word(says) }}</label>
          <ElInput
            :id="`shut-${name}`"
            v-model="typed[name]"
            size="large"
            :inputmode="name === 'before' || name === 'after' ? 'decimal' : undefined"
            :aria-invalid="fault?.at === name"
          />
          <span v-if="fault?.at === name" class="refusal" role="alert">{{ fault.says }}</span>
        </span>
      </div>
      <p class="caution">{{ word('plan-shut-caution') }}</p>
      <div class="buttons">
        <button type="submit" class="button main">{{ word('ui-keep-it') }}</button>
        <button
          v-if="had"
          type="button"
          class="button"
          @click="write({}, word('plan-shut-gone', { tag: section.tag }))"
        >
          {{ word('plan-shut-none') }}
        </button>
      </div>
    </form>
  </Sheet>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 14px;
}
.fields > span {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
}
label {
  font-weight: 600;
}
.caution {
  margin-block: 12px;
  font-weight: 600;
}
</style>
