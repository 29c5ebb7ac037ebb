import type { Field, JointFacts } from '@jugalis/core'
import { type Ref, computed } from 'vue'
import { useNarrow } from '../../use-narrow'
import type { Phase } from './use-phase'
import { LEAST_PX } from './use-room'
import { isGap, onDial } from './use-writes'

/** The joint's drawing and the marks on it. */
export function useDrawn(facts: Ref<JointFacts>) {
  const method = computed(() => (facts.value.spec === null ? null : facts.value.method))
  const shapes = computed(
    () => method.value?.section(facts.value.spec, facts.value.life, facts.value.ctx) ?? [],
  )
  const insertion = computed(() => method.value?.insertion(facts.value.spec, facts.value.ctx) ?? null)
  const depth = computed(() => insertion.value?.depthMm.value ?? null)
  const check = computed(
    () => insertion.value?.marks.find((m) => m.kind === 'check')?.fromEndMm.value ?? null,
  )
  return { method, shapes, insertion, depth, check }
}

/** How high the drawing may be, px: on a phone the action, the reading and what is wrong come first. */
export function useDrawingHeight(here: {
  facts: Ref<JointFacts>
  phase: Ref<Phase>
  reading: Ref<boolean>
  judging: Ref<boolean>
  numberReads: Ref<readonly Field[]>
  stopped(): boolean
  /** What the panel leaves for it on a phone. */
  room: Ref<number | null>
}) {
  const narrow = useNarrow()
  /** A short phone gives the room to the action. */
  const short = window.innerHeight < 780
  /** A phone on its side has no room for it at all. */
  const low = window.innerHeight <= 430
  const most = computed(() => {
    const { life } = here.facts.value
    if (low) return 0
    if (!narrow.value) return here.judging.value ? 180 : life ? 260 : 200
    // What is wrong comes first: the drawing makes room for it.
    if (here.stopped() && !life) return here.reading.value || short ? 0 : 120
    if (here.reading.value || short)
      // A control that is a drawing itself takes its place.
      return here.numberReads.value.some((r) => isGap(r) || onDial(r)) && here.reading.value ? 0 : 108
    return !life ? 130 : here.phase.value === 'rest' ? 180 : 220
  })
  return computed(() => {
    const room = narrow.value ? (here.room.value ?? most.value) : most.value
    return room < LEAST_PX ? 0 : Math.min(room, most.value)
  })
}
