import { type Msg, msg } from '../sources/source.js'

export const SHELF_LIFE_MONTHS = 24
const iso = (t: number): string => new Date(t).toISOString().slice(0, 10)

/**
 * Midnight UTC of a real calendar day written YYYY-MM-DD, else null.
 * @example midnightOf('2026-11-28') // 1_795_824_000_000
 */
export function midnightOf(text: string): number | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text)
  if (!match) return null
  const atMs = Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]))
  return iso(atMs) === text ? atMs : null
}

/**
 * A day some calendar months later; the last day of the month where that day does not exist.
 * @example addMonths('2026-01-31', 1) // '2026-02-28'
 */
export function addMonths(day: string, months: number): string {
  const [y, month, date] = day.split('-').map(Number) as [number, number, number]
  const lastOfMonth = new Date(Date.UTC(y, month + months, 0)).getUTCDate()
  return iso(Date.UTC(y, month - 1 + months, Math.min(date, lastOfMonth)))
}

export type Filling =
  | { ok: true; filledOn: string; expiresOn: string; expired: boolean }
  | { ok: false; field: 'code' | 'on'; why: Msg }

/**
 * Dates of a cement tin from its ordinal code (two digits of the year, three of the day, more may follow).
 * Expires 24 calendar months after filling, which is the last good day. Source: `cp-shelf-life`.
 * @example fillingOf('25245B7', '2026-11-28').expiresOn // '2027-09-02'
 */
export function fillingOf(code: string, on: string): Filling {
  if (midnightOf(on) === null) return { ok: false, field: 'on', why: msg('not-a-date', { text: on }) }
  const match = /^(\d{2})(\d{3})/.exec(code)
  if (!match) return { ok: false, field: 'code', why: msg('not-a-tin-code', { text: code }) }
  const year = 2000 + Number(match[1])
  const ordinal = Number(match[2])
  const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0
  if (ordinal < 1 || ordinal > (leap ? 366 : 365))
    return { ok: false, field: 'code', why: msg('no-such-day', { year, ordinal }) }
  const filledOn = iso(Date.UTC(year, 0, ordinal))
  const expiresOn = addMonths(filledOn, SHELF_LIFE_MONTHS)
  return { ok: true, filledOn, expiresOn, expired: on > expiresOn }
}
