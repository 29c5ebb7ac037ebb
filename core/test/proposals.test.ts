import { foldJob, notAllowed, proposalsOf } from '../src/index.js'
import { type Log, T0, joint, lineJob, uuid } from './make-job.js'

/** A step of one person, and what another says of it. */
function job(undo = true): { log: Log; target: string; proposal: string } {
  const log = lineJob(1)
  const target = log.step(joint(1), 'fit', T0)
  const more = undo ? {} : { atS: T0 - 300 }
  const proposal = log.put(
    'correction-proposed',
    { target, undo, ...more, reason: 'that was Q-2' },
    { atS: T0 + 60, who: 2 },
  )
  return { log, target, proposal }
}
const steps = (log: Log): number => foldJob(log.events).joints.get(joint(1))?.lives[0]?.done.length ?? 0

describe('a correction that is proposed', () => {
  it('changes nothing until it is accepted by the correction itself', () => {
    const { log, target, proposal } = job()
    expect(proposalsOf(log.events)).toMatchObject([
      { id: proposal, undo: true, toS: null, reason: 'that was Q-2', answer: null },
    ])
    expect(steps(log)).toBe(1)
    log.put('correction', { target, undo: true, proposalId: proposal }, { atS: T0 + 120 })
    expect(steps(log)).toBe(0)
    expect(proposalsOf(log.events)[0]?.answer).toMatchObject({ accepted: true, atS: T0 + 120 })
  })
  it('is not accepted by a correction of something else that names it', () => {
    const { log, proposal } = job()
    const other = log.step(joint(2), 'fit', T0 + 30)
    log.put('correction', { target: other, undo: true, proposalId: proposal }, { atS: T0 + 120 })
    expect(proposalsOf(log.events)[0]?.answer).toBeNull()
  })
  it('is declined with a word, and the entry stands', () => {
    const { log, proposal } = job(false)
    expect(proposalsOf(log.events)[0]).toMatchObject({ undo: false, toS: T0 - 300 })
    log.put('proposal-declined', { proposalId: proposal, note: 'I looked' }, { atS: T0 + 90 })
    expect(proposalsOf(log.events)[0]?.answer).toMatchObject({ accepted: false, note: 'I looked' })
    expect(steps(log)).toBe(1)
  })
  it('that is withdrawn is gone, and one that speaks of nothing is none', () => {
    const { log, proposal } = job()
    log.put('correction', { target: proposal, undo: true }, { atS: T0 + 70, who: 2 })
    log.put('correction-proposed', { target: uuid(9999), undo: true, reason: 'x' }, { atS: T0 + 80 })
    expect(proposalsOf(log.events)).toEqual([])
  })
})

describe('who answers one', () => {
  const ENTRIES = {
    step: { kind: 'step-done', data: {}, by: 'wren' },
    verdict: { kind: 'test-ended', data: {}, by: 'wren' },
    proposal: { kind: 'correction-proposed', data: { target: 'step' }, by: 'teal' },
  }
  const ROLES: Record<string, string> = {
    wren: 'fitter',
    teal: 'apprentice',
    rook: 'charge-hand',
    plover: 'fitter',
  }
  const log = {
    entry: (id: string) => ENTRIES[id as keyof typeof ENTRIES],
    test: () => null,
    role: (id: string) => ROLES[id] ?? '',
  }
  const asks = (who: string, kind: string, data: object) =>
    notAllowed(
      { kind, data: data as Record<string, unknown> },
      { personId: who, role: ROLES[who] ?? '' },
      log,
    )
  it.each([
    ['wren', null],
    ['rook', null],
    ['teal', null],
    ['plover', 'not-yours'],
  ])('%s declines: %p', (who, why) => {
    expect(asks(who, 'proposal-declined', { proposalId: 'proposal' })).toBe(why)
  })
  it('a verdict is not even proposed to be otherwise; what is proposed says why', () => {
    expect(asks('teal', 'correction-proposed', { target: 'verdict', undo: true, reason: 'x' })).toBe('sealed')
    expect(asks('teal', 'correction-proposed', { target: 'step', undo: true, reason: ' ' })).toBe('say-why')
    expect(asks('teal', 'correction-proposed', { target: 'step', undo: true, reason: 'x' })).toBeNull()
  })
})
