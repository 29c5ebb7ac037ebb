import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { type Table, tableOf } from '../sources/table.js'
import { type Size, nominalKey } from './size.js'
import D2466 from './tables/d2466-sockets.json' with { type: 'json' }
import D2467 from './tables/d2467-sockets.json' with { type: 'json' }
import D2846 from './tables/d2846-sockets.json' with { type: 'json' }
import F438 from './tables/f438-sockets.json' with { type: 'json' }
import F439 from './tables/f439-sockets.json' with { type: 'json' }

const TUBE = tableOf(D2846, 'astm-d2846')
type Sockets = Table<{ depth: number }>
const BY_SCHEDULE = {
  'pvc 40': tableOf(D2466, 'astm-d2466'),
  'pvc 80': tableOf(D2467, 'astm-d2467'),
  'cpvc 40': tableOf(F438, 'astm-f438'),
  'cpvc 80': tableOf(F439, 'astm-f439'),
} as const
const inchTable = (material: string, schedule: string): Sockets | undefined =>
  (BY_SCHEDULE as Readonly<Record<string, Sockets>>)[`${material} ${schedule}`]

/**
 * Published minimum socket depth of a solvent-cement fitting, in mm.
 * @param schedule `40` or `80`, for inch-nominal sizes.
 * @returns the depth with its source, or why there is none. Sources: ISO 727-1, ASTM D2466, D2467, F438, F439, D2846.
 * @example solventSocketDepth('pvc-u', parseSize('d63')).value // 37.5
 */
export function solventSocketDepth(material: string, size: Size, schedule?: string | null): Fig {
  if (size.family === 'd') return fig(Math.max(0.5 * size.nominal + 6, 12), 'iso-727-1')
  const key = nominalKey(size)
  if (size.family === 'CTS') {
    const row = TUBE.at(key)
    return row ? fig(row.depth, TUBE.source) : noFig(msg('socket-depth-unknown', { size: size.text }))
  }
  if (!schedule) return noFig(msg('schedule-needed', { size: size.text }), 'schedule')
  const table = inchTable(material, schedule)
  const row = table?.at(key)
  return table && row
    ? fig(row.depth, table.source)
    : noFig(msg('socket-depth-unknown', { size: `${size.text} Sch ${schedule}`, material }))
}
