<script setup lang="ts">
import { type Field, judgePeel } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../../stores/job'

/**
 * Solder seen in the cup, unrolled: across it goes round from 12 o'clock, down it goes from the face to the stop.
 * Starts fully covered; what is bare is painted with a drag.
 */
defineProps<{ field: Field }>()
const model = defineModel<number[][] | null>({ required: true })
const job = useJob()
const COLUMNS = 8
const ROWS = 5
const full = (): number[][] => Array.from({ length: COLUMNS }, () => Array.from({ length: ROWS }, () => 1))
const grid = computed(() => model.value ?? full())
const peel = computed(() => judgePeel(grid.value))
let brush = 0
const painting = ref(false)
function paint(c: number, r: number): void {
  const next = grid.value.map((col) => [...col])
  const column = next[c]
  if (!column) return
  column[r] = brush
  model.value = next
}
function start(c: number, r: number): void {
  brush = grid.value[c]?.[r] ? 0 : 1
  painting.value = true
  paint(c, r)
}
function over(e: PointerEvent): void {
  if (!painting.value) return
  const cell = (document.elementFromPoint(e.clientX, e.clientY) as HTMLElement | null)?.dataset
  if (cell?.c) paint(Number(cell.c), Number(cell.r))
}
const words = computed(() => {
  const p = peel.value
  return `${Math.round(p.coveragePct)} % covered, largest void ${Math.round(p.largestVoidPct)} %, ${p.leakPath ? 'a bare path from face to stop' : 'no path through'}.`
})
</script>

<template>
  <div class="coverage">
    <div
      class="grid"
      role="group"
      :aria-label="job.t(field.label)"
      @pointermove="over"
      @pointerup="painting = false"
      @pointerleave="painting = false"
    >
      <template v-for="r in ROWS" :key="r">
        <button
          v-for="c in COLUMNS"
          :key="c"
          type="button"
          class="cell"
          :class="{ bare: !grid[c - 1]?.[r - 1] }"
          :data-c="c - 1"
          :data-r="r - 1"
          :aria-pressed="!grid[c - 1]?.[r - 1]"
          :aria-label="`${(c - 1) * 45} degrees, ${r} of ${ROWS} from the face: ${grid[c - 1]?.[r - 1] ? 'covered' : 'bare'}`"
          @pointerdown.prevent="start(c - 1, r - 1)"
          @keydown.enter.space.prevent="start(c - 1, r - 1)"
        />
      </template>
    </div>
    <p class="words" aria-live="polite">{{ words }}</p>
  </div>
</template>

<style scoped>
.coverage {
  width: 100%;
}
.grid {
  display: grid;
  grid-template-columns: repeat(8, minmax(0, 1fr));
  touch-action: none;
  border: 2px solid var(--ink);
  max-width: 420px;
  margin: auto;
}
.cell {
  height: 36px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 0;
  background: var(--pipe);
  cursor: crosshair;
}
.bare {
  background: repeating-linear-gradient(45deg, var(--sheet) 0 5px, var(--ink) 5px 7px);
}
.words {
  text-align: center;
}
</style>
