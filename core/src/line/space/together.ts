/**
 * Which of so many belong together, given pairs that do: each has the same answer as its kin.
 * @param pairs numbers from 0.
 */
export function together(count: number, pairs: Iterable<readonly [number, number]>): (one: number) => number {
  const kin = Array.from({ length: count }, (_, one) => one)
  const find = (one: number): number => {
    let root = one
    while (kin[root] !== root) root = kin[root] as number
    kin[one] = root
    return root
  }
  for (const [one, other] of pairs) kin[find(one)] = find(other)
  return find
}
