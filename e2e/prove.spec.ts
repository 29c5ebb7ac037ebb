import { readFile } from 'node:fs/promises'
import { type Page, expect, test } from '@playwright/test'
import { PHONE, eventsOf, noViolations, signIn, write } from './help'
import { begin, ends, ready } from './prove-help'

test('water that holds: live from the logger, verdict, after-steps, cover, certificate', async ({ page }) => {
  await signIn(page)
  const { job, section } = await ready(page)
  await begin(page, job)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/9 bar held .* of 20 s/)
  await expect(page.getByRole('img', { name: 'Pressure and temperature over the test' })).toBeVisible()
  await noViolations(page)
  await page.setViewportSize(PHONE)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width)
  await page.setViewportSize({ width: 1280, height: 800 })
  // A page that was away comes back to the same test, and to every reading once.
  await page.reload()
  await expect(ends(page, 'held')).toBeVisible()
  await ends(page, 'held').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('T1-A is proved at 9 bar')
  const log = (await eventsOf(page, job)).filter((e) => e.kind === 'test-log')
  const times = log.flatMap((e) => (e.data.rows as number[][]).map((r) => r[0]))
  expect(times.length).toBeGreaterThan(15)
  expect(new Set(times).size).toBe(times.length)

  await expect(page.getByRole('heading', { name: 'May I close the wall?' })).toBeVisible()
  await page.getByLabel('What is to be seen first').fill('north wall')
  await page.getByRole('button', { name: 'Must be seen first' }).click()
  await expect(page.getByText('Not yet: north wall waits for the inspector.')).toBeVisible()
  await page.getByRole('button', { name: 'Go on', exact: true }).click()
  await expect(page.getByText(/T1-A is proved, and nobody asked/)).toBeVisible()
  await page.getByRole('button', { name: 'Done' }).first().click()
  await expect(page.getByLabel('The section is')).toHaveValue('full')
  // More than that it was done: a time that is none is said, and typed anew.
  await page.getByRole('button', { name: 'Say how …' }).last().click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('How it was done').fill('50 mg/l, two hours')
  await sheet.getByLabel('Begun at').fill('soon')
  await sheet.getByRole('button', { name: 'Done' }).click()
  await expect(sheet.getByRole('alert')).toContainText('Write a time that was')
  await noViolations(page)
  await sheet.getByLabel('Begun at').fill('2026-01-02 07:30')
  await sheet.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText(/begun .*07:30.*, 50 mg\/l, two hours/)).toBeVisible()
  await noViolations(page)
  const pdf = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Certificate, PDF' }).click()
  const bytes = await readFile((await (await pdf).path()) as string)
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
  const json = page.waitForEvent('download')
  await page.getByRole('button', { name: 'JSON' }).click()
  const c = JSON.parse(await readFile((await (await json).path()) as string, 'utf8')) as {
    section: string
    head: { hash: string }
    judgement: { verdict: string }
    flags: unknown[]
  }
  expect([c.section, c.judgement.verdict, c.flags]).toEqual(['T1-A', 'held', []])
  expect(c.head.hash).toMatch(/^[0-9a-f]{64}$/)

  // What is not back is missing at hand-over.
  await write(page, job, [
    { kind: 'tag-put', data: { tagId: 't1', sectionId: section, kind: 'blank', where: 'branch 4' } },
  ])
  await page.goto(`/job/${job}/hand-over`)
  await expect(page.getByRole('list', { name: 'Missing' })).toContainText('branch 4')
})

test('water that leaks: lost, with a rate and where to look first', async ({ page }) => {
  await signIn(page)
  const { job } = await ready(page, { standIn: 'leak' })
  await begin(page, job)
  await expect(ends(page, 'lost')).toBeVisible()
  await expect(page.getByText(/About .* l an hour/)).toBeVisible()
  await ends(page, 'lost').click()
  await expect(page.getByRole('heading', { name: 'Look at these first' })).toBeVisible()
  await expect(page.getByText(/T1-0\d: among those made last/).first()).toBeVisible()
})

test('plastic that gives way: inconclusive, and what would settle it', async ({ page }) => {
  await signIn(page)
  const { job } = await ready(page, { allowedDropBar: 0.02 })
  await begin(page, job)
  await expect(page.getByText(/Inconclusive: the pipe itself still gives way/)).toBeVisible()
  await ends(page, 'inconclusive').click()
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('is proved')
})

test('air on steel: the low look first, refused above the weakest part, then held', async ({ page }) => {
  await signIn(page)
  const { job, section, joints } = await ready(page, {
    method: 'press',
    material: 'carbon-steel',
    size: 'd54',
    medium: 'air',
    testBar: 3,
    allowedDropBar: 0.1,
  })
  // The low look comes first; a named tester may set it aside, with a reason that is kept.
  await page.goto(`/job/${job}/prove`)
  await page.getByLabel('Test pressure').fill('20')
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await expect(page.getByRole('alert')).toContainText(
    'above what Line T1 may ever take (16 bar at the gauge)',
  )
  await expect(page.getByRole('alert')).toContainText('Nobody can set aside')
  await page.getByLabel('Test pressure').fill('3')
  await page.getByLabel('Gauge reads to').fill('0.0062')
  await page.getByLabel('Time to settle, min').fill('0')
  await page.getByRole('radio', { name: 'on the wall' }).click()
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await expect(page.getByRole('alert')).toContainText('A gate is open')
  await page.getByLabel('Reason to begin all the same').fill('looked at every joint by hand')
  await page.getByRole('button', { name: /with this reason/ }).click()
  await expect(ends(page, 'held')).toBeVisible()
  await ends(page, 'held').click()
  await expect
    .poll(async () => (await eventsOf(page, job)).find((e) => e.kind === 'test-begun')?.data.setAside)
    .toEqual([{ code: 'stop-gate-open', reason: 'looked at every joint by hand' }])
  await expect(page.getByText('Let the gas out where nobody stands.')).toBeVisible()

  // While it is under pressure nobody works on it, nor on what lies behind the same valve.
  await write(page, job, [{ kind: 'section-state', data: { sectionId: section, state: 'under pressure' } }])
  await expect(page.getByLabel('The section is')).toHaveValue('under pressure')
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await expect(page.getByRole('alert')).toContainText(
    'T1-A is under pressure. Nothing is cut or opened there.',
  )
})

test('a test of several stages: one at a time, each with its pressure, its time and its walk', async ({
  page,
}) => {
  await signIn(page)
  const { job } = await ready(page, {
    method: 'press',
    material: 'carbon-steel',
    size: 'd54',
    medium: 'air',
    testBar: 3.3,
    allowedDropBar: 0.1,
    rule: 'b31.3-pneumatic',
    standIn: 'off',
  })
  await page.goto(`/job/${job}/prove`)
  await page.getByLabel('Gauge reads to').fill('0.01')
  await page.getByLabel('Time to settle, min').fill('0')
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await page.getByLabel('Reason to begin all the same').fill('looked at every joint by hand')
  await page.getByRole('button', { name: /with this reason/ }).click()
  const guide = page.getByRole('region', { name: /^Stage/ })
  const read = async (bar: string): Promise<void> => {
    await page.getByLabel('Gauge now').fill(bar)
    await page.getByRole('button', { name: 'Read', exact: true }).click()
  }
  await expect(guide).toContainText('Stage 1 of 6. Raise it to 1.65 bar.')
  await expect(guide.getByRole('button', { name: 'Walked: no leak seen' })).toBeDisabled()
  await read('1.2')
  await expect(guide).toContainText('No reading at this pressure yet.')
  await read('1.65')
  await expect(guide).toContainText('walk the line, look at every joint')
  await noViolations(page)
  await guide.getByRole('button', { name: 'Walked: no leak seen' }).click()
  for (const bar of ['2.06', '2.47', '2.89']) {
    await expect(guide).toContainText('Raise it to')
    await read(bar)
    await guide.getByRole('button', { name: 'It is steady: go on' }).click()
  }
  await expect(guide).toContainText('Stage 5 of 6. Raise it to 3.3 bar.')
  // What was read on the way up is not the hold.
  await expect(page.getByRole('img', { name: 'Pressure and temperature over the test' })).toBeHidden()
  await read('3.3')
  await expect(guide).toContainText(/Stay at 3\.30? bar for (10:00|9:\d\d) more/)
  await expect(guide.getByRole('button', { name: 'This stage is over' })).toBeDisabled()
  const signed = async () =>
    (await eventsOf(page, job)).filter((e) => e.kind === 'stage-done').map((e) => e.data.stage)
  await expect.poll(signed).toEqual([0, 1, 2, 3])
})

test('plan, parts, tags: the weakest part rules, heights count', async ({ page }) => {
  await signIn(page)
  const { job } = await ready(page)
  await page.goto(`/job/${job}/prove`)
  await page.getByRole('radio', { name: 'Plan' }).click()
  await page.getByRole('button', { name: 'Change the plan…' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Gauge, height').fill('12')
  await sheet.getByLabel('Lowest point').fill('0')
  await sheet.getByLabel('Highest point').fill('12')
  await noViolations(page)
  await sheet.getByRole('button', { name: 'Set the plan' }).click()
  await expect(sheet).toBeHidden()
  await page.getByRole('radio', { name: 'Parts and tags' }).click()
  await page.getByLabel('Name of the part').fill('union at the pump')
  await page.getByRole('textbox', { name: 'Rating' }).fill('10')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByLabel('Where', { exact: true }).fill('tank 4')
  await page.getByRole('button', { name: 'Tag it' }).click()
  await expect(page.getByRole('list', { name: 'Tagged' })).toContainText('tank 4')
  await page.getByRole('button', { name: 'Say how …' }).click()
  await page.getByLabel('How it was done').fill('new gasket')
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('list', { name: 'Tagged' })).toContainText(/back.*new gasket/)
  await noViolations(page)
  await page.getByRole('radio', { name: 'Plan' }).click()
  // Incident: a gauge 12 m above a PN 10 union may show no more than about 8.8 bar.
  await expect(page.getByText(/union at the pump: 10 bar; the gauge may show 8.82 bar/)).toBeVisible()
  await page.getByRole('radio', { name: 'Gates' }).click()
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await expect(page.getByRole('alert')).toContainText('union at the pump')
})

test('a file of a logger: columns, units, faults by line', async ({ page }) => {
  await signIn(page)
  const { job } = await ready(page, { holdS: 1200, standIn: 'gaps' })
  await begin(page, job)
  await page.getByRole('button', { name: 'From a file…' }).click()
  const at = (s: number): string =>
    new Date(Date.now() + 3_600_000 + s * 1000).toISOString().slice(0, 19).replace('T', ' ')
  const rows = (psi: (i: number) => string, fromS = 0) =>
    `Time,Pressure psi,Temp °C\n${Array.from({ length: 130 }, (_, i) => `${at(fromS + i * 10)},${psi(i)},15.2`).join('\n')}`
  const put = (text: string) =>
    page
      .getByLabel('File of the logger')
      .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await put(rows((i) => (i === 7 ? 'abc' : '130.5')))
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByRole('alert')).toContainText('Line 9: “abc” is no pressure.')
  await put(rows(() => '130.5'))
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText(/Last of \d+ readings/)).toContainText(/1[3-9]\d/)
  const first = async (): Promise<number | undefined> =>
    (await eventsOf(page, job))
      .filter((e) => e.kind === 'test-log' && e.data.from === 'log.csv')
      .map((e) => (e.data.rows as number[][])[0]?.[1])[0]
  await expect.poll(first).toBeCloseTo(8.9977, 3)
  // Above what the line may take: kept as evidence, the line named, and what to do said aloud.
  await page.getByRole('button', { name: 'From a file…' }).click()
  await put(rows((i) => (i === 3 ? '260' : '130.5'), 5))
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByText('Line 5 of the file is above what the weakest part may take.')).toBeVisible()
  await expect(page.getByText(/17\.93 bar was read at .* Let the pressure off/)).toBeVisible()
})

test('who tests ends the test; who has the job may with a reason; a verdict is not taken back', async ({
  browser,
}) => {
  const open = async (login: string): Promise<Page> => {
    const page = await (await browser.newContext()).newPage()
    await signIn(page, login)
    return page
  }
  const [wren, teal] = [await open('wren'), await open('teal')]
  const { job } = await ready(wren)
  for (const login of ['teal', 'plover'])
    await wren.request.post(`/api/jobs/${job}/members`, { data: { login } })
  await begin(teal, job)
  await expect(ends(teal, 'held')).toBeVisible()
  const plover = await open('plover')
  await plover.goto(`/job/${job}/prove`)
  await expect(plover.getByText('Teal tests here: they end it, or who has the job.')).toBeVisible()
  await expect(plover.getByRole('button', { name: /^End the test/ })).toBeDisabled()
  await noViolations(plover)

  await wren.goto(`/job/${job}/prove`)
  await ends(wren, 'held').click()
  const why = wren.getByLabel('Why do you end it, and not Teal?')
  await expect(wren.getByRole('button', { name: /^End the test/ }).last()).toBeDisabled()
  await why.fill('Teal was called away')
  await noViolations(wren)
  await why.press('Enter')
  await expect(wren.getByRole('heading', { level: 1 })).toContainText('T1-A is proved at 9 bar')
  await expect(wren.getByText('Ended by Wren, not its tester: Teal was called away')).toBeVisible()
  await expect(wren.getByRole('button', { name: 'Undo' })).toHaveCount(0)
  for (const page of [wren, teal, plover]) await page.context().close()
})
