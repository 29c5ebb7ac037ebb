import { type AnyMsg, type JobEvent, type JobState, NO_COLUMNS, type Reader } from '@jugalis/core'
import { defineStore } from 'pinia'
import { type Ref, computed, ref, shallowRef, watch } from 'vue'
import { askingFor } from '../sync/asking'
import { type ClockFacts, placeOf } from '../sync/batch'
import * as device from '../sync/device'
import { type Where, createEngine } from '../sync/engine'
import { useJobLog } from '../sync/job-log'
import * as kept from '../sync/kept-log'
import { CLOSED, type Happened, type Sync, type Waits } from '../sync/machine'
import { usePorts } from '../sync/ports'
import { useActs } from './acts'
import { useClock } from './clock'
import type { NewEntry } from './drafts'
import { useMembers } from './members'
import * as photos from './photos'
import { useOwnRole } from './own-role'
import { usePrefs } from './prefs'
import { useSession } from './session'
import { useWriting } from './writing'
import { reading, told } from '../words/word'

/** A doubt about times that is worth showing before the server has it, s. */
const DOUBT_S = 2

/** An entry as the server will keep it, by all that is known of its time now. */
function asEvent(waits: Waits, at: Where, clock: ClockFacts): JobEvent {
  const { atS, errorS } = placeOf(waits, clock)
  return {
    ...waits.draft,
    jobId: at.jobId,
    deviceId: at.deviceId,
    actorId: at.personId,
    // What was said to have been earlier was so much earlier than it was written.
    occurredAtS: atS + (waits.made ? waits.draft.atDeviceS - waits.made.at.wallS : 0),
    clockErrorS: errorS > DOUBT_S ? errorS : 0,
  }
}
const sameWaits = (a: Sync, b: Sync): boolean =>
  a.waiting.length === b.waiting.length && a.waiting.every((w, i) => w.draft.id === b.waiting[i]?.draft.id)

/** What one job shows: its state, what the reader sees of it, and how its log stands. */
function useShown(jobId: Ref<string | null>, sync: Ref<Sync>, state: Ref<JobState>) {
  const prefs = usePrefs()
  /** What this device kept is shown at once; what is new comes when the server has answered. */
  const status = computed<'none' | 'loading' | 'open' | 'missing'>(() => {
    if (!jobId.value) return 'none'
    if (sync.value.missing) return 'missing'
    return sync.value.answered || sync.value.known.length ? 'open' : 'loading'
  })
  const offline = computed(() => sync.value.offline)
  const returned = computed(() => sync.value.returned)
  const reader = computed<Reader>(() => prefs.readerFor(state.value.job.school))
  watch(reader, (r) => (reading.value = r), { immediate: true, flush: 'sync' })
  const say = (m: AnyMsg): string => told(m, reader.value)
  /** The line at the head of the log, as far as it is known here. */
  const logHead = (): { seq: number; hash: string } => ({
    seq: sync.value.head.seq,
    hash: sync.value.head.hash ?? '',
  })
  return { status, offline, returned, reader, t: say, logHead }
}

/** The log of one job in step with the server, and who is on it. */
function useSynced() {
  const session = useSession()
  const ports = usePorts()
  const jobId = shallowRef<string | null>(null)
  const sync = shallowRef<Sync>(CLOSED)
  const { pending, state, lacks, set } = useJobLog()
  const people = useMembers()
  const deviceId = ref('')
  const at = (): Where | null =>
    jobId.value
      ? { jobId: jobId.value, personId: session.person?.personId ?? '', deviceId: deviceId.value }
      : null
  const namesOf = (id: string): Promise<void> => people.ask(id, () => jobId.value === id)

  function changed(to: Sync, by: Happened): void {
    const had = sync.value
    sync.value = to
    const where = at()
    const same = sameWaits(had, to)
    if (had.known !== to.known || !same)
      set({
        known: to.known,
        columns: to.columns,
        ...(same || !where ? {} : { pending: to.waiting.map((w) => asEvent(w, where, ports.clock())) }),
      })
    if (!where) return
    const id = where.jobId
    if (to.missing) void kept.drop(id)
    // Somebody who came on the job since it was opened, or is something else on it.
    const fresh = by.what === 'read' ? to.known.slice(had.known.length) : []
    if (!people.knowsAll(fresh) || fresh.some(({ kind }) => kind === 'role-given'))
      void namesOf(id).then(() => people.keep(id, state.value.job.name))
    if (by.what === 'taken') void photos.send(id)
  }
  const engine = createEngine(ports, changed)
  askAtOnce(engine)
  watch(lacks, (now) => {
    if (now) engine.lacks()
  })
  return { jobId, deviceId, at, sync, pending, state, set, engine, people, namesOf }
}

/** Opening and closing: what this device kept is shown at once, the rest comes from the server. */
function useOpening(
  { jobId, deviceId, at, sync, pending, state, set, engine, people, namesOf }: ReturnType<typeof useSynced>,
  { status, offline }: ReturnType<typeof useShown>,
) {
  let openedAs = ''
  /** Counts openings: one that another overtook ends. */
  let opens = 0
  const asking = askingFor(engine, () => offline.value || pending.value.length > 0)
  const session = useSession()

  async function open(id: string): Promise<void> {
    const personId = session.person?.personId ?? ''
    if (jobId.value === id && status.value === 'open' && openedAs === personId) return
    close()
    const turn = opens
    jobId.value = id
    openedAs = personId
    deviceId.value = await device.deviceId()
    const had = await kept.open(id, personId)
    const [waiting, returned] = await Promise.all([device.waiting(id, personId), device.tray(id, personId)])
    const where = at()
    if (opens !== turn || !where) return
    people.take(had.members)
    const { events: known, columns, head: seq, hash } = had
    engine.open(where, { known, columns, head: { seq, hash }, waiting, returned })
    await Promise.all([engine.settled(), namesOf(id)])
    if (opens !== turn || sync.value.missing) return
    if (sync.value.answered) people.keep(id, state.value.job.name)
    void photos.send(id)
    asking.begin(id, (seq) => seq > sync.value.head.seq)
  }
  function close(): void {
    opens++
    asking.end()
    jobId.value = null
    engine.close()
    set({ known: [], columns: NO_COLUMNS, pending: [] })
  }
  return { open, close }
}

/** One open job: its log from the server, what waits on this device, and the state folded from both. */
export const useJob = defineStore('job', () => {
  const synced = useSynced()
  const { jobId, sync, state, pending, engine } = synced
  const { members, roles, nameOf } = synced.people
  const shown = useShown(jobId, sync, state)
  const seen = (): JobEvent[] => [...sync.value.known, ...pending.value]
  const own = useOwnRole(roles, seen)
  const { keep, writeNow } = useWriting(engine, synced.at, seen)
  const { acts, takenBack, lastAct, remember, refuse, undo, redo, forget } = useActs(keep)
  const { open, close } = useOpening(synced, shown)
  // What was done on one job is not taken back on another.
  watch(jobId, forget, { flush: 'sync' })

  /** Writes entries: kept on this device first, shown at once, then sent. Gives their ids. */
  async function write(entries: NewEntry[], says = ''): Promise<string[]> {
    const why = own.whyNot(entries)
    if (why) {
      refuse(why)
      return []
    }
    const ids = await keep(entries)
    if (says && ids.length)
      remember(
        ids,
        says,
        entries.map(({ kind }) => kind),
      )
    return ids
  }
  return {
    jobId,
    state,
    nameOf,
    members,
    roles,
    role: own.role,
    may: own.may,
    leading: own.leading,
    corrects: own.corrects,
    pending,
    /** All entries, as they were written, in the order in which they came. */
    entries: seen,
    ...shown,
    acts,
    takenBack,
    lastAct,
    undo,
    redo,
    open,
    close,
    write,
    writeNow,
    dropReturned: engine.putAway,
  }
})

/** When the clock was set or the device slept, and when somebody signed in again: nothing waits for the next turn. */
function askAtOnce(engine: ReturnType<typeof createEngine>): void {
  const session = useSession()
  useClock().whenParted(() => void engine.ask())
  watch(
    () => session.lapsed,
    (out) => {
      if (!out) void engine.ask()
    },
  )
}
