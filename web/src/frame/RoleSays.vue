<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { word } from '../words/word'

/** Whoever may not write everything here is told what is theirs, before they try. */
const job = useJob()
const says = computed(() =>
  job.role && ['apprentice', 'tester', 'witness', 'reader'].includes(job.role)
    ? word('frame-here-as', { role: job.role })
    : '',
)
</script>

<template>
  <p v-if="says" class="role no-print" role="note">{{ says }}</p>
</template>

<style scoped>
.role {
  margin: 0;
  padding: 6px 24px;
  border-block-end: 1px solid var(--line);
  background: var(--sheet);
  font-size: 15px;
}
@media (max-width: 720px) {
  .role {
    padding: 6px 14px;
  }
}
</style>
