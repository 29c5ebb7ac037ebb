import { cupDepthMm } from '../../sizes/copper.js'
import { type Site, benchOf } from '../../bench/bench.js'
import { fall, tilted } from '../../bench/shape.js'
import { type Shell, heated } from '../../bench/shell.js'
import { COLUMNS, ROWS, lapBar, leastPath, meanOf, surface } from '../../bench/surface.js'
import { greatest, smallest } from '../../units/extent.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

type Spec = BaseSpec & {
  socketDepthMm: number | null
  part: 'plain' | 'union' | 'ball-valve' | 'gate-valve' | null
}

/** Copper of tube: conductivity W/(m K), density · specific heat J/(m³ K) (Cu-DHP, EN 1057 and handbooks, from memory). */
const CONDUCTS = 340
const HOLDS_HEAT = 8940 * 385
/** The gap between tube and cup keeps most heat from going on, the more the smaller they are (ours, to look right). */
const SPREAD_SHARE = 0.12
/** Solder flows, flux wets: all of it from here, none below (lead-free tin solders melt at 220 to 240 °C, from memory). */
const FLOWS_C = 235
const FIRST_C = 205
/** Flux is burnt from here on, and all of it at the second (common practice). */
const BURNS_C = 350
const BURNT_C = 430
/** Lap shear of a tin solder in a cup, MPa (handbooks, from memory; short loads). */
const SHEAR_MPA = 20
const LOSS_W = 25
const [CELL_ROWS, CELL_COLUMNS] = [12, 6]

const depth = (spec: Spec): number => spec.socketDepthMm ?? cupDepthMm(sizeOf(spec)).value ?? odOf(spec) * 0.7
/** Tube and cup together; a valve's body takes twice the heat. */
function shellOf(spec: Spec): Shell {
  const thickM = (2.2 * Math.max(0.8, 0.035 * odOf(spec))) / 1000
  const body = spec.part === 'ball-valve' || spec.part === 'gate-valve' ? 2 : 1
  return {
    rows: CELL_ROWS,
    columns: CELL_COLUMNS,
    roundM: (Math.PI * odOf(spec)) / 1000 / CELL_ROWS,
    alongM: depth(spec) / 1000 / CELL_COLUMNS,
    areaHeat: thickM * HOLDS_HEAT * body,
    spreads: thickM * CONDUCTS * SPREAD_SHARE * Math.min(1, (odOf(spec) / 22) ** 2),
  }
}
/** A torch of the right size: it would bring the cup to the solder's heat in this time (ours). */
const torchS = (spec: Spec): number => 12 + 0.35 * odOf(spec)

interface Heat {
  evenPct: number
  aimPct: number
  heatS: number
  waterPct: number
}
function temperatures(spec: Spec, how: Heat, site: Site): number[][] {
  const shell = shellOf(spec)
  const one = 1 - how.evenPct / 100
  const off = 1 - how.aimPct / 100
  const each = (shell.areaHeat * (FLOWS_C - 20)) / torchS(spec)
  const water = how.waterPct / 100
  return heated(
    shell,
    {
      intoWM2: Array.from({ length: CELL_ROWS }, (_, row) =>
        Array.from({ length: CELL_COLUMNS }, (_x, column) => {
          const deep = (column + 0.5) / CELL_COLUMNS
          // Aimed at the back of the cup it heats evenly along; at the face, the base stays behind.
          return (
            each *
            (1 + one * (2 * tilted(row, CELL_ROWS, 12) - 1)) *
            (1 + off * 1.6 * (0.5 - deep) - off * 0.15)
          )
        }),
      ),
      aroundC: site.airC,
      lossWM2K: LOSS_W * (1 + 0.2 * site.windMS),
      drainWM2K: water * shell.areaHeat,
      boilsC: water > 0 ? 500 - 400 * water : null,
    },
    Math.min(site.wallC, FLOWS_C),
    how.heatS,
  )
}
/** Tries to find how long; the longest that anybody heats, s. */
const TRIES = 3
const MOST_S = 900
const EVEN_PCT = 88
const AIM_PCT = 88
/** How long a good hand heats: until the coldest place is well above where solder flows. Found by trying. */
function soundS(spec: Spec, site: Site): number {
  const from = Math.min(site.wallC, FLOWS_C)
  let forS = torchS(spec) * 1.2
  for (let time = 0; time < TRIES; time++) {
    const how = { evenPct: EVEN_PCT, aimPct: AIM_PCT, heatS: forS, waterPct: 0 }
    const coldest = smallest(temperatures(spec, how, site).flat())
    forS = Math.min(MOST_S, (forS * (FLOWS_C + 18 - from)) / Math.max(20, coldest - from))
  }
  return Math.round(forS * 8) / 8
}
const hasUnion = (spec: Spec): boolean => spec.part === 'union'

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  hows: (spec, site) => ({
    cleanPct: { step: 'fit', usual: 99, spread: 0.4, min: 0, max: 100, undone: 0, unit: 'pct' },
    waterPct: { step: 'fit', usual: 0, min: 0, max: 100, unit: 'pct' },
    nut: {
      step: 'fit',
      usual: 'on',
      options: ['on', 'forgotten'],
      undone: 'forgotten',
      off: !hasUnion(spec),
    },
    valve: {
      step: 'fit',
      usual: 'closed',
      options: ['closed', 'part-open'],
      off: spec.part !== 'ball-valve',
    },
    fluxPct: {
      step: 'flux',
      usual: 99,
      spread: 0.4,
      min: 0,
      max: 100,
      undone: 0,
      unit: 'pct',
      round: 'mean',
    },
    evenPct: { step: 'heat', usual: EVEN_PCT, spread: 2, min: 0, max: 100, unit: 'pct', round: 'even' },
    aimPct: { step: 'heat', usual: AIM_PCT, spread: 2, min: 0, max: 100, unit: 'pct' },
    heatS: { step: 'heat', usual: soundS(spec, site), spread: 0.4, min: 0, max: 3600, undone: 0, unit: 's' },
    fedPct: { step: 'heat', usual: 110, spread: 3, min: 0, max: 600, undone: 0, unit: 'pct' },
    movedMm: { step: 'heat', usual: 0, min: 0, max: 20, unit: 'mm' },
    dripPct: { step: 'heat', usual: 0, min: 0, max: 100, unit: 'pct', off: !hasUnion(spec) },
  }),
  takes: { heat: 'heatS' },
  faults: {
    'one-side': { step: 'heat', to: { evenPct: 0 } },
    'no-flux': { step: 'flux', to: { fluxPct: 0 } },
    'not-cleaned': { step: 'fit', to: { cleanPct: 15 } },
    'burnt-flux': { step: 'heat', to: { heatS: 400 } },
    'not-hot': { step: 'heat', to: { heatS: 2 } },
    'cold-base': { step: 'heat', to: { aimPct: 0 } },
    moved: { step: 'heat', to: { movedMm: 1.5 }, after: 'heatS' },
    'water-in-line': { step: 'fit', to: { waterPct: 100 } },
    'over-fed': { step: 'heat', to: { fedPct: 350 } },
    'union-nut': { step: 'fit', to: { nut: 'forgotten' } },
    'drip-on-face': { step: 'heat', to: { dripPct: 100 } },
    'seat-burnt': { step: 'fit', to: { valve: 'part-open' } },
  },
  play: (spec, how, { site, chance }) => {
    const hot = temperatures(spec, how, site)
    const cleanly = (how.fluxPct / 100) * (how.cleanPct / 100)
    const hotAt = (row: number, deep: number): number =>
      hot[Math.floor((row * CELL_ROWS) / ROWS)]?.[
        Math.min(CELL_COLUMNS - 1, Math.floor(deep * CELL_COLUMNS))
      ] as number
    const specks = chance.many('specks', ROWS * COLUMNS)
    const fed = how.fedPct / 100
    const cells = surface((row, deep) => {
      const at = hotAt(row, deep)
      const wets = fall(at, FLOWS_C, FIRST_C, 0.02) * fall(at, BURNS_C, BURNT_C, 0.02)
      // Bare islands where flux or cleaning failed: the same places for the same hand.
      const island = (specks[row * COLUMNS + Math.floor(deep * COLUMNS)] as number) < cleanly ? 1 : 0.03
      const reached = fed >= 1 ? 1 : fall(1 - deep, fed, fed + 0.1, 0.03)
      return wets * island * reached * fall(how.movedMm, 0, 1.2, 0.3) * fall(how.fedPct, 150, 330, 0.85)
    })
    const spoiltPart =
      (how.nut === 'forgotten' ? 0.01 : 1) *
      (how.valve === 'part-open' ? 0.15 : 1) *
      fall(how.dripPct, 0, 100, 0.1)
    const face = cells.map((row) => row[0] as number)
    const black = greatest(hot.map((row) => row[0] as number)) > BURNT_C - 20
    const gaps = face.filter((v) => v < 0.3).length > ROWS / 6
    const bar = (share: number): number => lapBar(SHEAR_MPA, share, depth(spec), odOf(spec))
    const fit = {
      ...(hasUnion(spec) ? { unionNut: how.nut } : {}),
      ...(spec.part === 'ball-valve' ? { valvePosition: how.valve } : {}),
    }
    return {
      weepsBar: bar(leastPath(cells)) * spoiltPart,
      burstsBar: bar(meanOf(cells)),
      readings: { fit, look: { ring: black ? 'black' : gaps ? 'gaps' : 'all-round' } },
      seen: [
        black ? 'ring-black' : gaps ? 'ring-gaps' : 'ring-all-round',
        ...(how.movedMm > 0.3 ? (['grey'] as const) : []),
        ...(how.fedPct > 180 ? (['drops'] as const) : []),
        ...(how.waterPct > 30 ? (['pinholes'] as const) : []),
        ...(how.nut === 'forgotten' ? (['no-nut'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: {
          heldPct: 100 * meanOf(cells),
          coldestC: smallest(hot.flat()),
          hottestC: greatest(hot.flat()),
        },
      },
    }
  },
  words: {
    hows: {
      cleanPct: 'Cleaned, tube and cup',
      waterPct: 'Water in the line',
      nut: { says: 'Union nut', options: { on: 'on the tube', forgotten: 'forgotten' } },
      valve: { says: 'Valve', options: { closed: 'closed', 'part-open': 'part open' } },
      fluxPct: 'Fluxed, tube and cup',
      evenPct: 'Heat evenly round',
      aimPct: 'Flame at the back of the cup',
      heatS: 'Heated for',
      fedPct: 'Solder, of what it needs',
      movedMm: 'Moved while soft',
      dripPct: 'Drip on the ground face',
    },
    seen: {
      'ring-all-round': 'Bright ring all round',
      'ring-gaps': 'Gaps in the ring',
      'ring-black': 'Black film at the ring',
      grey: 'Ring grey and rough',
      drops: 'Drops hang below',
      pinholes: 'Pinholes, spatter',
      'no-nut': 'No nut behind the face',
    },
    surface: 'covered with solder',
  },
})
