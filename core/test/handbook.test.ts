import fc from 'fast-check'
import {
  allDifferences,
  allEntries,
  allMethods,
  figuresOf,
  isWorded,
  searchHandbook,
  sourceOf,
} from '../src/index.js'
import { parseQuery } from '../src/handbook/query.js'

const lines = (text: string): string[] =>
  searchHandbook(text).hits.map(
    ({ entry: e, figure: f }) =>
      `${e.method} ${e.material} ${e.size}${e.schedule ? ` Sch ${e.schedule}` : ''} ${f.key}${f.toBar ? ` to ${f.toBar.toFixed(1)}` : ''} ${f.fig.value === null ? '?' : Number(f.fig.value.toFixed(2))}`,
  )

describe('the Handbook answers questions as they are asked', () => {
  it('2 in sch 80 cure 45 F', () => {
    expect(lines('2 in sch 80 cure 45 F').slice(0, 2)).toEqual([
      'solvent-cement pvc NPS 2 Sch 80 cureS to 11.0 2700',
      'solvent-cement pvc NPS 2 Sch 80 cureS to 21.7 86400',
    ])
    expect(lines('2 in sch 80 cure 45 F 300 psi')[0]).toContain('to 21.7 86400')
  })
  it('22 mm solder depth', () =>
    expect(lines('22 mm solder depth')).toEqual(['solder copper d22 cupDepthMm 15.4']))
  it.each([
    ['d110 pvc-u depth', 'solvent-cement pvc-u d110 depthMm 61'],
    ['NPS 4 sch 40 pvc depth', 'solvent-cement pvc NPS 4 Sch 40 depthMm 50.8'],
    ['dn 40 flange-od clamp', 'sanitary-clamp stainless DN 40 flangeMm 50.5'],
    ['1/2 in copper solder depth', 'solder copper CTS 1/2 cupDepthMm 12.7'],
    ['pp-r 63 mm heat', 'socket-fusion pp-r d63 heatS 24'],
    ['pp-r 63 mm heat 0 c', 'socket-fusion pp-r d63 heatS 36'],
    ['pvc-u d63 cure 20 °C', 'solvent-cement pvc-u d63 cureEachBarS 3600'],
    ['abs d50 cure 8 c', 'solvent-cement abs d50 cureS 172800'],
    ['OD 3/4 flare torque', 'flare pfa OD 3/4 minTorqueNm 1.58'],
  ])('%s', (text, first) => expect(lines(text)[0]).toBe(first))
  it('what it does not understand it says, and the rest still counts', () => {
    const found = searchHandbook('22 mm solder depth bananas')
    expect(found.query.unknown).toEqual(['bananas'])
    expect(found.hits).toHaveLength(1)
  })
  it('nothing asked, or nothing that fits, is an empty answer', () => {
    expect(searchHandbook('').hits).toEqual([])
    expect(searchHandbook('d33 pvc-u depth').hits).toEqual([])
    expect(searchHandbook('bananas').hits).toEqual([])
  })
  it('never throws, whatever is typed', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[0-9a-z /"%.-]{0,24}$/)), (text) => {
        expect(parseQuery(text)).toBeDefined()
        expect(searchHandbook(text).hits.length).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 300 },
    ))
})

describe('every page of the Handbook', () => {
  it('is there for every size that every method joins', () => {
    expect(new Set(allEntries().map((e) => e.method)).size).toBe(allMethods().length)
    expect(allEntries().length).toBeGreaterThan(900)
  })
  it('gives each figure a source or a reason, and a name', () => {
    let known = 0
    for (const e of allEntries())
      for (const f of figuresOf(e)) {
        const name =
          f.toBar === undefined ? `figure-${f.key}` : f.toBar === null ? 'figure-cure-any' : 'figure-cure-to'
        expect([f.key, isWorded(name)]).toEqual([f.key, true])
        if (f.fig.value === null)
          expect([f.fig.why.code, isWorded(f.fig.why.code)]).toEqual([f.fig.why.code, true])
        else {
          known += 1
          expect(sourceOf(f.fig.source).reference).not.toBe('')
          expect(Number.isFinite(f.fig.value)).toBe(true)
        }
      }
    expect(known).toBeGreaterThan(4000)
  })
  it('tells where schools differ, in words, for methods that there are', () => {
    expect(allDifferences().length).toBeGreaterThanOrEqual(20)
    for (const d of allDifferences()) {
      for (const m of [d.point, d.a, d.b, d.here]) expect([m.code, isWorded(m.code)]).toEqual([m.code, true])
      for (const id of d.methods) expect(allMethods().some((m) => m.id === id)).toBe(true)
    }
  })
})

it('says what the other edition has where it differs, and nothing where it does not', () => {
  const entry = {
    method: 'solvent-cement',
    material: 'pvc',
    size: 'NPS 2',
    school: 'inch',
    schedule: '80',
  } as const
  const set = figuresOf(entry).find((f) => f.key === 'setS')
  expect([set?.fig.value, set?.others?.map((o) => o.value)]).toEqual([300, [1800]])
  const copper = figuresOf({
    method: 'solder',
    material: 'copper',
    size: 'd22',
    school: 'metric',
    schedule: null,
  })
  expect(copper.flatMap((f) => f.others ?? [])).toEqual([])
})
