import type { Reader } from '../units/format.js'
import { greatest } from '../units/extent.js'
import type { JobState } from '../log/state.js'
import type { Offcut, StockSet } from '../log/stock-set.js'
import { named } from '../words/words.js'
import { CLOSING_SPARE_MM } from './closing.js'
import { type Pipe, pipeOf } from '../parts/ends.js'
import { allPieces } from '../line/piece.js'
import type { Bar, StockInput } from './stock/model.js'

/** Pieces of one pipe still to cut: they share bars. */
export interface BarGroup {
  pipe: string
  pieces: { id: string; tag: string; lengthMm: number }[]
}
const pipeName = ({ material, size, series }: Pipe): string => [material, size, series ?? ''].join(' ').trim()

/**
 * A pipe of a group or an offcut, as people say it.
 * @example pipeSaid('copper d22') // 'copper d22'
 */
export function pipeSaid(pipe: string, reader?: Reader): string {
  const [material = '', ...rest] = pipe.split(' ')
  return [named(material, reader), ...rest].join(' ')
}

/** Every piece with a known length that is not cut yet, by pipe, in line order. */
export function barGroups(state: JobState): BarGroup[] {
  const out = new Map<string, BarGroup>()
  for (const piece of allPieces(state)) {
    if (piece.isCut || piece.cutMm.value === null) continue
    const pipe = pipeName(pipeOf(piece.line, piece.item))
    let group = out.get(pipe)
    if (!group) out.set(pipe, (group = { pipe, pieces: [] }))
    // What goes in last is cut over, and then to site measure.
    const spareMm = piece.item.closing ? CLOSING_SPARE_MM : 0
    group.pieces.push({ id: piece.item.id, tag: piece.item.tag, lengthMm: piece.cutMm.value + spareMm })
  }
  return [...out.values()]
}

/** The question a group asks of the planner. Pieces longer than any bar are left out, and named apart. */
export function stockQuestion(
  set: StockSet,
  group: BarGroup,
): { input: StockInput; tooLong: BarGroup['pieces'] } {
  const own = set.offcuts.filter((o) => o.pipe === group.pipe)
  const longest = greatest([0, ...set.barsMm, ...own.map((o) => o.lengthMm)])
  return {
    input: {
      kerfMm: set.kerfMm,
      stock: [
        ...set.barsMm.map((lengthMm) => ({ lengthMm })),
        ...own.map((o) => ({ lengthMm: o.lengthMm, offcut: true })),
      ],
      pieces: group.pieces
        .filter((p) => p.lengthMm <= longest)
        .map((p) => ({ id: p.id, lengthMm: p.lengthMm, count: 1 })),
    },
    tooLong: group.pieces.filter((p) => p.lengthMm > longest),
  }
}

/** Offcuts once a bar is cut: the one it was is gone, what is left of it is kept if it is long enough. */
export function offcutsAfter(set: StockSet, pipe: string, bar: Bar, newId: string): Offcut[] {
  const at = bar.offcut
    ? set.offcuts.findIndex((o) => o.pipe === pipe && Math.abs(o.lengthMm - bar.stockMm) < 0.001)
    : -1
  const rest = set.offcuts.filter((_, i) => i !== at)
  return bar.leftMm >= set.keepMm && bar.leftMm > 0
    ? [...rest, { id: newId, pipe, lengthMm: bar.leftMm }]
    : rest
}
