import type { JointFacts } from '../joint/assess.js'
import type { Clock } from '../methods/method.js'

export interface OpenClock {
  clock: Clock
  /** before: something is lost when it ends. until: nothing is lost when late. */
  kind: 'before' | 'until'
}
/** Clocks of a joint that run at a time, epoch s; a window that nobody stopped runs on past its end. */
export const openClocks = (facts: JointFacts, nowS: number): OpenClock[] =>
  facts.clocks.flatMap((clock): OpenClock[] => {
    const untilS = clock.untilS.value
    if (clock.kind === 'window') return clock.stoppedAtS === undefined ? [{ clock, kind: 'before' }] : []
    return untilS === null || untilS <= nowS ? [] : [{ clock, kind: 'until' }]
  })

/** How near a clock is to losing something: a window that has ended, a window, a hold, then the others. */
export const dangerOf = ({ clock, kind }: OpenClock, nowS: number): number =>
  kind === 'before' ? ((clock.untilS.value ?? nowS) < nowS ? 0 : 1) : clock.shows === 'hold' ? 2 : 3

/** Clocks with the nearest danger first, then by time. @param nowS epoch s. */
export const nearestFirst = <Open extends OpenClock>(clocks: readonly Open[], nowS: number): Open[] =>
  [...clocks].sort(
    (one, other) =>
      dangerOf(one, nowS) - dangerOf(other, nowS) ||
      (one.clock.untilS.value ?? nowS) - (other.clock.untilS.value ?? nowS),
  )
