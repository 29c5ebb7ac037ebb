import { expect, test } from '@playwright/test'
import { PHONE, afterLastStep, eventsOf, noViolations, signIn, write } from './help'
import { COPPER, PVC, jobOf, step } from './make-help'

test.use({ viewport: PHONE, hasTouch: true })

test('a batch of press joints with a tool that reports: two taps each, the next opens by itself', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, COPPER)
  const tool = 'PT-7'
  await write(page, job, [
    {
      kind: 'tool-set',
      data: { toolId: tool, kind: 'press-tool', name: tool, matches: { size: 'd22' }, dueOn: null },
    },
    { kind: 'tool-proof', data: { toolId: tool, good: true, how: 'tried' } },
  ])
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: new RegExp(`^Take this press tool: ${tool}`) }).click()
  const made = async (): Promise<unknown[]> =>
    (await eventsOf(page, job)).filter((e) => e.kind === 'step-done').map((e) => [e.jointId, e.data.step])
  let taps = 0
  const tap = async (name: RegExp): Promise<void> => {
    await page.getByRole('button', { name }).click()
    taps++
  }
  for (const n of [1, 2, 3]) {
    await expect(page.getByRole('region', { name: `Joint M-0${n}` })).toBeVisible()
    await tap(/^In to the mark/)
    await expect(page.getByText('assembled, not pressed')).toBeVisible()
    // One that had ended before the tap would be a cycle of another joint.
    await expect.poll(async () => (await made()).length).toBe(n * 3 - 2)
    await write(page, job, [
      {
        kind: 'tool-said',
        data: { toolId: tool, what: 'cycle', result: 'complete', atS: await afterLastStep(page, job) },
      },
    ])
    await tap(/^Ring gone|^Indicator gone/)
  }
  await expect(page.getByRole('region', { name: 'Joint M-04' })).toBeVisible()
  expect(taps).toBe(6)
  await expect
    .poll(made)
    .toEqual(joints.slice(0, 3).flatMap((j) => ['insert', 'press', 'look'].map((s) => [j, s])))
})

test('hot work without a permit is stopped; the permit is written down and the work goes on', async ({
  page,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, { method: 'solder', material: 'copper', size: 'd22' })
  await page.goto(`/job/${job}/make/${joints[0]}`)
  const action = page.locator('.action')
  const was = await action.innerText()
  await action.click()
  await expect(action).not.toHaveText(was)
  await expect(action).toBeDisabled()
  await expect(page.getByRole('button', { name: /Not like this/ })).toBeVisible()
  await page.getByRole('button', { name: 'Hot-work permit…' }).click()
  const sheet = page.getByRole('dialog', { name: 'Hot-work permit' })
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByRole('alert')).toContainText('number that stands on the permit')
  await sheet.getByLabel('Number').fill('HW-114')
  await sheet.getByLabel('Valid for so many more hours').fill('30')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByRole('alert')).toContainText('up to 24')
  await sheet.getByLabel('Valid for so many more hours').fill('4')
  await noViolations(page)
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet).toBeHidden()
  await expect(action).toBeEnabled()
  const permit = async () => (await eventsOf(page, job)).find((e) => e.kind === 'permit-set')?.data
  await expect.poll(permit).toMatchObject({ what: 'hot-work', number: 'HW-114' })
})

test('a picture of a joint: kept here without signal, sent when it is back, named in the log by its hash', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  const [joint = ''] = joints
  await write(page, job, [step(joint, 'fit', 900), step(joint, 'cement', 870), step(joint, 'home', 850)])
  await page.goto(`/job/${job}/make/${joint}`)
  const input = page.locator('.photos input[type=file]')
  // On a phone it lies with what is seldom wanted.
  const more = page.getByRole('button', { name: 'More…' })
  await more.click()
  await expect(page.getByText('Photo…')).toBeVisible()
  await input.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(page.getByRole('alert')).toContainText('no picture that can be read')
  // What the page itself looks like is picture enough.
  const shot = await page.screenshot()
  await context.setOffline(true)
  await input.setInputFiles({ name: 'mark.png', mimeType: 'image/png', buffer: shot })
  const thumb = page.getByRole('button', { name: /^Picture 1 of M-01/ })
  await expect(thumb).toBeVisible()
  await context.setOffline(false)
  const named = async () => (await eventsOf(page, job)).find((e) => e.kind === 'photo-kept')?.data.hash
  await expect.poll(named).toMatch(/^[0-9a-f]{64}$/)
  const hash = (await named()) as string
  const there = async () => (await page.request.get(`/api/jobs/${job}/photos/${hash}`)).status()
  await expect.poll(there).toBe(200)
  await thumb.click()
  const whole = page.getByRole('img', { name: 'Picture of M-01' })
  await expect(whole).toBeVisible()
  expect(await whole.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(300)
  await noViolations(page)
  // Another device has it from the server.
  await page.evaluate(() => indexedDB.deleteDatabase('jugalis-photos'))
  await page.reload()
  await more.click()
  await expect(page.locator('.thumb img')).toHaveAttribute('src', new RegExp(`/photos/${hash}$`))
  await expect
    .poll(() => page.locator('.thumb img').evaluate((i: HTMLImageElement) => i.naturalWidth))
    .toBeGreaterThan(300)
})
