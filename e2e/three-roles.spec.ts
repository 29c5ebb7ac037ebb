import { type Browser, type Page, expect, test } from '@playwright/test'
import { onOwnServer } from './empty-help'
import { fileOf, pagesOf } from './files-help'
import { noViolations } from './help'
import { hit } from './lists-help'
import { begin, ends, ready } from './prove-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** From a first start with nobody to a countersigned certificate: who has the job, who tests it, who witnesses. */
const PASSWORD = 'reed and gravel'
const open = async (browser: Browser, url: string, device: object): Promise<Page> =>
  (await browser.newContext({ ...device, baseURL: url })).newPage()

/** Comes in by a way that somebody else gave, and chooses a password that is too short first. */
async function comesIn(page: Page, way: string, name: string, firm?: string): Promise<void> {
  await page.goto(way)
  if (firm) {
    await page.getByLabel('Firm or crew').fill(firm)
    await page.getByLabel('What you are called').fill(name)
  }
  await page.getByLabel('You sign in as').fill(name.toLowerCase())
  await page.getByLabel('Password, 8 letters').fill('short')
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(page.getByRole('alert')).toContainText('at least 8 letters')
  await page.getByLabel('Password, 8 letters').fill(PASSWORD)
  await hit(page.getByRole('button', { name: 'Begin' }))
  await expect(headline(page)).toContainText('You are on no job yet.')
}
async function invited(owner: Page, guest: Page, name: string): Promise<void> {
  await owner.goto('/settings')
  await owner.getByLabel('What they are called').fill(name)
  await hit(owner.getByRole('button', { name: 'Make a link' }))
  await expect(owner.getByRole('img', { name: `The link for ${name} as a code` })).toBeVisible()
  await comesIn(guest, (await owner.locator('.url').textContent()) ?? '', name)
}
async function putOn(owner: Page, job: string, name: string, role: string): Promise<void> {
  await owner.goto(`/job/${job}/about`)
  await owner.getByLabel('Signs in as').fill(name.toLowerCase())
  await hit(owner.getByRole('button', { name: 'Put on the job' }))
  await owner.getByLabel(`What ${name} is on this job`).selectOption(role)
  await expect(owner.getByText(`${name}: ${role} on this job from now on.`)).toBeVisible()
}
async function signs(page: Page, name: string): Promise<void> {
  await hit(page.getByRole('button', { name: `Sign as ${name}` }).first())
  const sheet = page.getByRole('dialog')
  await expect(sheet).toContainText('Test of T1-A at')
  await noViolations(page)
  await hit(sheet.getByRole('button', { name: `Sign as ${name}` }))
}
for (const own of [INCH_MOUSE, METRIC_THUMB])
  test(`${own.how}: from a first start to a certificate with the hands of three people in three roles`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(async ({ url, code }) => {
      const [owner, tester, witness] = [
        await open(browser, url, own.device),
        await open(browser, url, own.device),
        await open(browser, url, own.device),
      ]
      await comesIn(owner, `/welcome/${String(code)}`, 'Smew', 'Smew and daughters')
      await invited(owner, tester, 'Dipper')
      await invited(owner, witness, 'Ousel')
      const { job } = await ready(owner)
      await putOn(owner, job, 'Dipper', 'tester')
      await putOn(owner, job, 'Ousel', 'witness')

      // A witness looks on and begins nothing.
      await witness.goto(`/job/${job}/prove`)
      await expect(witness.getByRole('note')).toContainText('You are a witness here')
      await begin(tester, job)
      await expect(ends(tester, 'held')).toBeVisible({ timeout: 90_000 })
      await hit(ends(tester, 'held'))
      await expect(headline(tester)).toContainText('T1-A is proved at')
      await signs(tester, 'Dipper')
      await expect(headline(witness)).toContainText('T1-A is proved at')
      await signs(witness, 'Ousel')
      await owner.goto(`/job/${job}/prove`)
      await expect(owner.getByText(/signed.* Dipper, Ousel/i)).toBeVisible()

      const pages = await pagesOf(
        await fileOf(owner, owner.getByRole('button', { name: 'Certificate, PDF' })),
      )
      for (const says of ['Pressure test of T1-A', 'Held', 'Dipper, tester', 'Ousel, witness'])
        expect(pages[0]).toContain(says)
      await owner.goto(`/job/${job}/hand-over`)
      await hit(owner.getByRole('button', { name: 'Check the record' }))
      await expect(owner.getByRole('status').filter({ hasText: 'It holds' })).toBeVisible()
      for (const each of [owner, tester, witness]) await each.context().close()
    })
  })
