import type { Schema } from './batch.js'

/** One way in: what it takes and gives. The description of the interface and what may be asked are made from these. */
export interface Operation {
  method: 'get' | 'post' | 'put' | 'delete'
  /** Below /api, with its parameters in braces. */
  path: string
  says: string
  /** Who may: nobody has to sign in, a person, or an instrument with its token. */
  who: 'anybody' | 'person' | 'instrument'
  body?: Schema
  /** What the body is, where it is not JSON. */
  takes?: readonly string[]
  /** Of success. */
  status: 200 | 201 | 204
  gives?: { type: string; schema?: Schema }
}
const JSON_TYPE = 'application/json'
/** What is given as JSON. */
export const json = (schema: Schema = { type: 'object' }) => ({ type: JSON_TYPE, schema })
/** Below a job. */
export const job = '/jobs/{jobId}'
