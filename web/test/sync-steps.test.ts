import { type Draft, NO_COLUMNS } from '@jugalis/core'
import { type ClockFacts, batchOf, mustHearFirst } from '../src/sync/batch'
import { CLOSED, type Lines, type Pack, type Sync, type Waits, next } from '../src/sync/machine'
import type { Heard, Moment } from '../src/sync/placing'
import { hashOf } from './sync-world'

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
    expect(opened.todo).toEqual([{ do: 'read', turn: 1, from: { seq: 0, hash: null }, packed: true }])
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
      { do: 'read', from: { seq: 0 }, packed: false },
    ])
  })
  const head = { seq: 5, hash: hashOf(5) }
  const pack = (columns: Pack['packed'] = NO_COLUMNS): Pack => ({
    packed: columns,
    events: [{ id: 'e1' }, { id: 'e3' }] as unknown as Pack['events'],
    head,
    text: '{}',
  })
  const column = {
    placeId: 'p',
    what: 'wall',
    parts: 1,
    saidMs: [1],
    laterMs: [0],
    behindMs: [0],
    values: [1],
  } as const
  const inColumns = { columns: [column], latestS: 1, nowhere: [] }
  it('what was packed is the beginning of the log: it is kept as it came, and what is new is read after it', () => {
    const { sync } = next(opened.sync, { what: 'wrote', entries: [waits(1), waits(2)] }, CLOCK)
    const { sync: after, todo } = next(sync, { what: 'unpacked', turn: 1, pack: pack() }, CLOCK)
    expect(todo).toMatchObject([
      { do: 'keep-pack', pack: { text: '{}' } },
      { do: 'drop', ids: ['e1'] },
      { do: 'read', from: head, packed: false },
    ])
    expect(after.waiting.map((w) => w.draft.id)).toEqual(['e2'])
    expect(after.answered).toBe(false)
  })
  it('a pack of another log than the server\u2019s is not asked for twice', () => {
    const { sync } = next(opened.sync, { what: 'unpacked', turn: 1, pack: pack() }, CLOCK)
    expect(readBack(sync, { ...nothing(5), hashAfter: 'other' }).todo).toMatchObject([
      { do: 'forget-log' },
      { do: 'read', from: { seq: 0 }, packed: false },
    ])
  })
  it('where columns do not tell what is needed, the log is read entry by entry, and what was under way is not listened to', () => {
    const { sync } = next(opened.sync, { what: 'unpacked', turn: 1, pack: pack(inColumns) }, CLOCK)
    const lacking = next(sync, { what: 'lacks' }, CLOCK)
    expect(lacking.todo).toMatchObject([
      { do: 'forget-log' },
      { do: 'read', from: { seq: 0 }, packed: false },
    ])
    expect(lacking.sync.columns).toBe(NO_COLUMNS)
    const late = next(lacking.sync, { what: 'read', turn: 1, from: head, answer: nothing(5) }, CLOCK)
    expect(late.sync).toBe(lacking.sync)
  })
  it('an entry that was taken and is in no line that was read may stand in a column: the log is read anew', () => {
    const { sync } = next(opened.sync, { what: 'unpacked', turn: 1, pack: pack(inColumns) }, CLOCK)
    const read = readBack(sync, nothing(5))
    const wrote = next(read.sync, { what: 'wrote', entries: [waits(2)] }, CLOCK)
    const taken = next(wrote.sync, { what: 'taken', turn: 1, ids: ['e2'] }, CLOCK)
    expect(readBack(taken.sync, nothing(5)).todo).toMatchObject([
      { do: 'forget-log' },
      { do: 'read', from: { seq: 0 }, packed: false },
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
