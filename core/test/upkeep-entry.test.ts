import {
  DEVICE_KINDS,
  deviceFaults,
  devicesCares,
  doneEntry,
  doneFaults,
  inUseFaults,
  inUseNotes,
  intervalFaults,
  judgeCare,
} from '../src/index.js'
import { SECTION, T0, joint, uuid } from './make-job.js'
import { DAY_S, MADE, clamps, dayOf, seen, use } from './upkeep-help.js'

describe('a torque read again', () => {
  const item = (leftNm: number | null) => ({ ...seen(use(clamps())).task('torque-hot').items[0]!, leftNm })
  it.each([
    [4, 2.6, ['care-torque-fell']],
    [4, 2.7, []],
    [4, 4.4, []],
    [null, 1, []],
  ])('left at %s Nm, found at %s Nm', (left, found, codes) => {
    expect(judgeCare(item(left), { foundNm: found, leftNm: 4 }).map(({ code }) => code)).toEqual(codes)
  })
  it('what it was made at counts until it was read again; what it is left at is judged as when it was made', () => {
    expect(item(4).leftNm).toBe(4)
    expect(judgeCare(item(4), { foundNm: 4, leftNm: 6 }).map(({ code }) => code)).toEqual(['torque-over'])
  })
})

describe('what may not be written down', () => {
  const { state, facts, section } = seen(clamps())
  const today = dayOf(MADE.plus({ days: 3 }))
  const codes = (on: string) => inUseFaults(state, section, facts, on, today).map(({ code }) => code)
  it.each([
    ['2026-02-30', 'not-a-date'],
    [dayOf(MADE.plus({ days: 4 })), 'care-day-to-come'],
    [dayOf(MADE.minus({ days: 1 })), 'care-made-since'],
  ])('in use since %s: %s', (on, code) => expect(codes(on)).toEqual([code]))
  it('a day that may be, though no test was held', () => {
    expect(codes(dayOf(MADE))).toEqual([])
    expect(inUseNotes(state, section).map(({ code }) => code)).toEqual(['care-not-proved'])
  })
  it('a section with a joint that is not made', () => {
    const log = clamps()
    log.put('cut-out', { life: 1 }, { jointId: joint(2), atS: T0 + DAY_S })
    const cut = seen(log)
    expect(inUseFaults(cut.state, cut.section, cut.facts, today, today)).toMatchObject([
      { code: 'care-not-made', params: { tag: 'H-2' } },
    ])
  })
  it.each([
    [{ months: '', openings: '', reference: 'sheet' }, ['months']],
    [{ months: '0', openings: '', reference: 'sheet' }, ['months']],
    [{ months: '1.5', openings: 'x', reference: '' }, ['months', 'openings', 'reference']],
    [{ months: ' 6 ', openings: '', reference: 'sheet' }, []],
  ])('how often: %o', (said, fields) => {
    expect(intervalFaults(said).map(({ field }) => field)).toEqual(fields)
  })
  it('what was done before it was in use, without its readings, or not good without a word', () => {
    const used = seen(use(clamps(), 2))
    const task = used.task('torque-hot')
    const [item] = task.items
    const nothing = { good: true, foundNm: null, leftNm: null, renewed: false, lotId: null, says: '' }
    const fields = (more: object, days = 3): readonly string[] =>
      doneFaults(used.state, task, item!, { ...nothing, ...more }, T0 + days * DAY_S).map(
        ({ field }) => field,
      )
    expect([
      fields({}),
      fields({ foundNm: 3 }),
      fields({ foundNm: 3, leftNm: 4 }),
      fields({ foundNm: 3, leftNm: 4 }, 1),
      fields({ good: false }),
      fields({ good: false, says: 'clamp bent' }),
      fields({ renewed: true, leftNm: 4 }),
    ]).toEqual([['found'], ['left'], [], ['at'], ['says'], [], []])
    expect(doneEntry(task, item!, { ...nothing, foundNm: 3, leftNm: 4 })).toMatchObject({
      kind: 'care-done',
      data: { care: 'sanitary-clamp/torque-hot', ofId: joint(1), good: true, foundNm: 3, leftNm: 4 },
    })
  })
  it('a device without a name, or of a name that is there', () => {
    const log = use(clamps())
    log.put('device-set', { sectionId: SECTION, deviceId: uuid(40), kind: 'relief valve', name: 'RV-1' })
    const { state: with1 } = seen(log)
    const of = (name: string, id = uuid(41)) => deviceFaults(with1, SECTION, name, id).map(({ code }) => code)
    expect([of(' '), of('rv-1'), of('RV-2'), of('RV-1', uuid(40))]).toEqual([
      ['care-device-name'],
      ['care-named-twice'],
      [],
      [],
    ])
  })
})

describe('devices', () => {
  // EN 806-5:2012, table A.1 (from memory): safety valves and family B type A inspected every 6 months, maintained yearly.
  it.each(['backflow preventer', 'relief valve'] as const)('metric: %s', (kind) => {
    expect(devicesCares(kind, 'metric').map(({ id, due }) => [id, due])).toEqual([
      ['inspect', { by: 'months', months: 6 }],
      ['service', { by: 'months', months: 12 }],
    ])
  })
  // IPC 2021, 312.10: yearly. NFPA 25-2020: 5.3.3 alarm quarterly, 13.2.5 main drain yearly, 14.2 inside every 5 years.
  it.each([
    ['backflow preventer', { test: 12 }],
    ['sprinklers', { alarm: 3, inspect: 12, 'main-drain': 12, inside: 60 }],
  ] as const)('inch: %s', (kind, every) => {
    const months = devicesCares(kind, 'inch').map(({ id, due }) => [id, due.by === 'months' && due.months])
    expect(Object.fromEntries(months)).toEqual(every)
  })
  it('each kind asks for something in both schools, if only for what its maker says', () => {
    for (const kind of DEVICE_KINDS)
      for (const school of ['inch', 'metric'] as const)
        expect([kind, devicesCares(kind, school).length > 0]).toEqual([kind, true])
    expect(devicesCares('other device', 'inch')[0]?.due).toEqual({ by: 'maker' })
  })
  it('stand among the tasks, gone once they are taken out', () => {
    const log = use(clamps())
    const device = { sectionId: SECTION, deviceId: uuid(40), kind: 'relief valve', name: 'RV-1' }
    log.put('device-set', device)
    const own = () =>
      seen(log)
        .tasks.filter((task) => task.device)
        .map((task) => [task.care, task.dueOn])
    expect(own()).toEqual([
      ['relief valve/inspect', dayOf(MADE.plus({ months: 6 }))],
      ['relief valve/service', dayOf(MADE.plus({ months: 12 }))],
    ])
    log.put('device-set', { ...device, gone: true })
    expect(own()).toEqual([])
  })
})
