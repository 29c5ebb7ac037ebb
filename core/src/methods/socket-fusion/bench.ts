import { benchOf } from '../../bench/bench.js'
import { hotDepthM } from '../../bench/heat.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, lapBar, leastPath, meanOf, surface } from '../../bench/surface.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { heatS, rowOf } from './rules.js'
import type { WORDS } from './words.js'

type Spec = BaseSpec & { heatS: number | null; socketDepthMm: number | null }
/** PP-R melts from here, °C; how fast heat goes into it, m²/s (handbooks, from memory: 0.22 W/mK, 905 kg/m³, 2.0 kJ/kgK). */
const MELTS_C = 150
const DIFFUSIVITY = 1.2e-7
/** Right heat of the tool, °C. */
const TOOL_C = 260
/** Lap shear of fused PP, MPa (ours: about half its yield). */
const SHEAR_MPA = 12

const heats = (spec: Spec, airC: number): number => spec.heatS ?? heatS(sizeOf(spec), airC).value ?? 10
const depth = (spec: Spec): number => spec.socketDepthMm ?? rowOf(sizeOf(spec)).depthMm

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  hows: (spec, { airC }) => {
    const row = rowOf(sizeOf(spec))
    return {
      foilPct: {
        step: 'ready',
        usual: 0,
        min: 0,
        max: 100,
        undone: 100,
        unit: 'pct',
        off: spec.material !== 'pp-r-layered',
      },
      toolC: { step: 'heat', usual: TOOL_C, spread: 2, min: 20, max: 400, undone: 20, unit: 'C' },
      heatS: {
        step: 'heat',
        usual: heats(spec, airC),
        spread: 0.15,
        min: 0,
        max: 3600,
        undone: 0,
        unit: 's',
      },
      changeS: { step: 'join', usual: row.changeoverS * 0.45, spread: 0.2, min: 0, wait: true, unit: 's' },
      deepMm: { step: 'join', usual: 0, min: 0, max: 100, unit: 'mm' },
      twistDeg: { step: 'join', usual: 0, min: 0, max: 180, unit: 'deg' },
      lateDeg: { step: 'join', usual: 0, min: 0, max: 45, unit: 'deg' },
      loadPct: { step: 'look', usual: 0, min: 0, max: 100, unit: 'pct' },
    } as const
  },
  takes: { heat: 'heatS' },
  faults: {
    'too-long': { step: 'heat', to: { heatS: 300 } },
    'too-short': { step: 'heat', to: { heatS: 0.5 } },
    'tool-cold': { step: 'heat', to: { toolC: 185 } },
    'too-deep': { step: 'join', to: { deepMm: 8 } },
    'slow-change': { step: 'join', to: { changeS: 60 } },
    twisted: { step: 'join', to: { twistDeg: 25 } },
    'set-late': { step: 'join', to: { lateDeg: 9 } },
    'not-peeled': { step: 'ready', to: { foilPct: 100 } },
    'loaded-warm': { step: 'look', to: { loadPct: 100 } },
  },
  play: (spec, how, { site, chance }) => {
    const row = rowOf(sizeOf(spec))
    const depthMm = depth(spec)
    // Heated longer in the cold, as the rule asks, it melts as deep.
    const right = hotDepthM(site.wallC, TOOL_C, MELTS_C, DIFFUSIVITY, heats(spec, site.airC))
    const melt = hotDepthM(site.wallC, how.toolC, MELTS_C, DIFFUSIVITY, how.heatS) / right
    const skin = fall(how.changeS / row.changeoverS, 1, 3, 0.25)
    const fusedWell = fall(melt, 0.8, 0.2, 0.04) * fall(melt, 1.3, 2.2, 0.55)
    const narrowed = fall(how.deepMm / depthMm, 0.05, 0.5, 0.6)
    const twisted = fall(how.twistDeg, 2, 25, 0.5)
    const loaded = fall(how.loadPct, 0, 100, 0.55)
    const side = chance.even('bent side') * 12
    const cells = surface((at, deep) => {
      const foil = spec.material === 'pp-r-layered' && deep > 1 - 0.85 * (how.foilPct / 100) ? 0.04 : 1
      const cracked = 1 - (1 - fall(how.lateDeg, 1, 9, 0.25)) * nearClock(at, ROWS, side, 2.5)
      return fusedWell * skin * narrowed * twisted * loaded * foil * cracked
    })
    const closed = how.deepMm > 0.15 * depthMm || melt > 1.7
    const broken = melt < 0.6
    const bar = (share: number): number => lapBar(SHEAR_MPA, share, depthMm, odOf(spec))
    return {
      weepsBar: bar(leastPath(cells)),
      burstsBar: bar(meanOf(cells)),
      readings: {
        heat: { toolC: how.toolC },
        look: {
          fusionBead: broken ? 'broken' : closed ? 'bore-closed' : 'double-all-round',
          tiltDeg: 0.4 + how.lateDeg,
        },
      },
      seen: [
        broken ? 'bead-broken' : 'bead-double',
        ...(closed ? (['bore-narrow'] as const) : []),
        ...(how.lateDeg > 3 ? (['bent'] as const) : []),
        ...(how.twistDeg > 15 ? (['bead-smeared'] as const) : []),
        ...(how.loadPct > 60 ? (['oval'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), meltMm: melt * right * 1000, depthMm },
      },
    }
  },
  words: {
    hows: {
      foilPct: 'Foil left on the end',
      toolC: 'Tool',
      heatS: 'Heated for',
      changeS: 'Off the tool until joined',
      deepMm: 'Pushed beyond its mark by',
      twistDeg: 'Twisted',
      lateDeg: 'Set straight late, by',
      loadPct: 'Loaded while warm',
    },
    seen: {
      'bead-double': 'Two beads all round',
      'bead-broken': 'Bead single or broken',
      'bore-narrow': 'Bore narrowed',
      bent: 'Joint bent',
      'bead-smeared': 'Bead smeared round',
      oval: 'Pipe oval beside the joint',
    },
    surface: 'fused',
  },
})
