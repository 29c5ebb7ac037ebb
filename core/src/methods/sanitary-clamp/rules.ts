import { flangeOdMm } from '../../sizes/hygienic.js'
import { passing } from '../kit/inspection.js'
import type { Size } from '../../sizes/size.js'
import { type Finding, finding } from '../../sources/source.js'
import { inchToMm } from '../../units/units.js'

export const TILT_WARN_DEG = 2
export const TILT_FAIL_DEG = 3
/** Gasket may stand this far into the bore (ASME BPE, 0.025 in). */
export const INTRUSION_MAX_MM = inchToMm(0.025)
const EPSILON = 1e-9
const deg = (rad: number): number => (rad * 180) / Math.PI

export interface ClampReadings {
  gapMinMm: number
  gapMaxMm: number
  gapMin2Mm?: number | null
  gapMax2Mm?: number | null
  intrusionMm: number
  jawsTouch: boolean
}
export interface ClampVerdict {
  misalignmentDeg: number
  verdict: 'pass' | 'fail'
  findings: Finding[]
}

/**
 * Tilt of two ferrules from the gaps across their flange, in degrees: atan(difference / flange diameter), two axes
 * combined as the root of the sum of squares of the tangents. Gaps in mm.
 */
export function tiltDeg(flangeMm: number, differenceMm: number, otherMm = 0): number {
  return deg(Math.atan(Math.hypot(differenceMm / flangeMm, otherMm / flangeMm)))
}

/** Judges a sanitary clamp: to 2° pass, to 3° pass with a warning, above fail; intrusion and touching jaws fail. */
export function judgeClamp(size: Size, readings: ClampReadings): ClampVerdict {
  const findings: Finding[] = []
  const second =
    typeof readings.gapMax2Mm === 'number' && typeof readings.gapMin2Mm === 'number'
      ? readings.gapMax2Mm - readings.gapMin2Mm
      : 0
  const misalignmentDeg = tiltDeg(
    flangeOdMm(size).value as number,
    readings.gapMaxMm - readings.gapMinMm,
    second,
  )
  const params = { deg: misalignmentDeg }
  if (misalignmentDeg > TILT_FAIL_DEG + EPSILON)
    findings.push(finding('stop', 'clamp-tilted', 'cp-clamp-tilt', params))
  else if (misalignmentDeg > TILT_WARN_DEG + EPSILON)
    findings.push(passing(finding('warn', 'clamp-tilt-warn', 'cp-clamp-tilt', params)))
  if (readings.intrusionMm > INTRUSION_MAX_MM + EPSILON)
    findings.push(finding('stop', 'clamp-intrusion', 'asme-bpe-intrusion', { mm: readings.intrusionMm }))
  if (readings.jawsTouch) findings.push(finding('stop', 'clamp-jaws-touch', 'cp-clamp-steps'))
  return { misalignmentDeg, verdict: findings.some((f) => f.level === 'stop') ? 'fail' : 'pass', findings }
}
