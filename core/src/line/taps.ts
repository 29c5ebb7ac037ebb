import type { Item } from '../log/state.js'
import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { addsInsertion, atCentre } from './cut-length.js'
import { type PieceCut, addedAt } from './piece.js'
import { saddlesOn } from './saddle.js'

/** A hole to be cut into a pipe for a saddle: how far its middle is from the pipe's first end. */
export interface Tap {
  saddle: Item
  fromEndMm: Fig
}
/**
 * Holes of a piece, in order along it: what was measured along it, less what the first end takes off, plus what goes into
 * the fitting there. Source: `cp-cut-length`.
 */
export function tapsOf({ item, line, ends, cutMm }: PieceCut): Tap[] {
  const [first] = ends
  const insertsThere = item.measure !== null && addsInsertion(item.measure, 0, first.takeOff?.takeOffTo)
  const lacks =
    item.measure !== null && atCentre(item.measure, 0) && first.fitting !== null && !first.takeOff
      ? noFig(msg('take-off-unknown', { fitting: first.fitting.fitting ?? first.fitting.tag }))
      : first.jointId && insertsThere && first.depthMm?.value == null
        ? noFig(msg('depth-unknown', { joint: first.jointTag ?? item.tag }))
        : null
  return saddlesOn(line.items, item)
    .map((saddle): Tap => {
      const mm = (saddle.alongMm ?? 0) + addedAt(item, first, 0)
      const off = mm <= 0 || (cutMm.value !== null && mm >= cutMm.value)
      const fromEndMm = off
        ? noFig(msg('saddle-off-pipe', { saddle: saddle.tag, piece: item.tag }))
        : fig(mm, 'cp-cut-length')
      return { saddle, fromEndMm: lacks ?? fromEndMm }
    })
    .sort((a, b) => (a.saddle.alongMm ?? 0) - (b.saddle.alongMm ?? 0))
}
