import { allFacts } from '../joint/all-facts.js'
import type { JointFacts } from '../joint/assess.js'
import type { JobState } from '../log/state.js'
import type { Msg } from '../sources/source.js'
import { type CareTask, upkeepOf } from '../upkeep/due.js'
import { sectionAnswer } from '../prove/test-plan/answer.js'
import { greatest } from '../units/extent.js'
import { tagOrder } from '../units/tag-order.js'
import { type OpenClock, nearestFirst, openClocks } from './open-clocks.js'

/** A joint as a glance names it. */
export interface GlanceJoint {
  jointId: string
  tag: string
  /** Persons who had a hand in the life in the line now. */
  hands: readonly string[]
}
export interface GlanceSection {
  id: string
  tag: string
  testBar: number
  /**
   * proved: its last test was held and nothing was made since. runs: a test of it runs. lost: its last test was. unmade: a
   * joint is not home. no-figure: nobody stands for a time. waits: ready at `readyAtS`, be it past.
   */
  stage: 'empty' | 'proved' | 'runs' | 'lost' | 'unmade' | 'no-figure' | 'waits'
  /** Epoch s; null where a joint is not home or has no figure. */
  readyAtS: number | null
  /** The joint that is not home, or has no figure. */
  heldBy: GlanceJoint | null
  /** When its joints that are home are ready, epoch s: the section is not before that. Null: none is, or has no figure. */
  notBeforeS: number | null
  /** Joints of it that are not home. */
  left: number
  /** In whose name the test runs. */
  tester: string | null
}
/** Something that joints or devices in use ask for, as a glance names it. */
export interface GlanceCare {
  /** Names it among the job's. */
  key: string
  sectionId: string
  tag: string
  does: Msg
  /** What it is done to: a device by its name, or so many joints. */
  device: string | null
  joints: number
  /** YYYY-MM-DD, where the job is. */
  dueOn: string
}
/** What matters of a job to who looks over all of theirs: right until its log grows, with the clock read by who looks. */
export interface Glance {
  zone: string
  school: 'metric' | 'inch'
  site: string | null
  customer: string | null
  /** When its work was said to be done, epoch s; null while it goes on. */
  closedAtS: number | null
  lines: number
  joints: { all: number; home: number }
  /** Failed and still in the line. */
  failed: readonly GlanceJoint[]
  /** Begun and not home, the latest worked on first. */
  begun: readonly GlanceJoint[]
  clocks: readonly (GlanceJoint & OpenClock)[]
  sections: readonly GlanceSection[]
  /** Tools that somebody found not good. */
  toolsNotGood: readonly string[]
  /** What sections in use ask for on a day, the first due first. */
  upkeep: readonly GlanceCare[]
}
/** A glance names so many of a kind. */
const MOST = 24

const handsOf = (facts: JointFacts): string[] => [...new Set(facts.life?.done.map((done) => done.by) ?? [])]
const named = (facts: JointFacts): GlanceJoint => ({
  jointId: facts.id,
  tag: facts.tag,
  hands: handsOf(facts),
})
const lastWorkedS = (facts: JointFacts): number => facts.life?.done.at(-1)?.latestS ?? 0

/** Those of a task that are due on its first day. */
function careSeen({ key, section, does, device, items, dueOn }: CareTask): GlanceCare[] {
  if (dueOn === null) return []
  const joints = items.filter((item) => item.joint && item.dueOn === dueOn).length
  const { id: sectionId, tag } = section
  return [{ key, sectionId, tag, does: does.does, device: device?.name ?? null, joints, dueOn }]
}
function sectionSeen(
  state: JobState,
  id: string,
  nowS: number,
  facts: ReadonlyMap<string, JointFacts>,
): GlanceSection | null {
  const answer = sectionAnswer(state, id, nowS, 'coldest', facts)
  if (!answer) return null
  const { section, joints, lastTest, readyAtS } = answer
  const unmade = joints.find((joint) => joint.facts.homeAtS === null)
  const unsaid = joints.find((joint) => joint.readyAtS === null)
  const stage = (): GlanceSection['stage'] => {
    if (answer.proved) return 'proved'
    if (!joints.length) return 'empty'
    if (lastTest && !lastTest.ended) return 'runs'
    if (unmade) return 'unmade'
    if (lastTest?.ended?.verdict === 'lost') return 'lost'
    return readyAtS === null ? 'no-figure' : 'waits'
  }
  const held = unmade ?? unsaid
  const homeReadyS = joints.flatMap((joint) => (joint.facts.homeAtS === null ? [] : [joint.readyAtS]))
  const known = homeReadyS.filter((atS): atS is number => atS !== null)
  return {
    id,
    tag: section.tag,
    testBar: section.testBar,
    stage: stage(),
    readyAtS,
    notBeforeS: known.length && known.length === homeReadyS.length ? greatest(known) : null,
    left: joints.filter((joint) => joint.facts.homeAtS === null).length,
    heldBy: held ? named(held.facts) : null,
    tester: lastTest && !lastTest.ended ? lastTest.tester : null,
  }
}

/**
 * A job at a glance. @param nowS epoch s: by which conditions joints not yet begun are seen, and which clocks have ended.
 */
export function glanceOf(state: JobState, nowS: number): Glance {
  const known = allFacts(state, nowS)
  const all = [...known.values()].sort((one, other) => tagOrder(one.tag, other.tag))
  const clocks = nearestFirst(
    all.flatMap((facts) => openClocks(facts, nowS).map((open) => ({ ...named(facts), ...open }))),
    nowS,
  )
  return {
    zone: state.job.zone,
    school: state.job.school,
    site: state.job.site ?? null,
    customer: state.job.customer ?? null,
    closedAtS: state.job.closed?.atS ?? null,
    lines: state.lines.size,
    joints: { all: all.length, home: all.filter((facts) => facts.homeAtS !== null).length },
    failed: all
      .filter((facts) => facts.inspection?.verdict === 'fail')
      .slice(0, MOST)
      .map(named),
    begun: all
      .filter((facts) => facts.life?.done.length && facts.homeAtS === null)
      .sort((one, other) => lastWorkedS(other) - lastWorkedS(one))
      .slice(0, MOST)
      .map(named),
    clocks: clocks.slice(0, MOST),
    sections: [...state.sections.keys()]
      .flatMap((id) => sectionSeen(state, id, nowS, known) ?? [])
      .sort((one, other) => tagOrder(one.tag, other.tag)),
    toolsNotGood: [...state.store.values()]
      .filter((tool) => tool.proofs.at(-1)?.good === false)
      .map((tool) => tool.name)
      .slice(0, MOST),
    upkeep: upkeepOf(state, known).flatMap(careSeen).slice(0, MOST),
  }
}
