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
        const taken = Math.min(times, left)
        left -= taken
        this.add(item, taken, it.width * taken, it.worth * taken)
      }
    })
  }
  private add(item: number, times: number, width: number, worth: number): void {
    const { best, room } = this
    const taken = new Uint8Array(room + 1)
    for (let filled = room; filled >= width; filled--) {
      const with_ = (best[filled - width] as number) + worth
      if (with_ > (best[filled] as number) + 1e-12) {
        best[filled] = with_
        taken[filled] = 1
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
    let filled = Math.min(room, this.room)
    for (let bundle = this.bundles.length - 1; bundle >= 0; bundle--)
      if ((this.taken[bundle] as Uint8Array)[filled]) {
        const { item, times, width } = this.bundles[bundle] as (typeof this.bundles)[number]
        out[item] = (out[item] as number) + times
        filled -= width
      }
    return out
  }
}
