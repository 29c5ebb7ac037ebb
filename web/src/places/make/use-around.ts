import {
  type Clock,
  type JointFacts,
  type Section,
  type Step,
  fmt,
  liveSection,
  stateNow,
  tagOrder,
} from '@jugalis/core'
import { type ComputedRef, computed, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import type { Phase } from './use-phase'
import { word } from '../../words/word'

interface Here {
  facts: ComputedRef<JointFacts>
  step: ComputedRef<Step | null>
  phase: ComputedRef<Phase>
  left: (c: Clock) => number
}
/** So soon after an act a joint that is done may make way; later nobody expects the screen to change. */
const SOON_MS = 1500

/** What lies around the joint in hand: sections under pressure or full, joints alike, holds that run elsewhere. */
export function useAround({ facts, step, phase, left }: Here) {
  const job = useJob()
  const view = useView()
  /** Nothing is cut or opened under pressure, nor behind the same valve. */
  const live = computed(() => liveSection(job.state, facts.value.id))
  /** A made joint of a section that is full: whoever opens it should know. */
  const full = computed<Section | null>(() => {
    const own = facts.value.homeAtS === null ? null : view.sectionOf(facts.value.id)?.section
    return own && stateNow(job.state, own) === 'full' ? own : null
  })
  /** Joints at the same point of the same work: what is written for one may be written for them. */
  const alike = computed(() => {
    const { method, place } = facts.value
    return [...view.facts.values()]
      .filter(
        (facts) =>
          facts.method === method &&
          facts.place.way.size === place.way.size &&
          facts.place.way.material === place.way.material &&
          facts.nextStep?.id === step.value?.id,
      )
      .sort((a, b) => tagOrder(a.tag, b.tag))
  })
  /** Starting a window while another joint's hold runs: said, not stopped. */
  const ahead = computed(() => {
    const starts = facts.value.steps.some((s) => s.id === step.value?.id && s.reaches === 'prepared')
    if (!starts || phase.value !== 'step') return ''
    for (const joint of view.facts.values())
      for (const clock of joint.clocks)
        if (joint.id !== facts.value.id && clock.shows === 'hold' && left(clock) > 0)
          return word('make-is-held-for-more', { tag: joint.tag, clock: fmt.clock(Math.ceil(left(clock))) })
    return ''
  })
  return { live, full, alike, ahead }
}

/**
 * A joint that is done, judged good and left with nothing to wait for makes way for the next one like it, when that
 * comes of an act just done. Gives what to call at an act.
 */
export function useMakesWay(
  { facts, phase, left }: Here,
  next: () => JointFacts | null,
  go: (id: string) => void,
): () => void {
  let actedMs = -Infinity
  const done = computed(() => {
    const [joint, after] = [facts.value, next()]
    const quiet = joint.clocks.every((c) => c.stoppedAtS !== undefined || left(c) <= 0)
    const like =
      after?.method === joint.method && after?.place.way.size === joint.place.way.size && !after?.life
    return phase.value === 'rest' && quiet && like && joint.inspection?.verdict === 'pass'
  })
  watch(done, (now) => {
    const facts = next()
    if (now && facts && performance.now() - actedMs < SOON_MS) go(facts.id)
  })
  return () => void (actedMs = performance.now())
}
