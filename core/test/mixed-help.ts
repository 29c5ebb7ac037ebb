import { jointPlaces } from '../src/index.js'
import { Bench } from './line-bench.js'

export const COPPER = { method: 'solder', material: 'copper', school: 'inch' } as const
export const PVC = { method: 'solvent-cement', material: 'pvc', school: 'inch', series: 'Sch 80' } as const
/** Set out, all of it, or the entry that was refused and why. */
export function line(head: ConstructorParameters<typeof Bench>[0], ...entries: string[]): Bench {
  const bench = new Bench(head)
  for (const entry of entries) expect([entry, bench.type(entry)]).toEqual([entry, 'ok'])
  return bench
}
/** Joints in order: part on what, by which method, of what and in which size. */
export const ways = (b: Bench): string[] =>
  [...jointPlaces(b.state).values()].map(
    ({ part, fitting, way }) =>
      `${part.tag.slice(3)}>${fitting?.tag.slice(3)} ${way.method} ${way.material} ${way.size}`,
  )
export const refused = (
  head: ConstructorParameters<typeof Bench>[0],
  first: string[],
  last: string,
): string => {
  const bench = line(head, ...first)
  const before = bench.line.items
  const code = bench.type(last)
  expect(bench.line.items).toEqual(before)
  return code
}
