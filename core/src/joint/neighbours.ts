import type { Item } from '../log/state.js'
import { once } from '../units/memo.js'

/** What stands at the two ends of an item: in its own run, or, where a branch begins, the fitting it comes out of. */
export type Neighbours = readonly [Item | null, Item | null]

/**
 * Neighbours of every item of a line. A line is a main run (`run` null) and branches: items with the same `run`, in
 * the line's order, hang together, and a run named after a fitting begins in that fitting's branch. Worked out once
 * for a list: lists of a folded state do not change.
 */
export const neighbours = once((items: readonly Item[]): ReadonlyMap<string, Neighbours> => {
  const byId = new Map(items.map((i) => [i.id, i]))
  const last = new Map<string | null, Item>()
  const out = new Map<string, [Item | null, Item | null]>()
  for (const item of items) {
    const run = item.run ?? null
    const before = last.get(run) ?? (run === null ? null : (byId.get(run) ?? null))
    out.set(item.id, [before, null])
    const back = last.get(run)
    const entry = back && out.get(back.id)
    if (entry) entry[1] = item
    last.set(run, item)
  }
  return out
})

/** The fitting at an end of a piece, null at a free end or where another piece stands. */
export function fittingAt(items: readonly Item[], piece: Item, end: 0 | 1): Item | null {
  const there = neighbours(items).get(piece.id)?.[end] ?? null
  return there?.type === 'fitting' ? there : null
}

/** Does a piece's first end go into the branch of the fitting it comes from? */
export const inBranch = (piece: Item, end: 0 | 1, fitting: Item | null): boolean =>
  end === 0 && fitting !== null && (piece.run ?? null) === fitting.id

/** Fittings that a run branches off, by id. */
const roots = once(
  (items: readonly Item[]): ReadonlySet<string> => new Set(items.flatMap((i) => (i.run ? [i.run] : []))),
)
/** Does a run branch off this fitting? */
export const branches = (items: readonly Item[], fitting: Item): boolean => roots(items).has(fitting.id)

/** Run of pieces that are attached to nothing: a list for the saw. */
export const LOOSE = 'loose'

/** Fittings whose second size is that of their branch, and not of the way on. */
const BRANCHED: readonly string[] = ['tee']
/** Does a run leave this fitting between its ends? */
export const hasBranch = (fitting: Item): boolean => BRANCHED.includes(fitting.fitting ?? '')
/** Size of the way on through a fitting. */
export const outlet = (i: Item): string => (hasBranch(i) ? i.size : (i.size2 ?? i.size))
/** Size of the run that leaves a tee: its second size, else its own. */
export const branchSize = (tee: Item): string => tee.size2 ?? tee.size

/** Size of the socket that an end of a piece meets. */
export const socketSize = (piece: Item, end: 0 | 1, fitting: Item): string =>
  end === 1 ? fitting.size : inBranch(piece, 0, fitting) ? branchSize(fitting) : outlet(fitting)

/** Where an item and all that branches off it end in the list: the index after the last of them. */
export function blockEnd(items: readonly Item[], at: number): number {
  const inside = new Set([items[at]?.id])
  let end = at + 1
  for (let next = items[end]; next && next.run && inside.has(next.run); next = items[end]) {
    inside.add(next.id)
    end++
  }
  return end
}
