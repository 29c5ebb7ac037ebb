<script setup lang="ts">
import type { Field } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../../stores/job'
import NudgeButton from './NudgeButton.vue'
import { turnsText } from './turns-text'
import { word } from '../../../words/word'

/** How far a nut was turned: its mark is drawn round from 6 o'clock. Starts unset; the target is shown, never preset. */
const props = defineProps<{ field: Field; modelValue: number | null }>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()
const job = useJob()
const DETENT = 1 / 8
const RADIUS = 84
const face = ref<SVGSVGElement>()
const max = computed(() => props.field.max ?? 6)
const least = computed(() => props.field.target?.value.value ?? null)
const most = computed(() => {
  const target = props.field.target
  return target && least.value !== null ? least.value + target.overMax - target.shortMax : null
})
const turned = computed(() => props.modelValue ?? 0)
function put(turns: number): void {
  emit('update:modelValue', Math.min(max.value, Math.max(0, Math.round(turns / DETENT) * DETENT)))
}
/** Point on a circle after so many turns clockwise from 6 o'clock. */
const at = (turns: number, radius: number): [number, number] => {
  const angle = Math.PI / 2 + turns * 2 * Math.PI
  return [Math.cos(angle) * radius, Math.sin(angle) * radius]
}
const hexagon = Array.from({ length: 6 }, (_, i) => at(i / 6 + 1 / 12, RADIUS - 16).join(',')).join(' ')
/** Turns are counted outward: each whole turn is a ring of its own, so that 1-1/4 does not look like 1/4. */
function spiral(to: number, r0: number): string {
  const count = Math.max(2, Math.ceil(to * 32))
  return Array.from({ length: count + 1 }, (_, i) => {
    const turn = (to * i) / count
    return `${i ? 'L' : 'M'}${at(turn, r0 + Math.floor(turn) * 5 + (turn % 1) * 5).join(' ')}`
  }).join('')
}
let lastTurn = 0
let dragging = false
let loose = 0
const angleOf = (event: PointerEvent): number => {
  const box = (face.value as SVGSVGElement).getBoundingClientRect()
  return (
    Math.atan2(event.clientY - box.top - box.height / 2, event.clientX - box.left - box.width / 2) /
    (2 * Math.PI)
  )
}
function down(event: PointerEvent): void {
  face.value?.setPointerCapture(event.pointerId)
  dragging = true
  lastTurn = angleOf(event)
  loose = turned.value
}
function move(event: PointerEvent): void {
  if (!dragging) return
  const now = angleOf(event)
  let by = now - lastTurn
  // Over the seam at 9 o'clock the angle jumps by a whole turn.
  by -= Math.round(by)
  lastTurn = now
  loose = Math.min(max.value, Math.max(0, loose + by))
  put(loose)
}
const words = computed(() => {
  if (props.modelValue === null)
    return least.value === null
      ? word('make-draw-the-mark-round')
      : word('make-to-draw-the-mark', { goal: goal.value })
  if (least.value === null || most.value === null) return ''
  const off = (x: number): string => turnsText(x)
  const tolerance = props.field.target?.shortMax ?? 0
  if (turned.value < least.value - tolerance)
    return word('make-turns-short', { off: off(least.value - turned.value) })
  if (turned.value > most.value + tolerance)
    return word('make-too-far', { off: off(turned.value - most.value) })
  return word('make-as-far-as-it')
})
const goal = computed(() =>
  least.value === null
    ? ''
    : most.value !== null && most.value > least.value
      ? word('make-turns-from-to', { from: turnsText(least.value), to: turnsText(most.value) })
      : turnsText(least.value),
)
</script>

<template>
  <div class="dial">
    <NudgeButton
      says="−1/8"
      :label="word('make-less-an-eighth-of')"
      :disabled="!turned"
      @nudge="put(turned - DETENT)"
    />
    <svg
      ref="face"
      viewBox="-106 -106 212 212"
      class="nut"
      role="slider"
      tabindex="0"
      :aria-label="job.t(field.label)"
      aria-valuemin="0"
      :aria-valuemax="max"
      :aria-valuenow="turned"
      :aria-valuetext="`${turnsText(turned)}, ${words}`"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="dragging = false"
      @pointercancel="dragging = false"
      @keydown.up.right.prevent="put(turned + DETENT)"
      @keydown.down.left.prevent="put(turned - DETENT)"
    >
      <circle r="104" class="ground" />
      <path
        v-for="h in 12"
        :key="h"
        :d="`M${at(h / 12, 98).join(' ')}L${at(h / 12, 104).join(' ')}`"
        class="hour"
      />
      <path v-if="least" :d="spiral(least, RADIUS)" class="goal" />
      <polygon :points="hexagon" class="hex" />
      <circle r="34" class="bore" />
      <path v-if="turned" :d="spiral(turned, RADIUS)" class="made" />
      <path :d="`M${at(turned, 34).join(' ')}L${at(turned, RADIUS + 4).join(' ')}`" class="mark" />
      <text y="10" text-anchor="middle" class="figure">
        {{ modelValue === null ? '?' : turnsText(turned) }}
      </text>
    </svg>
    <NudgeButton says="+1/8" :label="word('make-more-an-eighth-of')" @nudge="put(turned + DETENT)" />
    <p class="words" aria-live="polite">{{ words }}</p>
  </div>
</template>

<style scoped>
.dial {
  width: 100%;
  display: grid;
  grid-template-columns: 72px 1fr 72px;
  align-items: center;
  gap: 4px 8px;
}
.nut {
  width: 100%;
  max-height: 196px;
  touch-action: none;
  cursor: grab;
}
.ground {
  fill: var(--sheet);
  stroke: var(--edge);
}
.hour {
  stroke: var(--edge);
  stroke-width: 2;
}
.hex {
  fill: var(--pipe);
  stroke: var(--ink);
  stroke-width: 2;
}
.bore {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.goal {
  fill: none;
  stroke: var(--violet);
  stroke-width: 3;
  stroke-dasharray: 5 4;
}
.made {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
.mark {
  stroke: var(--ink);
  stroke-width: 6;
}
.figure {
  font: 600 24px var(--figures);
  fill: var(--ink);
}
.words {
  grid-column: 1 / -1;
  text-align: center;
}
</style>
