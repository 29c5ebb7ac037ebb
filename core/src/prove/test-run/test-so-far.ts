import type { Msg } from '../../methods/method.js'
import { msg } from '../../sources/source.js'
import { type JointFacts, jointFacts } from '../../joint/assess.js'
import { wasWrong } from '../../joint/standing.js'
import type { JobState, Section, TestRun } from '../../log/state.js'
import type { SectionAnswer } from '../test-plan/answer.js'
import { judgeSeries, type Judgement } from '../verdict/judge.js'
import { limitsOf } from '../test-plan/limits.js'
import { isGaugeOf } from '../../store/recall.js'
import { planOf } from '../test-plan/section-plan.js'
import { contentsOf, physicsOf } from '../test-plan/section.js'
import { growthPerK, stretchPerBar, stuffOf } from '../verdict/physics/pipe.js'
import { trappedBar } from '../verdict/physics/trapped.js'
import { type TestSeries, barAt } from '../verdict/series.js'
import { overWeakest } from '../test-plan/over-pressure.js'
import { heldPart } from '../test-plan/stages.js'
import { stopsForTest } from './admit.js'

/** A test's readings as the verdict takes them: those of the stage that is judged, times from the first. */
export function seriesOf(state: JobState, run: TestRun): TestSeries {
  const test = heldPart(run)
  const section = state.sections.get(test.sectionId)
  const physics = test.physics ??
    (section ? physicsOf(state, section) : null) ?? {
      pipeMaterial: '',
      odMm: null,
      wallMm: null,
      axial: null,
      airPct: null,
      volumeM3: null,
    }
  const firstS = test.readings[0]?.atS ?? test.begunAtS
  const holdS = heldForS(test, firstS)
  return {
    ...physics,
    medium: test.medium,
    resolutionBar: test.resolutionBar,
    sensorErrorBar: test.sensorErrorBar,
    temperatureOf: test.temperatureOf,
    readings: test.readings.map((reading) => ({
      tS: reading.atS - firstS,
      pressureBar: reading.bar,
      temperatureC: reading.temperatureC,
    })),
    stabiliseS: test.stabiliseS,
    holdS,
    allowedDropBar: test.allowedDropBar,
  }
}

/** A gauge that a person reads is read so much after the hold is over, as a share of the hold, and at most, s. */
const CLOSES = { share: 0.1, mostS: 300, leastS: 15 }
/**
 * How long the hold lasted, s: as long as it must; where a person read the gauge, to the reading that closed it. The
 * longer hold is the harder one.
 */
function heldForS(test: TestRun, firstS: number): number {
  const endS = firstS + test.stabiliseS + test.holdS
  const closing = test.readings.find((r) => r.atS >= endS)
  const slackS = Math.max(CLOSES.leastS, Math.min(CLOSES.mostS, CLOSES.share * test.holdS))
  return closing?.typed && closing.atS - endS <= slackS ? closing.atS - firstS - test.stabiliseS : test.holdS
}

/** What of the hold is still to come when the last reading was taken: less than a reading's distance counts as over, s. */
function leftS(series: TestSeries): number {
  const last = series.readings.at(-1)?.tS ?? 0
  const between =
    series.readings.length > 1 ? (last - (series.readings[0]?.tS ?? 0)) / (series.readings.length - 1) : 0
  const left = series.stabiliseS + series.holdS - last
  return left > Math.max(1, Math.min(between, series.holdS / 10)) ? Math.ceil(left) : 0
}
/**
 * The verdict of a test as it stands. A leak that was seen is lost, whatever the gauge says; a hold that is not over is
 * not held yet. @param series its readings, where they are at hand.
 */
export function judgeRun(state: JobState, test: TestRun, series = seriesOf(state, test)): Judgement {
  const judgement = judgeSeries(series)
  if (test.leaks.length) return { ...judgement, verdict: 'lost', cause: null, moreTimeS: 0 }
  const left = leftS(series)
  return judgement.verdict === 'held' && left > 0
    ? { ...judgement, verdict: 'inconclusive', cause: 'short', moreTimeS: left }
    : judgement
}

export interface Suspect {
  jointId: string
  tag: string
  why: Msg
}
/** Joints to look at first when a section lost pressure: never tested, judged with a finding, made last, same tool or tin. */
export function lookFirst(state: JobState, answer: SectionAnswer): Suspect[] {
  const earlier = [...state.tests.values()].filter(
    (t) => t.sectionId === answer.section.id && t.ended?.verdict === 'held',
  )
  const scored = answer.joints.map((joint) => {
    const facts = joint.facts
    const madeS = facts.homeAtS ?? 0
    const tested = earlier.some((t) => madeS < t.begunAtS)
    const marginal = (facts.inspection?.findings.length ?? 0) > 0 || facts.inspection?.verdict !== 'pass'
    const remade = facts.past.length > 0
    const fromMemory = facts.life?.done.some((d) => d.fromMemory) ?? false
    const untested = earlier.length > 0 && !tested
    const reasons = [
      [marginal, 'suspect-marginal'],
      [fromMemory, 'suspect-memory'],
      [remade, 'suspect-remade'],
      [untested, 'suspect-untested'],
    ] as const
    const why = msg(reasons.find(([is]) => is)?.[1] ?? 'suspect-late')
    const score = (marginal ? 8 : 0) + (untested ? 4 : 0) + (fromMemory ? 2 : 0) + (remade ? 1 : 0)
    return { jointId: facts.id, tag: facts.tag, why, score, madeS }
  })
  return scored
    .sort((a, b) => b.score - a.score || b.madeS - a.madeS)
    .slice(0, 5)
    .map(({ jointId, tag, why }) => ({ jointId, tag, why }))
}

const LATE: ReadonlySet<string> = new Set(['stop-not-cured', 'stop-no-figure'])
/** Was anything done at a joint after a time, epoch s: a step, or that it was cut out? */
const workedSince = ({ past, life }: JointFacts, sinceS: number): boolean =>
  [...past, ...(life ? [life] : [])].some(
    ({ done, cutOutAtS }) => (cutOutAtS ?? 0) > sinceS || done.some(({ latestS }) => latestS > sinceS),
  )

/**
 * What came to light after a test was sealed and would have stopped it: readings or entries that arrived late, and
 * work since. The verdict stands; this is printed beside it.
 */
export function flagsOf(state: JobState, test: TestRun): Msg[] {
  if (!test.ended) return []
  const section = state.sections.get(test.sectionId)
  if (!section) return []
  const out: Msg[] = []
  for (const { entries } of state.brought) out.push(msg('flag-brought', { entries }))
  const over = overWeakest(state, test)
  if (over)
    out.push(
      msg('flag-above-weakest', { bar: over.bar, name: over.limit.name, limitBar: over.limit.atGaugeBar }),
    )
  for (const id of section.jointIds) {
    const facts = jointFacts(state, id, 'coldest', test.begunAtS)
    if (!facts) continue
    if (facts.homeAtS === null || facts.homeAtS > test.begunAtS)
      out.push(
        msg(workedSince(facts, test.begunAtS) ? 'flag-work-since' : 'flag-not-made', { joint: facts.tag }),
      )
  }
  const during = { fromS: test.begunAtS, toS: test.ended.atS }
  for (const item of state.store.values())
    if (isGaugeOf(item, test))
      for (const found of item.found)
        if (wasWrong(item, found, during, state.job.zone))
          out.push(msg('flag-gauge-wrong', { gauge: item.name, says: found.says }))
  const set = new Set(test.setAside.map((s) => s.code))
  const then = stopsForTest(state, section.id, test.bar, test.medium, test.begunAtS).filter(
    (s) => LATE.has(s.code) && !set.has(s.code),
  )
  for (const says of then) out.push(msg('flag-cold-since', { joint: String(says.params.joint ?? '') }))
  return out
}

export interface TrappedWarning {
  /** Pressure it would come to, bar. */
  bar: number
  warmC: number
  limitBar: number
  limitName: string
}
/**
 * A line shut in full of water before it warms: the pressure it comes to, and what it may take. Null where nothing
 * threatens, or what would be needed is not known. @param nowC wall now. @param warmC warmest expected.
 */
export function trappedWarning(
  state: JobState,
  section: Section,
  nowBar: number,
  nowC: number,
  warmC: number,
): TrappedWarning | null {
  const plan = planOf(section)
  const first = contentsOf(state, section).runs[0]
  const stuff = first ? stuffOf(first.material) : null
  if (plan.medium !== 'water' || !first || !stuff || first.odMm === null || first.wallMm === null) return null
  const axial = plan.axial ?? 'free'
  const bar = trappedBar(
    {
      bar: nowBar,
      waterC: nowC,
      pipeC: nowC,
      air: (plan.airPct ?? 0) / 100,
      growthPerK: growthPerK(stuff, axial),
      stretchPerBar: stretchPerBar(stuff, first.odMm, first.wallMm, axial),
    },
    warmC,
    warmC,
  )
  const limit = limitsOf(state, section)[0]
  const limitBar = Math.min(limit?.atGaugeBar ?? Infinity, Math.max(section.testBar, nowBar))
  if (bar <= limitBar) return null
  return { bar, warmC, limitBar, limitName: limit?.name ?? section.tag }
}

/** Pressure as it would be had the temperature stayed: for the chart. Times from the first reading. */
export function correctedCourse(series: TestSeries, judgement: Judgement): { tS: number; bar: number }[] {
  return judgement.course
    ? judgement.course.tS.map((tS, i) => ({
        tS,
        bar: barAt(series.readings, tS) - (judgement.course?.bar[i] ?? 0),
      }))
    : []
}
