import { type Clock, type JointFacts, type OpenClock, fmt, nearestFirst, openClocks } from '@jugalis/core'
import { word } from '../words/word'

export interface Running {
  key: string
  jointId: string
  tag: string
  clock: Clock
  kind: OpenClock['kind']
  /** The job it belongs to, where more than the open one is looked at. */
  job?: { jobId: string; name: string }
  /** Seconds left; negative = late; null = no figure. */
  leftS: number | null
  totalS: number
}

/** A clock that runs, as it is drawn. */
export function runningOf(
  joint: { id: string; tag: string },
  { clock, kind }: OpenClock,
  nowS: number,
): Running {
  const untilS = clock.untilS.value
  return {
    key: `${joint.id} ${clock.id}`,
    jointId: joint.id,
    tag: joint.tag,
    clock,
    kind,
    leftS: untilS === null ? null : untilS - nowS,
    totalS: untilS === null ? 1 : Math.max(1, untilS - clock.fromS),
  }
}
/** What a clock shows, in words where it is late or has no figure. */
export const digitsOf = (leftS: number | null): string => {
  if (leftS === null) return word('ui-no-figure')
  return leftS < 0 ? word('clocks-late', { left: fmt.clock(leftS) }) : fmt.clock(leftS)
}
/** Clocks that run now, nearest danger first: late windows, windows, holds, then untils by time. */
export const runningClocks = (facts: Iterable<JointFacts>, nowS: number): Running[] =>
  nearestFirst(
    [...facts].flatMap((joint) => openClocks(joint, nowS).map((open) => runningOf(joint, open, nowS))),
    nowS,
  )

/** A clock that loses something speaks before it ends, too. */
const BEFORE_AT_S = [30, 10, 0]
/** Clocks that came to one of their points between two times. */
export function rung(clocks: readonly Running[], fromS: number, toS: number): Running[] {
  return clocks.filter((running) => {
    const untilS = running.clock.untilS.value
    if (untilS === null) return false
    const points = running.kind === 'before' ? BEFORE_AT_S : [0]
    return points.some((p) => untilS - p > fromS && untilS - p <= toS)
  })
}
