import Papa from 'papaparse'
import { type Msg, msg } from '../../sources/source.js'
import { fToC, psiToBar } from '../../units/units.js'
import { epochInZone } from '../../units/zone.js'
import type { Code } from '../../sources/wording.js'

/** Which column is what, and in which unit; column numbers from 0. */
export interface LogColumns {
  time: number
  pressure: number
  temperature: number | null
  pressureUnit: 'bar' | 'psi' | 'kPa' | 'mbar'
  temperatureUnit: 'C' | 'F'
}
export interface LogFault {
  line: number
  says: Msg
}
export type LogRead =
  | {
      ok: true
      rows: { atS: number; bar: number; temperatureC: number | null }[]
      repeatedFromLine: number | null
    }
  | { ok: false; faults: LogFault[] }

const TO_BAR = { bar: 1, psi: psiToBar(1), kPa: 0.01, mbar: 0.001 } as const
const MOST_FAULTS = 20
const MOST_ROWS = 500_000
const figure = (text: string | undefined): number => {
  const plain = (text ?? '').trim()
  return plain === '' ? NaN : Number(plain.includes('.') ? plain : plain.replace(',', '.'))
}

/**
 * Rows of a file of readings, and a first guess at which column is what, from its header.
 * @example logTable('time,bar\n0,6').head // ['time', 'bar']
 */
export function logTable(text: string): { head: string[]; body: string[][]; guess: LogColumns } {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: true })
  const head = (data[0] ?? []).map((c) => c.trim())
  const find = (...words: RegExp[]): number => head.findIndex((h) => words.some((w) => w.test(h)))
  const pressure = find(/press|druck|^p$|bar|psi|kpa/i)
  const temperature = find(/temp|°c|°f|^t$/i)
  const of = head[pressure] ?? ''
  return {
    head,
    body: data.slice(1),
    guess: {
      time: Math.max(0, find(/time|date|zeit/i)),
      pressure: pressure < 0 ? 1 : pressure,
      temperature: temperature < 0 || temperature === pressure ? null : temperature,
      pressureUnit: (['mbar', 'psi', 'kPa'] as const).find((unit) => new RegExp(unit, 'i').test(of)) ?? 'bar',
      temperatureUnit: /°?f\b/i.test(head[temperature] ?? '') ? 'F' : 'C',
    },
  }
}

/**
 * Readings of a logger's file: all rows or none. Times are on the clocks of a zone, or carry their own offset. In the
 * night the clocks go back an hour comes twice: which of the two is meant is asked, once.
 * @param repeated true: the second of the two is meant where times jump back; null: nobody was asked yet, and the first
 * such line comes back.
 */
export function readLog(
  body: readonly (readonly string[])[],
  columns: LogColumns,
  zone: string,
  repeated: true | null,
): LogRead {
  if (body.length > MOST_ROWS)
    return { ok: false, faults: [{ line: 1, says: msg('log-many', { most: MOST_ROWS }) }] }
  const faults: LogFault[] = []
  const rows: { atS: number; bar: number; temperatureC: number | null }[] = []
  const fault = (line: number, code: Code, params: Record<string, string> = {}): void => {
    if (faults.length < MOST_FAULTS) faults.push({ line, says: msg(code, params) })
  }
  let repeatedFromLine: number | null = null
  let lastS = -Infinity
  const at = timesIn(zone)
  body.forEach((row, i) => {
    const line = i + 2
    const text = (row[columns.time] ?? '').trim()
    const when = at(text)
    if (when === null) return fault(line, 'log-time', { text })
    let atS = when.atS
    if (atS <= lastS) {
      // An hour back, and no more: the clocks may have gone back.
      const again = !when.own && lastS - atS <= 3600 && isRepeated(atS, zone)
      if (again) {
        repeatedFromLine ??= line
        if (repeated === null) return
        atS += 3600
      }
      if (atS <= lastS) return fault(line, 'log-backwards', { text })
    }
    const bar = figure(row[columns.pressure]) * TO_BAR[columns.pressureUnit]
    if (!Number.isFinite(bar)) return fault(line, 'log-pressure', { text: row[columns.pressure] ?? '' })
    if (bar < -1.1 || bar > 1000)
      return fault(line, 'log-pressure-range', { text: row[columns.pressure] ?? '' })
    let temperatureC: number | null = null
    if (columns.temperature !== null && (row[columns.temperature] ?? '').trim() !== '') {
      const typed = figure(row[columns.temperature])
      temperatureC = columns.temperatureUnit === 'F' ? fToC(typed) : typed
      if (!(temperatureC > -60 && temperatureC < 150))
        return fault(line, 'log-temperature', { text: row[columns.temperature] ?? '' })
    }
    lastS = atS
    rows.push({ atS, bar, temperatureC })
  })
  if (!rows.length && !faults.length && repeatedFromLine === null) fault(1, 'log-empty')
  return faults.length ? { ok: false, faults } : { ok: true, rows, repeatedFromLine }
}

const WHEN = /^(\d{4}-\d{2}-\d{2})[T ](\d{1,2}):(\d{2})(?::(\d{2})([.,]\d+)?)?\s?(Z|[+-]\d{2}:?\d{2})?$/i
/** Reads times of one zone; hours are worked out once each. A time with its own offset needs no zone. */
function timesIn(zone: string): (text: string) => { atS: number; own: boolean } | null {
  const hours = new Map<string, number | null>()
  return (text) => {
    const match = WHEN.exec(text)
    if (!match) {
      const epoch = /^\d{9,13}(\.\d+)?$/.test(text) ? Number(text) : NaN
      return Number.isFinite(epoch) ? { atS: epoch > 1e11 ? epoch / 1000 : epoch, own: true } : null
    }
    const [, day = '', hh = '', min = '', seconds = '0', part = '', offset] = match
    const key = `${day} ${hh}`
    if (offset) {
      const wholeS =
        Date.parse(`${day}T${hh.padStart(2, '0')}:${min}:${seconds.padStart(2, '0')}${offset}`) / 1000
      return Number.isNaN(wholeS) ? null : { atS: wholeS + Number(`0${part.replace(',', '.')}`), own: true }
    }
    if (!hours.has(key)) hours.set(key, epochInZone(day, `${hh}:00`, zone))
    const hour = hours.get(key) ?? null
    if (hour === null || Number(min) > 59 || Number(seconds) > 59) return null
    return {
      atS: hour + Number(min) * 60 + Number(seconds) + Number(`0${part.replace(',', '.')}`),
      own: false,
    }
  }
}
/** Does this time, on the clocks of the zone, come twice? The first of the two is what a time is read as. */
const isRepeated = (atS: number, zone: string): boolean => clockIn(atS, zone) === clockIn(atS + 3600, zone)
function clockIn(atS: number, zone: string): string {
  const parts = { hour: '2-digit', minute: '2-digit', day: '2-digit' } as const
  return new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...parts }).format(atS * 1000)
}
