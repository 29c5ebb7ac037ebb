import { createHash } from 'node:crypto'

/** The same name gives the same id in every demo world. */
export function idOf(name: string): string {
  const hash = createHash('sha256').update(`kelpwick ${name}`).digest('hex')
  return `${hash.slice(0, 8)}-${hash.slice(8, 12)}-4${hash.slice(13, 16)}-8${hash.slice(17, 20)}-${hash.slice(20, 32)}`
}
export const ORG = idOf('org')
export const JOB = idOf('job quarantine wing')
export const PASSWORD = 'tide-and-pipe'
export const PEOPLE = ['Wren', 'Teal', 'Rook', 'Plover'].map((name) => ({
  personId: idOf(name),
  name,
  login: name.toLowerCase(),
}))
