import type { JointInSection } from '@jugalis/core'

export interface Lane {
  id: string
  tag: string
  size: string
  planned: boolean
  /** Start of the first window; the slot is of fixed width, since minutes do not fit the hours' scale. */
  slotS: number | null
  homeS: number
  setS: number | null
  readyS: number | null
}

/** The lane of one joint: window slot, set, four steps of cure, ready. Planned joints are drawn from assumed times. */
export function laneOf(j: JointInSection): Lane | null {
  const f = j.facts
  const homeS = f.homeAtS ?? j.plannedHomeS
  if (homeS === null) return null
  const window = f.clocks.find((c) => c.kind === 'window')
  return {
    id: f.id,
    tag: f.tag,
    size: f.place.piece.size,
    planned: f.homeAtS === null,
    slotS: window?.fromS ?? null,
    homeS,
    setS: f.homeAtS === null ? null : f.movable.value,
    readyS: f.homeAtS === null ? j.plannedReadyAtS : j.readyAtS,
  }
}
