import { type Page, expect, test } from '@playwright/test'
import { PHONE, eventsOf, signIn } from './help'
import { PVC, jobOf } from './make-help'

test.use({ serviceWorkers: 'allow' })

// What a phone does to a page: its clock is set, its stores are shut, a part of the page does not arrive.
test.use({ viewport: PHONE, hasTouch: true, serviceWorkers: 'block' })

interface Kept {
  kind: string
  occurredAtS: number
  clockErrorS: number
  data: { step?: string }
}
const stepsOf = async (page: Page, job: string): Promise<Kept[]> =>
  ((await eventsOf(page, job)) as unknown as Kept[]).filter((e) => e.kind === 'step-done')
async function cement(page: Page): Promise<void> {
  for (let seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
    await seen.first().click()
  await page.getByRole('button', { name: /Cleaned, cement on/ }).click()
}

test('written without signal, then the clock is put forward by two hours: kept at its time, and the window goes on', async ({
  page,
  context,
}) => {
  await page.addInitScript(() => {
    const now = Date.now.bind(Date)
    let shiftMs = 0
    Date.now = () => now() + shiftMs
    Object.assign(window, { putForward: (s: number) => (shiftMs += s * 1000) })
  })
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  await expect.poll(async () => (await stepsOf(page, job)).length).toBe(1)
  await context.setOffline(true)
  await cement(page)
  const trueS = Date.now() / 1000
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toContainText('within')
  await page.evaluate(() => (window as unknown as { putForward(s: number): void }).putForward(7200))
  // By itself a page cannot tell a clock put forward from a sleep: it takes the worse.
  await expect(h1).toContainText(/Too late.*2 h/)
  await context.setOffline(false)
  await expect.poll(async () => (await stepsOf(page, job)).length).toBe(2)
  const kept = (await stepsOf(page, job)).find((e) => e.data.step === 'cement')
  expect(Math.abs((kept?.occurredAtS ?? 0) - trueS)).toBeLessThan(15 + (kept?.clockErrorS ?? 0))
  expect(kept?.clockErrorS ?? Infinity).toBeLessThan(60)
  // Nobody is told that two hours went by.
  await expect(h1).not.toContainText(/Too late.*2 h/)
})

test('no store on the device: work goes on, says so while it is without signal, and loses nothing', async ({
  page,
  context,
}) => {
  await page.addInitScript(() => {
    const shut = { get: () => { throw new DOMException('shut', 'SecurityError') } } // prettier-ignore
    Object.defineProperty(window, 'localStorage', shut)
    Object.defineProperty(window, 'sessionStorage', shut)
    Object.defineProperty(window, 'indexedDB', { get: () => undefined })
  })
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  await expect.poll(async () => (await stepsOf(page, job)).length).toBe(1)
  await context.setOffline(true)
  await cement(page)
  await expect(page.getByRole('alert').filter({ hasText: 'This device keeps nothing' })).toContainText(
    '1 entry waits in this page',
  )
  await context.setOffline(false)
  await expect.poll(async () => (await stepsOf(page, job)).length).toBe(2)
  await expect(page.getByText('This device keeps nothing')).toHaveCount(0)
})

test('a part of the page that does not arrive is said in words, with a way on', async ({ page }) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: /Fits, marked/ }).waitFor()
  await page.route(/\/assets\/Prove[^/]*\.(js|css)/, (r) => r.abort())
  await page.getByRole('link', { name: 'Prove', exact: true }).click()
  const word = page.getByRole('alert').filter({ hasText: 'could not be loaded' })
  await expect(word).toBeVisible()
  await page.unroute(/\/assets\/Prove[^/]*\.(js|css)/)
  await word.getByRole('link', { name: 'Try again' }).click()
  await expect(page).toHaveURL(/prove/)
  await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty()
})
