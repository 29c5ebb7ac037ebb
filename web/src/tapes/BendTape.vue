<script setup lang="ts">
import { fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useWidth } from '../use-width'
import LengthScale from './LengthScale.vue'
import { word } from '../words/word'

/** The tube still straight, hook at its left end: where each bend begins, and how far it reaches. */
const props = defineProps<{ developedMm: number; bends: readonly { fromMm: number; arcMm: number }[] }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MARGIN = 30
const TUBE_Y = 40
const TUBE_H = 30
const TAPE_Y = 84
const scale = computed(() => (width.value - 2 * MARGIN) / props.developedMm)
const X = (mm: number): number => MARGIN + mm * scale.value
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
</script>

<template>
  <div ref="box" class="box">
    <svg
      class="drawing"
      :width="width"
      height="124"
      role="img"
      :aria-label="
        word('tapes-tube-of-with-bends', {
          figure: figure(developedMm),
          bends: bends.map((b) => figure(b.fromMm)).join(', '),
        })
      "
    >
      <defs>
        <pattern
          id="bend-hatch"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V7" stroke="var(--soft)" stroke-width="1.6" />
        </pattern>
      </defs>
      <rect :x="X(0)" :y="TUBE_Y" :width="X(developedMm) - X(0)" :height="TUBE_H" class="pipe" />
      <g v-for="(b, i) in bends" :key="i">
        <rect
          :x="X(b.fromMm)"
          :y="TUBE_Y"
          :width="b.arcMm * scale"
          :height="TUBE_H"
          fill="url(#bend-hatch)"
        />
        <path :d="`M${X(b.fromMm)} ${TUBE_Y - 10}V${TAPE_Y}`" class="mark" />
        <text :x="X(b.fromMm)" :y="TUBE_Y - 16" text-anchor="middle" class="figure">
          {{ figure(b.fromMm) }}
        </text>
      </g>
      <LengthScale :x="X(0)" :y="TAPE_Y" :to-mm="developedMm" :px-per-mm="scale" />
      <path :d="`M${MARGIN} ${TUBE_Y - 6}V${TAPE_Y + 40}h-8`" class="hook" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
}
.pipe {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.mark {
  stroke: var(--violet);
  stroke-width: 2.5;
  fill: none;
}
.figure {
  font: 600 17px var(--figures);
  fill: var(--violet);
}
</style>
