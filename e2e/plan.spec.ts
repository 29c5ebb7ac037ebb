import { randomUUID } from 'node:crypto'
import { type Page, expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { noViolations, write } from './help'
import { hit } from './lists-help'
import { PVC, PVC_INCH, jobOf, step } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** Who is here is said, a plan is found and followed, and it follows what is made elsewhere. */
const WAYS = [
  {
    ...INCH_MOUSE,
    joined: PVC_INCH,
    pressure: 'psi',
    colder: '°F',
    steps: ['fit', 'prime', 'cement', 'home'],
  },
  { ...METRIC_THUMB, joined: PVC, pressure: 'bar', colder: 'K', steps: ['fit', 'cement', 'home'] },
] as const
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })

async function crew(page: Page): Promise<void> {
  await hit(button(page, 'Who is here…'))
  await page.locator('#crew-name').fill('Wren')
  for (const day of ['Sat', 'Sun']) await hit(button(page, day))
  await page.locator('#crew-from').fill('06:00')
  await page.locator('#crew-until').fill('6')
  await hit(button(page, 'Keep it'))
  await expect(page.getByRole('alert')).toContainText('Say it as 07:30')
  await page.locator('#crew-until').fill('06:00')
  await hit(button(page, 'Keep it'))
  await expect(page.getByRole('alert')).toContainText('It ends when it begins')
  await page.locator('#crew-until').fill('2000')
  await hit(button(page, 'Keep it'))
  await expect(button(page, 'Change Wren')).toBeVisible()
  await hit(button(page, 'Another person'))
  await page.locator('#crew-name').fill('Wren')
  await hit(button(page, 'Keep it'))
  await expect(page.getByRole('alert')).toContainText('has that name already')
  await page.locator('#crew-name').fill('Teal')
  await hit(button(page, 'Keep it'))
  await expect(button(page, 'Change Teal')).toBeVisible()
  await noViolations(page)
  await hit(page.getByRole('dialog').getByRole('button', { name: 'Close' }).last())
}
/** A section is shut down: typed wrong, kept, said whether it fits, taken back. */
async function shutdown(page: Page): Promise<void> {
  await hit(button(page, 'Shutdown of M-A…'))
  const sheet = page.getByRole('dialog', { name: 'Shutdown of M-A' })
  await expect(sheet.getByText('lock off and prove it empty')).toBeVisible()
  await hit(sheet.getByRole('button', { name: 'Keep it' }))
  await expect(sheet.getByRole('alert')).toContainText('Say the day as')
  const day = await sheet.getByLabel('Out of service, day').inputValue()
  const later = new Date(Date.parse(`${day}T00:00:00Z`) + 9 * 86_400_000).toISOString().slice(0, 10)
  await sheet.getByLabel('From', { exact: true }).fill('23:50')
  await sheet.getByLabel('Back in service, day').fill(later)
  await sheet.getByLabel('Until', { exact: true }).fill('06:00')
  await sheet.getByLabel('Minutes to isolate and drain').fill('40')
  await sheet.getByLabel('Minutes to test, fill and vent').fill('a while')
  await hit(sheet.getByRole('button', { name: 'Keep it' }))
  await expect(sheet.getByRole('alert')).toContainText('Minutes, from 0 to 2880')
  await sheet.getByLabel('Minutes to test, fill and vent').fill('90')
  await noViolations(page)
  await hit(sheet.getByRole('button', { name: 'Keep it' }))
  await expect(page.getByText(/Shutdown of M-A: empty .* in hand before/)).toBeVisible()
  // Too short: by how much, and what holds it.
  await hit(button(page, 'Shutdown of M-A…'))
  const next = new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10)
  await sheet.getByLabel('Back in service, day').fill(next)
  await hit(sheet.getByRole('button', { name: 'Keep it' }))
  await expect(page.getByText(/The shutdown of M-A is .* too short: .* Held by M-0/)).toBeVisible()
  await hit(button(page, 'Shutdown of M-A…'))
  await hit(sheet.getByRole('button', { name: 'No shutdown' }))
  await expect(page.getByText(/shutdown of M-A is|Shutdown of M-A: empty/)).toHaveCount(0)
}
const rows = (page: Page) => page.locator('.sheet-of-day .line')

bothWays(WAYS, 'a plan is found, followed, and follows what is made', async (page, own) => {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  const { job, joints } = await jobOf(page, { ...own.joined, name: 'Planned', joints: 4 })
  const section = { sectionId: randomUUID(), tag: 'M-A', workingBar: 4, testBar: 6, holdS: 3600 }
  await write(page, job, [
    { kind: 'section-set', data: { ...section, allowedDropBar: 0.2, jointIds: joints } },
  ])
  await page.goto(`/job/${job}/wait`)
  await hit(page.getByRole('link', { name: 'Plan', exact: true }))
  await expect(headline(page)).toContainText('Say who is here and when')
  await crew(page)

  await expect(headline(page)).toContainText(
    new RegExp(`M-A can be tested at .* ${own.pressure} from .*: (nobody can do it sooner|at most)`),
  )
  await expect(rows(page).first()).toBeVisible()
  const all = await rows(page).count()
  expect(all).toBeGreaterThanOrEqual(4)
  await noViolations(page)

  await hit(button(page, 'Follow this plan'))
  await expect(page.getByText(/Followed since .* It stands as it was pinned/)).toBeVisible()
  await hit(button(page, 'Undo'))
  await expect(page.getByText(/Followed since/)).toHaveCount(0)
  await hit(button(page, 'Follow this plan'))
  await expect(page.getByText(/Followed since/)).toBeVisible()

  // Given to somebody it stays with them; let go it goes where it did.
  await hit(rows(page).last().getByRole('button'))
  await hit(page.getByRole('dialog').getByRole('button', { name: 'Teal' }))
  await page.locator('#fix-time').fill('25:00')
  await hit(page.getByRole('dialog').getByRole('button', { name: 'Fix it', exact: true }))
  await expect(page.getByRole('alert')).toContainText('no day and time to come')
  await page.locator('#fix-time').fill('')
  await hit(page.getByRole('dialog').getByRole('button', { name: 'Fix it', exact: true }))
  await expect(rows(page).filter({ hasText: 'fixed' }).first()).toBeVisible()
  await hit(button(page, 'Undo'))
  await expect(rows(page).filter({ hasText: 'fixed' })).toHaveCount(0)

  await shutdown(page)

  await hit(button(page, 'What if'))
  const cases = page.getByRole('table', { name: 'What if' })
  await expect(cases.getByRole('row').filter({ hasText: 'Colder by' })).toContainText(own.colder)
  await expect(cases.getByRole('row').filter({ hasText: 'Without Teal' })).toContainText(/from|no plan/)

  // Made by somebody elsewhere: it is no longer in the plan, without being asked for.
  const [first = ''] = joints
  await write(
    page,
    job,
    own.steps.map((name, i) => step(first, name, 40 - 10 * i)),
  )
  await expect(rows(page).filter({ hasText: 'M-01' })).toHaveCount(0)
  await expect(headline(page)).toContainText('M-A can be tested')
})
