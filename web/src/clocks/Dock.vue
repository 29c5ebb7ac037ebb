<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useClock } from '../stores/clock'
import { isOwnKey } from '../keys'
import { useJob } from '../stores/job'
import { usePrefs } from '../stores/prefs'
import { useSession } from '../stores/session'
import { useView } from '../view'
import { canRing } from './alarms'
import ClockTape from './ClockTape.vue'
import { digitsOf, runningClocks } from './running'
import UnfixedCount from './UnfixedCount.vue'
import { canStayAwake } from './use-awake'
import { word } from '../words/word'

defineProps<{ strip?: boolean }>()
const clock = useClock()
const job = useJob()
const view = useView()
const prefs = usePrefs()
const session = useSession()
const route = useRoute()
const everyone = computed(() => runningClocks(view.clocked, clock.nowS))
/** Joints that this person has had a hand in. */
const mine = computed(() => {
  const me = session.person?.personId
  return everyone.value.filter((r) => view.facts.get(r.jointId)?.life?.done.some((d) => d.by === me))
})
const all = computed(() => (prefs.prefs.mine ? mine.value : everyone.value))
const before = computed(() => all.value.filter((r) => r.kind === 'before'))
const until = computed(() => all.value.filter((r) => r.kind === 'until'))
/** On the phone the open joint's own clock stands in its headline: the strip shows the others first. */
const shown = computed(() => {
  const own = route.params.jointId
  return [...all.value.filter((r) => r.jointId !== own), ...all.value.filter((r) => r.jointId === own)].slice(
    0,
    2,
  )
})
const opened = ref(false)
const digits = (leftS: number | null): string => (leftS === null ? '?' : digitsOf(leftS))
const silent = computed(() =>
  !canRing(prefs.prefs.sound)
    ? word('clocks-this-device-cant-ring')
    : canStayAwake()
      ? ''
      : word('clocks-keep-the-screen-lit'),
)
/** C goes to the nearest clock, again to the one after it; Enter opens its joint. */
const box = ref<HTMLElement>()
function onKey(event: KeyboardEvent): void {
  if (event.key !== 'c' || !isOwnKey(event)) return
  const links = [...(box.value?.querySelectorAll<HTMLElement>('a') ?? [])]
  links[(links.indexOf(document.activeElement as HTMLElement) + 1) % Math.max(1, links.length)]?.focus()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <aside v-if="!strip" ref="box" class="dock-side" :aria-label="word('clocks-running-clocks')">
    <UnfixedCount />
    <button
      v-if="everyone.length && (prefs.prefs.mine || mine.length < everyone.length)"
      type="button"
      class="whose"
      @click="prefs.prefs.mine = !prefs.prefs.mine"
    >
      {{
        prefs.prefs.mine
          ? word('clocks-mine-show-everyones', { mine: mine.length })
          : word('clocks-everyones-show-mine')
      }}
    </button>
    <template v-if="all.length">
      <section v-if="before.length">
        <h2>{{ word('clocks-before') }}</h2>
        <ClockTape v-for="r in before.slice(0, 12)" :key="r.key" :running="r" />
        <p v-if="before.length > 12" class="more">
          {{ word('clocks-and-more', { before: before.length - 12 }) }}
        </p>
      </section>
      <section v-if="until.length">
        <h2>{{ word('clocks-until') }}</h2>
        <ClockTape v-for="r in until.slice(0, 12)" :key="r.key" :running="r" />
        <p v-if="until.length > 12" class="more">
          {{
            word('clocks-and-more-next', {
              until: until.length - 12,
              digits: digits(until[12]?.leftS ?? null),
            })
          }}
        </p>
      </section>
      <p v-if="silent && before.length" class="none">{{ silent }}</p>
    </template>
    <p v-else-if="job.status === 'open'" class="none">{{ word('clocks-no-clock-is-running') }}</p>
  </aside>
  <div v-else ref="box" class="dock-strip" role="group" :aria-label="word('clocks-running-clocks')">
    <UnfixedCount strip />
    <p v-if="!all.length && job.status === 'open'" class="none">{{ word('clocks-no-clock-is-running') }}</p>
    <RouterLink
      v-for="(r, i) in shown"
      :key="r.key"
      class="cell"
      :class="{ first: i === 0, late: (r.leftS ?? 0) < 0 }"
      :to="{ name: 'make', params: { jobId: job.jobId, jointId: r.jointId } }"
    >
      <span class="digits">{{ digits(r.leftS) }}</span>
      <span class="tag">{{ r.tag }} {{ job.t(r.clock.label) }}</span>
    </RouterLink>
    <button v-if="all.length > 2" class="cell rest" type="button" @click="opened = true">
      <span class="digits">+{{ all.length - 2 }}</span>
      <span class="tag">{{ word('clocks-next', { digits: digits(all[2]?.leftS ?? null) }) }}</span>
    </button>
    <div
      v-if="opened"
      class="sheet"
      role="dialog"
      :aria-label="word('clocks-all-clocks')"
      @click="opened = false"
    >
      <p v-if="silent" class="none">{{ silent }}</p>
      <ClockTape v-for="r in all.slice(0, 40)" :key="r.key" :running="r" />
      <p v-if="all.length > 40" class="more">{{ word('clocks-and-more-2', { all: all.length - 40 }) }}</p>
      <button class="button" type="button">{{ word('ui-close') }}</button>
    </div>
  </div>
</template>

<style scoped>
.dock-side {
  width: 220px;
  flex: none;
  padding: 14px 16px;
  border-inline-start: 2px solid var(--ink);
  overflow-y: auto;
}
.dock-side h2 {
  font-size: 19px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
}
.dock-side section + section {
  margin-top: 18px;
}
.whose {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}
.none,
.more {
  color: var(--soft);
}
.dock-strip {
  position: relative;
  display: flex;
  height: 64px;
  border-top: 2px solid var(--ink);
  background: var(--sheet);
}
.dock-strip .none {
  align-self: center;
  padding-inline-start: 14px;
}
.cell {
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 2px;
  padding: 4px 8px;
  min-width: 0;
  flex: 1 1 115px;
  text-decoration: none;
  border: 0;
  border-inline-end: 1px solid var(--edge);
  background: none;
  text-align: start;
}
.cell.first {
  flex: 1 1 156px;
  /* Dark at night too: a bright slab at the foot of the phone blinds whoever looks down at it. */
  background: var(--steel);
  color: var(--on-steel);
  box-shadow: inset 6px 0 var(--tape);
  padding-inline-start: 14px;
}
.cell.rest {
  flex: 0 0 90px;
}
.cell .digits {
  font: 600 25px/1 var(--figures);
}
.cell .tag {
  font-size: 15px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.sheet {
  position: absolute;
  inset-inline-start: 0;
  inset-inline-end: 0;
  bottom: 64px;
  max-height: 60vh;
  overflow-y: auto;
  background: var(--sheet);
  border-top: 2px solid var(--ink);
  padding: 8px 14px 14px;
  z-index: 20;
}
</style>
