import { randomUUID } from 'node:crypto'
import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { eventsOf, noViolations, write } from './help'
import { chooseIn, hit, hitOrMore } from './lists-help'
import { PVC, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB } from './set-out-help'

const INCH = { method: 'solvent-cement', material: 'pvc', size: 'NPS 2', schedule: '40' }
const WAYS = [
  { ...INCH_MOUSE, joint: { ...INCH, school: 'inch' as const } },
  { ...METRIC_THUMB, joint: { ...PVC, school: 'metric' as const } },
]

bothWays(WAYS, 'a joint that lies in another place: since when, and taken back', async (page, own) => {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  const { job, joints } = await jobOf(page, { ...own.joint, name: 'Wash house', tag: 'Q' })
  const placeId = randomUUID()
  await write(page, job, [{ kind: 'place-set', data: { placeId, name: 'Cold store' } }])
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await hit(page.getByRole('button', { name: /Fits, marked/ }).first())
  const down = page.getByRole('button', { name: 'Put it down' })
  await hitOrMore(down.first())
  const sheet = page.getByRole('dialog')
  await noViolations(page)
  const put = sheet.getByRole('button', { name: 'Write that down' })
  await expect(put).toBeDisabled()
  await chooseIn(page.locator('#placed-in'), 'Cold store')
  // What was is not still to come.
  await sheet.getByLabel('Since (empty: now)').fill('2099-01-01 07:30')
  await hit(put)
  await expect(sheet.getByRole('alert')).toContainText('Write a time that was')
  await sheet.getByLabel('Since (empty: now)').fill('2026-01-02 07:30')
  await hit(put)
  await expect(sheet).toHaveCount(0)
  const placed = async () => (await eventsOf(page, job)).filter(({ kind }) => kind === 'joint-placed')
  await expect.poll(async () => (await placed()).map(({ data }) => data.placeId)).toEqual([placeId])
  await hit(page.getByRole('button', { name: 'Undo' }))
  await expect(page.getByRole('button', { name: 'Do it again' })).toBeVisible()
})
