<script setup lang="ts">
import { type Amended, type JointFacts, jointHistory, proposalsOf } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { word } from '../../words/word'
import ProposalNote from './ProposalNote.vue'
import SayWrong from './SayWrong.vue'
import { readingsTold, whatHappened } from './history-said'

/** All that happened to a joint, as it was written: what was taken back stays readable, with who did so. */
const props = defineProps<{ facts: JointFacts }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const zone = computed(() => job.state.job.zone)
const rows = computed(() => jointHistory(job.entries(), job.state, props.facts.id))
const proposals = computed(() => proposalsOf(job.entries()))
const again = computed(() => rows.value.some(({ life }) => (life ?? 1) > 1))

const amendedSaid = ({ what, by, atS, toS, reason }: Amended): string =>
  word('make-history-amended', {
    // A choice in a sentence holds no hyphen.
    what: what.replace('-', '_'),
    name: job.nameOf(by),
    at: dated(atS, zone.value),
    to: toS === null ? '' : dated(toS, zone.value),
    reason,
    why: reason ? 'yes' : 'no',
  })
</script>

<template>
  <Sheet :title="word('make-history-of', { tag: facts.tag })" @close="emit('close')">
    <p v-if="!rows.length" class="why">{{ word('make-history-none') }}</p>
    <ol class="history">
      <li v-for="row in rows" :key="row.key" :class="{ gone: row.gone }">
        <p class="when">
          {{ dated(row.atS, zone) }}, <strong>{{ job.nameOf(row.by) }}</strong><span v-if="again && row.life"
            >, {{ word('make-history-life', { life: row.life }) }}</span
          >
        </p>
        <p class="what">{{ whatHappened(facts, row) }}</p>
        <p v-if="readingsTold(facts, row)" class="read">{{ readingsTold(facts, row) }}</p>
        <p v-if="row.kind === 'step-done' && row.things.length" class="why">
          {{ word('make-history-with', { things: row.things.join(', ') }) }}
        </p>
        <p v-if="row.fromMemory" class="why">{{ word('make-history-from-memory') }}</p>
        <p v-for="(one, i) in row.amended" :key="i" class="amended">{{ amendedSaid(one) }}</p>
        <ProposalNote
          v-for="proposal in proposals.filter(({ target }) => target.id === row.eventId)"
          :key="proposal.id"
          :proposal="proposal"
        />
        <SayWrong v-if="!row.gone" :row="row" />
      </li>
    </ol>
  </Sheet>
</template>

<style scoped>
.history {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding-block: 8px;
  border-block-start: 1px solid var(--line);
}
p {
  margin: 0;
}
.when {
  color: var(--soft);
  font-size: 15px;
}
.read {
  font-family: var(--figures);
}
.gone .what,
.gone .read {
  color: var(--soft);
  text-decoration: line-through;
}
.amended {
  font-weight: 600;
}
</style>
