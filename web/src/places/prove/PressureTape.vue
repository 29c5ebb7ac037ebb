<script setup lang="ts">
import { fmt, fromUnits, greatest, unitOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { roundStep } from '../../tapes/ticks'

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
/** Graduations in round numbers of the unit that is shown. */
const marks = computed(() => {
  const top = fmt.inUnits(topBar.value, 'pressure', job.reader)
  const step = roundStep(top, HEIGHT / 22)
  return Array.from({ length: Math.floor(top / step + 1e-9) + 1 }, (_, i) => ({
    says: fmt.number(i * step, 2, job.reader.decimal),
    bar: fromUnits(i * step, 'pressure', job.reader),
  }))
})
/** Hooks near one another share the room: each keeps 20 px from the next. */
const placed = computed(() => {
  const sorted = [...props.hooks].sort((a, b) => b.bar - a.bar)
  let last = -Infinity
  return sorted.map((held) => {
    const y = Math.max(Y(held.bar), last + 21)
    last = y
    return { ...held, y, at: Y(held.bar) }
  })
})
const unit = computed(() => unitOf('pressure', job.reader))
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
    <g v-for="m in marks" :key="m.says">
      <path :d="`M0 ${Y(m.bar)}h14`" class="tick" />
      <text v-if="m.bar > 0" x="36" :y="Y(m.bar) + 6" text-anchor="middle" class="numeral">
        {{ m.says }}
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
