import type { OrderJoint, OrderQuestion, ReadyRow, ShiftSpan } from './question.js'

/** What is wrong with a question, where, and whether something is only absent. */
export interface OrderFault {
  field: string
  message: string
  code: 'bad-input' | 'missing-field'
}
export const MOST_JOINTS = 300

type Say = (field: string, message: string, code?: OrderFault['code']) => void

function doubles<K extends string>(
  list: string,
  all: readonly Readonly<Record<K, string>>[],
  key: K,
  say: Say,
): void {
  const seen = new Set<string>()
  all.forEach((one, i) => {
    if (seen.has(one[key])) say(`${list}[${i}].${key}`, `${one[key]} is there twice.`)
    seen.add(one[key])
  })
}
function tableFaults(rows: readonly ReadyRow[], startS: number, field: string, say: Say): void {
  const first = rows[0]
  if (!first) return say(field, 'The table has no row.')
  if (first.fromS > startS)
    say(`${field}[0].fromS`, 'The first row must begin at or before the start of the plan.')
  rows.forEach((row, i) => {
    const before = rows[i - 1]
    if (before && row.fromS <= before.fromS) say(`${field}[${i}].fromS`, 'The rows must ascend.')
  })
}
function shiftFaults(question: OrderQuestion, say: Say): void {
  question.people.forEach((person, at) =>
    person.shifts.forEach((shift, i) => {
      const field = `people[${at}].shifts[${i}]`
      if (shift.untilS <= shift.fromS)
        say(`${field}.untilS`, `A shift of ${person.id} ends before it begins.`)
      const before = person.shifts[i - 1]
      if (before && shift.fromS < before.untilS)
        say(`${field}.fromS`, `Shifts of ${person.id} must ascend and must not overlap.`)
    }),
  )
}
function spanFaults(spans: readonly ShiftSpan[], field: string, what: string, say: Say): void {
  spans.forEach((span, i) => {
    if (span.untilS <= span.fromS) say(`${field}[${i}].untilS`, `${what} ends before it begins.`)
    if (span.fromS < (spans[i - 1]?.untilS ?? -Infinity))
      say(`${field}[${i}].fromS`, `${what} must ascend and must not overlap.`)
  })
}
function handsFaults(question: OrderQuestion, joint: OrderJoint, field: string, say: Say): void {
  if (typeof joint.doneAtS === 'number') return
  const only = joint.people ? new Set(joint.people) : null
  const asked = question.people.filter((person) => only === null || only.has(person.id))
  const able = asked.filter((person) => !person.mayMake || !joint.kind || person.mayMake.includes(joint.kind))
  const hands = joint.hands ?? 1
  if (asked.length < hands)
    say(
      joint.hands === undefined && joint.people ? `${field}.people` : `${field}.hands`,
      `${joint.id} takes ${hands} people; there are ${asked.length}.`,
    )
  else if (!able.length) say(`${field}.kind`, `Nobody may make ${joint.id} (${joint.kind}).`)
  else if (able.length < hands)
    say(`${field}.hands`, `${joint.id} takes ${hands} people; ${able.length} may make it.`)
}
function jointFaults(question: OrderQuestion, say: Say): void {
  const ids = new Set(question.joints.map(({ id }) => id))
  const people = new Set(question.people.map(({ id }) => id))
  const things = new Map((question.things ?? []).map(({ kind, count }) => [kind, count]))
  question.joints.forEach((joint, j) => {
    const field = `joints[${j}]`
    for (const name of ['after', 'still'] as const)
      joint[name]?.forEach((id, i) => {
        if (!ids.has(id)) say(`${field}.${name}[${i}]`, `${id} is no joint of this plan.`)
      })
    joint.people?.forEach((id, i) => {
      if (!people.has(id)) say(`${field}.people[${i}]`, `${id} is nobody of this plan.`)
    })
    joint.things?.forEach((kind, i) => {
      if (typeof joint.doneAtS === 'number' && things.has(kind)) return
      if (!things.get(kind)) say(`${field}.things[${i}]`, `There is no ${kind}.`)
    })
    handsFaults(question, joint, field, say)
    const constant = typeof joint.readyAfterS === 'number'
    const table = joint.readyByEnd ?? null
    if (constant && table !== null) say(`${field}.readyByEnd`, 'Give readyAfterS or readyByEnd, not both.')
    if (!constant && table === null)
      say(
        `${field}.readyAfterS`,
        `When ${joint.id} is ready is missing: readyAfterS or readyByEnd.`,
        'missing-field',
      )
    if (typeof table === 'string') {
      if (!Object.hasOwn(question.tables ?? {}, table))
        say(`${field}.readyByEnd`, `There is no table ${table}.`)
    } else if (table) tableFaults(table, question.startS, `${field}.readyByEnd`, say)
    if (typeof joint.doneAtS === 'number' && joint.doneAtS > question.startS)
      say(`${field}.doneAtS`, `${joint.id} cannot be home after the plan begins.`)
    spanFaults(joint.within ?? [], `${field}.within`, `When ${joint.id} may be made`, say)
    if (
      typeof joint.endByS === 'number' &&
      typeof joint.notBeforeS === 'number' &&
      joint.endByS < joint.notBeforeS
    )
      say(`${field}.endByS`, `${joint.id} must end before it may begin.`)
  })
}
/** A joint that waits for itself, by the way round; null: there is none. */
export function circleOf(joints: readonly OrderJoint[]): { field: string; way: string[] } | null {
  const index = new Map(joints.map(({ id }, i) => [id, i]))
  const state = new Uint8Array(joints.length)
  // By hand instead of by calls: a chain of some thousand joints is no circle.
  for (let first = 0; first < joints.length; first++) {
    const path: { at: number; links: { field: string; to: number }[]; next: number }[] = []
    const open = (at: number): void => {
      state[at] = 1
      const joint = joints[at] as OrderJoint
      const links = (['after', 'still'] as const).flatMap((name) =>
        (joint[name] ?? []).flatMap((id, i) => {
          const to = index.get(id)
          return to === undefined ? [] : [{ field: `joints[${at}].${name}[${i}]`, to }]
        }),
      )
      path.push({ at, links, next: 0 })
    }
    if (state[first] === 0) open(first)
    while (path.length) {
      const here = path[path.length - 1] as (typeof path)[number]
      const link = here.links[here.next++]
      if (!link) {
        state[here.at] = 2
        path.pop()
      } else if (state[link.to] === 1) {
        const from = path.findIndex(({ at }) => at === link.to)
        const way = path.slice(from).map(({ at }) => joints[at]?.id ?? '')
        return { field: link.field, way: [...way, joints[link.to]?.id ?? ''] }
      } else if (state[link.to] === 0) open(link.to)
    }
  }
  return null
}

/** Everything that is wrong with a question, in the order of its fields. */
export function orderFaults(question: OrderQuestion): OrderFault[] {
  const out: OrderFault[] = []
  const say: Say = (field, message, code = 'bad-input') => void out.push({ field, message, code })
  doubles('people', question.people, 'id', say)
  shiftFaults(question, say)
  doubles('things', question.things ?? [], 'kind', say)
  for (const [name, rows] of Object.entries(question.tables ?? {}))
    tableFaults(rows, question.startS, `tables.${name}`, say)
  doubles('joints', question.joints, 'id', say)
  jointFaults(question, say)
  doubles('sections', question.sections ?? [], 'id', say)
  const circle = out.length ? null : circleOf(question.joints)
  if (circle)
    say(circle.field, `${circle.way[0]} waits for itself: ${circle.way.slice(0, 12).join(' after ')}.`)
  return out
}
