import { randomUUID } from 'node:crypto'
import { type Page, expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { eventsOf, noViolations, write } from './help'
import { chooseIn, hit } from './lists-help'
import { jobOf, step } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

const DAY_S = 86_400
const dayAgo = (days: number): string => new Date(Date.now() - days * DAY_S * 1000).toISOString().slice(0, 10)
const READS: Readonly<Record<string, object>> = {
  gaps: { gapMinMm: 0.9, gapMaxMm: 0.9 },
  torque: { torqueNm: 4 },
  look: { jaws: 'apart', intrusionMm: 0.1 },
}
const WAYS = [
  {
    ...INCH_MOUSE,
    units: 'inch' as const,
    size: 'BPE 2',
    found: '20',
    left: '35',
    shown: 'Found at 20 in-lb; it was left at 35 in-lb.',
    service: 'Try by hand',
    every: 'Try by hand every 3 months and Test yearly',
  },
  {
    ...METRIC_THUMB,
    units: 'metric' as const,
    size: 'DN 40',
    found: '2,2',
    left: '4',
    shown: 'Found at 2.2 Nm; it was left at 4 Nm.',
    service: 'Inspect',
    every: 'Inspect every 6 months and Service yearly',
  },
]
/** Clamps on steam, made and judged good more than a season ago on a device that had no signal, and their section. */
async function clampsOf(page: Page, own: (typeof WAYS)[number]): Promise<string> {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  const details = { gasket: 'EPDM', tighten: 'torque', torqueNm: 4, steam: true }
  const line = { method: 'sanitary-clamp', material: 'stainless', size: own.size, school: own.units, details }
  const { job, joints } = await jobOf(page, { ...line, name: 'Feed kitchen', tag: 'H', joints: 2 })
  const bars = { workingBar: 3, testBar: 4.5, holdS: 600, allowedDropBar: 0.1 }
  await write(page, job, [
    ...joints.flatMap((id) =>
      ['parts', 'clamp', 'gaps', 'torque', 'look'].map((name, at) =>
        step(id, name, 130 * DAY_S - at * 60, { ...READS[name] }),
      ),
    ),
    { kind: 'section-set', data: { sectionId: randomUUID(), tag: 'H-A', jointIds: joints, ...bars } },
  ])
  return job
}

bothWays(
  WAYS,
  'a clamp a season later: due, read again, brought back, its story drawn',
  async (page, own) => {
    const job = await clampsOf(page, own)
    await page.goto(`/job/${job}/hand-over`)
    await hit(page.getByRole('link', { name: 'Upkeep' }))
    await expect(headline(page)).toContainText('Nothing is in use yet')
    await noViolations(page)

    // In use since a day: no day, a day to come and one before its joints were made are refused, each with its word.
    await hit(page.getByRole('button', { name: 'In use since…' }))
    const sheet = page.getByRole('dialog')
    const since = sheet.getByLabel('Since which day')
    const use = (): Promise<void> => hit(sheet.getByRole('button', { name: 'It is in use' }))
    for (const [on, says] of [
      ['2026-02-30', 'is not a date'],
      ['2999-01-01', 'has not been yet'],
      [dayAgo(200), 'H-01 was made on'],
    ] as const) {
      await since.fill(on)
      await use()
      await expect(sheet.getByRole('alert')).toContainText(says)
    }
    await since.fill(dayAgo(125))
    await use()
    await expect(headline(page)).toContainText(
      'Bring back the torque after the first heat: 2 joints of H-A, due since',
    )

    // After the first heat, back when it was: both joints, one without its reading, which is asked for.
    await hit(page.getByRole('button', { name: 'Done…' }).first())
    await sheet.getByLabel('H-01 gives at').fill(own.left)
    await sheet.getByLabel('H-01 left at').fill(own.left)
    await sheet.getByLabel('H-02 left at').fill(own.left)
    await sheet.getByLabel('When, if not just now').fill(`${dayAgo(124)} 10:00`)
    await hit(sheet.getByRole('button', { name: 'Write it down' }))
    await expect(sheet.getByRole('alert')).toContainText('Read the torque at which it gives')
    await noViolations(page)
    await sheet.getByLabel('H-02 gives at').fill(own.left)
    await hit(sheet.getByRole('button', { name: 'Write it down' }))
    await expect(sheet).toHaveCount(0)

    // A season later its torque is looked at again; on one more than a third is gone, and that is said at once.
    await expect(headline(page)).toContainText('Look at the torque, each season: 2 joints of H-A, due since')
    await hit(page.getByRole('link', { name: /^Look at the torque/ }).last())
    await hit(page.getByRole('button', { name: 'Done…' }).last())
    await sheet.getByLabel('H-01 gives at').fill(own.found)
    await sheet.getByLabel('H-01 left at').fill(own.left)
    await sheet.getByLabel('H-02 gives at').fill(own.left)
    await sheet.getByLabel('H-02 left at').fill(own.left)
    await expect(sheet.getByRole('status').filter({ hasText: own.shown })).toBeVisible()
    await hit(sheet.getByRole('button', { name: 'Write it down' }))
    await expect(headline(page)).toContainText('Nothing is late. Next: Look at the torque')
    await expect(page.getByRole('img', { name: /^H-01, torque:/ })).toBeVisible()
    await expect(page.getByText(own.shown)).toBeVisible()
    await noViolations(page)

    // Taken back, it is due again; written down anew.
    const before = (await eventsOf(page, job)).length
    await hit(page.getByRole('button', { name: 'Take back' }).first())
    await expect(headline(page)).toContainText('Look at the torque, each season: 1 joint of H-A, due since')
    await hit(page.getByRole('button', { name: 'Undo' }))
    await expect(headline(page)).toContainText('Nothing is late')
    await expect.poll(async () => (await eventsOf(page, job)).length).toBe(before + 2)
  },
)

bothWays(WAYS, 'gaskets by count, devices by rule, all of it on the first page', async (page, own) => {
  const job = await clampsOf(page, own)
  await page.goto(`/job/${job}/upkeep`)
  await hit(page.getByRole('button', { name: 'In use since…' }))
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Since which day').fill(dayAgo(20))
  await hit(sheet.getByRole('button', { name: 'It is in use' }))

  // Nobody has said how often a gasket is changed: a half-said interval is refused, field by field.
  await hit(page.getByRole('link', { name: /^Change the gasket/ }))
  await hit(page.getByRole('button', { name: 'How often…' }))
  await sheet.getByLabel('Every so many months').fill('1.5')
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(sheet.getByRole('alert')).toHaveText([/1\.5 is no number of months/, /whose interval it is/])
  await sheet.getByLabel('Every so many months').fill('')
  await sheet.getByLabel('Or after so many openings').fill('1')
  await sheet.getByLabel('By whose word').fill('Plant rule 4')
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(page.getByText('After each opening: Plant rule 4.')).toBeVisible()
  const all = page.getByRole('button', { name: 'All tasks' })
  await hit(all)

  // Opened and closed on the old gasket: now its gasket is due.
  await hit(page.getByRole('link', { name: /^Opened and closed again/ }))
  await hit(page.getByRole('button', { name: 'Done…' }).last())
  await expect(sheet.getByText('Before it is opened: locked out, drained, vented, cold.')).toBeVisible()
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(sheet.getByRole('alert')).toContainText('Nothing is said of any of them yet.')
  await sheet.getByLabel('H-02 left at').fill(own.left)
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await hit(all)
  const gasket = page.getByRole('link', { name: /^Change the gasket/ }).last()
  await expect(gasket).toContainText('1 joint of H-A')
  await expect(gasket).toContainText('due on')

  // A device of a kind its school has rules for says what it will ask; a second of its name is refused.
  await hit(page.getByRole('button', { name: 'Add a device…' }))
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(sheet.getByRole('alert')).toContainText('Say what kind of device it is.')
  await chooseIn(sheet.locator('#device-kind'), 'Relief valve')
  await expect(sheet.getByText(own.every)).toBeVisible()
  await sheet.getByLabel('Name, and where it is').fill('RV-1')
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await hit(page.getByRole('button', { name: 'Add a device…' }))
  await chooseIn(sheet.locator('#device-kind'), 'Filter')
  await sheet.getByLabel('Name, and where it is').fill('rv-1')
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(sheet.getByRole('alert')).toContainText('rv-1 is there already.')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('link', { name: new RegExp(`^${own.service}`) }).last()).toContainText('RV-1')
  await noViolations(page)

  // Not good wants a word, and stays due.
  await hit(page.getByRole('link', { name: new RegExp(`^${own.service}`) }).last())
  await hit(page.getByRole('button', { name: 'Done…' }).last())
  await hit(sheet.getByRole('radio', { name: 'Not good' }))
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(sheet.getByRole('alert')).toContainText('Say what was wrong.')
  await sheet.getByLabel('What is wrong').fill('weeps')
  await hit(sheet.getByRole('button', { name: 'Write it down' }))
  await expect(page.getByText(/not good\. weeps/)).toBeVisible()

  // The first page says what is late.
  await page.goto('/jobs')
  await expect(
    page.getByRole('link', { name: /^Bring back the torque after the first heat: H-A, due since/ }),
  ).toBeVisible()
})
