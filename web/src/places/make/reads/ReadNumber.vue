<script setup lang="ts">
import { type As, type Field, isGauged, parseFigure } from '@jugalis/core'
import { computed, ref } from 'vue'
import QuantityField from '../../../frame/QuantityField.vue'
import { useJob } from '../../../stores/job'
import { word } from '../../../words/word'

/** A reading typed as a figure. Starts empty: nothing is preset to the right answer. */
const props = defineProps<{ field: Field; modelValue: number | null }>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()
const job = useJob()
/** Readings with a unit that people choose; the rest are counted: turns, degrees, seconds. */
const AS: Readonly<Record<string, As>> = { mm: 'length', C: 'temperature', Nm: 'torque', bar: 'fine' }
const as = computed(() => {
  const known = AS[props.field.unit ?? '']
  return known === 'length' && isGauged(props.field) ? 'thickness' : known
})
const COUNTED: Readonly<Record<string, string>> = { deg: '°', turns: 'turns', s: 's' }
const typed = ref('')
const fault = ref('')
/** Turns are counted in quarters: `1-1/4` is a figure too. */
function read(text: string): void {
  typed.value = text
  const plain = text.trim()
  const value = parseFigure(plain, job.reader.decimal)
  const { min = -Infinity, max = Infinity } = props.field
  const outside = value !== null && (value < min || value > max)
  fault.value =
    plain !== '' && value === null
      ? word('make-is-not-a-figure', { t: plain })
      : outside
        ? word('make-that-cant-be', { value })
        : ''
  emit('update:modelValue', outside ? null : value)
}
</script>

<template>
  <QuantityField
    v-if="as"
    :field-id="`read-${field.key}`"
    :model-value="modelValue"
    :label="job.t(field.label)"
    :as="as"
    :least="field.min"
    :most="field.max"
    :near="field.target?.value.value ?? null"
    @update:model-value="(v) => emit('update:modelValue', Number.isNaN(v) ? null : v)"
  />
  <div v-else class="read">
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
      <span class="unit">{{ COUNTED[field.unit ?? ''] ?? '' }}</span>
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
