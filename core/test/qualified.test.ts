import { foldJob, jointFacts, madeWithout, notAllowed, qualifiedFor } from '../src/index.js'
import { withPapers } from '../src/plan/job/crew.js'
import { type Log, T0, joint, lineJob, uuid } from './make-job.js'

const [ONE, TWO] = [uuid(800_001), uuid(800_002)]
const paper = (log: Log, no: number, data: object): string =>
  log.put(
    'qualified',
    { qualificationId: uuid(no), methods: ['solvent-cement'], ...data },
    { atS: T0 - 1000 },
  )
const missing = (log: Log) => {
  const state = foldJob(log.events)
  const facts = jointFacts(state, joint(1), 'coldest', T0 + 9000)
  if (!facts) throw new Error('no joint')
  return madeWithout(state, facts)
}

describe('who may make what, by their papers', () => {
  it('asks nothing while none is written down for a way of joining', () => {
    const log = lineJob(1)
    paper(log, 1, { personId: ONE, methods: ['press'] })
    log.make(joint(1), T0)
    expect(missing(log)).toEqual([])
    expect(qualifiedFor(foldJob(log.events), ONE, 'solvent-cement', '2026-09-21')).toEqual({ is: 'not-kept' })
  })
  it('goes by the day of the work: its last day counts, the next does not', () => {
    // T0 is 2026-09-21 in UTC.
    const until = (untilOn: string) => {
      const log = lineJob(1)
      paper(log, 1, { personId: ONE, untilOn })
      log.make(joint(1), T0)
      return missing(log)
    }
    expect(until('2026-09-21')).toEqual([])
    expect(until('2026-09-20')).toEqual([
      { personId: ONE, qualified: { is: 'ended', untilOn: '2026-09-20' } },
    ])
  })
  it('another’s paper is none of mine; the one that lasts longest counts; withdrawn it counts no more', () => {
    const log = lineJob(1)
    paper(log, 1, { personId: TWO })
    log.make(joint(1), T0)
    expect(missing(log)).toEqual([{ personId: ONE, qualified: { is: 'none' } }])
    paper(log, 2, { personId: ONE, untilOn: '2026-01-01' })
    paper(log, 3, { personId: ONE, untilOn: '2027-01-01' })
    expect(missing(log)).toEqual([])
    paper(log, 3, { personId: ONE, withdrawn: true })
    expect(missing(log)).toEqual([{ personId: ONE, qualified: { is: 'ended', untilOn: '2026-01-01' } }])
  })
  it('is written of oneself, and of others by who leads', () => {
    const asks = (who: string, role: string) =>
      notAllowed(
        { kind: 'qualified', data: { personId: ONE } },
        { personId: who, role },
        { entry: () => undefined, test: () => null, role: () => '' },
      )
    expect(asks(ONE, 'apprentice')).toBeNull()
    expect(asks(TWO, 'charge-hand')).toBeNull()
    expect(asks(TWO, 'fitter')).toBe('not-yours')
  })
})

describe('who a plan gives work to', () => {
  it('leaves each what papers leave them; of whom nobody wrote a paper stays as they are', () => {
    const log = lineJob(1)
    const hours = { days: [1, 2, 3, 4, 5], fromMin: 420, untilMin: 960 }
    const people = [ONE, TWO, uuid(77)].map((id) => ({ id, name: id.slice(-1), ...hours }))
    log.put('crew-set', { people }, { atS: T0 - 2000 })
    paper(log, 1, { personId: ONE })
    paper(log, 2, { personId: TWO, untilOn: '2026-01-01' })
    expect(withPapers(foldJob(log.events), T0).map(({ makes }) => makes)).toEqual([
      ['solvent-cement'],
      [],
      undefined,
    ])
  })
})
