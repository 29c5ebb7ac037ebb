import { chanceOf } from '../bench/chance.js'
import { dewPointC } from '../conditions/dew-point.js'
import { addMonths, fillingOf } from '../joint/tin-date.js'
import { offset } from '../line/bends.js'
import { cutLength } from '../line/cut-length.js'
import type { School } from '../methods/joinable.js'
import { inchToMm } from '../units/units.js'

/** What is worked out in the head on site. */
export const SUM_KINDS = ['check-mark', 'cut', 'clock', 'tin', 'dew', 'travel', 'fall'] as const
export type SumKind = (typeof SUM_KINDS)[number]
/** What its answers are: a length in mm, a temperature in °C, an hour of the clock, a day. */
export type SumAs = 'length' | 'temperature' | 'hour' | 'day'
/** A sum to do in the head: four answers, of which the wrong ones are the usual mistakes. */
export interface Sum {
  kind: SumKind
  params: Readonly<Record<string, number | string>>
  as: SumAs
  answers: readonly (number | string)[]
  /** Which of them is right. */
  right: number
}
type Chance = ReturnType<typeof chanceOf>
type Made = Pick<Sum, 'params' | 'as'> & { right: number | string; wrong: readonly (number | string)[] }

/** A figure of a row, by lot. */
const oneOf = (chance: Chance, name: string, row: readonly number[]): number =>
  row[Math.floor(chance.even(name) * row.length)] as number
/** Lengths as they come out of a box: millimetres, or quarters and eighths of an inch. */
const lengths =
  (chance: Chance, school: School) => (name: string, metric: readonly number[], inch: readonly number[]) =>
    school === 'metric' ? oneOf(chance, name, metric) : inchToMm(oneOf(chance, name, inch))

type Maker = (chance: Chance, school: School) => Made
const MAKERS: Readonly<Record<SumKind, Maker>> = {
  'check-mark': (chance, school) => {
    const of = lengths(chance, school)
    const depthMm = of('depth', [22, 31, 38, 44, 61], [1.125, 1.5, 1.875, 2.25])
    const offsetMm = school === 'metric' ? 50 : inchToMm(2)
    const stepMm = school === 'metric' ? 10 : inchToMm(0.5)
    const right = depthMm + offsetMm
    return {
      params: { depthMm, offsetMm },
      as: 'length',
      right,
      wrong: [depthMm, right + stepMm, right - stepMm],
    }
  },
  cut: (chance, school) => {
    const of = lengths(chance, school)
    const measuredMm = of('measure', [640, 885, 1250, 1480], [24, 36.5, 48, 61.25])
    const takeOffMm = of('take-off', [26, 34, 47], [1.125, 1.5, 2.25])
    const insertionMm = of('depth', [22, 31, 38], [0.75, 1.25, 1.625])
    const end = { takeOffMm, insertionMm }
    const cut = cutLength('centre-centre', measuredMm, [end, end])
    const right = cut.ok ? cut.cutMm : measuredMm
    return {
      params: { measuredMm, takeOffMm, insertionMm },
      as: 'length',
      right,
      // Insertion forgotten, one end only, take-off added.
      wrong: [measuredMm - 2 * takeOffMm, measuredMm - takeOffMm + insertionMm, measuredMm + 2 * takeOffMm],
    }
  },
  clock: (chance) => {
    const turns = oneOf(chance, 'turns', [0.25, 0.75, 1.25, 1.5, 2.25])
    const hour = (n: number): number => ((((Math.round(6 + n * 12) - 1) % 12) + 12) % 12) + 1
    // Counted from twelve instead of six, a flat too many, a quarter short.
    const wrong = [turns + 0.5, turns + 1 / 6, turns - 0.25].map(hour)
    return { params: { turns }, as: 'hour', right: hour(turns), wrong }
  },
  tin: (chance) => {
    const year = 24 + Math.floor(chance.even('year') * 3)
    const day = 1 + Math.floor(chance.even('day') * 364)
    const code = `${year}${String(day).padStart(3, '0')}`
    const filling = fillingOf(code, '2026-01-01')
    const [filledOn, right] = filling.ok ? [filling.filledOn, filling.expiresOn] : ['', '']
    return {
      params: { code },
      as: 'day',
      right,
      wrong: [filledOn, addMonths(filledOn, 12), addMonths(right, 1)],
    }
  },
  dew: (chance) => {
    const airC = oneOf(chance, 'air', [10, 15, 20, 25])
    const pct = oneOf(chance, 'humidity', [50, 60, 70, 80])
    const right = Math.round(dewPointC(airC, pct))
    return { params: { airC, pct }, as: 'temperature', right, wrong: [right - 5, right + 2, airC] }
  },
  travel: (chance, school) => {
    const setMm = lengths(chance, school)('set', [200, 300, 450], [8, 12, 18])
    const { travelMm } = offset(setMm, 0, 45)
    return { params: { setMm }, as: 'length', right: travelMm, wrong: [setMm, setMm * 2, setMm * 1.155] }
  },
  fall: (chance, school) => {
    const runMm = lengths(chance, school)('run', [2000, 3200, 4000], [80, 120, 160])
    const one = oneOf(chance, 'one in', [40, 80, 100])
    const right = runMm / one
    return { params: { runMm, one }, as: 'length', right, wrong: [right * 2, right / 2, right * 10] }
  },
}

/**
 * A sum to do in the head. @param no the same number, the same sum.
 * @example sumOf('metric', 4).answers.length // 4
 */
export function sumOf(school: School, no: number): Sum {
  const chance = chanceOf(no)
  const kind = SUM_KINDS[Math.floor(chance.even('kind') * SUM_KINDS.length)] as SumKind
  const { params, as, right, wrong } = MAKERS[kind](chance, school)
  const lots = chance.many('answers', wrong.length + 1)
  const answers = [right, ...wrong]
    .map((answer, i) => ({ answer, lot: lots[i] as number }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ answer }) => answer)
  return { kind, params, as, answers, right: answers.indexOf(right) }
}
