import { number } from '../schema/shape.js'
import { type Data, num } from './fold-help.js'
import { bar, may } from './kinds-shapes.js'

/** What is usual in a job: rating of a line's weakest part, pressures of a section, bar, its hold, s, and the fall allowed. */
export interface UsualFigures {
  ratingBar?: number
  workingBar?: number
  testBar?: number
  holdS?: number
  allowedDropBar?: number
}
/** The same as fields of an entry. */
export const USUAL_FIELDS = [
  may('ratingBar', bar),
  may('workingBar', bar),
  may('testBar', number({ above: 0, max: 1000 })),
  may('holdS', number({ above: 0, max: 864_000 })),
  may('allowedDropBar', bar),
]
/** What an entry says of them, where it says anything. */
export function usualOf(said: unknown): { usual?: UsualFigures } {
  const data = typeof said === 'object' && said !== null ? (said as Data) : {}
  const figures = USUAL_FIELDS.flatMap(({ name }) => {
    const value = num(data[name])
    return value === null ? [] : [[name, value] as const]
  })
  return figures.length ? { usual: Object.fromEntries(figures) } : {}
}
