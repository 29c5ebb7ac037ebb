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
  for (const p of pieces) {
    if (p.isCut) continue
    for (const e of p.ends) {
      if (!e.depthMm?.value || !e.jointTag) continue
      const checkMm = e.checkMarkMm?.value ?? null
      const key = `${p.item.size} ${e.depthMm.value} ${checkMm}`
      const had = out.get(key)
      if (had) had.joints.push(e.jointTag)
      else out.set(key, { size: p.item.size, depthMm: e.depthMm.value, checkMm, joints: [e.jointTag] })
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
function ruler(p: Paper, x: number, y: number): void {
  p.text(word('paper-print-at-full-size'), x, y - 4)
  p.line(x, y, x + 100, y, 0.35)
  for (let mm = 0; mm <= 100; mm += 10) p.line(x + mm, y, x + mm, y + (mm % 50 ? 3 : 5))
  p.text('100 mm', x + 100, y + 9, 3.2, { end: true })
  const right = x + 130
  p.line(right, y, right + 4 * INCH_MM, y, 0.35)
  for (let q = 0; q <= 16; q++)
    p.line(right + (q * INCH_MM) / 4, y, right + (q * INCH_MM) / 4, y + (q % 4 ? 3 : 5))
  p.text('4 in', right + 4 * INCH_MM, y + 9, 3.2, { end: true })
}

function strip(p: Paper, s: Strip, x: number, y: number, reader: Reader): void {
  const sheet = sheetOf(reader)
  const length = (s.checkMm ?? s.depthMm) + 12
  p.box(x, y, length, STRIP_MM - 8)
  // The hook: this edge lies at the pipe's end.
  p.line(x, y - 1.5, x, y + STRIP_MM - 6.5, 0.8)
  p.line(x + s.depthMm, y, x + s.depthMm, y + STRIP_MM - 8, 0.4)
  p.text(fmt.lengthFigure(s.depthMm, reader), x + s.depthMm - 1, y + 6, 3.2, { end: true, bold: true })
  p.text(word('paper-depth'), x + s.depthMm - 1, y + 10.5, 2.4, { end: true })
  if (s.checkMm !== null) {
    p.line(x + s.checkMm, y, x + s.checkMm, y + STRIP_MM - 8, 0.4, [2, 1.2])
    p.text(fmt.lengthFigure(s.checkMm, reader), x + s.checkMm - 1, y + 6, 3.2, { end: true, bold: true })
    p.text(word('paper-check'), x + s.checkMm - 1, y + 10.5, 2.4, { end: true })
  }
  const whole = `${s.size}: ${s.joints.join(', ')}`
  let shown = whole
  while (p.widthOf(shown, 2.6) > sheet.long - 2 * MARGIN_MM)
    shown = `${shown.slice(0, shown.lastIndexOf(','))}` + ` ${word('paper-and-more')}`
  p.text(shown, x, y + STRIP_MM - 3.5, 2.6)
}

/** Draws the strips, lying. Those too long for the sheet are listed instead. */
function drawStrips(page: () => Paper, job: string, strips: readonly Strip[], reader: Reader): void {
  const sheet = sheetOf(reader)
  const fits = strips.filter((s) => (s.checkMm ?? s.depthMm) + 12 <= longestStripMm(sheet))
  const tooLong = strips.filter((s) => !fits.includes(s))
  let y = 0
  const begin = (): Paper => {
    const p = page()
    p.as('H1', () =>
      p.text(word('paper-mark-strips-hook-edge', { job }), MARGIN_MM, MARGIN_MM + 4, 4, {
        bold: true,
      }),
    )
    p.figure(word('paper-rulers-of-100-mm'), () => ruler(p, MARGIN_MM, 27))
    y = FIRST_MM
    return p
  }
  let p = begin()
  const room = (mm: number): void => {
    if (y + mm > sheet.short - MARGIN_MM) p = begin()
  }
  for (const s of fits) {
    room(STRIP_MM)
    strip(p, s, MARGIN_MM, y, reader)
    y += STRIP_MM
  }
  for (const s of tooLong) {
    room(6)
    p.text(
      word('paper-depth-check-longer-than', {
        size: s.size,
        depth: fmt.length(s.depthMm, reader),
        check: s.checkMm === null ? '' : fmt.length(s.checkMm, reader),
        noCheck: s.checkMm === null ? 'yes' : 'no',
      }),
      MARGIN_MM,
      y + 4,
    )
    y += 6
  }
}
/** Full-scale mark strips as PDF. */
export async function markStrips(job: string, strips: readonly Strip[], reader: Reader): Promise<Uint8Array> {
  const b: Book = await book(word('paper-mark-strips', { job }), sheetOf(reader), true)
  drawStrips(b.page, job, strips, reader)
  return b.bytes()
}
/** The same as SVG, in millimetres. */
export const markStripsSvg = (job: string, strips: readonly Strip[], reader: Reader): string =>
  svgSheets(
    word('paper-mark-strips', { job }),
    (page) => drawStrips(page, job, strips, reader),
    sheetOf(reader),
    true,
  )
