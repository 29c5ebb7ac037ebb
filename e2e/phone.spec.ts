import { type Page, expect, test } from '@playwright/test'
import { PHONE, eventsOf, signIn, write } from './help'
import { type Made, jobOf } from './make-help'

test.use({ serviceWorkers: 'allow' })

/** A job of its own with one line of two joints, ready to be made. */
async function smallJob(page: Page, school: 'metric' | 'inch' = 'metric'): Promise<Made> {
  await signIn(page)
  const inch = { size: 'NPS 2', material: 'pvc', schedule: '80' }
  const how = school === 'inch' ? inch : { size: 'd63', material: 'pvc-u' }
  return jobOf(page, {
    method: 'solvent-cement',
    name: 'Phone',
    tag: 'Q',
    school,
    joints: 2,
    wallC: 17,
    ...how,
  })
}

/** Counts real taps on the way through one joint; the hold is waited out. */
async function makeOne(page: Page, actions: RegExp[], reading: string): Promise<number> {
  let taps = 0
  await page.getByRole('link', { name: /Q-01/ }).click()
  taps++
  for (const action of actions) {
    await page.getByRole('button', { name: action }).click()
    taps++
  }
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Do not let go')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Check mark should stand')
  await page.getByRole('button', { name: 'right', exact: true }).click()
  await page.getByRole('button', { name: reading }).click()
  return taps + 2
}

test.describe('Make on the phone', () => {
  test.use({ viewport: PHONE, hasTouch: true })
  test('a metric joint takes six taps', async ({ page }) => {
    const { job } = await smallJob(page)
    await page.goto(`/job/${job}/make`)
    const taps = await makeOne(
      page,
      [/Fits, marked/, /Cleaned, cement on/, /Home: start the hold/],
      '50 mm, bead all round',
    )
    expect(taps).toBeLessThanOrEqual(6)
    await expect(page.getByRole('heading', { level: 1 })).toContainText(/Leave alone until|may be moved/)
    await expect(page.getByRole('button', { name: 'Next: Q-02' })).toBeVisible()
  })
  test('an inch joint takes seven, with primer and fractions', async ({ page }) => {
    const { job } = await smallJob(page, 'inch')
    await page.goto(`/job/${job}/make`)
    const taps = await makeOne(
      page,
      [/Fits, marked/, /Primer on/, /Cement on/, /Home: start the hold/],
      '2 in, bead all round',
    )
    expect(taps).toBeLessThanOrEqual(7)
  })
  for (const viewport of [PHONE, { width: 360, height: 740 }])
    test(`targets are 56 px and the action is whole at ${viewport.width}x${viewport.height}`, async ({
      page,
    }) => {
      await page.setViewportSize(viewport)
      const { job, joints } = await smallJob(page)
      await page.goto(`/job/${job}/make/${joints[0]}`)
      const look = async (where: string): Promise<void> => {
        await expect(page.locator('.action')).toBeVisible()
        const small = await page.locator('.panel button:visible, .panel a:visible').evaluateAll((all) =>
          all
            .map((b) => ({
              says: b.textContent?.trim() ?? '',
              h: b.getBoundingClientRect().height,
              w: b.getBoundingClientRect().width,
            }))
            .filter((b) => b.h < 55.5 || b.w < 55.5),
        )
        expect([where, small]).toEqual([where, []])
        const action = await page.locator('.action').boundingBox()
        const dock = await page.locator('.dock-strip').boundingBox()
        expect([where, action!.height >= 96, action!.y + action!.height <= dock!.y + 1]).toEqual([
          where,
          true,
          true,
        ])
      }
      await look('fit')
      await page.getByRole('button', { name: /Fits, marked/ }).click()
      await page.getByRole('button', { name: /Cleaned, cement on/ }).waitFor()
      await look('cement')
      await page.getByRole('button', { name: /Cleaned, cement on/ }).click()
      await page.getByRole('button', { name: /Home: start/ }).waitFor()
      await look('home')
    })
  test('a check-mark reading is never preset', async ({ page }) => {
    const { job, joints } = await smallJob(page)
    await write(
      page,
      job,
      ['fit', 'cement', 'home'].map((step, i) => ({
        kind: 'step-done',
        v: 2,
        jointId: joints[0],
        agoS: 300 - i * 60,
        data: { life: 1, step, readings: {}, shown: [] },
      })),
    )
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Check mark should stand')
    await expect(page.locator('.action')).toBeDisabled()
    await expect(page.locator('.check .figure')).toHaveText('?')
    await page.getByRole('button', { name: 'Cannot read it' }).click()
    await expect(page.getByRole('img', { name: /not judged|not set/ }).first()).toBeVisible()
  })
  test('a missed window leads to its way back', async ({ page }) => {
    const { job, joints } = await smallJob(page)
    await write(
      page,
      job,
      ['fit', 'cement'].map((step, i) => ({
        kind: 'step-done',
        v: 2,
        jointId: joints[0],
        agoS: 400 - i * 60,
        data: { life: 1, step, readings: {}, shown: [] },
      })),
    )
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText(
      /Too late to push home: 5:\d\d\. The limit was 4:00\./,
    )
    await page.getByRole('button', { name: 'Cement skinned, still soft' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText(/Push home within (4:00|3:\d\d)/)
    await page.getByRole('button', { name: 'Cement hard' }).click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Cut out / })
      .click()
    await expect(page.getByText('made again: life 2')).toBeVisible()
  })
  test('without signal entries stay on the phone, count up, and go out when it is back', async ({
    page,
    context,
  }) => {
    const { job, joints } = await smallJob(page)
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await page.getByRole('button', { name: /Fits, marked/ }).waitFor()
    const before = (await eventsOf(page, job)).length
    await context.setOffline(true)
    await page.getByRole('button', { name: /Fits, marked/ }).click()
    await page.getByRole('button', { name: /Cleaned, cement on/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Push home within')
    await expect(page.getByRole('status').filter({ hasText: 'No signal' })).toContainText('2 to send')
    await context.setOffline(false)
    await expect(page.getByText('No signal')).toHaveCount(0)
    await expect.poll(async () => (await eventsOf(page, job)).length).toBe(before + 2)
  })
})
