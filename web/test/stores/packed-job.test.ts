import { type JobEvent, foldJob, packLog } from '@jugalis/core'
import { Log, PLACE, T0, lineJob } from '../../../core/test/make-job'
import { newPage, server, settled } from './browser'

const { useJob } = await import('../../src/stores/job')
const { useSession } = await import('../../src/stores/session')
const kept = await import('../../src/sync/kept-log')
const { unpack } = await import('../../src/sync/unpack')

const QUARTER_S = 900
/** A line, and a probe that was read for ten days. */
function longLog(): JobEvent[] {
  const log = lineJob(2)
  for (let i = 960; i > 0; i--) {
    const atS = T0 - i * QUARTER_S
    const data = { placeId: PLACE, what: 'wall', basis: 'measured', atS, value: 12 + (i % 30) / 10 }
    log.put('reading', data, { atS: atS + 1, who: 3 })
  }
  return log.events.map((event) => ({ ...event, jobId: 'j1' }))
}
const wallsOf = (events: readonly JobEvent[]): number[] =>
  (foldJob(events).readings.get(PLACE)?.wall ?? []).map(({ value }) => value)

/** A server that has a log, and packed it when it was some entries shorter. */
function packing(log: JobEvent[], shorter: number, text?: string) {
  const at = server()
  const hash = (seq: number): string | null => (seq ? `h${seq}` : null)
  const seq = log.length - shorter
  const pack = packLog(log.slice(0, seq), { seq, hash: hash(seq) ?? '' })
  at.answers('POST /session', { body: { person: { personId: 'wren', name: 'Wren', orgId: 'o' } } })
  at.answers('GET /jobs/j1/members', { body: { members: [{ personId: 'wren', name: 'Wren' }] } })
  at.answers('GET /jobs/j1/pack', { body: text === undefined ? pack : JSON.parse(text) })
  at.answers('GET /jobs/j1/events', () => {
    const after = Number(/after=(\d+)/.exec(at.asked.at(-1)?.path ?? '')?.[1] ?? 0)
    const lines = log.slice(after).map((event, i) => ({ seq: after + i + 1, event }))
    const head = log.length
    return { body: { serverNowS: T0, head, hashAfter: hash(after), hashHead: hash(head), lines } }
  })
  return { at, pack }
}
/** Pages that are closed when a test is done: what they would ask for later keeps nothing alive. */
const pages: ReturnType<typeof useJob>[] = []
async function opened() {
  newPage()
  await useSession().signIn('wren', 'x')
  const job = useJob()
  pages.push(job)
  await job.open('j1')
  await settled()
  return job
}
const shown = (job: ReturnType<typeof useJob>): number[] =>
  (job.state.readings.get(PLACE)?.wall ?? []).map(({ value }) => value)
afterEach(async () => {
  for (const page of pages.splice(0)) page.close()
  await kept.dropAll()
})

describe('a job that comes packed', () => {
  it('shows what its log says: the pack, and what was written since', async () => {
    const log = longLog()
    const { at, pack } = packing(log, 40)
    expect(pack.columns[0]?.values.length).toBeGreaterThan(700)
    const job = await opened()
    expect(shown(job)).toEqual(wallsOf(log))
    expect(at.asked.map(({ path }) => path)).toContain(`/jobs/j1/events?after=${pack.seq}`)
    expect(at.count('GET /jobs/j1/events?after=0')).toBe(0)
    expect(job.logHead()).toEqual({ seq: log.length, hash: `h${log.length}` })
  })
  it('opens from this device the next time, and reads only what is new', async () => {
    const log = longLog()
    packing(log, 40)
    await opened()
    const { at } = packing(log, 40)
    const job = await opened()
    expect(shown(job)).toEqual(wallsOf(log))
    expect(at.count('GET /jobs/j1/pack')).toBe(0)
    expect(at.count(`GET /jobs/j1/events?after=${log.length}`)).toBe(1)
  })
  it.each([
    ['of another version', JSON.stringify({ v: 99 })],
    ['that is no pack', '[]'],
  ])('one %s is not read: the log is', async (_what, text) => {
    const log = longLog()
    const { at } = packing(log, 40, text)
    expect(shown(await opened())).toEqual(wallsOf(log))
    expect(at.count('GET /jobs/j1/events?after=0')).toBe(1)
  })
  it('an old reading that somebody takes back is taken back here too: the log is read entry by entry', async () => {
    const log = longLog()
    const { at, pack } = packing(log, 0)
    const wrong = log.find(({ kind }) => kind === 'reading') as JobEvent
    const undo = new Log()
    undo.put(
      'correction',
      { target: wrong.id, undo: true },
      { atS: T0 + 60, id: '00000000-0000-4000-8000-00000000ffff' },
    )
    log.push(...undo.events)
    const job = await opened()
    await settled()
    expect(at.count(`GET /jobs/j1/events?after=${pack.seq}`)).toBe(1)
    expect(at.count('GET /jobs/j1/events?after=0')).toBe(1)
    expect(shown(job)).toEqual(wallsOf(log))
    expect(shown(job)).toHaveLength(959)
  })
})

describe('what a device keeps of a packed log', () => {
  const text = (): string => JSON.stringify(packLog(longLog(), { seq: 961, hash: 'h961' }))
  const keep = async (pack: string): Promise<void> => {
    await kept.open('j9', 'wren')
    await kept.keepPart('j9', { from: 1, events: [], pack, head: 961, hash: 'h961' })
  }
  it('many short stretches behind it become one, and it stays', async () => {
    await keep(text())
    const [event] = longLog()
    for (let seq = 962; seq < 1010; seq++)
      await kept.keepPart('j9', { from: seq, events: [event as JobEvent], head: seq, hash: `h${seq}` })
    const first = await kept.open('j9', 'wren')
    const again = await kept.open('j9', 'wren')
    expect(first.events).toHaveLength((unpack(text())?.events.length ?? 0) + 48)
    expect(again).toEqual(first)
    expect([again.head, again.hash, again.columns.columns.length]).toEqual([1009, 'h1009', 1])
  })
  it.each([
    ['cut short', (whole: string) => whole.slice(0, 500)],
    ['of another version', (whole: string) => whole.replace('"v":1', '"v":0')],
  ])('one %s is asked for anew', async (_what, spoil) => {
    await keep(spoil(text()))
    expect(await kept.open('j9', 'wren')).toMatchObject({ events: [], head: 0, hash: null })
  })
})
