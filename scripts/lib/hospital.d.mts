import type { Draft } from '../../core/src/index.js'

export interface Asked {
  joints: number
  lines?: number
  days?: number
  inch?: boolean
}
export function hospital(asked: Asked & { nowS: number }): Omit<Draft, 'deviceSeq'>[]
export interface Loaded {
  jobId: string
  entries: number
  placeIds: string[]
  sectionIds: string[]
  /** Joints that nobody has begun. */
  toMake: string[]
}
export function loadHospital(base: string, cookie: string, asked: Asked): Promise<Loaded>
