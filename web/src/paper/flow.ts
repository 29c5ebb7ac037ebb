import {
  A4,
  type Book,
  type DrawingPaper,
  MARGIN_MM,
  type Paper,
  type Picture,
  type Sheet,
  heightWithin,
} from './sheet'

/** Drawn to the width of the narrower paper. */
export const RIGHT_MM = A4.short - MARGIN_MM
const LEAD_MM = 5.2
const LABEL_MM = 42

/** Breaks words over lines of a width. */
function broken(paper: Paper, text: string, heightMm: number, wideMm: number, bold = false): string[] {
  const out: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    const next = line ? `${line} ${word}` : word
    if (line && paper.widthOf(next, heightMm, bold) > wideMm) {
      out.push(line)
      line = word
    } else line = next
  }
  if (line) out.push(line)
  return out
}

/** Text that runs down a page and on to the next: headings, sentences, tables of two columns. */
export class Flow {
  paper: DrawingPaper
  y = MARGIN_MM + 8
  /** Nothing is written below this; the foot of the page stands there. */
  readonly bottom: number
  constructor(
    private readonly book: Book,
    private readonly sheet: Sheet,
    private readonly foot: string,
  ) {
    this.bottom = sheet.long - MARGIN_MM - 8
    this.paper = this.page()
  }
  private page(): DrawingPaper {
    const paper = this.book.page()
    const at = this.sheet.long - MARGIN_MM
    paper.line(MARGIN_MM, at - 4, RIGHT_MM, at - 4)
    paper.text(this.foot, MARGIN_MM, at, 1.9, { foot: true })
    return paper
  }
  turn(): void {
    this.paper = this.page()
    this.y = MARGIN_MM + 8
  }
  room(mm: number): void {
    if (this.y + mm > this.bottom) this.turn()
  }
  private put(text: string, heightMm: number, bold: boolean, x: number): void {
    for (const line of broken(this.paper, text, heightMm, RIGHT_MM - x, bold)) {
      this.room(heightMm * 2)
      this.paper.text(line, x, this.y, heightMm, { bold })
      this.y += heightMm * 2
    }
  }
  say(text: string, heightMm = 2.5, bold = false, as: 'P' | 'H1' | 'H2' | 'H3' = 'P'): void {
    this.book.as(as, () => this.put(text, heightMm, bold, MARGIN_MM))
  }
  /** Text beside something that stands at the margin. */
  beside(x: number, text: string, heightMm = 2.5, bold = false): void {
    this.book.as('P', () => this.put(text, heightMm, bold, x))
  }
  /** A picture, whole, in a box of a row of such: so far from the margin. */
  picture(of: Picture, says: string, fromMarginMm: number, box: { wide: number; high: number }): void {
    const by = Math.min(box.wide / of.wide, box.high / of.high)
    const at = MARGIN_MM + fromMarginMm
    this.paper.picture(of, says, at, this.y, of.wide * by, of.high * by)
  }
  head(text: string): void {
    this.room(16)
    this.y += 3
    this.book.as('H2', () => this.paper.text(text, MARGIN_MM, this.y, 3.4, { bold: true }))
    this.y += 6
  }
  /** Rows of a label and what is to be said of it. */
  rows(rows: readonly (readonly [label: string, text: string])[]): void {
    if (!rows.length) return
    const row = (label: string, text: string): void => {
      this.room(LEAD_MM)
      // Names and rules are as long as they are: smaller letters, never over what stands beside them.
      const high = heightWithin(this.paper, label, 2.5, LABEL_MM - 2)
      this.book.as('TH', () => this.paper.text(label, MARGIN_MM, this.y, high))
      this.book.as('TD', () => this.put(text, 2.5, true, MARGIN_MM + LABEL_MM))
      this.y += 0.6
    }
    this.book.as('Table', () => {
      for (const [label, text] of rows) this.book.as('TR', () => row(label, text))
    })
  }
}
