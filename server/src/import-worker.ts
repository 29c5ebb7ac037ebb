import { parentPort, workerData } from 'node:worker_threads'
import { connect } from './db/connect.js'
import { HttpError } from './errors.js'
import { type ImportQuestion, type ImportReply, bringHere } from './imports.js'
import { ownKeyIn, signWith } from './own-key.js'

/** A thread that reads job files, one at a time, over a connection of its own. */
const { databaseUrl, pooler, keyFile } = workerData as {
  databaseUrl: string
  pooler: boolean
  keyFile?: string
}
if (keyFile) signWith(ownKeyIn(keyFile, Date.now() / 1000))
const { pool } = connect(databaseUrl, { pooler })
const reply = (said: ImportReply): void => parentPort?.postMessage(said)
parentPort?.on('message', (question: ImportQuestion) => {
  bringHere(pool, question).then(
    (done) => reply({ done }),
    (error: unknown) => {
      if (!(error instanceof HttpError)) return reply({ failed: String(error) })
      const { status, code, says, field } = error
      reply({ refused: { status, code, says, field } })
    },
  )
})
