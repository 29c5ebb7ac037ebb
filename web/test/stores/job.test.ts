import { device, newPage, server, settled } from './browser'

const { useJob } = await import('../../src/stores/job')
const { useSession } = await import('../../src/stores/session')
const { waiting } = await import('../../src/sync/device')
const { catchUp } = await import('../../src/sync/catch-up')
const { usePorts } = await import('../../src/sync/ports')

const WREN = { personId: 'wren', name: 'Wren', orgId: 'o' }
/** What a page sends with what waits: whole entries, and whose they are. */
interface Sent {
  personId: string
  deviceId: string
  events: { id: string; kind: string; v: number; jointId: null; data: object; atDeviceS: number }[]
}
/** A server that keeps logs, and can lose its answers, refuse, or not be there. */
function logs() {
  const at = server()
  const kept = new Map<string, object[]>()
  const state = { signal: true, answers: true, refuse: '', gone: false }
  const hash = (n: number): string | null => (n ? `h${n}` : null)
  const log = (job: string): object[] => {
    const all = kept.get(job) ?? []
    kept.set(job, all)
    return all
  }
  const read = (job: string, after: number) => ({
    serverNowS: Date.now() / 1000,
    head: log(job).length,
    hashAfter: hash(after),
    hashHead: hash(log(job).length),
    lines: log(job)
      .slice(after)
      .map((event, i) => ({ seq: after + i + 1, event })),
  })
  at.answers('POST /session', { body: { person: WREN } })
  at.answers('GET /session/settings', { body: { settings: null } })
  for (const job of ['j1', 'j2', 'j3']) {
    at.answers(`GET /jobs/${job}/members`, () =>
      state.signal ? { body: { members: [{ personId: 'wren', name: 'Wren' }] } } : 'no signal',
    )
    at.answers(`GET /jobs/${job}/events`, () => {
      if (!state.signal) return 'no signal'
      if (state.gone) return { status: 404 }
      const after = Number(/after=(\d+)/.exec(at.asked.at(-1)?.path ?? '')?.[1] ?? 0)
      return { body: read(job, after) }
    })
    at.answers(`POST /jobs/${job}/events`, (body) => {
      if (!state.signal) return 'no signal'
      const { events, personId, deviceId } = body as Sent
      if (state.refuse)
        return {
          status: 422,
          body: { error: { code: 'bad', message: state.refuse, field: 'events[0].data' } },
        }
      for (const e of events)
        if (!log(job).some((x) => (x as { id: string }).id === e.id))
          log(job).push({
            ...e,
            jobId: job,
            actorId: personId,
            deviceId,
            occurredAtS: e.atDeviceS,
            clockErrorS: 0,
          })
      return state.answers ? { body: { serverNowS: Date.now() / 1000 } } : 'no signal'
    })
  }
  return { at, log, state }
}
const put = (name: string) => ({ kind: 'place-set', data: { placeId: name, name } })
const names = (job: ReturnType<typeof useJob>): string[] => [...job.state.places.values()]

const pages: ReturnType<typeof useJob>[] = []
async function page(): Promise<ReturnType<typeof useJob>> {
  newPage()
  await useSession().signIn('wren', 'x')
  const job = useJob()
  pages.push(job)
  return job
}
/** Until all that was written is read back. */
async function done(job: ReturnType<typeof useJob>): Promise<void> {
  for (let i = 0; i < 40 && job.pending.length; i++) await settled()
}
beforeAll(() =>
  Object.assign(globalThis, {
    EventSource: class extends EventTarget {
      close() {}
    },
  }),
)
afterEach(async () => {
  for (const job of pages.splice(0)) job.close()
  await settled()
  device.removeItem('jugalis-clock')
})

describe('a job that is open', () => {
  it('what is written shows at once, is sent, read back, and waits no more', async () => {
    const { log } = logs()
    const job = await page()
    await job.open('j1')
    const writing = job.write([put('Hall')], 'a place')
    await writing
    expect(names(job)).toEqual(['Hall'])
    await done(job)
    expect([log('j1').length, job.pending.length, names(job)]).toEqual([1, 0, ['Hall']])
    await settled()
    expect(await waiting('j1', 'wren')).toEqual([])
    expect(job.nameOf('wren')).toBe('Wren')
  })
  it('without signal it waits on this device, opens from it, and goes when there is signal again', async () => {
    const { log, state } = logs()
    const first = await page()
    await first.open('j3')
    await first.write([put('Hall')])
    await done(first)
    state.signal = false
    await first.write([put('Cellar')])
    await settled()
    expect([first.offline, first.pending.length]).toEqual([true, 1])
    first.close()
    const next = await page()
    state.signal = false
    await next.open('j3')
    expect([next.status, names(next)]).toEqual(['open', ['Hall', 'Cellar']])
    state.signal = true
    await next.write([put('Roof')])
    await done(next)
    expect(log('j3')).toHaveLength(3)
    expect(next.offline).toBe(false)
  })
  it('an answer that was lost costs nothing: the entry goes once more and is known again', async () => {
    const { log, state } = logs()
    const job = await page()
    await job.open('j2')
    state.answers = false
    await job.write([put('Hall')])
    await settled()
    expect([log('j2').length, job.pending.length]).toEqual([1, 1])
    state.answers = true
    await job.write([put('Roof')])
    await done(job)
    expect([log('j2').length, job.pending.length]).toEqual([2, 0])
  })
  it('what the server refuses lies in the tray with its reason, until it is put away', async () => {
    const { state } = logs()
    const job = await page()
    await job.open('j2')
    state.refuse = 'No such place.'
    await job.write([put('Nowhere')])
    await done(job)
    await settled()
    expect(job.returned.map((r) => r.why)).toEqual(['No such place.'])
    expect(names(job)).not.toContain('Nowhere')
    job.dropReturned(job.returned[0]?.draft.id ?? '')
    await settled()
    expect(job.returned).toEqual([])
  })
  it('what is asked at once never waits here: refused, it is gone', async () => {
    const { log, state } = logs()
    const job = await page()
    await job.open('j2')
    state.refuse = 'Not all gates are closed.'
    await expect(job.writeNow(put('Test'))).rejects.toThrow('Not all gates are closed.')
    expect([job.pending.length, await waiting('j2', 'wren')]).toEqual([0, []])
    state.refuse = ''
    const before = log('j2').length
    await job.writeNow(put('Test'))
    expect(log('j2').length).toBe(before + 1)
    expect(names(job)).toContain('Test')
  })
  it('a job that is not one\u2019s own is missing, and nothing of it is kept', async () => {
    const { state } = logs()
    const job = await page()
    state.gone = true
    await job.open('j1')
    expect(job.status).toBe('missing')
  })
  it('another one opened meanwhile is the one that is shown; what was done on the first is not undone there', async () => {
    logs()
    const job = await page()
    const first = job.open('j1')
    await job.open('j2')
    await first
    expect([job.jobId, job.status]).toEqual(['j2', 'open'])
    await job.write([put('Loft')], 'a place')
    expect(job.acts.length).toBe(1)
    await job.open('j1')
    expect([job.acts.length, job.lastAct]).toEqual([0, null])
  })
})

describe('jobs that were left with something to send', () => {
  /** What was written in two jobs while there was no signal; both were left then. */
  async function left() {
    const world = logs()
    const job = await page()
    for (const id of ['j1', 'j2']) {
      world.state.signal = true
      await job.open(id)
      world.state.signal = false
      await job.write([put(`Loft of ${id}`)])
      await settled()
      job.close()
    }
    world.state.signal = true
    const before = [world.log('j1').length, world.log('j2').length]
    const grown = () => [world.log('j1').length, world.log('j2').length].map((n, i) => n - (before[i] ?? 0))
    return { ...world, grown }
  }
  it('it goes out without any of them being opened; a job that is open sends by itself', async () => {
    const { grown } = await left()
    expect(await catchUp(usePorts(), 'wren', 'j2')).toBe(1)
    expect(grown()).toEqual([1, 0])
    expect(await catchUp(usePorts(), 'teal', null)).toBe(0)
    expect(await catchUp(usePorts(), 'wren', null)).toBe(1)
    expect(grown()).toEqual([1, 1])
    expect([await waiting('j1', 'wren'), await waiting('j2', 'wren')]).toEqual([[], []])
  })
  it('without signal it stays; what is refused lies in the tray of its job', async () => {
    const { grown, state } = await left()
    state.signal = false
    expect(await catchUp(usePorts(), 'wren', null)).toBe(0)
    expect((await waiting('j1', 'wren')).length).toBe(1)
    state.signal = true
    state.refuse = 'This job is closed to you.'
    await catchUp(usePorts(), 'wren', null)
    expect([grown(), await waiting('j1', 'wren')]).toEqual([[0, 0], []])
    const job = await page()
    await job.open('j1')
    expect(job.returned.map(({ why }) => why)).toEqual(['This job is closed to you.'])
    job.dropReturned(job.returned[0]?.id ?? '')
  })
})
