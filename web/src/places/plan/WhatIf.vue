<script setup lang="ts">
import { type PlanWish, askPlan, listedSections } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { word } from '../../words/word'
import { type Found, usePlanner } from './use-plan'

/** What if it were colder, or somebody were not there, or one more were: the times beside each other. */
const props = defineProps<{ found: Found }>()
const job = useJob()
const view = useView()
const planner = usePlanner()
const COLDER_K = 3
interface Case {
  key: string
  says: string
  readyS: number | null
}
const cases = ref<Case[]>([])
const busy = ref(false)
const at = (atS: number): string => when(atS, view.nowS, job.state.job.zone)
/** When what the plan is about is ready: the section that comes first, else the last of all. */
const readyOf = (plan: Found['plan'], firstId: string | null | undefined): number | null => {
  if (plan.valueS === null) return null
  const all = listedSections(plan, firstId ?? null)
  return (firstId ? all[0] : all.at(-1))?.readyAtS ?? plan.valueS
}
const asIs = computed(() => readyOf(props.found.plan, props.found.wish.firstId))
const wishes = computed((): { key: string; says: string; wish: Partial<PlanWish> }[] => [
  { key: 'colder', says: word('plan-colder', { by: COLDER_K }), wish: { colderK: COLDER_K } },
  ...(job.state.plan.crew.length > 1
    ? job.state.plan.crew.map(({ id, name }) => ({
        key: id,
        says: word('plan-without', { name }),
        wish: { without: id },
      }))
    : []),
  { key: 'more', says: word('plan-one-more'), wish: { more: 1 } },
])
async function look(): Promise<void> {
  busy.value = true
  cases.value = []
  for (const { key, says, wish } of wishes.value) {
    const asked = askPlan(view.judged, view.facts, view.nowS, { ...props.found.wish, ...wish })
    try {
      const readyS = asked.ok
        ? readyOf((await planner.ask(asked.ask.asked)).plan, props.found.wish.firstId)
        : null
      cases.value = [...cases.value, { key, says, readyS }]
    } catch {
      break
    }
  }
  busy.value = false
}
// Another plan, other times: what was compared with the one before says nothing any more.
watch(
  () => props.found.plan.valueS,
  () => {
    planner.stop()
    cases.value = []
    busy.value = false
  },
)
function gapSays(readyS: number): string {
  const gap = readyS - (asIs.value ?? readyS)
  if (Math.abs(gap) < 60) return word('plan-if-same')
  return gap > 0 ? word('plan-if-later', { gap }) : word('plan-if-sooner', { gap: -gap })
}
</script>

<template>
  <section>
    <button v-if="!cases.length" type="button" class="button" :disabled="busy" @click="look">
      {{ word('plan-what-if') }}
    </button>
    <table v-else class="cases" :aria-label="word('plan-what-if')">
      <thead>
        <tr>
          <th scope="col">{{ word('plan-if') }}</th>
          <th scope="col">{{ word('plan-if-when') }}</th>
          <th scope="col">{{ word('plan-if-gap') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{{ word('plan-as-it-is') }}</th>
          <td>{{ asIs === null ? '' : word('plan-if-ready', { at: at(asIs) }) }}</td>
          <td></td>
        </tr>
        <tr v-for="one in cases" :key="one.key">
          <th scope="row">{{ one.says }}</th>
          <td>
            {{ one.readyS === null ? word('plan-if-none') : word('plan-if-ready', { at: at(one.readyS) }) }}
          </td>
          <td>{{ one.readyS === null ? '' : gapSays(one.readyS) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.cases {
  border-collapse: collapse;
  max-width: 760px;
  width: 100%;
}
.cases th,
.cases td {
  padding: 6px 14px 6px 0;
  text-align: start;
  border-block-end: 1px solid var(--line);
}
</style>
