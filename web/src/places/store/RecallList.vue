<script setup lang="ts">
import type { Recalled } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { word } from '../../words/word'
import RecallStrip from './RecallStrip.vue'
import { recallSaid } from './use-store'

/** Joints that were found: what is in the line, what was proved with it, what may lie behind a wall by now. */
const props = defineProps<{ found: readonly Recalled[] }>()
const job = useJob()
const FEW = 30
const most = ref(FEW)
const says = computed(() => recallSaid(props.found))
const shown = computed(() => props.found.slice(0, most.value))
const stateOf = (one: Recalled): string =>
  [
    one.cutOut ? word('shelf-cut-out') : '',
    one.sections.join(', '),
    one.proved ? word('shelf-proved') : '',
    one.covered ? word('shelf-covered') : '',
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <p role="status" class="strong">{{ says }}</p>
  <RecallStrip :found="found" />
  <ul v-if="found.length">
    <li v-for="one in shown" :key="`${one.jointId} ${one.life}`">
      <RouterLink
        class="strong reach"
        :to="{ name: 'make', params: { jobId: job.jobId, jointId: one.jointId } }"
        >{{ one.tag }}</RouterLink
      >
      <span>{{ dated(one.atS, job.state.job.zone) }}</span>
      <span>{{ one.by.map(job.nameOf).join(', ') }}</span>
      <span class="why">{{ stateOf(one) }}</span>
    </li>
  </ul>
  <button v-if="found.length > most" type="button" class="button" @click="most = Infinity">
    {{ word('shelf-show-all', { count: found.length }) }}
  </button>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 4px 0;
  align-items: baseline;
  border-bottom: 1px solid var(--line);
}
</style>
