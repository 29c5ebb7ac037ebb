import { createHash } from 'node:crypto'

/** The same name gives the same id in every demo world. */
export function idOf(name: string): string {
  const h = createHash('sha256').update(`kelpwick ${name}`).digest('hex')
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
}
export const ORG = idOf('org')
export const JOB = idOf('job quarantine wing')
export const PASSWORD = 'tide-and-pipe'
export const PEOPLE = ['Wren', 'Teal', 'Rook', 'Plover'].map((name) => ({
  personId: idOf(name),
  name,
  login: name.toLowerCase(),
}))
