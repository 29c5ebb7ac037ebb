import type { Item, Line } from '../log/state.js'
import { methodOf } from '../methods/registry.js'
import type { School } from '../methods/joinable.js'
import { type Pipe, endOf, pipeOf, usualOf } from '../parts/ends.js'
import { type Mating, mate } from '../parts/mating.js'
import { type Met, endOfMet } from '../parts/met.js'

/** The way one joint is made: what its method reads of it. */
export interface Way {
  method: string
  material: string
  size: string
  school: School
  schedule: string | null
  /** The pipe that is joined, with the series of its walls. */
  pipe: Pipe
  /** Something is cut into its wall: of plastic half is left. */
  halved: boolean
  /** What its method asks besides. */
  details: Readonly<Record<string, unknown>>
  /** Names all of it: joints that share it share figures and steps. */
  key: string
}

/** Two parts that meet: how, as their ends say; null where nothing was said of either end, and all is as usual. */
export function matingOf(line: Line, item: Item, end: 0 | 1, met: Met): Mating | null {
  const own = endOf(line, item, end)
  const there = endOfMet(line, item, met)
  // A pipe in a part of which nothing was said is joined as usual, whatever its kind.
  if (item.type === 'piece' && there.usual) return null
  return mate(there, own, line.school)
}

/** What a line answers of what a way of joining asks. */
export const askedOf = (line: Pick<Line, 'method' | 'details' | 'ways'>, method: string): Way['details'] =>
  method === line.method ? line.details : (line.ways?.[method] ?? {})

/** How the joint at an end of a part is made. @param met what it meets; null: nothing known of it. */
export function wayOf(line: Line, item: Item, end: 0 | 1, met: Met | null): Way {
  const usual = usualOf(line, item)
  const mating = met && matingOf(line, item, end, met)
  const mated = mating?.ok ? mating : null
  const method = mated?.method ?? usual.method
  const material = mated?.material ?? usual.material
  const size = mated?.size ?? item.size
  const details = {
    ...askedOf(line, method),
    ...(mated ? { ...mated.says, into: mated.into } : {}),
  }
  const pipe = pipeOf(line, item)
  return {
    method,
    material,
    size,
    school: usual.school,
    schedule: usual.schedule,
    pipe,
    halved: methodOf(method)?.ends.some((kind) => kind.halves) ?? false,
    details,
    key: [line.id, method, material, size, pipe.series, mated?.into, Object.values(mated?.says ?? {})].join(
      ' ',
    ),
  }
}
