import Papa from 'papaparse'
import { randomUUID } from 'node:crypto'
import { NO_LINES, END, type JobEvent, type Line, foldJob, placeTexts, sectionAnswer } from '@jugalis/core'
import { KELPWICK } from '../../demo/ids.js'
import { seedDemo } from '../../demo/seed.js'
import { readLog } from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())
const NOW = 1_790_000_000

async function lineJob(): Promise<{
  job: string
  section: string
  joints: string[]
  send: (e: unknown[]) => ReturnType<Harness['call']>
}> {
  const job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  const send = (e: unknown[]) => h.call('POST', `/jobs/${job}/events`, batch(e, { sentAtDeviceS: NOW }))
  const [lineId, placeId, section] = [randomUUID(), randomUUID(), randomUUID()]
  const ago = (hours: number) => ({ atDeviceS: NOW - hours * 3600 })
  await send([
    jobSet(),
    draft('place-set', { placeId, name: 'P' }),
    draft('line-set', {
      lineId,
      tag: 'Q',
      name: 'Q',
      method: 'solvent-cement',
      material: 'pvc-u',
      school: 'metric',
      placeId,
      ratingBar: 16,
    }),
    ...Array.from({ length: 30 }, (_, i) =>
      draft('reading', { placeId, what: 'wall', basis: 'measured', atS: NOW - (29 - i) * 3600, value: 15 }),
    ),
  ])
  const bare = foldJob((await readLog(h.pool, job, 0)).map((l) => JSON.parse(l.body) as JobEvent)).lines.get(
    lineId,
  ) as Line
  const shop = { begun: new Set<string>(), newId: () => randomUUID(), lines: NO_LINES }
  const placed = placeTexts(bare, ['tee 63', '500 c-c', 'elbow 90'], END, shop, { units: 'metric' })
  if (!placed.ok) throw new Error(placed.why.code)
  await send(placed.edits.map((e) => draft(e.kind, { lineId, ...e.data })))
  const line = foldJob((await readLog(h.pool, job, 0)).map((l) => JSON.parse(l.body) as JobEvent)).lines.get(
    lineId,
  ) as Line
  const joints = line.items.flatMap((i) => i.joints).filter((j): j is string => j !== null)
  const make = (jointId: string, hours: number) =>
    ['fit', 'cement', 'home', 'judge'].map((step, i) =>
      draft(
        'step-done',
        { life: 1, step, readings: step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {}, shown: [] },
        { jointId, atDeviceS: NOW - hours * 3600 + i * 30 },
      ),
    )
  await send([
    draft(
      'section-set',
      {
        sectionId: section,
        tag: 'Q-A',
        jointIds: joints,
        workingBar: 6,
        testBar: 9,
        holdS: 3600,
        allowedDropBar: 0.2,
      },
      ago(20),
    ),
    ...make(joints[0] as string, 12),
    ...make(joints[1] as string, 8),
    draft('section-state', { sectionId: section, state: 'full' }),
    ...['supports', 'vents', 'isolated', 'gauge', 'people'].map((gate) =>
      draft('gate', { sectionId: section, gate, done: true }),
    ),
  ])
  return { job, section, joints, send }
}
const begin = (section: string, more = {}) =>
  draft(
    'test-begun',
    {
      testId: randomUUID(),
      sectionId: section,
      bar: 9,
      medium: 'water',
      holdS: 3600,
      allowedDropBar: 0.2,
      resolutionBar: 0.05,
      tester: 'wren',
      ...more,
    },
    { atDeviceS: NOW },
  )

describe('a test', () => {
  it('is refused before the ladder allows it: 409 with stop codes, naming the joint; nothing is written', async () => {
    h.clock.s = NOW
    const j = await lineJob()
    const before = (await readLog(h.pool, j.job, 0)).length
    const r = await j.send([begin(j.section)])
    expect([r.status, r.body.error?.code]).toEqual([409, 'test-refused'])
    expect(r.body.error?.stops?.map((s) => [s.code, s.joint])).toEqual([['stop-not-cured', 'Q-02']])
    expect(r.body.error?.message).toContain('Q-02')
    expect((await readLog(h.pool, j.job, 0)).length).toBe(before)
    const gas = await j.send([begin(j.section, { medium: 'air' })])
    expect(gas.body.error?.stops?.map((s) => s.code)).toContain('stop-gas-on-plastic')
    expect((await j.send([begin(randomUUID())])).body.error?.stops?.[0]?.code).toBe('stop-unknown-section')
    // Lower, it may: 7 bar after 7 h and more.
    expect((await j.send([begin(j.section, { bar: 7 })])).status).toBe(200)
    expect((await j.send([begin(j.section, { bar: 7 })])).body.error?.stops?.[0]?.code).toBe(
      'stop-test-running',
    )
  })
})

describe('a job as a file', () => {
  it('reads back into an empty database: same job, same hashes, same state', async () => {
    const j = await lineJob()
    const file = (await h.call('GET', `/jobs/${j.job}/export.json`)).body as unknown as {
      head: { hash: string }
      lines: { body: string }[]
    }
    const other = await harness()
    try {
      await other.signIn('teal')
      const done = await other.call('POST', '/jobs/import', file, { as: 'teal' })
      expect(done.status).toBe(201)
      const again = (await other.call('GET', `/jobs/${j.job}/export.json`, undefined, { as: 'teal' }))
        .body as unknown as typeof file
      // What came in stands as it was; one entry more says that it came in as a file.
      expect(again.lines.slice(0, -1)).toEqual(file.lines)
      expect(again.head.hash).toBe(done.body.hash)
      expect(JSON.parse(String(again.lines.at(-1)?.body))).toMatchObject({
        kind: 'log-brought',
        data: { entries: file.lines.length, head: file.head.hash },
      })
      expect(
        (await other.call('GET', `/jobs/${j.job}/verify`, undefined, { as: 'teal' })).body,
      ).toMatchObject({ ok: true, hash: again.head.hash })
      expect((await other.call('POST', '/jobs/import', file, { as: 'teal' })).status).toBe(409)
      // The log goes on where it ended.
      const more = await other.call(
        'POST',
        `/jobs/${j.job}/events`,
        batch([jobSet('again')], { deviceId: randomUUID() }),
        { as: 'teal' },
      )
      expect(more.status).toBe(200)
    } finally {
      await other.close()
    }
  })
  it('makes nobody a member but who brings it, whatever it says of them, and says what nobody here saw', async () => {
    const j = await lineJob()
    const file = (await h.call('GET', `/jobs/${j.job}/export.json`)).body as unknown as {
      people: { personId: string; name: string; role: string }[]
    }
    const other = await harness()
    try {
      await other.signIn('teal')
      await other.signIn('wren')
      const { rows } = await other.pool.query<{ id: string; login: string }>(
        'select person_id as id, login from person',
      )
      const ids = new Map(rows.map(({ id, login }) => [login, id]))
      // Both are in it: one as its owner, and who brings it as a reader.
      file.people.push({ personId: String(ids.get('wren')), name: 'Wren', role: 'owner' })
      file.people.push({ personId: String(ids.get('teal')), name: 'Teal', role: 'reader' })
      expect((await other.call('POST', '/jobs/import', file, { as: 'teal' })).status).toBe(201)
      const { body } = await other.call('GET', `/jobs/${j.job}/members`, undefined, { as: 'teal' })
      const roles = (body.members as { personId: string; role: string }[]).map(({ personId, role }) => [
        personId,
        role,
      ])
      expect(roles.filter(([, role]) => role !== 'left')).toEqual([[ids.get('teal'), 'owner']])
      expect((await other.call('GET', `/jobs/${j.job}/events`, undefined, { as: 'wren' })).status).toBe(404)
      const state = foldJob((await readLog(other.pool, j.job, 0)).map((l) => JSON.parse(l.body) as JobEvent))
      expect(state.brought).toMatchObject([{ by: ids.get('teal') }])
      // Nobody writes that by themselves.
      const said = batch([draft('log-brought', { entries: 1, head: 'x' })], { deviceId: randomUUID() })
      expect((await other.call('POST', `/jobs/${j.job}/events`, said, { as: 'teal' })).body.error?.code).toBe(
        'not-your-part',
      )
    } finally {
      await other.close()
    }
  })
  it.each([
    ['a list eight thousand deep', `${'['.repeat(8000)}${']'.repeat(8000)}`],
    ['no JSON', 'x'],
    ['nothing', ''],
    ['numbers', '[1,1,1]'],
  ])('%s is no job, and said to be none', async (_says, text) => {
    const r = await fetch(`${h.url}/api/jobs/import`, {
      method: 'POST',
      body: text,
      headers: { 'content-type': 'application/json', cookie: h.cookieOf('wren') },
    })
    expect(r.status).toBe(422)
  })
  it('a broken file leaves nothing half-written and says which line', async () => {
    const j = await lineJob()
    type File = { jobId: string; head: { seq: number; hash: string }; lines: { seq: number; body: string }[] }
    const file = (await h.call('GET', `/jobs/${j.job}/export.json`)).body as unknown as File
    const other = await harness()
    try {
      await other.signIn('wren')
      const cases: [string, (f: File) => void, string][] = [
        [
          'changed',
          (f) =>
            void ((f.lines[20] as { body: string }).body = (f.lines[20] as { body: string }).body.replace(
              '15',
              '25',
            )),
          'lines[20]',
        ],
        ['cut short', (f) => void f.lines.pop(), 'head'],
        ['another job', (f) => void (f.jobId = randomUUID()), 'lines[0]'],
        ['no lines', (f) => void ((f as { lines?: unknown }).lines = 'x'), 'lines'],
      ]
      for (const [what, spoil, field] of cases) {
        const copy = structuredClone(file)
        spoil(copy)
        const r = await other.call('POST', '/jobs/import', copy)
        expect([what, r.status, r.body.error?.field]).toEqual([what, 422, field])
      }
      for (const table of ['job', 'event', 'job_head', 'job_joint', 'job_member'])
        expect((await other.pool.query(`select 1 from ${table}`)).rowCount).toBe(0)
    } finally {
      await other.close()
    }
  })
  it('CSV: a row for every entry, formulas kept as text', async () => {
    const j = await lineJob()
    await j.send([draft('signed', { what: '=HYPERLINK("x")', refId: 'r', statement: 'ok' })])
    const csv = (await h.call('GET', `/jobs/${j.job}/entries.csv`)).text
    expect(csv.trim().split('\n')).toHaveLength((await readLog(h.pool, j.job, 0)).length + 1)
    expect(csv).toContain('Q-02,d63,step-done')
    expect(csv).not.toMatch(/(^|,)=/m)
    // The joint log for people: a row for each life, by tag, in words.
    const log = (await h.call('GET', `/jobs/${j.job}/log.csv`)).text
    const { data, errors } = Papa.parse<Record<string, string>>(log.trim(), { header: true })
    expect(errors).toEqual([])
    expect(data.map((r) => r.joint)).toEqual(['Q-01', 'Q-02'])
    expect(data[0]).toMatchObject({ line: 'Q', size: 'd63', life: '1', outcome: 'judged good', by: 'wren' })
    expect(log).not.toMatch(/step-done|undefined|NaN/)
  })
})

describe('the demo world', () => {
  it('loads through the same door and has something true to say in every place', async () => {
    const demo = await harness({ people: [] })
    try {
      const now = Date.UTC(2026, 10, 23, 20, 0) / 1000
      expect(await seedDemo(demo.pool, now)).toBe(true)
      expect(await seedDemo(demo.pool, now)).toBe(false)
      const state = foldJob(
        (await readLog(demo.pool, KELPWICK.jobId, 0)).map((l) => JSON.parse(l.body) as JobEvent),
      )
      const sections = [...state.sections.keys()].map((id) => sectionAnswer(state, id, now))
      expect(sections.map((s) => [s?.section.tag, s?.proved])).toEqual([
        ['Q1-A', true],
        ['Q2-A', false],
        ['ST-A', false],
      ])
      expect(sections[1]?.joints.map((j) => j.look.life)).toEqual([1, 1, 1, 2, 1, 1, 1, 1])
      expect(sections[1]?.moved?.temperatureC).toBeLessThan(8)
      expect([...state.tests.values()].map((t) => t.ended?.verdict)).toEqual(['lost', 'held'])
      expect(state.notes).toEqual([])
    } finally {
      await demo.close()
    }
  })
})
