<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { lengthTicks } from './ticks'

/** The tape along a drawing's lower edge: 0 at `x`, graduated to the drawing's scale. Stands inside an svg. */
const props = defineProps<{ x: number; y: number; lengthMm: number; pxPerMm: number }>()
const job = useJob()
/** Numerals keep clear of both ends. */
const FROM_HOOK_PX = 18
const FROM_END_PX = 24
const end = computed(() => props.x + props.lengthMm * props.pxPerMm)
const ticks = computed(() =>
  lengthTicks(0, props.lengthMm, props.pxPerMm, job.reader.units).map((t) => {
    const x = props.x + t.mm * props.pxPerMm
    const clear = x > props.x + FROM_HOOK_PX && x < end.value - FROM_END_PX
    return { ...t, x, label: clear ? t.label : null }
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
