<script setup lang="ts">
import { type JointFacts, type Qualified, dayOf, madeWithout, qualifiedFor } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { dayText } from '../../when'
import { word } from '../../words/word'

/** Whoever makes or made this joint has no valid paper for it, where this job keeps such papers. */
const props = defineProps<{ facts: JointFacts }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const method = computed(() => {
  const { method: way } = props.facts
  return way ? job.t(way.name) : props.facts.place.way.method
})
const said = (personId: string, qualified: Qualified, made: boolean): string =>
  word('make-no-paper', {
    whose: made ? 'made' : 'mine',
    name: job.nameOf(personId),
    method: method.value,
    ended: qualified.is === 'ended' ? dayText(qualified.untilOn) : '',
  })
const today = computed(() => dayOf(clock.nowS, job.state.job.zone))
const says = computed(() => {
  const { facts } = props
  if (facts.homeAtS !== null)
    return madeWithout(job.state, facts).map(({ personId, qualified }) => said(personId, qualified, true))
  const me = session.person?.personId ?? ''
  const own = qualifiedFor(job.state, me, facts.place.way.method, today.value)
  return own.is === 'ended' || own.is === 'none' ? [said(me, own, false)] : []
})
</script>

<template>
  <p v-for="text in says" :key="text" class="warn">{{ text }}</p>
</template>
