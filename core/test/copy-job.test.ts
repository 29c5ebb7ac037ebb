import fc from 'fast-check'
import {
  DONE_KINDS,
  KINDS,
  SET_OUT_KINDS,
  type JobEvent,
  draftFault,
  foldJob,
  setOutAnew,
  standingEvents,
} from '../src/index.js'
import { JOB, Log, T0, joint, lineJob, uuid, walls } from './make-job.js'

let fresh = 5_000_000
const newId = (): string => uuid(fresh++)
/** The copy of a log, as a log of its own. */
function copyOf(log: readonly JobEvent[], measures = true): JobEvent[] {
  const copy = new Log()
  for (const { kind, data } of setOutAnew(standingEvents(log), { name: 'Once more', measures, newId }))
    copy.put(kind, data as Record<string, unknown>)
  return copy.events
}
const setOut = (events: readonly JobEvent[]) => {
  const { lines, sections, takeOffs, places } = foldJob(events)
  return {
    places: [...places.values()],
    takeOffs: [...takeOffs].map(([key, { takeOffMm }]) => [key, takeOffMm]),
    lines: [...lines.values()].map(({ tag, material, items }) => ({
      tag,
      material,
      items: items.map(({ tag, size, fitting, measuredMm, jointTags }) => ({
        tag,
        size,
        fitting,
        measuredMm,
        jointTags,
      })),
    })),
    sections: [...sections.values()].map(({ tag, testBar, jointIds }) => [tag, testBar, jointIds.length]),
  }
}

describe('a job begun like another one', () => {
  it('every kind of entry either comes along or stays', () => {
    const both = [...SET_OUT_KINDS].filter((kind) => DONE_KINDS.has(kind))
    const neither = Object.keys(KINDS).filter((kind) => !SET_OUT_KINDS.has(kind) && !DONE_KINDS.has(kind))
    const unknown = [...SET_OUT_KINDS, ...DONE_KINDS].filter((kind) => !Object.hasOwn(KINDS, kind))
    expect({ both, neither, unknown }).toEqual({ both: [], neither: [], unknown: [] })
  })
  it('has all that is set out, under ids of its own, and nothing that was done', () => {
    const log = lineJob(2)
    log.put('take-off', { fitting: 'tee', size: 'd63', takeOffMm: 40, takeOffTo: 'face' })
    log.put('job-set', {
      name: 'J',
      zone: 'Europe/Vienna',
      school: 'metric',
      table: 'current',
      checkOffsetMm: 60,
      customer: 'The harbour board',
    })
    walls(log, T0 - 3600, [14, 14])
    log.make(joint(1), T0)
    log.put('tool-set', { toolId: uuid(700), kind: 'press-tool', name: 'PT-1', matches: {} })
    const copy = copyOf(log.events)
    expect(setOut(copy)).toEqual(setOut(log.events))
    const { job, joints, store, readings } = foldJob(copy)
    expect(job).toEqual({
      name: 'Once more',
      zone: 'Europe/Vienna',
      school: 'metric',
      table: 'current',
      checkOffsetMm: 60,
    })
    expect([[...joints.values()].flatMap(({ lives }) => lives), store.size, readings.size]).toEqual([
      [],
      0,
      0,
    ])
    const ids = (events: readonly JobEvent[]): string[] =>
      JSON.stringify(events.map(({ data }) => data)).match(/[0-9a-f]{8}-[0-9a-f-]{27}/g) ?? []
    const old = new Set(ids(log.events))
    expect(ids(copy).filter((id) => old.has(id) || id === JOB)).toEqual([])
    for (const event of copy) expect([event.kind, draftFault(event, '')]).toEqual([event.kind, null])
  })
  it('without its measures: the pieces are there, and nobody has measured them', () => {
    const pieces = setOut(copyOf(lineJob(1).events, false)).lines[0]?.items.map(
      ({ measuredMm }) => measuredMm,
    )
    expect(pieces).toEqual([null, null, null])
  })
  it('a changed line is as it was changed; what was taken back does not come along', () => {
    const log = lineJob(1)
    const line = log.events.find(({ kind }) => kind === 'line-set')?.data
    log.make(joint(1), T0)
    log.put('line-changed', { ...line, material: 'abs' })
    const wrong = log.put('take-off', { fitting: 'tee', size: 'd63', takeOffMm: 4, takeOffTo: 'face' })
    log.put('correction', { target: wrong, undo: true, reason: 'slip' })
    const state = foldJob(copyOf(log.events))
    const [copied] = state.lines.values()
    expect([copied?.material, copied?.before, state.takeOffs.size]).toEqual(['abs', undefined, 0])
  })
  it('a property: a copy of a copy is set out alike, whatever was taken back', () => {
    const undone = fc.uniqueArray(fc.integer({ min: 4, max: 12 }), { maxLength: 4 })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5 }), undone, (pieces, back) => {
        const log = lineJob(pieces)
        for (const n of back) {
          const target = log.events[n]?.id
          if (target) log.put('correction', { target, undo: true, reason: 'slip' })
        }
        const copy = copyOf(log.events)
        expect(setOut(copy)).toEqual(setOut(log.events))
        expect(setOut(copyOf(copy))).toEqual(setOut(copy))
      }),
      { numRuns: 50 },
    )
  })
})
describe('a job that is closed', () => {
  it('says so until it is opened again, whatever it is called meanwhile', () => {
    const log = lineJob(1)
    const closed = log.put('job-closed', { closed: true }, { atS: T0 })
    log.put('job-set', { name: 'K', zone: 'UTC', school: 'metric' }, { atS: T0 + 1 })
    expect(foldJob(log.events).job.closed?.atS).toBe(T0)
    const opened = log.put('job-closed', { closed: false }, { atS: T0 + 2 })
    expect(foldJob(log.events).job.closed).toBeUndefined()
    log.put('correction', { target: opened, undo: true, reason: 'slip' }, { atS: T0 + 3 })
    expect(foldJob(log.events).job.closed?.atS).toBe(T0)
    log.put('correction', { target: closed, undo: true, reason: 'slip' }, { atS: T0 + 4 })
    expect(foldJob(log.events).job.closed).toBeUndefined()
  })
})
