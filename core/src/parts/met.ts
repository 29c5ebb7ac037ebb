import type { Item, JobState, Line } from '../log/state.js'
import { BRANCH, partMeant } from '../log/names.js'
import { once } from '../units/memo.js'
import { type End, branchEnds, endOf, usualOf } from './ends.js'
import { type EndAt, type Fitted, branchRun, fittedAt, hasRun, isBranch, neighbours } from './neighbours.js'
import { isShut } from './vocabulary.js'

/** An end that something is joined to, with the line that it belongs to. */
export interface Met extends Fitted {
  line: Line
}
/** Lines of a job: what a line begins at, or comes to, may belong to another one. */
export type Lines = Pick<JobState, 'lines'>
/** Of no job. */
export const NO_LINES: Lines = { lines: new Map() }
/** A line that is joined to none but itself. */
export const alone = (line: Line): Lines => ({ lines: new Map([[line.id, line]]) })
/** The same lines with one as it would be. */
export const linesWith = (lines: Lines, line: Line): Lines => ({
  lines: new Map(lines.lines).set(line.id, line),
})

/**
 * What an end of a part meets: a fitting of its own line, of a saddle its pipe, else, where the line begins at a part of
 * another line or comes to one, the end of that which stands open: of a pipe its bare end. Null at a free end.
 */
export function metBy(lines: Lines, line: Line, item: Item, end: 0 | 1): Met | null {
  const own = fittedAt(line.items, item, end)
  return own ? { line, ...own } : (acrossLines(lines).met.get(endKey(item, end)) ?? null)
}
/** An end that is met, as it counts for what is put on it: what is usual in its own line need not be so here. */
export function endOfMet(line: Line, item: Item | null, met: Met): End {
  const end = endOf(met.line, met.fitting, met.at)
  if (met.line.id === line.id) return end
  const [own, there] = [usualOf(line, item ?? ({} as Item)), usualOf(met.line, met.fitting)]
  return { ...end, usual: end.usual && own.method === there.method && own.material === there.material }
}
/** Does another line begin at this end of a fitting, or come to it? */
export const isMetAcross = (lines: Lines, fitting: Item, at: EndAt): boolean =>
  acrossLines(lines).taken.has(endKey(fitting, at))
/** The end of another line's part at which a line would begin; null where that has none that stands open. */
export function beginningAt(lines: Lines, line: Line, name: string, branch: boolean): Met | null {
  const others: Lines = { lines: new Map([...lines.lines].filter(([id]) => id !== line.id)) }
  return openEnd(named(others, line, name), branch, acrossLines(others).taken, FIRST_ON)
}
/** A fitting of another line by its tag. */
export function fittingNamed(lines: Lines, line: Line, name: string): Item | null {
  const found = named(lines, line, name)?.fitting
  return found?.type === 'fitting' ? found : null
}
/** The pipe of another line whose bare end a pipe's end stands against, with nothing between; null where none does. */
export const facingAcross = (lines: Lines, pipe: Item): Item | null =>
  acrossLines(lines).facing.get(pipe.id) ?? null

const endKey = ({ id }: Item, at: EndAt): string => `${id} ${at}`
interface Across {
  /** What an end meets in another line. */
  met: ReadonlyMap<string, Met>
  /** Ends that are met so. */
  taken: ReadonlySet<string>
  /** Pipes of other lines that pipes end against, by the one that comes to them. */
  facing: ReadonlyMap<string, Item>
}
/** Ends of a line that are looked for first: where one begins the way on, where one comes to it the way in. */
const FIRST_ON: readonly EndAt[] = [1, 0]
const FIRST_IN: readonly EndAt[] = [0, 1]

/** What lines meet of each other: an end is met once, by the line that was begun first. */
const acrossLines = ({ lines }: Lines): Across => across(lines)
const across = once((all: Lines['lines']): Across => {
  const lines: Lines = { lines: all }
  const met = new Map<string, Met>()
  const taken = new Set<string>()
  const facing = new Map<string, Item>()
  const join = (line: Line, item: Item, end: 0 | 1, name: string, branch: boolean): void => {
    const found = openEnd(named(lines, line, name), branch, taken, end === 0 ? FIRST_ON : FIRST_IN)
    if (!found) return
    // Pipe against pipe is no joint: something goes between.
    if (item.type === 'piece' && found.fitting.type === 'piece')
      return void facing.set(item.id, found.fitting)
    met.set(endKey(item, end), found)
    taken.add(endKey(found.fitting, found.at))
  }
  for (const line of lines.lines.values()) {
    const first = line.items.find((item) => item.run === undefined)
    const { name, branch } = line.stands ?? {}
    if (first && name !== undefined) join(line, first, 0, name, branch === true)
    for (const item of line.items)
      if (item.meets !== undefined && isOpen(line, item))
        join(line, item, 1, partMeant(item.meets), BRANCH.test(item.meets))
  }
  return { met, taken, facing }
})
/** Does a pipe end in nothing of its own line? */
const isOpen = (line: Line, item: Item): boolean =>
  item.type === 'piece' && (neighbours(line.items).get(item.id)?.[1] ?? null) === null

/** A part of another line by its tag: a fitting, or a pipe whose end may be bare. */
function named({ lines }: Lines, line: Line, name: string): { line: Line; fitting: Item } | null {
  const said = name.toLowerCase()
  for (const other of lines.values()) {
    if (other.id === line.id) continue
    const fitting = other.items.find((i) => i.tag.toLowerCase() === said)
    if (fitting) return { line: other, fitting }
  }
  return null
}
/** The first end of a part that nothing is joined to: one of a fitting's branches, or of the run. */
function openEnd(
  found: { line: Line; fitting: Item } | null,
  branch: boolean,
  taken: ReadonlySet<string>,
  run: readonly EndAt[],
): Met | null {
  if (!found) return null
  const { line, fitting } = found
  const beside = neighbours(line.items).get(fitting.id)
  // The way in of what a line begins with is taken where the line begins at another's part.
  const begins = line.stands?.name !== undefined && fitting.run === undefined
  // A pipe that comes to something ends there.
  const comes = fitting.type === 'piece' && fitting.meets !== undefined
  const isFree = (at: EndAt): boolean =>
    isBranch(at)
      ? !hasRun(line.items, branchRun(fitting.id, at))
      : (beside?.[at as 0 | 1] ?? null) === null && !(at === 0 && begins) && !(at === 1 && comes)
  const at = (branch ? branchEnds(fitting) : run).find(
    (one) => isFree(one) && !taken.has(endKey(fitting, one)) && !isShut(endOf(line, fitting, one).kind),
  )
  return at === undefined ? null : { line, fitting, at }
}
