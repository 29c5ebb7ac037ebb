import { existsSync, readFileSync } from 'node:fs'
import { type SignedCheck, checkFileSigned, checkJobFile, isUuid } from '../core/src/index.js'
import { connect, ownKeyIn, signWith, verifies, verifyAll } from '../server/src/index.js'

/** What a log comes to, in a line or two, and whether it holds. */
interface Said {
  holds: boolean
  says: string
}
const broken = (seq: number, why: string): Said => ({ holds: false, says: `Broken at entry ${seq}: ${why}.` })
function whole(seq: number, hash: string, { by, countersigned }: SignedCheck): Said {
  const signed = by.reduce((sum, one) => sum + one.signed, 0)
  const end = countersigned
    ? `entry ${countersigned.seq} is signed by the server with key ${countersigned.key}`
    : 'no server has signed it'
  return {
    holds: true,
    says: `Chain holds: ${seq} entries, ${signed} signed by devices, head ${hash}; ${end}`,
  }
}
async function ofFile(file: string): Promise<Said> {
  const raw: unknown = JSON.parse(readFileSync(file, 'utf8'))
  const check = checkJobFile(raw)
  if (check.is === 'no-job') throw new Error('This is no job file.')
  if (check.is === 'broken') return broken(check.seq, check.why)
  const signed = await checkFileSigned(raw, verifies)
  return signed.wrong
    ? broken(signed.wrong.seq, signed.wrong.why)
    : whole(check.job.seq, check.job.hash, signed)
}
async function ofDatabase(jobId: string): Promise<Said> {
  if (!isUuid(jobId)) throw new Error(`"${jobId}" is neither a job id nor a file.`)
  const file = process.env.KEY_FILE
  if (file && existsSync(file)) signWith(ownKeyIn(file, Date.now() / 1000))
  const database = connect(process.env.DATABASE_URL ?? '')
  try {
    const found = await verifyAll(database.pool, jobId)
    if (!found.ok) return broken(found.seq, found.why)
    if (!found.seq || !found.signed) throw new Error(`Job ${jobId} has no entries here.`)
    return whole(found.seq, found.hash, found.signed)
  } finally {
    await database.close()
  }
}
const what = process.argv[2] ?? ''
const asked = existsSync(what) ? ofFile(what) : ofDatabase(what)
asked
  .then(({ holds, says }) => {
    console.log(says)
    process.exitCode = holds ? 0 : 1
  })
  .catch((e: unknown) => {
    console.error(e instanceof Error ? e.message : e)
    process.exitCode = 1
  })
