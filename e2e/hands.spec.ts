import { type Page, expect, test } from '@playwright/test'
import { PHONE, demoJob, noViolations, signIn, write } from './help'
import { COPPER, PVC, jobOf, step } from './make-help'

test.use({ serviceWorkers: 'allow' })

const box = async (page: Page, selector: string) => {
  const b = await page.locator(selector).first().boundingBox()
  if (!b) throw new Error(`${selector} is not there`)
  return b
}

test('Back closes a sheet before it leaves the page; a tap beside it loses nothing typed', async ({
  page,
}) => {
  await page.setViewportSize(PHONE)
  await signIn(page)
  const { job, joints } = await jobOf(page, COPPER)
  await page.goto(`/job/${job}/wait`)
  await page.getByRole('link', { name: 'Make' }).click()
  await page.getByRole('link', { name: /M-01/ }).click()
  await page.getByRole('button', { name: 'Put one in…' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Code, name or number on it').fill('PT-9')
  await page.mouse.click(195, 4)
  await expect(sheet).toContainText('Kept as typed.')
  await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('PT-9')
  await page.goBack()
  await expect(sheet).toHaveCount(0)
  await expect.poll(() => page.url()).toContain(`/make/${joints[0]}`)
  await page.getByRole('button', { name: 'Put one in…' }).click()
  await sheet.getByRole('button', { name: 'Shut this sheet' }).click()
  await expect(sheet).toHaveCount(0)
  // Nothing typed: a tap beside it closes it. Then Back leaves the page.
  await page.getByRole('button', { name: 'Scan a code…' }).waitFor()
  await page.goBack()
  await expect.poll(() => page.url()).not.toContain(`/make/${joints[0]}`)
})

test('a sheet gives the focus back to what opened it, however it is shut, and the next key acts', async ({
  page,
}) => {
  await signIn(page)
  await page.goto(`/job/${await demoJob(page)}/set-out`)
  const opener = page.getByRole('button', { name: 'New line' })
  const sheet = page.getByRole('dialog')
  for (const shut of ['Escape', 'the cross'] as const) {
    await opener.focus()
    await page.keyboard.press('Enter')
    await expect(sheet).toBeVisible()
    if (shut === 'Escape') await page.keyboard.press('Escape')
    else await sheet.getByRole('button', { name: 'Shut this sheet' }).press('Enter')
    await expect(sheet).toHaveCount(0)
    await expect(opener).toBeFocused()
  }
  await page.keyboard.press('n')
  await expect(sheet).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await expect(sheet).toBeVisible()
})

test('keys come first to a way past the strips; the headline speaks at phases, not each second', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  const [j] = joints as [string]
  await write(page, job, [step(j, 'fit', 30), step(j, 'cement', 5)])
  await page.goto(`/job/${job}/make/${j}`)
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toContainText('within')
  const said = page.locator('.top [role=status]')
  const [before, shown] = [await said.textContent(), await h1.textContent()]
  await expect.poll(() => h1.textContent()).not.toBe(shown)
  expect(await said.textContent()).toBe(before)
  await expect(h1).not.toHaveAttribute('aria-live', /./)
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'To the work' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.locator('#work')).toBeFocused()
})

test('a phone on its side shows the action; at 400 % the strips give way and nothing runs off sideways', async ({
  page,
}) => {
  await page.setViewportSize({ width: 844, height: 390 })
  await signIn(page)
  for (const how of [
    COPPER,
    PVC,
    { method: 'flange', material: 'stainless', size: 'NPS 4', details: { bolts: 8 } },
  ]) {
    const { job, joints } = await jobOf(page, how)
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await expect(page.locator('.action')).toBeVisible()
    const action = await box(page, '.action')
    expect(action.y + action.height).toBeLessThanOrEqual(390)
  }
  const job = await demoJob(page)
  await page.setViewportSize({ width: 320, height: 256 })
  for (const place of [
    'set-out',
    'cut',
    'make',
    'wait',
    'prove',
    'hand-over',
    'site',
    'handbook',
    'practice',
  ]) {
    await page.goto(`/job/${job}/${place}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect([place, wide]).toEqual([place, 320])
    // Nothing stands still over what is read: the rule at the foot lies below all of the page.
    const foot = await page.evaluate(() => {
      const rule = document.querySelector('.bottom')
      return rule ? getComputedStyle(rule).position : 'none'
    })
    expect(['static', 'relative', 'none']).toContain(foot)
    const h1 = await box(page, 'h1')
    expect(h1.y).toBeLessThan(256)
  }
})

test('undo has its own place on the phone: the action does not move', async ({ page }) => {
  await page.setViewportSize(PHONE)
  await signIn(page)
  const { job, joints } = await jobOf(page, COPPER)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.locator('.action').click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  const during = await box(page, '.action')
  await noViolations(page)
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0)
  const after = await box(page, '.action')
  expect(Math.abs(after.y - during.y)).toBeLessThan(2)
})

test('forced colours keep the marks; the app can be put on the home screen', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await signIn(page)
  const { job, joints } = await jobOf(page, COPPER)
  await write(page, job, [step(joints[0] as string, 'insert', 60)])
  await page.goto(`/job/${job}/make/${joints[0]}`)
  const done = page.locator('ol[aria-label=Steps] li.done')
  const later = page.locator('ol[aria-label=Steps] li.later')
  const ground = (l: typeof done) => l.first().evaluate((e) => getComputedStyle(e).backgroundColor)
  await expect(done).toHaveCount(1)
  expect(await ground(done)).not.toBe(await ground(later))
  const manifest = (await (await page.request.get('/manifest.webmanifest')).json()) as {
    icons: { src: string; type: string; sizes: string; purpose?: string }[]
  }
  const pngs = manifest.icons.filter((i) => i.type === 'image/png')
  expect(pngs.map((i) => `${i.sizes} ${i.purpose ?? ''}`.trim())).toEqual([
    '192x192',
    '512x512',
    '512x512 maskable',
  ])
  for (const src of [...pngs.map((i) => i.src), '/icon-180.png']) {
    const r = await page.request.get(src)
    expect(r.headers()['content-type']).toContain('image/png')
  }
})

test('the list of keys is of the place it is asked in', async ({ page }) => {
  await signIn(page)
  const { job } = await jobOf(page, COPPER)
  const keys = page.getByRole('dialog', { name: 'Keys' })
  for (const [place, own, not] of [
    ['make', 'mark the joint', 'to the entry line'],
    ['set-out', 'to the entry line', 'the next filter'],
    ['wait', 'the next filter', 'mark the joint'],
    ['hand-over', 'type in a reading', 'the next filter'],
  ] as const) {
    await page.goto(`/job/${job}/${place}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.keyboard.press('?')
    await expect(keys).toContainText(own)
    await expect(keys).toContainText('the places, in working order')
    await expect(keys).not.toContainText(not)
    await page.keyboard.press('Escape')
  }
})
