<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import Dock from '../clocks/Dock.vue'
import MissedSheet from '../clocks/MissedSheet.vue'
import { useAlarms } from '../clocks/alarms'
import { runningClocks } from '../clocks/running'
import { isOwnKey } from '../keys'
import { useAwake } from '../clocks/use-awake'
import { PLACES, SIDE_PLACES } from '../router'
import { useJob } from '../stores/job'
import { usePrefs } from '../stores/prefs'
import { useSession } from '../stores/session'
import { useView } from '../view'
import Coming from './Coming.vue'
import FoldingRule from './FoldingRule.vue'
import LiveStrip from './LiveStrip.vue'
import RoleSays from './RoleSays.vue'
import TopStrip from './TopStrip.vue'
import UndoStrip from './UndoStrip.vue'
import { useListTexts } from './list-texts'
import { word } from '../words/word'

/** What is opened by a key comes when it is asked for: no page waits for it. */
const ReadingSheet = defineAsyncComponent(() => import('./ReadingSheet.vue'))
const KeysHelp = defineAsyncComponent(() => import('./KeysHelp.vue'))
const job = useJob()
const router = useRouter()
const prefs = usePrefs()
const session = useSession()
const view = useView()
useAlarms()
useListTexts()
/** A short clock that wants hands or eyes: the screen stays lit for it. */
const SHORT_S = 600
useAwake(
  computed(() =>
    runningClocks(view.clocked, view.nowS).some(
      (raw) =>
        (raw.kind === 'before' || raw.clock.shows === 'hold') &&
        raw.totalS <= SHORT_S &&
        (raw.leftS ?? 0) > -SHORT_S,
    ),
  ),
)
const work = ref<HTMLElement>()
const toWork = (): void => work.value?.focus()
const phone = ref(false)
const help = ref(false)
const reading = ref(false)
const media = window.matchMedia('(max-width: 1180px)')
const size = (): void => void (phone.value = media.matches)

/** Esc leaves a field; Ctrl+Z takes back; single letters act while no field has the focus. */
function onKey(event: KeyboardEvent): void {
  const el = event.target as HTMLElement
  const inField = /INPUT|TEXTAREA/.test(el.tagName)
  if (event.defaultPrevented || document.querySelector('dialog[open]')) return
  if (event.key === 'Escape' && (inField || el.tagName === 'SELECT')) return el.blur()
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !inField) {
    event.preventDefault()
    return void (event.shiftKey ? job.redo() : job.undo())
  }
  if (!isOwnKey(event)) return
  const place = [...PLACES, ...SIDE_PLACES].find((p) => p.key === event.key)
  if (place) return void router.push({ name: place.name, params: { jobId: job.jobId as string } })
  if (event.key === '?') help.value = !help.value
  if (event.key === 'l') prefs.flipTheme()
  if (event.key === 'r') reading.value = true
  if (event.key === 'm') prefs.prefs.sound = !prefs.prefs.sound
}
onMounted(() => {
  size()
  media.addEventListener('change', size)
  window.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => {
  media.removeEventListener('change', size)
  window.removeEventListener('keydown', onKey)
})
</script>

<template>
  <div class="frame" :class="{ phone }">
    <a class="skip" href="#work" @click.prevent="toWork">{{ word('frame-to-the-work') }}</a>
    <TopStrip class="strip" @read="reading = true" />
    <LiveStrip />
    <RoleSays />
    <div class="middle">
      <FoldingRule v-if="!phone" class="rail" />
      <main id="work" ref="work" class="main" tabindex="-1">
        <div v-if="job.status === 'loading' && (session.lapsed || job.offline)" class="place">
          <h1>{{ session.lapsed ? word('frame-sign-in-to-open') : word('ui-no-signal') }}</h1>
          <p>
            {{ word('frame-nothing-of-it-is', { isLapsed: session.lapsed ? 'yes' : 'no' }) }}
          </p>
          <RouterLink class="button" to="/jobs">{{ word('ui-your-jobs') }}</RouterLink>
        </div>
        <Coming v-else-if="job.status === 'loading' && job.jobId" :key="job.jobId" :job-id="job.jobId" />
        <div v-else-if="job.status === 'missing'" class="place">
          <h1>{{ word('frame-there-is-no-such') }}</h1>
          <RouterLink class="button" to="/jobs">{{ word('ui-your-jobs') }}</RouterLink>
        </div>
        <RouterView v-else-if="job.status === 'open'" />
      </main>
      <Dock v-if="!phone" class="dock" />
    </div>
    <UndoStrip />
    <MissedSheet />
    <Dock v-if="phone" strip class="dock" />
    <FoldingRule v-if="phone" bottom class="bottom" />
    <ReadingSheet v-if="reading" @close="reading = false" />
    <KeysHelp v-if="help" @close="help = false" />
  </div>
</template>

<style scoped>
.frame {
  height: 100dvh;
  display: flex;
  flex-direction: column;
}
.middle {
  flex: 1;
  min-height: 0;
  display: flex;
}
.main {
  /* What is placed absolutely inside stays inside: it would make the page behind the frame scroll. */
  position: relative;
  flex: 1;
  min-width: 0;
  overflow: auto;
}
/* A low window (a phone on its side, a page at 400 %): the strips give way and go with the page. */
@media (max-height: 430px) {
  .frame {
    height: auto;
    min-height: 100dvh;
  }
  .main {
    overflow: visible;
  }
}
@media print {
  .frame,
  .middle,
  .main {
    display: block;
    height: auto;
    overflow: visible;
  }
}
</style>
