<script setup lang="ts">
import { HOURS } from '@jugalis/core'
import { computed } from 'vue'
import { word } from '../../words/word'

/** Round the pipe, seen from its end: what is put on is drawn on, by pulling over the hours, or an hour at a time. */
const model = defineModel<readonly number[] | null>({ required: true })
const passes = computed(() => model.value ?? Array.from({ length: HOURS }, () => 0))
/** Hour 0 stands on top. */
const placeOf = (hour: number): { insetInlineStart: string; insetBlockStart: string } => {
  const turn = (hour / HOURS) * 2 * Math.PI
  return { insetInlineStart: `${50 + 42 * Math.sin(turn)}%`, insetBlockStart: `${50 - 42 * Math.cos(turn)}%` }
}
function put(hour: number): void {
  model.value = passes.value.map((n, at) => (at === hour ? n + 1 : n))
}
/** Pulled over: an hour gets one more each time the finger comes to it. */
let under: number | null = null
function pull(event: PointerEvent): void {
  if (!event.buttons) return void (under = null)
  const at = document.elementFromPoint(event.clientX, event.clientY)
  const hour = at instanceof HTMLElement && at.dataset.hour !== undefined ? Number(at.dataset.hour) : null
  if (hour !== null && hour !== under) put(hour)
  under = hour
}
/** The press that begins a pull puts on by itself; the click that follows it is the same touch. */
let pressed = false
function press(event: PointerEvent): void {
  pressed = true
  ;(event.target as HTMLElement).releasePointerCapture(event.pointerId)
  pull(event)
}
function click(hour: number): void {
  if (!pressed) put(hour)
  pressed = false
}
const clock = (hour: number): number => (hour === 0 ? HOURS : hour)
const most = computed(() => passes.value.reduce((a, b) => Math.max(a, b), 1))
</script>

<template>
  <div class="ring" role="group" :aria-label="word('practice-ring')" @pointermove="pull" @pointerup="pull">
    <button
      v-for="(n, hour) in passes"
      :key="hour"
      type="button"
      :data-hour="hour"
      :style="{ ...placeOf(hour), '--put': `${(n / most) * 100}%` }"
      :aria-label="word('practice-ring-hour', { clock: clock(hour), n })"
      @pointerdown="press"
      @click="click(hour)"
    >
      {{ clock(hour) }}
    </button>
    <span class="bore" aria-hidden="true"></span>
  </div>
</template>

<style scoped>
.ring {
  /* A clock is read the same way from either side. */
  direction: ltr;
  position: relative;
  inline-size: 300px;
  block-size: 300px;
  touch-action: none;
}
.ring button {
  position: absolute;
  inline-size: 54px;
  block-size: 54px;
  margin: -27px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  font: 600 19px/1 var(--figures);
  color: var(--ink);
  background: linear-gradient(to top, var(--line) var(--put), var(--sheet) var(--put));
  cursor: crosshair;
}
.bore {
  position: absolute;
  inset: 27%;
  border: 10px solid var(--steel);
  border-radius: 50%;
  pointer-events: none;
}
</style>
