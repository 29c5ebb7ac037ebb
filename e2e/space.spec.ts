import { lineInSpace } from '@jugalis/core'
import { type Page, expect, test } from '@playwright/test'
import { bothWays } from './both-ways'
import { fromNothing } from './empty-help'
import { stateOf } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, parts, type, typedParts } from './set-out-help'

const spaceOf = async (page: Page, job: string) => {
  const state = await stateOf(page, job)
  const line = [...state.lines.values()][0]
  if (!line) throw new Error('no line')
  return lineInSpace(state, line)
}

/** Walks the line by what the page has drawn: each end is where its coordinates are. */
async function drawnToScale(page: Page, space: Awaited<ReturnType<typeof spaceOf>>): Promise<void> {
  await page.getByRole('button', { name: 'To scale' }).click()
  const drawn = await page
    .locator('.space-drawing path[data-piece]')
    .evaluateAll((paths) =>
      paths.map((path) => [path.getAttribute('data-piece'), path.getAttribute('d')] as const),
    )
  const unitsOf = new Map(
    drawn.map(([tag, d]) => {
      const [fromX = 0, fromY = 0, toX = 0, toY = 0] = (d?.match(/-?[\d.]+/g) ?? []).map(Number)
      return [tag, Math.hypot(toX - fromX, toY - fromY)] as const
    }),
  )
  const first = space.legs[0]
  const perMm = (unitsOf.get(first?.item?.tag ?? '') ?? 0) / (first?.lengthMm ?? 1)
  expect(perMm).toBeGreaterThan(0)
  let at = space.nodes[0]?.atMm ?? [0, 0, 0]
  for (const { item, heading, to } of space.legs) {
    const mm = (unitsOf.get(item?.tag ?? '') ?? 0) / perMm
    at = [at[0] + heading[0] * mm, at[1] + heading[1] * mm, at[2] + heading[2] * mm]
    const there = space.nodes[to]?.atMm ?? [0, 0, 0]
    // A hundredth of a drawing unit is what a path is written to.
    expect(Math.hypot(at[0] - there[0], at[1] - there[1], at[2] - there[2])).toBeLessThan(0.1 / perMm)
  }
  await page.getByRole('button', { name: 'To scale' }).click()
}

test.describe('a line that goes round a room and back', () => {
  test('in feet and inches, by the keyboard: a wrong measure is named and mended, the piece that closes is cut', async ({
    browser,
  }) => {
    test.slow()
    await fromNothing(browser, async (page) => {
      const job = await begunLine(page, { name: 'Room', school: 'inch: primer, quarter turn', tag: 'Q9' })
      const entry = page.getByLabel('Next fitting or piece')
      const lies = page.getByRole('region', { name: 'Where it lies' })
      await expect(page.getByText('It has no place in the building yet')).toBeVisible()
      await expect(lies).toHaveCount(0)

      // What makes no sense is refused where it was typed, and the line stays as it was.
      await entry.fill('to +3\'-0"')
      await entry.press('Enter')
      await expect(page.locator('.entry .refusal')).toContainText('Begin with a fitting')
      await entry.fill('from 7 east')
      await entry.press('Enter')
      await expect(page.locator('.entry .refusal')).toContainText('nothing here is called 7')

      await type(page, 'from +7\'-6" east', 'elbow 90 2 north', '96 c-c')
      await entry.fill('elbow 90 south')
      await entry.press('Enter')
      await expect(page.locator('.entry .refusal')).toContainText('along the way it goes')
      await expect(entry).toHaveValue('elbow 90 south')
      // Twelve feet were measured; fourteen are typed.
      await type(
        page,
        'elbow 90 west',
        '168 c-c',
        'elbow 90 south',
        '96 c-c',
        'elbow 90 east',
        '60 c-c',
        'union',
      )
      await expect(lies).toContainText('+7\'-6"')
      await type(page, '84 c-c', 'to Q9/F01')
      await expect(lies).toContainText(/misses Q9\/F01 by 24 in \(24 in to the west\); of 5 measures/)
      await expect(lies.getByRole('button', { name: /Q9\/P02 is 24 in too long/ })).toBeVisible()

      // The name leads to its row; there it is mended.
      await lies.getByRole('button', { name: /Q9\/P02 is 24 in too long/ }).click()
      await page.keyboard.press('e')
      await page.getByLabel('Q9/P02 as typed').fill('144 c-c')
      await page.keyboard.press('Enter')
      await expect(lies).toContainText(/comes to Q9\/F01 within 0 in; of 5 measures/)
      // The drawing and the list follow each other.
      await page.locator('[data-part="Q9/F03"]').click()
      await expect(page.locator('.part.here')).toContainText('F03')

      await drawnToScale(page, await spaceOf(page, job))

      // The take-offs are measured, and the last piece is cut to what is left.
      const takes = page.getByRole('button', { name: 'not known, measure one' })
      for (let left = await takes.count(); left > 0; left = await takes.count()) {
        await takes.first().click()
        await page.getByLabel('Fitting centre to the').fill('2-1/4')
        await page.getByRole('button', { name: 'Use it' }).click()
        await expect(takes).not.toHaveCount(left)
      }
      const space = await spaceOf(page, job)
      expect(space.closing[0]?.missMm).toBeLessThan(0.01)
      await page.goto(`/job/${job}/cut`)
      const last = space.line.items.findLast((item) => item.type === 'piece')
      await page
        .getByRole('link', { name: new RegExp(last?.tag ?? '') })
        .first()
        .click()
      // 84 less two take-offs of 2-1/4, and a socket's depth at each end: at the union, and where it comes back.
      await expect(headline(page)).toContainText('Cut 81-13/16 in')
    })
  })
})

/** The same way out of line in both systems: by the thumb in millimetres, by the mouse in inches. */
const OFFSETS = [
  {
    ...METRIC_THUMB,
    point: { east: '2', north: '0.04', level: '2.588' },
    kept: 'Valve: 2 m east',
    entries: ['from +2.400 east', 'union 63', '500 c-c', 'union'],
    takeOff: '50',
    says: 'It is 188 mm up or down and 40 mm aside: 192 mm off in all',
  },
  {
    ...INCH_MOUSE,
    point: { east: '7', north: '0.125', level: '8.6' },
    kept: 'Valve: 7 ft east',
    entries: ['from +8\'-0" east', 'union 2', '20 c-c', 'union'],
    takeOff: '2-1/4',
    says: 'It is 7-3/16 in up or down and 1-1/2 in aside: 7-3/8 in off in all',
  },
] as const
bothWays(OFFSETS, `two ends out of line are closed by a piece between two elbows`, async (page, own) => {
  const job = await begunLine(page, { name: 'Offset', school: own.school, tag: 'Q9' })
  const lies = page.getByRole('region', { name: 'Where it lies' })
  const sheet = page.getByRole('dialog')
  await hit(page.getByRole('button', { name: 'Measured points' }))
  await hit(sheet.getByRole('button', { name: 'Keep the point' }))
  await expect(sheet).toContainText('A point needs a name')
  await sheet.getByLabel('Name of the point').fill('Valve')
  await sheet.getByLabel('East').fill('far')
  await sheet.getByLabel('North', { exact: true }).fill(own.point.north)
  await sheet.getByLabel('Level').fill(own.point.level)
  await sheet.getByLabel('How a way goes on there').selectOption('east')
  // A place that cannot be read is not kept; put right, it is.
  await hit(sheet.getByRole('button', { name: 'Keep the point' }))
  await expect(sheet).toContainText('No point measured yet')
  await sheet.getByLabel('East').fill(own.point.east)
  await hit(sheet.getByRole('button', { name: 'Keep the point' }))
  await expect(sheet).toContainText(own.kept)
  await page.keyboard.press('Escape')
  await type(page, ...own.entries)
  await hit(lies.getByRole('button', { name: 'Close it with a piece' }))
  await sheet.getByLabel('Take-off of the elbows').fill(own.takeOff)
  await page.keyboard.press('Tab')
  await expect(sheet).toContainText(own.says)
  // What it comes to is said before it is set out.
  await expect(sheet).toContainText(/Cut to .*Its end may be .* out/)
  await hit(sheet.getByRole('button', { name: 'Set it out' }).first())
  await expect(sheet).toBeHidden()
  await expect(lies).toContainText('comes to Valve within')
  await expect(parts(page)).toHaveCount(8)
  await expect(typedParts(page).last()).toContainText('to Valve')
  await expect.poll(async () => (await spaceOf(page, job)).closing[0]?.missMm ?? 99).toBeLessThan(0.05)
  // Undone at once: the line is as it was before the piece.
  await hit(page.getByRole('button', { name: 'Undo' }))
  await expect(parts(page)).toHaveCount(3)
})

/** A pump below and aside whose flange looks up: the ends do not point the same way. */
const TURNED = [
  {
    ...INCH_MOUSE,
    point: { East: '7', North: '2.5', Level: '4' },
    entries: ['from +8\'-0" east', 'union 2', '20 c-c', 'union'],
    takeOff: '2-1/4',
    tooMuch: '60',
  },
  {
    ...METRIC_THUMB,
    point: { East: '2', North: '0.8', Level: '1.2' },
    entries: ['from +2.400 east', 'union 63', '500 c-c', 'union'],
    takeOff: '70',
    tooMuch: '2000',
  },
] as const
bothWays(TURNED, `two ends that point elsewhere are closed with elbows that are made`, async (page, own) => {
  const job = await begunLine(page, { name: 'Pump', school: own.school, tag: 'Q9' })
  const lies = page.getByRole('region', { name: 'Where it lies' })
  const sheet = page.getByRole('dialog')
  await hit(page.getByRole('button', { name: 'Measured points' }))
  await sheet.getByLabel('Name of the point').fill('Pump')
  for (const [label, figure] of Object.entries(own.point))
    await sheet.getByLabel(label, { exact: true }).fill(figure)
  await sheet.getByLabel('How a way goes on there').selectOption('down')
  await hit(sheet.getByRole('button', { name: 'Keep the point' }))
  await expect(sheet).toContainText('Pump:')
  await page.keyboard.press('Escape')
  await type(page, ...own.entries)
  await hit(lies.getByRole('button', { name: 'Close it with a piece' }))
  await sheet.getByLabel('Take-off of the elbows').fill(own.takeOff)
  // More pipe between faces than there is room for: said, and taken back.
  await sheet.getByLabel('Least pipe between two faces').fill(own.tooMuch)
  await page.keyboard.press('Tab')
  await expect(sheet).toContainText('no one or two elbows that are made close it')
  await expect(sheet.getByRole('button', { name: 'Set it out' })).toHaveCount(0)
  await sheet.getByLabel('Least pipe between two faces').fill('0')
  await page.keyboard.press('Tab')
  await expect(sheet).toContainText('90° and 90°')
  await hit(sheet.getByRole('button', { name: 'Set it out' }).first())
  await expect(lies).toContainText('comes to Pump within')
  await expect.poll(async () => (await spaceOf(page, job)).closing[0]?.missMm ?? 99).toBeLessThan(0.05)
})

/** A short line with a section on it, looked at where its joints wait. */
const STANDING = [
  {
    ...INCH_MOUSE,
    entries: ['from +8\'-0" east', 'cap 2', '40 c-c', 'elbow 90 up', '30 c-c', 'cap'],
    bars: ['60', '100', '5'],
  },
  {
    ...METRIC_THUMB,
    entries: ['from +2.400 east', 'cap 63', '900 c-c', 'elbow 90 up', '700 c-c', 'cap'],
    bars: ['4', '6', '0.2'],
  },
] as const
bothWays(
  STANDING,
  `a section as it stands in the building, its time gone through, a joint of it chosen`,
  async (page, own) => {
    const job = await begunLine(page, { name: 'Riser', school: own.school, tag: 'Q9' })
    await type(page, ...own.entries)
    await hit(page.getByRole('button', { name: /Paint a section/ }))
    const sheet = page.getByRole('dialog')
    await sheet.getByLabel('Name').fill('Q9-A')
    for (const [i, label] of ['Working pressure', 'Test pressure', 'Fall allowed over the hold'].entries())
      await sheet.getByLabel(label).fill(own.bars[i] as string)
    await sheet.getByLabel('Hold, minutes').fill('30')
    await hit(sheet.getByRole('button', { name: 'Paint it' }))
    await expect(sheet).toHaveCount(0)

    await page.goto(`/job/${job}/wait`)
    const stands = page.getByRole('region', { name: 'As it stands' })
    await expect(stands).toContainText('Now: 0 of 4 joints')
    await expect(stands.locator('.joint')).toHaveCount(4)
    // What is seen of them are pictures.
    const inked = (): Promise<number> =>
      stands.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
        const seen = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data
        return [...(seen ?? [])].filter((value, at) => at % 4 === 3 && value > 0).length
      })
    await expect.poll(inked).toBeGreaterThan(100)
    const time = stands.getByLabel('At another time')
    await time.fill('48')
    await expect(stands).not.toContainText('Now: 0 of 4')
    await expect(stands.locator('.joint')).toHaveCount(4)
    await hit(stands.getByRole('button', { name: 'Back to now' }))
    await expect(stands).toContainText('Now: 0 of 4 joints')
    await hit(stands.locator('.joint').first())
    await expect(page).toHaveURL(new RegExp(`/job/${job}/make/`))
  },
)
