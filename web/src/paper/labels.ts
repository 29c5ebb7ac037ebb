import QRCode from 'qrcode'
import { A4, MARGIN_MM, type Paper, book } from './sheet'

export interface Label {
  tag: string
  lines: readonly string[]
  /** Address that its code opens. */
  url: string
}
const ACROSS = 3
const DOWN = 8
const WIDE_MM = (210 - 2 * MARGIN_MM) / ACROSS
const HIGH_MM = (297 - 2 * MARGIN_MM) / DOWN
const CODE_MM = 27
const LINE_MM = 5
const LETTER_MM = 2.8
const TEXT_MM = WIDE_MM - CODE_MM - 8

/** Squares of a code that are dark, as rows of runs: fewer shapes than one for each square. */
function code(p: Paper, url: string, x: number, y: number, sizeMm: number): void {
  const { modules } = QRCode.create(url, { errorCorrectionLevel: 'M' })
  const step = sizeMm / modules.size
  for (let row = 0; row < modules.size; row++)
    for (let col = 0; col < modules.size;) {
      let end = col
      while (end < modules.size && modules.get(row, end)) end++
      if (end > col) p.box(x + col * step, y + row * step, (end - col) * step, step, true)
      col = Math.max(end, col + 1)
    }
}

/** Labels, 24 to a sheet of A4: tag, two or three lines, and a code that opens the joint or piece. */
export async function labelSheets(job: string, labels: readonly Label[]): Promise<Uint8Array> {
  const b = await book(`${job}: labels`, A4)
  let p: Paper | null = null
  labels.forEach((l, i) => {
    const at = i % (ACROSS * DOWN)
    if (at === 0) p = b.page()
    const paper = p as unknown as Paper
    const x = MARGIN_MM + (at % ACROSS) * WIDE_MM
    const y = MARGIN_MM + Math.floor(at / ACROSS) * HIGH_MM
    paper.box(x, y, WIDE_MM, HIGH_MM)
    code(paper, l.url, x + 3, y + 4, CODE_MM)
    paper.text(l.tag, x + CODE_MM + 6, y + 9, 4.6, { bold: true })
    l.lines.forEach((line, k) => {
      // A long line is set smaller, not over the edge.
      const high = Math.min(LETTER_MM, (LETTER_MM * TEXT_MM) / paper.widthOf(line, LETTER_MM))
      paper.text(line, x + CODE_MM + 6, y + 15 + k * LINE_MM, high)
    })
  })
  if (!labels.length) b.page().text('Nothing to label.', MARGIN_MM, MARGIN_MM + 6)
  return b.bytes()
}
