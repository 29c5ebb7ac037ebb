import { type Page, expect, test } from '@playwright/test'
import { bothWays } from './both-ways'
import { browserSeeing, codePicture, codeVideo } from './camera-help'
import { fromNothing } from './empty-help'
import { noViolations } from './help'
import { chooseIn, hit } from './lists-help'
import { PVC, PVC_INCH, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** A code as makers of anything print it: number of its kind, last day, batch. Invented. */
const CODE = '(01)09506000134352(17)281231(10)L-7'
const WAYS = [
  {
    ...INCH_MOUSE,
    joint: PVC_INCH,
    plastic: 'PVC',
    typed: '1 pt',
    left: ['about 0.48 qt, after one joint', '29 of NPS 2'],
  },
  {
    ...METRIC_THUMB,
    joint: { ...PVC, school: 'metric' as const },
    plastic: 'PVC-U',
    typed: '0.5 l',
    left: ['about 0.48 l, after one joint', '25 of d63'],
  },
]
const begin = async (page: Page, joint: (typeof WAYS)[number]['joint']) => {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  return jobOf(page, { ...joint, name: 'Wash house', tag: 'Q' })
}

bothWays(
  WAYS,
  'no camera lent: a picture of the code puts the tin in; what is left in it is counted',
  async (page, own) => {
    const { job, joints } = await begin(page, own.joint)
    await page.goto(`/job/${job}/store`)
    await hit(page.getByRole('button', { name: 'Scan a code' }))
    await hit(page.getByRole('button', { name: 'Camera', exact: true }))
    const sheet = page.getByRole('dialog')
    await expect(sheet.getByRole('status')).toContainText('Take a picture of the code, or type it.')
    await noViolations(page)
    const picture = sheet.getByLabel('From a picture')
    await picture.setInputFiles({
      name: 'notes.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('no picture'),
    })
    await expect(sheet.getByRole('status')).toContainText('That file is no picture.')
    const code = await codePicture('gs1datamatrix', CODE)
    await picture.setInputFiles({ name: 'tin.png', mimeType: 'image/png', buffer: code })

    // Its batch stands in its field already; once it is cement, its last day too.
    await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('L-7')
    await chooseIn(page.locator('#thing-kind'), 'Cement')
    await expect(sheet.getByLabel('Good until, as printed on it')).toHaveValue('2028-12-31')
    await hit(sheet.getByRole('button', { name: own.plastic, exact: true }))
    await hit(sheet.getByRole('button', { name: 'More of it…' }))
    await hit(sheet.getByRole('radio', { name: 'by volume' }))
    await sheet.getByLabel('How much there is').fill(own.typed)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet).toHaveCount(0)
    await expect(page.locator('.panel')).toContainText('no joint made with it since')

    await page.goto(`/job/${job}/make/${joints[0]}`)
    await hit(page.getByRole('button', { name: /^Take this cement: L-7 ·/ }))
    await hit(page.getByRole('button', { name: /Fits, marked/ }).first())
    await expect(page.getByRole('button', { name: /Fits, marked/ })).toHaveCount(0)
    await page.goto(`/job/${job}/store`)
    await hit(page.getByRole('link', { name: /^L-7\b/ }).last())
    for (const says of own.left) await expect(page.locator('.panel')).toContainText(says)
    await expect(page.locator('.panel')).toContainText('Joints that a quart of cement makes')
    await noViolations(page)

    // What is missing, on paper.
    const saved = page.waitForEvent('download')
    await hit(page.getByRole('button', { name: 'Shopping list as PDF' }))
    expect((await saved).suggestedFilename()).toBe('shopping-list.pdf')
  },
)

for (const own of WAYS)
  test(`${own.how}: the camera reads the code of a tin, and the next time it is found by it`, async () => {
    test.slow()
    const video = test.info().outputPath('tin.y4m')
    await codeVideo(video, await codePicture('gs1-128', CODE))
    const browser = await browserSeeing(video)
    try {
      await fromNothing(browser, (page) => read(page, own), own.device)
    } finally {
      await browser.close()
    }
  })
async function read(page: Page, own: (typeof WAYS)[number]): Promise<void> {
  const { job } = await begin(page, own.joint)
  await page.goto(`/job/${job}/store`)
  await hit(page.getByRole('button', { name: 'Scan a code' }))
  await hit(page.getByRole('button', { name: 'Camera', exact: true }))
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('L-7')
  await chooseIn(page.locator('#thing-kind'), 'Cement')
  await hit(sheet.getByRole('button', { name: own.plastic, exact: true }))
  await hit(sheet.getByRole('button', { name: 'Keep it' }))
  await expect(page.getByRole('heading', { level: 2, name: 'L-7' })).toBeVisible()
  await page.goto(`/job/${job}/store`)
  await expect(headline(page)).not.toBeEmpty()
  // Whoever read by camera reads so again: one tap.
  await hit(page.getByRole('button', { name: 'Scan a code' }))
  await expect(page.getByRole('heading', { level: 2, name: 'L-7' })).toBeVisible()
  await expect(page).toHaveURL(/\/store\/[0-9a-f-]{36}$/)
}
