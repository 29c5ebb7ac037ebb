<script setup lang="ts">
import { computed } from 'vue'
import { word } from '../words/word'

/** Holes for saddles on a piece's tape: on the pipe where that is drawn, else said in its break. Stands inside an svg. */
const props = defineProps<{
  holes: readonly { id: string; drawn: boolean; x: number; says: string }[]
  mid: number
  pipeHigh: number
  tapeY: number
  /** Ends of the drawing: texts stay between them. */
  from: number
  to: number
}>()
/** Several in the break are counted there: the headline says them all. */
const shown = computed(() => {
  const between = props.holes.filter(({ drawn }) => !drawn)
  const [first] = between
  if (!first || between.length === 1) return props.holes
  const counted = { ...first, says: word('tapes-holes-between', { count: between.length }) }
  return [...props.holes.filter(({ drawn }) => drawn), counted]
})
/** A text nearer to an end than this begins, or ends, at its hole. */
const NEAR_PX = 90
const anchor = (x: number): string =>
  x > props.to - NEAR_PX ? 'end' : x < props.from + NEAR_PX ? 'start' : 'middle'
</script>

<template>
  <g v-for="(hole, i) in shown" :key="hole.id">
    <circle v-if="hole.drawn" :cx="hole.x" :cy="mid" :r="Math.max(4, pipeHigh / 8)" class="hole" />
    <path v-if="hole.drawn" :d="`M${hole.x} ${mid - pipeHigh / 2 - 6}V${tapeY}`" class="hole" />
    <text :x="hole.x" :y="mid - pipeHigh / 2 - 10 - (i % 2) * 18" class="label" :text-anchor="anchor(hole.x)">
      {{ hole.says }}
    </text>
  </g>
</template>

<style scoped>
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.label {
  font: 600 17px var(--figures);
  fill: var(--ink);
}
</style>
