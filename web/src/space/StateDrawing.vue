<script setup lang="ts">
import { type JointLook, type LineInSpace, type SectionAnswer, fmt, ladderAt, lookAt } from '@jugalis/core'
import { computed, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../stores/job'
import { useNarrow } from '../use-narrow'
import { useWidth } from '../use-width'
import { useView } from '../view'
import { when } from '../when'
import { word } from '../words/word'
import SpaceLine from './SpaceLine.vue'
import { useSight } from './use-sight'
import { useSpaceView } from './use-space-view'

/** A line of a section as it stands, each joint in the state that it has at a time: now, before, to come. */
const props = defineProps<{ answer: SectionAnswer; space: LineInSpace }>()
const job = useJob()
const view = useView()
const router = useRouter()
const narrow = useNarrow()
const box = ref<HTMLElement>()
const width = useWidth(box)
const height = computed(() => (narrow.value ? 320 : 400))
const inside = computed(() => new Set(props.answer.section.jointIds))
/** Hours from now; 0 goes with the clock. */
const hours = ref(0)
const SPAN_H = 72
const BACK_H = 24
const STEP_H = 0.25
watch(
  () => props.answer.section.id,
  () => (hours.value = 0),
)
const atS = computed(() => view.nowS + hours.value * 3600)
/** What it may take then, and who holds it back: now as the headline says it. */
const held = computed(() => {
  const { allowedBar, holdsBack, ladder } = props.answer
  return hours.value === 0 ? { allowedBar, heldBy: holdsBack?.facts.id ?? null } : ladderAt(ladder, atS.value)
})
const looks = computed<ReadonlyMap<string, JointLook>>(() => {
  if (hours.value === 0) return view.looks
  const { section, proved, joints } = props.answer
  const all = new Map(view.looks)
  for (const { facts } of joints)
    all.set(facts.id, lookAt(facts, atS.value, section.testBar, proved && hours.value > 0))
  return all
})
const ready = computed(
  () =>
    props.answer.joints.filter(({ facts }) =>
      ['loadable', 'tested'].includes(looks.value.get(facts.id)?.glyph ?? ''),
    ).length,
)
const { drawn } = useSpaceView(toRef(props, 'space'), width, height)
const sight = useSight(
  computed(() => drawn.value.box),
  width,
  height,
  computed(() => props.space.line.id),
)
const toJoint = (jointId: string): void =>
  void router.push({ name: 'make', params: { jobId: job.jobId as string, jointId } })
</script>

<template>
  <div ref="box" class="state">
    <p>
      {{
        word('wait-stands-at', {
          at: hours === 0 ? word('wait-stands-now') : when(atS, view.nowS, job.state.job.zone),
          ready,
          joints: answer.joints.length,
          bar: held.allowedBar === null ? '' : fmt.pressure(held.allowedBar, job.reader),
          heldBy: held.heldBy ? view.tagOf(held.heldBy) : '',
        })
      }}
    </p>
    <div class="scrub">
      <label for="space-time">{{ word('wait-stands-time') }}</label>
      <input
        id="space-time"
        v-model.number="hours"
        type="range"
        :min="-BACK_H"
        :max="SPAN_H"
        :step="STEP_H"
        :aria-valuetext="when(atS, view.nowS, job.state.job.zone)"
      />
      <button type="button" class="button chip" :disabled="hours === 0" @click="hours = 0">
        {{ word('wait-stands-back-to-now') }}
      </button>
      <slot />
    </div>
    <svg
      class="drawing"
      :width="width"
      :height="height"
      :viewBox="sight.viewBox.value"
      role="group"
      :aria-label="word('wait-stands-drawn', { tag: space.line.tag })"
    >
      <SpaceLine
        :drawn="drawn"
        :looks="looks"
        :current="null"
        :inside="inside"
        :held-by="held.heldBy"
        @joint="toJoint"
      />
    </svg>
  </div>
</template>

<style scoped>
.state {
  width: 100%;
}
.scrub {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.scrub input {
  flex: 1 1 220px;
  min-height: 44px;
  accent-color: var(--ink);
}
.drawing {
  display: block;
}
</style>
