/** A tube in its cup, laid flat and heated: cells round it, and along it from the cup's face to its stop. */
export interface Shell {
  rows: number
  columns: number
  /** Size of a cell, m. */
  roundM: number
  alongM: number
  /** Heat that a cell's area takes up for a kelvin, J/(m² K): thickness · density · specific heat. */
  areaHeat: number
  /** Thickness · conductivity, W/K. */
  spreads: number
}
/** What heats and cools it. */
export interface Flame {
  /** Heat into each cell, W/m². */
  intoWM2: readonly (readonly number[])[]
  aroundC: number
  /** What it loses to the air, W/(m² K). */
  lossWM2K: number
  /** Columns at the stop's side drain into what it is soldered to, W/(m² K). */
  drainWM2K: number
  /** No cell gets hotter: water in the line boils. Null: dry. */
  boilsC: number | null
}
/** Largest share of the stable step (explicit scheme: Δt ≤ Δx² / 4α, as heat goes four ways). */
const STEP_SHARE = 0.8
/** Steps in the time in which a cell would cool by its own losses: off by less than 1 %. */
const LOSS_STEPS = 100

/**
 * Temperatures of a shell after so long, °C by cell (explicit finite differences in two directions, Incropera 5.10).
 * Rows wrap round; nothing goes through the face.
 */
export function heated(shell: Shell, flame: Flame, fromC: number, forS: number): number[][] {
  const { rows, columns } = shell
  const spread = shell.spreads / shell.areaHeat
  const [round, along] = [spread / shell.roundM ** 2, spread / shell.alongM ** 2]
  const cools = (flame.lossWM2K + flame.drainWM2K) / shell.areaHeat
  // Stable by what spreads, and small enough that what is lost falls off as it should.
  const perS = Math.max((2 * round + 2 * along) / STEP_SHARE, cools * LOSS_STEPS)
  const steps = Math.max(1, Math.ceil(forS * perS))
  const dtS = forS / steps
  const into = flame.intoWM2.flat().map((w) => w / shell.areaHeat)
  const loss = flame.lossWM2K / shell.areaHeat
  const drain = flame.drainWM2K / shell.areaHeat
  const most = flame.boilsC ?? Infinity
  let now = new Float64Array(rows * columns).fill(fromC)
  let next = new Float64Array(rows * columns)
  for (let step = 0; step < steps; step++) {
    for (let row = 0; row < rows; row++) {
      const up = ((row + rows - 1) % rows) * columns
      const down = ((row + 1) % rows) * columns
      for (let column = 0; column < columns; column++) {
        const i = row * columns + column
        const here = now[i] as number
        const left = column ? (now[i - 1] as number) : here
        const right = column < columns - 1 ? (now[i + 1] as number) : here
        const turn = (now[up + column] as number) + (now[down + column] as number) - 2 * here
        const off = column === columns - 1 ? drain * (here - flame.aroundC) : 0
        const change =
          (into[i] as number) +
          round * turn +
          along * (left + right - 2 * here) -
          loss * (here - flame.aroundC) -
          off
        const then = here + dtS * change
        next[i] = then > most ? most : then
      }
    }
    ;[now, next] = [next, now]
  }
  return Array.from({ length: rows }, (_, row) => [...now.slice(row * columns, (row + 1) * columns)])
}
