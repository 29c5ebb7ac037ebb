<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { lengthTicks } from './ticks'

/** The tape along a drawing's lower edge: `fromMm` at `x`, graduated to the drawing's scale. Stands inside an svg. */
const props = withDefaults(
  defineProps<{ x: number; y: number; fromMm?: number; toMm: number; pxPerMm: number }>(),
  { fromMm: 0 },
)
const job = useJob()
/** Numerals keep clear of both ends. */
const FROM_HOOK_PX = 18
const FROM_END_PX = 24
const end = computed(() => props.x + (props.toMm - props.fromMm) * props.pxPerMm)
const ticks = computed(() =>
  lengthTicks(props.fromMm, props.toMm, props.pxPerMm, job.reader).map((tick) => {
    const x = props.x + (tick.mm - props.fromMm) * props.pxPerMm
    const clear = x > props.x + FROM_HOOK_PX && x < end.value - FROM_END_PX
    return { ...tick, x, label: clear ? tick.label : null }
  }),
)
</script>

<template>
  <rect :x="x" :y="y" :width="end - x" height="34" class="tape" />
  <g v-for="t in ticks" :key="t.mm">
    <path :d="`M${t.x} ${y}v${t.size === 'big' ? 12 : 7}`" class="tick" />
    <text v-if="t.label" :x="t.x" :y="y + 29" text-anchor="middle" class="numeral">{{ t.label }}</text>
  </g>
</template>

<style scoped>
.numeral {
  font: 600 17px var(--figures);
}
</style>
