import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, secondLine, type } from './set-out-help'

/** Two lines of which one runs across the other, in both systems. */
const WAYS = [
  {
    ...INCH_MOUSE,
    first: [
      'from +8\'-0" east',
      'cap 2',
      '36 c-c',
      'tee branch north',
      '72 c-c',
      'elbow 90 north',
      '60 c-c',
      'cap',
    ],
    second: [
      'from Q9/F02 branch',
      'street elbow 90 2 up',
      '3 c-c',
      'elbow 90 north',
      '30 c-c',
      'elbow 90 east',
      '120 c-c',
      'cap',
    ],
    // 3 in from middle to middle, less 2.375 in of pipe.
    crossing: /Q9\/P03 and Q8\/P03 are 5\/8 in apart: 2 in were asked/,
    clear: '2',
    insulation: '1',
    wrong: 'thick',
    lies: /Q9\/P03 and Q8\/P03 cross: they would lie 3\/8 in in one another/,
  },
  {
    ...METRIC_THUMB,
    first: [
      'from +2.400 east',
      'cap 63',
      '1000 c-c',
      'tee branch north',
      '2000 c-c',
      'elbow 90 north',
      '1500 c-c',
      'cap',
    ],
    second: [
      'from Q9/F02 branch',
      'street elbow 90 63 up',
      '80 c-c',
      'elbow 90 north',
      '800 c-c',
      'elbow 90 east',
      '3000 c-c',
      'cap',
    ],
    crossing: /Q9\/P03 and Q8\/P03 are 17 mm apart: 50 mm were asked/,
    clear: '50',
    insulation: '25',
    wrong: 'dick',
    lies: /Q9\/P03 and Q8\/P03 cross: they would lie 8 mm in one another/,
  },
] as const

bothWays(
  WAYS,
  `what runs across a line is named, with the room and the insulation that are asked`,
  async (page, own) => {
    await begunLine(page, { name: 'Ceiling', school: own.school, tag: 'Q9' })
    await type(page, ...own.first)
    await secondLine(page, 'Q8')
    await type(page, ...own.second)
    // How far the tee reaches to its branch is not known yet: nothing is compared with what has no place.
    const lies = page.getByRole('region', { name: 'Where it lies' })
    await expect(lies.getByText(/Measure its take-off/).first()).toBeVisible()
    await expect(lies.getByText('apart')).toHaveCount(0)
    const takes = page.getByRole('button', { name: /not known/ })
    for (let left = await takes.count(); left > 0; left = await takes.count()) {
      await hit(takes.first())
      await page.getByLabel('Fitting centre to the').fill(own.clear === '2' ? '2' : '50')
      await hit(page.getByRole('button', { name: 'Use it' }))
      await expect(takes).not.toHaveCount(left)
    }
    // That of the other line's branch is asked for here.
    await hit(lies.getByRole('button', { name: 'Measure it' }))
    await page.getByLabel('Fitting centre to the').fill(own.clear === '2' ? '2' : '50')
    await hit(page.getByRole('button', { name: 'Use it' }))
    await expect(lies.getByText(/Measure its take-off/)).toHaveCount(0)

    await hit(lies.getByRole('button', { name: 'Room', exact: true }))
    const sheet = page.getByRole('dialog')
    await sheet.getByLabel('Free between it and others').fill(own.wrong)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(sheet).toBeVisible()
    await sheet.getByLabel('Free between it and others').fill(own.clear)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(lies).toContainText(own.crossing)

    await hit(lies.getByRole('button', { name: 'Room', exact: true }))
    await sheet.getByLabel('Insulation, thick').fill(own.insulation)
    await hit(sheet.getByRole('button', { name: 'Keep it' }))
    await expect(lies).toContainText(own.lies)
    // Undone, the insulation is gone and the room is asked for as before.
    await hit(page.getByRole('button', { name: 'Undo' }))
    await expect(lies).toContainText(own.crossing)
  },
)
