import { type Msg, msg } from '../sources/source.js'

/** A point on which good tradesmen differ, the two ways, and what is done with it here. */
export interface Difference {
  id: string
  methods: readonly string[]
  point: Msg
  a: Msg
  b: Msg
  here: Msg
  /** Which of the two a school follows; null = asked or shown by other means. */
  follows: { inch: 'a' | 'b' | null; metric: 'a' | 'b' | null }
}
const row = (
  id: string,
  methods: readonly string[],
  inch: 'a' | 'b' | null = null,
  metric: 'a' | 'b' | null = null,
): Difference => ({
  id,
  methods,
  point: msg(`differ-${id}`),
  a: msg(`differ-${id}-a`),
  b: msg(`differ-${id}-b`),
  here: msg(`differ-${id}-here`),
  follows: { inch, metric },
})
const SOLVENT = ['solvent-cement']

/** Where schools differ. A loaded chart beats both. */
export const DIFFERENCES: readonly Difference[] = [
  row('insertion', SOLVENT, 'a', 'b'),
  row('coat', SOLVENT, 'a', 'b'),
  row('primer', SOLVENT, 'a', 'b'),
  row('hold', SOLVENT, 'b', 'b'),
  row('chamfer', SOLVENT, 'a', 'b'),
  row('dry-fit', SOLVENT, 'b', 'b'),
  row('brush', SOLVENT),
  row('cure-form', SOLVENT, 'a', null),
  row('cure', SOLVENT, 'a', 'b'),
  row('crew', SOLVENT, 'a', 'b'),
  row('cure-temperature', ['solvent-cement', 'adhesive-bond']),
  row('ball-valve', ['solder']),
  row('coverage', ['solder'], 'b', 'b'),
  row('fusion-tool', ['socket-fusion'], 'a', 'a'),
  row('press-lubricant', ['press']),
  row('compression-start', ['compression']),
  row('compression-turns', ['compression']),
  row('clamp-tighten', ['sanitary-clamp']),
  row('clamp-tilt', ['sanitary-clamp'], 'a', 'a'),
  row('sprinkler', []),
]
export const differencesFor = (method: string): readonly Difference[] =>
  DIFFERENCES.filter((d) => d.methods.includes(method))
