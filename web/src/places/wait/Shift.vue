<script setup lang="ts">
import { shiftOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { Figures } from '../../words/said'
import { word } from '../../words/word'
import { useShiftBlocks } from './use-shift-blocks'

/** What the next shift must know, in two minutes; nothing of what is done with. */
const job = useJob()
const view = useView()
const zone = computed(() => job.state.job.zone)
const at = (s: number): string => when(s, view.nowS, zone.value)
const shift = computed(() => shiftOf(job.state, view.facts.values(), view.nowS))
const { blocks } = useShiftBlocks(shift)
const headline = computed(() => {
  const lists = shift.value
  const parts = [
    lists.sections.length ? word('wait-under-pressure', { sections: lists.sections.length }) : '',
    lists.unfixed.length ? word('wait-not-fixed', { unfixed: lists.unfixed.length }) : '',
    lists.halfMade.length ? word('wait-half-made-2', { halfMade: lists.halfMade.length }) : '',
    lists.dontTouch.length ? word('wait-not-to-be-touched-2', { dontTouch: lists.dontTouch.length }) : '',
    lists.blanketsOn.length ? word('wait-blankets-are-on', { blankets: lists.blanketsOn.length }) : '',
  ].filter(Boolean)
  return parts.length
    ? word('wait-for-the-next-shift', { parts: parts.join(', ') })
    : word('wait-for-the-next-shift-nothing')
})
const print = (): void => window.print()
const MOST = 40
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">{{ word('wait-as-of', { at: at(view.nowS), name: job.state.job.name }) }}</p>
    </div>
    <section v-for="b in blocks" :key="b.title">
      <h2>
        {{ b.title }} <span class="count">{{ b.lines.length }}</span>
      </h2>
      <p v-for="l in b.lines.slice(0, MOST)" :key="l.key" class="line">
        <RouterLink
          v-if="l.jointId"
          class="strong nowrap reach"
          :to="{ name: 'make', params: { jobId: job.jobId, jointId: l.jointId } }"
          >{{ l.tag }}</RouterLink><strong v-else-if="l.tag" class="nowrap">{{ l.tag }}</strong>
        <span>{{ l.says }}</span>
      </p>
      <p v-if="b.lines.length > MOST" class="why">
        {{ word('wait-and-more-2', { lines: b.lines.length - MOST }) }}
      </p>
    </section>
    <div class="buttons no-print">
      <button type="button" class="button main" @click="print">{{ word('wait-print-it') }}</button>
      <RouterLink class="button" :to="{ name: 'wait', params: { jobId: job.jobId } }">{{
        word('wait-back-to-wait')
      }}</RouterLink>
    </div>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  max-width: 720px;
  border-bottom: 2px solid var(--ink);
}
.line {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 10px;
  max-width: 720px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.line > span:only-child {
  grid-column: 1 / -1;
}
</style>
