import { type Reader, fmt, greatest, smallest, systemOf } from '@jugalis/core'

export interface Tick {
  mm: number
  size: 'small' | 'mid' | 'big'
  label: string | null
}

/** Closest that graduations and numerals may stand. */
const TICK_PX = 4
const NUMERAL_PX = 44

/** Graduations of a length tape between two lengths, as dense as the scale carries. */
export function lengthTicks(fromMm: number, toMm: number, pxPerMm: number, reader: Reader): Tick[] {
  const units = systemOf(reader, 'length')
  const unit = units === 'inch' ? 25.4 : 10
  const fines =
    units === 'inch'
      ? [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 6, 12, 60, 120, 600, 1200, 6000, 12_000].map((k) => k * unit)
      : [1, 5, 10, 50, 100, 500, 1000, 5000, 10_000, 50_000, 100_000]
  const fine = fines.find((mm) => mm * pxPerMm >= TICK_PX) ?? (toMm - fromMm) / 100
  const bigs =
    units === 'inch'
      ? [1, 2, 6, 12, 24, 60, 120, 240, 600, 1200, 2400, 6000, 12_000, 24_000]
      : [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000]
  const bigEvery = bigs.find((k) => k * unit * pxPerMm >= NUMERAL_PX) ?? Infinity
  const out: Tick[] = []
  for (let k = Math.ceil((fromMm - 1e-6) / fine); k * fine <= toMm + 1e-6; k++) {
    const mm = k * fine
    const whole = mm / unit
    const isBig = Math.abs(whole / bigEvery - Math.round(whole / bigEvery)) < 1e-6
    const isMid = Math.abs(whole - Math.round(whole)) < 1e-6 && fine < unit
    out.push({
      mm,
      size: isBig ? 'big' : isMid ? 'mid' : 'small',
      label: isBig && mm > 0 ? fmt.lengthFigure(mm, reader).replace(/\s/g, '') : null,
    })
  }
  return out
}

/** The round number (1, 2 or 5 and a power of ten) by which a scale from 0 to `top` makes at most so many steps. */
export function roundStep(top: number, most: number): number {
  const least = Math.max(top, 1e-9) / Math.max(1, most)
  const ten = 10 ** Math.floor(Math.log10(least))
  return [1, 2, 5, 10].map((k) => k * ten).find((s) => s >= least - 1e-12) ?? 10 * ten
}

export interface RoundScale {
  min: number
  max: number
  interval: number
  /** Decimals that its numerals need: what binary fractions add is not read. */
  places: number
}
/**
 * A scale around all values that ends at round numbers and steps by one, at most `most` times or one more.
 * @param least how far it spans at least, around the middle.
 */
export function roundScale(values: readonly number[], most: number, least = 0): RoundScale {
  const [low, high] = values.length ? [smallest(values), greatest(values)] : [0, 1]
  const wide = Math.max(0, least - (high - low)) / 2
  const interval = roundStep(high - low + 2 * wide, most)
  const places = Math.max(0, -Math.floor(Math.log10(interval) + 1e-9))
  const at = (steps: number): number => Number((steps * interval).toFixed(places))
  const min = at(Math.floor((low - wide) / interval + 1e-6))
  const max = at(Math.ceil((high + wide) / interval - 1e-6))
  return { min, max: max > min ? max : Number((min + interval).toFixed(places)), interval: at(1), places }
}

/** Hour marks of a time tape: step in seconds so that labels keep apart. */
export function timeStep(spanS: number, width: number): number {
  const wanted = (spanS / width) * 64
  return (
    [60, 300, 600, 900, 1800, 3600, 7200, 10800, 21600, 43200, 86400, 172800].find((s) => s >= wanted) ??
    604800
  )
}
