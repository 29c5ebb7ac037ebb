import { randomUUID } from 'node:crypto'
import { makeJob } from './bench-large.mjs'
import { beginTest, writer } from './lib/writer.mjs'

/** A day of readings on the screen, and eight loggers that report ten times a second each while a page looks on. */
const LOGGERS = 8
const PER_S = 10
const LIVE_S = 30
const DAY = 86_400
const ROWS = 2000

const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)]
const headersOf = (cookie) => ({ 'content-type': 'application/json', cookie })
async function call(base, cookie, method, path, body) {
  const answer = await fetch(`${base}/api${path}`, {
    method,
    headers: headersOf(cookie),
    body: JSON.stringify(body),
  })
  return { status: answer.status, body: await answer.json() }
}
const writerOf = (base, cookie, job) =>
  writer((batch) => call(base, cookie, 'POST', `/jobs/${job}/events`, batch))
/** Whatever may be set aside is, since it is the gauge that is measured here. */
const begin = (write, sectionId, agoS, holdS) =>
  beginTest(
    write,
    {
      sectionId,
      bar: 3,
      medium: 'water',
      holdS,
      allowedDropBar: 0.3,
      resolutionBar: 0.0062,
      sensorErrorBar: 0.002,
      tester: 'Wren',
      temperatureOf: 'medium',
      physics: { pipeMaterial: 'pvc-u', odMm: 63, wallMm: 3, axial: 'free', airPct: 0, volumeM3: 0.08 },
    },
    'measured here is the gauge',
    agoS,
  )
/** A job of so many sections, each of some joints made two days ago. */
async function sectionsOf(base, cookie, name, count) {
  const job = await makeJob(base, cookie, name, count)
  const write = writerOf(base, cookie, job)
  const { lines } = await (
    await fetch(`${base}/api/jobs/${job}/events?after=0`, { headers: headersOf(cookie) })
  ).json()
  const joints = lines.map((l) => l.event).find((e) => e.kind === 'section-set').data.jointIds
  const ids = Array.from({ length: count }, () => randomUUID())
  const steps = joints.flatMap((jointId) =>
    ['fit', 'cement', 'home', 'judge'].map((step, i) => ({
      kind: 'step-done',
      v: 2,
      jointId,
      agoS: 172_800 - i * 60,
      data: {
        life: 1,
        step,
        readings: step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {},
        shown: [],
      },
    })),
  )
  const sets = ids.map((sectionId, i) => ({
    kind: 'section-set',
    data: {
      sectionId,
      tag: `S${i + 1}`,
      jointIds: joints.slice(2 * i, 2 * i + 2),
      workingBar: 2,
      testBar: 3,
      holdS: 3600,
      allowedDropBar: 0.3,
    },
  }))
  await write([...steps, ...sets])
  return { job, write, ids }
}

async function dayOnScreen(base, cookie, page, row) {
  const { job, write, ids } = await sectionsOf(base, cookie, 'A day of readings', 1)
  const testId = await begin(write, ids[0], DAY + 60, DAY - 3600)
  const from = Date.now() / 1000 - DAY - 30
  const at = (i) => [
    from + i,
    3 + 0.02 * Math.sin(i / 9000) + 0.001 * Math.sin(i),
    15 + 2 * Math.sin(i / 9000),
  ]
  for (let i = 0; i < DAY; i += ROWS) {
    const rows = Array.from({ length: Math.min(ROWS, DAY - i) }, (_, k) => at(i + k))
    await write([{ kind: 'test-log', data: { testId, from: 'L', rows } }])
  }
  await page.goto(`${base}/job/${job}/prove/${ids[0]}`)
  const chart = page.getByRole('img', { name: 'Pressure and temperature over the test' })
  await chart.locator('svg path').first().waitFor({ state: 'attached' })
  await page.waitForTimeout(3000)
  const times = []
  for (let i = 0; i < 5; i++) {
    await page.keyboard.press('4')
    await page.waitForFunction(() => !document.querySelector('[aria-label^="Pressure and temp"]'))
    await page.waitForTimeout(1000)
    times.push(
      await page.evaluate(
        () =>
          new Promise((done) => {
            const began = performance.now()
            const look = () =>
              document.querySelector('[aria-label="Pressure and temperature over the test"] svg path')
                ? requestAnimationFrame(() => setTimeout(() => done(performance.now() - began), 0))
                : setTimeout(look, 4)
            history.back()
            look()
          }),
      ),
    )
    await page.waitForTimeout(400)
  }
  times.sort((a, b) => a - b)
  row(
    '86,400 readings on the screen: chart, judged anew',
    `median ${Math.round(times[2])} ms, longest ${Math.round(times.at(-1))} ms`,
    '500 ms',
  )
}

async function live(base, cookie, page, row) {
  const { job, write, ids } = await sectionsOf(base, cookie, 'Eight loggers', LOGGERS)
  const tokens = []
  for (const [i, sectionId] of ids.entries()) {
    await begin(write, sectionId, 0, 3600)
    const made = await call(base, cookie, 'POST', `/jobs/${job}/devices`, {
      name: `L${i}`,
      kind: 'pressure-logger',
      sectionId,
    })
    if (made.status !== 201) throw new Error(JSON.stringify(made.body))
    tokens.push(made.body.token)
  }
  await page.goto(`${base}/job/${job}/prove/${ids[0]}`)
  await page.getByRole('button', { name: 'I see a leak' }).waitFor()
  const client = await page.context().newCDPSession(page)
  await client.send('Performance.enable')
  const busy = async () =>
    (await client.send('Performance.getMetrics')).metrics.find((m) => m.name === 'TaskDuration').value
  const [before, began] = [await busy(), performance.now()]
  const answers = []
  let sent = 0
  for (let second = 0; second < LIVE_S; second++) {
    const due = performance.now() + 1000
    await Promise.all(
      tokens.map(async (token) => {
        const now = Date.now() / 1000
        const reports = Array.from({ length: PER_S }, (_, k) => ({
          seq: second * PER_S + k + 1,
          atDeviceS: Number((now - 1 + (k + 1) / PER_S).toFixed(2)),
          what: 'pressure',
          value: 3,
          temperatureC: 15,
        }))
        const at = performance.now()
        const answer = await fetch(`${base}/api/devices/reports`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
          body: JSON.stringify({ sentAtDeviceS: now, reports }),
        })
        if (!answer.ok) throw new Error(await answer.text())
        answers.push(performance.now() - at)
        sent += PER_S
      }),
    )
    await new Promise((done) => setTimeout(done, Math.max(0, due - performance.now())))
  }
  const share = (await busy()) - before
  const seconds = (performance.now() - began) / 1000
  await page.getByText(`Last of ${LIVE_S * PER_S} readings`).waitFor()
  const { lines } = await (
    await fetch(`${base}/api/jobs/${job}/events?after=0`, { headers: headersOf(cookie) })
  ).json()
  const kept = lines
    .map((l) => l.event)
    .filter((e) => e.kind === 'test-log')
    .flatMap((e) => e.data.rows).length
  if (kept !== sent) throw new Error(`${sent} were sent, ${kept} are there`)
  row(
    `${LOGGERS} loggers at ${PER_S} Hz for ${LIVE_S} s, a page looking on`,
    `${kept} of ${sent} kept; answered p95 ${Math.round(p95(answers))} ms; page ${Math.round((share / seconds) * 100)} % of a core`,
    'none lost',
  )
}

export async function loggers(base, cookie, page, row) {
  await dayOnScreen(base, cookie, page, row)
  await live(base, cookie, page, row)
}
