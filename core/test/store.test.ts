import fc from 'fast-check'
import { DateTime } from 'luxon'
import {
  type JobState,
  allMethods,
  foldJob,
  recall,
  shelfHead,
  shelfOf,
  standingOf,
  storeKinds,
  toolWrong,
} from '../src/index.js'
import { daysAfter } from '../src/joint/standing.js'
import { usesOf } from '../src/joint/uses.js'
import { isWorded } from '../src/words/words.js'
import { type Log, SECTION, T0, joint, lineJob, uuid } from './make-job.js'
import { GAUGE, TIN, TODAY, dayIn, putLot, putTool } from './store-help.js'

const DAY_S = 86_400
const madeWith = (log: Log, n: number, atS: number, ids: readonly string[], who = 1): string =>
  log.put('step-done', { life: 1, step: 'fit', readings: {}, toolIds: ids }, { jointId: joint(n), atS, who })
const stands = (state: JobState, id: string, nowS: number) => {
  const item = state.store.get(id)
  if (!item) throw new Error('not there')
  return standingOf(state, item, nowS)
}
describe('kinds of things', () => {
  it('are all that any way of joining needs, and what is kept besides', () => {
    const kinds = new Map(storeKinds().map((kind) => [kind.kind, kind]))
    for (const method of allMethods())
      for (const { spec, school } of method.examples) {
        const read = method.parse({ school, ...spec })
        if (!read.ok) throw new Error(method.id)
        for (const need of method.consumables(read.spec)) {
          expect(kinds.get(need.item)?.lot).toBe(!need.lasts)
          expect(Object.keys(need.matches).filter((key) => !kinds.get(need.item)?.keys[key])).toEqual([])
        }
      }
    const said = [...kinds.values()].flatMap(({ kind, keys }) => [kind, ...Object.keys(keys)])
    expect(said.filter((name) => !isWorded(`name-${name}`))).toEqual([])
    expect(kinds.get('gauge')).toEqual({ kind: 'gauge', lot: false, keys: {} })
    expect(kinds.get('jaw')?.keys).toEqual({ size: [], profile: [] })
    expect(kinds.get('gasket')?.keys.rubber).toContain('EPDM')
  })
})

describe('how a thing stands', () => {
  it('days later are those of a calendar', () => {
    const start = fc.integer({ min: -20_000, max: 40_000 })
    fc.assert(
      fc.property(start, fc.integer({ min: -4000, max: 4000 }), (from, days) => {
        const day = DateTime.fromISO('2000-01-01', { zone: 'utc' }).plus({ days: from })
        expect(daysAfter(day.toISODate() as string, days)).toBe(day.plus({ days }).toISODate())
      }),
    )
  })
  it('by its last day, which is good to its end where the job is', () => {
    const log = lineJob(1)
    putLot(log, { expiresOn: dayIn(0) })
    const state = foldJob(log.events)
    const endS = DateTime.fromISO(TODAY, { zone: 'utc' }).endOf('day').toSeconds()
    expect(stands(state, TIN, endS - 1)).toMatchObject({ standing: 'soon', untilOn: TODAY, by: 'expires' })
    expect(stands(state, TIN, endS + 1).standing).toBe('out-of-date')
    expect(stands(state, TIN, endS - 31 * DAY_S).standing).toBe('good')
    expect(stands(state, TIN, endS - 30 * DAY_S).standing).toBe('soon')
  })
  it('opened by hand or by the first joint made with it, it keeps so many days, or to its date', () => {
    const log = lineJob(1)
    putLot(log, { expiresOn: dayIn(300), openDays: 60 })
    expect(stands(foldJob(log.events), TIN, T0 + 100 * DAY_S)).toMatchObject({
      standing: 'good',
      openedOn: null,
    })
    madeWith(log, 1, T0 + 10 * DAY_S, [TIN])
    const used = foldJob(log.events)
    expect(stands(used, TIN, T0 + 20 * DAY_S)).toMatchObject({
      by: 'opened',
      openedOn: dayIn(10),
      untilOn: dayIn(70),
    })
    expect(stands(used, TIN, T0 + 71 * DAY_S).standing).toBe('open-too-long')
    // Somebody says that it stood open before.
    log.put('store-state', { itemId: TIN, state: 'opened', atS: T0 }, { atS: T0 + 20 * DAY_S })
    expect(stands(foldJob(log.events), TIN, T0 + 61 * DAY_S)).toMatchObject({
      standing: 'open-too-long',
      untilOn: dayIn(60),
    })
  })
  it('empty, thrown away, and back by the way it came', () => {
    const log = lineJob(1)
    putLot(log)
    const said = (state: string, days: number) =>
      log.put('store-state', { itemId: TIN, state }, { atS: T0 + days * DAY_S })
    const now = () => stands(foldJob(log.events), TIN, T0 + 50 * DAY_S).standing
    said('empty', 1)
    expect(now()).toBe('empty')
    said('back', 2)
    expect(now()).toBe('good')
    const slip = said('condemned', 3)
    expect(now()).toBe('condemned')
    log.put('correction', { target: slip, undo: true })
    expect(now()).toBe('good')
  })
  it('found wrong, until it is tried and good, or looked at since; not where it was right again by then', () => {
    const log = lineJob(1)
    const id = GAUGE
    putTool(log)
    const now = () => stands(foldJob(log.events), id, T0 + 5 * DAY_S).standing
    log.put('tool-found', { toolId: id, fromS: T0, toS: T0 + 60, says: 'dropped' }, { atS: T0 + 90 })
    expect(now()).toBe('good')
    log.put('tool-found', { toolId: id, fromS: T0, says: 'sticks' }, { atS: T0 + 100 })
    expect(now()).toBe('found-wrong')
    putTool(log, { checkedOn: dayIn(0) })
    expect(now()).toBe('found-wrong')
    putTool(log, { checkedOn: dayIn(1) })
    expect(now()).toBe('good')
    log.put('tool-proof', { toolId: id, good: false }, { atS: T0 + 2 * DAY_S })
    expect(now()).toBe('not-good')
    log.put('tool-proof', { toolId: id, good: true }, { atS: T0 + 3 * DAY_S })
    expect(now()).toBe('good')
  })
})

describe('taken to a joint', () => {
  const NEEDS = [
    {
      item: 'gasket',
      lasts: false,
      qty: { value: 1 },
      unit: 'count',
      matches: { size: 'DN 40', rubber: 'EPDM' },
    },
  ] as unknown as Parameters<typeof toolWrong>[2]
  const wrong = (log: Log, id: string, nowS = T0) =>
    toolWrong(foldJob(log.events), [id], NEEDS, nowS).map(({ code, level }) => `${level} ${code}`)
  const gasket = (log: Log, rubber: string, more: object = {}): string => {
    log.put('lot-set', {
      lotId: TIN,
      kind: 'gasket',
      name: 'L-3',
      matches: { size: 'DN 40', rubber },
      ...more,
    })
    return TIN
  }
  it('a wrong rubber, a lot past its day, open too long, thrown away, found wrong: each a stop with its reason', () => {
    const log = lineJob(1)
    expect(wrong(log, gasket(log, 'EPDM'))).toEqual([])
    expect(wrong(log, gasket(log, 'NBR'))).toEqual(['stop tool-does-not-fit'])
    expect(wrong(log, gasket(log, 'EPDM', { expiresOn: dayIn(-1) }))).toEqual(['stop lot-out-of-date'])
    gasket(log, 'EPDM', { openDays: 1 })
    log.put('store-state', { itemId: TIN, state: 'opened', atS: T0 - 5 * DAY_S })
    expect(wrong(log, TIN)).toEqual(['stop item-open-too-long'])
    gasket(log, 'EPDM')
    log.put('tool-found', { toolId: TIN, fromS: T0 - 9, says: 'cracked' }, { atS: T0 })
    expect(wrong(log, TIN)).toEqual(['stop item-found-wrong'])
    log.put('store-state', { itemId: TIN, state: 'condemned' }, { atS: T0 })
    expect(wrong(log, TIN)).toEqual(['stop item-condemned'])
  })
  it('of a tin the method itself says what its plastic and date mean: said once', () => {
    const log = lineJob(1)
    putLot(log, { expiresOn: dayIn(-1) })
    const needs = [{ item: 'cement', matches: { plastic: 'pvc' } }] as unknown as typeof NEEDS
    expect(toolWrong(foldJob(log.events), [TIN], needs, T0)).toEqual([])
  })
})

describe('what is there against what is needed', () => {
  it('counts joints not made, what fits them, and what is short', () => {
    const log = lineJob(2)
    const row = (nowS = T0) =>
      shelfOf(foldJob(log.events), nowS).wanted.find(({ need }) => need.item === 'cement')
    expect(row()).toMatchObject({ joints: ['Q-1', 'Q-2', 'Q-3', 'Q-4'], there: [], short: true })
    expect(shelfHead(shelfOf(foldJob(log.events), T0))).toEqual({ kind: 'empty' })
    putLot(log, { matches: { plastic: 'abs' } })
    expect(shelfHead(shelfOf(foldJob(log.events), T0))).toMatchObject({ kind: 'short' })
    // The two schools' names of one plastic are one.
    putLot(log, { matches: { plastic: 'pvc' }, expiresOn: dayIn(10) })
    expect(row()).toMatchObject({ short: false, thereQty: null })
    expect(shelfHead(shelfOf(foldJob(log.events), T0))).toMatchObject({
      kind: 'soon',
      on: { planned: 4, joints: 0 },
    })
    log.make(joint(1), T0)
    expect(row()?.joints).toEqual(['Q-2', 'Q-3', 'Q-4'])
    expect(row(T0 + 11 * DAY_S)).toMatchObject({ there: [], short: true })
    expect(shelfHead(shelfOf(foldJob(log.events), T0 + 11 * DAY_S))).toMatchObject({ kind: 'bad', more: 0 })
  })
  it('of what is counted so many: two gaskets for four flanged joints are short', () => {
    const log = lineJob(2, { size: 'd110' })
    const line = log.events.find((e) => e.kind === 'line-set')
    if (line) line.data = { ...line.data, method: 'flange', details: {} }
    const lot = (amount: number) =>
      log.put('lot-set', {
        lotId: TIN,
        kind: 'gasket',
        name: 'L',
        matches: { size: 'd110' },
        amount,
        unit: 'count',
      })
    const row = () => shelfOf(foldJob(log.events), T0).wanted.find(({ need }) => need.item === 'gasket')
    lot(2)
    expect(row()).toMatchObject({ qty: 4, thereQty: 2, short: true })
    lot(4)
    expect(row()).toMatchObject({ qty: 4, thereQty: 4, short: false })
  })
  it('a tool is needed once, whatever measure its need says', () => {
    const { wanted } = shelfOf(foldJob(lineJob(2).events), T0)
    expect(wanted.find(({ need }) => need.item === 'applicator')).toMatchObject({ qty: 1, unit: 'count' })
  })
})

describe('recall', () => {
  it('names the joints of a thing, a person, an hour: as many as a search through every step finds', () => {
    const use = fc.record({
      n: fc.integer({ min: 1, max: 6 }),
      atS: fc.integer({ min: 0, max: 5000 }),
      tool: fc.integer({ min: 0, max: 2 }),
      who: fc.integer({ min: 1, max: 3 }),
    })
    const ask = fc.record({
      tool: fc.option(fc.integer({ min: 0, max: 2 })),
      who: fc.option(fc.integer({ min: 1, max: 3 })),
      fromS: fc.option(fc.integer({ min: 0, max: 5000 })),
      toS: fc.option(fc.integer({ min: 0, max: 5000 })),
    })
    fc.assert(
      fc.property(fc.array(use, { maxLength: 25 }), ask, (uses, asked) => {
        const log = lineJob(3)
        for (const { n, atS, tool, who } of uses) madeWith(log, n, T0 + atS, [uuid(700 + tool)], who)
        const fits = uses.filter(
          ({ atS, tool, who }) =>
            (asked.tool === null || tool === asked.tool) &&
            (asked.who === null || who === asked.who) &&
            (asked.fromS === null || atS >= asked.fromS) &&
            (asked.toS === null || atS <= asked.toS),
        )
        const state = foldJob(log.events)
        const found = recall(state, {
          ...(asked.tool === null ? {} : { itemId: uuid(700 + asked.tool) }),
          ...(asked.who === null ? {} : { personId: uuid(800_000 + asked.who) }),
          ...(asked.fromS === null ? {} : { fromS: T0 + asked.fromS }),
          ...(asked.toS === null ? {} : { toS: T0 + asked.toS }),
        })
        expect(found.map(({ tag }) => tag)).toEqual([...new Set(fits.map(({ n }) => `Q-${n}`))].sort())
        for (const tool of [0, 1, 2])
          expect(
            new Set(
              usesOf(state)
                .get(uuid(700 + tool))
                ?.map(({ jointId }) => jointId) ?? [],
            ),
          ).toEqual(new Set(uses.filter((one) => one.tool === tool).map(({ n }) => joint(n))))
      }),
      { numRuns: 60 },
    )
  })
  it('says what is out again, what was proved with it, what may lie behind a wall; a tin is found by the step it went into', () => {
    const log = lineJob(1)
    putLot(log)
    for (const n of [1, 2])
      log.put('step-done', { life: 1, step: 'fit', readings: {}, tinId: TIN }, { jointId: joint(n), atS: T0 })
    const found = () => recall(foldJob(log.events), { itemId: TIN })
    expect(found()).toMatchObject([
      { tag: 'Q-1', sections: ['Q-A'], proved: false, covered: false, cutOut: false },
      { tag: 'Q-2' },
    ])
    log.put('hold-point', { holdId: uuid(800), sectionId: SECTION, name: 'cover' })
    log.put('hold-answered', { holdId: uuid(800), answer: 'go on' })
    const plan = { bar: 9, medium: 'water', holdS: 600, allowedDropBar: 0.2, resolutionBar: 0.1 }
    log.put('test-begun', { testId: uuid(600), sectionId: SECTION, ...plan, tester: 'W' }, { atS: T0 + 900 })
    log.put('test-ended', { testId: uuid(600), verdict: 'held', dropBar: 0 }, { atS: T0 + 1800 })
    log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 2000 })
    expect(found()).toMatchObject([
      { tag: 'Q-2', proved: true, covered: true },
      { tag: 'Q-1', proved: false, covered: false, cutOut: true },
    ])
  })
})
