import { type Browser, type Page, expect, test } from '@playwright/test'
import { onOwnServer } from './empty-help'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** From a first start with nobody, to a firm whose people come and go. */
const PASSWORD = 'reed and gravel'
const WAYS = [INCH_MOUSE, METRIC_THUMB]
const open = async (browser: Browser, url: string, own: (typeof WAYS)[number]): Promise<Page> =>
  (await browser.newContext({ ...own.device, baseURL: url })).newPage()

async function first(page: Page, code: string): Promise<void> {
  await page.goto('/jobs')
  // Nothing of the demo is said where there is none.
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await expect(page.getByText('In the demo')).toHaveCount(0)
  await page.goto(`/welcome/${code}`)
  await expect(headline(page)).toContainText('You are the first here.')
  await noViolations(page)
  await page.getByLabel('Firm or crew').fill('Smew and daughters')
  await page.getByLabel('What you are called').fill('Smew')
  await page.getByLabel('You sign in as').fill('smew')
  await page.getByLabel('Password, 8 letters').fill('short')
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(page.getByRole('alert')).toContainText('at least 8 letters')
  await page.getByLabel('Password, 8 letters').fill(PASSWORD)
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(headline(page)).toContainText('You are on no job yet.')
}
async function invites(page: Page, name: string): Promise<string> {
  await page.goto('/settings')
  await page.getByLabel('What they are called').fill(name)
  await hit(page.getByRole('button', { name: 'Make a link' }))
  await expect(page.getByRole('img', { name: `The link for ${name} as a code` })).toBeVisible()
  await noViolations(page)
  return (await page.locator('.url').textContent()) ?? ''
}
async function comes(page: Page, link: string): Promise<void> {
  await page.goto(link)
  await expect(headline(page)).toContainText('Come in to Smew and daughters.')
  await page.getByLabel('You sign in as').fill('smew')
  await page.getByLabel('Password, 8 letters').fill(PASSWORD)
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(page.getByRole('alert')).toContainText('Somebody signs in as "smew" already.')
  await page.getByLabel('You sign in as').fill('dipper')
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(headline(page)).toContainText('You are on no job yet.')
  await page.goto('/settings')
  await expect(page.getByRole('heading', { name: 'People of the firm' })).toHaveCount(0)
}
/** Begins a job, puts the other on it, takes them off again. */
async function onAndOff(page: Page, guest: Page): Promise<void> {
  await page.goto('/jobs')
  await page.getByLabel('Name', { exact: true }).fill('Wash house')
  await hit(page.getByRole('button', { name: 'Begin the job' }))
  await page.waitForURL(/\/job\/[0-9a-f-]{36}/)
  const [, jobId] = /job\/([0-9a-f-]{36})/.exec(page.url()) ?? []
  await page.goto(`/job/${jobId}/about`)
  await page.getByLabel('Signs in as').fill('dipper')
  await hit(page.getByRole('button', { name: 'Put on the job' }))
  await expect(page.getByRole('status').filter({ hasText: 'Dipper is on this job.' })).toBeVisible()
  await guest.goto(`/job/${jobId}/about`)
  await expect(headline(guest)).toContainText('Wash house')
  await noViolations(page)
  const off = page.getByRole('button', { name: /^Dipper:/ })
  await hit(off)
  await hit(off)
  await expect(page.getByText('In the log, and not on the job: Dipper')).toBeVisible()
  await guest.reload()
  await expect(headline(guest)).toContainText('There is no such job')
}
/** Forgot the password: a new one by a link; then goes for good. */
async function forgotAndGone(page: Page, guest: Page): Promise<void> {
  await page.goto('/settings')
  await hit(page.getByRole('button', { name: 'Dipper: New password…' }))
  const link = (await page.locator('.url').textContent()) ?? ''
  await guest.goto(link)
  await expect(headline(guest)).toContainText('A new password for dipper.')
  await guest.getByLabel('Password, 8 letters').fill('stones in the beck')
  await hit(guest.getByRole('button', { name: 'Keep this password' }))
  await expect(headline(guest)).toContainText('You are on no job yet.')
  await guest.goto(link)
  await expect(headline(guest)).toContainText('This way in is closed.')
  const go = page.getByRole('button', { name: 'Dipper: Let go' })
  await hit(go)
  await hit(go)
  await expect(page.getByRole('button', { name: 'Let back in' })).toBeVisible()
  await guest.goto('/sign-in')
  await guest.getByLabel('Name').fill('dipper')
  await guest.getByLabel('Password').fill('stones in the beck')
  await hit(guest.getByRole('button', { name: 'Sign in' }))
  await expect(guest.getByRole('alert')).toContainText('Name or password is not right.')
  await hit(page.getByText('What was done to people'))
  await expect(page.getByText('Smew let Dipper go')).toBeVisible()
}
for (const own of WAYS)
  test(`${own.how}: the first one comes by the printed code, brings another in, and lets them go`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(async ({ url, code }) => {
      const page = await open(browser, url, own)
      const guest = await open(browser, url, own)
      await first(page, String(code))
      await comes(guest, await invites(page, 'Dipper'))
      await onAndOff(page, guest)
      await forgotAndGone(page, guest)
      // Changes their own password, with a wrong one first.
      await page.goto('/settings')
      await hit(page.getByRole('button', { name: 'Change the password…' }))
      await page.getByLabel('Password so far').fill('wrong')
      await page.getByLabel('New password', { exact: true }).fill('alder and oak')
      await hit(page.getByRole('button', { name: 'Keep the new one' }))
      await expect(page.getByRole('alert')).toContainText('The password so far is not right.')
      await page.getByLabel('Password so far').fill(PASSWORD)
      await hit(page.getByRole('button', { name: 'Keep the new one' }))
      await expect(page.getByRole('status')).toContainText('The password is changed.')
      for (const each of [page, guest]) await each.context().close()
    })
  })
