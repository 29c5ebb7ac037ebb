import type { Batch } from '@jugalis/core'
import type pg from 'pg'
import { addDevice } from '../server/src/db/devices.js'
import { inTransaction, insertJob, insertMember } from '../server/src/db/jobs.js'
import { appendBatch } from '../server/src/db/log.js'
import { addPerson } from '../server/src/people.js'
import { tellHarrow } from './harrow/world.js'
import { HARROW, KELPWICK, ORG, PASSWORD, PEOPLE, type World, idOf } from './ids.js'
import { HOUR_S } from './story.js'
import { type Told, tellStory } from './world.js'

const BATCH = 500
const PROBE = { personId: idOf('Probe'), name: 'Probe B', login: 'probe' }

/** A job with its people, and what they wrote: runs of one person's entries as a phone sends them once it has signal. */
async function tell(pool: pg.Pool, nowS: number, world: World, told: readonly Told[]): Promise<void> {
  const { jobId, name, prefix, owner, beganH } = world
  await inTransaction(pool, async (client) => {
    await insertJob(client, jobId, ORG, name, nowS - beganH * HOUR_S)
    for (const person of [...PEOPLE, PROBE])
      await insertMember(
        client,
        jobId,
        person.personId,
        person.name,
        person.name === owner ? 'owner' : 'member',
      )
  })
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
    await appendBatch(pool, jobId, idOf(first.who), batch, nowS)
    run = []
  }
  for (const one of [...told].sort((a, b) => a.atS - b.atS)) {
    if (run.length && (run[0]?.who !== one.who || run.length >= BATCH)) await send()
    run.push(one)
  }
  await send()
}

/** Fills an empty database with the demo world, through the same door as real data. Leaves any other alone. */
export async function seedDemo(pool: pg.Pool, nowS: number): Promise<boolean> {
  const had = await pool.query('select 1 from job limit 1')
  if (had.rowCount) return false
  await pool.query('insert into org (org_id, name) values ($1, $2) on conflict do nothing', [
    ORG,
    'Kelpwick pipework',
  ])
  for (const person of PEOPLE) await addPerson(pool, { ...person, orgId: ORG, password: PASSWORD })
  await pool.query(
    'insert into person (org_id, person_id, name) values ($1, $2, $3) on conflict do nothing',
    [ORG, PROBE.personId, PROBE.name],
  )
  await tell(pool, nowS, KELPWICK, tellStory(nowS))
  await tell(pool, nowS, HARROW, tellHarrow(nowS))
  // A place nobody works in yet, read by a stand-in from now on.
  await addDevice(
    pool,
    {
      jobId: KELPWICK.jobId,
      deviceId: idOf('device roof probe'),
      name: 'Probe R',
      kind: 'probe',
      placeId: idOf('place roof void'),
      toolId: null,
      sectionId: null,
      settings: null,
      standIn: 'well',
    },
    nowS,
  )
  return true
}
