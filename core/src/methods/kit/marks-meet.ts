import { type Finding, finding, msg } from '../../sources/source.js'
import type { Field } from '../method.js'
import { numberOf, passing } from './inspection.js'
import { type BaseSpec, odOf } from './spec.js'

/** What is read where a fitting is turned about its pipe: how far its mark and the pipe's stand apart, along the surface. */
export const MARKS_APART: Field = {
  key: 'marksApartMm',
  label: msg('field-marks-apart'),
  needed: false,
  unit: 'mm',
  min: 0,
  max: 500,
  control: 'length',
}
/** Turned by more than this what comes next is felt to be off, degrees (ours). */
const MOST_DEG = 2

/**
 * How far round its pipe a turn is, along the surface, mm. Source: `arc-round-pipe`.
 * @param turnDeg degrees. @param odMm outside diameter.
 * @example roundMm(90, 100).toFixed(1) // '78.5'
 */
export const roundMm = (turnDeg: number, odMm: number): number => (Math.PI * odMm * turnDeg) / 360

/** What marks that do not meet say: the joint is as tight, and points elsewhere. */
export function judgeMarks(spec: BaseSpec, readings: Readonly<Record<string, unknown>>): Finding[] {
  const mm = numberOf(readings, MARKS_APART.key)
  if (mm === null) return []
  const deg = mm / roundMm(1, odOf(spec))
  return deg > MOST_DEG ? [passing(finding('warn', 'marks-apart', 'arc-round-pipe', { mm, deg }))] : []
}
