<script setup lang="ts">
import type { Line } from '@jugalis/core'
import { ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { word } from '../../words/word'

/** What is round a line's pipes, and how much is to be free between them and others. */
const props = defineProps<{ line: Line }>()
const emit = defineEmits<{ close: []; said: [insulationMm: number, clearMm: number] }>()
const insulationMm = ref<number | null>(props.line.stands?.insulationMm ?? 0)
const clearMm = ref<number | null>(props.line.stands?.clearMm ?? 0)
const THICKEST_MM = 500
const FARTHEST_MM = 5000
const USUAL = { insulation: [0, 150], clear: [0, 600] } as const
function save(): void {
  const figures = [insulationMm.value, clearMm.value]
  if (figures.some((mm) => mm !== null && Number.isNaN(mm))) return
  emit('said', insulationMm.value ?? 0, clearMm.value ?? 0)
  emit('close')
}
</script>

<template>
  <Sheet :title="word('room-title', { tag: line.tag })" @close="emit('close')">
    <p class="why">{{ word('room-says') }}</p>
    <QuantityField
      v-model="insulationMm"
      :label="word('room-insulation')"
      as="length"
      :least="0"
      :most="THICKEST_MM"
      :usual="USUAL.insulation"
    />
    <QuantityField
      v-model="clearMm"
      :label="word('room-clear')"
      as="length"
      :least="0"
      :most="FARTHEST_MM"
      :usual="USUAL.clear"
    />
    <button class="button main" type="button" @click="save">{{ word('room-save') }}</button>
  </Sheet>
</template>
