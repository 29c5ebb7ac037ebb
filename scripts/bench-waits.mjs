import { randomUUID } from 'node:crypto'
import { makeJob } from './bench-large.mjs'

/** 2,000 clocks and 2,000 lanes in the browser; 200 browsers that follow a job over two server processes. */
const PIECES = 1000
const FOLLOWERS = 200
const median = (list) => [...list].sort((a, b) => a - b)[list.length >> 1]
const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)]
const headers = (cookie) => ({ 'content-type': 'application/json', cookie })

async function write(base, cookie, job, events) {
  const now = Date.now() / 1000
  const deviceId = randomUUID()
  for (let i = 0; i < events.length; i += 800) {
    const answer = await fetch(`${base}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: headers(cookie),
      body: JSON.stringify({
        deviceId,
        sentAtDeviceS: now,
        clockErrorS: 0,
        events: events.slice(i, i + 800).map((event, k) => ({
          id: randomUUID(),
          v: 1,
          jointId: null,
          atDeviceS: now - (event.agoS ?? 0),
          deviceSeq: i + k + 1,
          after: [],
          ...event,
          agoS: undefined,
        })),
      }),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
}
const reading = (placeId, what, value, agoS) => ({
  kind: 'reading',
  agoS,
  data: { placeId, what, basis: 'measured', atS: Date.now() / 1000 - agoS, value },
})

async function waitingJob(base, cookie, name = 'Waits', pieces = PIECES, inSpace = false) {
  const job = await makeJob(base, cookie, name, pieces, inSpace)
  const { lines } = await (
    await fetch(`${base}/api/jobs/${job}/events?after=0`, { headers: headers(cookie) })
  ).json()
  const events = lines.map((l) => l.event)
  const placeId = events.find((e) => e.kind === 'place-set').data.placeId
  const joints = events.find((e) => e.kind === 'section-set').data.jointIds
  const step = (jointId, name, agoS) => ({
    kind: 'step-done',
    v: 2,
    jointId,
    agoS,
    data: { life: 1, step: name, readings: {}, shown: [] },
  })
  const climate = Array.from({ length: 48 }, (_, hour) => [
    reading(placeId, 'wall', 9 + (hour % 7), hour * 3600 + 30),
    reading(placeId, 'air', 10 + (hour % 7), hour * 3600 + 30),
    reading(placeId, 'humidity', 60, hour * 3600 + 30),
  ]).flat()
  // Half of them with the cement open, half home and curing since some hours: as many clocks as joints.
  const steps = joints.flatMap((id, i) => [
    step(id, 'fit', 40_000 - (i % 900)),
    step(id, 'cement', i % 2 ? 90 : 30_000 - i * 10),
    ...(i % 2 ? [] : [step(id, 'home', i % 4 ? 29_950 - i * 10 : 45)]),
  ])
  await write(base, cookie, job, [...climate, ...steps])
  return { job, placeId, joints: joints.length }
}

export async function waits(base, cookie, page, row) {
  const { job, placeId, joints } = await waitingJob(base, cookie)
  const client = await page.context().newCDPSession(page)
  await client.send('Performance.enable')
  await page.goto(`${base}/job/${job}/make`)
  await page.waitForFunction(() => document.querySelector('.dock-side .clock'))
  await page.waitForTimeout(4000)
  const busy = async () =>
    (await client.send('Performance.getMetrics')).metrics.find((m) => m.name === 'TaskDuration').value
  const before = await busy()
  await page.waitForTimeout(20_000)
  row(
    `${joints} joints with clocks, page left alone: CPU`,
    `${(((await busy()) - before) * 5).toFixed(1)} % of a core`,
    '5 %',
  )
  const drawn = await page.evaluate(
    () =>
      new Promise((done) => {
        const began = performance.now()
        ;[...document.querySelectorAll('a')].find((a) => /Wait/.test(a.textContent)).click()
        const look = () =>
          document.querySelectorAll('.lanes svg a').length
            ? requestAnimationFrame(() => setTimeout(() => done(performance.now() - began), 0))
            : setTimeout(look, 4)
        look()
      }),
  )
  row(`Wait with ${joints} lanes: first drawn`, `${Math.round(drawn)} ms`, '500 ms')
  await page.waitForTimeout(1500)
  const frames = await page.evaluate(
    () =>
      new Promise((done) => {
        const lanes = document.querySelector('.lanes')
        const out = []
        let last = 0
        let frames = 0
        const key = (k) =>
          document.body.dispatchEvent(new KeyboardEvent('keydown', { key: k, bubbles: true }))
        const frame = (atMs) => {
          if (last) out.push(atMs - last)
          last = atMs
          if (frames < 120) lanes.scrollTop += 170
          else if (frames % 12 === 0) key(['+', '-', '-', '+', ']', '['][(frames / 12) % 6])
          if (++frames < 300) requestAnimationFrame(frame)
          else done(out)
        }
        requestAnimationFrame(frame)
      }),
  )
  const nodes = await page.evaluate(() => document.querySelectorAll('*').length)
  row(
    'The same: scripted scroll and zoom',
    `p95 frame ${p95(frames).toFixed(1)} ms, ${nodes} DOM nodes`,
    '25 ms, 3,000',
  )
  await page.getByRole('button', { name: 'week', exact: true }).click()
  await page.waitForTimeout(500)
  const seen = page.evaluate(
    () =>
      new Promise((done) => {
        const strip = document.querySelector('.conditions')
        const had = strip.textContent
        const look = () => (strip.textContent === had ? setTimeout(look, 2) : done(Date.now()))
        look()
      }),
  )
  const sent = Date.now()
  await write(base, cookie, job, [reading(placeId, 'wall', 3.3, 0)])
  row(
    `A new reading for ${joints} joints: from another device's sending to the screen`,
    `${(await seen) - sent} ms`,
    'none set',
  )
}

/** A section of 500 joints as it stands in the building, its time scrubbed from end to end: how long each frame takes. */
export async function scrubbing(base, cookie, page, row) {
  const { job, joints } = await waitingJob(base, cookie, 'In space', 250, true)
  await page.goto(`${base}/job/${job}/wait`)
  await page.waitForSelector('#space-time')
  await page.evaluate(() => document.querySelector('#space-time').scrollIntoView({ block: 'start' }))
  await page.waitForTimeout(3000)
  const scrub = () =>
    page.evaluate(
      () =>
        new Promise((done) => {
          const time = document.querySelector('#space-time')
          const out = []
          let last = 0
          let hours = -24
          const frame = (atMs) => {
            if (last) out.push(atMs - last)
            last = atMs
            time.value = String((hours += 0.5))
            time.dispatchEvent(new Event('input', { bubbles: true }))
            if (hours < 72) requestAnimationFrame(frame)
            else done(out)
          }
          requestAnimationFrame(frame)
        }),
    )
  const [first, again] = [await scrub(), await scrub()]
  const drawn = await page.evaluate(() => document.querySelectorAll('.joints .joint').length)
  row(
    `A section of ${joints} joints in space, ${drawn} drawn: its time scrubbed`,
    `median frame ${median(again).toFixed(1)} ms, p95 ${p95(again).toFixed(1)} ms; the first time, just loaded, p95 ${p95(first).toFixed(1)} ms`,
    'p95 25 ms',
  )
}

/** From an entry written on one process to the last of the followers of both. */
export async function followers(bases, cookie, row) {
  const job = await makeJob(bases[0], cookie, 'Followed', 1)
  const heard = []
  const stop = new AbortController()
  await Promise.all(
    Array.from({ length: FOLLOWERS }, async (_, i) => {
      const res = await fetch(`${bases[i % bases.length]}/api/jobs/${job}/live`, {
        headers: { cookie },
        signal: stop.signal,
      })
      void (async () => {
        const text = new TextDecoder()
        for await (const chunk of res.body)
          if (/event: head/.test(text.decode(chunk, { stream: true }))) heard.push(Date.now())
      })().catch(() => undefined)
    }),
  )
  await new Promise((done) => setTimeout(done, 500))
  const times = []
  for (let i = 0; i < 10; i++) {
    heard.length = 0
    const began = Date.now()
    await write(bases[i % bases.length], cookie, job, [
      { kind: 'place-set', data: { placeId: 'p', name: `P${i}` } },
    ])
    while (heard.length < FOLLOWERS && Date.now() - began < 10_000)
      await new Promise((done) => setTimeout(done, 5))
    times.push(heard.length < FOLLOWERS ? Infinity : Math.max(...heard) - began)
  }
  stop.abort()
  row(
    `${FOLLOWERS} followers over two server processes: until the last has heard (10 entries)`,
    `longest ${Math.max(...times)} ms`,
    '1 s',
  )
}
