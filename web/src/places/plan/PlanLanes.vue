<script setup lang="ts">
import { type PlannedJoint, greatest, smallest } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { timeStep } from '../../tapes/ticks'
import { useWidth } from '../../use-width'
import { useView } from '../../view'
import { hhmm, hourOf, weekday, whenShort } from '../../when'
import { word } from '../../words/word'
import type { Found } from './use-plan'
import type { useSaid } from './use-said'

/**
 * A lane for each pair of hands on the time tape: hours that are there as a sheet, joints as dashed sockets, as whatever
 * is only planned. By keys a joint is given a person from its row in the list; below, how long each section is left alone until it is ready.
 */
const props = defineProps<{ found: Found; said: ReturnType<typeof useSaid> }>()
const emit = defineEmits<{ fix: [jointId: string] }>()
const job = useJob()
const view = useView()
const box = ref<HTMLElement>()
const width = useWidth(box)
const LEFT = 118
const AXIS = 40
const ROW = 46
const TAG_PX = 7.5
const zone = computed(() => job.state.job.zone)
const question = computed(() => props.said.asked.value?.question ?? null)
/** From shortly before the first joint: the hours until somebody is here say nothing. */
const fromS = computed(() => {
  const first = smallest(props.found.plan.plan.map(({ startS }) => startS))
  return Math.max(question.value?.startS ?? view.nowS, Number.isFinite(first) ? first - 1800 : 0)
})
const toS = computed(() => {
  // Minutes of work and days of cure do not fit one scale: the tape is as long as the work, and cures run off it.
  const ends = props.found.plan.plan.map(({ endS }) => endS)
  return Math.max(greatest(ends), fromS.value + 4 * 3600) + 1800
})
const inner = computed(() => Math.max(160, width.value - LEFT - 8))
const X = (atS: number): number =>
  LEFT + Math.max(0, Math.min(1, (atS - fromS.value) / (toS.value - fromS.value))) * inner.value
const step = computed(() => timeStep(toS.value - fromS.value, inner.value))
const marks = computed(() => {
  const out: { atS: number; label: string; day: boolean }[] = []
  const first = Math.ceil(fromS.value / step.value) * step.value
  for (let tick = first; tick <= toS.value; tick += step.value) {
    const midnight = hourOf(tick, zone.value) === 0 && tick % 3600 === 0
    out.push({
      atS: tick,
      label: midnight ? weekday(tick, zone.value) : hhmm(tick, zone.value),
      day: midnight,
    })
  }
  return out
})
/** Joints too short to be told apart are drawn as one run, by its first. */
interface Run {
  first: PlannedJoint
  fromS: number
  untilS: number
  count: number
}
const NARROW_PX = 48
/** A pause that belongs to the work: something sets, or somebody goes round a corner. */
const PAUSE_S = 1800
const lineOf = ({ id }: PlannedJoint): string | undefined => view.facts.get(id)?.place.line.id
function runsOf(joints: readonly PlannedJoint[]): Run[] {
  const out: Run[] = []
  for (const joint of joints) {
    const last = out.at(-1)
    const narrow = X(joint.endS) - X(joint.startS) < NARROW_PX
    if (last && narrow && joint.startS - last.untilS < PAUSE_S && lineOf(joint) === lineOf(last.first)) {
      last.untilS = joint.endS
      last.count++
    } else out.push({ first: joint, fromS: joint.startS, untilS: joint.endS, count: 1 })
  }
  return out
}
const runSays = ({ first, count }: Run): string =>
  count === 1 ? props.said.tag(first.id) : `${props.said.tag(first.id)} +${count - 1}`
/** As much of it as has room in its box. */
const runFits = (run: Run): string =>
  [runSays(run), props.said.tag(run.first.id)].find((says) => fits(says, run.fromS, run.untilS)) ?? ''
const lanes = computed(() =>
  (question.value?.people ?? []).map((person) => ({
    id: person.id,
    name: props.said.names.value.get(person.id) ?? '',
    shifts: person.shifts.filter((shift) => shift.fromS < toS.value && shift.untilS > fromS.value),
    runs: runsOf(props.found.plan.plan.filter(({ people }) => people.includes(person.id))),
    count: props.found.plan.plan.filter(({ people }) => people.includes(person.id)).length,
  })),
)
const sections = computed(() =>
  props.said.ready.value
    .filter(({ readyAtS }) => readyAtS > view.nowS)
    .map((one) => {
      const ids = new Set(one.section.jointIds)
      const ends = props.found.plan.plan.filter(({ id }) => ids.has(id)).map(({ endS }) => endS)
      return {
        ...one,
        lastS: ends.length ? greatest(ends) : fromS.value,
        firstS: ends.length ? smallest(ends) : fromS.value,
      }
    }),
)
const height = computed(() => AXIS + (lanes.value.length + sections.value.length) * ROW + 6)
const rowY = (at: number): number => AXIS + at * ROW
const fits = (tag: string, from: number, to: number): boolean => X(to) - X(from) > tag.length * TAG_PX
</script>

<template>
  <div ref="box" class="box">
    <svg class="drawing" :width="width" :height="height" role="group" :aria-label="word('plan-lanes')">
      <rect :x="LEFT" y="0" :width="inner" height="30" class="tape" />
      <g v-for="mark in marks" :key="mark.atS">
        <path :d="`M${X(mark.atS)} 30v-10`" class="tick" />
        <text
          v-if="X(mark.atS) > LEFT + 20 && X(mark.atS) < LEFT + inner - 20"
          :x="X(mark.atS)"
          y="16"
          text-anchor="middle"
          class="numeral"
          :class="{ day: mark.day }"
        >
          {{ mark.label }}
        </text>
      </g>
      <g v-for="(lane, at) in lanes" :key="lane.id">
        <title>{{ word('plan-lane-of', { name: lane.name, count: lane.count }) }}</title>
        <text x="0" :y="rowY(at) + 27" class="who">{{ lane.name }}</text>
        <rect
          v-for="shift in lane.shifts"
          :key="shift.fromS"
          :x="X(shift.fromS)"
          :y="rowY(at) + 4"
          :width="Math.max(1, X(shift.untilS) - X(shift.fromS))"
          :height="ROW - 8"
          class="there"
        />
        <g v-for="run in lane.runs" :key="run.first.id" class="joint" @click="emit('fix', run.first.id)">
          <rect
            :x="X(run.fromS)"
            :y="rowY(at) + 8"
            :width="Math.max(4, X(run.untilS) - X(run.fromS) - 2)"
            :height="ROW - 16"
            class="planned"
            :class="{ fixed: run.count === 1 && job.state.plan.fixed.has(run.first.id) }"
          />
          <text
            v-if="runFits(run)"
            :x="(X(run.fromS) + X(run.untilS)) / 2"
            :y="rowY(at) + 28"
            text-anchor="middle"
            class="tag"
          >
            {{ runFits(run) }}
          </text>
        </g>
        <path :d="`M0 ${rowY(at) + ROW - 1}H${LEFT + inner}`" class="rule" />
      </g>
      <g v-for="(one, i) in sections" :key="one.id">
        <text x="0" :y="rowY(lanes.length + i) + 27" class="who">{{ one.section.tag }}</text>
        <path :d="`M${X(one.firstS)} ${rowY(lanes.length + i) + 22}H${X(one.readyAtS)}`" class="cures" />
        <path
          v-if="one.readyAtS <= toS"
          :d="`M${X(one.readyAtS)} ${rowY(lanes.length + i) + 6}v32`"
          class="tick2"
        />
        <text :x="X(one.readyAtS) - 8" :y="rowY(lanes.length + i) + 16" text-anchor="end" class="tag">
          {{ whenShort(one.readyAtS, view.nowS, zone) }}
        </text>
      </g>
      <path v-if="view.nowS >= fromS - 120" :d="`M${X(view.nowS)} 30V${height}`" class="plumb" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
  margin-block: 12px;
}
.who {
  font: 600 17px var(--text);
  fill: var(--ink);
}
.numeral {
  font: 600 16px var(--figures);
}
.day {
  text-decoration: underline;
}
.there {
  fill: var(--sheet);
  stroke: var(--line);
}
.planned {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 5 3;
  pointer-events: all;
}
.planned.fixed {
  stroke-dasharray: none;
}
.joint {
  cursor: pointer;
}
.tag {
  font: 600 15px var(--figures);
  fill: var(--ink);
}
.cures {
  stroke: var(--cure);
  stroke-width: 8;
  stroke-dasharray: 3 5;
}
.tick2,
.plumb {
  stroke: var(--ink);
  stroke-width: 2;
}
.rule {
  stroke: var(--line);
}
</style>
