import { type PieceCut, type Reader, fmt } from '@jugalis/core'
import { type Book, MARGIN_MM, type Paper, type Sheet, book, sheetOf } from './sheet'
import { svgSheets } from './svg-sheet'
import { word } from '../words/word'

/** One strip to hold against a pipe's end: its depth mark and check mark at full scale. */
export interface Strip {
  size: string
  depthMm: number
  checkMm: number | null
  /** Ends it is for. */
  joints: string[]
}
/** Strips that differ, with the ends each serves; pieces that are cut are left out. */
export function stripsOf(pieces: readonly PieceCut[]): Strip[] {
  const out = new Map<string, Strip>()
  for (const piece of pieces) {
    if (piece.isCut) continue
    for (const end of piece.ends) {
      if (!end.depthMm?.value || !end.jointTag) continue
      const checkMm = end.checkMarkMm?.value ?? null
      const key = `${piece.item.size} ${end.depthMm.value} ${checkMm}`
      const had = out.get(key)
      if (had) had.joints.push(end.jointTag)
      else
        out.set(key, { size: piece.item.size, depthMm: end.depthMm.value, checkMm, joints: [end.jointTag] })
    }
  }
  return [...out.values()].sort((a, b) => a.depthMm - b.depthMm)
}
/** Longest strip that fits on a sheet. */
export const longestStripMm = (sheet: Sheet): number => sheet.long - 2 * MARGIN_MM - 15
const STRIP_MM = 24
const FIRST_MM = 44
const INCH_MM = 25.4

/** A sheet proves its own scale: a ruler of 100 mm and one of 4 in to hold a tape against. */
function ruler(paper: Paper, x: number, y: number): void {
  paper.text(word('paper-print-at-full-size'), x, y - 4)
  paper.line(x, y, x + 100, y, 0.35)
  for (let mm = 0; mm <= 100; mm += 10) paper.line(x + mm, y, x + mm, y + (mm % 50 ? 3 : 5))
  paper.text('100 mm', x + 100, y + 9, 3.2, { end: true })
  const right = x + 130
  paper.line(right, y, right + 4 * INCH_MM, y, 0.35)
  for (let sixteenth = 0; sixteenth <= 16; sixteenth++)
    paper.line(
      right + (sixteenth * INCH_MM) / 4,
      y,
      right + (sixteenth * INCH_MM) / 4,
      y + (sixteenth % 4 ? 3 : 5),
    )
  paper.text('4 in', right + 4 * INCH_MM, y + 9, 3.2, { end: true })
}

function strip(paper: Paper, strip: Strip, x: number, y: number, reader: Reader): void {
  const sheet = sheetOf(reader)
  const length = (strip.checkMm ?? strip.depthMm) + 12
  paper.box(x, y, length, STRIP_MM - 8)
  // The hook: this edge lies at the pipe's end.
  paper.line(x, y - 1.5, x, y + STRIP_MM - 6.5, 0.8)
  paper.line(x + strip.depthMm, y, x + strip.depthMm, y + STRIP_MM - 8, 0.4)
  paper.text(fmt.lengthFigure(strip.depthMm, reader), x + strip.depthMm - 1, y + 6, 3.2, {
    end: true,
    bold: true,
  })
  paper.text(word('paper-depth'), x + strip.depthMm - 1, y + 10.5, 2.4, { end: true })
  if (strip.checkMm !== null) {
    paper.line(x + strip.checkMm, y, x + strip.checkMm, y + STRIP_MM - 8, 0.4, [2, 1.2])
    paper.text(fmt.lengthFigure(strip.checkMm, reader), x + strip.checkMm - 1, y + 6, 3.2, {
      end: true,
      bold: true,
    })
    paper.text(word('paper-check'), x + strip.checkMm - 1, y + 10.5, 2.4, { end: true })
  }
  const whole = `${strip.size}: ${strip.joints.join(', ')}`
  let shown = whole
  while (paper.widthOf(shown, 2.6) > sheet.long - 2 * MARGIN_MM)
    shown = `${shown.slice(0, shown.lastIndexOf(','))}` + ` ${word('paper-and-more')}`
  paper.text(shown, x, y + STRIP_MM - 3.5, 2.6)
}

/** Draws the strips, lying. Those too long for the sheet are listed instead. */
function drawStrips(page: () => Paper, job: string, strips: readonly Strip[], reader: Reader): void {
  const sheet = sheetOf(reader)
  const fits = strips.filter((s) => (s.checkMm ?? s.depthMm) + 12 <= longestStripMm(sheet))
  const tooLong = strips.filter((s) => !fits.includes(s))
  let y = 0
  const begin = (): Paper => {
    const paper = page()
    paper.as('H1', () =>
      paper.text(word('paper-mark-strips-hook-edge', { job }), MARGIN_MM, MARGIN_MM + 4, 4, {
        bold: true,
      }),
    )
    paper.figure(word('paper-rulers-of-100-mm'), () => ruler(paper, MARGIN_MM, 27))
    y = FIRST_MM
    return paper
  }
  let sheetNow = begin()
  const room = (mm: number): void => {
    if (y + mm > sheet.short - MARGIN_MM) sheetNow = begin()
  }
  for (const one of fits) {
    room(STRIP_MM)
    strip(sheetNow, one, MARGIN_MM, y, reader)
    y += STRIP_MM
  }
  for (const strip of tooLong) {
    room(6)
    sheetNow.text(
      word('paper-depth-check-longer-than', {
        size: strip.size,
        depth: fmt.length(strip.depthMm, reader),
        check: strip.checkMm === null ? '' : fmt.length(strip.checkMm, reader),
        noCheck: strip.checkMm === null ? 'yes' : 'no',
      }),
      MARGIN_MM,
      y + 4,
    )
    y += 6
  }
}
/** Full-scale mark strips as PDF. */
export async function markStrips(job: string, strips: readonly Strip[], reader: Reader): Promise<Uint8Array> {
  const feed: Book = await book(word('paper-mark-strips', { job }), sheetOf(reader), true)
  drawStrips(feed.page, job, strips, reader)
  return feed.bytes()
}
/** The same as SVG, in millimetres. */
export const markStripsSvg = (job: string, strips: readonly Strip[], reader: Reader): string =>
  svgSheets(
    word('paper-mark-strips', { job }),
    (page) => drawStrips(page, job, strips, reader),
    sheetOf(reader),
    true,
  )
