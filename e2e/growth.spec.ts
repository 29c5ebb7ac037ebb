import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, type } from './set-out-help'

/** One L between two anchors in both systems, by keyboard and mouse, and by the thumb. */
const WAYS = [
  {
    ...INCH_MOUSE,
    entries: [
      'from +8\'-0" east',
      'elbow 90 2 north; anchor',
      '360 c-c',
      'elbow 90 east',
      '12 c-c',
      'elbow 90 up',
    ],
    wrong: '80',
    right: '6',
    laid: '50',
    warm: '110',
    // 30 ft at 3.0e-5 a degree Fahrenheit (usual figure of inch PVC) is 0.648 in: the foot of pipe gives 1/4 of it.
    squeezed: '3/8 in',
    size: 'NPS 2',
    pushed: /F03, anchor: pushed \d+ lbf to the north/,
  },
  {
    ...METRIC_THUMB,
    entries: [
      'from +2.400 east',
      'elbow 90 63 north; anchor',
      '9000 c-c',
      'elbow 90 east',
      '300 c-c',
      'elbow 90 up',
    ],
    wrong: '2000',
    right: '150',
    laid: '10',
    warm: '40',
    // 9 m at 0.08 mm a metre and kelvin are 21.6 mm: 300 mm of pipe give 7.5 of them.
    squeezed: '14 mm',
    size: 'd63',
    pushed: /F03, anchor: pushed [\d\u202f]+ N to the north/,
  },
] as const

bothWays(
  WAYS,
  `a short leg between two anchors is named, and what holds it taken away again`,
  async (page, own) => {
    const job = await begunLine(page, { name: 'Anchors', school: own.school, tag: 'Q9' })
    await type(page, ...own.entries)
    await page.goto(`/job/${job}/supports`)
    await expect(page.getByText('Say what it is laid at')).toBeVisible()
    await page.getByLabel('Laid at').fill(own.laid)
    await page.getByLabel('Warmest wall in service').fill(own.warm)
    await page.getByLabel('Warmest wall in service').blur()
    await expect(page.getByText('Nothing of Q9 is bent by it.')).toBeVisible()

    await hit(page.getByRole('button', { name: 'What holds Q9' }))
    const sheet = page.getByRole('dialog')
    await expect(sheet).toContainText('F01: anchor')
    // A guide where there is no pipe is refused, and nothing is held.
    await sheet.getByLabel('Held at').selectOption({ label: `P02, ${own.size}` })
    await hit(sheet.getByRole('radio', { name: 'Guide' }))
    await hit(sheet.getByRole('button', { name: 'Hold it here' }))
    await expect(sheet.getByRole('alert').first()).toBeVisible()
    await sheet.getByLabel(/How far along/).fill(own.wrong)
    await hit(sheet.getByRole('button', { name: 'Hold it here' }))
    await expect(sheet.locator('.refusal')).toContainText('there is nothing of it to hold')
    await sheet.getByLabel('Held at').selectOption({ label: 'F03, elbow 90' })
    await hit(sheet.getByRole('button', { name: 'Hold it here' }))
    await expect(sheet).toContainText('F03: anchor')
    await page.keyboard.press('Escape')

    await expect(headline(page)).toContainText(`Q9 F01 to F02 cannot grow: ${own.squeezed} of it is squeezed`)
    await expect(page.getByText(own.pushed)).toBeVisible()
    await expect(page.getByRole('row', { name: /^F02 to F03/ })).toContainText('too short')
    await expect(page.locator('.growth path.moved').first()).toBeAttached()
    await expect(page.locator('.growth path.hold')).toHaveCount(2)

    // Undone it holds no longer, and nothing bends.
    await hit(page.getByRole('button', { name: 'What holds Q9' }))
    await hit(page.getByRole('dialog').getByRole('button', { name: 'Take away' }).last())
    await page.keyboard.press('Escape')
    await expect(page.getByText('Nothing of Q9 is bent by it.')).toBeVisible()
  },
)
