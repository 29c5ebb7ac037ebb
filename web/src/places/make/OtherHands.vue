<script setup lang="ts">
import type { Done, JointFacts } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { hhmmss } from '../../when'
import { word } from '../../words/word'

/** Somebody else is at this joint: who, since when; and where two wrote the same doing, which of them stands. */
const props = defineProps<{ facts: JointFacts }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const NEAR_S = 900
const me = computed(() => session.person?.personId ?? '')
const done = computed<readonly Done[]>(() => props.facts.life?.done ?? [])
const says = (done: Done): string => {
  const step = props.facts.steps.find((s) => s.id === done.step)
  return step ? job.t(step.action).toLowerCase() : done.step
}
const other = computed(() => {
  const last = done.value.at(-1)
  return last && last.by !== me.value && props.facts.nextStep && clock.nowS - last.latestS < NEAR_S
    ? last
    : null
})
/** The last doing, if two people wrote it. */
const contested = computed<readonly Done[]>(() => {
  const last = done.value.at(-1)
  if (!last || last.readings.again === true) return []
  const same = done.value.filter((d) => d.step === last.step && d.readings.again !== true)
  return new Set(same.map((d) => d.by)).size > 1 ? same : []
})
/** What another wrote is taken back by who wrote it, or by who leads the job. */
const mayStand = computed(() =>
  contested.value.filter(
    (stands) => job.leading || contested.value.every((d) => d === stands || d.by === me.value),
  ),
)
async function agree(stands: Done): Promise<void> {
  const gone = contested.value.filter((d) => d !== stands)
  await job.write(
    gone.map((done) => ({
      kind: 'correction',
      data: {
        target: done.eventId,
        undo: true,
        reason: word('make-agreed-s-entry-stands', { name: job.nameOf(stands.by) }),
      },
    })),
    word('make-s-entry-stands-the', { name: job.nameOf(stands.by) }),
  )
}
</script>

<template>
  <div v-if="contested.length" class="others" role="status">
    <p>
      {{
        word('make-written-twice', {
          list: contested
            .map((d) => `${job.nameOf(d.by)} ${hhmmss(d.latestS, job.state.job.zone)}`)
            .join(', '),
        })
      }}
    </p>
    <div class="buttons">
      <button v-for="d in mayStand" :key="d.eventId" type="button" class="button" @click="agree(d)">
        {{ word('make-s-stands', { name: job.nameOf(d.by) }) }}
      </button>
    </div>
  </div>
  <p v-else-if="other" class="others" role="status">
    {{
      word('make-is-making-this-joint', {
        name: job.nameOf(other.by),
        says: says(other),
        at: hhmmss(other.latestS, job.state.job.zone),
      })
    }}
  </p>
</template>

<style scoped>
.others {
  border: 1.5px solid var(--edge);
  padding: 6px 10px;
}
.button {
  min-height: 56px;
}
</style>
