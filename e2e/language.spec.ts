import { expect, test } from '@playwright/test'
import { PHONE, demoJob, signIn } from './help'

/** Nobody else in these tests reads as this person: a language is kept with who chose it. */
const WHO = 'plover'

test.use({ viewport: PHONE, hasTouch: true })
test('a person reads in Spanish: chosen in Settings, on every device of theirs, and back', async ({
  page,
  browser,
}) => {
  await signIn(page, WHO)
  await page.goto('/settings')
  await page.getByRole('radio', { name: 'Español' }).tap()
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await expect(page.getByText('Ningún profesional de lengua española lo ha revisado aún')).toBeVisible()
  const job = await demoJob(page)
  await page.goto(`/job/${job}/make`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('uniones por hacer')
  await page.goto(`/job/${job}/cut`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/^Corta .* mm\. Marca/)
  await page.goto(`/job/${job}/wait`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('admite')
  // What the server refuses is said in it too.
  await page.goto('/settings')
  const refused = await page.evaluate(async () => {
    const answer = await fetch('/api/nowhere', { headers: { 'accept-language': 'es' } })
    return answer.text()
  })
  expect(refused).toContain('Aquí no hay nada.')
  await expect
    .poll(async () => (await (await page.request.get('/api/session/settings')).json()) as unknown)
    .toMatchObject({ settings: { language: 'es' } })

  const other = await browser.newPage()
  await signIn(other, WHO)
  await other.goto('/settings')
  await expect(other.getByRole('radio', { name: 'Español' })).toBeChecked()
  await other.getByRole('radio', { name: 'English' }).click()
  await expect(other.locator('html')).toHaveAttribute('lang', 'en')
  await expect(other.getByRole('heading', { level: 1 })).toContainText('Settings of')
  await other.close()
})
