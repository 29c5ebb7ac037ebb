import { smallest } from '../units/extent.js'
import { type Finding, finding } from '../sources/source.js'
import type { PieceCut } from '../line/piece.js'

/** Fittings that come apart or slide, as they are typed: a piece beside one can always be got in. */
export const OPENERS = ['union', 'flange', 'slip coupling'] as const
const OPENS: readonly string[] = [...OPENERS, 'dielectric union', 'split coupling']
/** A closing piece is cut this much too long, and then to what is measured on site. Common practice. */
export const CLOSING_SPARE_MM = 100

/**
 * Can a piece be got in between two ends that do not move? It goes into one socket first; then the other end must
 * stand back by that end's insertion, or one end must be a fitting that opens. Null while a depth is not known.
 */
export function closingFinding(piece: PieceCut): Finding | null {
  if (piece.ends.some((e) => OPENS.includes(e.fitting?.fitting ?? '')))
    return finding('note', 'closing-opens', 'cp-cut-length', { spareMm: CLOSING_SPARE_MM })
  const depths = piece.ends.map((e) => (e.jointId === null ? 0 : (e.depthMm?.value ?? null)))
  if (depths.some((d) => d === null)) return null
  const backMm = smallest(depths as number[])
  return backMm === 0
    ? finding('note', 'closing-slips-in', 'cp-cut-length', { spareMm: CLOSING_SPARE_MM })
    : finding('warn', 'closing-draw-back', 'cp-cut-length', { backMm, spareMm: CLOSING_SPARE_MM })
}
