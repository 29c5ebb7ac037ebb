import { BRANCH, nameKey } from '../log/names.js'
import type { Item } from '../log/state.js'
import { once } from '../units/memo.js'

/** Ends of a part: 0 the way in, 1 the way on, 2 and 3 its branches; 4 the wall of a pipe, where a saddle sits on it. */
export type EndAt = 0 | 1 | 2 | 3 | 4
/** The wall of a pipe. */
export const WALL = 4
/** Is this end one that a branch leaves a fitting by? */
export const isBranch = (at: EndAt): boolean => at === 2 || at === 3
/** What stands at the two ends of an item: in its own run, or, where a branch begins, the fitting it comes out of. */
export type Neighbours = readonly [Item | null, Item | null]

/**
 * Neighbours of every item of a line. A line is a main run (`run` null) and branches: items with the same `run`, in
 * the line's order, hang together, and a run named after a fitting begins in that fitting's branch, one named after a pipe
 * with the saddle on it. Worked out once for a list: lists of a folded state do not change.
 */
export const neighbours = once((items: readonly Item[]): ReadonlyMap<string, Neighbours> => {
  const byId = new Map(items.map((i) => [i.id, i]))
  const last = new Map<string | null, Item>()
  const out = new Map<string, [Item | null, Item | null]>()
  for (const item of items) {
    const run = item.run ?? null
    const before = last.get(run) ?? (run === null ? null : (byId.get(rootOf(run)) ?? null))
    out.set(item.id, [before, null])
    const back = last.get(run)
    const entry = back && out.get(back.id)
    if (entry) entry[1] = item
    last.set(run, item)
  }
  return out
})

/**
 * The fitting at an end of a piece, null at a free end or where another piece stands. A pipe that comes back to a part
 * whose end is free ends in it.
 */
export function fittingAt(items: readonly Item[], piece: Item, end: 0 | 1): Item | null {
  const there = neighbours(items).get(piece.id)?.[end] ?? null
  if (there === null && end === 1 && piece.meets !== undefined && piece.type === 'piece')
    return cameBackTo(items, piece.meets)
  return there?.type === 'fitting' ? there : null
}
const isNamed = (item: Item, name: string): boolean => {
  const [tag, said] = [item.tag.toLowerCase(), nameKey(name)]
  return tag === said || tag.endsWith(`/${said}`)
}
/** A fitting of these by a name, where the end that is meant stands open: its branch, else its way in. */
function cameBackTo(items: readonly Item[], name: string): Item | null {
  const found = items.find((item) => item.type === 'fitting' && isNamed(item, name))
  if (!found) return null
  const taken = BRANCH.test(name) ? roots(items).has(found.id) : neighbours(items).get(found.id)?.[0] !== null
  return taken ? null : found
}

/** Between the part that a run branches off and what tells several runs of it apart. */
const OF = '~'
/** A second branch of one fitting is a run of its own. */
const SECOND = `${OF}3`
/**
 * The run that leaves a fitting by a branch.
 * @example branchRun('f1', 3) // 'f1~3'
 */
export const branchRun = (fittingId: string, at: EndAt): string => (at === 3 ? fittingId + SECOND : fittingId)
/**
 * The fitting that a run branches off, by id; for a run with a name of its own that name.
 * @example rootOf('f1~3') // 'f1'
 */
export const rootOf = (run: string): string => run.split(OF, 1)[0] as string
/**
 * The run that begins with a saddle on a pipe: a pipe may carry several.
 * @example saddleRun('p1', 's1') // 'p1~s1'
 */
export const saddleRun = (pipeId: string, saddleId: string): string => `${pipeId}${OF}${saddleId}`
/** Does a part sit on the wall of a pipe, which it does not part? */
export const isSaddle = (item: Item): boolean => item.alongMm !== undefined
/** The pipe that a part sits on as a saddle, the first of such a run; null for every other part. */
export function pipeUnder(items: readonly Item[], item: Item): Item | null {
  if (item.type !== 'fitting' || item.run === undefined) return null
  const before = neighbours(items).get(item.id)?.[0] ?? null
  return before?.type === 'piece' && before.run !== item.run && before.id === rootOf(item.run) ? before : null
}

/**
 * A run where the fittings have other ids: of a copy, of a carrier.
 * @example renamedRun('f1~3', new Map([['f1', 'g1']])) // 'g1~3'
 */
export const renamedRun = (run: string, ids: ReadonlyMap<string, string>): string =>
  (ids.get(rootOf(run)) ?? rootOf(run)) + run.slice(rootOf(run).length)

/** The branch of a fitting that a run leaves by; of a pipe its wall. */
export const branchEnd = (run: string, fitting: Item): EndAt =>
  run === fitting.id ? 2 : run.endsWith(SECOND) ? 3 : WALL
/** The end of the fitting beside it that an item's end meets. */
export const endMet = (item: Item, end: 0 | 1, fitting: Item): EndAt => {
  if (end === 1)
    return item.meets !== undefined && BRANCH.test(item.meets) && isNamed(fitting, item.meets) ? 2 : 0
  return item.run !== undefined && rootOf(item.run) === fitting.id ? branchEnd(item.run, fitting) : 1
}
/** An end of a fitting, or of a pipe, that a part's end is joined to. */
export interface Fitted {
  /** The pipe where a saddle sits on its wall, or another line's part goes on its bare end. */
  fitting: Item
  at: EndAt
}
/** What an end of a part meets of its own line; null at a free end. */
export function fittedAt(items: readonly Item[], item: Item, end: 0 | 1): Fitted | null {
  const fitting = fittingAt(items, item, end)
  if (fitting) return { fitting, at: endMet(item, end, fitting) }
  const pipe = end === 0 ? pipeUnder(items, item) : null
  return pipe && { fitting: pipe, at: WALL }
}
/** Does a part's first end go into a branch of the fitting it comes from? */
export const inBranch = (item: Item, end: 0 | 1, fitting: Item | null): boolean =>
  fitting !== null && isBranch(endMet(item, end, fitting))

/** Fittings that a run branches off, by id. */
const roots = once(
  (items: readonly Item[]): ReadonlySet<string> =>
    new Set(items.flatMap((i) => (i.run ? [rootOf(i.run)] : []))),
)
const runs = once((items: readonly Item[]): ReadonlySet<string> => new Set(items.flatMap((i) => i.run ?? [])))
/** Does anything stand in a run? */
export const hasRun = (items: readonly Item[], run: string): boolean => runs(items).has(run)
/** Does a run branch off this fitting? */
export const branches = (items: readonly Item[], fitting: Item): boolean => roots(items).has(fitting.id)

/** Run of pieces that are attached to nothing: a list for the saw. */
export const LOOSE = 'loose'

/** Where an item and all that branches off it end in the list: the index after the last of them. */
export function blockEnd(items: readonly Item[], at: number): number {
  const inside = new Set([items[at]?.id])
  let end = at + 1
  for (let next = items[end]; next && next.run && inside.has(rootOf(next.run)); next = items[end]) {
    inside.add(next.id)
    end++
  }
  return end
}
