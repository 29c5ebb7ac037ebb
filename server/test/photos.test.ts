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
const part = (name: string, bytes: Buffer): Buffer => {
  const length = Buffer.alloc(4)
  length.writeUInt32BE(bytes.length)
  return Buffer.concat([length, Buffer.from(name, 'latin1'), bytes, Buffer.alloc(4)])
}
const jpeg = (...parts: [marker: number, bytes: Buffer][]): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    ...parts.map(([marker, bytes]) => {
      const head = Buffer.from([0xff, marker, 0, 0])
      head.writeUInt16BE(bytes.length + 2, 2)
      return Buffer.concat([head, bytes])
    }),
    Buffer.from([0xff, 0xda, 0, 2, 1, 2, 3]),
  ])
const webp = (name: string): Buffer => {
  const length = Buffer.alloc(4)
  length.writeUInt32LE(3)
  // A part of an odd length is filled up to an even one.
  const vp8 = Buffer.concat([Buffer.from('VP8 '), length, Buffer.from([1, 2, 3, 0])])
  const other = Buffer.concat([Buffer.from(name), length, Buffer.from([1, 2, 3, 0])])
  return Buffer.concat([Buffer.from('RIFF'), Buffer.alloc(4), Buffer.from('WEBP'), vp8, other])
}
const [exif, jfif] = [Buffer.from('Exif\0\0GPS'), Buffer.from('JFIF\0')]
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
  it.each<[string, Buffer, string]>([
    ['JPEG, Exif', jpeg([0xe0, jfif], [0xe1, exif]), 'image/jpeg'],
    ['JPEG, XMP', jpeg([0xe1, Buffer.from('http://ns.adobe.com/xap/1.0/\0<x/>')]), 'image/jpeg'],
    [
      'PNG',
      png(part('IHDR', Buffer.alloc(13)).toString('latin1') + part('eXIf', exif).toString('latin1')),
      'image/png',
    ],
    ['WebP', webp('EXIF'), 'image/webp'],
  ])('one that says where it was taken is refused: %s', async (_kind, bytes, type) => {
    expect(await put(bytes, hashOf(bytes), type)).toMatchObject({ status: 422, field: 'body' })
  })
  it.each<[string, Buffer, string]>([
    ['JPEG', jpeg([0xe0, jfif], [0xe2, Buffer.from('ICC_PROFILE\0')]), 'image/jpeg'],
    [
      'PNG',
      png(part('IHDR', Buffer.alloc(13)).toString('latin1') + part('IDAT', exif).toString('latin1')),
      'image/png',
    ],
    ['WebP', webp('ICCP'), 'image/webp'],
    ['cut short', jpeg([0xe0, jfif]).subarray(0, 7), 'image/jpeg'],
  ])('one that says nothing of the kind is kept: %s', async (_kind, bytes, type) => {
    expect((await put(bytes, hashOf(bytes), type)).status).toBe(201)
  })
})

describe('a file of the job', () => {
  it('has its pictures and what hung on it; elsewhere they are there again, instruments without a way in', async () => {
    const bytes = png('in the file')
    await put(bytes)
    const hung = await h.call('POST', `/jobs/${job}/devices`, {
      kind: 'probe',
      name: 'Probe 9',
      placeId: 'hall',
    })
    expect(hung.status).toBe(201)
    const file = (await h.call('GET', `/jobs/${job}/export.json`)).text
    expect(file).not.toContain(String(hung.body.token).split('.')[2])
    const other = await harness({ people: ['rook'] })
    try {
      await other.signIn('rook')
      const spoil = (change: (own: { photos: { bytes: string; hash: string }[] }) => void): string => {
        const own = JSON.parse(file) as { photos: { bytes: string; hash: string }[] }
        change(own)
        return JSON.stringify(own)
      }
      const bring = (raw: string) => other.call('POST', '/jobs/import', undefined, { as: 'rook', raw })
      const wrong = [
        spoil(({ photos }) => void (photos[0]!.hash = '0'.repeat(64))),
        spoil(({ photos }) => void (photos[0]!.bytes = Buffer.from('<svg/>').toString('base64'))),
        spoil(({ photos }) => void (photos[0]!.bytes = jpeg([0xe1, exif]).toString('base64'))),
      ]
      for (const raw of wrong) expect((await bring(raw)).status).toBe(422)
      expect((await bring(file)).status).toBe(201)
      const seen = await fetch(`${other.url}/api/jobs/${job}/photos/${hashOf(bytes)}`, {
        headers: { cookie: other.cookieOf('rook') },
      })
      expect(Buffer.from(await seen.arrayBuffer()).equals(bytes)).toBe(true)
      const said = await other.call('GET', `/jobs/${job}/devices`, undefined, { as: 'rook' })
      expect(said.body.devices).toMatchObject([
        { name: 'Probe 9', kind: 'probe', placeId: 'hall', revoked: true },
      ])
      const report = { sentAtDeviceS: 1_790_000_000, reports: [] }
      const headers = { authorization: `Bearer ${String(hung.body.token)}` }
      expect((await other.call('POST', '/devices/reports', report, { headers })).status).toBe(401)
    } finally {
      await other.close()
    }
  })
})
