/** How many points a drawn curve gets at most. */
const MOST = 1200
/**
 * A curve with fewer points that keeps its peaks: of each stretch the least and the greatest stay, in their order.
 * @param valueOf what is drawn of a point; points for which it is null are left out.
 */
export function thinned<T>(points: readonly T[], valueOf: (p: T) => number | null): T[] {
  if (points.length <= MOST) return points.filter((p) => valueOf(p) !== null)
  const each = Math.ceil(points.length / (MOST / 2))
  const out: T[] = []
  for (let from = 0; from < points.length; from += each) {
    let [low, high] = [-1, -1]
    let [least, most] = [Infinity, -Infinity]
    for (let i = from; i < Math.min(points.length, from + each); i++) {
      const value = valueOf(points[i] as T)
      if (value === null) continue
      if (value < least) [least, low] = [value, i]
      if (value > most) [most, high] = [value, i]
    }
    if (low < 0) continue
    const kept = low === high ? [low] : [Math.min(low, high), Math.max(low, high)]
    for (const i of kept) out.push(points[i] as T)
  }
  return out
}
