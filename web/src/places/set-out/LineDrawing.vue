<script setup lang="ts">
import { type Item, type Line, fmt } from '@jugalis/core'
import { ref } from 'vue'
import { useJob } from '../../stores/job'
import { glyphBody } from '../../tapes/glyph-shapes'
import LengthScale from '../../tapes/LengthScale.vue'
import { useWholeScreen } from '../../use-whole-screen'
import { useWidth } from '../../use-width'
import { HATCHES, LANE } from './line-shapes'
import { saveSvg } from '../../tapes/save-svg'
import { MARGIN, TAPE_H, useDrawn } from './use-drawn'
import { useHand } from './use-hand'
import { word } from '../../words/word'

/** The line developed to scale: pan by dragging, zoom, fit; names thin out by rule where there is no room. */
const props = defineProps<{ line: Line; current: string | null }>()
const emit = defineEmits<{ pick: [id: string] }>()
const job = useJob()
const box = ref<HTMLElement>()
const svg = ref<SVGSVGElement>()
const width = useWidth(box)
const wholeScreen = useWholeScreen(box)
const { whole } = wholeScreen
const drawn = useDrawn(
  () => props.line,
  () => props.current,
  width,
)
const { joints, total, inner, full, X, thick, top, mid } = drawn
const { paths, measures, tags, names, glyphs, bands, height, percent, jointX } = drawn
const { scale, fromMm, toMm, zoom, zoomTo, fit, pan, show } = drawn.window
const figureOf = (item: Item): string =>
  item.measuredMm === null ? '?' : fmt.lengthFigure(item.measuredMm, job.reader)
const hand = useHand(svg, {
  pan,
  zoom: (by, atPx) => zoom(by, atPx === undefined ? undefined : atPx - MARGIN),
  fit,
  toStart: () => show(0),
  toEnd: () => show(total.value),
  tap: (x, y) => {
    const hit = drawn.partAt(x, y)
    if (hit) emit('pick', hit.id)
  },
})
</script>

<template>
  <div ref="box" class="box" :class="{ whole }" @keydown.esc="wholeScreen.close">
    <button v-if="!whole" type="button" class="button small open no-print" @click="wholeScreen.open">
      {{ word('set-out-drawing-on-the-whole') }}
    </button>
    <div class="tools no-print">
      <button type="button" class="button small" :aria-label="word('set-out-zoom-out')" @click="zoom(-1)">
        −
      </button>
      <button type="button" class="button small" :aria-label="word('set-out-zoom-in')" @click="zoom(1)">
        +
      </button>
      <button type="button" class="button small" @click="fit">{{ word('set-out-fit') }}</button>
      <button type="button" class="button small" @click="zoomTo(full)">100 %</button>
      <span class="why">{{
        word('set-out-at', {
          percent,
          stride: tags.stride,
          named: tags.stride > 1 ? 'some' : !tags.stride && joints.length ? 'none_fit' : 'all',
        })
      }}</span>
      <button type="button" class="button small last" @click="saveSvg(svg, `${line.tag}-set-out`)">
        {{ word('set-out-save-as-svg') }}
      </button>
      <button v-if="whole" type="button" class="button small" @click="wholeScreen.close">
        {{ word('set-out-close-the-drawing') }}
      </button>
    </div>
    <div class="scroll-down">
      <svg
        ref="svg"
        class="drawing line-drawing"
        :width="width"
        :height="height"
        role="group"
        tabindex="0"
        :aria-label="word('set-out-laid-out-straight-to', { tag: line.tag })"
        @pointerdown="hand.down"
        @pointermove="hand.move"
        @pointerup="hand.up"
        @pointercancel="hand.cancel"
        @wheel="hand.wheel"
      >
        <defs>
          <pattern
            v-for="k in HATCHES"
            :id="`section-hatch-${k - 1}`"
            :key="k"
            width="7"
            height="7"
            patternUnits="userSpaceOnUse"
            :patternTransform="`rotate(${[-45, 45, 0, -45][k - 1]})`"
          >
            <path
              :d="k === 4 ? 'M0 0V7M0 3.5H7' : 'M0 0V7'"
              stroke="var(--violet)"
              :stroke-width="k === 4 ? 1.4 : 2.4"
            />
          </pattern>
          <clipPath id="line-window">
            <rect x="0" y="0" :width="width" :height="height - TAPE_H" />
          </clipPath>
        </defs>
        <g clip-path="url(#line-window)">
          <g v-for="b in bands" :key="b.key">
            <rect
              :x="X(b.fromMm) - 10"
              :y="top(b.lane) + LANE.band + b.row * 12"
              :width="X(b.toMm) - X(b.fromMm) + 20"
              height="9"
              :fill="`url(#section-hatch-${b.hatch})`"
            />
            <path
              :d="`M${X(b.fromMm) - 10} ${top(b.lane) + 18 + b.row * 12}v-15H${X(b.toMm) + 10}v15`"
              class="bracket"
            />
            <text
              v-if="!b.row"
              :x="Math.max(X(b.fromMm) - 4, MARGIN + 4)"
              :y="top(b.lane) + 29"
              class="section-tag"
            >
              {{ b.name }}
            </text>
          </g>
          <g v-for="s in paths.stems" :key="s.id">
            <path :d="s.d" class="stem-edge" :stroke-width="s.width + 3" />
            <path :d="s.d" class="stem" :stroke-width="s.width" />
          </g>
          <path :d="paths.pipes" class="pipe" />
          <path :d="paths.unmeasured" class="pipe guessed" />
          <path :d="paths.fittings" class="fitting" />
          <path :d="paths.marks" class="cross" />
          <path v-if="paths.chosen" :d="paths.chosen" class="chosen" />
          <text
            v-for="p in measures"
            :key="p.item.id"
            :x="(Math.max(X(p.fromMm), MARGIN) + Math.min(X(p.toMm), MARGIN + inner)) / 2"
            :y="thick(p.odMm) < 20 ? mid(p.lane) - thick(p.odMm) / 2 - 6 : mid(p.lane) + 5"
            text-anchor="middle"
            class="measure"
          >
            {{ figureOf(p.item) }}
          </text>
          <RouterLink
            v-for="g in glyphs"
            :key="g.joint.id"
            :to="{ name: 'make', params: { jobId: job.jobId, jointId: g.joint.id } }"
          >
            <svg
              :x="jointX(g.joint) - 16"
              :y="top(g.joint.lane) + LANE.glyph"
              width="32"
              height="18"
              viewBox="0 0 36 20"
              overflow="visible"
              role="img"
              :aria-label="`${g.joint.tag}, ${job.t(g.look.word)}`"
            >
              <title>{{ g.joint.tag }}</title>
              <g v-html="glyphBody(g.look.glyph, g.look.inspected, g.look.look)" />
            </svg>
          </RouterLink>
          <text
            v-for="n in names"
            :key="n.joint.id"
            :x="jointX(n.joint)"
            :y="top(n.joint.lane) + LANE.tag + 12 + n.row * LANE.row"
            text-anchor="middle"
            class="tag"
          >
            {{ n.joint.tag }}
          </text>
        </g>
        <LengthScale :x="MARGIN" :y="height - 38" :from-mm="fromMm" :to-mm="toMm" :px-per-mm="scale" />
        <path v-if="fromMm < 1" :d="`M${X(0)} ${height - 44}v46h-8`" class="hook" />
      </svg>
    </div>
  </div>
</template>

<style scoped src="../../tapes/drawing-box.css"></style>
<style scoped>
.scroll-down {
  max-height: 440px;
  overflow: hidden auto;
}
.open {
  display: none;
}
.line-drawing {
  touch-action: pan-y;
  cursor: grab;
}
.line-drawing:active {
  cursor: grabbing;
}
.pipe {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.guessed {
  stroke-dasharray: 6 4;
}
.stem-edge,
.stem {
  fill: none;
  stroke: var(--ink);
}
.stem {
  stroke: var(--pipe-fill);
}
.fitting {
  fill: var(--line);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.cross,
.bracket {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.chosen {
  fill: none;
  stroke: var(--copper);
  stroke-width: 3;
}
.section-tag {
  font: 600 15px var(--text);
  fill: var(--violet);
}
.measure {
  font: 600 17px var(--figures);
  fill: var(--ink);
}
.tag {
  font: 500 15px var(--figures);
  fill: var(--ink);
}
@media (max-width: 720px) {
  .box:not(.whole) .tools {
    display: none;
  }
  .scroll-down {
    max-height: 174px;
  }
  .open {
    display: block;
  }
}
.whole .scroll-down {
  flex: 1;
  max-height: none;
}
</style>
