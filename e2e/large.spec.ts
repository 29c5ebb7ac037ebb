import { type Page, expect, test } from '@playwright/test'
import { loadHospital } from '../scripts/lib/hospital.mjs'
import { PHONE, eventsOf, noViolations, signIn, stateOf } from './help'

test.use({ serviceWorkers: 'allow', viewport: PHONE, hasTouch: true })

/** Old enough for its first readings to stand in columns. */
const LARGE = { joints: 600, lines: 12, days: 4 }
const ACTS = {
  metric: ['Fits, marked', 'Cleaned, cement on'],
  inch: ['Fits, marked', 'Primer on'],
} as const

/** A job as large as makes a server pack it, loaded through the door of phones; and its pack made. */
async function largeJob(page: Page, baseURL: string, inch: boolean) {
  await signIn(page)
  const [cookie] = await page.context().cookies()
  const job = await loadHospital(baseURL, `${cookie?.name}=${cookie?.value}`, { ...LARGE, inch })
  await expect
    .poll(async () => (await page.request.get(`/api/jobs/${job.jobId}/pack`)).status(), { timeout: 60_000 })
    .toBe(200)
  return job
}
const headline = (page: Page) => page.getByRole('heading', { level: 1 })

for (const school of ['metric', 'inch'] as const)
  test(`a large job in ${school}, on a slow phone: opened packed, a joint begun, the signal gone and back`, async ({
    page,
    context,
    baseURL,
  }) => {
    test.slow()
    const { jobId, toMake, sectionIds } = await largeJob(page, baseURL ?? '', school === 'inch')
    const asked: string[] = []
    page.on('request', (request) =>
      asked.push(new URL(request.url()).pathname + new URL(request.url()).search),
    )
    const client = await context.newCDPSession(page)
    await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    // While the line is slow: what the server last saw, and nothing that is not known yet.
    let come: () => void = () => undefined
    const slow = new Promise<void>((done) => (come = done))
    await page.route('**/pack', (route) => slow.then(() => route.continue()))
    await page.goto(`/job/${jobId}/wait/${sectionIds[0]}`)
    await expect(headline(page)).toContainText(/^Hospital of 600: L1-A/)
    await expect(page.getByText('As the server last saw it')).toBeVisible()
    await expect(page.getByText(/^L2-A/)).toBeVisible()
    for (const unknown of ['No reading yet', 'No clock is running'])
      await expect(page.getByText(unknown)).toHaveCount(0)
    await noViolations(page)
    come()
    await expect(page.getByText('As the server last saw it')).toHaveCount(0)
    await expect(headline(page)).toContainText(/^L1-A/)
    // What was packed comes packed, and nothing of it a second time.
    expect(asked.filter((path) => path === `/api/jobs/${jobId}/pack`)).toHaveLength(1)
    expect(asked).not.toContain(`/api/jobs/${jobId}/events?after=0`)

    const [first, second] = ACTS[school]
    await page.goto(`/job/${jobId}/make/${toMake[0]}`)
    const before = (await eventsOf(page, jobId)).length
    await page.getByRole('button', { name: first }).click()
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await context.setOffline(true)
    await page.getByRole('button', { name: second }).click()
    const says = school === 'inch' ? 'While the primer is wet' : 'Push home within'
    await expect(headline(page)).toContainText(says)
    // The phone was put away and taken out again: all of it opens from what it keeps.
    await page.reload()
    await expect(headline(page)).toContainText(says)
    await expect(page.getByRole('status').filter({ hasText: 'No signal' })).toContainText('to send')
    await page.goto(`/job/${jobId}/wait/${sectionIds[0]}`)
    await expect(headline(page)).toContainText('L1-A')
    await context.setOffline(false)
    await expect.poll(async () => (await eventsOf(page, jobId)).length, { timeout: 30_000 }).toBe(before + 2)
    expect(asked).not.toContain(`/api/jobs/${jobId}/events?after=0`)
  })

test('a joint log of hundreds holds in the page what is in sight, finds by words, and prints whole', async ({
  page,
  baseURL,
}) => {
  const { jobId } = await largeJob(page, baseURL ?? '', false)
  const lives = [...(await stateOf(page, jobId)).joints.values()]
  const all = lives.reduce((sum, joint) => sum + joint.lives.length, 0)
  expect(all).toBeGreaterThan(400)
  await page.goto(`/job/${jobId}/hand-over`)
  // What came behind the pack is there too.
  await expect(page.getByText(`${all} of ${all}`)).toBeVisible()
  // Rows far from sight are not in the page: a long list of what is missing may stand above.
  await page.getByRole('region', { name: 'Joint log' }).scrollIntoViewIfNeeded()
  const rows = page.getByRole('table', { name: 'Joint log' }).locator('tbody tr:not([aria-hidden])')
  await expect(rows.first()).toBeVisible()
  expect(await rows.count()).toBeLessThan(all / 2)
  // Further down others are there: one scrolls on as long as rows that come into sight are higher than their room was.
  const last = page.getByRole('table', { name: 'Joint log' }).locator('tbody').last()
  await expect(async () => {
    await last.scrollIntoViewIfNeeded()
    await expect(last.locator('tr:not([aria-hidden])').last()).toBeVisible({ timeout: 2000 })
  }).toPass()
  expect(await rows.count()).toBeLessThan(all)

  await page.emulateMedia({ media: 'print' })
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
  await expect(rows).toHaveCount(all)
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await page.emulateMedia({ media: 'screen' })
  await expect.poll(() => rows.count()).toBeLessThan(all)

  await page.getByLabel('Find in the joint log').fill('l3-1')
  await expect(page.getByText(/^\d+ of \d+$/)).not.toHaveText(`${all} of ${all}`)
  await expect(rows.first()).toContainText('L3-1')
  await page.getByLabel('Find in the joint log').fill('no such joint')
  await expect(page.getByText(`0 of ${all}`)).toBeVisible()
  await expect(rows).toHaveCount(0)
})
