import type { Item, JobState, Line } from '../../joint/state.js'
import { type LaidPart, layOut } from '../layout.js'

/** A straight run of pipe of one size between changes of direction. */
export interface Stretch {
  line: Line
  size: string
  from: Item
  to: Item
  lengthMm: number
  /** A piece in it has no measure yet. */
  guessed: boolean
}
const TURNS = ['elbow 90', 'elbow 45']
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
  const out: Stretch[] = []
  for (const [run, list] of runs) {
    const tee = run === undefined ? undefined : parts.get(run)
    let open: { part: LaidPart; atMm: number; guessed: boolean } | null = null
    const first = list[0] as LaidPart
    if (first.item.type === 'piece')
      open = { part: tee ?? first, atMm: tee ? centre(tee) : first.fromMm, guessed: false }
    for (const p of list) {
      if (p.item.type === 'piece' && open) open.guessed ||= p.guessed
      const last = p === list.at(-1)
      const stops =
        p.item.type === 'fitting' && (TURNS.includes(p.item.fitting ?? '') || p.item.fitting === 'reducer')
      if (open && (stops || last)) {
        const toMm = p.item.type === 'piece' ? p.toMm : centre(p)
        const piece = [...list].slice(0, list.indexOf(p) + 1).findLast((x) => x.item.type === 'piece')
        if (toMm > open.atMm && piece)
          out.push({
            line,
            size: piece.item.size,
            from: open.part.item,
            to: p.item,
            lengthMm: toMm - open.atMm,
            guessed: open.guessed,
          })
        open = null
      }
      if (!open && !last && p.item.type === 'fitting') open = { part: p, atMm: centre(p), guessed: false }
    }
  }
  return out.sort((a, b) => b.lengthMm - a.lengthMm)
}
