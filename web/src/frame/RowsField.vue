<script setup lang="ts">
import type { Msg } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { word } from '../words/word'
import RowFaults from './RowFaults.vue'

/** Rows as CSV, typed or from a file, loaded whole or not at all; what is wrong with them stands below. */
defineProps<{
  id: string
  /** The first line, or the columns, as they must be. */
  header: string
  example: string
  lines: number
  /** What the button says that loads them. */
  action: string
  fault: string
  faults: readonly { line: number; column: string; says: Msg }[]
}>()
const emit = defineEmits<{ load: []; file: [name: string] }>()
const csv = defineModel<string>({ required: true })
async function pick(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  csv.value = await file.text()
  emit('file', file.name.replace(/\.csv$/i, ''))
}
</script>

<template>
  <label :for="`${id}-csv`">{{ word('ui-rows-as-csv-the', { header }) }}</label>
  <ElInput :id="`${id}-csv`" v-model="csv" type="textarea" :rows="lines" :placeholder="example" />
  <div class="buttons">
    <label class="button" :for="`${id}-file`">{{ word('ui-from-a-file') }}</label>
    <input :id="`${id}-file`" class="sr" type="file" accept=".csv,text/csv" @change="pick" />
    <button type="button" class="button main" :disabled="!csv.trim()" @click="emit('load')">
      {{ action }}
    </button>
  </div>
  <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  <RowFaults :faults="faults" />
</template>

<style scoped>
label:not(.button) {
  font-weight: 600;
}
</style>
