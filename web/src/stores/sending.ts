import { type Draft, KINDS, greatest } from '@jugalis/core'
import { shallowRef } from 'vue'
import { Refused, api } from '../api'
import { type Heard, type Moment, type Placed, apartS, placed } from '../clocks/placing'
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

/** Entries whose times are off by no more than this apart go out together. */
const SAME_S = 1
/** What the server takes as a doubt about times. */
const MOST_ERROR_S = 1e6
const isLater = (a: Moment, b: Moment): boolean =>
  a.life === b.life ? a.steadyS > b.steadyS : a.wallS > b.wallS
/** Its clocks have parted since the server was last heard before it, and it was not heard since. */
const needsHearing = (made: outbox.Made, heard: Heard | null): boolean => {
  const apart = made.before && apartS(made.before, made.at)
  return (apart === null || Math.abs(apart) > PARTED_S) && !(heard && isLater(heard, made.at))
}
const PARTED_S = 2

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

  /** When an entry was made, by all that is known now. Entries kept before times were stamped go by the wall clock. */
  const placeOf = ({ draft, made }: outbox.Waits): Placed => {
    const after = clock.lastHeard()
    if (!made) return { atS: draft.atDeviceS + clock.offsetS, errorS: clock.roundTripS }
    const since = after && isLater(after, made.at) ? after : null
    return placed(made.at, made.before, since)
  }
  /** Shift of a request's own time, so that the server puts these entries where they were made. */
  const shiftOf = (w: outbox.Waits): number => (w.made ? placeOf(w).atS - w.made.at.wallS - clock.offsetS : 0)

  async function post({ jobId, ...from }: Where, waits: readonly outbox.Waits[]): Promise<void> {
    const sentAt = Date.now()
    const r = await api<{ serverNowS: number }>('POST', `/jobs/${jobId}/events`, {
      ...from,
      sentAtDeviceS: sentAt / 1000 - (waits[0] ? shiftOf(waits[0]) : 0),
      clockErrorS: Math.min(
        MOST_ERROR_S,
        greatest([clock.roundTripS, ...waits.map((w) => placeOf(w).errorS)]),
      ),
      events: waits.map((w) => w.draft),
    })
    clock.heard(r.serverNowS, sentAt, Date.now())
  }
  /** Of what goes into one request, the first that were made under one setting of the clock and are as sure. */
  function alike(waits: readonly outbox.Waits[]): outbox.Waits[] {
    const first = waits[0]
    if (!first) return []
    const [shift, error] = [shiftOf(first), placeOf(first).errorS]
    const differs = waits.findIndex(
      (w) => Math.abs(shiftOf(w) - shift) > SAME_S || Math.abs(placeOf(w).errorS - error) > SAME_S,
    )
    return waits.slice(0, differs < 0 ? undefined : differs)
  }
  /** Sends what waits. One at a time; what is refused moves to the tray, and the rest goes on. */
  const flush = (): Promise<void> => (sending ??= sendAll().finally(() => (sending = null)))
  async function sendAll(): Promise<void> {
    for (;;) {
      const at = o.where()
      const all = at ? outbox.oneSending(await outbox.waiting(at.jobId, at.personId)) : []
      if (!at || !all.length) return
      // What can't be placed by what was known when it was made is placed by hearing the server first.
      if (all.some((w) => w.made && needsHearing(w.made, clock.lastHeard())))
        try {
          await o.read()
        } catch {
          return
        }
      const waits = alike(all)
      const drafts = waits.map((w) => w.draft)
      try {
        await post(at, waits)
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
  /**
   * Asks the server at once and keeps nothing here: for what may be refused, such as beginning a test. It never waits
   * among the entries, so that whoever sends those meanwhile can't send it too and have it refused a second time.
   */
  async function writeNow(entry: NewEntry): Promise<void> {
    const at = o.where()
    if (!at) return
    await flush()
    const now = clock.moment()
    const draft: Draft = {
      id: crypto.randomUUID(),
      deviceSeq: await outbox.nextSeq(),
      kind: entry.kind,
      v: KINDS[entry.kind]?.v ?? 1,
      jointId: null,
      atDeviceS: now.wallS,
      after: [],
      data: entry.data,
    }
    await post(at, [{ draft, made: { at: now, before: clock.lastHeard() } }])
    await o.read()
  }
  async function dropReturned(id: string): Promise<void> {
    await outbox.clearTray(id)
    await o.reload()
  }
  return { returned, flush, writeNow, dropReturned, placeOf }
}
