import { qrCode } from './qr-code'
import { MARGIN_MM, type Paper, type Sheet, book } from './sheet'
import { word } from '../words/word'

export interface Label {
  tag: string
  lines: readonly string[]
  /** Address that its code opens. */
  url: string
}
const ACROSS = 3
const DOWN = 8
const CODE_MM = 27
const LINE_MM = 5
const LETTER_MM = 2.8

/** Labels, 24 to a sheet: tag, two or three lines, and a code that opens the joint or piece. */
export async function labelSheets(job: string, labels: readonly Label[], sheet: Sheet): Promise<Uint8Array> {
  const wide = (sheet.short - 2 * MARGIN_MM) / ACROSS
  const high = (sheet.long - 2 * MARGIN_MM) / DOWN
  const textMm = wide - CODE_MM - 8
  const feed = await book(word('paper-labels', { job }), sheet)
  let page: Paper | null = null
  labels.forEach((label, i) => {
    const at = i % (ACROSS * DOWN)
    if (at === 0) page = feed.page()
    const paper = page as unknown as Paper
    const x = MARGIN_MM + (at % ACROSS) * wide
    const y = MARGIN_MM + Math.floor(at / ACROSS) * high
    paper.box(x, y, wide, high)
    paper.figure(word('paper-code-that-opens', { tag: label.tag }), () =>
      qrCode(paper, label.url, x + 3, y + 4, CODE_MM),
    )
    paper.as('H2', () => paper.text(label.tag, x + CODE_MM + 6, y + 9, 4.6, { bold: true }))
    label.lines.forEach((line, k) => {
      // A long line is set smaller, not over the edge.
      const letters = Math.min(LETTER_MM, (LETTER_MM * textMm) / paper.widthOf(line, LETTER_MM))
      paper.text(line, x + CODE_MM + 6, y + 15 + k * LINE_MM, letters)
    })
  })
  if (!labels.length) feed.page().text(word('paper-nothing-to-label'), MARGIN_MM, MARGIN_MM + 6)
  return feed.bytes()
}
