import type { Draft, JobEvent } from '@jugalis/core'
import fc from 'fast-check'
import { type ClockFacts, batchOf, mustHearFirst } from '../src/sync/batch'
import { type Ports, type Where, createEngine } from '../src/sync/engine'
import { CLOSED, type Lines, type Sync, type Waits, next } from '../src/sync/machine'
import type { Heard, Moment } from '../src/sync/placing'

const AT: Where = { jobId: 'job', personId: 'p', deviceId: 'd' }
const hashOf = (seq: number): string | null => (seq ? `h${seq}` : null)
const isBad = (d: Draft): boolean => d.kind === 'bad'
class NoSignal extends Error {}
class Refused extends Error {
  constructor(readonly drafts: readonly Draft[]) {
    super('refused')
  }
}

/** The server: a log that knows an entry again, and refuses a whole request for its first bad one. */
class Server {
  readonly log: JobEvent[] = []
  take(batch: readonly Waits[]): void {
    const bad = batch.find((w) => isBad(w.draft))
    if (bad) throw new Refused([bad.draft])
    for (const { draft } of batch)
      if (!this.log.some((e) => e.id === draft.id)) this.log.push(draft as unknown as JobEvent)
  }
  lines(after: number): Lines {
    return {
      head: this.log.length,
      hashAfter: hashOf(after),
      hashHead: hashOf(this.log.length),
      lines: this.log.slice(after).map((event, i) => ({ seq: after + i + 1, event })),
    }
  }
}
type Fate = 'comes' | 'request lost' | 'answer lost'
/**
 * A device in a pocket: pages that are loaded anew, one store, two clocks, and a network that loses, delays and
 * turns round. What waits to happen stands in `queue`; the test picks which comes first.
 */
class World {
  readonly server = new Server()
  readonly store = new Map<string, Waits>()
  readonly tray = new Map<string, Draft>()
  readonly written: Draft[] = []
  readonly wrong: string[] = []
  readonly queue: (() => void)[] = []
  fate: Fate = 'comes'
  wallS = 1000
  steadyS = 0
  life = 0
  heard: Heard | null = null
  sync: Sync = CLOSED
  page = 0

  moment = (): Moment => ({ wallS: this.wallS, steadyS: this.steadyS, life: `l${this.life}` })
  facts = (): ClockFacts => ({
    heard: this.heard,
    offsetS: this.heard ? this.heard.serverS - this.heard.wallS : 0,
    roundTripS: 0,
    life: `l${this.life}`,
  })
  engine = this.load()

  /** A request: it reaches the server when the test picks it, or never, and so does its answer. */
  private request<T>(page: number, at: () => T): Promise<T> {
    const { fate } = this
    return new Promise<T>((done, fail) => {
      const answer = (f: () => void): void =>
        void this.queue.push(() => (page === this.page ? f() : undefined))
      this.queue.push(() => {
        if (fate === 'request lost') return answer(() => fail(new NoSignal()))
        let got: T
        try {
          got = at()
        } catch (e) {
          return answer(() => fail(fate === 'answer lost' ? new NoSignal() : e))
        }
        answer(() => {
          if (fate === 'answer lost') return fail(new NoSignal())
          this.heard = { ...this.moment(), serverS: 5000 + this.steadyS, roundTripS: 0 }
          done(got)
        })
      })
    })
  }
  private load() {
    const page = ++this.page
    let flying = 0
    const alone = async <T>(f: () => Promise<T>): Promise<T> => {
      if (++flying > 1) this.wrong.push('two requests at once')
      try {
        return await f()
      } finally {
        flying--
      }
    }
    const ports: Ports = {
      clock: this.facts,
      device: {
        waiting: () => Promise.resolve([...this.store.values()]),
        drop: async (_at, ids) => {
          for (const id of ids) {
            if (!this.server.log.some((e) => e.id === id)) this.wrong.push(`${id} dropped and not in the log`)
            this.store.delete(id)
          }
        },
        giveBack: async (_at, drafts) => {
          for (const d of drafts) {
            this.store.delete(d.id)
            this.tray.set(d.id, d)
          }
        },
        clear: async (id) => void this.tray.delete(id),
        keepPart: async () => undefined,
        forgetLog: async () => undefined,
      },
      server: {
        read: (_at, from) => alone(() => this.request(page, () => this.server.lines(from.seq))),
        send: (_at, batch) => {
          if (mustHearFirst(batch, this.facts())) this.wrong.push('sent before the server was heard')
          return alone(() => this.request(page, () => this.server.take(batch)))
        },
        failure: (e) =>
          e instanceof Refused
            ? { what: 'refused', drafts: e.drafts, why: e.message }
            : { what: 'failed', why: 'no-signal' },
      },
    }
    const engine = createEngine(ports, (s) => {
      if (page === this.page) this.sync = s
    })
    engine.open(AT, {
      known: [],
      head: { seq: 0, hash: null },
      waiting: [...this.store.values()],
      returned: [...this.tray.values()].map((draft) => ({ id: draft.id, draft, why: '' })),
    })
    return engine
  }
  reload(): void {
    this.life++
    this.steadyS = 0
    this.engine = this.load()
  }
  write(kind: string): void {
    const deviceSeq = this.written.length + 1
    const draft = { id: `e${deviceSeq}`, deviceSeq, kind, atDeviceS: this.wallS } as unknown as Draft
    const waits = { draft, made: { at: this.moment(), before: this.heard } }
    this.written.push(draft)
    this.store.set(draft.id, waits)
    this.engine.wrote([waits])
  }
  /** Nothing that was written is out of sight, and nothing is shown twice. */
  look(): void {
    const shown = [
      ...this.sync.known.map((e) => e.id),
      ...this.sync.waiting.map((w) => w.draft.id),
      ...this.sync.returned.map((r) => r.id),
    ]
    if (new Set(shown).size !== shown.length) this.wrong.push(`shown twice: ${shown.join(' ')}`)
    for (const { id } of this.written) {
      const there = this.store.has(id) || this.tray.has(id) || this.server.log.some((e) => e.id === id)
      if (!there) this.wrong.push(`${id} is lost`)
      // A page loaded anew shows what the log has once it was read.
      if (!shown.includes(id) && this.sync.answered && !this.sync.busy) this.wrong.push(`${id} is not shown`)
    }
  }
}
const tick = (): Promise<void> => new Promise((done) => setImmediate(done))

type Act =
  | { do: 'write' | 'bad' | 'ask' | 'reload' }
  | { do: 'jump' | 'pass'; s: number }
  | { do: 'run'; at: number }
  | { do: 'net'; fate: Fate }
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ do: fc.constant('run' as const), at: fc.nat(20) }) },
  { weight: 3, arbitrary: fc.constant({ do: 'write' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'bad' as const }) },
  { weight: 3, arbitrary: fc.constant({ do: 'ask' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'reload' as const }) },
  {
    weight: 1,
    arbitrary: fc.record({ do: fc.constant('jump' as const), s: fc.integer({ min: -9000, max: 9000 }) }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('pass' as const), s: fc.nat(600) }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('net' as const),
      fate: fc.constantFrom<Fate[]>('comes', 'request lost', 'answer lost'),
    }),
  },
)
async function perform(w: World, a: Act): Promise<void> {
  if (a.do === 'write' || a.do === 'bad') w.write(a.do)
  if (a.do === 'ask') void w.engine.ask()
  if (a.do === 'reload') w.reload()
  if (a.do === 'jump') w.wallS += a.s
  if (a.do === 'net') w.fate = a.fate
  if (a.do === 'pass') {
    w.wallS += a.s
    w.steadyS += a.s
  }
  if (a.do === 'run' && w.queue.length) w.queue.splice(a.at % w.queue.length, 1)[0]?.()
  await tick()
  w.look()
}

it('whatever the network, the clocks and the pages do: each entry is once in the log, in order, or given back', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 80 }), async (acts) => {
      const w = new World()
      for (const a of acts) await perform(w, a)
      // Signal is back: asked now and then, everything comes to its end.
      w.fate = 'comes'
      for (let round = 0; round < 40 && (round < 2 || w.store.size || w.sync.busy); round++) {
        await perform(w, { do: 'pass', s: 3 })
        await perform(w, { do: 'ask' })
        while (w.queue.length) await perform(w, { do: 'run', at: 0 })
      }
      expect(w.wrong).toEqual([])
      expect([...w.store.keys()]).toEqual([])
      const good = w.written.filter((d) => !isBad(d)).map((d) => d.id)
      expect(w.server.log.map((e) => e.id)).toEqual(good)
      expect([...w.tray.keys()].sort()).toEqual(
        w.written
          .filter(isBad)
          .map((d) => d.id)
          .sort(),
      )
      expect(w.sync.known.map((e) => e.id)).toEqual(good)
      expect(w.sync.offline).toBe(false)
    }),
    { numRuns: 300 },
  )
})

const CLOCK: ClockFacts = { heard: null, offsetS: 0, roundTripS: 0, life: 'l0' }
const waits = (n: number): Waits => ({
  draft: { id: `e${n}`, deviceSeq: n, kind: 'good', atDeviceS: 0 } as unknown as Draft,
})
const opened = next(
  CLOSED,
  { what: 'opened', known: [], head: { seq: 0, hash: null }, waiting: [], returned: [] },
  CLOCK,
)
const readBack = (s: Sync, lines: Lines) =>
  next(s, { what: 'read', turn: s.turn, from: s.head, answer: lines }, CLOCK)
const nothing = (seq: number): Lines => ({
  head: seq,
  hashAfter: hashOf(seq),
  hashHead: hashOf(seq),
  lines: [],
})

describe('what goes out together', () => {
  const moment = (wallS: number, steadyS: number): Moment => ({ wallS, steadyS, life: 'l0' })
  const heard = (wallS: number, steadyS: number): Heard => ({
    ...moment(wallS, steadyS),
    serverS: 5000 + steadyS,
    roundTripS: 0,
  })
  const made = (n: number, at: Moment, before: Heard | null): Waits => ({ ...waits(n), made: { at, before } })
  const before = heard(1000, 0)
  const plain = made(1, moment(1060, 60), before)
  const jumped = made(2, moment(4700, 100), before)
  it('an entry made since the clock was set is sent when the server was heard after it, not before', () => {
    expect(mustHearFirst([plain], { ...CLOCK, heard: before })).toBe(false)
    expect(mustHearFirst([plain, jumped], { ...CLOCK, heard: before })).toBe(true)
    expect(mustHearFirst([plain, jumped], { ...CLOCK, heard: heard(4800, 200) })).toBe(false)
    expect(mustHearFirst([made(3, moment(1060, 60), null)], CLOCK)).toBe(true)
  })
  it('entries made under two settings of the clock go out one after the other', () => {
    const clock = { ...CLOCK, heard: heard(4800, 200), offsetS: 400 }
    expect(batchOf([plain, jumped], clock).map((w) => w.draft.id)).toEqual(['e1'])
    expect(batchOf([jumped], clock).map((w) => w.draft.id)).toEqual(['e2'])
    expect(batchOf([plain, made(4, moment(1070, 70), before)], clock)).toHaveLength(2)
  })
  it('a request holds at most 500 entries and 700 kB, and one entry however long', () => {
    const long = (n: number): Waits => ({ draft: { ...waits(n).draft, data: { text: 'x'.repeat(300_000) } } })
    expect(
      batchOf(
        Array.from({ length: 600 }, (_, i) => waits(i)),
        CLOCK,
      ),
    ).toHaveLength(500)
    expect(batchOf([long(1), long(2), long(3)], CLOCK)).toHaveLength(2)
  })
})

describe('one step of the machine', () => {
  it('a job that is opened is read; what is written while it is read waits its turn', () => {
    expect(opened.todo).toEqual([{ do: 'read', turn: 1, from: { seq: 0, hash: null } }])
    const wrote = next(opened.sync, { what: 'wrote', entries: [waits(1)] }, CLOCK)
    expect(wrote.todo).toEqual([])
    expect(readBack(wrote.sync, nothing(0)).todo).toMatchObject([
      { do: 'send', batch: [{ draft: { id: 'e1' } }] },
    ])
  })
  it('what the server has taken stays here until it was read back; where it can\u2019t be read, it waits to be asked for', () => {
    const sent = readBack(next(opened.sync, { what: 'wrote', entries: [waits(1)] }, CLOCK).sync, nothing(0))
    const taken = next(sent.sync, { what: 'taken', turn: 1, ids: ['e1'] }, CLOCK)
    expect(taken.todo).toMatchObject([{ do: 'read' }])
    expect(taken.sync.waiting).toHaveLength(1)
    const unread = readBack(taken.sync, nothing(0))
    expect([unread.todo, unread.sync.waiting.length]).toEqual([[], 1])
    expect(next(unread.sync, { what: 'asked' }, CLOCK).todo).toMatchObject([{ do: 'read' }])
  })
  it('what can\u2019t be placed in time asks the server for its own first, once', () => {
    const open = readBack(opened.sync, nothing(0)).sync
    const unplaced = { ...waits(1), made: { at: { wallS: 9, steadyS: 9, life: 'l0' }, before: null } }
    const wrote = next(open, { what: 'wrote', entries: [unplaced] }, CLOCK)
    expect(wrote.todo).toMatchObject([{ do: 'read' }])
    // Still not heard: it waits to be asked for, and does not ask on and on.
    expect(readBack(wrote.sync, nothing(0)).todo).toEqual([])
  })
  it('without signal nothing is tried again before somebody asks, or writes', () => {
    const wrote = next(opened.sync, { what: 'wrote', entries: [waits(1)] }, CLOCK)
    const lost = next(wrote.sync, { what: 'failed', turn: 1, why: 'no-signal' }, CLOCK)
    expect([lost.todo, lost.sync.offline]).toEqual([[], true])
    expect(next(lost.sync, { what: 'found', turn: 1, waiting: [waits(2)] }, CLOCK).todo).toEqual([])
    expect(next(lost.sync, { what: 'asked' }, CLOCK).todo).toMatchObject([{ do: 'read' }])
    const more = next(lost.sync, { what: 'wrote', entries: [waits(2)] }, CLOCK)
    expect(more.todo).toMatchObject([
      { do: 'send', batch: [{ draft: { id: 'e1' } }, { draft: { id: 'e2' } }] },
    ])
  })
  it('an answer to another opening is not listened to', () => {
    const again = next(
      opened.sync,
      { what: 'opened', known: [], head: { seq: 0, hash: null }, waiting: [], returned: [] },
      CLOCK,
    )
    const late = next(again.sync, { what: 'failed', turn: 1, why: 'no-signal' }, CLOCK)
    expect([late.sync.offline, late.sync.busy]).toEqual([false, 'reading'])
  })
  it('a log that is another than the one kept here is read from its beginning', () => {
    const had = next(
      CLOSED,
      { what: 'opened', known: [], head: { seq: 7, hash: 'other' }, waiting: [], returned: [] },
      CLOCK,
    )
    expect(readBack(had.sync, nothing(7)).todo).toMatchObject([
      { do: 'forget-log' },
      { do: 'read', from: { seq: 0 } },
    ])
  })
  it('a job of somebody else is shut; one that is open stays when a later answer says so', () => {
    const shut = next(opened.sync, { what: 'failed', turn: 1, why: 'not-mine' }, CLOCK)
    expect([shut.sync.missing, shut.sync.open]).toEqual([true, false])
    const open = readBack(opened.sync, nothing(0)).sync
    const asked = next(open, { what: 'asked' }, CLOCK)
    expect(next(asked.sync, { what: 'failed', turn: 1, why: 'not-mine' }, CLOCK).sync.missing).toBe(false)
  })
})
