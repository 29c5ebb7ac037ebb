import {
  type CareItem,
  type CareTask,
  type Finding,
  careNamed,
  dayOf,
  fmt,
  judgeCare,
  sourceOf,
  tagOrder,
  taskStands,
  upkeepOf,
} from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useMinute } from '../../things/use-minute'
import { useView } from '../../view'
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

/** What sections in use ask for, with the sentence that matters most. */
export function useUpkeep() {
  const job = useJob()
  const view = useView()
  const nowS = useMinute()
  const today = computed(() => dayOf(nowS.value, job.state.job.zone))
  const tasks = computed(() => upkeepOf(job.state, view.facts))
  const inUse = (id: string): boolean => (job.state.upkeep.get(id)?.inUseOn ?? null) !== null
  /** Where something is due first stands first, and what is not in use last. */
  const sections = computed(() => {
    const firstDue = new Map<string, string>()
    for (const { section, dueOn } of tasks.value)
      if (dueOn !== null && !firstDue.has(section.id)) firstDue.set(section.id, dueOn)
    const rank = (id: string): string => (inUse(id) ? (firstDue.get(id) ?? '8') : '9')
    return [...job.state.sections.values()].sort(
      (one, other) => rank(one.id).localeCompare(rank(other.id)) || tagOrder(one.tag, other.tag),
    )
  })
  const anyInUse = computed(() => sections.value.some(({ id }) => inUse(id)))
  const first = computed(() => tasks.value.find(({ dueOn }) => dueOn !== null) ?? null)
  const headline = computed(() => {
    const own = first.value
    if (!sections.value.length) return word('upkeep-no-section')
    if (!anyInUse.value) return word('upkeep-nothing-in-use')
    if (!own?.dueOn) return word('upkeep-nothing-due')
    return word('upkeep-head', {
      stands: taskStands(own, today.value),
      does: told(own.does.does),
      what: ofWhat(own, dueNow(own)),
      day: dayText(own.dueOn),
    })
  })
  const why = computed(() => {
    const own = first.value
    if (!own) return word('upkeep-why-nothing')
    const stood = (stands: string): number =>
      tasks.value.filter((task) => taskStands(task, today.value) === stands).length
    return word('upkeep-why', {
      how: howOften(own),
      source: byWhom(own),
      late: stood('late'),
      unsaid: stood('unsaid'),
    })
  })
  return { today, tasks, sections, anyInUse, headline, why }
}
