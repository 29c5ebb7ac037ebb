import {
  type Columns,
  type Folded,
  type JobEvent,
  type JobState,
  NO_COLUMNS,
  emptyState,
  foldFrom,
  foldOn,
  greatest,
} from '@jugalis/core'
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

/** Entries mostly reach the log within so long of being written: what lies further back is folded once. */
const LATE_S = 3600
/** From so many entries behind it, the part that is folded once goes on. */
const MANY = 400
/** So many at once are folded sooner from the beginning: a schedule that was brought in. */
const AT_ONCE = 2000
/** A log as far as it was read, its first entries folded. */
interface Part {
  folded: Folded
  /** How many entries that was, and the last of them. */
  count: number
  last: JobEvent | undefined
  /** Those of them that are not folded in. */
  rest: readonly JobEvent[]
}
const reading = (folded: Folded, known: readonly JobEvent[], rest: readonly JobEvent[]): Part => ({
  folded,
  count: known.length,
  last: known.at(-1),
  rest,
})
const isPartOf = (part: Part, known: readonly JobEvent[]): boolean =>
  part.count <= known.length && (part.count === 0 || known[part.count - 1] === part.last)
/** What was written up to an hour before the last entry, and what since. */
function parted(events: readonly JobEvent[]): [early: JobEvent[], late: JobEvent[]] {
  const fromS = greatest(events.map(({ occurredAtS }) => occurredAtS)) - LATE_S
  return [events.filter((e) => e.occurredAtS < fromS), events.filter((e) => e.occurredAtS >= fromS)]
}

/**
 * Folds a log that grows at its end, each time from as far back as needed and no further. What comes after all others is
 * taken into what is known; what came late, or takes back something of the last hour, is folded with that hour; only for
 * what lies further back is the whole log folded anew. What nothing touched stays the same object.
 */
export function foldAsItGrows(): (
  known: readonly JobEvent[],
  pending: readonly JobEvent[],
  columns?: Columns,
) => Pick<Folded, 'state' | 'lacks'> {
  /** All but the last hour, and all. */
  let base: Part | null = null
  let tip: Part | null = null
  let packed = NO_COLUMNS

  function begin(known: readonly JobEvent[]): void {
    const [early, late] = parted(known)
    if (late.length > AT_ONCE) {
      base = tip = reading(foldFrom(known, packed), known, [])
      return
    }
    base = reading(foldFrom(early, packed), known, late)
    const all = foldOn(base.folded, late) ?? foldFrom(known, packed)
    tip = reading(all, known, [])
  }
  const goOn = (part: Part | null, known: readonly JobEvent[], pending: readonly JobEvent[]): Folded | null =>
    part && foldOn(part.folded, [...part.rest, ...known.slice(part.count), ...pending])

  return (known, pending, columns = NO_COLUMNS) => {
    if (columns !== packed || (base && !isPartOf(base, known))) base = tip = null
    packed = columns
    if (tip?.count !== known.length) {
      const folded = goOn(tip, known, []) ?? goOn(base, known, [])
      if (folded) tip = reading(folded, known, [])
      else begin(known)
    }
    const behind = base ? [...base.rest, ...known.slice(base.count)] : []
    if (base && behind.length > MANY) {
      const [early, late] = parted(behind)
      const folded = foldOn(base.folded, early)
      if (folded && early.length) base = reading(folded, known, late)
    }
    return goOn(tip, known, pending) ?? goOn(base, known, pending) ?? foldFrom([...known, ...pending], packed)
  }
}

interface Log {
  known: readonly JobEvent[]
  columns: Columns
  pending: readonly JobEvent[]
}
interface Shown {
  all: readonly JobEvent[]
  columns: Columns
  state: JobState
  lacks: boolean
}
/** The log as it is known here: what the server has, what waits on this device, and the state folded from both. */
export function useJobLog() {
  const log = shallowRef<Log>({ known: [], columns: NO_COLUMNS, pending: [] })
  const known = computed(() => log.value.known)
  const pending = computed(() => log.value.pending)
  const fold = foldAsItGrows()
  const shown = computed<Shown>((had) => {
    const { known, columns, pending } = log.value
    const all = [...known, ...pending]
    if (!all.length) return { all, columns, state: emptyState(), lacks: false }
    const { state, lacks } = fold(known, pending, columns)
    const same = had && had.columns === columns && onlyCameBack(had.all, all)
    return { all, columns, state: same ? had.state : state, lacks }
  })
  const state = computed(() => shown.value.state)
  /** Something is corrected that only the log entry by entry can tell. */
  const lacks = computed(() => shown.value.lacks)
  /** Both change in one moment, so that the job is worked out once. */
  const set = (to: Partial<typeof log.value>): void => void (log.value = { ...log.value, ...to })
  return { known, pending, state, lacks, set }
}
