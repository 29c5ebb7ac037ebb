import { expect, test } from '@playwright/test'
import { PHONE, eventsOf, noViolations, signIn, waitingOnDevice } from './help'
import { PVC, jobOf } from './make-help'

test.use({ serviceWorkers: 'allow' })

test.use({ viewport: PHONE, hasTouch: true })
test('signed out in the middle of the work: it goes on here; nobody else sends it, and it goes out under its own name', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  expect((await page.request.post(`/api/jobs/${job}/members`, { data: { login: 'teal' } })).status()).toBe(
    201,
  )
  const people = await page.request.get(`/api/jobs/${job}/members`)
  const { members } = (await people.json()) as { members: { personId: string; name: string }[] }
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: /Fits, marked/ }).waitFor()

  // The session ends somewhere else; the next act is kept, and said to wait.
  await page.request.delete('/api/session')
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  const word = page.getByRole('status').filter({ hasText: 'Signed out' })
  await expect(word).toContainText('1 to send')
  await expect(page.getByRole('button', { name: /Cleaned, cement on/ })).toBeEnabled()
  await noViolations(page)

  // Another person takes the same phone: what the first wrote is not theirs to send.
  const enter = async (login: string): Promise<void> => {
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
    await page.getByLabel('Name').fill(login)
    await page.getByLabel('Password').fill('tide-and-pipe')
    await page.getByRole('button', { name: 'Sign in' }).click()
  }
  await word.getByRole('link', { name: 'Sign in again' }).click()
  await enter('teal')
  await expect(page.getByRole('button', { name: /Fits, marked/ })).toBeVisible()
  const fits = async (): Promise<string[]> =>
    ((await eventsOf(page, job)) as unknown as { kind: string; actorId: string; data: { step?: string } }[])
      .filter((e) => e.kind === 'step-done' && e.data.step === 'fit')
      .map((e) => members.find((m) => m.personId === e.actorId)?.name ?? '')
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  // What was sent is off the device once the page has read the answer: left before, it would wait to be sent again.
  await expect.poll(() => waitingOnDevice(page)).toBe(1)
  await expect.poll(fits).toEqual([expect.stringContaining('Teal')])
  await page.goto('/jobs')
  await expect(page.getByText('1 entry on this device was written by somebody else')).toBeVisible()
  await page.getByRole('button', { name: 'Sign out' }).click()

  // The first signs in again; while it cannot be sent that is said, and asked before signing out.
  const sending = `**/api/jobs/${job}/events`
  await page.route(sending, (route) => route.abort())
  await enter('wren')
  await expect(page.getByText('1 entry of yours on this device is not sent yet')).toBeVisible()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('alert')).toContainText('1 entry of yours is not sent.')
  await page.getByRole('button', { name: 'Stay signed in' }).click()
  // As soon as it can be, it goes out as theirs, from the list of jobs too.
  await page.unroute(sending)
  await expect(page.getByText('is not sent yet')).toHaveCount(0)
  await expect.poll(fits).toEqual([expect.stringContaining('Teal'), expect.stringContaining('Wren')])
})

test('signed out elsewhere, a page outside any job leads to signing in and back', async ({ page }) => {
  await signIn(page)
  await page.goto('/jobs')
  await expect(page.getByText('you are on')).toBeVisible()
  await page.request.delete('/api/session')
  await page.goto('/jobs')
  await expect(page).toHaveURL(/sign-in\?to=\/jobs/)
})
