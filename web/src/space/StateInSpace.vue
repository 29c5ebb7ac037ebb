<script setup lang="ts">
import { type LinesAsOne, type SectionAnswer, hangTogether, linesAsOne, tagsOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../stores/job'
import { useView } from '../view'
import { word } from '../words/word'
import StateDrawing from './StateDrawing.vue'

/** The lines of a section that have a place in the building, as they stand: those that hang together as one. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const view = useView()
/** The one with most of its joints first. */
const spaces = computed<LinesAsOne[]>(() => {
  const counts = new Map<string, number>()
  for (const { facts } of props.answer.joints)
    counts.set(facts.place.line.id, (counts.get(facts.place.line.id) ?? 0) + 1)
  const lines = view.lines
    .filter((line) => counts.has(line.id))
    .sort((a, b) => (counts.get(b.id) ?? 0) - (counts.get(a.id) ?? 0))
  return hangTogether(job.state, lines).flatMap((group) =>
    group[0] ? [linesAsOne(job.state, group[0].line, group)] : [],
  )
})
const lineId = ref('')
const space = computed(() => spaces.value.find((one) => one.line.id === lineId.value) ?? spaces.value[0])
</script>

<template>
  <section v-if="space" :aria-label="word('wait-as-it-stands')">
    <h2>{{ word('wait-as-it-stands') }}</h2>
    <StateDrawing :answer="answer" :space="space">
      <select v-if="spaces.length > 1" v-model="lineId" class="plain" :aria-label="word('set-out-lines')">
        <option v-for="one in spaces" :key="one.line.id" :value="one.line.id">{{ tagsOf(one) }}</option>
      </select>
    </StateDrawing>
  </section>
</template>
