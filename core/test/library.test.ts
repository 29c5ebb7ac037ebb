import {
  NO_LINES,
  TAKE_OFF_HEADER,
  completions,
  entriesOf,
  foldJob,
  libraryOf,
  placeTexts,
  END,
  readTakeOffs,
  type Line,
} from '../src/index.js'
import { LINE, Log, lineJob, uuid } from './make-job.js'

const head = TAKE_OFF_HEADER.join(',')
describe('a maker\u2019s list of take-offs', () => {
  it('is read in millimetres and inches', () => {
    const read = readTakeOffs(
      `${head}\ntee,d110,,102,mm,face,row 1\nTee branch,d110,d63,"96,5",mm,stop,row 2\nelbow 90,NPS 2,,2.5,in,face,row 3`,
    )
    expect(read.ok && read.rows.map((r) => [r.fitting, r.size, r.size2, r.takeOffMm, r.takeOffTo])).toEqual([
      ['tee', 'd110', null, 102, 'face'],
      ['tee branch', 'd110', 'd63', 96.5, 'stop'],
      ['elbow 90', 'NPS 2', null, 63.5, 'face'],
    ])
  })
  it.each([
    ['widget,d110,,102,mm,face,r', 'fitting schedule-no-fitting'],
    ['tee,110,,102,mm,face,r', 'size size-not-read'],
    ['tee,d110,63,102,mm,face,r', 'second size size-not-read'],
    ['tee,d110,,102,cm,face,r', 'unit chart-unit'],
    ['tee,d110,,,mm,face,r', 'take-off chart-value'],
    ['tee,d110,,-5,mm,face,r', 'take-off chart-value'],
    ['tee,d110,,9000,mm,face,r', 'take-off chart-value'],
    ['tee,d110,,102,mm,middle,r', 'to take-off-to'],
    ['tee,d110,,102,mm,face,', 'reference chart-reference'],
    ['tee,d110', ' chart-columns'],
  ])('%s is named by its line: %s', (row, says) => {
    const read = readTakeOffs(`${head}\ntee,d63,,70,mm,face,r\n${row}`)
    expect(read.ok ? [] : read.faults.map((f) => `${f.line} ${f.column} ${f.says.code}`)).toEqual([
      `3 ${says}`,
    ])
  })
  it('no heading, nothing below it, a row twice', () => {
    const codes = (csv: string) => {
      const read = readTakeOffs(csv)
      return read.ok ? [] : read.faults.map((f) => f.says.code)
    }
    expect(codes('a,b')).toEqual(['chart-header'])
    expect(codes(head)).toEqual(['chart-empty'])
    expect(codes(`${head}\ntee,d63,,70,mm,face,r\ntee,d63,,71,mm,face,r`)).toEqual(['chart-twice'])
  })
})

describe('the library of a job', () => {
  it('counts each kind once, unknown ones first, with where the known come from', () => {
    const log = lineJob(3)
    log.put('take-off', {
      fitting: 'tee',
      size: 'd63',
      takeOffMm: 70,
      takeOffTo: 'face',
      chart: 'stores, row 1',
    })
    expect(
      libraryOf(foldJob(log.events)).map((r) => [r.name, r.sizes, r.count, r.known?.chart ?? null]),
    ).toEqual([
      ['elbow 90', 'd63', 3, null],
      ['tee', 'd63', 1, 'stores, row 1'],
    ])
  })
})

describe('groups and completion', () => {
  const lineOf = (texts: string[]): Line => {
    const log = new Log()
    const how = { tag: 'Q2', name: 'n', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
    log.put('line-set', { lineId: LINE, ...how, placeId: uuid(1) })
    let n = 95_000
    const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
    const placed = placeTexts(foldJob(log.events).lines.get(LINE) as Line, texts, END, shop, {
      units: 'metric',
    })
    if (!placed.ok) throw new Error(placed.why.code)
    for (const e of placed.edits) log.put(e.kind, { lineId: LINE, ...e.data })
    return foldJob(log.events).lines.get(LINE) as Line
  }
  it('a group typed again gives the same parts, branches within branches too', () => {
    const first = lineOf([
      'tee 110 63',
      'branch',
      '400',
      'tee 63',
      'branch',
      '200',
      'cap',
      '..',
      '300',
      'cap',
      '..',
      '900 c-f gap 3',
      'reducer 110 50',
      '?',
      'cap',
    ])
    const again = lineOf(entriesOf(first.items, { units: 'metric' }))
    const shape = (l: Line) =>
      l.items.map((i) => [
        i.fitting,
        i.size,
        i.size2,
        i.measure,
        i.measuredMm,
        i.gapMm ?? 0,
        l.items.find((f) => f.id === i.run)?.tag,
      ])
    expect(shape(again)).toEqual(shape(first))
  })
  it('completion offers what was typed lately first, then fittings, groups and ways', () => {
    expect(completions('t', ['tee 63', 'valve 63'], ['trap'])).toEqual([
      'tee 63',
      'tee',
      'trap',
      'tank adapter',
    ])
    expect(completions('use', [], ['drop'])).toEqual(['use drop'])
    expect(completions('', ['tee 63'], [])).toEqual([])
    expect(completions('tee 63', ['tee 63'], [])).toEqual([])
  })
  it('behind a part and its size it offers what the ends may be, in the words of the school, and behind "in" the material', () => {
    expect(completions('valve 2 fl', [], [], 'inch')).toEqual(['valve 2 flared', 'valve 2 flanged'])
    expect(completions('adapter 2 x 2 ma', [], [], 'inch')).toEqual(['adapter 2 x 2 male'])
    expect(completions('elbow 90 22 in cop', [], [])).toEqual(['elbow 90 22 in copper'])
    expect(completions('valve fl', [], [])).toContain('valve flanged')
    expect(completions('anc', [], [])).toEqual(['anchor'])
  })
})
