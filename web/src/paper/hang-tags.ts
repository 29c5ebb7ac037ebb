import { A4, MARGIN_MM, type Paper, type Sheet, book, heightWithin } from './sheet'
import { word } from '../words/word'

export interface HangTag {
  tag: string
  size: string
  section: string
  /** Until when it is left alone, in words; `set`: that is over; null: there is no figure, and the tag says so. */
  touch: string | 'set' | null
  /** Pressure and from when; null: no figure. */
  pressure: { bar: string; at: string | null } | null
  made: string
}
const ACROSS = 2
const DOWN = 3
/** Drawn to the width of the narrower paper. */
const WIDE_MM = (A4.short - 2 * MARGIN_MM) / ACROSS
const HOLE_MM = 5
const INNER_MM = WIDE_MM - 12

/** Letters as high as they may be and still fit the width of a tag. */
function fitted(paper: Paper, text: string, x: number, y: number, mostMm: number, bold = false): void {
  paper.text(text, x, y, heightWithin(paper, text, mostMm, INNER_MM, bold), { bold })
}

/** Tags to hang on joints, six to a sheet, read from two metres off: not to be touched, no pressure, until when. */
export async function hangTags(job: string, tags: readonly HangTag[], sheet: Sheet): Promise<Uint8Array> {
  const high = (sheet.long - 2 * MARGIN_MM) / DOWN
  const feed = await book(word('paper-hang-tags', { job }), sheet)
  let page: Paper | null = null
  tags.forEach((tag, i) => {
    const at = i % (ACROSS * DOWN)
    if (at === 0) page = feed.page()
    const paper = page as unknown as Paper
    const x = MARGIN_MM + (at % ACROSS) * WIDE_MM
    const y = MARGIN_MM + Math.floor(at / ACROSS) * high
    paper.box(x, y, WIDE_MM, high)
    paper.box(x + WIDE_MM / 2 - HOLE_MM / 2, y + 4, HOLE_MM, HOLE_MM)
    paper.as('H2', () => paper.text(tag.tag, x + 6, y + 19, 7, { bold: true }))
    paper.text(tag.size, x + WIDE_MM - 6, y + 19, 4.6, { end: true })
    paper.line(x + 6, y + 23, x + WIDE_MM - 6, y + 23, 0.8)
    const set = tag.touch === 'set'
    fitted(paper, set ? word('paper-set') : word('paper-no-touch-until'), x + 6, y + 30, 4.2, true)
    fitted(
      paper,
      set ? word('paper-move-with-care') : (tag.touch ?? word('paper-no-figure-ask')),
      x + 6,
      y + 42,
      9.5,
      true,
    )
    if (tag.pressure) {
      fitted(paper, word('paper-no-pressure-until', { bar: tag.pressure.bar }), x + 6, y + 52, 4.2, true)
      fitted(paper, tag.pressure.at ?? word('paper-no-figure-ask'), x + 6, y + 65, 9.5, true)
    }
    paper.line(x + 6, y + 71, x + WIDE_MM - 6, y + 71, 0.3)
    fitted(paper, word('paper-home', { section: tag.section, made: tag.made }), x + 6, y + 77, 2.9)
    fitted(paper, word('paper-by-its-rule-with'), x + 6, y + 82, 2.6)
    fitted(paper, job, x + 6, y + 87, 2.6)
  })
  if (!tags.length) feed.page().text(word('paper-nothing-waits-no-tag'), MARGIN_MM, MARGIN_MM + 6)
  return feed.bytes()
}
