import type { Item } from '../../log/state.js'
import { type Reaches, lengthBetween } from './reach.js'
import type { Leg } from './walked.js'

/**
 * The way inside a pipe to a saddle on it, from where the pipe begins: what was measured along it, and what the fitting
 * there reaches where it was measured from that one's face. Not known on a bent tube.
 */
export function legTo(saddle: Item, pipe: Item, leg: Leg, reaches: Reaches): Leg {
  const { firstMm } = lengthBetween({ ...pipe, measuredMm: pipe.measuredMm ?? 0 }, reaches)
  return {
    item: null,
    from: leg.from,
    to: -1,
    lengthMm: (firstMm ?? 0) + (saddle.alongMm ?? 0),
    known: firstMm !== undefined && !leg.viaMm.length,
    heading: leg.heading,
    viaMm: [],
    toLevel: false,
    insidePipe: pipe,
  }
}
