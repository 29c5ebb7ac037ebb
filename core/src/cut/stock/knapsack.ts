/**
 * Best fillings of a bar, for every room up to the largest at once: items of whole widths and given worth, each at
 * most so many times.
 */
export class Fillings {
  private readonly best: Float64Array
  /** Items in bundles of 1, 2, 4 … so that few of them make any count. */
  private readonly bundles: { item: number; times: number; width: number }[] = []
  private readonly taken: Uint8Array[] = []

  constructor(
    private readonly room: number,
    private readonly items: readonly { width: number; worth: number; most: number }[],
  ) {
    this.best = new Float64Array(room + 1)
    items.forEach((it, item) => {
      if (it.worth <= 0) return
      let left = Math.min(it.most, Math.floor(room / it.width))
      for (let times = 1; left > 0; times *= 2) {
        const n = Math.min(times, left)
        left -= n
        this.add(item, n, it.width * n, it.worth * n)
      }
    })
  }
  private add(item: number, times: number, width: number, worth: number): void {
    const { best, room } = this
    const taken = new Uint8Array(room + 1)
    for (let c = room; c >= width; c--) {
      const with_ = (best[c - width] as number) + worth
      if (with_ > (best[c] as number) + 1e-12) {
        best[c] = with_
        taken[c] = 1
      }
    }
    this.bundles.push({ item, times, width })
    this.taken.push(taken)
  }
  /** Worth of the best filling of a room. */
  worth(room: number): number {
    return this.best[Math.min(room, this.room)] as number
  }
  /** That filling, as counts of the items. */
  counts(room: number): number[] {
    const out = new Array<number>(this.items.length).fill(0)
    let c = Math.min(room, this.room)
    for (let b = this.bundles.length - 1; b >= 0; b--)
      if ((this.taken[b] as Uint8Array)[c]) {
        const { item, times, width } = this.bundles[b] as (typeof this.bundles)[number]
        out[item] = (out[item] as number) + times
        c -= width
      }
    return out
  }
}
