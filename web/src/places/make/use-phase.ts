import { LATE_TAP_S, type Clock, type JointFacts, type Step } from '@jugalis/core'
import { type ComputedRef, type Ref, computed } from 'vue'
import { useClock } from '../../stores/clock'

export type Phase = 'failed' | 'late' | 'hold' | 'window' | 'step' | 'rest'

/** Where the open joint stands: its step at hand, the window that is open, the hold that runs. */
export function usePhase(facts: ComputedRef<JointFacts | null>, redo: Ref<Step | null>) {
  const clock = useClock()
  const left = (c: Clock): number => (c.untilS.value === null ? NaN : c.untilS.value - clock.nowS)
  const open = computed(
    () => facts.value?.clocks.find((c) => c.kind === 'window' && c.stoppedAtS === undefined) ?? null,
  )
  const hold = computed(() => facts.value?.clocks.find((c) => c.shows === 'hold' && left(c) > 0) ?? null)
  /** The step at hand is the one that the open window waits for: hands may be on the pipe when its time runs out. */
  const closing = computed(() => {
    const joint = facts.value
    const own = joint?.steps.findIndex((s) => s.id === open.value?.step) ?? -1
    return own >= 0 && joint?.nextStep?.id === joint?.steps[own + 1]?.id
  })
  /** The step at hand: one that is done again comes before what is still to do. */
  const step = computed<Step | null>(() => redo.value ?? facts.value?.nextStep ?? null)
  const phase = computed<Phase>(() => {
    if (redo.value) return 'step'
    if (facts.value?.inspection?.verdict === 'fail') return 'failed'
    if (open.value && left(open.value) < (closing.value ? -LATE_TAP_S : 0)) return 'late'
    if (hold.value) return 'hold'
    if (!facts.value?.nextStep) return 'rest'
    return open.value ? 'window' : 'step'
  })
  return { phase, step, open, hold, left }
}
