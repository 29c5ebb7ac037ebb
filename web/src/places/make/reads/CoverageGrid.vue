<script setup lang="ts">
import { type Field, judgePeel, leakPathOf, seenIn } from '@jugalis/core'
import { computed, ref } from 'vue'
import ChipChoice from '../../../frame/ChipChoice.vue'
import { useJob } from '../../../stores/job'
import { useNarrow } from '../../../use-narrow'
import { word } from '../../../words/word'

/**
 * Solder seen in the cup, unrolled: across it goes round from 12 o'clock, down it goes from the face to the stop.
 * Starts fully covered; what is bare or burnt is painted with a drag.
 */
defineProps<{ field: Field }>()
const model = defineModel<number[][] | null>({ required: true })
const job = useJob()
const narrow = useNarrow()
const COVERED = 1
const brush = ref<0 | 2>(0)
/** Twice as fine where there is room; what was begun keeps its grid. */
const columns = computed(() => model.value?.length ?? (narrow.value ? 8 : 16))
const rows = computed(() => model.value?.[0]?.length ?? (narrow.value ? 5 : 10))
const grid = computed(
  () =>
    model.value ??
    Array.from({ length: columns.value }, () => Array.from({ length: rows.value }, () => COVERED)),
)
const seen = computed(() => seenIn(grid.value) ?? { grid: grid.value, burnt: false })
const peel = computed(() => judgePeel(seen.value.grid))
/** The bare path as a line through the cells; where it goes round past 12 o'clock it begins again. */
const path = computed(() =>
  (leakPathOf(seen.value.grid) ?? [])
    .map(([column, row], i, all) => {
      const before = all[i - 1]
      const far = before !== undefined && Math.abs(before[0] - column) > 1
      return `${i && !far ? 'L' : 'M'}${column + 0.5} ${row + 0.5}`
    })
    .join(''),
)
let paints = 0
const painting = ref(false)
function paint(at: number, row: number): void {
  const next = grid.value.map((col) => [...col])
  const column = next[at]
  if (!column) return
  column[row] = paints
  model.value = next
}
function start(column: number, row: number): void {
  paints = grid.value[column]?.[row] === brush.value ? COVERED : brush.value
  painting.value = true
  paint(column, row)
}
function over(event: PointerEvent): void {
  if (!painting.value) return
  const cell = (document.elementFromPoint(event.clientX, event.clientY) as HTMLElement | null)?.dataset
  if (cell?.c) paint(Number(cell.c), Number(cell.r))
}
const stateOf = (column: number, row: number): string =>
  ['bare', 'covered', 'burnt'][grid.value[column]?.[row] ?? 1] as string
const words = computed(() => {
  const share = peel.value
  return word('make-covered-largest-void-no', {
    coveragePct: Math.round(share.coveragePct),
    largestVoidPct: Math.round(share.largestVoidPct),
    isLeakPath: share.leakPath ? 'yes' : 'no',
    isBurnt: seen.value.burnt ? 'yes' : 'no',
  })
})
</script>

<template>
  <div class="coverage">
    <ChipChoice
      v-model="brush"
      :label="word('make-what-is-painted')"
      :options="[
        [0, word('make-paint-bare')],
        [2, word('make-paint-burnt')],
      ]"
    />
    <div
      class="grid"
      :class="{ fine: rows > 5 }"
      role="group"
      :aria-label="job.t(field.label)"
      :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }"
      @pointermove="over"
      @pointerup="painting = false"
      @pointerleave="painting = false"
    >
      <template v-for="r in rows" :key="r">
        <button
          v-for="c in columns"
          :key="c"
          type="button"
          class="cell"
          :class="stateOf(c - 1, r - 1)"
          :data-c="c - 1"
          :data-r="r - 1"
          :aria-pressed="stateOf(c - 1, r - 1) !== 'covered'"
          :aria-label="
            word('make-degrees-of-from-the', {
              c: ((c - 1) * 360) / columns,
              r,
              rows,
              stateOf: stateOf(c - 1, r - 1),
            })
          "
          @pointerdown.prevent="start(c - 1, r - 1)"
          @keydown.enter.space.prevent="start(c - 1, r - 1)"
        />
      </template>
      <svg
        v-if="path"
        class="path"
        :viewBox="`0 0 ${columns} ${rows}`"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path :d="path" vector-effect="non-scaling-stroke" />
      </svg>
    </div>
    <p class="words" aria-live="polite">{{ words }}</p>
  </div>
</template>

<style scoped>
.coverage {
  width: 100%;
}
.grid {
  position: relative;
  display: grid;
  touch-action: none;
  border: 2px solid var(--ink);
  max-width: 520px;
  margin: 6px auto 0;
}
.cell {
  height: 36px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 0;
  background: var(--set);
  cursor: crosshair;
}
.bare {
  background: repeating-linear-gradient(45deg, var(--sheet) 0 5px, var(--ink) 5px 7px);
}
.burnt {
  background:
    repeating-linear-gradient(45deg, transparent 0 6px, var(--sheet) 6px 7.5px),
    repeating-linear-gradient(-45deg, transparent 0 6px, var(--sheet) 6px 7.5px), var(--ink);
}
.fine .cell {
  height: 22px;
}
.path {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.path path {
  fill: none;
  stroke: var(--stop);
  stroke-width: 5px;
}
.words {
  text-align: center;
}
</style>
