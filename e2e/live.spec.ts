import { randomUUID } from 'node:crypto'
import { type Page, expect, test } from '@playwright/test'
import { demo, freePort, stateFolder } from './demo-help'
import { signIn, write } from './help'

async function newJob(page: Page): Promise<{ job: string; lineId: string; placeId: string }> {
  const [job, lineId, placeId] = [randomUUID(), randomUUID(), randomUUID()]
  await page.request.post('/api/jobs', { data: { jobId: job, name: 'Live' } })
  const set = { name: 'Live', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }
  const line = { tag: 'L1', name: 'L1', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
  await write(page, job, [
    { kind: 'job-set', data: set },
    { kind: 'place-set', data: { placeId, name: 'P' } },
    { kind: 'line-set', data: { ...line, lineId, placeId } },
  ])
  return { job, lineId, placeId }
}
/** Far below the half minute after which a followed log is asked for by itself. */
async function within(ms: number, ok: () => Promise<boolean>): Promise<boolean> {
  const end = Date.now() + ms
  while (Date.now() < end) if (await ok()) return true
  return false
}

test('two people on one job see what the other writes within a second; the tabs of one share a stream', async ({
  browser,
}) => {
  const wren = await browser.newContext()
  const [a, b] = [await wren.newPage(), await wren.newPage()]
  const streams: string[] = []
  // Answered: the server follows the log for this page.
  wren.on('response', (r) => {
    if (r.url().endsWith('/live')) streams.push(r.url())
  })
  await signIn(a)
  const { job, lineId } = await newJob(a)
  await a.goto(`/job/${job}/set-out`)
  await expect(a.getByLabel('Next fitting or piece')).toBeVisible()
  await b.goto(`/job/${job}/set-out`)
  await expect(b.getByLabel('Next fitting or piece')).toBeVisible()
  await expect.poll(() => streams.length).toBe(1)
  const put = (tag: string) =>
    write(a, job, [
      {
        kind: 'item-put',
        data: { lineId, itemId: randomUUID(), item: { type: 'fitting', tag, size: 'd63', fitting: 'tee' } },
      },
    ])
  const seen = (page: Page, tag: string) => () =>
    page.locator('.grid-space').getByText(tag).first().isVisible()
  await put('L1/F01')
  expect(await within(12_000, seen(a, 'F01'))).toBe(true)
  expect(await within(12_000, seen(b, 'F01'))).toBe(true)
  // The tab that held the stream goes: the other takes it over and misses nothing.
  await a.close()
  await expect.poll(() => streams.length).toBe(2)
  const teal = await browser.newContext()
  const other = await teal.newPage()
  await signIn(other)
  await other.goto(`/job/${job}/set-out`)
  await other.getByLabel('Next fitting or piece').fill('400 c-c')
  await other.getByLabel('Next fitting or piece').press('Enter')
  await expect(other.locator('.grid-space').getByText('400 c-c').first()).toBeVisible()
  expect(await within(12_000, () => b.locator('.grid-space').getByText('400 c-c').first().isVisible())).toBe(
    true,
  )
  await wren.close()
  await teal.close()
})

test('a server without notifications tells of what is new all the same', async ({ browser }) => {
  const { state, gone } = stateFolder()
  const port = await freePort()
  try {
    const d = await demo(state, port, { LIVE: 'poll' })
    const open = async (login: string): Promise<Page> => {
      const page = await (await browser.newContext({ baseURL: `http://127.0.0.1:${port}` })).newPage()
      await signIn(page, login)
      return page
    }
    const [a, b] = [await open('wren'), await open('wren')]
    const { job } = await newJob(a)
    await b.goto(`/job/${job}/set-out`)
    await expect(b.getByLabel('Next fitting or piece')).toBeVisible()
    await a.goto(`/job/${job}/set-out`)
    await a.getByLabel('Next fitting or piece').fill('elbow 63')
    await a.getByLabel('Next fitting or piece').press('Enter')
    // The server looks every two seconds; by itself a browser would ask after half a minute.
    expect(await within(12_000, () => b.locator('.grid-space').getByText('elbow').first().isVisible())).toBe(
      true,
    )
    d.child.kill('SIGTERM')
    expect(await d.exited).toBe(0)
  } finally {
    gone()
  }
})
