import type { Difference } from '../methods/method.js'
import { allMethods } from '../methods/registry.js'
import { msg } from '../sources/source.js'

/** Points that are no single method's. */
const GENERAL: readonly Difference[] = [
  {
    id: 'cure-temperature',
    methods: ['solvent-cement', 'adhesive-bond'],
    point: msg('differ-cure-temperature'),
    a: msg('differ-cure-temperature-a'),
    b: msg('differ-cure-temperature-b'),
    here: msg('differ-cure-temperature-here'),
    follows: { inch: null, metric: null },
  },
  {
    id: 'sprinkler',
    methods: [],
    point: msg('differ-sprinkler'),
    a: msg('differ-sprinkler-a'),
    b: msg('differ-sprinkler-b'),
    here: msg('differ-sprinkler-here'),
    follows: { inch: null, metric: null },
  },
]
/** Where schools differ, each method's points and those of all. A loaded chart beats both. */
export const allDifferences = (): readonly Difference[] => [
  ...allMethods().flatMap((m) => m.differs),
  ...GENERAL,
]
/**
 * Where the metric and the inch school differ for a method.
 * @example differencesFor('press').map((d) => d.id) // ['press-lubricant']
 */
export const differencesFor = (method: string): readonly Difference[] =>
  allDifferences().filter((d) => d.methods.includes(method))
