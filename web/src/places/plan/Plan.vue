<script setup lang="ts">
import { type PlanAim, tagOrder } from '@jugalis/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import { keepText, readText } from '../../stored'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import { Figures } from '../../words/said'
import { word } from '../../words/word'
import ByWhen from './ByWhen.vue'
import DaySheets from './DaySheets.vue'
import PinnedPart from './PinnedPart.vue'
import PlanLanes from './PlanLanes.vue'
import PlanWhy from './PlanWhy.vue'
import Shutdowns from './Shutdowns.vue'
import WhatIf from './WhatIf.vue'
import { usePlan } from './use-plan'
import { useSaid } from './use-said'
import { stuckSays, reasonSays } from './why-none'

/** Sheets come when they are opened: the page does not wait for them. */
const CrewSheet = defineAsyncComponent(() => import('./CrewSheet.vue'))
const WorkSheet = defineAsyncComponent(() => import('./WorkSheet.vue'))
const FixSheet = defineAsyncComponent(() => import('./FixSheet.vue'))

const job = useJob()
const view = useView()
const narrow = useNarrow()
const KEY = 'jugalis-plan-aim'
/** What comes first: the last section, each of them, or one by its id. */
const aim = ref<string>(readText(KEY) ?? 'last')
const byS = ref<ReadonlyMap<string, number>>(new Map())
/** Sections of which something is still to be made: of the others nothing is planned. */
const sections = computed(() =>
  [...job.state.sections.values()]
    .filter(({ jointIds }) => jointIds.some((id) => view.facts.get(id)?.homeAtS === null))
    .sort((one, other) => tagOrder(one.tag, other.tag)),
)
const aims = computed((): (readonly [string, string])[] => [
  ['last', word('plan-aim-last')],
  ...(sections.value.length > 1 ? ([['each', word('plan-aim-each')]] as const) : []),
  ...(sections.value.length > 1
    ? sections.value.map(({ id, tag }) => [id, word('plan-first', { tag })] as const)
    : []),
])
const chosen = computed(() => (aims.value.some(([value]) => value === aim.value) ? aim.value : 'last'))
const wish = computed(() => {
  const first = chosen.value !== 'last' && chosen.value !== 'each' ? chosen.value : null
  const kind: PlanAim = chosen.value === 'last' ? 'last' : 'each'
  return { aim: kind, firstId: first, byS: byS.value }
})
const { found, stuck, failed, stopped, part, look, stop } = usePlan(() => wish.value)
const said = useSaid(found)
const sheet = ref<'crew' | 'work' | null>(null)
const fixing = ref<string | null>(null)

const open = computed(() =>
  [...view.facts.values()].some((one) => one.homeAtS === null || one.inspection?.verdict === 'fail'),
)
/** Nothing to plan, nobody to plan for, no way to, or the answer. */
const headline = computed(() => {
  if (!view.facts.size) return word('plan-no-joints')
  if (!open.value) return word('plan-all-made')
  if (stuck.value?.code === 'no-crew') return word('plan-nobody-yet')
  if (stuck.value) return stuckSays(stuck.value, view.facts)
  const plan = found.value?.plan
  if (plan && plan.valueS !== null) return said.headline(plan)
  if (part.value !== null) return word('plan-looking', { part: Math.round(part.value * 100) })
  if (plan) return reasonSays(plan, view.facts)
  if (failed.value) return word('plan-failed', { says: failed.value })
  return stopped.value ? word('plan-stopped') : word('plan-looking', { part: 0 })
})
const answered = computed(() => (found.value?.plan.valueS ?? null) !== null && !stuck.value && open.value)
function choose(value: string | null): void {
  aim.value = value ?? 'last'
  keepText(KEY, aim.value)
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p v-if="stuck?.code === 'no-crew' && open" class="why">{{ word('plan-nobody-why') }}</p>
      <p v-if="answered && part !== null" class="why" role="status">
        {{ word('plan-looking', { part: Math.round(part * 100) }) }}
        <button type="button" class="in-text" @click="stop">{{ word('plan-stop') }}</button>
      </p>
      <Shutdowns v-if="answered && found" :said="said" :found="found" />
      <PlanWhy v-if="answered && found" :said="said" :found="found" @fix="fixing = $event" />
    </div>
    <div class="buttons no-print">
      <button
        type="button"
        class="button"
        :class="{ main: stuck?.code === 'no-crew' }"
        @click="sheet = 'crew'"
      >
        {{ word('plan-who-is-here') }}
      </button>
      <button type="button" class="button" @click="sheet = 'work'">{{ word('plan-times-of-work') }}</button>
      <button v-if="stopped || failed" type="button" class="button" @click="look">
        {{ word('plan-again') }}
      </button>
      <button v-if="!answered && part !== null" type="button" class="button" @click="stop">
        {{ word('plan-stop') }}
      </button>
      <RouterLink class="button" :to="{ name: 'wait', params: { jobId: job.jobId } }">{{
        word('wait-back-to-wait')
      }}</RouterLink>
    </div>
    <template v-if="job.state.plan.crew.length && open">
      <div v-if="sections.length > 1" class="no-print aims">
        <ChipChoice
          :model-value="chosen"
          :label="word('plan-aim')"
          :options="aims"
          @update:model-value="choose"
        />
      </div>
      <ByWhen v-if="sections.length" v-model="byS" :sections="sections" class="no-print" />
    </template>
    <template v-if="answered && found">
      <PinnedPart :found="found" />
      <!-- Lanes want width: in the hand the list tells the same. -->
      <PlanLanes v-if="!narrow" :found="found" :said="said" @fix="fixing = $event" />
      <WhatIf :found="found" class="no-print" />
      <DaySheets :found="found" :said="said" @fix="fixing = $event" />
      <p class="why">{{ word('plan-cautions') }}</p>
    </template>
    <CrewSheet v-if="sheet === 'crew'" @close="sheet = null" />
    <WorkSheet v-if="sheet === 'work'" @close="sheet = null" />
    <FixSheet v-if="fixing" :joint-id="fixing" :found="found" @close="fixing = null" />
  </div>
</template>
<style scoped>
.aims {
  margin-block: 10px;
}
</style>
