<script setup lang="ts">
import { nextOf } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import { usePrefs } from '../../stores/prefs'
import { named, word } from '../../words/word'
import { thingSaid, wayTo } from '../../frame/job-things'
import type { JobRow } from './use-glance'

/** One job in the list of all: what matters of it next, and how far it has come. */
const props = defineProps<{ row: JobRow }>()
const clock = useClock()
const prefs = usePrefs()
/** Where no clock counts down, a row is told anew only so often. */
const CALM_S = 20
const nowS = computed(() =>
  props.row.glance?.clocks.length ? clock.nowS : Math.floor(clock.nowS / CALM_S) * CALM_S,
)
/** So much is told of a job; the rest is in it. */
const MOST = 4
const next = computed(() => (props.row.glance ? nextOf(props.row.glance, nowS.value) : []))
const things = computed(() => {
  const glance = props.row.glance
  if (!glance) return []
  const eye = { reader: prefs.readerFor(glance.school), zone: glance.zone, nowS: nowS.value }
  return next.value.slice(0, next.value.length > MOST ? MOST - 1 : MOST).map((thing) => ({
    key: `${thing.kind} ${'joint' in thing ? thing.joint?.jointId : ''}${'section' in thing ? thing.section.id : ''}`,
    says: thingSaid(thing, eye),
    to: wayTo(thing, props.row.jobId),
    pressing: thing.pressing,
    stop: ['late', 'failed', 'lost', 'care-late'].includes(thing.kind),
  }))
})
const more = computed(() => next.value.length - things.value.length)
const where = computed(() => {
  const { site, customer } = props.row.glance ?? {}
  if (site && customer) return word('jobs-at-for', { site, customer })
  return site ? word('jobs-at', { site }) : customer ? word('jobs-for', { customer }) : ''
})
const share = computed(() => {
  const joints = props.row.glance?.joints
  return joints?.all ? joints.home / joints.all : 0
})
const LENGTH = 132
</script>

<template>
  <li class="job">
    <RouterLink class="name" :to="`/job/${row.jobId}`">
      <span class="strong">{{ row.name }}</span>
      <span v-if="where" class="where">{{ where }}</span>
    </RouterLink>
    <p v-if="things.length" class="things">
      <RouterLink
        v-for="thing in things"
        :key="thing.key"
        :to="thing.to"
        class="thing"
        :class="{ pressing: thing.pressing, stop: thing.stop }"
        >{{ thing.says }}</RouterLink
      >
      <span v-if="more > 0" class="thing rest">{{ word('ui-more', { over: more }) }}</span>
    </p>
    <p v-else-if="row.stale" class="things rest">{{ word('jobs-being-looked-at') }}</p>
    <div class="far">
      <svg
        v-if="row.glance?.joints.all"
        :viewBox="`0 0 ${LENGTH + 2} 16`"
        :width="LENGTH + 2"
        height="16"
        aria-hidden="true"
      >
        <rect x="1" y="4" :width="LENGTH" height="8" class="pipe" />
        <rect x="1" y="4" :width="share * LENGTH" height="8" class="made" />
        <path :d="`M${1 + share * LENGTH} 1v14`" class="at" />
      </svg>
      <span v-if="row.glance?.joints.all" class="count">{{ word('jobs-home-of', row.glance.joints) }}</span>
      <span class="role">{{ row.role && named(row.role) }}</span>
    </div>
  </li>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 18px;
  padding: 9px 8px 10px;
  border-bottom: 1px solid var(--line);
  /* Of hundreds of jobs only those in sight are laid out. */
  content-visibility: auto;
  contain-intrinsic-size: auto 92px;
}
.name {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  column-gap: 12px;
  min-height: 44px;
  padding-top: 8px;
  text-decoration: none;
}
.strong {
  font: 600 21px/1.2 var(--figures);
  overflow-wrap: anywhere;
}
.where,
.role,
.rest {
  color: var(--soft);
}
.things {
  grid-column: 1;
  display: flex;
  flex-wrap: wrap;
  column-gap: 22px;
}
.thing {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font-size: 17px;
}
.thing + .thing::before {
  content: '';
  position: absolute;
  inset-inline-start: -12px;
  width: 3px;
  height: 3px;
  border-radius: 50%;
  background: var(--soft);
}
.pressing {
  font-weight: 600;
}
.stop {
  color: var(--stop-ink);
}
.far {
  grid-column: 2;
  grid-row: 1 / span 2;
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  justify-content: center;
  gap: 2px;
  font-size: 15px;
}
.pipe {
  fill: var(--sheet);
  stroke: var(--ink);
}
.made {
  fill: var(--pipe);
  stroke: var(--ink);
}
.at {
  stroke: var(--ink);
  stroke-width: 2;
}
@media (max-width: 620px) {
  .job {
    grid-template-columns: minmax(0, 1fr);
  }
  .far {
    grid-column: 1;
    grid-row: auto;
    flex-direction: row;
    align-items: center;
    justify-content: flex-start;
    gap: 10px;
  }
}
</style>
