import { begunIn } from '../log/begun.js'
import { jointPlaces } from '../joint/lookup.js'
import { type Way, wayOf } from '../joint/way.js'
import { type JobState, type Line, type LineHead, lineHead, withHead } from '../log/state.js'
import { endOf } from '../parts/ends.js'
import type { Met } from '../parts/met.js'
import { type Msg, msg } from '../sources/source.js'
import { pieceCut } from './piece.js'
import { isMade } from './size-entry.js'

/** What a change of a line comes to, before it is made. */
export interface LineChange {
  /** Why it can't be: a size that is not made so. */
  wrong: Msg | null
  /** Tags of joints that are begun and stay as they were. */
  keep: readonly string[]
  /** How many joints are made otherwise from now on. */
  anew: number
  /** Tags of pieces that are cut and no longer fit. */
  recut: readonly string[]
  /** Tags of sections that were proved with it. */
  proved: readonly string[]
}

/** What changes where a line becomes another: worked out on the job as it would be. */
export function lineChange(state: JobState, line: Line, head: LineHead): LineChange {
  const before = [...(line.before ?? []), { head: lineHead(line), begun: begunIn(state, line) }]
  const next: Line = { ...withHead(line, head), before }
  const after: JobState = { ...state, lines: new Map(state.lines).set(line.id, next) }
  const will = jointPlaces(after)
  const told = ({ key: _key, ...way }: Way): string => JSON.stringify(way)
  const own = [...jointPlaces(state).values()].filter(
    (place) => place.line.id === line.id || place.met?.line.id === line.id,
  )
  // As it is, as it will be, and as it would be if it were not begun.
  const ways = own.map((place) => {
    const wanted = wayOf(
      place.line.id === line.id ? next : place.line,
      place.part,
      place.end,
      metAfter(next, place.met),
    )
    return {
      place,
      now: told(place.way),
      then: told(will.get(place.jointId)?.way ?? place.way),
      wanted: told(wanted),
    }
  })
  const anew = ways.filter((w) => w.now !== w.then)
  const keep = ways.filter((w) => w.then !== w.wanted && w.now !== w.wanted)
  const ids = new Set([...anew, ...keep].map((w) => w.place.jointId))
  const held = new Set(
    [...state.tests.values()].flatMap((t) => (t.ended?.verdict === 'held' ? [t.sectionId] : [])),
  )
  return {
    wrong: wrongSize(next),
    keep: keep.map((w) => w.place.tag),
    anew: anew.length,
    recut: line.items
      .filter(
        (item) =>
          item.type === 'piece' &&
          !pieceCut(state, line, item).changedSinceCut &&
          pieceCut(after, next, item).changedSinceCut,
      )
      .map((item) => item.tag),
    proved: [...state.sections.values()]
      .filter((section) => held.has(section.id) && section.jointIds.some((id) => ids.has(id)))
      .map((section) => section.tag),
  }
}
/** What is met, where that is of the line that changes as it will be. */
const metAfter = (next: Line, met: Met | null): Met | null =>
  met?.line.id === next.id ? { ...met, line: next } : met
/** The first size in a line that its pipe is not made in. */
function wrongSize(line: Line): Msg | null {
  for (const item of line.items) {
    const usual = item.type === 'piece' ? !item.ends : endOf(line, item, 0).usual
    if (usual && !item.way && !isMade(line, item.size))
      return msg('edit-line-size', { part: item.tag, size: item.size, material: line.material })
  }
  return null
}
