import type { EndSaid, Item, PartWay } from '../log/state.js'
import type { Msg } from '../methods/method.js'
import { MATERIALS } from '../methods/joinable.js'
import { allMethods, methodOf } from '../methods/registry.js'
import { BODIES, endKindOf, endKindSaid, endKindWritten, endSize, partOf } from '../parts/ends.js'
import type { EndAt } from '../parts/neighbours.js'
import { type OwnPart, partOfOwn } from '../parts/own-part.js'
import { type Part, isShut, partIn } from '../parts/vocabulary.js'
import { msg } from '../sources/source.js'
import type { Reader } from '../units/quantity.js'
import { bareSize, sizeFor } from './size-entry.js'

/** An end as it was typed. */
export type EndTyped = EndSaid & {
  /** Said beside others of another kind: it is as usual in the line, whatever the part has by its name. */
  usual?: true
}
/** A fitting as it was typed. Sizes and kinds of ends in the order they were said, by end. */
export interface FittingEntry {
  ok: true
  type: 'fitting'
  fitting: string
  ends: readonly EndTyped[]
  way?: PartWay
  of?: string
  tag: string | null
  /** Which way it turns, or its branch points, as it was said. */
  heading?: string
  /** Of a saddle: how far along its pipe, mm. */
  alongMm?: number
  /** A part that a house names itself. */
  own?: OwnPart
}
/** Who types: whose units a bare figure has, and the parts that their house names itself. */
export interface EntryReader extends Reader {
  parts?: readonly OwnPart[]
}
type Refused = { ok: false; why: Msg }

/** Sizes that a kind of end is made in; those of the line's pipe where it is made on that pipe or nothing is known. */
export function sizesAt(
  kind: string | undefined,
  material: string,
  offered: readonly string[],
): readonly string[] {
  const method = kind === undefined ? undefined : methodOf(endKindOf(kind)?.method ?? '')
  if (!method) return offered
  const own = method.sizes(material)
  if (own.length) return own
  return [...new Set(Object.keys(method.joins).flatMap((m) => method.sizes(m)))]
}

/** Materials by the words that are typed: `carbon steel`, `steel`, `copper`. */
export const STUFF: ReadonlyMap<string, string> = new Map([
  ...[...MATERIALS, ...BODIES].flatMap((m) => [[m, m] as const, [m.replaceAll('-', ' '), m] as const]),
  ['steel', 'carbon-steel'],
  ['stainless steel', 'stainless'],
])
const SUFFIX = new RegExp(
  ` (in|of) (${[...STUFF.keys()].sort((a, b) => b.length - a.length).join('|')})(?: (\\S+))?$`,
)
/**
 * What an entry ends with: `in carbon steel threaded` for what follows, `of brass` for the part alone.
 * @example suffixOf('12 f-f in steel', { units: 'inch' }) // { rest: '12 f-f', way: { material: 'carbon-steel' } }
 */
export function suffixOf(
  said: string,
  reader: Reader,
): { rest: string; way?: PartWay; of?: string } | Refused {
  const match = SUFFIX.exec(said)
  if (!match) return { rest: said }
  const rest = said.slice(0, match.index)
  const material = STUFF.get(match[2] as string) as string
  if (match[1] === 'of') return match[3] ? unknown(said, match[3], reader) : { rest, of: material }
  if (!match[3]) return { rest, way: { material } }
  const kind = endKindSaid(match[3], reader.units)
  const method = allMethods().find((m) => m.ends.some((e) => e.kind === kind))
  return method ? { rest, way: { material, method: method.id } } : unknown(said, match[3], reader)
}
const unknown = (text: string, word: string, reader: Reader): Refused => ({
  ok: false,
  why: msg('entry-word-unknown', { text, word, school: reader.units }),
})

/**
 * Reads a fitting with what was said of its ends: `valve 2 flanged` is flanged at both, `adapter 1-1/2 x 1-1/2 mip`
 * threaded at the second, `tee 2 2 1` smaller in its branch. Null where no part begins the entry.
 * @param said in lower case, without its tag. @param offered sizes of the line's pipe.
 * @example fittingEntry('valve 2 flanged', { units: 'inch' }, ['NPS 2'], null)?.ok // true
 */
export function fittingEntry(
  said: string,
  reader: EntryReader,
  offered: readonly string[],
  tag: string | null,
): FittingEntry | Refused | null {
  const suffix = suffixOf(said, reader)
  if ('ok' in suffix) return suffix
  const found = partIn(suffix.rest, (reader.parts ?? []).map(partOfOwn))
  if (!found) return null
  const specs = specsOf(found.rest, reader)
  if ('ok' in specs) return specs
  const { part } = found
  const ends = byEnd(part, specs)
  if (!ends) return { ok: false, why: msg('entry-too-many-ends', { fitting: part.name, ends: specs.length }) }
  const material = suffix.way?.material ?? ''
  const way = suffix.way && specs.length < 2 ? { way: suffix.way } : {}
  const owned = reader.parts?.find(({ name }) => name === part.name)
  const own = suffix.way ? (methodOf(suffix.way.method ?? '')?.sizes(material) ?? offered) : offered
  return {
    ok: true,
    type: 'fitting',
    fitting: part.name,
    ends: ends.map((end, at) => ({
      ...(end.kind ? { kind: end.kind } : {}),
      ...(end.usual ? { usual: true as const } : {}),
      ...(end.size
        ? { size: sizeFor(end.size, reader, sizesAt(kindAt(part, at, end, reader), material, own)) }
        : {}),
      // Said after several ends, a material is that of the last.
      ...(suffix.way && specs.length > 1 && at === ends.length - 1 ? { of: material } : {}),
    })),
    ...way,
    ...(suffix.of ? { of: suffix.of } : {}),
    tag,
    ...(owned ? { own: owned } : {}),
  }
}
/** The kind of an end as said, else by the part's name. */
const kindAt = (part: Part, at: number, end: Spec, reader: Reader): string | undefined =>
  // A saddle takes the size of the pipe it sits on, as that is called here.
  end.usual || (part.sits && at === 0) ? undefined : (end.kind ?? kindOfPart(part, at, reader))
/** The kind that an end of a part has by its name alone. */
const kindOfPart = (part: Part, at: number, reader: Reader): string | undefined => {
  const own = part.ends[at]
  return own === undefined || own === 'usual' || own === 'ask'
    ? undefined
    : (endKindSaid(own, reader.units) ?? undefined)
}

interface Spec {
  size?: string
  kind?: string
  usual?: true
}
const FAMILY = /^(?:dn|nps|cts|od|bpe)$/
/** Sizes and words after a fitting's name, end by end. */
function specsOf(rest: string, reader: Reader): Spec[] | Refused {
  const specs: Spec[] = []
  let open: Spec | null = null
  const next = (): Spec => {
    specs.push((open = {}))
    return open
  }
  const words = rest
    .replace(/(?<=\d)x(?=\d)/g, ' x ')
    .split(' ')
    .filter(Boolean)
  for (let at = 0; at < words.length; at++) {
    const word = words[at] as string
    if (word === 'x') {
      open = null
      continue
    }
    const here: Spec = open ?? next()
    if (FAMILY.test(word) || /^(?:d|dn)?\d/.test(word)) {
      const size = FAMILY.test(word) ? `${word} ${words[++at] ?? ''}` : word
      if (here.size === undefined) here.size = size
      else next().size = size
      continue
    }
    const kind = endKindSaid(word, reader.units)
    if (kind === null) return unknown(rest, word, reader)
    if (here.kind === undefined) here.kind = kind
    else next().kind = kind
  }
  return specs
}

/** What was said, by end; null where more ends were said than the part has. */
function byEnd(part: Part, specs: readonly Spec[]): Spec[] | null {
  const { ends, form } = part
  const told = specs.length > 1 && specs.some((spec) => spec.kind)
  const [first = {}, second = {}, third = {}, fourth = third] = specs.map((spec): Spec =>
    told && !spec.kind ? { ...spec, usual: true } : spec,
  )
  if (specs.length > ends.length || (form === 'end' && specs.length > 1)) return null
  if (specs.length <= 1) {
    // Said once, size and kind are those of what leaves it.
    if (part.sits) return [{}, first]
    const asks = ends.includes('ask')
    const open = ends.findIndex((end) => !isShut(end))
    const takes = (at: number): boolean =>
      ends[at] === (asks ? 'ask' : 'usual') || (!ends.includes('usual') && !asks)
    return ends.map((end, at) => {
      const kind = first.kind && takes(at) && !isShut(end) ? { kind: first.kind } : {}
      // A size said once is that of the way in: each other end has its own of the same name.
      return { ...(first.size && at === open ? { size: first.size } : {}), ...kind }
    })
  }
  if (form === 'tee' || form === 'cross') {
    // Two sizes are those of the run and of what leaves it.
    const [run, on, branch, other] =
      specs.length === 2 ? [first, first, second, second] : [first, second, third, fourth]
    return [run, on, branch, other].slice(0, ends.length) as Spec[]
  }
  return [first, second]
}

/** Ends of a part that is there, as an entry of it would say them. */
export const typedEnds = (item: Item): EndTyped[] =>
  partOf(item).ends.map((_, at): EndTyped => {
    const { kind, of } = item.ends?.[at] ?? {}
    const size = endSize(item, at as EndAt)
    return { size, ...(kind ? { kind } : item.ends ? { usual: true } : {}), ...(of ? { of } : {}) }
  })

/** What was said of a fitting's ends, as it is typed. @param after size of the pipe it stands on: not said again. */
export function fittingText(
  item: Item,
  reader: Reader,
  after: string | null,
  offered: readonly string[] = [],
): string {
  const part = partOf(item)
  const name = item.fitting ?? ''
  const suffix = item.of ? ` of ${item.of.replaceAll('-', ' ')}` : ''
  const shut = (at: number): boolean =>
    isShut(item.ends ? (item.ends[at]?.kind ?? '') : (part.ends[at] ?? ''))
  const offeredAt = (at: EndAt): readonly string[] => sizesAt(item.ends?.[at]?.kind, '', offered)
  const open = part.ends.map((_, at) => at as EndAt).filter((at) => !shut(at))
  const own = part.ends.flatMap((end, at) => (isShut(end) ? [] : [kindOfPart(part, at, reader) ?? null]))
  const sizes = open.map((at) => bareSize(endSize(item, at), reader, offeredAt(at)))
  const words = open.map((at, i) => (item.ends ? (item.ends[at]?.kind ?? null) : (own[i] ?? null)))
  const alike = new Set(open.map((at) => nominalOf(endSize(item, at)))).size === 1
  const one = item.size === after && alike ? [] : sizes.slice(0, 1)
  if (part.sits) {
    const [, kind = null] = words
    const said = kind === null || kind === own[1] ? [] : [endKindWritten(kind)]
    return [name, sizes[1], ...said].join(' ') + suffix
  }
  if (words.every((kind, i) => kind === own[i])) {
    if (alike) return [name, ...one].join(' ') + suffix
    return `${[name, ...shortened(part, sizes)].join(' ')}${suffix}`
  }
  const said = words.map((kind) => (kind === null ? [] : [endKindWritten(kind)]))
  const kinds = new Set(words)
  if (alike && kinds.size === 1) return [name, ...one, ...(said[0] as string[])].join(' ') + suffix
  const each = open.map((_, at) => [sizes[at], ...(said[at] as string[])].join(' '))
  return `${name} ${shortened(part, each).join(' x ')}${suffix}`
}
/** A size without its family. */
const nominalOf = (size: string): string => size.split(' ')[1] ?? size
/** Run, way on and branch, shortened to run and branch where the run goes on as it came. */
function shortened(part: Part, ends: readonly string[]): string[] {
  const branched = part.form === 'tee' || part.form === 'cross'
  const [run, on, ...branches] = ends as [string, string, ...string[]]
  if (!branched || run !== on || new Set(branches).size !== 1) return [...ends]
  return [run, branches[0] as string]
}
