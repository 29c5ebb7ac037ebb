import { num, str } from '../log/fold-help.js'
import type { JobEvent } from '../log/events.js'
import { standingEvents } from '../log/fold.js'
import { dayOf } from '../units/zone.js'
import type { Life } from '../methods/method.js'
import type { JointFacts } from './assess.js'

/** How many joints were made, and of those that were judged how many were right the first time. */
export interface MadeBy {
  /** Way of joining, or person, by its id. */
  of: string
  /** Times a joint was made, again too. */
  made: number
  /** Joints whose first making was judged, or cut out for what was wrong with it. */
  judged: number
  right: number
}
/** How the making went. */
export interface Making {
  all: MadeBy
  byMethod: readonly MadeBy[]
  /** By whoever brought the joint home. */
  byPerson: readonly MadeBy[]
  /** Why joints were cut out, as written, and how often; what was written most often stands first. */
  causes: readonly { says: string; times: number }[]
  /** Joints made a day, YYYY-MM-DD, and how many of those were made again; days without any are left out. */
  days: readonly { on: string; made: number; again: number }[]
}
/** What was written when a life of a joint was cut out. */
interface OutOf {
  says: string
  /** It was good, and came out with another. */
  withOther: boolean
}
const keyOf = (jointId: string, life: number): string => `${jointId} ${life}`
function cutOuts(entries: readonly JobEvent[]): ReadonlyMap<string, OutOf> {
  const out = new Map<string, OutOf>()
  for (const event of entries) {
    if (event.kind !== 'cut-out' || event.jointId === null) continue
    const key = keyOf(event.jointId, num(event.data.life) ?? 1)
    // The first one counts.
    if (!out.has(key))
      out.set(key, { says: str(event.data.reason).trim(), withOther: str(event.data.outWith) !== '' })
  }
  return out
}
/** The step that brought a life home; null where it was not. */
function homeOf(facts: JointFacts, life: Life): { by: string; atS: number } | null {
  const step = facts.steps.find(({ reaches }) => reaches === 'made')?.id
  const done = life.done.findLast((one) => one.step === step)
  return done ? { by: done.by, atS: done.latestS } : null
}
/** Was the first making of a joint right? null where nobody can say yet. */
function rightAtOnce(facts: JointFacts, outs: ReadonlyMap<string, OutOf>): boolean | null {
  const first = facts.past[0] ?? facts.life
  if (!first || first.no !== 1) return null
  if (first.cutOutAtS !== undefined) return outs.get(keyOf(facts.id, 1))?.withOther ? null : false
  const verdict = facts.inspection?.verdict
  return verdict === 'pass' ? true : verdict === 'fail' ? false : null
}
class Tally {
  private readonly rows = new Map<string, MadeBy>()
  at(of: string): MadeBy {
    let row = this.rows.get(of)
    if (!row) this.rows.set(of, (row = { of, made: 0, judged: 0, right: 0 }))
    return row
  }
  list(): MadeBy[] {
    return [...this.rows.values()].sort(
      (one, other) => other.made - one.made || one.of.localeCompare(other.of),
    )
  }
}

/**
 * How the making of joints went: right the first time, why some were cut out, how many a day.
 * @param entries the log as written; those that were taken back are left out. @param joints those it is about.
 * @param zone whose days they are. @param only a person: nothing but what this one brought home.
 */
export function makingOf(
  entries: readonly JobEvent[],
  joints: Iterable<JointFacts>,
  zone: string,
  only?: string,
): Making {
  const outs = cutOuts(standingEvents(entries))
  const [methods, people] = [new Tally(), new Tally()]
  const all: MadeBy = { of: '', made: 0, judged: 0, right: 0 }
  const days = new Map<string, { made: number; again: number }>()
  const causes = new Map<string, number>()
  for (const facts of joints) {
    const right = rightAtOnce(facts, outs)
    for (const life of [...facts.past, ...(facts.life ? [facts.life] : [])]) {
      const home = homeOf(facts, life)
      if (!home || (only !== undefined && home.by !== only)) continue
      for (const row of [all, methods.at(facts.place.way.method), people.at(home.by)]) {
        row.made++
        if (life.no !== 1 || right === null) continue
        row.judged++
        if (right) row.right++
      }
      const on = dayOf(home.atS, zone)
      const day = days.get(on) ?? { made: 0, again: 0 }
      days.set(on, { made: day.made + 1, again: day.again + (life.no > 1 ? 1 : 0) })
      const out = outs.get(keyOf(facts.id, life.no))
      if (out && !out.withOther) causes.set(out.says, (causes.get(out.says) ?? 0) + 1)
    }
  }
  return {
    all,
    byMethod: methods.list(),
    byPerson: people.list(),
    causes: [...causes]
      .map(([says, times]) => ({ says, times }))
      .sort((one, other) => other.times - one.times || one.says.localeCompare(other.says)),
    days: [...days].map(([on, day]) => ({ on, ...day })).sort((one, other) => one.on.localeCompare(other.on)),
  }
}
