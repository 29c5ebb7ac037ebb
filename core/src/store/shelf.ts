import type { JobState, StoreItem } from '../log/state.js'
import { once } from '../units/memo.js'
import { STANDINGS, type Standing, type Stood, standingOf } from '../joint/standing.js'
import { type Use, usesOf } from '../joint/uses.js'
import { amountLeft } from './left.js'
import { type Wanted, wantedOf } from './wanted.js'

/** A thing as it stands on the shelf. */
export interface OnShelf extends Stood {
  item: StoreItem
  /** Joints in the line that were made with it. */
  joints: number
  /** Joints not made yet that it fits. */
  planned: number
  /** How much of what there was is left, 0 to 1; null of a tool, and where no amount was said. */
  share: number | null
  /** Who used it last, and when, epoch s. */
  last: { by: string; atS: number } | null
}
/** What a store's headline tells: the first of these that is so. */
export type ShelfHead =
  | { kind: 'empty' }
  | { kind: 'bad'; on: OnShelf; more: number }
  | { kind: 'short'; wanted: Wanted; more: number }
  | { kind: 'soon'; on: OnShelf; more: number }
  | { kind: 'in-date'; next: OnShelf | null }

const BAD: ReadonlySet<Standing> = new Set<Standing>([
  'found-wrong',
  'not-good',
  'out-of-date',
  'open-too-long',
])
const lastOf = (uses: readonly Use[]): OnShelf['last'] => {
  const last = uses.reduce<Use | null>((best, use) => (best && best.toS >= use.toS ? best : use), null)
  return last && { by: last.by.at(-1) ?? '', atS: last.toS }
}
function shareLeft(state: JobState, item: StoreItem): number | null {
  const left = amountLeft(state, item)
  return left === null || !item.amount?.value ? null : left / item.amount.value
}
/** Joints in the line by what they were made with; a thing may have gone into thousands. */
const inLine = once((state: JobState): ReadonlyMap<string, number> => {
  const joints = [...usesOf(state)].map(([id, uses]) => {
    const here = uses.filter((use) => use.cutOutAtS === null)
    return [id, new Set(here.map((use) => use.jointId)).size] as const
  })
  return new Map(joints)
})

/** Joints not made yet that each thing fits: counted one by one only where it fits more than one need. */
function plannedOf(wanted: readonly Wanted[]): ReadonlyMap<string, number> {
  const rows = new Map<string, Wanted[]>()
  for (const row of wanted)
    for (const { id } of row.there) {
      const own = rows.get(id)
      if (own) own.push(row)
      else rows.set(id, [row])
    }
  return new Map(
    [...rows].map(([id, own]) => {
      const [only, ...more] = own
      return [id, more.length ? new Set(own.flatMap((row) => row.joints)).size : (only?.joints.length ?? 0)]
    }),
  )
}

/**
 * Everything in the store, what must not be used first, then by its last day; and what is needed against it.
 * @param nowS epoch s.
 */
export function shelfOf(
  state: JobState,
  nowS: number,
): { shelf: readonly OnShelf[]; wanted: readonly Wanted[] } {
  const wanted = wantedOf(state, nowS)
  const planned = plannedOf(wanted)
  const shelf = [...state.store.values()].map((item): OnShelf => ({
    item,
    ...standingOf(state, item, nowS),
    joints: inLine(state).get(item.id) ?? 0,
    planned: planned.get(item.id) ?? 0,
    share: shareLeft(state, item),
    last: lastOf(usesOf(state).get(item.id) ?? []),
  }))
  const order = (on: OnShelf): number => STANDINGS.indexOf(on.standing)
  shelf.sort(
    (a, b) =>
      order(a) - order(b) ||
      (a.untilOn ?? '9').localeCompare(b.untilOn ?? '9') ||
      a.item.name.localeCompare(b.item.name),
  )
  return { shelf, wanted }
}

/** The one thing of a store that matters most: what must not be used, what is missing, what ends soon. */
export function shelfHead({ shelf, wanted }: ReturnType<typeof shelfOf>): ShelfHead {
  if (!shelf.length) return { kind: 'empty' }
  const bad = shelf.filter(({ standing }) => BAD.has(standing))
  if (bad[0]) return { kind: 'bad', on: bad[0], more: bad.length - 1 }
  // A store that keeps nothing of a kind is not short of it: only what it does keep can run out.
  const kept = new Set(shelf.map(({ item }) => item.kind))
  const short = wanted.filter((row) => row.short && kept.has(row.need.item))
  if (short[0]) return { kind: 'short', wanted: short[0], more: short.length - 1 }
  const soon = shelf.filter(({ standing }) => standing === 'soon')
  if (soon[0]) return { kind: 'soon', on: soon[0], more: soon.length - 1 }
  const dated = shelf.filter(({ standing, untilOn }) => standing === 'good' && untilOn)
  return { kind: 'in-date', next: dated[0] ?? null }
}
