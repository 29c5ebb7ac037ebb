<script setup lang="ts">
import { type JointInSection, type SectionAnswer, fmt } from '@jugalis/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { timeStep } from '../../tapes/ticks'
import { useWidth } from '../../use-width'
import { useView } from '../../view'
import { hhmm, hourOf, weekday } from '../../when'
import LadderPart from './LadderPart.vue'
import LaneRow from './LaneRow.vue'
import { laneOf } from './lane'
import { COLUMN, LEFT, RIGHT, ROW } from './lane-sizes'
import { word } from '../../words/word'

/** Lanes of the joints that are shown, on one axis with the ladder of the whole section; only those in sight are drawn. */
const props = defineProps<{ answer: SectionAnswer; joints: readonly JointInSection[]; spanS: number }>()
const emit = defineEmits<{ zoom: [by: number] }>()
const job = useJob()
const view = useView()
const box = ref<HTMLElement>()
const scroller = ref<HTMLElement>()
const width = useWidth(box)
const AXIS = 60
const zone = computed(() => job.state.job.zone)
const lanes = computed(() => props.joints.map((j) => ({ j, lane: laneOf(j) })))
/** The axis begins a little before the first home and is as long as was chosen; a drag or a key moves it along. */
const moved = ref(0)
const begins = computed(() => {
  const nowS = view.nowS
  const first = lanes.value.reduce((a, l) => Math.min(a, l.lane?.homeS ?? Infinity), nowS)
  return props.spanS * 0.72 < nowS - first ? nowS - props.spanS * 0.35 : first - props.spanS * 0.03
})
const grid = computed(() => Math.min(600, props.spanS / 60))
const fromS = computed(() => Math.floor((begins.value + moved.value) / grid.value) * grid.value)
const toS = computed(() => fromS.value + props.spanS)
watch(
  () => props.answer.section.id,
  () => (moved.value = 0),
)
const inner = computed(() => Math.max(120, width.value - LEFT - RIGHT))
const X = (atS: number): number =>
  LEFT + Math.max(0, Math.min(1, (atS - fromS.value) / props.spanS)) * inner.value
const onAxis = (atS: number): boolean => atS >= fromS.value && atS <= toS.value
const step = computed(() => timeStep(props.spanS, inner.value))
const marks = computed(() => {
  const out: { atS: number; label: string; day: boolean }[] = []
  for (let tick = Math.ceil(fromS.value / step.value) * step.value; tick <= toS.value; tick += step.value) {
    const midnight = hourOf(tick, zone.value) === 0 && tick % 3600 === 0
    out.push({
      atS: tick,
      label: midnight
        ? weekday(tick, zone.value)
        : step.value >= 3600
          ? hhmm(tick, zone.value).slice(0, 2)
          : hhmm(tick, zone.value),
      day: midnight,
    })
  }
  return out
})
const small = computed(() => {
  const out: number[] = []
  const fine = step.value / (step.value % 7200 === 0 && step.value > 7200 ? step.value / 7200 : 2)
  for (let tick = Math.ceil(fromS.value / fine) * fine; tick <= toS.value; tick += fine) out.push(tick)
  return out
})
const virtual = useVirtualizer(
  computed(() => ({
    count: lanes.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => ROW,
    overscan: 6,
  })),
)
const pressure = computed(() => fmt.pressure(props.answer.section.testBar, job.reader))
const holdsBack = computed(() => props.answer.holdsBack?.facts.id)
/** Dragging the tape pulls time along; the wheel with Ctrl goes closer or further. */
let from: { x: number; moved: number } | null = null
function down(event: PointerEvent): void {
  from = { x: event.clientX, moved: moved.value }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (from) moved.value = from.moved - ((event.clientX - from.x) / inner.value) * props.spanS
}
function wheel(event: WheelEvent): void {
  if (event.ctrlKey) {
    event.preventDefault()
    emit('zoom', event.deltaY > 0 ? 1 : -1)
  } else if (event.shiftKey || Math.abs(event.deltaX) > Math.abs(event.deltaY)) {
    event.preventDefault()
    moved.value += ((event.deltaX || event.deltaY) / inner.value) * props.spanS
  }
}
defineExpose({
  /** Moves along the tape by a share of what is seen; 0 goes back to where it began. */
  along: (share: number) => void (moved.value = share ? moved.value + share * props.spanS : 0),
})
</script>

<template>
  <div ref="box" class="box" @wheel="wheel">
    <svg
      class="drawing axis"
      :width="width"
      :height="AXIS"
      role="group"
      :aria-label="word('wait-time-tape-of-each', { tag: answer.section.tag })"
      @pointerdown="down"
      @pointermove="drag"
      @pointerup="from = null"
      @pointercancel="from = null"
    >
      <defs>
        <pattern
          id="lane-hatch"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="var(--sheet)" />
          <rect width="3.4" height="6" fill="var(--wet)" />
        </pattern>
        <pattern
          id="base-hatch"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="6" height="6" fill="var(--set)" />
          <path d="M0 0V6" stroke="var(--paper)" stroke-width="2" />
        </pattern>
      </defs>
      <text x="0" y="24" class="head">{{ word('ui-joint') }}</text>
      <text :x="width - RIGHT + 12" y="24" class="head">{{ word('wait-move-2') }}</text>
      <text :x="width - COLUMN + 6" y="24" class="head">{{ pressure }}</text>
      <rect :x="LEFT" y="0" :width="inner" height="36" class="tape" />
      <path v-for="t in small" :key="`s${t}`" :d="`M${X(t)} 36v-7`" class="tick" />
      <g v-for="m in marks" :key="m.atS">
        <path :d="`M${X(m.atS)} 36v-14`" class="tick" />
        <text
          v-if="X(m.atS) > LEFT + 14 && X(m.atS) < LEFT + inner - 14"
          :x="X(m.atS)"
          y="18"
          text-anchor="middle"
          class="numeral"
          :class="{ day: m.day }"
        >
          {{ m.label }}
        </text>
      </g>
      <g v-if="onAxis(view.nowS)">
        <path :d="`M${X(view.nowS)} 36V${AXIS}`" class="plumb" />
        <rect :x="X(view.nowS) - 26" y="37" width="52" height="21" class="now" />
        <text :x="X(view.nowS)" y="53" text-anchor="middle" class="now-says">
          {{ hhmm(view.nowS, zone) }}
        </text>
      </g>
    </svg>
    <div ref="scroller" class="lanes" tabindex="0" role="region" :aria-label="word('wait-lanes')">
      <svg
        class="drawing"
        :width="width"
        :height="virtual.getTotalSize()"
        role="group"
        :aria-label="word('wait-a-lane-for-each')"
      >
        <LaneRow
          v-for="v in virtual.getVirtualItems()"
          :key="lanes[v.index]!.j.facts.id"
          :j="lanes[v.index]!.j"
          :lane="lanes[v.index]!.lane"
          :y="v.start"
          :left="LEFT"
          :inner="inner"
          :width="width"
          :from-s="fromS"
          :to-s="toS"
          :now-s="view.nowS"
          :holds-back="lanes[v.index]!.j.facts.id === holdsBack"
        />
        <path v-if="onAxis(view.nowS)" :d="`M${X(view.nowS)} 0V${virtual.getTotalSize()}`" class="plumb" />
      </svg>
    </div>
    <svg
      class="drawing"
      :width="width"
      height="224"
      role="group"
      :aria-label="word('wait-what-the-section-may-take')"
    >
      <g v-if="onAxis(view.nowS)">
        <path :d="`M${X(view.nowS)} 0V112`" class="plumb" />
        <path :d="`M${X(view.nowS) - 6} 110h12v7l-6 12l-6 -12z`" class="bob" />
      </g>
      <LadderPart
        :answer="answer"
        :top="16"
        :left="LEFT"
        :inner="inner"
        :from-s="fromS"
        :to-s="toS"
        :width="width"
      />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
  overflow-x: auto;
}
.axis {
  display: block;
  cursor: grab;
  touch-action: pan-y;
}
.lanes {
  max-height: max(200px, 42vh);
  overflow-y: auto;
  overflow-x: hidden;
}
.lanes svg {
  display: block;
}
.head {
  font: 600 17px var(--text);
  fill: var(--ink);
}
.numeral {
  font: 600 18px var(--figures);
}
.day {
  text-decoration: underline;
}
.plumb {
  stroke: var(--ink);
  stroke-width: 2;
  pointer-events: none;
}
.bob,
.now {
  fill: var(--ink);
}
.now-says {
  font: 600 17px var(--figures);
  fill: var(--paper);
}
</style>
