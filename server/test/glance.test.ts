import { jest } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import { type Glance, nextOf } from '@jugalis/core'
import { behindBy } from '../src/index.js'
import { type Harness, batch, draft, harness } from './harness.js'
import { smallJob } from './small-job.js'

let h: Harness
const [wrens, teals] = [randomUUID(), randomUUID()]
const [line, place, section] = [randomUUID(), randomUUID(), randomUUID()]
const joints = [randomUUID(), randomUUID()] as const
const write = async (job: string, as: string, ...drafts: ReturnType<typeof draft>[]): Promise<void> => {
  const said = await h.call('POST', `/jobs/${job}/events`, batch(drafts), { as })
  expect([said.status, said.body.error?.message]).toEqual([200, undefined])
}
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
  for (const [job, as, name] of [
    [wrens, 'wren', 'Quarantine'],
    [teals, 'teal', 'Boiler room'],
  ] as const)
    await h.call('POST', '/jobs', { jobId: job, name }, { as })
  await write(
    wrens,
    'wren',
    ...smallJob({ name: 'Quarantine', place, line, item: randomUUID(), tag: 'Q_2', joints }),
    draft('section-set', {
      sectionId: section,
      tag: '100 % tight',
      jointIds: joints,
      workingBar: 6,
      testBar: 9,
      holdS: 3600,
      allowedDropBar: 0.2,
    }),
  )
})
afterAll(() => h.close())

interface Seen {
  jobId: string
  name: string
  role: string
  glance: Glance | null
  stale: boolean
}
const ask = async (as = 'wren'): Promise<Seen[]> =>
  (await h.call('GET', '/glance', undefined, { as })).body.jobs as Seen[]
/** Asks until nothing is being made any more, as the page does. */
async function settled(as = 'wren'): Promise<Seen[]> {
  for (let tries = 0; tries < 100; tries++) {
    const jobs = await ask(as)
    if (!jobs.some(({ stale }) => stale)) return jobs
    await new Promise((done) => setTimeout(done, 20))
  }
  throw new Error('no glance came')
}
const told = (seen: Seen | undefined): string[] =>
  seen?.glance ? nextOf(seen.glance, h.clock.s).map(({ kind }) => kind) : []
const find = async (q: string, as = 'wren') => {
  const said = await h.call('GET', `/glance/named?q=${encodeURIComponent(q)}`, undefined, { as })
  return (said.body.hits as { label: string; kind: string; job: string }[]).map(
    ({ label, kind, job }) => `${kind} ${label} in ${job}`,
  )
}

describe('all jobs at a glance', () => {
  it('gives the names at once and what matters when it is made; only of the jobs one is on', async () => {
    const [before] = await ask()
    expect([before?.name, before?.role, before?.stale]).toEqual(['Quarantine', 'owner', true])
    const jobs = await settled()
    expect(jobs.map(({ jobId }) => jobId)).toEqual([wrens])
    expect(told(jobs[0])).toEqual(['nearest', 'not-made'])
    // A job of which nothing is written yet has its glance too.
    expect(told((await settled('teal'))[0])).toEqual(['nothing'])
    expect((await h.call('GET', '/glance', undefined, { as: 'nobody' })).status).toBe(401)
  })
  it('is made anew when the log grows, and after a while though it has not', async () => {
    await write(
      wrens,
      'wren',
      draft(
        'step-done',
        { life: 1, step: 'fit', readings: {}, shown: [] },
        { jointId: joints[0], atDeviceS: h.clock.s - 30 },
      ),
    )
    const [grown] = await ask()
    // What was known stands until the new one is there.
    expect([grown?.stale, told(grown)]).toEqual([true, ['nearest', 'not-made']])
    expect(told((await settled())[0])).toEqual(['begun', 'nearest', 'not-made'])
    h.clock.s += 1000
    expect((await ask())[0]?.stale).toBe(true)
    expect(told((await settled())[0])).toEqual(['begun', 'nearest', 'not-made'])
  })
  it('of an older version is made anew', async () => {
    await settled()
    await h.pool.query(`update job_glance set v = 0, body = '{}'`)
    const [old] = await ask()
    expect([old?.glance, old?.stale]).toEqual([null, true])
    expect(told((await settled())[0])).toEqual(['begun', 'nearest', 'not-made'])
  })
  it('finds what has a name, what begins so first; signs that a pattern would read are letters', async () => {
    await settled()
    await settled('teal')
    expect(await find('q_2-0')).toEqual(['joint Q_2-01 in Quarantine', 'joint Q_2-02 in Quarantine'])
    expect(await find('P01')).toEqual(['piece Q_2/P01 in Quarantine'])
    expect(await find('100 %')).toEqual(['section 100 % tight in Quarantine'])
    expect(await find('Q-2')).toEqual([])
    expect(await find('%%')).toEqual([])
    expect(await find('\\')).toEqual([])
    expect(await find('loop')).toEqual(['line Q_2 in Quarantine'])
    expect(await find('Q_2', 'teal')).toEqual([])
  })
  it.each(['', '   ', 'x'.repeat(81)])('refuses to look for "%s"', async (q) => {
    const said = await h.call('GET', `/glance/named?q=${encodeURIComponent(q)}`)
    expect([said.status, said.body.error?.field]).toEqual([422, 'q'])
  })
  it('what is taken out of a job is found no more', async () => {
    const log = (await h.call('GET', `/jobs/${wrens}/events`)).body.lines as {
      event: { id: string; kind: string }
    }[]
    const target = log.find(({ event }) => event.kind === 'section-set')?.event.id
    await write(wrens, 'wren', draft('correction', { target, undo: true, reason: 'wrong' }))
    await settled()
    await settled()
    expect(await find('100 %')).toEqual([])
  })
})

describe('the queue of glances', () => {
  it('takes each job once however often it is asked for; one that fails holds up no other; stops', async () => {
    const taken: string[] = []
    let free: () => void = () => undefined
    const gate = new Promise<void>((open) => (free = open))
    const loud = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const glances = behindBy(async (jobId) => {
      await gate
      taken.push(jobId)
      if (jobId === 'bad') throw new Error('unreadable')
    })
    glances.ask(['a', 'bad'], 1)
    glances.ask(['bad', 'c', 'c'], 2)
    free()
    for (let i = 0; taken.length < 3 && i < 50; i++) await new Promise((done) => setTimeout(done, 5))
    glances.ask(['a'], 3)
    await new Promise((done) => setTimeout(done, 20))
    expect(taken).toEqual(['a', 'bad', 'c', 'a'])
    expect(loud).toHaveBeenCalledTimes(1)
    await glances.stop()
    glances.ask(['d'], 4)
    await new Promise((done) => setTimeout(done, 20))
    expect(taken).not.toContain('d')
    loud.mockRestore()
  })
})
