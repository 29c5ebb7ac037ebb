import { type Draft, KINDS } from '@jugalis/core'
import { shallowRef } from 'vue'
import { Refused, api } from '../api'
import { useClock } from './clock'
import type { NewEntry } from './job'
import * as outbox from './outbox'

/** Refusals that are no word on what was written: it goes on waiting. */
const LATER: ReadonlySet<number> = new Set([401, 408, 429])

/** The one entry that a refusal names, or all that were sent together. */
export function refusedOf(field: string | null, drafts: readonly Draft[]): readonly Draft[] {
  const at = /^events\[(\d+)\]/.exec(field ?? '')?.[1]
  const one = at === undefined ? undefined : drafts[Number(at)]
  return one ? [one] : drafts
}

interface Where {
  jobId: string
  deviceId: string
  personId: string
}
/** The way of what was written here to the server. */
export function useSending(o: {
  where: () => Where | null
  /** Reads what the server has, and what still waits here. */
  read: () => Promise<void>
  reload: () => Promise<void>
  sent: () => void
  failed: (e: unknown) => void
}) {
  const clock = useClock()
  const returned = shallowRef<outbox.Returned[]>([])
  let sending: Promise<void> | null = null

  async function post({ jobId, ...from }: Where, events: readonly Draft[]): Promise<void> {
    const sentAt = Date.now()
    const r = await api<{ serverNowS: number }>('POST', `/jobs/${jobId}/events`, {
      ...from,
      sentAtDeviceS: sentAt / 1000,
      clockErrorS: clock.roundTripS + clock.jumpS,
      events,
    })
    clock.heard(r.serverNowS, sentAt, Date.now())
  }
  /** Sends what waits. One at a time; what is refused moves to the tray, and the rest goes on. */
  const flush = (): Promise<void> => (sending ??= sendAll().finally(() => (sending = null)))
  async function sendAll(): Promise<void> {
    for (;;) {
      const at = o.where()
      const drafts = at ? outbox.oneSending(await outbox.waiting(at.jobId, at.personId)) : []
      if (!at || !drafts.length) return
      try {
        await post(at, drafts)
      } catch (e) {
        o.failed(e)
        if (!(e instanceof Refused) || e.status >= 500 || LATER.has(e.status)) return
        await outbox.giveBack(at.jobId, at.personId, refusedOf(e.field, drafts), e.message)
        await o.reload()
        continue
      }
      // They wait until they were read back: sent once more, the server knows them again.
      try {
        await o.read()
      } catch {
        return
      }
      await outbox.sent(drafts.map((d) => d.id))
      o.sent()
      await o.reload()
    }
  }
  /** Asks the server at once and writes nothing here: for what may be refused, such as beginning a test. */
  async function writeNow(entry: NewEntry): Promise<void> {
    const at = o.where()
    if (!at) return
    await flush()
    const [draft] = await outbox.keep(at.jobId, at.personId, [
      {
        id: crypto.randomUUID(),
        kind: entry.kind,
        v: KINDS[entry.kind]?.v ?? 1,
        jointId: null,
        atDeviceS: Date.now() / 1000,
        after: [],
        data: entry.data,
      },
    ])
    if (!draft) return
    try {
      await post(at, [draft])
    } finally {
      await outbox.sent([draft.id])
    }
    await o.read()
  }
  async function dropReturned(id: string): Promise<void> {
    await outbox.clearTray(id)
    await o.reload()
  }
  return { returned, flush, writeNow, dropReturned }
}
