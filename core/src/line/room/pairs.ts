import type { Segment } from '../../space/nearest.js'

/** Bodies whose boxes come near one another, each pair once and in their order: swept along the first axis, so that most are never compared. */
export function nearPairs<T extends { segment: Segment }>(
  bodies: readonly T[],
  reachMm: (body: T) => number,
): (readonly [T, T])[] {
  const boxes = bodies.map((body, at) => {
    const [from, to] = body.segment
    const reach = reachMm(body)
    return {
      body,
      at,
      low: [0, 1, 2].map((axis) => Math.min(from[axis] as number, to[axis] as number) - reach),
      high: [0, 1, 2].map((axis) => Math.max(from[axis] as number, to[axis] as number) + reach),
    }
  })
  boxes.sort((a, b) => (a.low[0] as number) - (b.low[0] as number))
  const pairs: (readonly [T, T])[] = []
  let open: typeof boxes = []
  for (const box of boxes) {
    open = open.filter(({ high }) => (high[0] as number) >= (box.low[0] as number))
    for (const other of open)
      if (
        [1, 2].every(
          (axis) =>
            (other.low[axis] as number) <= (box.high[axis] as number) &&
            (other.high[axis] as number) >= (box.low[axis] as number),
        )
      )
        pairs.push(other.at < box.at ? [other.body, box.body] : [box.body, other.body])
    open.push(box)
  }
  return pairs
}
