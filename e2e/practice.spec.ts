import { type Page, expect, test } from '@playwright/test'
import { type Method, allMethods, laidOn, methodOf, say } from '../core/src/index'
import { bothWays } from './both-ways'
import { demoJob, noViolations, signIn } from './help'
import { chooseIn, hit } from './lists-help'
import { PVC, PVC_INCH, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

/** Joints that may fail, and drills: none of it touches a job. */
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
const done = (page: Page) => page.locator('.act .main')

/** What a page sends that would write something. Its own settings are no entries of a job. */
function entriesWritten(page: Page): () => string[] {
  const sent: string[] = []
  page.on('request', (request) => {
    if (request.method() !== 'GET' && request.url().includes('/api/jobs')) sent.push(request.url())
  })
  return () => sent
}
/** Makes the joint that lies there; at each step what is to be done wrong is chosen first. */
async function make(page: Page, wrong: readonly string[] = []): Promise<void> {
  for (let step = 0; step < 12 && (await done(page).count()); step++) {
    for (const fault of wrong) {
      const chip = page.locator('.step').getByRole('group').getByRole('button', { name: fault, exact: true })
      if (await chip.count()) await hit(chip)
    }
    const before = await headline(page).textContent()
    await hit(done(page))
    await expect(headline(page)).not.toHaveText(before ?? '')
  }
  await hit(button(page, 'Cut it open'))
}
const causes = (page: Page) => page.locator('.causes li b')

/** Three faults of a joint that are of three different things, by name. */
function threeFaults(method: Method, spec: Method['examples'][number]): string[] {
  const { material, size } = spec.spec
  const site = { airC: 14, wallC: 11, relativeHumidityPct: 55, windMS: 0 }
  const laid = laidOn(method, { material, size, school: spec.school, details: spec.spec, site, seed: 1 })
  if (!laid.ok) throw new Error(method.id)
  const taken = new Set<string>()
  const three = Object.entries(laid.laid.faults).filter(([, { to }]) => {
    const free = Object.keys(to).every((key) => !taken.has(key))
    for (const key of Object.keys(to)) taken.add(key)
    return free
  })
  return three.slice(0, 3).map(([id]) => say({ code: `fault-${method.key}-${id}`, params: {} }))
}

test.describe('on the bench', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } })
  test.describe.configure({ mode: 'parallel' })
  for (const method of allMethods())
    test(`${method.id}: sound it holds, spoilt in three ways it says why`, async ({ page }) => {
      test.slow()
      await signIn(page)
      const job = await demoJob(page)
      const written = entriesWritten(page)
      await page.goto(`/job/${job}/make`)
      await expect(headline(page)).not.toBeEmpty()
      await page.keyboard.press('p')
      await expect(page.locator('.ribbon')).toContainText('nothing is recorded in a job')
      await chooseIn(page.getByRole('combobox', { name: 'Way of joining' }), say(method.name))
      await expect(headline(page)).toContainText(say(method.name))
      await make(page)
      await expect(headline(page)).toContainText(/holds to|as sound work/)
      await expect(page.locator('.causes')).toContainText('Nothing was done that cost anything')
      await expect(page.locator('.outcome')).toContainText('By these readings: good.')

      const school = 'metric'
      const example = method.examples.find((e) => e.school === school) ?? method.examples[0]
      const wrong = threeFaults(method, example as Method['examples'][number])
      await hit(button(page, 'Make it again'))
      await make(page, wrong)
      await expect(headline(page)).toContainText(/First cause: /)
      await expect(causes(page)).toHaveCount(3)
      for (const fault of wrong) await expect(page.locator('.causes')).toContainText(fault)
      await expect(page.getByRole('table', { name: 'Tries' }).getByRole('row')).toHaveCount(3)
      expect(written()).toEqual([])
    })
})

const WAYS = [
  { ...INCH_MOUSE, joined: PVC_INCH, pressure: 'psi', length: ' in', steps: 5 },
  { ...METRIC_THUMB, joined: PVC, pressure: 'bar', length: 'mm', steps: 4 },
] as const
bothWays(WAYS, 'a joint is spoilt by hand, put right, left out and found again', async (page, own) => {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  const { job } = await jobOf(page, { ...own.joined, name: 'Practised', joints: 1 })
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(`/job/${job}/practice`)
  await expect(headline(page)).toHaveText('Make a joint: Solvent cement. It may fail here.')
  await expect(page.locator('.head .why')).toContainText(`Step 1 of ${own.steps}`)
  await noViolations(page)
  // Pulled by keyboard to no chamfer at all, and back again.
  const chamfer = page.getByRole('slider', { name: 'Chamfer' })
  await expect(chamfer).toHaveAttribute('aria-valuetext', new RegExp(own.length))
  await chamfer.focus()
  await page.keyboard.press('Home')
  await expect(chamfer).toHaveAttribute('aria-valuetext', /^0 /)
  await hit(button(page, 'As usual'))
  await expect(chamfer).not.toHaveAttribute('aria-valuetext', /^0 /)
  for (let step = 1; step < own.steps - 1; step++) {
    if (await page.getByRole('slider', { name: 'Coat on the underside' }).count()) await drawnOn(page)
    await hit(done(page))
  }
  // Held for nothing: the time is run, and stopped at once.
  await hit(page.getByRole('radio', { name: '1\u00d7' }))
  const hold = page.locator('.how').filter({ hasText: 'Held for' })
  await hit(hold.getByRole('button', { name: 'Run the time' }))
  await hit(hold.getByRole('button', { name: 'Stop here' }))
  await hit(done(page))
  await hit(done(page))
  await hit(button(page, 'Cut it open'))
  await expect(headline(page)).toContainText('First cause: Let go early.')
  await expect(headline(page)).toContainText(own.pressure)
  await expect(causes(page).first()).toContainText('Let go early: ')
  await noViolations(page)
  // The cause leads to its step: held this time, it holds.
  await hit(button(page, /^at \u201cHome/))
  await expect(headline(page)).toContainText(`Step ${own.steps - 1} of ${own.steps}`)
  await hit(done(page))
  await hit(done(page))
  await expect(headline(page)).toContainText(/holds to|as sound work/)
  // One step back and another: left out, then done after all.
  await hit(button(page, 'One step back'))
  await hit(button(page, 'Leave it out'))
  await expect(page.locator('.outcome')).toContainText('Nothing was read.')
  await hit(button(page, 'Make it again'))
  await hit(button(page, 'Leave it out'))
  for (let step = 1; step < own.steps; step++) await hit(done(page))
  await expect(headline(page)).toContainText('First cause: No chamfer.')
  // What was found out is not kept in the job, and what lay there lies there again.
  await chooseAfter(page)
  await page.reload()
  await expect(headline(page)).toContainText('Make a joint: Press.')
})
/** Cement drawn on by touch and by key, all but the underside; then as usual after all. */
async function drawnOn(page: Page): Promise<void> {
  await hit(button(page, 'Draw it on round the pipe'))
  const hour = (clock: number) => button(page, new RegExp(`^${clock} o\u2019clock, `))
  for (const clock of [8, 9, 10, 11, 12, 1, 2]) await hit(hour(clock))
  for (const clock of [3, 4]) {
    await hour(clock).focus()
    await page.keyboard.press('Enter')
  }
  await expect(hour(3)).toHaveAccessibleName('3 o\u2019clock, once')
  await expect(hour(6)).toHaveAccessibleName('6 o\u2019clock, nothing put on')
  const under = page.getByRole('slider', { name: 'Coat on the underside' })
  await expect(under).toHaveAttribute('aria-valuetext', '0 %')
  await expect(page.getByRole('slider', { name: 'Cement, of what it needs' })).toHaveAttribute(
    'aria-valuetext',
    '86 %',
  )
  await noViolations(page)
  await hit(button(page, 'As usual instead'))
  await expect(under).toHaveAttribute('aria-valuetext', '97 %')
}
async function chooseAfter(page: Page): Promise<void> {
  await hit(button(page, 'Make it again'))
  const press = methodOf('press') as Method
  await chooseIn(page.getByRole('combobox', { name: 'Way of joining' }), say(press.name))
  await expect(headline(page)).toContainText('Make a joint: Press.')
}

test('a trade test of forty questions is taken by keyboard alone, marked, and what was missed is due again', async ({
  page,
}) => {
  test.slow()
  await signIn(page)
  const job = await demoJob(page)
  const written = entriesWritten(page)
  await page.goto(`/job/${job}/practice?do=test`)
  const question = page.getByRole('heading', { level: 2 }).first()
  await expect(question).toContainText('Question 1 of 40')
  const atAnswer = (): Promise<boolean> =>
    page.evaluate(() => document.activeElement?.matches('.answers button:not(:disabled)') ?? false)
  for (let no = 1; no <= 40; no++) {
    await expect(question).toContainText(`Question ${no} of 40`)
    const answers = (await page.getByText('Tap the steps').count())
      ? await page.locator('.answers button').count()
      : 1
    for (let tap = 0; tap < answers; tap++) {
      for (let tab = 0; tab < 40 && !(await atAnswer()); tab++) await page.keyboard.press('Tab')
      await page.keyboard.press('Enter')
    }
  }
  await expect(page.getByRole('status').filter({ hasText: 'of 40 right.' })).toBeVisible()
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(41)
  // The paper says who took it.
  await expect(page.locator('.marks')).toContainText('Taken by Wren')
  await noViolations(page)
  await expect(page.getByRole('heading', { name: 'How it goes' })).toBeVisible()
  await page.reload()
  // Kept with the person: answers of the test are there after a reload.
  await expect(page.getByText('right at first sight').first()).toBeVisible()
  expect(written()).toEqual([])
})

test('sums are done in the head, each told at once, and marked', async ({ page }) => {
  await signIn(page)
  await page.goto(`/job/${await demoJob(page)}/practice?do=sums`)
  for (let no = 1; no <= 12; no++) {
    await expect(page.getByRole('heading', { level: 2 }).first()).toContainText(`Question ${no} of 12`)
    await page
      .locator('.answers button')
      .nth(no % 4)
      .click()
    await expect(page.locator('.told')).toContainText(/^Right\.$|^No: /)
    await button(page, 'Next').click()
  }
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(13)
  await button(page, 'Back to the bench').click()
  await expect(headline(page)).toContainText('Make a joint')
})

test('a hidden fault is found, or told', async ({ page }) => {
  await signIn(page)
  await page.goto(`/job/${await demoJob(page)}/practice?do=find`)
  await page.locator('.answers button').first().click()
  await expect(page.locator('.told')).toContainText(/Right|No: /)
  await button(page, 'Next').click()
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('Question 2 of 10')
  await page.locator('.answers button').last().click()
  await expect(page.locator('.told')).toContainText(/Right\.|No: /)
  await button(page, 'Give up').click()
  await expect(headline(page)).toContainText('Make a joint')
})
