import { randomUUID } from 'node:crypto'
import { type Page, expect, test } from '@playwright/test'
import writeWorkbook from 'write-excel-file/node'
import { PHONE, eventsOf, noViolations, signIn, write } from './help'

/** A job of its own with one line begun; gives its id. */
async function newLine(page: Page, name: string, tag = 'Q9'): Promise<string> {
  await signIn(page)
  await page.goto('/jobs')
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Begin the job' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing set out yet')
  await page.keyboard.press('n')
  await page.getByLabel('Tag').fill(tag)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Next fitting or piece')).toBeVisible()
  return page.url().split('/job/')[1]?.split('/')[0] ?? ''
}
async function type(page: Page, ...texts: string[]): Promise<void> {
  const entry = page.getByLabel('Next fitting or piece')
  for (const text of texts) {
    await entry.fill(text)
    await entry.press('Enter')
    await expect(entry).toHaveValue('')
  }
}
const parts = (page: Page) => page.locator('.grid-space .part .name')
const typedParts = (page: Page) => page.locator('.grid-space .part .cell:nth-child(2)')
const headline = (page: Page) => page.getByRole('heading', { level: 1 })

test('branches, edits, moves by key and by mouse, undo and redo', async ({ page }) => {
  await newLine(page, 'Edits')
  await type(page, 'tee 110 63', '1250', 'elbow 90', '700', 'cap', 'branch')
  await expect(page.getByText('into the branch of Q9/F01')).toBeVisible()
  await type(page, '400', 'valve 63 tag V2', '..')
  await expect(typedParts(page)).toHaveText([
    'tee 110 63',
    '400 c-c',
    'valve 63',
    '1250 c-c',
    'elbow 90 110',
    '700 c-c',
    'cap 110',
  ])
  await expect(headline(page)).toContainText('Q9 has 6 joints and 3 pieces; 5 take-offs are not known.')
  await noViolations(page)

  // Keys: down to the long piece, edit it, and take that back and do it again.
  await page.getByRole('grid').focus()
  await page.keyboard.press('Home')
  for (let i = 0; i < 3; i++) await page.keyboard.press('j')
  await page.keyboard.press('e')
  await page.keyboard.type('1300 c-f')
  await page.keyboard.press('Enter')
  await expect(typedParts(page).nth(3)).toHaveText('1300 c-f')
  await page.keyboard.press('Control+z')
  await expect(typedParts(page).nth(3)).toHaveText('1250 c-c')
  await page.keyboard.press('Control+Shift+Z')
  await expect(typedParts(page).nth(3)).toHaveText('1300 c-f')

  // A copy below, of two rows; then all three steps back, one after another.
  await page.keyboard.press('J')
  await page.keyboard.press('d')
  await expect(parts(page)).toHaveCount(9)
  await page.keyboard.press('Shift+D')
  await expect(parts(page)).toHaveCount(7)
  await page.keyboard.press('Control+z')
  await expect(parts(page)).toHaveCount(9)
  await page.keyboard.press('Control+z')
  await expect(parts(page)).toHaveCount(7)

  // By mouse: the last cap onto the first elbow. What cannot be joined is said, and shown.
  await page
    .locator('.grid-space .part', { hasText: 'cap' })
    .locator('.grip')
    .dragTo(page.locator('.grid-space .part', { hasText: 'elbow' }))
  await expect(typedParts(page).nth(5)).toHaveText('cap 110')
  await page.getByRole('row', { name: /cap/ }).click()
  await page.getByRole('button', { name: 'Move down' }).click()
  await expect(typedParts(page).nth(6)).toHaveText('cap 110')
  await page.getByRole('row', { name: /elbow/ }).click()
  await page.getByRole('button', { name: 'Take out' }).click()
  await expect(headline(page)).toContainText('cannot be joined as it stands: 1 place to mend.')
  await expect(page.getByText('meet with no fitting between.')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(headline(page)).toContainText('6 joints')

  // A tee with a branch stays.
  await page.getByRole('row', { name: /tee 110/ }).click()
  await page.getByRole('button', { name: 'Take out' }).click()
  await expect(page.getByRole('alert')).toContainText('Q9/F01 carries a branch. Take the branch away first.')
})

test('insert, groups, completion, recall, renumber, copy of a line, a section on some rows', async ({
  page,
}) => {
  const job = await newLine(page, 'Groups')
  await type(page, 'tee 63', '500', 'elbow 90', '300', 'union', '800', 'cap')
  const entry = page.getByLabel('Next fitting or piece')
  await entry.fill('el')
  await entry.press('Tab')
  await expect(entry).toHaveValue('elbow 90 63')
  await entry.fill('')
  await entry.press('ArrowUp')
  await expect(entry).toHaveValue('cap')
  await entry.fill('')

  await page.getByRole('row', { name: /elbow/ }).click()
  await page.getByRole('row', { name: /union/ }).click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Keep as a group' }).click()
  await page.getByLabel('Name of the group').fill('drop')
  await page.keyboard.press('Enter')
  await expect(page.getByText('use drop elbow 90 63, 300 c-c, union')).toBeVisible()

  await page.getByRole('row', { name: /500 c-c/ }).click()
  await page.getByRole('button', { name: 'Insert after' }).click()
  await expect(page.getByText('after Q9/P01.')).toBeVisible()
  await type(page, 'use drop', '250')
  await expect(typedParts(page)).toHaveText([
    'tee 63',
    '500 c-c',
    'elbow 90 63',
    '300 c-c',
    'union 63',
    '250 c-c',
    'elbow 90 63',
    '300 c-c',
    'union 63',
    '800 c-c',
    'cap 63',
  ])
  await entry.fill('use nothing')
  await entry.press('Enter')
  await expect(page.getByRole('alert')).toContainText('There is no group called nothing')

  await page.getByRole('button', { name: 'Number anew' }).click()
  await expect(parts(page)).toHaveText(
    ['F01', 'P01', 'F02', 'P02', 'F03', 'P03', 'F04', 'P04', 'F05', 'P05', 'F06'].map((t) => new RegExp(t)),
  )

  await page.getByRole('row', { name: /250 c-c/ }).click()
  await page.getByRole('row', { name: /800 c-c/ }).click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Paint a section on 6 joints' }).click()
  for (const [label, value] of [
    ['Working', '6'],
    ['Test pressure', '9'],
    ['Fall', '0.2'],
  ] as const)
    await page.getByLabel(label).fill(value)
  await page.getByRole('button', { name: 'Paint it' }).click()
  await expect(page.getByText('Q9-A 6 joints')).toBeVisible()

  await page.getByRole('button', { name: 'Copy the line' }).click()
  await page.getByLabel('Tag of the new line').fill('Q9')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Q9 is there already')
  await page.getByLabel('Tag of the new line').fill('Q10')
  await page.keyboard.press('Enter')
  await expect(headline(page)).toContainText('Q10 has 10 joints and 5 pieces')
  await expect
    .poll(async () => (await eventsOf(page, job)).filter((e) => e.kind === 'items-put').length)
    .toBe(1)
})

test('the drawing: names never overlap at 100 %, thin out by rule when fitted; a branch has its own lane', async ({
  page,
}) => {
  await newLine(page, 'Long')
  await type(page, 'tee 63', '300', 'elbow 90', 'x49', 'x49')
  await expect(headline(page)).toContainText('198 joints')
  const tags = page.locator('.line-drawing .tag')
  await expect(page.getByText(/every \d+th joint named/)).toBeVisible()
  const fitted = await tags.count()
  expect(fitted).toBeGreaterThan(5)
  const overlaps = () =>
    tags.evaluateAll((all) => {
      const boxes = all.map((t) => t.getBoundingClientRect())
      return boxes.filter((a, i) =>
        boxes.some(
          (b, k) =>
            k > i && a.left < b.right && b.left < a.right && a.top < b.bottom - 3 && b.top < a.bottom - 3,
        ),
      ).length
    })
  expect(await overlaps()).toBe(0)
  await page.getByRole('button', { name: '100 %' }).click()
  await expect(page.getByText('at 100 %', { exact: true })).toBeVisible()
  expect(await overlaps()).toBe(0)
  // Panned by dragging: the tape moves with the line.
  const numerals = page.locator('.line-drawing .numeral')
  const before = await numerals.allTextContents()
  const box = (await page.locator('.line-drawing').boundingBox())!
  await page.mouse.move(box.x + 600, box.y + 30)
  await page.mouse.down()
  await page.mouse.move(box.x + 200, box.y + 30, { steps: 6 })
  await page.mouse.up()
  await expect.poll(() => numerals.allTextContents()).not.toEqual(before)
  await page.keyboard.press('Escape')
  await page.locator('.line-drawing').focus()
  await page.keyboard.press('0')
  await expect.poll(() => tags.count()).toBe(fitted)
})

test('a line of a thousand parts: what is set out at its far end is brought into the list and the drawing', async ({
  page,
}) => {
  const job = await newLine(page, 'Far')
  const begun = async () => (await eventsOf(page, job)).find((e) => e.kind === 'line-set')?.data.lineId
  await expect.poll(begun).toBeTruthy()
  const lineId = await begun()
  const put = (item: Record<string, unknown>) => ({ itemId: randomUUID(), item: { size: 'd63', ...item } })
  const items = Array.from({ length: 500 }, (_, i) => [
    put({ type: 'fitting', tag: `Q9/F${i + 1}`, fitting: 'tee' }),
    put({ type: 'piece', tag: `Q9/P${i + 1}`, measure: 'centre-centre', measuredMm: 700 }),
  ]).flat()
  for (let i = 0; i < items.length; i += 400)
    await write(page, job, [{ kind: 'items-put', data: { lineId, items: items.slice(i, i + 400) } }])
  await expect(headline(page)).toContainText('500 pieces')
  await page.getByRole('button', { name: '100 %' }).click()
  await type(page, 'valve 63')
  await expect(parts(page).last()).toBeInViewport()
  await expect(typedParts(page).last()).toHaveText('valve 63')
  await expect(page.locator('.line-drawing .chosen')).toHaveCount(1)
  const [chosen, drawing] = await Promise.all(
    ['.line-drawing .chosen', '.line-drawing'].map((q) => page.locator(q).boundingBox()),
  )
  expect(chosen!.x).toBeGreaterThan(drawing!.x)
  expect(chosen!.x + chosen!.width).toBeLessThan(drawing!.x + drawing!.width)
})

test('on the phone the drawing opens on the whole screen, with its tools, and closes again', async ({
  page,
}) => {
  // A window that is the whole screen cannot be turned by a test: here the browser refuses, as some phones do.
  await page.addInitScript(
    () => (Element.prototype.requestFullscreen = () => Promise.reject(new Error('no'))),
  )
  await newLine(page, 'Whole')
  await type(page, 'tee 63', '500', 'elbow 90')
  await page.setViewportSize(PHONE)
  await expect(page.getByRole('button', { name: 'Zoom in' })).toBeHidden()
  await page.getByRole('button', { name: 'Drawing on the whole screen' }).click()
  // As the phone lies in the hand then.
  await page.setViewportSize({ width: PHONE.height, height: PHONE.width })
  await page.getByRole('button', { name: '100 %' }).click()
  const box = (await page.locator('.line-drawing').boundingBox())!
  expect(box.width).toBeGreaterThan(PHONE.height - 40)
  await noViolations(page)
  await page.getByRole('button', { name: 'Close the drawing' }).click()
  await page.setViewportSize(PHONE)
  await expect(page.getByLabel('Next fitting or piece')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Zoom in' })).toBeHidden()
})

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

test('an answer that comes back late changes nothing: what is set out stays, and so does the field', async ({
  page,
}) => {
  await newLine(page, 'Late')
  await type(page, 'tee 63')
  const entry = page.getByLabel('Next fitting or piece')
  await entry.evaluate((el) => (el.dataset.same = 'yes'))
  // The next asking for news is answered after two more entries were kept and read back.
  let held = false
  let answered: () => void = () => undefined
  const late = new Promise<void>((done) => (answered = done))
  await page.route(/\/events\?after=/, async (route) => {
    if (held) return route.continue()
    held = true
    const response = await route.fetch()
    await late
    await route.fulfill({ response })
  })
  await expect.poll(() => held, { timeout: 10_000 }).toBe(true)
  await type(page, '500', 'elbow 90')
  await expect(headline(page)).toContainText('2 joints')
  await page.waitForTimeout(800)
  answered()
  await page.waitForTimeout(800)
  await expect(typedParts(page)).toHaveText(['tee 63', '500 c-c', 'elbow 90 63'])
  await expect(entry).toHaveAttribute('data-same', 'yes')
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
