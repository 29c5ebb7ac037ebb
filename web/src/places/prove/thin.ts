/** How many points a drawn curve gets at most. */
const MOST = 1200
/** A curve with fewer points that keeps its peaks: of each stretch the least and the greatest stay, in their order. */
export function thinned(points: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  if (points.length <= MOST) return [...points]
  const each = Math.ceil(points.length / (MOST / 2))
  const out: (readonly [number, number])[] = []
  for (let i = 0; i < points.length; i += each) {
    const part = points.slice(i, i + each)
    const low = part.reduce((a, b) => (b[1] < a[1] ? b : a))
    const high = part.reduce((a, b) => (b[1] > a[1] ? b : a))
    if (low === high) out.push(low)
    else out.push(...(low[0] < high[0] ? [low, high] : [high, low]))
  }
  return out
}
