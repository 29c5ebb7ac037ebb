import type { Batch } from '@jugalis/core'
import type pg from 'pg'
import { addDevice } from '../server/src/db/devices.js'
import { inTransaction, insertJob, insertMember } from '../server/src/db/jobs.js'
import { appendBatch } from '../server/src/db/log.js'
import { addPerson } from '../server/src/people.js'
import { JOB, ORG, PASSWORD, PEOPLE, idOf } from './ids.js'
import { tellStory } from './world.js'

const BATCH = 500

/** Fills an empty database with the demo world, through the same door as real data. Leaves any other alone. */
export async function seedDemo(pool: pg.Pool, nowS: number): Promise<boolean> {
  const had = await pool.query('select 1 from job limit 1')
  if (had.rowCount) return false
  await pool.query('insert into org (org_id, name) values ($1, $2) on conflict do nothing', [
    ORG,
    'Kelpwick pipework',
  ])
  const probe = { personId: idOf('Probe'), name: 'Probe B', login: 'probe' }
  for (const person of PEOPLE) await addPerson(pool, { ...person, orgId: ORG, password: PASSWORD })
  await pool.query(
    'insert into person (org_id, person_id, name) values ($1, $2, $3) on conflict do nothing',
    [ORG, probe.personId, probe.name],
  )
  await inTransaction(pool, async (client) => {
    await insertJob(client, JOB, ORG, 'Kelpwick Aquarium, quarantine wing', nowS)
    for (const person of [...PEOPLE, probe])
      await insertMember(
        client,
        JOB,
        person.personId,
        person.name,
        person.name === 'Rook' ? 'owner' : 'member',
      )
  })
  const story = tellStory(nowS).sort((a, b) => a.atS - b.atS)
  // Runs of one person's entries go in together, as a phone would send them once it has signal.
  let run: typeof story = []
  const send = async (): Promise<void> => {
    const first = run[0]
    if (!first) return
    const batch: Batch = {
      deviceId: idOf(`device ${first.who}`),
      sentAtDeviceS: nowS,
      clockErrorS: 0,
      events: run.map((t) => t.draft),
    }
    await appendBatch(pool, JOB, idOf(first.who), batch, nowS)
    run = []
  }
  for (const told of story) {
    if (run.length && (run[0]?.who !== told.who || run.length >= BATCH)) await send()
    run.push(told)
  }
  await send()
  // A place nobody works in yet, read by a stand-in from now on.
  await addDevice(
    pool,
    {
      jobId: JOB,
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
