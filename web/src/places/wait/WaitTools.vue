<script setup lang="ts">
import { wholeAddress } from '../../base'
import { type SectionAnswer, fmt } from '@jugalis/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { PDF, saveFile } from '../../save-file'
import { api } from '../../api'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { dated, hhmm, weekday } from '../../when'
import { word } from '../../words/word'

/** Its fields come when somebody asks backward: the page does not wait for them. */
const BackwardSheet = defineAsyncComponent(() => import('./BackwardSheet.vue'))

/** What can be done with waiting: plan it backward, hang tags, put it in a calendar, hand the shift over. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const sheet = ref<'backward' | 'calendar' | null>(null)
const fault = ref('')
const zone = computed(() => job.state.job.zone)
const waiting = computed(() =>
  props.answer.joints.filter(
    (joint) =>
      joint.facts.homeAtS !== null &&
      ((joint.facts.movable.value ?? Infinity) > clock.nowS || (joint.readyAtS ?? Infinity) > clock.nowS),
  ),
)
/** Rounded up to the minute, with the day: a tag hangs there tomorrow too. */
function atOn(seconds: number): string {
  const whole = Math.ceil(seconds / 60) * 60
  return `${weekday(whole, zone.value)} ${hhmm(whole, zone.value)}`.toUpperCase()
}
async function tags(): Promise<void> {
  fault.value = ''
  try {
    const { hangTags, sheetOf } = await import('../../paper')
    const answer = props.answer
    const bytes = await hangTags(
      job.state.job.name,
      waiting.value.map((joint) => ({
        tag: joint.facts.tag,
        size: joint.facts.place.way.size,
        section: answer.section.tag,
        touch:
          joint.facts.movable.value === null
            ? null
            : joint.facts.movable.value > clock.nowS
              ? atOn(joint.facts.movable.value)
              : 'set',
        pressure: {
          bar: fmt.pressure(answer.section.testBar, job.reader),
          at: joint.readyAtS === null ? null : atOn(joint.readyAtS),
        },
        made: dated(joint.facts.homeAtS ?? 0, zone.value),
      })),
      sheetOf(job.reader),
    )
    saveFile(bytes as BlobPart, PDF, `${answer.section.tag}-hang-tags.pdf`)
  } catch (error) {
    fault.value = (error as Error).message
  }
}
const feed = ref('')
async function calendar(): Promise<void> {
  fault.value = ''
  try {
    const { path } = await api<{ path: string }>('GET', `/jobs/${job.jobId}/calendar`)
    feed.value = wholeAddress(path)
    sheet.value = 'calendar'
  } catch (error) {
    fault.value = (error as Error).message
  }
}
</script>

<template>
  <div class="buttons no-print">
    <button type="button" class="button" @click="sheet = 'backward'">{{ word('wait-backward') }}</button>
    <button type="button" class="button" :disabled="!waiting.length" @click="tags">
      {{ word('wait-hang-tags', { waiting: waiting.length, isWaiting: waiting.length ? 'yes' : 'no' }) }}
    </button>
    <button type="button" class="button" @click="calendar">{{ word('wait-calendar') }}</button>
    <RouterLink class="button" :to="{ name: 'plan', params: { jobId: job.jobId } }">{{
      word('plan-plan')
    }}</RouterLink>
    <RouterLink class="button" :to="{ name: 'shift', params: { jobId: job.jobId } }">{{
      word('wait-shift-handover')
    }}</RouterLink>
    <RouterLink class="button" :to="{ name: 'site', params: { jobId: job.jobId } }">{{
      word('wait-site-readings')
    }}</RouterLink>
  </div>
  <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  <BackwardSheet v-if="sheet === 'backward'" :answer="answer" @close="sheet = null" />
  <Sheet v-if="sheet === 'calendar'" :title="word('wait-in-your-calendar')" @close="sheet = null">
    <p>
      {{ word('wait-a-calendar-that-follows') }}
    </p>
    <p class="feed">
      <code>{{ feed }}</code>
    </p>
    <p class="why">
      {{ word('wait-whoever-has-the-address') }}
    </p>
    <div class="buttons">
      <a class="button main" :href="feed" download="jugalis.ics">{{ word('wait-take-it-as-a') }}</a>
      <button type="button" class="button" @click="sheet = null">{{ word('ui-close') }}</button>
    </div>
  </Sheet>
</template>

<style scoped>
.feed code {
  overflow-wrap: anywhere;
  font-size: 15px;
}
</style>
