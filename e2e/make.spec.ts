import { randomUUID } from 'node:crypto'
import { expect, test } from '@playwright/test'
import { PHONE, afterLastStep, eventsOf, noViolations, signIn, write } from './help'
import { hitOrMore } from './lists-help'
import { COPPER, PVC, jobOf, step } from './make-help'

test('a window missed leads to its way back, a failed reading to a second life, an interruption is kept', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  const [late, short, down] = joints as [string, string, string]
  await write(page, job, [step(late, 'fit', 1300), step(late, 'cement', 1200)])
  await page.goto(`/job/${job}/make/${late}`)
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toContainText('Too late to push home')
  await noViolations(page)
  await page.getByRole('button', { name: 'Cement hard' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Cut out M-/ })
    .click()
  await expect(h1).toContainText('Dry fit')
  await expect(page.getByText('made again: life 2')).toBeVisible()

  await write(page, job, [step(short, 'fit', 900), step(short, 'cement', 800), step(short, 'home', 760)])
  await page.goto(`/job/${job}/make/${short}`)
  await page.getByRole('button', { name: 'short', exact: true }).click()
  await page.locator('.action').click()
  await expect(h1).toContainText('short of home')
  await page.getByRole('button', { name: /Cut out, begin again/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Cut out M-/ })
    .click()
  await expect(page.getByText('made again: life 2')).toBeVisible()

  await page.goto(`/job/${job}/make/${down}`)
  await page.locator('.action').click()
  await page.getByRole('button', { name: 'Seen', exact: true }).click()
  await page.getByRole('button', { name: 'Seen', exact: true }).click()
  await page.locator('.action').click()
  await expect(h1).toContainText('within')
  await hitOrMore(page.getByRole('button', { name: 'Put it down' }))
  await expect(page.getByRole('dialog')).toContainText('The clock runs on')
  await page.getByRole('radio', { name: 'rain' }).click()
  await page.getByRole('button', { name: 'Put it down' }).last().click()
  await expect
    .poll(async () =>
      (await eventsOf(page, job)).filter((e) => e.kind === 'interrupted').map((e) => e.data.what),
    )
    .toEqual(['rain'])
  await context.close()
})

test('several joints in one entry, from memory; a step skipped with its reason', async ({ page }) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  // Marked with X on three rows, written down with B.
  const tag = page.locator('.what strong')
  for (const [i, name] of ['M-01', 'M-02', 'M-03'].entries()) {
    await expect(tag).toHaveText(name)
    await page.keyboard.press('x')
    if (i < 2) await page.keyboard.press('j')
  }
  await expect(page.getByText('3 marked')).toBeVisible()
  await page.keyboard.press('b')
  const sheet = page.getByRole('dialog')
  await expect(sheet).toContainText('3 of 6 in d63')
  await noViolations(page)
  await sheet.getByLabel('Between').fill('00:01')
  await sheet.getByLabel('and').fill('00:02')
  await sheet.getByRole('radio', { name: 'yesterday' }).click()
  await sheet.getByRole('button', { name: 'Write it down' }).click()
  await expect(sheet.getByRole('alert')).toContainText('from memory')
  await sheet.getByRole('radio', { name: 'from memory' }).click()
  await sheet.getByRole('button', { name: 'Write it down' }).click()
  const batch = async () => (await eventsOf(page, job)).filter((e) => e.kind === 'batch-done')
  await expect.poll(async () => (await batch()).length).toBe(1)
  expect((await batch())[0]?.data).toMatchObject({
    basis: 'memory',
    joints: [{ jointId: joints[0] }, {}, {}],
  })
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await expect(page.getByText('Written down from memory').first()).toBeVisible()
  await page.keyboard.press('Control+z')
  await page.goto(`/job/${job}/make/${joints[3]}`)
  await page.getByRole('button', { name: 'Skip…' }).click()
  await page.getByRole('button', { name: 'done before, not written' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Coat the socket')
  await expect
    .poll(async () => (await eventsOf(page, job)).at(-1)?.data.skipped)
    .toBe('done before, not written')
})

test('a press tool that reports writes its own step; what is assembled and not pressed is never out of sight', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, COPPER)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: 'Put one in…' }).click()
  await page.getByLabel('Code, name or number on it').fill('PT-2')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('PT-2 has not been tried today')).toBeVisible()
  await page.getByRole('button', { name: 'Try it, report it' }).click()
  await page.getByRole('button', { name: 'Tried, good' }).click()
  await expect(page.getByText('PT-2 has not been tried today')).toHaveCount(0)
  await page.locator('.action').click()
  await expect(page.getByText('assembled, not pressed')).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByText('assembled, not pressed')).toBeVisible()
  await page.getByText('assembled, not pressed').click()
  const toolOf = async () => (await eventsOf(page, job)).find((e) => e.kind === 'tool-set')?.data.toolId
  await expect.poll(toolOf).toBeTruthy()
  const tool = await toolOf()
  const said = async (result: string) => {
    const atS = await afterLastStep(page, job)
    await write(page, job, [{ kind: 'tool-said', data: { toolId: tool, what: 'cycle', result, atS } }])
  }
  await said('interrupted')
  await expect(page.getByText('the cycle broke off')).toBeVisible()
  await said('complete')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Indicator gone')
  await expect(page.getByText('assembled, not pressed')).toHaveCount(0)
  await expect
    .poll(async () => (await eventsOf(page, job)).find((e) => e.data.step === 'press')?.data)
    .toMatchObject({ toolIds: [tool], readings: { byTool: true } })
  await page.locator('.action').click()
  // Found out later: every joint made with it is to be looked at again.
  await page.goto(`/job/${job}/make/${joints[1]}`)
  await page.getByRole('button', { name: 'Try it, report it' }).click()
  await page.getByRole('button', { name: 'Found to be wrong' }).click()
  await page.getByLabel('What is wrong').fill('jaw of another profile')
  await page.getByLabel('Since').fill('00:00')
  await expect(page.getByText('Made with it since then: M-01.')).toBeVisible()
  await page.getByRole('button', { name: 'Look again at 1 joint' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await expect(page.getByText('Made with PT-2: jaw of another profile. Look at it again.')).toBeVisible()
  await expect(page.getByRole('heading', { name: /To look at/ })).toBeVisible()
})

test('two people on one joint: both see who is at it, and agree whose entry stands', async ({ browser }) => {
  const [a, b] = [await browser.newContext(), await browser.newContext()]
  const [wren, teal] = [await a.newPage(), await b.newPage()]
  await signIn(wren)
  await signIn(teal, 'teal')
  const { job, joints } = await jobOf(wren, PVC)
  const add = await wren.request.post(`/api/jobs/${job}/members`, { data: { login: 'teal' } })
  expect(add.status()).toBe(201)
  const joint = joints[0] as string
  await write(wren, job, [step(joint, 'fit', 60), step(joint, 'cement', 40)])
  await teal.goto(`/job/${job}/make/${joint}`)
  await expect(teal.getByText('Wren is making this joint')).toBeVisible()
  // Without signal Teal taps it home too; the careful one of the two counts until they agree.
  await write(wren, job, [step(joint, 'home', 20)])
  await expect(teal.getByRole('heading', { level: 1 })).toContainText('Hold')
  await write(teal, job, [step(joint, 'home', 8)])
  await wren.goto(`/job/${job}/make/${joint}`)
  await expect(wren.getByText(/Written twice:\s+Wren .*, Teal .*careful one counts/)).toBeVisible()
  await noViolations(wren)
  await wren.getByRole('button', { name: 'Wren\u2019s stands' }).click()
  await expect(teal.getByText('Written twice')).toHaveCount(0)
  await expect
    .poll(async () => (await eventsOf(wren, job)).at(-1))
    .toMatchObject({ kind: 'correction', data: { undo: true } })
  const all = await eventsOf(wren, job)
  expect(all.filter((e) => e.data.step === 'home')).toHaveLength(2)
  await a.close()
  await b.close()
})

test('a scanned code takes a tin or a tool in hand; an unknown one says so', async ({ page }) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  const tinId = randomUUID()
  await write(page, job, [
    { kind: 'tin-set', data: { tinId, plastic: 'cpvc', code: '26114B7', expiresOn: '2099-01-01' } },
  ])
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await expect(page.getByRole('button', { name: 'Scan a code…' })).toBeVisible()
  await page.keyboard.press('F8')
  // A barcode wedge types like a keyboard, without pauses, and ends with Enter.
  await page.keyboard.type('26114B7\n', { delay: 0 })
  await expect(page.getByText('26114B7 is in hand.')).toBeVisible()
  await expect(
    page.getByText('This tin is cpvc cement; the pipe is pvc-u. Fetch the right tin.').first(),
  ).toBeVisible()
  await page.keyboard.type('no such thing\n', { delay: 0 })
  await expect(page.getByText('Nothing here is called no such thing')).toBeVisible()
})

test('a window that ended while the screen was dark is shown first on waking', async ({ browser }) => {
  test.slow()
  const context = await browser.newContext({ viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  const [first, second] = joints as [string, string]
  const OPEN_S = 30
  await write(page, job, [step(first, 'fit', 60), step(first, 'cement', OPEN_S)])
  const cemented = (await eventsOf(page, job)).find((e) => e.data.step === 'cement')?.occurredAtS ?? 0
  await page.goto(`/job/${job}/wait`)
  const digits = page.locator('.dock-strip .digits').first()
  await expect(digits).toHaveText(/^\d+:\d\d$/)
  const [m = 0, s = 0] = (await digits.innerText()).split(':').map(Number)
  // The whole window, however long this machine took to show it.
  const windowS = Date.now() / 1000 + m * 60 + s - cemented
  // Another joint whose window ends by the same figure, late enough that a busy machine has gone dark before it does.
  const LEFT_S = 25
  const endsMs = Date.now() + LEFT_S * 1000
  await write(page, job, [step(second, 'fit', 600), step(second, 'cement', windowS - LEFT_S)])
  await expect(page.locator('.dock-strip .digits').first()).toHaveText(/^0:[0-2]\d$/)
  const turn = (state: string) =>
    page.evaluate((v) => {
      Object.defineProperty(document, 'visibilityState', { value: v, configurable: true })
      document.dispatchEvent(new Event('visibilitychange'))
    }, state)
  await turn('hidden')
  expect(Date.now()).toBeLessThan(endsMs)
  await expect.poll(() => Date.now() - endsMs).toBeGreaterThan(4000)
  await turn('visible')
  const sheet = page.getByRole('dialog', { name: 'While the screen was dark' })
  await expect(sheet).toContainText(/M-02\s+the time to push home ended .* ago\.\s+Skinned/)
  await noViolations(page)
  await sheet.getByRole('link', { name: 'M-02' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/limit was|Too late/)
  await expect(sheet).toHaveCount(0)
  await context.close()
})
