import type { OrderAim, OrderJoint, OrderQuestion, ReadyRow, ShiftSpan } from './question.js'

/** Ends between these are ready so much later. */
export interface Segment {
  fromS: number
  /** The last end that counts here. */
  lastS: number
  afterS: number
}
/** One that must have ended so long before. */
export interface Link {
  task: number
  lagS: number
}
/** A joint that is not made, with everything named by its number. */
export interface Task {
  index: number
  id: string
  workS: number
  hands: number
  who: readonly number[]
  things: readonly number[]
  keepS: number
  /** What it belongs together with, by number; -1: nothing. */
  group: number
  before: readonly Link[]
  next: readonly Link[]
  /** It does not start before. */
  earliestS: number
  /** It has ended by then. */
  latestEndS: number
  /** It lies whole in one of these; null: at any time. */
  within: readonly ShiftSpan[] | null
  fixedS: number | null
  table: readonly Segment[]
  section: number
  /** Its section must be ready by then. */
  readyByS: number
}
export interface SectionModel {
  id: string | null
  /** 0: it counts for nothing. */
  weight: number
  /** When what is made of it is ready; -Infinity: nothing is. */
  doneReadyS: number
  /** The same of each joint that is made. */
  doneReady: Map<string, number>
  byS: number
}
export interface OrderModel {
  startS: number
  aim: OrderAim
  /** Time lost between work of two groups, seconds. */
  walkS: number
  people: readonly { id: string; shifts: readonly { fromS: number; untilS: number }[] }[]
  things: readonly { kind: string; count: number }[]
  tasks: readonly Task[]
  sections: readonly SectionModel[]
}

const ALWAYS: readonly ReadyRow[] = [{ fromS: -Infinity, readyAfterS: 0 }]
function rowsOf(joint: OrderJoint, question: OrderQuestion): readonly ReadyRow[] {
  if (typeof joint.readyAfterS === 'number') return [{ fromS: -Infinity, readyAfterS: joint.readyAfterS }]
  if (typeof joint.readyByEnd === 'string') return question.tables?.[joint.readyByEnd] ?? ALWAYS
  return joint.readyByEnd ?? ALWAYS
}
const segmentsOf = (rows: readonly ReadyRow[]): Segment[] =>
  rows.map((row, i) => ({
    fromS: i === 0 ? -Infinity : row.fromS,
    lastS: (rows[i + 1]?.fromS ?? Infinity) - 1,
    afterS: row.readyAfterS,
  }))
/** How long after an end at `endS` it is ready, seconds. */
export function readyAfter(table: readonly Segment[], endS: number): number {
  return (table[segmentAt(table, endS)] as Segment).afterS
}
/** When a joint of a question that ends at `endS` is ready. */
export const readyAtOf = (question: OrderQuestion, joint: OrderJoint, endS: number): number =>
  endS + readyAfter(segmentsOf(rowsOf(joint, question)), endS)
/** Number of the segment that an end falls into. */
export function segmentAt(table: readonly Segment[], endS: number): number {
  let low = 0
  let high = table.length - 1
  while (low < high) {
    const middle = (low + high) >> 1
    if ((table[middle] as Segment).lastS < endS) low = middle + 1
    else high = middle
  }
  return low
}

function sectionsOf(question: OrderQuestion, segments: (joint: OrderJoint) => Segment[]): SectionModel[] {
  const named = new Map((question.sections ?? []).map((section) => [section.id, section]))
  const out = new Map<string | null, SectionModel>()
  for (const joint of question.joints) {
    const id = joint.section ?? null
    const asked = id === null ? undefined : named.get(id)
    const own = out.get(id) ?? {
      id,
      weight: id === null && question.aside ? 0 : (asked?.weight ?? 1),
      byS: asked?.byS ?? Infinity,
      doneReadyS: -Infinity,
      doneReady: new Map<string, number>(),
    }
    out.set(id, own)
    if (typeof joint.doneAtS !== 'number') continue
    const readyS = joint.doneAtS + readyAfter(segments(joint), joint.doneAtS)
    own.doneReady.set(joint.id, readyS)
    own.doneReadyS = Math.max(own.doneReadyS, readyS)
  }
  return [...out.values()]
}

/** Numbers of those who may make a joint. */
function makersOf(joint: OrderJoint, { people }: OrderQuestion): number[] {
  const only = joint.people ? new Set(joint.people) : null
  return people.flatMap((person, at) =>
    (only === null || only.has(person.id)) &&
    (!person.mayMake || !joint.kind || person.mayMake.includes(joint.kind))
      ? [at]
      : [],
  )
}
/** What a joint waits for: joints that are not made, by number, and the time until which those that are hold it up. */
function waitsOf(
  joint: OrderJoint,
  joints: ReadonlyMap<string, OrderJoint>,
  index: ReadonlyMap<string, number>,
): { before: Link[]; heldS: number } {
  const before: Link[] = []
  let heldS = -Infinity
  const wait = (id: string, lagS: number): void => {
    const task = index.get(id)
    if (task === undefined) heldS = Math.max(heldS, (joints.get(id)?.doneAtS ?? -Infinity) + lagS)
    else before.push({ task, lagS })
  }
  for (const id of joint.after ?? []) wait(id, 0)
  for (const id of joint.still ?? []) wait(id, joints.get(id)?.setS ?? 0)
  return { before, heldS }
}

/**
 * The model of a question that was found sound: joints that are not made, by number, those that are made only as times.
 * A fixed joint bounds what comes before it.
 */
export function modelOf(question: OrderQuestion): OrderModel {
  const { startS } = question
  const known = new Map<readonly ReadyRow[], Segment[]>()
  const segments = (joint: OrderJoint): Segment[] => {
    const rows = rowsOf(joint, question)
    const own = known.get(rows) ?? segmentsOf(rows)
    known.set(rows, own)
    return own
  }
  const sections = sectionsOf(question, segments)
  const sectionIndex = new Map(sections.map((section, i) => [section.id, i]))
  const joints = new Map(question.joints.map((joint) => [joint.id, joint]))
  const open = question.joints.filter((joint) => typeof joint.doneAtS !== 'number')
  const index = new Map(open.map((joint, i) => [joint.id, i]))
  const thingIndex = new Map((question.things ?? []).map((thing, i) => [thing.kind, i]))
  const next: Link[][] = open.map(() => [])
  const groups = [...new Set(open.flatMap(({ group }) => (group ? [group] : [])))]
  const tasks = open.map((joint, i): Task => {
    const { before, heldS } = waitsOf(joint, joints, index)
    for (const { task, lagS } of before) next[task]?.push({ task: i, lagS })
    const section = sectionIndex.get(joint.section ?? null) as number
    const fixedS = joint.startS ?? null
    return {
      index: i,
      id: joint.id,
      workS: joint.workS,
      hands: joint.hands ?? 1,
      who: makersOf(joint, question),
      things: [...new Set(joint.things ?? [])].map((kind) => thingIndex.get(kind) as number),
      keepS: joint.keepS ?? 0,
      group: groups.indexOf(joint.group ?? ''),
      before,
      next: next[i] as Link[],
      // Only what is fixed may have begun before the plan.
      earliestS: Math.max(fixedS === null ? startS : -Infinity, joint.notBeforeS ?? -Infinity, heldS),
      latestEndS: joint.endByS ?? Infinity,
      within: joint.within ?? null,
      fixedS,
      table: segments(joint),
      section,
      readyByS: sections[section]?.byS ?? Infinity,
    }
  })
  return {
    startS,
    aim: question.aim ?? 'last-ready',
    walkS: question.walkS ?? 0,
    people: question.people.map(({ id, shifts }) => ({ id, shifts })),
    things: question.things ?? [],
    tasks: boundedByFixed(tasks),
    sections,
  }
}

/** What must end before something fixed ends by then, and so on back. */
function boundedByFixed(tasks: Task[]): Task[] {
  const settle = (task: Task, seen: Set<number>): number => {
    if (seen.has(task.index)) return task.latestEndS
    seen.add(task.index)
    for (const { task: later, lagS } of task.next) {
      const other = tasks[later] as Task
      const endS = settle(other, seen)
      const startS = Math.min(endS - other.workS, other.fixedS ?? Infinity)
      task.latestEndS = Math.min(task.latestEndS, startS - lagS)
    }
    return task.latestEndS
  }
  const seen = new Set<number>()
  for (const task of tasks) settle(task, seen)
  return tasks
}
