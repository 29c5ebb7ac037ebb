import { extent, greatest } from '../../units/extent.js'
import { onceEach } from '../../units/memo.js'
import type { Points, TestSeries } from './series.js'
import { lagged, pipeBehindAir, wallAheadOfWater, waterBehindWall } from './physics/lag.js'
import { type PipeStuff, growthPerK, stretchPerBar, stuffOf } from './physics/pipe.js'
import { type Trapped, barPerK, gasBar, givePerBar, trap } from './physics/trapped.js'
import { type WaterAt, waterAt } from './physics/water.js'

/** What the pressure would have done by temperature alone, and in which directions that may be off. */
export interface Expected {
  /** At each point, bar, as a change from the first. */
  bar: number[]
  /** What a plastic pipe gives way meanwhile, by its book figure, bar as a change from the first; zeros for metal and gas. */
  creep: number[]
  /** Each: what the course would be off by, were one thing one standard deviation from its figure. */
  directions: { of: 'temperature' | 'air' | 'creep'; bar: number[] }[]
  /** Air that was reckoned with, per cent. */
  airPct: number
  /** Noise of the temperatures that were read, K. */
  readSd: number
  /** Share of the bore for each bar; null for gas. */
  givePerBar: number | null
  barPerK: number
}
/** What the physics needs and nobody said. */
export type Lacking = 'odMm' | 'wallMm' | 'axial' | 'material' | 'temperature'

/** An unread temperature sensor may be off by so much, K (one standard deviation). Source: `ours-verdict`. */
const SENSOR_OFF_K = 0.3
/** How much farther or nearer than figured the lag may be, as a factor. */
const LAG_OFF = 1.6
/** How far water may be from its wall, or a full pipe from the air, when readings begin, K. */
const START_OFF_K = { wall: 0.7, air: 4, medium: 0 } as const
/** What of a correction the physics leaves unexplained: of the range of the course, of the creep, and in kelvin. */
const UNEXPLAINED = { course: 0.06, creep: 0.1, kelvin: 0.02 }
/**
 * How far the giving way of a plastic may be off its book figure (one standard deviation, as a share), and the least it
 * may come to in such deviations: none at all, since no pipe gives way backwards. Source: `ours-verdict`.
 */
const CREEP_OFF = 0.3
export const NO_CREEP = -1 / CREEP_OFF
/** A pressure that was just raised: the pipe began to give way so long before the first reading, s. */
const RAISED_S = [60, 600] as const

interface Settings {
  growth: number
  modulus: number
  airPct: number
  offC: number
  lag: number
  startC: number
}
const PLAIN: Settings = { growth: 1, modulus: 1, airPct: 0, offC: 0, lag: 1, startC: 0 }

const lack = (series: TestSeries, points: Points): Lacking | null => {
  if (points.c.some((c) => Number.isNaN(c))) return 'temperature'
  const needsWall = series.medium === 'water' || series.temperatureOf === 'air'
  if (!needsWall) return null
  if (!stuffOf(series.pipeMaterial)) return 'material'
  if (series.odMm === null) return 'odMm'
  if (series.wallMm === null) return 'wallMm'
  return series.medium === 'water' && series.axial === null ? 'axial' : null
}

interface Temperatures {
  medium: number[]
  pipe: number[]
}
/** Temperatures of medium and pipe at each point, from what was read. */
function temperatures(
  series: TestSeries,
  points: Points,
  stuff: PipeStuff | null,
  set: Settings,
): Temperatures {
  const read = points.smooth.at.map((c) => c + set.offC)
  if (!stuff || series.odMm === null || series.wallMm === null) return { medium: read, pipe: read }
  const ring = { odMm: series.odMm, wallMm: series.wallMm, conducts: stuff.conducts, holds: stuff.holds }
  const full = series.medium === 'water'
  if (series.temperatureOf === 'medium') {
    if (!full) return { medium: read, pipe: read }
    const aheadS = wallAheadOfWater(ring) * set.lag
    return { medium: read, pipe: read.map((c, i) => c + aheadS * (points.smooth.slope[i] as number)) }
  }
  const follow = (tauS: number): number[] => {
    const y = lagged(points.tS, read, tauS)
    return y.map((c, i) => c + (tauS > 0 ? set.startC * Math.exp(-(points.tS[i] as number) / tauS) : 0))
  }
  if (series.temperatureOf === 'air') {
    const inside = follow(pipeBehindAir(ring, full) * set.lag)
    return { medium: inside, pipe: inside }
  }
  // A gas follows its wall within seconds.
  if (!full) return { medium: read, pipe: read }
  const { tauS, middle } = waterBehindWall(ring)
  const medium = follow(tauS * set.lag)
  return { medium, pipe: medium.map((c, i) => (read[i] as number) + middle * (c - (read[i] as number))) }
}

function trappedOf(
  series: TestSeries,
  stuff: PipeStuff,
  startBar: number,
  atC: number,
  set: Settings,
): Trapped {
  const axial = series.axial ?? 'free'
  return {
    bar: startBar,
    waterC: atC,
    pipeC: atC,
    air: Math.min(0.5, Math.max(0, set.airPct / 100)),
    growthPerK: growthPerK(stuff, axial) * set.growth,
    stretchPerBar: stretchPerBar(stuff, series.odMm ?? 0, series.wallMm ?? 0, axial) / set.modulus,
  }
}

/** The same with the water at each point: every amount of air that is tried goes by the same ones. */
const courseTemperatures = onceEach(
  (_series: TestSeries, _stuff: PipeStuff | null, set: Settings) => `${set.offC} ${set.lag} ${set.startC}`,
  (points: Points, series, stuff, set): Temperatures & { water: WaterAt[] } => {
    const found = temperatures(series, points, stuff, set)
    return { ...found, water: series.medium === 'water' ? found.medium.map(waterAt) : [] }
  },
)
function course(series: TestSeries, points: Points, stuff: PipeStuff | null, set: Settings): number[] {
  const { medium, pipe, water } = courseTemperatures(points, series, stuff, set)
  const startBar = points.bar[0] as number
  const startC = medium[0] as number
  if (series.medium !== 'water' || !stuff) return medium.map((c) => gasBar(startBar, startC, c) - startBar)
  const from = { ...trappedOf(series, stuff, startBar, startC, set), pipeC: pipe[0] as number }
  const at = trap(from)
  let bar = startBar
  return water.map((now, i) => (bar = at(now, pipe[i] as number, bar)) - startBar)
}

/** Humps and waves over the points, of size 1 (Legendre's second and third). */
function waves(tS: readonly number[]): number[][] {
  const [first, last] = [tS[0] as number, tS.at(-1) as number]
  const x = tS.map((t) => (2 * (t - first)) / (last - first || 1) - 1)
  return [x.map((v) => 1.5 * v * v - 0.5), x.map((v) => 2.5 * v ** 3 - 1.5 * v)]
}

/** The course with one thing off its figure, as a difference: from the plain course, or from another. */
type Off = (change: Partial<Settings>, against?: readonly number[]) => number[]

/** How far a sensor, the lag and the start may each move the course. */
function readDirections(
  series: TestSeries,
  off: Off,
  courseOf: (change: Partial<Settings>) => number[],
): number[][] {
  const directions = [off({ offC: SENSOR_OFF_K })]
  if (series.temperatureOf !== 'air' && series.medium !== 'water') return directions
  directions.push(off({ lag: LAG_OFF }))
  const startC = START_OFF_K[series.temperatureOf]
  if (startC > 0) {
    const start = off({ startC })
    const both = off({ startC, lag: LAG_OFF }, courseOf({ lag: LAG_OFF }))
    directions.push(
      start,
      both.map((b, i) => b - (start[i] as number)),
    )
  }
  return directions
}

/** How a plastic pipe gives way after it was raised: what the book says, and how far that may be off. */
function creepOf(
  points: Points,
  perDecadeBar: number,
  unexplained: (size: number) => number[][],
  span: (course: readonly number[]) => number,
): { creep: number[]; off: number[][] } {
  const shape = (raisedS: number): number[] =>
    points.tS.map((t) => -perDecadeBar * Math.log10((t + raisedS) / ((points.tS[0] as number) + raisedS)))
  const [soon, late] = [shape(RAISED_S[0]), shape(RAISED_S[1])]
  const creep = soon.map((b, i) => (b + (late[i] as number)) / 2)
  return {
    creep,
    off: [
      creep.map((b) => b * CREEP_OFF),
      late.map((b, i) => (b - (soon[i] as number)) / 2),
      ...unexplained(UNEXPLAINED.creep * span(creep)),
    ],
  }
}

/** Noise of the temperatures that were read, K: what is left of them beside their smooth course. */
function readNoise(points: Points): number {
  const off = points.smooth.at.reduce((sum, at, i) => sum + (at - (points.c[i] as number)) ** 2, 0)
  return Math.sqrt(off / Math.max(1, points.smooth.at.length - 2))
}

/**
 * The course that temperature alone explains. @param points readings from the first on, temperatures known.
 * @param holdFrom number of the point at which the hold begins. @param airPct air shut in, per cent; null = unsaid.
 * Gives what is lacking instead when the physics can't be done.
 */
export function expectedCourse(
  series: TestSeries,
  points: Points,
  holdFrom: number,
  airPct: number,
): Expected | { lacking: Lacking } {
  const lacking = lack(series, points)
  if (lacking) return { lacking }
  const stuff = stuffOf(series.pipeMaterial)
  const plain: Settings = { ...PLAIN, airPct }
  const courseOf = (change: Partial<Settings>): number[] =>
    course(series, points, stuff, { ...plain, ...change })
  const bar = courseOf({})
  const startBar = points.bar[0] as number
  const off: Off = (change, against = bar) => courseOf(change).map((b, i) => b - (against[i] as number))
  const directions: Expected['directions'] = []
  const add = (of: Expected['directions'][number]['of'], courses: number[][]): void =>
    courses.forEach((c) => directions.push({ of, bar: c }))
  add('temperature', readDirections(series, off, courseOf))
  const hold = points.tS.slice(holdFrom)
  const wave = waves(hold).map((w) => [...points.tS.slice(0, holdFrom).map(() => 0), ...w])
  const span = (v: readonly number[]): number => extent(v.slice(holdFrom))
  const unexplained = (size: number): number[][] => wave.map((w) => w.map((x) => x * size))
  const unexplainedBy = (perK: number): number[][] =>
    unexplained(Math.hypot(UNEXPLAINED.course * span(bar), UNEXPLAINED.kelvin * Math.abs(perK)))
  const found = { bar, directions, readSd: readNoise(points) }
  const none = bar.map(() => 0)
  if (series.medium !== 'water' || !stuff) {
    const perK = gasBar(startBar, 15, 16) - startBar
    add('temperature', unexplainedBy(perK))
    return { ...found, creep: none, airPct: 0, givePerBar: null, barPerK: perK }
  }
  add('temperature', [off({ growth: 1 + stuff.growthOff }), off({ modulus: 1 + stuff.modulusOff })])
  if (series.airPct !== null) add('air', [off({ airPct: airPct * 1.1 + 0.002 })])
  const trapped = trappedOf(series, stuff, startBar, points.c[0] as number, plain)
  const give = givePerBar(trapped)
  const perK = barPerK(trapped)
  add('temperature', unexplainedBy(perK))
  const perDecade = (startBar * trapped.stretchPerBar * stuff.creepPerDecade) / give
  const giving = stuff.creepPerDecade > 0 ? creepOf(points, perDecade, unexplained, span) : null
  add('creep', giving?.off ?? [])
  return { ...found, creep: giving?.creep ?? none, airPct, givePerBar: give, barPerK: perK }
}

/** The most that each kelvin may do, bar/K, when pipe and air are not known: a wall that does not give. */
export function mostBarPerK(series: TestSeries, startBar: number, temperatureC: number): number {
  if (series.medium !== 'water') return Math.abs(gasBar(startBar, temperatureC, temperatureC + 1) - startBar)
  const stuff = stuffOf(series.pipeMaterial)
  const growths = stuff ? [growthPerK(stuff, 'free'), growthPerK(stuff, 'anchored')] : [0, 6e-4]
  const stiff = { bar: startBar, waterC: temperatureC, pipeC: temperatureC, air: 0, stretchPerBar: 0 }
  return greatest(growths.map((growth) => Math.abs(barPerK({ ...stiff, growthPerK: growth }))))
}
