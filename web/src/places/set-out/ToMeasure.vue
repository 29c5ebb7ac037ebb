<script setup lang="ts">
import { type Line, isUnmeasured } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** What a line still waits for: a tape measure. The first piece is one tap away. */
const props = defineProps<{ line: Line }>()
const job = useJob()
const first = computed(() => props.line.items.find(isUnmeasured))
</script>

<template>
  <RouterLink
    v-if="first"
    class="button main to-measure"
    :to="{ name: 'cut', params: { jobId: job.jobId, itemId: first.id } }"
    >{{ word('set-out-measure-first', { tag: first.tag }) }}</RouterLink
  >
</template>

<style scoped>
.to-measure {
  align-self: flex-start;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
</style>
