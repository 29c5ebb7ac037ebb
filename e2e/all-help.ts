import { randomUUID } from 'node:crypto'
import { type Page, expect } from '@playwright/test'
import { madeLongAgo, readings, write } from './help'

/** Lines of every method that a school joins, each with what its method asks. */
interface Kind {
  tag: string
  method: string
  material: string
  size: string
  schedule?: string
  details?: Record<string, unknown>
}
const METRIC: readonly Kind[] = [
  { tag: 'SC', method: 'solvent-cement', material: 'pvc-u', size: 'd63' },
  { tag: 'PR', method: 'press', material: 'copper', size: 'd22' },
  { tag: 'SO', method: 'solder', material: 'copper', size: 'd15', details: { part: 'ball-valve' } },
  { tag: 'CO', method: 'compression', material: 'stainless', size: 'd12', details: { socketDepthMm: 20 } },
  {
    tag: 'CL',
    method: 'sanitary-clamp',
    material: 'stainless',
    size: 'DN 40',
    details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
  },
  { tag: 'SF', method: 'socket-fusion', material: 'pp-r', size: 'd20' },
  { tag: 'FG', method: 'flange', material: 'pvc-u', size: 'd110', details: { bolts: 8, dryTorqueNm: 30 } },
]
const INCH: readonly Kind[] = [
  { tag: 'SC', method: 'solvent-cement', material: 'pvc', size: 'NPS 2', schedule: '80' },
  { tag: 'PR', method: 'press', material: 'carbon-steel', size: 'NPS 1' },
  { tag: 'SO', method: 'solder', material: 'copper', size: 'CTS 3/4', details: { part: 'union' } },
  { tag: 'CO', method: 'compression', material: 'pe', size: 'CTS 3/4', details: { kind: 'grip-nut' } },
  {
    tag: 'TF',
    method: 'compression',
    material: 'stainless',
    size: 'OD 1/4',
    details: { socketDepthMm: 15.9 },
  },
  {
    tag: 'CL',
    method: 'sanitary-clamp',
    material: 'stainless',
    size: 'BPE 2',
    details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
  },
  { tag: 'FL', method: 'flare', material: 'pfa', size: 'OD 3/4', details: { quenched: true } },
  {
    tag: 'AB',
    method: 'adhesive-bond',
    material: 'epoxy-resin',
    size: 'NPS 4',
    details: { socketDepthMm: 50.8 },
  },
  {
    tag: 'SP',
    method: 'split-coupling',
    material: 'carbon-steel',
    size: 'NPS 8',
    details: { bolts: 4, dryTorqueNm: 200, kDry: 0.2, kLubricated: 0.15 },
  },
  {
    tag: 'EX',
    method: 'expansion-joint',
    material: 'carbon-steel',
    size: 'NPS 6',
    details: { dryTorqueNm: 80, rods: 'limit', extensionMm: 10 },
  },
  {
    tag: 'FG',
    method: 'flange',
    material: 'carbon-steel',
    size: 'NPS 4',
    details: { bolts: 8, dryTorqueNm: 90 },
  },
]

export async function jobOfAll(
  page: Page,
  school: 'metric' | 'inch',
): Promise<{ job: string; joints: string[] }> {
  const [job, placeId, sectionId] = [randomUUID(), randomUUID(), randomUUID()]
  const name = `All, ${school}`
  await page.request.post('/api/jobs', { data: { jobId: job, name } })
  const joints: string[] = []
  const lines = (school === 'inch' ? INCH : METRIC).flatMap((k) => {
    const lineId = randomUUID()
    const [a, b] = [randomUUID(), randomUUID()]
    joints.push(a, b)
    const put = (item: Record<string, unknown>) => ({
      kind: 'item-put',
      data: { lineId, itemId: randomUUID(), item: { size: k.size, ...item } },
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
          schedule: k.schedule ?? null,
          details: k.details ?? {},
          ratingBar: 17.2369,
        },
      },
      put({ type: 'fitting', tag: `${k.tag}/F01`, fitting: 'tee' }),
      put({
        type: 'piece',
        tag: `${k.tag}/P01`,
        measure: 'centre-centre',
        measuredMm: 1407.3,
        jointA: a,
        jointB: b,
        tagA: `${k.tag}-01`,
        tagB: `${k.tag}-02`,
      }),
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
): Promise<void> {
  const open = async (path: string, where = path): Promise<void> => {
    await page.goto(`/job/${job}/${path}`)
    await expect(page.getByRole('heading', { level: 1 }).first()).not.toBeEmpty()
    await page.waitForLoadState('networkidle')
    await look(where)
  }
  /** Opens a sheet by a button of the page, looks, and leaves it. */
  const sheet = async (name: string | RegExp, where: string): Promise<void> => {
    await page.getByRole('button', { name }).first().click()
    await expect(page.getByRole('dialog').first()).toBeVisible()
    await look(where)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await open('set-out')
  await sheet('Paint a section', 'set-out, section sheet')
  await sheet('New line', 'set-out, line sheet')
  await sheet(/Wall|No reading/, 'reading sheet')
  await page.getByRole('link', { name: 'FG FG' }).click()
  await expect(page.getByRole('link', { name: 'FG FG' })).toHaveAttribute('aria-current', 'page')
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
    const sources = page.getByRole('button', { name: /Where|source/i })
    if (await sources.count()) await sources.first().click()
    await look('make, with its sources')
    if (await page.getByRole('dialog').count()) await page.keyboard.press('Escape')
  }
  await sheet('A tool…', 'make, tool sheet')
  await open('wait')
  await open('shift')
  await open('site')
  await page.getByRole('button', { name: 'Put one up…' }).click()
  await look('site, an instrument')
  await open('prove')
  for (const tab of ['Plan', 'Parts and tags', 'Tests and after', 'Gates']) {
    await page.getByRole('radio', { name: tab }).click()
    await look(`prove, ${tab}`)
    if (tab === 'Plan') await sheet('Change the plan…', 'prove, plan sheet')
  }
  await page.getByRole('button', { name: 'More of the gauge…' }).click()
  await look('prove, gauge')
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
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
