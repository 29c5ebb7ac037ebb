import type { Glance } from '@jugalis/core'
import { type JobRow, byUrgency } from '../src/places/jobs/use-glance'

const NOW = 1_790_000_000
/** A job with a window that is open until then; null = it was never looked at. */
function job(name: string, untilS: number | null): JobRow {
  const clock = { id: 'open', kind: 'window', shows: 'window', untilS: { value: untilS } }
  const glance = {
    joints: { all: 2, home: 0 },
    lines: 1,
    failed: [],
    begun: [],
    clocks: untilS === null ? [] : [{ jointId: name, tag: name, hands: [], kind: 'before', clock }],
    sections: [],
    toolsNotGood: [],
    upkeep: [],
    closedAtS: null,
  } as unknown as Glance
  return { jobId: name, name, glance: untilS === null ? null : glance, stale: false }
}
it('of jobs in which the same presses the one stands first where it ends first; what nobody knows stands last', () => {
  const rows = [job('unknown', null), job('later', NOW + 200), job('soon', NOW + 20), job('late', NOW - 5)]
  expect(byUrgency(rows, NOW).map(({ name }) => name)).toEqual(['late', 'soon', 'later', 'unknown'])
  // Those that were sent stay in the order in which they came.
  expect(rows[0]?.name).toBe('unknown')
})
