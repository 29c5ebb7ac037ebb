import { expect } from '@playwright/test'
import writeWorkbook from 'write-excel-file/node'
import { bothWays } from './both-ways'
import { eventsOf, noViolations } from './help'
import { chooseIn, hit } from './lists-help'
import { PVC, PVC_INCH, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

const WAYS = [
  {
    ...INCH_MOUSE,
    joint: PVC_INCH,
    plastic: 'PVC',
    begins: ['Fits, marked'],
  },
  {
    ...METRIC_THUMB,
    joint: { ...PVC, school: 'metric' as const },
    plastic: 'PVC-U',
    begins: ['Fits, marked'],
  },
]

bothWays(
  WAYS,
  'a store from nothing: put in by its code, offered at the joint, recalled',
  async (page, own) => {
    await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
    const { job, joints } = await jobOf(page, { ...own.joint, name: 'Wash house', tag: 'Q' })
    await page.goto(`/job/${job}/wait`)
    await expect(headline(page)).not.toBeEmpty()
    // S leads there.
    await page.keyboard.press('s')
    await expect(headline(page)).toContainText('Nothing in the store yet. Scan a code or type it.')
    await noViolations(page)

    // A code that is on nothing here is put in under that code; a wrong day is named at its field.
    await hit(page.getByRole('button', { name: 'Scan a code' }))
    const code = page.getByLabel('Code of a tin')
    await code.fill('26105A')
    await code.press('Enter')
    const sheet = page.getByRole('dialog')
    await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('26105A')
    await chooseIn(page.locator('#thing-kind'), 'Cement')
    await expect(sheet).toContainText('Filled 2026-04-15, good to 2028-04-15')
    await hit(sheet.getByRole('button', { name: 'ABS', exact: true }))
    await sheet.getByLabel('Good until, as printed on it').fill('2028-02-30')
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet.getByRole('alert')).toContainText('2028-02-30')
    await noViolations(page)
    await sheet.getByLabel('Good until, as printed on it').fill('')
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet).toHaveCount(0)
    await expect(page.getByRole('heading', { level: 2, name: '26105A' })).toBeVisible()
    await noViolations(page)

    // It was taken for another plastic: changed, and it fits.
    await hit(page.getByRole('button', { name: 'Change it…' }))
    await hit(sheet.getByRole('button', { name: own.plastic, exact: true }))
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(page.getByText('Fits, of what is not made')).toBeVisible()
    // The same code once more is the same tin, or another of its batch.
    await hit(page.getByRole('button', { name: 'Put in…' }))
    await chooseIn(page.locator('#thing-kind'), 'Cement')
    await sheet.getByLabel('Code, name or number on it').fill('26105A')
    await hit(sheet.getByRole('button', { name: own.plastic, exact: true }))
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet.getByRole('alert')).toContainText('26105A is in the store already.')
    await hit(sheet.getByRole('button', { name: 'Another of that batch' }))
    await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('26105A #2')
    await sheet.getByLabel('Good until, as printed on it').fill('2028-04-15')
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(page.getByRole('heading', { level: 2, name: '26105A #2' })).toBeVisible()
    // Empty by a slip, and back.
    await hit(page.getByRole('button', { name: 'Empty' }))
    await expect(page.locator('.panel')).toContainText('Empty')
    await hit(page.getByRole('button', { name: 'Put it back' }))
    await expect(page.locator('.panel')).toContainText('Good until 15 Apr 2028')

    // At the joint the right one is offered, and it goes into the record.
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await hit(page.getByRole('button', { name: /^Take this cement: 26105A ·/ }))
    for (const name of own.begins) await hit(page.getByRole('button', { name: new RegExp(name) }).first())
    const tins = async () =>
      ((await eventsOf(page, job)) as unknown as { kind: string; data: { tinId?: string } }[]).filter(
        (event) => event.kind === 'step-done' && event.data.tinId,
      ).length
    await expect.poll(tins).toBe(own.begins.length)

    // Found wrong since a day: the joint is named before anybody says so, and flagged after.
    await page.goto(`/job/${job}/store`)
    await hit(page.getByRole('link', { name: /^26105A\b(?! #)/ }).last())
    await expect(page.locator('.panel')).toContainText('1 joint in the line.')
    await hit(page.getByRole('button', { name: 'Found to be wrong' }))
    await page.getByLabel('What is wrong').fill('thick, in lumps')
    await page.getByLabel('Since').fill('not a time')
    await hit(page.getByRole('button', { name: /^Look at every joint/ }))
    await expect(page.getByRole('alert')).toBeVisible()
    await page.getByLabel('Since').fill('2026-01-01')
    await hit(page.getByRole('button', { name: /^Look again at 1 joint/ }))
    await expect(headline(page)).toContainText('26105A was found wrong: no joint is made with it.')
    await noViolations(page)
    await page.goto(`/job/${job}/make/${joints[1]}`)
    await expect(page.getByText('26105A was found wrong: thick, in lumps.').first()).toBeVisible()

    // Who made what, and when: a question without either is refused.
    await page.goto(`/job/${job}/store`)
    await hit(page.getByRole('button', { name: 'Look for them' }))
    await expect(page.getByRole('alert')).toContainText('Say who made them, or when.')
    await page.getByLabel('From', { exact: true }).fill('2026-01-01')
    await hit(page.getByRole('button', { name: 'Look for them' }))
    await expect(page.getByRole('status').filter({ hasText: '1 joint in the line.' })).toBeVisible()
    // Where they stand is drawn; one act puts them all in doubt, with a word.
    await expect(page.getByText('Q: 1 of 6 joints')).toBeVisible()
    await hit(page.getByRole('button', { name: 'Look again at 1 joint' }))
    await expect(page.getByRole('alert')).toContainText('Say what is in doubt.')
    await page.getByLabel('What is in doubt about them').fill('wet pipe that morning')
    await hit(page.getByRole('button', { name: 'Look again at 1 joint' }))
    await noViolations(page)
    const doubted = async (): Promise<unknown> =>
      (await eventsOf(page, job)).find(({ kind }) => kind === 'joints-doubted')?.data
    await expect.poll(doubted).toEqual({ jointIds: [joints[0]], says: 'wet pipe that morning' })
  },
)

bothWays(
  WAYS,
  'things of a store come in as CSV: bad rows are named and nothing is taken',
  async (page, own) => {
    await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
    const { job } = await jobOf(page, { ...own.joint, name: 'Wash house', tag: 'Q' })
    await page.goto(`/job/${job}/store`)
    await hit(page.getByRole('button', { name: 'From CSV…' }))
    const head = (await page.getByLabel(/^Rows as CSV/).getAttribute('placeholder'))?.split(/\r?\n/)[0] ?? ''
    const row = (name: string, kind = 'cement') => `${kind},${name},,plastic=pvc,,2028-04-15,,,,,,`
    await page.getByLabel(/^Rows as CSV/).fill([head, row('T-1'), row('T-2', 'magic'), row('T-1')].join('\n'))
    await hit(page.getByRole('button', { name: 'Put them in' }))
    await expect(page.getByRole('alert').first()).toContainText('Nothing was loaded')
    await expect(page.getByText('No kind of thing is called magic.')).toBeVisible()
    await noViolations(page)
    const things = Array.from({ length: 70 }, (_, i) => row(`T-${i}`))
    await page.getByLabel(/^Rows as CSV/).fill([head, ...things, 'gauge,G-1,,,,,,,,2026-01-01,,'].join('\n'))
    await hit(page.getByRole('button', { name: 'Put them in' }))
    await expect(headline(page)).toContainText('G-1 is out of date since 1 Jan 2026')
    await page.getByLabel('Code, kind, batch, what it fits').fill('t-69')
    await expect(page.locator('a.row')).toHaveCount(1)
    await page.getByLabel('Code, kind, batch, what it fits').fill('nothing of the sort')
    await expect(page.getByText('Nothing in the store by this text.')).toBeVisible()
    // A workbook is read as well; what is no table is refused.
    await hit(page.getByRole('button', { name: 'From CSV…' }))
    const put = (name: string, buffer: Buffer) =>
      page.locator('#store-file').setInputFiles({ name, mimeType: 'application/octet-stream', buffer })
    await put('picture.xlsx', Buffer.from('\u0000\u0001'))
    await expect(page.getByRole('alert')).toContainText('This is not a table')
    const cells = [head, row('T-900')].map((line) => line.split(',').map((value) => ({ value })))
    await put('things.xlsx', await writeWorkbook([{ sheet: 'Things', data: cells }]).toBuffer())
    await expect(page.getByLabel(/^Rows as CSV/)).toHaveValue(/cement,T-900,/)
    await hit(page.getByRole('button', { name: 'Put them in' }))
    const rows = page.locator('a.row')
    await page.getByLabel('Code, kind, batch, what it fits').fill('t-900')
    await expect(rows).toHaveCount(1)
    await page.keyboard.press('Escape')
    await page.keyboard.press('Control+z')
    await page.getByLabel('Code, kind, batch, what it fits').fill('t-900')
    await expect(rows).toHaveCount(0)
    // Taken back in one go.
    await page.keyboard.press('Escape')
    await page.keyboard.press('Control+z')
    await expect(headline(page)).toContainText('Nothing in the store yet')
  },
)
