import { type PieceCut, type Reader, fmt } from '@jugalis/core'
import { A4, MARGIN_MM, type Paper, book } from './sheet'

const ROW_MM = 7
const COLUMNS = [
  ['Piece', 0],
  ['Pipe', 28],
  ['Measured', 82],
  ['Cut', 106],
  ['Marks: first end', 112],
  ['second end', 146],
  ['Cut by', 176],
] as const

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
  bends: string
  state: 'cut' | 'to cut' | 'not yet known'
}
export const cutRows = (pieces: readonly PieceCut[]): CutRow[] =>
  pieces.map((p) => {
    const [a, b] = p.ends
    return {
      piece: p.item.tag,
      pipe: `${p.line.material} ${p.item.size}`,
      between: `${a.fitting?.fitting ?? 'free end'} and ${b.fitting?.fitting ?? 'free end'}`,
      measuredMm: p.item.measuredMm,
      cutMm: p.cutMm.value,
      depthAMm: a.depthMm?.value ?? null,
      checkAMm: a.checkMarkMm?.value ?? null,
      depthBMm: b.depthMm?.value ?? null,
      checkBMm: b.checkMarkMm?.value ?? null,
      bends: p.bends.map((x) => `${Math.round(x.atMm * 10) / 10}: ${x.turnDeg} deg`).join('; '),
      state: p.item.cut ? 'cut' : p.cutMm.value === null ? 'not yet known' : 'to cut',
    }
  })

/** The cut list, A4 standing: what to measure off and where to mark, with a place to sign each cut. */
export async function cutList(job: string, rows: readonly CutRow[], reader: Reader): Promise<Uint8Array> {
  const b = await book(`${job}: cut list`)
  const figure = (mm: number | null): string => (mm === null ? '' : fmt.lengthFigure(mm, reader))
  const marks = (depth: number | null, check: number | null): string =>
    depth ? `${figure(depth)}${check === null ? '' : ` / ${figure(check)}`}` : ''
  let p: Paper | null = null
  let y = Infinity
  for (const r of rows) {
    if (!p || y + ROW_MM > A4.long - MARGIN_MM) {
      p = b.page()
      p.text(
        `${job}: cut list, ${reader.units === 'inch' ? 'inches' : 'mm'}; marks: depth / check`,
        MARGIN_MM,
        16,
        4,
        {
          bold: true,
        },
      )
      for (const [name, x] of COLUMNS) {
        const end = name === 'Measured' || name === 'Cut'
        p.text(name, MARGIN_MM + x, 24, 2.6, { end })
      }
      p.line(MARGIN_MM, 26, A4.short - MARGIN_MM, 26, 0.5)
      y = 26
    }
    const at = y + 5
    p.text(r.piece, MARGIN_MM, at, 3, { bold: true })
    p.text(r.pipe, MARGIN_MM + 28, at, 3)
    p.text(figure(r.measuredMm), MARGIN_MM + 82, at, 3, { end: true })
    p.text(r.cutMm === null ? '?' : figure(r.cutMm), MARGIN_MM + 106, at, 3.4, { end: true, bold: true })
    p.text(marks(r.depthAMm, r.checkAMm), MARGIN_MM + 112, at, 3)
    p.text(marks(r.depthBMm, r.checkBMm), MARGIN_MM + 146, at, 3)
    if (r.state === 'cut') p.text('is cut', MARGIN_MM + 176, at, 3)
    if (r.bends) {
      y += ROW_MM - 1
      p.text(`bends from, mm: ${r.bends}`, MARGIN_MM + 28, y + 4.5, 2.8)
    }
    y += ROW_MM
    p.line(MARGIN_MM, y, A4.short - MARGIN_MM, y, 0.15)
  }
  if (!p) b.page().text('No pieces yet.', MARGIN_MM, 20)
  return b.bytes()
}
