import { type Draft, type JobEvent, isUuid } from './events.js'

/** Kinds that say what a job is and what is set out in it: what a copy takes along. */
export const SET_OUT_KINDS: ReadonlySet<string> = new Set([
  'job-set',
  'place-set',
  'line-set',
  'line-changed',
  'line-stands',
  'point-set',
  'item-put',
  'items-put',
  'item-moved',
  'item-removed',
  'group-set',
  'take-off',
  'chart-loaded',
  'stock-set',
  'section-set',
  'section-plan',
  'part-set',
  'hold-point',
  'device-set',
  'care-interval',
  'work-time',
])
/** Kinds that say what was done, measured, proved or signed: that stays with the job in which it happened. */
export const DONE_KINDS: ReadonlySet<string> = new Set([
  'job-closed',
  'around-said',
  'tool-set',
  'tool-proof',
  'tool-found',
  'tool-said',
  'joints-doubted',
  'tin-set',
  'lot-set',
  'store-state',
  'photo-kept',
  'looked-over',
  'role-given',
  'qualified',
  'log-brought',
  'permit-set',
  'crew-set',
  'joint-fixed',
  'shutdown-set',
  'plan-pinned',
  'batch-done',
  'joint-placed',
  'step-done',
  'cut-out',
  'interrupted',
  'test-log',
  'piece-cut',
  'socket-measured',
  'section-state',
  'gate',
  'reading',
  'tag-put',
  'tag-back',
  'hold-answered',
  'after-done',
  'in-use',
  'care-done',
  'test-begun',
  'test-read',
  'test-ended',
  'leak-seen',
  'stage-done',
  'source-checked',
  'signed',
  'correction',
  'correction-proposed',
  'proposal-declined',
])

type Data = Readonly<Record<string, unknown>>
/** The same with every id in it under another one. */
function renewed(value: unknown, fresh: (id: string) => string): unknown {
  if (typeof value === 'string') return isUuid(value) ? fresh(value) : value
  if (Array.isArray(value)) return value.map((one) => renewed(one, fresh))
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, renewed(one, fresh)]))
}
const bare = (item: unknown): unknown => {
  const { measuredMm: _measured, toLevelMm: _level, ...rest } = item as Data
  return rest
}
/** What was measured in the one building is not so in the next. */
function unmeasured(kind: string, data: Data): Data {
  if (kind === 'item-put') return { ...data, item: bare(data.item) }
  if (kind !== 'items-put') return data
  const items = data.items as readonly Data[]
  return { ...data, items: items.map((one) => ({ ...one, item: bare(one.item) })) }
}

/**
 * What a job is and what is set out in it, as entries of another one: under new ids, without anything that was done.
 * @param standing entries of its log that were not taken back, in order. @param name of the new job.
 * @param measures whether pieces keep what was measured. @param newId gives ids that nothing has.
 */
export function setOutAnew(
  standing: readonly JobEvent[],
  { name, measures, newId }: { name: string; measures: boolean; newId: () => string },
): Pick<Draft, 'kind' | 'v' | 'data'>[] {
  const ids = new Map<string, string>()
  const fresh = (id: string): string => {
    const known = ids.get(id) ?? newId()
    ids.set(id, known)
    return known
  }
  return standing.flatMap((event) => {
    if (!SET_OUT_KINDS.has(event.kind)) return []
    const data = renewed(event.data, fresh) as Data
    // Nothing is begun in it, so that a changed line is as one that was so from the beginning.
    if (event.kind === 'line-changed') return [{ kind: 'line-set', v: event.v, data }]
    if (event.kind === 'job-set') {
      const { site: _site, customer: _customer, drawings: _drawings, ...rest } = data
      return [{ kind: 'job-set', v: event.v, data: { ...rest, name } }]
    }
    // Pieces that are left over lie in the other job's yard.
    if (event.kind === 'stock-set') return [{ kind: 'stock-set', v: event.v, data: { ...data, offcuts: [] } }]
    return [{ kind: event.kind, v: event.v, data: measures ? data : unmeasured(event.kind, data) }]
  })
}
