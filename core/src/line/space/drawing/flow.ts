import type { LineInSpace } from '../in-job.js'
import { fallsOn } from '../fall-rule.js'
import { type Flat, flatLength, flatPlus, flatTimes, flatUnit } from './view.js'

/** A pipe drawn shorter than this has no arrow. */
const SHORTEST = 84
const LONG = 8
const HIGH = 5

/**
 * Arrows of flow on the pipes of the main run: as it was said, of a drain the way it falls. None where neither is known.
 * Source: ISO 6412-1 (direction of flow: a filled arrow head on the line), from memory.
 */
export function flowSigns(
  space: LineInSpace,
  flats: readonly Flat[],
): { at: Flat; points: readonly Flat[] }[] {
  const { flows, carries } = space.line.stands ?? {}
  const sense = flows ? (flows === 'on' ? 1 : -1) : carries ? fallsOn(space) : 0
  if (!sense) return []
  return space.legs.flatMap(({ item, from, to, viaMm }) => {
    const [start, end] = [flats[from], flats[to]]
    if (!item || item.run !== undefined || viaMm.length || !start || !end) return []
    const way: Flat = [end[0] - start[0], end[1] - start[1]]
    const along = flatUnit(way)
    if (!along || flatLength(way) < SHORTEST) return []
    const on = flatTimes(along, sense)
    const aside: Flat = [-on[1], on[0]]
    const at = flatPlus(start, flatTimes(way, 0.5))
    const back = flatPlus(at, flatTimes(on, -LONG))
    return [
      {
        at,
        points: [
          flatPlus(at, flatTimes(on, LONG)),
          flatPlus(back, flatTimes(aside, HIGH)),
          flatPlus(back, flatTimes(aside, -HIGH)),
        ],
      },
    ]
  })
}
