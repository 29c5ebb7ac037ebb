import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { eventsOf, noViolations, signIn } from './help'
import { hit } from './lists-help'
import { PVC, PVC_INCH, doesStep, jobOf } from './make-help'
import { INCH_MOUSE, METRIC_THUMB } from './set-out-help'

/** What happened to a joint is read where it is made: a wrong step that was taken back too, and by whom. */
const WAYS = [
  { ...INCH_MOUSE, pipe: PVC_INCH },
  { ...METRIC_THUMB, pipe: PVC },
] as const

bothWays(WAYS, 'the history of a joint tells what was taken back, and by whom', async (page, own) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, { ...own.pipe, joints: 2 })
  await page.goto(`/job/${job}/make/${joints[0]}`)
  const history = page.getByRole('button', { name: 'History…' })
  await hit(history)
  await expect(page.getByRole('dialog')).toContainText('Nothing has happened to this joint yet.')
  await page.keyboard.press('Escape')
  await doesStep(page)
  const count = async (): Promise<number> =>
    (await eventsOf(page, job)).filter(({ kind }) => kind === 'correction').length
  await hit(page.getByRole('button', { name: 'Undo', exact: true }))
  await expect.poll(count).toBe(1)
  await doesStep(page)
  await hit(history)
  const rows = page.getByRole('dialog').getByRole('listitem')
  await expect(rows).toHaveCount(2)
  await expect(rows.first()).toContainText(/Taken back by Wren/)
  await expect(rows.last()).not.toContainText(/Taken back/)
  await noViolations(page)
})
