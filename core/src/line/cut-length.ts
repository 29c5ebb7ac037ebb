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
const CENTRES: Readonly<Record<Measure, readonly [boolean, boolean]>> = {
  'centre-centre': [true, true],
  'centre-face': [true, false],
  'face-face': [false, false],
  'end-end': [false, false],
}

/** Does a measure begin (0) or end (1) at a fitting's centre? */
export const atCentre = (measure: Measure, end: 0 | 1): boolean => CENTRES[measure][end]
/**
 * Is what goes into the fitting added to the cut at this end? Not where the measure runs from pipe end to pipe end, nor
 * at a centre whose take-off reaches to the stop, which has it in already. At an end that was measured to its face it
 * is, whatever the fitting's take-off is to.
 */
export const addsInsertion = (measure: Measure, end: 0 | 1, takeOffTo: RunEnd['takeOffTo']): boolean =>
  measure !== 'end-end' && !(atCentre(measure, end) && takeOffTo === 'stop')

/**
 * Length to cut: measure − take-offs of centre ends + insertions (see `addsInsertion`) − gaps. All in mm. Source: `cp-cut-length`.
 */
export function cutLength(measure: Measure, measuredMm: number, ends: readonly RunEnd[]): CutLength {
  let cutMm = measuredMm
  for (const i of [0, 1] as const) {
    const end = ends[i] ?? {}
    if (atCentre(measure, i)) {
      if (end.takeOffMm === undefined || end.takeOffMm === null)
        return { ok: false, reason: 'missing', field: `ends[${i}].takeOffMm` }
      cutMm -= end.takeOffMm
    }
    if (addsInsertion(measure, i, end.takeOffTo)) {
      if (end.insertionMm === undefined || end.insertionMm === null)
        return { ok: false, reason: 'missing', field: `ends[${i}].insertionMm` }
      cutMm += end.insertionMm
    }
    cutMm -= end.gapMm ?? 0
  }
  return cutMm > 0 ? { ok: true, cutMm } : { ok: false, reason: 'too-short', cutMm }
}
