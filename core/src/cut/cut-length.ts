export type Measure = 'centre-centre' | 'centre-face' | 'face-face' | 'end-end'
export interface RunEnd {
  /** Fitting centre to socket face or stop, mm. */
  takeOffMm?: number | null
  takeOffTo?: 'face' | 'stop' | null
  /** How far the pipe goes into the socket, mm. */
  insertionMm?: number | null
  gapMm?: number | null
}
export type CutLength =
  | { ok: true; cutMm: number }
  | { ok: false; reason: 'missing'; field: string }
  | { ok: false; reason: 'too-short'; cutMm: number }

/** Which ends of a measure lie at a fitting's centre. */
const CENTRES: Readonly<Record<Measure, readonly boolean[]>> = {
  'centre-centre': [true, true],
  'centre-face': [true, false],
  'face-face': [false, false],
  'end-end': [false, false],
}

/**
 * Length to cut: measure − take-offs of centre ends + insertions (none where the take-off reaches to the stop) − gaps.
 * All in mm. Source: `cp-cut-length`.
 */
export function cutLength(measure: Measure, measuredMm: number, ends: readonly RunEnd[]): CutLength {
  let cutMm = measuredMm
  for (let i = 0; i < 2; i++) {
    const end = ends[i] ?? {}
    if (CENTRES[measure][i]) {
      if (end.takeOffMm === undefined || end.takeOffMm === null)
        return { ok: false, reason: 'missing', field: `ends[${i}].takeOffMm` }
      cutMm -= end.takeOffMm
    }
    if (measure !== 'end-end' && end.takeOffTo !== 'stop') {
      if (end.insertionMm === undefined || end.insertionMm === null)
        return { ok: false, reason: 'missing', field: `ends[${i}].insertionMm` }
      cutMm += end.insertionMm
    }
    cutMm -= end.gapMm ?? 0
  }
  return cutMm > 0 ? { ok: true, cutMm } : { ok: false, reason: 'too-short', cutMm }
}
