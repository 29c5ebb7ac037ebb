<script setup lang="ts">
import { type Field, fmt, parseLength } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../../stores/job'

/** A reading typed as a figure. Starts empty: nothing is preset to the right answer. */
const props = defineProps<{ field: Field; modelValue: number | null }>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()
const job = useJob()
const UNITS: Readonly<Record<string, string>> = {
  C: '°C',
  Nm: 'Nm',
  deg: '°',
  turns: 'turns',
  bar: 'bar',
  s: 's',
}
const isLength = computed(() => props.field.unit === 'mm')
const unit = computed(() =>
  isLength.value ? (job.reader.units === 'inch' ? 'in' : 'mm') : (UNITS[props.field.unit ?? ''] ?? ''),
)
const typed = ref('')
const fault = ref('')
/** Turns and inches are counted in quarters and sixteenths: `1-1/4` is a figure too. */
function numberFrom(text: string): number | null {
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(text)
  if (fraction && Number(fraction[3]))
    return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
  const n = Number(text.replace(',', '.'))
  return text !== '' && Number.isFinite(n) ? n : null
}
function read(text: string): void {
  typed.value = text
  const t = text.trim()
  const value = t === '' ? null : isLength.value ? parseLength(t, job.reader.units) : numberFrom(t)
  const { min = -Infinity, max = Infinity } = props.field
  const outside = value !== null && (value < min || value > max)
  fault.value =
    t !== '' && value === null
      ? `"${t}" is not a figure.`
      : outside
        ? `That can\u2019t be: ${isLength.value ? fmt.length(value as number, job.reader) : value}.`
        : ''
  emit('update:modelValue', outside ? null : value)
}
</script>

<template>
  <div class="read">
    <label :for="`read-${field.key}`">{{ job.t(field.label) }}</label>
    <span class="row">
      <input
        :id="`read-${field.key}`"
        :value="typed"
        inputmode="decimal"
        autocomplete="off"
        :aria-invalid="fault !== ''"
        @input="read(($event.target as HTMLInputElement).value)"
      />
      <span class="unit">{{ unit }}</span>
    </span>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.read {
  flex: 1 1 160px;
}
label {
  font-weight: 600;
}
.row {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
input {
  width: 100%;
  min-height: 56px;
  padding: 0 12px;
  border: 2px solid var(--edge);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 30px/1 var(--figures);
}
.unit {
  font-size: 19px;
}
</style>
