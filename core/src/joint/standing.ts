import type { JobState, StoreItem } from '../log/state.js'
import type { ItemState } from '../log/store-item.js'
import { dayOf } from '../units/zone.js'
import { usesOf } from './uses.js'

/**
 * How a thing of the store stands, the worst first: what is thrown away, found wrong (and not put right), tried and not
 * good, past its day, opened too long ago, used up, soon past its day, good.
 */
export const STANDINGS = [
  'found-wrong',
  'not-good',
  'out-of-date',
  'open-too-long',
  'soon',
  'good',
  'empty',
  'condemned',
] as const
export type Standing = (typeof STANDINGS)[number]
/** May a joint be made with a thing that stands so? One that is empty can't be, and one past its day must not be. */
export const mayBeUsed = (standing: Standing): boolean => standing === 'good' || standing === 'soon'
/** So many days before its last day a thing is said to be near it: a choice of ours, no figure of the trade. */
const SOON_DAYS = 30

export interface Stood {
  standing: Standing
  /** Last day on which it may be used: by its date, by when it was opened, or by its next service. */
  untilOn: string | null
  /** By whom it says so: its date, its opening, its service. */
  by: 'expires' | 'opened' | 'due' | null
  openedOn: string | null
}

const DAY_MS = 86_400_000
/**
 * A day so many days later.
 * @param day YYYY-MM-DD. @param days whole days, also below 0.
 * @example daysAfter('2026-12-30', 3) // '2027-01-02'
 */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)

/** When it was opened: as somebody said, or else when the first joint was made with it. Null while it is closed, epoch s. */
export function openedAtS(state: JobState, item: StoreItem): number | null {
  const said = item.states.find((s) => s.state === 'opened')?.atS
  const used = item.lot ? usesOf(state).get(item.id)?.[0]?.fromS : undefined
  return said === undefined && used === undefined ? null : Math.min(said ?? Infinity, used ?? Infinity)
}
/** Found wrong, and since then neither tried and good nor looked at by whoever services it. */
export function stillWrong(item: StoreItem, zone: string): string | null {
  const last = item.found.filter((f) => f.still).at(-1)
  if (!last) return null
  const mended =
    item.proofs.some((p) => p.good && p.atS > last.atS) ||
    (item.checkedOn !== null && item.checkedOn > dayOf(last.atS, zone))
  return mended ? null : last.says
}
/**
 * Was a thing that somebody found wrong so in a stretch of time? Where nobody said until when, it is wrong until it was
 * tried and good, or until the day it was looked at by whoever services it. @param fromS, toS epoch s.
 */
export function wasWrong(
  item: StoreItem,
  found: StoreItem['found'][number],
  { fromS, toS }: { fromS: number; toS: number },
  zone: string,
): boolean {
  if (toS < found.fromS) return false
  if (fromS <= found.toS || !found.still) return fromS <= found.toS
  const { checkedOn, proofs } = item
  const serviced = checkedOn !== null && checkedOn > dayOf(found.atS, zone) && checkedOn <= dayOf(fromS, zone)
  return !serviced && !proofs.some((p) => p.good && p.atS > found.atS && p.atS <= fromS)
}
/** The first of the days it has, with what it is. */
function lastDay(item: StoreItem, openedOn: string | null): Pick<Stood, 'untilOn' | 'by'> {
  const all = (
    [
      ['expires', item.expiresOn],
      ['opened', openedOn && item.openDays ? daysAfter(openedOn, item.openDays) : null],
      ['due', item.dueOn],
    ] as const
  ).flatMap(([by, untilOn]) => (untilOn ? [{ by, untilOn }] : []))
  return all.sort((a, b) => (a.untilOn < b.untilOn ? -1 : 1))[0] ?? { by: null, untilOn: null }
}

/** How a thing stands that is past its day, by what day that was. */
const PAST: Readonly<Record<'expires' | 'opened' | 'due', Standing>> = {
  expires: 'out-of-date',
  opened: 'open-too-long',
  due: 'out-of-date',
}
/** What speaks against a thing whatever the day. */
function heldBack(item: StoreItem, zone: string, gone: ItemState | undefined): Standing | null {
  if (gone === 'condemned' || gone === 'empty') return gone
  if (stillWrong(item, zone) !== null) return 'found-wrong'
  return item.proofs.at(-1)?.good === false ? 'not-good' : null
}

/**
 * How a thing stands at a time, by the calendar of where the job is. A last day is good to its end.
 * @param nowS epoch s.
 */
export function standingOf(state: JobState, item: StoreItem, nowS: number): Stood {
  const { zone } = state.job
  const today = dayOf(nowS, zone)
  const openS = openedAtS(state, item)
  const openedOn = openS === null ? null : dayOf(openS, zone)
  const until = lastDay(item, openedOn)
  const past = until.untilOn !== null && until.untilOn < today
  const near = until.untilOn !== null && until.untilOn <= daysAfter(today, SOON_DAYS)
  const gone = item.states.filter((s) => s.state !== 'opened').at(-1)?.state
  const held = heldBack(item, zone, gone)
  const dated = past ? PAST[until.by ?? 'due'] : near ? 'soon' : 'good'
  return { standing: held ?? dated, ...until, openedOn }
}
