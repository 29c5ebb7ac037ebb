import fc from 'fast-check'
import {
  type JobEvent,
  type JobState,
  type Packed,
  foldFrom,
  foldJob,
  foldOn,
  packLog,
  unpackEntries,
} from '../src/index.js'
import { packEntries } from '../src/log/entry-columns.js'
import { anyEvents, logOf, plain } from './any-log.js'
import { Log, PLACE, T0, lineJob, uuid } from './make-job.js'

const HEAD = { seq: 7, hash: 'ab' }
/** A packed log as it arrives: through text. */
const sent = (packed: Packed): Packed => JSON.parse(JSON.stringify(packed)) as Packed
const folded = (packed: Packed) => foldFrom(unpackEntries(packed.entries), packed)
/** A reading in a column has lost the id of its entry. */
const bare = (state: JobState): string => plain(state).replaceAll(/,"eventId":"[^"]*"/g, '')

/** A probe: read in one place every so often, its clock some milliseconds out, sometimes heard late. */
const anyProbe = fc.array(
  fc.record({
    everyMs: fc.integer({ min: 1, max: 4_000_000 }),
    lateMs: fc.integer({ min: -400_000, max: 9_000_000 }),
    clockMs: fc.integer({ min: -5000, max: 5000 }),
    what: fc.constantFrom('wall', 'air', 'humidity'),
    value: fc.oneof(
      { weight: 80, arbitrary: fc.integer({ min: -300, max: 999 }).map((tenths) => tenths / 10) },
      { weight: 1, arbitrary: fc.double({ noNaN: true }) },
    ),
    place: fc.constantFrom(PLACE, uuid(7)),
  }),
  { minLength: 1, maxLength: 60 },
)
type Probe = typeof anyProbe extends fc.Arbitrary<infer T> ? T : never
function probed(raw: Probe, log: Log): JobEvent[] {
  let atMs = T0 * 1000 - 9_000_000_000
  return raw.map(({ everyMs, lateMs, clockMs, what, value, place }, i) => {
    atMs += everyMs
    const data = { placeId: place, what, basis: 'measured', value, atS: (atMs + clockMs) / 1000 }
    log.put('reading', data, { atS: (atMs + lateMs + clockMs) / 1000, who: 4, id: uuid(50_000 + i) })
    const event = log.events.pop() as JobEvent
    return { ...event, occurredAtS: (atMs + lateMs) / 1000 }
  })
}

describe('entries in columns', () => {
  it('a property: every entry comes back as it was', () =>
    fc.assert(
      fc.property(anyEvents, fc.array(fc.double({ noNaN: true, min: 0, max: 2e9 })), (raw, odd) => {
        const events = logOf(raw).map((event, i) => ({
          ...event,
          // Some as nobody writes them: times that are no milliseconds, ids that are none, a field more.
          ...(odd[i] === undefined ? {} : i % 2 ? { occurredAtS: odd[i] } : { id: `${odd[i]}`, more: 1 }),
        }))
        expect(unpackEntries(JSON.parse(JSON.stringify(packEntries(events))) as never)).toEqual(
          JSON.parse(JSON.stringify(events)),
        )
      }),
      { numRuns: 200 },
    ))
  it('none is none', () => expect(unpackEntries(packEntries([]))).toEqual([]))
})

describe('a packed log', () => {
  it('a property: it folds to what its log folds to, and goes on as that does', () => {
    let inColumns = 0
    fc.assert(
      fc.property(anyEvents, anyProbe, (raw, probe) => {
        const log = lineJob(1)
        const events = [
          ...logOf(raw.map((r) => ({ ...r, after: r.after.slice(0, 1) }))),
          ...probed(probe, log),
        ]
        const packed = sent(packLog(events, HEAD))
        for (const { values } of packed.columns) inColumns += values.length
        const one = folded(packed)
        const other = foldFrom(events)
        expect(one.lacks).toBe(false)
        expect(bare(one.state)).toBe(bare(other.state))
        expect(one.latestS).toBe(other.latestS)
        const more = lineJob(1)
        more.events.length = 0
        const wall = { placeId: PLACE, what: 'wall', basis: 'typed', atS: T0, value: 3 }
        more.put('reading', wall, { atS: T0 + 500_000, id: uuid(99_999) })
        const next = foldOn(one, more.events)
        expect(next && bare(next.state)).toBe(bare(foldJob([...events, ...more.events])))
      }),
      { numRuns: 200 },
    )
    expect(inColumns).toBeGreaterThan(500)
  })

  const yearOf = (count: number): JobEvent[] => {
    const log = lineJob(1)
    for (let i = 0; i < count; i++) {
      const atS = T0 - (count - i) * 900
      log.put(
        'reading',
        {
          placeId: PLACE,
          what: 'wall',
          basis: 'measured',
          atS,
          value: Math.round(120 + 40 * Math.sin(i)) / 10,
        },
        { atS: atS + 1, who: 3 },
      )
    }
    return log.events
  }
  it('its columns say to whoever adds them up what was read, and when', () => {
    // Decoded by what is written of the form, not by our own code.
    const events = yearOf(1000)
    const [column, ...others] = sent(packLog(events, HEAD)).columns
    expect(others).toEqual([])
    let [ms, value] = [0, 0]
    const read = (column?.saidMs ?? []).map((step, i) => {
      ms += step
      value += column?.values[i] ?? 0
      return { atS: ms / 1000, value: value / (column?.parts ?? 1) }
    })
    const said = events
      .filter(({ kind }) => kind === 'reading')
      .map(({ data }) => ({ atS: data.atS, value: data.value }))
    // The last two days stand entry by entry.
    expect(read).toEqual(said.slice(0, read.length))
    expect(said.length - read.length).toBe(193)
  })
  it('what was taken back stands entry by entry; what is taken back later is not in it, and that is said', () => {
    const events = yearOf(1000)
    const old = events.find(({ kind }) => kind === 'reading') as JobEvent
    const log = lineJob(1)
    log.events.length = 0
    log.put('correction', { target: old.id, undo: true }, { atS: T0 + 10, id: uuid(99_999) })
    const all = [...events, ...log.events]
    const before = packLog(events, HEAD)
    expect(foldOn(folded(before), log.events)).toBeNull()
    const lacking = foldFrom([...unpackEntries(before.entries), ...log.events], before)
    expect(lacking.lacks).toBe(true)
    const after = folded(packLog(all, HEAD))
    expect(after.lacks).toBe(false)
    expect(bare(after.state)).toBe(bare(foldJob(all)))
  })
})
