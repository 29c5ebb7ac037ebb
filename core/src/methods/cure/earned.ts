/** Longest chord drawn for a curved stretch (the contract allows 900 s), and how far a chord may lie below the curve. */
export const LONGEST_CHORD_S = 900
const SHORTEST_CHORD_S = 30
const CHORD_LAG_BAR = 0.01
/** A requirement counts as met within this share of it: sums of times are no sharper. */
const MET = 1e-12

/**
 * What accumulated time has earned where hours per bar count together with requirements of their own: the pressure P at
 * which the sum of C / max(P·perBar, R) over all seconds C at each requirement R comes to 1. A requirement of 0 is
 * hours per bar alone.
 */
export class Earned {
  /** Seconds at each requirement, ascending by it. */
  private readonly at: { need: number; s: number }[] = []
  bar = 0
  constructor(private readonly perBar: number) {}

  add(need: number, seconds: number): void {
    const found = this.at.find((a) => a.need === need)
    if (found) found.s += seconds
    else {
      this.at.push({ need, s: seconds })
      this.at.sort((a, b) => a.need - b.need)
    }
    this.bar = this.solve()
  }
  /** What would be reached after so much more of a requirement. */
  after(need: number, seconds: number): number {
    const copy = new Earned(this.perBar)
    for (const earned of this.at) copy.at.push({ ...earned })
    copy.add(need, seconds)
    return copy.bar
  }
  /** Is the requirement still above what hours per bar ask for at the pressure reached? Then the curve is bent. */
  isBelow(need: number): boolean {
    return need > 0 && this.bar * this.perBar < need * (1 - MET)
  }
  /** Seconds that count as hours per bar at the pressure reached, and the share of 1 that the others leave for them. */
  private split(): { straightS: number; left: number } {
    let straightS = 0
    let left = 1
    for (const { need, s: forS } of this.at)
      if (this.isBelow(need)) left -= forS / need
      else straightS += forS
    return { straightS, left }
  }
  /** Bar a second, at this moment, while the requirement rules. */
  slope(need: number): number {
    const { straightS, left } = this.split()
    return this.isBelow(need) ? straightS / (this.perBar * need * left ** 2) : 1 / (this.perBar * left)
  }
  /** Seconds at a requirement until the next of all that are not met is met; Infinity when none is left. */
  toBendS(need: number): number {
    const { straightS, left } = this.split()
    const below = this.isBelow(need)
    const unmet = this.at.find((a) => this.isBelow(a.need))?.need ?? Infinity
    const next = below ? Math.min(need, unmet) : unmet
    if (next === Infinity) return Infinity
    const forS = below ? need * (left - straightS / next) : next * left - straightS
    // At the moment itself rounding may leave a little less than nothing: the bend lies just ahead.
    return Math.max(forS, next * MET)
  }
  /** Length of the next tangent: so short that it falls behind the curve by less than the allowed lag. */
  chordS(need: number): number {
    const { straightS, left } = this.split()
    const bend = (2 * straightS) / (this.perBar * need * need * left ** 3)
    const chordS = bend > 0 ? Math.sqrt((2 * CHORD_LAG_BAR) / bend) : LONGEST_CHORD_S
    return Math.max(SHORTEST_CHORD_S, Math.min(LONGEST_CHORD_S, chordS))
  }
  /** The pressure: with the lowest requirements counted as met, one after the other, until the rest lie above it. */
  private solve(): number {
    let straightS = 0
    let left = 1
    for (const { need, s: forS } of this.at)
      if (need > 0) left -= forS / need
      else straightS += forS
    for (const { need, s: forS } of this.at) {
      if (need === 0) continue
      if (left > 0 && straightS / left < need * (1 - MET)) break
      left += forS / need
      straightS += forS
    }
    return straightS / left / this.perBar
  }
}
