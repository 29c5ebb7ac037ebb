import { type Operation, json } from './operation.js'

/** Ways to all jobs of a person at once. */
export const GLANCE_OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/glance',
    says: 'The jobs of who asks, each with what matters of it next. Where a glance is stale a newer one is being made: ask again.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: '/glance/named',
    says: 'What their jobs have under a name (q): joints, pieces, fittings, lines, sections, tests, tins, tools.',
    who: 'person',
    status: 200,
    gives: json(),
  },
]
