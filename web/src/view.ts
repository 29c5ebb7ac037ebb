import {
  type CureMode,
  type JobState,
  type JointFacts,
  type JointLook,
  type Line,
  type SectionAnswer,
  conditionsAt,
  dewPointC,
  greatest,
  jointFacts,
  jointPlaces,
  lookOf,
  sectionAnswer,
  tagOrder,
} from '@jugalis/core'
import { defineStore } from 'pinia'
import { type Ref, computed, ref, shallowRef, watch } from 'vue'
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

/** Facts of every joint, by either way to treat a changing temperature. */
function useFacts(judged: Ref<JobState>, nowS: Ref<number>) {
  /** What the weather is at each place, as text: joints not begun are worked out anew when it changes, not each second. */
  const weather = computed(() =>
    [...judged.value.places.keys(), ...new Set([...judged.value.lines.values()].map((l) => l.placeId))]
      .map((placeId) => JSON.stringify(conditionsAt(judged.value, placeId, nowS.value)))
      .join(),
  )
  /** The present moment, without what reads it being worked out anew as it passes. */
  let lately = nowS.value
  watch(nowS, (s) => (lately = s), { flush: 'sync' })
  function factsOf(mode: CureMode): ReadonlyMap<string, JointFacts> {
    const all = new Map<string, JointFacts>()
    const state = judged.value
    // Begun joints go by the time of their work; this names what the others depend on.
    void weather.value
    const atS = lately
    for (const id of jointPlaces(state).keys()) {
      const facts = jointFacts(state, id, mode, atS)
      if (facts) all.set(id, facts)
    }
    return all
  }
  const coldest = computed(() => factsOf('coldest'))
  /** Worked out only where it is asked for. */
  const accumulate = computed(() => factsOf('accumulate'))
  const factsIn = (mode: CureMode): ReadonlyMap<string, JointFacts> =>
    mode === 'coldest' ? coldest.value : accumulate.value
  return { facts: coldest, factsIn }
}

/**
 * What the places show, all from one reading of the job: facts of each joint, answer of each section. Worked out
 * anew when the log changes and every few seconds; counting digits use the finer clock.
 */
export const useView = defineStore('view', () => {
  const job = useJob()
  const clock = useClock()
  const mode = ref<CureMode>('coldest')
  const nowS = computed(() => Math.floor(clock.nowS / STEP_S) * STEP_S)
  const judged = useJudged()
  const { facts, factsIn } = useFacts(judged, nowS)
  const answers = computed<ReadonlyMap<string, SectionAnswer>>(() => {
    const all = new Map<string, SectionAnswer>()
    const state = judged.value
    for (const id of state.sections.keys()) {
      const answer = sectionAnswer(state, id, nowS.value, mode.value, factsIn(mode.value))
      if (answer) all.set(id, answer)
    }
    return all
  })
  const looks = computed<ReadonlyMap<string, JointLook>>(() => {
    const all = new Map<string, JointLook>()
    for (const answer of answers.value.values())
      for (const joint of answer.joints) all.set(joint.facts.id, joint.look)
    for (const [id, joint] of facts.value)
      if (!all.has(id)) all.set(id, lookOf(joint, nowS.value, Number.MAX_VALUE, false))
    return all
  })
  const tagOf = (jointId: string | null): string => (jointId ? (facts.value.get(jointId)?.tag ?? '') : '')
  const lines = computed<Line[]>(() => [...job.state.lines.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
  const sectionOf = (jointId: string): SectionAnswer | null =>
    [...answers.value.values()].find((a) => a.section.jointIds.includes(jointId)) ?? null

  const conditions = computed(() => {
    const placeId = lines.value[0]?.placeId ?? [...job.state.places.keys()][0] ?? ''
    const now = conditionsAt(job.state, placeId, nowS.value, Infinity)
    const fresh = conditionsAt(job.state, placeId, nowS.value)
    const readings = job.state.readings.get(placeId)
    const lastOf = (list: readonly { atS: number }[] = []): number => greatest(list.map((r) => r.atS))
    const lastAtS = Math.max(lastOf(readings?.wall), lastOf(readings?.air), 0)
    const dewC = now.airC !== null && now.humidityPct !== null ? dewPointC(now.airC, now.humidityPct) : null
    return { placeId, ...now, dewC, lastAtS, isFresh: fresh.wallC !== null || fresh.airC !== null }
  })
  return { mode, nowS, judged, facts, factsIn, answers, looks, tagOf, lines, sectionOf, conditions }
})
