import {
  type AllFacts,
  type CureMode,
  type JobState,
  type JointFacts,
  type JointLook,
  type Line,
  type Section,
  type SectionAnswer,
  answerOn,
  conditionsAt,
  dewPointC,
  factsOn,
  jointPlaces,
  lastTakenS,
  lookOf,
  openClocks,
  provedBy,
  tagOrder,
} from '@jugalis/core'
import { defineStore } from 'pinia'
import { type ComputedRef, type Ref, computed, effectScope, ref, shallowRef, watch } from 'vue'
import { useClock } from './stores/clock'
import { useJob } from './stores/job'

const STEP_S = 5
/** From so many joints the drawing and the list do not wait for looks and answers: those follow a moment later. */
const LARGE = { joints: 800, afterMs: 150 }

/** The state that looks and answers are worked out from: of a large job it follows a moment later. */
function useJudged() {
  const job = useJob()
  const judged = shallowRef(job.state)
  let later: ReturnType<typeof setTimeout> | undefined
  watch(
    () => job.state,
    (state) => {
      clearTimeout(later)
      const other = state.jobId !== judged.value.jobId
      if (other || jointPlaces(state).size < LARGE.joints) judged.value = state
      else later = setTimeout(() => (judged.value = state), LARGE.afterMs)
    },
    { flush: 'sync' },
  )
  return judged
}

/** Now in steps, and at once when the log tells of something later than the last step: what was read now is seen now. */
function useSteps(judged: Ref<JobState>) {
  const clock = useClock()
  const step = computed(() => Math.floor(clock.nowS / STEP_S) * STEP_S)
  const told = computed(() => judged.value.lastAtS)
  /** The present moment, without what reads it being worked out anew as it passes. */
  const present = (): number => Date.now() / 1000 + clock.offsetS
  return computed(() => Math.max(step.value, Math.min(told.value, present())))
}

/** Facts of every joint: the same map as long as nothing of any joint has changed. */
const useFacts = (judged: Ref<JobState>, nowS: Ref<number>) => {
  let had: AllFacts | null = null
  return computed(() => (had = factsOn(had, judged.value, 'coldest', nowS.value)).all)
}

/** A page that slept may ask for clocks that ended so long ago. */
const ASLEEP_S = 86_400
/** Joints with a clock that runs, or did lately: of thousands few, and only those are looked at as time goes by. */
const useClocked = (facts: Ref<ReadonlyMap<string, JointFacts>>) => {
  const clock = useClock()
  return computed(() => {
    const sinceS = Date.now() / 1000 + clock.offsetS - ASLEEP_S
    return [...facts.value.values()].filter((joint) => openClocks(joint, sinceS).length > 0)
  })
}

/** A section with what its tests say of it. */
export interface SectionHead {
  section: Section
  proved: boolean
}
function useSections(judged: Ref<JobState>, facts: Ref<ReadonlyMap<string, JointFacts>>) {
  const heads = computed<readonly SectionHead[]>(() => {
    const { sections, tests } = judged.value
    const known = facts.value
    return [...sections.values()]
      .sort((a, b) => tagOrder(a.tag, b.tag))
      .map((section) => {
        const joints = section.jointIds.flatMap((id) => known.get(id) ?? [])
        return { section, proved: provedBy({ tests }, section, joints).proved }
      })
  })
  /** Sections of each joint, in the order they were painted. */
  const ofJoint = computed(() => {
    const index = new Map<string, string[]>()
    for (const { id, jointIds } of judged.value.sections.values())
      for (const joint of jointIds) {
        const ids = index.get(joint)
        if (ids) ids.push(id)
        else index.set(joint, [id])
      }
    return index
  })
  return { heads, ofJoint }
}

/** The answer of each section, worked out where it is asked for, and anew only when something of that section changes. */
function useAnswers(
  judged: Ref<JobState>,
  nowS: Ref<number>,
  mode: Ref<CureMode>,
  facts: Ref<ReadonlyMap<string, JointFacts>>,
) {
  const scope = effectScope(true)
  const each = new Map<string, ComputedRef<SectionAnswer | null>>()
  watch(
    () => judged.value.jobId,
    () => each.clear(),
    { flush: 'sync' },
  )
  const find = (id: string) => (had?: SectionAnswer | null) => {
    const section = judged.value.sections.get(id)
    // The other way to treat a changing temperature is worked out for what is looked at alone.
    const known = mode.value === 'coldest' ? facts.value : undefined
    return section ? answerOn(had ?? null, judged.value, section, nowS.value, mode.value, known) : null
  }
  return (id: string): SectionAnswer | null => {
    let answer = each.get(id)
    if (!answer)
      each.set(id, (answer = scope.run(() => computed(find(id))) as ComputedRef<SectionAnswer | null>))
    return answer.value
  }
}

/** What joints look like now, each looked at when it is asked for. */
export interface Looks {
  get(jointId: string): JointLook | undefined
}
function useLooks(
  nowS: Ref<number>,
  facts: Ref<ReadonlyMap<string, JointFacts>>,
  { heads, ofJoint }: ReturnType<typeof useSections>,
) {
  const byId = computed(() => new Map(heads.value.map((head) => [head.section.id, head])))
  return computed<Looks>(() => {
    const [known, atS, sections, own] = [facts.value, nowS.value, byId.value, ofJoint.value]
    const seen = new Map<string, JointLook>()
    return {
      get(id) {
        const had = seen.get(id)
        const joint = known.get(id)
        if (had || !joint) return had
        const head = sections.get(own.get(id)?.at(-1) ?? '')
        const look = lookOf(joint, atS, head?.section.testBar ?? Number.MAX_VALUE, head?.proved ?? false)
        seen.set(id, look)
        return look
      },
    }
  })
}

/**
 * What the places show, all from one reading of the job: facts of each joint, answer of each section. What is not asked
 * for is not worked out, and what nothing has changed of is not worked out again; counting digits use the finer clock.
 */
export const useView = defineStore('view', () => {
  const job = useJob()
  const mode = ref<CureMode>('coldest')
  const judged = useJudged()
  const nowS = useSteps(judged)
  const facts = useFacts(judged, nowS)
  const sections = useSections(judged, facts)
  const clocked = useClocked(facts)
  const answerOf = useAnswers(judged, nowS, mode, facts)
  const looks = useLooks(nowS, facts, sections)
  const tagOf = (jointId: string | null): string => (jointId ? (facts.value.get(jointId)?.tag ?? '') : '')
  const lines = computed<Line[]>(() => [...job.state.lines.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
  const sectionOf = (jointId: string): SectionAnswer | null => {
    const [first] = sections.ofJoint.value.get(jointId) ?? []
    return first === undefined ? null : answerOf(first)
  }

  const conditions = computed(() => {
    const placeId = lines.value[0]?.placeId ?? [...job.state.places.keys()][0] ?? ''
    const now = conditionsAt(job.state, placeId, nowS.value, Infinity)
    const fresh = conditionsAt(job.state, placeId, nowS.value)
    const readings = job.state.readings.get(placeId)
    const lastAtS = Math.max(lastTakenS(readings?.wall ?? []) ?? 0, lastTakenS(readings?.air ?? []) ?? 0)
    const dewC = now.airC !== null && now.humidityPct !== null ? dewPointC(now.airC, now.humidityPct) : null
    return { placeId, ...now, dewC, lastAtS, isFresh: fresh.wallC !== null || fresh.airC !== null }
  })
  return {
    mode,
    nowS,
    judged,
    facts,
    clocked,
    sections: sections.heads,
    answerOf,
    looks,
    tagOf,
    lines,
    sectionOf,
    conditions,
  }
})
