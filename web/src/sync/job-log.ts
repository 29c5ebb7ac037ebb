import { type JobEvent, type JobState, emptyState, foldJob } from '@jugalis/core'
import { computed, shallowRef } from 'vue'

/** Entries that say what there is, not when something was done: the server's time of them changes nothing shown. */
const TIMELESS: ReadonlySet<string> = new Set([
  'line-set',
  'item-put',
  'items-put',
  'item-moved',
  'item-removed',
  'group-set',
  'stock-set',
  'section-set',
  'place-set',
])
/** Whether nothing happened but that entries kept here came back from the server, all of them such as say no time. */
function onlyCameBack(had: readonly JobEvent[], all: readonly JobEvent[]): boolean {
  return (
    had.length === all.length &&
    all.every((e, i) => e === had[i] || (e.id === had[i]?.id && TIMELESS.has(e.kind)))
  )
}

/** The log as it is known here: what the server has, what waits on this device, and the state folded from both. */
export function useJobLog() {
  const log = shallowRef<{ known: readonly JobEvent[]; pending: readonly JobEvent[] }>({
    known: [],
    pending: [],
  })
  const known = computed(() => log.value.known)
  const pending = computed(() => log.value.pending)
  const shown = computed<readonly JobEvent[]>((had) => {
    const all = [...log.value.known, ...log.value.pending]
    return had && onlyCameBack(had, all) ? had : all
  })
  const state = computed<JobState>(() => (shown.value.length ? foldJob(shown.value) : emptyState()))
  /** Both change in one moment, so that the job is worked out once. */
  const set = (to: Partial<typeof log.value>): void => void (log.value = { ...log.value, ...to })
  return { known, pending, state, set }
}
