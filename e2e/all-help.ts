import { randomUUID } from 'node:crypto'
import { allMethods } from '@jugalis/core'
import { type Page, expect } from '@playwright/test'
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

export async function jobOfAll(
  page: Page,
  school: 'metric' | 'inch',
): Promise<{ job: string; joints: string[] }> {
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
    // One was made an hour ago: its times stand in the calendar.
    ...primed(joints[0] as string),
    {
      kind: 'part-set',
      data: { sectionId, partId: randomUUID(), name: 'union', kind: 'union', ratingBar: 13.7895, atM: 3.2 },
    },
    ...readings(placeId, 5, 15.4),
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
  return { job, joints }
}

/** A cemented joint made an hour ago, primer first where there is one. */
const primed = (jointId: string) => {
  const steps = madeLongAgo(jointId, 1)
  const [fit] = steps
  if (!fit) throw new Error('no steps')
  return [fit, { ...fit, agoS: fit.agoS - 10, data: { ...fit.data, step: 'prime' } }, ...steps.slice(1)]
}

/** Opens every place of such a job, its tabs and its sheets, and has each looked at. */
export async function everyPlace(
  page: Page,
  { job, joints }: { job: string; joints: string[] },
  school: 'metric' | 'inch',
  look: (where: string) => Promise<void>,
  /** Names of buttons as they are read: in English, or as another language has them. */
  called: (name: string | RegExp) => string | RegExp = (name) => name,
): Promise<void> {
  const open = async (path: string, where = path): Promise<void> => {
    await page.goto(`/job/${job}/${path}`)
    await expect(page.getByRole('heading', { level: 1 }).first()).not.toBeEmpty()
    await page.waitForLoadState('networkidle')
    await look(where)
  }
  /** Opens a sheet by a button of the page, looks, and leaves it. */
  const sheet = async (name: string | RegExp, where: string): Promise<void> => {
    await page
      .getByRole('button', { name: called(name) })
      .first()
      .click()
    await expect(page.getByRole('dialog').first()).toBeVisible()
    await look(where)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await open('set-out')
  await sheet('Paint a section', 'set-out, section sheet')
  await sheet('New line', 'set-out, line sheet')
  await sheet(/Wall|No reading/, 'reading sheet')
  const { tag } = kindsOf(school).at(-1) as { tag: string }
  await page.getByRole('link', { name: `${tag} ${tag}` }).click()
  await expect(page.getByRole('link', { name: `${tag} ${tag}` })).toHaveAttribute('aria-current', 'page')
  await look('set-out, another line')
  await open('fittings')
  await open('supports?laid=5&warm=25&cold=2')
  await open('cut')
  for (const link of await page.locator('a[href*="/cut/"]').all()) {
    const href = await link.getAttribute('href')
    if (href) await open(href.split(`/job/${job}/`)[1] as string, 'cut, one piece')
  }
  await sheet('The socket measures', 'cut, socket sheet')
  await open('cut')
  await sheet(/On paper|Print|Papers/, 'cut, papers')
  await open('bars')
  await sheet('Change the stock', 'bars, stock')
  await open(
    `tube?run=${encodeURIComponent(school === 'inch' ? '8 90 12' : '200 90 300')}&radius=${school === 'inch' ? '2' : '50'}&set=${school === 'inch' ? '12' : '300'}&angle=45`,
  )
  await open('make')
  for (const joint of joints.filter((_, i) => i % 2 === 0)) {
    await open(`make/${joint}`, 'make, one joint')
    const sources = page.getByRole('button', { name: called(/Where|source/i) })
    if (await sources.count()) await sources.first().click()
    await look('make, with its sources')
    if (await page.getByRole('dialog').count()) await page.keyboard.press('Escape')
  }
  await sheet('A tool…', 'make, tool sheet')
  await open('wait')
  await open('shift')
  await open('site')
  await page.getByRole('button', { name: called('Put one up…') }).click()
  await look('site, an instrument')
  await open('prove')
  for (const tab of ['Plan', 'Parts and tags', 'Tests and after', 'Gates']) {
    await page.getByRole('radio', { name: called(tab) }).click()
    await look(`prove, ${tab}`)
    if (tab === 'Plan') await sheet('Change the plan…', 'prove, plan sheet')
  }
  await page.getByRole('button', { name: called('More of the gauge…') }).click()
  await look('prove, gauge')
  await page.getByRole('button', { name: called('Pressure is on: begin') }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await look('prove, refused')
  await open('hand-over')
  await open('handbook')
  const joint = school === 'inch' ? 'pvc~NPS 2~inch~80' : 'pvc-u~d63~metric~'
  await open(`handbook?at=${encodeURIComponent(`solvent-cement~${joint}`)}`, 'handbook, a joint')
  await open('handbook?page=unverified', 'handbook, not yet checked')
  await open('handbook?page=tube', 'handbook, tube work')
  await page.goto('/settings')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await look('settings')
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await look('jobs')
}
