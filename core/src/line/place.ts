import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { branchEnds, endOf, hasBranch } from '../parts/ends.js'
import { mate } from '../parts/mating.js'
import { type EndAt, blockEnd, branchRun, neighbours, rootOf } from '../parts/neighbours.js'
import { type EntryReader, type FittingEntry, typedEnds } from './fitting-entry.js'
import { type Before, endedItem, wayFrom } from './fitting-item.js'
import type { Item, Line, Stands } from '../log/state.js'
import { unitOf } from '../units/quantity.js'
import type { SpaceEntry } from './space/said.js'
import { type Entry, parseEntry } from './entry.js'
import { sizesHere } from './size-entry.js'
import { type Edited, type Shop, settle } from './settle.js'
import { saddleOf } from './saddle.js'
import { nextItemTag } from './tags.js'
import { ownPartIn } from './own-parts.js'
import { blankItem, measureOf } from './blank.js'
import { withHeld } from './held.js'
import { beginningOf, beginsAnew, standAt } from './beginning.js'
import type { Code } from '../sources/wording.js'

/** Where the next part goes: after an item of the line (null: at the end of the main run), or into a branch of it. */
export interface Cursor {
  after: string | null
  branch: false | EndAt
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
      return intoBranch(line, entry.second, cursor)
    case 'back':
      return backToRun(line, cursor)
    case 'repeat':
      return repeat(line, entry.times, cursor, shop)
    case 'stands':
    case 'falls':
    case 'meets':
    case 'held':
    case 'flows':
      return placeIn(line, entry, cursor, shop)
    case 'to-level':
    default: {
      if (entry.type === 'fitting' && entry.alongMm !== undefined) return putSaddle(line, entry, cursor, shop)
      const made =
        entry.type === 'fitting' ? fittingOf(line, entry, cursor, shop) : pieceOf(line, entry, cursor, shop)
      return made.ok ? put(line, made.item, cursor, shop) : made
    }
  }
}

/** Places entries one after another, as typed, several of them set off by semicolons: all or none. @param reader whose bare figures they are. */
export function placeTexts(
  line: Line,
  texts: readonly string[],
  cursor: Cursor,
  shop: Shop,
  reader: EntryReader,
): Placed {
  const each = texts.flatMap((text) => text.split(';').filter((one) => one.trim()))
  return placeAll(line, each, cursor, shop, (text, own, at) =>
    parseEntry(text, reader, sizesHere(own, standing(own, at)?.way)),
  )
}

/** Where a line begins, what falls from here on, what the part that stands here meets. */
function placeIn(
  line: Line,
  entry: Extract<SpaceEntry, { type: 'stands' | 'falls' | 'meets' | 'held' | 'flows' }>,
  cursor: Cursor,
  shop: Shop,
): Placed {
  if (entry.type === 'stands') {
    const anew = beginsAnew(line, entry.stands, shop)
    return 'ok' in anew ? anew : begun(line, anew.stands, cursor, shop)
  }
  if (entry.type === 'flows') {
    if (!line.stands) return no('space-not-begun', { unit: unitOf('distance', { units: line.school }) })
    const { flows: _was, ...own } = line.stands
    return begun(line, { ...own, ...(entry.flows ? { flows: entry.flows } : {}) }, cursor, shop)
  }
  const here = standing(line, cursor)
  if (!here && entry.type === 'falls' && line.stands)
    return begun(line, { ...line.stands, falls: entry.falls }, cursor, shop)
  if (!here) return no('entry-no-fitting', { school: line.school })
  const next = entry.type === 'held' ? withHeld(here, entry.held) : toldOf(here, entry, cursor)
  if ('ok' in next) return next
  const settled = settle(
    line,
    line.items.map((i) => (i === here ? next : i)),
    shop,
  )
  return settled.ok ? { ...settled, cursor } : settled
}

/** The line with its beginning said anew. */
function begun(line: Line, stands: Stands, cursor: Cursor, shop: Shop): Placed {
  const settled = standAt(line, stands, line.items, shop)
  return settled.ok ? { ...settled, cursor } : settled
}
function toldOf(here: Item, entry: Extract<SpaceEntry, { type: 'falls' | 'meets' }>, cursor: Cursor): Item {
  if (entry.type === 'meets') return { ...here, meets: entry.name }
  return cursor.branch || entry.branch
    ? { ...here, branchFalls: entry.falls }
    : { ...here, falls: entry.falls }
}

/** The line with a new item where the cursor stands. */
function put(line: Line, item: Item, cursor: Cursor, shop: Shop): Placed {
  const after = standing(line, cursor)
  const run = after && (cursor.branch ? branchRun(after.id, cursor.branch) : after.run)
  const placed = run ? { ...item, run } : item
  const at = after ? line.items.indexOf(after) : -1
  const where = after === null ? 0 : cursor.branch ? at + 1 : blockEnd(line.items, at)
  const settled = settle(line, line.items.toSpliced(where, 0, placed), shop)
  return settled.ok ? { ...settled, cursor: { after: item.id, branch: false } } : settled
}

/** The line with a saddle on a pipe of it; what comes next goes on the saddle. */
function putSaddle(line: Line, entry: FittingEntry, cursor: Cursor, shop: Shop): Placed {
  const here = cursor.branch ? null : standing(line, cursor)
  const made = saddleOf(line, entry, here, (size) => fresh(line, 'fitting', size, shop))
  if (!made.ok) return made
  const where = blockEnd(line.items, line.items.indexOf(made.pipe))
  const settled = settle(line, line.items.toSpliced(where, 0, made.item), shop)
  return settled.ok ? { ...settled, cursor: { after: made.item.id, branch: false } } : settled
}

/** The end that the next part is put on, and what is usual there. */
function beforeOf(line: Line, cursor: Cursor, shop: Shop): Before {
  const last = standing(line, cursor)
  return { end: last ? endOf(line, last, cursor.branch || 1) : beginningOf(line, shop), way: last?.way }
}
type Made = { ok: true; item: Item } | { ok: false; why: Msg }
const fresh = (line: Line, type: Item['type'], size: string, shop: Shop): Item => ({
  ...blankItem(shop.newId(), type, size),
  tag: nextItemTag(line, line.items, type),
})

function pieceOf(
  line: Line,
  entry: Entry & { ok: true; type: 'piece' | 'to-level' },
  cursor: Cursor,
  shop: Shop,
): Made {
  const before = beforeOf(line, cursor, shop)
  const { end } = before
  if (!end) {
    if (!shop.firstSize) return no('entry-no-fitting', { school: line.school })
    return { ok: true, item: { ...fresh(line, 'piece', shop.firstSize, shop), ...measureOf(entry) } }
  }
  if (end.item.type === 'piece') return no('entry-between', { piece: end.item.tag })
  const way = wayFrom(line, entry.type === 'piece' ? entry.way : undefined, before)
  const item: Item = {
    ...fresh(line, 'piece', end.size, shop),
    ...measureOf(entry),
    ...(way ? { way } : {}),
  }
  if (end.usual) return { ok: true, item }
  const mating = mate(end, endOf(line, item, 0), line.school)
  return mating.ok ? { ok: true, item } : mating
}
function fittingOf(line: Line, entry: FittingEntry, cursor: Cursor, shop: Shop): Made {
  const before = { ...beforeOf(line, cursor, shop), firstSize: shop.firstSize }
  const ended = endedItem(line, entry, before)
  if (!ended.ok) return ended
  const item: Item = {
    ...fresh(line, 'fitting', ended.made.size, shop),
    ...ended.made,
    ...(entry.heading ? { heading: entry.heading } : {}),
  }
  if (entry.tag) item.tag = entry.tag
  const { end } = before
  if (!end) return { ok: true, item }
  const own = endOf(line, item, 0)
  if (end.item.type === 'piece' && own.usual)
    return end.size === item.size
      ? { ok: true, item }
      : no('entry-sizes-differ', { a: end.size, b: item.size })
  const mating = mate(end, own, line.school)
  return mating.ok ? { ok: true, item } : mating
}

function intoBranch(line: Line, second: boolean, cursor: Cursor): Placed {
  const here = standing(line, cursor)
  // The tee meant is the one that stands here, else the last before it in this run.
  let tee: Item | null = here
  while (tee && !hasBranch(tee)) tee = neighbours(line.items).get(tee.id)?.[0] ?? null
  if (!tee) return no('entry-no-tee')
  const at = branchEnds(tee)[second ? 1 : 0]
  if (at === undefined) return no('entry-no-tee')
  const end = lastOf(line.items, branchRun(tee.id, at))
  return stay(line, end ? { after: end.id, branch: false } : { after: tee.id, branch: at })
}
function backToRun(line: Line, cursor: Cursor): Placed {
  const here = standing(line, cursor)
  const teeId = cursor.branch ? here?.id : here?.run && rootOf(here.run)
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
  if (fitting?.type !== 'fitting' || piece?.type !== 'piece')
    return no('entry-no-fitting', { school: line.school })
  if (fitting.alongMm !== undefined) return no('edit-saddle', { part: fitting.tag })
  const { measure, measuredMm, bend, gapMm, heading } = piece
  const group: (Entry & { ok: true })[] = [
    {
      ok: true,
      type: 'piece',
      measure,
      measuredMm,
      ...(bend ? { bend } : {}),
      ...(gapMm === undefined ? {} : { gapMm }),
      ...(heading ? { heading } : {}),
    },
    {
      ok: true,
      type: 'fitting',
      fitting: fitting.fitting ?? '',
      ends: typedEnds(fitting),
      ...(fitting.own ? { own: ownPartIn(fitting) } : {}),
      ...(fitting.of ? { of: fitting.of } : {}),
      ...(fitting.heading ? { heading: fitting.heading } : {}),
      tag: null,
    },
  ]
  return placeAll(line, Array.from({ length: times }, () => group).flat(), cursor, shop, (entry) => entry)
}

/** Places entries one after another and settles once: all of them or none. */
function placeAll<T>(
  line: Line,
  each: readonly T[],
  cursor: Cursor,
  shop: Shop,
  read: (one: T, line: Line, at: Cursor) => Entry,
): Placed {
  let own = line
  let at = cursor
  let stands: Stands | undefined
  for (const one of each) {
    // What a figure means depends on the pipe that the entries before it came to.
    const entry = read(one, own, at)
    if (!entry.ok) return entry
    const placed = placeEntry(own, entry, at, shop)
    if (!placed.ok || each.length === 1) return placed
    stands = placed.stands ?? stands
    own = { ...own, items: placed.items, ...(stands ? { stands } : {}) }
    at = placed.cursor
  }
  const all = stands ? standAt(line, stands, own.items, shop) : settle(line, own.items, shop)
  return all.ok ? { ...all, cursor: at } : all
}
