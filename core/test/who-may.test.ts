import fc from 'fast-check'
import { KINDS, type Claim, mayBeTakenBack, notAllowed } from '../src/index.js'

/** Rights to write, as a table: who, what, in which state. */
const WREN = { personId: 'wren', role: 'member' }
const TEAL = { personId: 'teal', role: 'member' }
const ROOK = { personId: 'rook', role: 'owner' }
const PROBE = { personId: 'probe', role: 'device' }
const TESTS: Readonly<Record<string, { by: string; ended: boolean }>> = {
  runs: { by: 'wren', ended: false },
  over: { by: 'wren', ended: true },
}
const ENTRIES: Readonly<Record<string, Claim>> = {
  step: { kind: 'step-done', data: {} },
  verdict: { kind: 'test-ended', data: { testId: 'over' } },
  signature: { kind: 'signed', data: { what: 'test', refId: 'over' } },
  ...Object.fromEntries(
    ['test-begun', 'test-read', 'test-log', 'stage-done', 'leak-seen'].flatMap((kind) =>
      Object.keys(TESTS).map((testId) => [`${kind} ${testId}`, { kind, data: { testId } }]),
    ),
  ),
}
const LOG = { entry: (id: string) => ENTRIES[id], test: (id: string) => TESTS[id] ?? null }
const correct = (target: string, more: object = { undo: true }): Claim => ({
  kind: 'correction',
  data: { target, ...more },
})
const end = (testId: string, reason?: string): Claim => ({ kind: 'test-ended', data: { testId, reason } })

describe('what is said for good', () => {
  it.each([
    'verdict',
    'signature',
    'test-begun over',
    'test-read over',
    'test-log over',
    'leak-seen over',
    'stage-done over',
  ])('%s: nobody takes it back or re-times it, whoever has the job', (target) => {
    for (const by of [WREN, TEAL, ROOK, PROBE]) {
      expect(notAllowed(correct(target), by, LOG)).toBe('sealed')
      expect(notAllowed(correct(target, { undo: false, atS: 1 }), by, LOG)).toBe('sealed')
    }
  })
  it.each(['step', 'test-begun runs', 'test-read runs', 'leak-seen runs', 'nowhere'])(
    '%s may be taken back',
    (target) => expect(notAllowed(correct(target), TEAL, LOG)).toBeNull(),
  )
  it('the strip offers no way back from it', () => {
    expect(
      Object.keys(KINDS)
        .filter((kind) => !mayBeTakenBack(['step-done', kind]))
        .sort(),
    ).toEqual(['signed', 'test-ended'])
  })
})
describe('the end of a test', () => {
  it.each([
    [WREN, end('runs'), null],
    [TEAL, end('runs'), 'not-the-tester'],
    [TEAL, end('runs', 'he went home'), 'not-the-tester'],
    [PROBE, end('runs', 'x'), 'not-the-tester'],
    [ROOK, end('runs'), 'say-why'],
    [ROOK, end('runs', '  '), 'say-why'],
    [ROOK, end('runs', 'he went home'), null],
    [TEAL, end('nowhere'), null],
  ] as const)('%o, %o: %s', (by, wanted, why) => expect(notAllowed(wanted, by, LOG)).toBe(why))
})
it('whatever is sent, it says something and never throws', () => {
  fc.assert(
    fc.property(fc.string(), fc.dictionary(fc.string(), fc.jsonValue()), fc.string(), (kind, data, role) => {
      for (const each of [kind, 'correction', 'test-ended'])
        expect([null, 'sealed', 'not-the-tester', 'say-why']).toContain(
          notAllowed({ kind: each, data }, { personId: 'x', role }, LOG),
        )
    }),
  )
})
