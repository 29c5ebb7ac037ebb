import type { Item } from '../../log/state.js'
import type { EndAt, Fitted } from '../../parts/neighbours.js'
import { atCentre } from '../cut-length.js'
import type { Code } from '../../sources/wording.js'

/** What is known of how far fittings reach from their centres, and of what meets. */
export interface Reaches {
  /** What an end of a part meets, of its own line or of another. */
  met(item: Item, end: 0 | 1): Fitted | null
  /** Centre to face or stop of an end, mm; null where nobody measured it. */
  takeOff(fitting: Item, at: EndAt): { mm: number; to: 'face' | 'stop' } | null
  /**
   * How far a joint goes into an end of a fitting, mm; null where that is not known.
   * @param item that holds the joint: the pipe, or the later of two fittings.
   */
  depthMm(item: Item, end: 0 | 1, fitting: Item, at: EndAt): number | null
}

interface Met extends Fitted {
  item: Item
  end: 0 | 1
}
/** Centre to face. */
function faceMm({ fitting, at, item, end }: Met, reaches: Reaches): number | null {
  const takeOff = reaches.takeOff(fitting, at)
  if (!takeOff) return null
  if (takeOff.to === 'face') return takeOff.mm
  const depth = reaches.depthMm(item, end, fitting, at)
  return depth === null ? null : takeOff.mm + depth
}
/** Centre to where the pipe stops. */
function stopMm(met: Met, reaches: Reaches): number | null {
  const takeOff = reaches.takeOff(met.fitting, met.at)
  if (!takeOff) return null
  if (takeOff.to === 'stop') return takeOff.mm
  const depth = reaches.depthMm(met.item, met.end, met.fitting, met.at)
  return depth === null ? null : takeOff.mm - depth
}

/** The way between two centres, or a centre and a bare end. What is lacking has the parts that are known. */
export type LengthBetween =
  | { mm: number; firstMm: number; lastMm: number }
  | { mm: null; firstMm?: number; lastMm?: number; lacks: Code; fitting: string | null; knownMm: number }

/** Centre to centre, or to a bare end, of what a pipe was measured between, mm. */
export function lengthBetween(item: Item, reaches: Reaches): LengthBetween {
  const measure = item.measure ?? 'centre-centre'
  const ends = ([0, 1] as const).map((end): number | Met => {
    const met = reaches.met(item, end)
    return !met || atCentre(measure, end) ? 0 : { ...met, item, end }
  })
  const more = ends.map((end) =>
    typeof end === 'number' ? end : measure === 'end-end' ? stopMm(end, reaches) : faceMm(end, reaches),
  ) as [number | null, number | null]
  const knownMm = (more[0] ?? 0) + (more[1] ?? 0)
  const lacking = more.indexOf(null)
  if (lacking >= 0)
    return { mm: null, lacks: 'space-no-reach', fitting: (ends[lacking] as Met).fitting.tag, knownMm }
  if (item.measuredMm === null) return { mm: null, lacks: 'space-no-measure', fitting: null, knownMm }
  return { mm: item.measuredMm + knownMm, firstMm: more[0] as number, lastMm: more[1] as number }
}

/** Centre to centre of a fitting and what it stands on, mm; null where a reach is not known. */
export function reachBetween({ fitting, at }: Fitted, to: Item, reaches: Reaches): number | null {
  // The bare end of a pipe is where it is.
  const [first, second] = [
    fitting.type === 'piece' ? 0 : faceMm({ fitting, at, item: to, end: 0 }, reaches),
    faceMm({ fitting: to, at: 0, item: to, end: 0 }, reaches),
  ]
  const depth = reaches.depthMm(to, 0, fitting, at)
  return first === null || second === null || depth === null ? null : first + second - depth
}
