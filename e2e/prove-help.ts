import { randomUUID } from 'node:crypto'
import { type Page, expect } from '@playwright/test'
import { madeLongAgo, readings, write } from './help'

const GATES = ['supports', 'vents', 'isolated', 'gauge', 'people']
interface Wanted {
  method: string
  material: string
  size: string
  medium: 'water' | 'air'
  testBar: number
  allowedDropBar: number
  holdS: number
  standIn: string
  rule: string
}
/** Most lines here: PVC-U full of water, at 9 bar for 20 s. */
const USUAL: Wanted = {
  method: 'solvent-cement',
  material: 'pvc-u',
  size: 'd63',
  medium: 'water',
  testBar: 9,
  allowedDropBar: 0.5,
  holdS: 20,
  standIn: 'well',
  rule: 'custom',
}
const pressed = (jointId: string): Parameters<typeof write>[2] =>
  (
    [
      ['insert', {}],
      ['press', {}],
      ['look', { indicator: 'gone', edge: 'at-edge' }],
    ] as const
  ).map(([step, reads], i) => ({
    kind: 'step-done',
    v: 2,
    jointId,
    agoS: 7200 - i * 60,
    data: { life: 1, step, readings: reads, shown: [] },
  }))

/** A line of two joints, made and judged, with every gate closed and a stand-in logger on it. */
export async function ready(
  page: Page,
  more: Partial<Wanted> = {},
): Promise<{ job: string; section: string; joints: string[] }> {
  const w: Wanted = { ...USUAL, ...more }
  const [job, lineId, placeId, section] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()]
  const joints = [randomUUID(), randomUUID()]
  await page.request.post('/api/jobs', { data: { jobId: job, name: `Test ${w.standIn}` } })
  await write(page, job, [
    { kind: 'job-set', data: { name: `Test ${w.standIn}`, zone: 'UTC', school: 'metric' }, agoS: 90_000 },
    { kind: 'place-set', data: { placeId, name: 'Hall' }, agoS: 90_000 },
    {
      kind: 'line-set',
      agoS: 90_000,
      data: {
        lineId,
        tag: 'T1',
        name: 'T1',
        method: w.method,
        material: w.material,
        school: 'metric',
        placeId,
        ratingBar: 16,
      },
    },
    {
      kind: 'items-put',
      agoS: 89_000,
      data: {
        lineId,
        items: [
          {
            itemId: randomUUID(),
            item: { type: 'fitting', tag: 'T1/F01', size: w.size, fitting: 'elbow 90' },
          },
          {
            itemId: randomUUID(),
            item: {
              type: 'piece',
              tag: 'T1/P01',
              size: w.size,
              measure: 'end-end',
              measuredMm: 30_000,
              jointA: joints[0],
              jointB: joints[1],
              tagA: 'T1-01',
              tagB: 'T1-02',
            },
          },
          {
            itemId: randomUUID(),
            item: { type: 'fitting', tag: 'T1/F02', size: w.size, fitting: 'elbow 90' },
          },
        ],
      },
    },
    ...readings(placeId, 30, 15),
    ...joints.flatMap((j): Parameters<typeof write>[2] =>
      w.method === 'press' ? pressed(j) : madeLongAgo(j, 26),
    ),
    {
      kind: 'section-set',
      data: {
        sectionId: section,
        tag: 'T1-A',
        jointIds: joints,
        workingBar: 6,
        testBar: w.testBar,
        holdS: w.holdS,
        allowedDropBar: w.allowedDropBar,
      },
    },
    {
      kind: 'section-plan',
      data: {
        sectionId: section,
        rule: w.rule,
        designBar: w.testBar / 1.1,
        medium: w.medium,
        axial: 'free',
        gaugeM: 1,
        lowM: 0,
        highM: 3,
      },
    },
    { kind: 'section-state', data: { sectionId: section, state: 'full' } },
    ...GATES.map((gate) => ({
      kind: 'gate',
      data: { sectionId: section, gate, done: true, how: 'looked at' },
    })),
  ])
  // Off: what the gauge shows is typed.
  if (w.standIn === 'off') return { job, section, joints }
  const r = await page.request.post(`/api/jobs/${job}/devices`, {
    data: { name: 'Logger 1', kind: 'pressure-logger', sectionId: section, standIn: w.standIn },
  })
  expect(r.status()).toBe(201)
  return { job, section, joints }
}
export async function begin(page: Page, job: string): Promise<void> {
  await page.goto(`/job/${job}/prove`)
  await page
    .getByRole('button', { name: 'Gates' })
    .or(page.getByRole('radio', { name: 'Gates' }))
    .click()
  await page.getByLabel('Gauge', { exact: true }).fill('G-1')
  await page.getByLabel('Gauge reads to').fill('0.0062')
  await page.getByLabel('Time to settle, min').fill('0')
  await page.getByRole('radio', { name: 'inside the pipe' }).click()
  await page.getByRole('button', { name: 'More of the gauge…' }).click()
  await page.getByLabel('May drift').fill('0.002')
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await expect(page.getByRole('button', { name: 'I see a leak' })).toBeVisible()
}
/** The button that ends a test with this verdict. */
export const ends = (page: Page, verdict: string) =>
  page.getByRole('button', { name: `End the test: ${verdict}` })
/** Reads by hand, as often as the hand is quick, until the hold is over and the test would end as held. */
export async function readUntilHeld(page: Page, read: () => Promise<void>): Promise<void> {
  const held = page.getByRole('button', { name: /End the test: held/ })
  const lastMs = Date.now() + 150_000
  while (Date.now() < lastMs && !(await held.isVisible())) await read()
  await expect(held).toBeVisible()
}
