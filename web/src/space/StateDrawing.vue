<script setup lang="ts">
import {
  type JointLook,
  type LinesAsOne,
  type SectionAnswer,
  fmt,
  ladderAt,
  lookAt,
  tagsOf,
} from '@jugalis/core'
import { computed, onBeforeUnmount, ref, shallowRef, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../stores/job'
import { type Looks, useView } from '../view'
import { when } from '../when'
import { word } from '../words/word'
import JointPictures from './JointPictures.vue'
import SpaceJoints from './SpaceJoints.vue'
import SpaceLine from './SpaceLine.vue'
import { useFittedView } from './use-space-view'

/** Lines of a section as they stand, each joint in the state that it has at a time: now, before, to come. */
const props = defineProps<{ answer: SectionAnswer; space: LinesAsOne }>()
const job = useJob()
const view = useView()
const router = useRouter()
const inside = computed(() => new Set(props.answer.section.jointIds))
/** Hours from now; 0 goes with the clock. */
const hours = ref(0)
const SPAN_H = 72
const BACK_H = 24
const STEP_H = 0.25
const REST_MS = 120
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
const looks = computed<Looks>(() => {
  const { section, proved, joints } = props.answer
  const own = new Map<string, JointLook>(
    joints.map(({ facts, look }) => [
      facts.id,
      hours.value === 0 ? look : lookAt(facts, atS.value, section.testBar, proved && hours.value > 0),
    ]),
  )
  return { get: (id) => own.get(id) ?? view.looks.get(id) }
})
/** What is read aloud and pointed at follows once the hand rests: while it moves only pictures are drawn. */
const settled = shallowRef<Looks>(looks.value)
let resting: ReturnType<typeof setTimeout> | undefined
watch(looks, () => {
  clearTimeout(resting)
  resting = setTimeout(() => (settled.value = looks.value), REST_MS)
})
onBeforeUnmount(() => clearTimeout(resting))
const ready = computed(
  () =>
    props.answer.joints.filter(({ facts }) =>
      ['loadable', 'tested'].includes(looks.value.get(facts.id)?.glyph ?? ''),
    ).length,
)
const { width, height, drawn, viewBox } = useFittedView(toRef(props, 'space'), {
  wide: 400,
  narrow: 320,
})
const tags = computed(() => tagsOf(props.space))
const toJoint = (jointId: string): void =>
  void router.push({ name: 'make', params: { jobId: job.jobId as string, jointId } })
</script>

<template>
  <div ref="box" class="state">
    <div class="layer">
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
    </div>
    <div class="layers">
      <svg
        class="drawing"
        :width="width"
        :height="height"
        :viewBox="viewBox"
        role="group"
        :aria-label="word('wait-stands-drawn', { tag: tags })"
      >
        <SpaceLine :drawn="drawn" :current="null" :inside="inside" />
      </svg>
      <JointPictures
        class="joints"
        :joints="drawn.joints"
        :looks="looks"
        :held-by="held.heldBy"
        :width="width"
        :height="height"
        :view-box="viewBox"
      />
      <svg
        class="drawing joints"
        :width="width"
        :height="height"
        :viewBox="viewBox"
        role="group"
        :aria-label="word('wait-stands-joints', { tag: tags })"
      >
        <SpaceJoints :joints="drawn.joints" :looks="settled" :held-by="null" bare @joint="toJoint" />
      </svg>
    </div>
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
.layers {
  position: relative;
}
/* Layers of their own: while time is scrubbed neither the line nor the rest of the page is painted anew. */
.layer,
.drawing,
.joints {
  will-change: transform;
}
.joints {
  position: absolute;
  inset: 0;
}
</style>
