/** What tightening a bolt takes off the one beside it, and off the next: shares of what was added. */
export interface Interaction {
  beside: number
  next: number
}
/**
 * Ours, for soft gaskets, after what ASME PCC-1 says of elastic interaction: the neighbour loses most, those further
 * away little, and opposite nothing.
 */
export const SOFT_GASKET: Interaction = { beside: 0.18, next: 0.04 }

/** A bolt tightened to so much of its load. Bolts count from 0, clockwise. */
export interface Pull {
  bolt: number
  to: number
}
/**
 * Loads of the bolts of a flange after they were tightened one by one: each pull brings its own bolt to its load and
 * slackens its neighbours by a share of what was added.
 * @param count of bolts, 2 or more. @returns shares of the full load, 0 or more.
 */
export function tightened(count: number, pulls: readonly Pull[], by: Interaction = SOFT_GASKET): number[] {
  const load = Array.from({ length: count }, () => 0)
  for (const { bolt, to } of pulls) {
    const added = to - (load[bolt] as number)
    // A wrench set to less than the bolt has does nothing.
    if (added <= 0) continue
    load[bolt] = to
    const slacken = (at: number, share: number): void => {
      const other = (at + count) % count
      if (other !== bolt) load[other] = Math.max(0, (load[other] as number) - share * added)
    }
    for (const side of [-1, 1]) {
      slacken(bolt + side, by.beside)
      if (count > 4) slacken(bolt + 2 * side, by.next)
    }
  }
  return load
}
/**
 * A pass over bolts in an order. @param order 1-based, as it is called out. @param to share of the full load.
 * @example pass([1, 3], 1)[1].bolt // 2
 */
export const pass = (order: readonly number[], to: number): Pull[] =>
  order.map((bolt) => ({ bolt: bolt - 1, to }))

/**
 * Press at a place round the flange, as a share: of the two bolts it lies between. @param turn 0 to 1, clockwise.
 * @example between([1, 0, 1, 0], 0.125) // 0.5
 */
export function between(loads: readonly number[], turn: number): number {
  const at = turn * loads.length
  const low = Math.floor(at) % loads.length
  const share = at - Math.floor(at)
  return (loads[low] as number) * (1 - share) + (loads[(low + 1) % loads.length] as number) * share
}
