import { randomUUID } from 'node:crypto'

/** A job of 5,000 joints in Set out and Cut, and a schedule of 20,000 rows: how long a person waits for the screen. */
const PIECES = 2500
const ROWS = 20_000

/** Ways of a line's elbows, one after another. */
const TURNS = ['north', 'west', 'south', 'east', 'north', 'up']

const median = (list) => [...list].sort((a, b) => a - b)[list.length >> 1]
const ms = (list) => `median ${Math.round(median(list))} ms, longest ${Math.round(Math.max(...list))} ms`

/** @param inSpace the line has a place in the building: round and up. */
export async function makeJob(base, cookie, name, pieces, inSpace = false) {
  const headers = { 'content-type': 'application/json', cookie }
  const job = randomUUID()
  await fetch(`${base}/api/jobs`, { method: 'POST', headers, body: JSON.stringify({ jobId: job, name }) })
  const now = Date.now() / 1000
  const deviceId = randomUUID()
  let deviceSeq = 0
  const put = (kind, data) => ({
    id: randomUUID(),
    kind,
    v: 1,
    jointId: null,
    atDeviceS: now - 1000,
    deviceSeq: ++deviceSeq,
    after: [],
    data,
  })
  const [placeId, lineId] = [randomUUID(), randomUUID()]
  const how = { method: 'solvent-cement', material: 'pvc-u', school: 'metric', placeId, ratingBar: 16 }
  const events = [
    put('job-set', { name, zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }),
    put('place-set', { placeId, name: 'Hall' }),
    put('line-set', { lineId, tag: 'B', name, ...how }),
    ...['tee', 'elbow 90'].map((fitting) =>
      put('take-off', { fitting, size: 'd63', takeOffMm: 62, takeOffTo: 'face' }),
    ),
  ]
  const joints = []
  const item = (i) => ({ itemId: randomUUID(), item: i })
  const items = [item({ type: 'fitting', tag: 'B/F01', size: 'd63', fitting: 'tee' })]
  for (let i = 0; i < pieces; i++) {
    const [jointA, jointB] = [randomUUID(), randomUUID()]
    joints.push(jointA, jointB)
    const ends = { jointA, jointB, tagA: `B-${2 * i + 1}`, tagB: `B-${2 * i + 2}` }
    const measured = { measure: 'centre-centre', measuredMm: 400 + ((i * 37) % 900) }
    items.push(
      item({ type: 'piece', tag: `B/P${i + 1}`, size: 'd63', ...measured, ...ends }),
      item({
        type: 'fitting',
        tag: `B/F${i + 2}`,
        size: 'd63',
        fitting: i % 2 ? 'tee' : 'elbow 90',
        ...(inSpace && i % 2 === 0 ? { heading: TURNS[(i / 2) % TURNS.length] } : {}),
      }),
    )
  }
  if (inSpace) events.push(put('line-stands', { lineId, stands: { levelMm: 2400, heading: 'east' } }))
  for (let i = 0; i < items.length; i += 400)
    events.push(put('items-put', { lineId, items: items.slice(i, i + 400) }))
  if (joints.length)
    events.push(
      put('section-set', {
        sectionId: randomUUID(),
        tag: 'B-A',
        jointIds: joints.slice(0, 3000),
        workingBar: 6,
        testBar: 9,
        holdS: 3600,
        allowedDropBar: 0.2,
      }),
    )
  for (let i = 0; i < events.length; i += 6) {
    const body = { deviceId, sentAtDeviceS: now, clockErrorS: 0, events: events.slice(i, i + 6) }
    const answer = await fetch(`${base}/api/jobs/${job}/events`, {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
  return job
}

/** From a key to the next frame drawn. */
const press = (page, key) =>
  page.evaluate(
    (k) =>
      new Promise((done) => {
        document.activeElement?.blur()
        const began = performance.now()
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: k, bubbles: true }))
        requestAnimationFrame(() => setTimeout(() => done(performance.now() - began), 0))
      }),
    key,
  )

export async function largeJob(base, cookie, page, row) {
  const job = await makeJob(base, cookie, 'Large', PIECES)
  await page.goto(`${base}/job/${job}/set-out`)
  await page.waitForFunction(() => document.querySelector('h1')?.textContent?.includes('5000 joints'))
  await page.waitForTimeout(2000)
  const keys = []
  for (const k of ['j', 'j', 'j', 'J', 'J', '+', '+', '+', '-', '0', 'j']) {
    keys.push(await press(page, k))
    await page.waitForTimeout(60)
  }
  const entries = []
  const drawings = []
  const entry = page.getByLabel('Next fitting or piece')
  for (const text of ['500', 'elbow 90', '600', 'tee', '700', 'tee', '450', 'tee']) {
    await entry.fill(text)
    const [listed, drawn] = await page.evaluate(() => {
      const [grid, drawing] = ['[role=grid]', '.line-drawing'].map((q) => document.querySelector(q))
      const shape = () =>
        [...drawing.querySelectorAll('.pipe, .fitting')].map((x) => x.getAttribute('d')).join()
      const looks = [() => grid.getAttribute('aria-rowcount'), shape]
      const before = looks.map((look) => look())
      const took = []
      const began = performance.now()
      return new Promise((done) => {
        // What a frame finds changed has been painted when the message comes that it sends.
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = ({ data }) => {
          for (const i of data) took[i] ??= performance.now() - began
          if (took[0] && took[1]) done(took)
        }
        const frame = () => {
          port2.postMessage([0, 1].filter((i) => looks[i]() !== before[i]))
          if (!took[0] || !took[1]) requestAnimationFrame(frame)
        }
        requestAnimationFrame(frame)
        document.querySelector('form.entry').requestSubmit()
      })
    })
    entries.push(listed)
    drawings.push(drawn)
    await page.waitForTimeout(900)
  }
  const nodes = () => page.evaluate(() => document.querySelectorAll('*').length)
  const heap = () => page.evaluate(() => Math.round(performance.memory.usedJSHeapSize / 1e6))
  row('Set out with 5,000 joints: a key (rows, zoom, fit)', ms(keys), '100 ms')
  row('The same: an entry set out', `${ms(entries)}; drawn too: ${ms(drawings)}`, '100 ms')
  row('The same: page', `${await nodes()} DOM nodes, ${await heap()} MB of script memory`, '3,000, 400 MB')
  await page.goto(`${base}/job/${job}/cut`)
  await page.waitForSelector('.grid-space .piece')
  await page.waitForTimeout(2000)
  const cuts = []
  for (let i = 0; i < 8; i++) {
    cuts.push(await press(page, 'j'))
    await page.waitForTimeout(60)
  }
  row(
    'Cut with 2,500 pieces: to the next piece',
    `${ms(cuts)}; ${await nodes()} DOM nodes, ${await heap()} MB`,
    '100 ms',
  )

  const second = await makeJob(base, cookie, 'Schedule', 0)
  await page.goto(`${base}/job/${second}/set-out`)
  await page.getByRole('link', { name: 'Bring in a schedule' }).click()
  const fittings = ['tee', 'elbow 90']
  const lines = Array.from(
    { length: ROWS },
    (_, i) => `A${i + 1},63,${300 + ((i * 37) % 2000)},${fittings[i % 2]},${fittings[(i + 1) % 2]}`,
  )
  const csv = ['piece,size,length,from,to', ...lines].join('\n')
  let waited = 0
  const time = async (work) => {
    const began = performance.now()
    await work()
    waited += performance.now() - began
  }
  await time(async () => {
    await page
      .locator('#schedule-file')
      .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
    await page.getByText(`${ROWS + 1} rows`).waitFor()
  })
  await page.locator('.asked .el-select').first().click()
  await page.getByRole('option', { name: 'a piece of pipe' }).click()
  await time(async () => {
    await page.getByRole('button', { name: 'Look at it' }).click()
    await page.getByRole('button', { name: `Take ${ROWS} rows` }).waitFor()
  })
  await time(async () => {
    await page.getByRole('button', { name: `Take ${ROWS} rows` }).click()
    await page.waitForFunction(() => document.querySelector('h1')?.textContent?.includes('40000 joints'))
  })
  row(
    'A schedule of 20,000 rows: opened, looked at, taken and shown',
    `${(waited / 1000).toFixed(1)} s`,
    '10 s',
  )
}
