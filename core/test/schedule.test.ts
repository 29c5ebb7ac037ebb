import Papa from 'papaparse'
import fc from 'fast-check'
import {
  NO_LINES,
  type Line,
  MOST_ROWS,
  type ScheduleAsk,
  type ScheduleMode,
  fittingAt,
  lineFaults,
  matchColumns,
  readSchedule,
  settle,
} from '../src/index.js'
import { LINE, uuid } from './make-job.js'

const BARE: Line = {
  id: LINE,
  tag: 'Q2',
  name: 'n',
  method: 'solvent-cement',
  material: 'pvc-u',
  school: 'metric',
  schedule: null,
  details: {},
  placeId: uuid(1),
  ratingBar: null,
  insideOf: null,
  items: [],
}
let n = 0
const newId = (): string => uuid(++n)
function read(mode: ScheduleMode, csv: string, more: Partial<ScheduleAsk> = {}, like = BARE) {
  const rows = Papa.parse<string[]>(csv).data
  const columns = matchColumns(mode, rows[0] ?? [])
  return readSchedule(
    rows,
    { mode, columns, firstRow: 2, units: 'metric', comma: null, ...more },
    like,
    newId,
  )
}
function joined(mode: ScheduleMode, csv: string, more: Partial<ScheduleAsk> = {}) {
  const got = read(mode, csv, more)
  if (!got.ok) throw new Error(JSON.stringify(got.faults))
  return got.lines.map((l) => {
    const line = { ...BARE, tag: l.tag ?? BARE.tag }
    const settled = settle(line, l.items, { begun: new Set(), newId, lines: NO_LINES })
    if (!settled.ok) throw new Error(settled.why.code)
    const items = settled.items
    const joints = items.flatMap((i) =>
      ([0, 1] as const).flatMap((e) =>
        i.joints[e] ? [`${i.jointTags[e]}:${i.tag}>${fittingAt(items, i, e)?.fitting}`] : [],
      ),
    )
    return { items, joints, faults: lineFaults({ ...line, items }).map((f) => f.says.code), tag: l.tag }
  })
}
const faultsOf = (mode: ScheduleMode, csv: string, more: Partial<ScheduleAsk> = {}): string[] => {
  const got = read(mode, csv, more)
  return got.ok ? [] : got.faults.map((f) => `${f.row} ${f.field} ${f.says.code}`)
}

describe('a schedule of parts in order', () => {
  it('makes the line that the same entries would', () => {
    const [line] = joined(
      'parts',
      'Tag;Fitting;Size;Length\n;tee;110;\n;pipe;110;1250\nV2;valve;110;\n;;110;?\n;cap;110;',
    )
    expect(line?.items.map((i) => i.tag)).toEqual(['Q2/F01', 'Q2/P01', 'V2', 'Q2/P02', 'Q2/F02'])
    expect(line?.items.map((i) => i.measuredMm)).toEqual([null, 1250, null, null, null])
    expect(line?.joints).toHaveLength(4)
  })
  it('puts rows of several lines into lines of their own', () => {
    const lines = joined(
      'parts',
      'line,fitting,size,length\nQ7,tee,63,\nQ8,tee,63,\nQ7,pipe,63,500\nQ7,cap,63,',
    )
    expect(lines.map((l) => [l.tag, l.items.length])).toEqual([
      ['Q7', 3],
      ['Q8', 1],
    ])
    expect(lines[0]?.items[0]?.tag).toBe('Q7/F01')
  })
})

describe('a schedule of pieces', () => {
  it('shares the fitting between one piece and the next, and begins anew where they do not meet', () => {
    const [line] = joined(
      'pieces',
      'piece,size,length,from,to\nA1,63,800,tee,elbow 90\nA2,63,400,elbow 90,cap\nA3,63,300,union,cap',
    )
    expect(line?.joints.map((j) => j.slice(6))).toEqual([
      'A1>tee',
      'A1>elbow 90',
      'A2>elbow 90',
      'A2>cap',
      'A3>union',
      'A3>cap',
    ])
    expect(line?.faults).toEqual([])
    expect(line?.items.filter((i) => i.type === 'fitting')).toHaveLength(5)
  })
  it('without fittings is a list for the saw: lengths end to end, no joints', () => {
    const [line] = joined('pieces', 'piece,size,length\nA1,63,800\nA2,63,400')
    expect(line?.joints).toEqual([])
    expect(line?.faults).toEqual([])
    expect(line?.items.map((i) => i.measure)).toEqual(['end-end', 'end-end'])
  })
})

describe('a schedule of joints', () => {
  it('gives each piece its two ends, under the tags of the file', () => {
    const [line] = joined(
      'joints',
      'joint no,size,fitting,piece,length\nJ1,63,tee,A1,800\nJ2,63,elbow 90,A1,\nJ3,63,elbow 90,A2,400\nJ4,63,cap,A2,',
    )
    expect(line?.joints).toEqual(['J1:A1>tee', 'J2:A1>elbow 90', 'J3:A2>elbow 90', 'J4:A2>cap'])
  })
  it('a third joint of a piece is named', () =>
    expect(faultsOf('joints', 'joint,size,fitting,piece\nJ1,63,tee,A\nJ2,63,cap,A\nJ3,63,cap,A')).toEqual([
      '4 piece schedule-three-joints',
    ]))
})

describe('bad rows are named, and one is enough for nothing to be taken', () => {
  it.each<[string, ScheduleMode, string, string[]]>([
    [
      'letters in a length',
      'pieces',
      'size,length\n63,abc\n63,500\n64,500',
      ['2 length entry-not-a-length', '4 size entry-size-unknown'],
    ],
    [
      'zero and negative',
      'pieces',
      'size,length\n63,0\n63,-5',
      ['2 length entry-not-a-length', '3 length entry-not-a-length'],
    ],
    ['no length', 'pieces', 'size,length\n63,', ['2 length schedule-no-length']],
    ['longer than a building', 'pieces', 'size,length\n63,900 m', ['2 length entry-too-long']],
    ['a comma that reads two ways', 'pieces', 'size,length\n63,"1,250"', ['2 length schedule-comma']],
    ['a formula', 'pieces', 'size,length\n63,=B1*2', ['2 length schedule-formula']],
    ['an unknown fitting', 'parts', 'fitting,size\nwidget,63', ['2 what schedule-no-fitting']],
    ['a tag twice', 'pieces', 'piece,size,length\nA,63,500\nB,63,500\nA,63,500', ['4 tag schedule-twice']],
    ['no such column', 'pieces', 'diameter,mm2\n63,500', ['1 length schedule-no-column']],
    ['nothing below the headings', 'pieces', 'size,length\n\n', ['2  schedule-empty']],
    ['a bad line tag', 'pieces', 'line,size,length\nQ 2/x,63,500', ['2 line schedule-line-tag']],
    ['how it is measured', 'pieces', 'size,length,measure kind\n63,500,x-y', ['2 measure schedule-measure']],
  ])('%s', (_what, mode, csv, faults) => expect(faultsOf(mode, csv)).toEqual(faults))
  it('more rows than can be taken: one sentence', () => {
    const rows = Array.from({ length: MOST_ROWS + 2 }, () => '63,500').join('\n')
    expect(faultsOf('pieces', `size,length\n${rows}`)).toEqual(['2  schedule-too-many'])
  })
})

describe('figures', () => {
  const lengths = (csv: string, more: Partial<ScheduleAsk> = {}) =>
    joined('pieces', csv, more).flatMap((l) => l.items.map((i) => i.measuredMm))
  it('decimal commas, thousands as said, thin spaces, inches', () => {
    expect(lengths('size;length\n63;1250,5\n63;1\u00a0250')).toEqual([1250.5, 1250])
    expect(lengths('size,length\n63,"1,250"', { comma: 'thousands' })).toEqual([1250])
    expect(lengths('size,length\n63,"1,250"', { comma: 'decimal' })).toEqual([1.25])
    expect(lengths('size,length\n63,"1,250.5"')).toEqual([1250.5])
    expect(lengths('size,length\nd63,49-1/4', { units: 'inch' })).toEqual([49.25 * 25.4])
  })
  it('any order of columns, any blank rows: the same lengths come out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 99_999 }), { minLength: 1, maxLength: 30 }),
        fc.shuffledSubarray(['size', 'length', 'piece'], { minLength: 3 }),
        fc.integer({ min: 0, max: 3 }),
        (mm, order, gap) => {
          const cell = (h: string, v: number, i: number) =>
            h === 'size' ? 'd63' : h === 'length' ? `${v}` : `T${i}`
          const rows = mm.map((v, i) => order.map((h) => cell(h, v, i)).join(','))
          const csv = [order.join(','), ...rows.slice(0, gap), ',,', ...rows.slice(gap)].join('\n')
          expect(lengths(csv)).toEqual(mm)
        },
      ),
    )
  })
})
