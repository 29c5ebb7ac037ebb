import { type JobEvent, type JobState, foldJob, lineInSpace } from '@jugalis/core'
import { type Page, expect, test } from '@playwright/test'
import { fromNothing } from './empty-help'
import { PHONE, eventsOf } from './help'
import { hit } from './lists-help'
import { begunLine, headline, parts, type, typedParts } from './set-out-help'

const stateOf = async (page: Page, job: string): Promise<JobState> =>
  foldJob((await eventsOf(page, job)) as unknown as JobEvent[])
const spaceOf = async (page: Page, job: string) => {
  const state = await stateOf(page, job)
  const line = [...state.lines.values()][0]
  if (!line) throw new Error('no line')
  return lineInSpace(state, line)
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
    how: 'in millimetres, by the thumb',
    device: { viewport: PHONE, hasTouch: true },
    school: 'metric:',
    point: { east: '2', north: '0.04', level: '2.588' },
    kept: 'Valve: 2 m east',
    entries: ['from +2.400 east', 'union 63', '500 c-c', 'union'],
    takeOff: '50',
    says: 'It is 188 mm up or down and 40 mm aside: 192 mm off in all',
  },
  {
    how: 'in inches, by the mouse',
    device: { viewport: { width: 1280, height: 800 } },
    school: 'inch: primer, quarter turn',
    point: { east: '7', north: '0.125', level: '8.6' },
    kept: 'Valve: 7 ft east',
    entries: ['from +8\'-0" east', 'union 2', '20 c-c', 'union'],
    takeOff: '2-1/4',
    says: 'It is 7-3/16 in up or down and 1-1/2 in aside: 7-3/8 in off in all',
  },
] as const
for (const own of OFFSETS)
  test(`${own.how}: two ends out of line are closed by a piece between two elbows`, async ({ browser }) => {
    test.slow()
    await fromNothing(
      browser,
      async (page) => {
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
        await hit(sheet.getByRole('button', { name: 'Set it out' }).first())
        await expect(sheet).toBeHidden()
        await expect(lies).toContainText('comes to Valve within')
        await expect(parts(page)).toHaveCount(8)
        await expect(typedParts(page).last()).toContainText('to Valve')
        await expect.poll(async () => (await spaceOf(page, job)).closing[0]?.missMm ?? 99).toBeLessThan(0.05)
        // Undone at once: the line is as it was before the piece.
        await hit(page.getByRole('button', { name: 'Undo' }))
        await expect(parts(page)).toHaveCount(3)
      },
      own.device,
    )
  })
