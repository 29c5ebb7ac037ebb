import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { tableOf } from '../sources/table.js'
import { type Size, nominalKey } from './size.js'
import INCH_DEPTHS from './tables/press-inch.json' with { type: 'json' }
import METRIC_DEPTHS from './tables/press-metric.json' with { type: 'json' }
import MULTILAYER_DEPTHS from './tables/press-multilayer.json' with { type: 'json' }

const INCH = tableOf(INCH_DEPTHS, 'cp-press-depth')
const METRIC = tableOf(METRIC_DEPTHS, 'cp-press-depth')
const MULTILAYER = tableOf(MULTILAYER_DEPTHS, 'cp-press-depth-multilayer')

/**
 * Generic insertion depth of a press joint in mm (common practice; the maker's chart wins).
 * @example pressDepthMm('copper', parseSize('d22')).value // 21
 */
export function pressDepthMm(material: string, size: Size): Fig {
  const inch = size.family === 'd' ? undefined : INCH.at(nominalKey(size))
  if (inch) return fig(inch.depth, INCH.source)
  const table = material === 'multilayer' ? MULTILAYER : METRIC
  const row = table.at(size.text)
  return row ? fig(row.depth, table.source) : noFig(msg('insertion-unknown', { size: size.text }))
}
