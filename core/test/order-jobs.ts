import seedrandom from 'seedrandom'
import type { OrderJoint, OrderQuestion, ReadyRow } from '../src/plan/order/question.js'

const HOUR = 3600
const DAY = 24 * HOUR
/** A cure that takes longer where its joint ends into the evening and the night: not first in, first out. */
const nightTable = (warmS: number, days: number): ReadyRow[] =>
  Array.from({ length: days * 24 }, (_, hour) => ({
    fromS: hour * HOUR,
    readyAfterS: hour % 24 >= 15 || hour % 24 < 5 ? Math.round((warmS * 1.8) / 60) * 60 : warmS,
  }))

/** Works that fill their days, and works that leave room in them. */
const TIGHT_MIN = [30, 45, 60, 75, 90, 110]
export const ROOMY_MIN = [10, 15, 20, 30]
/** Joints of half an hour to two, in shifts by day, with cures over cold nights. Instants are seconds from a midnight. */
export function nightJob(
  seed: number,
  joints: number,
  people: number,
  { sections = 1, minutes = TIGHT_MIN }: { sections?: number; minutes?: readonly number[] } = {},
): OrderQuestion {
  const draw = seedrandom.alea(String(seed))
  const pick = <T>(...from: T[]): T => from[Math.floor(draw() * from.length)] as T
  const days = 7 + Math.ceil((joints * 1.4) / (people * 8))
  const shifts = Array.from({ length: days }, (_, day) => [
    { fromS: day * DAY + 8 * HOUR, untilS: day * DAY + 12 * HOUR },
    { fromS: day * DAY + 13 * HOUR, untilS: day * DAY + 17 * HOUR },
  ]).flat()
  return {
    startS: 8 * HOUR,
    people: Array.from({ length: people }, (_, i) => ({
      id: `p${i}`,
      shifts,
      ...(i ? {} : { mayMake: ['a'] }),
    })),
    things: [{ kind: 'jaw', count: 1 }],
    tables: {
      warm: nightTable(4 * HOUR, days),
      cold: nightTable(9 * HOUR, days),
      big: nightTable(15 * HOUR, days),
    },
    joints: Array.from({ length: joints }, (_, i): OrderJoint => {
      const before = i > 0 && draw() < 0.5 ? [`j${Math.max(0, i - 1 - Math.floor(draw() * 4))}`] : []
      const sets = draw() < 0.5
      return {
        id: `j${i}`,
        kind: pick('a', 'b'),
        workS: pick(...minutes) * 60,
        hands: draw() < 0.2 ? 2 : 1,
        after: sets ? [] : before,
        still: sets ? before : [],
        setS: pick(0, 600, 1800),
        readyByEnd: pick('warm', 'cold', 'big'),
        things: draw() < 0.2 ? ['jaw'] : [],
        section: `s${Math.floor(draw() * sections)}`,
      }
    }),
  }
}

export const QUARTER = 900
/** Seven joints in quarters of an hour for two people over two short days, with nights between. */
export function quarterJob(seed: number): OrderQuestion {
  const draw = seedrandom.alea(`quarters ${seed}`)
  const pick = <T>(...from: T[]): T => from[Math.floor(draw() * from.length)] as T
  const shifts = [0, 1].map((day) => ({ fromS: day * 40 * QUARTER, untilS: (day * 40 + 16) * QUARTER }))
  const table: ReadyRow[] = [
    { fromS: 0, readyAfterS: 12 * QUARTER },
    { fromS: 9 * QUARTER, readyAfterS: 44 * QUARTER },
    { fromS: 40 * QUARTER, readyAfterS: 10 * QUARTER },
  ]
  return {
    startS: 0,
    people: ['one', 'other'].map((id) => ({ id, shifts })),
    tables: { night: table },
    joints: Array.from({ length: 7 }, (_, i) => ({
      id: `j${i}`,
      workS: pick(2, 3, 4, 5) * QUARTER,
      readyByEnd: 'night',
      after: i > 1 && draw() < 0.3 ? [`j${i - 2}`] : [],
    })),
  }
}
/** The same as a model over every quarter: x = 1 where a joint begins then; least z, the quarter in which all are ready. */
export function timeIndexed({ people, joints, tables }: OrderQuestion): string {
  const shifts = people[0]?.shifts ?? []
  const rows = tables?.night ?? []
  const last = Math.max(...shifts.map(({ untilS }) => untilS)) / QUARTER
  const works = joints.map(({ workS }) => workS / QUARTER)
  const starts = works.map((work) =>
    Array.from({ length: last }, (_, t) => t).filter((t) =>
      shifts.some(({ fromS, untilS }) => fromS <= t * QUARTER && (t + work) * QUARTER <= untilS),
    ),
  )
  const readyOf = (end: number): number =>
    end + (rows.filter(({ fromS }) => fromS <= end * QUARTER).at(-1)?.readyAfterS ?? 0) / QUARTER
  const sum = (terms: string[]): string =>
    terms.map((term, i) => (i % 8 === 7 ? `${term}\n` : term)).join(' + ')
  const begin = (j: number, of: (t: number) => number): string =>
    sum((starts[j] ?? []).map((t) => `${of(t)} x${j}_${t}`))
  const lines = joints.flatMap(({ after }, j) => [
    ` once${j}: ${begin(j, () => 1)} = 1`,
    ` z - ${begin(j, (t) => readyOf(t + (works[j] as number))).replace(/ \+ /g, ' - ')} >= 0`,
    ...(after ?? []).map((id) => {
      const first = joints.findIndex((joint) => joint.id === id)
      return ` ${begin(j, (t) => t)} - ${begin(first, (t) => t + (works[first] as number)).replace(/ \+ /g, ' - ')} >= 0`
    }),
  ])
  const busy = Array.from({ length: last }, (_, t) => {
    const over = starts.flatMap((own, j) =>
      own.filter((s) => s <= t && t < s + (works[j] as number)).map((s) => `1 x${j}_${s}`),
    )
    return over.length ? [` ${sum(over)} <= ${people.length}`] : []
  }).flat()
  const names = starts.flatMap((own, j) => own.map((t) => `x${j}_${t}`))
  return ['Minimize', ' obj: z', 'Subject To', ...lines, ...busy, 'Binary', names.join('\n'), 'End'].join(
    '\n',
  )
}
