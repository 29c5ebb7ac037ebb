import {
  type CareItem,
  type CareTask,
  type Finding,
  careNamed,
  fmt,
  judgeCare,
  sourceOf,
  taskStands,
} from '@jugalis/core'
import { dayText } from '../../when'
import { named, told, word } from '../../words/word'

/** What a task is done to: a device by its name, or so many joints of a section. */
export const ofWhat = (task: CareTask, count = task.items.length): string =>
  task.device
    ? word('upkeep-of-device', {
        device: task.device.name,
        kind: named(task.device.kind),
        tag: task.section.tag,
      })
    : word('upkeep-of-joints', { count, tag: task.section.tag })
/** How many of a task are due on its first day. */
export const dueNow = ({ items, dueOn }: CareTask): number =>
  items.filter((item) => item.dueOn !== null && item.dueOn === dueOn).length
/** How often. */
export function howOften({ does, said }: CareTask): string {
  if (said) return word('upkeep-every', { months: said.months ?? 0, openings: said.openings ?? 0 })
  return does.due.by === 'months'
    ? word('upkeep-every', { months: does.due.months, openings: 0 })
    : word(`upkeep-due-${does.due.by}`)
}
/** By whose word it is so often. */
export const byWhom = ({ does, said }: CareTask): string => said?.reference ?? sourceOf(does.source).reference
/** Whether and when it is due. */
export function standsSaid(task: CareTask, today: string): string {
  const stands = taskStands(task, today)
  return word(`upkeep-is-${stands}`, { day: task.dueOn ? dayText(task.dueOn) : '' })
}

/** A reading of a torque that was taken again, with what is to be said of it. */
export interface Reading {
  key: string
  atS: number
  by: string
  says: string
  findings: readonly Finding[]
  eventId: string
}
/** Everything that was done to a joint or device, the newest first. */
export function historyOf(item: CareItem, reader: fmt.Reader): Reading[] {
  let leftNm = item.madeNm
  return item.done
    .map((one): Reading => {
      const findings = judgeCare({ care: item.care, leftNm }, one)
      leftNm = one.leftNm ?? leftNm
      const torque = (nm: number | null): string => (nm === null ? '' : fmt.torque(nm, reader))
      const says = word('upkeep-was-done', {
        what: told(careNamed(one.care)),
        good: one.good ? 'yes' : 'no',
        found: torque(one.foundNm),
        left: torque(one.leftNm),
        hasFound: one.foundNm === null ? 'no' : 'yes',
        hasLeft: one.leftNm === null ? 'no' : 'yes',
        renewed: one.renewed ? 'yes' : 'no',
      })
      const more = one.says ? `${says} ${one.says}` : says
      return { key: one.eventId, eventId: one.eventId, atS: one.atS, by: one.by, says: more, findings }
    })
    .reverse()
}
