<script setup lang="ts">
import type { PlannedJoint } from '@jugalis/core'
import { dayOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { date, hhmm } from '../../when'
import { named, word } from '../../words/word'
import { methodTold } from './said'
import type { Found } from './use-plan'
import type { useSaid } from './use-said'

/** What each does, day by day: for the screen, and as a sheet to carry. */
const props = defineProps<{ found: Found; said: ReturnType<typeof useSaid> }>()
const emit = defineEmits<{ fix: [jointId: string] }>()
const job = useJob()
const view = useView()
const zone = computed(() => job.state.job.zone)
const MOST_DAYS = 5
interface Sheet {
  key: string
  title: string
  rows: PlannedJoint[]
  fetch: string
}
/** Tools and what is used up, each once. */
function fetchList(rows: readonly PlannedJoint[]): string {
  const items = rows.flatMap(({ id }) => {
    const facts = view.facts.get(id)
    return facts?.method && facts.spec !== null
      ? facts.method.consumables(facts.spec).map(({ item }) => named(item))
      : []
  })
  const sizes = rows.map(({ id }) => view.facts.get(id)?.place.way.size ?? '')
  return [...new Set([...items, ...sizes])].filter(Boolean).join(', ')
}
const sheets = computed((): Sheet[] =>
  job.state.plan.crew.flatMap(({ id, name }) => {
    const own = props.found.plan.plan.filter(({ people }) => people.includes(id))
    const days = [...new Set(own.map(({ startS }) => dayOf(startS, zone.value)))]
    return days.slice(0, MOST_DAYS).map((day) => {
      const rows = own.filter(({ startS }) => dayOf(startS, zone.value) === day)
      const title = word('plan-day-of', { name, day: date(rows[0]?.startS ?? 0, zone.value) })
      return { key: `${id} ${day}`, title, rows, fetch: fetchList(rows) }
    })
  }),
)
const idle = computed(() =>
  job.state.plan.crew.filter(({ id }) => !props.found.plan.plan.some(({ people }) => people.includes(id))),
)
const others = (joint: PlannedJoint, key: string): string =>
  joint.people
    .filter((id) => !key.startsWith(`${id} `))
    .map((id) => props.said.names.value.get(id) ?? '')
    .join(', ')
const print = (): void => window.print()
</script>

<template>
  <section v-for="sheet in sheets" :key="sheet.key" class="sheet-of-day">
    <h2>
      {{ sheet.title }} <span class="count">{{ sheet.rows.length }}</span>
    </h2>
    <p class="why">{{ word('plan-needs', { list: sheet.fetch }) }}</p>
    <p v-for="joint in sheet.rows" :key="joint.id" class="line">
      <span class="clock">{{ hhmm(joint.startS, zone) }}</span>
      <RouterLink
        class="strong nowrap reach"
        :to="{ name: 'make', params: { jobId: job.jobId, jointId: joint.id } }"
        >{{ said.tag(joint.id) }}</RouterLink
      >
      <span>
        {{ view.facts.get(joint.id)?.place.way.size }}
        {{ methodTold(view.facts.get(joint.id)?.place.way.method ?? '') }},
        {{ word('plan-row-takes', { minutes: joint.endS - joint.startS }) }}
        <template v-if="others(joint, sheet.key)">{{
          word('plan-row-with', { names: others(joint, sheet.key) })
        }}</template>
        <template v-if="job.state.plan.fixed.has(joint.id)">, {{ word('plan-row-fixed') }}</template>
      </span>
      <button
        type="button"
        class="in-text no-print"
        :aria-label="word('plan-fix-it', { tag: said.tag(joint.id) })"
        @click="emit('fix', joint.id)"
      >
        {{ word('plan-fix-open') }}
      </button>
    </p>
  </section>
  <p v-for="member in idle" :key="member.id" class="why">
    {{ word('plan-none-for', { name: member.name }) }}
  </p>
  <div class="buttons no-print">
    <button type="button" class="button" @click="print">{{ word('plan-print') }}</button>
  </div>
</template>
<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  max-width: 760px;
  border-block-end: 2px solid var(--ink);
}
.line {
  display: grid;
  grid-template-columns: 66px 92px 1fr auto;
  align-items: baseline;
  gap: 10px;
  max-width: 760px;
  margin: 0;
  padding: 5px 0;
  border-block-end: 1px solid var(--line);
}
.clock {
  font: 600 18px var(--figures);
}
@media print {
  .sheet-of-day {
    break-inside: avoid;
  }
}
</style>
