import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, type } from './set-out-help'

/** The file of a job, checked by somebody without an account: as it is, changed, and by the head on a paper. */
const WAYS = [
  { ...INCH_MOUSE, line: { tag: 'CW' }, entries: ['elbow 90 2', '40 c-c', 'elbow 90'] },
  { ...METRIC_THUMB, line: { tag: 'Q' }, entries: ['elbow 90 63', '1250 c-c', 'elbow 90'] },
] as const

bothWays(
  WAYS,
  'the file of a job is checked by anybody, and a changed one is found out',
  async (page, own) => {
    await begunLine(page, { name: 'Wash house', school: own.school, ...own.line })
    await type(page, ...own.entries)
    const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''
    await page.goto(`/job/${job}/hand-over`)
    const coming = page.waitForEvent('download')
    await page.getByRole('link', { name: /JSON/ }).click()
    const text = await readFile(await (await coming).path(), 'utf8')
    await page.request.delete('/api/session')
    await page.goto('/sign-in')
    await hit(page.getByRole('link', { name: 'Check the file of a job' }))
    await expect(headline(page)).toContainText('Does the file of a job hold?')
    await noViolations(page)
    const give = (said: string) =>
      page
        .getByLabel('Job file')
        .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(said) })
    await give('{}')
    await expect(headline(page)).toContainText('job.json is no job file.')
    await give(text.replace('Wash house\\"', 'Wash-house\\"'))
    await expect(headline(page)).toContainText('it was changed after it was written')
    await give(text)
    await expect(headline(page)).toContainText('Wash house holds:')
    await expect(page.getByText(/^Wren: (\d+) entries, \1 signed by one device$/)).toBeVisible()
    await expect(
      page.getByText(/^This server signed that the log ended so at entry \d+, its last\.$/),
    ).toBeVisible()
    const hash = (JSON.parse(text) as { head: { hash: string } }).head.hash
    await expect(page.getByText(hash)).toBeVisible()
    const paper = page.getByLabel('Log head, as it stands on a paper')
    const again = page.getByRole('button', { name: 'Look again' })
    await paper.fill('xyz')
    await expect(page.getByRole('alert')).toContainText('8 to 64 letters')
    await expect(again).toBeDisabled()
    await paper.fill('0123456789ab')
    await hit(again)
    await expect(headline(page)).toContainText('never had the head')
    await paper.fill(`${hash.slice(0, 12)}…`)
    await hit(again)
    await expect(page.getByText(/^The head on the paper is that of entry/)).toBeVisible()
    await noViolations(page)
  },
)
