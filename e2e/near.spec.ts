import { randomUUID } from 'node:crypto'
import { expect, test } from '@playwright/test'
import { eventsOf, noViolations, signIn, write } from './help'

test('what is near a press joint is asked before the pipe is cut: too near a weld, and the piece says so', async ({
  page,
}) => {
  await signIn(page)
  const [job, lineId, placeId] = [randomUUID(), randomUUID(), randomUUID()]
  await page.request.post('/api/jobs', { data: { jobId: job, name: 'Near' } })
  const set = { name: 'Near', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }
  const line = {
    lineId,
    tag: 'HW',
    name: 'HW',
    method: 'press',
    material: 'copper',
    school: 'metric',
    placeId,
  }
  const fitting = (tag: string) => ({
    kind: 'item-put',
    data: { lineId, itemId: randomUUID(), item: { type: 'fitting', tag, size: 'd22', fitting: 'tee' } },
  })
  const piece = { type: 'piece', tag: 'HW/P01', size: 'd22', measure: 'face-face', measuredMm: 600 }
  const ends = { jointA: randomUUID(), tagA: 'HW-01', jointB: randomUUID(), tagB: 'HW-02' }
  await write(page, job, [
    { kind: 'job-set', data: set },
    { kind: 'place-set', data: { placeId, name: 'P' } },
    { kind: 'line-set', data: line },
    fitting('HW/F01'),
    { kind: 'item-put', data: { lineId, itemId: randomUUID(), item: { ...piece, ...ends } } },
    fitting('HW/F02'),
  ])
  await page.goto(`/job/${job}/cut`)
  await page.getByRole('button', { name: 'What is near …' }).click()
  const sheet = page.getByRole('dialog')
  // Nothing is preset: what is not measured is not there.
  for (const field of await sheet.getByRole('textbox').all()) await expect(field).toHaveValue('')
  await noViolations(page)
  const weld = sheet.getByLabel(/^To a weld, at least/).first()
  await weld.fill('some')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByRole('alert')).toContainText('"some" can\u2019t be read as a figure in mm.')
  await weld.fill('60')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet).toHaveCount(0)
  await expect(page.locator('.grid-space .piece')).toContainText('no room')
  await expect
    .poll(async () => (await eventsOf(page, job)).at(-1)?.data.item)
    .toMatchObject({ near: [{ end: 0, to: 'weld', mm: 60 }] })
  await page.getByRole('button', { name: 'What is near …' }).click()
  await sheet
    .getByLabel(/^To a weld, at least/)
    .first()
    .fill('300')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.locator('.grid-space .piece')).toContainText('to cut')
})
