import { type Fig, fig, msg, noFig, type SourceId } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { type Size, nominalKey } from './size.js'

/** Minimum socket lengths in inches by nominal size, as the standards print them (from memory). */
const D2466: Readonly<Record<string, number>> = {
  '1/2': 0.688,
  '3/4': 0.719,
  '1': 0.875,
  '1-1/4': 0.938,
  '1-1/2': 1.094,
  '2': 1.156,
  '2-1/2': 1.75,
  '3': 1.875,
  '4': 2,
  '6': 3,
  '8': 4,
}
const D2467: Readonly<Record<string, number>> = {
  '1/2': 0.875,
  '3/4': 1,
  '1': 1.125,
  '1-1/4': 1.25,
  '1-1/2': 1.375,
  '2': 1.5,
  '2-1/2': 1.75,
  '3': 1.875,
  '4': 2.25,
  '6': 3,
  '8': 4,
  '10': 5,
  '12': 6,
}
const D2846: Readonly<Record<string, number>> = {
  '1/2': 0.5,
  '3/4': 0.7,
  '1': 0.9,
  '1-1/4': 1.1,
  '1-1/2': 1.3,
  '2': 1.7,
}

const INCH_TABLES: Readonly<Record<string, { table: Readonly<Record<string, number>>; source: SourceId }>> = {
  'pvc 40': { table: D2466, source: 'astm-d2466' },
  'pvc 80': { table: D2467, source: 'astm-d2467' },
  'cpvc 40': { table: D2466, source: 'astm-f438' },
  'cpvc 80': { table: D2467, source: 'astm-f439' },
}

/**
 * Published minimum socket depth of a solvent-cement fitting, in mm.
 * @param schedule `40` or `80`, for inch-nominal sizes.
 * @returns the depth with its source, or why there is none. Sources: ISO 727-1, ASTM D2466, D2467, F438, F439, D2846.
 */
export function solventSocketDepth(material: string, size: Size, schedule?: string | null): Fig {
  if (size.family === 'd') return fig(Math.max(0.5 * size.nominal + 6, 12), 'iso-727-1')
  const key = nominalKey(size)
  if (size.family === 'CTS') {
    const inch = D2846[key]
    return inch === undefined
      ? noFig(msg('socket-depth-unknown', { size: size.text }))
      : fig(inchToMm(inch), 'astm-d2846')
  }
  if (!schedule) return noFig(msg('schedule-needed', { size: size.text }), 'schedule')
  const found = INCH_TABLES[`${material} ${schedule}`]
  const inch = found?.table[key]
  return found && inch !== undefined
    ? fig(inchToMm(inch), found.source)
    : noFig(msg('socket-depth-unknown', { size: `${size.text} Sch ${schedule}`, material }))
}
