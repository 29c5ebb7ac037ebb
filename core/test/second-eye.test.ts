import { foldJob, wantsLook } from '../src/index.js'
import { joint, T0, uuid } from './make-job.js'
import { H, codes, ready } from './proving-job.js'

/** An apprentice's joint wants the eye of somebody else before it is tested. */
const LEAD = 1
const LEARNER = 3
const person = (who: number): string => uuid(800_000 + who)
const roleOf = (log: ReturnType<typeof ready>, who: number, role: string, atS: number) =>
  log.put('role-given', { personId: person(who), role }, { atS, who: LEAD })
function learnt() {
  const log = ready()
  roleOf(log, LEARNER, 'apprentice', T0 + H)
  log.put('cut-out', { life: 1 }, { atS: T0 + 2 * H, jointId: joint(1) })
  for (const [i, step] of ['fit', 'cement', 'home', 'judge'].entries())
    log.step(
      joint(1),
      step,
      T0 + 2 * H + 60 * (i + 1),
      step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {},
      2,
      LEARNER,
    )
  return log
}
const look = (log: ReturnType<typeof ready>, who: number, found: string, atH: number, more: object = {}) =>
  log.put('looked-over', { life: 2, found, ...more }, { atS: T0 + atH * H, jointId: joint(1), who })
const lifeOf = (log: ReturnType<typeof ready>) => foldJob(log.events).joints.get(joint(1))?.lives[1] ?? null

it('no test before somebody else found it good; what was found wrong is looked at again', () => {
  const log = learnt()
  const stops = () => codes(log, 9, 'water', 60).filter((code) => code === 'stop-not-looked-over')
  expect(codes(ready(), 9, 'water', 60)).toEqual([])
  expect(stops()).toHaveLength(1)
  look(log, LEARNER, 'good', 3)
  expect(stops()).toHaveLength(1)
  look(log, 2, 'wrong', 4, { note: 'dry at the bottom' })
  expect(lifeOf(log)?.looks).toEqual([
    { by: person(2), atS: T0 + 4 * H, found: 'wrong', note: 'dry at the bottom' },
  ])
  expect(stops()).toHaveLength(1)
  const good = look(log, 2, 'good', 5)
  expect(stops()).toEqual([])
  log.put('correction', { target: good, undo: true }, { atS: T0 + 6 * H, who: 2 })
  expect(stops()).toHaveLength(1)
})
it('another apprentice is no second eye, and a look at a life that was never begun is noted', () => {
  const log = learnt()
  roleOf(log, 4, 'apprentice', T0 + H)
  look(log, 4, 'good', 3)
  expect(wantsLook(lifeOf(log))).toBe(true)
  log.put('looked-over', { life: 7, found: 'good' }, { atS: T0 + 4 * H, jointId: joint(1), who: 2 })
  expect(foldJob(log.events).notes.map(({ says }) => says.code)).toContain('flag-unknown-life')
})
it('what somebody is counts from when it was said: joints made as a fitter stay a fitter’s', () => {
  const log = ready()
  roleOf(log, 1, 'apprentice', T0 + 3 * H)
  expect(wantsLook(foldJob(log.events).joints.get(joint(1))?.lives[0] ?? null)).toBe(false)
})
