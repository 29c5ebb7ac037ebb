import type { JobEvent } from '@jugalis/core'
import * as device from '../sync/device'
import type { Where, createEngine } from '../sync/engine'
import { usePorts } from '../sync/ports'
import { useClock } from './clock'
import { type NewEntry, draftsOf } from './drafts'

/** Writing: kept on this device first, shown at once, then sent; or asked of the server at once and kept nowhere. */
export function useWriting(
  engine: ReturnType<typeof createEngine>,
  at: () => Where | null,
  seen: () => readonly JobEvent[],
) {
  const clock = useClock()
  const ports = usePorts()
  /** Entries as drafts made now, with the moment by which they will be placed. */
  function made(entries: readonly NewEntry[], after: readonly JobEvent[]) {
    const now = clock.moment()
    return {
      drafts: draftsOf(entries, after, { wallS: now.wallS, offsetS: clock.offsetS }),
      made: { at: now, before: clock.lastHeard() },
    }
  }
  /** Gives the ids of what is kept. */
  async function keep(entries: NewEntry[]): Promise<string[]> {
    const where = at()
    if (!where || !entries.length) return []
    const fresh = made(entries, seen())
    const waits = await device.keep(where.jobId, where.personId, fresh.drafts, fresh.made)
    // Left meanwhile, they wait on this device until that job is opened again.
    if (at()?.jobId === where.jobId) engine.wrote(waits)
    return waits.map((w) => w.draft.id)
  }
  /**
   * Asks the server at once and keeps nothing here: for what may be refused, such as beginning a test. It never waits
   * among the entries, so that nobody sends it a second time.
   */
  async function writeNow(entry: NewEntry): Promise<void> {
    const where = at()
    if (!where) return
    await engine.ask()
    const fresh = made([entry], [])
    const [draft] = fresh.drafts
    if (!draft) return
    const numbered = { ...draft, deviceSeq: await device.nextSeq() }
    await ports.server.send(where, [{ draft: numbered, made: fresh.made }])
    await engine.ask()
  }
  return { keep, writeNow }
}
