import { plannedLife, type JointFacts } from '../../joint/assess.js'
import type { CrewMember, PlanAim, Shutdown } from '../../log/state-plan.js'
import type { JobState, Section } from '../../log/state.js'
import { timeOf } from '../../methods/cure/piecewise.js'
import { greatest } from '../../units/extent.js'
import { tagOrder } from '../../units/tag-order.js'
import { SAME_BAR } from '../../units/units.js'
import { readyIfHome } from '../backward.js'
import { circleOf } from '../order/faults.js'
import type { OrderJoint, OrderQuestion, ReadyRow, ShiftSpan } from '../order/question.js'
import { shiftsOf, withPapers } from './crew.js'
import { hotWorkSpans, isHotWork, shutFromS } from './may.js'
import { Tools } from './tools.js'
import { type Along, type Waits, waitsInJob } from './waits.js'
import { type WorkTime, handsOf, measuredTimes, workTimeOf } from './work.js'

export interface Wanted {
  aim: PlanAim
  /** A section that comes before all others. */
  firstId?: string | null
  /** Times by which sections must be ready, epoch s, by id. */
  byS?: ReadonlyMap<string, number>
  along: Along
  /** Who is not there. */
  without?: string | null
  /** So many more who are there like the first, and make everything. */
  more?: number
}
/** Why there is nothing to plan, or no way to; each with the joint where it shows. */
export interface Stuck {
  code: 'no-crew' | 'too-few-hands' | 'nobody-may' | 'no-figure' | 'no-method' | 'circle' | 'too-many'
  jointId: string | null
  count?: number
}
/** A job as a question to the planner, with what was taken for granted. */
export interface JobQuestion {
  question: OrderQuestion
  waits: readonly Waits[]
  works: ReadonlyMap<string, WorkTime>
  /** Joints for which a tool is wanted of which none is in the Store: as many are taken as hands. */
  noTool: readonly string[]
  /** Sections that were shut down when it was asked. */
  shutdowns: ReadonlyMap<string, Shutdown>
  /** Joints that want a permit of hot work, and until when those reach that are written down; null: none reaches beyond now. */
  hotWork: { jointIds: readonly string[]; untilS: number | null }
}
/** From one line to another, and setting up there: common practice. */
export const USUAL_WALK_MIN = 10
/** Most joints of one plan. */
export const MOST_IN_PLAN = 2000
const HOUR_S = 3600
const DAYS = 21
/** Cures are looked up for ends at these steps, seconds, so far ahead. */
const STEPS: readonly (readonly [stepS: number, untilS: number])[] = [
  [HOUR_S / 2, 48 * HOUR_S],
  [HOUR_S, 8 * 24 * HOUR_S],
  [6 * HOUR_S, DAYS * 24 * HOUR_S],
]
const upTo = (seconds: number, stepS: number): number => Math.ceil(seconds / stepS) * stepS

/** How long after its end a joint takes a pressure, by when it ends: within a row the slower of its two ends counts. */
function readyTable(facts: JointFacts, bar: number, startS: number): ReadyRow[] | null {
  const after = (endS: number): number | null => {
    const readyS = readyIfHome(facts, endS, bar)
    return readyS === null ? null : Math.max(0, upTo(readyS - endS, 60))
  }
  const out: ReadyRow[] = []
  let fromS = startS
  let before = after(fromS)
  if (before === null) return null
  for (const [stepS, untilS] of STEPS)
    for (; fromS < startS + untilS; fromS += stepS) {
      const next: number | null = after(fromS + stepS)
      if (next === null) return out.length ? out : null
      const readyAfterS = Math.max(before as number, next)
      if (out.at(-1)?.readyAfterS !== readyAfterS) out.push({ fromS, readyAfterS })
      before = next
    }
  return out
}
/** How long it must not be pushed at once it is home, seconds; 0 where nothing sets. */
function setOf(facts: JointFacts, startS: number): number {
  if (!facts.method?.cures || facts.spec === null) return 0
  const at = [startS, startS + 12 * HOUR_S].map((homeS) => {
    const fromS = facts.method?.movableFromS(facts.spec, plannedLife(facts, homeS), facts.ctx).value ?? null
    return fromS === null ? 0 : fromS - homeS
  })
  return Math.max(0, upTo(greatest(at), 60))
}

/** Joints that say the same in the same place, at the same pressure, share their table. */
const alike = (facts: JointFacts, bar: number): string =>
  `${facts.method?.id} ${JSON.stringify(facts.spec)} ${facts.place.line.placeId} ${facts.ctx.pin.chart} ${bar}`

/** The section a joint is proved in: of several, the one with the highest pressure. */
function sectionsByJoint(state: JobState): Map<string, Section> {
  const out = new Map<string, Section>()
  const all = [...state.sections.values()].sort((one, other) => tagOrder(one.tag, other.tag))
  for (const section of all)
    for (const id of section.jointIds)
      if ((out.get(id)?.testBar ?? -1) < section.testBar) out.set(id, section)
  return out
}

const isMade = (facts: JointFacts): boolean => facts.homeAtS !== null && facts.inspection?.verdict !== 'fail'

/** Everybody's shifts from now on. */
function peopleOf(crew: readonly CrewMember[], startS: number, zone: string): OrderQuestion['people'] {
  return crew.map((member) => ({
    id: member.id,
    shifts: shiftsOf(member, startS, startS + DAYS * 24 * HOUR_S, zone),
    ...(member.makes ? { mayMake: member.makes } : {}),
  }))
}

/** When joints alike are ready, by when they end; null: nobody has a figure. The costly part of a question. */
export type ReadyTables = Map<string, readonly ReadyRow[] | null>
/** Puts the joints of a job into the planner's words, one by one. */
class Asking {
  readonly startS: number
  readonly joints: OrderJoint[] = []
  readonly works = new Map<string, WorkTime>()
  readonly tools: Tools
  readonly hot: string[] = []
  readonly permits: readonly ShiftSpan[] | null
  private readonly sections: ReadonlyMap<string, Section>
  private readonly measured: ReadonlyMap<string, WorkTime>
  private readonly first = new Map<string, string[]>()
  constructor(
    private readonly state: JobState,
    facts: ReadonlyMap<string, JointFacts>,
    nowS: number,
    private readonly crew: readonly CrewMember[],
    waits: readonly Waits[],
    sections: ReadonlyMap<string, Section>,
    readonly tables: ReadyTables,
  ) {
    this.startS = upTo(nowS, 60)
    this.permits = hotWorkSpans(state, this.startS)
    this.sections = sections
    this.measured = measuredTimes(facts.values())
    this.tools = new Tools([...state.store.values()])
    for (const { jointId, first } of waits)
      this.first.set(jointId, [...(this.first.get(jointId) ?? []), first])
  }
  /** @returns why it has no place in any plan; null: it has one. */
  add(one: JointFacts): Stuck | null {
    const section = this.sections.get(one.id)
    const made = madeJoint(one, section)
    if (made === 'no-figure') return { code: 'no-figure', jointId: one.id }
    if (made) {
      this.joints.push(made)
      return null
    }
    if (!one.method || one.spec === null) return { code: 'no-method', jointId: one.id }
    const hands = handsOf(one)
    const able = this.crew.filter(({ makes }) => !makes || makes.includes(one.place.way.method))
    if (!able.length) return { code: 'nobody-may', jointId: one.id }
    if (able.length < hands) return { code: 'too-few-hands', jointId: one.id, count: hands }
    const ready = this.readyOf(one, section)
    if (!ready) return { code: 'no-figure', jointId: one.id }
    this.joints.push({ ...this.openJoint(one, hands, able, ready), ...this.mayBe(one, section) })
    return null
  }
  /** When it may be made: inside a permit, where it wants one; once its section is isolated and empty. */
  private mayBe(one: JointFacts, section: Section | undefined): Partial<OrderJoint> {
    const shut = this.state.plan.shutdowns.get(section?.id ?? '')
    const hot = isHotWork(one)
    if (hot) this.hot.push(one.id)
    return {
      ...(hot && this.permits ? { within: this.permits } : {}),
      ...(shut && shutFromS(shut) > this.startS ? { notBeforeS: shutFromS(shut) } : {}),
    }
  }
  private readyOf(one: JointFacts, section: Section | undefined): Partial<OrderJoint> | null {
    if (!section) return { readyAfterS: setOf(one, this.startS) }
    const key = alike(one, section.testBar)
    if (!this.tables.has(key)) this.tables.set(key, readyTable(one, section.testBar, this.startS))
    return this.tables.get(key) ? { readyByEnd: key, section: section.id } : null
  }
  private openJoint(
    one: JointFacts,
    hands: number,
    able: readonly CrewMember[],
    ready: Partial<OrderJoint>,
  ): OrderJoint {
    const work = workTimeOf(one, this.state.plan.works, this.measured)
    this.works.set(one.id, work)
    const fixed = this.state.plan.fixed.get(one.id)
    const own = fixed?.crew.filter((id) => able.some((member) => member.id === id)) ?? []
    return {
      id: one.id,
      kind: one.place.way.method,
      workS: work.workS,
      hands,
      ...(own.length >= hands ? { people: own } : {}),
      group: one.place.line.id,
      things: one.method ? this.tools.of(one.method.consumables(one.spec)) : [],
      still: this.first.get(one.id) ?? [],
      setS: setOf(one, this.startS),
      ...ready,
      // What was to begin in the past, and did not, begins when it can.
      ...(fixed?.startS && fixed.startS >= this.startS ? { startS: fixed.startS } : {}),
    }
  }
}

/**
 * The question that a job asks of the planner: its joints that are not made, who is there, what waits for what, and when
 * each would be ready by the rules of the job and the forecast.
 * @param facts of all joints, planned by the forecast. @param nowS epoch s. @param tables known already, and added to.
 */
export function jobQuestion(
  state: JobState,
  facts: ReadonlyMap<string, JointFacts>,
  nowS: number,
  wanted: Wanted,
  tables: ReadyTables = new Map(),
): { ok: true; asked: JobQuestion } | { ok: false; stuck: Stuck } {
  const crew = crewOf(withPapers(state, nowS), wanted)
  if (!crew.length) return { ok: false, stuck: { code: 'no-crew', jointId: null } }
  if ([...facts.values()].filter((one) => !isMade(one)).length > MOST_IN_PLAN)
    return { ok: false, stuck: { code: 'too-many', jointId: null, count: MOST_IN_PLAN } }
  const sections = sectionsByJoint(state)
  const waits = waitsInJob(state.lines, facts, wanted.along)
  const asking = new Asking(state, facts, nowS, crew, waits, sections, tables)
  for (const one of facts.values()) {
    const stuck = asking.add(one)
    if (stuck) return { ok: false, stuck }
  }
  const circle = circleOf(asking.joints)
  if (circle) return { ok: false, stuck: { code: 'circle', jointId: circle.way[0] ?? null } }
  return {
    ok: true,
    asked: {
      question: {
        startS: asking.startS,
        people: peopleOf(crew, asking.startS, state.job.zone),
        things: [...asking.tools.counts].map(([kind, count]) => ({ kind, count })),
        tables: Object.fromEntries([...asking.tables].flatMap(([key, rows]) => (rows ? [[key, rows]] : []))),
        joints: asking.joints,
        sections: sectionsAsked(sections, wanted),
        walkS: (state.plan.walkMin ?? USUAL_WALK_MIN) * 60,
        aside: sections.size > 0,
        aim: wanted.aim === 'last' ? 'last-ready' : 'weighted',
      },
      waits,
      works: asking.works,
      noTool: [...asking.tools.lacking],
      shutdowns: state.plan.shutdowns,
      // The last of the spans is what comes after all permits.
      hotWork: { jointIds: asking.hot, untilS: asking.permits?.at(-1)?.fromS ?? null },
    },
  }
}

/** Who is reckoned with. */
function crewOf(crew: readonly CrewMember[], { without, more = 0 }: Wanted): CrewMember[] {
  const [first] = crew
  const rest = crew.filter(({ id }) => id !== without)
  if (!first) return rest
  const { makes: _makes, ...like } = first
  return [...rest, ...Array.from({ length: more }, (_, i) => ({ ...like, id: `${first.id} ${i + 1}` }))]
}

const FIRST_WEIGHT = 1000
function sectionsAsked(sections: ReadonlyMap<string, Section>, wanted: Wanted): OrderQuestion['sections'] {
  return [...new Set([...sections.values()].map(({ id }) => id))].map((id) => ({
    id,
    weight: id === wanted.firstId ? FIRST_WEIGHT : 1,
    ...(wanted.byS?.has(id) ? { byS: wanted.byS.get(id) as number } : {}),
  }))
}

/** A joint that is home: only when it bears counts; null: it is not. */
function madeJoint(facts: JointFacts, section: Section | undefined): OrderJoint | 'no-figure' | null {
  if (!isMade(facts) || facts.homeAtS === null) return null
  const doneAtS = Math.floor(facts.homeAtS)
  const readyS = section ? timeOf(facts.pieces, section.testBar, SAME_BAR) : doneAtS
  if (readyS === null) return 'no-figure'
  const setS = Math.max(0, upTo((facts.movable.value ?? doneAtS) - doneAtS, 60))
  return {
    id: facts.id,
    workS: 1,
    doneAtS,
    setS,
    readyAfterS: Math.max(0, upTo(readyS - doneAtS, 60)),
    ...(section ? { section: section.id } : {}),
  }
}
