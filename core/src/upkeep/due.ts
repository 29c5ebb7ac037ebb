import { addMonths } from '../joint/tin-date.js'
import { daysAfter } from '../joint/standing.js'
import type { JointFacts } from '../joint/assess.js'
import type { CareDone, Device, JobState, SaidInterval, Section, Upkeep } from '../log/state.js'
import type { Care } from '../methods/method.js'
import type { AnyMsg } from '../words/words.js'
import { tagOrder } from '../units/tag-order.js'
import { dayOf } from '../units/zone.js'
import { devicesCares } from './devices.js'

/** One joint or device that is looked after, as to one care. Days as YYYY-MM-DD, where the job is. */
export interface CareItem {
  /** Of the joint or the device. */
  id: string
  tag: string
  joint: boolean
  care: Care
  /** Null: nothing says when, or it is done with. */
  dueOn: string | null
  /** Times it was opened since its gasket was new; null where nobody counts. */
  openings: number | null
  /** All that was done to it since it was made or put in, in order of time. */
  done: readonly CareDone[]
  /** When it was last done what this care asks for. */
  last: CareDone | null
  /** Torque it was made with, and when, epoch s; null: none was read. Nm. */
  madeNm: number | null
  madeAtS: number | null
  /** Torque it was last left at, Nm; null: none was read. */
  leftNm: number | null
}
/** What is done to one device, or to all joints of a section that ask for it alike. */
export interface CareTask {
  /** Names it in lists: section, care and device. */
  key: string
  section: Section
  /** As entries name it: way of joining or device, and care. */
  care: string
  does: Care
  device: Device | null
  /** Where a maker or the plant says how often. */
  said: SaidInterval | null
  /** Those that are due first stand first. */
  items: readonly CareItem[]
  dueOn: string | null
}
/**
 * What an entry names a care by, as it is said.
 * @example careNamed('sanitary-clamp/gasket').code // 'care-gasket'
 */
export const careNamed = (name: string): AnyMsg => ({
  code: `care-${name.slice(name.indexOf('/') + 1)}`,
  params: {},
})
/** late: its day is over. soon: within thirty days. unsaid: nobody says how often. as-it-comes: it is never due. */
export type CareStands = 'late' | 'soon' | 'later' | 'unsaid' | 'as-it-comes' | 'done'
/** So many days before it is due a care is told of: as with what is in the store. */
const SOON_DAYS = 30

const later = (...days: readonly (string | null)[]): string =>
  days.reduce<string>((latest, day) => (day !== null && day > latest ? day : latest), '')
const earlier = (one: string | null, other: string | null): string | null =>
  one === null || other === null ? (one ?? other) : one < other ? one : other

/** What is looked after of one thing: since when it is there, and in use; epoch s, and days where the job is. */
interface Subject {
  id: string
  tag: string
  joint: boolean
  sinceS: number
  inUseOn: string
  /** Torque it had when it was made, Nm. */
  madeNm: number | null
  done: readonly CareDone[]
  /** What is done by each care it asks for, by their names. */
  acts: ReadonlyMap<string, Care['act']>
  zone: string
}
const dayDone = (subject: Subject, one: CareDone | null): string | null => one && dayOf(one.atS, subject.zone)
/** Does what was done bring the torque back, whatever it was done for? */
const bringsBack = (subject: Subject, one: CareDone, does: Care): boolean =>
  does.torqueNm === null ? subject.acts.get(one.care) === 'torque' : one.leftNm !== null

/** The day from which something is due, and what was last done for it. */
function dueOf(
  subject: Subject,
  name: string,
  does: Care,
  said: SaidInterval | null,
): Pick<CareItem, 'dueOn' | 'last' | 'openings'> {
  const { done, inUseOn } = subject
  const renewed = done.findLast((one) => one.renewed) ?? null
  const openings = done.filter(
    (one) => subject.acts.get(one.care) === 'open' && !one.renewed && (!renewed || one.atS > renewed.atS),
  )
  const isIt: Record<Care['act'], (one: CareDone) => boolean> = {
    torque: (one) => bringsBack(subject, one, does),
    gasket: (one) => one.renewed,
    look: (one) => one.care === name,
    open: (one) => subject.acts.get(one.care) === 'open',
  }
  const last = done.findLast((one) => one.good && isIt[does.act](one)) ?? null
  const counted = does.act === 'gasket' || does.act === 'open' ? openings.length : null
  const answer = (dueOn: string | null) => ({ dueOn, last, openings: counted })
  if (does.due.by === 'event') return answer(null)
  if (does.due.by === 'first-heat' && !said) {
    // A new gasket settles anew: what brought the torque back counts only once it has been hot since.
    const hotOn = later(inUseOn, dayDone(subject, renewed))
    const since = done.some(
      (one) =>
        one.good &&
        bringsBack(subject, one, does) &&
        one !== renewed &&
        (!renewed || one.atS > renewed.atS) &&
        dayOf(one.atS, subject.zone) >= hotOn,
    )
    return answer(since ? null : hotOn)
  }
  const months = said ? said.months : does.due.by === 'months' ? does.due.months : null
  const from = later(inUseOn, dayOf(subject.sinceS, subject.zone), dayDone(subject, last))
  const byCalendar = months === null ? null : addMonths(from, months)
  const full = said?.openings ? (openings[said.openings - 1] ?? null) : null
  return answer(earlier(byCalendar, dayDone(subject, full)))
}

/** Torque that was read when a joint was made, Nm. */
function torqueMade(facts: JointFacts): number | null {
  const read = facts.life?.done.findLast((one) => typeof one.readings.torqueNm === 'number')
  return (read?.readings.torqueNm as number | undefined) ?? null
}
function itemOf(subject: Subject, name: string, does: Care, said: SaidInterval | null): CareItem {
  const { id, tag, joint, done } = subject
  const leftNm = done.findLast((one) => one.leftNm !== null)?.leftNm ?? subject.madeNm
  const made = { madeNm: subject.madeNm, madeAtS: joint ? subject.sinceS : null }
  return { id, tag, joint, care: does, done, ...made, leftNm, ...dueOf(subject, name, does, said) }
}
const dueFirst = (one: { dueOn: string | null }, other: { dueOn: string | null }): number =>
  (one.dueOn ?? '9').localeCompare(other.dueOn ?? '9')

function taskOf(
  section: Section,
  upkeep: Upkeep,
  name: string,
  device: Device | null,
  subjects: readonly (readonly [subject: Subject, does: Care])[],
): CareTask[] {
  const [first] = subjects
  if (!first) return []
  const said = upkeep.intervals.get(name) ?? null
  const items = subjects
    .map(([subject, does]) => itemOf(subject, name, does, said))
    .sort((one, other) => dueFirst(one, other) || tagOrder(one.tag, other.tag))
  const key = [section.id, name, device?.id].filter(Boolean).join(' ')
  return [{ key, section, care: name, does: first[1], device, said, items, dueOn: items[0]?.dueOn ?? null }]
}
function ofJoints(
  state: JobState,
  section: Section,
  upkeep: Upkeep,
  inUseOn: string,
  facts: ReadonlyMap<string, JointFacts>,
): CareTask[] {
  const byCare = new Map<string, [Subject, Care][]>()
  for (const id of section.jointIds) {
    const joint = facts.get(id)
    const method = joint?.method
    const sinceS = joint?.homeAtS ?? null
    if (!method || sinceS === null) continue
    const done = upkeep.done.filter((one) => one.ofId === id && one.atS >= sinceS)
    const asked = method.upkeep(joint.spec).map((does) => [`${method.id}/${does.id}`, does] as const)
    const subject: Subject = {
      id,
      tag: joint.tag,
      joint: true,
      sinceS,
      inUseOn,
      madeNm: torqueMade(joint),
      done,
      acts: new Map(asked.map(([name, { act }]) => [name, act])),
      zone: state.job.zone,
    }
    for (const [name, does] of asked) {
      const own = byCare.get(name)
      if (own) own.push([subject, does])
      else byCare.set(name, [[subject, does]])
    }
  }
  return [...byCare].flatMap(([name, subjects]) => taskOf(section, upkeep, name, null, subjects))
}
function ofDevices(state: JobState, section: Section, upkeep: Upkeep, inUseOn: string): CareTask[] {
  return upkeep.devices.flatMap((device) => {
    const subject: Subject = {
      id: device.id,
      tag: device.name,
      joint: false,
      sinceS: 0,
      inUseOn,
      madeNm: null,
      done: upkeep.done.filter(({ ofId }) => ofId === device.id),
      acts: new Map(),
      zone: state.job.zone,
    }
    return devicesCares(device.kind, state.job.school).flatMap((does) =>
      taskOf(section, upkeep, `${device.kind}/${does.id}`, device, [[subject, does]]),
    )
  })
}

/**
 * Everything that sections in use ask for, what is due first standing first. The same whatever the time is: `stands` says
 * what of it is late. @param facts of the joints; those that are not made ask for nothing.
 */
export function upkeepOf(state: JobState, facts: ReadonlyMap<string, JointFacts>): CareTask[] {
  return [...state.upkeep]
    .flatMap(([sectionId, upkeep]) => {
      const section = state.sections.get(sectionId)
      const { inUseOn } = upkeep
      if (!section || inUseOn === null) return []
      return [
        ...ofJoints(state, section, upkeep, inUseOn, facts),
        ...ofDevices(state, section, upkeep, inUseOn),
      ]
    })
    .sort((one, other) => dueFirst(one, other) || tagOrder(one.section.tag, other.section.tag))
}
/**
 * How something that is due on a day stands. @param dueOn null: nothing is due. @param today both YYYY-MM-DD.
 * @example dayStands('2026-11-29', '2026-11-30') // 'late'
 */
export const dayStands = (dueOn: string, today: string): 'late' | 'soon' | 'later' =>
  dueOn < today ? 'late' : dueOn <= daysAfter(today, SOON_DAYS) ? 'soon' : 'later'
/** How a task stands on a day, YYYY-MM-DD. */
export function taskStands(task: CareTask, today: string): CareStands {
  if (task.dueOn !== null) return dayStands(task.dueOn, today)
  if (task.does.due.by === 'event') return 'as-it-comes'
  return task.does.due.by === 'maker' && !task.said ? 'unsaid' : 'done'
}
