/**
 * A pipe full of water or gas under test, from first principles: heat from the air through the wall into what is shut
 * in, the balance of volumes, a leak, a pipe that gives way in time. It stands in for a real line behind a stand-in
 * logger, and the verdict is tried against it: it shares no figure and no line with the core.
 */
export interface LineUnderTest {
  filledWith: 'water' | 'air' | 'nitrogen'
  odMm: number
  wallMm: number
  lengthM: number
  /** Held along its axis. */
  anchored: boolean
  /** Share of the bore that is air at the start. */
  airShare: number
  startBar: number
  startC: number
  stuff: Stuff
  /** Heat passed outside and inside, W/(m² K). */
  outside: number
  inside: number
  /** Fall by leaking alone that it shows in an hour at the start, bar. */
  leakBarPerH: number
}
export interface Stuff {
  /** GPa, after a minute under load. */
  youngGpa: number
  poisson: number
  /** 1e-6 per kelvin. */
  alpha: number
  /** Share by which it gives way further in each tenfold of minutes. */
  creep: number
  /** W/(m K), MJ/(m³ K). */
  conduct: number
  heat: number
}
export const STUFF: Readonly<Record<string, Stuff>> = {
  'carbon-steel': { youngGpa: 208, poisson: 0.29, alpha: 11.8, creep: 0, conduct: 48, heat: 3.6 },
  stainless: { youngGpa: 196, poisson: 0.29, alpha: 16.2, creep: 0, conduct: 15, heat: 3.95 },
  copper: { youngGpa: 118, poisson: 0.343, alpha: 16.8, creep: 0, conduct: 360, heat: 3.44 },
  'pvc-u': { youngGpa: 3.1, poisson: 0.37, alpha: 76, creep: 0.035, conduct: 0.16, heat: 1.4 },
  abs: { youngGpa: 2.2, poisson: 0.37, alpha: 97, creep: 0.045, conduct: 0.19, heat: 1.5 },
  'pp-r': { youngGpa: 0.9, poisson: 0.4, alpha: 145, creep: 0.095, conduct: 0.22, heat: 1.6 },
}
/** Specific volume of water at one atmosphere, cm³/g, each 5 °C from 0: read off a steam table. */
const VOLUME = [1.00016, 1.00003, 1.0003, 1.0009, 1.0018, 1.00296, 1.00437, 1.006, 1.00785, 1.0099, 1.01215]
/** Bulk modulus of water in GPa, each 10 °C from 0. */
const BULK = [1.964, 2.091, 2.178, 2.233, 2.26, 2.26]
const R_ATM = 101_325
const ZERO_C = 273.15

/** Curve through rows at equal steps: parabolas through the three nearest, blended. */
function through(rows: readonly number[], step: number, x: number): number {
  const along = Math.min(rows.length - 1.000001, Math.max(0, x / step))
  const i = Math.floor(along)
  const rest = along - i
  const from = rows[i] as number
  const to = rows[i + 1] as number
  if (i === 0 || i >= rows.length - 2) return from + rest * (to - from)
  const before = rows[i - 1] as number
  const after = rows[i + 2] as number
  const curve = 2 * before - 5 * from + 4 * to - after + rest * (3 * (from - to) + after - before)
  return from + 0.5 * rest * (to - before + rest * curve)
}
/** Specific volume of water at a temperature, by its pressure in pascal. */
function waterAt(temperatureC: number): (pa: number) => number {
  const [still, bulk] = [through(VOLUME, 5, temperatureC), through(BULK, 10, temperatureC) * 1e9]
  return (pa) => still * (1 - pa / (bulk + 3 * pa))
}

/** Plays one line through time. Pressures in bar gauge, temperatures in °C, times from when it was shut. */
export class LinePlayer {
  tS = 0
  inC: number
  wallC: number
  /** Share of the shut-in mass of water (or moles of gas) still there. */
  private left = 1
  private readonly radius: number
  private readonly bore: number
  /** Share of the content that one bar is worth, at the start. */
  private worth = 0
  private known: { tS: number; bar: number }

  constructor(readonly line: LineUnderTest) {
    this.inC = line.startC
    this.wallC = line.startC
    this.known = { tS: 0, bar: line.startBar }
    this.radius = (line.odMm - line.wallMm) / 2000
    this.bore = (line.odMm - 2 * line.wallMm) / 1000
  }

  /** The pressure now. It is worked out when it is asked for, and at least each minute, for the leak. */
  get bar(): number {
    if (this.known.tS !== this.tS) this.known = { tS: this.tS, bar: this.balance() }
    return this.known.bar
  }
  get litres(): number {
    return (Math.PI / 4) * this.bore ** 2 * this.line.lengthM * 1000
  }

  /** One step of time under air of a temperature: heat first, by the implicit step, which is steady at any length. */
  step(dtS: number, airC: number): void {
    const { stuff, wallMm, odMm, outside, inside, filledWith } = this.line
    const wall = wallMm / 1000
    const half = wall / 2 / stuff.conduct
    const full = filledWith === 'water'
    const out = (Math.PI * odMm) / 1000 / (1 / outside + half)
    const into = (Math.PI * this.bore) / (1 / (full ? inside : 25) + half)
    const wallHeat = stuff.heat * 1e6 * 2 * Math.PI * this.radius * wall
    const filled = (Math.PI / 4) * this.bore ** 2 * (full ? 4.187e6 : 1.2e3 * (1 + this.known.bar))
    const a = (dtS * out) / wallHeat
    const b = (dtS * into) / wallHeat
    const change = (dtS * into) / filled
    this.wallC =
      ((this.wallC + a * airC) * (1 + change) + b * this.inC) / ((1 + a + b) * (1 + change) - b * change)
    this.inC = (this.inC + change * this.wallC) / (1 + change)
    this.tS += dtS
    this.leak(dtS)
  }
  private leak(dtS: number): void {
    const { leakBarPerH, startBar, filledWith } = this.line
    if (leakBarPerH <= 0) return
    if (this.tS - this.known.tS >= 60) this.known = { tS: this.tS, bar: this.balance() }
    const bar = this.known.bar
    if (bar <= 0) return
    // Through a small hole: liquid by the root of the pressure; gas, slowly, by the difference of the squares.
    const flow =
      filledWith === 'water'
        ? Math.sqrt(bar / startBar)
        : ((bar + 1.01325) ** 2 - 1.0267) / ((startBar + 1.01325) ** 2 - 1.0267)
    this.left -= (flow * this.massPerBar() * leakBarPerH * dtS) / 3600
  }
  private massPerBar(): number {
    if (!this.worth) {
      const at = new LinePlayer({ ...this.line, leakBarPerH: 0 })
      at.left = 1 - 1e-5
      this.worth = 1e-5 / (this.line.startBar - at.balance())
    }
    return this.worth
  }
  /** The pressure at which what is shut in fills the bore. */
  private balance(): number {
    const { startBar, startC, airShare, filledWith } = this.line
    const start = startBar * 1e5
    if (filledWith !== 'water') {
      const abs = (start + R_ATM) * this.left * ((this.inC + ZERO_C) / (startC + ZERO_C))
      return (abs - R_ATM) / 1e5
    }
    const waterStart = waterAt(startC)(start)
    const waterNow = waterAt(this.inC)
    const boreNow = this.boreNow()
    /** By how much what is shut in is larger than the bore, were the pressure this. */
    const over = (bar: number): number => {
      const pa = Math.max(bar, -0.99) * 1e5
      const water = ((1 - airShare) * this.left * waterNow(pa)) / waterStart
      const air = (airShare * ((start + R_ATM) / (pa + R_ATM)) * (this.inC + ZERO_C)) / (startC + ZERO_C)
      return water + air - boreNow(pa)
    }
    // By secants from where it was: it has not gone far.
    let [a, b] = [this.known.bar, this.known.bar + 0.05]
    let [fa, fb] = [over(a), over(b)]
    for (let i = 0; i < 40 && Math.abs(b - a) > 1e-8 && fb !== fa; i++) {
      const next = Math.max(-0.99, b - (fb * (b - a)) / (fb - fa))
      ;[a, fa] = [b, fb]
      b = next
      fb = over(b)
    }
    return b
  }
  /** Size of the bore now, for what presses in it and how long it has, as a share of that at the start. */
  private boreNow(): (pa: number) => number {
    const { stuff, anchored, startBar, startC, wallMm } = this.line
    const mean = (2 * this.radius) / (wallMm / 1000)
    const nu = stuff.poisson
    const give = (mean / (stuff.youngGpa * 1e9)) * (anchored ? 1 - nu * nu : 1.25 - nu)
    // Under load for ten minutes before it was shut: what gave way by then is in the start.
    const slow = stuff.creep * Math.log10((600 + this.tS) / 600)
    const warmer = this.wallC - startC
    const wide = stuff.alpha * 1e-6 * warmer * (anchored ? 2 * (1 + nu) : 3)
    return (pa) => 1 + wide + give * (pa - startBar * 1e5) + give * slow * pa
  }
}
