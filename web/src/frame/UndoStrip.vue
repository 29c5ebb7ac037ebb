<script setup lang="ts">
import { jointPlaces } from '@jugalis/core'
import { computed } from 'vue'
import { newer } from '../newer'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { unkept } from '../sync/device'
import type { Returned } from '../sync/machine'
import { when } from '../when'
import { word } from '../words/word'

const SHOWN_MS = 10_000
const job = useJob()
const clock = useClock()
// Reading the ticking clock makes the strip go by itself.
const open = computed(
  () => clock.nowS > 0 && job.lastAct !== null && Date.now() - job.lastAct.atMs < SHOWN_MS,
)
/** Which entry it was: of which joint, and when it was written. */
function which({ draft }: Returned): string {
  const tag = draft.jointId ? jointPlaces(job.state).get(draft.jointId)?.tag : undefined
  const at = when(draft.atDeviceS + clock.offsetS, clock.nowS, job.state.job.zone)
  return word('frame-written', { tag, at })
}
</script>

<template>
  <div v-if="open || job.returned.length || newer || unkept" class="undo no-print">
    <p v-for="r in job.returned" :key="r.id" role="alert">
      <span class="refusal">{{ word('frame-not-taken', { which: which(r), why: r.why }) }}</span>
      <button type="button" class="button" @click="job.dropReturned(r.id)">
        {{ word('frame-put-away') }}
      </button>
    </p>
    <p v-if="unkept" class="refusal" role="alert">
      {{ word('frame-this-device-keeps-nothing', { unkept }) }}
    </p>
    <p v-if="newer" role="status">
      {{ word('frame-a-newer-version-is') }}
      <button type="button" class="button" @click="newer()">{{ word('frame-put-it-in') }}</button>
    </p>
    <p v-if="open" class="act" role="status">
      <template v-if="job.lastAct?.takenBackBy">
        {{ word('frame-taken-back', { says: job.lastAct.says }) }}
        <button type="button" class="button" @click="job.redo()">{{ word('frame-do-it-again') }}</button>
      </template>
      <template v-else>
        <span :class="{ refusal: job.lastAct?.refused }">{{ job.lastAct?.says }}</span>
        <button v-if="!job.lastAct?.stands" type="button" class="button" @click="job.undo()">
          {{ word('frame-undo') }}
        </button>
      </template>
    </p>
  </div>
</template>

<style scoped>
.undo {
  border-top: 2px solid var(--ink);
  background: var(--sheet);
  padding: 0 14px;
}
.undo p {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 56px;
  font-weight: 500;
}
/* On the phone it lies over the top strip for its ten seconds: what is worked at below does not move. */
@media (max-width: 720px) {
  .undo .act {
    position: fixed;
    inset: 0 0 auto 0;
    z-index: 10;
    min-height: 44px;
    padding: 0 14px;
    background: var(--sheet);
    border-bottom: 2px solid var(--ink);
  }
  .undo:not(:has(p:not(.act))) {
    border-top: 0;
  }
}
</style>
