<script setup lang="ts">
import { answerFor } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import SectionChooser from '../../frame/SectionChooser.vue'
import { keepText, readText } from '../../stored'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { useSection } from '../../use-section'
import StateInSpace from '../../space/StateInSpace.vue'
import { useView } from '../../view'
import { when } from '../../when'
import AnswerHead from './AnswerHead.vue'
import NextHour from './NextHour.vue'
import PhoneRows from './PhoneRows.vue'
import TimeLanes from './TimeLanes.vue'
import WaitTools from './WaitTools.vue'
import { FILTERS, type Filter, passes } from './filters'
import { word } from '../../words/word'

const view = useView()
const job = useJob()
const narrow = useNarrow()
const { sections, answer } = useSection()
const SPANS = [
  [1, 'wait-span-hour'],
  [6, 'wait-span-6-hours'],
  [12, 'wait-span-12-hours'],
  [24, 'wait-span-day'],
  [48, 'wait-span-2-days'],
  [96, 'wait-span-4-days'],
  [168, 'wait-span-week'],
] as const
const KEY = 'jugalis-wait-span'
const USUAL_H = 96
const spanH = ref(Number(readText(KEY)) || USUAL_H)
watch(spanH, (h) => keepText(KEY, String(h)))
const filter = ref<Filter>('all')
const counts = computed(
  () =>
    new Map(FILTERS.map((f) => [f, answer.value?.joints.filter((j) => passes(j, f, view.nowS)).length ?? 0])),
)
const shown = computed(() =>
  filter.value === 'all'
    ? (answer.value?.joints ?? [])
    : (answer.value?.joints.filter((j) => passes(j, filter.value, view.nowS)) ?? []),
)
/** Both ways to treat a changing temperature, side by side: when each lets the test pressure on. */
const both = computed(() => {
  const own = answer.value
  if (!own) return null
  const mode = own.mode === 'coldest' ? 'accumulate' : 'coldest'
  const other = answerFor(view.judged, own.section, view.nowS, mode)
  const [coldest, accumulate] = own.mode === 'coldest' ? [own, other] : [other, own]
  const at = (s: number): string => when(s, view.nowS, job.state.job.zone)
  const say = (x: typeof own): string =>
    x.readyAtS !== null
      ? x.readyAtS <= view.nowS
        ? word('wait-ready')
        : at(x.readyAtS)
      : x.plannedReadyAtS !== null
        ? word('wait-as-planned', { at: at(x.plannedReadyAtS) })
        : word('wait-no-time-by-its')
  return { coldest: say(coldest), accumulate: say(accumulate) }
})
const lanes = ref<InstanceType<typeof TimeLanes>>()
function zoom(by: number): void {
  const at = SPANS.findIndex(([h]) => h >= spanH.value)
  const to = SPANS[Math.min(SPANS.length - 1, Math.max(0, (at < 0 ? SPANS.length - 1 : at) + by))]
  if (to) spanH.value = to[0]
}
const ALONG = 0.25
function onKey(event: KeyboardEvent): void {
  if (!isOwnKey(event)) return
  if (event.key === '+') zoom(-1)
  else if (event.key === '-') zoom(1)
  else if (event.key === '0') spanH.value = USUAL_H
  else if (event.key === '[') lanes.value?.along(-ALONG)
  else if (event.key === ']') lanes.value?.along(ALONG)
  else if (event.key === 't') lanes.value?.along(0)
  else if (event.key === 'f')
    filter.value = FILTERS[(FILTERS.indexOf(filter.value) + 1) % FILTERS.length] ?? 'all'
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="place">
    <div v-if="!answer" class="head">
      <h1>{{ word('wait-nothing-is-waiting') }}</h1>
      <p class="why">
        {{ word('wait-no-section-is-painted') }}
      </p>
    </div>
    <template v-else>
      <SectionChooser :sections="sections" :here="answer" place="wait" />
      <AnswerHead :answer="answer" />
      <p class="choices">
        <span>{{ word('wait-changing-temperature') }}</span>
        <button
          type="button"
          class="word"
          :class="{ here: view.mode === 'coldest' }"
          :aria-pressed="view.mode === 'coldest'"
          @click="view.mode = 'coldest'"
        >
          {{ word('wait-coldest-rules-sign-off', { coldest: both?.coldest }) }}
        </button>
        <button
          type="button"
          class="word"
          :class="{ here: view.mode === 'accumulate' }"
          :aria-pressed="view.mode === 'accumulate'"
          @click="view.mode = 'accumulate'"
        >
          {{ word('wait-add-up-the-hours', { accumulate: both?.accumulate }) }}
        </button>
      </p>
      <p v-if="!narrow" class="choices">
        <span>{{ word('wait-show') }}</span>
        <button
          v-for="f in FILTERS.filter((x) => x === 'all' || counts.get(x) || x === filter)"
          :key="f"
          type="button"
          class="word"
          :class="{ here: filter === f }"
          :aria-pressed="filter === f"
          @click="filter = f"
        >
          {{ word(`wait-filter-${f}`) }} {{ counts.get(f) }}
        </button>
        <span class="gap">{{ word('wait-over') }}</span>
        <button
          v-for="[h, says] in SPANS"
          :key="h"
          type="button"
          class="word"
          :class="{ here: spanH === h }"
          :aria-pressed="spanH === h"
          @click="spanH = h"
        >
          {{ word(says) }}
        </button>
      </p>
      <PhoneRows v-if="narrow" :answer="answer" />
      <TimeLanes v-else ref="lanes" :answer="answer" :joints="shown" :span-s="spanH * 3600" @zoom="zoom" />
      <StateInSpace :answer="answer" />
      <NextHour :answer="answer" />
      <WaitTools :answer="answer" />
    </template>
  </div>
</template>

<style scoped>
.choices {
  margin-block: -6px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
}
.word {
  min-height: 44px;
  min-width: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
  font-weight: 500;
  background: none;
  border: 0;
  padding: 0;
  cursor: pointer;
}
.here {
  font-weight: 600 !important;
  box-shadow: inset 0 -3px 0 var(--copper);
}
.gap {
  margin-inline-start: 14px;
}
.choices span {
  color: var(--soft);
}
</style>
