import { A4, MARGIN_MM, type Paper, book } from './sheet'

export interface HangTag {
  tag: string
  size: string
  section: string
  /** Time in words; null: there is none by the rule, and the tag says so. */
  touch: string | null
  /** Pressure and from when; null: no figure. */
  pressure: { bar: string; at: string | null } | null
  made: string
}
const ACROSS = 2
const DOWN = 3
const WIDE_MM = (A4.short - 2 * MARGIN_MM) / ACROSS
const HIGH_MM = (A4.long - 2 * MARGIN_MM) / DOWN
const HOLE_MM = 5

/** Letters as high as they can be and still fit the width. */
function fitted(p: Paper, text: string, x: number, y: number, wideMm: number, mostMm: number): void {
  // Bold letters run some eight parts in a hundred wider.
  const high = Math.min(mostMm, (mostMm * wideMm) / (p.widthOf(text, mostMm) * 1.08))
  p.text(text, x, y, high, { bold: true })
}

/** Tags to hang on joints, six to a sheet of A4, read from two metres off: not to be touched, no pressure, until when. */
export async function hangTags(job: string, tags: readonly HangTag[]): Promise<Uint8Array> {
  const b = await book(`${job}: hang-tags`)
  let p: Paper | null = null
  tags.forEach((t, i) => {
    const at = i % (ACROSS * DOWN)
    if (at === 0) p = b.page()
    const paper = p as unknown as Paper
    const x = MARGIN_MM + (at % ACROSS) * WIDE_MM
    const y = MARGIN_MM + Math.floor(at / ACROSS) * HIGH_MM
    const inner = WIDE_MM - 12
    paper.box(x, y, WIDE_MM, HIGH_MM)
    paper.box(x + WIDE_MM / 2 - HOLE_MM / 2, y + 4, HOLE_MM, HOLE_MM)
    paper.text(t.tag, x + 6, y + 19, 7, { bold: true })
    paper.text(t.size, x + WIDE_MM - 6, y + 19, 4.6, { end: true })
    paper.line(x + 6, y + 23, x + WIDE_MM - 6, y + 23, 0.8)
    paper.text('NO TOUCH UNTIL', x + 6, y + 31, 4.2, { bold: true })
    fitted(paper, t.touch ?? 'NO FIGURE: ASK', x + 6, y + 43, inner, 9.5)
    if (t.pressure) {
      paper.text(`NO PRESSURE (${t.pressure.bar}) UNTIL`, x + 6, y + 54, 4.2, { bold: true })
      fitted(paper, t.pressure.at ?? 'NO FIGURE: ASK', x + 6, y + 66, inner, 9.5)
    }
    paper.line(x + 6, y + 71, x + WIDE_MM - 6, y + 71, 0.3)
    paper.text(`${t.section}${t.section ? ', ' : ''}home ${t.made}`, x + 6, y + 77, 2.9)
    paper.text('By its rule, with the readings so far. A colder night moves it.', x + 6, y + 82, 2.6)
    paper.text(job.slice(0, 52), x + 6, y + 87, 2.6)
  })
  if (!tags.length) b.page().text('Nothing waits: no tag to hang.', MARGIN_MM, MARGIN_MM + 6)
  return b.bytes()
}
