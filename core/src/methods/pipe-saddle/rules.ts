import { type Finding, finding } from '../../sources/source.js'

/** What a saddle asks of its hole, mm: null where its maker's figure is not given. */
export interface HoleAsked {
  holeMm: number | null
  holeMostMm: number | null
}
/** A caliper across a sawn hole is read to this, mm. */
const READ_MM = 0.25

/**
 * Judges a hole by its diameter.
 * @param mm as read, mm; null: not read.
 * @returns nothing where the collar goes in and the gasket has its seat. Too small is cut to size; too large is not
 * mended; where nobody gave what the saddle takes, no reading can be judged good.
 */
export function judgeHole({ holeMm, holeMostMm }: HoleAsked, mm: number | null): Finding[] {
  if (mm === null) return []
  if (holeMm === null && holeMostMm === null)
    return [finding('warn', 'saddle-hole-unknown', 'given', { mm }, 'holeMm')]
  const mostMm = holeMostMm ?? holeMm
  if (mostMm !== null && mm > mostMm + READ_MM)
    return [finding('stop', 'saddle-hole-large', 'given', { mm, mostMm })]
  return holeMm !== null && mm < holeMm - READ_MM
    ? [finding('stop', 'saddle-hole-small', 'given', { mm, holeMm })]
    : []
}
