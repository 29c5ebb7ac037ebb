import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { type LogLine, lineHash } from '@jugalis/core'
import { type Locator, type Page, expect } from '@playwright/test'
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader'
import { bothWays } from './both-ways'
import { eventsOf, noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, type } from './set-out-help'

/**
 * A record that stands up: what is written here is signed by this device, where the log ends by the server; the code on
 * the paper leads anybody to that, and a file that somebody wrote anew is found out.
 */
const WAYS = [
  { ...INCH_MOUSE, line: { tag: 'CW' }, entries: ['elbow 90 2', '40 c-c', 'elbow 90'], more: '30 c-c' },
  { ...METRIC_THUMB, line: { tag: 'Q' }, entries: ['elbow 90 63', '1250 c-c', 'elbow 90'], more: '900 c-c' },
] as const

const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm')
/** What a code says, read from its picture by another package than drew it. */
async function codeIn(picture: Locator): Promise<string> {
  const { buffer } = await readFile(wasm)
  prepareZXingModule({ overrides: { wasmBinary: buffer as ArrayBuffer } })
  const png = await picture.screenshot()
  const [found] = await readBarcodes(new Uint8Array(png), { formats: ['QRCode'] })
  return found?.text ?? ''
}
interface File {
  jobId: string
  head: { hash: string }
  lines: LogLine[]
}
/** A file with a word changed in a line, and all hashes after it made anew. */
function forged(text: string, from: number, change: (body: string) => string): string {
  const file = JSON.parse(text) as File
  let prev = file.lines[from - 1]?.prevHash ?? ''
  for (const line of file.lines.slice(from - 1)) {
    if (line.seq === from) line.body = change(line.body)
    line.prevHash = prev
    line.hash = prev = lineHash(prev, file.jobId, line.seq, line.recordedAt, line.body)
  }
  file.head.hash = prev
  return JSON.stringify(file)
}
const give = (page: Page, said: string): Promise<void> =>
  page
    .getByLabel('Job file')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(said) })

bothWays(
  WAYS,
  'every entry is signed, the paper leads to it, who writes it anew is found out',
  async (page, own) => {
    await begunLine(page, { name: 'Wash house', school: own.school, ...own.line })
    await type(page, ...own.entries)
    const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''
    const count = async (): Promise<number> => (await eventsOf(page, job)).length
    const before = await count()
    // Written without signal, it is signed when it goes out.
    await page.context().setOffline(true)
    await type(page, own.more)
    await page.context().setOffline(false)
    await expect.poll(count).toBeGreaterThan(before)
    await page.goto(`/job/${job}/hand-over`)
    const record = page.getByRole('region', { name: 'The record' })
    await expect(record).toContainText('and this server\u2019s signature')
    await hit(page.getByRole('button', { name: 'Sign the hand-over as Wren' }))
    await hit(page.getByRole('dialog').getByRole('button', { name: /Sign/ }).last())
    await hit(page.getByRole('button', { name: 'What was known then?' }))
    const then = page.getByRole('dialog', { name: 'As it was known then' })
    await expect(then).toContainText('0 of 3 joints were made')
    await expect(then).toContainText('Nothing was written since.')
    await noViolations(page)
    await page.keyboard.press('Escape')
    await expect(record).toContainText('and this server\u2019s signature')
    await hit(record.getByRole('button', { name: 'Check the record' }))
    await expect(record.getByRole('status')).toContainText(
      /^It holds: (\d+) entries, \1 signed by devices\. This server signed its end\.$/,
    )
    await expect(record).toContainText(/Wren: (\d+) entries, \1 signed on one device/)
    await noViolations(page)
    const address = await codeIn(record.getByRole('img', { name: 'Code of the log\u2019s head' }))
    expect(address).toContain(`/verify#${job}.`)
    const coming = page.waitForEvent('download')
    await page.getByRole('link', { name: /JSON/ }).click()
    const text = await readFile(await (await coming).path(), 'utf8')

    // Somebody with the paper and the file, and no account.
    await page.request.delete('/api/session')
    await page.goto(address)
    await expect(page.getByText('This server signed that.')).toBeVisible()
    await give(page, text)
    await expect(headline(page)).toContainText('Wash house holds:')
    await expect(page.getByText(/^The head on the paper is that of entry (\d+) of \1/)).toBeVisible()
    await expect(
      page.getByText(/^This server signed that the log ended so at entry \d+, its last\.$/),
    ).toBeVisible()
    await noViolations(page)
    await give(
      page,
      forged(text, 1, (body) => body.replace('Wash house', 'Wash-house')),
    )
    await expect(headline(page)).toContainText('from entry 1 on: it is not what its device signed')
    // A paper that this server never signed.
    await page.goto('about:blank')
    await page.goto(address.replace(/.$/, (letter) => (letter === 'A' ? 'Q' : 'A')))
    await expect(page.getByText(/^No key of this server signed that/)).toBeVisible()
  },
)
