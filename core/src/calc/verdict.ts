import { judgeSeries } from '../prove/verdict/judge.js'
import { saysOf } from '../prove/certificate/verdict-sentence.js'
import type { TestSeries } from '../prove/verdict/series.js'
import { list, may, need, number, object, oneOf } from '../schema/shape.js'
import { MATERIALS } from '../methods/joinable.js'
import { msg } from '../sources/source.js'
import { greatest } from '../units/extent.js'
import { say } from '../words/words.js'
import { Refusal, calculation } from './calculation.js'

const READING = object(
  need('tS', number({ min: 0, max: 1e8 }), 'From the first reading'),
  need('pressureBar', number({ min: -1.1, max: 5000 }), 'Gauge pressure'),
  may('temperatureC', number({ min: -60, max: 200 }), 'Temperature; the one before holds on where absent'),
)
type Question = {
  [K in keyof TestSeries]: TestSeries[K] extends infer T ? (null extends T ? T | undefined : T) : never
}
const STEADY = { tS: 0, pressureBar: 9, temperatureC: 18 }
export const testVerdict = calculation({
  name: 'test-verdict',
  summary: 'Judges a pressure test from its readings, with the temperature\u2019s share taken out.',
  inputs: [
    need('medium', oneOf('water', 'air', 'nitrogen'), 'What is shut in'),
    need('pipeMaterial', oneOf(...MATERIALS), 'Pipe'),
    may('odMm', number({ above: 0, max: 5000 }), 'Outside diameter'),
    may('wallMm', number({ above: 0, max: 500 }), 'Wall'),
    may('axial', oneOf('free', 'anchored'), 'May it grow along?'),
    may('airPct', number({ min: 0, max: 50 }), 'Air with the water, at the pressure of the first reading'),
    may('volumeM3', number({ above: 0, max: 1e6 }), 'Of the section'),
    need('resolutionBar', number({ above: 0, max: 100 }), 'What the gauge can tell apart'),
    need('sensorErrorBar', number({ min: 0, max: 100 }), 'What it may drift during the test'),
    need('temperatureOf', oneOf('medium', 'wall', 'air'), 'What the temperatures are of'),
    need('readings', list(READING, 0, 1_000_000), 'Ascending'),
    need('stabiliseS', number({ min: 0, max: 1e7 }), 'When the hold begins, from the first reading'),
    need('holdS', number({ above: 0, max: 1e7 }), 'Hold'),
    need('allowedDropBar', number({ min: 0, max: 1000 }), 'Loss allowed over the hold'),
  ],
  sources: ['ours-verdict'],
  example: {
    input: {
      medium: 'water',
      pipeMaterial: 'copper',
      odMm: 28,
      wallMm: 1,
      axial: 'free',
      airPct: 0,
      volumeM3: 0.02,
      resolutionBar: 0.01,
      sensorErrorBar: 0.01,
      temperatureOf: 'medium',
      readings: [0, 300, 600, 900, 1200].map((tS) => ({ ...STEADY, tS })),
      stabiliseS: 0,
      holdS: 1200,
      allowedDropBar: 0.2,
    },
    result: {
      verdict: 'held',
      rawDropBar: 0,
      correctedDropBar: 0,
      uncertaintyBar: 0.06806278375543966,
      leakRateLPerH: 0,
      moreTimeS: 0,
      cause: null,
      reasons: [],
      mostly: null,
      airPct: 0,
      partsBar: {
        scatter: 0.041391500673267766,
        temperature: 0.052526836993622754,
        air: 0,
        creep: 0,
        resolution: 0.00776,
        sensor: 0.01,
        odd: 0,
      },
    },
  },
  compute(input: Question, working) {
    const series: TestSeries = {
      ...input,
      odMm: input.odMm ?? null,
      wallMm: input.wallMm ?? null,
      axial: input.axial ?? null,
      airPct: input.airPct ?? null,
      volumeM3: input.volumeM3 ?? null,
      readings: input.readings.map((r) => ({ ...r, temperatureC: r.temperatureC ?? null })),
    }
    series.readings.forEach((reading, k) => {
      const before = series.readings[k - 1]
      if (before && reading.tS <= before.tS)
        throw new Refusal('bad-input', 'Time runs backwards here, or stands still.', `readings[${k}].tS`)
    })
    if (series.odMm !== null && series.wallMm !== null && 2 * series.wallMm >= series.odMm)
      throw new Refusal('bad-input', 'The wall leaves no bore.', 'wallMm')
    const judgement = judgeSeries(series)
    for (const key of ['verdict', 'rawDropBar', 'correctedDropBar', 'uncertaintyBar'] as const)
      working.put(key, judgement[key], 'ours-verdict')
    working.put('leakRateLPerH', judgement.leakRateLPerH, 'ours-verdict')
    if (judgement.leakRateLPerH === null)
      working.lacks(
        'leakRateLPerH',
        'no-figure',
        series.volumeM3 === null ? 'The volume is not known.' : say(saysOf(judgement, series)),
      )
    working.put('moreTimeS', judgement.moreTimeS, 'ours-verdict')
    working.put('cause', judgement.cause)
    working.put(
      'reasons',
      judgement.reasons.map(({ code, count }) => ({
        code,
        level: code === 'pressure-restored' ? 'stop' : 'warn',
        message: say(msg(`reading-${code}`, { count })),
      })),
    )
    working.put('mostly', judgement.mostly, 'ours-verdict')
    working.put('airPct', judgement.airPct, 'ours-verdict')
    working.put('partsBar', judgement.parts, 'ours-verdict')
    if (judgement.correctedDropBar === null)
      working.lacks('correctedDropBar', 'no-figure', say(saysOf(judgement, series)))
    warnings(series, (code, message) => working.warn(code, message, 'readings'))
  },
})

/** What a person who looks at the readings would ask about. */
function warnings(series: TestSeries, warn: (code: string, message: string) => void): void {
  const times = series.readings.map((r) => r.tS)
  const gap = Math.max(0, greatest(times.slice(1).map((t, k) => t - (times[k] as number))))
  if (times.length > 3 && gap > series.holdS / 4)
    warn('gap', `A stretch of ${Math.round(gap / 60)} min has no reading.`)
  if (series.readings.some((r) => r.temperatureC === null))
    warn('temperature-missing', 'Some readings have no temperature: the one before is held on.')
}
