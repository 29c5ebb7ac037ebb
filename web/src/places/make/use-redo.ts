import type { Clock, JointFacts, Step } from '@jugalis/core'
import { type Ref, computed, ref, watch } from 'vue'
import type { Phase } from './use-phase'

/** A step that is done again because its result was not good: "Turn on", "Loosen and tighten again". */
export function useRedo(facts: Ref<JointFacts>) {
  const redo = ref<Step | null>(null)
  watch(
    () => facts.value.id,
    () => (redo.value = null),
  )
  /** What a look found can be put right by doing this step again. */
  const mend = computed<Step | null>(() => {
    const next = facts.value.inspection?.next
    return next && 'step' in next ? (facts.value.steps.find((s) => s.id === next.step) ?? null) : null
  })
  return { redo, mend }
}

/** A window that was missed and can be begun again: the step that begins it. */
export const useWayBack = (
  here: { facts: Ref<JointFacts>; step: Ref<Step | null>; phase: Ref<Phase> },
  open: Ref<Clock | null>,
) =>
  computed<Step | null>(() => {
    const backTo = here.phase.value === 'late' ? open.value?.onMiss.backTo : undefined
    const back = here.facts.value.steps.find((s) => s.id === backTo)
    return back && !here.step.value?.exceptions.some((e) => e.backTo === back.id) ? back : null
  })
