import type { Size } from '../../sizes/size.js'
import { outsideDiameterMm } from '../../sizes/size.js'
import { type Fig, type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { inchToMm } from '../../units/units.js'
import GROOVES_FILE from './roll-grooves.json' with { type: 'json' }

/** A standard roll groove, mm. Source: `awwa-c606`. */
export interface Groove {
  /** From the pipe's end to the groove: where the gasket seals. */
  seatMm: number
  widthMm: number
  /** Measured in the groove: at most this, at least `leastMm`. */
  mostMm: number
  leastMm: number
  /** Thinnest wall that is rolled. */
  wallMm: number
}
const GROOVES = tableOf(GROOVES_FILE, 'awwa-c606')
export const TABLES = [GROOVES]

/**
 * The groove of a pipe size; null where none is listed.
 * @example grooveOf(parseSize('NPS 2'))?.leastMm // 56.77
 */
export function grooveOf(size: Size): Groove | null {
  const row = GROOVES.at(size.text)
  return row
    ? {
        seatMm: row.seat,
        widthMm: row.width,
        mostMm: row.diameter,
        leastMm: row.diameter - row.under,
        wallMm: row.wall,
      }
    : null
}
/**
 * How far the ends of the pipe may stand apart at most, mm. Source: `cp-grooved-gap`.
 * @example largestGap(parseSize('NPS 2')).value // 1.59
 */
export const largestGap = (size: Size): Fig =>
  fig(inchToMm(size.nominal < 4 ? 1 / 16 : 1 / 8), 'cp-grooved-gap')

/**
 * By how much a flexible coupling may be bent, degrees: the whole gap taken up on one side. Source:
 * `grooved-deflection`.
 * @example mostDeflection(parseSize('NPS 2'), 3).value // 2.85
 */
export function mostDeflection(size: Size, gapMm: number): Fig {
  const od = outsideDiameterMm(size)
  return od === null
    ? noFig(msg('size-not-made', { material: 'carbon-steel', size: size.text }))
    : fig((Math.atan2(gapMm, od) * 180) / Math.PI, 'grooved-deflection')
}

/** A diameter tape is read to this, mm. */
const READ_MM = 0.01
/**
 * Judges a groove by its diameter.
 * @param mm as read in the groove, mm; null: not read.
 * @returns nothing where it is right. Too shallow is rolled deeper; too deep is cut off.
 */
export function judgeGroove(groove: Groove | null, mm: number | null): Finding[] {
  if (!groove || mm === null) return []
  const params = { mm, mostMm: groove.mostMm, leastMm: groove.leastMm }
  if (mm > groove.mostMm + READ_MM) return [finding('stop', 'groove-shallow', 'awwa-c606', params)]
  return mm < groove.leastMm - READ_MM ? [finding('stop', 'groove-deep', 'awwa-c606', params)] : []
}
