import type { Columns, Draft } from '@jugalis/core'
import type { ClockFacts } from './batch'
import {
  CLOSED,
  type Happened,
  type Head,
  type Lines,
  type Pack,
  type Returned,
  type Sync,
  type Todo,
  type Waits,
  next,
} from './machine'

/** Whose entries of which job, written on which device. */
export interface Where {
  jobId: string
  personId: string
  deviceId: string
}
/** What a request came to, where it was not taken. */
export type Failure =
  | { what: 'failed'; why: 'no-signal' | 'not-mine' | 'trouble' }
  /** The server's last word on these entries. */
  | { what: 'refused'; drafts: readonly Draft[]; why: string }

/** The outside of the machine: this device's store, the server, the clock. */
export interface Ports {
  device: {
    waiting(at: Where): Promise<readonly Waits[]>
    drop(at: Where, ids: readonly string[]): Promise<void>
    giveBack(at: Where, drafts: readonly Draft[], why: string): Promise<void>
    clear(id: string): Promise<void>
    keepPart(
      at: Where,
      part: { from: number; events: Lines['lines'][number]['event'][]; head: Head },
    ): Promise<void>
    keepPack(at: Where, pack: Pack): Promise<void>
    forgetLog(at: Where): Promise<void>
  }
  server: {
    read(at: Where, from: Head): Promise<Lines>
    /** The log as it was packed; null where it never was. */
    pack(at: Where): Promise<Pack | null>
    send(at: Where, batch: readonly Waits[]): Promise<void>
    /** What an answer that was thrown comes to. */
    failure(e: unknown, batch: readonly Waits[]): Failure
  }
  clock(): ClockFacts
}

/** Does one thing the machine asks for; what comes of a request is told to it. */
function performer(ports: Ports, tell: (h: Happened) => void) {
  /** A request under way, and its end told. */
  async function request(turn: number, batch: readonly Waits[], ask: () => Promise<Happened>): Promise<void> {
    try {
      tell(await ask())
    } catch (error) {
      tell({ ...ports.server.failure(error, batch), turn })
    }
  }
  return async (todo: Todo, where: Where): Promise<void> => {
    switch (todo.do) {
      case 'read': {
        const { turn, from } = todo
        return request(turn, [], async () => {
          const pack = todo.packed ? await ports.server.pack(where) : null
          return pack
            ? { what: 'unpacked', turn, pack }
            : { what: 'read', turn, from, answer: await ports.server.read(where, from) }
        })
      }
      case 'send': {
        const { turn, batch } = todo
        return request(turn, batch, async () => {
          await ports.server.send(where, batch)
          return { what: 'taken', turn, ids: batch.map((w) => w.draft.id) }
        })
      }
      case 'drop':
        return ports.device.drop(where, todo.ids)
      case 'give-back':
        return ports.device.giveBack(where, todo.drafts, todo.why)
      case 'clear':
        return ports.device.clear(todo.id)
      case 'keep-part':
        return ports.device.keepPart(where, { from: todo.from, events: [...todo.events], head: todo.head })
      case 'keep-pack':
        return ports.device.keepPack(where, todo.pack)
      case 'forget-log':
        return ports.device.forgetLog(where)
    }
  }
}

/** Does what the machine asks for, and tells it what came of it. */
export function createEngine(ports: Ports, changed: (sync: Sync, by: Happened) => void) {
  let sync = CLOSED
  let at: Where | null = null
  let idle: (() => void)[] = []
  const perform = performer(ports, tell)

  function tell(happened: Happened): void {
    const after = next(sync, happened, ports.clock())
    sync = after.sync
    changed(sync, happened)
    if (at) for (const todo of after.todo) void perform(todo, at)
    if (sync.busy) return
    const waiters = idle
    idle = []
    for (const done of waiters) done()
  }
  /** Done with all that is under way. */
  const settled = (): Promise<void> =>
    sync.busy ? new Promise((done) => idle.push(done)) : Promise.resolve()

  return {
    open(
      where: Where,
      had: {
        known: Sync['known']
        columns?: Columns
        head: Head
        waiting: readonly Waits[]
        returned: readonly Returned[]
      },
    ): void {
      at = where
      tell({ what: 'opened', ...had })
    },
    close(): void {
      tell({ what: 'closed' })
      at = null
    },
    lacks: (): void => tell({ what: 'lacks' }),
    wrote: (entries: readonly Waits[]): void => tell({ what: 'wrote', entries }),
    putAway: (id: string): void => tell({ what: 'put-away', id }),
    /** Reads what is new, and sends what waits: of this tab, and of others on this device. */
    async ask(): Promise<void> {
      const [where, turn] = [at, sync.turn]
      if (!where) return
      tell({ what: 'found', turn, waiting: await ports.device.waiting(where) })
      tell({ what: 'asked' })
      await settled()
    },
    settled,
  }
}
