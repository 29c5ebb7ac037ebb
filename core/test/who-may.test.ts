import fc from 'fast-check'
import {
  KINDS,
  asRole,
  mayWrite,
  workOf,
  type Claim,
  type Written,
  mayBeTakenBack,
  notAllowed,
} from '../src/index.js'

/** Rights to write, as a table: who, what, in which state. */
const WREN = { personId: 'wren', role: 'fitter' }
const TEAL = { personId: 'teal', role: 'fitter' }
const ROOK = { personId: 'rook', role: 'owner' }
const LEAD = { personId: 'lead', role: 'charge-hand' }
const PROBE = { personId: 'probe', role: 'device' }
const TESTS: Readonly<Record<string, { by: string; ended: boolean }>> = {
  runs: { by: 'wren', ended: false },
  over: { by: 'wren', ended: true },
}
const ENTRIES: Readonly<Record<string, Written>> = {
  step: { kind: 'step-done', data: {}, by: 'wren', atDeviceS: 1_000_000 },
  verdict: { kind: 'test-ended', data: { testId: 'over' }, by: 'wren' },
  signature: { kind: 'signed', data: { what: 'test', refId: 'over' }, by: 'wren' },
  ...Object.fromEntries(
    ['test-begun', 'test-read', 'test-log', 'stage-done', 'leak-seen'].flatMap((kind) =>
      Object.keys(TESTS).map((testId) => [`${kind} ${testId}`, { kind, data: { testId }, by: 'wren' }]),
    ),
  ),
}
const LOG = {
  entry: (id: string) => ENTRIES[id],
  test: (id: string) => TESTS[id] ?? null,
  role: (id: string) => [WREN, TEAL, ROOK, LEAD, PROBE].find(({ personId }) => personId === id)?.role ?? '',
}
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
    (target) => expect(notAllowed(correct(target), WREN, LOG)).toBeNull(),
  )
  it('the strip offers no way back from it', () => {
    expect(
      Object.keys(KINDS)
        .filter((kind) => !mayBeTakenBack(['step-done', kind]))
        .sort(),
    ).toEqual(['role-given', 'signed', 'test-ended'])
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
describe('what another wrote', () => {
  it.each([
    [WREN, null],
    [TEAL, 'not-yours'],
    [ROOK, null],
    [LEAD, null],
  ] as const)('%o takes a step of Wren back: %s', (by, why) =>
    expect(notAllowed(correct('step'), by, LOG)).toBe(why),
  )
})
it.each(['probe', 'an instrument that is gone'])(
  'what an instrument wrote is corrected by whoever corrects at all: %s',
  (by) =>
    expect(
      notAllowed(correct('x'), TEAL, { ...LOG, entry: () => ({ kind: 'reading', data: {}, by }) }),
    ).toBeNull(),
)
describe('what is told late', () => {
  const H = 3600
  const told = (data: object): Claim => ({ kind: 'step-done', data: { ...data }, atDeviceS: 1_000_000 })
  it.each([
    ['at once', told({ latestS: 1_000_000 }), null, null],
    ['an hour ago', told({ latestS: 1_000_000 - H }), null, null],
    ['longer ago', told({ latestS: 1_000_000 - H - 1 }), 'from-memory', 'from-memory'],
    ['longer ago, as memory', told({ latestS: 1_000_000 - H - 1, basis: 'memory' }), null, null],
    [
      'a day and more, as memory',
      told({ latestS: 1_000_000 - 25 * H, basis: 'memory' }),
      'too-long-ago',
      null,
    ],
    ['since two days', told({ latestS: 1_000_000, earliestS: 1_000_000 - 48 * H }), 'too-long-ago', null],
    ['in the future', told({ latestS: 2_000_000 }), null, null],
    ['moved by minutes', correct('step', { undo: false, atS: 1_000_000 - 300 }), null, null],
    [
      'moved by two hours',
      correct('step', { undo: false, atS: 1_000_000 - 2 * H }),
      'from-memory',
      'from-memory',
    ],
    ['the same with why', correct('step', { undo: false, atS: 1_000_000 - 2 * H, reason: 'r' }), null, null],
    [
      'by 30 days',
      correct('step', { undo: false, atS: 1_000_000 - 720 * H, reason: 'r' }),
      'too-long-ago',
      null,
    ],
  ] as const)('%s', (_says, claim, fitter, lead) => {
    expect(notAllowed(claim, WREN, LOG)).toBe(fitter)
    expect(notAllowed(claim, ROOK, LOG)).toBe(lead)
  })
})
describe('roles', () => {
  it('every kind belongs to one part of the work, and no part has a kind that there is not', () => {
    expect(Object.keys(KINDS).filter((kind) => !workOf(kind))).toEqual([])
    expect(Object.keys(KINDS).filter((kind) => !mayWrite('owner', kind))).toEqual(['log-brought'])
  })
  it.each([
    ['reader', 'reading', false],
    ['reader', 'correction', false],
    ['apprentice', 'step-done', true],
    ['apprentice', 'looked-over', false],
    ['apprentice', 'test-begun', false],
    ['apprentice', 'signed', false],
    ['apprentice', 'job-set', false],
    ['tester', 'test-ended', true],
    ['tester', 'step-done', false],
    ['tester', 'item-put', false],
    ['witness', 'signed', true],
    ['witness', 'hold-answered', true],
    ['witness', 'test-read', false],
    ['fitter', 'test-ended', true],
    ['fitter', 'role-given', false],
    ['charge-hand', 'role-given', true],
  ] as const)('%s, %s: %s', (role, kind, may) => expect(mayWrite(role, kind)).toBe(may))
  it('who is nothing on a job writes nothing, whatever is called a role', () => {
    for (const role of ['', 'left', 'member', '__proto__', 'Owner'])
      expect(Object.keys(KINDS).some((kind) => mayWrite(asRole(role), kind))).toBe(false)
  })
  const give = (personId: string, role: string): Claim => ({ kind: 'role-given', data: { personId, role } })
  it.each([
    [ROOK, give('wren', 'charge-hand'), null],
    [LEAD, give('wren', 'apprentice'), null],
    [LEAD, give('wren', 'charge-hand'), 'not-your-role'],
    [LEAD, give('rook', 'reader'), 'not-your-role'],
    [LEAD, give('lead', 'fitter'), 'not-your-role'],
    [ROOK, give('rook', 'reader'), 'not-your-role'],
    [ROOK, give('wren', 'owner'), 'not-your-role'],
    [ROOK, give('stranger', 'fitter'), 'not-your-role'],
    [WREN, give('teal', 'reader'), 'not-your-role'],
  ] as const)('%o, %o: %s', (by, claim, why) => expect(notAllowed(claim, by, LOG)).toBe(why))
  it('nobody witnesses a test they ran', () => {
    const word: Claim = { kind: 'signed', data: { what: 'test', refId: 'over' } }
    expect(notAllowed(word, { ...WREN, role: 'witness' }, LOG)).toBe('own-test')
    expect(notAllowed(word, { ...TEAL, role: 'witness' }, LOG)).toBeNull()
    expect(notAllowed(word, WREN, LOG)).toBeNull()
  })
})
it('whatever is sent, it says something and never throws', () => {
  fc.assert(
    fc.property(fc.string(), fc.dictionary(fc.string(), fc.jsonValue()), fc.string(), (kind, data, role) => {
      for (const each of [kind, 'correction', 'test-ended', 'signed', 'role-given', 'step-done'])
        expect(() => notAllowed({ kind: each, data }, { personId: 'x', role }, LOG)).not.toThrow()
    }),
  )
})
