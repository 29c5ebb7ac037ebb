import { chromium as findChromium } from './lib/deps.mjs'

export async function signIn(base) {
  const answer = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'wren', password: 'tide-and-pipe' }),
  })
  return answer.headers.get('set-cookie').split(';')[0]
}

/** Requests a second of a calculation against an empty JSON handler in the same server, bodies of the same size. */
export async function calcRate(base, row) {
  const http = await import('node:http')
  const agent = new http.Agent({ keepAlive: true, maxSockets: 8 })
  const joint = { method: 'solvent-cement', material: 'pvc-u', size: 'd110', school: 'metric' }
  const inputs = {
    insertion: { ...joint, checkOffsetMm: 50 },
    cure: { ...joint, testPressureBar: 9, relativeHumidityPct: 50, temperatureC: 12, mode: 'coldest' },
  }
  const ask = (path, body) =>
    new Promise((done, fail) => {
      const headers = { 'content-type': 'application/json', 'content-length': body.length }
      const req = http.request(`${base}${path}`, { method: 'POST', agent, headers }, (res) =>
        res.on('data', () => {}).on('end', () => (res.statusCode === 200 ? done() : fail(new Error(path)))),
      )
      req.on('error', fail)
      req.end(body)
    })
  const rate = async (path, body) => {
    const COUNT = 3000
    let left = COUNT
    const began = performance.now()
    await Promise.all(
      Array.from({ length: 8 }, async () => {
        while (left-- > 0) await ask(path, body)
      }),
    )
    return (COUNT * 1000) / (performance.now() - began)
  }
  for (const [name, input] of Object.entries(inputs)) {
    const body = JSON.stringify(input)
    await rate(`/api/calc/${name}`, body)
    const shares = []
    for (let i = 0; i < 5; i++) {
      const empty = await rate('/api/yardstick', body)
      shares.push((await rate(`/api/calc/${name}`, body)) / empty)
    }
    shares.sort((a, b) => a - b)
    row(
      `POST /api/calc/${name} against an empty JSON handler (median of 5)`,
      `${shares[2].toFixed(2)} of its rate`,
      '0.5',
    )
  }
  agent.destroy()
}

export async function openingAJob(base, row) {
  const { randomUUID } = await import('node:crypto')
  const http = await import('node:http')
  const cookie = await signIn(base)
  const headers = { 'content-type': 'application/json', cookie }
  const job = randomUUID()
  await fetch(`${base}/api/jobs`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ jobId: job, name: 'Bench' }),
  })
  const joints = Array.from({ length: 2000 }, () => randomUUID())
  const now = Date.now() / 1000
  let deviceSeq = 0
  const deviceId = randomUUID()
  const lineId = randomUUID()
  const put = (kind, data, jointId = null, version = 1) => ({
    id: randomUUID(),
    kind,
    v: version,
    jointId,
    atDeviceS: now - 1000,
    deviceSeq: ++deviceSeq,
    after: [],
    data,
  })
  const events = []
  for (let i = 0; i < 1000; i++)
    events.push(
      put('item-put', {
        lineId,
        itemId: randomUUID(),
        item: {
          type: 'piece',
          tag: `Q/P${i}`,
          size: 'd63',
          measure: 'centre-centre',
          measuredMm: 900,
          jointA: joints[2 * i],
          jointB: joints[2 * i + 1],
          tagA: `Q-${2 * i}`,
          tagB: `Q-${2 * i + 1}`,
        },
      }),
    )
  for (let i = 0; events.length < 24000; i++)
    for (const step of ['fit', 'cement', 'home', 'judge'])
      events.push(
        put(
          'step-done',
          {
            life: 1,
            step,
            readings: step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {},
            shown: [{ key: 'depthMm', value: 37.5, source: 'iso-727-1' }],
          },
          joints[i % 2000],
          2,
        ),
      )
  for (let i = 0; i < 24000; i += 500) {
    const answer = await fetch(`${base}/api/jobs/${job}/events`, {
      method: 'POST',
      headers,
      body: JSON.stringify({
        deviceId,
        sentAtDeviceS: now,
        clockErrorS: 0,
        events: events.slice(i, i + 500),
      }),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
  const times = []
  let bytes = 0
  for (let i = 0; i < 40; i++) {
    const began = performance.now()
    bytes = await new Promise((done, fail) => {
      let length = 0
      const agent = new http.Agent({ keepAlive: false })
      http
        .get(
          `${base}/api/jobs/${job}/events?after=0`,
          { agent, headers: { cookie, 'accept-encoding': 'gzip, deflate, br' } },
          (res) => res.on('data', (d) => (length += d.length)).on('end', () => done(length)),
        )
        .on('error', fail)
    })
    times.push(performance.now() - began)
  }
  times.sort((a, b) => a - b)
  row(
    'Opening a job of 24,000 events over a new connection',
    `p95 ${times[37].toFixed(0)} ms, ${(bytes / 1e6).toFixed(2)} MB compressed`,
    'p95 200 ms, 1.5 MB',
  )
}

export async function page(base, row) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.request.post(`${base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
  const { jobs } = await (await context.request.get(`${base}/api/jobs`)).json()
  const job = jobs.find((j) => j.name.includes('quarantine')).jobId
  const visit = async () => {
    const page = await context.newPage()
    const cdp = await context.newCDPSession(page)
    await cdp.send('Network.enable')
    await cdp.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 150,
      downloadThroughput: 200_000,
      uploadThroughput: 200_000,
    })
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    let script = 0
    cdp.on('Network.responseReceived', (e) => e.type === 'Script' && kinds.add(e.requestId))
    const kinds = new Set()
    cdp.on('Network.loadingFinished', (e) => kinds.has(e.requestId) && (script += e.encodedDataLength))
    const began = performance.now()
    await page.goto(`${base}/job/${job}/wait`)
    await page.waitForFunction(() => document.querySelector('h1')?.textContent?.includes('may take'))
    const ms = performance.now() - began
    await page.close()
    return { ms, script }
  }
  const first = await visit()
  const cached = [await visit(), await visit(), await visit()].map((v) => v.ms).sort((a, b) => a - b)[1]
  const book = await context.newPage()
  await book.goto(`${base}/job/${job}/handbook`)
  const ask = book.getByLabel('Ask the Handbook')
  for (const asked of [
    '2 in sch 80 cure 45 F',
    '22 mm solder depth',
    'cure',
    'pvc-u d110',
    'copper',
    'depth',
  ])
    await ask.pressSequentially(asked).then(() => ask.fill(''))
  const searches = await book.evaluate(() =>
    performance.getEntriesByName('handbook-search').map((e) => e.duration),
  )
  await browser.close()
  searches.sort((a, b) => a - b)
  row(
    `Handbook search in the browser (${searches.length} questions, as typed)`,
    `median ${searches[searches.length >> 1].toFixed(1)} ms, longest ${searches.at(-1).toFixed(0)} ms`,
    '50 ms',
  )
  row(
    'Demo page, CPU / 4, 1.6 Mb/s, 150 ms: headline, first visit',
    `${(first.ms / 1000).toFixed(1)} s`,
    '4 s',
  )
  row('The same, cached', `${(cached / 1000).toFixed(1)} s`, '1.5 s')
  row('Script of the first page, compressed', `${(first.script / 1000).toFixed(0)} kB`, '220 kB')
}
