<script setup lang="ts">
import { type Field, fmt, greatest, smallest, systemOf } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../../stores/job'
import NudgeButton from './NudgeButton.vue'
import { word } from '../../../words/word'

/**
 * A gap read in two places across (12 and 6 o'clock) or in four round. Its least and its largest are what is judged.
 * Unset at first; once one place is read, the others stand where it stands until they are read themselves.
 */
const props = defineProps<{ fields: readonly Field[] }>()
const emit = defineEmits<{ put: [key: string, value: number | null] }>()
const job = useJob()
const round = computed(() => props.fields[0]?.control === 'gap-round')
const PLACES = computed(() => (round.value ? [12, 3, 6, 9] : [12, 6]))
const inch = computed(() => systemOf(job.reader, 'length') === 'inch')
const stepMm = computed(() => (inch.value ? 25.4 / 64 : 0.1))
const SCALE_MM = 5
const at = ref(0)
const gaps = ref<(number | null)[]>([])
const own = ref<boolean[]>([])
watch(
  PLACES,
  (points) => {
    gaps.value = points.map(() => null)
    own.value = points.map(() => false)
  },
  { immediate: true },
)
const max = computed(() => props.fields[0]?.max ?? 20)
function put(mm: number): void {
  const value = Math.min(max.value, Math.max(0, Math.round(mm * 1000) / 1000))
  own.value[at.value] = true
  gaps.value = gaps.value.map((g, i) => (i === at.value || !own.value[i] ? value : g))
  const known = gaps.value.filter((g): g is number => g !== null)
  for (const field of props.fields)
    emit('put', field.key, /Max/.test(field.key) ? greatest(known) : smallest(known))
}
const nudge = (by: number): void => put((gaps.value[at.value] ?? 0) + by * stepMm.value)
function touch(event: PointerEvent): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const mm = ((event.clientX - box.left) / box.width) * SCALE_MM
  put(Math.round(mm / stepMm.value) * stepMm.value)
}
const across = computed(() => props.fields[0]?.acrossMm?.value ?? null)
const spread = computed(() => {
  const known = gaps.value.filter((g): g is number => g !== null)
  return known.length ? greatest(known) - smallest(known) : null
})
const tiltDeg = computed(() =>
  spread.value === null || across.value === null || round.value
    ? null
    : (Math.atan2(spread.value, across.value) * 180) / Math.PI,
)
const words = computed(() =>
  spread.value === null
    ? word('make-read-it-at-each')
    : tiltDeg.value === null
      ? word('make-between-the-widest-and', { spread: spread.value })
      : word('make-out-of-line', { tiltDeg: tiltDeg.value.toFixed(1) }),
)
/** Ten times what it is, so that it can be seen. */
const drawnDeg = computed(() => {
  const [top, foot] = gaps.value
  if (tiltDeg.value === null || top == null || foot == null) return 0
  return Math.min(30, tiltDeg.value * 10) * (top > foot ? 1 : -1)
})
const show = (g: number | null | undefined): string => (g == null ? '?' : fmt.thickness(g, job.reader))
</script>

<template>
  <div class="gaps">
    <div class="seen">
      <svg v-if="!round" viewBox="0 0 90 84" class="flange" aria-hidden="true">
        <path d="M0 26H34V6H40V78H34V58H0" class="steel" />
        <g :transform="`rotate(${drawnDeg} 56 42)`"><path d="M90 26H56V6H50V78H56V58H90" class="steel" /></g>
      </svg>
      <div class="places" role="radiogroup" :aria-label="word('ui-place')">
        <button
          v-for="(hour, i) in PLACES"
          :key="hour"
          type="button"
          class="button"
          :class="{ on: i === at }"
          role="radio"
          :aria-checked="i === at"
          @click="at = i"
        >
          {{ word('make-oclock', { hour }) }} <strong>{{ show(gaps[i]) }}</strong>
        </button>
      </div>
    </div>
    <div class="row">
      <NudgeButton
        :says="inch ? '−1/64' : '−0.1'"
        :label="word('make-less-2')"
        :disabled="gaps[at] == null"
        @nudge="nudge(-1)"
      />
      <div class="tape" aria-hidden="true" @pointerdown="touch">
        <i
          v-for="mm in SCALE_MM"
          :key="mm"
          :style="{ left: `${((mm - 0.5) / SCALE_MM) * 100}%` }"
          class="half"
        />
        <b v-for="mm in SCALE_MM - 1" :key="`n${mm}`" :style="{ left: `${(mm / SCALE_MM) * 100}%` }">{{
          inch ? '' : mm
        }}</b>
        <span
          v-if="gaps[at] != null"
          class="needle"
          :style="{ left: `${Math.min(100, ((gaps[at] ?? 0) / SCALE_MM) * 100)}%` }"
        />
      </div>
      <NudgeButton :says="inch ? '+1/64' : '+0.1'" :label="word('make-more-3')" @nudge="nudge(1)" />
    </div>
    <p class="words" aria-live="polite">{{ words }}</p>
  </div>
</template>

<style scoped>
.gaps {
  width: 100%;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.seen,
.row {
  display: flex;
  align-items: center;
  gap: 8px;
}
.flange {
  width: 90px;
  height: 84px;
  flex: none;
}
.steel {
  fill: var(--pipe);
  stroke: var(--ink);
  stroke-width: 2;
}
.places {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.places .button {
  flex: 1 1 40%;
  min-height: 56px;
}
.places .on {
  background: var(--ink);
  color: var(--paper);
}
.tape {
  position: relative;
  flex: 1;
  height: 56px;
  background: var(--tape);
  border: 1px solid var(--ink);
  touch-action: none;
  cursor: crosshair;
}
.tape b {
  position: absolute;
  top: 4px;
  transform: translateX(-50%);
  font: 600 19px var(--figures);
  color: var(--tape-ink);
}
.tape .half {
  position: absolute;
  bottom: 0;
  height: 14px;
  border-inline-start: 2px solid var(--tape-ink);
}
.needle {
  position: absolute;
  top: -4px;
  bottom: -4px;
  border-inline-start: 4px solid var(--ink);
  margin-inline-start: -2px;
}
.words {
  text-align: center;
}
</style>
