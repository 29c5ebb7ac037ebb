import { parentPort, workerData } from 'node:worker_threads'
import { connect } from './db/connect.js'
import { takeGlance } from './db/glance.js'

/** A thread that folds logs for glances, one at a time, over a connection of its own. */
const { databaseUrl, pooler } = workerData as { databaseUrl: string; pooler: boolean }
const { pool } = connect(databaseUrl, { pooler })
parentPort?.on('message', ({ jobId, nowS }: { jobId: string; nowS: number }) => {
  takeGlance(pool, jobId, nowS).then(
    () => parentPort?.postMessage({}),
    (error: unknown) => parentPort?.postMessage({ failed: String(error) }),
  )
})
