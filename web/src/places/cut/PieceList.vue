<script setup lang="ts">
import { type PieceCut, entryText, fmt, isUnmeasured, outsideDiameterMm, parseSize } from '@jugalis/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, onMounted, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { named, word } from '../../words/word'

/** The pieces of a job as a grid; only the rows in sight are in the page. */
const props = defineProps<{
  pieces: readonly PieceCut[]
  current: PieceCut | null
  /** Pieces that must not be cut as they stand. */
  warned: ReadonlySet<string>
}>()
const job = useJob()
const narrow = useNarrow()
const scroller = ref<HTMLElement>()
const virtual = useVirtualizer(
  computed(() => ({
    count: props.pieces.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => (narrow.value ? 56 : 44),
    overscan: 8,
  })),
)
watch(narrow, () => virtual.value.measure())
const toCurrent = (): void => {
  const at = props.pieces.findIndex((p) => p === props.current)
  if (at >= 0) virtual.value.scrollToIndex(at, { align: 'auto' })
}
watch(() => props.current?.item.id, toCurrent)
onMounted(toCurrent)
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
const longest = computed(() =>
  Math.max(
    1,
    props.pieces.reduce((most, p) => Math.max(most, p.cutMm.value ?? 0), 0),
  ),
)
const thick = (size: string): number => {
  const read = parseSize(size)
  return Math.min(16, Math.max(6, ((read && outsideDiameterMm(read)) ?? 50) * 0.15))
}
const measured = (piece: PieceCut): string =>
  piece.item.bend
    ? entryText(piece.item, job.reader)
    : piece.item.measuredMm === null
      ? ''
      : figure(piece.item.measuredMm)
function state(piece: PieceCut): string {
  if (piece.changedSinceCut) return word('cut-changed-since-cut')
  if (piece.isCut) return word('paper-cut-done')
  if (isUnmeasured(piece.item)) return word('cut-to-measure')
  if (piece.cutMm.value === null) return word('ui-not-yet-known')
  return props.warned.has(piece.item.id) ? word('cut-no-room') : word('cut-to-cut')
}
const fittingAt = (piece: PieceCut, end: 0 | 1): string => {
  const kind = piece.ends[end].fitting?.fitting
  return kind ? named(kind) : word('ui-free-end')
}
</script>

<template>
  <div
    ref="scroller"
    class="pieces long-grid"
    role="grid"
    :aria-label="word('cut-pieces')"
    :aria-rowcount="pieces.length + 1"
    tabindex="0"
  >
    <div class="piece grid-row grid-head" role="row" aria-rowindex="1">
      <span role="columnheader">{{ word('ui-piece') }}</span>
      <span role="columnheader">{{ word('ui-size') }}</span>
      <span class="wide" role="columnheader">{{ word('cut-between') }}</span>
      <span class="wide" role="columnheader">{{ word('cut-to-one-scale') }}</span>
      <span class="right" role="columnheader">{{ word('cut-measured') }}</span>
      <span class="right" role="columnheader">{{ word('cut-length') }}</span>
      <span role="columnheader">{{ word('cut-state') }}</span>
    </div>
    <div role="presentation" class="grid-space" :style="{ height: `${virtual.getTotalSize()}px` }">
      <div
        v-for="v in virtual.getVirtualItems()"
        :key="pieces[v.index]!.item.id"
        class="piece grid-row"
        role="row"
        :aria-rowindex="v.index + 2"
        :class="{ here: pieces[v.index] === current }"
        :style="{ transform: `translateY(${v.start}px)`, height: `${v.size}px` }"
      >
        <span role="gridcell">
          <RouterLink
            class="strong reach"
            :to="{ name: 'cut', params: { jobId: job.jobId, itemId: pieces[v.index]!.item.id } }"
            >{{ pieces[v.index]!.item.tag }}</RouterLink
          >
        </span>
        <span role="gridcell">{{ pieces[v.index]!.item.size }}</span>
        <span class="wide" role="gridcell">{{
          word('cut-and', {
            one: fittingAt(pieces[v.index]!, 0),
            other: fittingAt(pieces[v.index]!, 1),
          })
        }}</span>
        <span class="wide" role="gridcell">
          <svg width="150" height="18" aria-hidden="true">
            <rect
              x="1"
              :y="9 - thick(pieces[v.index]!.item.size) / 2"
              :width="((pieces[v.index]!.cutMm.value ?? 0) / longest) * 146"
              :height="thick(pieces[v.index]!.item.size)"
              class="bar"
            />
          </svg>
        </span>
        <span class="right figure" role="gridcell">{{ measured(pieces[v.index]!) }}</span>
        <span class="right figure strong" role="gridcell">{{
          pieces[v.index]!.cutMm.value === null ? '?' : figure(pieces[v.index]!.cutMm.value as number)
        }}</span>
        <span role="gridcell" :class="{ refusal: state(pieces[v.index]!) === 'no room' }">{{
          state(pieces[v.index]!)
        }}</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.pieces {
  max-height: max(300px, 44vh);
}
.piece {
  grid-template-columns: 112px 70px minmax(150px, 1fr) 156px minmax(70px, auto) 76px 130px;
  column-gap: 12px;
}
.piece > span {
  overflow: hidden;
  text-overflow: ellipsis;
}
.right {
  text-align: end;
}
.figure {
  font: 500 18px/1 var(--figures);
}
.bar {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.5;
}
@media (max-width: 720px) {
  .wide {
    display: none;
  }
  .piece {
    grid-template-columns: 84px 50px minmax(56px, 1fr) 60px 84px;
    column-gap: 8px;
  }
}
@media (max-width: 360px) {
  .piece {
    grid-template-columns: 62px 40px minmax(44px, 1fr) 50px 60px;
    column-gap: 6px;
  }
}
</style>
