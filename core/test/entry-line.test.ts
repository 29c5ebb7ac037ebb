import { NO_LINES, doubtfulLength, END, placeTexts, foldJob, type Line, pieceCut } from '../src/index.js'
import { LINE, Log, lineJob, uuid } from './make-job.js'

const inch = { units: 'inch' } as const
const metric = { units: 'metric' } as const

describe('a bare length that no piece has', () => {
  it.each([
    ['900', inch, '900 in', '900 mm'],
    ['1250 c-f', inch, '1250 in c-f', '1250 mm c-f'],
    ['24', metric, '24 mm', '24 in'],
    ['36.5 f-f', metric, '36.5 mm f-f', '36.5 in f-f'],
  ] as const)('"%s" is asked about', (text, reader, own, other) =>
    expect(doubtfulLength(text, reader)).toEqual({ own, other }),
  )
  it.each([
    ['900', metric],
    ['24', inch],
    ['24 mm', metric],
    ['900 in', inch],
    ["3'-6", inch],
    ['tee 2', inch],
    ['bent 900 90 20 r 4', inch],
    ['20000', metric],
    ['?', inch],
  ] as const)('"%s" is not', (text, reader) => expect(doubtfulLength(text, reader)).toBeNull())
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
      const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
      const added = placeTexts(line, [text], END, shop, { units: 'metric' })
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
