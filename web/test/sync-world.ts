import { type Draft, type JobEvent, NO_COLUMNS } from '@jugalis/core'
import { type ClockFacts, mustHearFirst } from '../src/sync/batch'
import { type Ports, type Where, createEngine } from '../src/sync/engine'
import { CLOSED, type Lines, type Pack, type Sync, type Waits } from '../src/sync/machine'
import type { Heard, Moment } from '../src/sync/placing'

const AT: Where = { jobId: 'job', personId: 'p', deviceId: 'd' }
export const hashOf = (seq: number): string | null => (seq ? `h${seq}` : null)
export const isBad = (d: Draft): boolean => d.kind === 'bad'
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
  /** Its beginning, as it was packed when it was shorter by two entries. */
  packed(): Pack | null {
    const seq = this.log.length - 2
    if (seq < 1) return null
    return { packed: NO_COLUMNS, events: this.log.slice(0, seq), head: { seq, hash: hashOf(seq) }, text: '' }
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
export type Fate = 'comes' | 'request lost' | 'answer lost'
/**
 * A device in a pocket: pages that are loaded anew, one store, two clocks, and a network that loses, delays and
 * turns round. What waits to happen stands in `queue`; the test picks which comes first.
 */
export class World {
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
        keepPack: async () => undefined,
        forgetLog: async () => undefined,
      },
      server: {
        pack: () => alone(() => this.request(page, () => this.server.packed())),
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
