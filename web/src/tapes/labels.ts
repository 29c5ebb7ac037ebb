/** Something that wants its name written at a place along a drawing. */
export interface Labelled {
  x: number
  width: number
  lane: number
}
export interface Placed {
  /** Index into what was asked. */
  at: number
  row: number
}
/** Clear space between two labels in one row. */
const APART_PX = 6
const STRIDES = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000]

/**
 * Labels of every `stride`-th place in rows under one another, none over another; null where they do not fit.
 * @param list in the order in which they stand along their lane.
 */
export function placeEvery(list: readonly Labelled[], stride: number, rows: number): Placed[] | null {
  const ends = new Map<string, number>()
  const out: Placed[] = []
  for (let at = 0; at < list.length; at += stride) {
    const label = list[at] as Labelled
    const left = label.x - label.width / 2
    let row = 0
    while (row < rows && (ends.get(`${label.lane} ${row}`) ?? -Infinity) > left - APART_PX) row++
    if (row === rows) return null
    ends.set(`${label.lane} ${row}`, label.x + label.width / 2)
    out.push({ at, row })
  }
  return out
}

/** The rule by which labels thin out: every one, every second, fifth, tenth …, the first that fits. */
export function thinned(list: readonly Labelled[], rows: number): { stride: number; placed: Placed[] } {
  for (const stride of STRIDES) {
    const placed = placeEvery(list, stride, rows)
    if (placed) return { stride, placed }
  }
  return { stride: 0, placed: [] }
}

/** The least scale at which every label fits: what a drawing calls 100 %. */
export function fullScale(
  labelsAt: (scale: number) => Labelled[],
  rows: number,
  range: { least: number; most: number },
): number {
  let [low, high] = [range.least, range.most]
  if (placeEvery(labelsAt(low), 1, rows)) return low
  for (let i = 0; i < 14; i++) {
    const mid = Math.sqrt(low * high)
    if (placeEvery(labelsAt(mid), 1, rows)) high = mid
    else low = mid
  }
  return high
}
