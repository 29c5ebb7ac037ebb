import { greatest } from '../../units/extent.js'
import type { OrderModel, Task } from './model.js'
import type { OrderReason } from './question.js'
import { Room, readyOf } from './room.js'

const reason = (
  code: string,
  message: string,
  { joint = null, section = null, mend }: { joint?: string | null; section?: string | null; mend: string[] },
): OrderReason => ({ code, level: 'stop', message, joint, section, mend })
const hours = (seconds: number): string => `${Math.round((seconds / 3600) * 100) / 100} h`

/** A section of which a joint that is made is ready too late already; null: there is none. */
export function lateAlready(model: OrderModel): OrderReason | null {
  for (const { id, byS, doneReady } of model.sections)
    for (const [joint, readyS] of doneReady)
      if (readyS > byS)
        return reason(
          'made-too-late',
          `${joint} is made and is ready at ${readyS}; section ${id} was to be ready by ${byS}.`,
          {
            joint,
            section: id,
            mend: ['Give the section a later time.', 'Test it at a lower pressure first.'],
          },
        )
  return null
}

/** Why a joint cannot be where it is fixed. */
export function whyNotFixed(task: Task): OrderReason {
  return reason(
    'fixed-cannot',
    `${task.id} is fixed at ${task.fixedS}; there it has not the people, the things or the time it needs.`,
    { joint: task.id, mend: ['Fix it at another time.', 'Let it go, so that the plan places it.'] },
  )
}

/** Why a joint has no place, though it were alone. @param index of the first that has none. */
export function whyNot(model: OrderModel, index: number): OrderReason {
  const task = model.tasks[index] as Task
  const empty = new Room(model)
  const joint = task.id
  const section = model.sections[task.section]?.id ?? null
  const free: Task = { ...task, fixedS: null, latestEndS: Infinity, readyByS: Infinity }
  if (!empty.spot(free, -Infinity, Infinity)) {
    if (task.within && empty.spot({ ...free, within: null }, -Infinity, Infinity))
      return reason(
        'outside-its-window',
        `${joint} takes ${hours(task.workS)}; at no time when it may be made is somebody there for so long.`,
        { joint, mend: ['Let it be made at another time.', 'Add a shift then.'] },
      )
    const longestS = greatest(
      task.who.flatMap((person) => model.people[person]?.shifts.map((s) => s.untilS - s.fromS) ?? []),
    )
    if (longestS < task.workS)
      return reason(
        'longer-than-a-shift',
        `${joint} takes ${hours(task.workS)} without a break; the longest shift of who may make it is ${hours(Math.max(0, longestS))}.`,
        { joint, mend: ['Give somebody a longer shift.', 'Let more hands make it sooner.'] },
      )
    return reason(
      'no-shift-left',
      `${joint} takes ${hours(task.workS)} and ${task.hands === 1 ? 'one pair of hands' : `${task.hands} people`}; from ${task.earliestS} on no shift has that together.`,
      { joint, mend: ['Add a shift.', 'Let other people make it.'] },
    )
  }
  if (task.fixedS !== null) return whyNotFixed(task)
  const alone = empty.spot({ ...free, latestEndS: task.latestEndS }, -Infinity, Infinity)
  if (alone && Number.isFinite(task.readyByS) && !empty.spot(task, -Infinity, Infinity))
    return reason(
      'ready-too-late',
      `${joint} is ready at ${readyOf(task, alone.startS)} if it is made first of all; section ${section} must be ready by ${task.readyByS}.`,
      {
        joint,
        section,
        mend: ['Give the section a later time.', 'Begin earlier.', 'Test it at a lower pressure first.'],
      },
    )
  return reason(
    'ends-too-late',
    `${joint} cannot have ended when it must: what comes before it, its own time and what waits for it do not fit.`,
    { joint, section, mend: ['Give it a later time.', 'Begin earlier.', 'Add a shift before it.'] },
  )
}

/** Why all of them together have no place, though each alone had one. */
export function whyNotEnough(model: OrderModel): OrderReason[] {
  const bound = model.tasks.filter(
    (task) => Number.isFinite(task.latestEndS) || Number.isFinite(task.readyByS) || task.fixedS !== null,
  )
  const tightest = [...(bound.length ? bound : model.tasks)].sort(
    (one, other) => Math.min(one.latestEndS, one.readyByS) - Math.min(other.latestEndS, other.readyByS),
  )[0]
  const work = model.tasks.reduce((sum, task) => sum + task.workS * task.hands, 0)
  return [
    reason(
      'not-enough-time',
      `${model.tasks.length} joints ask for ${hours(work)} of work; with these people, things and times not all of it goes in.`,
      {
        joint: tightest?.id ?? null,
        section: tightest ? (model.sections[tightest.section]?.id ?? null) : null,
        mend: ['Add a person.', 'Add a shift.', 'Give it a later time.'],
      },
    ),
  ]
}
