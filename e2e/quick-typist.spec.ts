import { expect, test } from '@playwright/test'
import { fromNothing } from './empty-help'

/** Each stands on what the one before it made: a branch is left before the run goes on. */
const TYPED = [
  'elbow 90 63',
  '2400 c-c',
  'tee',
  'branch',
  '1400 c-c',
  'valve 63 tag V11',
  '..',
  '1800 c-c',
  'elbow 90',
  '1350 c-c',
  'tee',
  'branch',
  '900 c-c',
  'valve 63 tag V12',
  '..',
  '1350 c-c',
  'elbow 90',
] as const

test('entries typed faster than a slow device keeps them stand where they were meant', async ({
  browser,
}) => {
  test.slow()
  await fromNothing(browser, async (page) => {
    const { keyboard } = page
    const h1 = page.getByRole('heading', { level: 1 })
    await page.goto('/')
    await page.getByLabel('Name').fill('wren')
    await page.getByLabel('Password').fill('tide-and-pipe')
    await keyboard.press('Enter')
    await expect(h1).toContainText('You are on no job yet')
    await page.getByLabel('Name').fill('Typed at speed')
    await keyboard.press('Enter')
    await expect(h1).toContainText('Nothing set out yet')
    await keyboard.press('n')
    await expect(page.locator('#line-name')).toBeVisible()
    await keyboard.type('QR')
    await page.getByLabel('What it carries').fill('Ring main')
    await page.getByLabel(/Rating of its weakest/).fill('10')
    await keyboard.press('Enter')
    await expect(h1).toContainText('Nothing set out yet. Type a fitting')
    const slow = await page.context().newCDPSession(page)
    await slow.send('Emulation.setCPUThrottlingRate', { rate: 6 })
    const field = page.locator('#entry')
    await keyboard.press('.')
    await expect(field).toBeFocused()
    for (const text of TYPED) {
      await keyboard.type(text)
      await keyboard.press('Enter')
    }
    await expect(field).toHaveAttribute('aria-busy', 'false')
    await expect(field).toHaveValue('')
    await expect(page.locator('.entry .refusal')).toHaveCount(0)
    // As told, each branch a step in from the run that goes on after it.
    const rows = page.locator('.part .name')
    const steps = await rows.evaluateAll((all) =>
      all.map((row) => `${'> '.repeat(parseFloat(row.style.paddingLeft) / 14)}${row.textContent?.slice(1)}`),
    )
    expect(steps.map((s) => s.trim())).toEqual([
      'F01',
      'P01',
      'F02',
      '> P02',
      '> V11',
      'P03',
      'F03',
      'P04',
      'F04',
      '> P05',
      '> V12',
      'P06',
      'F05',
    ])
  })
})
