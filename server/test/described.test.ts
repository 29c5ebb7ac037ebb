import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { Validator } from '@seriousme/openapi-schema-validator'
import { CALCULATIONS, certificateOf, foldJob } from '@jugalis/core'
import { Ajv2020 } from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import { OPERATIONS } from '../src/described/operations.js'
import { CERTIFICATE_SCHEMA, JOB_FILE_SCHEMA } from '../src/described/schemas.js'
import { KELPWICK } from '../../demo/ids.js'
import { seedDemo } from '../../demo/seed.js'
import { readLog } from '../src/db/read-log.js'
import { type Harness, batch, harness, jobSet } from './harness.js'

let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())
// Read by packages that had no part in writing it: a validator of OpenAPI, one of JSON Schema.
const ajv = new Ajv2020({ strict: false, allErrors: true })
addFormats.default(ajv)

describe('the description of the interface', () => {
  it('is OpenAPI 3.1', async () => {
    const { body, status } = await h.call('GET', '/openapi.json')
    expect(status).toBe(200)
    const said = await new Validator().validate(body as Record<string, unknown>)
    expect(said.errors ?? []).toEqual([])
    expect(said.valid).toBe(true)
  })
  it('names every address that is answered, and none that is not', async () => {
    const folder = path.join(process.cwd(), 'server/src/routes')
    const declared = readdirSync(folder)
      .filter((f) => f.endsWith('.ts') && f !== 'calc.ts')
      .flatMap((f) => [
        ...readFileSync(path.join(folder, f), 'utf8').matchAll(/\broutes\.(get|post|put|delete)\(/g),
      ])
    const described = OPERATIONS.filter((o) => !/^\/(calc|docs|health|keys|openapi|schemas)/.test(o.path))
    expect(described).toHaveLength(declared.length)
    for (const o of OPERATIONS.filter((x) => !x.path.startsWith('/calc/') && x.who === 'person')) {
      const at = o.path.replace(/\{\w+\}/g, '00000000-0000-4000-8000-000000000001')
      const r = await h.call(o.method.toUpperCase(), at, o.body ? {} : undefined)
      expect([
        o.method,
        o.path,
        r.status === 405,
        r.body.error?.message === 'There is nothing here.',
      ]).toEqual([o.method, o.path, false, false])
    }
  })
  it('each calculation\u2019s example is what its schema asks for', () => {
    for (const c of CALCULATIONS.values()) {
      const fits = ajv.compile(c.input)
      expect([c.name, fits(c.example.input), fits.errors]).toEqual([c.name, true, null])
    }
  })
})

it('the interface can be looked through: a page, its viewer, nothing from elsewhere', async () => {
  const page = await fetch(`${h.url}/api/docs`)
  const html = await page.text()
  expect([page.status, page.headers.get('content-type')]).toEqual([200, 'text/html; charset=utf-8'])
  expect(html).not.toMatch(/https?:/)
  const parts = [...html.matchAll(/(?:src|href)="(\/api\/[^"]+)"/g)].map((m) => m[1] as string)
  expect(parts).toHaveLength(4)
  for (const part of parts) expect([part, (await fetch(`${h.url}${part}`)).status]).toEqual([part, 200])
})

describe('manners', () => {
  const raw = (method: string, at: string, o: RequestInit = {}) =>
    fetch(`${h.url}/api${at}`, { method, ...o, headers: { cookie: h.cookieOf('wren'), ...o.headers } })
  it('another method is 405 and says which are answered', async () => {
    for (const [method, at, allow] of [
      ['PUT', '/jobs', 'GET, POST'],
      ['DELETE', '/health', 'GET'],
      ['POST', '/openapi.json', 'GET'],
      ['PATCH', '/session/settings', 'GET, PUT'],
    ] as const) {
      const r = await raw(method, at)
      expect([r.status, r.headers.get('allow')]).toEqual([405, allow])
    }
    expect((await raw('GET', '/nowhere')).status).toBe(404)
  })
  it('a body of another kind is 415, and nothing falls over', async () => {
    for (const at of ['/session', '/jobs', '/jobs/import', '/devices/reports'])
      for (const type of ['text/plain', 'application/xml', 'multipart/form-data; boundary=x']) {
        const r = await raw('POST', at, { body: 'a=1', headers: { 'content-type': type } })
        expect([at, type, r.status, r.headers.get('accept')]).toEqual([at, type, 415, 'application/json'])
      }
  })
  it('answers are not kept on the way; the live stream numbers what it says', async () => {
    expect((await raw('GET', '/jobs')).headers.get('cache-control')).toBe('no-store')
    const job = '00000000-0000-4000-8000-00000000aaaa'
    await h.call('POST', '/jobs', { jobId: job, name: 'Live' })
    const end = new AbortController()
    const r = await raw('GET', `/jobs/${job}/live`, { signal: end.signal })
    const reader = (r.body as ReadableStream<Uint8Array>).getReader()
    await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))
    let said = ''
    while (!/data: \d+\n\n/.test(said)) said += new TextDecoder().decode((await reader.read()).value)
    end.abort()
    expect(said).toMatch(/id: (\d+)\nevent: head\ndata: \1\n\n/)
  })
})

describe('what is exported', () => {
  it('a job and a certificate are what their schemas say', async () => {
    const demo = await harness({ people: [] })
    try {
      await seedDemo(demo.pool, Date.UTC(2026, 10, 23, 20, 0) / 1000)
      const lines = await readLog(demo.pool, KELPWICK.jobId, 0)
      const last = lines.at(-1)
      const head = { seq: last?.seq ?? 0, hash: last?.hash ?? '' }
      const state = foldJob(lines.map((l) => JSON.parse(l.body) as Parameters<typeof foldJob>[0][number]))
      const job = ajv.compile(JOB_FILE_SCHEMA)
      const file = {
        format: 'jugalis-job-1',
        jobId: KELPWICK.jobId,
        name: 'x',
        exportedAt: new Date().toISOString(),
        people: [],
        head,
        lines,
      }
      expect([job(file), job.errors]).toEqual([true, null])
      expect(job({ ...file, head: { seq: 1 } })).toBe(false)
      const certificate = ajv.compile(CERTIFICATE_SCHEMA)
      for (const id of state.tests.keys()) {
        const c = JSON.parse(JSON.stringify(certificateOf(state, id, head))) as unknown
        expect([certificate(c), certificate.errors]).toEqual([true, null])
      }
      expect((await h.call('GET', '/schemas/certificate')).status).toBe(200)
      expect((await h.call('GET', '/schemas/constructor')).status).toBe(404)
    } finally {
      await demo.close()
    }
  })
})
