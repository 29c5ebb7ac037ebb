import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import {
  type LogLine,
  checkFileSigned,
  checkJobFile,
  lineHash,
  textOfBytes,
  textToCountersign,
} from '@jugalis/core'
import { signingDevice } from '../../demo/device.js'
import { newKeyFile, ownKeyOf, signWith, verifies } from '../src/index.js'
import { harness } from './harness.js'
import { SERVER, signingServer } from './signing.js'

/** What the verifier in another language says of a file (docs/verify). */
function byOthers(of: unknown): { code: number; says: string } {
  const folder = mkdtempSync(path.join(tmpdir(), 'forged-'))
  try {
    const at = path.join(folder, 'job.json')
    writeFileSync(at, JSON.stringify(of))
    return { code: 0, says: execFileSync('python3', ['docs/verify/verify.py', at]).toString() }
  } catch (error) {
    const { status, stdout } = error as { status: number; stdout: Buffer }
    return { code: status, says: stdout.toString() }
  } finally {
    rmSync(folder, { recursive: true })
  }
}
/** Whoever owns the database, or a file, and writes the log anew with all its hashes, is found out by the signatures. */
const { server, signedLog, verified } = signingServer()

/** Writes a log anew from a line on, with all its hashes, as who owns the database can. */
async function rewrite(job: string, from: number, change: (body: string) => string): Promise<void> {
  const { rows } = await server().pool.query<{ seq: string; body: string; recorded: string; prev: string }>(
    `select seq, body, to_char(recorded_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as recorded,
       encode(prev_hash, 'hex') as prev from event where job_id = $1 and seq >= $2 order by seq`,
    [job, from],
  )
  let prev = rows[0]?.prev ?? ''
  for (const row of rows) {
    const body = Number(row.seq) === from ? change(row.body) : row.body
    const hash = lineHash(prev, job, Number(row.seq), row.recorded, body)
    await server().pool.query(
      `update event set body = $3, prev_hash = decode($4, 'hex'), hash = decode($5, 'hex') where job_id = $1 and seq = $2`,
      [job, row.seq, body, prev, hash],
    )
    prev = hash
  }
  await server().pool.query(`update job_head set hash = decode($2, 'hex') where job_id = $1`, [job, prev])
}
const changed = (body: string): string => body.replace('"name":"', '"name":"not ')

describe('a forger with the database', () => {
  it('who writes the log anew is found out by what the server signed', async () => {
    const job = await signedLog()
    await rewrite(job, 4, changed)
    expect(await verified(job)).toMatchObject({ ok: false, seq: 4, why: 'countersign' })
  })
  it('by what the device signed, where the server’s signatures are taken away', async () => {
    const job = await signedLog()
    await rewrite(job, 2, changed)
    await server().pool.query(
      'update event set countersigned_with = null, countersignature = null where job_id = $1',
      [job],
    )
    expect(await verified(job)).toMatchObject({ ok: false, seq: 2, why: 'signature' })
  })
  it('where all signatures are taken away: the log was not written through this server', async () => {
    const job = await signedLog()
    await rewrite(job, 2, changed)
    await server().pool.query(
      'update event set countersigned_with = null, countersignature = null, signed_with = null, signature = null where job_id = $1',
      [job],
    )
    expect(await verified(job)).toMatchObject({ ok: false, seq: 4, why: 'past', vouched: 'past' })
  })
  it('who signs it himself has no key that counts, also not one put among those of files', async () => {
    const job = await signedLog()
    await rewrite(job, 1, changed)
    const own = ownKeyOf(newKeyFile(1_780_000_000))
    const head = await server().call('GET', `/jobs/${job}/head`)
    const { seq, hash } = head.body as unknown as { seq: number; hash: string }
    const { key, signature } = own.sign(textToCountersign(job, seq, hash))
    await server().pool.query(
      `update event set signed_with = null, signature = null, countersigned_with = case when seq = $2 then $3 end,
         countersignature = case when seq = $2 then decode($4, 'hex') end where job_id = $1`,
      [job, seq, key, Buffer.from(signature, 'base64url').toString('hex')],
    )
    expect(await verified(job)).toMatchObject({ ok: false, seq, why: 'server' })
    const spki = Buffer.from(own.published[0]!.spki, 'base64url')
    await server().pool.query(
      `insert into job_key (job_id, key_id, of, spki) values ($1, $2, 'server', $3)`,
      [job, key, spki],
    )
    expect(await verified(job)).toMatchObject({ ok: false, seq, why: 'past' })
  })
})

interface File {
  jobId: string
  head: { seq: number; hash: string }
  lines: (LogLine & {
    signed?: { key: string; signature: string }
    countersigned?: { key: string; signature: string }
  })[]
  keys: { id: string; of: string; spki: string; personId: string | null }[]
}
const exported = async (job: string): Promise<File> =>
  (await server().call('GET', `/jobs/${job}/export.json`)).body as unknown as File
/** A file with a line changed and all hashes after it made anew. */
function forged(file: File, from: number): File {
  const own = structuredClone(file)
  for (const line of own.lines.slice(from - 1)) {
    if (line.seq === from) line.body = changed(line.body)
    line.prevHash = own.lines[line.seq - 2]?.hash ?? line.prevHash
    line.hash = lineHash(line.prevHash, own.jobId, line.seq, line.recordedAt, line.body)
  }
  own.head.hash = own.lines.at(-1)!.hash
  return own
}

describe('a file', () => {
  it('brings its signatures and its keys along; elsewhere they stand, and that server signs from there on', async () => {
    const job = await signedLog()
    const file = await exported(job)
    expect(file.lines.map(({ signed, countersigned }) => [Boolean(signed), Boolean(countersigned)])).toEqual([
      [false, true],
      [true, false],
      [true, true],
      [false, true],
    ])
    expect((await checkFileSigned(file, verifies)).wrong).toBeNull()
    const { published } = SERVER
    expect(byOthers(file)).toEqual({
      code: 0,
      says: [
        `holds: 4 lines, head ${file.head.hash}`,
        '2 lines are signed by devices',
        `line 4 is signed by the server with key ${published[0]?.id}`,
        '',
      ].join('\n'),
    })
    const other = await harness({ people: ['rook'] })
    signWith(ownKeyOf(newKeyFile(1_785_000_000)))
    try {
      await other.signIn('rook')
      expect((await other.call('POST', '/jobs/import', file, { as: 'rook' })).status).toBe(201)
      const said = (await other.call('GET', `/jobs/${job}/verify`, undefined, { as: 'rook' })).body
      expect(said).toMatchObject({ ok: true, seq: 5, vouched: 'here', signed: { wrong: null } })
      expect((said.signed as { by: { signed: number }[] }).by.map(({ signed }) => signed)).toEqual([2, 0])
      // Taken away once more it still stands, with the keys of both servers.
      const again = (await other.call('GET', `/jobs/${job}/export.json`, undefined, { as: 'rook' })).body
      expect((again.keys as { of: string }[]).filter(({ of }) => of === 'server')).toHaveLength(2)
      expect((await checkFileSigned(again, verifies)).wrong).toBeNull()
    } finally {
      signWith(SERVER)
      await other.close()
    }
  })
  it.each<[string, number, string | null, (own: File) => void]>([
    ['a word in an entry that a device signed', 2, 'signature', () => {}],
    ['a word in one that nobody did: the server’s signature', 4, 'countersign', () => {}],
    [
      'its signatures taken away: one that the server never signed',
      2,
      null,
      (own) => {
        for (const line of own.lines) {
          delete line.signed
          delete line.countersigned
        }
      },
    ],
    [
      'its keys taken away',
      2,
      'key',
      (own) => void (own.keys = own.keys.filter(({ of }) => of === 'server')),
    ],
    [
      'a key of his own under the name of another',
      2,
      'key',
      (own) => {
        const at = own.keys.findIndex(({ of }) => of === 'device')
        own.keys[at]!.spki = textOfBytes(signingDevice().spki)
      },
    ],
  ])('forged, %s: found out, here and at the door', async (_says, from, why, spoil) => {
    const job = await signedLog()
    const own = forged(await exported(job), from)
    spoil(own)
    // The hashes hold: who forges a file makes them anew.
    expect(checkJobFile(own).is).toBe('whole')
    const check = await checkFileSigned(own, verifies)
    expect(check.wrong?.why ?? null).toBe(why)
    expect(byOthers(own).code).toBe(why ? 1 : 0)
    if (why === null) expect([check.countersigned, check.by.map(({ signed }) => signed)]).toEqual([null, [0]])
    const other = await harness({ people: ['rook'] })
    try {
      await other.signIn('rook')
      const said = await other.call('POST', '/jobs/import', own, { as: 'rook' })
      expect([said.status, said.body.error?.code]).toEqual(why ? [422, 'bad-signature'] : [201, undefined])
    } finally {
      await other.close()
    }
  })
})
