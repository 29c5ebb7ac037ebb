<script setup lang="ts">
import type { Finding, JointFacts, Step, StepException } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { usePrefs } from '../../stores/prefs'
import { useNarrow } from '../../use-narrow'
import BigAction from './BigAction.vue'
import PhotoStrip from './PhotoStrip.vue'
import { useCautions } from './use-cautions'
import type { Phase } from './use-phase'
import { word } from '../../words/word'

/** The lower half: caution, the one large action, exceptions in their fixed places. Knows no method. */
const props = defineProps<{
  facts: JointFacts
  phase: Phase
  step: Step | null
  label: string
  stops: readonly Finding[]
  /** Work may not go on at this step. */
  held: boolean
  judging: boolean
  /** There is little room: the action is lower. */
  tight: boolean
  unread: boolean
  wayBack: Step | null
  /** A step that puts right what was found, when it is done again. */
  mend: Step | null
  /** That step is at hand. */
  redo: boolean
  next: JointFacts | null
}>()
const emit = defineEmits<{
  act: []
  again: [step: Step]
  mend: []
  leave: []
  except: [e: StepException]
  cutOut: [reason: string]
  letGo: []
  go: [id: string]
  sheet: [which: 'earlier' | 'down' | 'skip' | 'batch']
}>()
const job = useJob()
const prefs = usePrefs()
const narrow = useNarrow()
const working = computed(() => props.phase === 'step' || props.phase === 'window')
/** A picture belongs to what is judged: while it is, and after. */
const pictures = computed(() => props.judging || props.phase === 'rest' || props.phase === 'failed')
const caution = computed(() => (working.value ? (props.step?.cautions ?? []) : []))
const { unseen, markSeen } = useCautions(caution)
const begun = computed(() => Boolean(props.facts.life?.done.length))
const exceptions = computed(() => props.step?.exceptions ?? [])
/** What can be done besides, in fixed order. The phone shows three and keeps the rest behind one button. */
interface Way {
  key: string
  says: string
  go: () => void
}
/** A window that was missed: what leads back is the large action, what was missed is one of the others. */
const firstBack = computed<Way | null>(() => {
  if (props.phase !== 'late') return null
  const [exception] = exceptions.value.filter((x) => x.backTo !== null && x.id !== 'put-down')
  if (exception)
    return { key: exception.id, says: job.t(exception.says), go: () => emit('except', exception) }
  const back = props.wayBack
  return back
    ? {
        key: 'again',
        says: word('make-again', { action: job.t(back.action) }),
        go: () => emit('again', back),
      }
    : null
})
const ways = computed<Way[]>(() => all.value.filter((w) => w.key !== firstBack.value?.key))
const all = computed<Way[]>(() => {
  const out: Way[] = []
  const way = (key: string, says: string, go: () => void): void => void out.push({ key, says, go })
  const back = props.wayBack
  if (back) way('again', word('make-again', { action: job.t(back.action) }), () => emit('again', back))
  for (const exception of exceptions.value)
    if (exception.id !== 'put-down') way(exception.id, job.t(exception.says), () => emit('except', exception))
  if (props.mend) way('mend', word('make-put-it-right'), () => emit('mend'))
  if (props.redo) way('leave', word('make-leave-it-as-it'), () => emit('leave'))
  else if (begun.value) {
    way('earlier', word('make-it-was-earlier'), () => emit('sheet', 'earlier'))
    way('down', word('make-put-it-down'), () => emit('sheet', 'down'))
  }
  if (firstBack.value) way('act', props.label, () => emit('act'))
  if (props.step && props.step.skip !== 'stop' && props.phase === 'step' && !props.redo)
    way('skip', word('make-skip'), () => emit('sheet', 'skip'))
  if (props.phase === 'step' && !props.redo)
    way('batch', word('make-made-before'), () => emit('sheet', 'batch'))
  return out
})
const SHOWN = 3
const more = ref(false)
watch(
  () => `${props.facts.id} ${props.step?.id}`,
  () => (more.value = false),
)
const few = computed(() => narrow.value && !more.value && ways.value.length > SHOWN)
const shown = computed(() => (few.value ? ways.value.slice(0, SHOWN - 1) : ways.value))
</script>

<template>
  <div class="low">
    <p v-if="unseen" class="caution">
      <span
        ><strong>{{ word('ui-caution') }}</strong> {{ job.t(unseen) }}</span
      >
      <button type="button" class="button" @click="markSeen(unseen.code)">{{ word('ui-seen') }}</button>
    </p>
    <p v-else-if="caution.length" class="caution">
      <span
        ><strong>{{ word('ui-caution') }}</strong> {{ caution.map((c) => job.t(c)).join(' ') }}</span
      >
    </p>
    <template v-if="phase === 'failed'">
      <BigAction
        v-if="mend"
        :label="word('make-put-it-right')"
        :hint="job.t(mend.does)"
        @act="emit('mend')"
      />
      <BigAction
        v-else
        :label="word('make-cut-out-begin-again')"
        :hint="word('make-both-lives-stay-in')"
        @act="emit('cutOut', 'judged failed')"
      />
      <div v-if="mend" class="exceptions">
        <button type="button" class="button stop" @click="emit('cutOut', 'judged failed')">
          {{ word('make-cut-it-out') }}
        </button>
      </div>
    </template>
    <template v-else-if="phase === 'hold'">
      <BigAction :label="word('make-hands-stay-on-the')" :hint="word('make-no-tap-needed')" disabled />
      <div class="exceptions">
        <button type="button" class="button" @click="emit('letGo')">{{ word('make-let-go-early') }}</button>
        <button type="button" class="button" @click="emit('sheet', 'earlier')">
          {{ word('make-it-was-earlier') }}
        </button>
      </div>
    </template>
    <template v-else-if="phase === 'rest'">
      <BigAction
        v-if="mend"
        :label="word('make-put-it-right')"
        :hint="job.t(mend.does)"
        @act="emit('mend')"
      />
      <BigAction v-else-if="next" :label="word('make-next', { tag: next.tag })" @act="emit('go', next.id)" />
      <BigAction v-else :label="word('make-all-joints-are-made')" disabled />
      <div class="exceptions">
        <button v-if="mend && next" type="button" class="button" @click="emit('go', next.id)">
          {{ word('make-next', { tag: next.tag }) }}
        </button>
        <button type="button" class="button" @click="emit('sheet', 'down')">
          {{ word('make-something-happened') }}
        </button>
        <button type="button" class="button stop" @click="emit('cutOut', 'cut out by decision')">
          {{ word('make-cut-it-out') }}
        </button>
      </div>
    </template>
    <template v-else-if="step">
      <BigAction v-if="firstBack" :label="firstBack.says" @act="firstBack.go()" />
      <BigAction
        v-else
        :label="held ? word('make-not-like-this') : label"
        :hint="
          held
            ? word('make-what-is-wrong-stands')
            : judging && unread
              ? word('make-say-it-first')
              : job.t(step.hint)
        "
        :disabled="held || (judging && unread)"
        :small="judging || tight"
        @act="emit('act')"
      />
      <div class="exceptions">
        <button v-for="w in shown" :key="w.key" type="button" class="button" @click="w.go()">
          {{ w.says }}
        </button>
        <button v-if="few" type="button" class="button" @click="more = true">{{ word('make-more') }}</button>
      </div>
    </template>
    <PhotoStrip v-if="pictures && (!narrow || more || !working)" :key="facts.id" :facts="facts" />
    <label v-if="!narrow || more" class="wet">
      <input v-model="prefs.prefs.wet" type="checkbox" /> {{ word('make-wet-screen-long-press') }}
    </label>
  </div>
</template>

<style scoped>
.low {
  margin-top: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.exceptions {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.exceptions .button {
  flex: 1 1 30%;
  min-height: 56px;
  padding: 0 8px;
}
.caution {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  border-top: 1.5px solid var(--edge);
  padding-top: 6px;
}
.caution .button {
  flex: none;
  min-height: 56px;
}
.wet {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 56px;
}
.wet input {
  width: 24px;
  height: 24px;
}
</style>
