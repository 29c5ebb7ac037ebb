import type { Finding, Life } from '../methods/method.js'
import type { School } from '../methods/joinable.js'
import { type Act, type GivenAct, type How, givenActs, howOf, spoil, usualActs } from './acts.js'
import type { FaultDef, Made, Site } from '../bench/bench.js'
import { type Cause, causesOf } from './blame.js'
import type { OnBench } from './laid.js'
import { triedToBar } from './tried.js'

export interface PracticeQuestion {
  material: string
  size: string
  school: School
  schedule?: string | null
  /** Fields of the method; else the bench's. */
  details?: Readonly<Record<string, unknown>> | null
  site: Site
  seed: number
  spoil?: readonly { fault: string; amount: number }[] | null
  did?: readonly GivenAct[] | null
}
export interface PracticeAnswer {
  details: Readonly<Record<string, unknown>>
  did: readonly Act[]
  faults: readonly { fault: string; step: string }[]
  seen: readonly string[]
  readings: Readonly<Record<string, Readonly<Record<string, number | string>>>>
  verdict: 'pass' | 'fail' | 'unknown'
  findings: readonly Finding[]
  weepsAtBar: number | null
  burstsAtBar: number | null
  triedToBar: number
  holdsOf: number
  causes: readonly Cause[]
  cut: Made['cut']
}
/** What was done, step by step, with what was to be spoilt. */
export function actsOf(laid: OnBench, question: Pick<PracticeQuestion, 'spoil' | 'did'>): Act[] {
  const acts = question.did ? givenActs(laid.play, question.did) : usualActs(laid.play)
  return (question.spoil ?? []).reduce(
    (done, { fault, amount }) => spoil(laid.play, done, laid.faults[fault] as FaultDef, amount),
    acts,
  )
}

/** A joint's life as its log would have it: what was done when, and what was read of it afterwards. */
export function lifeOf(acts: readonly Act[], readings: Made['readings']): Life {
  return {
    no: 1,
    interrupted: [],
    done: acts.map((act, i) => ({
      eventId: `practice-${i}`,
      step: act.step,
      earliestS: act.atS,
      latestS: act.atS,
      // What is read is read once: when the step was done last.
      readings: acts.findLastIndex((a) => a.step === act.step) === i ? (readings[act.step] ?? {}) : {},
      by: 'practice',
    })),
  }
}

type Readings = PracticeAnswer['readings']
/** What was read of the steps that were done: one that was never done was never read. */
const readOf = (all: Made['readings'], done: ReadonlySet<string>): Readings =>
  Object.fromEntries(
    Object.entries(all).flatMap(([step, fields]) => {
      const read = Object.entries(fields).filter((x): x is [string, number | string] => x[1] !== undefined)
      return done.has(step) && read.length ? [[step, Object.fromEntries(read)]] : []
    }),
  )

/**
 * Makes a joint on the bench, looks at it, puts pressure on it and cuts it open. The same question has the same answer.
 * Pressures bar, times s, lengths mm. Sources: `practice-model`, and the constants that docs/practice.md names.
 */
export function practiceRun(laid: OnBench, question: PracticeQuestion): PracticeAnswer {
  const { method, spec, ctx, play, usual, faults } = laid
  const room = { site: question.site, chance: play.chance }
  const made = (how: How): Made => method.bench.play(spec, how as never, room)
  const acts = actsOf(laid, question)
  const how = howOf(play, acts, usual)
  const sound = howOf(play, usualActs(play), usual)
  const joint = made(how)
  const soundBar = made(sound).weepsBar
  const readings = readOf(joint.readings, new Set(acts.map((a) => a.step)))
  const inspection = method.inspection(spec, lifeOf(acts, readings), ctx)
  const triedTo = triedToBar(question)
  const upTo = (bar: number): number | null => (bar > triedTo ? null : bar)
  return {
    details: laid.details,
    did: acts,
    faults: Object.entries(faults).map(([fault, { step }]) => ({ fault, step })),
    seen: joint.seen,
    readings,
    verdict: inspection.verdict,
    findings: inspection.findings,
    weepsAtBar: upTo(joint.weepsBar),
    burstsAtBar: upTo(Math.max(joint.weepsBar, joint.burstsBar)),
    triedToBar: triedTo,
    holdsOf: Math.min(1, joint.weepsBar / soundBar),
    causes: causesOf(play, faults, sound, how, acts, (h) => made(h).weepsBar),
    cut: joint.cut,
  }
}
