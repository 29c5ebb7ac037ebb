import { PDFArray, PDFDocument, PDFRawStream, PDFStream, StandardFonts, decodePDFRawStream } from 'pdf-lib'
import readXlsx from 'read-excel-file/node'
import { type CutRow, cutList } from '../src/paper/cut-list'
import { hangTags } from '../src/paper/hang-tags'
import { labelSheets } from '../src/paper/labels'
import { type Strip, markStrips, markStripsSvg } from '../src/paper/mark-strips'
import { A4, MARGIN_MM } from '../src/paper/sheet'
import { cutCsv, cutWorkbook } from '../src/paper/tables'
import Papa from 'papaparse'

const MM = 72 / 25.4
const metric = { units: 'metric' } as const
interface Segment {
  x1: number
  y1: number
  x2: number
  y2: number
}
/** What stands on each page of a file, as its drawing commands. */
async function pagesOf(bytes: Uint8Array): Promise<string[]> {
  const doc = await PDFDocument.load(bytes)
  return doc.getPages().map((page) => {
    const contents = page.node.Contents()
    const streams =
      contents instanceof PDFArray ? contents.asArray().map((r) => doc.context.lookup(r)) : [contents]
    return streams
      .filter((s): s is PDFStream => s instanceof PDFStream)
      .map((s) =>
        new TextDecoder('latin1').decode(
          s instanceof PDFRawStream ? decodePDFRawStream(s).decode() : s.getContents(),
        ),
      )
      .join('\n')
  })
}
/** What a page draws, read back out of the file: its straight lines in millimetres. */
async function linesOf(bytes: Uint8Array): Promise<Segment[][]> {
  return (await pagesOf(bytes)).map((text) => {
    // Boxes are drawn from their own corner at 0 0; only lines are of interest.
    return [...text.matchAll(/([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l/g)].flatMap((m) => {
      const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = m.slice(1).map((v) => Number(v) / MM)
      return x1 === 0 && y1 === 0 ? [] : [{ x1, y1, x2, y2 }]
    })
  })
}
const long = (s: Segment): number => Math.hypot(s.x2 - s.x1, s.y2 - s.y1)
const strip = (depthMm: number, checkMm: number | null, n = 1): Strip => ({
  size: 'd63',
  depthMm,
  checkMm,
  joints: Array.from({ length: n }, (_, i) => `Q2-${i}`),
})

describe('mark strips', () => {
  it('are to scale in the file: the rulers, and the marks from the hook', async () => {
    const [page = []] = await linesOf(await markStrips('J', [strip(37.5, 87.5)], metric))
    expect(page.some((s) => Math.abs(long(s) - 100) < 0.001)).toBe(true)
    expect(page.some((s) => Math.abs(long(s) - 101.6) < 0.001)).toBe(true)
    const upright = page.filter((s) => Math.abs(s.x1 - s.x2) < 1e-6 && Math.abs(s.y1 - s.y2) > 15)
    const xs = upright.map((s) => s.x1).sort((a, b) => a - b)
    expect(xs.map((x) => Number((x - (xs[0] ?? 0)).toFixed(3)))).toEqual([0, 37.5, 87.5])
  })
  it('stay on the sheet, go on to the next, and what is too long is listed', async () => {
    const many = Array.from({ length: 15 }, (_, i) => strip(20 + i, 70 + i, 40))
    const pages = await linesOf(await markStrips('J', [...many, strip(300, 350)], metric))
    expect(pages.length).toBe(3)
    for (const s of pages.flat())
      for (const [x, y] of [
        [s.x1, s.y1],
        [s.x2, s.y2],
      ] as const) {
        expect(x).toBeGreaterThanOrEqual(9)
        expect(x).toBeLessThanOrEqual(288)
        expect(y).toBeGreaterThanOrEqual(5)
        expect(y).toBeLessThanOrEqual(205)
      }
  })
})

describe('strips as SVG', () => {
  it('are in millimetres: the ruler is 100 mm long, each depth mark stands at its depth', () => {
    const svg = markStripsSvg(
      'J <1>',
      [{ size: 'd63', depthMm: 37.5, checkMm: 87.5, joints: ['Q2-01'] }],
      metric,
    )
    expect(svg).toMatch(/width="297mm" height="210mm" viewBox="0 0 297 210"/)
    expect(svg).toContain('J &#60;1&#62;')
    const lines = [...svg.matchAll(/<path d="M([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)"/g)].map((m) =>
      m.slice(1, 5).map(Number),
    )
    const level = lines
      .filter(([, y1, , y2]) => y1 === y2)
      .map(([x1, , x2]) => (x2 as number) - (x1 as number))
    expect(level).toContain(100)
    expect(level.some((l) => Math.abs(l - 101.6) < 1e-6)).toBe(true)
    const hook = MARGIN_MM
    for (const mm of [37.5, 87.5])
      expect(lines.some(([x1, , x2]) => x1 === x2 && x1 === hook + mm)).toBe(true)
  })
})

const row = (piece: string, more: Partial<CutRow> = {}): CutRow => ({
  piece,
  pipe: 'pvc-u d63',
  between: 'tee and elbow 90',
  measuredMm: 900,
  cutMm: 899.25,
  depthAMm: 37.5,
  checkAMm: 87.5,
  depthBMm: null,
  checkBMm: null,
  bends: [],
  holes: [],
  state: 'to-cut',
  ...more,
})
describe('the cut list', () => {
  const rows = [
    row('Q2/P01'),
    row('=1+1', { between: 'tee; "left", \u00bd', cutMm: null, state: 'not-known' }),
  ]
  it('comes back out of CSV as it went in, and no cell runs as a formula', () => {
    const back = Papa.parse<Record<string, string>>(cutCsv(rows, metric), { header: true }).data
    expect(back.map((r) => [r.piece, r.between, r.cut_mm, r.depth_b_mm])).toEqual([
      ['Q2/P01', 'tee and elbow 90', '899', ''],
      ["'=1+1", 'tee; "left", \u00bd', '', ''],
    ])
  })
  it('comes back out of a workbook as it went in: figures as figures', async () => {
    const blob = await cutWorkbook(rows, metric)
    const sheets = await readXlsx(Buffer.from(await blob.arrayBuffer()))
    const data = (
      Array.isArray(sheets[0]) ? sheets : (sheets[0] as { data: unknown[][] }).data
    ) as unknown[][]
    expect(data[0]?.[0]).toBe('piece')
    expect(data[1]?.slice(0, 6)).toEqual(['Q2/P01', 'pvc-u d63', 'tee and elbow 90', 900, 899, 37.5])
    expect([data[2]?.[0], data[2]?.[4]]).toEqual(['=1+1', null])
  })
  it('in inches: sixteenths, with the unit in the heading', async () => {
    const back = Papa.parse<Record<string, string>>(cutCsv(rows, { units: 'inch' }), { header: true }).data
    // 899.25 mm is 35.403 in, 37.5 mm 1.476 in.
    expect([back[0]?.cut_in, back[0]?.depth_a_in]).toEqual(['35.375', '1.5'])
  })
  it('as PDF takes as many pages as it needs, and letters it can\u2019t write do not stop it', async () => {
    const many = Array.from({ length: 80 }, (_, i) => row(`P${i} \u6c34`))
    expect((await linesOf(await cutList('J \u6c34', many, metric))).length).toBe(3)
    expect((await linesOf(await cutList('J', [], metric))).length).toBe(1)
  })
  it('labels: 24 to a sheet', async () => {
    const labels = Array.from({ length: 25 }, (_, i) => ({
      tag: `Q2-${i}`,
      lines: ['d63'],
      url: `http://x/${i}`,
    }))
    expect((await PDFDocument.load(await labelSheets('J', labels, A4))).getPageCount()).toBe(2)
  })
})

describe('hang-tags', () => {
  it('no line runs over the edge of its tag, whatever the job is called; what is set says so', async () => {
    const tag = {
      tag: 'Q2-17',
      size: 'd160',
      section: 'Q2-A',
      pressure: { bar: '12.5 bar', at: 'FRI 08:34' },
      made: 'Tue 24 Nov 14:12',
    }
    const tags = [
      { ...tag, touch: 'THU 20:10' },
      { ...tag, touch: 'set' as const },
      { ...tag, touch: null, pressure: { bar: '181.3 psi', at: null } },
    ]
    const [page = ''] = await pagesOf(await hangTags('A job whose name goes on and on, '.repeat(4), tags, A4))
    const fonts = await PDFDocument.create()
    const plain = await fonts.embedFont(StandardFonts.Helvetica)
    const bold = await fonts.embedFont(StandardFonts.HelveticaBold)
    const drawn = [
      ...page.matchAll(/\/(\S+) ([\d.]+) Tf[\s\S]*?1 0 0 1 ([\d.-]+) ([\d.-]+) Tm\s+<([0-9A-F]+)> Tj/g),
    ].map((m) => {
      const [name = '', size, x, , hex = ''] = m.slice(1)
      const text = hex.replace(/../g, (h) => String.fromCharCode(parseInt(h, 16)))
      const font = name.startsWith('Helvetica-Bold') ? bold : plain
      return {
        text,
        fromMm: Number(x) / MM,
        toMm: (Number(x) + font.widthOfTextAtSize(text, Number(size))) / MM,
      }
    })
    expect(drawn.length).toBeGreaterThan(20)
    const WIDE = (210 - 2 * MARGIN_MM) / 2
    for (const d of drawn) {
      const edge = MARGIN_MM + (d.fromMm < MARGIN_MM + WIDE ? 1 : 2) * WIDE
      expect([d.text, d.toMm < edge]).toEqual([d.text, true])
    }
    const said = drawn.map((d) => d.text)
    expect(said).toEqual(
      expect.arrayContaining(['NO TOUCH UNTIL', 'THU 20:10', 'SET', 'MOVE WITH CARE', 'NO FIGURE: ASK']),
    )
  })
})
