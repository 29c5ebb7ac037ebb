import { foldJob, glanceOf, knownThen } from '../src/index.js'
import { T0, joint, lineJob, walls } from './make-job.js'

it('is the job as it stood at that entry; what came later about before is counted apart', () => {
  const log = lineJob(1)
  walls(log, T0 - 3600, Array<number>(20).fill(20))
  const step = log.step(joint(1), 'fit', T0)
  log.put('signed', { what: 'job', refId: 'j', statement: 'handed over' }, { atS: T0 + 600 })
  const cut = log.events.length
  // A phone that was dark, a night that was colder, a step that was none; and work that goes on.
  log.step(joint(2), 'fit', T0 + 60)
  walls(log, T0 - 3600, [4, 4])
  log.put('correction', { target: step, undo: true, reason: 'wrong joint' }, { atS: T0 + 900 })
  log.step(joint(1), 'fit', T0 + 1000)
  const then = knownThen(log.events.slice(0, cut), log.events.slice(cut))
  expect(then).toMatchObject({
    entries: cut,
    atS: T0 + 600,
    since: log.events.length - cut,
    later: { readings: 4, steps: 1, corrections: 1, others: 0 },
  })
  expect(then.glance).toEqual(glanceOf(foldJob(log.events.slice(0, cut)), T0 + 600))
  expect(then.glance.begun.map(({ jointId }) => jointId)).toEqual([joint(1)])
  // A correction of what came later is none of before.
  const last = log.events.at(-1)
  log.put('correction', { target: last?.id, undo: true, reason: '' }, { atS: T0 + 1100 })
  expect(knownThen(log.events.slice(0, cut), log.events.slice(cut)).later.corrections).toBe(1)
})
