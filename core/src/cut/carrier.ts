import { methodOf } from '../methods/registry.js'
import { type Finding, finding, msg } from '../sources/source.js'
import type { Msg } from '../methods/method.js'
import { type JointPlace, jointPlaces } from '../joint/lookup.js'
import type { Item, JobState, Line } from '../joint/state.js'
import { type ItemPut, putOf } from './entry.js'

/**
 * Pipe-in-pipe: two lines, part for part. A fitting of the one is the same body as the fitting at the same place of
 * the other, with a socket inside a socket; so both have its take-off, and the pipes differ by their sockets.
 */
export const outerLine = (state: JobState, line: Line): Line | null =>
  line.insideOf ? (state.lines.get(line.insideOf) ?? null) : null
export const carrierOf = (state: JobState, line: Line): Line | null =>
  [...state.lines.values()].find((l) => l.insideOf === line.id) ?? null

/** The fitting whose take-off counts: of a carrier, that of the body it shares with the containment pipe. */
export function bodyOf(state: JobState, line: Line, fitting: Item): Item {
  const twin = outerLine(state, line)?.items[line.items.indexOf(fitting)]
  return twin?.type === 'fitting' ? twin : fitting
}

export type Carried = { ok: true; puts: ItemPut[] } | { ok: false; why: Msg }
/**
 * Parts a carrier still lacks beside its containment line: the same fittings and measures in the carrier's own sizes.
 * @param sizes carrier size for each size of the containment pipe. @param newId makes ids.
 */
export function carrierPuts(
  outer: Line,
  carrier: Pick<Line, 'tag' | 'items' | 'method' | 'material' | 'school' | 'schedule' | 'details'>,
  sizes: Readonly<Record<string, string>>,
  newId: () => string,
): Carried {
  for (const size of new Set(outer.items.flatMap((i) => [i.size, ...(i.size2 ? [i.size2] : [])]))) {
    const inner = sizes[size]
    if (!inner) return { ok: false, why: msg('carrier-size-missing', { size }) }
    const read = methodOf(carrier.method)?.parse({
      ...carrier,
      ...carrier.details,
      size: inner,
      checkOffsetMm: 50,
    })
    if (!read?.ok)
      return { ok: false, why: msg('entry-size-unknown', { size: inner, material: carrier.material }) }
  }
  const own = (text: string | null): string | null => text && text.replace(outer.tag, carrier.tag)
  const puts: ItemPut[] = []
  let after: string | null = null
  outer.items.forEach((o, i) => {
    const had = carrier.items[i]
    const item: Item = {
      ...(had ?? { id: newId(), cut: null }),
      type: o.type,
      tag: own(o.tag) as string,
      size: sizes[o.size] as string,
      size2: o.size2 && (sizes[o.size2] as string),
      fitting: o.fitting,
      measure: o.measure,
      measuredMm: o.measuredMm,
      joints: [joint(o, had, 0, newId), joint(o, had, 1, newId)],
      jointTags: [own(o.jointTags[0]), own(o.jointTags[1])],
    }
    if (!had || JSON.stringify(putOf(had)) !== JSON.stringify(putOf(item))) puts.push(putOf(item, after))
    after = item.id
  })
  return { ok: true, puts }
}
const joint = (o: Item, had: Item | undefined, end: 0 | 1, newId: () => string): string | null =>
  o.joints[end] === null ? null : (had?.joints[end] ?? newId())

/** The joint on the other pipe at the same place: inside for a containment joint, outside for a carrier's. */
export function twinJoint(state: JobState, place: JointPlace): { place: JointPlace; inner: boolean } | null {
  const outer = outerLine(state, place.line)
  const other = outer ?? carrierOf(state, place.line)
  const id = other?.items[place.line.items.indexOf(place.piece)]?.joints[place.end]
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
