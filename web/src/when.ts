import { type Language, epochInZone } from '@jugalis/core'
import { ref } from 'vue'
import { languageNow, word } from './words/word'

/** Clock times as people of a job read them: in the job's zone, with the day named when it is not today. */
const TIMES_IN: Readonly<Record<Language, string>> = { en: 'en-GB', es: 'es', pseudo: 'en-GB' }
const cache = new Map<string, Intl.DateTimeFormat>()
function format(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const locale = TIMES_IN[languageNow()]
  const key = locale + zone + JSON.stringify(options)
  let format = cache.get(key)
  if (!format) {
    try {
      format = new Intl.DateTimeFormat(locale, { ...options, timeZone: zone })
    } catch {
      format = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' })
    }
    cache.set(key, format)
  }
  return format
}
/** Clock times of 24 hours or of twice 12, as the person reads them: set by their choices. */
export const hours = ref<24 | 12>(24)
const TIME = { minute: '2-digit' } as const
const asRead = (): Intl.DateTimeFormatOptions =>
  hours.value === 12
    ? { ...TIME, hour: 'numeric', hour12: true }
    : { ...TIME, hour: '2-digit', hour12: false }
export const hhmm = (atS: number, zone: string): string => format(zone, asRead()).format(atS * 1000)
export const hhmmss = (atS: number, zone: string): string =>
  format(zone, { ...asRead(), second: '2-digit' }).format(atS * 1000)
/** The same to reckon with, whatever is shown: `14:05`. */
const hhmm24 = (atS: number, zone: string): string =>
  format(zone, { hour: '2-digit', minute: '2-digit', hour12: false }).format(atS * 1000)
const day = (atS: number, zone: string): string =>
  format(zone, { year: 'numeric', month: '2-digit', day: '2-digit' }).format(atS * 1000)
export const weekday = (atS: number, zone: string): string =>
  format(zone, { weekday: 'short' }).format(atS * 1000)
export const date = (atS: number, zone: string): string =>
  format(zone, { weekday: 'short', day: 'numeric', month: 'short' }).format(atS * 1000)

/** With its day, whatever day it is looked at: for what stays. `Fri 4 Dec 08:10`. */
export const dated = (atS: number, zone: string): string => `${date(atS, zone)} ${hhmm(atS, zone)}`

/** A calendar day that is kept as one, `2026-12-04`: `4 Dec 2026`. */
export const dayText = (on: string): string =>
  format('UTC', { day: 'numeric', month: 'short', year: 'numeric' }).format(Date.parse(`${on}T00:00:00Z`))

/** The month of a calendar day: `Dec`. */
export const monthText = (on: string): string =>
  format('UTC', { month: 'short' }).format(Date.parse(`${on}T00:00:00Z`))

/** For papers, which are read years later and elsewhere: `Fri 4 Dec 2026, 08:10 GMT+1`. */
export const onPaper = (atS: number, zone: string): string =>
  `${format(zone, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' }).format(atS * 1000)}, ${format(zone, { ...asRead(), timeZoneName: 'short' }).format(atS * 1000)}`

/** What is to come is rounded up to the minute, never early; what was stands in the minute it was in, on every screen. */
const minuteOf = (atS: number, nowS: number): number =>
  atS > nowS ? Math.ceil(atS / 60) * 60 : Math.floor(atS / 60) * 60

/** `08:10`, `08:10 tomorrow`, `Fri 08:10`, `Fri 4 Dec 08:10`. */
export function when(atS: number, nowS: number, zone: string): string {
  const minute = minuteOf(atS, nowS)
  const clock = hhmm(minute, zone)
  if (day(minute, zone) === day(nowS, zone)) return clock
  if (day(minute, zone) === day(nowS + 86400, zone)) return word('app-tomorrow', { clock })
  if (day(minute, zone) === day(nowS - 86400, zone)) return word('app-yesterday', { clock })
  return Math.abs(minute - nowS) < 6 * 86400
    ? `${weekday(minute, zone)} ${clock}`
    : `${date(minute, zone)} ${clock}`
}
/** The short form for columns: the day only when it is another one. */
export function whenShort(atS: number, nowS: number, zone: string): string {
  const minute = minuteOf(atS, nowS)
  return day(minute, zone) === day(nowS, zone)
    ? hhmm(minute, zone)
    : `${weekday(minute, zone)} ${hhmm(minute, zone)}`
}
/** The time of day of an hour mark: midnight shows the weekday. */
export const hourOf = (atS: number, zone: string): number =>
  Number(format(zone, { hour: '2-digit', hour12: false }).format(atS * 1000)) % 24

/** The last time before now that the clocks of a zone showed `14:05`, some days back if wished; null if it is no time. */
export function lastAt(text: string, nowS: number, zone: string, daysBack = 0): number | null {
  const match = /^(\d{1,2})[:.h]?(\d{2}) ?([ap]m?)?$/i.exec(text.trim())
  const half = match?.[3]?.[0]?.toLowerCase()
  const hour = match ? (half ? (Number(match[1]) % 12) + (half === 'p' ? 12 : 0) : Number(match[1])) : NaN
  const minutes = match && !(half && Number(match[1]) > 12) ? hour * 60 + Number(match[2]) : NaN
  if (!(minutes < 1440) || Number(match?.[2]) > 59) return null
  const from = nowS - daysBack * 86400
  const [hours = 0, min = 0] = hhmm24(from, zone).split(':').map(Number)
  const back = daysBack ? hours * 60 + min - minutes : (hours * 60 + min - minutes + 1440) % 1440
  const atS = Math.floor(from / 60) * 60 - back * 60
  // Where the clocks were changed in between, the first guess is an hour off.
  const wanted = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  return [atS, atS + 3600, atS - 3600].find((t) => t <= nowS && hhmm24(t, zone) === wanted) ?? atS
}

/**
 * An instant that was, as somebody says it: `14:05` is the last time it was that, `2026-11-27 14:05` that day, the day
 * alone its begin or, where the end of something is said, its end. Null if it is none.
 */
export function saidAt(text: string, nowS: number, zone: string, ends = false): number | null {
  const [, day, time] = /^(\d{4}-\d{2}-\d{2})(?:[ T]+(\S+))?$/.exec(text.trim()) ?? []
  if (day === undefined) return lastAt(text, nowS, zone)
  if (time !== undefined) return epochInZone(day, time, zone)
  const beganS = epochInZone(day, '00:00', zone)
  return beganS === null || !ends ? beganS : Math.min(nowS, beganS + 86_400)
}
