<script setup lang="ts">
import {
  type As,
  KIND_OF,
  fmt,
  looksLikeOther,
  parseQuantity,
  systemOf,
  unitOf,
  unusualHere,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, useId, watch } from 'vue'
import { useJob } from '../stores/job'
import { word } from '../words/word'

/**
 * The one way in for a quantity: any unit of its kind, fractions, feet and inches, in the reader's own unit where none is
 * typed. Says back what it understood. The value is in the unit of its kind (mm, bar, °C, Nm, litres, kg); null is
 * empty, NaN is something that can't be taken as it stands: the sentence why stands under the field.
 */
const props = defineProps<{
  label: string
  as: As
  modelValue: number | null
  /** Least and most that it can be. */
  least?: number
  most?: number
  /** What it was before, or should be about: a figure that looks like the other unit is asked about. */
  near?: number | null
  /** Least and most that is usual, where nothing nearer is known: beyond it the other unit is asked about. */
  usual?: readonly [least: number, most: number]
  /** A form was sent off while this was still empty. */
  missing?: boolean
  /** Shown where nothing is typed. Without one, nothing is suggested. */
  example?: number
  /** Id of the field, where others name it. */
  fieldId?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()
const job = useJob()
const own = useId()
const id = computed(() => props.fieldId ?? own)
const text = ref('')
const focused = ref(false)
/** The question that stands: which of two units was meant. */
const asked = ref<{ own: number; other: number } | null>(null)
const unit = computed(() => unitOf(props.as, job.reader, props.near ?? props.modelValue ?? 0))
const bare = (value: number): string =>
  props.as === 'distance'
    ? fmt.number(fmt.inUnits(value, 'distance', job.reader), 2, job.reader.decimal)
    : fmt.figureOf(value, props.as, job.reader)
let sent: number | null | undefined
watch(
  () => props.modelValue,
  (value) => {
    // What was typed here stays as it was typed.
    if (Object.is(value, sent) || (value !== null && Number.isNaN(value))) return
    text.value = value === null ? '' : bare(value)
    asked.value = null
  },
  { immediate: true },
)
const typed = computed(() =>
  text.value.trim() ? parseQuantity(text.value, props.as, job.reader, props.near ?? 0) : null,
)
const range = computed(() => {
  const value = typed.value?.value
  if (value === undefined) return ''
  if (props.least !== undefined && value < props.least - 1e-9)
    return word('frame-is-too-little-here', { shown: shown(value) })
  if (props.most !== undefined && value > props.most + 1e-9)
    return word('frame-is-more-than-can', { shown: shown(value) })
  return ''
})
const fault = computed(() => {
  if (!text.value.trim()) return props.missing ? word('frame-this-is-needed') : ''
  if (!typed.value)
    return focused.value ? '' : word('frame-cant-be-read-as', { text: text.value.trim(), unit: unit.value })
  return range.value
})
const shown = (v: number): string => fmt.print(v, props.as, job.reader)
/** What it was understood as, where that is not what stands there. */
const understood = computed(() => {
  const read = typed.value
  if (!read || asked.value || fault.value) return ''
  const says = shown(read.value)
  return read.bare && says.replace(/ .*/, '') === text.value.trim() ? '' : says
})
function send(value: number | null): void {
  sent = value
  emit('update:modelValue', value)
}
function take(said: string): void {
  text.value = said
  asked.value = null
  const read = typed.value
  if (!said.trim()) return send(null)
  if (!read || range.value) return send(NaN)
  const other =
    props.near != null
      ? looksLikeOther(read, props.as, job.reader, props.near)
      : props.usual
        ? unusualHere(read, props.as, job.reader, props.usual)
        : null
  if (other !== null) {
    asked.value = { own: read.value, other }
    return send(NaN)
  }
  send(read.value)
}
function meant(value: number): void {
  asked.value = null
  text.value = bare(value)
  send(value)
}
/** A bare figure keeps its meaning when the reader's units change under it. */
watch(unit, (now, before) => {
  if (before && now !== before && props.modelValue !== null && !Number.isNaN(props.modelValue))
    text.value = bare(props.modelValue)
})
const otherUnit = computed(() => {
  const swapped = {
    ...job.reader,
    units: systemOf(job.reader, KIND_OF[props.as]) === 'inch' ? ('metric' as const) : ('inch' as const),
    own: {},
  }
  return (v: number): string => fmt.print(v, props.as, swapped)
})
</script>

<template>
  <div class="quantity">
    <label :for="id">{{ label }}</label>
    <ElInput
      :id="id"
      :model-value="text"
      size="large"
      inputmode="text"
      autocomplete="off"
      :placeholder="example === undefined ? '' : bare(example)"
      :aria-invalid="fault !== '' || asked !== null"
      :aria-describedby="`${id}-says`"
      @update:model-value="take"
      @focus="focused = true"
      @blur="focused = false"
      @keydown.enter="focused = false"
    >
      <template #suffix>{{ unit }}</template>
    </ElInput>
    <div :id="`${id}-says`">
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <div v-else-if="asked" class="asked" role="alert">
        <span>{{ word('ui-which-was-meant') }}</span>
        <button type="button" class="button" @click="meant(asked.own)">{{ shown(asked.own) }}</button>
        <button type="button" class="button" @click="meant(asked.other)">{{ otherUnit(asked.other) }}</button>
      </div>
      <p v-else-if="understood" class="understood" aria-live="polite">{{ understood }}</p>
    </div>
  </div>
</template>

<style scoped>
.quantity {
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;
}
.quantity label {
  font-weight: 600;
}
.quantity p {
  margin: 0;
}
.understood {
  color: var(--soft);
  font-weight: 600;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
