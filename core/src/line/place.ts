import type { Msg } from '../methods/method.js'
import { methodOf } from '../methods/registry.js'
import { msg } from '../sources/source.js'
import { blockEnd, branchSize, hasBranch, neighbours, outlet } from '../joint/neighbours.js'
import type { Item, Line } from '../log/state.js'
import type { Reader } from '../units/quantity.js'
import { type Entry, parseEntry } from './entry.js'
import { type Edited, type Shop, settle } from './settle.js'
import { nextItemTag } from './tags.js'
import type { Code } from '../sources/wording.js'

/** Where the next part goes: after an item of the line (null: at the end of the main run), or into its branch. */
export interface Cursor {
  after: string | null
  branch: boolean
}
export const END: Cursor = { after: null, branch: false }
export type Placed = (Edited & { ok: true; cursor: Cursor }) | { ok: false; why: Msg }
const no = (code: Code, params: Record<string, string | number> = {}): { ok: false; why: Msg } => ({
  ok: false,
  why: msg(code, params),
})

const lastOf = (items: readonly Item[], run: string | null): Item | null =>
  items.findLast((i) => (i.run ?? null) === run) ?? null
/** The item that the next part stands after; null where there is none yet. */
export function standing(line: Line, cursor: Cursor): Item | null {
  const at = cursor.after === null ? null : line.items.find((i) => i.id === cursor.after)
  return at ?? lastOf(line.items, null)
}

/** Places one entry, a cursor move too. */
export function placeEntry(line: Line, entry: Entry & { ok: true }, cursor: Cursor, shop: Shop): Placed {
  switch (entry.type) {
    case 'branch':
      return intoBranch(line, cursor)
    case 'back':
      return backToRun(line, cursor)
    case 'repeat':
      return repeat(line, entry.times, cursor, shop)
    default: {
      const made =
        entry.type === 'piece' ? pieceOf(line, entry, cursor, shop) : fittingOf(line, entry, cursor, shop)
      return made.ok ? put(line, made.item, cursor, shop) : made
    }
  }
}

/** Places entries one after another, as typed: all of them or none. @param reader whose bare figures they are. */
export function placeTexts(
  line: Line,
  texts: readonly string[],
  cursor: Cursor,
  shop: Shop,
  reader: Reader,
): Placed {
  const sizes = methodOf(line.method)?.sizes(line.material) ?? []
  const entries: (Entry & { ok: true })[] = []
  for (const text of texts) {
    const entry = parseEntry(text, reader, sizes)
    if (!entry.ok) return entry
    entries.push(entry)
  }
  return placeAll(line, entries, cursor, shop)
}

/** The line with a new item where the cursor stands. */
function put(line: Line, item: Item, cursor: Cursor, shop: Shop): Placed {
  const after = standing(line, cursor)
  const run = after && (cursor.branch ? after.id : after.run)
  const placed = run ? { ...item, run } : item
  const at = after ? line.items.indexOf(after) : -1
  const where = after === null ? 0 : cursor.branch ? at + 1 : blockEnd(line.items, at)
  const settled = settle(line, line.items.toSpliced(where, 0, placed), shop)
  return settled.ok ? { ...settled, cursor: { after: item.id, branch: false } } : settled
}

/** Size with which the next part begins. */
const sizeHere = (after: Item | null, cursor: Cursor): string | null =>
  after && (cursor.branch ? branchSize(after) : outlet(after))
type Made = { ok: true; item: Item } | { ok: false; why: Msg }
/** A part with nothing said of it yet but its size. */
export const blankItem = (id: string, type: Item['type'], size: string): Item => ({
  id,
  type,
  tag: '',
  size,
  size2: null,
  fitting: null,
  measure: null,
  measuredMm: null,
  joints: [null, null],
  jointTags: [null, null],
  cut: null,
})
const fresh = (line: Line, type: Item['type'], size: string, shop: Shop): Item => ({
  ...blankItem(shop.newId(), type, size),
  tag: nextItemTag(line, line.items, type),
})

function pieceOf(line: Line, entry: Entry & { ok: true; type: 'piece' }, cursor: Cursor, shop: Shop): Made {
  const last = standing(line, cursor)
  if (!last || last.type !== 'fitting') return no('entry-no-fitting')
  return {
    ok: true,
    item: {
      ...fresh(line, 'piece', sizeHere(last, cursor) as string, shop),
      measure: entry.measure,
      measuredMm: entry.measuredMm,
      ...(entry.bend ? { bend: entry.bend } : {}),
      ...(entry.gapMm === undefined ? {} : { gapMm: entry.gapMm }),
    },
  }
}
function fittingOf(
  line: Line,
  entry: Entry & { ok: true; type: 'fitting' },
  cursor: Cursor,
  shop: Shop,
): Made {
  const last = standing(line, cursor)
  const here = sizeHere(last, cursor)
  const size = entry.sizes[0] ?? here
  if (!size) return no('entry-no-size', { fitting: entry.fitting })
  const wrong = [size, ...entry.sizes.slice(1)].find((s) => !isMade(line, s))
  if (wrong) return no('entry-size-unknown', { size: wrong, material: line.material })
  if (last?.type === 'piece' && last.size !== size) return no('entry-sizes-differ', { a: last.size, b: size })
  return {
    ok: true,
    item: {
      ...fresh(line, 'fitting', size, shop),
      ...(entry.tag ? { tag: entry.tag } : {}),
      size2: entry.sizes[1] ?? null,
      fitting: entry.fitting,
    },
  }
}
/** Is this a size of the line's pipe, by the method that joins it? */
export function isMade(line: Line, size: string): boolean {
  const method = methodOf(line.method)
  if (!method) return true
  const { material, school, schedule, details } = line
  return method.parse({ ...details, material, size, school, schedule, checkOffsetMm: 50 }).ok
}

function intoBranch(line: Line, cursor: Cursor): Placed {
  const here = standing(line, cursor)
  // The tee meant is the one that stands here, else the last before it in this run.
  let tee: Item | null = here
  while (tee && !hasBranch(tee)) tee = neighbours(line.items).get(tee.id)?.[0] ?? null
  if (!tee) return no('entry-no-tee')
  const end = lastOf(line.items, tee.id)
  return stay(line, end ? { after: end.id, branch: false } : { after: tee.id, branch: true })
}
function backToRun(line: Line, cursor: Cursor): Placed {
  const here = standing(line, cursor)
  const teeId = cursor.branch ? here?.id : here?.run
  const tee = line.items.find((i) => i.id === teeId)
  if (!tee) return no('entry-no-run')
  const end = lastOf(line.items, tee.run ?? null)
  return stay(line, { after: end?.id ?? null, branch: false })
}
const stay = (line: Line, cursor: Cursor): Placed => ({ ok: true, edits: [], items: line.items, cursor })

/** `x3`: the last piece and fitting once more, three times. */
function repeat(line: Line, times: number, cursor: Cursor, shop: Shop): Placed {
  const fitting = standing(line, cursor)
  const piece = fitting && neighbours(line.items).get(fitting.id)?.[0]
  if (fitting?.type !== 'fitting' || piece?.type !== 'piece') return no('entry-no-fitting')
  const { measure, measuredMm, bend, gapMm } = piece
  const group: (Entry & { ok: true })[] = [
    {
      ok: true,
      type: 'piece',
      measure,
      measuredMm,
      ...(bend ? { bend } : {}),
      ...(gapMm === undefined ? {} : { gapMm }),
    },
    {
      ok: true,
      type: 'fitting',
      fitting: fitting.fitting ?? '',
      sizes: [fitting.size, fitting.size2].filter((s): s is string => s !== null),
      tag: null,
    },
  ]
  return placeAll(line, Array.from({ length: times }, () => group).flat(), cursor, shop)
}

/** Places entries one after another and settles once: all of them or none. */
function placeAll(
  line: Line,
  entries: readonly (Entry & { ok: true })[],
  cursor: Cursor,
  shop: Shop,
): Placed {
  if (entries.length === 1) return placeEntry(line, entries[0] as Entry & { ok: true }, cursor, shop)
  let items: Item[] = line.items
  let at = cursor
  for (const entry of entries) {
    const placed = placeEntry({ ...line, items }, entry, at, shop)
    if (!placed.ok) return placed
    items = placed.items
    at = placed.cursor
  }
  const all = settle(line, items, shop)
  return all.ok ? { ...all, cursor: at } : all
}
