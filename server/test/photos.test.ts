import { createHash, randomUUID } from 'node:crypto'
import { type Harness, batch, harness, jobSet } from './harness.js'

let h: Harness
const job = randomUUID()
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))
})
afterAll(() => h.close())

const png = (more: string): Buffer =>
  Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), Buffer.from(more)])
const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex')
const at = (hash: string): string => `${h.url}/api/jobs/${job}/photos/${hash}`
async function put(bytes: Buffer, hash = hashOf(bytes), type = 'image/png', as = 'wren') {
  const headers = { cookie: h.cookieOf(as), 'content-type': type }
  const r = await fetch(at(hash), { method: 'PUT', headers, body: new Uint8Array(bytes) })
  const body = (await r.json()) as { error?: { field: string | null; message: string } }
  return { status: r.status, field: body.error?.field, says: body.error?.message }
}

describe('pictures of joints', () => {
  it('are kept under their hash, once however often they are sent, and come back as they were', async () => {
    const bytes = png('a joint')
    expect((await put(bytes)).status).toBe(201)
    expect((await put(bytes)).status).toBe(201)
    const r = await fetch(at(hashOf(bytes)), { headers: { cookie: h.cookieOf('wren') } })
    expect([r.status, r.headers.get('content-type')]).toEqual([200, 'image/png'])
    expect(r.headers.get('x-content-type-options')).toBe('nosniff')
    expect(Buffer.from(await r.arrayBuffer()).equals(bytes)).toBe(true)
    const count = await h.pool.query('select 1 from photo where job_id = $1', [job])
    expect(count.rowCount).toBe(1)
  })
  it('one that is not what its name or its kind says is refused', async () => {
    const bytes = png('another')
    expect(await put(bytes, hashOf(png('a third')))).toMatchObject({ status: 422, field: 'hash' })
    const page = Buffer.from('<script>alert(1)</script>')
    expect(await put(page)).toMatchObject({ status: 422, field: 'body' })
    expect(await put(page, hashOf(page), 'text/html')).toMatchObject({ status: 422, field: 'body' })
    expect((await put(png('x'.repeat(4_300_000)))).status).toBe(413)
    expect((await put(bytes, 'not-a-hash')).status).toBe(404)
  })
  it('only people of the job send and see them; one that has not come in yet says so', async () => {
    const bytes = png('mine')
    expect((await put(bytes, hashOf(bytes), 'image/png', 'teal')).status).toBe(404)
    await put(bytes)
    const as = (login: string) => fetch(at(hashOf(bytes)), { headers: { cookie: h.cookieOf(login) } })
    expect([(await as('wren')).status, (await as('teal')).status]).toEqual([200, 404])
    const missing = await fetch(at('0'.repeat(64)), { headers: { cookie: h.cookieOf('wren') } })
    expect([missing.status, await missing.json()]).toMatchObject([
      404,
      { error: { message: 'This picture has not come in yet.' } },
    ])
  })
})
