import type { Item, JobState, Line } from './state.js'
import { socketKey } from './state.js'

/** Where a joint sits: its line, its piece, which end, and the fitting it goes into. */
export interface JointPlace {
  jointId: string
  tag: string
  line: Line
  piece: Item
  end: 0 | 1
  fitting: Item | null
}

const indexes = new WeakMap<JobState, Map<string, JointPlace>>()

/** Every joint that the lines define. Worked out once for a state. */
export function jointPlaces(state: JobState): ReadonlyMap<string, JointPlace> {
  let index = indexes.get(state)
  if (index) return index
  index = new Map()
  for (const line of state.lines.values())
    line.items.forEach((piece, i) => {
      if (piece.type !== 'piece') return
      for (const end of [0, 1] as const) {
        const jointId = piece.joints[end]
        if (!jointId) continue
        const neighbour = line.items[end === 0 ? i - 1 : i + 1]
        index?.set(jointId, {
          jointId,
          tag: piece.jointTags[end] ?? '',
          line,
          piece,
          end,
          fitting: neighbour?.type === 'fitting' ? neighbour : null,
        })
      }
    })
  indexes.set(state, index)
  return index
}

/** The raw specification of a joint, for its method to read. */
export function jointSpec(state: JobState, place: JointPlace): Record<string, unknown> {
  return {
    ...place.line.details,
    material: place.line.material,
    size: place.piece.size,
    school: place.line.school,
    schedule: place.line.schedule,
    socketDepthMm:
      state.sockets.get(socketKey(place.line.material, place.piece.size)) ??
      place.line.details.socketDepthMm ??
      null,
    checkOffsetMm: state.job.checkOffsetMm,
    pressureService: true,
  }
}
