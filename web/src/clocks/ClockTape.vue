<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { type Running, digitsOf } from './running'

const props = defineProps<{ running: Running }>()
const job = useJob()
const share = computed(() => Math.max(0, Math.min(1, (props.running.leftS ?? 0) / props.running.totalS)))
const late = computed(() => props.running.leftS !== null && props.running.leftS < 0)
const digits = computed(() => digitsOf(props.running.leftS))
const CASE = 34
const LENGTH = 136
const ticks = computed(() => {
  const minutes = Math.max(1, Math.round(props.running.totalS / 60))
  const count = minutes <= 12 ? minutes : 6
  return Array.from({ length: count }, (_, i) => ((i + 1) / count) * LENGTH)
})
</script>

<template>
  <RouterLink
    :to="{ name: 'make', params: { jobId: running.job?.jobId ?? job.jobId, jointId: running.jointId } }"
    class="clock"
    :class="[running.kind, { late, last: running.kind === 'before' && !late && (running.leftS ?? 99) <= 10 }]"
  >
    <div class="line">
      <span class="digits">{{ digits }}</span>
      <span class="tag"
        >{{ running.tag }} <span class="what">{{ job.t(running.clock.label) }}</span></span
      >
    </div>
    <svg v-if="running.kind === 'before'" viewBox="0 0 176 18" class="draw" aria-hidden="true">
      <rect :x="CASE" y="5" :width="share * LENGTH" height="9" class="pulled" />
      <path v-for="x in ticks" v-show="x <= share * LENGTH" :key="x" :d="`M${CASE + x} 5v4`" class="tick" />
      <path :d="`M${CASE + share * LENGTH} 2v15`" class="hook" />
      <rect x="1" y="1" :width="CASE - 2" height="16" class="case" />
    </svg>
    <svg v-else viewBox="0 0 176 18" class="draw" aria-hidden="true">
      <rect x="1" y="4" width="26" height="10" class="pipe" />
      <rect x="22" y="1" width="150" height="16" class="socket" />
      <rect x="22" y="1" :width="150 * (1 - share)" height="16" class="filled" />
    </svg>
    <p v-if="running.job" class="of">{{ running.job.name }}</p>
    <p v-if="late" class="way">{{ job.t(running.clock.onMiss.say) }}</p>
  </RouterLink>
</template>

<style scoped>
.clock {
  display: block;
  padding: 8px 0 9px;
  text-decoration: none;
  border-bottom: 1px solid var(--line);
}
.line {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.digits {
  font: 600 25px/1 var(--figures);
  min-width: 58px;
}
.late .digits {
  color: var(--stop-ink);
}
.last {
  background: var(--ink);
  color: var(--paper);
  padding-inline: 6px;
}
.tag {
  font-weight: 600;
}
.what {
  font-weight: 400;
}
.draw {
  display: block;
  width: 176px;
  height: 18px;
  margin-top: 4px;
}
.pulled {
  fill: var(--tape);
  stroke: var(--ink);
}
.tick {
  stroke: var(--tape-ink);
}
.hook {
  stroke: var(--ink);
  stroke-width: 3;
}
.case {
  fill: var(--pipe);
}
.pipe,
.socket {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.filled {
  fill: var(--set);
}
.of {
  color: var(--soft);
  font-size: 15px;
}
/* In its last seconds a tape is printed the other way round, all of it. */
.last .of {
  color: inherit;
}
.last :is(.pulled, .hook) {
  stroke: currentColor;
}
.way {
  margin-top: 3px;
  font-size: 15px;
  color: var(--stop-ink);
}
</style>
