<script setup lang="ts">
import { type JointFacts, alignmentOf, fmt, pieceCut, tapsOf } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import QualifiedNote from './QualifiedNote.vue'
import StepBar from './StepBar.vue'
import TurnSheet from './TurnSheet.vue'
import type { Phase } from './use-phase'
import { named, word } from '../../words/word'
import { Figures, Said } from '../../words/said'

/** Which joint is in hand, what it asks for now, and how far it is. */
const props = defineProps<{
  facts: JointFacts
  phase: Phase
  headline: string
  why: string
  /** Its figures can be asked where they come from. */
  sourced: boolean
}>()
const emit = defineEmits<{ sources: []; history: [] }>()
const job = useJob()
const view = useView()
const narrow = useNarrow()
/** Said aloud when the phase changes, not each second that a clock runs down. */
const announced = ref('')
watch(
  () => [props.facts.id, props.phase, props.facts.nextStep?.id, props.facts.inspection?.verdict].join(' '),
  () => (announced.value = props.headline),
  { immediate: true, flush: 'post' },
)
const look = computed(() => view.looks.get(props.facts.id))
const fitting = computed(() =>
  props.facts.place.fitting
    ? `${named(props.facts.place.fitting.fitting ?? 'pipe')} ${props.facts.place.fitting.tag}`
    : 'fitting',
)
/** What goes on it, where that is no pipe. */
const part = computed(() => {
  const { part } = props.facts.place
  return part.type === 'piece' ? 'none' : `${named(part.fitting ?? '')} ${part.tag}`
})
/** How the fitting is turned on its pipe, where the line has its place in the building. */
const alignment = computed(() => alignmentOf(job.state, props.facts.place))
const onTape = ref(false)
const turned = computed(() => {
  const found = alignment.value
  if (!found) return ''
  const [one = '', two = ''] = found.towards
  const { fitting, what, clock } = found
  return word('make-stands', { tag: fitting.tag, what, one, two, clock: clock ?? 0 })
})
/** Where a saddle sits on its pipe: as that was measured, and from its end. */
const sitsAt = computed(() => {
  const { part, fitting, line } = props.facts.place
  if (part.alongMm === undefined || !fitting) return ''
  const own = tapsOf(pieceCut(job.state, line, fitting)).find(({ saddle }) => saddle.id === part.id)
  const end = own?.fromEndMm.value ?? null
  return word('make-saddle-at', {
    along: fmt.length(part.alongMm, job.reader),
    piece: fitting.tag,
    end: end === null ? 'none' : fmt.length(end, job.reader),
  })
})
/** How it is made, where that is not how its line usually is. */
const way = computed(() => {
  const { method, place } = props.facts
  return method && place.way.method !== place.line.method ? job.t(method.name) : 'none'
})
</script>

<template>
  <div class="top">
    <p class="what">
      <JointGlyph v-if="look" :look="look" :tag="facts.tag" />
      <Said code="make-pipe-to" :values="{ size: facts.place.way.size, fitting, part, way }">
        <template #joint
          ><strong class="tag">{{ facts.tag }}</strong></template
        >
      </Said>
      <span v-if="facts.past.length" class="again">{{
        word('make-made-again-life', { lifeNo: facts.lifeNo })
      }}</span>
      <RouterLink v-if="narrow" class="all" :to="{ name: 'make', params: { jobId: job.jobId } }">{{
        word('make-all-joints')
      }}</RouterLink>
    </p>
    <p v-if="turned || sitsAt" class="turned">
      {{ sitsAt }} {{ turned }}
      <button v-if="alignment" type="button" class="sources" @click="onTape = true">
        {{ word('make-round-pipe') }}
      </button>
    </p>
    <TurnSheet v-if="onTape && alignment" :facts="facts" :turned="alignment" @close="onTape = false" />
    <h1 :class="{ late: phase === 'late' || phase === 'failed' }"><Figures :text="headline" /></h1>
    <p class="sr" role="status">{{ announced }}</p>
    <p class="why">
      {{ why }}
      <button v-if="sourced" type="button" class="sources" @click="emit('sources')">
        {{ word('make-where-from') }}
      </button>
      <button type="button" class="sources" @click="emit('history')">{{ word('make-history') }}</button>
    </p>
    <QualifiedNote :facts="facts" />
    <StepBar
      :steps="facts.steps"
      :done="facts.life?.done.map((d) => d.step) ?? []"
      :window="phase === 'window'"
      :failed="phase === 'failed' || phase === 'late'"
    />
  </div>
</template>

<style scoped>
.tag {
  white-space: nowrap;
}
.what {
  display: flex;
  align-items: center;
  gap: 9px;
  font-size: 17px;
}
.turned {
  margin: 0;
  font-weight: 600;
}
.all {
  margin-inline-start: auto;
  min-height: 56px;
  min-width: 56px;
  margin-block: -14px;
  display: flex;
  align-items: center;
  justify-content: flex-end;
}
.again {
  color: var(--soft);
}
/* In the line of what to look for: one tap, without taking room from the work. */
.sources {
  min-height: 56px;
  margin-block: -17px;
  padding: 0 6px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
  outline-offset: -14px;
}
.late {
  color: var(--stop-ink);
}
.why {
  margin-bottom: 8px;
  min-height: 23px;
}
</style>
