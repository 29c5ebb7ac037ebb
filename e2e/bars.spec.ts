import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import { demoJob, eventsOf, noViolations, signIn, write } from './help'

test('pieces are laid out on bars in the browser, a bar is cut, what is left of it is used next', async ({
  page,
}) => {
  await signIn(page)
  const job = randomUUID()
  await page.request.post('/api/jobs', { data: { jobId: job, name: 'Bars' } })
  const [line, place] = [randomUUID(), randomUUID()]
  const set = { name: 'Bars', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }
  const items = [2000, 2500, 3900, 900].map((mm, i) => ({
    kind: 'item-put',
    data: {
      lineId: line,
      itemId: randomUUID(),
      item: { type: 'piece', tag: `K/P${i}`, size: 'd63', measure: 'end-end', measuredMm: mm },
    },
  }))
  await write(page, job, [
    { kind: 'job-set', data: set },
    { kind: 'place-set', data: { placeId: place, name: 'Pit' } },
    {
      kind: 'line-set',
      data: {
        lineId: line,
        tag: 'K',
        name: 'K',
        method: 'solvent-cement',
        material: 'pvc-u',
        school: 'metric',
        placeId: place,
      },
    },
    ...items,
  ])
  await page.goto(`/job/${job}/cut`)
  await page.getByRole('link', { name: 'Lay out on bars' }).click()
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toHaveText('4 pieces to cut. Say what they are cut from.')
  await page.getByRole('button', { name: 'What it is cut from' }).click()
  // Nothing is preset: the saw and the bars must be said.
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveCount(3)
  await page.keyboard.type('5000')
  await page.getByLabel('The saw takes').fill('3')
  await page.getByLabel('Worth keeping from').fill('400')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Lay out on bars' }).click()
  // 3900 + 900 and 2500 + 2000: two bars, by hand.
  await expect(h1).toContainText('4 pieces from 2 new bars')
  await expect(h1).toContainText('no plan opens fewer')
  await noViolations(page)
  const bar = page.locator('.bar').filter({ hasText: '2 500' })
  await expect(bar.getByRole('img')).toHaveAttribute('aria-label', /K\/P1 2.500, K\/P0 2.000; 494 left/)
  await bar.getByRole('button', { name: 'Bar is cut' }).click()
  await expect(h1).toContainText('2 pieces from 1 new bar')
  await expect
    .poll(async () => (await eventsOf(page, job)).filter((e) => e.kind === 'piece-cut').length)
    .toBe(2)
  const stock = (await eventsOf(page, job)).filter((e) => e.kind === 'stock-set').at(-1)
  expect(stock?.data.offcuts).toMatchObject([{ pipe: 'pvc-u d63', lengthMm: 494 }])
})

test('a bent run: marks from both ends, the least leg that works; the address holds what was typed', async ({
  page,
}) => {
  await signIn(page)
  const job = await demoJob(page)
  await page.goto(`/job/${job}/cut`)
  await page.getByRole('link', { name: 'Bends and offsets' }).click()
  const h1 = page.getByRole('heading', { level: 1 })
  await page.getByLabel('Leg, turn, leg').fill('200 90 300')
  await page.getByLabel('Radius of the bender, mm').fill('36')
  // By hand: 200 - 36 = 164; 164 + 36 x pi / 2 + 264 = 484.5.
  await expect(h1).toHaveText('Cut 485 mm. The bend begins at 164.')
  await noViolations(page)
  await page.getByLabel('Leg, turn, leg').fill('200 90 60 90 200')
  await expect(h1).toHaveText('Leg 2 is too short for its bends. The least leg that works is 72 mm.')
  await page.getByLabel('Set, mm').fill('300')
  await page.getByLabel('Fitting turns by, °').fill('45')
  await expect(page.getByText('Travel 424 mm, run 300 mm')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Leg, turn, leg')).toHaveValue('200 90 60 90 200')
})

test('the cut list, strips and labels are made in the browser', async ({ page }) => {
  await signIn(page)
  const job = await demoJob(page)
  await page.goto(`/job/${job}/cut`)
  await page.getByRole('button', { name: 'On paper' }).click()
  for (const [says, begins] of [
    [/Cut list, PDF/, '%PDF'],
    [/workbook/, 'PK'],
    [/CSV/, 'piece,pipe'],
    [/Mark strips.*PDF/, '%PDF'],
    [/Mark strips.*SVG/, '<svg'],
    [/Labels/, '%PDF'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: says }).click(),
    ])
    const text = (await readFile(await file.path())).toString('latin1')
    expect(text.slice(0, begins.length)).toBe(begins)
  }
})

test('a piece of a method without check marks names none; one that goes in last says how', async ({
  page,
}) => {
  await signIn(page)
  const job = await demoJob(page)
  await page.goto(`/job/${job}/cut`)
  await page.getByRole('link', { name: 'HW/P02' }).click()
  // 960 less 22 and 24, and twice 15.4, the cup of d22.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cut 945 mm. Mark 15.5 both ends.')
  await expect(page.getByText(/check 0/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Goes in last' }).click()
  await expect(page.getByText('one end must draw back by 15.5 mm')).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Cut 1.045 mm\. Mark 15\.5 both ends\./)
  await page.getByRole('button', { name: 'Not a closing piece' }).click()
  await expect(page.getByText('one end must draw back')).toHaveCount(0)
})
