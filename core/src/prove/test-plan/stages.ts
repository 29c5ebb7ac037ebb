import type { TestRun } from '../../log/state.js'

type Stage = TestRun['stages'][number]
/** The stage a test is in. */
export interface StageNow {
  index: number
  of: number
  stage: Stage
  /** What is to be done with the pressure; `stay` once it has come to the stage's. */
  to: 'raise' | 'lower' | 'stay'
  /** Since when the pressure of the stage is there by the readings, epoch seconds; null = not yet. */
  reachedAtS: number | null
  /** When its least time is over; null while its pressure is not there, or where the rule names no time. */
  untilS: number | null
}

/** The stage that is judged: the last one called a hold; the first where none is. */
export const heldStage = (test: TestRun): number =>
  Math.max(
    0,
    test.stages.findLastIndex((s) => s.name === 'hold'),
  )
/** Entries of one device reach the log with times that differ by its sendings: so much before counts as after, s. */
const SLACK_S = 2
const signedAt = (test: TestRun, stage: number): number | null =>
  test.stagesDone.find((d) => d.stage === stage)?.atS ?? null

/**
 * What a test of several stages asks for now: the first one that nobody has signed. A pressure counts as reached when
 * a reading comes within what the gauge can tell of it. Null where there is but one stage, and after the last.
 */
export function stageNow(test: TestRun): StageNow | null {
  if (test.stages.length < 2 || test.ended) return null
  const index = test.stages.findIndex((_, i) => signedAt(test, i) === null)
  const stage = test.stages[index]
  if (!stage) return null
  const sinceS = index ? (signedAt(test, index - 1) ?? test.begunAtS) : test.begunAtS
  const beforeBar = index ? (test.stages[index - 1] as Stage).bar : 0
  const down = beforeBar > stage.bar
  const there = (bar: number): boolean =>
    down ? bar <= stage.bar + test.resolutionBar : bar >= stage.bar - test.resolutionBar
  const first = test.readings.find((r) => r.atS >= sinceS - SLACK_S && there(r.bar))
  const reachedAtS = first ? Math.max(first.atS, sinceS) : null
  return {
    index,
    of: test.stages.length,
    stage,
    to: reachedAtS !== null || beforeBar === stage.bar ? 'stay' : down ? 'lower' : 'raise',
    reachedAtS,
    untilS: reachedAtS !== null && stage.holdS > 0 ? reachedAtS + stage.holdS : null,
  }
}

/**
 * A test with the readings of the stage that is judged alone: the pressure is raised and let down before and after.
 * Where nobody signed stages all readings count.
 */
export function heldPart(test: TestRun): TestRun {
  if (test.stages.length < 2 || !test.stagesDone.length) return test
  const at = heldStage(test)
  const fromS = at ? (signedAt(test, at - 1) ?? Infinity) : -Infinity
  const toS = signedAt(test, at) ?? Infinity
  const { bar } = test.stages[at] as Stage
  const inside = test.readings.filter((r) => r.atS >= fromS - SLACK_S && r.atS <= toS)
  // It begins when its pressure is there: what is read while it is pumped up or let down to it is not held.
  const down = at > 0 && (test.stages[at - 1] as Stage).bar > bar
  const first = inside.findIndex((reading) =>
    down ? reading.bar <= bar + test.resolutionBar : reading.bar >= bar - test.resolutionBar,
  )
  return { ...test, readings: first < 0 ? [] : inside.slice(first) }
}
/** Stages that nobody signed, once some were: an ended test is looked at with them in view. */
export const openStages = (test: TestRun): Stage[] =>
  test.stagesDone.length ? test.stages.filter((_, i) => signedAt(test, i) === null) : []
