<script setup lang="ts">
import type { Surface } from '@jugalis/core'
import { computed } from 'vue'
import { word } from '../../words/word'

/** The surface that should hold, laid flat: the darker a cell, the more of it is there. Bare cells show their hatch. */
const props = defineProps<{ surface: Surface; what: string }>()
const CELL_W = 26
const CELL_H = 11
const LEFT = 44
const TOP = 6
const columns = computed(() => props.surface[0]?.length ?? 0)
const rows = computed(() => props.surface.length)
const width = computed(() => LEFT + columns.value * CELL_W + 4)
const height = computed(() => TOP + rows.value * CELL_H + 26)
const cells = computed(() =>
  props.surface.flatMap((row, down) =>
    row.map((held, along) => ({
      key: `${down} ${along}`,
      x: LEFT + along * CELL_W,
      y: TOP + down * CELL_H,
      held,
    })),
  ),
)
const clocks = computed(() =>
  [12, 3, 6, 9].map((clock) => ({ clock, y: TOP + (((clock % 12) / 12) * rows.value + 0.9) * CELL_H })),
)
const mean = computed(() => {
  const all = props.surface.flat()
  return Math.round((100 * all.reduce((sum, held) => sum + held, 0)) / all.length)
})
/** Where it is weakest, as a clock has it. */
const weakest = computed(() => {
  const sums = props.surface.map((row) => row.reduce((sum, held) => sum + held, 0))
  const at = sums.indexOf(sums.reduce((least, sum) => Math.min(least, sum), Infinity))
  return Math.round((at / rows.value) * 12) || 12
})
const says = computed(() =>
  word('practice-surface-says', { pct: mean.value, what: props.what, clock: weakest.value }),
)
</script>

<template>
  <figure class="flat">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="says">
      <defs>
        <pattern id="bare" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--sheet)" />
          <rect width="1.6" height="6" fill="var(--edge)" />
        </pattern>
      </defs>
      <g v-for="cell in cells" :key="cell.key">
        <rect :x="cell.x" :y="cell.y" :width="CELL_W" :height="CELL_H" fill="url(#bare)" />
        <rect :x="cell.x" :y="cell.y" :width="CELL_W" :height="CELL_H" class="held" :opacity="cell.held" />
      </g>
      <rect :x="LEFT" :y="TOP" :width="columns * CELL_W" :height="rows * CELL_H" class="edge" />
      <text v-for="c in clocks" :key="c.clock" :x="LEFT - 8" :y="c.y" text-anchor="end">{{ c.clock }}</text>
      <text :x="LEFT" :y="height - 6">{{ word('practice-face') }}</text>
      <text :x="width - 4" :y="height - 6" text-anchor="end">{{ word('practice-stop-end') }}</text>
    </svg>
    <figcaption>
      <b>{{ says }}</b> {{ word('practice-surface', { what }) }}
    </figcaption>
  </figure>
</template>

<style scoped>
.flat {
  margin: 0;
  max-width: 520px;
}
svg {
  shape-rendering: crispEdges;
  width: 100%;
  height: auto;
}
.held {
  fill: var(--steel);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font: 500 17px var(--figures);
  fill: var(--ink);
}
figcaption {
  color: var(--soft);
}
figcaption b {
  color: var(--ink);
}
</style>
