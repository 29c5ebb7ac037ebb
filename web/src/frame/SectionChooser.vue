<script setup lang="ts">
import { type SectionAnswer, WHOLE_JOB } from '@jugalis/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../stores/job'
import type { SectionHead } from '../view'
import { word } from '../words/word'
import PickOne from './PickOne.vue'

const props = defineProps<{
  sections: readonly SectionHead[]
  here: SectionAnswer
  place: 'wait' | 'prove'
}>()
const job = useJob()
const router = useRouter()
/** More than these are no row of links but a list to choose from: the headline stays in sight. */
const MANY = 12
const saidOf = ({ section, proved }: SectionHead): string =>
  word(proved ? 'frame-section-proved' : 'frame-section', { tag: section.tag })
const choices = computed(() => [
  ...props.sections.map((head) => [head.section.id, saidOf(head)] as const),
  ...(props.place === 'wait' ? [[WHOLE_JOB, word('frame-the-whole-job')] as const] : []),
])
const chosen = computed({
  get: () => props.here.section.id,
  set: (sectionId) =>
    void router.push({ name: props.place, params: { jobId: job.jobId as string, sectionId } }),
})
</script>

<template>
  <div v-if="sections.length > MANY" class="many">
    <PickOne v-model="chosen" :label="word('frame-sections')" :options="choices" filterable />
  </div>
  <nav
    v-else-if="sections.length > 1 || place === 'wait'"
    class="sections"
    :aria-label="word('frame-sections')"
  >
    <RouterLink
      v-for="a in sections"
      :key="a.section.id"
      :to="{ name: place, params: { jobId: job.jobId, sectionId: a.section.id } }"
      :class="{ here: a.section.id === here.section.id }"
      >{{ saidOf(a) }}</RouterLink
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
.many {
  max-width: 340px;
}
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
