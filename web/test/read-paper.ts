import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { getDocumentProxy } from 'unpdf'
import { PT_PER_MM, letters } from '../src/paper/sheet'

const font = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`)))
/** Papers set in the fonts that ship, as the app does it. */
export function shippedFonts(): void {
  letters.read = () =>
    Promise.resolve({
      regular: font('DejaVuSansCondensed'),
      bold: font('DejaVuSansCondensed-Bold'),
    })
}
/** Where each piece of text stands, in millimetres from the lower left, read by a package that did not write it. */
export async function placed(bytes: Uint8Array) {
  const pdf = await getDocumentProxy(bytes.slice())
  const out: { page: number; text: string; x: number; y: number; wide: number; w: number; h: number }[] = []
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n)
    const [, , w = 0, h = 0] = page.view
    const content = await page.getTextContent()
    for (const i of content.items)
      if ('str' in i && i.str.trim())
        out.push({
          page: n,
          text: i.str,
          x: (i.transform[4] as number) / PT_PER_MM,
          y: (i.transform[5] as number) / PT_PER_MM,
          wide: i.width / PT_PER_MM,
          w: w / PT_PER_MM,
          h: h / PT_PER_MM,
        })
  }
  return out
}

/** An element of a page's tree, as the reading package gives it. */
export interface Element {
  role: string
  alt?: string
  children: (Element | { type: 'content'; id: string })[]
}
/** The trees of a paper, page by page, and what of its text no element holds. */
export async function trees(bytes: Uint8Array) {
  const pdf = await getDocumentProxy(bytes.slice())
  const pages: { tree: Element; loose: string[] }[] = []
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n)
    const content = await page.getTextContent({ includeMarkedContent: true })
    const loose: string[] = []
    const open: string[] = []
    for (const i of content.items) {
      if ('str' in i) {
        if (i.str.trim() && !open.length) loose.push(i.str)
      } else if (i.type === 'endMarkedContent') open.pop()
      else open.push(i.id ?? i.type)
    }
    pages.push({ tree: (await page.getStructTree()) as unknown as Element, loose })
  }
  return { pages, marked: await pdf.getMarkInfo(), language: (await pdf.getMetadata()).info }
}
/** Every element below one, itself first. */
export const elements = (e: Element): Element[] => [
  e,
  ...e.children.flatMap((c) => ('role' in c ? elements(c) : [])),
]
