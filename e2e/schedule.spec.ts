import { expect, test } from '@playwright/test'
import writeWorkbook from 'write-excel-file/node'
import { eventsOf, noViolations } from './help'
import { headline, newLine, type, typedParts } from './set-out-help'

test('a schedule from a file: bad rows are named and nothing is taken; a good one comes in whole; undone in one go', async ({
  page,
}) => {
  const job = await newLine(page, 'Schedule')
  await type(page, 'tee 110')
  const put = (name: string, text: string) =>
    page.locator('#schedule-file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByRole('link', { name: 'Bring in a schedule' }).click()
  await put('bad.csv', 'Tag;Fitting;Size;Length\n;pipe;110;1250,5\n;widget;110;\n;pipe;111;abc\n')
  await expect(headline(page)).toContainText('bad.csv: 5 rows. Say what the columns hold.')
  await noViolations(page)
  await page.getByRole('button', { name: 'Look at it' }).click()
  await expect(headline(page)).toContainText('Nothing is taken: 3 rows are not as it should be.')
  await expect(page.getByText('"widget" is not a fitting known here')).toBeVisible()
  await expect(page.getByText('111 is not a size of pvc-u')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Take/ })).toHaveCount(0)
  await put('picture.csv', '\u0000\u0001')
  await expect(page.getByRole('alert')).toContainText('This is not a table')
  await put('good.csv', 'Tag;Fitting;Size;Length\n;pipe;110;1250,5\nV2;valve;110;\n;pipe;110;?\n;cap;110;\n')
  await page.getByRole('button', { name: 'Look at it' }).click()
  await expect(headline(page)).toContainText('4 rows make 2 pieces and 2 fittings.')
  await page.getByRole('button', { name: 'Take 4 rows' }).click()
  await expect(headline(page)).toContainText('Q9 has 4 joints and 2 pieces')
  await expect(typedParts(page)).toHaveText(['tee 110', '1250.5 c-c', 'valve 110', '? c-c', 'cap 110'])
  await expect.poll(async () => (await eventsOf(page, job)).some((e) => e.kind === 'items-put')).toBe(true)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(headline(page)).toContainText('Q9 has 0 joints and 0 pieces')
})

test('a workbook of twenty thousand rows opens under the content policy, at the sheet that is chosen', async ({
  page,
}) => {
  await newLine(page, 'Workbook')
  await type(page, 'tee 110')
  const row = (i: number) =>
    [`P${i}`, 'pipe', '110', `${1000 + (i % 900)}`].map((value) => ({ value: String(value) }))
  const body = Array.from({ length: 20_000 }, (_, i) => row(i))
  const book = await writeWorkbook([
    { sheet: 'Cover', data: [[{ value: 'Nothing of use' }]] },
    { sheet: 'Yard', data: [['Tag', 'Fitting', 'Size', 'Length'].map((value) => ({ value })), ...body] },
  ]).toBuffer()
  await page.getByRole('link', { name: 'Bring in a schedule' }).click()
  await page.locator('#schedule-file').setInputFiles({
    name: 'yard.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: book,
  })
  await expect(headline(page)).toContainText('yard.xlsx: one row')
  await page.getByRole('radio', { name: 'Yard' }).click()
  await expect(headline(page)).toContainText('yard.xlsx: 20001 rows')
  await noViolations(page)
})

test('a long schedule can be stopped while it is read: nothing is taken, and a file is chosen anew', async ({
  page,
}) => {
  const job = await newLine(page, 'Stopped')
  await type(page, 'tee 110')
  await page.getByRole('link', { name: 'Bring in a schedule' }).click()
  const rows = Array.from({ length: 20_000 }, (_, i) => `;pipe;110;${500 + (i % 900)}`)
  const csv = ['Tag;Fitting;Size;Length', ...rows].join('\n')
  await page.locator('#schedule-file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv),
  })
  await expect(headline(page)).toContainText('long.csv: 20001 rows')
  // Stopped in the same moment as it begins, before the worker can be through.
  await page.evaluate(() => {
    const button = (says: string) =>
      [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === says)
    button('Look at it')?.click()
    const wait = (): void => {
      const stop = button('Stop')
      if (stop) stop.click()
      else requestAnimationFrame(wait)
    }
    wait()
  })
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Take/ })).toHaveCount(0)
  await expect(page.getByText('long.csv')).toHaveCount(0)
  expect((await eventsOf(page, job)).some((e) => e.kind === 'items-put')).toBe(false)
})
