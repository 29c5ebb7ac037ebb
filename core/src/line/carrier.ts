import { type Finding, finding, msg } from '../sources/source.js'
import { type JointPlace, jointPlaces } from '../joint/lookup.js'
import type { Item, JobState, Line } from '../log/state.js'
import { renamedRun } from '../parts/neighbours.js'
import { isMade } from './size-entry.js'
import { type Edited, type Shop, itemData, settle } from './settle.js'

/**
 * Pipe-in-pipe: two lines, part for part. A fitting of the one is the same body as the fitting at the same place of
 * the other, with a socket inside a socket; so both have its take-off, and the pipes differ by their sockets.
 */
export const outerLine = (state: JobState, line: Line): Line | null =>
  line.insideOf ? (state.lines.get(line.insideOf) ?? null) : null
/** The line that runs inside this one, as its carrier; null where none does. */
export const carrierOf = (state: JobState, line: Line): Line | null =>
  [...state.lines.values()].find((l) => l.insideOf === line.id) ?? null

/** The fitting whose take-off counts: of a carrier, that of the body it shares with the containment pipe. */
export function bodyOf(state: JobState, line: Line, fitting: Item): Item {
  const twin = outerLine(state, line)?.items[line.items.indexOf(fitting)]
  return twin?.type === 'fitting' ? twin : fitting
}

/** The event data that puts an item as it stands. */
export const putOf = (item: Item): { itemId: string; item: Record<string, unknown> } => ({
  itemId: item.id,
  item: itemData(item),
})

/** Every size that a part speaks of. */
const sizesIn = (item: Item): string[] =>
  [item.size, item.size2, ...(item.ends ?? []).map((end) => end.size)].filter((s): s is string => Boolean(s))

/**
 * Brings a carrier up to date with its containment line: the same fittings, measures and branches in the carrier's own
 * sizes. Parts are known again by their tags, else by their place.
 * @param sizes carrier size for each size of the containment pipe.
 */
export function carrierEdits(
  outer: Line,
  carrier: Line,
  sizes: Readonly<Record<string, string>>,
  shop: Shop,
): Edited {
  for (const size of new Set(outer.items.flatMap(sizesIn))) {
    const inner = sizes[size]
    if (!inner) return { ok: false, why: msg('carrier-size-missing', { size }) }
    if (!isMade(carrier, inner))
      return { ok: false, why: msg('entry-size-unknown', { size: inner, material: carrier.material }) }
  }
  const own = (text: string | null): string | null => text && text.replace(outer.tag, carrier.tag)
  const byTag = new Map(carrier.items.map((i) => [i.tag, i]))
  const named = new Set(outer.items.map((o) => own(o.tag)))
  const had = outer.items.map((item, at) => {
    const there = carrier.items[at]
    return byTag.get(own(item.tag) as string) ?? (there && !named.has(there.tag) ? there : undefined)
  })
  const ids = new Map(outer.items.map((o, at) => [o.id, had[at]?.id ?? shop.newId()]))
  const wanted = outer.items.map((item, at): Item => {
    const joint = (end: 0 | 1): string | null =>
      item.joints[end] === null ? null : (had[at]?.joints[end] ?? shop.newId())
    const run = item.run && renamedRun(item.run, ids)
    return {
      id: ids.get(item.id) as string,
      cut: had[at]?.cut ?? null,
      ...(had[at]?.closing ? { closing: true } : {}),
      type: item.type,
      tag: own(item.tag) as string,
      size: sizes[item.size] as string,
      size2: item.size2 && (sizes[item.size2] as string),
      fitting: item.fitting,
      measure: item.measure,
      measuredMm: item.measuredMm,
      ...(item.alongMm === undefined ? {} : { alongMm: item.alongMm }),
      joints: [joint(0), joint(1)],
      jointTags: [own(item.jointTags[0]), own(item.jointTags[1])],
      ...(run ? { run } : {}),
      // Its own sockets are as usual in it; what was said of the containment's ends is theirs.
      ...(item.ends?.some((end) => end.size)
        ? { ends: item.ends.map(({ size }) => (size ? { size: sizes[size] as string } : {})) }
        : {}),
    }
  })
  return settle(carrier, wanted, shop)
}

/** The joint on the other pipe at the same place: inside for a containment joint, outside for a carrier's. */
export function twinJoint(state: JobState, place: JointPlace): { place: JointPlace; inner: boolean } | null {
  const outer = outerLine(state, place.line)
  const other = outer ?? carrierOf(state, place.line)
  const id = other?.items[place.line.items.indexOf(place.part)]?.joints[place.end]
  const twin = id ? jointPlaces(state).get(id) : undefined
  return twin ? { place: twin, inner: outer === null } : null
}

/** What pipe-in-pipe asks before a joint is begun: the inner one first, or both at once with all prepared. */
export function twinFindings(state: JobState, place: JointPlace): Finding[] {
  const twin = twinJoint(state, place)
  if (!twin?.inner) return []
  const life = state.joints.get(twin.place.jointId)?.lives.at(-1)
  const made = life && life.cutOutAtS === undefined && life.done.length > 0
  return made ? [] : [finding('warn', 'inner-joint-first', 'cp-pipe-in-pipe', { joint: twin.place.tag })]
}
