import { type Fig, type Msg, fig, msg } from '../../sources/source.js'
import type { Clock, Done, Life } from '../method.js'
import { placed } from './words.js'

/** A clock as a method writes it down. Windows run from the earliest possible moment, the rest from the latest. */
export interface ClockDef<S extends string = string, C extends string = string> {
  id: C
  /** The step that starts it; done again, it starts again. */
  step: S
  kind: Clock['kind']
  shows: Clock['shows']
  lastsS: Fig
  /** Steps that end it: for windows, what must be done in time; for the rest, none is needed. */
  stoppedBy?: readonly S[]
  backTo: S | 'cut-out'
  why?: readonly Msg[]
}

/**
 * The entry that starts a clock. Done again, it starts again; two people's entries of one doing are one doing: for a
 * window the earlier counts, for a dwell the later.
 */
function startOf(clock: ClockDef, life: Life): { at: number; done: Done } | null {
  const at = life.done.findLastIndex((x) => x.step === clock.step)
  if (at < 0) return null
  let first = at
  while (first > 0 && life.done[first]?.readings.again !== true && life.done[first - 1]?.step === clock.step)
    first--
  const same = life.done.slice(first, at + 1)
  const done = same.reduce((a, b) =>
    clock.kind === 'window' ? (b.earliestS < a.earliestS ? b : a) : b.latestS > a.latestS ? b : a,
  )
  return { at, done }
}
/** What ended a clock: of two people's entries of one doing the later. */
function stopOf(clock: ClockDef, after: readonly Done[]): Done | null {
  const first = after.findIndex((x) => clock.stoppedBy?.includes(x.step))
  if (first < 0) return null
  const step = (after[first] as Done).step
  const past = after.findIndex((x, i) => i > first && (x.step !== step || x.readings.again === true))
  return after.slice(first, past < 0 ? undefined : past).reduce((a, b) => (b.latestS > a.latestS ? b : a))
}

/** Running and finished clocks of one life. */
export function clocksOf(key: string, defs: readonly (ClockDef | null)[], life: Life): Clock[] {
  return defs.flatMap((clock) => {
    if (!clock) return []
    const found = startOf(clock, life)
    if (!found) return []
    const { at, done: start } = found
    const stop = stopOf(clock, life.done.slice(at + 1))
    const fromS = clock.kind === 'window' ? start.earliestS : start.latestS
    const { lastsS } = clock
    return [
      {
        id: clock.id,
        step: clock.step,
        kind: clock.kind,
        label: msg(placed('runs', key, clock.id)),
        shows: clock.shows,
        fromS,
        untilS: lastsS.value === null ? lastsS : fig(fromS + lastsS.value, lastsS.source),
        ...(stop ? { stoppedAtS: stop.latestS } : {}),
        onMiss: { backTo: clock.backTo, say: msg(placed('missed', key, clock.id)) },
        why: clock.why ?? [],
      },
    ]
  })
}
