<script setup lang="ts">
import { methodOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useJob } from '../stores/job'
import { usePrefs } from '../stores/prefs'
import { useSession } from '../stores/session'
import { useNarrow } from '../use-narrow'
import { useView } from '../view'
import { told, word } from '../words/word'
import TakeOver from './TakeOver.vue'

defineEmits<{ read: [] }>()
const job = useJob()
const session = useSession()
const route = useRoute()
const narrow = useNarrow()
const view = useView()
const prefs = usePrefs()
const taking = ref(false)

/** A joint that is not made yet: the first of them. */
const next = computed(() => {
  for (const joint of view.facts.values())
    if (joint.homeAtS === null && joint.method && joint.spec) return joint
  return null
})
/** What the conditions do to the work now: the open time of the next joint, if one is to be made. */
const effect = computed(() => {
  if (!next.value?.method) return ''
  const open = methodOf(next.value.method.id)
    ?.figures(next.value.spec, next.value.ctx)
    .find((f) => f.key === 'openTimeS')
  if (!view.conditions.isFresh) return word('frame-read-it-again-before')
  if (!open) return ''
  if (narrow.value && open.fig.value !== null) return word('frame-open', { fig: open.fig.value })
  return open.fig.value === null
    ? // On the phone one line is all there is; why there is no figure stands in Make.
      narrow.value
      ? ''
      : told(open.fig.why)
    : word('frame-cement-stays-open-about', { fig: open.fig.value })
})
const sentence = computed(() => {
  const now = view.conditions
  const wall = now.wallC ?? now.airC
  if (wall === null) return word('frame-no-reading-yet-type')
  const said = word(now.dewC === null ? 'frame-it-is' : 'frame-it-is-above-dew', {
    which: now.wallC === null ? 'air' : 'wall',
    c: wall,
    above: now.dewC === null ? null : wall - now.dewC,
  })
  const age = view.nowS - now.lastAtS
  const old = age > 7200 ? word('frame-last-reading-ago', { age }) : ''
  // On the phone one line is all there is: it does without the full stop.
  return `${narrow.value && !old ? said.replace(/\.(?=[^.]*$)/, '') : said} ${old}`.trim()
})
const kept = computed(() =>
  job.pending.length
    ? `${word('frame-kept-on-this-device', { pending: job.pending.length })} `
    : `${word('frame-what-you-do-is')} `,
)
/** Until the job is there nothing is known of its air and walls: not that nobody read them. Their room is kept. */
const known = computed(() => job.status === 'open')
const damp = computed(() => {
  const now = view.conditions
  return now.dewC !== null && (now.wallC ?? now.airC ?? 99) - now.dewC < 1
})
</script>

<template>
  <header class="strip">
    <RouterLink to="/jobs" class="mark" :aria-label="word('ui-your-jobs')">
      <svg viewBox="0 0 36 20" width="36" height="20" aria-hidden="true">
        <rect x="16" y="2" width="16" height="16" fill="var(--logo)" />
        <rect x="3" y="6" width="20" height="8" fill="#FBFAF5" />
      </svg>
      <span class="name">Jugalis</span>
    </RouterLink>
    <RouterLink v-if="job.jobId" class="job" :to="{ name: 'about', params: { jobId: job.jobId } }">{{
      job.state.job.name
    }}</RouterLink>
    <button
      class="conditions"
      :class="{ unknown: !known }"
      :disabled="!known"
      type="button"
      :title="word('frame-type-in-a-reading-r')"
      @click="$emit('read')"
    >
      <template v-if="known">
        <span class="wall" :class="{ damp }">{{ sentence }}</span>
        <span class="effect">{{ effect }}</span>
      </template>
    </button>
    <span v-if="session.lapsed || job.offline" class="signal" role="status"
      >{{ session.lapsed ? word('frame-signed-out') : word('ui-no-signal') }} {{ kept
      }}<RouterLink v-if="session.lapsed" :to="{ name: 'sign-in', query: { to: route.fullPath } }">{{
        word('frame-sign-in-again')
      }}</RouterLink></span
    >
    <button
      v-if="session.shared"
      class="theme"
      type="button"
      :aria-label="word('frame-hands-strip', { name: session.person?.name })"
      @click="taking = true"
    >
      {{ session.person?.name }}
    </button>
    <button
      v-if="!prefs.prefs.sound"
      class="theme"
      type="button"
      :aria-label="word('frame-sound-is-off-turn')"
      @click="prefs.prefs.sound = true"
    >
      {{ word('frame-no-sound') }}
    </button>
    <button
      class="theme"
      type="button"
      :aria-label="prefs.night ? word('frame-day-colours') : word('frame-night-colours')"
      @click="prefs.flipTheme()"
    >
      {{ prefs.night ? word('frame-day') : word('frame-night') }}
    </button>
    <TakeOver v-if="taking" @close="taking = false" />
  </header>
</template>

<style scoped>
.unknown {
  visibility: hidden;
}
.strip {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 48px;
  padding: 0 14px;
  background: var(--steel);
  color: var(--on-steel);
  flex: none;
}
.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  text-decoration: none;
  min-height: 44px;
}
.name {
  font: 600 22px/1 var(--figures);
}
.job {
  flex: 1;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 17px;
  color: inherit;
  min-height: 44px;
  line-height: 44px;
  text-decoration: none;
}
.job:hover {
  text-decoration: underline;
}
.conditions {
  border: 0;
  background: none;
  font-size: 17px;
  cursor: pointer;
  min-height: 44px;
  text-align: end;
  display: flex;
  gap: 7px;
  align-items: center;
}
.wall {
  font-weight: 600;
}
.damp {
  text-decoration: underline wavy;
}
.theme {
  min-height: 44px;
  min-width: 58px;
  background: none;
  border: 0;
  text-decoration: underline;
  text-underline-offset: 4px;
  cursor: pointer;
}
.signal {
  font-weight: 600;
}
.signal a {
  color: inherit;
  display: inline-block;
  padding-block: 12px;
}
@media (max-width: 1180px) {
  .signal {
    order: 1;
    flex-basis: 100%;
    padding: 0 6px 4px;
  }
  .strip {
    flex-wrap: wrap;
    gap: 8px;
    min-height: 44px;
    padding: 0 10px;
  }
  .name,
  .job {
    display: none;
  }
  .conditions {
    flex: 1;
    justify-content: space-between;
    font-size: 15px;
    text-align: start;
    line-height: 1.15;
  }
  .theme {
    min-height: 44px;
    border: 0;
    min-width: 44px;
  }
}
@media (max-width: 720px) {
  .mark {
    display: none;
  }
}
</style>
