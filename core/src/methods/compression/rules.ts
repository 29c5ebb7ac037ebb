import type { Size } from '../../sizes/size.js'
import type { Fig, SourceId } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import SERVICE_FILE from './service-turns.json' with { type: 'json' }

export const KINDS = ['twin-ferrule', 'packed-nut', 'grip-nut', 'stop-nut', 'stab'] as const
export type CompressionKind = (typeof KINDS)[number]
export interface Turns {
  start: 'finger' | 'tube-tight' | 'first-compression' | 'stop' | 'push'
  turnsMin: number | null
  turnsMax: number | null
  /** Sixths of a turn: flats of a hexagon nut. */
  flatsMin: number | null
  /** Where a mark that begins at 6 o'clock ends. */
  markEndsAtClock: number | null
  source: SourceId
  /** Above 1 in and 25 mm the ferrules are pre-set with a hydraulic tool. */
  preset: boolean
}
const REMAKE_TURNS = 0.25
const SMALL_TURNS = 0.75
const FULL_TURNS = 1.25
const SERVICE = tableOf(SERVICE_FILE, 'cp-service-turns')
export const TABLES = [SERVICE]
/** Nominal diameter in inches and whether a size is at most (inch, mm). */
const atMost = (size: Size, inch: number, mm: number): boolean =>
  size.family === 'd' ? size.nominal <= mm : size.nominal <= inch
const from = (size: Size, inch: number, mm: number): boolean =>
  size.family === 'd' ? size.nominal >= mm : size.nominal >= inch

/** A mark at 6 o'clock, moved clockwise by so many turns, ends at this hour. */
const clockAfter = (turns: number): number => ((6 + turns * 12 - 1) % 12) + 1

/**
 * How far to tighten. Twin ferrule: 1-1/4 turns from finger tight, or from tube-tight at 1/2 in, 12 mm and above or in
 * hard alloys; 3/4 turn to 3/16 in and 4 mm; a remake goes to finger tight and about a quarter. Common practice.
 */
export function turnsFor(kind: CompressionKind, size: Size, hardAlloy: boolean, remake: boolean): Turns {
  const service = SERVICE.at(kind)
  if (service) {
    const { start, turnsMin, turnsMax } = service
    return {
      start: start as Turns['start'],
      turnsMin,
      turnsMax,
      flatsMin: turnsMin === null ? null : turnsMin * 6,
      markEndsAtClock: null,
      source: SERVICE.source,
      preset: false,
    }
  }
  const preset = !atMost(size, 1, 25)
  const turns = remake ? REMAKE_TURNS : atMost(size, 3 / 16, 4) ? SMALL_TURNS : FULL_TURNS
  return {
    start: !remake && (hardAlloy || from(size, 0.5, 12)) ? 'tube-tight' : 'finger',
    turnsMin: turns,
    turnsMax: turns,
    flatsMin: turns * 6,
    markEndsAtClock: remake ? null : clockAfter(turns),
    source: 'cp-compression-turns',
    preset,
  }
}

/** The same with the turns a maker asks for; where a nut runs to its stop nothing is counted, whatever a chart says. */
export function byMaker(usual: Turns, own: Fig | null): Turns {
  if (own?.value == null || usual.turnsMin === null) return usual
  const turns = own.value
  return {
    ...usual,
    turnsMin: turns,
    turnsMax: turns,
    flatsMin: turns * 6,
    markEndsAtClock: usual.markEndsAtClock === null ? null : clockAfter(turns),
    source: own.source,
  }
}

/** How far a count of turns may lie off and still pass: a sixth, one flat (ours). */
export const TURNS_TOLERANCE = 1 / 6
