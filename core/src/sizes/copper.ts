import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { tableOf } from '../sources/table.js'
import { type Size, nominalKey } from './size.js'
import B16_22 from './tables/b16-22-cups.json' with { type: 'json' }
import B88 from './tables/b88-walls.json' with { type: 'json' }
import EN_1057 from './tables/en-1057-walls.json' with { type: 'json' }
import EN_1254_1 from './tables/en-1254-1-cups.json' with { type: 'json' }

const INCH_CUPS = tableOf(B16_22, 'asme-b16-22')
const METRIC_CUPS = tableOf(EN_1254_1, 'en-1254-1')
const INCH_WALLS = tableOf(B88, 'astm-b88')
const METRIC_WALLS = tableOf(EN_1057, 'en-1057')

/**
 * Depth of the solder cup in mm. Sources: ASME B16.22 (CTS), EN 1254-1 (metric).
 * @example cupDepthMm(parseSize('d22')).value // 15.4
 */
export function cupDepthMm(size: Size): Fig {
  const metric = METRIC_CUPS.at(size.text)
  if (metric) return fig(metric.depth, METRIC_CUPS.source)
  const inch = size.family === 'CTS' ? INCH_CUPS.at(nominalKey(size)) : undefined
  return inch ? fig(inch.depth, INCH_CUPS.source) : noFig(msg('insertion-unknown', { size: size.text }))
}

export type CopperType = 'K' | 'L' | 'M'
/** Wall of inch copper tube in mm. @param sizeText as `CTS 3/4`. Source: ASTM B88. */
export function copperWallMm(sizeText: string, type: CopperType): Fig {
  const mm = INCH_WALLS.at(sizeText.replace('CTS ', ''))?.[type] ?? null
  return mm === null ? noFig(msg('wall-unknown', { size: sizeText })) : fig(mm, INCH_WALLS.source)
}

/** The lists of EN 1057 walls, the usual one first. */
export const EN_1057_LISTS = ['GW 392', 'Table X', 'Table Y'] as const
/** Wall of metric copper tube in mm by a list; undefined where the list has none. Source: EN 1057. */
export const metricCopperWallMm = (
  sizeText: string,
  list: (typeof EN_1057_LISTS)[number],
): number | undefined => METRIC_WALLS.at(sizeText)?.[list] ?? undefined
