import { randomUUID } from 'node:crypto'
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { chromium as findChromium } from './lib/deps.mjs'
import { ROOT, endWith } from './lib/proc.mjs'
import { beginTest, writer } from './lib/writer.mjs'

/** npm run screenshots: pictures of the main views from a running demo, into docs/screenshots (or --out). */
const DESK = { width: 1280, height: 800 }
/** A drawing with what follows from it below. */
const TALL = { width: 1280, height: 1080 }
const PHONE = { width: 390, height: 844 }
export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
]
const VIEWS = [
  // All jobs of a person: the others are begun like the demo's own.
  ['jobs', '/jobs', DESK, 'day'],
  ['set-out', 'set-out', DESK, 'day'],
  ['isometric', 'set-out/RING', TALL, 'day'],
  ['fittings', 'fittings', DESK, 'day'],
  ['cut', 'cut', DESK, 'day'],
  ['cut-phone', 'cut', PHONE, 'day'],
  ['bars', 'bars', DESK, 'day'],
  ['make', 'make/JOINT', DESK, 'day'],
  ['make-phone-night', 'make/JOINT', PHONE, 'night'],
  ['wait', 'wait', DESK, 'day'],
  ['plan', 'plan', TALL, 'day'],
  ['site', 'site', DESK, 'day'],
  ['prove', 'prove', DESK, 'day'],
  ['hand-over', 'hand-over', DESK, 'day'],
  ['handbook', 'handbook?q=2 in sch 80 cure 45 F', DESK, 'day'],
  ['practice', 'practice', TALL, 'day'],
  ['store', 'store/ITEM', DESK, 'day'],
  ['upkeep', 'upkeep?task=TASK', DESK, 'day'],
  // Last, since it leaves a test behind in the demo's job.
  ['prove-test', 'prove/SECTION', DESK, 'day'],
]

const TEST_S = 45
/** A device that writes into a job of the demo. */
const writerOf = (page, base, job) =>
  writer(async (batch) => {
    const answer = await page.request.post(`${base}/api/jobs/${job}/events`, { data: batch })
    return { status: answer.status(), body: await answer.json() }
  })
/** Tests the first section that was ever proved once more, read by a stand-in logger: a test that runs. */
async function testAgain(page, base, job, lines) {
  const write = writerOf(page, base, job)
  const before = lines.map((l) => l.event).find((e) => e.kind === 'test-begun').data
  const { sectionId } = before
  await write([{ kind: 'section-state', data: { sectionId, state: 'full' } }])
  const gauge = { resolutionBar: 0.0062, sensorErrorBar: 0.002, stabiliseS: 0, temperatureOf: 'medium' }
  const data = { ...before, ...gauge, holdS: TEST_S + 15, setAside: [] }
  const testId = await beginTest(write, data, 'tested again for a picture')
  await page.request.post(`${base}/api/jobs/${job}/devices`, {
    data: { name: 'Logger 1', kind: 'pressure-logger', sectionId, standIn: 'swing' },
  })
  await page.waitForTimeout(TEST_S * 1000)
  const ended = { testId, verdict: 'inconclusive', note: 'Ended early, for a picture.' }
  return { sectionId, end: () => write([{ kind: 'test-ended', data: ended }]) }
}

/** A joint let go early, on the bench: pressed and cut open. */
async function spoilOne(page) {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const act = page.locator('.act .main')
  for (const fault of [null, 'Too little cement', 'Let go early', null]) {
    if (fault) await page.getByRole('button', { name: fault }).click()
    if (fault) await page.getByRole('radio', { name: 'half' }).click()
    await act.click()
  }
  await page.getByRole('button', { name: 'Cut it open' }).click()
}

/** Jobs set out like the demo's own, once. */
/** Jobs that the demo has of its own. */
const WORLDS = 2
async function beginOthers(page, base, jobs) {
  if (jobs.length > WORLDS) return
  const [{ jobId }] = jobs
  for (const name of [
    'Kelpwick Aquarium, ray pool',
    'Kelpwick Aquarium, seal yard',
    'Kelpwick Aquarium, ice house',
  ])
    await page.request.post(`${base}/api/jobs/${jobId}/copy`, {
      data: { jobId: randomUUID(), name, measures: true },
    })
}

/** Says who is here, so that there is somebody to plan for. */
async function sayCrew(page, base, job) {
  const hours = {
    days: [1, 2, 3, 4, 5, 6, 7],
    fromMin: 450,
    untilMin: 960,
    breakFromMin: 720,
    breakUntilMin: 750,
  }
  const people = ['Wren', 'Teal', 'Rook'].map((name) => ({ id: name.toLowerCase(), name, ...hours }))
  await writerOf(page, base, job)([{ kind: 'crew-set', data: { people } }])
}

let coated = false
/** Puts cement on the joint that is marked in the demo, so that Make shows a window that runs. */
async function coat(page, base, job, jointId) {
  const data = { life: 1, step: 'cement', readings: {}, shown: [] }
  const { status } = await writerOf(page, base, job)([{ kind: 'step-done', v: 2, jointId, data }])
  return status === 200
}

async function main() {
  const { values: options } = parseArgs({
    options: {
      base: { type: 'string', default: 'http://127.0.0.1:7170' },
      out: { type: 'string', default: path.join(ROOT, 'docs/screenshots') },
      only: { type: 'string' },
    },
  })
  mkdirSync(options.out, { recursive: true })
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: findChromium(), args: BROWSER_ARGS })
  for (const [name, where, viewport, theme] of VIEWS) {
    if (options.only && !options.only.split(',').includes(name)) continue
    const page = await browser.newPage({
      viewport,
      // Where the demo lies pipe is sold in millimetres.
      locale: 'en-GB',
      colorScheme: theme === 'night' ? 'dark' : 'light',
      hasTouch: viewport === PHONE,
    })
    page.on('pageerror', (e) => console.error(`${name}: ${e.message}`))
    page.on('console', (m) => m.type() === 'error' && console.error(`${name}: ${m.text()}`))
    await page.request.post(`${options.base}/api/session`, {
      data: { login: 'wren', password: 'tide-and-pipe' },
    })
    const { jobs } = await (await page.request.get(`${options.base}/api/jobs`)).json()
    // The older of the demo's worlds, but for a view of the other.
    const { jobId } = jobs[name.startsWith('harrow') ? 1 : 0]
    const { lines } = await (
      await page.request.get(`${options.base}/api/jobs/${jobId}/events?after=0`)
    ).json()
    const joint = lines.findLast((l) => l.event.kind === 'step-done')?.event.jointId
    if (where.includes('JOINT') && !coated) coated = await coat(page, options.base, jobId, joint)
    const again = where.includes('SECTION') ? await testAgain(page, options.base, jobId, lines) : null
    const ring = lines.find((l) => l.event.kind === 'line-stands')?.event.data.lineId
    const item = lines.find((l) => l.event.kind === 'lot-set')?.event.data.lotId
    const used = lines.find((l) => l.event.kind === 'in-use')?.event.data.sectionId
    const task = `${used} sanitary-clamp/torque-hot`
    const named = { RING: ring, JOINT: joint, ITEM: item, SECTION: again?.sectionId, TASK: task }
    const address = where.replace(/RING|JOINT|ITEM|SECTION|TASK/, (name) => named[name])
    if (name === 'jobs') await beginOthers(page, options.base, jobs)
    if (name === 'plan') await sayCrew(page, options.base, jobId)
    await page.goto(
      address.startsWith('/') ? `${options.base}${address}` : `${options.base}/job/${jobId}/${address}`,
    )
    await page.waitForSelector('h1')
    await page.waitForTimeout(name === 'jobs' ? 9000 : 900)
    if (name === 'plan') await page.waitForSelector('.sheet-of-day')
    if (where === 'bars') {
      await page.getByRole('button', { name: 'Lay out on bars' }).click()
      await page.getByRole('button', { name: 'Plan again' }).waitFor()
    }
    if (name === 'practice') await spoilOne(page)
    await page.screenshot({ path: path.join(options.out, `${name}.png`) })
    await again?.end()
    await page.close()
  }
  await browser.close()
}
main().catch(endWith)
