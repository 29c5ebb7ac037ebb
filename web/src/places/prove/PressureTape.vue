<script setup lang="ts">
import { fmt, greatest } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'

/** The pressure tape, standing upright: what is on it hangs as hooks at its pressure. */
const props = defineProps<{
  hooks: { bar: number; says: string; strong?: boolean }[]
  gaugeBar: number | null
}>()
const job = useJob()
const HEIGHT = 330
const TAPE_W = 58
const topBar = computed(() => greatest([1, ...props.hooks.map((h) => h.bar)]) * 1.12)
const Y = (bar: number): number => HEIGHT - 14 - (bar / topBar.value) * (HEIGHT - 34)
const step = computed(
  () => [0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => (s / topBar.value) * HEIGHT > 22) ?? 200,
)
const marks = computed(() =>
  Array.from({ length: Math.floor(topBar.value / step.value) + 1 }, (_, i) => i * step.value),
)
/** Hooks near one another share the room: each keeps 20 px from the next. */
const placed = computed(() => {
  const sorted = [...props.hooks].sort((a, b) => b.bar - a.bar)
  let last = -Infinity
  return sorted.map((h) => {
    const y = Math.max(Y(h.bar), last + 21)
    last = y
    return { ...h, y, at: Y(h.bar) }
  })
})
const unit = computed(() => (job.reader.units === 'inch' ? 'psi' : 'bar'))
</script>

<template>
  <svg
    width="250"
    :height="HEIGHT"
    class="drawing tape-svg"
    role="img"
    :aria-label="hooks.map((h) => `${h.says} ${fmt.pressure(h.bar, job.reader)}`).join(', ')"
  >
    <rect x="0" y="6" :width="TAPE_W" :height="HEIGHT - 20" class="tape" />
    <g v-for="b in marks" :key="b">
      <path :d="`M0 ${Y(b)}h14`" class="tick" />
      <text v-if="b > 0" x="36" :y="Y(b) + 6" text-anchor="middle" class="numeral">
        {{ fmt.pressure(b, job.reader).split(' ')[0] }}
      </text>
    </g>
    <text x="4" :y="HEIGHT - 18" class="unit">{{ unit }}</text>
    <g v-for="h in placed" :key="h.says">
      <path :d="`M${TAPE_W - 6} ${h.at}H${TAPE_W + 10}L${TAPE_W + 22} ${h.y}h6`" class="hook" />
      <text :x="TAPE_W + 33" :y="h.y + 5" class="says" :class="{ strong: h.strong }">
        {{ h.says }} {{ fmt.pressure(h.bar, job.reader) }}
      </text>
    </g>
    <path v-if="gaugeBar !== null" :d="`M-2 ${Y(Math.max(0, gaugeBar))}H${TAPE_W + 4}`" class="gauge" />
  </svg>
</template>

<style scoped>
.tape-svg {
  display: block;
  overflow: visible;
}
.tick {
  stroke-width: 1.5;
}
.numeral {
  font: 600 18px var(--figures);
}
.unit {
  font: 500 15px var(--text);
  fill: var(--tape-ink);
}
.hook {
  stroke-width: 2;
}
.says {
  font: 500 16px var(--text);
  fill: var(--ink);
}
.strong {
  font-weight: 600;
}
.gauge {
  stroke: var(--ink);
  stroke-width: 5;
}
</style>
