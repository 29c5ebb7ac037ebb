import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { matingOf, wayOf } from '../joint/way.js'
import { type Lines, linesWith, metBy } from '../parts/met.js'
import { rootOf } from '../parts/neighbours.js'
import { begunJoints } from '../joint/lookup.js'
import type { Item, JobState, Line, Stands } from '../log/state.js'
import { misplacedSaddle } from './saddle.js'
import { tagsAfter } from './tags.js'
import { lastHolding } from '../units/search.js'

/** One change of a line's parts as its event: kind, and data without the line's id. */
export interface ItemEdit {
  kind: 'item-put' | 'item-moved' | 'item-removed'
  data: {
    /** Of another line than the one that is edited. */
    lineId?: string
    itemId: string
    afterItemId?: string | null
    item?: Record<string, unknown>
  }
}
/** One change of a line: of its parts, or of where it begins. */
export type Edit = ItemEdit | { kind: 'line-stands'; data: { lineId?: string; stands: Stands } }
export type Edited = { ok: true; edits: Edit[]; items: Item[]; stands?: Stands } | { ok: false; why: Msg }

/** What an edit must know besides the line: which joints are begun, and how ids are made. */
export interface Shop {
  /** Joints with any step done: they stay where they are. */
  begun: ReadonlySet<string>
  /** Makes ids: core makes none of its own, so that the same input gives the same output. */
  newId: () => string
  /** Parts alone are asked for: joints are made when all stands. */
  draft?: true
  /** Size of the pipe that a line begins with, where it begins with pipe. */
  firstSize?: string
  /** Lines of the job: one may begin at a part of another, or come to it. */
  lines: Lines
  /** They as they stand, where `lines` are how they would be. */
  were?: Lines
}
/** What an edit must know of a job as it stands. @param newId makes ids. */
export const shopFor = (state: JobState, newId: () => string): Shop => ({
  begun: begunJoints(state),
  newId,
  lines: state,
})
/** The lines of a job with one as it would be. */
export const linesOf = (shop: Shop, line: Line): Lines => linesWith(shop.lines, line)

/** The event data of an item as it stands. */
export const itemData = (item: Item): Record<string, unknown> => ({
  type: item.type,
  tag: item.tag,
  size: item.size,
  size2: item.size2,
  fitting: item.fitting,
  measure: item.measure,
  measuredMm: item.measuredMm,
  jointA: item.joints[0],
  jointB: item.joints[1],
  tagA: item.jointTags[0],
  tagB: item.jointTags[1],
  ...(item.closing ? { closing: true } : {}),
  ...(item.run ? { run: item.run } : {}),
  ...(item.gapMm ? { gapMm: item.gapMm } : {}),
  ...(item.bend ? { bend: item.bend } : {}),
  ...(item.near?.length ? { near: item.near } : {}),
  ...(item.ends ? { ends: item.ends } : {}),
  ...(item.of ? { of: item.of } : {}),
  ...(item.way ? { way: item.way } : {}),
  ...(item.heading ? { heading: item.heading } : {}),
  ...(item.falls === undefined ? {} : { falls: item.falls }),
  ...(item.branchFalls === undefined ? {} : { branchFalls: item.branchFalls }),
  ...(item.meets ? { meets: item.meets } : {}),
  ...(item.toLevelMm === undefined ? {} : { toLevelMm: item.toLevelMm }),
  ...(item.alongMm === undefined ? {} : { alongMm: item.alongMm }),
  ...(item.held?.length ? { held: item.held } : {}),
  ...(item.own ? { own: item.own } : {}),
})

/**
 * Brings a line to the order and the parts that are wanted: joints come into being where an end of a piece meets a
 * fitting and go where it no longer does. Refuses what would take a begun joint apart, or leave a branch on nothing.
 */
export function settle(line: Line, wanted: readonly Item[], shop: Shop): Edited {
  if (shop.draft) return { ok: true, edits: [], items: [...wanted] }
  const byId = new Map(wanted.map((i) => [i.id, i]))
  for (const gone of line.items)
    if (!byId.has(gone.id) && wanted.some((i) => i.run !== undefined && rootOf(i.run) === gone.id))
      return { ok: false, why: msg('edit-has-branch', { part: gone.tag }) }
  const saddle = misplacedSaddle(line.items, wanted)
  if (saddle) return { ok: false, why: msg('edit-saddle', { part: saddle.tag }) }
  const items = jointed(line, wanted, shop)
  const hurt = broken(line, items, shop)
  if (hurt) return { ok: false, why: msg('edit-joint-begun', { joint: hurt }) }
  return { ok: true, edits: difference(line.items, items), items }
}

/** The same items with a joint at each end that meets a fitting, and none elsewhere. */
function jointed(line: Line, wanted: readonly Item[], shop: Shop): Item[] {
  let next: (() => string) | undefined
  const tag = (): string =>
    (next ??= tagsAfter(
      `${line.tag}-`,
      [...line.items, ...wanted].flatMap((i) => i.jointTags),
    ))()
  const within = { ...line, items: [...wanted] }
  const lines = linesOf(shop, within)
  return wanted.map((item) => {
    const meet = ([0, 1] as const).map((end) => isJoined(lines, within, item, end))
    if (meet.every((meets, end) => meets === (item.joints[end] !== null))) return item
    const joints: Item['joints'] = [...item.joints]
    const jointTags: Item['jointTags'] = [...item.jointTags]
    for (const end of [0, 1] as const) {
      const meets = meet[end] as boolean
      if (meets === (joints[end] !== null)) continue
      joints[end] = meets ? shop.newId() : null
      jointTags[end] = meets ? tag() : null
    }
    return { ...item, joints, jointTags }
  })
}

/** Is there a joint at an end? A piece makes one with any fitting, a fitting with one before it that it mates with. */
function isJoined(lines: Lines, line: Line, item: Item, end: 0 | 1): boolean {
  const met = metBy(lines, line, item, end)
  if (!met) return false
  const ownFitting = item.type === 'piece' && met.fitting.type === 'fitting'
  return ownFitting || (end === 0 && matingOf(line, item, end, met)?.ok === true)
}

/** What a joint consists of: its part and size, which end, what it meets and how it is made. */
function joinery(
  lines: Lines,
  line: Line,
  of: ReadonlySet<string>,
): Map<string, { tag: string; of: string }> {
  const out = new Map<string, { tag: string; of: string }>()
  for (const item of line.items)
    for (const end of [0, 1] as const) {
      const id = item.joints[end]
      if (!id || !of.has(id)) continue
      const met = metBy(lines, line, item, end)
      out.set(id, {
        tag: item.jointTags[end] ?? '',
        of: [item.id, item.size, end, item.alongMm, met?.fitting.id, wayOf(line, item, end, met).key].join(),
      })
    }
  return out
}
/** Tag of a begun joint that would no longer be what it is, or null. */
function broken(line: Line, after: readonly Item[], shop: Shop): string | null {
  const { begun } = shop
  if (!begun.size) return null
  const next = { ...line, items: [...after] }
  const will = joinery(linesOf(shop, next), next, begun)
  // As the job has it: where it begins may be said anew together with its parts.
  const were = shop.were ?? shop.lines
  for (const [id, { tag, of }] of joinery(were, were.lines.get(line.id) ?? line, begun))
    if (will.get(id)?.of !== of) return tag
  return null
}

/** The changes that lead from one list to another; as few moves as there can be. */
export function difference(before: readonly Item[], after: readonly Item[]): ItemEdit[] {
  const edits: ItemEdit[] = []
  // What is the same at both ends of the list plays no part: a line of thousands is mostly that.
  let from = 0
  while (from < before.length && before[from] === after[from]) from++
  let tail = 0
  while (
    tail < Math.min(before.length, after.length) - from &&
    before[before.length - 1 - tail] === after[after.length - 1 - tail]
  )
    tail++
  const was = new Map(before.slice(from, before.length - tail).map((item, at) => [item.id, { at, item }]))
  const will = after.slice(from, after.length - tail)
  const kept = new Set(will.map((i) => i.id))
  for (const id of was.keys()) if (!kept.has(id)) edits.push({ kind: 'item-removed', data: { itemId: id } })
  const stay = longestRising(will.flatMap((i) => was.get(i.id)?.at ?? []))
  const isEmpty = from + tail === 0 && ![...was.keys()].some((id) => kept.has(id))
  let prev: string | null = after[from - 1]?.id ?? null
  for (const item of will) {
    const had = was.get(item.id)
    const put = (): void =>
      void edits.push({
        kind: 'item-put',
        data: { itemId: item.id, afterItemId: prev, item: itemData(item) },
      })
    if (!had) put()
    // An item that is put after nothing goes to the end of its line: to stand first it is moved there.
    if (had ? !stay.has(had.at) : prev === null && !isEmpty)
      edits.push({ kind: 'item-moved', data: { itemId: item.id, afterItemId: prev } })
    if (had && had.item !== item && JSON.stringify(itemData(had.item)) !== JSON.stringify(itemData(item)))
      put()
    prev = item.id
  }
  return edits
}

/** The longest rising part of a list of different numbers: what may stay where it is. */
function longestRising(list: readonly number[]): Set<number> {
  const tails: number[] = []
  const backs = new Map<number, number | undefined>()
  for (const x of list) {
    const before = lastHolding(-1, tails.length - 1, (i) => (tails[i] as number) < x)
    backs.set(x, tails[before])
    tails[before + 1] = x
  }
  const out = new Set<number>()
  for (let x = tails.at(-1); x !== undefined; x = backs.get(x)) out.add(x)
  return out
}
