<script setup lang="ts">
import type { Proposal } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { dated } from '../../when'
import { word } from '../../words/word'

/** That somebody says an entry is wrong, with what was answered; its author, or who leads, answers here. */
const props = defineProps<{ proposal: Proposal }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const says = computed(() => {
  const { by, atS, undo, toS, reason } = props.proposal
  return word('make-proposed', {
    name: job.nameOf(by),
    when: dated(atS, zone.value),
    undo: undo ? 'yes' : 'no',
    to: toS === null ? '' : dated(toS, zone.value),
    reason,
  })
})
const answered = computed(() => {
  const { answer } = props.proposal
  return answer
    ? word('make-proposal-answered', {
        name: job.nameOf(answer.by),
        when: dated(answer.atS, zone.value),
        accepted: answer.accepted ? 'yes' : 'no',
        note: answer.note,
      })
    : ''
})
const own = computed(() => props.proposal.by === session.person?.personId)
const mayAnswer = computed(() => job.corrects(props.proposal.target.actorId))
const note = ref('')
const accept = (): Promise<string[]> => {
  const { id, target, undo, toS, reason } = props.proposal
  // Times inside an entry are on this device's clock.
  const atS = toS === null ? {} : { atS: toS - clock.offsetS }
  return job.write(
    [{ kind: 'correction', data: { target: target.id, undo, ...atS, reason, proposalId: id } }],
    word('make-proposal-accepted'),
  )
}
const decline = (): Promise<string[]> =>
  job.write(
    [
      {
        kind: 'proposal-declined',
        data: { proposalId: props.proposal.id, ...(note.value.trim() ? { note: note.value.trim() } : {}) },
      },
    ],
    word('make-proposal-declined'),
  )
</script>

<template>
  <div class="proposal">
    <p class="says">{{ says }}</p>
    <p v-if="answered">{{ answered }}</p>
    <template v-else-if="mayAnswer">
      <label class="field" :for="`why-not-${proposal.id}`">{{ word('make-proposal-why-not') }}</label>
      <ElInput :id="`why-not-${proposal.id}`" v-model="note" size="large" maxlength="400" />
      <div class="buttons">
        <button type="button" class="button main" @click="accept">{{ word('make-proposal-accept') }}</button>
        <button type="button" class="button" @click="decline">{{ word('make-proposal-decline') }}</button>
      </div>
    </template>
    <template v-else>
      <p class="why">{{ word('make-proposal-waits', { name: job.nameOf(proposal.target.actorId) }) }}</p>
      <button v-if="own" type="button" class="button" @click="decline">
        {{ word('make-proposal-withdraw') }}
      </button>
    </template>
  </div>
</template>

<style scoped>
.proposal {
  margin-block: 6px;
  padding: 8px 10px;
  border-inline-start: 4px solid var(--wet-ink);
}
p {
  margin: 0;
}
.says {
  font-weight: 600;
}
.field {
  display: block;
  margin-block: 6px 2px;
}
.buttons {
  margin-block-start: 8px;
}
</style>
