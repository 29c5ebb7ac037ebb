<script setup lang="ts">
import type { Gate } from '@jugalis/core'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { word } from '../../words/word'

const props = defineProps<{ gates: readonly Gate[]; sectionId: string }>()
const job = useJob()
const clock = useClock()
async function confirm(gate: Gate, done: boolean): Promise<void> {
  await job.write(
    [
      {
        kind: 'gate',
        data: {
          sectionId: props.sectionId,
          gate: gate.id,
          done,
          how: done ? word('prove-looked-at') : word('prove-opened-again'),
        },
      },
    ],
    done
      ? word('prove-confirmed', { says: job.t(gate.says) })
      : word('prove-open-again-2', { says: job.t(gate.says) }),
  )
}
</script>

<template>
  <ul class="gates" :aria-label="word('ui-gates')">
    <li v-for="g in gates" :key="g.id" :class="{ open: g.open }">
      <svg
        width="30"
        height="30"
        viewBox="0 0 30 30"
        role="img"
        :aria-label="g.open ? word('prove-open') : word('prove-closed')"
      >
        <path d="M4 4V26M26 4V26" class="post" />
        <path v-if="g.open" d="M4 9L17 4M4 21L17 16M4 9V21M17 4V16" class="leaf" />
        <path v-else d="M4 9H26M4 21H26M4 9L26 21" class="leaf" />
      </svg>
      <span class="says">
        {{ job.t(g.says) }}
        <span v-if="!g.open && g.byPerson && g.by" class="who"
          >{{ job.nameOf(g.by) }}, {{ when(g.atS ?? 0, clock.nowS, job.state.job.zone) }}, {{ g.how }}</span
        >
        <span v-else-if="!g.byPerson" class="who">{{ word('prove-computed-from-the-log') }}</span>
      </span>
      <button v-if="g.byPerson" type="button" class="button" @click="confirm(g, g.open)">
        {{ g.open ? word('prove-confirm') : word('prove-open-again') }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.gates {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 52px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.open .says {
  font-weight: 600;
}
.says {
  flex: 1;
}
.who {
  display: block;
  font-size: 15px;
  font-weight: 400;
  color: var(--soft);
}
.post {
  stroke: var(--ink);
  stroke-width: 3;
}
.leaf {
  stroke: var(--ink);
  stroke-width: 2;
  fill: none;
}
svg {
  flex: none;
}
</style>
