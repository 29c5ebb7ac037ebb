import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine } from './set-out-help'

const WAYS = [
  {
    ...INCH_MOUSE,
    offset: '3',
    wrong: '90',
    becomes: 'metric:',
    headline: 'inch practice',
    other: 'metric practice',
  },
  {
    ...METRIC_THUMB,
    offset: '80',
    wrong: '2',
    becomes: 'inch:',
    headline: 'metric practice',
    other: 'inch practice',
  },
] as const

bothWays(WAYS, `a job says what it is; what is changed is listed so, and taken back`, async (page, own) => {
  const job = await begunLine(page, { name: 'Wash house', school: own.school, tag: 'Q9' })
  await page.goto(`/job/${job}/about`)
  const headline = page.getByRole('heading', { level: 1 })
  await expect(headline).toContainText(`Wash house: ${own.headline}`)
  await expect(page).toHaveTitle(/About this job/)
  const keep = page.getByRole('button', { name: 'Keep it' })
  await expect(keep).toBeDisabled()
  await page.getByLabel('Name', { exact: true }).fill(' ')
  await hit(keep)
  await expect(page.getByRole('alert')).toContainText('name')
  await page.getByLabel('Name', { exact: true }).fill('Laundry')
  await page.getByLabel('Time zone').fill('Moon/Crater')
  await hit(keep)
  await expect(page.getByRole('alert')).toContainText('no time zone')
  await page.getByLabel('Time zone').fill('Europe/Vienna')
  await page.getByLabel('Customer').fill('The harbour board')
  await page.getByLabel('Drawing numbers').fill('H-104, H-105')
  const offset = page.getByLabel('Check mark behind the depth mark')
  // A figure of the other system is not taken.
  await offset.fill(own.wrong)
  await hit(keep)
  await expect(page.getByRole('alert').filter({ hasText: 'Say how far behind' })).toBeVisible()
  await offset.fill(own.offset)
  await offset.press('Tab')
  await hit(page.getByRole('radio', { name: own.becomes }))
  await noViolations(page)
  await hit(keep)
  await expect(headline).toContainText(`Laundry: ${own.other}`)
  await page.goto('/jobs')
  await expect(page.getByRole('link', { name: /Laundry/ })).toBeVisible()
  await page.goto(`/job/${job}/about`)
  await expect(page.getByLabel('Customer')).toHaveValue('The harbour board')
  await hit(page.getByRole('radio', { name: own.school.slice(0, 5) }))
  await hit(keep)
  await expect(headline).toContainText(own.headline)
  await hit(page.getByRole('button', { name: 'Undo' }))
  await expect(headline).toContainText(own.other)
})

const USUAL_WAYS = [
  { ...INCH_MOUSE, parts: ['tee 2', '40 f-f', 'elbow 90 2'], figures: ['150', '60', '90', '1'] },
  { ...METRIC_THUMB, parts: ['tee 63', '900 f-f', 'elbow 90 63'], figures: ['16', '6', '9', '0.2'] },
] as const

bothWays(
  USUAL_WAYS,
  'what is usual in a job stands in the fields of its lines and sections',
  async (page, own) => {
    const job = await begunLine(page, { name: 'Wash house', school: own.school, tag: 'Q9' })
    await page.goto(`/job/${job}/about`)
    const [rating, working, test, fall] = own.figures
    const keep = page.getByRole('button', { name: 'Keep it' })
    await page.getByLabel(/Rating of its weakest/).fill(rating)
    await page.getByLabel('Working pressure').fill(working)
    await page.getByLabel('Test pressure').fill(test)
    await page.getByLabel('Fall allowed over the hold').fill(fall)
    const hold = page.getByLabel('Hold, minutes')
    await hold.fill('an hour')
    await hit(keep)
    await expect(page.getByRole('alert')).toContainText('One of the usual figures can’t be read.')
    await hold.fill('90')
    await noViolations(page)
    await hit(keep)
    await expect(keep).toBeDisabled()

    await page.goto(`/job/${job}/set-out`)
    const entry = page.getByLabel('Next fitting or piece')
    for (const part of own.parts) {
      await entry.fill(part)
      await entry.press('Enter')
    }
    await hit(page.getByRole('button', { name: 'Paint a section' }))
    const sheet = page.getByRole('dialog')
    await expect(sheet.getByLabel('Working pressure')).toHaveValue(working)
    await expect(sheet.getByLabel('Test pressure')).toHaveValue(test)
    await expect(sheet.getByLabel('Fall allowed over the hold')).toHaveValue(fall)
    await expect(sheet.getByLabel('Hold, minutes')).toHaveValue('90')
    await hit(sheet.getByRole('button', { name: 'Paint it' }))
    await expect(sheet).toHaveCount(0)
    await page.keyboard.press('n')
    await expect(sheet.getByLabel(/Rating of its weakest/)).toHaveValue(rating)
  },
)
