import { type Columns, type Draft, type JobEvent, NO_COLUMNS } from '@jugalis/core'
import { type ClockFacts, batchOf, mustHearFirst } from './batch'
import type { Heard, Moment } from './placing'

/*
 * The way of an entry: written, kept on this device, sent, read back from the log; or refused, and then given back to
 * whoever wrote it. This file is the whole of it, without a clock, a store or a network: what happened goes in, and what
 * is to be done next comes out. `engine.ts` does it and tells what came of it.
 */

/** When an entry was made by this device's two clocks, and when the server was last heard before that. */
export interface Made {
  at: Moment
  before: Heard | null
}
/** An entry that waits on this device. Entries kept before times were stamped have no `made`. */
export interface Waits {
  draft: Draft
  made?: Made
}
export interface Returned {
  id: string
  draft: Draft
  why: string
}
/** The line at the head of the log, as far as it was read. */
export interface Head {
  seq: number
  hash: string | null
}
export interface Sync {
  /** Counts openings: an answer to what an earlier one asked is not listened to. */
  turn: number
  open: boolean
  known: readonly JobEvent[]
  /** What else is known of the log: old readings in columns. */
  columns: Columns
  /** Only the log entry by entry serves: columns did not tell what was needed. */
  whole: boolean
  head: Head
  /** Kept here and not read back yet, in this device's order. */
  waiting: readonly Waits[]
  /** Of those, what the server has taken. It stays here until it was read back. */
  taken: ReadonlySet<string>
  returned: readonly Returned[]
  /** One request at a time. */
  busy: 'reading' | 'sending' | null
  /** Somebody asked for what is new. */
  wanted: boolean
  /** The last request came to nothing: nothing is sent before somebody asks again. */
  held: boolean
  /** There is no signal. */
  offline: boolean
  /** The server has answered a reading since it was opened. */
  answered: boolean
  /** It is not this person's job, or none at all. */
  missing: boolean
}
export const CLOSED: Sync = {
  turn: 0,
  open: false,
  known: [],
  columns: NO_COLUMNS,
  whole: false,
  head: { seq: 0, hash: null },
  waiting: [],
  taken: new Set(),
  returned: [],
  busy: null,
  wanted: false,
  held: false,
  offline: false,
  answered: false,
  missing: false,
}

/** What the server answers when it is asked for the lines after one. */
export interface Lines {
  head: number
  /** Hash of the line asked from, by the server's own log. */
  hashAfter: string | null
  hashHead: string | null
  lines: readonly { seq: number; event: JobEvent }[]
}
/** A log from its beginning up to a line, as it was packed; there may be more behind it. */
export interface Pack {
  packed: Columns
  events: readonly JobEvent[]
  head: Head
  /** As it came: it is kept so. */
  text: string
}
export type Happened =
  | {
      what: 'opened'
      known: readonly JobEvent[]
      columns?: Columns
      head: Head
      waiting: readonly Waits[]
      returned: readonly Returned[]
    }
  | { what: 'closed' }
  /** Written, and kept here. */
  | { what: 'wrote'; entries: readonly Waits[] }
  /** Found on this device: another tab may have written too. */
  | { what: 'found'; turn: number; waiting: readonly Waits[] }
  /** A timer, a hint that the log has grown, signal, a signing in, a clock that was set. */
  | { what: 'asked' }
  | { what: 'read'; turn: number; from: Head; answer: Lines }
  | { what: 'unpacked'; turn: number; pack: Pack }
  /** What is known does not tell something that an entry speaks of. */
  | { what: 'lacks' }
  | { what: 'taken'; turn: number; ids: readonly string[] }
  | { what: 'refused'; turn: number; drafts: readonly Draft[]; why: string }
  /** No answer, or one that says nothing of what was asked. */
  | { what: 'failed'; turn: number; why: 'no-signal' | 'not-mine' | 'trouble' }
  | { what: 'put-away'; id: string }
export type Todo =
  /** Where nothing is known and it need not be entry by entry, a log may come packed. */
  | { do: 'read'; turn: number; from: Head; packed: boolean }
  | { do: 'send'; turn: number; batch: readonly Waits[] }
  /** Read back: this device need not keep them any longer. */
  | { do: 'drop'; ids: readonly string[] }
  | { do: 'give-back'; drafts: readonly Draft[]; why: string }
  | { do: 'clear'; id: string }
  | { do: 'keep-part'; from: number; events: readonly JobEvent[]; head: Head }
  | { do: 'keep-pack'; pack: Pack }
  /** The log that was kept here is another than the server's. */
  | { do: 'forget-log' }
export interface Next {
  sync: Sync
  todo: readonly Todo[]
}

const bySeq = (a: Waits, b: Waits): number => a.draft.deviceSeq - b.draft.deviceSeq
/** Adds entries that are neither here yet, nor in the log, nor given back. */
function merged(sync: Sync, more: readonly Waits[]): readonly Waits[] {
  const here = new Set([...sync.waiting.map((w) => w.draft.id), ...sync.returned.map((r) => r.id)])
  const fresh = more.filter((w) => !here.has(w.draft.id))
  if (!fresh.length) return sync.waiting
  const known = new Set(sync.known.map((e) => e.id))
  return [...sync.waiting, ...fresh.filter((w) => !known.has(w.draft.id))].sort(bySeq)
}

/** Reads the log anew, entry by entry: what was packed told of another one, or too little. */
const fromBeginning = (sync: Sync): Next => ({
  sync: {
    ...sync,
    known: [],
    columns: NO_COLUMNS,
    head: { seq: 0, hash: null },
    whole: true,
    wanted: true,
  },
  todo: [{ do: 'forget-log' }],
})
/** What was packed is the beginning of the log: what was written since is read after it. */
function afterUnpacking(sync: Sync, pack: Pack): Next {
  const ids = new Set(pack.events.map((e) => e.id))
  const back = sync.waiting.filter((w) => ids.has(w.draft.id))
  const { events: known, packed: columns, head } = pack
  const waiting = sync.waiting.filter((w) => !ids.has(w.draft.id))
  return {
    sync: { ...sync, busy: null, offline: false, held: false, known, columns, head, waiting, wanted: true },
    todo: [
      { do: 'keep-pack', pack },
      ...(back.length ? [{ do: 'drop', ids: back.map((w) => w.draft.id) } as const] : []),
    ],
  }
}

function afterReading(sync: Sync, from: Head, answer: Lines): Next {
  const heard: Sync = { ...sync, busy: null, offline: false, held: false, answered: true }
  if (answer.hashAfter !== from.hash)
    // Another log than the one kept here, such as a demo begun afresh: it is read from its beginning.
    return fromBeginning(heard)
  // One request at a time: what was read goes on from what is known.
  const events = answer.lines.map((l) => l.event)
  const head = { seq: answer.head, hash: answer.hashHead }
  const ids = new Set(events.map((e) => e.id))
  const back = sync.waiting.filter((w) => ids.has(w.draft.id))
  const first = answer.lines[0]
  const unread = [...sync.taken].some((id) => !ids.has(id))
  // It may stand in a column, where nothing has an id.
  if (unread && sync.columns.columns.length) return fromBeginning({ ...heard, taken: new Set() })
  return {
    sync: {
      ...heard,
      known: events.length ? [...sync.known, ...events] : sync.known,
      head,
      waiting: back.length ? sync.waiting.filter((w) => !ids.has(w.draft.id)) : sync.waiting,
      taken: new Set(),
      // What was taken and can't be read waits until somebody asks again, and is sent once more.
      held: unread,
    },
    todo: [
      ...(first ? [{ do: 'keep-part', from: first.seq, events, head } as const] : []),
      ...(back.length ? [{ do: 'drop', ids: back.map((w) => w.draft.id) } as const] : []),
    ],
  }
}

/** What follows from what happened, before anything new is begun. */
function came(sync: Sync, happened: Happened): Next {
  const nothing = (sync: Sync): Next => ({ sync, todo: [] })
  // An answer to another opening.
  if ('turn' in happened && happened.turn !== sync.turn) return nothing(sync)
  switch (happened.what) {
    case 'opened': {
      const { known, columns = NO_COLUMNS, head, waiting, returned } = happened
      const turn = sync.turn + 1
      const begun = { ...CLOSED, turn, open: true, known, columns, head, returned, wanted: true }
      return nothing({ ...begun, waiting: merged(begun, waiting) })
    }
    case 'closed':
      return nothing({ ...CLOSED, turn: sync.turn + 1 })
    case 'wrote':
      return nothing({ ...sync, waiting: merged(sync, happened.entries), held: false })
    case 'found':
      return nothing({ ...sync, waiting: merged(sync, happened.waiting) })
    case 'asked':
      return nothing({ ...sync, wanted: true, held: false })
    case 'read':
      return afterReading(sync, happened.from, happened.answer)
    case 'unpacked':
      return afterUnpacking(sync, happened.pack)
    case 'lacks':
      // What is under way belongs to what was known.
      return fromBeginning({ ...sync, turn: sync.turn + 1, busy: null, taken: new Set() })
    case 'taken':
      return nothing({
        ...sync,
        busy: null,
        offline: false,
        taken: new Set([...sync.taken, ...happened.ids]),
      })
    case 'refused': {
      const ids = new Set(happened.drafts.map((d) => d.id))
      const given = happened.drafts.map((draft): Returned => ({ id: draft.id, draft, why: happened.why }))
      return {
        sync: {
          ...sync,
          busy: null,
          offline: false,
          waiting: sync.waiting.filter((w) => !ids.has(w.draft.id)),
          returned: [...sync.returned.filter((r) => !ids.has(r.id)), ...given],
        },
        todo: [{ do: 'give-back', drafts: happened.drafts, why: happened.why }],
      }
    }
    case 'failed':
      return nothing({
        ...sync,
        busy: null,
        wanted: false,
        held: true,
        offline: happened.why === 'no-signal',
        // Work goes on with what was kept here; what is not this person's is shut.
        ...(happened.why === 'not-mine' && !sync.answered ? { open: false, missing: true } : {}),
      })
    case 'put-away': {
      const returned = sync.returned.filter((r) => r.id !== happened.id)
      return { sync: { ...sync, returned }, todo: [{ do: 'clear', id: happened.id }] }
    }
  }
}

/** What is to be asked of the server now. */
function begun(sync: Sync, happened: Happened, clock: ClockFacts): Next {
  const idle: Next = { sync: sync, todo: [] }
  if (!sync.open || sync.busy) return idle
  const read = (): Next => ({
    sync: { ...sync, busy: 'reading', wanted: false },
    todo: [{ do: 'read', turn: sync.turn, from: sync.head, packed: sync.head.seq === 0 && !sync.whole }],
  })
  // What was taken is read back before anything else is sent: only then is it let go of here.
  if (sync.wanted || (sync.taken.size && !sync.held)) return read()
  const unsent = sync.waiting.filter((w) => !sync.taken.has(w.draft.id))
  if (sync.held || !unsent.length) return idle
  // What can't be placed by what was known when it was made is placed by hearing the server first.
  if (mustHearFirst(unsent, clock))
    // Heard just now, and no wiser: it waits until somebody asks again.
    return happened.what === 'read' ? { sync: { ...sync, held: true }, todo: [] } : read()
  const batch = batchOf(unsent, clock)
  return { sync: { ...sync, busy: 'sending' }, todo: [{ do: 'send', turn: sync.turn, batch }] }
}

/**
 * One step of the way of all entries of a job.
 * @param sync where everything stands. @param happened what happened. @param clock what is known of the time now.
 * @returns where everything stands then, and what is to be done. At most one request is under way at any time.
 */
export function next(sync: Sync, happened: Happened, clock: ClockFacts): Next {
  const a = came(sync, happened)
  const b = begun(a.sync, happened, clock)
  return { sync: b.sync, todo: [...a.todo, ...b.todo] }
}
