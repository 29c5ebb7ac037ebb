/**
 * Pressure that a squeezed ring holds back, bar: its squeeze stress over what it asks for (the m of ASME VIII-1, appendix
 * 2: about 1 for rubber), and nothing where it is not squeezed.
 * @param squeeze share of its thickness, 0 or more. @param moduliMPa stress at a full squeeze of the rubber, MPa, about ten
 * times its modulus at small ones. @example ringBar(0, 5) // 0
 */
export const ringBar = (squeeze: number, moduliMPa: number): number => 10 * moduliMPa * Math.max(0, squeeze)

/**
 * Squeeze that is left once rubber or PTFE has flowed: it loses a share of itself for each tenfold of time (stress
 * relaxation is a line over the logarithm of time; slope ours).
 * @param hours since. @param perDecade share lost. @example relaxed(0.3, 1, 0.05) // 0.3
 */
export const relaxed = (squeeze: number, hours: number, perDecade: number): number =>
  squeeze * Math.max(0.2, 1 - perDecade * Math.max(0, Math.log10(Math.max(1, hours))))
