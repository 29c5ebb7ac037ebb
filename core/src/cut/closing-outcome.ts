import { closingFinding } from './closing.js'
import { type JobState, type Line, takeOffKey } from '../log/state.js'
import type { Fig, Finding } from '../sources/source.js'
import { linesWith } from '../parts/met.js'
import { pieceCut, takeOffFor, takeOffOf } from '../line/piece.js'
import { type Cursor, placeTexts } from '../line/place.js'
import type { Shop } from '../line/settle.js'
import { lineInSpace } from '../line/space/in-job.js'

/** What closing a line so comes to. */
export interface ClosingOutcome {
  /** Its pieces in order, with what each is cut to. */
  cuts: { tag: string; cutMm: Fig }[]
  /** Whether the last of them can be got in, and which way; null while a depth is not known. */
  getsIn: Finding | null
  /** How much it may be wrong at the end, by what measures err on the way round, mm; null where it does not come back. */
  mayErrMm: number | null
}
/**
 * What a line would be, closed by some entries: tried on a copy of the job, in which elbows that nobody measured have the
 * take-off that is thought of. Null where the entries cannot be set out.
 * @param takeOffMm of elbows not measured yet, centre to face.
 */
export function closingOutcome(
  state: JobState,
  line: Line,
  cursor: Cursor,
  entries: readonly string[],
  { takeOffMm, shop }: { takeOffMm: number; shop: Shop },
): ClosingOutcome | null {
  const placed = placeTexts(line, entries, cursor, shop, { units: line.school })
  if (!placed.ok) return null
  const own: Line = { ...line, items: placed.items }
  const had = new Set(line.items.map(({ id }) => id))
  const fresh = own.items.filter(({ id }) => !had.has(id))
  const takeOffs = new Map(state.takeOffs)
  for (const fitting of fresh.filter(({ type }) => type === 'fitting')) {
    const { name, size, size2 } = takeOffFor(fitting, 0)
    if (!takeOffOf(state, fitting))
      takeOffs.set(takeOffKey(name, size, size2), {
        takeOffMm,
        takeOffTo: 'face',
        chart: null,
        by: '',
        atS: state.lastAtS,
      })
  }
  const tried: JobState = { ...state, ...linesWith(state, own), takeOffs }
  const cuts = fresh.filter(({ type }) => type === 'piece').map((item) => pieceCut(tried, own, item))
  const last = cuts.at(-1)
  const closing = lineInSpace(tried, own).closing.find(({ met }) => met.item.id === last?.item.id)
  return {
    cuts: cuts.map(({ item, cutMm }) => ({ tag: item.tag, cutMm })),
    getsIn: last ? closingFinding(last) : null,
    mayErrMm: closing?.expectedMm ?? null,
  }
}
