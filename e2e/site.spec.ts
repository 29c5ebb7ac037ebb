import { randomUUID } from 'node:crypto'
import { expect, test } from '@playwright/test'
import { PHONE, eventsOf, noViolations, signIn, write } from './help'
import { chooseIn } from './lists-help'

test('the site: a jump waits for a person, a gap is named, an instrument reports by its token, a forecast only plans', async ({
  page,
}) => {
  await signIn(page)
  const [job, placeId] = [randomUUID(), randomUUID()]
  await page.request.post('/api/jobs', { data: { jobId: job, name: 'Site' } })
  const now = Math.floor(Date.now() / 1000)
  const read = (agoS: number, value: number, what = 'wall') => ({
    kind: 'reading',
    agoS,
    data: { placeId, what, basis: 'measured', atS: now - agoS, value },
  })
  await write(page, job, [
    {
      kind: 'job-set',
      data: { name: 'Site', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 },
    },
    { kind: 'place-set', data: { placeId, name: 'Pump room' } },
    ...[40_000, 36_400, 20_000, 16_400, 12_800, 9200, 5600, 2000, 1000, 400].map((ago) => read(ago, 11)),
    read(300, 51),
    read(200, 11.2),
    read(200, 12, 'air'),
  ])
  await page.goto(`/job/${job}/site`)
  const h1 = page.getByRole('heading', { level: 1 })
  await expect(h1).toContainText('Pump room: a reading jumped by more than 15 K')
  await expect(page.getByText(/Not read from .* unknown for sign-off/)).toHaveCount(1)
  await noViolations(page)
  await page.getByRole('button', { name: 'Leave it out' }).click()
  await expect(h1).toContainText('Pump room: wall 11.2 °C')
  // An instrument is put up; its token is told once, and what it sends stands here a moment later.
  await page.getByRole('button', { name: 'Put one up…' }).click()
  await page.getByLabel('Name on the instrument').fill('Probe 7')
  await chooseIn(page.getByRole('combobox', { name: 'Where it hangs' }), 'Pump room')
  await page.getByRole('button', { name: 'Put it up' }).click()
  const token = await page.locator('.token code').innerText()
  const sent = await page.request.post('/api/devices/reports', {
    headers: { authorization: `Bearer ${token}` },
    data: {
      sentAtDeviceS: now,
      reports: [{ seq: 1, atDeviceS: now, what: 'wall', value: 13.4 }],
    },
  })
  expect(sent.status()).toBe(200)
  await expect(h1).toContainText('Pump room: wall 13.4 °C')
  // A forecast: bad rows by line, then taken whole.
  await page.getByRole('button', { name: 'Load a forecast…' }).click()
  await chooseIn(page.getByRole('combobox', { name: 'Place', exact: true }), 'Pump room')
  const day = new Date((now + 86400) * 1000).toISOString().slice(0, 10)
  await page.getByLabel(/Rows as CSV/).fill(`time,temperature\n${day} 26:00,4\n${day} 03:00,-2`)
  await page.getByRole('button', { name: 'Load the forecast' }).click()
  await expect(page.getByRole('alert')).toContainText('Line 2, time')
  expect((await eventsOf(page, job)).some((e) => e.data.basis === 'forecast')).toBe(false)
  await page.getByLabel(/Rows as CSV/).fill(`time,temperature\n${day} 02:00,4\n${day} 03:00,-2`)
  await page.getByRole('button', { name: 'Load the forecast' }).click()
  await expect(page.getByText(/Forecast to/)).toBeVisible()
  await expect(h1).toContainText('Pump room: wall 13.4 °C')
  await page.getByRole('button', { name: 'Take down' }).click()
  await expect(page.getByText('Nothing reports by itself here')).toBeVisible()
  await page.setViewportSize(PHONE)
  await noViolations(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width)
})
