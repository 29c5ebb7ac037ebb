import type { Fig, Finding, SourceId } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import { fig, finding } from '../../sources/source.js'
import { pressDepthMm } from '../../sizes/insertions.js'
import type { Size } from '../../sizes/size.js'
import { inchToMm } from '../../units/units.js'

const EPSILON_MM = 1e-6
export const COATING_MAX_MM = 0.3
export const GOOD_LUBRICANTS: readonly string[] = ['water', 'soap', 'none']
/** Highest pressures of the leak-if-unpressed check, psi. Source: `cp-press-leak-check`. */
export const LEAK_CHECK_PSI = { air: 45, water: 85 } as const

/**
 * Least distance to a weld or bend in mm: 4 in to NPS 1-1/2 and d44, 6 in above. Source: `cp-press-clearance`.
 * @example pressClearance(parseSize('d22')).value // 101.6
 */
export function pressClearance(size: Size): Fig {
  const small = size.family === 'd' ? size.nominal <= 44 : size.nominal <= 1.5
  return fig(inchToMm(small ? 4 : 6), 'cp-press-clearance')
}

export interface PressReadings {
  depthMm?: number | null
  depthRequiredMm?: number | null
  toWeldMm?: number | null
  toBendMm?: number | null
  coatingMm?: number | null
  stamped?: boolean | null
  lubricant?: string | null
  indicatorGone?: boolean | null
  markAtEdge?: boolean | null
}
export interface PressVerdict {
  verdict: 'pass' | 'fail' | 'unknown'
  findings: Finding[]
  /** What nobody read: it plays no part in the verdict, except indicator and mark. */
  unread: string[]
  depthRequired: Fig
}

/**
 * Judges a press joint. Indicator and mark decide whether it was pressed at full depth: not gone but mark at the edge
 * may be a stuck tab, so it can't be told. Distances and coating in mm; the user's depth wins over the generic one.
 */
export function judgePress(material: string, size: Size, readings: PressReadings): PressVerdict {
  const findings: Finding[] = []
  const say = (code: Code, source: SourceId, params: Record<string, string | number> = {}): void => {
    findings.push(finding('stop', code, source, params))
  }
  const depthRequired =
    typeof readings.depthRequiredMm === 'number'
      ? fig(readings.depthRequiredMm, 'given')
      : pressDepthMm(material, size)
  if (
    depthRequired.value !== null &&
    typeof readings.depthMm === 'number' &&
    readings.depthMm < depthRequired.value - EPSILON_MM
  )
    say('press-short', depthRequired.source, { depthMm: readings.depthMm, neededMm: depthRequired.value })
  const clearance = pressClearance(size)
  for (const [to, mm] of [
    ['weld', readings.toWeldMm],
    ['bend', readings.toBendMm],
  ] as const)
    if (typeof mm === 'number' && mm < (clearance.value as number) - EPSILON_MM)
      say('press-too-close', 'cp-press-clearance', { to, mm, neededMm: clearance.value as number })
  if (typeof readings.coatingMm === 'number' && readings.coatingMm > COATING_MAX_MM + EPSILON_MM)
    say('press-coating', 'cp-press-surface', { mm: readings.coatingMm })
  if (readings.stamped) say('press-stamped', 'cp-press-surface')
  if (readings.lubricant && !GOOD_LUBRICANTS.includes(readings.lubricant))
    say('press-lubricant', 'cp-press-lubricant', { lubricant: readings.lubricant })
  const gone = readings.indicatorGone ?? null
  const edge = readings.markAtEdge ?? null
  if (edge === false) say(gone ? 'press-mark-moved' : 'press-not-pressed', 'cp-press-steps')
  else if (gone === false) findings.push(finding('warn', 'press-tab-there', 'cp-press-steps'))
  const unread = (
    [
      'depthMm',
      'toWeldMm',
      'toBendMm',
      'coatingMm',
      'stamped',
      'lubricant',
      'indicatorGone',
      'markAtEdge',
    ] as const
  ).filter((k) => readings[k] === undefined || readings[k] === null)
  const verdict = findings.some((f) => f.level === 'stop') ? 'fail' : gone && edge ? 'pass' : 'unknown'
  return { verdict, findings, unread, depthRequired }
}
