import { randomUUID } from 'node:crypto'
import http from 'node:http'
import type { AddressInfo } from 'node:net'
import { type Page, expect, test } from '@playwright/test'
import { onOwnServer, peopled } from './empty-help'
import { fileOf } from './files-help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, type } from './set-out-help'

/** Behind a proxy under a path of its own, that leaves the path on or takes it off; nothing is asked for outside of it. */
test.use({ serviceWorkers: 'allow' })
const PATH = '/pipes'
/** Not the one of the demo, which opens nothing from another machine. */
const PASSWORD = 'loft-and-ladder'
const WAYS = [
  { ...INCH_MOUSE, takesOff: false, piece: '42 c-c', school: 'inch' },
  { ...METRIC_THUMB, takesOff: true, piece: '1250 c-c', school: 'metric' },
] as const

/** A proxy as offices have it, with other things at its root. */
async function proxyTo(server: string, takesOff: boolean) {
  const strays: string[] = []
  const proxy = http.createServer((req, res) => {
    const asked = req.url ?? '/'
    if (asked !== PATH && !asked.startsWith(`${PATH}/`)) {
      strays.push(asked)
      return void res.writeHead(404).end('another program')
    }
    const { hostname, port } = new URL(server)
    const path = takesOff ? asked.slice(PATH.length) || '/' : asked
    const headers = { ...req.headers, 'x-forwarded-for': '192.0.2.7' }
    const up = http.request({ hostname, port, path, method: req.method, headers }, (answer) => {
      res.writeHead(answer.statusCode ?? 502, answer.headers)
      answer.pipe(res)
    })
    up.on('error', () => res.destroy())
    res.on('close', () => up.destroy())
    req.pipe(up)
  })
  await new Promise<void>((done) => void proxy.listen(0, '127.0.0.1', done))
  const url = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}${PATH}`
  const end = (): void => {
    proxy.close()
    proxy.closeAllConnections()
  }
  return { url, strays, end }
}
/** A job with a line, made at the same door. */
async function lineAt(page: Page, url: string, school: string): Promise<string> {
  const job = randomUUID()
  const post = (path: string, data: object) => page.request.post(`${url}/api${path}`, { data })
  expect((await post('/jobs', { jobId: job, name: 'Loft' })).status()).toBe(201)
  const [placeId, lineId] = [randomUUID(), randomUUID()]
  const now = Date.now() / 1000
  const size = school === 'inch' ? '2' : 'd63'
  const entries = [
    ['job-set', { name: 'Loft', zone: 'UTC', school, table: 'current', checkOffsetMm: 50 }],
    ['place-set', { placeId, name: 'Loft' }],
    [
      'line-set',
      { lineId, tag: 'L', name: 'Loft', method: 'solvent-cement', material: 'pvc-u', school, placeId },
    ],
    [
      'item-put',
      { lineId, itemId: randomUUID(), item: { type: 'fitting', tag: 'L/F01', size, fitting: 'tee' } },
    ],
  ] as const
  const events = entries.map(([kind, data], i) => ({
    id: randomUUID(),
    kind,
    v: 1,
    jointId: null,
    atDeviceS: now,
    deviceSeq: i + 1,
    after: [],
    data,
  }))
  const sent = { deviceId: randomUUID(), sentAtDeviceS: now, clockErrorS: 0, events }
  expect((await post(`/jobs/${job}/events`, sent)).status()).toBe(200)
  return job
}
async function story(page: Page, url: string, own: (typeof WAYS)[number]): Promise<void> {
  await page.goto(url)
  await page.getByLabel('Name').fill('wren')
  await page.getByLabel('Password').fill('wrong')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Password').fill(PASSWORD)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(`${url}/jobs`)
  const job = await lineAt(page, url, own.school)
  // A deep link, loaded anew.
  await page.goto(`${url}/job/${job}/set-out`)
  await type(page, own.piece)
  await expect(page.getByText(`${own.piece}: set out.`)).toBeVisible()
  // It goes out when the line lets it.
  const seqOf = async (): Promise<number> => {
    const head = await page.request.get(`${url}/api/jobs/${job}/head`)
    return ((await head.json()) as { seq: number }).seq
  }
  await expect.poll(seqOf).toBeGreaterThan(4)
  await page.goto(`${url}/job/${job}/hand-over`)
  const file = JSON.parse(
    (await fileOf(page, page.getByRole('link', { name: 'Whole job, JSON' }))).toString(),
  ) as { lines: unknown[] }
  expect(file.lines.length).toBeGreaterThan(4)
  // A worker finds its way too.
  await hit(page.getByRole('button', { name: 'Hand-over pack\u2026' }))
  const sheet = page.getByRole('dialog', { name: 'Hand-over pack' })
  const paper = await fileOf(page, sheet.getByRole('button', { name: 'One paper (PDF)' }))
  expect(paper.subarray(0, 4).toString()).toBe('%PDF')
  await page.keyboard.press('Escape')
  // What leaves the machine leads back here.
  await page.goto(`${url}/job/${job}/wait`)
  const feed = (await (await page.request.get(`${url}/api/jobs/${job}/calendar`)).json()) as { path: string }
  expect((await page.request.get(`${url}${feed.path}`)).headers()['content-type']).toContain('text/calendar')
  // The cookie is this program's alone, and the pages are kept for work without signal.
  const [cookie] = await page.context().cookies()
  expect(cookie).toMatchObject({ name: 'jugalis', path: `${PATH}/` })
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active !== null)
  expect(await page.evaluate(async () => (await navigator.serviceWorker.ready).scope)).toBe(`${url}/`)
  await page.waitForFunction(async () => {
    const kept = await Promise.all(
      (await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).length),
    )
    return kept.reduce((sum, one) => sum + one, 0) > 50
  })
  await page.context().setOffline(true)
  await page.goto(`${url}/job/${job}/set-out`)
  await expect(page.getByText(/No signal/).first()).toBeVisible()
  await expect(page.getByLabel('Next fitting or piece')).toBeVisible()
}
for (const own of WAYS)
  test(`${own.how}: under a path of its own, the proxy ${own.takesOff ? 'takes it off' : 'leaves it on'}`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(
      async ({ url: server, pool }) => {
        await peopled(pool, ['Wren'], PASSWORD)
        const { url, strays, end } = await proxyTo(server, own.takesOff)
        const context = await browser.newContext(own.device)
        try {
          await story(await context.newPage(), url, own)
          // A browser asks for this one by itself.
          expect(strays.filter((asked) => asked !== '/favicon.ico')).toEqual([])
        } finally {
          await context.close()
          end()
        }
      },
      { BASE_PATH: PATH, PROXIES: '1' },
    )
  })
