import {
  type Ctx,
  type Life,
  type Method,
  type Msg,
  allMethods,
  isWorded,
  methodOf,
  readingSaid,
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
// Known while the tests are named and while they run: where all files are one, another may have taken it out between.
let take = registerMethod(toyMethod as Method)
beforeAll(() => void (take = registerMethod(toyMethod as Method)))
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
    for (const { spec: given, school } of method.examples) {
      const raw = { school, ...given }
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
      it('an answer to choose is said as an answer, never with the sentence of a finding', () => {
        const said = steps.flatMap((s) =>
          s.reads.flatMap((field) =>
            (field.options ?? []).map((o) => readingSaid(field, o, { units: school })),
          ),
        )
        expect(said.filter((text) => !text || text.endsWith('.'))).toEqual([])
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
            method.consumables(spec),
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
          expect([m.code, isWorded(m.code)]).toEqual([m.code, true])
          expect(say(m)).not.toMatch(/NaN|undefined|null/)
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
    it('has an example, and reads of it what its steps ask for', () => {
      expect(method.examples.length).toBeGreaterThan(0)
      for (const { spec: given, school, reads } of method.examples) {
        const parsed = method.parse({ school, ...given })
        if (!parsed.ok) throw new Error(parsed.errors[0]?.code)
        const asked = method.steps(parsed.spec, ctx(school)).flatMap((s) => s.reads.map((r) => r.key))
        expect(Object.keys(reads ?? {}).filter((k) => !asked.includes(k))).toEqual([])
      }
    })
    it('says what it is called while it is not yet fast', () => {
      const steps = method.examples.flatMap(({ spec: given, school }) => {
        const parsed = method.parse({ school, ...given })
        return parsed.ok ? method.steps(parsed.spec, ctx(school)) : []
      })
      if (steps.some((s) => s.reaches === 'assembled')) expect(isWorded(`unfixed-${method.id}`)).toBe(true)
    })
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
