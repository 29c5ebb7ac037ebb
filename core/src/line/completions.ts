import { allMethods } from '../methods/registry.js'
import { partIn, partNames } from '../parts/vocabulary.js'
import type { System } from '../units/quantity.js'
import { useGroup } from './entry.js'
import { STUFF } from './fitting-entry.js'

/** So many are offered. */
const MOST = 6

/**
 * Entries that go on from what is typed, likeliest first: fittings, their sizes as last used, groups; behind a part and its
 * size what its ends may be, and behind `in` what it may be made of.
 * @param own names of the house's own parts.
 * @example completions('ell', [], []) // []
 * @example completions('un', [], []) // ['union']
 * @example completions('valve 2 fl', [], []) // ['valve 2 flared', 'valve 2 flanged']
 */
export function completions(
  typed: string,
  lately: readonly string[],
  groups: readonly string[],
  units: System = 'metric',
  own: readonly string[] = [],
): string[] {
  const said = typed.toLowerCase().replace(/^\s+/, '')
  if (!said) return []
  const words = [
    ...lately,
    ...own,
    ...partNames(units),
    ...groups.map(useGroup),
    'branch',
    '..',
    'anchor',
    'guide',
    'flow on',
    'flow back',
    ...behindPart(said, units),
  ]
  return [...new Set(words)]
    .filter((word) => word.toLowerCase().startsWith(said) && word.toLowerCase() !== said)
    .slice(0, MOST)
}
/** What may stand at the end of an entry that begins with a part: its ends, its material. */
function behindPart(said: string, units: System): string[] {
  const last = /^(.* )([a-z]+)$/.exec(said)
  if (!last || !partIn(said)?.rest) return []
  const [, before = '', begun = ''] = last
  const behindIn = / in $/.test(before)
  const words = behindIn
    ? [...STUFF.keys()]
    : allMethods().flatMap(({ ends }) =>
        ends.flatMap(({ school, said: own }) => (school && school !== units ? [] : own.slice(0, 1))),
      )
  return words.filter((word) => word.startsWith(begun)).map((word) => before + word)
}
