<script setup lang="ts">
import type { Msg } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import { rowsOfFile } from '../workers/file-rows'
import { word } from '../words/word'
import RowFaults from './RowFaults.vue'

/** Rows as CSV, typed or from a file of CSV or a workbook, loaded whole or not at all; what is wrong with them stands below. */
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
const reading = ref(false)
/** Why a file could not be read, and what in it wants a look. */
const failed = ref('')
const notes = ref<readonly string[]>([])
async function pick(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  // The same file may be chosen again once it was put right.
  field.value = ''
  if (!file) return
  reading.value = true
  const read = await rowsOfFile(file).finally(() => (reading.value = false))
  failed.value = 'failed' in read ? read.failed : ''
  notes.value = 'failed' in read ? [] : read.notes
  if ('failed' in read) return
  csv.value = read.csv
  emit('file', file.name.replace(/\.(?:csv|txt|xlsx)$/i, ''))
}
</script>

<template>
  <label :for="`${id}-csv`">{{ word('ui-rows-as-csv-the', { header }) }}</label>
  <ElInput :id="`${id}-csv`" v-model="csv" type="textarea" :rows="lines" :placeholder="example" />
  <div class="buttons">
    <label class="button" :for="`${id}-file`">{{ word('ui-from-a-file') }}</label>
    <input :id="`${id}-file`" class="sr" type="file" accept=".csv,.txt,.xlsx,text/csv" @change="pick" />
    <button type="button" class="button main" :disabled="!csv.trim()" @click="emit('load')">
      {{ action }}
    </button>
  </div>
  <p v-if="reading" class="why" role="status">{{ word('files-opening') }}</p>
  <p v-if="failed" class="refusal" role="alert">{{ failed }}</p>
  <p v-for="note in notes" :key="note" class="warn">{{ note }}</p>
  <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  <RowFaults :faults="faults" />
</template>

<style scoped>
label:not(.button) {
  font-weight: 600;
}
</style>
