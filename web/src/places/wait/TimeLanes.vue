<script setup lang="ts">
import { type SectionAnswer, fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { glyphBody } from '../../tapes/glyph-shapes'
import { timeStep } from '../../tapes/ticks'
import { useWidth } from '../../use-width'
import { hhmm, hourOf, weekday, whenShort } from '../../when'
import { laneOf } from './lane'
import LadderPart from './LadderPart.vue'

const props = defineProps<{ answer: SectionAnswer; spanS: number }>()
const job = useJob()
const clock = useClock()
const box = ref<HTMLElement>()
const width = useWidth(box)
const LEFT = 178
const COLUMN = 92
const RIGHT = 2 * COLUMN + 8
const ROW = 31
const HEAD = 60
const SLOT = 9
const zone = computed(() => job.state.job.zone)
const lanes = computed(() => props.answer.joints.map((j) => ({ j, lane: laneOf(j) })))
/** The axis begins a little before the first home and is as long as was chosen. */
const fromS = computed(() => {
  const homes = lanes.value.map((l) => l.lane?.homeS ?? Infinity)
  const first = Math.min(...homes, clock.nowS)
  const whole =
    props.spanS * 0.72 < clock.nowS - first ? clock.nowS - props.spanS * 0.35 : first - props.spanS * 0.03
  return Math.floor(whole / 600) * 600
})
const toS = computed(() => fromS.value + props.spanS)
const inner = computed(() => Math.max(120, width.value - LEFT - RIGHT))
const X = (atS: number): number =>
  LEFT + Math.max(0, Math.min(1, (atS - fromS.value) / props.spanS)) * inner.value
const onAxis = (atS: number | null): boolean => atS !== null && atS >= fromS.value && atS <= toS.value
const step = computed(() => timeStep(props.spanS, inner.value))
const marks = computed(() => {
  const out: { atS: number; label: string; day: boolean }[] = []
  for (let t = Math.ceil(fromS.value / step.value) * step.value; t <= toS.value; t += step.value) {
    const midnight = hourOf(t, zone.value) === 0 && t % 3600 === 0
    out.push({
      atS: t,
      label: midnight
        ? weekday(t, zone.value)
        : step.value >= 3600
          ? hhmm(t, zone.value).slice(0, 2)
          : hhmm(t, zone.value),
      day: midnight,
    })
  }
  return out
})
const small = computed(() => {
  const out: number[] = []
  const fine = step.value / (step.value % 7200 === 0 && step.value > 7200 ? step.value / 7200 : 2)
  for (let t = Math.ceil(fromS.value / fine) * fine; t <= toS.value; t += fine) out.push(t)
  return out
})
const laneY = (i: number): number => HEAD + i * ROW
const lanesEnd = computed(() => HEAD + lanes.value.length * ROW)
const height = computed(() => lanesEnd.value + 224)
const quarter = (a: number, b: number, k: number): number => a + ((b - a) * k) / 4
const pressure = computed(() => fmt.pressure(props.answer.section.testBar, job.reader))
const ready = (i: number): string => {
  const l = lanes.value[i]
  if (!l?.lane) return ''
  if (l.j.look.glyph === 'failed') return 'failed'
  return l.lane.readyS === null ? 'no figure' : whenShort(l.lane.readyS, clock.nowS, zone.value)
}
const move = (i: number): string => {
  const l = lanes.value[i]
  if (!l?.lane) return ''
  if (l.lane.planned) return `plan ${hhmm(l.lane.homeS, zone.value)}`
  return l.lane.setS === null ? 'no figure' : whenShort(l.lane.setS, clock.nowS, zone.value)
}
const holdsBack = computed(() => props.answer.holdsBack?.facts.id)
</script>

<template>
  <div ref="box" class="box">
    <svg
      class="drawing"
      :width="width"
      :height="height"
      role="group"
      :aria-label="`Time tape of ${answer.section.tag}: each joint's window, set and cure, and what the section may take`"
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
      <text x="0" y="24" class="head">Joint</text>
      <text :x="width - RIGHT + 12" y="24" class="head">move</text>
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
      <g v-for="({ j, lane }, i) in lanes" :key="j.facts.id">
        <path :d="`M0 ${laneY(i) + ROW - 1}H${width}`" class="rule" />
        <RouterLink :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.facts.id } }">
          <svg
            x="0"
            :y="laneY(i) + 5"
            width="36"
            height="20"
            viewBox="0 0 36 20"
            overflow="visible"
            role="img"
            :aria-label="`${j.facts.tag}, ${job.t(j.look.word)}`"
            v-html="glyphBody(j.look.glyph, j.look.inspected, j.look.look)"
          />
          <text x="46" :y="laneY(i) + 21" class="tag">
            {{ j.facts.tag }}
            <tspan v-if="j.look.life > 1" class="soft">²</tspan>
          </text>
        </RouterLink>
        <text x="112" :y="laneY(i) + 21" class="soft">{{ j.facts.place.piece.size }}</text>
        <template v-if="lane && lane.homeS < toS">
          <g v-if="!lane.planned" :class="{ heavy: j.facts.id === holdsBack }">
            <rect
              v-if="lane.slotS !== null && onAxis(lane.homeS)"
              :x="X(lane.homeS) - SLOT"
              :y="laneY(i) + 4"
              :width="SLOT"
              height="22"
              fill="url(#lane-hatch)"
              class="slot"
            />
            <template v-if="lane.setS !== null">
              <rect
                :x="X(lane.homeS)"
                :y="laneY(i) + 4"
                :width="Math.max(3, X(lane.setS) - X(lane.homeS))"
                height="16"
                class="set"
              />
              <rect
                :x="X(lane.homeS)"
                :y="laneY(i) + 20"
                :width="Math.max(3, X(lane.setS) - X(lane.homeS))"
                height="6"
                fill="url(#base-hatch)"
              />
              <template v-if="lane.readyS !== null">
                <rect
                  v-for="k in [0, 1, 2, 3]"
                  :key="k"
                  :x="X(quarter(lane.setS, lane.readyS, k))"
                  :y="laneY(i) + 26 - 4 - k * 4.6"
                  :width="X(quarter(lane.setS, lane.readyS, k + 1)) - X(quarter(lane.setS, lane.readyS, k))"
                  :height="4 + k * 4.6"
                  class="cure"
                />
                <rect
                  v-if="lane.readyS < toS"
                  :x="X(lane.readyS)"
                  :y="laneY(i) + 4"
                  :width="LEFT + inner - X(lane.readyS)"
                  height="22"
                  class="ready"
                />
                <path v-if="onAxis(lane.readyS)" :d="`M${X(lane.readyS)} ${laneY(i) + 1}v28`" class="tick2" />
              </template>
              <path v-else :d="`M${X(lane.setS)} ${laneY(i) + 24}H${LEFT + inner}`" class="unknown" />
            </template>
          </g>
          <g v-else>
            <rect
              :x="X(lane.homeS)"
              :y="laneY(i) + 5"
              :width="Math.max(4, (lane.readyS === null ? LEFT + inner : X(lane.readyS)) - X(lane.homeS))"
              height="20"
              class="planned"
            />
            <path
              v-if="onAxis(lane.readyS)"
              :d="`M${X(lane.readyS ?? 0)} ${laneY(i) + 1}v28`"
              class="tick2"
            />
          </g>
        </template>
        <text
          :x="width - RIGHT + 12"
          :y="laneY(i) + 21"
          class="time"
          :class="{ past: lane && !lane.planned && (lane.setS ?? Infinity) < clock.nowS }"
        >
          {{ move(i) }}
        </text>
        <text
          :x="width - COLUMN + 6"
          :y="laneY(i) + 21"
          class="time"
          :class="{ bold: j.facts.id === holdsBack, past: (lane?.readyS ?? Infinity) < clock.nowS }"
        >
          {{ ready(i) }}
        </text>
        <path
          v-if="j.facts.id === holdsBack"
          :d="`M${width - COLUMN - 8} ${laneY(i) + 9}h8v7l-4 8l-4 -8z`"
          class="bob"
        />
      </g>
      <LadderPart
        :answer="answer"
        :top="lanesEnd + 16"
        :left="LEFT"
        :inner="inner"
        :from-s="fromS"
        :to-s="toS"
        :width="width"
      />
      <g v-if="onAxis(clock.nowS)">
        <path :d="`M${X(clock.nowS)} 36V${lanesEnd + 112}`" class="plumb" />
        <path :d="`M${X(clock.nowS) - 6} ${lanesEnd + 110}h12v7l-6 12l-6 -12z`" class="bob" />
        <rect :x="X(clock.nowS) - 26" y="37" width="52" height="21" class="now" />
        <text :x="X(clock.nowS)" y="53" text-anchor="middle" class="now-says">
          {{ hhmm(clock.nowS, zone) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
  overflow-x: auto;
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
.rule {
  stroke: var(--line);
}
.tag {
  font: 600 18px var(--figures);
  fill: var(--ink);
}
.soft {
  font: 500 16px var(--figures);
  fill: var(--soft);
}
.time {
  font: 500 18px var(--figures);
  fill: var(--ink);
}
.time.past {
  fill: var(--soft);
}
.time.bold {
  font-weight: 600;
}
.slot {
  stroke: var(--wet);
  stroke-width: 1.5;
}
.set {
  fill: var(--set);
}
.cure {
  fill: var(--cure);
}
.ready {
  fill: var(--sound);
}
.tick2 {
  stroke: var(--ink);
  stroke-width: 2;
}
.planned {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.unknown {
  stroke: var(--soft);
  stroke-width: 3;
  stroke-dasharray: 2 6;
}
.heavy .cure,
.heavy .ready {
  stroke: var(--ink);
  stroke-width: 1;
}
.plumb {
  stroke: var(--ink);
  stroke-width: 2;
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
