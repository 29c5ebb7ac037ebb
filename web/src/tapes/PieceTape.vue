<script setup lang="ts">
import { type PieceCut, fmt, outsideDiameterMm, parseSize, shortTag, tapsOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useWidth } from '../use-width'
import PieceHoles from './PieceHoles.vue'
import { lengthTicks } from './ticks'
import { word } from '../words/word'

const props = defineProps<{ piece: PieceCut }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MARGIN = 26
const TOP = 44
const lengthMm = computed(() => props.piece.cutMm.value ?? 0)
const odMm = computed(
  () =>
    outsideDiameterMm(parseSize(props.piece.item.size) ?? { text: 'd50', family: 'd', nominal: 50 }) ?? 50,
)
const sand = (end: 0 | 1): number => props.piece.ends[end].sandMm?.value ?? 0
const depth = (end: 0 | 1): number => props.piece.ends[end].depthMm?.value ?? 0
const check = (end: 0 | 1): number => props.piece.ends[end].checkMarkMm?.value ?? 0
const inner = computed(() => width.value - 2 * MARGIN)
const zoneMm = computed(() => Math.max(check(0), check(1), 80) * 1.35)
/** Drawn whole when the ends keep 120 px each, else broken in the middle. */
const whole = computed(
  () =>
    props.piece.bends.length > 0 ||
    (lengthMm.value * (inner.value / lengthMm.value) > 0 &&
      (zoneMm.value * inner.value) / lengthMm.value >= 150),
)
const scale = computed(() =>
  whole.value
    ? inner.value / lengthMm.value
    : Math.min(150 / odMm.value, (inner.value / 2 - 22) / zoneMm.value),
)
const halfMm = computed(() => (whole.value ? lengthMm.value / 2 : (inner.value / 2 - 22) / scale.value))
const x = (mm: number): number =>
  whole.value || mm <= halfMm.value
    ? MARGIN + mm * scale.value
    : MARGIN + inner.value - (lengthMm.value - mm) * scale.value
const pipeH = computed(() => Math.max(20, Math.min(150, odMm.value * scale.value)))
const mid = computed(() => TOP + 12 + pipeH.value / 2)
const tapeY = computed(() => mid.value + pipeH.value / 2 + 40)
const height = computed(() => tapeY.value + 46)
const ticks = computed(() => {
  const reader = job.reader
  if (whole.value) return lengthTicks(0, lengthMm.value, scale.value, reader)
  return [
    ...lengthTicks(0, halfMm.value, scale.value, reader),
    ...lengthTicks(lengthMm.value - halfMm.value, lengthMm.value, scale.value, reader),
  ]
})
const fits = (at: number): boolean => {
  const half = inner.value / 2 - 22
  if (whole.value) return at > MARGIN + 14 && at < MARGIN + inner.value - 20
  return (
    (at > MARGIN + 14 && at < MARGIN + half - 16) ||
    (at > MARGIN + inner.value - half + 16 && at < MARGIN + inner.value - 20)
  )
}
const tickH = { small: 8, mid: 13, big: 18 } as const
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
const ends = computed(() =>
  ([0, 1] as const)
    .filter((e) => props.piece.ends[e].depthMm)
    .map((end) => ({
      e: end,
      depthX: x(end === 0 ? depth(0) : lengthMm.value - depth(1)),
      checkX: x(end === 0 ? check(0) : lengthMm.value - check(1)),
      sandX: x(end === 0 ? sand(0) : lengthMm.value - sand(1)),
      faceX: x(end === 0 ? 0 : lengthMm.value),
      name: word('tapes-joint-in', {
        joint: props.piece.ends[end].jointTag,
        fitting: props.piece.ends[end].fitting?.fitting ?? word('tapes-fitting'),
      }),
    })),
)
/** Holes for saddles: on the pipe where that is drawn, else in the break. */
const holes = computed(() =>
  tapsOf(props.piece).flatMap(({ saddle, fromEndMm }) => {
    const mm = fromEndMm.value
    if (mm === null) return []
    const drawn = whole.value || mm <= halfMm.value || mm >= lengthMm.value - halfMm.value
    const tag = shortTag(props.piece.line.tag, saddle.tag)
    return [
      {
        id: saddle.id,
        drawn,
        x: drawn ? x(mm) : MARGIN + inner.value / 2,
        says: word('tapes-hole', { figure: figure(mm), tag }),
      },
    ]
  }),
)
const gap = computed(() => figure(check(0) - depth(0)))
</script>

<template>
  <div ref="box" class="box">
    <svg
      class="drawing"
      :width="width"
      :height="height"
      role="img"
      :aria-label="
        word('tapes-piece-cut-depth-mark', {
          tag: piece.item.tag,
          cut: figure(lengthMm),
          depth: figure(depth(0)),
          check: figure(check(0)),
          hasCheck: check(0) ? 'yes' : 'no',
        })
      "
    >
      <g v-for="end in ends" :key="end.e">
        <rect
          :x="end.e ? end.depthX : end.faceX - 8"
          :y="mid - pipeH / 2 - 9"
          :width="Math.abs(end.depthX - end.faceX) + 8"
          :height="pipeH + 18"
          class="socket"
        />
      </g>
      <path
        v-if="whole"
        :d="`M${x(0)} ${mid - pipeH / 2}H${x(lengthMm)}V${mid + pipeH / 2}H${x(0)}Z`"
        class="pipe"
      />
      <template v-else>
        <path
          :d="`M${x(halfMm)} ${mid - pipeH / 2}H${x(0)}V${mid + pipeH / 2}H${x(halfMm)}l7 ${-pipeH / 4}l-14 ${-pipeH / 2}Z`"
          class="pipe"
        />
        <path
          :d="`M${x(halfMm) + 44} ${mid - pipeH / 2}H${x(lengthMm)}V${mid + pipeH / 2}H${x(halfMm) + 44}l7 ${-pipeH / 4}l-14 ${-pipeH / 2}Z`"
          class="pipe"
        />
      </template>
      <path :d="`M${x(0) - 14} ${mid}H${x(lengthMm) + 14}`" class="axis" />
      <text
        v-if="ends[0] && !ends[0].e && check(0)"
        :x="(ends[0].depthX + ends[0].checkX) / 2"
        :y="mid - 8"
        class="after"
        text-anchor="middle"
      >
        {{
          ends[0].checkX - ends[0].depthX > 160
            ? word('tapes-after-face-to-mark', { gap })
            : ends[0].checkX - ends[0].depthX > 112
              ? word('tapes-face-to-mark', { gap })
              : gap
        }}
      </text>
      <g v-for="(b, i) in piece.bends" :key="`b${i}`">
        <rect
          :x="x(b.atMm)"
          :y="mid - pipeH / 2"
          :width="x(b.endMm) - x(b.atMm)"
          :height="pipeH"
          class="bent"
        />
        <path :d="`M${x(b.atMm)} ${mid - pipeH / 2 - 6}V${tapeY}`" class="bend" />
        <text :x="x(b.atMm) + 5" :y="mid - pipeH / 2 - 10" class="label ink">
          {{ Math.abs(b.turnDeg) }}° {{ b.turnDeg < 0 ? word('tapes-right') : word('tapes-left-2') }},
          {{ figure(b.atMm) }}
        </text>
      </g>
      <PieceHoles
        :holes="holes"
        :mid="mid"
        :pipe-high="pipeH"
        :tape-y="tapeY"
        :from="MARGIN"
        :to="MARGIN + inner"
      />
      <g v-for="end in ends" :key="`m${end.e}`">
        <path v-if="check(end.e)" :d="`M${end.checkX} ${TOP - 8}V${tapeY}`" class="check" />
        <text v-if="check(end.e)" :x="end.checkX" :y="TOP - 13" class="label ink" text-anchor="middle">
          {{ word('tapes-check', { figure: figure(check(end.e)) }) }}
        </text>
        <path v-if="sand(end.e)" :d="`M${end.sandX} ${mid - pipeH / 2}V${mid + pipeH / 2}`" class="sand" />
        <text
          v-if="sand(end.e)"
          :x="end.sandX + (end.e ? -6 : 6)"
          :y="mid + 6"
          class="after"
          :text-anchor="end.e ? 'end' : 'start'"
        >
          {{ word('tapes-sand-to', { figure: figure(sand(end.e)) }) }}
        </text>
        <path v-if="depth(end.e)" :d="`M${end.depthX} ${mid - pipeH / 2 - 4}V${tapeY}`" class="depth" />
        <text
          v-if="depth(end.e)"
          :x="end.depthX + (end.e ? -6 : 6)"
          :y="mid + pipeH / 2 + 27"
          class="label violet"
          :text-anchor="end.e ? 'end' : 'start'"
        >
          {{ word('tapes-depth', { figure: figure(depth(end.e)) }) }}
        </text>
        <text
          :x="end.faceX + (end.e ? 8 : -8)"
          :y="TOP - 32"
          class="name"
          :text-anchor="end.e ? 'end' : 'start'"
        >
          {{ end.name }}
        </text>
      </g>
      <rect :x="MARGIN" :y="tapeY" :width="whole ? inner : inner / 2 - 22" height="38" class="tape" />
      <rect
        v-if="!whole"
        :x="MARGIN + inner / 2 + 22"
        :y="tapeY"
        :width="inner / 2 - 22"
        height="38"
        class="tape"
      />
      <g v-for="t in ticks" :key="t.mm">
        <path :d="`M${x(t.mm)} ${tapeY}v${tickH[t.size]}`" class="tick" />
        <text
          v-if="t.label && fits(x(t.mm))"
          :x="x(t.mm)"
          :y="tapeY + 33"
          class="numeral"
          text-anchor="middle"
        >
          {{ t.label }}
        </text>
      </g>
      <path :d="`M${x(0)} ${tapeY - 8}v54h-8`" class="hook" />
      <path :d="`M${x(lengthMm) - 7} ${tapeY - 9}h14l-7 11z`" class="cut" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
}
svg {
  overflow: visible;
}
.socket {
  fill: var(--line);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.pipe {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 2;
}
.check {
  stroke: var(--ink);
  stroke-width: 3;
}
.sand {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
.bend {
  stroke: var(--ink);
  stroke-width: 2;
}
.bent {
  fill: var(--line);
  stroke: none;
  opacity: 0.7;
}
.depth {
  stroke: var(--violet);
  stroke-width: 3;
}
.label {
  font: 600 17px var(--figures);
}
.ink {
  fill: var(--ink);
}
.violet {
  fill: var(--violet);
}
.name,
.after {
  font: 500 15px var(--text);
  fill: var(--soft);
}
.numeral {
  font: 600 19px var(--figures);
}
.cut {
  fill: var(--ink);
}
</style>
