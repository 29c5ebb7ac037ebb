import { type Judgement, type TestSeries, judgeSeries } from '@jugalis/core'
import seedrandom from 'seedrandom'
import { LinePlayer, type LineUnderTest, STUFF } from '../../src/devices/line-model.js'

/** Numbers that depend on a seed alone. */
export class Luck {
  private readonly rng: () => number
  constructor(seed: number) {
    this.rng = seedrandom.alea(String(seed))
  }
  next(): number {
    return this.rng()
  }
  between(a: number, b: number): number {
    return a + (b - a) * this.next()
  }
  of<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)] as T
  }
  /** About zero, with a standard deviation of one. */
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next())
  }
}

/** What may be wrong with the readings, or with whoever takes them. */
export const FAULTS = [
  'none',
  'vented-tail',
  'topped-up-once',
  'topped-up-often',
  'outlier',
  'temperature-jump',
  'late-clock',
  'half-unread',
  'gap',
] as const
export type Fault = (typeof FAULTS)[number]
export interface Trial {
  seed: number
  fault: Fault
  series: TestSeries
  /** Leak as a multiple of what is allowed. */
  leak: number
  material: string
  swingK: number
  airShare: number
  verdict: Judgement
  /** What most of the fall really came from: the same line again without one thing or the other. */
  truly(): 'leak' | 'temperature' | 'creep'
}
const LEAKS = [0, 0.25, 0.5, 2, 4]
const PIPES: readonly (readonly [string, number, number])[] = [
  ['carbon-steel', 60.3, 3.9],
  ['carbon-steel', 114.3, 6],
  ['stainless', 42, 1.5],
  ['stainless', 76.1, 2],
  ['copper', 28, 1],
  ['copper', 54, 1.5],
  ['pvc-u', 32, 2],
  ['pvc-u', 63, 3],
  ['pvc-u', 110, 5.3],
  ['abs', 50, 3],
  ['abs', 110, 6],
  ['pp-r', 40, 5.5],
  ['pp-r', 75, 10.3],
]
const near = (luck: Luck, value: number, share: number): number =>
  value * (1 + share * Math.max(-2, Math.min(2, luck.normal())))

/** One test: a line that is not quite as the books say, its air, its sensor. */
export function playTrial(
  seed: number,
  leaks: readonly number[] = LEAKS,
  faults: readonly Fault[] = ['none'],
): Trial {
  const luck = new Luck(seed)
  const [material, odMm, wallMm] = luck.of(PIPES)
  const metal = ['carbon-steel', 'stainless', 'copper'].includes(material)
  const medium = metal && luck.next() < 0.25 ? luck.of(['air', 'nitrogen'] as const) : 'water'
  const startBar = medium === 'water' ? luck.between(4, 16) : luck.between(0.5, 6)
  const holdS = luck.of([1800, 3600, 7200])
  const stabiliseS = luck.of([600, 1200, 1800])
  const allowedDropBar = medium === 'water' ? luck.of([0.1, 0.2, 0.3, 0.5]) : luck.of([0.02, 0.05, 0.1])
  const leak = luck.of(leaks)
  const swingK = luck.next() < 0.3 ? 0 : luck.between(0, 8)
  const phase = luck.between(0, 2 * Math.PI)
  const periodS = luck.between(1.5, 20) * 3600
  const meanC = luck.between(8, 26)
  const airC = (t: number): number => meanC + (swingK / 2) * Math.sin((2 * Math.PI * t) / periodS + phase)
  const airShare = medium === 'water' ? luck.of([0, 0, 0.003, 0.01, 0.03]) * luck.next() : 0
  const book = STUFF[material] as (typeof STUFF)[string]
  const line: LineUnderTest = {
    filledWith: medium,
    odMm,
    wallMm: near(luck, wallMm, 0.02),
    lengthM: luck.between(10, 150),
    anchored: luck.next() < 0.4,
    airShare,
    startBar,
    startC: airC(0) + luck.normal() * 1.5,
    stuff: {
      ...book,
      youngGpa: near(luck, book.youngGpa, metal ? 0.02 : 0.08),
      alpha: near(luck, book.alpha, metal ? 0.02 : 0.06),
      creep: near(luck, book.creep, 0.2),
    },
    outside: luck.between(7, 14),
    inside: luck.between(100, 250),
    leakBarPerH: (leak * allowedDropBar * 3600) / holdS,
  }
  const player = new LinePlayer(line)
  const temperatureOf = luck.of(['medium', 'medium', 'wall', 'air'] as const)
  const everyS = luck.of([10, 30, 60])
  const fullScale = luck.of([10, 16, 25])
  const stepBar = (Math.max(fullScale, startBar * 1.3) / 4096) * luck.of([1, 1, 4])
  const noise = luck.of([0.0003, 0.001, 0.004])
  const sensorErrorBar = luck.of([0.002, 0.005, 0.01])
  const drift = (luck.normal() * sensorErrorBar) / 2
  const offC = luck.normal() * 0.2
  const fault = faultFor(new Luck(seed + 17).of(faults), leak)
  const pump = pumping(fault, new Luck(seed + 23), { stabiliseS, holdS, allowedDropBar })
  const endS = stabiliseS + holdS
  const readings: { tS: number; pressureBar: number; temperatureC: number }[] = []
  let pumpedBar = 0
  for (let t = 0; t <= endS; t += everyS) {
    if (pump(t, startBar - player.bar - pumpedBar)) pumpedBar = startBar - player.bar
    const trueC = temperatureOf === 'medium' ? player.inC : temperatureOf === 'wall' ? player.wallC : airC(t)
    const p = player.bar + pumpedBar + noise * luck.normal() + (drift * t) / endS
    readings.push({
      tS: t,
      pressureBar: Math.round(p / stepBar) * stepBar,
      temperatureC: Math.round((trueC + offC + 0.02 * luck.normal()) / 0.0625) * 0.0625,
    })
    const parts = Math.ceil(everyS / 20)
    for (let k = 0; k < parts; k++) player.step(everyS / parts, airC(t + (everyS * k) / parts))
  }
  const series: TestSeries = {
    medium,
    pipeMaterial: material,
    odMm,
    wallMm,
    axial: player.line.anchored ? 'anchored' : 'free',
    airPct: luck.next() < 0.5 ? airShare * 100 * (1 + 0.08 * luck.normal()) : null,
    volumeM3: player.litres / 1000,
    resolutionBar: stepBar,
    sensorErrorBar,
    temperatureOf,
    readings: spoilt(readings, fault, new Luck(seed + 29), { stabiliseS, holdS, everyS }),
    stabiliseS,
    holdS,
    allowedDropBar,
  }
  const fallOf = (without: Partial<LineUnderTest>, air: (t: number) => number): number => {
    const p = new LinePlayer({ ...line, ...without })
    const at: number[] = []
    for (let t = 0; t <= endS; t += 30) {
      if (at.length === 0 && t >= stabiliseS) at.push(p.bar)
      p.step(30, air(t))
    }
    return (at[0] ?? p.bar) - p.bar
  }
  const truly: Trial['truly'] = () => {
    const none = { leakBarPerH: 0, stuff: { ...line.stuff, creep: 0 } }
    const by = {
      leak: leak * allowedDropBar,
      temperature: Math.abs(fallOf(none, airC)),
      creep: Math.abs(fallOf({ leakBarPerH: 0 }, () => line.startC)),
    }
    return Object.entries(by).reduce((a, b) => (b[1] > a[1] ? b : a))[0] as keyof typeof by
  }
  return { seed, fault, series, leak, material, swingK, airShare, verdict: judgeSeries(series), truly }
}

/** Only what leaks is topped up. */
const faultFor = (fault: Fault, leak: number): Fault =>
  fault.startsWith('topped-up') && leak === 0 ? 'none' : fault

/**
 * Somebody at the pump: says at each reading whether the pressure is brought back to where it began. Once, somewhere in
 * the middle of the hold; or as often as a share of what is allowed was lost.
 */
function pumping(
  fault: Fault,
  luck: Luck,
  test: { stabiliseS: number; holdS: number; allowedDropBar: number },
): (tS: number, lostBar: number) => boolean {
  if (fault === 'topped-up-once') {
    let left = test.stabiliseS + test.holdS * luck.between(0.3, 0.9)
    return (tS, lostBar) => {
      if (tS < left || lostBar <= 0) return false
      left = Infinity
      return true
    }
  }
  if (fault !== 'topped-up-often') return () => false
  const at = test.allowedDropBar * luck.between(0.1, 0.6)
  return (tS, lostBar) => tS > test.stabiliseS && lostBar > at
}

/** What happens to readings between the sensor and the file. */
function spoilt<R extends { tS: number; pressureBar: number; temperatureC: number }>(
  readings: readonly R[],
  fault: Fault,
  luck: Luck,
  test: { stabiliseS: number; holdS: number; everyS: number },
): R[] {
  const endS = test.stabiliseS + test.holdS
  const last = readings.at(-1) as R
  const inHold = (): number => test.stabiliseS + test.holdS * luck.between(0.1, 0.9)
  switch (fault) {
    case 'vented-tail': {
      const tail = Array.from({ length: Math.ceil(luck.between(60, 1200) / test.everyS) }, (_, i) => ({
        ...last,
        tS: endS + (i + 1) * test.everyS,
        pressureBar: Math.max(0, last.pressureBar * (1 - (i + 1) / 4)),
      }))
      return [...readings, ...tail]
    }
    case 'outlier': {
      const at = new Set([inHold(), inHold()].map((t) => Math.round(t / test.everyS)))
      const off = luck.of([-1, 1]) * luck.between(0.3, 20)
      return readings.map((r, i) => (at.has(i) ? { ...r, pressureBar: r.pressureBar + off } : r))
    }
    case 'temperature-jump': {
      const at = Math.round(inHold() / test.everyS)
      const off = luck.of([-1, 1]) * luck.between(8, 60)
      return readings.map((r, i) => (i === at ? { ...r, temperatureC: r.temperatureC + off } : r))
    }
    case 'late-clock': {
      const off = luck.between(1000, 2e6)
      return readings.map((r) => ({ ...r, tS: r.tS + off }))
    }
    case 'half-unread':
      return readings.filter((r) => r.tS <= test.stabiliseS + test.holdS * 0.5)
    case 'gap': {
      const from = test.stabiliseS + test.holdS * luck.between(0.1, 0.5)
      return readings.filter((r) => r.tS < from || r.tS > from + test.holdS * 0.35)
    }
    default:
      return [...readings]
  }
}

/** Upper 95 % bound of a share, of which `bad` of `n` were seen (Clopper and Pearson, one-sided; by bisection). */
export function upper95(bad: number, n: number): number {
  if (n === 0) return 1
  const atMost = (p: number): number => {
    let term = (1 - p) ** n
    let sum = term
    for (let k = 1; k <= bad; k++) {
      term *= ((n - k + 1) / k) * (p / (1 - p))
      sum += term
    }
    return sum
  }
  let low = bad / n
  let high = 1
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2
    if (atMost(mid) > 0.05) low = mid
    else high = mid
  }
  return high
}

/** How many were judged so. */
export const count = (list: readonly Trial[], verdict: string): number =>
  list.filter((t) => t.verdict.verdict === verdict).length
