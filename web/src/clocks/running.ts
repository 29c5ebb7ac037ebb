import type { Clock, JointFacts, JointLook } from '@jugalis/core'

export interface Running {
  key: string
  jointId: string
  tag: string
  clock: Clock
  /** before: something is lost when it ends. until: nothing is lost when late. */
  kind: 'before' | 'until'
  /** Seconds left; negative = late; null = no figure. */
  leftS: number | null
  totalS: number
  look: JointLook | undefined
}

/** Clocks that run now, nearest danger first: late windows, windows, holds, then untils by time. */
export function runningClocks(
  facts: Iterable<JointFacts>,
  looks: ReadonlyMap<string, JointLook>,
  nowS: number,
): Running[] {
  const out: Running[] = []
  for (const joint of facts)
    for (const clock of joint.clocks) {
      const untilS = clock.untilS.value
      const window = clock.kind === 'window'
      if (window ? clock.stoppedAtS !== undefined : untilS === null || untilS <= nowS) continue
      out.push({
        key: `${joint.id} ${clock.id}`,
        jointId: joint.id,
        tag: joint.tag,
        clock,
        kind: window ? 'before' : 'until',
        leftS: untilS === null ? null : untilS - nowS,
        totalS: untilS === null ? 1 : Math.max(1, untilS - clock.fromS),
        look: looks.get(joint.id),
      })
    }
  const rank = (running: Running): number =>
    running.kind === 'before' ? ((running.leftS ?? 0) < 0 ? 0 : 1) : running.clock.shows === 'hold' ? 2 : 3
  return out.sort((a, b) => rank(a) - rank(b) || (a.leftS ?? 0) - (b.leftS ?? 0))
}

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
