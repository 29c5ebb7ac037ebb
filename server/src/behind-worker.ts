import { parentPort, workerData } from 'node:worker_threads'
import { MADE, type Made } from './behind.js'
import { connect } from './db/connect.js'

/** A thread that makes one thing of logs, one log at a time, over a connection of its own. */
const { made, databaseUrl, pooler } = workerData as { made: Made; databaseUrl: string; pooler: boolean }
const { pool } = connect(databaseUrl, { pooler })
parentPort?.on('message', ({ jobId, nowS }: { jobId: string; nowS: number }) => {
  MADE[made](pool, jobId, nowS).then(
    () => parentPort?.postMessage({}),
    (error: unknown) => parentPort?.postMessage({ failed: String(error) }),
  )
})
