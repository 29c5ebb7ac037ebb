<script setup lang="ts">
import type { Line } from '@jugalis/core'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { word } from '../../words/word'

/** The lines of the job, one beside the other; on a phone in one row that slides. */
defineProps<{ here: Line | null }>()
const emit = defineEmits<{ fresh: [] }>()
const job = useJob()
const view = useView()
</script>

<template>
  <nav class="lines" :aria-label="word('set-out-lines')">
    <RouterLink
      v-for="l in view.lines"
      :key="l.id"
      :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: l.id } }"
      :class="{ here: l === here }"
      >{{ l.tag }} {{ l.name }}</RouterLink
    >
    <button type="button" class="button" @click="emit('fresh')">{{ word('set-out-new-line') }}</button>
  </nav>
</template>

<style scoped>
.lines {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.lines a {
  min-height: 44px;
  min-width: 44px;
  display: flex;
  align-items: center;
  text-decoration: none;
  font-weight: 500;
}
.lines a.here {
  font-weight: 600;
  box-shadow: inset 0 -3px 0 var(--copper);
}
@media (max-width: 720px) {
  .lines {
    flex-wrap: nowrap;
    overflow-x: auto;
    margin: 0 -14px;
    padding: 0 14px;
  }
  .lines > * {
    flex: none;
  }
}
</style>
