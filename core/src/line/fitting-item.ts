import type { EndSaid, Item, Line, PartWay } from '../log/state.js'
import type { School } from '../methods/joinable.js'
import { allMethods, methodOf } from '../methods/registry.js'
import { type End, endKindSaid, endOf, endSize, usualKind, usualOf } from '../parts/ends.js'
import { mate } from '../parts/mating.js'
import type { EndAt } from '../parts/neighbours.js'
import type { OwnForm } from '../log/own-form.js'
import { type OwnPart, partOfOwn } from '../parts/own-part.js'
import { type Part, isShut, partNamed } from '../parts/vocabulary.js'
import { nominalKey, parseSize } from '../sizes/size.js'
import { type Msg, msg } from '../sources/source.js'
import { type EndTyped, type FittingEntry, sizesAt } from './fitting-entry.js'
import { isMade, sizesHere } from './size-entry.js'

/** What an entry makes of a part: its name, sizes and ends. */
type Made = Pick<Item, 'size' | 'size2' | 'fitting' | 'ends' | 'of' | 'way' | 'own'>
type Refused = { ok: false; why: Msg }
export type Ended = { ok: true; made: Made } | Refused
/** What a part is put on: the end that stands open, and what is usual there. */
export interface Before {
  end: End | null
  way: PartWay | undefined
  /** Size that a line begins with, where it has a first one. */
  firstSize?: string | undefined
}

/** The part of an entry, its ends in the order in which they stand: turned where only so it fits. */
export function endedItem(line: Line, entry: FittingEntry, before: Before): Ended {
  const part = entry.own ? partOfOwn(entry.own) : (partNamed(entry.fitting) as Part)
  const way = wayFrom(line, entry.way, before)
  const kinds = kindsOf(line, part, entry)
  if ('ok' in kinds) return kinds
  const ends = sizedEnds(line, entry, kinds, before.end?.size ?? before.firstSize ?? null, way)
  if ('ok' in ends) return ends
  const orders = ends.length === 2 ? [ends, ends.toReversed()] : [ends]
  const items = orders.map((order) => ({
    ...placedEnds(part, order),
    ...(entry.of ? { of: entry.of } : {}),
    ...(way ? { way } : {}),
    ...(entry.own ? { own: ownForm(entry.own) } : {}),
  }))
  return { ok: true, made: items.find((item) => fitsOn(line, item, before)) ?? (items[0] as Made) }
}

/** What a line keeps of a part that a house names itself. */
const ownForm = ({ form, turnDeg, shapes }: OwnPart): OwnForm => ({
  form,
  ...(turnDeg === undefined ? {} : { turnDeg }),
  shapes,
})
/** What is usual from here on: as said, else as before. How it is joined follows from the end it goes on, if need be. */
export function wayFrom(line: Line, said: PartWay | undefined, before: Before): PartWay | undefined {
  const { material } = said ?? {}
  if (!said || said.method || material === undefined) return said ?? before.way
  const joins = (method: string): boolean => (methodOf(method)?.sizes(material).length ?? 0) > 0
  if (joins(before.way?.method ?? line.method)) return said
  const kind = before.end?.kind
  const method = allMethods().find((m) => m.ends.some((end) => end.kind === kind) && joins(m.id))
  return method ? { ...said, method: method.id } : said
}

/** Kinds of all ends: as said, else what the part has by its name. */
function kindsOf(line: Line, part: Part, entry: FittingEntry): EndTyped[] | Refused {
  if (part.ends.some((own, at) => own === 'ask' && !entry.ends[at]?.kind && !entry.ends[at]?.usual))
    return { ok: false, why: msg('entry-say-end', { fitting: part.name, school: line.school }) }
  return part.ends.map((own, at): EndTyped => {
    const said = entry.ends[at] ?? {}
    const kind = own === 'usual' || said.usual ? null : endKindSaid(own, line.school)
    return said.kind || kind === null ? said : { ...said, kind }
  })
}

type Sized = EndTyped & { size: string }
/** Every end with its size: as said, else the nominal size of the first, else that of what it is put on. */
function sizedEnds(
  line: Line,
  entry: FittingEntry,
  ends: readonly EndTyped[],
  here: string | null,
  way: PartWay | undefined,
): Sized[] | Refused {
  const first = ends.find((end) => end.size)?.size ?? here
  if (first === null)
    return { ok: false, why: msg('entry-no-size', { fitting: entry.fitting, school: line.school }) }
  const { method, material } = usualOf(line, { way } as Item)
  const usual = sizesHere(line, way)
  const out: Sized[] = []
  for (const end of ends) {
    if (end.kind && isShut(end.kind)) {
      out.push({ ...end, size: first })
      continue
    }
    const offered = sizesAt(end.kind, material, usual)
    const size = alike(end.size ?? first, offered, usual, line.school) ?? end.size ?? null
    const kind = end.kind ?? usualKind(method)
    // A method that lists no sizes is asked about each.
    if (size === null && offered.length)
      return { ok: false, why: msg('entry-no-end-size', { fitting: entry.fitting, kind, size: first }) }
    const own = size ?? first
    const made = end.kind ? !offered.length || offered.includes(own) : isMade(line, own, way)
    if (!made) return { ok: false, why: msg('entry-size-unknown', { size: own, material }) }
    out.push({ ...end, size: own })
  }
  return out
}
/** Families in which a school calls pipe by a nominal size, so that one may stand for another. */
const NOMINAL: Readonly<Record<School, readonly string[]>> = { inch: ['NPS', 'CTS'], metric: ['NPS'] }
/** The same nominal size in a family that is offered, that of the line's pipe first. */
function alike(
  size: string,
  offered: readonly string[],
  usual: readonly string[],
  school: School,
): string | null {
  if (offered.includes(size)) return size
  const read = parseSize(size)
  const nominal = read && nominalKey(read)
  const same = offered.filter((other) => {
    const [family = '', figure] = other.split(' ')
    return figure === nominal && NOMINAL[school].includes(family)
  })
  return same.find((other) => usual.includes(other)) ?? same[0] ?? null
}

/** Sizes where the log keeps them; of the ends what does not follow from those and from the part's name. */
function placedEnds(part: Part, ends: readonly Sized[]): Made {
  const [first, on, branch] = ends as [Sized, Sized, Sized | undefined]
  const second = branch?.size ?? on.size
  const bare = { size: first.size, size2: second === first.size ? null : second, fitting: part.name }
  const said = ends.map(({ kind, size, of }, at): EndSaid => ({
    ...(kind ? { kind } : {}),
    ...(size === endSize(bare as Item, at as EndAt) ? {} : { size }),
    ...(of ? { of } : {}),
  }))
  return { ...bare, ...(said.some((end) => Object.keys(end).length > 0) ? { ends: said } : {}) }
}

/** Does the way in of a part go on the end before it? A run begins with what looks outward. */
function fitsOn(line: Line, made: Made, before: Before): boolean {
  const item = { type: 'fitting', id: '', tag: '', ...made } as Item
  if (!before.end) return endOf(line, item, 1).usual
  const own = endOf(line, item, 0)
  if (before.end.item.type === 'piece' && own.usual) return before.end.size === own.size
  return mate(own, before.end, line.school).ok
}
