import { type EndKind, PLAIN, type School, WALL_KIND } from '../methods/joinable.js'
import { allMethods, methodOf } from '../methods/registry.js'
import type { Item, Line } from '../log/state.js'
import { seriesKey } from '../sizes/walls.js'
import { type EndAt, WALL, isBranch, isSaddle, neighbours } from './neighbours.js'
import type { OwnForm } from '../log/own-form.js'
import { ENDS_OF, partOfOwn } from './own-part.js'
import { type EndUsual, type Part, elbowAngle, isShut, partNamed } from './vocabulary.js'

/** One end of a part as it stands in its line. */
export interface End {
  item: Item
  at: EndAt
  kind: string
  /** Nobody said what it is: it is what is usual here. */
  usual: boolean
  size: string
  material: string
}

/** What is usual for a part: as said for it, else in its line. */
export interface Usual {
  method: string
  material: string
  school: School
  schedule: string | null
  series: string | undefined
}
/** What is usual for a part of a line. */
export function usualOf(line: Line, item: Item): Usual {
  const { method, material, school } = line
  const own = item.way
  const sameStuff = own?.material === undefined || own.material === material
  return {
    method: own?.method ?? method,
    material: own?.material ?? material,
    school,
    schedule: sameStuff ? line.schedule : null,
    series: own?.series ?? (sameStuff ? line.series : undefined),
  }
}

/** A pipe: material, size and series of its walls, null where nobody said. */
export interface Pipe {
  material: string
  size: string
  series: string | null
  /** The series itself was said, not only the schedule of the sockets. */
  said: boolean
}
/** The pipe that a part is made for. */
export function pipeOf(line: Line, item: Item): Pipe {
  const { material, series, schedule } = usualOf(line, item)
  return { material, size: item.size, series: seriesKey(series ?? schedule), said: series !== undefined }
}

/**
 * The kind of end that a method makes joints at, as it is usual on a fitting.
 * @example usualKind('solder') // 'solder-cup'
 */
export const usualKind = (method: string): string => methodOf(method)?.ends[0]?.kind ?? PLAIN

/** Words for an end that is made like a pipe's. */
const AS_PIPE: readonly string[] = ['plain', 'spigot', 'street']
/**
 * Kind of end that a word names; where two schools mean different ones, that of this school.
 * @example endKindSaid('fip', 'inch') // 'npt-female'
 */
export function endKindSaid(word: string, school: School): string | null {
  if (AS_PIPE.includes(word)) return PLAIN
  if (isShut(word)) return word
  const named = allMethods()
    .flatMap((m) => m.ends)
    .filter((end) => end.said.includes(word))
  return (named.find((end) => end.school === school) ?? named[0])?.kind ?? null
}
/**
 * A kind of end as it is typed.
 * @example endKindWritten('solder-cup') // 'soldered'
 */
export const endKindWritten = (kind: string): string =>
  kind === PLAIN ? 'spigot' : (endKindOf(kind)?.said[0] ?? kind)
/**
 * A kind of end by its name, with the method it is joined by; null where nothing is joined to it.
 * @example endKindOf('solder-cup')?.method // 'solder'
 */
export function endKindOf(kind: string): (EndKind & { method: string }) | null {
  for (const method of allMethods()) {
    const end = method.ends.find((e) => e.kind === kind)
    if (end) return { ...end, method: method.id }
  }
  return null
}

/** What fittings are made of besides what pipe is made of. */
export const BODIES = ['cast-iron'] as const

const NO_PART: Part = { name: '', words: [], form: 'through', ends: ['usual', 'usual'] }
/** The part of an item's stored name; one that is not known has two usual ends. */
export const partOf = (item: Item): Part =>
  item.own ? ownPartOf(item, item.own) : (partNamed(item.fitting ?? '') ?? NO_PART)
const ownPartOf = (item: Item, { form }: OwnForm): Part =>
  partOfOwn({ name: item.fitting ?? '', form, ends: Array.from({ length: ENDS_OF[form] }, () => 'usual') })
/** How far a part turns the way, degrees; null for what does not. */
export const angleOf = (item: Item): number | null =>
  item.own ? (item.own.turnDeg ?? null) : elbowAngle(item.fitting ?? '')
/** Does a run leave this fitting between its ends? */
export const hasBranch = (item: Item): boolean => branchEnds(item).length > 0
/** Ends of a fitting that branches leave by. */
export const branchEnds = (item: Item): readonly EndAt[] => {
  const { form } = partOf(item)
  return form === 'tee' ? [2] : form === 'cross' ? [2, 3] : []
}
/** Size of an end: as said, else that of the way in; a second size is that of the way on, or of the branches. */
export function endSize(item: Item, at: EndAt): string {
  const said = item.ends?.[at]?.size
  if (said !== undefined) return said
  const second = hasBranch(item) ? isBranch(at) : at === 1
  return (second ? item.size2 : null) ?? item.size
}
/** Size of the way on through a fitting. */
export const outlet = (item: Item): string => endSize(item, 1)
/** Size of the run that leaves a tee by a branch. */
export const branchSize = (tee: Item, at: EndAt = 2): string => endSize(tee, at)

/** An end of a fitting or of a piece. */
export function endOf(line: Line, item: Item, at: EndAt): End {
  const usual = usualOf(line, item)
  const said = item.ends?.[at]
  const own = endUnsaid(line, item, at)
  const kind =
    item.type === 'piece' && at === WALL ? WALL_KIND : (said?.kind ?? kindWhereUnsaid(item, own, usual))
  return {
    item,
    at,
    kind,
    usual: said?.kind === undefined && own === 'usual',
    size: endSize(item, at),
    material: said?.of ?? item.of ?? materialOf(item, kind, usual),
  }
}
/** A part of which anything was said of its ends has the rest as usual; one that a run begins with looks outward. */
function endUnsaid(line: Line, item: Item, at: EndAt): EndUsual {
  if (item.type === 'piece' || item.ends) return 'usual'
  const { ends } = partOf(item)
  const lopsided = ends.length === 2 && ends[0] !== ends[1]
  const first = lopsided && !isSaddle(item) && (neighbours(line.items).get(item.id)?.[0] ?? null) === null
  return (first && at < 2 ? ends[1 - at] : ends[at]) ?? 'usual'
}
function kindWhereUnsaid(item: Item, own: EndUsual, usual: Usual): string {
  // Pipes that meet face to face come with their ends; all others are bare until they are worked on.
  if (item.type === 'piece') {
    const end = methodOf(usual.method)?.ends[0]
    return end && end.meets === end.kind && !end.onPipe ? end.kind : PLAIN
  }
  if (own === 'usual') return usualKind(usual.method)
  return endKindSaid(own, usual.school) ?? own
}
/** In a copper line what is not soldered or pressed is cast of brass; the threaded side of an insulated union is steel. */
function materialOf(item: Item, kind: string, usual: Usual): string {
  if (item.type === 'piece' || usual.material !== 'copper') return usual.material
  if (kind === PLAIN || endKindOf(kind)?.meets === PLAIN) return usual.material
  return partOf(item).dielectric ? 'carbon-steel' : 'brass'
}
