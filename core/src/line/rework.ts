import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { branchEnds, endOf, endSize, hasBranch, outlet, partOf } from '../parts/ends.js'
import { type EndAt, blockEnd, endMet, neighbours, pipeUnder, rootOf } from '../parts/neighbours.js'
import type { Item, Line } from '../log/state.js'
import { type Entry, parseEntry } from './entry.js'
import type { EntryReader, FittingEntry } from './fitting-entry.js'
import { endedItem } from './fitting-item.js'
import { blankItem, measureOf } from './blank.js'
import { partNamed } from '../parts/vocabulary.js'
import { withHeld } from './held.js'
import { offThePipe, onPipe, saddlesOn } from './saddle.js'
import { sizesHere } from './size-entry.js'
import { type Edited, type Shop, settle } from './settle.js'
import { nextItemTag } from './tags.js'
import type { Code } from '../sources/wording.js'

const no = (code: Code, params: Record<string, string | number> = {}): { ok: false; why: Msg } => ({
  ok: false,
  why: msg(code, params),
})

/** Takes items out of a line. A tee goes only after its branch, or with it. */
export const takeOut = (line: Line, ids: ReadonlySet<string>, shop: Shop): Edited =>
  settle(
    line,
    line.items.filter((i) => !ids.has(i.id)),
    shop,
  )

/**
 * Moves items, with what branches off them, to stand after another one in its run. @param after null: to the front.
 */
export function moveAfter(line: Line, ids: ReadonlySet<string>, after: string | null, shop: Shop): Edited {
  const moving = new Set<Item>()
  line.items.forEach((item, at) => {
    if (ids.has(item.id)) for (const item of line.items.slice(at, blockEnd(line.items, at))) moving.add(item)
  })
  if (!moving.size) return { ok: true, edits: [], items: line.items }
  const rest = line.items.filter((i) => !moving.has(i))
  const target = after === null ? null : rest.find((i) => i.id === after)
  if (target === undefined) return no('edit-into-itself')
  const run = target?.run
  const placed = [...moving].map((item) => {
    // A branch comes along on its tee; what stood in another run joins the one it is put into.
    const root = item.run && rootOf(item.run)
    if (root && [...moving].some((m) => m.id === root)) return item
    const { run: _left, ...own } = item
    return run ? { ...own, run } : own
  })
  const where = target === null ? 0 : blockEnd(rest, rest.indexOf(target))
  return settle(line, rest.toSpliced(where, 0, ...placed), shop)
}

/** The same items once more, right after the last of them. */
export function copyBelow(
  line: Line,
  ids: ReadonlySet<string>,
  shop: Shop,
  tagFor: (type: Item['type'], items: readonly Item[]) => string,
): Edited {
  const chosen = line.items.filter((i) => ids.has(i.id))
  const last = chosen.at(-1)
  if (!last) return { ok: true, edits: [], items: line.items }
  if (new Set(chosen.map((i) => i.run ?? null)).size > 1) return no('edit-one-run')
  const where = blockEnd(line.items, line.items.indexOf(last))
  let items = line.items
  chosen.forEach((item, k) => {
    const { closing: _closing, meets: _meets, ...rest } = item
    const copy: Item = {
      ...rest,
      id: shop.newId(),
      tag: tagFor(item.type, items),
      joints: [null, null],
      jointTags: [null, null],
      cut: null,
    }
    items = items.toSpliced(where + k, 0, copy)
  })
  return settle(line, items, shop)
}

/**
 * A part as it is typed over: what it is, and, set off by semicolons, what it meets and what falls from it on.
 * @param reader whose bare figures they are.
 */
export function retyped(line: Line, item: Item, typed: string, shop: Shop, reader: EntryReader): Edited {
  const [main = '', ...more] = typed.split(';').filter((one) => one.trim())
  const entry = parseEntry(main, reader, sizesHere(line, item.way))
  if (!entry.ok) return entry
  const { meets: _meets, falls: _falls, branchFalls: _branch, held: _held, ...rest } = item
  let said: Item = rest
  for (const text of more) {
    const own = parseEntry(text, reader)
    if (!own.ok) return own
    if (own.type === 'meets') said = { ...said, meets: own.name }
    else if (own.type === 'falls') said = { ...said, [own.branch ? 'branchFalls' : 'falls']: own.falls }
    else if (own.type === 'held') {
      const held = withHeld(said, own.held)
      if ('ok' in held) return held
      said = held
    } else return no('entry-not-understood', { text: text.trim(), school: line.school })
  }
  return changeTo(line, said, entry, shop)
}

/** A part named anew without a size keeps those it has, end by end. */
const keptSizes = (entry: FittingEntry, item: Item): FittingEntry =>
  entry.ends.some((end) => end.size)
    ? entry
    : {
        ...entry,
        ends: entry.ends.map((end, at) => (end.kind ? end : { ...end, size: endSize(item, at as EndAt) })),
      }
/** An item as another entry would have it: another measure, another fitting, another size that runs on from it. */
export function changeTo(line: Line, item: Item, entry: Entry & { ok: true }, shop: Shop): Edited {
  const isPiece = entry.type === 'piece' || entry.type === 'to-level'
  if (isPiece !== (item.type === 'piece') || (!isPiece && entry.type !== 'fitting'))
    return no(item.type === 'piece' ? 'edit-is-piece' : 'edit-is-fitting', { school: line.school })
  if (isPiece) {
    const { bend: _was, gapMm: _left, heading: _turn, toLevelMm: _level, ...rest } = item
    const way = (entry.type === 'piece' ? entry.way : undefined) ?? item.way
    const next: Item = { ...rest, ...measureOf(entry), ...(way ? { way } : {}) }
    return settle(
      line,
      line.items.map((i) => (i.id === item.id ? next : i)),
      shop,
    )
  }
  if (entry.type !== 'fitting') return no('edit-is-fitting', { school: line.school })
  const before = neighbours(line.items).get(item.id)?.[0] ?? null
  const under = pipeUnder(line.items, item)
  const said = keptSizes(entry, item)
  const ended = endedItem(line, under ? onPipe(said, under) : said, {
    end: before && endOf(line, before, endMet(item, 0, before)),
    way: item.way,
  })
  if (!ended.ok) return ended
  const off = under && entry.alongMm !== undefined ? offThePipe(under, entry.alongMm) : null
  if (off) return { ok: false, why: off }
  const { ends: _ends, of: _of, own: _own, alongMm: _along, heading: had, ...rest } = item
  // A part named anew keeps its way where it still has one.
  const turns = (entry.own ?? partNamed(entry.fitting))?.form === partOf(item).form
  const heading = entry.heading ?? (turns ? had : undefined)
  const next: Item = {
    ...rest,
    ...ended.made,
    ...(entry.alongMm === undefined ? {} : { alongMm: entry.alongMm }),
    ...(heading ? { heading } : {}),
    ...(entry.tag ? { tag: entry.tag } : {}),
  }
  if (
    line.items.some(
      (i) =>
        i.run !== undefined && rootOf(i.run) === item.id && !branchEnds(next).includes(endMet(i, 0, item)),
    )
  )
    return no('edit-has-branch', { part: item.tag })
  return settle(line, carriedOn(line.items, item, next), shop)
}

/**
 * A piece made two with what opens between, both to be measured anew: a union, or a pair of flanges, where one piece
 * cannot be got in.
 */
export function splitWith(line: Line, item: Item, fitting: string, shop: Shop): Edited {
  if (item.type !== 'piece' || item.cut) return no('edit-is-fitting', { school: line.school })
  if (saddlesOn(line.items, item).length) return no('edit-has-branch', { part: item.tag })
  const { closing: _last, bend: _bend, near: _near, toLevelMm: _level, heading: _turn, ...rest } = item
  const { meets: _meets, falls: _falls, ...before } = rest
  const first: Item = {
    ...before,
    joints: [item.joints[0], null],
    jointTags: [item.jointTags[0], null],
    measuredMm: null,
  }
  const between: Item[] = []
  const ends = partNamed(fitting)?.ends.map(() => ({})) ?? []
  for (
    let end = endOf(line, first, 1);
    !between.length || !end.usual;
    end = endOf(line, between.at(-1) as Item, 1)
  ) {
    const ended = endedItem(
      line,
      { ok: true, type: 'fitting', fitting, ends, tag: null },
      { end, way: item.way },
    )
    if (!ended.ok) return ended
    const tag = nextItemTag(line, [...line.items, ...between], 'fitting')
    between.push({ ...blankItem(shop.newId(), 'fitting', ended.made.size), ...ended.made, tag })
    if (between.length > 2) return no('entry-say-end', { fitting, school: line.school })
  }
  const second: Item = {
    ...rest,
    measuredMm: null,
    joints: [null, null],
    jointTags: [null, null],
    id: shop.newId(),
    tag: nextItemTag(line, line.items, 'piece'),
    closing: true,
  }
  const at = line.items.findIndex((i) => i.id === item.id)
  return settle(
    line,
    [...line.items.slice(0, at), first, ...between, second, ...line.items.slice(at + 1)],
    shop,
  )
}

/** A changed way on runs through what follows, up to the fitting that changes the size anyway. */
function carriedOn(items: readonly Item[], was: Item, next: Item): Item[] {
  const [from, to] = [outlet(was), outlet(next)]
  const changed = new Map<string, Item>([[was.id, next]])
  if (from !== to)
    for (let item = neighbours(items).get(was.id)?.[1] ?? null; item && item.size === from;) {
      const branch = hasBranch(item) ? { size2: item.size2 ?? item.size } : {}
      const own: Item = { ...item, size: to, ...branch }
      if (own.size2 === own.size) own.size2 = null
      changed.set(item.id, own)
      // What sits on a pipe of another size is made for that one; what leaves it stays as it is.
      for (const saddle of item.type === 'piece' ? saddlesOn(items, item) : [])
        changed.set(saddle.id, { ...saddle, size: to, size2: outlet(saddle) === to ? null : outlet(saddle) })
      if (outlet(item) !== from) break
      item = neighbours(items).get(item.id)?.[1] ?? null
    }
  return items.map((i) => changed.get(i.id) ?? i)
}
