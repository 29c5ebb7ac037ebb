import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { tableOf } from '../sources/table.js'
import { DN_TUBE as METRIC } from './diameters.js'
import { type Size, nominalKey } from './size.js'
import BPE from './tables/bpe-tube.json' with { type: 'json' }
import DN_FLANGES from './tables/dn-flanges.json' with { type: 'json' }

const INCH = tableOf(BPE, 'asme-bpe')
const METRIC_FLANGES = tableOf(DN_FLANGES, 'din-32676')

/**
 * Wall of hygienic tube in mm. Sources: ASME BPE, DIN 11866 A.
 * @example hygienicWallMm(parseSize('DN 40')).value // 1.5
 */
export function hygienicWallMm(size: Size): Fig {
  const inch = size.family === 'BPE' ? INCH.at(nominalKey(size)) : undefined
  if (inch) return fig(inch.wall, INCH.source)
  const metric = size.family === 'DN' ? METRIC.at(nominalKey(size)) : undefined
  return metric ? fig(metric.wall, METRIC.source) : noFig(msg('wall-unknown', { size: size.text }))
}

/**
 * Outside diameter of the ferrule's flange in mm. Sources: ASME BPE, DIN 32676 A.
 * @example flangeOdMm(parseSize('DN 40')).value // 50.5
 */
export function flangeOdMm(size: Size): Fig {
  const inch = size.family === 'BPE' ? INCH.at(nominalKey(size)) : undefined
  if (inch) return fig(inch.flange, INCH.source)
  const metric = size.family === 'DN' ? METRIC_FLANGES.at(nominalKey(size)) : undefined
  return metric
    ? fig(metric.flange, METRIC_FLANGES.source)
    : noFig(msg('flange-unknown', { size: size.text }))
}

/** Flanges this close will clamp together, whatever the bores behind them. */
const SAME_FLANGE_MM = 0.5
/**
 * Other sizes whose ferrules will clamp to this one and leave a ledge in the bore.
 * @example flangeTwins(parseSize('DN 40'), []) // []
 */
export function flangeTwins(size: Size, all: readonly Size[]): Size[] {
  const own = flangeOdMm(size).value
  return all.filter((other) => {
    const theirs = other.text === size.text ? null : flangeOdMm(other).value
    return own !== null && theirs !== null && Math.abs(theirs - own) <= SAME_FLANGE_MM
  })
}
