import {
  type JobEvent,
  dayOf,
  foldJob,
  isHardStop,
  leftStops,
  readToFold,
  say,
  stopsForTest,
} from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'

/** A test begins only when the ladder and the gates allow it, by the careful rule and what is recorded by then. */
export async function checkTests(
  client: pg.PoolClient,
  jobId: string,
  fresh: readonly JobEvent[],
): Promise<void> {
  const found = await client.query<{ body: string }>(
    'select body from event where job_id = $1 order by seq',
    [jobId],
  )
  const before = readToFold(found.rows.map((x) => x.body))
  for (const [i, event] of fresh.entries()) {
    if (event.kind !== 'test-begun') continue
    const state = foldJob([...before, ...fresh.slice(0, i)])
    const data = event.data as {
      rule?: string
      gaugeTopBar?: number
      gaugeDueOn?: string
      resolutionBar: number
      setAside?: { code: string; reason: string }[]
    }
    const all = stopsForTest(
      state,
      String(event.data.sectionId),
      Number(event.data.bar),
      String(event.data.medium),
      event.occurredAtS,
      {
        rule: data.rule ?? null,
        gauge: {
          resolutionBar: data.resolutionBar,
          topBar: data.gaugeTopBar ?? null,
          dueOn: data.gaugeDueOn ?? null,
        },
        today: dayOf(event.occurredAtS, state.job.zone),
      },
    )
    const stops = leftStops(all, data.setAside ?? [])
    if (stops.length)
      throw new HttpError(409, 'test-refused', say(stops[0] as (typeof stops)[number]), `events[${i}]`, {
        stops: stops.map((says) => ({
          code: says.code,
          message: say(says),
          hard: isHardStop(says),
          params: says.params,
          ...says.params,
        })),
      })
  }
}
