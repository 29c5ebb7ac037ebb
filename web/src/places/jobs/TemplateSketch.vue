<script setup lang="ts">
import { type Line, foldJob, greatest, layOut } from '@jugalis/core'
import { computed } from 'vue'
import { type Frame, fittingMark, outlines, stemPaths } from '../set-out/line-paths'

/** A line as it would be begun, small: its parts in their order, none of its lengths meant. */
const props = defineProps<{ line: Line }>()
const WIDTH = 300
const LANE = 34
const EDGE = 10
const THICKEST = 12
const laid = computed(() => layOut(foldJob([]), props.line))
const frame = computed<Frame>(() => {
  const scale = (WIDTH - 2 * EDGE) / Math.max(1, laid.value.totalMm)
  const thickest = greatest([...laid.value.parts.map(({ odMm }) => odMm), 1])
  return {
    x: (mm) => EDGE + mm * scale,
    mid: (lane) => lane * LANE + LANE / 2,
    thick: (odMm) => Math.max(5, (odMm / thickest) * THICKEST),
  }
})
const of = (type: 'piece' | 'fitting') => laid.value.parts.filter(({ item }) => item.type === type)
const drawn = computed(() => ({
  pipes: outlines(frame.value, of('piece'), 0),
  fittings: outlines(frame.value, of('fitting'), 3),
  marks: of('fitting')
    .map((part) => fittingMark(frame.value, part))
    .join(''),
  stems: stemPaths(frame.value, laid.value, 0, laid.value.totalMm),
}))
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${laid.lanes * LANE}`" class="sketch" aria-hidden="true">
    <path v-for="stem in drawn.stems" :key="stem.id" :d="stem.d" class="stem" />
    <path :d="drawn.pipes" class="pipe" />
    <path :d="drawn.fittings" class="fitting" />
    <path :d="drawn.marks" class="mark" />
  </svg>
</template>

<style scoped>
.sketch {
  display: block;
  width: 100%;
  height: auto;
}
.stem,
.mark {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.pipe {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.fitting {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
