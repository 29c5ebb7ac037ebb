import fc from 'fast-check'
import {
  fmt,
  parseLength,
  parseSize,
  END,
  placeTexts,
  foldJob,
  type Line,
  cleanReadings,
  historyOf,
  pieceCut,
  tagOrder,
} from '../src/index.js'
import { LINE, Log, T0, lineJob, uuid } from './make-job.js'

describe('lengths as the trade writes them', () => {
  it.each([
    ['1250', 1250],
    ['1 250,5 mm', 1250.5],
    ['1.25 m', 1250],
    ['12 cm', 120],
    ['50-9/16 in', 1284.2875],
    ['4 ft 2 1/2 in', 1282.7],
    ['3/8"', 9.525],
  ])('%s', (text, mm) => expect(parseLength(text)).toBeCloseTo(mm, 6))
  it.each(['', 'abc', '-5', '12a', '1/0 in', '12 34', '1e3', 'NaN'])('"%s" is not a length', (text) =>
    expect(parseLength(text)).toBeNull(),
  )
  it('a bare figure is read in the reader\u2019s own unit', () =>
    expect(parseLength('2-1/2', 'inch')).toBe(63.5))
  it('inch fractions come back within half a sixteenth', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5000, noNaN: true }), (mm) => {
        const back = parseLength(fmt.length(mm, { units: 'inch' }), 'inch')
        expect(Math.abs((back ?? -99) - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-6)
      }),
    ))
  it('figures, clocks and durations', () => {
    expect(fmt.inchFraction(1.4375)).toBe('1-7/16')
    expect(fmt.inchFraction(3 / 32, 32)).toBe('3/32')
    expect(fmt.length(1284)).toBe('1\u202f284 mm')
    expect(fmt.number(-0.001, 1)).toBe('0')
    expect(fmt.pressure(6, { units: 'inch' })).toBe('87 psi')
    expect(fmt.temperature(8.1)).toBe('8.1 °C')
    expect([fmt.clock(108), fmt.clock(3900), fmt.clock(-40)]).toEqual(['1:48', '1:05:00', 'late 0:40'])
    expect([fmt.duration(40), fmt.duration(310), fmt.duration(12_000), fmt.duration(187_200)]).toEqual([
      '40 s',
      '5 min 10 s',
      '3 h 20 min',
      '2 d 4 h',
    ])
  })
})

describe('sizes', () => {
  it.each([
    ['d110', 'd', 110],
    ['d37.5', 'd', 37.5],
    ['NPS 1-1/4', 'NPS', 1.25],
    ['CTS 3/4', 'CTS', 0.75],
    ['DN 40', 'DN', 40],
  ])('%s', (t, family, nominal) => expect(parseSize(t)).toMatchObject({ family, nominal }))
  it.each(['110', 'D110', 'NPS 1 1/4', 'NPS', 'd', 'NPS 1/0', ' d110', 'DN40'])('"%s" is not', (t) =>
    expect(parseSize(t)).toBeNull(),
  )
})

describe('the entry line', () => {
  const build = (texts: string[]) => {
    const log = new Log()
    log.put('line-set', {
      lineId: LINE,
      tag: 'Q2',
      name: 'n',
      method: 'solvent-cement',
      material: 'pvc-u',
      school: 'metric',
      placeId: uuid(1),
    })
    let n = 40_000
    const said: string[] = []
    for (const text of texts) {
      const line = foldJob(log.events).lines.get(LINE) as Line
      const shop = { begun: new Set<string>(), newId: () => uuid(n++) }
      const added = placeTexts(line, [text], END, shop, 'metric')
      if (added.ok) for (const e of added.edits) log.put(e.kind, { lineId: LINE, ...e.data })
      else said.push(added.why.code)
    }
    return { line: foldJob(log.events).lines.get(LINE) as Line, said }
  }
  it('makes joints where a piece meets a fitting', () => {
    const { line } = build([
      'tee 110',
      '1250 c-c',
      'elbow 90',
      '860',
      'reducer 110 63',
      '702 c-c',
      'valve tag V2',
    ])
    expect(line.items.map((i) => i.tag)).toEqual([
      'Q2/F01',
      'Q2/P01',
      'Q2/F02',
      'Q2/P02',
      'Q2/F03',
      'Q2/P03',
      'V2',
    ])
    expect(line.items.flatMap((i) => i.jointTags).filter(Boolean)).toEqual([
      'Q2-01',
      'Q2-02',
      'Q2-03',
      'Q2-04',
      'Q2-05',
      'Q2-06',
    ])
    expect(line.items[5]?.size).toBe('d63')
    expect(line.items[2]).toMatchObject({ fitting: 'elbow 90', size: 'd110' })
  })
  it('x3 repeats the last group', () => {
    const { line } = build(['tee 50', '400 c-c', 'tee', 'x3'])
    expect(line.items.filter((i) => i.type === 'piece')).toHaveLength(4)
    expect(new Set(line.items.flatMap((i) => i.joints).filter(Boolean)).size).toBe(8)
  })
  it.each([
    [['1250 c-c'], 'entry-no-fitting'],
    [['tee'], 'entry-no-size'],
    [['tee 111'], 'entry-size-unknown'],
    [['gizmo 110'], 'entry-not-understood'],
    [['tee 110', '-5'], 'entry-not-a-length'],
    [['tee 110', '0'], 'entry-not-a-length'],
    [['tee 110', '12x'], 'entry-not-a-length'],
    [['tee 110', '999999'], 'entry-too-long'],
    [['tee 110', '500', 'tee 63'], 'entry-sizes-differ'],
  ])('%j is refused: %s', (texts, code) => expect(build(texts).said).toEqual([code]))
})

describe('pieces', () => {
  it('cut from measure, take-offs and insertions; flagged when a box measures otherwise', () => {
    const log = lineJob(1, { size: 'd110' })
    log.put('take-off', { fitting: 'tee', size: 'd110', takeOffMm: 44, takeOffTo: 'face' })
    const cut = () => {
      const s = foldJob(log.events)
      const line = s.lines.get(LINE) as Line
      return pieceCut(s, line, line.items[1] as Line['items'][number])
    }
    expect(cut().cutMm).toMatchObject({ value: null, why: { code: 'take-off-unknown' } })
    log.put('take-off', { fitting: 'elbow 90', size: 'd110', takeOffMm: 44, takeOffTo: 'face' })
    expect(cut().cutMm.value).toBe(900 - 88 + 122)
    log.put('piece-cut', { itemId: uuid(30), cutMm: 934 })
    expect(cut().changedSinceCut).toBe(false)
    log.put('socket-measured', { material: 'pvc-u', size: 'd110', depthMm: 64 })
    expect(cut().cutMm.value).toBe(940)
    expect(cut().ends[0].depthMm).toMatchObject({ value: 64, source: 'measured' })
    expect(cut().changedSinceCut).toBe(true)
  })
})

describe('readings', () => {
  const r = (atMin: number, value: number) => ({ atS: T0 + atMin * 60, value })
  it('a jump over 15 K within 5 min waits for a person; a dip seen once for less than 15 min is shown, not counted', () => {
    expect(cleanReadings([r(0, 15), r(3, -3), r(6, 15)]).jumps).toHaveLength(1)
    const dip = cleanReadings([r(0, 15), r(5, 9), r(10, 15)])
    expect([dip.kept.length, dip.blips.length]).toEqual([2, 1])
    expect(cleanReadings([r(0, 15), r(5, 9), r(10, 9), r(15, 15)]).blips).toHaveLength(0)
    expect(cleanReadings([r(0, 15), r(60, 9), r(120, 15)]).blips).toHaveLength(0)
  })
  it('history: both ends between readings, gaps marked, nothing before the first', () => {
    const h = historyOf([r(0, 15), r(60, 10), r(240, 12)])
    expect(h.map((s) => s.basis)).toEqual(['none', 'read', 'gap', 'read', 'projected'])
    expect(h[1]).toMatchObject({ minC: 10, maxC: 15 })
  })
})

describe('order of tags', () => {
  it('counts as people do, and is one order: whatever the tags, sorted twice is sorted once', () => {
    const sorted = (tags: string[]): string[] => [...tags].sort(tagOrder)
    expect(sorted(['B-10', 'B-9', 'B-100', 'A-2', 'B-1'])).toEqual(['A-2', 'B-1', 'B-9', 'B-10', 'B-100'])
    expect(sorted(['Q2/F09', 'Q10/F01', 'Q2/F10'])).toEqual(['Q2/F09', 'Q2/F10', 'Q10/F01'])
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 8 }), { minLength: 2 }), (tags) => {
        const all = sorted(tags)
        const [a = '', b = ''] = tags
        expect(Math.sign(tagOrder(a, b)) + Math.sign(tagOrder(b, a))).toBe(0)
        for (let i = 0; i < all.length; i++)
          for (let k = i + 1; k < all.length; k++)
            expect(tagOrder(all[i] as string, all[k] as string)).toBeLessThanOrEqual(0)
      }),
    )
  })
})
