import { OWN_PARTS, jsonSchemaOf } from '@jugalis/core'
import { type Operation, json } from './operation.js'

/** Ways to the fittings that an organisation names itself. */
export const PART_OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/parts',
    says: 'Fittings that the organisation names itself.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: '/parts',
    says: 'Puts such fittings in, each in the place of one of the same name: all of them or none.',
    who: 'person',
    body: jsonSchemaOf(OWN_PARTS),
    status: 201,
    gives: json(),
  },
  {
    method: 'delete',
    path: '/parts/{name}',
    says: 'Takes one out of the list. Lines keep what they have of it.',
    who: 'person',
    status: 204,
  },
]
