import { createHash } from 'node:crypto'

/** The same name gives the same id in every demo world. */
export function idOf(name: string): string {
  const hash = createHash('sha256').update(`kelpwick ${name}`).digest('hex')
  return `${hash.slice(0, 8)}-${hash.slice(8, 12)}-4${hash.slice(13, 16)}-8${hash.slice(17, 20)}-${hash.slice(20, 32)}`
}
export const ORG = idOf('org')
/** One of the demo's jobs. */
export interface World {
  jobId: string
  name: string
  /** Tells its names from those of the other worlds. */
  prefix: string
  /** The coldest hour of its nights, UTC. */
  coldestH: number
  /** So many hours before the coldest of the night it was begun. */
  beganH: number
  /** Who began it. */
  owner: string
}
export const KELPWICK: World = {
  jobId: idOf('job quarantine wing'),
  name: 'Kelpwick Aquarium, quarantine wing',
  prefix: '',
  coldestH: 2,
  beganH: 75,
  owner: 'Rook',
}
export const HARROW: World = {
  jobId: idOf('job harrow point'),
  name: 'Harrow Point Light, keeper\u2019s house and boiler room',
  prefix: 'harrow ',
  coldestH: 7,
  beganH: 66,
  owner: 'Plover',
}
/** Where the first world works, and the tin it works from. */
export const PLACE = idOf('place plant room B')
export const TIN = idOf('tin')
export const PEOPLE = ['Wren', 'Teal', 'Rook', 'Plover'].map((name) => ({
  personId: idOf(name),
  name,
  login: name.toLowerCase(),
}))
