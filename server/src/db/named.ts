import type { JobEvent } from '@jugalis/core'
import type pg from 'pg'

/** Keeps the name under which a job is listed as its log has it now: as it was last set, or taken back. */
export async function nameJob(
  client: pg.PoolClient,
  jobId: string,
  fresh: readonly JobEvent[],
): Promise<void> {
  const set = fresh.findLast(({ kind }) => kind === 'job-set')
  if (set) await client.query('update job set name = $2 where job_id = $1', [jobId, set.data.name])
  const targets = fresh.flatMap(({ kind, data }) =>
    kind === 'correction' && typeof data.target === 'string' ? [data.target] : [],
  )
  if (targets.length && (await takesBack(client, jobId, targets))) await nameBefore(client, jobId)
}
/** Do corrections speak of what set the job? */
async function takesBack(client: pg.PoolClient, jobId: string, targets: readonly string[]): Promise<boolean> {
  const found = await client.query(
    `select 1 from event where job_id = $1 and id::text = any($2::text[]) and kind = 'job-set' limit 1`,
    [jobId, targets],
  )
  return found.rowCount !== 0
}
/** The name of the last entry that set it and was not taken back. */
async function nameBefore(client: pg.PoolClient, jobId: string): Promise<void> {
  // What was taken back is gathered once, however long the log.
  await client.query(
    `update job set name = coalesce((
       select body::jsonb #>> '{data,name}' from event
       where job_id = $1 and kind = 'job-set' and id::text not in (
         select coalesce(body::jsonb #>> '{data,target}', '') from event
         where job_id = $1 and kind = 'correction' and body::jsonb #>> '{data,undo}' = 'true')
       order by seq desc limit 1), name)
     where job_id = $1`,
    [jobId],
  )
}
