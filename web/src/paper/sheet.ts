import { PDFDocument, type PDFFont, type PDFPage, StandardFonts, rgb } from 'pdf-lib'

/** Points in a millimetre: paper is drawn in millimetres, from the top left. */
export const PT_PER_MM = 72 / 25.4
export const A4 = { short: 210, long: 297 } as const
export const MARGIN_MM = 10
const INK = rgb(0.106, 0.125, 0.141)

/** The built-in fonts know the Western letters; narrow spaces become plain ones, what is left becomes a box. */
const printable = (text: string): string =>
  text
    .replace(/[\u202f\u00a0\u2009]/g, ' ')
    .replace(/[^\u0020-\u007e\u00a1-\u00ff\u2013\u2014\u2018\u2019\u201c\u201d\u2026]/g, '\u00a4')

/** A page drawn in millimetres from its top left corner. */
export interface Paper {
  line(x1: number, y1: number, x2: number, y2: number, thickMm?: number, dashMm?: number[]): void
  box(x: number, y: number, w: number, h: number, fill?: boolean): void
  /** @param heightMm height of the letters. */
  text(text: string, x: number, y: number, heightMm?: number, o?: { bold?: boolean; end?: boolean }): void
  widthOf(text: string, heightMm: number, bold?: boolean): number
}

class PdfPaper implements Paper {
  constructor(
    private readonly page: PDFPage,
    private readonly font: PDFFont,
    private readonly bold: PDFFont,
    private readonly heightMm: number,
  ) {}
  private y(mm: number): number {
    return (this.heightMm - mm) * PT_PER_MM
  }
  line(x1: number, y1: number, x2: number, y2: number, thickMm = 0.25, dashMm?: number[]): void {
    this.page.drawLine({
      start: { x: x1 * PT_PER_MM, y: this.y(y1) },
      end: { x: x2 * PT_PER_MM, y: this.y(y2) },
      thickness: thickMm * PT_PER_MM,
      color: INK,
      ...(dashMm ? { dashArray: dashMm.map((d) => d * PT_PER_MM) } : {}),
    })
  }
  box(x: number, y: number, w: number, h: number, fill = false): void {
    this.page.drawRectangle({
      x: x * PT_PER_MM,
      y: this.y(y + h),
      width: w * PT_PER_MM,
      height: h * PT_PER_MM,
      ...(fill ? { color: INK } : { borderColor: INK, borderWidth: 0.25 * PT_PER_MM }),
    })
  }
  text(text: string, x: number, y: number, heightMm = 3.2, o: { bold?: boolean; end?: boolean } = {}): void {
    const font = o.bold ? this.bold : this.font
    const size = (heightMm / 0.72) * PT_PER_MM
    const said = printable(text)
    const wide = o.end ? font.widthOfTextAtSize(said, size) : 0
    this.page.drawText(said, { x: x * PT_PER_MM - wide, y: this.y(y), size, font, color: INK })
  }
  widthOf(text: string, heightMm: number, bold = false): number {
    return (
      (bold ? this.bold : this.font).widthOfTextAtSize(printable(text), (heightMm / 0.72) * PT_PER_MM) /
      PT_PER_MM
    )
  }
}
/** A text that stays within a width: shortened, with dots, where it is longer. */
export function shortened(p: Paper, text: string, heightMm: number, wideMm: number, bold = false): string {
  if (p.widthOf(text, heightMm, bold) <= wideMm) return text
  let kept = text
  while (kept && p.widthOf(`${kept}\u2026`, heightMm, bold) > wideMm) kept = kept.slice(0, -1)
  return `${kept.trimEnd()}\u2026`
}

export interface Book {
  page(): Paper
  /** @param numbered writes `2 of 3` into the lower right corner of each page. */
  bytes(numbered?: boolean): Promise<Uint8Array>
}
/** A new document of A4 pages. */
export async function book(title: string, lying = false): Promise<Book> {
  const doc = await PDFDocument.create()
  doc.setTitle(title)
  doc.setCreator('Jugalis')
  doc.setLanguage('en')
  const [font, bold] = [
    await doc.embedFont(StandardFonts.Helvetica),
    await doc.embedFont(StandardFonts.HelveticaBold),
  ]
  const [w, h] = lying ? [A4.long, A4.short] : [A4.short, A4.long]
  const papers: Paper[] = []
  return {
    page: () => {
      const paper = new PdfPaper(doc.addPage([w * PT_PER_MM, h * PT_PER_MM]), font, bold, h)
      papers.push(paper)
      return paper
    },
    bytes: (numbered = false) => {
      if (numbered)
        papers.forEach((p, i) =>
          p.text(`${i + 1} of ${papers.length}`, w - MARGIN_MM, h - MARGIN_MM, 1.9, { end: true }),
        )
      return doc.save()
    },
  }
}
