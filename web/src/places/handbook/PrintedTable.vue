<script setup lang="ts">
import { type TableFile, columnsOf } from '@jugalis/core'
import { computed } from 'vue'
import { word } from '../../words/word'

/** A table as it is printed, in its own units, to be held against a copy. */
const props = defineProps<{ file: TableFile }>()
const columns = computed(() => columnsOf(props.file))
/** Its columns are called as in its file: names, where there is no unit, and shares are written bare. */
const heading = (column: string, unit: string | null): string =>
  unit && unit !== 'share' && unit !== 'time' && unit !== column
    ? word('handbook-column-in', { column, unit })
    : column
const cell = (at: unknown): string => (at === null || at === undefined ? '–' : String(at))
</script>

<template>
  <div class="printed" lang="en" tabindex="0" role="region" :aria-label="file.of">
    <table class="rows">
      <caption>
        {{
          file.of
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="{ column, unit } in columns" :key="column" scope="col">{{ heading(column, unit) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in file.rows" :key="i" :class="{ less: row.sure }">
          <td v-for="{ column } in columns" :key="column" class="digits">{{ cell(row[column]) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.printed {
  max-height: 320px;
  overflow: auto;
  border: 1px solid var(--line);
}
caption {
  text-align: start;
  padding: 6px 8px;
}
.printed .rows :is(td, th) {
  padding: 2px 8px;
}
.less td {
  font-style: italic;
}
</style>
