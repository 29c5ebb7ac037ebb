import { type Browser, type Page, expect, test } from '@playwright/test'
import { onOwnServer, peopled } from './empty-help'
import { eventsOf, noViolations } from './help'
import { hit } from './lists-help'
import { PVC, PVC_INCH, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline, type } from './set-out-help'

/** One tablet for two: one signs in with a password, each says with a PIN who works. */
const PASSWORD = 'reed and gravel'
const WAYS = [
  { ...INCH_MOUSE, joined: PVC_INCH, piece: '42 c-c' },
  { ...METRIC_THUMB, joined: PVC, piece: '1250 c-c' },
] as const
async function signedIn(browser: Browser, url: string, login: string, device: object): Promise<Page> {
  const page = await (await browser.newContext({ ...device, baseURL: url })).newPage()
  expect((await page.request.post('/api/session', { data: { login, password: PASSWORD } })).status()).toBe(
    200,
  )
  return page
}
async function setsPin(page: Page, pin: string): Promise<void> {
  await page.goto('/settings')
  await hit(page.getByRole('button', { name: 'Set a PIN\u2026' }))
  const form = page.getByRole('region', { name: 'PIN for a device that goes from hand to hand' })
  const keep = form.getByRole('button', { name: 'Keep this PIN' })
  await form.getByLabel('Your password').fill('wrong')
  await form.getByLabel('PIN, four to eight digits').fill('1234')
  await hit(keep)
  await expect(form.getByRole('alert')).toContainText('The password so far is not right.')
  await form.getByLabel('Your password').fill(PASSWORD)
  await hit(keep)
  await expect(form.getByRole('alert')).toContainText('digits in a row, are tried first')
  await noViolations(page)
  await form.getByLabel('PIN, four to eight digits').fill(pin)
  await hit(keep)
  await expect(form.getByRole('status')).toContainText('Your PIN is set.')
}
async function takesOver(page: Page, name: string, wrong: string, pin: string): Promise<void> {
  await hit(page.getByRole('button', { name: /works on this device\. Somebody else/ }))
  const sheet = page.getByRole('dialog', { name: 'Who works on this device' })
  await hit(sheet.getByRole('button', { name, exact: true }))
  await sheet.getByLabel(`PIN of ${name}`).fill(wrong)
  await hit(sheet.getByRole('button', { name: `${name} works here now` }))
  await expect(sheet.getByRole('alert')).toContainText('That is not their PIN.')
  await noViolations(page)
  await sheet.getByLabel(`PIN of ${name}`).fill(pin)
  await hit(sheet.getByRole('button', { name: `${name} works here now` }))
  await expect(
    page.getByRole('button', { name: `${name} works on this device. Somebody else\u2026` }),
  ).toBeVisible()
}
for (const own of WAYS)
  test(`${own.how}: a tablet goes from hand to hand, and what is written is whose hands it was in`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(async ({ url, pool }) => {
      await peopled(pool, ['Wren', 'Teal'], PASSWORD)
      const tablet = await signedIn(browser, url, 'wren', own.device)
      const elsewhere = await signedIn(browser, url, 'teal', own.device)
      const { job } = await jobOf(tablet, { ...own.joined, joints: 2 })
      expect(
        (await tablet.request.post(`/api/jobs/${job}/members`, { data: { login: 'teal' } })).status(),
      ).toBe(201)
      await tablet.goto(`/job/${job}/set-out`)
      await expect(headline(tablet)).toBeVisible()
      // Nobody is asked who they are where a device is one's own.
      await expect(tablet.getByRole('button', { name: /works on this device/ })).toHaveCount(0)
      await setsPin(elsewhere, '4821')
      await setsPin(tablet, '7310')
      await tablet.goto(`/job/${job}/set-out`)
      await takesOver(tablet, 'Teal', '4812', '4821')
      await type(tablet, own.piece)
      await expect(tablet.getByText(`${own.piece}: set out.`)).toBeVisible()
      const people = new Map(
        (
          (await (await tablet.request.get(`/api/jobs/${job}/members`)).json()) as {
            members: { personId: string; name: string }[]
          }
        ).members.map(({ personId, name }) => [personId, name]),
      )
      const last = async () => people.get((await eventsOf(tablet, job)).at(-1)?.actorId ?? '')
      await expect.poll(last).toBe('Teal')
      await tablet.goto('/settings')
      await expect(tablet.getByText('Wren signed in on this device.')).toBeVisible()
      await expect(tablet.getByRole('button', { name: 'Set a PIN\u2026' })).toHaveCount(0)
      await tablet.goto(`/job/${job}/set-out`)
      await takesOver(tablet, 'Wren', '0000', '7310')
      for (const each of [tablet, elsewhere]) await each.context().close()
    })
  })
