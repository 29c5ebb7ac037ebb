import { expect, test } from '@playwright/test'
import { eventsOf, noViolations, signIn, write } from './help'
import { PVC, jobOf, step } from './make-help'

const FLANGE = {
  method: 'flange',
  material: 'carbon-steel',
  size: 'NPS 4',
  school: 'inch' as const,
  details: { bolts: 8, dryTorqueNm: 81.35 },
  joints: 2,
}

test('over its torque a flange fails; loosened and tightened again it is looked at anew and is good', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, FLANGE)
  const done = async () => (await eventsOf(page, job)).filter((e) => e.kind === 'step-done')
  const h1 = page.getByRole('heading', { level: 1 })
  const action = page.locator('.action')
  await page.goto(`/job/${job}/make/${joints[0]}`)
  for (const n of [1, 2]) {
    const seen = page.getByRole('button', { name: 'Seen', exact: true })
    if (await seen.count()) await seen.first().click()
    await action.click()
    await expect.poll(async () => (await done()).length).toBe(n)
  }
  // Sixty foot-pounds are asked for, and one tap says by whom.
  await page.getByRole('button', { name: 'Where from?' }).click()
  await expect(page.getByRole('dialog')).toContainText(/60 ft-lb/)
  await noViolations(page)
  await page.keyboard.press('Escape')
  await page.locator('#read-torqueNm').fill('80')
  await action.click()
  await expect(h1).toContainText('80 ft-lb; 60 ft-lb is asked for. Loosen and tighten again.')
  await noViolations(page)
  await page.getByRole('button', { name: 'Put it right' }).click()
  // Left as it is, it stays failed.
  await page.getByRole('button', { name: 'Leave it as it is' }).click()
  await expect(h1).toContainText('Loosen and tighten again')
  await page.getByRole('button', { name: 'Put it right' }).click()
  await page.locator('#read-torqueNm').fill('60')
  await action.click()
  await expect.poll(async () => (await done()).length).toBe(4)
  expect((await done())[3]?.data.readings).toMatchObject({ again: true })
  await expect(action).toContainText('Even all round')
  await action.click()
  await expect(page.getByRole('img', { name: /judged good/ }).first()).toBeVisible()
})

test('where no torque is known none is judged good, and a way leads to the line', async ({ page }) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, { ...FLANGE, details: { bolts: 8 } })
  const [joint = ''] = joints
  const all = ['align', 'gasket', 'star', 'look']
  await write(
    page,
    job,
    all.map((id, i) =>
      step(
        joint,
        id,
        400 - i * 50,
        id === 'star' ? { torqueNm: 81 } : id === 'look' ? { faces: 'even' } : {},
      ),
    ),
  )
  await page.goto(`/job/${job}/make/${joint}`)
  await expect(page.getByText('60 ft-lb was read, but no torque is known here')).toBeVisible()
  await expect(page.getByRole('img', { name: /judged good/ })).toHaveCount(0)
  await page.getByRole('link', { name: 'To the line' }).click()
  await expect(page).toHaveURL(/set-out/)
})

test('a tin is written down in Make; past its date it stops the work, and another is fetched', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  const sheet = page.getByRole('dialog')
  await page.getByRole('button', { name: 'Put one in…' }).click()
  await sheet.getByRole('button', { name: 'Keep it, in hand' }).click()
  await expect(sheet.getByRole('alert').first()).toContainText(
    'Write the code, name or number that stands on it',
  )
  await sheet.getByLabel('Code, name or number on it').fill('20100X')
  await expect(sheet.getByRole('status')).toContainText(
    'Filled 2020-04-09, good to 2022-04-09: 24 months (common practice). It is past its date.',
  )
  await noViolations(page)
  await sheet.getByRole('button', { name: 'Keep it, in hand' }).click()
  await expect(page.getByText('This tin is past its date. Fetch another.')).toBeVisible()
  await page.getByRole('button', { name: 'Put one in…' }).click()
  await sheet.getByLabel('Code, name or number on it').fill('Lot 7')
  await sheet.getByLabel('Good until').fill('2099-01-31')
  await sheet.getByRole('button', { name: 'Keep it, in hand' }).click()
  await expect(page.getByText('This tin is past its date. Fetch another.')).toBeHidden()
  await expect
    .poll(async () =>
      (await eventsOf(page, job)).filter((e) => e.kind === 'lot-set').map((e) => e.data.expiresOn),
    )
    .toEqual(['2022-04-09', '2099-01-31'])
})
