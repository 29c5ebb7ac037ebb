import {
  afterSteps,
  certificateOf,
  flagsOf,
  foldJob,
  lookFirst,
  mayCover,
  sectionAnswer,
} from '../src/index.js'
import { SECTION, T0, joint } from './make-job.js'
import { H, HEAD, ready, plan, sectionIn, test } from './proving-job.js'

describe('after a test', () => {
  it('readings sent twice are there once, whatever the order they come in', () => {
    const log = ready()
    test(log, 't', 20)
    log.put(
      'test-log',
      {
        testId: 't',
        from: 'L',
        rows: [
          [T0 + 20 * H, 9, 15],
          [T0 + 20 * H + 30, 8.9, 15],
        ],
      },
      { atS: T0 + 21 * H },
    )
    const run = foldJob(log.events).tests.get('t')
    expect(run?.readings).toHaveLength(32)
    expect(run?.readings.map((r) => r.atS)).toEqual(
      [...(run?.readings ?? [])].map((r) => r.atS).sort((a, b) => a - b),
    )
  })
  it('work on a proved section re-opens it and flags the certificate; the verdict stands', () => {
    const log = ready()
    test(log, 't', 20)
    const before = foldJob(log.events)
    expect(sectionAnswer(before, SECTION, T0 + 22 * H)?.proved).toBe(true)
    expect(mayCover(before, sectionIn(log), true).may).toBe(true)
    expect(certificateOf(before, 't', HEAD)).toMatchObject({ flags: [], head: HEAD, section: 'Q-A' })
    log.put('cut-out', { life: 1, reason: 'branch' }, { atS: T0 + 23 * H, jointId: joint(2) })
    log.make(joint(2), T0 + 23.5 * H, 2)
    const after = foldJob(log.events)
    expect(sectionAnswer(after, SECTION, T0 + 24 * H)?.proved).toBe(false)
    const run = after.tests.get('t') as never
    expect(flagsOf(after, run).map((f) => [f.code, f.params.joint])).toEqual([['flag-work-since', 'Q-2']])
    expect(certificateOf(after, 't', HEAD)?.test.ended?.verdict).toBe('held')
  })
  it('a cold reading that comes late flags the certificate and edits nothing', () => {
    const log = ready()
    test(log, 't', 10)
    const sealed = foldJob(log.events).tests.get('t')?.ended
    // The hours of the cure were at 3 °C and not at 15, where there is no figure: told only after the test.
    const night = log.events.filter(
      (e) => e.kind === 'reading' && e.occurredAtS > T0 + H && e.occurredAtS < T0 + 9 * H,
    )
    expect(night.length).toBeGreaterThan(5)
    for (const e of night) log.put('reading', { ...e.data, value: 3, supersedes: e.id }, { atS: T0 + 30 * H })
    const state = foldJob(log.events)
    expect(state.tests.get('t')?.ended).toEqual(sealed)
    expect(new Set(flagsOf(state, state.tests.get('t') as never).map((f) => f.code))).toEqual(
      new Set(['flag-cold-since']),
    )
  })
  it('what was judged with a finding is looked at first, then what was never tested', () => {
    const log = ready()
    test(log, 'a', 20)
    log.put('cut-out', { life: 1, reason: 'x' }, { atS: T0 + 22 * H, jointId: joint(3) })
    log.make(joint(3), T0 + 23 * H, 2)
    test(log, 'b', 40, 'lost')
    const state = foldJob(log.events)
    const answer = sectionAnswer(state, SECTION, T0 + 41 * H)
    if (!answer) throw new Error('no section')
    expect(lookFirst(state, answer)[0]).toMatchObject({ tag: 'Q-3' })
  })
  it('steps by pipe and medium; a hold point keeps the wall open until it is answered', () => {
    const log = ready()
    log.put('section-plan', plan({ keep: 'full' }), { atS: T0 + H })
    expect(afterSteps(foldJob(log.events), sectionIn(log)).map((s) => s.id)).toEqual([
      'relieve',
      'keep-full',
      'rinse',
      'flush',
      'disinfect',
    ])
    log.put('hold-point', { holdId: 'h', sectionId: SECTION, name: 'north wall' }, { atS: T0 + H })
    const cover = () => mayCover(foldJob(log.events), sectionIn(log), true)
    expect(cover()).toMatchObject({ may: false, says: { code: 'cover-hold' } })
    log.put('hold-answered', { holdId: 'h', answer: 'go on' }, { atS: T0 + 2 * H })
    expect(cover().may).toBe(true)
    expect(mayCover(foldJob(log.events), sectionIn(log), false).may).toBe(false)
  })
})
