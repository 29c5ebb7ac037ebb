import type { AnyMsg } from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from './errors.js'
import { type Brought, type Importer, importJob } from './routes/transfer.js'
import { threadOf } from './thread.js'
import { refusal } from './words.js'

/** Brings jobs in from files, one at a time: a file is large, and somebody else's. */
export interface Imports {
  /** Asked before anything of a file is taken. @throws HttpError 503 while another one is being read. */
  free(): void
  /** @param bytes the file as it came. @throws HttpError for what is wrong with it. */
  bring(bytes: Buffer, importer: Importer, nowS: number): Promise<Brought>
  stop(): Promise<void>
}
/** A refusal on its way between threads. */
interface Refused {
  status: number
  code: string
  says: AnyMsg | string
  field: string | null
}
export interface ImportQuestion {
  bytes: Uint8Array
  importer: Importer
  nowS: number
}
export type ImportReply = { done: Brought } | { refused: Refused } | { failed: string }

/** Reads a file and puts it in; what is no JSON, or deeper than anything we write, is said to be no job. */
export async function bringHere(pool: pg.Pool, { bytes, importer, nowS }: ImportQuestion): Promise<Brought> {
  try {
    const raw: unknown = JSON.parse(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString())
    return await importJob(pool, raw, importer, nowS)
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof RangeError)
      throw new HttpError(422, 'bad-input', refusal('refused-this-is-not-a'))
    throw error
  }
}
const RETRY_AFTER_S = 5
const oneAtATime = (
  bring: (question: ImportQuestion) => Promise<Brought>,
  stop: () => Promise<void>,
): Imports => {
  let busy = false
  const free = (): void => {
    if (busy)
      throw new HttpError(503, 'busy', refusal('refused-another-file'), null, { retryAfterS: RETRY_AFTER_S })
  }
  return {
    free,
    async bring(bytes, importer, nowS) {
      free()
      busy = true
      try {
        return await bring({ bytes, importer, nowS })
      } finally {
        busy = false
      }
    },
    stop,
  }
}
/** In this thread: where there is none to spare. */
export const importsHere = (pool: pg.Pool): Imports =>
  oneAtATime(
    (question) => bringHere(pool, question),
    async () => undefined,
  )

/** No file that we write needs more, MB; one that does is refused, and takes nothing else with it. */
const MOST_MB = 2048
/** In a thread of its own, which has its own way to the database: what is in the file holds nobody up. */
export function importsApart(
  script: URL,
  databaseUrl: string,
  { pooler, keyFile }: { pooler: boolean; keyFile?: string },
): Imports {
  const thread = threadOf<ImportQuestion, ImportReply>(script, {
    workerData: { databaseUrl, pooler, keyFile },
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  })
  return oneAtATime(async (question) => {
    // A small body lies in a pool that others use too.
    const { buffer, byteLength } = question.bytes
    const own = buffer instanceof ArrayBuffer && buffer.byteLength === byteLength ? buffer : undefined
    const reply = await thread.ask(question, own).catch((error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new HttpError(413, 'too-large', refusal('refused-file-too-large'))
      throw error
    })
    if ('done' in reply) return reply.done
    if ('failed' in reply) throw new Error(reply.failed)
    const { status, code, says, field } = reply.refused
    throw new HttpError(status, code, says, field)
  }, thread.stop)
}
