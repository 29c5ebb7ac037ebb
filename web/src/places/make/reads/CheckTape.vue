<script setup lang="ts">
import { type Field, fmt, systemOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../../stores/job'
import { lengthTicks } from '../../../tapes/ticks'
import { useWidth } from '../../../use-width'
import NudgeButton from './NudgeButton.vue'
import { word } from '../../../words/word'

/** Reading of a mark against its target. Starts unset: nothing is preset to the right answer. */
const props = defineProps<{ field: Field; modelValue: number | null }>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box, 360)
const inch = computed(() => systemOf(job.reader, 'length') === 'inch')
const stepMm = computed(() => (inch.value ? 25.4 / 16 : 1))
const PX_PER_MM = 8
const target = computed(() => props.field.target?.value.value ?? 0)
const low = computed(() => target.value - (props.field.target?.overMax ?? 0))
const high = computed(() => target.value + (props.field.target?.shortMax ?? 0))
const FAR_MM = 6
const centre = computed(() => props.modelValue ?? target.value + 26)
const X = (mm: number): number => width.value / 2 + (mm - centre.value) * PX_PER_MM
const ticks = computed(() =>
  lengthTicks(
    centre.value - width.value / 2 / PX_PER_MM,
    centre.value + width.value / 2 / PX_PER_MM,
    PX_PER_MM,
    job.reader,
  ).filter((t) => t.mm >= 0),
)
function place(mm: number): void {
  emit('update:modelValue', Math.max(0, Math.round(mm * 1000) / 1000))
}
const nudge = (by: number): void => {
  if (props.modelValue !== null) place(props.modelValue + by * stepMm.value)
}
const words = computed(() => {
  const value = props.modelValue
  if (value === null) return word('make-not-read-yet-is')
  const off = value - target.value
  if (value > high.value + 1e-9) return word('make-short-of-home', { off })
  if (value < low.value - 1e-9) return word('make-past-the-stop', { off: -off })
  return word('make-home-by-the-check')
})
const chip = computed(() => {
  if (props.modelValue === null) return ''
  if (props.modelValue > high.value + 1e-9) return 'short'
  return props.modelValue < low.value - 1e-9 ? 'long' : 'right'
})
</script>

<template>
  <div ref="box" class="check">
    <svg class="drawing" :width="width" height="74" aria-hidden="true">
      <rect x="0" y="18" :width="width" height="40" class="tape" />
      <g v-for="t in ticks" :key="t.mm">
        <path :d="`M${X(t.mm)} 18v${t.size === 'big' ? 18 : t.size === 'mid' ? 13 : 8}`" class="tick" />
        <text v-if="t.label" :x="X(t.mm)" y="54" text-anchor="middle" class="numeral">{{ t.label }}</text>
      </g>
      <path :d="`M${X(low)} 14V6H${X(high)}V14`" class="zone" />
      <path v-if="modelValue !== null" :d="`M${width / 2} 4V70`" class="needle" />
    </svg>
    <div class="nudges">
      <NudgeButton
        :says="inch ? '−1/16' : '−1'"
        :label="word('make-less', { stepMm })"
        :disabled="modelValue === null"
        @nudge="nudge(-1)"
      />
      <p class="value" aria-live="polite">
        <span class="figure">{{
          modelValue === null ? '?' : fmt.length(modelValue, job.reader)
        }}</span><span>{{ words }}</span>
      </p>
      <NudgeButton
        :says="inch ? '+1/16' : '+1'"
        :label="word('make-more-2', { stepMm })"
        :disabled="modelValue === null"
        @nudge="nudge(1)"
      />
    </div>
    <div class="chips" role="group" :aria-label="job.t(field.label)">
      <button type="button" class="button" :class="{ on: chip === 'right' }" @click="place(target)">
        {{ word('make-right') }}
      </button>
      <button type="button" class="button" :class="{ on: chip === 'short' }" @click="place(target + FAR_MM)">
        {{ word('make-short') }}
      </button>
      <button type="button" class="button" :class="{ on: chip === 'long' }" @click="place(target - FAR_MM)">
        {{ word('make-long') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.check {
  width: 100%;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.numeral {
  font: 600 19px var(--figures);
}
.zone {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.needle {
  stroke: var(--ink);
  stroke-width: 4;
}
.nudges {
  display: flex;
  align-items: center;
  gap: 8px;
}
.value {
  flex: 1;
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  font-size: 17px;
}
.figure {
  font: 600 38px/1 var(--figures);
}
.chips {
  display: flex;
  gap: 8px;
}
.chips .button {
  flex: 1;
  min-height: 56px;
}
.chips .on {
  background: var(--ink);
  color: var(--paper);
}
</style>
