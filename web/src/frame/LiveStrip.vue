<script setup lang="ts">
import { type Section, isLive, pressureNow, stateNow, tagOrder } from '@jugalis/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useJob } from '../stores/job'
import { useNarrow } from '../use-narrow'
import { when } from '../when'
import { useView } from '../view'
import { named, word } from '../words/word'

/** What stands under pressure or vacuum, or full, and that a job is closed: said in every place, since whoever works beside it does not open Prove. */
const job = useJob()
const route = useRoute()
const narrow = useNarrow()
const view = useView()
const all = computed(() => [...job.state.sections.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
const live = computed(() => all.value.filter((s) => isLive(job.state, s)))
/** In Make on a phone the room is for the work: there a joint of a full section says so itself. */
const full = computed(() =>
  narrow.value && route.name === 'make' ? [] : all.value.filter((s) => stateNow(job.state, s) === 'full'),
)
/** While a test runs of which nobody said that it is under pressure, the time of the last word means nothing. */
const since = (section: Section): string =>
  section.stateAtS === null || section.state !== stateNow(job.state, section)
    ? ''
    : word('frame-since', { when: when(section.stateAtS, view.nowS, job.state.job.zone) })
const says = (section: Section): string => {
  const bar = pressureNow(job.state, section)
  const read = bar === null ? '' : word('frame-last-read', { bar })
  return [
    word('frame-is-state', { tag: section.tag, state: named(stateNow(job.state, section)) }),
    read,
    since(section),
  ]
    .filter(Boolean)
    .join(', ')
}
const closed = computed(() => job.state.job.closed)
const to = (s: Section) => ({ name: 'prove', params: { jobId: job.jobId, sectionId: s.id } })
</script>

<template>
  <div
    v-if="live.length || full.length || closed"
    class="strip no-print"
    role="status"
    :class="{ live: live.length }"
  >
    <RouterLink v-if="closed" :to="{ name: 'about', params: { jobId: job.jobId } }">{{
      word('frame-closed', { at: when(closed.atS, view.nowS, job.state.job.zone) })
    }}</RouterLink>
    <template v-if="live.length">
      <span v-for="s in live" :key="s.id"
        ><RouterLink :to="to(s)">{{ says(s) }}</RouterLink
        >.
      </span>
      <strong>{{ word('frame-nothing-on-it-is') }}</strong>
    </template>
    <span v-if="full.length"
      >{{ word('frame-full') }}
      <template v-for="(s, i) in full" :key="s.id"
        ><template v-if="i">, </template><RouterLink :to="to(s)">{{ s.tag }}</RouterLink>
        {{ since(s) }}</template
      >.</span
    >
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
  padding: 3px 14px;
  background: var(--sheet);
  color: var(--ink);
  border-bottom: 2px solid var(--ink);
  flex: none;
  font-size: 16px;
}
.live {
  border-inline-start: 12px solid var(--stop);
}
.strip a {
  color: inherit;
  display: inline-block;
  padding-block: 5px;
}
</style>
