import { storedEnergy } from '../prove/test-plan/energy.js'
import { atEnds } from '../prove/test-plan/water-column.js'
import { pipeRating } from '../prove/test-plan/rating.js'
import {
  type CustomRule,
  TEST_RULES,
  type TestRuleId,
  gaugeRange,
  testPlan,
} from '../prove/test-plan/rules.js'
import { flag, list, may, need, number, object, oneOf, text } from '../schema/shape.js'
import { parseSize, suggestSize } from '../sizes/size.js'
import { msg } from '../sources/source.js'
import { say } from '../words/words.js'
import { MATERIALS } from '../methods/joinable.js'
import { WALL_C, material, reasons, schedule, size } from './common.js'
import { Refusal, type Working, calculation } from './calculation.js'

const BAR = number({ above: 0, max: 2000 })
const METRES = number({ min: -1000, max: 1000 })

export const staticHead = calculation({
  name: 'static-head',
  summary: 'Pressure at the lowest and the highest point of a section, from that at the gauge.',
  inputs: [
    need('pressureAtGaugeBar', number({ min: -1, max: 2000 }), 'What the gauge shows'),
    need('gaugeElevationM', METRES, 'Height of the gauge, from any level'),
    need('lowElevationM', METRES, 'Lowest point, from the same level'),
    need('highElevationM', METRES, 'Highest point, from the same level'),
    may('densityKgM3', number({ above: 0, max: 20_000 }), 'Of the liquid; 1000 if absent'),
  ],
  sources: ['hydrostatic'],
  example: {
    input: { pressureAtGaugeBar: 8.8, gaugeElevationM: 12, lowElevationM: 0, highElevationM: 12 },
    result: { atLowBar: 9.976798, atHighBar: 8.8 },
  },
  compute(
    input: {
      pressureAtGaugeBar: number
      gaugeElevationM: number
      lowElevationM: number
      highElevationM: number
      densityKgM3?: number | null
    },
    working,
  ) {
    if (input.highElevationM < input.lowElevationM)
      throw new Refusal('bad-input', 'The highest point lies below the lowest one.', 'highElevationM')
    const ends = atEnds(
      input.pressureAtGaugeBar,
      { gaugeM: input.gaugeElevationM, lowM: input.lowElevationM, highM: input.highElevationM },
      input.densityKgM3 ?? 1000,
    )
    working.put('atLowBar', ends.atLowBar, 'hydrostatic', ['given', 'hydrostatic'])
    working.put('atHighBar', ends.atHighBar, 'hydrostatic', ['given', 'hydrostatic'])
    if (ends.atHighBar < 0)
      working.warn(
        'vacuum-at-top',
        'At the highest point the pressure would be below that of the air.',
        'pressureAtGaugeBar',
      )
  },
})

export const derating = calculation({
  name: 'derating',
  summary: 'Pressure that plastic pipe or copper tube may take at a temperature, plain or threaded.',
  inputs: [
    material,
    size,
    schedule,
    may('series', text, 'PN10, SDR21; of inch pipe SDR21; of copper tube K, L, M'),
    need('temperatureC', WALL_C, 'Of the pipe'),
    may('threaded', flag, 'Has threads cut into it'),
  ],
  rules: 'schedule or series for NPS sizes, series for all others; there is no default.',
  sources: [
    'astm-d1785-rating',
    'astm-d2241',
    'astm-d2846',
    'astm-d1785-derate',
    'astm-f441-derate',
    'iso-1452-2',
    'iso-15493-pn',
    'iso-15874-2',
    'astm-d1527',
    'cp-abs-derate',
    'asme-b31-copper',
    'half-when-threaded',
  ],
  example: {
    input: { material: 'pvc', size: 'NPS 2', schedule: '80', temperatureC: 40, threaded: true },
    result: { ratingBar: 7.032652439041875, factor: 0.255 },
  },
  compute(
    input: {
      material: string
      size: string
      schedule?: string | null
      series?: string | null
      temperatureC: number
      threaded?: boolean | null
    },
    working,
  ) {
    const parsed = parseSize(input.size)
    if (!parsed)
      throw new Refusal(
        'unknown-size',
        say(msg('size-unreadable', { size: input.size, suggestion: suggestSize(input.size) })),
        'size',
      )
    const wanted = parsed.family === 'NPS' ? 'schedule' : 'series'
    const series = input.series ?? input.schedule ?? null
    if (series === null) throw new Refusal('missing-field', `${wanted} is missing.`, wanted)
    const rated = pipeRating(
      {
        material: input.material,
        size: parsed,
        series,
        threaded: input.threaded === true,
      },
      input.temperatureC,
    )
    if ('value' in rated) throw new Refusal('no-figure', say(rated.why), rated.field)
    working.put('ratingBar', rated.ratingBar, rated.sources[0], [...rated.sources])
    working.put('factor', rated.factor, rated.sources[1])
  },
})

export const storedEnergyCalc = calculation({
  name: 'stored-energy',
  summary: 'Energy of gas in a section under test, its like in TNT, and how far people keep away.',
  inputs: [
    need('volumeM3', number({ above: 0, max: 1e6 }), 'Of the section'),
    need('testBar', BAR, 'Test pressure, gauge'),
    need('medium', oneOf('air', 'nitrogen'), 'Gas'),
  ],
  sources: ['asme-pcc-2'],
  example: {
    input: { volumeM3: 1, testBar: 10, medium: 'air' },
    result: { energyJ: 1361750.2933984236, tntKg: 0.31914127600199294, distanceM: 30 },
  },
  compute(input: { volumeM3: number; testBar: number }, working) {
    const energy = storedEnergy(input.volumeM3, input.testBar)
    working.put('energyJ', energy.energyJ, 'asme-pcc-2')
    working.put('tntKg', energy.tntKg, 'asme-pcc-2')
    working.put('distanceM', energy.distanceM, 'asme-pcc-2')
  },
})

interface PlanQuestion {
  rule: TestRuleId
  designBar?: number | null
  workingBar?: number | null
  materials: string[]
  odMm?: number | null
  stressRatio?: number | null
  custom?: CustomRule | null
}
export const testPlanCalc = calculation({
  name: 'test-plan',
  summary: 'Pressure, stages and hold of a pressure test by a rule.',
  inputs: [
    need('rule', oneOf(...TEST_RULES), 'By which rule'),
    may('designBar', BAR, 'Design pressure; for plastic by DVS its PN'),
    may('workingBar', BAR, 'Working pressure'),
    need('materials', list(oneOf(...MATERIALS), 0, 20), 'All pipe in the section'),
    may('odMm', number({ above: 0, max: 3000 }), 'Largest outside diameter'),
    may(
      'stressRatio',
      number({ min: 1, max: 20 }),
      'Allowable stress at test over that at design temperature',
    ),
    may(
      'custom',
      object(
        need('medium', oneOf('water', 'air', 'nitrogen'), 'With what'),
        may('factor', number({ above: 0, max: 10 }), 'Times design; this or bar'),
        may('bar', BAR, 'Test pressure; this or factor'),
        need('holdS', number({ above: 0, max: 864_000 }), 'Hold'),
        may('allowedDropBar', number({ min: 0, max: 100 }), 'Loss allowed; absent where the rule only looks'),
      ),
      'A rule of your own',
    ),
  ],
  rules: 'custom is needed for the rule custom; a rule that multiplies the design pressure needs designBar.',
  sources: [
    'b31-3-hydro',
    'b31-3-pneumatic',
    'b31-9-hydro',
    'ipc-312-5',
    'ipc-312-2',
    'en-806-4',
    'nfpa-13-wet',
    'nfpa-13-dry',
    'cp-press-leak-check',
    'dvs-2210-1-2',
    'cp-gauge-range',
  ],
  example: {
    input: { rule: 'b31.9-hydro', designBar: 6, materials: ['copper'] },
    result: {
      ok: true,
      reasons: [],
      testBar: 9,
      testMinBar: null,
      holdS: 600,
      allowedDropBar: null,
      stages: [{ name: 'hold', bar: 9, holdS: 600, look: true }],
      gaugeRangeMinBar: 13.5,
      gaugeRangeMaxBar: 36,
      reliefBar: null,
      medium: 'water',
    },
  },
  compute(input: PlanQuestion, working) {
    const plan = testPlan({
      rule: input.rule,
      designBar: input.designBar ?? null,
      workingBar: input.workingBar ?? null,
      materials: input.materials,
      odMm: input.odMm ?? null,
      stressRatio: input.stressRatio ?? null,
      custom: input.custom ?? null,
    })
    if ('missing' in plan) throw new Refusal('missing-field', `${plan.missing} is missing.`, plan.missing)
    reasons(
      working,
      plan.findings.filter((f) => f.level === 'stop'),
    )
    for (const finding of plan.findings) if (finding.level !== 'stop') warnOf(working, finding)
    working.put('testBar', plan.testBar, plan.source)
    working.put('testMinBar', plan.testMinBar, plan.source)
    working.put('holdS', plan.holdS, plan.source)
    working.put('allowedDropBar', plan.allowedDropBar, plan.source)
    working.put('stages', plan.stages, plan.source)
    const range = gaugeRange(plan.testBar)
    working.put('gaugeRangeMinBar', range.minBar, 'cp-gauge-range')
    working.put('gaugeRangeMaxBar', range.maxBar, 'cp-gauge-range')
    working.put('reliefBar', plan.reliefBar, plan.source)
    working.put('medium', plan.medium, plan.source)
  },
})
const warnOf = (working: Working, says: Parameters<typeof say>[0] & { field?: string }): void =>
  working.warn(says.code, say(says), says.field)
