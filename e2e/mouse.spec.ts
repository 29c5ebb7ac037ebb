import { methodOf, named, say } from '@jugalis/core'
import { type Locator, type Page, expect, test } from '@playwright/test'
import { fromNothing } from './empty-help'
import { eventsOf } from './help'

interface Way {
  tag: string
  method: string
  material: string
  /** Wall chosen where it is not the usual one. */
  wall?: string
  /** Answers of the line by field: a choice by its name, a figure as it is typed. */
  asks?: Readonly<Record<string, string>>
  entries: readonly string[]
  joints: number
  /** Figures read in Make, as they are typed. */
  reads?: Readonly<Record<string, string>>
  /** The one mistake, and its way back: at a step, an exception that is tapped. */
  slip?: { step: number; says: string }
}
/** Every way of joining, as a job in inches has it. */
const WAYS: readonly Way[] = [
  {
    tag: 'A',
    method: 'solvent-cement',
    material: 'pvc',
    wall: 'Sch 80',
    entries: ['elbow 90 2', '40 c-c', 'tee 2', 'branch', '24-1/2 c-c', 'cap 2', '..', "3' c-c", 'cap 2'],
    joints: 1,
    reads: { checkMm: '2' },
  },
  {
    tag: 'B',
    method: 'solder',
    material: 'copper',
    entries: ['union 3/4', '18 c-c', 'ball valve 3/4'],
    joints: 2,
    slip: { step: 0, says: 'Water in the line' },
  },
  {
    tag: 'C',
    method: 'press',
    material: 'carbon-steel',
    entries: ['elbow 90 1', '30 c-c', 'tee 1'],
    joints: 2,
    slip: { step: 0, says: 'Mark not reached' },
  },
  {
    tag: 'D',
    method: 'compression',
    material: 'pe',
    asks: { kind: 'grip nut' },
    entries: ['coupling 3/4', '60 c-c', 'elbow 90 3/4'],
    joints: 1,
    reads: { turns: '2' },
  },
  {
    tag: 'E',
    method: 'compression',
    material: 'stainless',
    entries: ['union 1/2', '20 c-c', 'tee 1/2'],
    joints: 1,
    reads: { turns: '1-1/4' },
  },
  {
    tag: 'F',
    method: 'sanitary-clamp',
    material: 'stainless',
    asks: { gasket: 'EPDM', tighten: 'torque', torqueNm: '35 in-lb' },
    entries: ['elbow 90 2', '30 c-c', 'tee 2'],
    joints: 2,
    reads: { gapMinMm: '0.035', gapMaxMm: '0.035', torqueNm: '35 in-lb', intrusionMm: '0.004' },
  },
  {
    tag: 'G',
    method: 'flare',
    material: 'pfa',
    asks: { cold: 'yes', quenched: 'yes' },
    entries: ['elbow 90 1/2', '20 c-c', 'tee 1/2'],
    joints: 1,
    reads: { gapMinMm: '0.1', gapMaxMm: '0.12' },
  },
  {
    tag: 'H',
    method: 'socket-fusion',
    material: 'pp-r',
    entries: ['elbow 90 d20', '20 c-c', 'tee d20'],
    joints: 1,
    reads: { toolC: '500', tiltDeg: '1' },
  },
  {
    tag: 'I',
    method: 'adhesive-bond',
    material: 'epoxy-resin',
    entries: ['elbow 90 4', '60 c-c', 'tee 4'],
    joints: 1,
  },
  {
    tag: 'J',
    method: 'split-coupling',
    material: 'carbon-steel',
    asks: { bolts: '4', dryTorqueNm: '148 ft-lb', kDry: '0.2', kLubricated: '0.15' },
    entries: ['elbow 90 8', '80 c-c', 'tee 8'],
    joints: 1,
    reads: { torqueNm: '111 ft-lb' },
  },
  {
    tag: 'K',
    method: 'expansion-joint',
    material: 'carbon-steel',
    asks: { dryTorqueNm: '59 ft-lb', rods: 'limit', extensionMm: '0.4' },
    entries: ['elbow 90 6', '60 c-c', 'tee 6'],
    joints: 1,
    reads: { torqueNm: '59 ft-lb', outerMm: '0.4' },
  },
  {
    tag: 'L',
    method: 'flange',
    material: 'carbon-steel',
    asks: { bolts: '8', dryTorqueNm: '60 ft-lb' },
    entries: ['elbow 90 4', '60 c-c', 'tee 4'],
    joints: 2,
    reads: { torqueNm: '60 ft-lb' },
  },
]

/** A hand on a mouse: everything is come to by pointing; only what is read off is typed. */
const type = async (field: Locator, text: string): Promise<void> => {
  await field.click({ clickCount: 3 })
  await field.page().keyboard.insertText(text)
}
/** Opens a list by pointing at it and chooses in it; the next may not be asked for before this one is gone. */
async function chooseIn(box: Locator, option: string | RegExp): Promise<void> {
  const page = box.page()
  await page.locator('.el-select').filter({ has: box }).click()
  await expect(box).toHaveAttribute('aria-expanded', 'true')
  const list = page.locator(`#${(await box.getAttribute('aria-controls')) ?? ''}`)
  await list
    .getByRole('option', { name: option, exact: typeof option === 'string' })
    .first()
    .click()
  await expect(box).toHaveAttribute('aria-expanded', 'false')
  await expect(list).toBeHidden()
}
const choose = (page: Page, id: string, option: string): Promise<void> =>
  chooseIn(page.locator(`#${id}`), option)
const chooseNamed = (page: Page, label: string, option: string | RegExp): Promise<void> =>
  chooseIn(page.getByRole('combobox', { name: label }), option)
const h1 = (page: Page): Locator => page.getByRole('heading', { level: 1 })

async function beginLine(page: Page, w: Way): Promise<void> {
  const method = methodOf(w.method)
  await page.getByRole('button', { name: /^(Begin a line|New line)$/ }).click()
  await choose(page, 'line-method', say(method?.name ?? { code: '', params: {} }))
  await choose(page, 'line-material', named(w.material))
  if (w.wall) await choose(page, 'line-series', w.wall)
  for (const [key, answer] of Object.entries(w.asks ?? {})) {
    const f = method?.fields.find((x) => x.key === key)
    if (f?.options || f?.control === 'yes-no') await choose(page, `line-${key}`, answer)
    else await type(page.getByLabel(say(f?.label ?? { code: '', params: {} })).first(), answer)
  }
  // Without a tag it is refused, in a sentence; then it is given.
  await page.getByRole('button', { name: 'Begin the line' }).click()
  await expect(page.getByRole('dialog').getByRole('alert').last()).toContainText('A line needs a short tag')
  await type(page.getByLabel('Tag', { exact: true }), w.tag)
  await page.getByRole('button', { name: 'Begin the line' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const entry = page.getByLabel('Next fitting or piece')
  for (const text of w.entries) {
    await type(entry, text)
    await page.getByRole('button', { name: 'Set out', exact: true }).click()
    await expect(entry).toHaveValue('')
  }
}

/** One joint from its first step to judged good, by its own order; gives the steps that were written. */
async function makeJoint(page: Page, job: string, w: Way, nth: number): Promise<void> {
  const tag = `${w.tag}-0${nth}`
  await page.getByRole('link', { name: 'Make' }).first().click()
  await page
    .getByRole('link', { name: new RegExp(`${tag}\\b`) })
    .first()
    .click()
  await expect(page.getByRole('region', { name: `Joint ${tag}` })).toBeVisible()
  const written = async () =>
    (await eventsOf(page, job)).filter((e) => e.kind === 'step-done').map((e) => e.jointId).length
  const action = page.locator('.action')
  const good = page.locator('.top').getByRole('img', { name: /judged good/ })
  for (let step = 0; step < 9 && !(await good.count()); step++) {
    await expect(action).not.toContainText('Hands stay', { timeout: 60_000 })
    if (await page.getByRole('button', { name: 'Hot-work permit…' }).count()) {
      await page.getByRole('button', { name: 'Hot-work permit…' }).click()
      await type(page.getByLabel('Number', { exact: true }), 'HW-7')
      await type(page.getByLabel(/Valid for/), '4')
      await page.getByRole('button', { name: 'Keep it' }).click()
    }
    for (const seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
      await seen.first().click()
    const before = await written()
    if (w.slip?.step === step && nth === 1) {
      const more = page.getByRole('button', { name: 'More…' })
      if (!(await page.getByRole('button', { name: w.slip.says }).count())) await more.click()
      await page.getByRole('button', { name: w.slip.says }).click()
      await expect.poll(written).toBe(before + 1)
      await page.getByRole('button', { name: 'Undo' }).click()
      await expect(page.getByRole('button', { name: 'Do it again' })).toBeVisible()
    }
    const typeIt = page.getByRole('button', { name: 'Type it' })
    if (await typeIt.count()) await typeIt.click()
    for (const [key, value] of Object.entries(w.reads ?? {})) {
      const field = page.locator(`#read-${key}`)
      if (!(await field.count())) continue
      // A figure that cannot be read is said to be none, and put right.
      await type(field, 'about right')
      await h1(page).click()
      await expect(page.getByText(/can\u2019t be read as a figure|is not a figure/).first()).toBeVisible()
      await type(field, value)
    }
    for (const group of await page.locator('.asked').all()) await group.locator('.button').first().click()
    await expect(action).toBeEnabled({ timeout: 60_000 })
    const now = await written()
    await action.click()
    await expect.poll(written, { timeout: 20_000 }).toBe(now + 1)
  }
  await expect(good).toBeVisible()
}

async function paint(page: Page, tag: string, holdMin: string): Promise<void> {
  await page.getByRole('link', { name: 'Set out' }).first().click()
  await page
    .getByRole('navigation', { name: 'Lines' })
    .getByRole('link', { name: new RegExp(`^${tag} `) })
    .click()
  await page.getByRole('button', { name: /Paint a section/ }).click()
  await type(page.getByLabel('Working pressure'), '60')
  await type(page.getByLabel('Test pressure'), '90 psi')
  await type(page.getByLabel('Fall allowed over the hold'), '3')
  await type(page.getByLabel('Hold, minutes'), holdMin)
  await page.getByRole('button', { name: 'Paint it' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
}
/** Through the gates of the section that is open, to a test that runs. */
async function beginTest(page: Page): Promise<void> {
  for (const b = page.getByRole('button', { name: 'Confirm', exact: true }); await b.count();) {
    const n = await b.count()
    await b.first().click()
    await expect(b).toHaveCount(n - 1)
  }
  await type(page.getByLabel('Gauge', { exact: true }), 'G-1')
  await type(page.getByLabel('Gauge reads to'), '0.5')
  await type(page.getByLabel('Time to settle, min'), '0')
  await page.getByRole('button', { name: 'Pressure is on: begin' }).click()
  await expect(page.getByRole('button', { name: 'Read', exact: true })).toBeVisible()
}

test('an inch job from an empty database, by the mouse', async ({ browser }) => {
  test.setTimeout(600_000)
  await fromNothing(browser, async (page) => {
    await page.goto('/')
    await type(page.getByLabel('Name'), 'wren')
    await type(page.getByLabel('Password'), 'tide-and-pipe')
    await page.getByRole('button', { name: /Sign in/ }).click()
    await expect(h1(page)).toContainText('You are on no job yet')
    await type(page.getByLabel('Name'), 'Bluff Yard')
    await page.getByText('inch: primer, quarter turn').click()
    await page.getByRole('button', { name: 'Begin the job' }).click()
    await expect(h1(page)).toContainText('Nothing set out yet')
    const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''

    for (const w of WAYS) await beginLine(page, w)
    expect((await eventsOf(page, job)).filter((e) => e.kind === 'line-set')).toHaveLength(WAYS.length)

    // What it is like there: a figure of the other unit is asked about, a word is refused.
    await page.getByRole('button', { name: /No reading|Wall/ }).click()
    await type(page.getByLabel('Pipe wall'), 'mild')
    await page.getByRole('button', { name: 'Keep the reading' }).click()
    await expect(page.getByRole('dialog').getByRole('alert').first()).toContainText('can\u2019t be read')
    await type(page.getByLabel('Pipe wall'), '75')
    await type(page.getByLabel(/^Air/), '76')
    await type(page.getByLabel('Humidity'), '40')
    await page.getByRole('button', { name: 'Keep the reading' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)

    for (const w of WAYS) for (let n = 1; n <= w.joints; n++) await makeJoint(page, job, w, n)

    // The flanges are tested by hand and hold; the clamps by a logger, and are lost.
    await paint(page, 'L', '0.2')
    await page.getByRole('link', { name: 'Prove' }).first().click()
    await expect(h1(page)).toContainText('L-A')
    await beginTest(page)
    for (let i = 0; i < 14; i++) {
      await type(page.getByLabel('Gauge now'), '90')
      await type(page.getByLabel(/^Temperature /), '75')
      await page.getByRole('button', { name: 'Read', exact: true }).click()
      await page.waitForTimeout(900)
    }
    await page.getByRole('button', { name: /End the test: held/ }).click()
    await expect(h1(page)).toContainText('L-A is proved at 90 psi')

    await paint(page, 'F', '0.4')
    await page.getByRole('button', { name: /Wall/ }).click()
    await page.getByRole('link', { name: 'All places, probes, forecast' }).click()
    await page.getByRole('button', { name: 'Put one up…' }).click()
    await type(page.getByLabel('Name on the instrument'), 'LG-1')
    await chooseNamed(page, 'Kind of instrument', 'pressure logger')
    await chooseNamed(page, 'On which section', 'F-A')
    await chooseNamed(page, 'Real or stand-in', /leak/)
    await page.getByRole('button', { name: 'Put it up' }).click()
    await page.getByRole('link', { name: 'Prove' }).first().click()
    await page.getByRole('link', { name: /^F-A/ }).first().click()
    await expect(h1(page)).toContainText('F-A')
    await beginTest(page)
    await expect(page.getByRole('button', { name: /End the test: lost/ })).toBeVisible({ timeout: 90_000 })
    await page.getByRole('button', { name: /End the test: lost/ }).click()
    await expect(page.getByRole('heading', { name: 'Look at these first' })).toBeVisible()

    // What goes out: the certificate of the test that held, the cut list, the joint log, the whole job.
    await page.getByRole('link', { name: /^L-A/ }).first().click()
    const file = async (button: Locator): Promise<string> => {
      const [d] = await Promise.all([page.waitForEvent('download'), button.click()])
      const read = await d.createReadStream()
      const parts: Buffer[] = []
      for await (const p of read) parts.push(p as Buffer)
      return Buffer.concat(parts).toString('latin1')
    }
    expect((await file(page.getByRole('button', { name: 'PDF' }).first())).startsWith('%PDF-')).toBe(true)
    const certificate = await file(page.getByRole('button', { name: 'JSON' }).first())
    expect(JSON.parse(certificate)).toMatchObject({ section: 'L-A' })
    await page.getByRole('link', { name: 'Hand over' }).first().click()
    await expect(h1(page)).toContainText('1 of 2 sections proved')
    const whole = JSON.parse(await file(page.getByRole('link', { name: 'Whole job, JSON' }))) as { lines: [] }
    expect(whole.lines.length).toBeGreaterThan(150)
    const log = await file(page.getByRole('link', { name: 'Joint log, CSV' }))
    expect(log).toContain('C-01')
    expect(log).not.toMatch(/ mm| bar| °C|Nm/)
    await page.getByRole('button', { name: /Sign the hand-over/ }).click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Sign as/ })
      .click()
    await expect(page.getByText(/Handed over with \d+ things missing/)).toBeVisible()
  })
})
