<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { reactive } from 'vue'
import ListField from '../../frame/ListField.vue'
import { word } from '../../words/word'
import type { FoundTable } from '../../workers/table-reply'
import { FIELD_WORDS, type useColumns } from './use-columns'

/** What each row is and what the columns hold, above the first rows of the table. */
const props = defineProps<{ found: FoundTable; how: ReturnType<typeof useColumns> }>()
const how = reactive(props.how)
</script>

<template>
  <div class="asked">
    <ListField
      id="schedule-mode"
      v-model="how.mode"
      :label="word('set-out-each-row-is')"
      :options="[
        ['parts', word('set-out-a-part-fitting-or')],
        ['pieces', word('set-out-a-piece-of-pipe')],
        ['joints', word('set-out-a-joint')],
      ]"
    />
    <label for="schedule-first">{{ word('set-out-first-row-below-the') }}</label>
    <ElInput id="schedule-first" v-model="how.firstRow" size="large" inputmode="numeric" />
    <ListField
      id="schedule-units"
      v-model="how.units"
      :label="word('set-out-bare-figures-are')"
      :options="[
        ['metric', word('set-out-millimetres')],
        ['inch', word('set-out-inches')],
      ]"
    />
    <ListField
      id="schedule-comma"
      v-model="how.comma"
      :label="word('set-out-a-comma-is')"
      :options="[
        ['asked', word('set-out-asked-when-it-matters')],
        ['decimal', word('set-out-a-decimal-sign')],
        ['thousands', word('set-out-between-thousands')],
      ]"
    />
    <ListField
      v-for="f in how.fields"
      :id="`column-${f}`"
      :key="f"
      v-model="how.columns[f]"
      clearable
      :label="word(FIELD_WORDS[f])"
      :hint="how.isNeeded(f) ? '' : word('set-out-may-be-left-out')"
      :options="how.choices"
      :placeholder="word('set-out-no-column')"
    />
  </div>
  <div class="scroll" role="region" :aria-label="word('set-out-first-rows-of-the')" tabindex="0">
    <table class="rows" :aria-label="word('set-out-first-rows-of-the')">
      <thead>
        <tr>
          <th>{{ word('set-out-row-2') }}</th>
          <th v-for="[i, says] in how.choices" :key="i">{{ says }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, row) in found.head.slice(0, 8)" :key="row" :class="{ open: row === how.first - 2 }">
          <td class="soft">{{ row + 1 }}</td>
          <td v-for="[i] in how.choices" :key="i">{{ r[i] ?? '' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: minmax(180px, 300px) minmax(200px, 340px);
  gap: 8px 16px;
  align-items: center;
}
.asked :deep(label) {
  font-weight: 600;
}
.scroll {
  max-height: 50vh;
}
.soft {
  color: var(--soft);
}
@media (max-width: 720px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px 0;
  }
}
</style>
