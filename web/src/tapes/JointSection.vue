<script setup lang="ts">
import { type Reader, type Shape, fmt, greatest, smallest } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useWidth } from '../use-width'
import { told, word } from '../words/word'

const props = withDefaults(
  defineProps<{
    shapes: readonly Shape[]
    height?: number
    depthMm?: number | null
    offsetMm?: number | null
    /** Units of the labels; the job's if absent. */
    reader?: Reader | null
    /** No labels: a small picture. */
    bare?: boolean
  }>(),
  {
    height: 220,
    depthMm: null,
    offsetMm: null,
    reader: null,
    bare: false,
  },
)
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box, 360)
const bounds = computed(() => {
  const xs = props.shapes.flatMap((shape) =>
    shape.kind === 'socket'
      ? [shape.face, shape.stop]
      : shape.kind === 'mark'
        ? [shape.at]
        : [shape.x1, shape.x2],
  )
  const od = greatest([
    ...props.shapes.map((shape) => {
      if (shape.kind === 'socket') return shape.odMm + shape.wallMm * 2
      if (shape.kind === 'pipe') return shape.odMm
      return shape.kind === 'ring' ? shape.outerMm : 0
    }),
    1,
  ])
  return { min: smallest(xs), max: greatest(xs) + 4, od }
})
const labels = computed(() => (props.bare ? 6 : 34))
const scale = computed(() =>
  Math.min(
    (width.value - 24) / (bounds.value.max - bounds.value.min),
    (props.height - 2 * labels.value) / bounds.value.od,
  ),
)
const left = computed(() => (width.value - (bounds.value.max - bounds.value.min) * scale.value) / 2)
const X = (mm: number): number => left.value + (mm - bounds.value.min) * scale.value
const mid = computed(() => props.height / 2)
const high = (mm: number): number => mm * scale.value
const socket = computed(() => props.shapes.find((s) => s.kind === 'socket'))
const pipes = computed(() => props.shapes.filter((s) => s.kind === 'pipe'))
const pipe = computed(() => pipes.value[0])
/** Each ring is cut by the section above and below the axis. */
const rings = computed(() =>
  props.shapes.flatMap((shape) =>
    shape.kind === 'ring'
      ? ([-1, 1] as const).map((side) => ({
          key: `${shape.as} ${shape.x1} ${shape.innerMm} ${side}`,
          as: shape.as,
          x: X(shape.x1),
          y: side < 0 ? mid.value - high(shape.outerMm / 2) : mid.value + high(shape.innerMm / 2),
          width: Math.max(2, high(shape.x2 - shape.x1)),
          height: Math.max(2, high((shape.outerMm - shape.innerMm) / 2)),
        }))
      : [],
  ),
)
const wet = computed(() => props.shapes.find((s) => s.kind === 'wet'))
const gap = computed(() => props.shapes.find((s) => s.kind === 'gap'))
const marks = computed(() => props.shapes.filter((s) => s.kind === 'mark'))
const pipeTop = computed(() => mid.value - high((pipe.value?.odMm ?? 0) / 2))
const pipeBottom = computed(() => mid.value + high((pipe.value?.odMm ?? 0) / 2))
const reads = computed(() => props.reader ?? job.reader)
const figure = (mm: number | null): string => (mm === null ? '' : fmt.lengthFigure(mm, reads.value))
const markSays = (as: string): string =>
  as === 'depth'
    ? word('tapes-depth', { figure: figure(props.depthMm) })
    : as === 'sand'
      ? word('tapes-sand-to-here')
      : word('tapes-check', {
          figure: figure(
            props.depthMm === null || props.offsetMm === null ? null : props.depthMm + props.offsetMm,
          ),
        })
</script>

<template>
  <div ref="box" class="box">
    <svg
      class="drawing"
      :width="width"
      :height="height"
      role="img"
      :aria-label="word('tapes-the-joint-in-section')"
    >
      <defs>
        <pattern
          id="wet-hatch"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="8" height="8" fill="var(--sheet)" />
          <rect width="4" height="8" fill="var(--wet)" />
        </pattern>
      </defs>
      <g v-if="socket">
        <path
          :d="`M${X(socket.face)} ${mid - high(socket.odMm / 2 + socket.wallMm)}H${X(socket.stop) + high(socket.wallMm)}V${mid + high(socket.odMm / 2 + socket.wallMm)}H${X(socket.face)}V${mid + high(socket.odMm / 2)}H${X(socket.stop)}V${mid - high(socket.odMm / 2)}H${X(socket.face)}Z`"
          class="socket"
        />
      </g>
      <g v-for="p in pipes" :key="p.x1">
        <rect
          :x="X(p.x1)"
          :y="mid - high(p.odMm / 2)"
          :width="high(p.x2 - p.x1)"
          :height="high(p.odMm)"
          class="bore"
        />
        <rect
          v-for="side in [0, 1]"
          :key="side"
          :x="X(p.x1)"
          :y="side ? mid + high(p.odMm / 2) - Math.max(3, high(p.wallMm)) : mid - high(p.odMm / 2)"
          :width="high(p.x2 - p.x1)"
          :height="Math.max(3, high(p.wallMm))"
          class="wall"
        />
      </g>
      <rect
        v-for="r in rings"
        :key="r.key"
        :x="r.x"
        :y="r.y"
        :width="r.width"
        :height="r.height"
        class="ring"
        :class="r.as"
      />
      <g v-if="wet">
        <rect
          :x="X(wet.x1)"
          :y="pipeTop - 5"
          :width="high(wet.x2 - wet.x1)"
          height="8"
          class="wet"
          fill="url(#wet-hatch)"
        />
        <rect
          :x="X(wet.x1)"
          :y="pipeBottom - 3"
          :width="high(wet.x2 - wet.x1)"
          height="8"
          class="wet"
          fill="url(#wet-hatch)"
        />
      </g>
      <path :d="`M4 ${mid}H${width - 4}`" class="axis" />
      <g v-for="m in marks" :key="m.at">
        <path :d="`M${X(m.at)} ${pipeTop - 8}V${pipeBottom + 8}`" :class="m.as" />
        <text
          v-if="!bare && m.as !== 'depth'"
          :x="Math.max(46, X(m.at))"
          :y="pipeTop - 14"
          text-anchor="middle"
          class="label"
        >
          {{ markSays(m.as) }}
        </text>
        <text v-else-if="!bare" :x="X(m.at)" :y="pipeBottom + 25" text-anchor="middle" class="label violet">
          {{ markSays(m.as) }}
        </text>
      </g>
      <g v-if="gap && !bare">
        <path
          :d="`M${X(gap.x1)} ${pipeBottom + 16}H${X(gap.x2)}M${X(gap.x1)} ${pipeBottom + 10}v12M${X(gap.x2)} ${pipeBottom + 10}v12`"
          class="measure"
        />
        <text :x="(X(gap.x1) + X(gap.x2)) / 2" :y="pipeBottom + 33" text-anchor="middle" class="label">
          {{ told(gap.says, reads) }}
        </text>
      </g>
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
  stroke-width: 2;
}
.bore {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.wall {
  fill: var(--pipe);
}
.wet {
  stroke: var(--wet);
  stroke-width: 2;
}
.check {
  stroke: var(--ink);
  stroke-width: 4;
}
.depth {
  stroke: var(--violet);
  stroke-width: 4;
}
.sand {
  stroke: var(--ink);
  stroke-width: 3;
  stroke-dasharray: 3 3;
}
.ring {
  fill: var(--line);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.ring.nut,
.ring.clamp {
  fill: var(--pipe-fill);
  stroke-width: 2;
}
.ring.seal {
  fill: var(--ink);
}
.ring.ferrule,
.ring.bead {
  fill: var(--tape);
}
.ring.bolt {
  fill: var(--pipe);
}
.measure {
  stroke: var(--ink);
  stroke-width: 2;
  fill: none;
}
.label {
  font: 600 17px var(--text);
  fill: var(--ink);
}
.violet {
  fill: var(--violet);
}
</style>
