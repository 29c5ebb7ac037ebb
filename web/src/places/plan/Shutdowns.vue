<script setup lang="ts">
import { shutdownsSeen } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { word } from '../../words/word'
import type { Found } from './use-plan'
import type { useSaid } from './use-said'

/** How the plan fits into what is shut down: what is in hand, or how much it is too long, and what holds it. */
const props = defineProps<{ found: Found; said: ReturnType<typeof useSaid> }>()
const job = useJob()
const view = useView()
/** As it was asked: while a plan is looked for anew, the one that stands here answers another question. */
const asked = computed(() => props.found.ask.asked[props.found.at])
const sectionOf = computed(
  () => new Map(asked.value?.question.joints.map(({ id, section }) => [id, section ?? null])),
)
const rows = computed(() =>
  shutdownsSeen(
    asked.value?.shutdowns ?? new Map(),
    props.found.plan,
    (jointId) => sectionOf.value.get(jointId) ?? null,
  ).map((seen) => {
    const { at } = props.said
    const tag = job.state.sections.get(seen.sectionId)?.tag ?? ''
    const values = {
      tag,
      begin: at(seen.beginS),
      ready: at(seen.readyAtS),
      done: at(seen.doneS),
      until: at(seen.untilS),
      held: view.tagOf(seen.heldBy),
      gap: Math.abs(seen.marginS),
    }
    return {
      id: seen.sectionId,
      fits: seen.marginS >= 0,
      says: word(seen.marginS >= 0 ? 'plan-shut-fits' : 'plan-shut-long', values),
    }
  }),
)
/** Hot work that is planned for when no permit is written down yet. */
const permits = computed(() => {
  const hot = asked.value?.hotWork
  if (!hot?.jointIds.length) return ''
  const own = new Set(hot.jointIds)
  const after = props.found.plan.plan.filter(
    ({ id, endS }) => own.has(id) && (hot.untilS === null || endS > hot.untilS),
  )
  if (!after.length) return word('plan-permits-kept', { count: own.size })
  return hot.untilS === null
    ? word('plan-permits-none', { count: after.length })
    : word('plan-permits-after', { count: after.length, at: props.said.at(hot.untilS) })
})
</script>

<template>
  <div v-if="rows.length || permits">
    <p v-for="row in rows" :key="row.id" class="strong" :class="{ stop: !row.fits }">{{ row.says }}</p>
    <p v-if="rows.length" class="why">{{ word('plan-shut-caution') }}</p>
    <p v-if="permits" class="why">{{ permits }}</p>
  </div>
</template>

<style scoped>
.stop {
  color: var(--stop-ink);
}
</style>
