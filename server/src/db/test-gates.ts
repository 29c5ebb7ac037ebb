import {
  type JobEvent,
  type Msg,
  dayOf,
  foldJob,
  isHardStop,
  leftStops,
  readToFold,
  say,
  stopsForTest,
} from '@jugalis/core'
import { and, eq, lte } from 'drizzle-orm'
import { HttpError } from '../errors.js'
import { type Client, on } from './connect.js'
import { event } from './schema.js'

/** Why a test may not begin: which entry begins it, and each stop. */
export interface Stopped {
  at: number
  stops: Msg[]
}
/**
 * Holds tests that entries begin against what is recorded by then.
 * @param until the line up to which the log counts. @param fresh what comes behind it. @returns null: all may begin.
 */
export type Gates = (jobId: string, until: number, fresh: readonly JobEvent[]) => Promise<Stopped | null>

/** Every one of the stops of a test that is begun, by the careful rule. */
function stopsOf(state: ReturnType<typeof foldJob>, { data: begun, occurredAtS }: JobEvent): Msg[] {
  const data = begun as {
    rule?: string
    gaugeTopBar?: number
    gaugeDueOn?: string
    resolutionBar: number
    setAside?: { code: string; reason: string }[]
  }
  const all = stopsForTest(
    state,
    String(begun.sectionId),
    Number(begun.bar),
    String(begun.medium),
    occurredAtS,
    {
      rule: data.rule ?? null,
      gauge: {
        resolutionBar: data.resolutionBar,
        topBar: data.gaugeTopBar ?? null,
        dueOn: data.gaugeDueOn ?? null,
      },
      today: dayOf(occurredAtS, state.job.zone),
    },
  )
  return leftStops(all, data.setAside ?? [])
}
/** The log itself is folded for it, not what was made of it: what a section may take goes by nothing less. */
export const gatesHere =
  (client: Client): Gates =>
  async (jobId, until, fresh) => {
    const rows = await on(client)
      .select({ body: event.body })
      .from(event)
      .where(and(eq(event.jobId, jobId), lte(event.seq, until)))
      .orderBy(event.seq)
    const before = readToFold(rows.map(({ body }) => body))
    for (const [at, begun] of fresh.entries()) {
      if (begun.kind !== 'test-begun') continue
      const stops = stopsOf(foldJob([...before, ...fresh.slice(0, at)]), begun)
      if (stops.length) return { at, stops }
    }
    return null
  }

/** A test begins only when the ladder and the gates allow it. @throws HttpError 409 with each stop. */
export async function checkTests(
  gates: Gates,
  jobId: string,
  until: number,
  fresh: readonly JobEvent[],
): Promise<void> {
  const stopped = await gates(jobId, until, fresh)
  const [first] = stopped?.stops ?? []
  if (!stopped || !first) return
  throw new HttpError(409, 'test-refused', say(first), `events[${stopped.at}]`, {
    stops: stopped.stops.map((says) => ({
      code: says.code,
      message: say(says),
      hard: isHardStop(says),
      params: says.params,
      ...says.params,
    })),
  })
}
