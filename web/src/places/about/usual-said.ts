import type { UsualFigures } from '@jugalis/core'
import type { WebCode } from '../../words/word'

/** Usual figures as they stand in the form: pressures in bar, the hold in minutes as it was typed. */
export interface UsualSaid {
  ratingBar: number | null
  workingBar: number | null
  testBar: number | null
  allowedDropBar: number | null
  holdMin: string
}
/** The pressures among them, with their names and the least that each may be, bar. */
export const PRESSURES: readonly (readonly [
  key: Exclude<keyof UsualSaid, 'holdMin'>,
  label: WebCode,
  least: number,
])[] = [
  ['ratingBar', 'set-out-rating-of-its-weakest', 0],
  ['workingBar', 'set-out-working-pressure', 0],
  ['testBar', 'ui-test-pressure', 0.001],
  ['allowedDropBar', 'set-out-fall-allowed-over-the', 0],
]
const MOST_MIN = 14_400
const minutes = (text: string): number => Number(text.trim().replace(',', '.'))
/** Is it a hold, or nothing? */
const readsAsHold = (text: string): boolean =>
  !text.trim() || (minutes(text) > 0 && minutes(text) <= MOST_MIN)
/** What a job has of them, in the form. */
export const usualSaid = (usual: UsualFigures = {}): UsualSaid => ({
  ratingBar: usual.ratingBar ?? null,
  workingBar: usual.workingBar ?? null,
  testBar: usual.testBar ?? null,
  allowedDropBar: usual.allowedDropBar ?? null,
  holdMin: usual.holdS === undefined ? '' : String(usual.holdS / 60),
})
/** The same as an entry has it; null where something can't be read. */
export function usualKept(own: UsualSaid): UsualFigures | null {
  const pressures = PRESSURES.map(([key]) => [key, own[key]] as const)
  if (pressures.some(([, value]) => Number.isNaN(value)) || !readsAsHold(own.holdMin)) return null
  const said = pressures.filter((one): one is readonly [(typeof one)[0], number] => one[1] !== null)
  return {
    ...Object.fromEntries(said),
    ...(own.holdMin.trim() ? { holdS: minutes(own.holdMin) * 60 } : {}),
  }
}
