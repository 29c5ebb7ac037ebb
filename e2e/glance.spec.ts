import { expect, test } from '@playwright/test'
import { bothWays } from './both-ways'
import { fromNothing } from './empty-help'
import { noViolations, write } from './help'
import { hit } from './lists-help'
import { PVC, jobOf, step } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

const INCH = { method: 'solvent-cement', material: 'pvc', size: 'NPS 2', schedule: '40' }
const WAYS = [
  {
    ...INCH_MOUSE,
    joint: { ...INCH, school: 'inch' as const },
    readies: ['fit', 'prime'],
    // By its published tables an inch cement has no figure for how long it stays open.
    left: 'no figure',
  },
  {
    ...METRIC_THUMB,
    joint: { ...PVC, school: 'metric' as const },
    readies: ['fit'],
    left: String.raw`\d+:\d\d`,
  },
]

bothWays(
  WAYS,
  `from no job to many, the first page says what matters next and leads there`,
  async (page, own) => {
    await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
    await page.goto('/jobs')
    await expect(headline(page)).toContainText('You are on no job yet')
    await noViolations(page)
    // N goes to the name of a new one; without a name none is begun.
    await page.keyboard.press('n')
    await expect(page.getByLabel('Name')).toBeFocused()
    await hit(page.getByText(own.school))
    await page.getByLabel('Name').press('Enter')
    await expect(page.getByRole('alert')).toContainText('Give the job a name')
    await page.getByLabel('Name').fill('Wash house')
    await page.getByLabel('Name').press('Enter')
    await expect(headline(page)).toContainText('Nothing set out yet')
    await page.goto('/jobs')
    await expect(headline(page)).toContainText('Next, Wash house: nothing is set out yet')
    await hit(page.getByRole('link', { name: 'nothing is set out yet' }))
    await expect(page).toHaveURL(/set-out/)

    // Others, with work in them: in one a window is open, in one a joint was begun and left.
    const calm = await jobOf(page, { ...own.joint, name: 'Boiler room', tag: 'B' })
    await write(page, calm.job, [step(calm.joints[0] as string, 'fit', 900)])
    const hot = await jobOf(page, { ...own.joint, name: 'Filter hall', tag: 'F' })
    await jobOf(page, { ...own.joint, name: 'Zinc store', tag: 'Z' })
    await page.goto('/jobs')
    await expect(page.getByRole('link', { name: 'B-01 is begun and not home' })).toBeVisible()
    await expect(page.getByRole('radio', { name: 'Pressing 0' })).toBeVisible()
    const ready = own.readies.map((name, i) => step(hot.joints[0] as string, name, 60 - i))
    await write(page, hot.job, [...ready, step(hot.joints[0] as string, 'cement', 1)])
    await page.goto('/jobs')
    await expect(headline(page)).toContainText(
      new RegExp(`^Filter hall: A window is open: F-01, ${own.left}\\.$`),
    )
    await expect(page.locator('.why').first()).toContainText('1 wants somebody now. 2 wait for you.')
    await expect(page.locator('.clocks')).toContainText('F-01')
    await noViolations(page)
    const names = page.locator('.job .name .strong')
    await expect(names.first()).toHaveText('Filter hall')
    await hit(page.getByRole('radio', { name: 'their names' }))
    await expect(names).toHaveText(['Boiler room', 'Filter hall', 'Wash house', 'Zinc store'])
    await hit(page.getByRole('radio', { name: 'Waits for me 2' }))
    await expect(names).toHaveText(['Boiler room', 'Filter hall'])
    // What was chosen is chosen still.
    await page.reload()
    await expect(names).toHaveText(['Boiler room', 'Filter hall'])

    // A wrong text finds nothing and says so; Esc is the way back.
    await expect(page.getByLabel('Look for')).toBeVisible()
    await page.keyboard.press('/')
    await page.keyboard.type('no such thing')
    await expect(page.getByRole('heading', { name: 'Nothing in your jobs by this text.' })).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(names).toHaveCount(2)
    await page.keyboard.type('z-0')
    await expect(page.getByRole('heading', { name: '6 things in your jobs' })).toBeVisible()
    await noViolations(page)
    await hit(page.getByRole('link', { name: /Z-03/ }))
    await expect(page).toHaveURL(/make/)
    await page.goBack()
    await expect(page.getByLabel('Look for')).toHaveValue('z-0')
    const found = page.locator('.found').getByRole('listitem')
    // A fitting is shown in its line, a piece on the tape.
    await page.getByLabel('Look for').fill('Z/F02')
    await hit(found.getByRole('link', { name: /Z\/F02/ }))
    await expect(page).toHaveURL(/set-out/)
    await expect(page.locator('[aria-selected="true"]').first()).toContainText('F02')
    await page.goBack()
    await page.getByLabel('Look for').fill('Z/P01')
    await hit(found.getByRole('link', { name: /Z\/P01/ }))
    await expect(page).toHaveURL(/cut/)
    await expect(page.getByText('This piece is not in the job any more')).toHaveCount(0)
    await page.goBack()
    await page.getByLabel('Look for').fill('')

    // Both the headline's thing and its clock lead to the joint.
    await hit(page.locator('.clocks a').first())
    await expect(page).toHaveURL(new RegExp(`${hot.job}/make/${hot.joints[0]}`))
  },
)

/** A window's last seconds begin within a breath of the page being there, s. */
const SOON_S = 12
for (const theme of ['light', 'dark'] as const)
  test(`the last seconds of a window can be read, ${theme}`, async ({ browser }) => {
    test.slow()
    await fromNothing(
      browser,
      async (page) => {
        await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
        const job = await jobOf(page, { ...PVC, school: 'metric', name: 'Filter hall', tag: 'F' })
        const cemented = (at: number, agoS: number) =>
          write(page, job.job, [
            step(job.joints[at] as string, 'fit', agoS + 60),
            step(job.joints[at] as string, 'cement', agoS),
          ])
        await cemented(0, 1)
        await page.goto('/jobs')
        const digits = await page.locator('.clocks .digits').first().textContent()
        const [minutes, seconds] = (digits ?? '').split(':').map(Number)
        await cemented(1, (minutes as number) * 60 + (seconds as number) - SOON_S)
        await page.goto('/jobs')
        await expect(page.locator('.clock.last')).toBeVisible()
        await noViolations(page, '.clocks')
      },
      { colorScheme: theme },
    )
  })
