import {
  type ChainLink,
  type JobQuestion,
  type OrderPlan,
  chainTo,
  listedSections,
  waitingIsSooner,
} from '@jugalis/core'
import { type Ref, computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { named, word } from '../../words/word'
import type { Found } from './use-plan'

const MOST_SAID = 6
/** What a plan comes to, in sentences: when which section is ready, what leads to it, on what it rests. */
export function useSaid(found: Ref<Found | null>) {
  const job = useJob()
  const view = useView()
  const at = (atS: number): string => when(atS, view.nowS, job.state.job.zone)
  const tag = (id: string): string => view.tagOf(id)
  const asked = computed<JobQuestion | null>(() => found.value?.ask.asked[found.value.at] ?? null)
  const names = computed(() => new Map(job.state.plan.crew.map(({ id, name }) => [id, name])))
  /** Sections of the plan that can be tested, the first one ready first; what was asked to come first stands first. */
  const ready = computed(() => {
    const own = found.value
    if (!own) return []
    return listedSections(own.plan, own.wish.firstId ?? null).flatMap((one) => {
      const section = job.state.sections.get(one.id)
      return section ? [{ ...one, section }] : []
    })
  })
  /** The section the headline is about: the one that comes first, else the last to be ready. */
  const main = computed(() => (found.value?.wish.firstId ? ready.value[0] : ready.value.at(-1)) ?? null)

  function headline(plan: OrderPlan): string {
    const own = main.value
    if (!own) return word('plan-home-by', { at: at(plan.valueS ?? 0) })
    const said = { tag: own.section.tag, bar: own.section.testBar, at: at(own.readyAtS) }
    // What is proved is proved of what was aimed at: of one section only where it is the last, or the only one.
    if (found.value?.wish.aim !== 'last' && ready.value.length > 1) return word('plan-ready', said)
    if (plan.proven) return word('plan-ready-proved', said)
    return word('plan-ready-within', { ...said, gap: (plan.valueS ?? 0) - (plan.boundS ?? 0) })
  }
  function linkSays({ joint, because }: ChainLink): string {
    const values = { tag: tag(joint.id), at: at(joint.startS) }
    if (!('jointId' in because)) return word(`plan-link-${because.why}`, values)
    const who = joint.people.map((id) => names.value.get(id) ?? '').join(', ')
    return word(`plan-link-${because.why}`, { ...values, other: tag(because.jointId), who })
  }
  const chain = computed(() => {
    const own = found.value
    if (!own || !asked.value || own.plan.valueS === null) return []
    const heldBy = main.value?.heldBy ?? own.plan.sections[0]?.heldBy ?? ''
    return chainTo(asked.value.question, own.plan, heldBy)
  })
  const held = computed(() => {
    const heldBy = main.value?.heldBy
    if (!heldBy) return ''
    const [last] = chain.value
    if (!last) return word('plan-held-made', { tag: tag(heldBy) })
    const size = view.facts.get(heldBy)?.place.way.size ?? ''
    return word('plan-held', { tag: tag(heldBy), size, home: at(last.joint.endS) })
  })
  const waits = useWaits(found, asked, at)
  const rests = useRests(found, asked)
  return { at, tag, names, asked, ready, main, headline, linkSays, chain, held, waits, rests }
}

/** On what a plan rests: weather, times of work, tools. */
function useRests(found: Ref<Found | null>, asked: Ref<JobQuestion | null>) {
  const job = useJob()
  return computed(() => {
    const own = found.value
    if (!own || !asked.value) return []
    const works = [...asked.value.works.values()]
    const count = (from: string): number => works.filter((work) => work.from === from).length
    const places = [...own.ask.how].map(([placeId, how]) =>
      word(
        how === 'forecast' ? 'plan-by-forecast' : how === 'last-day' ? 'plan-by-last-day' : 'plan-by-nothing',
        { place: job.state.places.get(placeId) ?? '' },
      ),
    )
    const times = (['practice', 'measured', 'said'] as const).flatMap((from) =>
      count(from) ? [word(`plan-times-${from}`, { count: count(from) })] : [],
    )
    const tools = asked.value.noTool.map((item) => named(item))
    return [
      ...places,
      word('plan-times-from', { list: times.join(', ') }),
      ...(tools.length ? [word('plan-no-tool', { tools: tools.join(', ') })] : []),
      ...(own.at === 1 ? [word('plan-apart')] : []),
    ]
  })
}

/** What waits on purpose, and what it gains. */
function useWaits(found: Ref<Found | null>, asked: Ref<JobQuestion | null>, at: (atS: number) => string) {
  const view = useView()
  return computed(() => {
    const own = found.value
    if (!own || !asked.value) return []
    return waitingIsSooner(asked.value.question, own.plan)
      .slice(0, MOST_SAID)
      .map((one) => ({
        jointId: one.jointId,
        says: word('plan-waits-sooner', {
          tag: view.tagOf(one.jointId),
          at: at(own.plan.plan.find(({ id }) => id === one.jointId)?.startS ?? 0),
          home: at(one.endS),
          ready: at(one.readyAtS),
          sooner: at(one.soonestEndS),
          then: at(one.thenReadyS),
        }),
      }))
  })
}
