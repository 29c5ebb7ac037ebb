<script setup lang="ts">
import type { JointInSection } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { glyphBody } from '../../tapes/glyph-shapes'
import { whenShort } from '../../when'
import { COLUMN, RIGHT, ROW, SLOT } from './lane-sizes'
import type { Lane } from './lane'
import { word } from '../../words/word'

/** One joint's lane: window slot, set, four steps of cure, ready; and its two times at the right. */
const props = defineProps<{
  j: JointInSection
  lane: Lane | null
  y: number
  left: number
  inner: number
  width: number
  fromS: number
  toS: number
  nowS: number
  holdsBack: boolean
}>()
const job = useJob()
const zone = computed(() => job.state.job.zone)
const X = (atS: number): number =>
  props.left + Math.max(0, Math.min(1, (atS - props.fromS) / (props.toS - props.fromS))) * props.inner
const onAxis = (atS: number | null): boolean => atS !== null && atS >= props.fromS && atS <= props.toS
const quarter = (a: number, b: number, k: number): number => a + ((b - a) * k) / 4
const ready = computed(() => {
  if (!props.lane) return ''
  if (props.j.look.glyph === 'failed') return 'failed'
  return props.lane.readyS === null
    ? word('ui-no-figure')
    : whenShort(props.lane.readyS, props.nowS, zone.value)
})
const move = computed(() => {
  if (!props.lane) return ''
  if (props.lane.planned)
    return word('wait-plan-at', { at: whenShort(props.lane.homeS, props.nowS, zone.value) })
  return props.lane.setS === null ? word('ui-no-figure') : whenShort(props.lane.setS, props.nowS, zone.value)
})
</script>

<template>
  <g>
    <path :d="`M0 ${y + ROW - 1}H${width}`" class="rule" />
    <RouterLink :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.facts.id } }">
      <svg
        x="0"
        :y="y + 5"
        width="36"
        height="20"
        viewBox="0 0 36 20"
        overflow="visible"
        role="img"
        :aria-label="`${j.facts.tag}, ${job.t(j.look.word)}`"
        v-html="glyphBody(j.look.glyph, j.look.inspected, j.look.look)"
      />
      <text x="46" :y="y + 21" class="tag">
        {{ j.facts.tag }}
        <tspan v-if="j.look.life > 1" class="soft">²</tspan>
      </text>
    </RouterLink>
    <text x="112" :y="y + 21" class="soft">{{ j.facts.place.way.size }}</text>
    <template v-if="lane && lane.homeS < toS">
      <g v-if="!lane.planned" :class="{ heavy: holdsBack }">
        <rect
          v-if="lane.slotS !== null && onAxis(lane.homeS)"
          :x="X(lane.homeS) - SLOT"
          :y="y + 4"
          :width="SLOT"
          height="22"
          fill="url(#lane-hatch)"
          class="slot"
        />
        <template v-if="lane.setS !== null">
          <rect
            :x="X(lane.homeS)"
            :y="y + 4"
            :width="Math.max(3, X(lane.setS) - X(lane.homeS))"
            height="16"
            class="set"
          />
          <rect
            :x="X(lane.homeS)"
            :y="y + 20"
            :width="Math.max(3, X(lane.setS) - X(lane.homeS))"
            height="6"
            fill="url(#base-hatch)"
          />
          <template v-if="lane.readyS !== null">
            <rect
              v-for="k in [0, 1, 2, 3]"
              :key="k"
              :x="X(quarter(lane.setS, lane.readyS, k))"
              :y="y + 26 - 4 - k * 4.6"
              :width="X(quarter(lane.setS, lane.readyS, k + 1)) - X(quarter(lane.setS, lane.readyS, k))"
              :height="4 + k * 4.6"
              class="cure"
            />
            <rect
              v-if="lane.readyS < toS"
              :x="X(lane.readyS)"
              :y="y + 4"
              :width="left + inner - X(lane.readyS)"
              height="22"
              class="ready"
            />
            <path v-if="onAxis(lane.readyS)" :d="`M${X(lane.readyS)} ${y + 1}v28`" class="tick2" />
          </template>
          <path v-else :d="`M${X(lane.setS)} ${y + 24}H${left + inner}`" class="unknown" />
        </template>
      </g>
      <g v-else>
        <rect
          :x="X(lane.homeS)"
          :y="y + 5"
          :width="Math.max(4, (lane.readyS === null ? left + inner : X(lane.readyS)) - X(lane.homeS))"
          height="20"
          class="planned"
        />
        <path v-if="onAxis(lane.readyS)" :d="`M${X(lane.readyS ?? 0)} ${y + 1}v28`" class="tick2" />
      </g>
    </template>
    <text
      :x="width - RIGHT + 12"
      :y="y + 21"
      class="time"
      :class="{ past: lane && !lane.planned && (lane.setS ?? Infinity) < nowS }"
    >
      {{ move }}
    </text>
    <text
      :x="width - COLUMN + 6"
      :y="y + 21"
      class="time"
      :class="{ bold: holdsBack, past: (lane?.readyS ?? Infinity) < nowS }"
    >
      {{ ready }}
    </text>
    <path v-if="holdsBack" :d="`M${width - COLUMN - 8} ${y + 9}h8v7l-4 8l-4 -8z`" class="bob" />
  </g>
</template>

<style scoped>
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
.bob {
  fill: var(--ink);
}
</style>
