import { apiAt } from '../base'

const CHANNEL = 'jugalis-live'
/** Heard nothing for so long: the browser asks by itself again, as often as it did before there was a stream. */
const SILENT_MS = 45_000

interface Told {
  jobId: string
  seq: number
}

/**
 * Hears that a job's log has grown. All tabs of a browser share one stream: the tab that holds the lock keeps it open
 * and tells the others; when that tab goes, the next one takes over. What is heard is a hint: the log is read by its
 * number all the same, and without a stream it is asked for now and then.
 */
export function followJob(
  jobId: string,
  heard: (seq: number) => void,
): { alive: () => boolean; stop: () => void } {
  const between = new BroadcastChannel(CHANNEL)
  const over = new AbortController()
  let lastMs = 0
  const take = (told: Told): void => {
    lastMs = Date.now()
    if (told.jobId === jobId) heard(told.seq)
  }
  between.onmessage = (e: MessageEvent<Told>) => take(e.data)

  /** Holds the stream until this tab stops following. */
  const stream = (): Promise<void> =>
    new Promise((done) => {
      const source = new EventSource(apiAt(`/jobs/${jobId}/live`))
      const tell = (seq: number): void => {
        const told = { jobId, seq }
        take(told)
        between.postMessage(told)
      }
      // Opened, or opened again: something may have been written meanwhile.
      source.onopen = () => tell(Infinity)
      source.addEventListener('head', (e) => tell(Number(e.data)))
      // A beat each few seconds tells the other tabs that somebody listens.
      const beat = setInterval(() => {
        if (source.readyState === EventSource.OPEN) tell(0)
      }, SILENT_MS / 3)
      const end = (): void => {
        clearInterval(beat)
        source.close()
        done()
      }
      // Refused for good (signed out, not on the job): asking now and then finds out why.
      source.onerror = () => {
        if (source.readyState === EventSource.CLOSED) lastMs = 0
      }
      if (over.signal.aborted) end()
      else over.signal.addEventListener('abort', end, { once: true })
    })
  // Without locks (a page that is not served securely) every tab has its own stream.
  const locks = (navigator as { locks?: LockManager }).locks
  void (locks ? locks.request(`${CHANNEL} ${jobId}`, { signal: over.signal }, stream) : stream()).catch(
    () => undefined,
  )
  return {
    alive: () => Date.now() - lastMs < SILENT_MS,
    stop() {
      over.abort()
      between.close()
    },
  }
}
