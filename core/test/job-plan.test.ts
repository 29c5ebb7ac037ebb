import {
  type CrewMember,
  allFacts,
  askPlan,
  bestPlan,
  chainTo,
  foldJob,
  movedFrom,
  shiftsOf,
  shutdownsSeen,
  waitingIsSooner,
} from '../src/index.js'
import { checkOrder } from '../src/plan/order/check-order.js'
import { planOrder } from '../src/plan/order/plan-order.js'
import type { OrderQuestion } from '../src/plan/order/question.js'
import { type Log, joint, lineJob, uuid, walls } from './make-job.js'

const H = 3600
/** A Monday at eight, UTC. */
const MONDAY = Date.UTC(2026, 10, 30, 8) / 1000
const DAYS = [1, 2, 3, 4, 5]
const member = (id: string, more: Partial<CrewMember> = {}): CrewMember => ({
  id,
  name: id,
  days: DAYS,
  fromMin: 480,
  untilMin: 1020,
  ...more,
})
const crew = (log: Log, ...people: CrewMember[]): void =>
  void log.put('crew-set', { people }, { atS: MONDAY - H })
const planned = (log: Log, nowS = MONDAY, wish = {}) => {
  const state = foldJob(log.events)
  const found = askPlan(state, allFacts(state, nowS), nowS, { aim: 'last', ...wish })
  if (!found.ok) throw new Error(found.stuck.code)
  const { plan, at } = bestPlan(found.ask.asked, { effortS: 0.05 })
  const { question } = found.ask.asked[at] as (typeof found.ask.asked)[number]
  expect(checkOrder(question, plan)).toEqual([])
  return { state, plan, question, how: found.ask.how }
}
/** Joints of a d110 line in one section at 9 bar, with a day of wall temperatures. */
const nightJob = (
  temperatures: (hour: number) => number,
  pieces = 3,
  size = 'd63',
  testBar = 9,
  way?: { method: string; material: string },
): Log => {
  const log = lineJob(pieces, { size, testBar, ...(way ? { way } : {}) })
  const jointIds = Array.from({ length: pieces * 2 }, (_, i) => joint(i + 1))
  log.put('section-set', {
    sectionId: uuid(70),
    tag: 'Q-A',
    jointIds,
    workingBar: 6,
    testBar,
    holdS: 3600,
    allowedDropBar: 0.2,
  })
  walls(
    log,
    MONDAY - 24 * H,
    Array.from({ length: 25 }, (_, hour) => temperatures((8 + hour) % 24)),
  )
  return log
}

describe('shifts', () => {
  it('a break parts them, weekends are free, clocks that change are counted', () => {
    const spans = shiftsOf(
      member('w', { breakFromMin: 720, breakUntilMin: 750 }),
      MONDAY,
      MONDAY + 7 * 24 * H,
      'UTC',
    )
    expect(spans).toHaveLength(10)
    expect(spans.slice(0, 3)).toEqual([
      { fromS: MONDAY, untilS: MONDAY + 4 * H },
      { fromS: MONDAY + 4.5 * H, untilS: MONDAY + 9 * H },
      { fromS: MONDAY + 24 * H, untilS: MONDAY + 28 * H },
    ])
    const night = shiftsOf(
      member('n', { fromMin: 1320, untilMin: 360, days: [1] }),
      MONDAY,
      MONDAY + 7 * 24 * H,
      'UTC',
    )
    expect(night).toEqual([{ fromS: MONDAY + 14 * H, untilS: MONDAY + 22 * H }])
    // 25 October 2026: clocks go back at two in the morning, the shift over it is an hour longer.
    const autumn = Date.UTC(2026, 9, 24, 12) / 1000
    const [long] = shiftsOf(
      member('n', { fromMin: 1320, untilMin: 360, days: [6] }),
      autumn,
      autumn + 48 * H,
      'Europe/London',
    )
    expect((long?.untilS ?? 0) - (long?.fromS ?? 0)).toBe(9 * H)
  })
})
describe('a job as a question', () => {
  it('one pair of hands makes them along the line, two are never later; each waits for the set before it', () => {
    const log = nightJob(() => 15)
    crew(log, member('wren'))
    const one = planned(log)
    expect(one.plan.proven).toBe(true)
    expect(new Set(one.plan.plan.map(({ id }) => id)).size).toBe(6)
    expect([...one.how.values()]).toEqual(['last-day'])
    crew(log, member('wren'), member('teal'))
    expect(planned(log).plan.valueS as number).toBeLessThanOrEqual(one.plan.valueS as number)
    const chain = chainTo(one.question, one.plan, one.plan.sections[0]?.heldBy ?? '')
    expect(chain.length).toBeGreaterThan(1)
    expect(chain.at(-1)?.because.why).toBe('begin')
  })
  it('on the way to another line time is lost, and the chain names whose hands were full before it', () => {
    const joint = (id: string, group: string) => ({ id, group, workS: 600, readyAfterS: 0 })
    const question: OrderQuestion = {
      startS: 0,
      walkS: 300,
      people: [{ id: 'wren', shifts: [{ fromS: 0, untilS: 36_000 }] }],
      joints: [joint('A', 'q'), joint('B', 'r'), joint('C', 'q')],
    }
    const plan = planOrder(question)
    expect(checkOrder(question, plan)).toEqual([])
    // Two of one line, the way, one of the other: no order is sooner.
    expect([plan.valueS, plan.proven]).toEqual([2100, true])
    const last = plan.plan.at(-1)?.id ?? ''
    expect(chainTo(question, plan, last).map(({ because }) => because.why)).toEqual([
      'hands',
      'hands',
      'begin',
    ])
    const hurried = plan.plan.map((one, i) =>
      i === 2 ? { ...one, startS: one.startS - 300, endS: one.endS - 300 } : one,
    )
    expect(checkOrder(question, { ...plan, plan: hurried }).join()).toContain('no time from')
  })
  it('what belongs to no section holds up none: it is made when it can', () => {
    const question: OrderQuestion = {
      startS: 0,
      aside: true,
      people: [{ id: 'wren', shifts: [{ fromS: 0, untilS: 36_000 }] }],
      joints: [
        { id: 'A', workS: 9000, readyAfterS: 0 },
        { id: 'B', workS: 600, readyAfterS: 60, section: 'Q-A' },
      ],
    }
    const plan = planOrder(question)
    expect(checkOrder(question, plan)).toEqual([])
    expect([plan.valueS, plan.proven, plan.plan.map(({ id }) => id)]).toEqual([660, true, ['B', 'A']])
    expect(planOrder({ ...question, aside: false }).valueS).toBeGreaterThan(9000)
  })
  it('in front of a cold night waiting is sooner, and it says so', () => {
    // 12 h at 12 bar, unless a reading below 10 °C falls into them: then the inch row, far longer.
    const log = nightJob((hour) => (hour >= 23 || hour < 6 ? 6 : 14), 1, 'd110', 12)
    crew(log, member('wren'), member('teal'))
    const late = planned(log, MONDAY + 7 * H)
    const waits = waitingIsSooner(late.question, late.plan)
    expect(waits.length).toBeGreaterThan(0)
    for (const one of waits) expect(one.readyAtS).toBeLessThan(one.thenReadyS)
    expect(late.plan.plan.every(({ startS }) => startS >= MONDAY + 24 * H)).toBe(true)
  })
  it('colder by 3 K is never sooner, nor is one person fewer', () => {
    const log = nightJob((hour) => (hour >= 18 || hour < 7 ? 11 : 16))
    crew(log, member('wren'), member('teal'))
    const { valueS } = planned(log).plan
    expect(planned(log, MONDAY, { colderK: 3 }).plan.valueS as number).toBeGreaterThanOrEqual(
      valueS as number,
    )
    expect(planned(log, MONDAY, { without: 'teal' }).plan.valueS as number).toBeGreaterThanOrEqual(
      valueS as number,
    )
  })
  it('what somebody fixed stays, a plan that was pinned is compared with what is now', () => {
    const log = nightJob(() => 15)
    crew(log, member('wren'), member('teal'))
    const { plan } = planned(log)
    const first = plan.plan[0] as (typeof plan.plan)[number]
    log.put(
      'plan-pinned',
      {
        aim: 'last',
        joints: plan.plan.map(({ id, startS, endS, people }) => ({
          jointId: id,
          startS,
          endS,
          crew: people,
        })),
        valueS: plan.valueS as number,
        boundS: plan.boundS as number,
      },
      { atS: MONDAY },
    )
    const again = planned(log)
    expect(movedFrom(again.state.plan.pinned as never, again.plan.plan)).toEqual([])
    const startS = MONDAY + 3 * H
    log.put('joint-fixed', { crew: ['teal'], startS }, { jointId: first.id, atS: MONDAY })
    const fixed = planned(log)
    const own = fixed.plan.plan.find(({ id }) => id === first.id)
    expect([own?.startS, own?.people]).toEqual([startS, ['teal']])
    expect(fixed.plan.valueS as number).toBeGreaterThanOrEqual(plan.valueS as number)
    expect(movedFrom(fixed.state.plan.pinned as never, fixed.plan.plan).length).toBeGreaterThan(0)
  })
  it('nobody there, and nobody who may: said with the joint', () => {
    const log = nightJob(() => 15)
    const state = foldJob(log.events)
    expect(askPlan(state, allFacts(state, MONDAY), MONDAY, { aim: 'last' })).toMatchObject({
      ok: false,
      stuck: { code: 'no-crew' },
    })
    crew(log, member('wren', { makes: ['press'] }))
    const other = foldJob(log.events)
    expect(askPlan(other, allFacts(other, MONDAY), MONDAY, { aim: 'last' })).toMatchObject({
      ok: false,
      stuck: { code: 'nobody-may', jointId: joint(1) },
    })
  })
})

describe('times that others set', () => {
  const shut = (log: Log, sectionId: string, more = {}): void =>
    void log.put(
      'shutdown-set',
      {
        sectionId,
        shut: { fromS: MONDAY + 2 * H, untilS: MONDAY + 30 * H, beforeMin: 45, afterMin: 60, ...more },
      },
      { atS: MONDAY - H },
    )
  const seenOf = ({ state, plan, question }: ReturnType<typeof planned>) => {
    const own = new Map(question.joints.map(({ id, section }) => [id, section ?? null]))
    return shutdownsSeen(state.plan.shutdowns, plan, (id) => own.get(id) ?? null)
  }
  it('a section that is shut down is worked on once it is empty, and what is in hand is reckoned to its end', () => {
    const log = nightJob(() => 15)
    crew(log, member('wren'), member('teal'))
    const free = planned(log)
    const sectionId = free.question.joints[0]?.section ?? ''
    expect(seenOf(free)).toEqual([])
    shut(log, sectionId)
    const found = planned(log)
    const beginS = MONDAY + 2.75 * H
    expect(Math.min(...found.plan.plan.map(({ startS }) => startS))).toBe(beginS)
    expect(found.plan.valueS as number).toBeGreaterThan(free.plan.valueS as number)
    const readyAtS = found.plan.sections.find(({ id }) => id === sectionId)?.readyAtS as number
    const marginS = MONDAY + 30 * H - (readyAtS + H)
    expect(seenOf(found)).toMatchObject([{ sectionId, beginS, readyAtS, doneS: readyAtS + H, marginS }])
    // Shorter it does not fit, and says by how much.
    shut(log, sectionId, { untilS: readyAtS + H - 1500 })
    expect(seenOf(planned(log))).toMatchObject([{ marginS: -1500 }])
    // Taken back, it is as if it had never been.
    log.put('shutdown-set', { sectionId }, { atS: MONDAY - H })
    expect(planned(log).plan.plan).toEqual(free.plan.plan)
  })
  it('hot work is planned inside its permits, and after the last that is written down', () => {
    const log = nightJob(() => 15, 3, 'd22', 9, { method: 'solder', material: 'copper' })
    crew(log, member('wren'))
    const free = planned(log)
    expect(free.question.joints.every(({ within }) => !within)).toBe(true)
    const permit = (fromH: number, untilH: number): void =>
      void log.put(
        'permit-set',
        { what: 'hot-work', number: '7', fromS: MONDAY + fromH * H, untilS: MONDAY + untilH * H },
        { atS: MONDAY - H },
      )
    permit(-5, -1)
    permit(3, 3.5)
    permit(5, 6)
    const { plan, question } = planned(log)
    const spans = [
      [3, 3.5],
      [5, 6],
      [6, Infinity],
    ].map(([from = 0, until = 0]) => [MONDAY + from * H, MONDAY + until * H] as const)
    expect(question.joints.every(({ within }) => within?.length === 3)).toBe(true)
    for (const { startS, endS } of plan.plan)
      expect(spans.some(([fromS, untilS]) => fromS <= startS && endS <= untilS)).toBe(true)
    expect(Math.min(...plan.plan.map(({ startS }) => startS))).toBe(MONDAY + 3 * H)
  })
})
