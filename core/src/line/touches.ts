import { type JointPlace, jointPlaces } from '../joint/lookup.js'
import type { Item, JobState } from '../log/state.js'
import type { Method } from '../methods/method.js'
import { methodOf } from '../methods/registry.js'
import { type Msg, msg } from '../sources/source.js'
import { once } from '../units/memo.js'

/** Lives of a joint that are in the line now. */
const livesIn = (state: JobState, jointId: string) =>
  (state.joints.get(jointId)?.lives ?? []).filter((l) => l.cutOutAtS === undefined && l.done.length > 0)

/**
 * Does a cut that was written down still stand? Not where a joint at one of its ends was cut out since, of a way of
 * joining that takes the pipe's end with it.
 */
export function cutStands(state: JobState, item: Item): boolean {
  const { cut } = item
  if (!cut) return false
  const places = jointPlaces(state)
  const onIt = jointsOnto(places).get(item.id) ?? []
  return ![...item.joints, ...onIt].some(
    (id) =>
      id &&
      takenBy(places.get(id)) !== 'nothing' &&
      state.joints.get(id)?.lives.some((l) => l.cutOutAtS !== undefined && l.cutOutAtS > cut.atS),
  )
}

/** Joints that sit on a pipe, or go on its bare end from another line, by the pipe: none of them is one of its own. */
const jointsOnto = once((places: ReadonlyMap<string, JointPlace>): ReadonlyMap<string, string[]> => {
  const out = new Map<string, string[]>()
  for (const { jointId, fitting } of places.values())
    if (fitting?.type === 'piece') out.set(fitting.id, [...(out.get(fitting.id) ?? []), jointId])
  return out
})

/** What cutting out a joint takes, by how it is made. */
const takenBy = (place: JointPlace | undefined): Method['cutOutTakes'] =>
  methodOf(place?.way.method ?? '')?.cutOutTakes ?? 'nothing'

export interface Touched {
  /** What else goes with it, in sentences. */
  says: readonly Msg[]
  /** Joints begun in the same fitting: they come out with it. */
  withIt: readonly { id: string; tag: string; life: number }[]
}
/** What cutting a joint out touches besides it: pipe, fitting, the fitting's other joints, proofs and signatures. */
export function cutOutTouches(state: JobState, jointId: string): Touched {
  const places = jointPlaces(state)
  const place = places.get(jointId)
  if (!place) return { says: [], withIt: [] }
  const takes = takenBy(place)
  // Where another line's fitting goes on a pipe's bare end, the pipe is what is met.
  const [part, fitting] =
    place.fitting?.type === 'piece' && takes !== 'pipe'
      ? [place.fitting, place.part]
      : [place.part, place.fitting]
  const says: Msg[] = []
  const others =
    takes === 'fitting' && fitting
      ? [...places.values()].filter((p) => p.jointId !== jointId && p.fitting?.id === fitting.id)
      : []
  const withIt = others.flatMap((place) => {
    const life = livesIn(state, place.jointId).at(-1)
    return life ? [{ id: place.jointId, tag: place.tag, life: life.no }] : []
  })
  if (takes === 'nothing') says.push(msg('touches-nothing-lost'))
  else if (takes === 'pipe') says.push(msg('touches-holed-pipe', { piece: fitting?.tag ?? part.tag }))
  else {
    says.push(msg('touches-piece', { piece: part.tag }))
    const otherEnd = part.joints[place.end ? 0 : 1]
    if (otherEnd && livesIn(state, otherEnd).length)
      says.push(msg('touches-other-end', { piece: part.tag, joint: places.get(otherEnd)?.tag ?? '' }))
  }
  if (takes === 'fitting' && fitting)
    says.push(msg('touches-fitting', { fitting: fitting.tag, list: withIt.map((j) => j.tag).join(', ') }))
  for (const section of state.sections.values())
    if (section.jointIds.includes(jointId) && isProved(state, section.id))
      says.push(msg('touches-proof', { section: section.tag }))
  if (state.signed.some((s) => s.what === 'job')) says.push(msg('touches-signature'))
  return { says, withIt }
}
/** Was a test of it held? */
export const isProved = (state: JobState, sectionId: string): boolean =>
  [...state.tests.values()].some((t) => t.sectionId === sectionId && t.ended?.verdict === 'held')
