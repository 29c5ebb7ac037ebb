import { type PieceCut, type Reader, fmt, named, systemOf } from '@jugalis/core'
import { A4, MARGIN_MM, type Paper, book, sheetOf, shortened } from './sheet'

const ROW_MM = 7
/** Where each column begins (or ends, for figures), and how wide it may be, mm. */
const COLUMNS = {
  piece: { name: 'Piece', x: 0, wide: 26 },
  pipe: { name: 'Pipe', x: 28, wide: 36 },
  measured: { name: 'Measured', x: 88, wide: 22 },
  cut: { name: 'Cut', x: 110, wide: 20 },
  first: { name: 'Marks: first end', x: 113, wide: 32 },
  second: { name: 'second end', x: 147, wide: 26 },
  by: { name: 'Cut by', x: 175, wide: 15 },
} as const

/** A piece's row in words, as it stands on paper, in CSV and in a workbook. */
export interface CutRow {
  piece: string
  pipe: string
  between: string
  measuredMm: number | null
  cutMm: number | null
  depthAMm: number | null
  checkAMm: number | null
  depthBMm: number | null
  checkBMm: number | null
  /** Where each bend begins on the straight tube, and its turn. */
  bends: readonly { atMm: number; turnDeg: number }[]
  state: 'cut' | 'to cut' | 'not yet known'
}
export const cutRows = (pieces: readonly PieceCut[]): CutRow[] =>
  pieces.map((p) => {
    const [a, b] = p.ends
    return {
      piece: p.item.tag,
      pipe: `${named(p.line.material)} ${p.item.size}`,
      between: `${a.fitting?.fitting ?? 'free end'} and ${b.fitting?.fitting ?? 'free end'}`,
      measuredMm: p.item.measuredMm,
      cutMm: p.cutMm.value,
      depthAMm: a.depthMm?.value ?? null,
      checkAMm: a.checkMarkMm?.value ?? null,
      depthBMm: b.depthMm?.value ?? null,
      checkBMm: b.checkMarkMm?.value ?? null,
      bends: p.bends.map((x) => ({ atMm: x.atMm, turnDeg: x.turnDeg })),
      state: p.isCut ? 'cut' : p.cutMm.value === null ? 'not yet known' : 'to cut',
    }
  })

/** Where the bends of a piece begin, as read: `120: 90°; 400: -45°`. */
export const bendsText = (r: CutRow, reader: Reader): string =>
  r.bends.map((x) => `${fmt.lengthFigure(x.atMm, reader)}: ${x.turnDeg}°`).join('; ')

/** The cut list, standing: what to measure off and where to mark, with a place to sign each cut. */
export async function cutList(job: string, rows: readonly CutRow[], reader: Reader): Promise<Uint8Array> {
  const sheet = sheetOf(reader)
  const b = await book(`${job}: cut list`, sheet)
  const figure = (mm: number | null): string => (mm === null ? '' : fmt.lengthFigure(mm, reader))
  const marks = (depth: number | null, check: number | null): string =>
    depth ? `${figure(depth)}${check === null ? '' : ` / ${figure(check)}`}` : ''
  let p: Paper | null = null
  let y = Infinity
  for (const r of rows) {
    if (!p || y + ROW_MM > sheet.long - MARGIN_MM) {
      p = b.page()
      p.text(shortened(p, `${job}: cut list`, 4, A4.short - 2 * MARGIN_MM, true), MARGIN_MM, 14, 4, {
        bold: true,
      })
      p.text(
        `Lengths in ${systemOf(reader, 'length') === 'inch' ? 'inches' : 'millimetres'}. Marks: depth / check.`,
        MARGIN_MM,
        19,
        2.6,
      )
      for (const [key, { name, x }] of Object.entries(COLUMNS))
        p.text(name, MARGIN_MM + x, 24, 2.6, { end: key === 'measured' || key === 'cut' })
      p.line(MARGIN_MM, 26, A4.short - MARGIN_MM, 26, 0.5)
      y = 26
    }
    const at = y + 5
    const paper = p
    const put = (key: keyof typeof COLUMNS, text: string, heightMm = 3, bold = false): void => {
      const { x, wide } = COLUMNS[key]
      const end = key === 'measured' || key === 'cut'
      paper.text(shortened(paper, text, heightMm, wide, bold), MARGIN_MM + x, at, heightMm, { end, bold })
    }
    put('piece', r.piece, 3, true)
    put('pipe', r.pipe)
    put('measured', figure(r.measuredMm))
    put('cut', r.cutMm === null ? '?' : figure(r.cutMm), 3.4, true)
    put('first', marks(r.depthAMm, r.checkAMm))
    put('second', marks(r.depthBMm, r.checkBMm))
    if (r.state === 'cut') put('by', 'is cut')
    if (r.bends.length) {
      y += ROW_MM - 1
      p.text(
        shortened(p, `bends from: ${bendsText(r, reader)}`, 2.8, A4.short - 2 * MARGIN_MM - 28),
        MARGIN_MM + 28,
        y + 4.5,
        2.8,
      )
    }
    y += ROW_MM
    p.line(MARGIN_MM, y, A4.short - MARGIN_MM, y, 0.15)
  }
  if (!p) b.page().text('No pieces yet.', MARGIN_MM, 20)
  return b.bytes()
}
