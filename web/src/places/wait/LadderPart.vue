<script setup lang="ts">
import {
  type LadderStep,
  type SectionAnswer,
  fmt,
  fromUnits,
  wallHistory,
  greatest,
  smallest,
} from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { roundStep } from '../../tapes/ticks'
import { word } from '../../words/word'

/** The pressure ladder and the wall's temperature, on the same axis as the lanes, so that the cause can be seen. */
const props = defineProps<{
  answer: SectionAnswer
  top: number
  left: number
  inner: number
  fromS: number
  toS: number
  width: number
}>()
const job = useJob()
const HEIGHT = 90
const TEMP_TOP = 118
const TEMP_H = 62
const X = (atS: number): number =>
  props.left + Math.max(0, Math.min(1, (atS - props.fromS) / (props.toS - props.fromS))) * props.inner
const topBar = computed(() => props.answer.section.testBar * 1.12)
const Y = (bar: number | null): number =>
  props.top + HEIGHT - Math.min(1, (bar ?? topBar.value) / topBar.value) * HEIGHT
function pathOf(steps: readonly LadderStep[]): string {
  let path = ''
  steps.forEach((step, i) => {
    const next = steps[i + 1]
    const endS = Math.min(next?.fromS ?? Infinity, props.toS)
    if (endS < props.fromS) return
    const startS = Math.max(step.fromS, props.fromS)
    const at = (atS: number): number | null =>
      step.allowedBar === null ? null : step.allowedBar + step.slopeBarPerS * (atS - step.fromS)
    path += `${path ? 'L' : 'M'}${X(startS)} ${Y(at(startS))}L${X(endS)} ${Y(at(endS))}`
  })
  return path
}
const solid = computed(() => pathOf(props.answer.ladder.steps))
const dashed = computed(() => (props.answer.readyAtS === null ? pathOf(props.answer.plannedSteps) : ''))
/** Nothing, the test, and a round number of the reader's unit between them. */
const rungs = computed(() => {
  const test = props.answer.section.testBar
  const own = fmt.inUnits(test, 'pressure', job.reader)
  const step = roundStep(own, 2)
  return [0, ...(step < own * 0.8 ? [fromUnits(step, 'pressure', job.reader)] : []), test]
})
/** The line in the temperatures: 10 °C, or 50 °F. */
const MARK_C = 10
const history = computed(() => wallHistory(job.state, props.answer.joints[0]?.facts.place.line.placeId ?? ''))
const inView = computed(() =>
  history.value
    .map((s, i) => ({ ...s, untilS: history.value[i + 1]?.fromS ?? Infinity }))
    .filter((s) => s.basis !== 'none' && s.untilS > props.fromS && s.fromS < props.toS),
)
const range = computed(() => {
  const temps = inView.value.flatMap((s) => [s.minC, s.maxC])
  const low = smallest([...temps, MARK_C])
  const high = greatest([...temps, MARK_C])
  return { low: Math.floor(low - 1), high: Math.ceil(high + 1) }
})
const TY = (celsius: number): number =>
  props.top +
  TEMP_TOP +
  TEMP_H -
  ((celsius - range.value.low) / (range.value.high - range.value.low)) * TEMP_H
const temperature = computed(() =>
  inView.value
    .filter((s) => s.basis !== 'projected')
    .map((s, i) => `${i ? 'L' : 'M'}${X(Math.max(s.fromS, props.fromS))} ${TY(s.minC)}`)
    .join(''),
)
const ahead = computed(() => {
  const last = inView.value.filter((s) => s.basis !== 'projected').at(-1)
  return last ? `M${X(Math.max(last.fromS, props.fromS))} ${TY(last.minC)}H${props.left + props.inner}` : ''
})
const coldest = computed(() =>
  inView.value.reduce<(typeof inView.value)[number] | null>((a, b) => (!a || b.minC < a.minC ? b : a), null),
)
</script>

<template>
  <g>
    <text x="0" :y="top + 16" class="name">{{ word('wait-may-take', { tag: answer.section.tag }) }}</text>
    <g v-for="bar in rungs" :key="bar">
      <path
        :d="`M${left} ${Y(bar)}H${left + inner}`"
        :class="bar === answer.section.testBar ? 'test' : 'rung'"
      />
      <text :x="left - 8" :y="Y(bar) + 5" text-anchor="end" class="bar">{{
        fmt.pressure(bar, job.reader)
      }}</text>
    </g>
    <path v-if="dashed" :d="dashed" class="ladder planned" />
    <path :d="solid" class="ladder" />
    <text x="0" :y="top + TEMP_TOP + 16" class="name">{{ word('ui-pipe-wall') }}</text>
    <path
      v-if="TY(MARK_C) > top + TEMP_TOP && TY(MARK_C) < top + TEMP_TOP + TEMP_H"
      :d="`M${left} ${TY(MARK_C)}H${left + inner}`"
      class="rung"
    />
    <text v-if="temperature" :x="left - 8" :y="TY(MARK_C) + 5" text-anchor="end" class="bar">{{
      fmt.temperature(MARK_C, job.reader)
    }}</text>
    <path :d="temperature" class="temperature" />
    <path :d="ahead" class="ahead" />
    <g v-if="coldest">
      <circle :cx="X(Math.max(coldest.fromS, fromS))" :cy="TY(coldest.minC)" r="4" class="dot" />
      <text :x="X(Math.max(coldest.fromS, fromS)) + 8" :y="TY(coldest.minC) + 4" class="bar">{{
        fmt.temperature(coldest.minC, job.reader)
      }}</text>
    </g>
    <text v-else :x="left" :y="top + TEMP_TOP + 30" class="bar">{{ word('wait-no-reading-yet') }}</text>
  </g>
</template>

<style scoped>
.name {
  font: 600 17px var(--text);
  fill: var(--ink);
}
.bar {
  font: 500 16px var(--figures);
  fill: var(--ink);
}
.rung {
  stroke: var(--line);
}
.test {
  stroke: var(--soft);
  stroke-width: 1.5;
  stroke-dasharray: 7 5;
}
.ladder {
  fill: none;
  stroke: var(--sound);
  stroke-width: 3.5;
}
.ladder.planned {
  stroke-width: 2;
  stroke-dasharray: 6 5;
}
.temperature {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.ahead {
  stroke: var(--soft);
  stroke-width: 1.5;
  stroke-dasharray: 3 4;
}
.dot {
  fill: var(--ink);
}
</style>
