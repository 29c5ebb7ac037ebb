import { matingOf } from '../joint/way.js'
import type { Item, Line } from '../log/state.js'
import { endOf, endSize } from '../parts/ends.js'
import { metalsMeet } from '../parts/mating.js'
import { type Lines, type Met, alone, endOfMet, facingAcross, metBy } from '../parts/met.js'
import { LOOSE, neighbours, pipeUnder } from '../parts/neighbours.js'
import { offThePipe } from './saddle.js'
import { append } from '../units/extent.js'
import { type Msg, msg } from '../sources/source.js'

export interface LineFault {
  item: Item
  /** Tags of what meets, where the sentence does not name them. */
  at: string | null
  /** It cannot be joined so; else it can, and is not done without a reason. */
  stops: boolean
  says: Msg
}
/** What in a line cannot be joined as it stands, or should not: pipe against pipe, ends that do not mate, metals. */
export function lineFaults(line: Line, lines: Lines = alone(line)): LineFault[] {
  const beside = neighbours(line.items)
  return line.items.flatMap((item) => {
    const out: LineFault[] = []
    const next = beside.get(item.id)?.[1]
    if (item.type === 'piece' && next?.type === 'piece' && item.run !== LOOSE)
      out.push({ item, at: null, stops: true, says: msg('pieces-meet', { a: item.tag, b: next.tag }) })
    const under = pipeUnder(line.items, item)
    const off = under && item.alongMm !== undefined ? offThePipe(under, item.alongMm) : null
    if (off) out.push({ item, at: item.tag, stops: true, says: off })
    const facing = item.type === 'piece' ? facingAcross(lines, item) : null
    if (facing)
      out.push({ item, at: null, stops: true, says: msg('pieces-meet', { a: facing.tag, b: item.tag }) })
    // A joint of two fittings is looked at from the later one, that of a piece from the piece.
    for (const end of item.type === 'piece' ? ([0, 1] as const) : ([0] as const)) {
      const met = metBy(lines, line, item, end)
      if (met) append(out, faultsAt(line, item, end, met))
    }
    return out
  })
}
function faultsAt(line: Line, item: Item, end: 0 | 1, met: Met): LineFault[] {
  const { fitting } = met
  const at = `${fitting.tag}, ${item.tag}`
  const mating = matingOf(line, item, end, met)
  const socket = endSize(fitting, met.at)
  const kindsFit = !mating || mating.ok || mating.why.code === 'mate-sizes'
  if (!kindsFit) return [{ item, at, stops: true, says: mating.why }]
  if (socket !== item.size && item.type === 'piece')
    return [
      {
        item,
        at: null,
        stops: true,
        says: msg('sizes-meet', { piece: item.tag, a: item.size, fitting: fitting.tag, b: socket }),
      },
    ]
  if (mating && !mating.ok) return [{ item, at, stops: true, says: mating.why }]
  const metals = metalsMeet(endOfMet(line, item, met), endOf(line, item, end))
  return metals ? [{ item, at, stops: false, says: metals }] : []
}
