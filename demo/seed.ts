import type { Batch } from '@jugalis/core'
import { dateOf, inTransaction, on } from '../server/src/db/connect.js'
import type pg from 'pg'
import { addDevice } from '../server/src/db/devices.js'
import { insertJob, insertMember } from '../server/src/db/jobs.js'
import { appendInside } from '../server/src/db/log.js'
import { deviceKey } from '../server/src/db/schema.js'
import { PUBLISHED, hashPassword, isPassword } from '../server/src/passwords.js'
import { addPerson } from '../server/src/people.js'
import { type SigningDevice, signingDevice } from './device.js'
import { tellHarrow } from './harrow/world.js'
import { HARROW, KELPWICK, ORG, PEOPLE, type World, idOf } from './ids.js'
import { HOUR_S } from './story.js'
import { type Told, tellStory } from './world.js'

const BATCH = 500
const PROBE = { personId: idOf('Probe'), name: 'Probe B', login: 'probe' }

/** A job with its people, and what they wrote: runs of one person's entries as a phone sends them once it has signal. */
async function tell(client: pg.PoolClient, nowS: number, world: World, told: readonly Told[]): Promise<void> {
  const { jobId, name, prefix, owner, beganH } = world
  await insertJob(client, jobId, ORG, name, nowS - beganH * HOUR_S)
  for (const person of PEOPLE)
    await insertMember(
      client,
      jobId,
      person.personId,
      person.name,
      person.name === owner ? 'owner' : 'fitter',
    )
  await insertMember(client, jobId, PROBE.personId, PROBE.name, 'device')
  const devices = new Map<string, SigningDevice>()
  /** The phone of a person, which signs what they write; its key is known from when they signed in. */
  async function deviceOf(personId: string): Promise<SigningDevice> {
    const had = devices.get(personId)
    if (had) return had
    const made = signingDevice()
    devices.set(personId, made)
    const known = { orgId: ORG, keyId: made.key, personId, spki: made.spki, madeAt: dateOf(nowS), agent: '' }
    await on(client).insert(deviceKey).values(known)
    return made
  }
  let run: Told[] = []
  const send = async (): Promise<void> => {
    const first = run[0]
    if (!first) return
    const batch: Batch = {
      deviceId: idOf(`${prefix}device ${first.who}`),
      sentAtDeviceS: nowS,
      clockErrorS: 0,
      events: run.map(({ draft }) => draft),
    }
    const personId = idOf(first.who)
    const byPerson = PEOPLE.some((person) => person.personId === personId)
    const sent = byPerson ? (await deviceOf(personId)).signed(batch, jobId, personId) : batch
    await appendInside(client, jobId, personId, sent, nowS)
    run = []
  }
  for (const one of [...told].sort((a, b) => a.atS - b.atS)) {
    if (run.length && (run[0]?.who !== one.who || run.length >= BATCH)) await send()
    run.push(one)
  }
  await send()
}

const SEED_LOCK = 7_301_927
/**
 * Fills an empty database with the demo world, through the same door as real data; leaves any other alone. All of it or
 * nothing: one that is killed half-way leaves none, and two at once take turns.
 */
export const seedDemo = (pool: pg.Pool, nowS: number): Promise<boolean> =>
  inTransaction(pool, async (client) => {
    await client.query('set local lock_timeout = 0')
    await client.query('select pg_advisory_xact_lock($1)', [SEED_LOCK])
    const had = await client.query('select 1 from job limit 1')
    if (had.rowCount) return false
    await client.query('insert into org (org_id, name) values ($1, $2) on conflict do nothing', [
      ORG,
      'Kelpwick pipework',
    ])
    for (const person of PEOPLE)
      await addPerson(client, { ...person, orgId: ORG, password: PUBLISHED, admin: person.name === ADMIN })
    await client.query(
      'insert into person (org_id, person_id, name) values ($1, $2, $3) on conflict do nothing',
      [ORG, PROBE.personId, PROBE.name],
    )
    await tell(client, nowS, KELPWICK, tellStory(nowS))
    await tell(client, nowS, HARROW, tellHarrow(nowS))
    // A place nobody works in yet, read by a stand-in from now on.
    await addDevice(client, roofProbe, nowS)
    return true
  })
const roofProbe = {
  jobId: KELPWICK.jobId,
  deviceId: idOf('device roof probe'),
  name: 'Probe R',
  kind: 'probe',
  placeId: idOf('place roof void'),
  toolId: null,
  sectionId: null,
  settings: null,
  standIn: 'well',
} as const
/** Who administers the demo. */
const ADMIN = 'Wren'
/** Gives the demo's people a password for as long as this start lasts. */
export async function passwordOfAll(pool: pg.Pool, password: string): Promise<void> {
  const { rows } = await pool.query<{ kept: string }>(
    'select password_hash as kept from person where person_id = any($1::uuid[]) and password_hash is not null',
    [PEOPLE.map(({ personId }) => personId)],
  )
  if ((await Promise.all(rows.map(({ kept }) => isPassword(password, kept)))).every(Boolean)) return
  await pool.query('update person set password_hash = $2 where person_id = any($1::uuid[])', [
    PEOPLE.map(({ personId }) => personId),
    await hashPassword(password),
  ])
}
