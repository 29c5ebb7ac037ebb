import { type Page, expect, test } from '@playwright/test'
import { demoJob, eventsOf, signIn } from './help'
import { PVC, jobOf } from './make-help'

test.use({ serviceWorkers: 'allow' })

/** The interface is kept in the background, some seconds after the first page. */
async function interfaceKept(page: Page): Promise<void> {
  await page.waitForFunction(async () => {
    await navigator.serviceWorker.ready
    const names = await caches.keys()
    const kept = await Promise.all(names.map(async (n) => (await (await caches.open(n)).keys()).length))
    return kept.reduce((a, b) => a + b, 0) > 50
  })
}

test('a label opens its joint and its piece without signal, once the job was open on this device', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const page = await context.newPage()
  await signIn(page)
  const job = await demoJob(page)
  const log = await eventsOf(page, job)
  const joint = log.findLast((e) => e.kind === 'step-done')?.jointId as string
  await page.goto(`/job/${job}/cut`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cut')
  await interfaceKept(page)
  const piece = await page.locator('.grid-space .piece a').first().getAttribute('href')
  await context.setOffline(true)

  await page.goto(`/job/${job}/make/${joint}`)
  await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty()
  await expect(page.getByText(/No signal/).first()).toBeVisible()
  await expect(page.getByText(/Q2-07/).first()).toBeVisible()
  await page.goto(piece as string)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Cut [\d\u202f.]+ mm/)
  // A label of a joint or piece that is not in the job says so and leads on.
  await page.goto(`/job/${job}/cut/00000000-0000-4000-8000-00000000dead`)
  await expect(page.getByText(/This piece is not in the job any more/)).toBeVisible()
  await page.goto(`/job/${job}/make/00000000-0000-4000-8000-00000000dead`)
  await expect(page.getByText(/This joint is not in the job any more/)).toBeVisible()

  // So does the list of jobs, with those this device kept; a job never opened here says so.
  await page.goto('/jobs')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'No signal. 1 job can be opened from this device',
  )
  await expect(page.getByRole('link', { name: /quarantine/ })).toBeVisible()
  await page.goto('/job/00000000-0000-4000-8000-00000000dead/wait')
  await expect(page.getByText('Nothing of it is kept on this device yet')).toBeVisible()

  // With signal again only what is new is read.
  await context.setOffline(false)
  const asked: string[] = []
  page.on('request', (r) => r.url().includes('/events?') && asked.push(r.url()))
  await page.goto(`/job/${job}/wait`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('may take')
  expect(asked.length).toBeGreaterThan(0)
  for (const url of asked)
    expect(Number(new URL(url).searchParams.get('after'))).toBeGreaterThanOrEqual(log.length)

  // Signing out leaves nothing of the job on the device.
  await page.goto('/jobs')
  await page.getByRole('button', { name: /Sign out/ }).click()
  await expect(page.getByRole('button', { name: /Sign in/ })).toBeVisible()
  const left = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        const open = indexedDB.open('jugalis-log')
        open.onsuccess = () => {
          const count = open.result.transaction('parts').objectStore('parts').count()
          count.onsuccess = () => done(count.result)
        }
      }),
  )
  expect(left).toBe(0)
  await context.close()
})

test('on a device two hours ahead, a page loaded anew without signal goes on by the server\u2019s time', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const page = await context.newPage()
  await page.addInitScript(() => {
    const now = Date.now.bind(Date)
    Date.now = () => now() + 7_200_000
  })
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await interfaceKept(page)
  const written = async () => (await eventsOf(page, job)).filter((e) => e.kind === 'step-done').length
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  await expect.poll(written).toBe(1)
  for (let seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
    await seen.first().click()
  await page.getByRole('button', { name: /Cleaned, cement on/ }).click()
  await expect.poll(written).toBe(2)
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toContainText('within')
  await context.setOffline(true)
  await page.reload()
  await expect(page.getByText(/No signal/).first()).toBeVisible()
  // The window that opened a moment ago did not open two hours ago.
  await expect(h1).toContainText(/within|Too late/)
  await expect(h1).not.toContainText(/[12] h/)
  await context.close()
})
