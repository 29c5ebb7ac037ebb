import type { DeviceKind } from './kinds-upkeep.js'

/** Something a section carries that has to be looked after. */
export interface Device {
  id: string
  kind: DeviceKind
  name: string
}
/** How often something is done, as a maker or the plant says. */
export interface SaidInterval {
  months: number | null
  openings: number | null
  reference: string
  by: string
  atS: number
}
/** Something that was done to a joint or a device in use. */
export interface CareDone {
  eventId: string
  care: string
  /** The joint or the device. */
  ofId: string
  atS: number
  by: string
  good: boolean
  /** Torque at which it was found, and at which it was left; null: not read. Nm. */
  foundNm: number | null
  leftNm: number | null
  /** A new gasket went in, out of a lot of the store where that was said. */
  renewed: boolean
  lotId: string | null
  says: string
}
/** A section once it is in use. */
export interface Upkeep {
  /** YYYY-MM-DD; null: not in use. */
  inUseOn: string | null
  devices: Device[]
  /** By the name of the care. */
  intervals: Map<string, SaidInterval>
  /** In order of time. */
  done: CareDone[]
}
/**
 * Nothing is said of its upkeep.
 * @example blankUpkeep().inUseOn // null
 */
export const blankUpkeep = (): Upkeep => ({ inUseOn: null, devices: [], intervals: new Map(), done: [] })
