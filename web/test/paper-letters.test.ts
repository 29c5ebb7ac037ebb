import { PDFDocument } from 'pdf-lib'
import { extractText, getDocumentProxy } from 'unpdf'
import { type CutRow, cutList } from '../src/paper/cut-list'
import { markStrips } from '../src/paper/mark-strips'
import { hangTags } from '../src/paper/hang-tags'
import { shoppingList } from '../src/paper/shopping'
import { A4, MARGIN_MM, letters, sheetOf } from '../src/paper/sheet'
import { placed, shippedFonts } from './read-paper'

beforeAll(shippedFonts)
afterAll(() => {
  letters.read = null
})
const row = (n: number, pipe: string): CutRow => ({
  piece: `Q/P${n}`,
  pipe,
  between: 'tee and elbow 90',
  measuredMm: 1000 + n,
  cutMm: 900 + n,
  depthAMm: 37.5,
  checkAMm: 87.5,
  depthBMm: 37.5,
  checkBMm: 87.5,
  bends: [],
  holes: [],
  state: 'to-cut',
})
const NAMES = 'Καλπάκι, μονάδα 2 / Котельная №7 / Škoda-ø łódź'
const rows = Array.from({ length: 60 }, (_, i) => row(i, 'PVC-U d63'))

describe('letters and paper', () => {
  it('a shopping list of many things runs on to the next page, nothing over its edge, its source last', async () => {
    const things = Array.from({ length: 40 }, (_, i) => ({
      what: `Gasket ${i}, ${NAMES}`,
      much: '4',
      lines: [`For 30 joints: ${Array.from({ length: 30 }, (_, k) => `Q2-${k}`).join(', ')}`],
    }))
    const bytes = await shoppingList('Wash house', things, 'Estimated by a table.', '29 Nov 2026', A4)
    const pages = await placed(bytes)
    expect(pages.length).toBeGreaterThan(2)
    const { text } = await extractText(await getDocumentProxy(bytes.slice()), { mergePages: true })
    for (const { what } of things) expect(text).toContain(what.slice(0, 9))
    expect(text.trimEnd()).toContain('Estimated by a table.')
  })
  it('Latin, Greek and Cyrillic stand in the file as they were written, in fonts that go with it', async () => {
    const bytes = await cutList(NAMES, rows, { units: 'metric' })
    const { text } = await extractText(await getDocumentProxy(bytes.slice()), { mergePages: true })
    for (const word of ['Καλπάκι', 'Котельная', '№7', 'łódź']) expect(text).toContain(word)
    expect(text).not.toContain('in none of the fonts')
    const doc = await PDFDocument.load(bytes)
    const fonts = doc.context
      .enumerateIndirectObjects()
      .map(([, o]) => String(o))
      .filter((o) => o.includes('/FontFile2'))
    expect(fonts.length).toBeGreaterThanOrEqual(2)
  })
  it('a letter that no font here has stands as a box, and the paper says so', async () => {
    const bytes = await cutList('Job \u4e2d\u6587', rows.slice(0, 2), { units: 'metric' })
    const { text } = await extractText(await getDocumentProxy(bytes.slice()), { mergePages: true })
    expect(text).toContain('Job \u25a1\u25a1')
    expect(text).toContain('in none of the fonts that ship with this')
  })
  it('a figure is never cut off: it would be another figure', async () => {
    const long = {
      ...row(1, 'carbon steel NPS 2'),
      measuredMm: 139 * 25.4 + 11.1125,
      cutMm: 126.6875 * 25.4,
      depthAMm: 33.3375,
      checkAMm: 84.1375,
      bends: Array.from({ length: 9 }, (_, i) => ({ atMm: 100.0125 + i * 150, endMm: 0, turnDeg: 45 })),
    }
    const bytes = await cutList('J', [long], { units: 'inch' })
    const { text } = await extractText(await getDocumentProxy(bytes.slice()), { mergePages: true })
    expect(text).toContain('126-11/16')
    expect(text).toContain('139-7/16')
    expect(text).toContain('1-5/16 / 3-5/16')
    expect(text).not.toContain('\u2026')
  })
  it.each(['metric', 'inch'] as const)('%s: on its own paper nothing leaves the page', async (units) => {
    const reader = { units }
    const sheet = sheetOf(reader)
    expect(sheet.long).toBe(units === 'inch' ? 279.4 : A4.long)
    const tags = Array.from({ length: 7 }, (_, i) => ({
      tag: `Q2-${i}`,
      size: 'd110',
      section: 'Q2-A',
      touch: 'Fri 14:30',
      pressure: { bar: '9 bar', at: 'Sat 08:10' },
      made: '12:00',
    }))
    const strips = [{ size: 'd63', depthMm: 37.5, checkMm: 87.5, joints: ['Q2-01', 'Q2-02'] }]
    for (const bytes of [
      await cutList('A long name of a job, '.repeat(8), rows, reader),
      await markStrips('J', strips, reader),
      await hangTags('J', tags, sheet),
    ]) {
      const all = await placed(bytes)
      expect(all.length).toBeGreaterThan(8)
      for (const t of all) {
        expect([t.text, t.x >= MARGIN_MM - 0.5 && t.x + t.wide <= t.w - MARGIN_MM / 2 + 0.5]).toEqual([
          t.text,
          true,
        ])
        expect([t.text, t.y > 3 && t.y < t.h - 5]).toEqual([t.text, true])
        expect([sheet.short, sheet.long]).toContainEqual(Math.round(t.w * 10) / 10)
      }
    }
  })
})
