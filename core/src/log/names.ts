import type { Line } from './state.js'

/** Said behind the name of a part whose branch is meant. */
export const BRANCH = / branch$/i
/**
 * The part that a name means, without which of its ends.
 * @example partMeant('Q1/F07 branch') // 'Q1/F07'
 */
export const partMeant = (name: string): string => name.replace(BRANCH, '')
/**
 * A name as it is compared: of the part, in small letters.
 * @example nameKey('Q1/F07 branch') // 'q1/f07'
 */
export const nameKey = (name: string): string => partMeant(name).toLowerCase()
/** What a line says by its name: where it begins, what its pipes come to. As they are compared. */
export const namesSaid = ({ stands, items }: Line): string[] =>
  [stands?.name, ...items.map(({ meets }) => meets)].flatMap((name) =>
    name === undefined ? [] : [nameKey(name)],
  )
