<script setup lang="ts">
import { type HandbookFigure, type Msg, sourceOf } from '@jugalis/core'
import { ref } from 'vue'
import { useJob } from '../../stores/job'
import { figureName, figureText, otherText, readerFor, standing } from './figure-text'
import { told, word } from '../../words/word'

/** Figures with their sources one click away. */
defineProps<{ rows: readonly { figure: HandbookFigure; school: string; of?: string }[] }>()
const emit = defineEmits<{ open: [index: number] }>()
const job = useJob()
const reader = (school: string) => readerFor(school, job.reader)
const words = (school: string) => (m: Msg) => told(m, reader(school))
const shown = ref<number | null>(null)
/** The same by other rules; only figures stand there. */
const othersOf = (f: HandbookFigure) => (f.others ?? []).flatMap((o) => (o.value === null ? [] : [o]))
const source = (f: HandbookFigure) => (f.fig.value === null ? null : sourceOf(f.fig.source))
</script>

<template>
  <table class="rows figures" :aria-label="word('handbook-figures')">
    <thead>
      <tr>
        <th v-if="rows.some((r) => r.of)">{{ word('ui-joint') }}</th>
        <th>{{ word('handbook-figure') }}</th>
        <th class="right">{{ word('handbook-value') }}</th>
        <th>{{ word('ui-source') }}</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="(r, i) in rows" :key="i">
        <tr>
          <td v-if="r.of">
            <button type="button" class="joint" @click="emit('open', i)">{{ r.of }}</button>
          </td>
          <td>{{ words(r.school)(figureName(r.figure)) }}</td>
          <td class="right value" :class="{ none: r.figure.fig.value === null }">
            {{ figureText(r.figure, reader(r.school), words(r.school)) }}
            <span class="other">{{ otherText(r.figure, reader(r.school), words(r.school)) }}</span>
            <span v-for="o in othersOf(r.figure)" :key="o.source" class="other">{{
              word('handbook-by-the-edition-of', {
                figureText: figureText({ ...r.figure, fig: o }, reader(r.school), words(r.school)),
                edition: sourceOf(o.source)?.edition ?? o.source,
              })
            }}</span>
          </td>
          <td>
            <button
              v-if="r.figure.fig.value !== null"
              type="button"
              class="source"
              :aria-expanded="shown === i"
              @click="shown = shown === i ? null : i"
            >
              {{ standing(r.figure.fig.source, job.state.checked) }}
            </button>
          </td>
        </tr>
        <tr v-if="shown === i && source(r.figure)" class="told">
          <td :colspan="rows.some((x) => x.of) ? 4 : 3">
            {{ source(r.figure)!.reference
            }}<template v-if="source(r.figure)!.edition">, {{ source(r.figure)!.edition }}</template
            >.
            <span lang="en">{{ source(r.figure)!.note }}</span>
            {{
              source(r.figure)!.from?.length
                ? word('handbook-from', { from: source(r.figure)!.from!.join(', ') })
                : ''
            }}
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
.figures td {
  padding-block: 2px;
}
.other {
  margin-inline-start: 10px;
  font: 400 15px var(--text);
  color: var(--soft);
}
.value {
  font: 600 19px var(--figures);
  white-space: nowrap;
}
.none {
  font: 400 15px var(--text);
  white-space: normal;
  max-width: 320px;
}
.source,
.joint {
  border: 0;
  padding: 0;
  min-height: 44px;
  background: none;
  color: var(--copper);
  text-align: start;
  text-decoration: underline;
  font: inherit;
  cursor: pointer;
}
.joint {
  font-weight: 600;
}
.told td {
  background: var(--paper);
  border-inline-start: 4px solid var(--ink);
  padding: 8px 12px;
}
@media print {
  .source {
    text-decoration: none;
    color: var(--ink);
  }
}
</style>
