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
export function laneOf(joint: JointInSection): Lane | null {
  const facts = joint.facts
  const homeS = facts.homeAtS ?? joint.plannedHomeS
  if (homeS === null) return null
  const window = facts.clocks.find((c) => c.kind === 'window')
  return {
    id: facts.id,
    tag: facts.tag,
    size: facts.place.way.size,
    planned: facts.homeAtS === null,
    slotS: window?.fromS ?? null,
    homeS,
    setS: facts.homeAtS === null ? null : facts.movable.value,
    readyS: facts.homeAtS === null ? joint.plannedReadyAtS : joint.readyAtS,
  }
}
