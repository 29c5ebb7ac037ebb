<script setup lang="ts">
import { type Bar, fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useWidth } from '../use-width'
import { word } from '../words/word'

/** One bar to scale with its pieces and saw cuts; what is left is open at the end. */
const props = defineProps<{ bar: Bar; longestMm: number; tags: ReadonlyMap<string, string> }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MARGIN = 2
const HIGH = 46
const X = (mm: number): number => MARGIN + (mm / props.longestMm) * (width.value - 2 * MARGIN)
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
const CHAR_PX = 8.5
const pieces = computed(() =>
  props.bar.cuts.map((cut) => {
    const tag = props.tags.get(cut.id) ?? ''
    const room = X(cut.atMm + cut.lengthMm) - X(cut.atMm) - 6
    const fits = (text: string): boolean => text.length * CHAR_PX <= room
    return {
      ...cut,
      tag: fits(tag) ? tag : '',
      figure: fits(figure(cut.lengthMm)) ? figure(cut.lengthMm) : '',
    }
  }),
)
const says = computed(() =>
  word('tapes-bar-of-left', {
    stock: figure(props.bar.stockMm),
    cuts: props.bar.cuts
      .map((c) => `${props.tags.get(c.id) ?? word('tapes-a-piece')} ${figure(c.lengthMm)}`)
      .join(', '),
    left: figure(props.bar.leftMm),
  }),
)
const leftFits = computed(() => X(props.bar.stockMm) - X(props.bar.stockMm - props.bar.leftMm) > 64)
</script>

<template>
  <div ref="box" class="box">
    <svg :width="width" :height="HIGH + 4" role="img" :aria-label="says">
      <rect
        :x="X(0)"
        y="2"
        :width="X(bar.stockMm) - X(0)"
        :height="HIGH"
        class="stock"
        :class="{ offcut: bar.offcut }"
      />
      <g v-for="c in pieces" :key="`${c.id} ${c.atMm}`">
        <rect :x="X(c.atMm)" y="2" :width="X(c.atMm + c.lengthMm) - X(c.atMm)" :height="HIGH" class="piece" />
        <text :x="X(c.atMm + c.lengthMm / 2)" y="21" text-anchor="middle" class="figure">{{ c.figure }}</text>
        <text :x="X(c.atMm + c.lengthMm / 2)" y="40" text-anchor="middle" class="tag">{{ c.tag }}</text>
        <path :d="`M${X(c.atMm + c.lengthMm) - 4} 0h8l-4 7Z`" class="nick" />
      </g>
      <text v-if="leftFits" :x="X(bar.stockMm) - 6" y="30" text-anchor="end" class="left">
        {{ word('tapes-left', { figure: figure(bar.leftMm) }) }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
}
.stock {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.stock.offcut {
  stroke-dasharray: 1.5 3;
}
.piece {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.nick {
  fill: var(--ink);
}
.figure {
  font: 600 17px var(--figures);
  fill: var(--ink);
}
.tag,
.left {
  font: 500 15px var(--figures);
  fill: var(--ink);
}
</style>
