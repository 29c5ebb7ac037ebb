import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { median } from '../../units/extent.js'
import type { JointFacts } from '../../joint/assess.js'

/** How long a joint takes one crew, seconds, and where that comes from. */
export interface WorkTime {
  workS: number
  from: 'practice' | 'said' | 'measured'
  /** Of how many it was measured, and between which times half of them lie, seconds. */
  measured?: { count: number; lowS: number; highS: number }
}
const FEWEST = 5
const MINUTE_S = 60
/** Nobody works on one joint for longer without going away in between. */
const LONGEST_S = 8 * 3600
const quarter = (sorted: readonly number[], part: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(part * (sorted.length - 1))))] as number
const upToMinute = (seconds: number): number => Math.max(MINUTE_S, Math.ceil(seconds / MINUTE_S) * MINUTE_S)

/** What joints of one way and size took in this job, from the first step to home: where there are five alike. */
export function measuredTimes(all: Iterable<JointFacts>): ReadonlyMap<string, WorkTime> {
  const took = new Map<string, number[]>()
  for (const facts of all) {
    const first = facts.life?.done[0]
    if (!first || facts.homeAtS === null) continue
    // What was told from memory, or in one entry, is no measure of time.
    if (facts.life?.done.some((done) => done.fromMemory)) continue
    const lastedS = facts.homeAtS - first.earliestS
    if (lastedS < MINUTE_S || lastedS > LONGEST_S) continue
    const key = alikeKey(facts)
    took.set(key, [...(took.get(key) ?? []), lastedS])
  }
  return new Map(
    [...took].flatMap(([key, times]): [string, WorkTime][] => {
      if (times.length < FEWEST) return []
      const sorted = [...times].sort((a, b) => a - b)
      const measured = { count: times.length, lowS: quarter(sorted, 0.25), highS: quarter(sorted, 0.75) }
      return [[key, { workS: upToMinute(median(times)), from: 'measured', measured }]]
    }),
  )
}
/** Joints of one way and size take alike. */
export const alikeKey = (facts: JointFacts): string => `${facts.place.way.method} ${facts.place.way.size}`

/** How long a joint takes: as somebody said of its way, as it was measured here, or ours by common practice. */
export function workTimeOf(
  facts: JointFacts,
  said: ReadonlyMap<string, number>,
  measured: ReadonlyMap<string, WorkTime>,
): WorkTime {
  const own = said.get(facts.place.way.method)
  if (own !== undefined) return { workS: upToMinute(own * MINUTE_S), from: 'said' }
  const seen = measured.get(alikeKey(facts))
  if (seen) return seen
  const size = parseSize(facts.place.way.size)
  const odMm = size ? (outsideDiameterMm(size) ?? 0) : 0
  const { minutes, perMm } = facts.method?.works ?? { minutes: 15, perMm: 0 }
  return { workS: upToMinute((minutes + perMm * odMm) * MINUTE_S), from: 'practice' }
}
/** How many people its steps ask for at one time. */
export const handsOf = (facts: JointFacts): number =>
  facts.steps.reduce((most, step) => Math.max(most, step.people.value ?? 1), 1)

/** Times of work of every way and size that stands in a job, those that nobody said: ours, or as measured. */
export function workTimesOf(
  facts: ReadonlyMap<string, JointFacts>,
): { method: string; sizes: { size: string; time: WorkTime }[] }[] {
  const measured = measuredTimes(facts.values())
  const out = new Map<string, Map<string, WorkTime>>()
  for (const one of facts.values()) {
    const { method, size } = one.place.way
    const own = out.get(method) ?? new Map<string, WorkTime>()
    out.set(method, own)
    if (!own.has(size)) own.set(size, workTimeOf(one, NOTHING_SAID, measured))
  }
  return [...out].map(([method, sizes]) => ({
    method,
    sizes: [...sizes].map(([size, time]) => ({ size, time })),
  }))
}
const NOTHING_SAID: ReadonlyMap<string, number> = new Map()
