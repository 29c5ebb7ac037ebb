<script setup lang="ts">
import { nearestFirst } from '@jugalis/core'
import { computed } from 'vue'
import ClockTape from '../../clocks/ClockTape.vue'
import { runningOf } from '../../clocks/running'
import { useClock } from '../../stores/clock'
import { word } from '../../words/word'
import type { JobRow } from './use-glance'

/** The clocks of all jobs, nearest danger first. */
const props = defineProps<{
  jobs: readonly JobRow[]
  most: number
  /** Takes no room where no clock runs. */
  quiet?: boolean
}>()
const clock = useClock()
const all = computed(() => {
  const running = props.jobs.flatMap((row) =>
    (row.glance?.clocks ?? []).map((open) => ({
      ...runningOf({ id: open.jointId, tag: open.tag }, open, clock.nowS),
      job: { jobId: row.jobId, name: row.name },
    })),
  )
  // What has ended since the glance was taken is no clock any more; a window runs on, late.
  const still = running.filter(({ kind, leftS }) => kind === 'before' || (leftS ?? 0) > 0)
  return nearestFirst(still, clock.nowS)
})
</script>

<template>
  <section v-if="all.length || !quiet" class="clocks" :aria-label="word('clocks-running-clocks')">
    <h2>{{ word('jobs-clocks') }}</h2>
    <ClockTape v-for="running in all.slice(0, most)" :key="running.key" :running="running" />
    <p v-if="all.length > most" class="why">{{ word('clocks-and-more', { before: all.length - most }) }}</p>
    <p v-if="!all.length" class="why">{{ word('clocks-no-clock-is-running') }}</p>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
}
</style>
