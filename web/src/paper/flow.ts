import { A4, type Book, MARGIN_MM, type Paper, type Sheet } from './sheet'

/** Drawn to the width of the narrower paper. */
export const RIGHT_MM = A4.short - MARGIN_MM
const LEAD_MM = 5.2
const LABEL_MM = 42

/** Breaks words over lines of a width. */
function broken(p: Paper, text: string, heightMm: number, wideMm: number, bold = false): string[] {
  const out: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    const next = line ? `${line} ${word}` : word
    if (line && p.widthOf(next, heightMm, bold) > wideMm) {
      out.push(line)
      line = word
    } else line = next
  }
  if (line) out.push(line)
  return out
}

/** Text that runs down a page and on to the next: headings, sentences, tables of two columns. */
export class Flow {
  p: Paper
  y = MARGIN_MM + 8
  /** Nothing is written below this; the foot of the page stands there. */
  readonly bottom: number
  constructor(
    private readonly b: Book,
    private readonly sheet: Sheet,
    private readonly foot: string,
  ) {
    this.bottom = sheet.long - MARGIN_MM - 8
    this.p = this.page()
  }
  private page(): Paper {
    const p = this.b.page()
    const at = this.sheet.long - MARGIN_MM
    p.line(MARGIN_MM, at - 4, RIGHT_MM, at - 4)
    p.text(this.foot, MARGIN_MM, at, 1.9, { foot: true })
    return p
  }
  turn(): void {
    this.p = this.page()
    this.y = MARGIN_MM + 8
  }
  room(mm: number): void {
    if (this.y + mm > this.bottom) this.turn()
  }
  private put(text: string, heightMm: number, bold: boolean, x: number): void {
    for (const line of broken(this.p, text, heightMm, RIGHT_MM - x, bold)) {
      this.room(heightMm * 2)
      this.p.text(line, x, this.y, heightMm, { bold })
      this.y += heightMm * 2
    }
  }
  say(text: string, heightMm = 2.5, bold = false, as: 'P' | 'H1' | 'H2' = 'P'): void {
    this.b.as(as, () => this.put(text, heightMm, bold, MARGIN_MM))
  }
  head(text: string): void {
    this.room(16)
    this.y += 3
    this.b.as('H2', () => this.p.text(text, MARGIN_MM, this.y, 3.4, { bold: true }))
    this.y += 6
  }
  /** Rows of a label and what is to be said of it. */
  rows(rows: readonly (readonly [label: string, text: string])[]): void {
    if (!rows.length) return
    const row = (label: string, text: string): void => {
      this.room(LEAD_MM)
      this.b.as('TH', () => this.p.text(label, MARGIN_MM, this.y, 2.5))
      this.b.as('TD', () => this.put(text, 2.5, true, MARGIN_MM + LABEL_MM))
      this.y += 0.6
    }
    this.b.as('Table', () => {
      for (const [label, text] of rows) this.b.as('TR', () => row(label, text))
    })
  }
}
