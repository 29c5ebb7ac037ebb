<script setup lang="ts">
import { fmt } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../frame/Sheet.vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import { useMissed } from './missed'
import { runningClocks } from './running'

/** On waking: what ended while the screen was dark, with the way back. */
const job = useJob()
const view = useView()
const clock = useClock()
const missed = useMissed()
const rows = computed(() =>
  missed.all.map((m) => {
    const facts = view.facts.get(m.jointId)
    const c = facts?.clocks.find((x) => `${m.jointId} ${x.id}` === m.key)
    const still = runningClocks(facts ? [facts] : [], view.looks, clock.nowS).some((r) => r.key === m.key)
    return {
      ...m,
      tag: facts?.tag ?? '',
      label: c ? job.t(c.label) : '',
      way: c && m.kind === 'before' ? (still ? job.t(c.onMiss.say) : 'Done meanwhile.') : '',
      ago: fmt.duration(Math.max(0, clock.nowS - m.endedS)),
    }
  }),
)
</script>

<template>
  <Sheet v-if="rows.length" title="While the screen was dark" @close="missed.clear()">
    <p
      v-for="r in rows"
      :key="r.key"
      :class="{ refusal: r.kind === 'before' && r.way !== 'Done meanwhile.' }"
    >
      <RouterLink
        class="strong"
        :to="{ name: 'make', params: { jobId: job.jobId, jointId: r.jointId } }"
        @click="missed.clear()"
        >{{ r.tag }}</RouterLink
      >
      {{ r.kind === 'before' ? `the time to ${r.label} ended` : `it may ${r.label}` }} {{ r.ago }} ago.
      {{ r.way }}
    </p>
    <p class="why">A dark screen does not ring. Keep it lit while a window runs.</p>
    <button type="button" class="button main" @click="missed.clear()">Seen</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
