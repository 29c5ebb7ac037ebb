import { randomUUID } from 'node:crypto'
import { KINDS } from '@jugalis/core'
import fc from 'fast-check'
import { OPERATIONS } from '../src/described/operations.js'
import { type Answer, type Harness, batch, draft, harness, jobSet } from './harness.js'

/**
 * Whatever is sent to whatever address: an answer in the one form there is, never a fault of ours, and the log as whole as
 * it was. Values are those that careless and hostile people send.
 */
let h: Harness
let job = ''
/** Entries go to a log of their own: what is tried at the addresses may end or empty the other. */
let log = ''
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  job = randomUUID()
  log = randomUUID()
  for (const jobId of [job, log]) {
    await h.call('POST', '/jobs', { jobId, name: 'F' })
    await h.call('POST', `/jobs/${jobId}/events`, batch([jobSet('F')]))
  }
})
afterAll(() => h.close())

const HOSTILE: readonly unknown[] = [
  '\0',
  '\ud800',
  '\u202e',
  "'; drop table event; --",
  '<img src=x onerror=alert(1)>',
  '=1+1',
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  1e300,
  -1e300,
  5e-324,
  -0,
  2 ** 53,
  '',
  ' ',
  [],
  {},
  null,
  true,
  Array(300).fill(0),
  '2026-02-30',
  '00000000-0000-0000-0000-000000000000',
]
const hostile = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom(...HOSTILE) },
  { weight: 1, arbitrary: fc.jsonValue({ maxDepth: 3 }) },
  { weight: 1, arbitrary: fc.double() },
)
/** Names of fields that something reads somewhere, and such as nobody does. */
const WRITTEN = new Set(Object.values(KINDS).flatMap(({ fields }) => fields.map(({ name }) => name)))
const OTHERS =
  'jobId name login password personId events deviceId role signed lines people head spki token reports parts __proto__ constructor x'
const NAMES = [...WRITTEN].concat(OTHERS.split(' '))
/** A body with the fields an address asks for, each as asked by its kind or hostile. */
function bodyOf(schema: { properties?: Record<string, unknown> } | undefined): fc.Arbitrary<unknown> {
  const fields = Object.entries(schema?.properties ?? {}).map(([name]) => [
    name,
    fc.oneof(hostile, fc.uuid(), fc.constantFrom('name', 'wren', 1, 0.5, [], [{}])),
  ])
  return fc.oneof(fc.record(Object.fromEntries(fields) as Record<string, fc.Arbitrary<unknown>>), body)
}
const body = fc.oneof(fc.dictionary(fc.constantFrom(...NAMES), hostile, { maxKeys: 8 }), hostile)

/** What may be said: a success, or a refusal with its code and sentence. */
function wellAnswered(said: Answer, what: unknown): void {
  if (said.status >= 500 && said.status !== 503)
    throw new Error(`${said.status} for ${JSON.stringify(what)}: ${said.text}`)
  if (said.status < 400) return
  const { code, message } = said.body.error ?? {}
  expect([what, typeof code, typeof message]).toEqual([what, 'string', 'string'])
  // Nothing of the inside, and nothing that was sent as it was sent.
  expect(said.text).not.toMatch(/at \w+ \(|node_modules|select .* from|\bpg\b/i)
}
/** Ways out, and what would end the test's own sign-in. */
const LEFT_OUT = /^\/(docs|openapi)|\/live$|^\/session(\/all\/\{key\})?$/
const WAYS = OPERATIONS.filter(({ path, method }) => !(LEFT_OUT.test(path) && method !== 'post'))
/** Addresses that are asked so often: the door of calculations has tests of its own, and takes longest. */
const RUNS = { calc: 4, other: 25, kind: 15 }

describe('every address, whatever is sent', () => {
  const places = WAYS.map(
    ({ method, path, body: asks }) => [`${method} ${path}`, method.toUpperCase(), path, asks] as const,
  )
  it.each(places)('%s', async (_says, method, path, asks) => {
    const params = (path.match(/\{\w+\}/g) ?? []).length
    const part = fc.oneof(
      fc.constant(job),
      fc.constantFrom('x', '%00', '%ED%A0%80', '..%2F..', '0', '%', randomUUID(), 'a'.repeat(3000)),
      fc.string().map(encodeURIComponent),
    )
    await fc.assert(
      fc.asyncProperty(
        fc.array(part, { minLength: params, maxLength: params }),
        bodyOf(asks as never),
        hostile,
        async (own, sent, query) => {
          let at = 0
          const filled = path.replace(/\{\w+\}/g, (name) =>
            name === '{jobId}' && at === 0 ? (at++, job) : (own[at++] ?? 'x'),
          )
          const asked = encodeURIComponent(
            typeof query === 'string' && !/[\ud800-\udfff]/.test(query) ? query.slice(0, 200) : '1',
          )
          const where = method === 'GET' ? `${filled}?after=${asked}&q=${asked}&seq=${asked}` : filled
          wellAnswered(await h.call(method, where, method === 'GET' ? undefined : sent), {
            method,
            where,
            sent,
          })
        },
      ),
      { numRuns: path.startsWith('/calc') ? RUNS.calc : RUNS.other },
    )
  })
})

describe('every kind of entry, whatever is in it', () => {
  it.each(Object.entries(KINDS))('%s', async (kind, { joint, fields }) => {
    const data = fc.record(Object.fromEntries(fields.map(({ name }) => [name, hostile])), {
      requiredKeys: [],
    })
    await fc.assert(
      fc.asyncProperty(data, fc.boolean(), async (own, isAt) => {
        const at = joint || isAt ? { jointId: randomUUID() } : {}
        const sent = batch([draft(kind, own, at)])
        wellAnswered(await h.call('POST', `/jobs/${log}/events`, sent), sent)
      }),
      { numRuns: RUNS.kind },
    )
  })
  it('and the log that is left is whole, opens, and can be taken away', async () => {
    const said = await h.call('GET', `/jobs/${log}/verify`)
    expect(said.body).toMatchObject({ ok: true })
    for (const where of ['events?after=0', 'log.csv', 'entries.csv', 'export.json', 'pack'])
      expect([where, (await h.call('GET', `/jobs/${log}/${where}`)).status < 300]).toEqual([where, true])
    expect((await h.call('GET', '/glance')).status).toBe(200)
  })
})

describe('no JSON, too much of it, too deep', () => {
  const raw = (text: string, headers = {}): Promise<Answer> =>
    h.call('POST', `/jobs/${log}/events`, undefined, { raw: text, headers })
  it.each<[string, string, number]>([
    ['nothing', '', 422],
    ['half of it', '{"events":[', 400],
    ['a word', 'undefined', 400],
    ['a list eight thousand deep', `${'['.repeat(8000)}${']'.repeat(8000)}`, 422],
    ['half a million levels, never closed', '['.repeat(500_000), 422],
    ['objects as deep', `${'{"a":'.repeat(200)}1${'}'.repeat(200)}`, 422],
    ['brackets in a text are none', JSON.stringify({ deviceId: '['.repeat(500) }), 422],
    ['a megabyte and more', JSON.stringify({ deviceId: 'x'.repeat(1_100_000) }), 413],
  ])('%s', async (_says, text, status) => {
    const said = await raw(text)
    expect(said.status).toBe(status)
    wellAnswered(said, text.slice(0, 40))
  })
  it.each([
    'text/plain',
    'application/x-www-form-urlencoded',
    'application/xml',
    'multipart/form-data; boundary=x',
  ])('%s is refused before anything reads it', async (type) => {
    expect((await raw('a=1', { 'content-type': type })).status).toBe(415)
  })
})
