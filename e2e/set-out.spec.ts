import { randomUUID } from 'node:crypto'
import { expect, test } from '@playwright/test'
import { PHONE, eventsOf, noViolations, write } from './help'
import { headline, newLine, parts, type, typedParts } from './set-out-help'

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
  await expect(headline(page)).toContainText('cannot be built as it stands: 1 place to mend.')
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

test('an answer that comes back late changes nothing: what is set out stays, and so does the field', async ({
  page,
}) => {
  const job = await newLine(page, 'Late')
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
  // Another device writes something: the page hears of it, and asks.
  await write(page, job, [{ kind: 'place-set', data: { placeId: randomUUID(), name: 'Hall' } }])
  await expect.poll(() => held).toBe(true)
  await type(page, '500', 'elbow 90')
  await expect(headline(page)).toContainText('2 joints')
  // What waits is sent once that answer was read.
  const sent = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().endsWith('/events'))
  answered()
  await sent
  await expect(typedParts(page)).toHaveText(['tee 63', '500 c-c', 'elbow 90 63'])
  await expect(entry).toHaveAttribute('data-same', 'yes')
})
