import type { Locator, Page } from '@playwright/test'
import ICAL from 'ical.js'
import readWorkbook from 'read-excel-file/node'
import { extractText, getDocumentProxy } from 'unpdf'

/** The bytes of a file that a button or a link gives. */
export async function fileOf(page: Page, button: Locator): Promise<Buffer> {
  const [d] = await Promise.all([page.waitForEvent('download'), button.click()])
  const parts: Buffer[] = []
  for await (const p of await d.createReadStream()) parts.push(p as Buffer)
  return Buffer.concat(parts)
}
/** What a person reads in a PDF, page by page, by a package that wrote none of it. */
export async function pagesOf(pdf: Buffer): Promise<string[]> {
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: false })
  return text
}
/** Every cell of a workbook's first sheet, as text. */
export async function cellsOf(xlsx: Buffer): Promise<string[]> {
  const sheets = (await readWorkbook(xlsx)) as unknown as { data: unknown[][] }[]
  return (sheets[0]?.data ?? []).flat().map((c) => (c === null ? '' : String(c)))
}
/** What a calendar says of each of its entries. */
export function entriesOf(ics: string): string[] {
  const parsed = ICAL.parse(ics) as ConstructorParameters<typeof ICAL.Component>[0]
  return new ICAL.Component(parsed).getAllSubcomponents('vevent').map((e) => {
    const said = (name: string): string => String(e.getFirstPropertyValue(name) ?? '')
    return `${said('summary')}\n${said('description')}`
  })
}
