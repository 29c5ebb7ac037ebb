<script setup lang="ts">
import { type CareItem, fmt, greatest } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { word } from '../../words/word'

/**
 * What became of a joint's torque: left at, found at, brought back, each as far from the one before as the time between.
 * Below the dotted line more than a third of what it was left at is gone.
 */
const props = defineProps<{ item: CareItem }>()
const job = useJob()
const WIDE = 420
const HIGH = 118
const PAD = { left: 64, right: 14, top: 12, bottom: 22 }
const FELL = 2 / 3
const points = computed(() => {
  const { madeNm, madeAtS, done } = props.item
  const made = madeNm === null || madeAtS === null ? [] : [{ atS: madeAtS, foundNm: null, leftNm: madeNm }]
  return [...made, ...done.filter(({ foundNm, leftNm }) => foundNm !== null || leftNm !== null)]
})
const top = computed(
  () => greatest(points.value.flatMap(({ foundNm, leftNm }) => [foundNm ?? 0, leftNm ?? 0])) * 1.1,
)
const from = computed(() => points.value[0]?.atS ?? 0)
const until = computed(() => points.value.at(-1)?.atS ?? 1)
const across = (atS: number): number =>
  PAD.left + ((atS - from.value) / Math.max(1, until.value - from.value)) * (WIDE - PAD.left - PAD.right)
const up = (nm: number): number => HIGH - PAD.bottom - (nm / (top.value || 1)) * (HIGH - PAD.top - PAD.bottom)
/** From each time it was left to the next time it was found. */
const falls = computed(() =>
  points.value.flatMap((point, at) => {
    const before = points.value[at - 1]
    if (!before || before.leftNm === null || point.foundNm === null) return []
    return [
      {
        at,
        line: `M${across(before.atS)} ${up(before.leftNm)}L${across(point.atS)} ${up(point.foundNm)}`,
        limit: `M${across(before.atS)} ${up(before.leftNm * FELL)}H${across(point.atS)}`,
        fell: point.foundNm < before.leftNm * FELL - 1e-9,
      },
    ]
  }),
)
const label = computed(() =>
  word('upkeep-story', {
    tag: props.item.tag,
    readings: points.value
      .map(({ foundNm, leftNm }) =>
        [foundNm, leftNm].flatMap((nm) => (nm === null ? [] : [fmt.torque(nm, job.reader)])).join(' → '),
      )
      .join(', '),
  }),
)
const mostSaid = computed(() => greatest(points.value.flatMap(({ leftNm }) => leftNm ?? [])))
const zone = computed(() => job.state.job.zone)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${HIGH}`" role="img" :aria-label="label">
    <path :d="`M${PAD.left} ${HIGH - PAD.bottom}H${WIDE - PAD.right}`" class="ground" />
    <text v-if="mostSaid > 0" :x="PAD.left - 8" :y="up(mostSaid) + 5" class="say end">
      {{ fmt.torque(mostSaid, job.reader) }}
    </text>
    <template v-for="one in falls" :key="one.at">
      <path :d="one.limit" class="limit" />
      <path :d="one.line" class="fall" :class="{ fell: one.fell }" />
    </template>
    <g v-for="point in points" :key="point.atS">
      <path
        v-if="point.foundNm !== null && point.leftNm !== null"
        :d="`M${across(point.atS)} ${up(point.foundNm)}V${up(point.leftNm)}`"
        class="back"
      />
      <circle
        v-if="point.foundNm !== null"
        :cx="across(point.atS)"
        :cy="up(point.foundNm)"
        r="5"
        class="found"
      />
      <circle
        v-if="point.leftNm !== null"
        :cx="across(point.atS)"
        :cy="up(point.leftNm)"
        r="5"
        class="left"
      />
    </g>
    <text :x="PAD.left" :y="HIGH - 4" class="say">{{ dated(from, zone) }}</text>
    <text v-if="until > from" :x="WIDE - PAD.right" :y="HIGH - 4" class="say end">
      {{ dated(until, zone) }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 560px;
  height: auto;
}
.ground {
  stroke: var(--ink);
  stroke-width: 2;
}
.limit {
  stroke: var(--soft);
  stroke-dasharray: 2 5;
}
.fall {
  stroke: var(--ink);
  fill: none;
}
.fall.fell {
  stroke: var(--stop-ink);
  stroke-width: 3;
}
.back {
  stroke: var(--ink);
  stroke-width: 2;
}
.found {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.left {
  fill: var(--ink);
}
.say {
  font: 500 13px var(--figures);
  fill: var(--ink);
}
.end {
  text-anchor: end;
}
</style>
