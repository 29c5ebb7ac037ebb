<script setup lang="ts">
import { type Glance, type GlanceSection, nextOf, thingOfSection } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api } from '../api'
import { useClock } from '../stores/clock'
import { usePrefs } from '../stores/prefs'
import { when } from '../when'
import { Figures } from '../words/said'
import { word } from '../words/word'
import { thingSaid } from './job-things'

/**
 * What stands here until a job is there: what the server last saw of it, when it saw it, and that the whole is on its
 * way. Nothing of it can be acted on.
 */
const props = defineProps<{ jobId: string }>()
const route = useRoute()
const clock = useClock()
const prefs = usePrefs()
interface Seen {
  name: string
  glance: Glance
  madeAtS: number
}
/** What is there sooner needs no word before it; what nobody looked at for long is looked at now, and asked for again. */
const [PATIENCE_MS, AGAIN_MS] = [500, 2000]
const seen = ref<Seen | null>(null)
let gone = false
let timer: ReturnType<typeof setTimeout> | undefined
async function look(): Promise<void> {
  const found = await api<Seen | null>('GET', `/jobs/${props.jobId}/glance`).catch(() => null)
  if (gone) return
  seen.value = found
  if (!found) timer = setTimeout(() => void look(), AGAIN_MS)
}
onMounted(() => (timer = setTimeout(() => void look(), PATIENCE_MS)))
onBeforeUnmount(() => {
  gone = true
  clearTimeout(timer)
})
const eye = computed(() => {
  const { school, zone } = (seen.value as Seen).glance
  return { reader: prefs.readerFor(school), zone, nowS: clock.nowS }
})
const sections = computed(() => seen.value?.glance.sections ?? [])
const ofSection = (section: GlanceSection): string => {
  const thing = thingOfSection(section, clock.nowS)
  return thing ? thingSaid(thing, eye.value) : ''
}
/** What is said of the section that was asked for, else of the job. */
const head = computed(() => {
  if (!seen.value) return ''
  const asked = sections.value.find(({ id }) => id === route.params.sectionId)
  const [first] = nextOf(seen.value.glance, clock.nowS)
  return (asked && ofSection(asked)) || (first ? thingSaid(first, eye.value) : '')
})
/** So much is told of the other sections, those that want somebody first. */
const MOST = 14
const others = computed(() =>
  sections.value
    .filter(({ id }) => id !== route.params.sectionId)
    .flatMap((section) => thingOfSection(section, clock.nowS) ?? [])
    .sort((one, other) => one.rank - other.rank)
    .map((thing) => thingSaid(thing, eye.value))
    .filter((says) => says !== head.value),
)
</script>

<template>
  <div class="place" aria-live="polite">
    <p v-if="!seen">{{ word('frame-opening-the-job') }}</p>
    <template v-else>
      <h1><Figures :text="word('frame-coming-head', { job: seen.name, thing: head })" /></h1>
      <p class="why">
        {{ word('frame-coming-why', { at: when(seen.madeAtS, clock.nowS, seen.glance.zone) }) }}
      </p>
      <p v-if="seen.glance.joints.all">{{ word('jobs-home-of', seen.glance.joints) }}</p>
      <ul v-if="others.length" class="rest">
        <li v-for="says in others.slice(0, MOST)" :key="says"><Figures :text="says" /></li>
        <li v-if="others.length > MOST">{{ word('ui-more', { over: others.length - MOST }) }}</li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.rest {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 18px;
  line-height: 1.6;
}
</style>
