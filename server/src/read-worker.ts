import { parentPort, workerData } from 'node:worker_threads'
import { connect } from './db/connect.js'
import { ownKeyIn, signWith } from './own-key.js'
import { type ReadQuestion, type ReadReply, readHere } from './reads.js'

/** A thread that tells whole logs, one at a time, over a connection of its own. */
const { databaseUrl, pooler, keyFile } = workerData as {
  databaseUrl: string
  pooler: boolean
  keyFile?: string
}
if (keyFile) signWith(ownKeyIn(keyFile, Date.now() / 1000))
const { pool } = connect(databaseUrl, { pooler })
const reply = (said: ReadReply): void => parentPort?.postMessage(said)
parentPort?.on('message', (question: ReadQuestion) => {
  readHere(pool, question).then(
    (text) => reply({ text }),
    (error: unknown) => reply({ failed: String(error) }),
  )
})
