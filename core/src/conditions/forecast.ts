import Papa from 'papaparse'
import { type Msg, msg } from '../sources/source.js'
import { epochInZone } from '../units/zone.js'

export const FORECAST_HEADER = 'time,temperature'
const MOST_ROWS = 2000

export interface ForecastFault {
  line: number
  column: string
  says: Msg
}
/**
 * A forecast from CSV: a time (`2026-11-26 14:00` on the job's clocks, or with `T`, or with an offset) and a
 * temperature a row. All rows or none. @param toC turns a figure as it stands there into °C.
 */
export function readForecast(
  text: string,
  zone: string,
  toC: (figure: number) => number,
): { ok: true; rows: { atS: number; value: number }[] } | { ok: false; faults: ForecastFault[] } {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const [head, ...body] = data
  const columns = (head ?? []).map((c) => c.trim().toLowerCase())
  const at = columns.indexOf('time')
  const of = columns.indexOf('temperature')
  if (at < 0 || of < 0)
    return {
      ok: false,
      faults: [{ line: 1, column: 'header', says: msg('chart-header', { header: FORECAST_HEADER }) }],
    }
  if (!body.length) return { ok: false, faults: [{ line: 2, column: 'time', says: msg('forecast-empty') }] }
  if (body.length > MOST_ROWS)
    return {
      ok: false,
      faults: [{ line: MOST_ROWS + 2, column: 'time', says: msg('forecast-long', { most: MOST_ROWS }) }],
    }
  const faults: ForecastFault[] = []
  const rows = body.map((cells, i) => {
    const said = (cells[at] ?? '').trim()
    const atS = timeOf(said, zone)
    const figure = (cells[of] ?? '').trim()
    const value = /^-?\d+([.,]\d+)?$/.test(figure) ? toC(Number(figure.replace(',', '.'))) : NaN
    if (atS === null) faults.push({ line: i + 2, column: 'time', says: msg('forecast-time', { text: said }) })
    if (!(value >= -60 && value <= 60))
      faults.push({ line: i + 2, column: 'temperature', says: msg('forecast-value', { text: figure }) })
    return { atS: atS ?? 0, value: Math.round(value * 10) / 10 }
  })
  return faults.length ? { ok: false, faults } : { ok: true, rows }
}

function timeOf(text: string, zone: string): number | null {
  if (/(Z|[+-]\d{2}:?\d{2})$/.test(text)) {
    const ms = Date.parse(text.replace(' ', 'T'))
    return Number.isFinite(ms) ? ms / 1000 : null
  }
  const [date = '', time = ''] = text.split(/[T ]/)
  return epochInZone(date, time, zone)
}
