import type { JointFacts } from '../joint/assess.js'
import { midnightOf } from '../joint/tin-date.js'
import { isProved } from '../line/touches.js'
import { type DeviceKind, MOST_MONTHS, MOST_OPENINGS } from '../log/kinds-upkeep.js'
import type { Draft } from '../log/events.js'
import type { CareDone, JobState, Section } from '../log/state.js'
import { type Msg, msg } from '../sources/source.js'
import { tagOrder } from '../units/tag-order.js'
import { dayOf } from '../units/zone.js'
import type { CareItem, CareTask } from './due.js'

type Entry = Pick<Draft, 'kind' | 'data'>
/** What is wrong with a field of what somebody says. */
export interface CareFault<Field extends string = string> {
  field: Field
  says: Msg
}
const MOST_NAME = 40

/** What speaks against a section being in use since a day: joints that are not made, or were made later; a day to come. */
export function inUseFaults(
  state: JobState,
  section: Section,
  facts: ReadonlyMap<string, JointFacts>,
  on: string,
  today: string,
): readonly Msg[] {
  if (midnightOf(on) === null) return [msg('not-a-date', { text: on })]
  if (on > today) return [msg('care-day-to-come', { on })]
  const joints = section.jointIds
    .flatMap((id) => facts.get(id) ?? [])
    .sort((one, other) => tagOrder(one.tag, other.tag))
  const unmade = joints.find(({ homeAtS }) => homeAtS === null)
  if (unmade) return [msg('care-not-made', { tag: unmade.tag, section: section.tag })]
  const dayMade = (joint: JointFacts): string => dayOf(joint.homeAtS ?? 0, state.job.zone)
  const since = joints.find((joint) => !joint.past.length && dayMade(joint) > on)
  return since ? [msg('care-made-since', { tag: since.tag, section: section.tag, on: dayMade(since) })] : []
}
/** What is worth saying of it all the same. */
export const inUseNotes = (state: JobState, section: Section): readonly Msg[] =>
  isProved(state, section.id) ? [] : [msg('care-not-proved', { section: section.tag })]
/**
 * A section is in use since a day. @param fromOn null: it is out of use.
 * @example inUseEntry('s', null).kind // 'in-use'
 */
export const inUseEntry = (sectionId: string, fromOn: string | null): Entry => ({
  kind: 'in-use',
  data: { sectionId, ...(fromOn === null ? {} : { fromOn }) },
})

/** What keeps a device from being put in. @param deviceId of one that is there. */
export function deviceFaults(
  state: JobState,
  sectionId: string,
  said: string,
  deviceId: string,
): readonly Msg[] {
  const name = said.trim()
  if (!name || name.length > MOST_NAME) return [msg('care-device-name', { most: MOST_NAME })]
  const twin = state.upkeep
    .get(sectionId)
    ?.devices.some((one) => one.id !== deviceId && one.name.toLowerCase() === name.toLowerCase())
  return twin ? [msg('care-named-twice', { name })] : []
}
/** A device of a section is put in, changed or taken out. */
export const deviceEntry = (
  sectionId: string,
  device: { id: string; kind: DeviceKind; name: string },
  gone = false,
): Entry => ({
  kind: 'device-set',
  data: {
    sectionId,
    deviceId: device.id,
    kind: device.kind,
    name: device.name.trim(),
    ...(gone ? { gone } : {}),
  },
})

/** How often something is to be done, as it was typed. */
export interface IntervalSaid {
  months: string
  openings: string
  reference: string
}
const wholeFrom1 = (text: string, most: number): boolean => /^\d+$/.test(text) && +text >= 1 && +text <= most

/** What keeps an interval from being taken. */
export function intervalFaults(said: IntervalSaid): readonly CareFault<keyof IntervalSaid>[] {
  const months = said.months.trim()
  const openings = said.openings.trim()
  if (!months && !openings) return [{ field: 'months', says: msg('care-how-often') }]
  const bad = (field: 'months' | 'openings', text: string, most: number) =>
    text && !wholeFrom1(text, most)
      ? [{ field, says: msg('care-whole', { text, what: field, most }) } as const]
      : []
  return [
    ...bad('months', months, MOST_MONTHS),
    ...bad('openings', openings, MOST_OPENINGS),
    ...(said.reference.trim() ? [] : [{ field: 'reference', says: msg('care-who-says') } as const]),
  ]
}
/** How often something is done from now on; null: by the rule again. */
export function intervalEntry(task: CareTask, said: IntervalSaid | null): Entry {
  const figure = (name: 'months' | 'openings') =>
    said?.[name].trim() ? { [name]: Number(said[name].trim()) } : {}
  return {
    kind: 'care-interval',
    data: {
      sectionId: task.section.id,
      care: task.care,
      ...figure('months'),
      ...figure('openings'),
      ...(said ? { reference: said.reference.trim() } : {}),
    },
  }
}

/** What was done to one joint or device. Torques in Nm; null: not read. */
export type DoneSaid = Pick<CareDone, 'good' | 'foundNm' | 'leftNm' | 'renewed' | 'lotId' | 'says'>
/** Does it ask for torques: what it was found at, what it was left at? */
export const asksTorque = (item: CareItem): boolean => item.care.torqueNm !== null
/** Does it ask for what the torque was found at? Not of what was opened for a new gasket: nothing is left to be found. */
export const asksFound = (item: CareItem, renewed: boolean): boolean =>
  asksTorque(item) && item.care.act === 'torque' && !renewed

/** What keeps something that was done from being written down. @param atS when, epoch s. */
export function doneFaults(
  state: JobState,
  task: CareTask,
  item: CareItem,
  said: DoneSaid,
  atS: number,
): readonly CareFault<'at' | 'found' | 'left' | 'says'>[] {
  const inUseOn = state.upkeep.get(task.section.id)?.inUseOn ?? null
  if (inUseOn === null) return [{ field: 'at', says: msg('care-not-in-use', { section: task.section.tag }) }]
  if (dayOf(atS, state.job.zone) < inUseOn)
    return [{ field: 'at', says: msg('care-before-use', { section: task.section.tag, on: inUseOn }) }]
  if (!said.good) return said.says.trim() ? [] : [{ field: 'says', says: msg('care-what-was-wrong') }]
  if (asksFound(item, said.renewed) && said.foundNm === null)
    return [{ field: 'found', says: msg('care-found-needed') }]
  if (asksTorque(item) && item.care.act !== 'look' && said.leftNm === null)
    return [{ field: 'left', says: msg('care-left-needed') }]
  return []
}
/** Something that was done. @param atS by the device's clock, where it was not just now. */
export const doneEntry = (task: CareTask, item: CareItem, said: DoneSaid, atS?: number): Entry => ({
  kind: 'care-done',
  data: {
    sectionId: task.section.id,
    care: task.care,
    ofId: item.id,
    good: said.good,
    ...(atS === undefined ? {} : { atS }),
    ...(said.foundNm === null ? {} : { foundNm: said.foundNm }),
    ...(said.leftNm === null ? {} : { leftNm: said.leftNm }),
    ...(said.renewed || item.care.act === 'gasket' ? { renewed: said.good } : {}),
    ...(said.lotId === null ? {} : { lotId: said.lotId }),
    ...(said.says.trim() ? { says: said.says.trim() } : {}),
  },
})
