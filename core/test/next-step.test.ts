import { foldJob, jointFacts } from '../src/index.js'
import { T0, type Log, joint, lineJob } from './make-job.js'

describe('a step that is free to skip', () => {
  const large = (): Log => lineJob(1, { size: 'd160' })
  const next = (log: Log): string | undefined =>
    jointFacts(foldJob(log.events), joint(1), 'coldest', T0 + 500)?.nextStep?.id
  it('is offered in its turn, and not gone back to once work went on', () => {
    const log = large()
    expect(next(log)).toBe('fit')
    log.step(joint(1), 'fit', T0)
    expect(next(log)).toBe('rig')
    log.step(joint(1), 'cement', T0 + 60)
    expect(next(log)).toBe('home')
  })
})
