import { randomUUID } from 'node:crypto'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

/** What a browser hears on a stream, with the time each came. */
async function follow(url: string, job: string, cookie: string) {
  const stop = new AbortController()
  const res = await fetch(`${url}/api/jobs/${job}/live`, { headers: { cookie }, signal: stop.signal })
  const heard: { seq: number; atMs: number }[] = []
  void (async () => {
    const text = new TextDecoder()
    let rest = ''
    for await (const chunk of res.body as unknown as AsyncIterable<Uint8Array>) {
      rest += text.decode(chunk, { stream: true })
      const parts = rest.split('\n\n')
      rest = parts.pop() ?? ''
      for (const p of parts) {
        const seq = /^id: \d+\nevent: head\ndata: (\d+)$/.exec(p)?.[1]
        if (seq) heard.push({ seq: Number(seq), atMs: Date.now() })
      }
    }
  })().catch(() => undefined)
  return { status: res.status, type: res.headers.get('content-type'), heard, stop: () => stop.abort() }
}
async function until(ok: () => boolean, ms = 8000): Promise<void> {
  const end = Date.now() + ms
  while (!ok() && Date.now() < end) await new Promise((done) => setTimeout(done, 20))
  expect(ok()).toBe(true)
}

describe.each(['push', 'poll'] as const)('followers of a job, by %s', (live) => {
  let h: Harness
  let other: string
  const job = randomUUID()
  beforeAll(async () => {
    h = await harness({ live })
    await h.signIn('wren')
    await h.signIn('teal')
    other = await h.another()
    await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  })
  afterAll(() => h.close())

  it('hear of an append on the process that wrote it and on another', async () => {
    const here = await follow(h.url, job, h.cookieOf('wren'))
    const there = await follow(other, job, h.cookieOf('wren'))
    expect(there.type).toBe('text/event-stream')
    // Each is told where the log stands before anything is written.
    await until(() => [here, there].every((x) => x.heard.length > 0))
    expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))).status).toBe(200)
    await until(() => here.heard.some((x) => x.seq >= 1) && there.heard.some((x) => x.seq >= 1))
    here.stop()
    there.stop()
  })
  it('hear of a burst without an entry for each, and of its end', async () => {
    const there = await follow(other, job, h.cookieOf('wren'))
    await until(() => there.heard.length > 0)
    const before = there.heard.length
    let seq = 0
    for (let i = 0; i < 30; i++) {
      const r = await h.call(
        'POST',
        `/jobs/${job}/events`,
        batch([draft('place-set', { placeId: 'p', name: 'P' })]),
      )
      seq = (r.body.head as { seq: number }).seq
    }
    await until(() => there.heard.at(-1)?.seq === seq)
    expect(there.heard.length).toBeLessThanOrEqual(before + 31)
    there.stop()
  })
  it('no one hears who is not on the job', async () => {
    const stranger = await follow(h.url, job, h.cookieOf('teal'))
    expect(stranger.status).toBe(404)
    expect((await follow(h.url, job, '')).status).toBe(401)
  })
  it('what was written while the listening connection was cut is told after', async () => {
    const there = await follow(other, job, h.cookieOf('wren'))
    await until(() => there.heard.length > 0)
    await h.pool.query(
      `select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen %' and pid <> pg_backend_pid()`,
    )
    const r = await h.call(
      'POST',
      `/jobs/${job}/events`,
      batch([draft('place-set', { placeId: 'p', name: 'Q' })]),
    )
    const { seq } = r.body.head as { seq: number }
    await until(() => there.heard.at(-1)?.seq === seq)
    there.stop()
  })
})
