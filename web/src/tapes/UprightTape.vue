<script setup lang="ts">
import { type PieceCut, fmt, shortTag, tapsOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { word } from '../words/word'

/** The piece's tape down the phone's left edge: marks in the order they are met from the hook, broken between ends. */
const props = defineProps<{ piece: PieceCut }>()
const job = useJob()
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
const TAPE_W = 74
/** From mark to mark, and the least length with two an end: low enough that what is done next stays in sight, px. */
const [STEP, LEAST] = [46, 278]
const marks = computed(() => {
  const length = props.piece.cutMm.value ?? 0
  const at = props.piece.ends.flatMap((end, i) => {
    const list: { mm: number; as: 'depth' | 'check' | 'sand' | 'bend' | 'hole'; says: string }[] = []
    if (end.depthMm?.value != null)
      list.push({
        mm: i ? length - end.depthMm.value : end.depthMm.value,
        as: 'depth',
        says: word('tapes-depth', { figure: figure(end.depthMm.value) }),
      })
    if (end.checkMarkMm?.value != null)
      list.push({
        mm: i ? length - end.checkMarkMm.value : end.checkMarkMm.value,
        as: 'check',
        says: word('tapes-check', { figure: figure(end.checkMarkMm.value) }),
      })
    if (end.sandMm?.value != null)
      list.push({
        mm: i ? length - end.sandMm.value : end.sandMm.value,
        as: 'sand',
        says: word('tapes-sand-to', { figure: figure(end.sandMm.value) }),
      })
    return list
  })
  for (const bend of props.piece.bends)
    at.push({
      mm: bend.atMm,
      as: 'bend',
      says: word('tapes-bend', { turn: Math.abs(bend.turnDeg), side: bend.turnDeg < 0 ? 'right' : 'left' }),
    })
  for (const { saddle, fromEndMm } of tapsOf(props.piece))
    if (fromEndMm.value !== null)
      at.push({
        mm: fromEndMm.value,
        as: 'hole',
        says: word('tapes-hole', {
          figure: figure(fromEndMm.value),
          tag: shortTag(props.piece.line.tag, saddle.tag),
        }),
      })
  const sorted = [...at].sort((a, b) => a.mm - b.mm)
  const count = sorted.length
  const half = Math.ceil(count / 2)
  const tall = LEAST + Math.max(0, count - 4) * STEP
  // Two marks near the hook, two near the cut: evenly set, since the tape itself carries the figures.
  return sorted.map((m, i) => ({ ...m, y: i < half ? 54 + i * STEP : tall - 42 - (count - 1 - i) * STEP }))
})
/** Taller where there are more marks than two an end. */
const HEIGHT = computed(() => LEAST + Math.max(0, marks.value.length - 4) * STEP)
const lengthMm = computed(() => props.piece.cutMm.value ?? 0)
</script>

<template>
  <svg
    :width="330"
    :height="HEIGHT + 24"
    :viewBox="`0 0 330 ${HEIGHT + 24}`"
    class="drawing upright"
    role="img"
    :aria-label="word('tapes-marks-of-from-the', { tag: piece.item.tag })"
  >
    <path :d="`M0 12H${TAPE_W}V${HEIGHT / 2 - 8}l-${TAPE_W / 2} -9l-${TAPE_W / 2} 9Z`" class="tape" />
    <path :d="`M0 ${HEIGHT / 2 + 14}l${TAPE_W / 2} -9l${TAPE_W / 2} 9V${HEIGHT}H0Z`" class="tape" />
    <path d="M-2 10H88" class="hook" />
    <text :x="96" y="17" class="end">
      {{ word('tapes-0-hook-on', { jointTag: piece.ends[0].jointTag ?? word('tapes-the-free-end') }) }}
    </text>
    <g v-for="m in marks" :key="m.mm">
      <path :d="`M0 ${m.y}H${TAPE_W + 14}`" :class="m.as" />
      <text :x="TAPE_W / 2" :y="m.y - 6" class="numeral" text-anchor="middle">{{ figure(m.mm) }}</text>
      <text :x="TAPE_W + 22" :y="m.y + 6" :class="['says', m.as]">{{ m.says }}</text>
    </g>
    <path :d="`M${TAPE_W} ${HEIGHT - 7}v14l-12 -7z`" class="cut" />
    <text :x="96" :y="HEIGHT + 6" class="end strong">
      {{ word('tapes-cut-here', { figure: figure(lengthMm) }) }}
    </text>
  </svg>
</template>

<style scoped>
.upright {
  display: block;
  max-width: 100%;
  height: auto;
  overflow: visible;
}
.hook {
  stroke-width: 5;
}
path.depth {
  stroke: var(--violet);
  stroke-width: 4;
}
path.sand,
path.bend,
path.hole {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
path.check {
  stroke: var(--ink);
  stroke-width: 4;
}
.numeral {
  font: 600 22px var(--figures);
}
.says {
  font: 600 20px var(--text);
  fill: var(--ink);
}
text.depth {
  fill: var(--violet);
}
.end {
  font: 500 17px var(--text);
  fill: var(--soft);
}
.strong {
  font-weight: 600;
  fill: var(--ink);
}
.cut {
  fill: var(--ink);
}
</style>
