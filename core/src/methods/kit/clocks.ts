import { type Fig, type Msg, fig, msg } from '../../sources/source.js'
import type { Clock, Done, Life } from '../method.js'

/** A clock as a method writes it down. Windows run from the earliest possible moment, the rest from the latest. */
export interface ClockDef {
  id: string
  /** The step that starts it; done again, it starts again. */
  step: string
  kind: Clock['kind']
  shows: Clock['shows']
  lastsS: Fig
  /** Steps that end it: for windows, what must be done in time; for the rest, none is needed. */
  stoppedBy?: readonly string[]
  backTo: string | 'cut-out'
  why?: readonly Msg[]
}

/** Running and finished clocks of one life. Words: clock-, miss- + key + id. */
export function clocksOf(key: string, defs: readonly ClockDef[], life: Life): Clock[] {
  return defs.flatMap((d) => {
    const at = life.done.findLastIndex((x) => x.step === d.step)
    if (at < 0) return []
    const start = life.done[at] as Done
    const stop = life.done.slice(at + 1).find((x) => d.stoppedBy?.includes(x.step))
    const fromS = d.kind === 'window' ? start.earliestS : start.latestS
    const { lastsS } = d
    return [
      {
        id: d.id,
        step: d.step,
        kind: d.kind,
        label: msg(`clock-${key}-${d.id}`),
        shows: d.shows,
        fromS,
        untilS: lastsS.value === null ? lastsS : fig(fromS + lastsS.value, lastsS.source),
        ...(stop ? { stoppedAtS: stop.latestS } : {}),
        onMiss: { backTo: d.backTo, say: msg(`miss-${key}-${d.id}`) },
        why: d.why ?? [],
      },
    ]
  })
}
