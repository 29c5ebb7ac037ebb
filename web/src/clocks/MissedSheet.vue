<script setup lang="ts">
import { fmt } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../frame/Sheet.vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import { useMissed } from './missed'
import { runningClocks } from './running'
import { word } from '../words/word'
import { Said } from '../words/said'

/** On waking: what ended while the screen was dark, with the way back. */
const job = useJob()
const view = useView()
const clock = useClock()
const missed = useMissed()
const rows = computed(() =>
  missed.all.map((one) => {
    const facts = view.facts.get(one.jointId)
    const ended = facts?.clocks.find((x) => `${one.jointId} ${x.id}` === one.key)
    const still = runningClocks(facts ? [facts] : [], clock.nowS).some((r) => r.key === one.key)
    return {
      ...one,
      tag: facts?.tag ?? '',
      label: ended ? job.t(ended.label) : '',
      late: one.kind === 'before' && Boolean(ended) && still,
      way:
        ended && one.kind === 'before'
          ? still
            ? job.t(ended.onMiss.say)
            : word('clocks-done-meanwhile')
          : '',
      ago: fmt.duration(Math.max(0, clock.nowS - one.endedS)),
    }
  }),
)
</script>

<template>
  <Sheet v-if="rows.length" :title="word('clocks-while-the-screen-was')" @close="missed.clear()">
    <p v-for="r in rows" :key="r.key" :class="{ refusal: r.late }">
      <Said
        :code="r.kind === 'before' ? 'clocks-time-ended' : 'clocks-time-begun'"
        :values="{ label: r.label, ago: r.ago, way: r.way }"
      >
        <template #joint>
          <RouterLink
            class="strong"
            :to="{ name: 'make', params: { jobId: job.jobId, jointId: r.jointId } }"
            @click="missed.clear()"
            >{{ r.tag }}</RouterLink
          >
        </template>
      </Said>
    </p>
    <p class="why">{{ word('clocks-a-dark-screen-does') }}</p>
    <button type="button" class="button main" @click="missed.clear()">{{ word('ui-seen') }}</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
