import { greatest, smallest } from '../../units/extent.js'
import { once } from '../../units/memo.js'
import type { History, Span } from '../../conditions/history.js'
import type { CureMode } from '../../methods/cure/pace.js'
import { type Piece, timeOf } from '../../methods/cure/piecewise.js'
import type { Msg } from '../../methods/method.js'
import { msg } from '../../sources/source.js'
import { SAME_BAR } from '../../units/units.js'
import type { PinnedPlan } from '../../log/state-plan.js'
import { type JointFacts, jointAllows, jointFacts, plannedPieces } from '../../joint/assess.js'
import { type JointLook, lookOf } from '../../joint/look.js'
import { jointPlaces } from '../../joint/lookup.js'
import { piecesOf } from '../../joint/pressure-curve.js'
import type { JobState, Section, TestRun } from '../../log/state.js'
import { blankSection } from '../../log/state-prove.js'
import { type Ladder, type LadderJoint, ladderOf } from './ladder.js'

export interface JointInSection {
  facts: JointFacts
  look: JointLook
  allowsBar: number
  /** When it may take the test pressure; null = no figure or not made. */
  readyAtS: number | null
  /** Same, if an unmade joint is made as planned. */
  plannedHomeS: number | null
  plannedReadyAtS: number | null
}
export interface Moved {
  jointId: string
  fromAtS: number
  toAtS: number
  temperatureC: number
  atS: number
}
/** The one answer about a section at a time. Headline, ladder, gates, lanes and glyphs all read it. */
export interface SectionAnswer {
  section: Section
  nowS: number
  mode: CureMode
  joints: readonly JointInSection[]
  /** Why nothing may be put on now: one entry for each joint that allows nothing. */
  blockers: readonly { jointId: string; says: Msg }[]
  /** Null: no ceiling by the rules and no rating known. */
  allowedBar: number | null
  ladder: Ladder
  /** Ladder that counts unmade joints as planned. */
  plannedSteps: Ladder['steps']
  /** When the section may take its test pressure, as things stand; null while a joint is not made or has no figure. */
  readyAtS: number | null
  plannedReadyAtS: number | null
  holdsBack: JointInSection | null
  moved: Moved | null
  lastTest: TestRun | null
  proved: boolean
  readingsTo: number | null
}

/** Assumed time from one planned joint to the next, and from now to the first. */
const PLAN_PACE_S = 900

/** Last test of a section that was not overtaken by work: a joint begun after it re-opens the section. */
export function provedBy(
  state: Pick<JobState, 'tests'>,
  section: Section,
  facts: readonly JointFacts[],
): { last: TestRun | null; proved: boolean } {
  const last =
    [...state.tests.values()]
      .filter((t) => t.sectionId === section.id)
      .sort((a, b) => a.begunAtS - b.begunAtS)
      .at(-1) ?? null
  const proved =
    last?.ended?.verdict === 'held' &&
    facts.length > 0 &&
    facts.every((f) => f.homeAtS !== null && f.homeAtS < last.begunAtS)
  return { last, proved }
}

/** The answer about a section at a time, epoch s; null where it is not known. */
export function sectionAnswer(
  state: JobState,
  sectionId: string,
  nowS: number,
  mode: CureMode = 'coldest',
  known?: ReadonlyMap<string, JointFacts>,
): SectionAnswer | null {
  const section = state.sections.get(sectionId)
  return section ? answerFor(state, section, nowS, mode, known) : null
}

/** Name under which the whole job is looked at as if it were one section. */
export const WHOLE_JOB = 'all'
/**
 * All joints of a job as one section, at the highest test pressure of its sections; null while none is painted. It is
 * for looking, not for testing: it has no gates of its own.
 */
export function wholeJob(state: JobState): Section | null {
  const bars = [...state.sections.values()].map((s) => s.testBar)
  if (!bars.length) return null
  return {
    ...blankSection(WHOLE_JOB),
    tag: 'The whole job',
    jointIds: [...jointPlaces(state).keys()],
    testBar: greatest(bars),
  }
}

/** Each joint as it stands, and what it bears if one that is not made is made as planned, one after the other. */
function jointsIn(
  section: Section,
  all: readonly JointFacts[],
  nowS: number,
  proved: boolean,
  pinned: PinnedPlan | null,
): { joint: JointInSection; planned: readonly Piece[] }[] {
  let plannedSoFar = 0
  const ends = new Map(pinned?.joints.map(({ jointId, endS }) => [jointId, endS]))
  return all.map((facts) => {
    const paceS = facts.homeAtS === null ? nowS + PLAN_PACE_S * ++plannedSoFar : null
    // A plan that is followed says when it is home; what should have been by now comes when it can.
    const plannedHomeS = paceS === null ? null : Math.max(ends.get(facts.id) ?? paceS, nowS)
    const planned = plannedHomeS === null ? facts.pieces : plannedPieces(facts, plannedHomeS)
    const joint = {
      facts,
      look: lookOf(facts, nowS, section.testBar, proved),
      allowsBar: jointAllows(facts, nowS),
      readyAtS: timeOf(facts.pieces, section.testBar, SAME_BAR),
      plannedHomeS,
      plannedReadyAtS: timeOf(planned, section.testBar, SAME_BAR),
    }
    return { joint, planned }
  })
}
/** The ladder as things stand, and the one that counts unmade joints as planned. */
function laddersOf(
  section: Section,
  joints: ReturnType<typeof jointsIn>,
  nowS: number,
): { ladder: Ladder; plan: Ladder } {
  const rating = (facts: JointFacts): number | null => {
    const limits = [facts.place.line.ratingBar, section.ratingBar].filter((r): r is number => r !== null)
    return limits.length ? smallest(limits) : null
  }
  const curve = (facts: JointFacts, homeS: number | null, pieces: readonly Piece[]): LadderJoint => ({
    id: facts.id,
    madeAtS: homeS,
    ratingBar: rating(facts),
    pieces: pieces.length ? pieces : null,
  })
  const curves = joints.map(({ joint: { facts } }) => curve(facts, facts.homeAtS, facts.pieces))
  const ladder = ladderOf(curves, nowS)
  if (joints.every(({ joint }) => joint.plannedHomeS === null)) return { ladder, plan: ladder }
  const planned = joints.map(({ joint, planned }, i) =>
    joint.plannedHomeS === null
      ? (curves[i] as LadderJoint)
      : curve(joint.facts, joint.plannedHomeS, planned),
  )
  return { ladder, plan: ladderOf(planned, nowS) }
}

/** The answer about any set of joints at a time. @param known facts of joints in this state and mode, where they are worked out already. */
export function answerFor(
  state: JobState,
  section: Section,
  nowS: number,
  mode: CureMode = 'coldest',
  known?: ReadonlyMap<string, JointFacts>,
): SectionAnswer {
  const all = section.jointIds
    .map((id) => known?.get(id) ?? jointFacts(state, id, mode, nowS))
    .filter((f): f is JointFacts => f !== null)
  const { last, proved } = provedBy(state, section, all)
  const withPlans = jointsIn(section, all, nowS, proved, state.plan.pinned)
  const joints = withPlans.map((j) => j.joint)
  const { ladder, plan } = laddersOf(section, withPlans, nowS)
  const readyAtS = timeOf(ladder.pieces, section.testBar, SAME_BAR)
  const plannedReadyAtS = timeOf(plan.pieces, section.testBar, SAME_BAR)
  const holdsBack = slowest(joints)
  const answer: SectionAnswer = {
    section,
    nowS,
    mode,
    joints,
    blockers: joints
      .filter((j) => j.allowsBar <= 0)
      .map((j) => ({ jointId: j.facts.id, says: whyNothing(j) })),
    allowedBar: joints.length ? ladder.allowedBar : 0,
    ladder,
    plannedSteps: plan.steps,
    readyAtS: joints.length ? readyAtS : null,
    plannedReadyAtS: joints.length ? plannedReadyAtS : null,
    holdsBack,
    moved: holdsBack ? movedBy(holdsBack, section.testBar) : null,
    lastTest: last,
    proved,
    readingsTo: readingsTo(all),
  }
  pinnedFor.set(answer, state.plan.pinned)
  return answer
}

/**
 * The same answer as long as nothing of its section has changed: its joints, its last test, the plan that is followed,
 * the time. @param had what was answered of it before; null: nothing. @param known facts of joints in this state and mode,
 * where they are worked out already.
 */
export function answerOn(
  had: SectionAnswer | null,
  state: JobState,
  section: Section,
  nowS: number,
  mode: CureMode,
  known?: ReadonlyMap<string, JointFacts>,
): SectionAnswer {
  const factsOf = (id: string) => (known ? known.get(id) : jointFacts(state, id, mode, nowS))
  const stands =
    had?.section === section &&
    had.nowS === nowS &&
    had.mode === mode &&
    pinnedFor.get(had) === state.plan.pinned &&
    sameFacts(had.joints, section, factsOf) &&
    provedBy(state, section, []).last === had.lastTest
  return stands ? had : answerFor(state, section, nowS, mode, known)
}
const pinnedFor = new WeakMap<SectionAnswer, PinnedPlan | null>()
function sameFacts(
  joints: readonly JointInSection[],
  { jointIds }: Section,
  factsOf: (id: string) => JointFacts | null | undefined,
): boolean {
  let at = 0
  for (const id of jointIds) {
    const facts = factsOf(id)
    if (facts && joints[at++]?.facts !== facts) return false
  }
  return at === joints.length
}

function slowest(joints: readonly JointInSection[]): JointInSection | null {
  const time = (j: JointInSection): number => j.readyAtS ?? j.plannedReadyAtS ?? Infinity
  return joints.reduce<JointInSection | null>((a, b) => (!a || time(b) > time(a) ? b : a), null)
}

function whyNothing(own: JointInSection): Msg {
  const joint = own.facts.tag
  if (own.look.glyph === 'failed') return msg('joint-failed', { joint })
  if (own.facts.homeAtS === null) return msg('not-made', { joint })
  // Without a figure it is not waited for: that is said, and not that it is setting.
  if (own.look.glyph === 'hold' || (own.look.glyph === 'set' && own.facts.movable.value !== null))
    return msg('not-set', { joint })
  return own.readyAtS === null ? msg('joint-no-figure', { joint }) : msg('joint-curing', { joint })
}

/** When a place was last read, as far as a history goes by readings, epoch s; looked for once for all that lies there. */
const lastReadS = once((history: History) => history.findLast(({ basis }) => basis === 'read')?.fromS ?? null)
function readingsTo(all: readonly JointFacts[]): number | null {
  let leastS: number | null = null
  for (const { history } of all) {
    const endS = lastReadS(history)
    if (endS !== null && (leastS === null || endS < leastS)) leastS = endS
  }
  return leastS
}

/** Had the wall stayed as it was at home, when would it have been ready? Says what moved it, if it moved by a minute. */
function movedBy(joint: JointInSection, bar: number): Moved | null {
  const { facts, readyAtS } = joint
  const homeS = facts.homeAtS
  if (homeS === null || readyAtS === null || !facts.life || !facts.method) return null
  const steady = heldFrom(facts.history, homeS)
  const ramps = facts.method.pressure(facts.spec, facts.life, { ...facts.ctx, wall: steady })
  const thenS = timeOf(piecesOf(ramps, homeS), bar, SAME_BAR)
  if (thenS === null || Math.abs(thenS - readyAtS) < 60) return null
  const between = facts.history.filter(
    (s, i) => (facts.history[i + 1]?.fromS ?? Infinity) > homeS && s.fromS < readyAtS && s.basis !== 'none',
  )
  const coldest = between.reduce<Span | null>((a, b) => (!a || b.minC < a.minC ? b : a), null)
  return (
    coldest && {
      jointId: facts.id,
      fromAtS: thenS,
      toAtS: readyAtS,
      temperatureC: coldest.minC,
      atS: Math.max(coldest.fromS, homeS),
    }
  )
}

/** The history up to a time, with its last temperature held on. */
function heldFrom(history: History, atS: number): History {
  const upTo = history.filter((s) => s.fromS <= atS)
  const last = upTo.at(-1)
  return last
    ? [...upTo.slice(0, -1), { ...last, basis: last.basis === 'gap' ? 'read' : last.basis }]
    : history
}
