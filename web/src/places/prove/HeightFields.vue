<script setup lang="ts">
import QuantityField from '../../frame/QuantityField.vue'
import { word } from '../../words/word'

/** Heights of a section, mm; as it lies shows where nothing is typed. Any height may be meant: there is none to ask about. */
const emit = defineEmits<{ height: [of: 'gauge' | 'low' | 'high', mm: number | null] }>()
const props = defineProps<{
  given: Record<'gauge' | 'low' | 'high', number | null>
  lies: { gaugeM: number | null; lowM: number | null; highM: number | null }
}>()
const METRE_MM = 1000
const HEIGHTS = [
  ['gauge', word('prove-gauge-height'), props.lies.gaugeM],
  ['low', word('prove-lowest-point'), props.lies.lowM],
  ['high', word('prove-highest-point'), props.lies.highM],
] as const
const FAR_MM = 1e6
</script>

<template>
  <QuantityField
    v-for="[key, label, lying] in HEIGHTS"
    :key="key"
    :model-value="given[key]"
    :label="label"
    as="distance"
    :least="-FAR_MM"
    :most="FAR_MM"
    v-bind="lying === null ? {} : { example: lying * METRE_MM }"
    @update:model-value="(mm) => emit('height', key, mm)"
  />
</template>
