import { loadHospital } from './lib/hospital.mjs'

/** What the places of a large job cost a person's browser, beside those of a small one. */
const PLACES = ['wait', 'make', 'set-out', 'cut', 'prove', 'hand-over', 'site', 'store', 'plan', 'upkeep']
const DESK = { viewport: { width: 1280, height: 800 } }
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
/** A phone on a site: a quarter of this machine, 1.6 Mb/s, 150 ms. */
const SLOW = { downloadThroughput: 2e5, uploadThroughput: 9e4, latency: 150, offline: false }
const IDLE_MS = 20_000

const median = (list) => [...list].sort((one, other) => one - other)[list.length >> 1]
const mb = (bytes) => `${(bytes / 1e6).toFixed(2)} MB`
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`

async function opened(browser, base, phone) {
  const context = await browser.newContext(phone ? PHONE : DESK)
  await context.request.post(`${base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
  const page = await context.newPage()
  const client = await context.newCDPSession(page)
  await client.send('Performance.enable')
  await client.send('Network.enable')
  if (phone) {
    await client.send('Network.emulateNetworkConditions', SLOW)
    await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  }
  let bytes = 0
  const urls = new Map()
  client.on('Network.responseReceived', ({ requestId, response }) => urls.set(requestId, response.url))
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (/\/api\/jobs\//.test(urls.get(requestId) ?? '')) bytes += encodedDataLength
  })
  const busyS = async () =>
    (await client.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'TaskDuration').value
  return { context, page, client, busyS, bytes: () => bytes }
}
/** From asking for an address to a headline that answers. */
async function headline(page, url) {
  const began = performance.now()
  await page.goto(url, { waitUntil: 'commit' })
  await page.waitForFunction(
    () => {
      const says = document.querySelector('h1')?.textContent?.trim() ?? ''
      return says.length > 3 && !document.querySelector('[aria-busy=true]')
    },
    null,
    { timeout: 180_000, polling: 30 },
  )
  return performance.now() - began
}

/** Opening, first and from the device. */
async function opening(browser, base, { jobId, sectionIds }, phone) {
  const { context, page, client, bytes } = await opened(browser, base, phone)
  const url = `${base}/job/${jobId}/wait/${sectionIds[0]}`
  const first = await headline(page, url)
  const said = (await page.locator('h1').textContent()).trim()
  const sent = bytes()
  // What is kept on the device is written behind the screen.
  await page.waitForTimeout(phone ? 25_000 : 8000)
  const again = await headline(page, url)
  await client.send('HeapProfiler.collectGarbage')
  const heap = (await client.send('Runtime.getHeapUsage')).usedSize
  await context.close()
  return { first, again, sent, heap, said }
}

/** An entry and a reading from elsewhere, the page left alone, and the nodes of every place. */
async function living(browser, base, cookie, job, phone) {
  const { context, page, busyS } = await opened(browser, base, false)
  if (phone) await page.setViewportSize(PHONE.viewport)
  await headline(page, `${base}/job/${job.jobId}/wait/${job.sectionIds[0]}`)
  await page.waitForTimeout(9000)
  const before = await busyS()
  await page.waitForTimeout(IDLE_MS)
  const idle = ((await busyS()) - before) / (IDLE_MS / 1000)
  const send = async (kind, data, jointId, version) => {
    const nowS = Date.now() / 1000
    const { randomUUID } = await import('node:crypto')
    const event = {
      id: randomUUID(),
      kind,
      v: version,
      jointId,
      atDeviceS: nowS,
      deviceSeq: 1,
      after: [],
      data,
    }
    await fetch(`${base}/api/jobs/${job.jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify({ deviceId: randomUUID(), sentAtDeviceS: nowS, clockErrorS: 0, events: [event] }),
    })
  }
  const entries = []
  for (let count = 0; count < 3; count++) {
    const had = await busyS()
    const reading = { placeId: job.placeIds[0], what: 'wall', basis: 'measured', atS: Date.now() / 1000 - 1 }
    await send('reading', { ...reading, value: 10 + count }, null, 1)
    await page.waitForTimeout(4000)
    entries.push((await busyS()) - had - idle * 4)
  }
  const nodes = {}
  for (const place of PLACES) {
    await page.goto(`${base}/job/${job.jobId}/${place}`)
    await page.waitForTimeout(6000)
    nodes[place] = await page.evaluate(() => document.querySelectorAll('*').length)
  }
  await context.close()
  return { idle, entry: median(entries), nodes }
}

export async function pages(base, cookie, browser, row, sizes = [100, 1000, 10_000]) {
  for (const joints of sizes) {
    const began = performance.now()
    const job = await loadHospital(base, cookie, { joints })
    row(
      `${joints} joints, ${job.entries} entries: loaded through the door of phones`,
      seconds(performance.now() - began),
      '-',
    )
    for (const phone of [false, true]) {
      const { first, again, sent, heap, said } = await opening(browser, base, job, phone)
      const where = phone ? 'phone profile' : 'desk'
      row(
        `${joints} joints, ${where}: to the headline, first and again; sent; heap`,
        `${seconds(first)}, ${seconds(again)}; ${mb(sent)}; ${mb(heap)}`,
        '-',
      )
      console.log(said)
    }
    for (const phone of [false, true]) {
      const { idle, entry, nodes } = await living(browser, base, cookie, job, phone)
      row(
        `${joints} joints, ${phone ? 'narrow' : 'wide'}: left alone; a reading from elsewhere`,
        `${(idle * 100).toFixed(1)} % of a core; ${Math.round(entry * 1000)} ms`,
        '-',
      )
      row(
        `The same: nodes`,
        Object.entries(nodes)
          .map((pair) => pair.join(' '))
          .join(', '),
        '-',
      )
    }
  }
}
