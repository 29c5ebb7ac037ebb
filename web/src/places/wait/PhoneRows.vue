<script setup lang="ts">
import { type LadderStep, type SectionAnswer, fmt, smallest } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import JointGlyph from '../../tapes/JointGlyph.vue'
import LongRows from '../../frame/LongRows.vue'
import { useWidth } from '../../use-width'
import { when, whenShort } from '../../when'
import { word } from '../../words/word'

/** The phone's Wait: a ladder to scrub by thumb, then rows by what changes next. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const box = ref<HTMLElement>()
const width = useWidth(box, 360)
const HEIGHT = 96
/** Height of one row, as it mostly is. */
const ROW_PX = 65
const BASE = 88
const ladder = computed(() =>
  props.answer.readyAtS === null ? props.answer.plannedSteps : props.answer.ladder.steps,
)
const toS = computed(
  () => Math.max(props.answer.readyAtS ?? props.answer.plannedReadyAtS ?? 0, clock.nowS + 3600) * 1 + 3600,
)
const thumb = ref<number | null>(null)
const X = (atS: number): number => ((atS - clock.nowS) / (toS.value - clock.nowS)) * width.value
const topBar = computed(() => props.answer.section.testBar * 1.15)
const valueAt = (steps: readonly LadderStep[], atS: number): number | null => {
  const step = steps.filter((x) => x.fromS <= atS).at(-1)
  return step
    ? step.allowedBar === null
      ? null
      : step.allowedBar + step.slopeBarPerS * (atS - step.fromS)
    : 0
}
const Y = (bar: number | null): number =>
  BASE - Math.min(1, (bar ?? topBar.value) / topBar.value) * (BASE - 22)
const path = computed(() => {
  let path = `M0 ${Y(valueAt(ladder.value, clock.nowS))}`
  ladder.value.forEach((step, i) => {
    const endS = Math.min(ladder.value[i + 1]?.fromS ?? Infinity, toS.value)
    if (endS <= clock.nowS) return
    const startS = Math.max(clock.nowS, step.fromS)
    const at = (atS: number): number | null =>
      step.allowedBar === null ? null : step.allowedBar + step.slopeBarPerS * (atS - step.fromS)
    path += `L${X(startS)} ${Y(at(startS))}L${X(endS)} ${Y(at(endS))}`
  })
  return path
})
const thumbS = computed(() =>
  thumb.value === null ? null : clock.nowS + (thumb.value / width.value) * (toS.value - clock.nowS),
)
const says = computed(() => {
  if (thumbS.value === null) return ''
  const value = valueAt(ladder.value, thumbS.value)
  return `${value === null ? word('wait-no-ceiling') : fmt.pressure(value, job.reader)}, ${when(thumbS.value, clock.nowS, job.state.job.zone)}`
})
const scrub = (event: PointerEvent): void => {
  const box = (event.currentTarget as Element).getBoundingClientRect()
  thumb.value = Math.max(0, Math.min(width.value, event.clientX - box.left))
}
const rows = computed(() => {
  const next = (joint: (typeof props.answer.joints)[number]): number => {
    const times = [joint.facts.movable.value, joint.readyAtS].filter(
      (t): t is number => t !== null && t > props.answer.nowS,
    )
    return times.length ? smallest(times) : Infinity
  }
  return [...props.answer.joints].sort((a, b) => next(a) - next(b))
})
const bar = computed(() => fmt.pressure(props.answer.section.testBar, job.reader))
const short = (atS: number | null): string =>
  atS === null ? word('ui-no-figure') : whenShort(atS, clock.nowS, job.state.job.zone)
</script>

<template>
  <div ref="box">
    <svg
      :width="width"
      :height="HEIGHT"
      class="ladder"
      role="img"
      :aria-label="word('wait-what-the-section-may')"
      @pointermove="scrub"
      @pointerdown="scrub"
      @pointerleave="thumb = null"
    >
      <path :d="`M0 ${Y(answer.section.testBar)}H${width}`" class="test" />
      <path :d="path" class="line" />
      <path :d="`M0 ${BASE}H${width}`" class="base" />
      <g v-if="thumb !== null">
        <path :d="`M${thumb} 20V${BASE}`" class="thumb" />
        <text :x="Math.min(Math.max(thumb, 76), width - 76)" y="15" text-anchor="middle" class="says">
          {{ says }}
        </text>
      </g>
      <text v-else x="0" y="15" class="says">{{ bar }}</text>
    </svg>
    <div class="joints">
      <LongRows v-slot="{ row: j }" as="ul" :rows="rows" :row-px="ROW_PX">
        <li :key="j.facts.id">
          <RouterLink :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.facts.id } }">
            <JointGlyph :look="j.look" :tag="j.facts.tag" />
            <span class="tag">{{ j.facts.tag }}</span>
            <span v-if="j.facts.homeAtS === null" class="times">{{ word('wait-not-made') }}</span>
            <span v-else class="times"
              ><span>{{ word('wait-move', { short: short(j.facts.movable.value) }) }}</span
              ><span>{{ bar }} {{ short(j.readyAtS) }}</span></span
            >
          </RouterLink>
        </li>
      </LongRows>
    </div>
  </div>
</template>

<style scoped>
.ladder {
  touch-action: pan-y;
  display: block;
}
.line {
  fill: none;
  stroke: var(--sound);
  stroke-width: 3.5;
}
.test {
  stroke: var(--soft);
  stroke-dasharray: 7 5;
}
.base,
.thumb {
  stroke: var(--ink);
  stroke-width: 2;
}
.says {
  font: 600 17px var(--text);
  fill: var(--ink);
}
/* The pieces of a long list are one list to the eye. */
.joints {
  margin-top: 8px;
}
.joints :deep(ul) {
  list-style: none;
  margin: 0;
  padding: 0;
}
li a {
  display: grid;
  grid-template-columns: 52px 66px 1fr;
  align-items: center;
  min-height: 64px;
  border-bottom: 1px solid var(--line);
  text-decoration: none;
}
.tag {
  font-weight: 600;
  font-size: 18px;
}
.times {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  font: 500 18px/1.3 var(--figures);
}
</style>
