import type { Response } from 'express'
import type { Heads } from './heads.js'

const BEAT_MS = 20_000

/**
 * Keeps an answer open and writes where the log stands whenever it grows (server-sent events).
 * @param still may whoever follows still see it? Asked at each beat: it may have been taken away elsewhere.
 */
export function streamHead(res: Response, heads: Heads, jobId: string, still: () => Promise<boolean>): void {
  res.writeHead(200, {
    'content-type': 'text/event-stream',
    // Neither kept nor packed on the way: each line must arrive when it is written.
    'cache-control': 'no-store, no-transform',
    'x-accel-buffering': 'no',
  })
  res.write('retry: 1500\n\n')
  const end = heads.watch(jobId, (seq) => res.write(`id: ${seq}\nevent: head\ndata: ${seq}\n\n`))
  const beat = setInterval(() => {
    // A database that is away for now takes no right away.
    void still()
      .catch(() => true)
      .then((may) => (may ? res.write(': here\n\n') : res.end()))
  }, BEAT_MS)
  res.on('close', () => {
    clearInterval(beat)
    end()
  })
}
