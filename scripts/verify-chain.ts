import { existsSync, readFileSync } from 'node:fs'
import { type LogLine, checkChain, isUuid } from '../core/src/index.js'
import { connect, readLog } from '../server/src/index.js'

const what = process.argv[2] ?? ''
async function load(): Promise<{ jobId: string; lines: LogLine[] }> {
  if (existsSync(what)) return JSON.parse(readFileSync(what, 'utf8')) as { jobId: string; lines: LogLine[] }
  if (!isUuid(what)) throw new Error(`"${what}" is neither a job id nor a file.`)
  const database = connect(process.env.DATABASE_URL ?? '')
  try {
    return { jobId: what, lines: await readLog(database.pool, what, 0) }
  } finally {
    await database.close()
  }
}
load()
  .then(({ jobId, lines }) => {
    if (!lines.length) throw new Error(`Job ${jobId} has no entries here.`)
    const check = checkChain(jobId, lines)
    console.log(
      check.ok
        ? `Chain holds: ${check.seq} entries, head ${check.hash}`
        : `Broken at entry ${check.seq}: ${check.why}.`,
    )
    process.exitCode = check.ok ? 0 : 1
  })
  .catch((e: unknown) => {
    console.error(e instanceof Error ? e.message : e)
    process.exitCode = 1
  })
