import type { Paper, Sheet, TextLook } from './sheet'

/** Letters of the usual sans-serif are about so wide for their height: for breaking lines, not for setting them. */
const LETTER = 0.72
const escaped = (text: string): string => text.replace(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`)
const rounded = (mm: number): string => String(Math.round(mm * 1000) / 1000)

class SvgPaper implements Paper {
  readonly parts: string[] = []
  line(x1: number, y1: number, x2: number, y2: number, thickMm = 0.25, dashMm?: number[]): void {
    const dash = dashMm ? ` stroke-dasharray="${dashMm.join(' ')}"` : ''
    this.parts.push(
      `<path d="M${rounded(x1)} ${rounded(y1)}L${rounded(x2)} ${rounded(y2)}" stroke-width="${thickMm}"${dash}/>`,
    )
  }
  box(x: number, y: number, wide: number, high: number, fill = false): void {
    const how = fill ? 'fill="#1b2024" stroke="none"' : 'stroke-width="0.25"'
    this.parts.push(
      `<rect x="${rounded(x)}" y="${rounded(y)}" width="${rounded(wide)}" height="${rounded(high)}" ${how}/>`,
    )
  }
  text(text: string, x: number, y: number, heightMm = 3.2, look: TextLook = {}): void {
    const more = `${look.bold ? ' font-weight="700"' : ''}${look.end ? ' text-anchor="end"' : ''}`
    this.parts.push(
      `<text x="${rounded(x)}" y="${rounded(y)}" font-size="${rounded(heightMm / 0.72)}" fill="#1b2024" stroke="none"${more}>${escaped(text)}</text>`,
    )
  }
  widthOf(text: string, heightMm: number): number {
    return text.length * heightMm * LETTER
  }
  as(_role: string, work: () => void): void {
    work()
  }
  figure(_says: string, work: () => void): void {
    work()
  }
}

/** Sheets drawn as one SVG in millimetres, one below the other: full size in whatever prints or cuts it. */
export function svgSheets(
  title: string,
  draw: (page: () => Paper) => void,
  of: Sheet,
  lying = false,
): string {
  const sheets: SvgPaper[] = []
  draw(() => {
    const sheet = new SvgPaper()
    sheets.push(sheet)
    return sheet
  })
  const [wide, high] = lying ? [of.long, of.short] : [of.short, of.long]
  const all = sheets.map((s, i) => `<g transform="translate(0 ${i * high})">${s.parts.join('')}</g>`).join('')
  const size = `width="${wide}mm" height="${high * sheets.length}mm" viewBox="0 0 ${wide} ${high * sheets.length}"`
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} fill="none" stroke="#1b2024" font-family="Helvetica, Arial, sans-serif"><title>${escaped(title)}</title>${all}</svg>`
}
