import { randomUUID } from 'node:crypto'
import { allMethods } from '@jugalis/core'
import type { Page } from '@playwright/test'
import { madeLongAgo, readings, write } from './help'

/** What a job says of every joint, so that no line need say it. */
const OF_THE_JOB = ['material', 'size', 'schedule', 'checkOffsetMm', 'pressureService']
/** A line of every method that a school joins, as its own example has it, each with what its method asks. */
const kindsOf = (school: 'metric' | 'inch') =>
  allMethods().flatMap((m, i) => {
    const e = m.examples.find((x) => x.school === school)
    if (!e) return []
    const details = Object.fromEntries(Object.entries(e.spec).filter(([k]) => !OF_THE_JOB.includes(k)))
    const schedule = typeof e.spec.schedule === 'string' ? e.spec.schedule : null
    return [
      { tag: `W${i + 1}`, method: m.id, material: e.spec.material, size: e.spec.size, schedule, details },
    ]
  })

export interface JobOfAll {
  school: 'metric' | 'inch'
  job: string
  joints: string[]
  /** Tag of its last line. */
  lastTag: string
}
const made = new Map<string, Promise<JobOfAll>>()
/** A job of a school with all ways of joining: one for all tests that run one after the other and only look. */
export function jobOfAll(page: Page, school: 'metric' | 'inch'): Promise<JobOfAll> {
  const job = made.get(school) ?? makeJobOfAll(page, school)
  made.set(school, job)
  return job
}

async function makeJobOfAll(page: Page, school: 'metric' | 'inch'): Promise<JobOfAll> {
  const [job, placeId, sectionId] = [randomUUID(), randomUUID(), randomUUID()]
  const name = `All, ${school}`
  await page.request.post('/api/jobs', { data: { jobId: job, name } })
  const joints: string[] = []
  /** A piece that is cut already: its state is said in the list. */
  const cut = randomUUID()
  const lines = kindsOf(school).flatMap((k, i) => {
    const lineId = randomUUID()
    const [a, b] = [randomUUID(), randomUUID()]
    joints.push(a, b)
    const put = (item: Record<string, unknown>, itemId: string = randomUUID()) => ({
      kind: 'item-put',
      data: { lineId, itemId, item: { size: k.size, ...item } },
    })
    return [
      {
        kind: 'line-set',
        data: {
          lineId,
          tag: k.tag,
          name: k.tag,
          school,
          placeId,
          method: k.method,
          material: k.material,
          schedule: k.schedule,
          details: k.details,
          ratingBar: 17.2369,
        },
      },
      put({ type: 'fitting', tag: `${k.tag}/F01`, fitting: 'tee' }),
      put(
        {
          type: 'piece',
          tag: `${k.tag}/P01`,
          measure: 'centre-centre',
          measuredMm: 1407.3,
          jointA: a,
          jointB: b,
          tagA: `${k.tag}-01`,
          tagB: `${k.tag}-02`,
        },
        i === 0 ? cut : undefined,
      ),
      put({ type: 'fitting', tag: `${k.tag}/F02`, fitting: 'elbow 90' }),
      ...['tee', 'elbow 90'].map((fitting) => ({
        kind: 'take-off',
        data: { fitting, size: k.size, takeOffMm: 65.0875, takeOffTo: 'face' },
      })),
    ]
  })
  await write(page, job, [
    {
      kind: 'job-set',
      data: { name, zone: 'UTC', school, table: 'current', checkOffsetMm: school === 'inch' ? 50.8 : 50 },
    },
    { kind: 'place-set', data: { placeId, name: 'Hall' } },
    ...lines,
    { kind: 'piece-cut', data: { itemId: cut, cutMm: 1352 } },
    { kind: 'stock-set', data: { kerfMm: 2.4, keepMm: 300, barsMm: [6096], offcuts: [] } },
    {
      kind: 'section-set',
      data: {
        sectionId,
        tag: 'A',
        jointIds: joints.slice(0, 2),
        workingBar: 6.9,
        testBar: 10.3421,
        holdS: 3600,
        allowedDropBar: 0.137895,
      },
    },
    {
      kind: 'section-plan',
      data: {
        sectionId,
        rule: 'b31.9-hydro',
        designBar: 6.9,
        medium: 'water',
        axial: 'free',
        gaugeM: 1,
        lowM: 0,
        highM: 12.3,
      },
    },
    { kind: 'section-state', data: { sectionId, state: 'full' } },
    {
      kind: 'crew-set',
      data: {
        people: ['Wren', 'Teal'].map((who) => ({
          id: who,
          name: who,
          days: [1, 2, 3, 4, 5, 6, 7],
          fromMin: 360,
          untilMin: 1200,
        })),
      },
    },
    // One was made an hour ago: its times stand in the calendar.
    ...primed(joints[0] as string),
    {
      kind: 'part-set',
      data: { sectionId, partId: randomUUID(), name: 'union', kind: 'union', ratingBar: 13.7895, atM: 3.2 },
    },
    ...readings(placeId, 5, 15.4),
    ...stored(school),
    {
      kind: 'permit-set',
      data: {
        what: 'hot-work',
        number: 'HW-1',
        fromS: Date.now() / 1000 - 60,
        untilS: Date.now() / 1000 + 7200,
      },
    },
  ])
  return { school, job, joints, lastTag: kindsOf(school).at(-1)?.tag ?? '' }
}

/** A cemented joint made an hour ago, primer first where there is one. */
const primed = (jointId: string) => {
  const steps = madeLongAgo(jointId, 1)
  const [fit] = steps
  if (!fit) throw new Error('no steps')
  return [fit, { ...fit, agoS: fit.agoS - 10, data: { ...fit.data, step: 'prime' } }, ...steps.slice(1)]
}

/** Things of the store: a tin by volume, wire by length, a jaw, a gauge past its day. */
const stored = (school: 'inch' | 'metric') => {
  const size = school === 'inch' ? 'NPS 1' : 'd22'
  const lot = { lotId: randomUUID(), expiresOn: '2099-01-31' }
  return [
    {
      kind: 'lot-set',
      data: { ...lot, kind: 'cement', name: 'T-1', matches: { plastic: 'pvc' }, amount: 0.95, unit: 'l' },
    },
    {
      kind: 'lot-set',
      data: {
        lotId: randomUUID(),
        kind: 'solder-wire',
        name: 'W-1',
        matches: { lead: 'free' },
        amount: 7500,
        unit: 'mm',
      },
    },
    { kind: 'tool-set', data: { toolId: randomUUID(), kind: 'jaw', name: 'J-1', matches: { size } } },
    {
      kind: 'tool-set',
      data: { toolId: randomUUID(), kind: 'gauge', name: 'G-1', matches: {}, dueOn: '2026-01-31' },
    },
  ]
}
