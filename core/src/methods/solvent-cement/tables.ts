import type { SourceId } from '../../sources/source.js'
import { type Table, tableOf } from '../../sources/table.js'
import type { CURE_TABLES } from '../cure/rule.js'
import CURRENT_CURE from './current-cure.json' with { type: 'json' }
import CURRENT_SET from './current-set.json' with { type: 'json' }
import OLD_CURE from './d2855-96-cure.json' with { type: 'json' }
import OLD_SET from './d2855-96-set.json' with { type: 'json' }

/** Seconds that are asked for between two temperatures. */
export interface Band {
  fromC: number
  toC: number
  seconds: number
}
/** One edition's schedule: for each band of sizes when a joint is set, and when it has cured for a pressure. */
export interface CureTable {
  id: (typeof CURE_TABLES)[number]
  source: SourceId
  /** Upper edges of the size bands, nominal inches. */
  sizeToInch: readonly number[]
  /** By size band, the warmest temperatures first; set bands may be finer than cure bands. */
  set: readonly (readonly Band[])[]
  /** By size band: pressures in ascending order. */
  cure: readonly (readonly { toBar: number; bands: readonly Band[] }[])[]
}

interface Bands {
  /** Upper edge of the size band, nominal inches. */
  to: number
  /** Temperatures, °C. */
  from: number
  until: number
}
type SetRows = Table<Bands & { set: number }>
type CureRows = Table<Bands & { pressure: number; cure: number }>
const different = (list: readonly number[]): number[] => [...new Set(list)]
function scheduleOf(id: CureTable['id'], set: SetRows, cure: CureRows): CureTable {
  const sizeToInch = different(cure.rows.map((row) => row.to))
  const band = (row: Bands, seconds: number): Band => ({
    fromC: row.from,
    toC: row.until,
    seconds,
  })
  return {
    id,
    source: cure.source,
    sizeToInch,
    set: sizeToInch.map((to) => set.rows.filter((row) => row.to === to).map((row) => band(row, row.set))),
    cure: sizeToInch.map((to) => {
      const rows = cure.rows.filter((row) => row.to === to)
      return different(rows.map((row) => row.pressure)).map((toBar) => ({
        toBar,
        bands: rows.filter((row) => row.pressure === toBar).map((row) => band(row, row.cure)),
      }))
    }),
  }
}
const FILES = {
  current: [tableOf(CURRENT_SET, 'astm-d2855'), tableOf(CURRENT_CURE, 'astm-d2855')],
  'd2855-96': [tableOf(OLD_SET, 'astm-d2855-96'), tableOf(OLD_CURE, 'astm-d2855-96')],
} as const

export const TABLE_FILES = Object.values(FILES).flat()

/** Set and cure schedules by their id. Sources: `astm-d2855`, `astm-d2855-96`. */
export const TABLES: Readonly<Record<string, CureTable>> = {
  current: scheduleOf('current', ...FILES.current),
  'd2855-96': scheduleOf('d2855-96', ...FILES['d2855-96']),
}

/** Half again on cure in damp air. */
export const HUMID_FACTOR = 1.5
