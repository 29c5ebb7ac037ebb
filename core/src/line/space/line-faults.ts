import type { JobState, Line } from '../../log/state.js'
import { type LineFault, lineFaults } from '../faults.js'
import { lineInSpace } from './in-job.js'

/** What of a line cannot be as it stands, or should not: how it is joined, and where it lies. */
export const faultsOf = (state: JobState, line: Line): LineFault[] => [
  ...lineFaults(line, state),
  ...lineInSpace(state, line)
    .all.filter((fault) => fault.stops)
    .map((fault) => ({ item: fault.item, at: null, stops: true, says: fault })),
]
