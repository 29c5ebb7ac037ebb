import { methodOf, parseSize } from '../../src/index.js'
import type { Size } from '../../src/sizes/size.js'
import {
  engagementMm,
  judgeShowing,
  judgeTurns,
  threadOf,
  turnsFor,
} from '../../src/methods/threaded/rules.js'

const size = (text: string): Size => parseSize(text) as Size
const IN = 25.4

describe('ASME B1.20.1, NPT (from memory)', () => {
  // Basic dimensions: threads an inch, hand-tight engagement L1, wrench make-up L3 and effective thread L2, inches.
  it.each([
    ['1/8', 27, 0.1615, 0.1111],
    ['1/4', 18, 0.2278, 0.1667],
    ['1/2', 14, 0.32, 0.2143],
    ['3/4', 14, 0.339, 0.2143],
    ['1', 11.5, 0.4, 0.2609],
    ['1-1/2', 11.5, 0.42, 0.2609],
    ['2', 11.5, 0.436, 0.2609],
    ['2-1/2', 8, 0.682, 0.25],
    ['4', 8, 0.844, 0.25],
    ['6', 8, 0.958, 0.25],
  ])('NPS %s: %s threads, L1 %s, L3 %s in', (nominal, perInch, handIn, wrenchIn) => {
    const thread = threadOf('npt', size(`NPS ${nominal}`))
    expect(thread?.perInch).toBe(perInch)
    expect(thread?.byHandMm).toMatchObject({ value: handIn * IN, source: 'asme-b1-20-1' })
    expect((thread?.byWrenchMm.value ?? 0) / IN).toBeCloseTo(wrenchIn, 4)
  })
  it('L1 is close to (0.80 D + 6.8) / n less five threads, as the standard derives its effective length', () => {
    // B1.20.1: L2 = (0.80 D + 6.8) p. Engagement by hand plus wrench stays within it for every size.
    for (const [nominal, od, perInch] of [
      ['1/2', 0.84, 14],
      ['1', 1.315, 11.5],
      ['2', 2.375, 11.5],
      ['4', 4.5, 8],
    ] as const) {
      const effective = (0.8 * od + 6.8) / perInch
      const thread = threadOf('npt', size(`NPS ${nominal}`))
      const made = ((thread?.byHandMm.value ?? 0) + (thread?.byWrenchMm.value ?? 0)) / IN
      expect(made).toBeLessThanOrEqual(effective + 0.01)
    }
  })
})
describe('ISO 7-1 (from memory)', () => {
  it.each([
    ['1/2', 14, 8.2, 2.7],
    ['3/4', 14, 9.5, 2.7],
    ['1', 11, 10.4, 3.5],
    ['2', 11, 15.9, 4.6],
    ['3', 11, 20.6, 5.8],
    ['4', 11, 25.4, 6.9],
  ])('R %s: %s threads, gauge length %s mm, wrench %s mm', (nominal, perInch, gauge, wrench) => {
    const thread = threadOf('iso-7', size(`NPS ${nominal}`))
    expect([thread?.perInch, thread?.byHandMm.value]).toEqual([perInch, gauge])
    expect(thread?.byWrenchMm.value ?? 0).toBeCloseTo(wrench, 1)
    expect(engagementMm('iso-7', size(`NPS ${nominal}`)).value).toBeCloseTo(gauge + wrench, 1)
  })
})
describe('engagement as handbooks have it (common practice, from memory)', () => {
  it.each([
    ['1/2', 0.5],
    ['3/4', 0.5625],
    ['1', 0.6875],
    ['2', 0.75],
    ['4', 1.125],
  ])('NPS %s: %s in', (nominal, inches) =>
    expect(engagementMm('npt', size(`NPS ${nominal}`))).toEqual({
      value: inches * IN,
      source: 'cp-thread-engagement',
    }),
  )
  it('none is made up for a size that is not listed', () =>
    expect(engagementMm('npt', size('NPS 8'))).toMatchObject({
      value: null,
      why: { code: 'thread-unlisted' },
    }))
})

describe('turns and threads in sight (common practice)', () => {
  it.each([
    ['1/2', false, 1.5, 3],
    ['1', false, 1.5, 3],
    ['1-1/4', false, 1.5, 2.5],
    ['2', false, 1.5, 2.5],
    ['2-1/2', false, 2, 2.5],
    ['1/2', true, 1, 2],
    ['4', true, 1, 2],
  ])('NPS %s, plastic %s: %s to %s turns', (nominal, plastic, least, most) => {
    const asked = turnsFor(size(`NPS ${nominal}`), plastic)
    expect([asked.least.value, asked.most.value]).toEqual([least, most])
  })
  const codes = (turns: number | null, plastic = false) =>
    judgeTurns(turnsFor(size('NPS 1'), plastic), turns, plastic).map((f) => `${f.level} ${f.code}`)
  it('a quarter turn off still passes, more does not; plastic over its turns is spoilt', () => {
    expect([codes(1.25), codes(3.25), codes(null)]).toEqual([[], [], []])
    expect(codes(1.2)).toEqual(['warn thread-turns-short'])
    expect(codes(3.3)).toEqual(['warn thread-turns-over'])
    expect(codes(2.25, true)).toEqual([])
    expect(codes(2.3, true)).toEqual(['stop thread-plastic-over'])
  })
  it.each([
    [0, 'stop thread-none-showing'],
    [1, 'warn thread-few-showing'],
    [2, undefined],
    [3, undefined],
    [4, 'warn thread-many-showing passing'],
    [5, 'warn thread-many-showing'],
    [null, undefined],
  ])('%s in sight: %s', (count, says) => {
    const [found] = judgeShowing(count)
    expect(found && `${found.level} ${found.code}${found.passing ? ' passing' : ''}`).toBe(says)
  })
})

describe('a threaded joint by its specification', () => {
  const method = methodOf('threaded')
  const speaks = (spec: Record<string, unknown>, around: Record<string, string> = {}) => {
    const read = method?.parse({ school: 'inch', ...spec })
    if (!read?.ok) throw new Error('not read')
    return method?.selection(read.spec, around, {} as never).map((f) => `${f.level} ${f.code}`)
  }
  it('threads are cut into Sch 80 only, and take half', () => {
    const pipe = { material: 'pvc', size: 'NPS 1', cutOn: 'pipe', into: 'brass' }
    expect(speaks({ ...pipe, wallSeries: 'Sch 40' })).toEqual([
      'stop choice-thread-wall',
      'note choice-thread-half',
    ])
    expect(speaks({ ...pipe, wallSeries: 'Sch 80' })).toEqual(['note choice-thread-half'])
    // A thread moulded on a fitting is no thread cut.
    expect(speaks({ ...pipe, cutOn: 'fitting', wallSeries: 'Sch 40' })).toEqual(['note choice-thread-half'])
  })
  it('metal into plastic stops; stainless seizes; gas and steam are spoken of where they are said', () => {
    expect(speaks({ material: 'brass', size: 'NPS 1', into: 'pvc' })).toContain(
      'stop choice-thread-plastic-female',
    )
    expect(speaks({ material: 'stainless', size: 'NPS 1' })).toEqual(['warn choice-thread-galls'])
    expect(speaks({ material: 'brass', size: 'NPS 1' }, { medium: 'fuel-gas' })).toEqual([
      'warn choice-thread-gas',
    ])
    expect(speaks({ material: 'cpvc', size: 'NPS 1', into: 'brass' }, { medium: 'steam' })).toContain(
      'stop choice-thread-hot',
    )
  })
  it('ISO 7-1 in metric jobs, NPT in inch ones, where nobody said', () => {
    const depth = (school: string) => {
      const read = method?.parse({ school, material: 'brass', size: 'NPS 1/2' })
      return read?.ok ? method?.insertion(read.spec, {} as never).depthMm.value : null
    }
    expect(depth('inch')).toBeCloseTo(12.7, 6)
    expect(depth('metric')).toBeCloseTo(10.92, 2)
  })
})
