import { type Glance, nextOf, urgencyOf, waitsFor } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, reactive, ref, shallowRef, watch } from 'vue'
import { NoSignal, api } from '../../api'
import { keepJson, readJson } from '../../stored'
import { useClock } from '../../stores/clock'
import { useSession } from '../../stores/session'
import { useJob } from '../../stores/job'
import { catchUp } from '../../sync/catch-up'
import { waitingHere } from '../../sync/device'
import * as kept from '../../sync/kept-log'
import { usePorts } from '../../sync/ports'

export interface JobRow {
  jobId: string
  name: string
  role?: string
  /** Put away from the list. */
  away?: boolean
  glance: Glance | null
  /** A newer glance is being made. */
  stale: boolean
}
/** A glance that is being made is asked for again after so long; the page as it stands, now and then. */
const AGAIN_MS = { stale: 1200, quiet: 60_000 }
/** What does not come is asked for less and less often. */
const SLOWER = 1.3
/** What presses is put in order by this clock, so that no row runs away under a finger each second. */
const ORDER_S = 5

export const FILTERS = ['all', 'pressing', 'mine', 'open', 'away'] as const
export type Filter = (typeof FILTERS)[number]
export const ORDERS = ['next', 'name', 'newest'] as const
export type Order = (typeof ORDERS)[number]
const CHOSEN = 'jugalis-jobs'
/** From so many jobs they are chosen from, not only read. */
const FEW = 4

/** What was read last and for whom: who comes back to the page sees that until the new is there. */
let last: { personId: string; jobs: JobRow[] } | null = null

/** Jobs in the order in which they want somebody; the clock is read once for all. */
export function byUrgency(rows: readonly JobRow[], nowS: number): JobRow[] {
  const urgent = rows.map((row) => ({ row, by: urgencyOf(row.glance, nowS) }))
  urgent.sort((one, other) => one.by[0] - other.by[0] || one.by[1] - other.by[1])
  return urgent.map(({ row }) => row)
}

/** All jobs of who is signed in, with what matters of each; read anew while it is looked at. */
export function useGlance() {
  const session = useSession()
  const clock = useClock()
  const offline = ref(false)
  const fault = ref('')
  const unsent = ref({ mine: 0, others: 0 })
  const me = (): string => session.person?.personId ?? ''
  const jobs = shallowRef<JobRow[] | null>(last?.personId === me() ? last.jobs : null)
  let again: ReturnType<typeof setTimeout> | undefined
  let left = false
  let wait = AGAIN_MS.stale
  const ports = usePorts()
  const job = useJob()
  let sending = false
  /** What was left in a job before it was sent goes out from here: nobody has to open that job again for it. */
  async function sendWaiting(): Promise<void> {
    if (sending) return
    sending = true
    const gone = await catchUp(ports, me(), job.jobId).finally(() => (sending = false))
    unsent.value = await waitingHere(me())
    // What is seen was read before that came.
    if (gone && !left) await load()
    else askAgain()
  }
  function askAgain(): void {
    if (left) return
    const coming = !offline.value && (unsent.value.mine > 0 || jobs.value?.some(({ stale }) => stale))
    // Two that were under way together leave one timer.
    clearTimeout(again)
    again = setTimeout(() => void load(), coming ? wait : AGAIN_MS.quiet)
    wait = coming ? Math.min(wait * SLOWER, AGAIN_MS.quiet) : AGAIN_MS.stale
  }

  async function load(): Promise<void> {
    clearTimeout(again)
    void sendWaiting()
    const sentAt = Date.now()
    try {
      const said = await api<{ jobs: JobRow[]; serverNowS: number }>('GET', '/glance')
      clock.heard(said.serverNowS, sentAt, Date.now())
      jobs.value = said.jobs
      last = { personId: me(), jobs: said.jobs }
      offline.value = false
      fault.value = ''
    } catch (error) {
      session.heard(error)
      offline.value = error instanceof NoSignal
      if (!offline.value) fault.value = (error as Error).message
      // What was seen a moment ago is worth more than bare names.
      jobs.value ??= (await kept.list(me())).map((job) => ({ ...job, glance: null, stale: false }))
    }
    askAgain()
  }
  const onSeen = (): void => void (document.visibilityState === 'visible' && load())
  onMounted(() => {
    void load()
    document.addEventListener('visibilitychange', onSeen)
  })
  onBeforeUnmount(() => {
    left = true
    clearTimeout(again)
    document.removeEventListener('visibilitychange', onSeen)
  })
  return { jobs, offline, fault, unsent, me }
}

/** Which of the jobs are shown, in which order; remembered on this device. */
export function useShown(jobs: () => readonly JobRow[], text: () => string) {
  const clock = useClock()
  const session = useSession()
  const chosen = reactive<{ filter: Filter; order: Order }>({
    filter: 'all',
    order: 'next',
    ...readJson<{ filter: Filter; order: Order }>(CHOSEN),
  })
  watch(chosen, () => keepJson(CHOSEN, chosen))
  const nowS = computed(() => Math.floor(clock.nowS / ORDER_S) * ORDER_S)
  const passes: Readonly<Record<Filter, (row: JobRow) => boolean>> = {
    all: () => true,
    pressing: ({ glance }) => Boolean(glance && nextOf(glance, nowS.value)[0]?.pressing),
    mine: ({ glance }) => Boolean(glance && session.person && waitsFor(glance, session.person)),
    open: ({ glance }) =>
      glance !== null && glance.closedAtS === null && nextOf(glance, nowS.value)[0]?.kind !== 'all-proved',
    away: () => true,
  }
  /** What was put away is seen only where that is asked for. */
  const standsIn = (row: JobRow, name: Filter): boolean =>
    Boolean(row.away) === (name === 'away') && passes[name](row)
  /** Jobs of each filter: how many it would show. */
  const counts = computed(
    () =>
      Object.fromEntries(
        FILTERS.map((name) => [name, jobs().filter((row) => standsIn(row, name)).length]),
      ) as Record<Filter, number>,
  )
  const choosable = computed(() => jobs().length >= FEW || counts.value.away > 0)
  /** What was chosen once does not hide all where it can't be chosen any more. */
  const filter = computed<Filter>({
    get: () => {
      const gone = chosen.filter === 'away' && !counts.value.away
      return choosable.value && !gone ? chosen.filter : 'all'
    },
    set: (name) => (chosen.filter = name),
  })
  const shown = computed(() => {
    const wanted = text().trim().toLocaleLowerCase()
    const named = (row: JobRow): boolean =>
      [row.name, row.glance?.site, row.glance?.customer].some((said) =>
        said?.toLocaleLowerCase().includes(wanted),
      )
    const rows = jobs().filter((row) => (wanted ? named(row) : standsIn(row, filter.value)))
    // As they come from the server the oldest stands first.
    if (chosen.order === 'newest') return rows.reverse()
    if (chosen.order === 'name') return rows.sort((one, other) => one.name.localeCompare(other.name))
    return byUrgency(rows, nowS.value)
  })
  return { chosen, filter, choosable, counts, shown }
}
