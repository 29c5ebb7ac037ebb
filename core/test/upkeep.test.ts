import fc from 'fast-check'
import { foldJob, glanceOf, inUseEntry, intervalEntry, nextOf, taskStands, upkeepCsv } from '../src/index.js'
import { SECTION, T0, joint, uuid } from './make-job.js'
import { DAY_S, MADE, PIN, clamps, dayOf, done, seen, use } from './upkeep-help.js'

describe('what a clamp in use asks for', () => {
  it('nothing before it is in use, and nothing once it is out of use again', () => {
    const log = clamps()
    expect(seen(log).tasks).toEqual([])
    use(log)
    expect(seen(log).tasks).not.toEqual([])
    const { kind, data } = inUseEntry(SECTION, null)
    log.put(kind, data, { atS: T0 + 2 * DAY_S })
    expect(seen(log).tasks).toEqual([])
  })
  it('its torque after the first heat from the day it is in use, both joints, until each is done', () => {
    const log = use(clamps(), 5)
    const hot = seen(log).task('torque-hot')
    expect([hot.dueOn, hot.items.map(({ tag }) => tag)]).toEqual([
      dayOf(MADE.plus({ days: 5 })),
      ['H-1', 'H-2'],
    ])
    expect(taskStands(hot, dayOf(MADE.plus({ days: 6 })))).toBe('late')
    done(log, 'torque-hot', 6, { foundNm: 3.5, leftNm: 4 })
    expect(
      seen(log)
        .task('torque-hot')
        .items.map(({ tag, dueOn }) => [tag, dueOn !== null]),
    ).toEqual([
      ['H-2', true],
      ['H-1', false],
    ])
    done(log, 'torque-hot', 6, { foundNm: 3.5, leftNm: 4 }, joint(2))
    const after = seen(log).task('torque-hot')
    expect([after.dueOn, taskStands(after, dayOf(MADE.plus({ days: 9 })))]).toEqual([null, 'done'])
  })
  it('each season by the calendar, as a library of dates has it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 800 }), (days) => {
        const log = use(clamps(), days)
        done(log, 'torque-season', days + 1, { foundNm: 4, leftNm: 4 })
        const items = seen(log).task('torque-season').items
        const from = (more: number): string => dayOf(MADE.plus({ days: days + more }).plus({ months: 3 }))
        expect(Object.fromEntries(items.map(({ tag, dueOn }) => [tag, dueOn]))).toEqual({
          'H-1': from(1),
          'H-2': from(0),
        })
      }),
      { numRuns: 40 },
    )
  })
  it('no season where no steam goes through it; by hand no torque is asked for', () => {
    const log = use(clamps({ steam: false, tighten: 'hand' }))
    const { tasks, task } = seen(log)
    expect(tasks.map(({ care }) => care.split('/')[1]).sort()).toEqual(['gasket', 'opened', 'torque-hot'])
    expect(task('torque-hot').does.torqueNm).toBeNull()
    done(log, 'torque-hot', 1, {})
    expect(
      seen(log)
        .task('torque-hot')
        .items.map(({ dueOn }) => dueOn !== null),
    ).toEqual([true, false])
  })
  it('a gasket by what its maker says, in months or openings, whichever is first', () => {
    const log = use(clamps())
    const before = seen(log).task('gasket')
    expect([before.dueOn, taskStands(before, dayOf(MADE))]).toEqual([null, 'unsaid'])
    const said = { months: '24', openings: '2', reference: 'the maker\u2019s sheet' }
    const { kind, data } = intervalEntry(before, said)
    log.put(kind, data)
    expect(seen(log).task('gasket').dueOn).toBe(dayOf(MADE.plus({ months: 24 })))
    done(log, 'opened', 10, { leftNm: 4 })
    done(log, 'opened', 20, { leftNm: 4 })
    done(log, 'opened', 30, { leftNm: 4 })
    const [first] = seen(log).task('gasket').items
    // Full with the second opening, not with the last.
    expect([first?.tag, first?.openings, first?.dueOn]).toEqual(['H-1', 3, dayOf(MADE.plus({ days: 20 }))])
    done(log, 'gasket', 31, { leftNm: 4, renewed: true })
    const now = seen(log)
      .task('gasket')
      .items.find(({ tag }) => tag === 'H-1')
    expect([now?.openings, now?.dueOn]).toEqual([0, dayOf(MADE.plus({ days: 31 }).plus({ months: 24 }))])
  })
  it('a new gasket wants its torque brought back once more; what was not good does not count', () => {
    const log = use(clamps())
    done(log, 'torque-hot', 1, { foundNm: 3.9, leftNm: 4 })
    done(log, 'opened', 40, { leftNm: 4, renewed: true })
    const own = () =>
      seen(log)
        .task('torque-hot')
        .items.find(({ tag }) => tag === 'H-1')
    expect(own()?.dueOn).toBe(dayOf(MADE.plus({ days: 40 })))
    done(log, 'torque-hot', 41, { good: false, says: 'gasket torn' })
    expect(own()?.dueOn).toBe(dayOf(MADE.plus({ days: 40 })))
    done(log, 'torque-hot', 42, { foundNm: 3, leftNm: 4 })
    expect(own()?.dueOn).toBeNull()
  })
  it('a joint made anew begins anew', () => {
    const log = use(clamps())
    done(log, 'torque-hot', 1, { foundNm: 3.9, leftNm: 4 })
    log.put('cut-out', { life: 1, reason: 'leaks' }, { jointId: joint(1), atS: T0 + 3 * DAY_S })
    const { tasks } = seen(log)
    expect(tasks.flatMap(({ items }) => items.map(({ tag }) => tag))).not.toContain('H-1')
    const at = T0 + 4 * DAY_S
    for (const step of ['parts', 'clamp', 'gaps', 'torque'])
      log.put(
        'step-done',
        { life: 2, step, readings: { torqueNm: 4 }, pin: PIN },
        { jointId: joint(1), atS: at },
      )
    const anew = seen(log)
      .task('torque-hot')
      .items.find(({ tag }) => tag === 'H-1')
    expect([anew?.dueOn !== null, anew?.done.length]).toEqual([true, 0])
  })
  it('the same whatever order its entries arrive in', () => {
    const log = use(clamps())
    done(log, 'opened', 10, { leftNm: 4 })
    done(log, 'torque-season', 12, { foundNm: 3, leftNm: 4 })
    const other = foldJob([...log.events].reverse())
    expect(other.upkeep).toEqual(seen(log).state.upkeep)
  })
})

describe('as others see it', () => {
  const log = use(clamps())
  log.put('device-set', { sectionId: SECTION, deviceId: uuid(40), kind: 'filter', name: 'FI-1' })
  it('a glance names what is late and what is soon, each with its first', () => {
    const { state } = seen(log)
    const at = T0 + 75 * DAY_S
    const things = nextOf(glanceOf(state, at), at).flatMap((thing) =>
      'care' in thing
        ? [
            [
              thing.kind,
              thing.care.does.code,
              thing.care.device,
              thing.care.joints,
              thing.count,
              thing.pressing,
            ],
          ]
        : [],
    )
    // 75 days on the first heat is long past; the season of three months is 16 days ahead, the filter's half year is not near.
    expect(things).toEqual([
      ['care-late', 'care-torque-hot', null, 2, 1, true],
      ['care-soon', 'care-torque-season', null, 2, 1, false],
    ])
  })
  it('a job that was closed still says what is late', () => {
    const closed = use(clamps())
    closed.put('job-closed', { closed: true }, { atS: T0 + DAY_S })
    const at = T0 + 5 * DAY_S
    expect(nextOf(glanceOf(seen(closed).state, at), at)[0]?.kind).toBe('care-late')
  })
  it('as a table, in the units of who reads', () => {
    const { tasks } = seen(log)
    const rows = (units: 'metric' | 'inch') =>
      upkeepCsv(tasks, dayOf(MADE.plus({ days: 1 })), 'UTC', { units }).split('\r\n')
    expect(rows('metric')).toContain(
      `H-A,H-2,"Look at the torque, each season",later,${dayOf(MADE.plus({ months: 3 }))},,4 Nm,3,,"Clamps on steam: torque looked at again each season, here every three months"`,
    )
    expect(rows('inch').filter((row) => row.includes('35 in-lb'))).toHaveLength(8)
    expect(rows('metric').find((row) => row.includes('FI-1'))).toContain(dayOf(MADE.plus({ months: 6 })))
  })
})
