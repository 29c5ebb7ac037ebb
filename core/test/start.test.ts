import {
  type Line,
  TEMPLATES,
  TEMPLATE_LINES,
  allMethods,
  beginFrom,
  entryExamples,
  faultsOf,
  foldJob,
  jointPlaces,
  lineSeriesChoices,
  methodOf,
  pieceCut,
  retyped,
  shopFor,
  withSpace,
} from '../src/index.js'
import { allWords } from '../src/words/words.js'
import { Bench } from './line-bench.js'
import { Log, uuid } from './make-job.js'

const SCHOOLS = ['inch', 'metric'] as const
/** How deep their sockets are, no table here has. */
const TO_MEASURE = new Set(['service-line inch', 'service-line metric', 'chilled-water inch'])
const placed = () => {
  let n = 50_000
  return { placeId: uuid(1), named: (carries: string) => carries, newId: () => uuid(n++) }
}
/** A job of a school with the lines of a template, as its entries make it. */
function jobFrom(template: (typeof TEMPLATES)[number], school: (typeof SCHOOLS)[number]) {
  const begun = beginFrom(TEMPLATE_LINES[template], school, placed())
  if (!begun.ok) throw new Error(begun.why.code)
  const log = new Log()
  log.put('job-set', { name: 'J', zone: 'UTC', school, table: 'current', checkOffsetMm: 50 })
  for (const { kind, data } of begun.entries) log.put(kind, data)
  return { log, begun, state: foldJob(log.events) }
}

describe.each(SCHOOLS)('templates in the %s school', (school) => {
  it.each(TEMPLATES)(
    '%s: what is drawn before is what stands afterwards, with nothing to mend',
    (template) => {
      const { begun, state } = jobFrom(template, school)
      expect(state.notes).toEqual([])
      expect([...state.lines.values()].map(({ said: _said, ...line }) => line)).toEqual(begun.lines)
      for (const line of state.lines.values()) expect(faultsOf(state, line)).toEqual([])
      // Each piece has a joint at both ends, and none has a measure that nobody took.
      const pieces = begun.lines.flatMap(({ items }) => items).filter(({ type }) => type === 'piece')
      expect(pieces.length).toBeGreaterThan(2)
      for (const piece of pieces)
        expect([piece.joints.includes(null), piece.measuredMm]).toEqual([false, null])
      expect(jointPlaces(state).size).toBe(2 * pieces.length)
    },
  )
  it.each(TEMPLATES)('%s: a piece that is measured between faces can be cut at once', (template) => {
    const { log, state } = jobFrom(template, school)
    const [line] = [...state.lines.values()] as [Line]
    const piece = line.items.find(({ type }) => type === 'piece')
    if (!piece) throw new Error('no piece')
    const shop = shopFor(state, () => uuid(60_000))
    const typed = school === 'inch' ? '31-1/2 f-f' : '800 f-f'
    const edited = withSpace(state, line, retyped(line, piece, typed, shop, { units: school }), shop)
    if (!edited.ok) throw new Error(edited.why.code)
    for (const { kind, data } of edited.edits) log.put(kind, { lineId: line.id, ...data })
    // Measured once, and the length is there.
    if (TO_MEASURE.has(`${template} ${school}`))
      log.put('socket-measured', { material: line.material, size: piece.size, depthMm: 30 })
    const after = foldJob(log.events)
    const own = after.lines.get(line.id) as Line
    const cut = pieceCut(after, own, own.items.find(({ id }) => id === piece.id) as Line['items'][number])
    // What goes into two fittings is added to what lies between them; ends that meet face to face go into none.
    expect(cut.cutMm.value === null ? cut.cutMm.why : cut.cutMm.value).toBeGreaterThanOrEqual(
      (school === 'inch' ? 31.5 * 25.4 : 800) - 1e-9,
    )
    expect(cut.takeOffsMm).toBe(0)
  })
})
it('a template with a size that the school does not know begins nothing, and says why', () => {
  const [line] = TEMPLATE_LINES.condensate
  if (!line) throw new Error('no line')
  const other = { ...line, joined: { ...line.joined, inch: line.joined.metric } }
  const begun = beginFrom([line, other], 'inch', placed())
  expect(begun.ok ? 'begun' : begun.why.params.size).toBe('NPS 32')
})
it('what falls is said to, and is no pressure line', () => {
  const { state } = jobFrom('drain', 'inch')
  const [line] = [...state.lines.values()]
  expect([line?.stands, line?.said]).toEqual([{ carries: 'drain' }, { service: 'drain' }])
})

describe('examples of what may be typed', () => {
  const made = allMethods().flatMap(({ id, joins, fields }) =>
    Object.keys(joins).flatMap((material) =>
      SCHOOLS.map((school) => {
        const [series] = lineSeriesChoices(id, material, school)
        const kind = fields.find(({ key }) => key === 'kind')?.options
        const details = kind && ['pe', 'pex'].includes(material) ? { kind: 'stop-nut' } : {}
        return { school, method: id, material, details, ...(series ? { series } : {}) }
      }),
    ),
  )
  const shown = made.map((head) => ({
    head,
    row: entryExamples(new Bench(head).line, { units: head.school }),
  }))
  it.each(shown.filter(({ row }) => row.length))(
    '$head.method, $head.material, $head.school: $row',
    ({ head, row }) => {
      const bench = new Bench(head)
      for (const text of row) expect([text, bench.type(text)]).toEqual([text, 'ok'])
      expect(bench.line.items).toHaveLength(row.length)
    },
  )
  it('are there for whatever is made in a school, and show no length of the other', () => {
    expect(shown.filter(({ row }) => row.length).length).toBeGreaterThan(60)
    for (const { head, row } of shown)
      if (row.length) expect(row[1]).toBe(head.school === 'inch' ? '49-1/4 c-c' : '1250 c-c')
    // What each method shows of itself has some.
    for (const { id, examples } of allMethods())
      for (const { school, spec } of examples) {
        const of = shown.find(
          ({ head }) => head.method === id && head.material === spec.material && head.school === school,
        )
        expect([id, spec.material, school, of?.row.length ?? 4]).toEqual([id, spec.material, school, 4])
      }
    expect(methodOf('press')).toBeDefined()
  })
})

it('no sentence of the book shows how to write something in the sizes of one school alone', () => {
  const EXAMPLE =
    /\b(?:tee|elbow(?! (?:90|45)\b)|valve|union|adapter|coupling|reducer) \d|\d (?:c-c|f-f|e-e)\b|size=|\bbent \d/
  const found = [...allWords()]
    .filter(([, { says }]) => EXAMPLE.test(says) && !says.includes('{school, select,'))
    .map(([code]) => code)
  expect(found).toEqual([])
})
