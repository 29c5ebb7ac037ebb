import { certificateOf, fmt, foldJob, layOut } from '@jugalis/core'
import { LINE, SECTION, T0, lineJob } from '../../core/test/make-job'
import { certificatePaper } from '../src/paper/certificate'
import { cutList } from '../src/paper/cut-list'
import { MARGIN_MM } from '../src/paper/sheet'
import { elements, placed, shippedFonts, trees } from './read-paper'

beforeAll(shippedFonts)

/** A test of 30 min at 9 bar, read each minute, and as many gates and signatures as are asked for. */
async function certificate(units: 'inch' | 'metric', signed: number): Promise<Uint8Array> {
  const log = lineJob(3, { testBar: 9, ratingBar: 16 })
  log.put(
    'test-begun',
    {
      testId: 't',
      sectionId: SECTION,
      bar: 9,
      medium: 'water',
      holdS: 1800,
      allowedDropBar: 0.3,
      resolutionBar: 0.05,
      tester: 'T. Quill',
      gauge: 'G-4',
    },
    { atS: T0 },
  )
  for (let i = 0; i <= 30; i++)
    log.put(
      'test-read',
      { testId: 't', atS: T0 + i * 60, bar: 9 - (i % 3) * 0.01, temperatureC: 15 },
      { atS: T0 + i * 60 },
    )
  log.put('test-ended', { testId: 't', verdict: 'held' }, { atS: T0 + 1800 })
  for (let i = 0; i < signed; i++)
    log.put(
      'signed',
      { what: 'test', refId: 't', statement: 'I saw this test from its beginning to its end.' },
      { atS: T0 + 2000 + i },
    )
  const state = foldJob(log.events)
  const c = certificateOf(state, 't', { seq: 1, hash: 'f'.repeat(64) })
  const line = state.lines.get(LINE)
  if (!c || !line) throw new Error('no certificate')
  return certificatePaper(c, {
    say: (m) => `${m.code.replaceAll('-', ' ')}, in the words of the app as they would stand here`,
    name: () => 'T. Quill',
    when: (s) => `${new Date(s * 1000).toISOString().slice(0, 16)} UTC`,
    clock: (s) => new Date(s * 1000).toISOString().slice(11, 16),
    rule: 'A rule of this job',
    reader: { units },
    lines: [{ tag: line.tag, laid: layOut(state, line) }],
    inside: new Set(state.sections.get(SECTION)?.jointIds),
    head: { address: `https://jugalis.example/verify#${'x'.repeat(180)}`, short: 'ffff ffff ffff' },
  })
}

describe.each(['metric', 'inch'] as const)('a certificate in %s', (units) => {
  it.each([0, 1, 5])('signed by %p: its first page has the answer, the chart and who signed', async (n) => {
    const all = await placed(await certificate(units, n))
    const first = all.filter((t) => t.page === 1)
    const text = first.map((t) => t.text).join(' ')
    for (const says of [
      'Pressure test of Q-A',
      'allowed',
      'Signed',
      'Tester',
      'Witness',
      'ffff ffff ffff',
      'Local code',
    ])
      expect(text).toContain(says)
    expect(text).toContain(fmt.pressureFine(9, { units }))
    expect(first.filter((t) => t.text === 'T. Quill')).toHaveLength(n + 1)
    expect(Math.max(...all.map((t) => t.page))).toBe(2)
  })
  it('nothing lies on anything else, or leaves the page', async () => {
    const all = await placed(await certificate(units, 2))
    for (const a of all) {
      expect([a.text, a.x >= MARGIN_MM - 0.5 && a.x + a.wide <= a.w - 4]).toEqual([a.text, true])
      for (const b of all) {
        if (a === b || a.page !== b.page || Math.abs(a.y - b.y) > 1.2) continue
        const apart = a.x + a.wide <= b.x + 0.1 || b.x + b.wide <= a.x + 0.1
        expect([a.text, b.text, apart]).toEqual([a.text, b.text, true])
      }
    }
  })
})

describe('papers read aloud', () => {
  it('a certificate is headings, tables and drawings with their words; nothing of it is left out', async () => {
    const { pages, marked } = await trees(await certificate('metric', 1))
    expect(marked).toMatchObject({ Marked: true })
    expect(pages.flatMap((p) => p.loose)).toEqual([])
    const all = pages.flatMap((p) => elements(p.tree))
    const roles = all.map((e) => e.role)
    expect(roles.filter((r) => r === 'H1')).toHaveLength(1)
    for (const role of ['H2', 'P', 'Table', 'TR', 'TH', 'TD', 'Figure']) expect(roles).toContain(role)
    const figures = all.filter((e) => e.role === 'Figure').map((e) => e.alt)
    expect(figures).toEqual([
      expect.stringMatching(/^Line Q; joints in this section: Q-1, Q-2/),
      expect.stringMatching(/^Chart of 31 readings: 9(\.0+)? bar at/),
      'Code of the log’s head',
    ])
  })
  it('a cut list is one table: a row of headings, then a heading and six cells to each piece', async () => {
    const row = { measuredMm: 900, cutMm: 800, depthAMm: 37, checkAMm: null, depthBMm: 37, checkBMm: null }
    const rows = Array.from({ length: 50 }, (_, i) => ({
      ...row,
      piece: `P${i}`,
      pipe: 'd63',
      between: '',
      bends: [],
      holes: [],
      state: 'to-cut' as const,
    }))
    const { pages } = await trees(await cutList('J', rows, { units: 'metric' }))
    expect(pages.flatMap((p) => p.loose)).toEqual([])
    // Each page gives the whole of a table that runs over it.
    const trs = elements((pages[0] as (typeof pages)[number]).tree)
      .filter((e) => e.role === 'TR')
      .map((e) => e.children.flatMap((c) => ('role' in c ? [c.role] : [])).join(' '))
    expect(trs[0]).toBe(Array(7).fill('TH').join(' '))
    expect(trs.slice(1)).toEqual(Array(50).fill(`TH ${Array(6).fill('TD').join(' ')}`))
  })
})
