import { randomUUID } from 'node:crypto'
import { type Page, expect } from '@playwright/test'
import { readings, write } from './help'
import { hit } from './lists-help'

export interface Made {
  job: string
  placeId: string
  joints: string[]
}
interface Wanted {
  method: string
  material: string
  size: string
  name?: string
  details?: Record<string, unknown>
  tag?: string
  school?: 'metric' | 'inch'
  schedule?: string
  joints?: number
  wallC?: number
}
/** A job with one line of pieces and tees between them: joints alike, six if nothing else is said. */
export async function jobOf(page: Page, o: Wanted): Promise<Made> {
  const [job, placeId, lineId] = [randomUUID(), randomUUID(), randomUUID()]
  const { method, material, size, tag = 'M', school = 'metric', name = method } = o
  await page.request.post('/api/jobs', { data: { jobId: job, name } })
  const joints = Array.from({ length: o.joints ?? 6 }, () => randomUUID())
  const checkOffsetMm = school === 'inch' ? 50.8 : 50
  const line = { lineId, tag, name: tag, school, placeId, method, material, schedule: o.schedule ?? null }
  const put = (item: Record<string, unknown>) => ({
    kind: 'item-put',
    data: { lineId, itemId: randomUUID(), item: { size, ...item } },
  })
  const tee = (n: number) => put({ type: 'fitting', tag: `${tag}/F0${n}`, fitting: 'tee' })
  const pieces = Array.from({ length: Math.ceil(joints.length / 2) }, (_, i) => {
    const [a, b] = [joints[2 * i], joints[2 * i + 1]]
    const ends = {
      jointA: a,
      tagA: `${tag}-0${2 * i + 1}`,
      ...(b ? { jointB: b, tagB: `${tag}-0${2 * i + 2}` } : {}),
    }
    const piece = { type: 'piece', tag: `${tag}/P0${i + 1}`, measure: 'end-end', measuredMm: 900, ...ends }
    return b ? [put(piece), tee(i + 2)] : [put(piece)]
  })
  await write(page, job, [
    { kind: 'job-set', data: { name, zone: 'UTC', school, table: 'current', checkOffsetMm } },
    { kind: 'place-set', data: { placeId, name: 'P' } },
    { kind: 'line-set', data: { ...line, details: o.details ?? {} } },
    tee(1),
    ...pieces.flat(),
    ...readings(placeId, 3, o.wallC ?? 20),
  ])
  return { job, placeId, joints }
}
export const step = (
  jointId: string,
  name: string,
  agoS: number,
  readings: Record<string, unknown> = {},
  life = 1,
) => ({
  kind: 'step-done',
  v: 2,
  jointId,
  agoS,
  data: { life, step: name, readings, shown: [] },
})
/** Cement in inches. */
export const PVC_INCH = {
  method: 'solvent-cement',
  material: 'pvc',
  size: 'NPS 2',
  schedule: '40',
  school: 'inch' as const,
}
export const PVC = { method: 'solvent-cement', material: 'pvc-u', size: 'd63' }
export const COPPER = { method: 'press', material: 'copper', size: 'd22' }

/** Does the step at hand by its large button: what is warned of is seen first, and the next step stands there afterwards. */
export async function doesStep(page: Page): Promise<void> {
  const action = page.locator('.action')
  await seesAll(page)
  await expect(action).toBeEnabled()
  const was = await action.innerText()
  await hit(action)
  await expect(action).not.toHaveText(was)
}
/** Every caution of the step at hand is seen. */
export async function seesAll(page: Page): Promise<void> {
  const seen = page.getByRole('button', { name: 'Seen', exact: true })
  while (await seen.count()) await hit(seen.first())
}
