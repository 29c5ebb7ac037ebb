import { type AnyMsg, type JobEvent, type Reader } from '@jugalis/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { placeOf } from '../sync/batch'
import * as device from '../sync/device'
import { createEngine } from '../sync/engine'
import { useJobLog } from '../sync/job-log'
import * as kept from '../sync/kept-log'
import { followJob } from '../sync/live'
import { CLOSED, type Happened, type Sync, type Waits } from '../sync/machine'
import { usePorts } from '../sync/ports'
import { useActs } from './acts'
import { useClock } from './clock'
import { type NewEntry, draftsOf } from './drafts'
import { useMembers } from './members'
import * as photos from './photos'
import { usePrefs } from './prefs'
import { useSession } from './session'
import { reading, told } from '../words/word'

/** How often the log is asked for: while a stream tells of every growth, and while none does. */
const ASK_MS = { followed: 30_000, alone: 3000 }
/** A doubt about times that is worth showing before the server has it, s. */
const DOUBT_S = 2

/** One open job: its log from the server, what waits on this device, and the state folded from both. */
export const useJob = defineStore('job', () => {
  const clock = useClock()
  const session = useSession()
  const prefs = usePrefs()
  const ports = usePorts()
  const jobId = shallowRef<string | null>(null)
  const sync = shallowRef<Sync>(CLOSED)
  const { pending, state, set } = useJobLog()
  const { members, take, ask: askMembers, keep: keepMembers, knowsAll, nameOf } = useMembers()
  let deviceId = ''
  let openedAs = ''
  /** Counts openings: one that another overtook ends. */
  let opens = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let live: ReturnType<typeof followJob> | null = null

  const engine = createEngine(ports, changed)
  const me = (): string => session.person?.personId ?? ''
  const { acts, takenBack, lastAct, remember, undo, redo, forget } = useActs((entries) => keep(entries))

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
  const t = (m: AnyMsg): string => told(m, reader.value)

  const namesOf = (id: string): Promise<void> => askMembers(id, () => jobId.value === id)

  /** An entry as the server will keep it, by all that is known of its time now. */
  function asEvent(w: Waits): JobEvent {
    const { atS, errorS } = placeOf(w, ports.clock())
    return {
      ...w.draft,
      jobId: jobId.value as string,
      deviceId,
      actorId: me(),
      // What was said to have been earlier was so much earlier than it was written.
      occurredAtS: atS + (w.made ? w.draft.atDeviceS - w.made.at.wallS : 0),
      clockErrorS: errorS > DOUBT_S ? errorS : 0,
    }
  }
  function changed(to: Sync, by: Happened): void {
    const had = sync.value
    sync.value = to
    const sameWaits =
      had.waiting.length === to.waiting.length &&
      had.waiting.every((w, i) => w.draft.id === to.waiting[i]?.draft.id)
    if (had.known !== to.known || !sameWaits)
      set({ known: to.known, ...(sameWaits ? {} : { pending: to.waiting.map(asEvent) }) })
    const id = jobId.value
    if (!id) return
    if (to.missing) void kept.drop(id)
    // Somebody who came on the job since it was opened.
    if (by.what === 'read' && !knowsAll(to.known.slice(had.known.length)))
      void namesOf(id).then(() => keepMembers(id, state.value.job.name))
    if (by.what === 'taken') void photos.send(id)
  }

  async function open(id: string): Promise<void> {
    if (jobId.value === id && status.value === 'open' && openedAs === me()) return
    close()
    const turn = opens
    jobId.value = id
    openedAs = me()
    deviceId = await device.deviceId()
    const where = { jobId: id, personId: me(), deviceId }
    const had = await kept.open(id, me())
    const [waiting, given] = await Promise.all([device.waiting(id, me()), device.tray(id, me())])
    if (opens !== turn) return
    take(had.members)
    engine.open(where, {
      known: had.events,
      head: { seq: had.head, hash: had.hash },
      waiting,
      returned: given,
    })
    await Promise.all([engine.settled(), namesOf(id)])
    if (opens !== turn || sync.value.missing) return
    if (sync.value.answered) keepMembers(id, state.value.job.name)
    void photos.send(id)
    live = followJob(id, (seq) => {
      if (seq > sync.value.head.seq) void engine.ask()
    })
    poll()
  }
  function close(): void {
    opens++
    clearTimeout(timer)
    live?.stop()
    live = null
    jobId.value = null
    engine.close()
    set({ known: [], pending: [] })
    forget()
  }
  function poll(): void {
    clearTimeout(timer)
    if (!jobId.value) return
    const often = offline.value || pending.value.length > 0 || !live?.alive()
    timer = setTimeout(() => void engine.ask().finally(poll), often ? ASK_MS.alone : ASK_MS.followed)
  }

  /** Writes entries: kept on this device first, shown at once, then sent. Gives their ids. */
  async function write(entries: NewEntry[], says = ''): Promise<string[]> {
    const ids = await keep(entries)
    if (says && ids.length) remember(ids, says)
    return ids
  }
  async function keep(entries: NewEntry[]): Promise<string[]> {
    const id = jobId.value
    if (!id || !entries.length) return []
    const now = clock.moment()
    const seen = [...sync.value.known, ...pending.value]
    const drafts = draftsOf(entries, seen, { wallS: now.wallS, offsetS: clock.offsetS })
    const waits = await device.keep(id, me(), drafts, { at: now, before: clock.lastHeard() })
    // Left meanwhile, they wait on this device until that job is opened again.
    if (jobId.value === id) engine.wrote(waits)
    return waits.map((w) => w.draft.id)
  }
  /**
   * Asks the server at once and keeps nothing here: for what may be refused, such as beginning a test. It never waits
   * among the entries, so that nobody sends it a second time.
   */
  async function writeNow(entry: NewEntry): Promise<void> {
    const id = jobId.value
    if (!id) return
    await engine.ask()
    const now = clock.moment()
    const [draft] = draftsOf([entry], [], { wallS: now.wallS, offsetS: clock.offsetS })
    if (!draft) return
    const numbered = { ...draft, deviceSeq: await device.nextSeq() }
    const where = { jobId: id, personId: me(), deviceId }
    await ports.server.send(where, [{ draft: numbered, made: { at: now, before: clock.lastHeard() } }])
    await engine.ask()
  }

  /** The line at the head of the log, as far as it is known here. */
  const logHead = (): { seq: number; hash: string } => ({
    seq: sync.value.head.seq,
    hash: sync.value.head.hash ?? '',
  })
  // The clock was set, or the device slept: the server is asked for the time at once.
  clock.whenParted(() => void engine.ask())
  // Signed in again: what waited goes out at once.
  watch(
    () => session.lapsed,
    (out) => {
      if (!out) void engine.ask()
    },
  )
  return {
    logHead,
    jobId,
    status,
    state,
    reader,
    t,
    nameOf,
    members,
    offline,
    pending,
    returned,
    acts,
    takenBack,
    lastAct,
    open,
    close,
    write,
    writeNow,
    undo,
    redo,
    dropReturned: engine.putAway,
  }
})
