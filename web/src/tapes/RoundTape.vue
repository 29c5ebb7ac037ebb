<script setup lang="ts">
import { fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useWidth } from '../use-width'
import LengthScale from './LengthScale.vue'

/** A tape laid once round a pipe, flat: from where it is measured, clockwise, and round to there again. */
const props = defineProps<{
  roundMm: number
  atMm: number
  /** What stands over each quarter, from the beginning on. */
  quarters: readonly string[]
  says: string
}>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MARGIN = 34
const TAPE_Y = 62
const scale = computed(() => (width.value - 2 * MARGIN) / props.roundMm)
const X = (mm: number): number => MARGIN + mm * scale.value
const places = computed(() =>
  [...props.quarters, props.quarters[0] ?? ''].map((name, i) => ({ name, x: X((props.roundMm * i) / 4) })),
)
</script>

<template>
  <div ref="box" class="box">
    <svg class="drawing" :width="width" height="106" role="img" :aria-label="says">
      <g v-for="(place, i) in places" :key="i">
        <text :x="place.x" y="14" text-anchor="middle" class="quarter">{{ place.name }}</text>
        <path :d="`M${place.x} 20V${TAPE_Y}`" class="line" />
      </g>
      <path :d="`M${X(atMm)} 26V${TAPE_Y + 40}`" class="mark" />
      <text
        :x="X(atMm) + (atMm > roundMm / 2 ? -7 : 7)"
        y="44"
        :text-anchor="atMm > roundMm / 2 ? 'end' : 'start'"
        class="figure"
      >
        {{ fmt.lengthFigure(atMm, job.reader) }}
      </text>
      <LengthScale :x="X(0)" :y="TAPE_Y" :to-mm="roundMm" :px-per-mm="scale" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
}
.quarter {
  font: 500 14px var(--text);
  fill: var(--soft);
}
.line {
  stroke: var(--soft);
  stroke-width: 1;
}
.mark {
  stroke: var(--violet);
  stroke-width: 3;
}
.figure {
  font: 600 17px var(--figures);
  fill: var(--violet);
}
</style>
