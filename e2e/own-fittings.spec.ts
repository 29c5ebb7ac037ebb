import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, type, typedParts } from './set-out-help'

const WAYS = [
  {
    ...INCH_MOUSE,
    size: 'NPS 2',
    takeOff: '4-3/4',
    first: ['tee 2', '36 c-c'],
    wrong: '4-3/4 stone',
    reads: '4-3/4',
  },
  {
    ...METRIC_THUMB,
    size: 'd63',
    takeOff: '120',
    first: ['tee 63', '900 c-c'],
    wrong: '120 stone',
    reads: '120',
  },
] as const

bothWays(
  WAYS,
  `a fitting of the house's own is made, typed, joined, drawn and measured by what was said of it`,
  async (page, own) => {
    const job = await begunLine(page, { name: 'Pump house', school: own.school, tag: 'Q9' })
    await page.goto(`/job/${job}/fittings`)
    const list = page.getByRole('region', { name: 'Fittings of your own' })
    await expect(list).toContainText('None yet')
    await hit(list.getByRole('button', { name: 'Make one…' }))
    const sheet = page.getByRole('dialog')
    // A name that is taken, then one of its own.
    await sheet.getByLabel('What it is called').fill('tee')
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet.getByRole('alert')).toContainText('known already')
    await sheet.getByLabel('What it is called').fill('Flow box')
    await sheet.getByLabel('Way on', { exact: true }).selectOption('flanged')
    // A box tapped corner by corner, a circle typed.
    const pad = sheet.locator('.pad')
    await pad.click({ position: { x: 60, y: 70 } })
    await expect(sheet.getByText('Tap one more point.')).toBeVisible()
    await pad.click({ position: { x: 160, y: 150 } })
    const text = sheet.getByLabel('The same as text')
    await expect(text).toHaveValue(/^box -10 -8 10 8$/)
    await text.fill('box -10 -8 10 8; star 1')
    await text.press('Tab')
    await expect(sheet.getByRole('alert')).toContainText('not understood')
    await text.fill('box -10 -8 10 8; circle 0 0 4 filled')
    await text.press('Tab')
    await expect(sheet.locator('.pad .filled')).toHaveCount(1)
    await hit(sheet.getByRole('button', { name: 'Another take-off' }))
    await sheet.getByLabel('Size', { exact: true }).fill(own.size)
    const takeOff = sheet.getByLabel('Fitting centre to the')
    await takeOff.fill(own.wrong)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet).toBeVisible()
    await takeOff.fill(own.takeOff)
    await noViolations(page)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet).toHaveCount(0)
    await expect(list.getByText('flow box', { exact: true })).toBeVisible()
    await noViolations(page)

    // Out as CSV, taken out of the list, a spoilt copy named, and in again.
    const download = page.waitForEvent('download')
    await hit(list.getByRole('button', { name: 'To CSV' }))
    const csv = await readFile(await (await download).path(), 'utf8')
    expect(csv).toContain('flow box,through')
    await hit(list.getByRole('button', { name: 'Take flow box out' }))
    await expect(list).toContainText('None yet')
    await hit(list.getByRole('button', { name: 'From CSV' }))
    const rows = list.getByLabel(/Rows as CSV/)
    await rows.fill(csv.replace('through', 'spiral'))
    await hit(list.getByRole('button', { name: 'Take them' }))
    await expect(list).toContainText('"spiral" is no form of a fitting')
    await rows.fill(csv)
    await hit(list.getByRole('button', { name: 'Take them' }))
    await expect(list.getByText('flow box', { exact: true })).toBeVisible()

    // Typed like any other.
    await hit(page.getByRole('link', { name: 'Back to the lines' }))
    await type(page, ...own.first, 'flow box')
    await expect(typedParts(page).last()).toContainText('flow box')
    await expect(page.getByText(own.reads).first()).toBeVisible()
    const entry = page.getByLabel('Next fitting or piece')
    await entry.fill('?')
    await entry.press('Enter')
    await expect(page.getByText(/does not go on|goes between|not joined/).first()).toBeVisible()
    await entry.fill('')
    await hit(page.getByRole('button', { name: 'Undo' }))
    await expect(typedParts(page)).toHaveCount(2)
  },
)
