import fontkit from '@pdf-lib/fontkit'
import type { Reader } from '@jugalis/core'
import { PDFDocument, type PDFFont, type PDFImage, type PDFPage, StandardFonts, rgb } from 'pdf-lib'
import { type Role, Tags } from './tags'
import { languageNow, word } from '../words/word'

/** Points in a millimetre: paper is drawn in millimetres, from the top left. */
export const PT_PER_MM = 72 / 25.4
export const A4 = { short: 210, long: 297 } as const
export interface Sheet {
  short: number
  long: number
}
const LETTER: Sheet = { short: 215.9, long: 279.4 }
/** The paper that lies in the printer: by the units of who reads. What is drawn keeps to the width of both. */
export const sheetOf = (reader: Reader): Sheet => (reader.units === 'inch' ? LETTER : A4)
/** Sheets that a drawing may be put on. */
export const SHEETS = { a4: A4, a3: { short: 297, long: 420 }, letter: LETTER } as const satisfies Readonly<
  Record<string, Sheet>
>
export const MARGIN_MM = 10
const INK = rgb(0.106, 0.125, 0.141)
const PAPER = rgb(1, 1, 1)

/** Bytes of the two fonts a paper is set in. */
export interface Letters {
  regular: ArrayBuffer | Uint8Array
  bold: ArrayBuffer | Uint8Array
}
/** Where they come from: the app brings fonts that know Latin, Greek and Cyrillic; without any, those every reader has. */
export const letters: { read: (() => Promise<Letters>) | null } = { read: null }

/** The built-in fonts know the Western letters. */
const WESTERN = /[\u0020-\u007e\u00a1-\u00ff\u2013\u2014\u2018\u2019\u201c\u201d\u2026]/
/**
 * A font with how wide its letters are, at a size of one. A document sets letter after letter by their own widths, so that a
 * text is as wide as all of them; to have the font lay out each text anew takes a hundred times as long.
 */
interface Face {
  font: PDFFont
  widths: Map<string, number>
}
const faceOf = (font: PDFFont): Face => ({ font, widths: new Map() })
/** The fonts of a document, and whether something was written that they have no letters for. */
interface Set {
  regular: Face
  bold: Face
  knows(letter: string): boolean
  unknown: boolean
}
/** Narrow spaces become plain ones; a letter that no font here has becomes a box, and the paper says so. */
function printable(set: Set, text: string): string {
  return [...text.replace(/[\u202f\u00a0\u2009]/g, ' ').replace(/[\r\n\t]+/g, ' ')]
    .map((character) => {
      if (set.knows(character)) return character
      set.unknown = true
      return letters.read ? '\u25a1' : '\u00a4'
    })
    .join('')
}
async function setOf(doc: PDFDocument): Promise<Set> {
  if (!letters.read) {
    const [font, bold] = [
      await doc.embedFont(StandardFonts.Helvetica),
      await doc.embedFont(StandardFonts.HelveticaBold),
    ]
    return { regular: faceOf(font), bold: faceOf(bold), knows: (c) => WESTERN.test(c), unknown: false }
  }
  doc.registerFontkit(fontkit)
  const bytes = await letters.read()
  const [font, bold] = [
    await doc.embedFont(bytes.regular, { subset: true }),
    await doc.embedFont(bytes.bold, { subset: true }),
  ]
  const known = new globalThis.Set(font.getCharacterSet())
  const knows = (letter: string): boolean => known.has(letter.codePointAt(0) ?? 0)
  return { regular: faceOf(font), bold: faceOf(bold), knows, unknown: false }
}

/** A page drawn in millimetres from its top left corner. */
export interface Paper {
  line(x1: number, y1: number, x2: number, y2: number, thickMm?: number, dashMm?: number[]): void
  box(x: number, y: number, w: number, h: number, fill?: boolean): void
  /** @param heightMm height of the letters. */
  text(text: string, x: number, y: number, heightMm?: number, o?: TextLook): void
  widthOf(text: string, heightMm: number, bold?: boolean): number
  /** What is written in `work` is, read aloud, one such element. */
  as(role: Role, work: () => void): void
  /** A drawing: read aloud it is this sentence. */
  figure(says: string, work: () => void): void
}
/** A page that bears more than lines and boxes: signs of a drawing. */
export interface DrawingPaper extends Paper {
  /** A closed shape of straight sides. */
  shape(points: readonly (readonly [x: number, y: number])[], fill?: boolean): void
  circle(x: number, y: number, radiusMm: number, fill?: boolean): void
  /** A photograph; read aloud it is this sentence. */
  picture(of: Picture, says: string, x: number, y: number, w: number, h: number): void
  /** Takes away what is drawn there. */
  clear(x: number, y: number, w: number, h: number): void
}
/** A photograph that is in the document, with its size in points of its own. */
export interface Picture {
  wide: number
  high: number
  image: PDFImage
}
export interface TextLook {
  bold?: boolean
  /** Ends at x. */
  end?: boolean
  /** Belongs to the sheet, not to what is said on it: numbers of pages and their like. */
  foot?: boolean
}

class PdfPaper implements DrawingPaper {
  constructor(
    private readonly page: PDFPage,
    private readonly set: Set,
    private readonly heightMm: number,
    private readonly tags: Tags,
  ) {}
  private y(mm: number): number {
    return (this.heightMm - mm) * PT_PER_MM
  }
  line(x1: number, y1: number, x2: number, y2: number, thickMm = 0.25, dashMm?: number[]): void {
    this.tags.artifact(this.page, () =>
      this.page.drawLine({
        start: { x: x1 * PT_PER_MM, y: this.y(y1) },
        end: { x: x2 * PT_PER_MM, y: this.y(y2) },
        thickness: thickMm * PT_PER_MM,
        color: INK,
        ...(dashMm ? { dashArray: dashMm.map((d) => d * PT_PER_MM) } : {}),
      }),
    )
  }
  box(x: number, y: number, wide: number, high: number, fill = false): void {
    this.tags.artifact(this.page, () =>
      this.page.drawRectangle({
        x: x * PT_PER_MM,
        y: this.y(y + high),
        width: wide * PT_PER_MM,
        height: high * PT_PER_MM,
        ...(fill ? { color: INK } : { borderColor: INK, borderWidth: 0.25 * PT_PER_MM }),
      }),
    )
  }
  shape(points: readonly (readonly [x: number, y: number])[], fill = false): void {
    const path = points.map(([x, y], i) => `${i ? 'L' : 'M'}${x * PT_PER_MM} ${y * PT_PER_MM}`).join('')
    this.tags.artifact(this.page, () =>
      this.page.drawSvgPath(`${path}Z`, {
        x: 0,
        y: this.y(0),
        ...(fill ? { color: INK } : { color: PAPER, borderColor: INK, borderWidth: 0.3 * PT_PER_MM }),
      }),
    )
  }
  clear(x: number, y: number, wide: number, high: number): void {
    this.tags.artifact(this.page, () =>
      this.page.drawRectangle({
        x: x * PT_PER_MM,
        y: this.y(y + high),
        width: wide * PT_PER_MM,
        height: high * PT_PER_MM,
        color: PAPER,
      }),
    )
  }
  picture({ image }: Picture, says: string, x: number, y: number, wide: number, high: number): void {
    this.tags.figure(this.page, says, () =>
      this.page.drawImage(image, {
        x: x * PT_PER_MM,
        y: this.y(y + high),
        width: wide * PT_PER_MM,
        height: high * PT_PER_MM,
      }),
    )
  }
  circle(x: number, y: number, radiusMm: number, fill = false): void {
    this.tags.artifact(this.page, () =>
      this.page.drawCircle({
        x: x * PT_PER_MM,
        y: this.y(y),
        size: radiusMm * PT_PER_MM,
        color: fill ? INK : PAPER,
        borderColor: INK,
        borderWidth: 0.3 * PT_PER_MM,
      }),
    )
  }
  text(text: string, x: number, y: number, heightMm = 3.2, look: TextLook = {}): void {
    const { font } = look.bold ? this.set.bold : this.set.regular
    const size = (heightMm / 0.72) * PT_PER_MM
    const said = printable(this.set, text)
    const wide = look.end ? this.widthOf(text, heightMm, look.bold) * PT_PER_MM : 0
    const draw = () =>
      this.page.drawText(said, { x: x * PT_PER_MM - wide, y: this.y(y), size, font, color: INK })
    if (look.foot) this.tags.artifact(this.page, draw)
    else this.tags.text(this.page, draw)
  }
  as(role: Role, work: () => void): void {
    this.tags.within(role, work)
  }
  figure(says: string, work: () => void): void {
    this.tags.figure(this.page, says, work)
  }
  widthOf(text: string, heightMm: number, bold = false): number {
    const { font, widths } = bold ? this.set.bold : this.set.regular
    let wide = 0
    for (const letter of printable(this.set, text)) {
      let own = widths.get(letter)
      if (own === undefined) widths.set(letter, (own = font.widthOfTextAtSize(letter, 1)))
      wide += own
    }
    return wide * (heightMm / 0.72)
  }
}
/** How high letters may be, mm, so that a text stays within a width whole: for figures, which are never cut off. */
export const heightWithin = (
  paper: Paper,
  text: string,
  mostMm: number,
  wideMm: number,
  bold = false,
): number => Math.min(mostMm, (mostMm * wideMm) / paper.widthOf(text, mostMm, bold))
/** A text that stays within a width: shortened, with dots, where it is longer. */
export function shortened(
  paper: Paper,
  text: string,
  heightMm: number,
  wideMm: number,
  bold = false,
): string {
  if (paper.widthOf(text, heightMm, bold) <= wideMm) return text
  let kept = text
  while (kept && paper.widthOf(`${kept}\u2026`, heightMm, bold) > wideMm) kept = kept.slice(0, -1)
  return `${kept.trimEnd()}\u2026`
}

export interface Book {
  page(): DrawingPaper
  /** What is written in `work`, over several pages or one, is one such element. */
  as(role: Role, work: () => void): void
  /** Takes a photograph in; null where its bytes are no JPEG. */
  picture(jpeg: Uint8Array): Promise<Picture | null>
  /** @param numbered writes `2 of 3` into the lower right corner of each page. */
  bytes(numbered?: boolean): Promise<Uint8Array>
}
/** A new document of pages of one size. */
export async function book(title: string, sheet: Sheet, lying = false): Promise<Book> {
  const doc = await PDFDocument.create()
  doc.setTitle(title, { showInWindowTitleBar: true })
  doc.setCreator('Jugalis')
  doc.setLanguage(languageNow())
  const set = await setOf(doc)
  const [wide, high] = lying ? [sheet.long, sheet.short] : [sheet.short, sheet.long]
  const papers: DrawingPaper[] = []
  const tags = new Tags()
  return {
    as: (role, work) => tags.within(role, work),
    page: () => {
      const paper = new PdfPaper(doc.addPage([wide * PT_PER_MM, high * PT_PER_MM]), set, high, tags)
      papers.push(paper)
      return paper
    },
    picture: (jpeg) =>
      doc.embedJpg(jpeg).then(
        (image) => ({ image, wide: image.width, high: image.height }),
        () => null,
      ),
    bytes: (numbered = false) => {
      if (numbered)
        papers.forEach((paper, i) =>
          paper.text(
            word('paper-page-of', { page: i + 1, pages: papers.length }),
            wide - MARGIN_MM,
            high - MARGIN_MM,
            1.9,
            {
              end: true,
              foot: true,
            },
          ),
        )
      if (set.unknown)
        papers.at(-1)?.text(word('paper-some-letters-here-are'), MARGIN_MM, high - MARGIN_MM + 4, 1.9)
      tags.write(doc)
      return doc.save()
    },
  }
}
