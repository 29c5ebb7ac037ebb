/** A symmetric system of equations with few entries: of each unknown those that it is tied to, and what it is tied by. */
export class Symmetric {
  private readonly rows: Map<number, number>[]
  readonly right: number[]

  constructor(readonly count: number) {
    this.rows = Array.from({ length: count }, () => new Map<number, number>())
    this.right = new Array<number>(count).fill(0)
  }
  /** Adds to an entry and to its mirror image. */
  add(row: number, column: number, value: number): void {
    this.put(row, column, value)
    if (row !== column) this.put(column, row, value)
  }
  private put(row: number, column: number, value: number): void {
    const own = this.rows[row] as Map<number, number>
    own.set(column, (own.get(column) ?? 0) + value)
  }

  /**
   * Solves it, the unknown tied to fewest first, so that along a line hardly anything new comes between two that were not
   * tied. The system is used up. It must be positive definite.
   */
  solved(): number[] {
    const { rows, right } = this
    const waiting = new Set(rows.keys())
    const taken: { at: number; own: Map<number, number> }[] = []
    while (waiting.size) {
      const at = this.fewest(waiting)
      const own = rows[at] as Map<number, number>
      waiting.delete(at)
      taken.push({ at, own })
      const pivot = own.get(at) as number
      own.delete(at)
      for (const [other, tie] of own) {
        const share = tie / pivot
        const theirs = rows[other] as Map<number, number>
        theirs.delete(at)
        for (const [third, value] of own) theirs.set(third, (theirs.get(third) ?? 0) - share * value)
        right[other] = (right[other] as number) - share * (right[at] as number)
      }
      own.set(at, pivot)
    }
    const found = new Array<number>(this.count).fill(0)
    for (const { at, own } of taken.reverse()) {
      let sum = right[at] as number
      for (const [other, value] of own) if (other !== at) sum -= value * (found[other] as number)
      found[at] = sum / (own.get(at) as number)
    }
    return found
  }
  private fewest(waiting: ReadonlySet<number>): number {
    let best = -1
    let least = Infinity
    for (const at of waiting) {
      const { size } = this.rows[at] as Map<number, number>
      if (size < least) [best, least] = [at, size]
    }
    return best
  }
}
