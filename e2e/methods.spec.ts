import { randomUUID } from 'node:crypto'
import { type Page, expect, test } from '@playwright/test'
import { PHONE, demoJob, eventsOf, noViolations, signIn, write } from './help'
import { jobOf } from './make-help'

interface Story {
  method: string
  material: string
  size: string
  details?: Record<string, unknown>
  /** Readings that are typed, by key. */
  typed?: Record<string, string>
  steps: number
}
const STORIES: readonly Story[] = [
  { method: 'press', material: 'copper', size: 'd22', steps: 3 },
  { method: 'solder', material: 'copper', size: 'd15', details: { part: 'ball-valve' }, steps: 4 },
  {
    method: 'compression',
    material: 'stainless',
    size: 'd12',
    details: { socketDepthMm: 20 },
    typed: { turns: '1-1/4' },
    steps: 4,
  },
  {
    method: 'sanitary-clamp',
    material: 'stainless',
    size: 'DN 40',
    details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
    typed: { gapMinMm: '0.9', gapMaxMm: '0.9', torqueNm: '4', intrusionMm: '0.1' },
    steps: 5,
  },
  {
    method: 'flare',
    material: 'pfa',
    size: 'OD 1/2',
    details: { cold: true, quenched: true },
    typed: { gapMinMm: '2.5', gapMaxMm: '3' },
    steps: 4,
  },
  {
    method: 'socket-fusion',
    material: 'pp-r',
    size: 'd20',
    typed: { toolC: '260', tiltDeg: '1' },
    steps: 4,
  },
  {
    method: 'adhesive-bond',
    material: 'epoxy-resin',
    size: 'NPS 4',
    details: { socketDepthMm: 50 },
    steps: 5,
  },
  {
    method: 'split-coupling',
    material: 'carbon-steel',
    size: 'NPS 8',
    details: { bolts: 4, dryTorqueNm: 200, kDry: 0.2, kLubricated: 0.15 },
    typed: { torqueNm: '150' },
    steps: 5,
  },
  {
    method: 'expansion-joint',
    material: 'carbon-steel',
    size: 'NPS 6',
    details: { dryTorqueNm: 80, rods: 'limit', extensionMm: 10 },
    typed: { torqueNm: '80', outerMm: '10' },
    steps: 4,
  },
  {
    method: 'flange',
    material: 'pvc-u',
    size: 'd110',
    details: { bolts: 8, dryTorqueNm: 30 },
    typed: { torqueNm: '30' },
    steps: 4,
  },
]

async function jobWith(page: Page, s: Story): Promise<{ job: string; joint: string }> {
  await signIn(page)
  const { job, joints } = await jobOf(page, { ...s, joints: 1, wallC: 24 })
  const nowS = Date.now() / 1000
  await write(page, job, [
    {
      kind: 'permit-set',
      data: { what: 'hot-work', number: 'HW-1', fromS: nowS - 60, untilS: nowS + 7200 },
    },
  ])
  return { job, joint: joints[0] as string }
}

/** Taps of a joint's normal life, opening it included; reading a figure off a drawing is not a tap. */
const TAPS: Readonly<Record<string, number>> = { press: 4, compression: 5, 'sanitary-clamp': 6 }

for (const s of STORIES)
  test(`one joint goes through Make: ${s.method}`, async ({ browser }) => {
    const context = await browser.newContext({ viewport: PHONE, hasTouch: true })
    const page = await context.newPage()
    const { job, joint } = await jobWith(page, s)
    await page.goto(`/job/${job}/make/${joint}`)
    const done = () =>
      eventsOf(page, job).then((all) => all.filter((e) => e.kind === 'step-done' && e.jointId === joint))
    let taps = 1
    for (let step = 0; step < s.steps; step++) {
      // A heat or a hold runs its time before anything is asked for.
      await expect(page.locator('.action')).not.toContainText('Hands stay', { timeout: 30_000 })
      for (let seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
        await seen.first().click()
      // The keyboard is the last way in where a figure is read off a drawing.
      const typeIt = page.getByRole('button', { name: 'Type it' })
      if (await typeIt.count()) await typeIt.click()
      for (const [key, value] of Object.entries(s.typed ?? {})) {
        const field = page.locator(`#read-${key}`)
        if (await field.count()) {
          await expect(field).toHaveValue('')
          await field.fill(value)
        }
      }
      const asked = page.locator('.asked .button').first()
      if (await asked.count()) {
        await expect(page.locator('.action')).toBeDisabled()
        await asked.click()
        taps++
      }
      await expect(page.locator('.action')).toBeEnabled()
      if (step === 1) await noViolations(page)
      await page.locator('.action').click()
      taps++
      await expect.poll(async () => (await done()).length).toBe(step + 1)
    }
    await expect(page.getByRole('img', { name: /judged good/ }).first()).toBeVisible()
    expect(taps).toBeLessThanOrEqual(TAPS[s.method] ?? 99)
    await context.close()
  })

test('a line of another method is set out with the mouse, what its method asks is asked', async ({
  page,
}) => {
  await signIn(page)
  const job = randomUUID()
  await page.request.post('/api/jobs', { data: { jobId: job, name: 'Well' } })
  const set = { name: 'Well', zone: 'UTC', school: 'inch', table: 'current', checkOffsetMm: 50.8 }
  await write(page, job, [{ kind: 'job-set', data: set }])
  await page.goto(`/job/${job}/set-out`)
  await page.getByRole('button', { name: /line/i }).first().click()
  const choose = async (id: string, option: string): Promise<void> => {
    await page
      .locator('.el-select')
      .filter({ has: page.locator(`#${id}`) })
      .click()
    await page.getByRole('option', { name: option, exact: true }).click()
  }
  await choose('line-method', 'Compression')
  await choose('line-material', 'PE')
  await noViolations(page)
  await page.getByLabel('Tag', { exact: true }).fill('W')
  await page.getByRole('button', { name: 'Begin the line' }).click()
  await expect(page.getByRole('alert')).toContainText('Say which kind of fitting it is.')
  await choose('line-kind', 'grip nut')
  await page.getByRole('button', { name: 'Begin the line' }).click()
  await page.getByLabel('Next fitting or piece').click()
  // Typed without a pause on a slow machine: nothing typed is lost, and each entry stands on the last.
  const slow = await page.context().newCDPSession(page)
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 6 })
  await page.keyboard.type('tee 1\n24 c-c\nelbow 90\n36 c-c\ntee\n')
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  await expect(page.getByRole('heading', { level: 1 })).toContainText('W has 4 joints and 2 pieces')
  await expect(page.locator('.grid-space .part', { hasText: 'W-01' })).toBeVisible()
  await page.goto(`/job/${job}/make`)
  await page.getByRole('link', { name: /W-01/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('insert stiffener')
})

test.describe('the Handbook', () => {
  test('answers a question, opens the joint, shows the source, puts another beside', async ({ page }) => {
    await signIn(page)
    const job = await demoJob(page)
    await page.goto(`/job/${job}/wait`)
    await page.getByRole('link', { name: 'Handbook' }).click()
    await page.getByLabel('Ask the Handbook').fill('2 in sch 80 cure 45 F')
    const h1 = page.getByRole('heading', { level: 1 })
    await expect(h1).toContainText('Cure, to 160 psi, PVC NPS 2 Sch 80 = 45 min (published, from memory).')
    await noViolations(page)
    await page.getByRole('button', { name: 'published, from memory' }).first().click()
    await expect(page.getByText(/ASTM D2855, solvent-cemented joints/)).toBeVisible()
    await page.getByRole('button', { name: 'Solvent cement, PVC NPS 2 Sch 80' }).first().click()
    await expect(h1).toHaveText('Solvent cement, PVC NPS 2 Sch 80')
    await expect(page.getByText('45 min', { exact: true })).toBeVisible()
    await expect(page.getByRole('img', { name: 'Hours of cure against wall temperature' })).toBeVisible()
    await expect(page.getByText('Prime socket, pipe, socket again.')).toBeVisible()
    await expect(page.getByRole('cell', { name: 'With a quarter turn' })).toBeVisible()
    await page.getByRole('button', { name: 'Put another beside' }).click()
    await expect(page.locator('article')).toHaveCount(2)
    await noViolations(page)
    await page.goBack()
    await expect(page.locator('article')).toHaveCount(1)
  })
  test('a question in millimetres', async ({ page }) => {
    await signIn(page)
    const job = await demoJob(page)
    await page.goto(`/job/${job}/handbook`)
    await page.getByLabel('Ask the Handbook').fill('22 mm solder depth')
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Depth of the cup, copper d22 = 15.4')
  })
  test('a table is compared with a copy by a named person, and says so from then on', async ({ page }) => {
    const s = STORIES[0] as Story
    const { job } = await jobWith(page, s)
    await page.goto(`/job/${job}/handbook?page=unverified`)
    const before = Number(/^\d+/.exec(await page.getByRole('heading', { level: 1 }).innerText())?.[0])
    await page.getByRole('button', { name: /Compared with a copy: EN 1254-1/ }).click()
    await page.getByRole('button', { name: 'I compared it' }).click()
    await expect(page.getByRole('alert')).toContainText('Which edition')
    await page.getByLabel('Edition').fill('1998')
    await page.getByRole('button', { name: 'I compared it' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText(`${before - 1} published tables`)
    await expect(page.getByText(/1998, on .*, by Wren/)).toBeVisible()
    await page.goto(`/job/${job}/handbook?q=22%20mm%20solder%20depth`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('checked against 1998')
  })
  test('a maker\u2019s chart: bad rows named by line and nothing loaded; a good one counts in Cut', async ({
    page,
  }) => {
    const { job } = await jobWith(page, STORIES[0] as Story)
    await page.goto(`/job/${job}/handbook?page=charts`)
    const head = 'method,material,size,figure,value,unit,reference'
    await page.getByLabel('Name of the chart').fill('Kelpwick stores, sheet 4')
    await page
      .getByLabel('Rows as CSV')
      .fill(`${head}\npress,copper,d22,depth,24,mm,row 1\npress,copper,d23,depth,9,mm,row 2`)
    await page.getByRole('button', { name: 'Load the chart' }).click()
    await expect(page.getByRole('alert')).toContainText('Line 3, size: copper is not made in d23')
    expect((await eventsOf(page, job)).some((e) => e.kind === 'chart-loaded')).toBe(false)
    await page.getByLabel('Rows as CSV').fill(`${head}\npress,copper,d22,depth,24,mm,row 1`)
    await page.getByRole('button', { name: 'Load the chart' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(
      '1 chart of makers\u2019 figures is loaded.',
    )
    await noViolations(page)
    await page.goto(`/job/${job}/handbook?q=22%20mm%20press%20copper%20depth`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('copper d22 = 24 mm (your chart)')
    await page.goto(`/job/${job}/cut`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Mark 24')
  })
})
