import { expect, test } from '@playwright/test'
import { PHONE, eventsOf, signIn } from './help'
import { PVC, jobOf } from './make-help'

test.use({ serviceWorkers: 'allow' })

test.use({ viewport: PHONE, hasTouch: true })
test('of what waits on the phone only the entry that is refused comes back; the rest goes out', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { job, joints } = await jobOf(page, PVC)
  await page.goto(`/job/${job}/make/${joints[0]}`)
  await page.getByRole('button', { name: /Fits, marked/ }).waitFor()
  await context.setOffline(true)
  // An entry of a joint that is not one of this job, written before the others.
  await page.evaluate(
    (jobId) =>
      new Promise<void>((done) => {
        const open = indexedDB.open('jugalis')
        open.onsuccess = () => {
          const tx = open.result.transaction('outbox', 'readwrite')
          const id = crypto.randomUUID()
          const data = { life: 1, step: 'fit', readings: {}, shown: [] }
          const what = { kind: 'step-done', v: 2, jointId: crypto.randomUUID(), data }
          const draft = { ...what, id, atDeviceS: Date.now() / 1000, deviceSeq: 2_000_000, after: [] }
          tx.objectStore('outbox').put({ id, jobId, draft })
          tx.oncomplete = () => done()
        }
      }),
    job,
  )
  await page.getByRole('button', { name: /Fits, marked/ }).click()
  await page.getByRole('button', { name: /Cleaned, cement on/ }).click()
  await context.setOffline(false)
  const steps = async (): Promise<unknown[]> =>
    (await eventsOf(page, job)).filter((e) => e.kind === 'step-done').map((e) => e.data.step)
  await expect.poll(steps).toEqual(['fit', 'cement'])
  const back = page.getByRole('alert').filter({ hasText: 'This joint is not one of this job.' })
  await expect(back).toHaveCount(1)
  await expect(page.getByText('No signal')).toHaveCount(0)
})
