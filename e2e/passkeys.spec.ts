import { type Page, expect, test } from '@playwright/test'
import { onOwnServer, peopled } from './empty-help'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** A device that keeps passkeys, as the browser itself plays one: its owner is there, or is not. */
async function keeping(page: Page): Promise<{ owner(there: boolean): Promise<void> }> {
  const client = await page.context().newCDPSession(page)
  await client.send('WebAuthn.enable')
  const { authenticatorId } = await client.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  })
  return {
    owner: async (there) =>
      void (await client.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: there })),
  }
}
const PASSWORD = 'reed and gravel'
for (const own of [INCH_MOUSE, METRIC_THUMB])
  test(`${own.how}: a passkey is put on, signs in, and is taken away`, async ({ browser }) => {
    test.slow()
    await onOwnServer(async ({ url, pool }) => {
      await peopled(pool, ['Wren'], PASSWORD)
      const named = `http://localhost:${new URL(url).port}`
      const context = await browser.newContext({ ...own.device, baseURL: named })
      const page = await context.newPage()
      const device = await keeping(page)
      await page.request.post('/api/session', { data: { login: 'wren', password: PASSWORD } })
      await page.goto('/settings')
      const keys = page.getByRole('region', { name: 'Passkeys' })
      await hit(keys.getByRole('button', { name: 'Put a passkey on\u2026' }))
      await keys.getByLabel('What it is called').fill('Phone in the van')
      await keys.getByLabel('Your password, once more').fill('wrong')
      const make = keys.getByRole('button', { name: 'Make it on this device' })
      await hit(make)
      await expect(keys.getByRole('alert')).toContainText('The password so far is not right.')
      await keys.getByLabel('Your password, once more').fill(PASSWORD)
      await device.owner(false)
      await hit(make)
      await expect(keys.getByRole('status')).toContainText('No passkey was made.')
      await device.owner(true)
      await hit(make)
      await expect(keys.getByRole('status')).toContainText('Phone in the van is put on.')
      await expect(keys.getByText(/^Phone in the van, since \d/)).toBeVisible()
      await noViolations(page)

      await page.request.delete('/api/session')
      await page.evaluate(() => localStorage.clear())
      await page.goto('/sign-in?to=/settings')
      const come = page.getByRole('button', { name: 'Sign in with a passkey' })
      await noViolations(page)
      await device.owner(false)
      await hit(come)
      await expect(page.getByRole('alert')).toContainText('No passkey was used.')
      await device.owner(true)
      await hit(come)
      await expect(headline(page)).toContainText('Settings')
      await expect(keys.getByText(/^Phone in the van, since .*, last used \d/)).toBeVisible()

      await hit(keys.getByRole('button', { name: 'Take Phone in the van away' }))
      await expect(keys.getByRole('status')).toContainText('opens nothing any more')
      await page.request.delete('/api/session')
      await page.evaluate(() => localStorage.clear())
      await page.goto('/sign-in')
      await hit(come)
      await expect(page.getByRole('alert')).toContainText('This passkey opens nothing here.')
      await context.close()
    })
  })

test('a page that was opened by a number says why it has no passkeys', async ({ page, baseURL }) => {
  expect(new URL(baseURL ?? '').hostname).toBe('127.0.0.1')
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  await page.goto('/settings')
  const keys = page.getByRole('region', { name: 'Passkeys' })
  await expect(keys.getByText('A passkey is for a name, over https')).toBeVisible()
  await expect(keys.getByRole('button')).toHaveCount(0)
})
