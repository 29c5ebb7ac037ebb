import { type Input, type Shape, may as mayBeThere, need, number } from '../schema/shape.js'

/** A kind of event: its version, whether it is about one joint, and the shape of its data. */
export interface Kind {
  v: number
  joint: boolean
  fields: readonly Input[]
}

/** What the kinds of events are put together from. */
export const id: Shape = { type: 'string', max: 64 }
export const tag: Shape = { type: 'string', max: 40 }
export const size: Shape = { type: 'string', max: 20 }
/** A calendar day, YYYY-MM-DD. */
export const day: Shape = { type: 'string', max: 10 }
export const bar = number({ min: 0, max: 1000 })
export const instant = number({ min: 0, max: 4e9 })
export const anything: Shape = { type: 'object', fields: [] }
/** No measure on a building is longer than a kilometre; a typing slip is. */
export const mm = number({ above: 0, max: 1_000_000 })
/** No building is further up or down than this, and none lies further off. */
export const level = number({ min: -1_000_000, max: 1_000_000 })
/** A direction as it was said. */
export const heading: Shape = { type: 'string', max: 80 }
/** 1 in so many. */
export const falls = number({ min: -10_000, max: 10_000 })
/** A field that must be there, and one that may; both are called by their own name. */
export const must = (name: string, shape: Shape): Input => need(name, shape, name)
/** A field that may be there, called by its own name. */
export const may = (name: string, shape: Shape): Input => mayBeThere(name, shape, name)
