import { methodOf } from '../methods/registry.js'
import { jointPlaces, jointSpec } from '../joint/lookup.js'
import type { JobState } from '../log/state.js'
import type { Clearance } from '../methods/method.js'
import { type Finding, finding } from '../sources/source.js'
import { NEUTRAL_CTX, type PieceCut } from './piece.js'

/** Clearances that a joint's method asks for; none where nothing is known of the joint. */
export function clearancesOf(state: JobState, jointId: string): readonly Clearance[] {
  const place = jointPlaces(state).get(jointId)
  const method = place && methodOf(place.way.method)
  const parsed = place && method?.parse(jointSpec(state, place))
  if (!place || !method || !parsed?.ok) return []
  const { school } = place.way
  return method.clearances(parsed.spec, {
    ...NEUTRAL_CTX,
    school,
    pin: { rules: 1, chart: null, school, table: state.job.table },
  })
}

/**
 * Is there room for every joint of a piece: to the fitting at its other end, to its own bends, and to the weld, bend or
 * wall that somebody measured near it? Asked before anything is cut.
 */
export function clearanceFindings(state: JobState, piece: PieceCut): Finding[] {
  const out: Finding[] = []
  const [a, b] = piece.ends.map((e) => e.depthMm?.value ?? 0) as [number, number]
  const cutMm = piece.cutMm.value
  const betweenMm = cutMm === null ? null : cutMm - a - b
  let fittingSaid = false
  for (const end of [0, 1] as const) {
    const { jointId, jointTag } = piece.ends[end]
    if (!jointId) continue
    const joint = jointTag ?? ''
    const clearances = clearancesOf(state, jointId)
    const least = (to: Clearance['to']): Clearance['minMm'] | null =>
      clearances.find((c) => c.to === to)?.minMm ?? null
    const fitting = least('fitting')
    if (
      fitting &&
      fitting.value !== null &&
      betweenMm !== null &&
      !fittingSaid &&
      piece.ends.every((e) => e.fitting)
    )
      if (betweenMm < fitting.value) {
        fittingSaid = true
        out.push(
          finding('stop', 'clearance-fitting', fitting.source, {
            piece: piece.item.tag,
            mm: betweenMm,
            neededMm: fitting.value,
          }),
        )
      }
    const near = (piece.item.near ?? []).filter((n) => n.end === end).map((n) => ({ to: n.to, mm: n.mm }))
    const bend = piece.bends.length
      ? end
        ? (piece.bends.at(-1)?.endMm ?? 0)
        : (piece.bends[0]?.atMm ?? 0)
      : null
    if (bend !== null && cutMm !== null) near.push({ to: 'bend', mm: end ? cutMm - b - bend : bend - a })
    for (const other of near) {
      const needed = least(other.to)
      if (!needed) continue
      if (needed.value === null)
        out.push(finding('note', 'clearance-unknown', 'given', { joint, to: other.to }))
      else if (other.mm < needed.value - 1e-6)
        out.push(
          finding('stop', 'clearance-near', needed.source, {
            joint,
            to: other.to,
            mm: other.mm,
            neededMm: needed.value,
          }),
        )
    }
  }
  return out
}
