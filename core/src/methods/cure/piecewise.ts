/**
 * Never-falling pressure against time, in pieces that are flat or straight ramps. A piece holds from its start to
 * the next one's. `holder` is who sets it (an index in id order), `reachedS` when that holder first had this value.
 */
export interface Piece {
  fromS: number
  /** Gauge pressure at `fromS`; Infinity = no ceiling. */
  bar: number
  slopeBarPerS: number
  holder: number
  reachedS: number
}

/** Epoch seconds leave a tenth of a microsecond: a ramp's value is no sharper than this. */
const SAME_BAR = 1e-9

/**
 * The curve of a joint that sets no ceiling once it is made.
 * @example unlimitedFrom(100)[0].bar // Infinity
 */
export const unlimitedFrom = (atS: number): Piece[] => [
  { fromS: atS, bar: Infinity, slopeBarPerS: 0, holder: 0, reachedS: atS },
]

const barAt = (piece: Piece, atS: number): number =>
  piece.slopeBarPerS === 0 ? piece.bar : piece.bar + piece.slopeBarPerS * (atS - piece.fromS)
const reachedAt = (p: Piece, atS: number): number => (p.slopeBarPerS === 0 ? p.reachedS : atS)

function append(out: Piece[], from: Piece, atS: number): void {
  const bar = barAt(from, atS)
  const last = out.at(-1)
  if (
    last &&
    last.holder === from.holder &&
    last.slopeBarPerS === from.slopeBarPerS &&
    Math.abs(barAt(last, atS) - bar) <= SAME_BAR
  )
    return
  if (last && last.bar === Infinity && bar === Infinity && last.holder === from.holder) return
  const piece = {
    fromS: atS,
    bar,
    slopeBarPerS: from.slopeBarPerS,
    holder: from.holder,
    reachedS: reachedAt(from, atS),
  }
  if (last && last.fromS === atS) out[out.length - 1] = piece
  else out.push(piece)
}

/** Does `a` win over `b` on the stretch that starts at `atS`? Ties: the one that reached this value last, then id. */
function wins(a: Piece, b: Piece, atS: number, pick: 'min' | 'max', holderB = b.holder): boolean {
  const va = barAt(a, atS)
  const vb = barAt(b, atS)
  if (va === vb && a.slopeBarPerS === b.slopeBarPerS) {
    const ra = reachedAt(a, atS)
    const rb = reachedAt(b, atS)
    return ra === rb ? a.holder <= holderB : ra > rb
  }
  const close = Math.abs(va - vb) <= SAME_BAR
  const less = close ? a.slopeBarPerS < b.slopeBarPerS : va < vb
  return pick === 'min' ? less : !less
}

/**
 * True when joint `b` (from its home on) nowhere lies below `a`: most joints of a large section are like that, and
 * cost no new curve. `a` must still be at 0 bar when `b` begins.
 */
export function neverHolds(
  a: readonly Piece[],
  b: readonly Piece[],
  holderB: number,
  reachedB: number,
): boolean {
  let i = 0
  let next = 0
  const first = a[0] as Piece
  let atS = (b[0] as Piece).fromS
  if (first.fromS > atS || first.bar > 0 || first.slopeBarPerS > 0) return false
  if (a.length > 1 && (a[1] as Piece).fromS < atS) return false
  if (reachedB > first.reachedS || (reachedB === first.reachedS && holderB < first.holder)) return false
  for (;;) {
    while (i + 1 < a.length && (a[i + 1] as Piece).fromS <= atS) i++
    while (next + 1 < b.length && (b[next + 1] as Piece).fromS <= atS) next++
    const pa = a[i] as Piece
    const pb = b[next] as Piece
    if (!wins(pa, pb, atS, 'min', holderB)) return false
    const nextS = Math.min(a[i + 1]?.fromS ?? Infinity, b[next + 1]?.fromS ?? Infinity)
    const closing = pb.slopeBarPerS - pa.slopeBarPerS
    if (closing !== 0) {
      const crossS = atS + (barAt(pa, atS) - barAt(pb, atS)) / closing
      if (crossS > atS && crossS < nextS) return false
    }
    if (nextS === Infinity) return true
    atS = nextS
  }
}

/** Pointwise least (or greatest) of two curves, with a break exactly where they cross. Both cover the same start. */
export function combine(a: readonly Piece[], b: readonly Piece[], pick: 'min' | 'max'): Piece[] {
  const out: Piece[] = []
  let i = 0
  let next = 0
  let atS = Math.max(a[0]?.fromS ?? -Infinity, b[0]?.fromS ?? -Infinity)
  while (i + 1 < a.length && (a[i + 1] as Piece).fromS <= atS) i++
  while (next + 1 < b.length && (b[next + 1] as Piece).fromS <= atS) next++
  for (;;) {
    const pa = a[i] as Piece
    const pb = b[next] as Piece
    const nextS = Math.min(a[i + 1]?.fromS ?? Infinity, b[next + 1]?.fromS ?? Infinity)
    append(out, wins(pa, pb, atS, pick) ? pa : pb, atS)
    const closing = pb.slopeBarPerS - pa.slopeBarPerS
    if (closing !== 0) {
      const crossS = atS + (barAt(pa, atS) - barAt(pb, atS)) / closing
      if (crossS > atS && crossS < nextS) append(out, wins(pa, pb, crossS, pick) ? pa : pb, crossS)
    }
    if (nextS === Infinity) return out
    atS = nextS
    while (i + 1 < a.length && (a[i + 1] as Piece).fromS <= atS) i++
    while (next + 1 < b.length && (b[next + 1] as Piece).fromS <= atS) next++
  }
}

/** The curve's value at a time (0 before it begins). */
export function valueAt(pieces: readonly Piece[], atS: number): number {
  let value = 0
  for (const piece of pieces) {
    if (piece.fromS > atS) break
    value = barAt(piece, atS)
  }
  return value
}

/** The curve's earliest time at a pressure, or null when it never gets there. */
export function timeOf(pieces: readonly Piece[], bar: number, tolerance = 0): number | null {
  const goal = bar - tolerance
  for (let i = 0; i < pieces.length; i++) {
    const piece = pieces[i] as Piece
    if (piece.bar >= goal) return piece.fromS
    if (piece.slopeBarPerS > 0) {
      const atS = piece.fromS + (goal - piece.bar) / piece.slopeBarPerS
      if (atS <= (pieces[i + 1]?.fromS ?? Infinity)) return atS
    }
  }
  return null
}
