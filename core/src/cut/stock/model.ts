import { greatest } from '../../units/extent.js'

/** Lengths no further apart are the same, mm: what adding up many of them may be off by. */
export const NEAR_MM = 1e-6

/** A length that pieces may be cut from, mm. Without a count: as many as wanted; an offcut without a count is one. */
export interface StockLength {
  lengthMm: number
  count?: number | null
  offcut?: boolean | null
}
export interface WantedPiece {
  id: string
  lengthMm: number
  count: number
}
export interface StockInput {
  stock: readonly StockLength[]
  /** Width of the saw cut, mm. */
  kerfMm: number
  pieces: readonly WantedPiece[]
}
export interface Cut {
  id: string
  /** Where the piece begins on the bar. */
  atMm: number
  lengthMm: number
}
export interface Bar {
  stockMm: number
  offcut: boolean
  cuts: Cut[]
  leftMm: number
}
export interface StockPlan {
  bars: Bar[]
  /** New stock opened. */
  barsUsed: number
  /** No plan opens fewer bars, and none less length; each for its own aim. Null when there is not enough stock. */
  lowerBoundBars: number | null
  lowerBoundMm: number | null
  /** Both bounds are reached. */
  proven: boolean
  status: 'optimal' | 'feasible' | 'infeasible'
}

/** Pieces of one length together. Widths (length and saw cut) and room are whole units, so that sums are exact. */
export interface Item {
  width: number
  /** Every piece wanted, each with its own length: they may differ by less than a unit. */
  pieces: { id: string; lengthMm: number }[]
}
export interface Stock {
  lengthMm: number
  room: number
  offcut: boolean
  /** Infinity: as many as wanted. */
  count: number
}
export interface Model {
  items: Item[]
  stocks: Stock[]
  kerfMm: number
  /** Widths are exact, not rounded up: bounds count as they stand. */
  exact: boolean
}

/** Finer than a saw: lengths that agree to a thousandth are one length. */
const FINEST_MM = 0.001
/** Units in the longest stock, at most: more would make every sum slow. */
const MOST_UNITS = 40_000

const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a)

/** A length in thousandths, the next whole one above or below; a hair over is what floating point adds. */
const HAIR = 1e-6
const above = (mm: number): number => Math.ceil(mm / FINEST_MM - HAIR)
const below = (mm: number): number => Math.floor(mm / FINEST_MM + HAIR)

/**
 * The problem in whole units. The unit is the largest that measures everything exactly; where that is too fine (inch
 * fractions), widths are rounded up, which wastes at most a unit a piece and never makes a plan that does not fit.
 * Then `loose` is the same problem rounded the other way: what is least there is a bound here.
 */
export function modelOf(input: StockInput): { model: Model; loose: Model | null } {
  const rooms = input.stock.map((s) => s.lengthMm + input.kerfMm)
  const widths = input.pieces.map((p) => p.lengthMm + input.kerfMm)
  const whole = [...rooms, ...widths].every((mm) => above(mm) === below(mm))
  const common = Math.max(1, [...rooms, ...widths].map(below).reduce(gcd, 0))
  const least = Math.ceil(greatest(rooms.map(above)) / MOST_UNITS)
  const exact = whole && common >= least
  const unit = exact ? common : least
  const up = (mm: number): number => Math.ceil(above(mm) / unit)
  const down = (mm: number): number => Math.floor(below(mm) / unit)
  return {
    model: inUnits(input, up, down, exact),
    loose: exact ? null : inUnits(input, down, up, false),
  }
}
function inUnits(
  input: StockInput,
  pieceUnits: (mm: number) => number,
  roomUnits: (mm: number) => number,
  exact: boolean,
): Model {
  const items = new Map<string, Item>()
  for (const piece of input.pieces) {
    const mm = piece.lengthMm + input.kerfMm
    const key = `${above(mm)} ${below(mm)}`
    let item = items.get(key)
    if (!item) items.set(key, (item = { width: pieceUnits(mm), pieces: [] }))
    for (let k = 0; k < piece.count; k++) item.pieces.push({ id: piece.id, lengthMm: piece.lengthMm })
  }
  const stocks = new Map<string, Stock>()
  for (const length of input.stock) {
    const offcut = length.offcut === true
    const count = length.count ?? (offcut ? 1 : Infinity)
    const key = `${below(length.lengthMm)} ${offcut}`
    const had = stocks.get(key)
    if (had) had.count += count
    else
      stocks.set(key, {
        lengthMm: length.lengthMm,
        room: roomUnits(length.lengthMm + input.kerfMm),
        offcut,
        count,
      })
  }
  return {
    items: [...items.values()].sort((a, b) => b.width - a.width),
    stocks: [...stocks.values()].filter((s) => s.count > 0),
    kerfMm: input.kerfMm,
    exact,
  }
}

/** A way to fill one bar: how many of each item. */
export interface Pattern {
  stock: number
  counts: number[]
}
/** Room that a pattern takes of its bar, in the model's whole units. @param counts of each item. */
export const widthOf = (model: Model, counts: readonly number[]): number =>
  counts.reduce((sum, n, i) => sum + n * (model.items[i] as Item).width, 0)
/** New length that a bar opens, mm: none for an offcut. */
export const costMm = (s: Stock): number => (s.offcut ? 0 : s.lengthMm)
/** New length opened by a plan, mm, and bars of new stock. */
export const openedMm = (model: Model, plan: readonly Pattern[]): number =>
  plan.reduce((sum, p) => sum + costMm(model.stocks[p.stock] as Stock), 0)
/** Bars of a plan that are not offcuts. */
export const newBars = (model: Model, plan: readonly Pattern[]): number =>
  plan.filter((p) => !(model.stocks[p.stock] as Stock).offcut).length
