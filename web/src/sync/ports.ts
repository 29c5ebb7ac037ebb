import type { Draft } from '@jugalis/core'
import { greatest } from '@jugalis/core'
import { NoSignal, Refused, api, apiText } from '../api'
import { useClock } from '../stores/clock'
import { useSession } from '../stores/session'
import { placeOf, shiftOf } from './batch'
import * as device from './device'
import { forgetTold, signaturesOf } from './device-key'
import type { Failure, Ports, Where } from './engine'
import * as kept from './kept-log'
import { unpack } from './unpack'
import type { Lines, Pack, Waits } from './machine'

/** Refusals that are no word on what was written: it goes on waiting. */
const LATER: ReadonlySet<number> = new Set([401, 408, 429])
/** Answers that say: not your job, or none at all. */
const NOT_MINE: ReadonlySet<number> = new Set([403, 404])
/** What the server takes as a doubt about times, s. */
const MOST_ERROR_S = 1e6

/** The one entry that a refusal names, or all that were sent together. */
export function refusedOf(field: string | null, drafts: readonly Draft[]): readonly Draft[] {
  const at = /^events\[(\d+)\]/.exec(field ?? '')?.[1]
  const one = at === undefined ? undefined : drafts[Number(at)]
  return one ? [one] : drafts
}
/** What an answer that was no success says of what was asked. */
export function failureOf(error: unknown, batch: readonly Waits[]): Failure {
  if (error instanceof NoSignal) return { what: 'failed', why: 'no-signal' }
  if (!(error instanceof Refused) || error.status >= 500 || LATER.has(error.status))
    return { what: 'failed', why: 'trouble' }
  // The server lost sight of this device's key: it is told again, and the entries go out once more.
  if (error.code === 'unknown-key') {
    forgetTold()
    return { what: 'failed', why: 'trouble' }
  }
  if (!batch.length) return { what: 'failed', why: NOT_MINE.has(error.status) ? 'not-mine' : 'trouble' }
  const drafts = batch.map((w) => w.draft)
  return { what: 'refused', drafts: refusedOf(error.field, drafts), why: error.message }
}

/** A log as the server packed it; null where it did not, or this page can't read it. */
async function packOf(jobId: string): Promise<Pack | null> {
  try {
    return unpack(await apiText(`/jobs/${jobId}/pack`))
  } catch (error) {
    if (error instanceof NoSignal) throw error
    // A convenience: what the log itself answers counts.
    return null
  }
}

/** Entries as they go out, with the signatures of this device where it signs. */
async function signedBy(waits: readonly Waits[], at: Where) {
  const events = waits.map((w) => w.draft)
  const signed = await signaturesOf(events, at)
  return { events, ...(signed && { signed }) }
}

/** This device's store, the server, and the clock, as the machine of sync needs them. */
export function usePorts(): Ports {
  const clock = useClock()
  const session = useSession()
  const facts = () => ({
    heard: clock.lastHeard(),
    offsetS: clock.offsetS,
    roundTripS: clock.roundTripS,
    life: clock.moment().life,
  })
  /** Asks, and takes the time and the session from the answer. */
  async function ask<T extends { serverNowS: number }>(
    method: string,
    path: string,
    body?: unknown,
  ): Promise<T> {
    const sentAt = Date.now()
    try {
      const answer = await api<T>(method, path, body)
      clock.heard(answer.serverNowS, sentAt, Date.now())
      session.heard()
      return answer
    } catch (error) {
      session.heard(error)
      throw error
    }
  }
  return {
    clock: facts,
    device: {
      waiting: (at) => device.waiting(at.jobId, at.personId),
      drop: (_at, ids) => device.sent(ids),
      giveBack: (at, drafts, why) => device.giveBack(at.jobId, at.personId, drafts, why),
      clear: (id) => device.clearTray(id),
      keepPart: (at, { from, events, head }) =>
        kept.keepPart(at.jobId, { from, events, head: head.seq, hash: head.hash }),
      keepPack: (at, { text, head }) =>
        kept.keepPart(at.jobId, { from: 1, events: [], pack: text, head: head.seq, hash: head.hash }),
      forgetLog: (at) => kept.drop(at.jobId),
    },
    server: {
      failure: failureOf,
      read: (at, from) =>
        ask<Lines & { serverNowS: number }>('GET', `/jobs/${at.jobId}/events?after=${from.seq}`),
      pack: ({ jobId }) => packOf(jobId),
      async send({ jobId, ...from }: Where, waits: readonly Waits[]): Promise<void> {
        const sent = await signedBy(waits, { jobId, ...from })
        const now = facts()
        await ask('POST', `/jobs/${jobId}/events`, {
          ...from,
          sentAtDeviceS: Date.now() / 1000 - (waits[0] ? shiftOf(waits[0], now) : 0),
          clockErrorS: Math.min(
            MOST_ERROR_S,
            greatest([now.roundTripS, ...waits.map((w) => placeOf(w, now).errorS)]),
          ),
          ...sent,
        })
      },
    },
  }
}
