import { dewPointC } from '../../conditions/dew-point.js'
import { type Site, benchOf } from '../../bench/bench.js'
import { fall, nearClock, tilted } from '../../bench/shape.js'
import { COLUMNS, ROWS, lapBar, leastPath, meanOf, surface } from '../../bench/surface.js'
import type { FaultId } from '../kit/words.js'
import { PRIMER_WINDOW_S, chamfer, holdS, openTimeS, usesPrimer } from './setup.js'
import { type SolventSpec, depthOf, odMm } from './spec.js'
import type { WORDS } from './words.js'

/** Lap shear of a cured joint, MPa: 900 psi after 72 h (ASTM D2564, from memory). */
const SHEAR_MPA = 6.2
/** Outside the zone where pipe and socket press on each other cement only fills the gap (ours). */
const BONDED = 0.5
/** What unprimed PVC is softened, of primed (ours). */
const UNPRIMED = 0.4
/** How far the taper pushes back what is not held, of the socket's depth, at 20 °C (ours: some 4 mm at d63). */
const PUSHED_BACK = 0.11
/** Where no rule says how long cement stays open: as metric PVC-U does (ours). */
const OPEN_S = 240

const depth = (spec: SolventSpec): number => depthOf(spec).value ?? odMm(spec) * 0.5
const least = (spec: SolventSpec): number => chamfer(spec).minMm ?? 2
const holds = (spec: SolventSpec, site: Site): number => holdS(spec, site.airC, site.wallC).value ?? 60
/** Wind dries a film faster (ours: half again as fast at about 3 m/s). */
const opens = (spec: SolventSpec, { airC, wallC, windMS }: Site): number =>
  (openTimeS(spec, airC, wallC).value ?? OPEN_S * 0.5 ** Math.max(0, (Math.max(airC, wallC) - 20) / 10)) /
  (1 + 0.15 * windMS)

const hows = (spec: SolventSpec, site: Site) => {
  const off = !usesPrimer(spec)
  const cut = chamfer(spec)
  // Who knows that the film closes soon is quicker.
  const quick = Math.min(12, 0.4 * opens(spec, site))
  return {
    chamferMm: {
      step: 'fit',
      usual: ((cut.minMm ?? 2) + (cut.maxMm ?? 3)) / 2,
      spread: 0.1,
      min: 0,
      max: 30,
      undone: 0,
      unit: 'mm',
    },
    squareDeg: { step: 'fit', usual: 0.3, spread: 0.1, min: 0, max: 45, unit: 'deg' },
    wetPct: { step: 'fit', usual: 0, min: 0, max: 100, unit: 'pct' },
    primerPct: { step: 'prime', usual: 100, min: 0, max: 100, undone: 0, unit: 'pct', round: 'mean', off },
    primerS: { step: 'cement', usual: 20, spread: 4, min: 0, wait: true, unit: 's', off },
    coatPct: {
      step: 'cement',
      usual: 115,
      spread: 3,
      min: 0,
      max: 400,
      undone: 0,
      unit: 'pct',
      round: 'mean',
    },
    underPct: {
      step: 'cement',
      usual: 97,
      spread: 1,
      min: 0,
      max: 100,
      undone: 0,
      unit: 'pct',
      round: 'under',
    },
    tin: { step: 'cement', usual: 'right', options: ['right', 'wrong'] },
    thickPct: { step: 'cement', usual: 0, min: 0, max: 100, unit: 'pct' },
    againS: { step: 'cement', usual: 0, min: 0, again: true, unit: 's' },
    openS: { step: 'home', usual: quick, spread: quick / 8, min: 0, wait: true, unit: 's' },
    holdS: {
      step: 'home',
      usual: holds(spec, site) * 1.25,
      spread: 1.5,
      min: 0,
      max: 86_400,
      undone: 0,
      unit: 's',
    },
    movedMm: { step: 'home', usual: 0, min: 0, max: 20, unit: 'mm' },
    curedPct: { step: 'judge', usual: 100, min: 0, max: 100, unit: 'pct' },
  } as const
}
type How = { readonly [K in keyof ReturnType<typeof hows>]: K extends 'tin' ? 'right' | 'wrong' : number }

/** What holds everywhere alike, of sound work. */
function overall(spec: SolventSpec, how: How, site: Site): { skin: number; all: number; wet: number } {
  const open = opens(spec, site)
  const skin = Math.min(fall(how.openS / open, 1, 3, 0.12), fall(how.againS / open, 1, 3, 0.12))
  const primed =
    (how.primerPct / 100) * Math.exp(-Math.max(0, how.primerS - PRIMER_WINDOW_S) / PRIMER_WINDOW_S)
  const soft = usesPrimer(spec) ? UNPRIMED + (1 - UNPRIMED) * primed : 1
  // What lies below the dew point is wet, whatever was wiped.
  const dew = site.wallC <= dewPointC(site.airC, Math.max(1, site.relativeHumidityPct)) ? 60 : 0
  const wet = Math.max(how.wetPct, dew)
  const wrong = how.tin === 'wrong' ? (spec.material === 'abs' ? 0.3 : 0.55) : 1
  const early = 0.3 + 0.7 * (how.curedPct / 100)
  const puddled = fall(how.coatPct, 160, 300, 0.7)
  const all =
    skin * soft * fall(wet, 0, 100, 0.35) * wrong * fall(how.thickPct, 10, 100, 0.3) * early * puddled
  return { skin, all, wet }
}

export const bench = benchOf<
  SolventSpec,
  'fit' | 'rig' | 'prime' | 'cement' | 'home' | 'judge',
  FaultId<typeof WORDS>
>()({
  details: ({ school }) => ({ checkOffsetMm: school === 'inch' ? 50.8 : 50, pressureService: true }),
  hows,
  takes: { home: 'holdS' },
  faults: {
    'no-chamfer': { step: 'fit', to: { chamferMm: 0 } },
    'not-square': { step: 'fit', to: { squareDeg: 9 } },
    'bare-underside': { step: 'cement', to: { underPct: 0 } },
    'no-primer': { step: 'prime', to: { primerPct: 0 } },
    'primer-dried': { step: 'cement', to: { primerS: 1500 } },
    'dried-cement': { step: 'home', to: { openS: 1200, againS: 1200 } },
    'let-go-early': { step: 'home', to: { holdS: 0 }, after: 'holdS' },
    'too-little': { step: 'cement', to: { coatPct: 25 } },
    'too-much': { step: 'cement', to: { coatPct: 330 } },
    wet: { step: 'fit', to: { wetPct: 100 } },
    'wrong-cement': { step: 'cement', to: { tin: 'wrong' } },
    'old-cement': { step: 'cement', to: { thickPct: 100 } },
    moved: { step: 'home', to: { movedMm: 3 }, after: 'holdS' },
    'tested-early': { step: 'judge', to: { curedPct: 5 } },
  },
  play: (spec, how, { site, chance }) => {
    const depthMm = depth(spec)
    const scraped = 1 - Math.min(1, how.chamferMm / (0.8 * least(spec)))
    const warm = 1.02 ** Math.max(0, site.wallC - 20)
    const backMm = PUSHED_BACK * depthMm * warm * Math.exp((-3.5 * how.holdS) / holds(spec, site))
    const shortMm = backMm + 1.5 * scraped
    const askewMm = odMm(spec) * Math.tan((how.squareDeg * Math.PI) / 180)
    const { skin, all, wet } = overall(spec, how, site)
    const shortSide = chance.even('short side') * 12
    const movedSide = chance.even('moved side') * 12
    const channels = new Set([0, 1, 2].map((i) => Math.floor(chance.even(`channel ${i}`) * ROWS)))
    const film = (row: number): number =>
      (how.coatPct / 100) * (1 - (1 - how.underPct / 100) * nearClock(row, ROWS, 6, 1.6))
    const cells = surface((row, deep) => {
      const lackMm = shortMm + askewMm * tilted(row, ROWS, shortSide)
      if (deep > 1 - lackMm / depthMm) return 0
      const zone = (deep > 1 / 3 ? 1 : BONDED) * Math.max(0.05, 1 - (1.5 * lackMm) / depthMm)
      const scrape = channels.has(row) ? 1 - 0.85 * scraped : 1 - 0.15 * scraped
      const shifted = 1 - (1 - fall(how.movedMm, 0, 3, 0.3)) * nearClock(row, ROWS, movedSide, 3)
      return zone * Math.min(1, film(row)) * scrape * shifted * all
    })
    const thinnest = film(ROWS / 2)
    const broken = thinnest < 0.4 || skin < 0.5 || how.movedMm > 1.5
    const bar = (share: number): number => lapBar(SHEAR_MPA, share, depthMm, odMm(spec))
    return {
      weepsBar: bar(leastPath(cells)),
      burstsBar: bar(meanOf(cells)),
      readings: { judge: { checkMm: spec.checkOffsetMm + shortMm, bead: broken ? 'broken' : 'all-round' } },
      seen: [
        broken ? 'bead-broken' : 'bead-all-round',
        ...(thinnest < 0.4 && how.coatPct >= 50 ? (['bare-underneath'] as const) : []),
        ...(shortMm > 3 ? (['mark-off'] as const) : []),
        ...(skin < 0.9 ? (['dull'] as const) : []),
        ...(wet > 30 ? (['milky'] as const) : []),
        ...(how.coatPct > 170 ? (['run-inside'] as const) : []),
        ...(how.thickPct > 50 ? (['lumps'] as const) : []),
        ...(scraped > 0.5 ? (['thin-bead'] as const) : []),
        ...(how.movedMm > 0.5 ? (['cracked-bead'] as const) : []),
        ...(how.curedPct < 50 ? (['crept'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: {
          depthMm: depthMm - shortMm,
          heldPct: 100 * meanOf(cells),
          fusedPct:
            (100 * cells.reduce((n, r) => n + r.filter((held) => held >= 0.7).length, 0)) / (ROWS * COLUMNS),
        },
      },
    }
  },
  words: {
    hows: {
      chamferMm: 'Chamfer',
      squareDeg: 'Cut out of square by',
      wetPct: 'Water left on the pipe',
      primerPct: 'Primed all round',
      primerS: 'From primer to cement',
      coatPct: 'Cement, of what it needs',
      underPct: 'Coat on the underside',
      tin: { says: 'Cement', options: { right: 'for this plastic', wrong: 'for another plastic' } },
      thickPct: 'Thickened in the tin',
      againS: 'From first to last coat',
      openS: 'From cement to home',
      holdS: 'Held for',
      movedMm: 'Moved before it was set',
      curedPct: 'Cured before pressure',
    },
    seen: {
      'bead-all-round': 'Even bead all round',
      'bead-broken': 'Bead broken',
      'bare-underneath': 'No bead from 5 to 7 o\u2019clock',
      'mark-off': 'Check mark stands off',
      dull: 'Dull, strings at the edge',
      milky: 'Bead milky',
      'run-inside': 'Cement run inside',
      lumps: 'Lumps in the bead',
      'thin-bead': 'Thin bead outside, a ring of cement inside',
      'cracked-bead': 'Bead cracked on one side',
      crept: 'Pipe crept out, bubble at the bead',
    },
    surface: 'fused',
  },
})
