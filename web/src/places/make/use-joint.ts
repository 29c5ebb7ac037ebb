import {
  type Finding,
  type JointFacts,
  type Step,
  conditionsAt,
  dayOf,
  liveSection,
  saidOf,
  twinFindings,
} from '@jugalis/core'
import { type ComputedRef, type Ref, computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { usePhase } from './use-phase'
import { useSentences } from './use-sentences'

/** What the open joint asks of the person now: phase, headline, why. The screen knows no method. */
export function useJoint(facts: ComputedRef<JointFacts | null>, redo: Ref<Step | null>) {
  const clock = useClock()
  const job = useJob()
  const zone = computed(() => job.state.job.zone)
  const here = usePhase(facts, redo)
  /** What speaks against starting here and now: from the method, with the tin and the permit that are there. */
  const wrong = (
    tin: { plastic: string | null; expiresOn: string | null } | null,
    hotWorkPermit: boolean,
  ): readonly Finding[] => {
    const joint = facts.value
    if (!joint?.method || joint.spec === null) return []
    // Starting goes by what it is like now, not by what it was when the pipe was marked.
    const now = conditionsAt(job.state, joint.place.line.placeId, clock.nowS)
    const weather = { ...joint.ctx, ...now, wallC: now.wallC ?? now.airC }
    const around = {
      ...saidOf(job.state, joint.place),
      cement: tin?.plastic ?? null,
      tinExpired: tin?.expiresOn ? dayOf(clock.nowS, zone.value) > tin.expiresOn : false,
      live: liveSection(job.state, joint.id) !== null,
      hotWorkPermit,
    }
    return [...joint.method.selection(joint.spec, around, weather), ...twinFindings(job.state, joint.place)]
  }
  return { ...here, ...useSentences(facts, here), wrong, zone }
}
