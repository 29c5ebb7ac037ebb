import { type Fig, type SourceId, fig, msg, noFig } from '../sources/source.js'
import { tableOf } from '../sources/table.js'
import { inchToMm } from '../units/units.js'
import { EN_1057_LISTS, copperWallMm, metricCopperWallMm } from './copper.js'
import { hygienicWallMm } from './hygienic.js'
import { plasticWallMm, sdrWallInch } from './plastic-walls.js'
import { type Size, type SizeFamily, nominalKey } from './size.js'
import { B36_10, B36_19, PRESS_TUBE } from './steel.js'
import MULTILAYER_FILE from './tables/multilayer-walls.json' with { type: 'json' }
import PFA_FILE from './tables/pfa-walls.json' with { type: 'json' }

/** Walls that pipe of one material is made with, for one family of sizes. */
interface Made {
  materials: readonly string[]
  family: SizeFamily
  /** Names of the series as the trade writes them; the first stands where nobody said. */
  series: readonly string[]
  source: SourceId | ((series: string) => SourceId)
  /** Wall in mm; undefined where this series has no such size. */
  wallMm(size: Size, series: string, material: string): number | undefined
}
const inches = (inch: number | null | undefined): number | undefined =>
  inch === null || inch === undefined ? undefined : inchToMm(inch)
/** Diameter to wall of a series as ISO 4065 reckons it: by the preferred number next to (SDR - 1) / 2. */
function sdrOf(series: string): number {
  const said = Number(series.slice('SDR '.length))
  const preferred = 10 ** (Math.round(10 * Math.log10((said - 1) / 2)) / 10)
  const exact = 2 * preferred + 1
  // 34.4 and its like are no preferred numbers: they are taken as they stand.
  return Math.abs(exact - said) / said < 0.012 ? exact : said
}
/** Thinnest wall that is made, mm. */
const LEAST_MM: Readonly<Record<string, number>> = { 'pvc-u': 1.5, 'pp-r': 1.8, 'pp-r-layered': 1.8 }
/** ISO 4065: diameter over ratio, rounded up to a tenth; half a hundredth guards against binary fractions. */
const bySdr = (size: Size, series: string, material: string): number =>
  Math.max(LEAST_MM[material] ?? 0, Math.ceil((size.nominal / sdrOf(series)) * 10 - 0.05) / 10)
const metric = (materials: readonly string[], ...ratios: number[]): Made => ({
  materials,
  family: 'd',
  series: ratios.map((r) => `SDR ${r}`),
  source: 'iso-4065',
  wallMm: bySdr,
})
const ONE = ['one wall'] as const
const MULTILAYER = tableOf(MULTILAYER_FILE, 'cp-multilayer-wall')
const PFA = tableOf(PFA_FILE, 'cp-pfa-wall')
const STEEL = ['Sch 40', 'Sch 80', 'Sch 10'] as const
const STAINLESS = ['Sch 10S', 'Sch 5S', 'Sch 40S'] as const
const schedule = (size: Size, series: string): number | undefined =>
  plasticWallMm(size.text, series.slice('Sch '.length)).value ?? undefined

const ALL: readonly Made[] = [
  {
    materials: ['copper'],
    family: 'CTS',
    series: ['L', 'K', 'M'],
    source: 'astm-b88',
    wallMm: (size, type) => copperWallMm(size.text, type as 'K' | 'L' | 'M').value ?? undefined,
  },
  {
    materials: ['copper'],
    family: 'd',
    series: EN_1057_LISTS,
    source: 'en-1057',
    wallMm: (size, list) => metricCopperWallMm(size.text, list as (typeof EN_1057_LISTS)[number]),
  },
  {
    materials: ['pvc'],
    family: 'NPS',
    series: ['Sch 40', 'Sch 80', 'SDR 21', 'SDR 26'],
    source: (series) => (series.startsWith('SDR') ? 'astm-d2241' : 'astm-d1785-rating'),
    wallMm: (size, series) =>
      series.startsWith('SDR') ? inches(sdrWallInch(size, series)) : schedule(size, series),
  },
  {
    materials: ['cpvc', 'abs'],
    family: 'NPS',
    series: ['Sch 40', 'Sch 80'],
    source: 'astm-d1785-rating',
    wallMm: schedule,
  },
  {
    materials: ['cpvc'],
    family: 'CTS',
    series: ['SDR 11'],
    source: 'astm-d2846',
    wallMm: (size, series) => inches(sdrWallInch(size, series)),
  },
  {
    materials: ['carbon-steel'],
    family: 'NPS',
    series: STEEL,
    source: 'asme-b36-10',
    wallMm: (size, series) => B36_10.at(nominalKey(size))?.[series as (typeof STEEL)[number]],
  },
  {
    materials: ['stainless'],
    family: 'NPS',
    series: STAINLESS,
    source: 'asme-b36-19',
    wallMm: (size, series) => B36_19.at(nominalKey(size))?.[series as (typeof STAINLESS)[number]],
  },
  metric(['pvc-u'], 21, 41, 33, 26, 17, 13.6, 11),
  metric(['abs'], 21, 33, 13.6),
  metric(['cpvc'], 13.6, 21),
  metric(['pp-r'], 6, 7.4, 11),
  metric(['pp-r-layered'], 6, 7.4),
  metric(['pe'], 11, 17),
  {
    materials: ['stainless', 'carbon-steel'],
    family: 'd',
    series: ONE,
    source: 'cp-press-tube',
    wallMm: (size, _s, material) =>
      PRESS_TUBE.at(size.text)?.[material === 'stainless' ? 'stainless' : 'carbon-steel'],
  },
  {
    materials: ['multilayer'],
    family: 'd',
    series: ONE,
    source: 'cp-multilayer-wall',
    wallMm: (size) => MULTILAYER.at(size.text)?.wall,
  },
  {
    materials: ['pfa'],
    family: 'OD',
    series: ONE,
    source: 'cp-pfa-wall',
    wallMm: (size) => PFA.at(nominalKey(size))?.wall,
  },
]
const made = (material: string, family: SizeFamily): Made | undefined =>
  ALL.find((m) => m.family === family && m.materials.includes(material))

/**
 * Series that pipe of a material is made in for a family of sizes, the usual one first; one name or none: there is
 * nothing to choose.
 */
export const wallSeriesOf = (material: string, family: SizeFamily): readonly string[] =>
  made(material, family)?.series ?? []

/** Every series by its name. */
export const SERIES: readonly string[] = [...new Set(ALL.flatMap((m) => m.series))]

/** A series as it is looked up: `80` is `Sch 80`, `SDR21` is `SDR 21`. */
export function seriesKey(text: string | null | undefined): string | null {
  if (!text) return null
  if (/^\d+S?$/.test(text)) return `Sch ${text}`
  return text.replace(/^(SDR|PN|Sch)\s*/i, (_, word: string) =>
    word.toLowerCase() === 'sch' ? 'Sch ' : `${word.toUpperCase()} `,
  )
}

/**
 * Wall of a pipe or tube in mm by its series; where none was said, or its family of sizes has no such series, the
 * usual one. @param series as `Sch 80` (or `80`), `SDR 21`, `L`, `Table X`.
 * @example wallMm('copper', parseSize('d22')).value // 1
 */
export function wallMm(material: string, size: Size, series?: string | null): Fig {
  if (size.family === 'BPE' || size.family === 'DN') return hygienicWallMm(size)
  const of = made(material, size.family)
  const asked = seriesKey(series)
  const known = of && (of.series.find((s) => s === asked) ?? of.series[0])
  const mm = known === undefined ? undefined : of?.wallMm(size, known, material)
  if (!of || known === undefined || mm === undefined) return noFig(msg('wall-unknown', { size: size.text }))
  return fig(mm, typeof of.source === 'string' ? of.source : of.source(known))
}
