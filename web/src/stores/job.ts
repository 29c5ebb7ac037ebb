import { type Draft, type AnyMsg, type JobEvent, KINDS, type Reader, say } from '@jugalis/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { NoSignal, Refused, api } from '../api'
import { useActs } from './acts'
import { useClock } from './clock'
import { useJobLog } from './job-log'
import * as kept from './kept-log'
import { followJob } from './live'
import * as outbox from './outbox'
import * as photos from './photos'
import { usePrefs } from './prefs'
import { useSending } from './sending'
import { useSession } from './session'

export interface NewEntry {
  kind: string
  data: Record<string, unknown>
  jointId?: string | null
  /** When it happened, if not now; by the server's clock. */
  atS?: number
}
/** How often the log is asked for: while a stream tells of every growth, and while none does. */
const ASK_MS = { followed: 30_000, alone: 3000 }
/** A doubt about times that is worth showing before the server has it, s. */
const DOUBT_S = 2
/** Answers that say: not your job, or none at all. */
const NOT_MINE: ReadonlySet<number> = new Set([403, 404])

/** One open job: its log from the server, what waits on this device, and the state folded from both. */
export const useJob = defineStore('job', () => {
  const clock = useClock()
  const session = useSession()
  const prefs = usePrefs()
  const jobId = ref<string | null>(null)
  const status = ref<'none' | 'loading' | 'open' | 'missing'>('none')
  const { known, pending, state, set } = useJobLog()
  const members = ref<Map<string, string>>(new Map())
  const offline = ref(false)
  let head = 0
  /** Hash of the line at the head: what is kept on this device goes on from it. */
  let hash: string | null = null
  let device = ''
  let openedAs = ''
  /** Counts openings and closings: an opening that another overtook ends. */
  let opens = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let live: ReturnType<typeof followJob> | null = null
  let asking: Promise<void> | null = null
  let askAgain = false

  const me = (): string => session.person?.personId ?? ''

  const { acts, takenBack, lastAct, remember, undo, redo, forget } = useActs((entries) => keep(entries))

  const { returned, flush, writeNow, dropReturned, placeOf } = useSending({
    where: () => (jobId.value ? { jobId: jobId.value, deviceId: device, personId: me() } : null),
    read: () => read(),
    reload: () => reload(),
    sent: () => void (jobId.value && photos.send(jobId.value)),
    failed(e) {
      if (e instanceof NoSignal) offline.value = true
      else session.heard(e)
    },
  })

  const reader = computed<Reader>(() => prefs.readerFor(state.value.job.school))
  const t = (m: AnyMsg): string => say(m, reader.value)
  const nameOf = (personId: string): string => members.value.get(personId) ?? 'someone'

  /** An entry as the server will keep it, by all that is known of its time now. */
  const asEvent = (w: outbox.Waits): JobEvent => {
    const { atS, errorS } = placeOf(w)
    return {
      ...w.draft,
      jobId: jobId.value as string,
      deviceId: device,
      actorId: me(),
      // What was said to have been earlier was so much earlier than it was written.
      occurredAtS: atS + (w.made ? w.draft.atDeviceS - w.made.at.wallS : 0),
      clockErrorS: errorS > DOUBT_S ? errorS : 0,
    }
  }

  async function open(id: string): Promise<void> {
    if (jobId.value === id && status.value === 'open' && openedAs === me()) return
    close()
    const turn = opens
    jobId.value = id
    openedAs = me()
    status.value = 'loading'
    device = await outbox.deviceId()
    const had = await kept.open(id, me())
    if (opens !== turn) return
    set({ known: had.events })
    head = had.head
    hash = had.hash
    members.value = new Map(had.members)
    await reload()
    // What this device kept is shown at once; what is new comes when the server has answered.
    if (had.events.length) status.value = 'open'
    try {
      await readAll(id)
    } catch (e) {
      if (opens !== turn) return
      if (e instanceof Refused && NOT_MINE.has(e.status)) {
        await kept.drop(id)
        return void (status.value = 'missing')
      }
      // No signal, signed out, a server in trouble: work goes on with what was kept; without any, it opens later.
    }
    if (opens !== turn) return
    void photos.send(id)
    live = followJob(id, (seq) => {
      if (seq > head) void ask()
    })
    poll()
    void flush()
  }
  function close(): void {
    opens++
    clearTimeout(timer)
    live?.stop()
    live = null
    jobId.value = null
    status.value = 'none'
    set({ known: [], pending: [] })
    forget()
    head = 0
    hash = null
  }
  async function reload(): Promise<void> {
    if (!jobId.value) return
    const waiting = (await outbox.waiting(jobId.value, me())).map(asEvent)
    const same =
      waiting.length === pending.value.length && waiting.every((e, i) => e.id === pending.value[i]?.id)
    if (!same) set({ pending: waiting })
    returned.value = await outbox.tray(jobId.value, me())
  }
  async function readAll(id: string): Promise<void> {
    const theirs = askMembers(id)
    await Promise.all([read(), theirs])
    takeMembers(id, await theirs)
    if (jobId.value === id) status.value = 'open'
  }
  const askMembers = async (id: string): Promise<[string, string][]> =>
    (await api<{ members: { personId: string; name: string }[] }>('GET', `/jobs/${id}/members`)).members.map(
      (m) => [m.personId, m.name],
    )
  function takeMembers(id: string, list: [string, string][]): void {
    if (jobId.value !== id) return
    members.value = new Map(list)
    void kept.keepAbout(id, { name: state.value.job.name, members: list })
  }
  async function read(): Promise<void> {
    const id = jobId.value
    const sentAt = Date.now()
    // Another reading may come back before this one: what is compared is what was asked from.
    const from = { head, hash }
    try {
      const r = await api<{
        serverNowS: number
        head: number
        hashAfter: string | null
        hashHead: string | null
        lines: { seq: number; event: JobEvent }[]
      }>('GET', `/jobs/${id}/events?after=${from.head}`)
      clock.heard(r.serverNowS, sentAt, Date.now())
      offline.value = false
      session.heard()
      if (jobId.value !== id) return
      if (r.hashAfter !== from.hash) {
        // Another log than the one kept here, such as a demo begun afresh: read it from its beginning.
        await kept.drop(id as string)
        set({ known: [] })
        head = 0
        hash = null
        return await read()
      }
      if (!r.lines.length) return
      const fresh = r.lines.filter((l) => l.seq > head)
      if (r.head >= head) [head, hash] = [r.head, r.hashHead]
      if (!fresh.length) return
      const events = fresh.map((l) => l.event)
      void kept.keepPart(id as string, { from: fresh[0]?.seq ?? 0, events, head, hash })
      const ids = new Set(fresh.map((l) => l.event.id))
      // What comes back stops waiting in the same moment.
      set({
        known: [...known.value, ...events],
        pending: pending.value.filter((e) => !ids.has(e.id)),
      })
      // Somebody who came on the job since it was opened.
      if (status.value === 'open' && events.some((e) => !members.value.has(e.actorId)))
        void askMembers(id as string)
          .then((list) => takeMembers(id as string, list))
          .catch(() => undefined)
    } catch (e) {
      offline.value = e instanceof NoSignal
      session.heard(e)
      throw e
    }
  }
  /** Reads on, and sends what waits. Hints that come meanwhile are answered by one more reading. */
  function ask(): Promise<void> {
    askAgain = true
    return (asking ??= (async () => {
      while (askAgain) {
        askAgain = false
        const id = jobId.value
        if (!id) return
        await (status.value === 'open' ? read() : readAll(id)).catch(() => undefined)
        await flush()
      }
    })().finally(() => (asking = null)))
  }
  function poll(): void {
    clearTimeout(timer)
    if (!jobId.value) return
    const often = offline.value || pending.value.length > 0 || !live?.alive()
    timer = setTimeout(() => void ask().finally(poll), often ? ASK_MS.alone : ASK_MS.followed)
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
    const nowS = now.wallS
    const seen = [...known.value, ...pending.value]
    const last = seen.at(-1)?.id
    const drafts = entries.map((e): Omit<Draft, 'deviceSeq'> => {
      const before = e.jointId ? seen.findLast((x) => x.jointId === e.jointId)?.id : undefined
      return {
        id: crypto.randomUUID(),
        kind: e.kind,
        v: KINDS[e.kind]?.v ?? 1,
        jointId: e.jointId ?? null,
        atDeviceS: e.atS === undefined ? nowS : e.atS - clock.offsetS,
        // What lies in the past is not said to follow what is only known now.
        after: e.atS === undefined ? [...new Set([last, before].filter((x): x is string => Boolean(x)))] : [],
        // Vue's proxies can't be stored; the outbox takes plain data only.
        data: JSON.parse(JSON.stringify(e.data)) as Record<string, unknown>,
      }
    })
    const numbered = await outbox.keep(id, me(), drafts, { at: now, before: clock.lastHeard() })
    set({ pending: [...pending.value, ...numbered.map(asEvent)] })
    void flush()
    return numbered.map((w) => w.draft.id)
  }

  /** The line at the head of the log, as far as it is known here. */
  const logHead = (): { seq: number; hash: string } => ({ seq: head, hash: hash ?? '' })
  // The clock was set, or the device slept: the server is asked for the time at once.
  clock.whenParted(() => {
    if (jobId.value) void ask()
  })
  // Signed in again: what waited goes out at once.
  watch(
    () => session.lapsed,
    (out) => {
      if (!out && jobId.value) void ask()
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
    dropReturned,
    flush,
  }
})
