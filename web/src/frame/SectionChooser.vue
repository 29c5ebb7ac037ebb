<script setup lang="ts">
import { type SectionAnswer, WHOLE_JOB } from '@jugalis/core'
import { useJob } from '../stores/job'
import type { SectionHead } from '../view'
import { word } from '../words/word'

defineProps<{ sections: readonly SectionHead[]; here: SectionAnswer; place: 'wait' | 'prove' }>()
const job = useJob()
</script>

<template>
  <nav v-if="sections.length > 1 || place === 'wait'" class="sections" :aria-label="word('frame-sections')">
    <RouterLink
      v-for="a in sections"
      :key="a.section.id"
      :to="{ name: place, params: { jobId: job.jobId, sectionId: a.section.id } }"
      :class="{ here: a.section.id === here.section.id }"
      >{{ word(a.proved ? 'frame-section-proved' : 'frame-section', { tag: a.section.tag }) }}</RouterLink
    >
    <RouterLink
      v-if="place === 'wait'"
      :to="{ name: place, params: { jobId: job.jobId, sectionId: WHOLE_JOB } }"
      :class="{ here: here.section.id === WHOLE_JOB }"
      >{{ word('frame-the-whole-job') }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.sections {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
}
a {
  min-height: 44px;
  min-width: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
  font-weight: 500;
}
.here {
  font-weight: 600;
  box-shadow: inset 0 -3px 0 var(--copper);
}
</style>
