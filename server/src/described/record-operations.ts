import { type Operation, job, json } from './operation.js'

/** What stands up in a dispute: where a log ends, what was known, whether it holds. */
export const RECORD_OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: `${job}/head`,
    says: 'Where the log ends, and this server’s signature under that.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/known/{entryId}`,
    says: 'What was known of the job when an entry was written: what stood then, and what came later about before.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/verify`,
    says: 'Does the chain of hashes hold, what of it devices signed, and whether this server signed where it ends.',
    who: 'person',
    status: 200,
    gives: json(),
  },
]
