import { certificateOf, foldJob, overWeakest } from '../src/index.js'
import type { TestRun } from '../src/log/state.js'
import { SECTION, T0, lineJob } from './make-job.js'

describe('a reading above what the weakest part may take', () => {
  const read = (...bars: number[]) => {
    const log = lineJob(2, { testBar: 9, ratingBar: 16 })
    const begun = {
      testId: 't',
      sectionId: SECTION,
      bar: 9,
      medium: 'water',
      holdS: 1800,
      allowedDropBar: 0.3,
      resolutionBar: 0.1,
      tester: 'T',
    }
    log.put('test-begun', begun, { atS: T0 })
    bars.forEach((bar, i) => log.put('test-read', { testId: 't', atS: T0 + i, bar }, { atS: T0 + i }))
    const state = foldJob(log.events)
    return { log, over: overWeakest(state, state.tests.get('t') as TestRun) }
  }
  it('is the first one beyond what the gauge can tell, with the part it was too much for', () => {
    expect(read(9, 15.9, 16.1).over).toBeNull()
    expect(read(9, 16.4, 17, 9).over).toMatchObject({ bar: 16.4, atS: T0 + 1, limit: { atGaugeBar: 16 } })
    expect(read().over).toBeNull()
  })
  it('stands on the certificate for ever', () => {
    const { log } = read(9, 18)
    log.put('test-ended', { testId: 't', verdict: 'held' }, { atS: T0 + 60 })
    const c = certificateOf(foldJob(log.events), 't', { seq: 1, hash: 'f'.repeat(64) })
    expect(c?.flags.map((f) => f.code)).toContain('flag-above-weakest')
  })
})
