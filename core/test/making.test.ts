import { type JobEvent, factsOn, foldJob, makingOf } from '../src/index.js'
import { type Log, T0, joint, lineJob, uuid } from './make-job.js'

const DAY_S = 86_400
/** Six joints: right; short, cut out and right; judged failed; came out with another; made and not judged; not made. */
function job(): Log {
  const log = lineJob(3)
  log.make(joint(1), T0)
  log.make(joint(2), T0 + 600)
  log.put('cut-out', { life: 1, reason: '4 mm short' }, { jointId: joint(2), atS: T0 + 2000, who: 2 })
  log.make(joint(2), T0 + DAY_S, 2)
  log.make(joint(3), T0 + 1200, 1, 62)
  log.make(joint(4), T0 + 1800)
  log.put(
    'cut-out',
    { life: 1, reason: 'Came out with Q-2', outWith: joint(2) },
    { jointId: joint(4), atS: T0 + 2000 },
  )
  for (const [step, atS] of [
    ['fit', 2400],
    ['cement', 2460],
    ['home', 2500],
  ] as const)
    log.step(joint(5), step, T0 + atS, {}, 1, 2)
  return log
}
const made = (entries: readonly JobEvent[], only?: string) =>
  makingOf(entries, factsOn(null, foldJob(entries), 'coldest', T0 + 3 * DAY_S).all.values(), 'UTC', only)

it('counts what was right the first time, of what was judged', () => {
  const { all, byMethod, causes, days } = made(job().events)
  // Made: 1, 2, 2 again, 3, 4, 5. Judged: 1 (right), 2 and 3 (wrong).
  expect(all).toEqual({ of: '', made: 6, judged: 3, right: 1 })
  expect(byMethod).toEqual([{ of: 'solvent-cement', made: 6, judged: 3, right: 1 }])
  expect(causes).toEqual([{ says: '4 mm short', times: 1 }])
  expect(days).toEqual([
    { on: '2026-09-21', made: 5, again: 0 },
    { on: '2026-09-22', made: 1, again: 1 },
  ])
})
it('tells it by whoever brought the joint home, or of one alone', () => {
  const [one, two] = [uuid(800_001), uuid(800_002)]
  expect(made(job().events).byPerson.map(({ of, made: times }) => [of, times])).toEqual([
    [one, 5],
    [two, 1],
  ])
  expect(made(job().events, two)).toMatchObject({ all: { made: 1, judged: 0, right: 0 }, causes: [] })
})
it('a cutting out that was taken back is none', () => {
  const log = job()
  const out = log.events.find(({ kind }) => kind === 'cut-out')?.id
  // Before it was made anew.
  const before = log.events.filter(({ occurredAtS }) => occurredAtS < T0 + DAY_S)
  log.put('correction', { target: out, undo: true }, { atS: T0 + 2100 })
  const taken = [...before, ...log.events.slice(-1)]
  expect(made(before).causes).toHaveLength(1)
  expect(made(taken).causes).toEqual([])
  expect(made(taken).all).toMatchObject({ judged: 3, right: 2 })
})
