import { randomUUID } from 'node:crypto'
import { allMethods, joinable } from '@jugalis/core'
import { type Page, expect, test } from '@playwright/test'
import { PHONE, demoJob, eventsOf, noViolations, signIn, write } from './help'
import { hurriedSteps, tapAtOnce } from './hurried'
import { chooseIn } from './lists-help'
import { jobOf } from './make-help'

interface Story {
  method: string
  material: string
  size: string
  school: 'metric' | 'inch'
  details: Record<string, unknown>
  /** Readings that are typed, by key, with their units. */
  typed: Record<string, string>
  /** Read off a drawing: turns drawn round on the dial, a gap tapped on its tape. */
  turns: number | undefined
  gapMm: number | undefined
  steps: number
  /** Steps that end a window of seconds, by their place: the hand waits over them. */
  hurried: readonly number[]
}
/** Fair weather. */
const CTX = {
  pin: { rules: 9, chart: null, school: 'metric', table: 'current' },
  wall: [],
  airC: 24,
  wallC: 24,
  humidityPct: 50,
  mode: 'coldest',
} as const
/** How a unit of core is typed. */
const TYPED: Partial<Record<string, string>> = { mm: ' mm', C: ' °C', Nm: ' Nm' }
const DRAWN = ['turns', 'gapMinMm', 'gapMaxMm']

/** One life of each method, as its own example is made. Solvent cement has its own walks. */
const STORIES: readonly Story[] = allMethods()
  .filter((m) => m.id !== 'solvent-cement')
  .map((m) => {
    const example = m.examples[0]
    const school =
      example && joinable(m.id, example.spec.material, example.spec.size, 'metric').ok ? 'metric' : 'inch'
    const parsed = m.parse({ ...example?.spec, school })
    if (!example || !parsed.ok) throw new Error(`${m.id} has no example that can be made`)
    const { material, size, ...details } = example.spec
    const steps = m.steps(parsed.spec, { ...CTX, school })
    const unitOf = (key: string) => steps.flatMap((s) => s.reads).find((r) => r.key === key)?.unit ?? ''
    const reads = Object.entries(example.reads ?? {})
    return {
      method: m.id,
      material,
      size,
      school,
      details,
      steps: steps.length,
      hurried: hurriedSteps(m, parsed.spec, { ...CTX, school }),
      typed: Object.fromEntries(
        reads.filter(([k]) => !DRAWN.includes(k)).map(([k, v]) => [k, `${v}${TYPED[unitOf(k)] ?? ''}`]),
      ),
      turns: example.reads?.turns as number | undefined,
      gapMm: example.reads?.gapMinMm as number | undefined,
    }
  })

const PRESS = STORIES.find((s) => s.method === 'press') as Story

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

/**
 * Taps of a joint's normal life, opening it included, each reading with its own control: a turn drawn, a gap tapped, a
 * field gone into. A caution is acknowledged once a visit, not with each joint.
 */
const TAPS: Readonly<Record<string, number>> = { press: 4, compression: 7, 'sanitary-clamp': 9, flange: 7 }

/** Reads with the drawings that a step offers; gives how often a finger came down. */
async function readOff(page: Page, s: Story): Promise<number> {
  let taps = 0
  const tape = page.locator('.gaps .tape')
  if (s.gapMm !== undefined && (await tape.count())) {
    const box = await tape.boundingBox()
    if (!box) throw new Error('the tape of a gap is out of sight')
    await page.mouse.click(box.x + (s.gapMm / 5) * box.width, box.y + box.height / 2)
    taps++
    // The button says what was read, to a tenth, not rounded as a tape would be.
    await expect(page.locator('.action')).toContainText(`${s.gapMm} mm`)
  }
  const dial = page.getByRole('slider')
  if (s.turns !== undefined && (await dial.count())) {
    await dial.scrollIntoViewIfNeeded()
    const box = await dial.boundingBox()
    if (!box) throw new Error('the dial is out of sight')
    const [x, y, r] = [box.x + box.width / 2, box.y + box.height / 2, box.width * 0.4]
    // From six o'clock, clockwise.
    const at = (turns: number): [number, number] => {
      const a = Math.PI / 2 + turns * 2 * Math.PI
      return [x + r * Math.cos(a), y + r * Math.sin(a)]
    }
    await page.mouse.move(...at(0))
    await page.mouse.down()
    for (let t = 0; t <= s.turns + 1e-9; t += 1 / 32) await page.mouse.move(...at(t))
    await page.mouse.up()
    taps++
  }
  return taps
}
/** The action and what may go wrong stand whole above the dock, without scrolling. */
async function inSight(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const work = document.querySelector('main')
    if (!work) return ['no work']
    const foot = work.getBoundingClientRect().bottom
    return [...document.querySelectorAll('.action, .exceptions .button')].flatMap((e) => {
      const { bottom } = e.getBoundingClientRect()
      return bottom + work.scrollTop > foot + 1
        ? [`${e.textContent?.trim().slice(0, 30) ?? ''} ends ${Math.round(bottom - foot)} px under the dock`]
        : []
    })
  })
}
/** As soon as the page has come to rest: its letters may still be on their way. */
const standsInSight = (page: Page, step: number): Promise<void> =>
  expect.poll(() => inSight(page), { message: `step ${step + 1}` }).toEqual([])

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
      if (s.hurried.includes(step)) {
        // All is looked at while the heat runs, then the finger waits over the button, as a fitter's does.
        await standsInSight(page, step)
        await tapAtOnce(page)
        taps++
        await expect.poll(async () => (await done()).length).toBe(step + 1)
        continue
      }
      // A heat or a hold runs its time before anything is asked for.
      await expect(page.locator('.action')).not.toContainText('Hands stay')
      for (let seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
        await seen.first().click()
      taps += await readOff(page, s)
      for (const [key, value] of Object.entries(s.typed)) {
        const field = page.locator(`#read-${key}`)
        if (await field.count()) {
          await expect(field).toHaveValue('')
          await field.fill(value)
          taps++
        }
      }
      const asked = page.locator('.asked .button').first()
      const action = page.locator('.action')
      // The page may come to this step a moment after the server has the one before.
      await expect(async () => {
        if ((await asked.count()) && (await action.isDisabled())) {
          await asked.click()
          taps++
        }
        await expect(action).toBeEnabled({ timeout: 1000 })
      }).toPass()
      if (step === 1) await noViolations(page)
      await standsInSight(page, step)
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
  const choose = (id: string, option: string): Promise<void> => chooseIn(page.locator(`#${id}`), option)
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
    const s = PRESS
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
    const { job } = await jobWith(page, PRESS)
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
