import type { Item, JobState, Line } from '../../log/state.js'
import { type Pipe, angleOf, outlet, pipeOf } from '../../parts/ends.js'
import { rootOf } from '../../parts/neighbours.js'
import { isUpright } from '../../space/heading.js'
import { type LaidPart, layOut } from '../layout.js'
import { lineInSpace } from '../space/in-job.js'

/** A straight run of pipe of one size between changes of direction. */
export interface Stretch {
  line: Line
  pipe: Pipe
  from: Item
  to: Item
  lengthMm: number
  /** A piece in it has no measure yet. */
  guessed: boolean
  /** It stands upright; where nobody said where the line lies it is taken to lie. */
  upright: boolean
}
const turns = (item: Item): boolean => angleOf(item) !== null
const centre = (p: LaidPart): number => (p.fromMm + p.toMm) / 2

/** Straight stretches of a line, longest first: between elbows, ends and changes of size. */
export function stretchesOf(state: JobState, line: Line): Stretch[] {
  const parts = new Map(layOut(state, line).parts.map((p) => [p.item.id, p]))
  const runs = new Map<string | undefined, LaidPart[]>()
  for (const item of line.items) {
    const list = runs.get(item.run) ?? []
    if (!list.length) runs.set(item.run, list)
    list.push(parts.get(item.id) as LaidPart)
  }
  const { courses } = lineInSpace(state, line)
  const isRiser = (item: Item): boolean => {
    const way = courses.get(item.id)?.way
    return way !== undefined && isUpright(way)
  }
  const out: Stretch[] = []
  for (const [run, list] of runs) {
    const tee = run === undefined ? undefined : parts.get(rootOf(run))
    let open: { part: LaidPart; atMm: number; guessed: boolean } | null = null
    const first = list[0] as LaidPart
    if (first.item.type === 'piece')
      open = { part: tee ?? first, atMm: tee ? centre(tee) : first.fromMm, guessed: false }
    for (const part of list) {
      if (part.item.type === 'piece' && open) open.guessed ||= part.guessed
      const last = part === list.at(-1)
      const stops = part.item.type === 'fitting' && (turns(part.item) || outlet(part.item) !== part.item.size)
      if (open && (stops || last)) {
        const toMm = part.item.type === 'piece' ? part.toMm : centre(part)
        const piece = [...list].slice(0, list.indexOf(part) + 1).findLast((x) => x.item.type === 'piece')
        if (toMm > open.atMm && piece)
          out.push({
            line,
            pipe: pipeOf(line, piece.item),
            from: open.part.item,
            to: part.item,
            lengthMm: toMm - open.atMm,
            guessed: open.guessed,
            upright: isRiser(piece.item),
          })
        open = null
      }
      if (!open && !last && part.item.type === 'fitting')
        open = { part: part, atMm: centre(part), guessed: false }
    }
  }
  return out.sort((a, b) => b.lengthMm - a.lengthMm)
}
