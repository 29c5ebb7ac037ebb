import { dayOf, tagOrder, taskStands, upkeepOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useMinute } from '../../things/use-minute'
import { useView } from '../../view'
import { dayText } from '../../when'
import { told, word } from '../../words/word'
import { byWhom, dueNow, howOften, ofWhat } from './said'

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
