import { randomUUID } from 'node:crypto'
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { chromium as findChromium } from './lib/deps.mjs'
import { ROOT, endWith } from './lib/proc.mjs'

/** npm run screenshots: pictures of the main views from a running demo, into docs/screenshots (or --out). */
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
]
const VIEWS = [
  ['set-out', 'set-out', DESK, 'day'],
  ['fittings', 'fittings', DESK, 'day'],
  ['supports', 'supports?laid=5&cold=5&warm=25', DESK, 'day'],
  ['cut', 'cut', DESK, 'day'],
  ['cut-phone', 'cut', PHONE, 'day'],
  ['bars', 'bars', DESK, 'day'],
  ['bends', 'tube?run=400 90 500 -45 350&radius=76&straight=25', DESK, 'day'],
  ['make', 'make/JOINT', DESK, 'day'],
  ['make-phone', 'make/JOINT', PHONE, 'day'],
  ['make-phone-night', 'make/JOINT', PHONE, 'night'],
  ['wait', 'wait', DESK, 'day'],
  ['wait-night', 'wait', DESK, 'night'],
  ['wait-phone', 'wait', PHONE, 'day'],
  ['site', 'site', DESK, 'day'],
  ['prove', 'prove', DESK, 'day'],
  ['hand-over', 'hand-over', DESK, 'day'],
  ['handbook', 'handbook?q=2 in sch 80 cure 45 F', DESK, 'day'],
  ['handbook-page', 'handbook?at=solvent-cement~pvc~NPS 2~inch~80&t=7.22', DESK, 'day'],
]

let coated = false
/** Puts cement on the joint that is marked in the demo, so that Make shows a window that runs. */
async function coat(page, base, job, jointId) {
  const now = Date.now() / 1000
  const step = {
    id: randomUUID(),
    kind: 'step-done',
    v: 2,
    jointId,
    atDeviceS: now,
    deviceSeq: 1,
    after: [],
    data: { life: 1, step: 'cement', readings: {}, shown: [] },
  }
  const r = await page.request.post(`${base}/api/jobs/${job}/events`, {
    data: { deviceId: randomUUID(), sentAtDeviceS: now, clockErrorS: 0, events: [step] },
  })
  return r.ok()
}

async function main() {
  const { values: o } = parseArgs({
    options: {
      base: { type: 'string', default: 'http://127.0.0.1:7170' },
      out: { type: 'string', default: path.join(ROOT, 'docs/screenshots') },
      only: { type: 'string' },
    },
  })
  mkdirSync(o.out, { recursive: true })
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: findChromium(), args: BROWSER_ARGS })
  for (const [name, where, viewport, theme] of VIEWS) {
    if (o.only && !o.only.split(',').includes(name)) continue
    const page = await browser.newPage({
      viewport,
      colorScheme: theme === 'night' ? 'dark' : 'light',
      hasTouch: viewport === PHONE,
    })
    page.on('pageerror', (e) => console.error(`${name}: ${e.message}`))
    page.on('console', (m) => m.type() === 'error' && console.error(`${name}: ${m.text()}`))
    await page.request.post(`${o.base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
    const { jobs } = await (await page.request.get(`${o.base}/api/jobs`)).json()
    const { lines } = await (
      await page.request.get(`${o.base}/api/jobs/${jobs[0].jobId}/events?after=0`)
    ).json()
    const joint = lines.findLast((l) => l.event.kind === 'step-done')?.event.jointId
    if (where.includes('JOINT') && !coated) coated = await coat(page, o.base, jobs[0].jobId, joint)
    await page.goto(`${o.base}/job/${jobs[0].jobId}/${where.replace('JOINT', joint)}`)
    await page.waitForSelector('h1')
    await page.waitForTimeout(900)
    if (where === 'bars') {
      await page.getByRole('button', { name: 'Lay out on bars' }).click()
      await page.getByRole('button', { name: 'Plan again' }).waitFor()
    }
    await page.screenshot({ path: path.join(o.out, `${name}.png`) })
    await page.close()
  }
  await browser.close()
}
main().catch(endWith)
