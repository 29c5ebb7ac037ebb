import { times } from '../../../space/vector.js'
import type { Bow } from '../../growth/growth.js'
import type { LineInSpace } from '../in-job.js'
import type { LineDrawn } from './drawing.js'
import { type Flat, type View, flatPlus, flatTimes, project } from './view.js'

/**
 * A line as it stands when it has moved, drawn over itself: movement is drawn larger than it is, by one factor.
 * @param bows of the line. @param kelvin warmer than laid; below 0 colder. @param perMm drawing units for a mm moved.
 */
export function drawMoved(
  { nodes, legs }: Pick<LineInSpace, 'nodes' | 'legs'>,
  drawn: Pick<LineDrawn, 'nodes'>,
  view: View,
  bows: readonly Bow[],
  kelvin: number,
  perMm: number,
): Flat[][] {
  return bows.flatMap(({ leg, shares: [begin, end], movedMm }): Flat[][] => {
    const { from, to, viaMm } = legs[leg] ?? {}
    const [start, stop] = [drawn.nodes[from ?? -1], drawn.nodes[to ?? -1]]
    // A bent tube is drawn by its ends alone: it moves as they do.
    if (!start || !stop || !nodes[from ?? -1] || viaMm?.length) return []
    const way: Flat = [stop[0] - start[0], stop[1] - start[1]]
    return [
      movedMm.map((moved, i): Flat => {
        const share = begin + ((end - begin) * i) / (movedMm.length - 1)
        const at = flatPlus(start, flatTimes(way, share))
        return flatPlus(at, project(times(moved, kelvin * perMm), view))
      }),
    ]
  })
}
