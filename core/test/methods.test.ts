import {
  type Ctx,
  type Life,
  type Method,
  type Msg,
  allMethods,
  isWorded,
  methodOf,
  registerMethod,
  say,
  sourceOf,
} from '../src/index.js'
import { steadyHistory } from '../src/conditions/history.js'
import { toyMethod } from './toy-method.js'

const T0 = 1_790_000_000
const pin = (school: 'inch' | 'metric') => ({ rules: 1, chart: null, school, table: 'current' })
const ctx = (school: 'inch' | 'metric', t = 15): Ctx => ({
  school,
  pin: pin(school),
  wall: steadyHistory([{ fromS: T0 - 86400, temperatureC: t }]),
  airC: t,
  wallC: t,
  humidityPct: 50,
  mode: 'coldest',
})
const EXAMPLES: Readonly<Record<string, { raw: Record<string, unknown>; school: 'inch' | 'metric' }[]>> = {
  'solvent-cement': [
    {
      school: 'metric',
      raw: { material: 'pvc-u', size: 'd110', school: 'metric', checkOffsetMm: 50, pressureService: true },
    },
    {
      school: 'metric',
      raw: { material: 'abs', size: 'd20', school: 'metric', checkOffsetMm: 50, pressureService: true },
    },
    {
      school: 'inch',
      raw: {
        material: 'pvc',
        size: 'NPS 2',
        schedule: '80',
        school: 'inch',
        checkOffsetMm: 50.8,
        pressureService: true,
      },
    },
    {
      school: 'inch',
      raw: { material: 'cpvc', size: 'CTS 3/4', school: 'inch', checkOffsetMm: 50.8, pressureService: true },
    },
    {
      school: 'inch',
      raw: { material: 'abs', size: 'NPS 3', school: 'inch', checkOffsetMm: 50.8, pressureService: false },
    },
  ],
  'adhesive-bond': [
    {
      school: 'inch',
      raw: { material: 'vinyl-ester-resin', size: 'NPS 4', school: 'inch', socketDepthMm: 50 },
    },
    { school: 'inch', raw: { material: 'epoxy-resin', size: 'NPS 12', school: 'inch' } },
    { school: 'metric', raw: { material: 'cored-resin', size: 'NPS 2', school: 'metric' } },
  ],
  'socket-fusion': [
    { school: 'metric', raw: { material: 'pp-r', size: 'd32', school: 'metric' } },
    { school: 'metric', raw: { material: 'pp-r-layered', size: 'd125', school: 'metric' } },
  ],
  flare: [
    {
      school: 'inch',
      raw: { material: 'pfa', size: 'OD 3/4', school: 'inch', grooved: true, quenched: true },
    },
    { school: 'inch', raw: { material: 'pfa', size: 'OD 1/2', school: 'inch', cold: true } },
  ],
  press: [
    { school: 'metric', raw: { material: 'copper', size: 'd22', school: 'metric' } },
    { school: 'inch', raw: { material: 'carbon-steel', size: 'NPS 3', school: 'inch' } },
    { school: 'metric', raw: { material: 'multilayer', size: 'd40', school: 'metric' } },
    { school: 'metric', raw: { material: 'stainless', size: 'd108', school: 'metric', socketDepthMm: 77 } },
  ],
  solder: [
    { school: 'inch', raw: { material: 'copper', size: 'CTS 3/4', school: 'inch', part: 'ball-valve' } },
    { school: 'inch', raw: { material: 'copper', size: 'CTS 4', school: 'inch', part: 'union' } },
    { school: 'metric', raw: { material: 'copper', size: 'd6', school: 'metric' } },
  ],
  compression: [
    { school: 'inch', raw: { material: 'stainless', size: 'OD 1/4', school: 'inch' } },
    {
      school: 'metric',
      raw: { material: 'stainless', size: 'd4', school: 'metric', hardAlloy: true, remake: true },
    },
    { school: 'inch', raw: { material: 'pe', size: 'NPS 1', school: 'inch', kind: 'grip-nut' } },
    { school: 'inch', raw: { material: 'pex', size: 'CTS 3/4', school: 'inch', kind: 'stop-nut' } },
    { school: 'inch', raw: { material: 'copper', size: 'CTS 2', school: 'inch', kind: 'stab' } },
    { school: 'inch', raw: { material: 'copper', size: 'CTS 2', school: 'inch', kind: 'packed-nut' } },
  ],
  'sanitary-clamp': [
    {
      school: 'inch',
      raw: { material: 'stainless', size: 'BPE 1-1/2', school: 'inch', gasket: 'PTFE', tighten: 'hand' },
    },
    {
      school: 'metric',
      raw: {
        material: 'stainless',
        size: 'DN 40',
        school: 'metric',
        gasket: 'NBR',
        steam: true,
        torqueNm: 4,
      },
    },
  ],
  'split-coupling': [
    {
      school: 'inch',
      raw: {
        material: 'carbon-steel',
        size: 'NPS 12',
        school: 'inch',
        bolts: 4,
        dryTorqueNm: 270,
        kDry: 0.2,
        kLubricated: 0.15,
      },
    },
    { school: 'metric', raw: { material: 'pvc-u', size: 'd110', school: 'metric' } },
  ],
  'expansion-joint': [
    {
      school: 'inch',
      raw: {
        material: 'carbon-steel',
        size: 'NPS 8',
        school: 'inch',
        bolts: 8,
        dryTorqueNm: 90,
        rods: 'control',
        extensionMm: 12,
        compressionMm: 20,
      },
    },
    {
      school: 'metric',
      raw: { material: 'pvc-u', size: 'd160', school: 'metric', rods: 'none', anchored: false },
    },
  ],
  flange: [
    {
      school: 'inch',
      raw: { material: 'stainless', size: 'NPS 6', school: 'inch', bolts: 8, dryTorqueNm: 120 },
    },
    { school: 'metric', raw: { material: 'pvc-u', size: 'd110', school: 'metric' } },
  ],
  'toy-clip': [{ school: 'metric', raw: { size: 'd40', material: 'toy' } }],
}
const take = registerMethod(toyMethod as Method)
afterAll(() => take())

/** Every message that a method may show. */
const messages = (m: Method, spec: unknown, c: Ctx, life: Life): Msg[] => {
  const steps = m.steps(spec, c)
  return [
    m.name,
    ...m.fields.map((f) => f.label),
    ...steps.flatMap((s) => [
      s.does,
      s.lookFor,
      s.mistake,
      s.action,
      s.hint,
      ...s.exceptions.map((e) => e.says),
      ...s.cautions,
      ...s.reads.map((r) => r.label),
      ...s.tools,
    ]),
    ...m.clocks(spec, life, c).flatMap((k) => [k.label, k.onMiss.say, ...k.why]),
    ...m.cautions(spec, c),
    ...m.rules,
    ...m.insertion(spec, c).marks.flatMap((k) => (k.fromEndMm.value === null ? [k.fromEndMm.why] : [])),
    ...m.figures(spec, c).flatMap((f) => (f.fig.value === null ? [f.fig.why] : [])),
    ...m.testing(spec, life, c).open,
    ...steps.flatMap((s) => s.never ?? []),
    ...m.selection(spec, { live: true, cement: 'cpvc', tinExpired: true }, c),
    ...['telephone', 'rain', 'power'].flatMap((k) => m.interruption(spec, life, k, c)),
    ...m.inspection(spec, life, c).findings,
    ...m.inspection(spec, life, c).causes,
    ...m.testing(spec, life, c).forbids,
    ...m.faults.map((f) => f.shows),
  ]
}

for (const method of [...allMethods().filter((m) => m.id !== 'toy-clip'), toyMethod as Method])
  describe(`every method keeps its promises: ${method.id}`, () => {
    for (const { raw, school } of EXAMPLES[method.id] ?? []) {
      const c = ctx(school)
      const parsed = method.parse(raw)
      it(`${JSON.stringify(raw)}: reads its own specification`, () => expect(parsed.ok).toBe(true))
      if (!parsed.ok) continue
      const { spec } = parsed
      const steps = method.steps(spec, c)
      const life = (upTo: number, readings: Record<string, unknown> = {}): Life => ({
        no: 1,
        interrupted: [],
        done: steps.slice(0, upTo).map((s, i) => ({
          eventId: `e${i}`,
          step: s.id,
          earliestS: T0 + i * 40,
          latestS: T0 + i * 40,
          readings,
          by: 'p',
        })),
      })
      it('steps follow one another, have people and something to look for; one of them makes the joint', () => {
        const seen = new Set<string>()
        for (const s of steps) {
          expect(s.after.every((a) => seen.has(a))).toBe(true)
          expect(
            s.exceptions.every(
              (e) => ['cut-out', 'on'].includes(e.backTo) || steps.some((x) => x.id === e.backTo),
            ),
          ).toBe(true)
          seen.add(s.id)
        }
        expect(steps.filter((s) => s.reaches === 'made')).toHaveLength(1)
      })
      it('is total over any part of a life, and its results survive JSON', () => {
        for (let n = 0; n <= steps.length; n++) {
          const l = life(n)
          const all = [
            method.clocks(spec, l, c),
            method.pressure(spec, l, c),
            method.inspection(spec, l, c),
            method.section(spec, l, c),
            method.insertion(spec, c),
            method.movableFromS(spec, l, c),
            method.figures(spec, c),
            method.consumables(spec, c),
          ]
          expect(JSON.parse(JSON.stringify(all))).toEqual(all)
        }
      })
      it('takes no pressure before it is made, and never less later', () => {
        const made = steps.findIndex((s) => s.reaches === 'made')
        expect(method.pressure(spec, life(made), c)).toEqual([])
        const ramps = method.pressure(spec, life(steps.length), c)
        ramps.forEach((r, i) => {
          expect(r.slopeBarPerS).toBeGreaterThanOrEqual(0)
          expect(r.bar ?? Infinity).toBeGreaterThanOrEqual(ramps[i - 1]?.bar ?? 0)
          expect(sourceOf(r.source).id).toBe(r.source)
        })
        expect(method.pressure(spec, { ...life(steps.length), cutOutAtS: T0 + 999 }, c)).toEqual([])
      })
      it('every figure has a source, every message has its words', () => {
        for (const f of method.figures(spec, c))
          if (f.fig.value !== null) expect(sourceOf(f.fig.source).reference).not.toBe('')
        for (const m of messages(method, spec, c, life(steps.length, { checkMm: 54, bead: 'broken' }))) {
          expect([m.code, isWorded(m.code) || m.code.startsWith('toy-')]).toEqual([m.code, true])
          if (isWorded(m.code)) expect(say(m)).not.toMatch(/NaN|undefined|null/)
        }
      })
      it('refuses what it can\u2019t read, naming the field', () => {
        for (const wrong of [null, {}, { ...raw, size: 'd9999' }, { ...raw, size: 7 }]) {
          const p = method.parse(wrong)
          expect(p.ok).toBe(false)
          if (!p.ok) expect(p.errors.every((e) => e.field)).toBe(true)
        }
      })
    }
    it('has at least one example here', () => expect(EXAMPLES[method.id]?.length ?? 0).toBeGreaterThan(0))
  })

it('the registry knows methods by id', () => {
  expect(methodOf('solvent-cement')?.id).toBe('solvent-cement')
  expect(methodOf('toy-clip')?.id).toBe('toy-clip')
  expect(methodOf('nothing')).toBeUndefined()
})

describe('large diameter', () => {
  const stepsOf = (size: string, school: 'metric' | 'inch') => {
    const material = school === 'metric' ? 'pvc-u' : 'pvc'
    const m = methodOf('solvent-cement')
    const parsed = m?.parse({ material, size, school, schedule: '80', checkOffsetMm: 50 })
    if (!m || !parsed?.ok) throw new Error(size)
    return m.steps(parsed.spec, ctx(school))
  }
  it.each([
    ['d90', 'metric', false, false],
    ['d110', 'metric', false, true],
    ['d125', 'metric', true, true],
    ['NPS 3', 'inch', false, false],
    ['NPS 4', 'inch', false, true],
    ['NPS 6', 'inch', true, true],
  ] as const)('%s: puller %s, brush warned', (size, school, puller, brush) => {
    const steps = stepsOf(size, school)
    const never = steps.find((s) => s.id === 'cement')?.never ?? []
    expect(steps.some((s) => s.id === 'rig')).toBe(puller)
    expect(steps.find((s) => s.id === 'home')?.tools.some((t) => t.code === 'tool-puller')).toBe(puller)
    expect(never.some((t) => t.code === 'never-brush-large')).toBe(brush)
  })
})
