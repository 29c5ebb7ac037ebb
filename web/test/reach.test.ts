import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import {
  ASKED_FACTS,
  type Ctx,
  type Done,
  type Field,
  type Life,
  type Method,
  allMethods,
  askedField,
} from '@jugalis/core'
import { askedFields } from '../src/asked-fields'

/** What screens can write: every answer of every field, alone and by twos, in weather from frost to noon. */
const WEATHER = [
  { airC: -8, wallC: -8, humidityPct: 40 },
  { airC: 3, wallC: 3, humidityPct: 70 },
  { airC: 12, wallC: 8, humidityPct: 95 },
  { airC: 21, wallC: 21, humidityPct: 50 },
  { airC: 46, wallC: 46, humidityPct: 50 },
  { airC: null, wallC: null, humidityPct: null },
]
const SCHOOLS = ['metric', 'inch'] as const
type Values = Readonly<Record<string, unknown>>
const answers = (f: Field): readonly unknown[] => {
  if (f.options) return f.options
  if (f.control === 'yes-no') return [true, false]
  if (f.control === 'grid')
    return [
      [
        [1, 1, 1],
        [1, 1, 1],
      ],
      [
        [1, 0, 0],
        [1, 1, 1],
      ],
      [
        [1, 1, 0],
        [1, 1, 0],
        [1, 1, 0],
      ],
      [
        [0, 0, 0],
        [0, 0, 2],
      ],
    ]
  const [least, most, aim] = [f.min ?? 0, f.max ?? 100, f.target?.value.value ?? null]
  const round =
    aim === null
      ? []
      : [aim, aim * 0.6, aim * 0.9, aim * 1.02, aim * 1.1, aim * 1.6, aim - 6, aim + 6, aim - 12, aim + 12]
  return [least, most, (least + most) / 2, 0.2, 1, 3, ...round].filter((v) => v >= least && v <= most)
}
/** A figure without a target from its least to its most, finely. */
const finely = (f: Field): readonly number[] =>
  f.min === undefined || f.max === undefined || f.target || f.options
    ? []
    : Array.from({ length: 61 }, (_, i) => (f.min ?? 0) + (i / 60) * ((f.max ?? 0) - (f.min ?? 0)))
/** All answers of two fields at a time, the others as they are. */
function* byTwos(fields: readonly Field[]): Generator<Values> {
  yield {}
  for (const a of fields) for (const v of finely(a)) yield { [a.key]: v }
  for (const [i, a] of fields.entries())
    for (const va of answers(a)) {
      yield { [a.key]: va }
      for (const b of fields.slice(i + 1)) for (const vb of answers(b)) yield { [a.key]: va, [b.key]: vb }
    }
}
const contexts = (school: 'inch' | 'metric'): Ctx[] =>
  WEATHER.map((weather) => ({
    ...weather,
    school,
    pin: { rules: 9, chart: null, school, table: 'current' },
    wall: [],
    mode: 'coldest',
  }))
/** What the entry line can put beside a joint answers these. */
const byParts = (m: Method): Field[] =>
  m.fields.flatMap((f) => (f.byPart ? [{ ...f, options: [...new Set(Object.values(f.byPart.says))] }] : []))
interface Tried {
  spec: unknown
  school: 'inch' | 'metric'
  /** Nothing was said of its line besides. */
  plain: boolean
}
function specsOf(m: Method, refused: Set<string>): Tried[] {
  const materials = m.fields.find((f) => f.key === 'material')?.options ?? []
  const out: Tried[] = []
  for (const school of SCHOOLS)
    for (const material of materials) {
      const sizes = m.sizes(material)
      for (const size of new Set([sizes[0], sizes[Math.floor(sizes.length / 3)], sizes.at(-1)]))
        for (const details of byTwos([...askedFields(m.id), ...byParts(m)])) {
          const raw = {
            ...details,
            material,
            size,
            school,
            schedule: '80',
            checkOffsetMm: 50,
            pressureService: true,
          }
          const read = m.parse(raw)
          if (read.ok) out.push({ spec: read.spec, school, plain: !Object.keys(details).length })
          else for (const e of read.errors) refused.add(e.code)
        }
    }
  return out
}
const T0 = 1_790_000_000
const done = (step: string, atS: number, readings: Values): Done => ({
  eventId: step,
  step,
  earliestS: atS,
  latestS: atS,
  readings,
  by: 'Wren',
})

interface Reached {
  chosen: Set<string>
  found: Set<string>
  exceptions: Set<string>
  clocks: Set<string>
}
/** All that a method says when every answer is tried. */
function reach(m: Method): Reached {
  const r: Reached = { chosen: new Set(), found: new Set(), exceptions: new Set(), clocks: new Set() }
  const specs = specsOf(m, r.found)
  const facts = [...byTwos(m.asks.map(askedField))]
  /** Courses of steps that were played already. */
  const courses = new Set<string>()
  specs.forEach(({ spec, school, plain }, nth) => {
    for (const ctx of contexts(school)) {
      const tins = ['pvc', 'cpvc', 'abs', 'transition', 'one-step']
      const known = [
        { live: true, hotWorkPermit: false, tinExpired: true },
        ...tins.map((cement) => ({ cement })),
      ]
      // Facts do not depend on the weather, nor the tin on the facts.
      for (const said of ctx.airC === 21 && plain ? facts : [])
        for (const f of m.selection(spec, said, ctx)) r.chosen.add(f.code)
      for (const k of known) for (const f of m.selection(spec, k, ctx)) r.chosen.add(f.code)
      const steps = m.steps(spec, ctx)
      for (const s of steps) for (const x of s.exceptions) r.exceptions.add(x.says.code)
      for (const f of [...m.cautions(spec, ctx), ...steps.flatMap((s) => s.cautions)]) r.found.add(f.code)
    }
    const [ctx] = contexts(school).slice(3)
    const steps = ctx ? m.steps(spec, ctx) : []
    const course = JSON.stringify(steps.map((s) => [s.id, s.exceptions, s.reads]))
    if (!ctx || (courses.has(course) && nth % 29)) return
    courses.add(course)
    const life = (readings: Values, gapS: number, more: readonly Done[] = []): Life => ({
      no: 1,
      interrupted: [],
      done: [...steps.map((s, i) => done(s.id, T0 + i * gapS, readings)), ...more],
    })
    const look = (l: Life): void => {
      const seen = m.inspection(spec, l, ctx)
      for (const f of seen.findings) r.found.add(f.code)
      for (const c of seen.causes) r.found.add(c.code)
      for (const c of m.clocks(spec, l, ctx)) r.clocks.add(c.label.code)
    }
    for (const readings of byTwos(steps.flatMap((s) => s.reads))) look(life(readings, 20))
    for (const gapS of [1, 90, 900, 90_000]) look(life({}, gapS))
    for (const [i, s] of steps.entries()) {
      for (const x of s.exceptions) look(life({}, 20, [done(s.id, T0 + 500, { exception: x.id })]))
      for (const kind of ['rain', 'power', 'knock', 'other']) {
        const l = { ...life({}, 20), done: life({}, 20).done.slice(0, i) }
        for (const f of m.interruption(spec, l, kind, ctx)) r.found.add(f.code)
      }
    }
    const t = m.testing(spec, life({}, 20), ctx)
    for (const f of [...t.open, ...t.forbids]) r.found.add(f.code)
  })
  return r
}

/** Codes that a method's own files can say: what none of the answers above brings out cannot be met by anybody. */
const OWN = [/\bfinding\(\s*'(?:stop|warn|note)',\s*'([a-z0-9-]+)'/g, /\bmsg\('(cause-[a-z0-9-]+)'/g]
function codesOf(methodId: string): string[] {
  const folder = path.join(process.cwd(), 'core/src/methods', methodId)
  const text = readdirSync(folder)
    .map((f) => readFileSync(path.join(folder, f), 'utf8'))
    .join('\n')
  return [...new Set(OWN.flatMap((p) => [...text.matchAll(p)].map((x) => x[1] as string)))]
}
/** A rule as the Handbook words it in general, and what is said where it speaks with figures. */
const SPEAKS_AS: Readonly<Record<string, string>> = {
  'rule-cement-by-plastic': 'wrong-cement',
  'rule-no-condensation': 'condensation',
  'rule-temperature-limits': 'too-cold',
}

/** Said by the calculation's door; on the screen the rules of choice and the clock of sanding say the same. */
const AT_THE_DOOR = ['resin-too-cold', 'resin-pipe-cold', 'resin-sand-again', 'resin-needs-blanket']

/** Every exception and clock that has words. */
const worded = new Set(
  allMethods().flatMap((m) => Object.keys(m.words).filter((code) => /^(ex|clock)-/.test(code))),
)
const WORDED = worded.size
describe.each(allMethods().map((m) => [m.id, m] as const))('%s', (id, m) => {
  const r = reach(m)
  it('every rule of choice is met somewhere', () => {
    const silent = m.rules.map((x) => SPEAKS_AS[x.code] ?? x.code).filter((code) => !r.chosen.has(code))
    expect(silent).toEqual([])
  })
  it('every finding and cause is met somewhere', () => {
    const met = new Set([...r.chosen, ...r.found])
    expect(
      codesOf(id).filter((code) => !AT_THE_DOOR.includes(code) && !met.has(SPEAKS_AS[code] ?? code)),
    ).toEqual([])
  })
  for (const code of [...r.exceptions, ...r.clocks]) worded.delete(code)
})
it('no exception or clock has words that nobody can come to', () => {
  expect(WORDED).toBeGreaterThan(60)
  expect([...worded]).toEqual([])
})
it('no fact is asked that no rule depends on', () => {
  const asked = new Set(allMethods().flatMap((m) => m.asks))
  expect(ASKED_FACTS.filter((f) => !asked.has(f))).toEqual([])
})
