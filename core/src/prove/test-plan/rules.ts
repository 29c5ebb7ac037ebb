import { type Finding, finding, type SourceId } from '../../sources/source.js'
import { psiToBar } from '../../units/units.js'
import type { Code } from '../../sources/wording.js'

export const TEST_RULES = [
  'b31.3-hydro',
  'b31.3-pneumatic',
  'b31.9-hydro',
  'ipc-water',
  'ipc-air',
  'dwv-water',
  'dwv-air',
  'en806-a',
  'en806-b',
  'en806-c',
  'nfpa13-wet',
  'nfpa13-dry',
  'press-leak-check-air',
  'press-leak-check-water',
  'dvs2210-hydro',
  'custom',
] as const
export type TestRuleId = (typeof TEST_RULES)[number]
export interface CustomRule {
  medium: 'water' | 'air' | 'nitrogen'
  /** Times the design pressure; or `bar`. */
  factor?: number | null
  bar?: number | null
  holdS: number
  allowedDropBar: number | null
}
export interface PlanInput {
  rule: TestRuleId
  designBar: number | null
  workingBar: number | null
  materials: readonly string[]
  odMm: number | null
  stressRatio: number | null
  custom: CustomRule | null
}
/** One stage of a test. `holdS` is the least time; 0 where the rule names none. `look` = walk the line. */
export interface Stage {
  name: string
  bar: number
  holdS: number
  look: boolean
}
export interface TestPlan {
  medium: 'water' | 'air' | 'nitrogen'
  testBar: number
  /** Least pressure at which the check tells anything; null where the rule names none. */
  testMinBar: number | null
  holdS: number
  /** Null where the rule only looks; 0 where it allows no fall that the gauge shows. */
  allowedDropBar: number | null
  stages: Stage[]
  /** Highest setting of the relief valve; null where the rule names none. */
  reliefBar: number | null
  source: SourceId
  findings: Finding[]
}
/** What a rule needs and was not given. */
export type PlanFault = { missing: 'designBar' | 'workingBar' | 'custom' | 'custom.factor' }

const GAS: ReadonlySet<string> = new Set([
  'b31.3-pneumatic',
  'ipc-air',
  'dwv-air',
  'nfpa13-dry',
  'press-leak-check-air',
])
const BRITTLE: ReadonlySet<string> = new Set(['pvc', 'pvc-u', 'cpvc', 'abs'])
const OTHER_PLASTIC: ReadonlySet<string> = new Set(['pp-r', 'pp-r-layered', 'pe', 'pex', 'multilayer', 'pfa'])
/** Plastics that stretch slowly, as EN 806-4 sorts them. */
const SLOW: ReadonlySet<string> = new Set(['pp-r', 'pp-r-layered', 'pe', 'pex'])
const MIN = 60
const HOUR = 3600
/** B31.3 345.4.2: the ratio of stresses counts no further than this. */
const MOST_RATIO = 6.5
const FEET_10_BAR = 3.048 * 0.0980665
const EN806_OD_MM = 63

const hold = (bar: number, holdS: number, look = true): Stage => ({ name: 'hold', bar, holdS, look })
type Made = Omit<TestPlan, 'findings' | 'medium' | 'reliefBar' | 'testMinBar'> &
  Partial<Pick<TestPlan, 'medium' | 'reliefBar' | 'testMinBar'>>
const simple = (testBar: number, holdS: number, allowedDropBar: number | null, source: SourceId): Made => ({
  testBar,
  holdS,
  allowedDropBar,
  stages: [hold(testBar, holdS)],
  source,
})

/** Steps of a gas test between the first look and the test pressure: quarters, each until it is steady. */
function gasStages(designBar: number, testBar: number): Stage[] {
  const firstBar = Math.min(testBar / 2, psiToBar(25))
  const steps = [0.25, 0.5, 0.75].map((s) => firstBar + s * (testBar - firstBar))
  return [
    { name: 'first look', bar: firstBar, holdS: 0, look: true },
    ...steps.map((bar) => ({ name: 'step', bar, holdS: 0, look: false })),
    { name: 'hold', bar: testBar, holdS: 10 * MIN, look: false },
    { name: 'look-over', bar: designBar, holdS: 0, look: true },
  ]
}

type Need = (name: 'designBar' | 'workingBar') => number
type Maker = (i: PlanInput, need: Need, warn: (code: Code, params?: Record<string, number>) => void) => Made
const MAKERS: Readonly<Record<Exclude<TestRuleId, 'custom'>, Maker>> = {
  'b31.3-hydro': (input, need, warn) => {
    const design = need('designBar')
    if (input.stressRatio === null) warn('stress-ratio-one')
    if ((input.stressRatio ?? 1) > MOST_RATIO) warn('stress-ratio-most', { most: MOST_RATIO })
    const testBar = 1.5 * design * Math.min(MOST_RATIO, input.stressRatio ?? 1)
    return {
      testBar,
      holdS: 10 * MIN,
      allowedDropBar: null,
      stages: [hold(testBar, 10 * MIN, false), { name: 'look-over', bar: design, holdS: 0, look: true }],
      source: 'b31-3-hydro',
    }
  },
  'b31.3-pneumatic': (_i, need) => {
    const design = need('designBar')
    const testBar = 1.1 * design
    return {
      testBar,
      holdS: 10 * MIN,
      allowedDropBar: null,
      stages: gasStages(design, testBar),
      reliefBar: testBar + Math.min(psiToBar(50), 0.1 * testBar),
      source: 'b31-3-pneumatic',
    }
  },
  'b31.9-hydro': (_i, need) => simple(1.5 * need('designBar'), 10 * MIN, null, 'b31-9-hydro'),
  'ipc-water': (_i, need) => simple(need('workingBar'), 15 * MIN, null, 'ipc-312-5'),
  'ipc-air': () => simple(psiToBar(50), 15 * MIN, null, 'ipc-312-5'),
  'dwv-water': () => simple(FEET_10_BAR, 15 * MIN, null, 'ipc-312-2'),
  'dwv-air': () => simple(psiToBar(5), 15 * MIN, null, 'ipc-312-2'),
  'en806-a': (_i, need) => simple(1.1 * need('designBar'), 10 * MIN, 0, 'en-806-4'),
  'en806-b': (_i, need) => {
    const testBar = 1.1 * need('designBar')
    return {
      testBar,
      holdS: 30 * MIN,
      allowedDropBar: 0,
      stages: [
        { name: 'pump', bar: testBar, holdS: 30 * MIN, look: true },
        { name: 'lower', bar: testBar / 2, holdS: 0, look: false },
        hold(testBar / 2, 30 * MIN),
      ],
      source: 'en-806-4',
    }
  },
  'en806-c': (_i, need) => {
    const testBar = 1.1 * need('designBar')
    return {
      testBar,
      holdS: 2 * HOUR,
      allowedDropBar: 0.2,
      stages: [
        { name: 'pump', bar: testBar, holdS: 30 * MIN, look: true },
        { name: 'settle', bar: testBar, holdS: 30 * MIN, look: false },
        hold(testBar - 0.6, 2 * HOUR),
      ],
      source: 'en-806-4',
    }
  },
  'nfpa13-wet': (input, _need, warn) => {
    if (input.workingBar === null) warn('working-unsaid')
    const testBar = Math.max(psiToBar(200), (input.workingBar ?? 0) + psiToBar(50))
    return simple(testBar, 2 * HOUR, 0, 'nfpa-13-wet')
  },
  'nfpa13-dry': (_i, _need, warn) => {
    warn('dry-other-figure', { bar: psiToBar(36), dropBar: psiToBar(2) })
    return simple(psiToBar(40), 24 * HOUR, psiToBar(1.5), 'nfpa-13-dry')
  },
  'press-leak-check-air': () => ({
    ...simple(psiToBar(45), 0, null, 'cp-press-leak-check'),
    testMinBar: psiToBar(0.5),
    stages: [{ name: 'look-over', bar: psiToBar(45), holdS: 0, look: true }],
  }),
  'press-leak-check-water': () => ({
    ...simple(psiToBar(85), 0, null, 'cp-press-leak-check'),
    testMinBar: psiToBar(15),
    stages: [{ name: 'look-over', bar: psiToBar(85), holdS: 0, look: true }],
  }),
  'dvs2210-hydro': (input, need, warn) => {
    const operating = input.workingBar ?? need('designBar')
    if (input.designBar === null) warn('pn-unsaid')
    warn('dvs-unsure')
    const testBar = Math.min(1.5 * operating, (input.designBar ?? Infinity) + 5)
    return {
      testBar,
      holdS: 3 * HOUR,
      allowedDropBar: null,
      stages: [{ name: 'pump', bar: testBar, holdS: 3 * HOUR, look: true }, hold(testBar, 3 * HOUR)],
      source: 'dvs-2210-1-2',
    }
  },
}

/**
 * Plan of a test by a rule. Pressures are gauge, at the place the rule reads them. @returns what is missing, when the
 * rule needs a pressure that was not given. Gas on PVC, CPVC or ABS comes back as a finding of level stop.
 */
export function testPlan(input: PlanInput): TestPlan | PlanFault {
  const findings: Finding[] = []
  const warn = (code: Code, params: Record<string, number> = {}): void =>
    void findings.push(finding('warn', code, 'cp-gates', params))
  let made: Made
  if (input.rule === 'custom') {
    const rule = input.custom
    if (!rule) return { missing: 'custom' }
    if ((rule.bar ?? null) === null && (rule.factor ?? null) === null) return { missing: 'custom.factor' }
    if ((rule.bar ?? null) === null && input.designBar === null) return { missing: 'designBar' }
    const testBar = rule.bar ?? (rule.factor as number) * (input.designBar as number)
    made = { ...simple(testBar, rule.holdS, rule.allowedDropBar, 'given'), medium: rule.medium }
  } else {
    const lacking: ('designBar' | 'workingBar')[] = []
    const need: Need = (name) => {
      const value = input[name]
      if (value === null) lacking.push(name)
      return value ?? NaN
    }
    made = MAKERS[input.rule](input, need, warn)
    if (lacking[0]) return { missing: lacking[0] }
  }
  const medium = made.medium ?? (GAS.has(input.rule) ? 'air' : 'water')
  return {
    reliefBar: null,
    testMinBar: null,
    ...made,
    medium,
    findings: [...materialFindings(input, medium), ...findings],
  }
}

function materialFindings(input: PlanInput, medium: TestPlan['medium']): Finding[] {
  const out: Finding[] = []
  if (!input.materials.length) out.push(finding('warn', 'materials-unsaid', 'cp-gates', {}, 'materials'))
  if (medium !== 'water') {
    if (input.materials.some((m) => BRITTLE.has(m)))
      out.push(finding('stop', 'gas-on-plastic', 'cp-no-gas-on-plastic', {}, 'materials'))
    // The plumbing code's air tests leave out plastic of any kind.
    if (
      (input.rule === 'ipc-air' || input.rule === 'dwv-air') &&
      input.materials.some((m) => OTHER_PLASTIC.has(m))
    )
      out.push(
        finding(
          'stop',
          'air-not-on-plastic',
          input.rule === 'ipc-air' ? 'ipc-312-5' : 'ipc-312-2',
          {},
          'materials',
        ),
      )
    if (input.rule !== 'press-leak-check-air' && input.rule !== 'dwv-air')
      out.push(finding('warn', 'gas-energy', 'asme-pcc-2'))
  }
  if (input.rule.startsWith('en806')) {
    const slow = input.materials.some((m) => SLOW.has(m))
    if (slow && input.odMm === null) out.push(finding('warn', 'en806-od-unsaid', 'en-806-4', {}, 'odMm'))
    const needsLong = slow && input.odMm !== null && input.odMm > EN806_OD_MM
    if (needsLong && input.rule === 'en806-a')
      out.push(finding('warn', 'en806-b-or-c', 'en-806-4', { od: EN806_OD_MM }))
    out.push(finding('note', 'en806-wait', 'en-806-4'))
  }
  return out
}
/**
 * Range a gauge should have, bar: 1.5 to 4 times the test pressure. Source: `cp-gauge-range`.
 * @example gaugeRange(10) // { minBar: 15, maxBar: 40 }
 */
export const gaugeRange = (testBar: number): { minBar: number; maxBar: number } => ({
  minBar: 1.5 * testBar,
  maxBar: 4 * testBar,
})
