import type { Item, Line } from '../log/state.js'
import type { Msg } from '../methods/method.js'
import { endOf } from '../parts/ends.js'
import { mate } from '../parts/mating.js'
import { WALL, isSaddle, neighbours, pipeUnder, saddleRun } from '../parts/neighbours.js'
import { msg } from '../sources/source.js'
import type { Code } from '../sources/wording.js'
import type { FittingEntry } from './fitting-entry.js'
import { endedItem } from './fitting-item.js'

const no = (code: Code, params: Msg['params'] = {}): { ok: false; why: Msg } => ({
  ok: false,
  why: msg(code, params),
})

/** Parts that sit on a pipe, in the order in which they stand in the line. */
export const saddlesOn = (items: readonly Item[], pipe: Item): Item[] =>
  items.filter((item) => isSaddle(item) && pipeUnder(items, item)?.id === pipe.id)

/** The pipe that an entry of a saddle means: the one that stands here, else the last before what stands here. */
function pipeMeant(line: Line, here: Item | null): Item | null {
  const before = here && neighbours(line.items).get(here.id)?.[0]
  return here?.type === 'piece' ? here : before?.type === 'piece' && before.run === here?.run ? before : null
}

/** Why a saddle cannot sit so far along a pipe; null where it can, as far as anybody knows. */
export function offThePipe(pipe: Item, alongMm: number): Msg | null {
  if (pipe.bend) return msg('entry-saddle-bent', { piece: pipe.tag })
  return pipe.measuredMm !== null && alongMm >= pipe.measuredMm
    ? msg('entry-saddle-beyond', { piece: pipe.tag, mm: alongMm, measuredMm: pipe.measuredMm })
    : null
}

/** What is made of an entry of a saddle. */
export type Saddled = { ok: true; item: Item; pipe: Item } | { ok: false; why: Msg }
/**
 * A saddle as it was typed, on the pipe that stands at a place of a line.
 * @param here the part that stands there. @param blank makes a part of a size with nothing said of it yet.
 */
export function saddleOf(
  line: Line,
  entry: FittingEntry,
  here: Item | null,
  blank: (size: string) => Item,
): Saddled {
  const pipe = pipeMeant(line, here)
  if (!pipe) return no('entry-saddle-no-pipe')
  const alongMm = entry.alongMm as number
  const off = offThePipe(pipe, alongMm)
  if (off) return { ok: false, why: off }
  const wall = endOf(line, pipe, WALL)
  const ended = endedItem(line, onPipe(entry, pipe), { end: wall, way: pipe.way })
  if (!ended.ok) return ended
  const fresh = blank(ended.made.size)
  const item: Item = {
    ...fresh,
    ...ended.made,
    ...(entry.heading ? { heading: entry.heading } : {}),
    ...(entry.tag ? { tag: entry.tag } : {}),
    alongMm,
    run: saddleRun(pipe.id, fresh.id),
  }
  const mating = mate(wall, endOf(line, item, 0), line.school)
  return mating.ok ? { ok: true, item, pipe } : mating
}
/** An entry of a saddle that takes its first size from the pipe, where that was not said. */
export const onPipe = (entry: FittingEntry, pipe: Item): FittingEntry => ({
  ...entry,
  ends: entry.ends.map((end, at) => (at === 0 && !end.size ? { ...end, size: pipe.size } : end)),
})

/**
 * The first part that stands where only a saddle may, or a saddle that sits on no pipe; null where there is none. A
 * saddle is not moved, copied or taken from under what stands on it: it is set on its pipe by its own entry.
 * @param before parts as they were: what was so already is not told again.
 */
export function misplacedSaddle(before: readonly Item[], after: readonly Item[]): Item | null {
  const was = new Set(before.filter((item) => isMisplaced(before, item)).map(({ id }) => id))
  return after.find((item) => !was.has(item.id) && isMisplaced(after, item)) ?? null
}
const isMisplaced = (items: readonly Item[], item: Item): boolean => {
  if (item.type === 'fitting' && isSaddle(item)) return pipeUnder(items, item) === null
  // What branches off a pipe begins with a saddle.
  const before = item.run === undefined ? null : (neighbours(items).get(item.id)?.[0] ?? null)
  return before?.type === 'piece' && before.run !== item.run
}
