import { CALCULATIONS, PHOTO } from '@jugalis/core'
import { type Schema, batch, object, text } from './batch.js'
import { CERTIFICATE_SCHEMA, JOB_FILE_SCHEMA } from './schemas.js'

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
const json = (schema: Schema = { type: 'object' }) => ({ type: JSON_TYPE, schema })
const job = '/jobs/{jobId}'

export const OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/health',
    says: 'Is it there, and what time is it.',
    who: 'anybody',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: '/openapi.json',
    says: 'This description.',
    who: 'anybody',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: '/docs',
    says: 'The same as a page to look through and to try.',
    who: 'anybody',
    status: 200,
    gives: { type: 'text/html', schema: text },
  },
  {
    method: 'get',
    path: '/schemas/{name}',
    says: 'JSON Schema of what is exported: job, certificate.',
    who: 'anybody',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: '/calc',
    says: 'Every calculation with its input, sources and an example.',
    who: 'anybody',
    status: 200,
    gives: json({ type: 'array', items: { type: 'object' } }),
  },
  ...[...CALCULATIONS.values()].map((calculation): Operation => ({
    method: 'post',
    path: `/calc/${calculation.name}`,
    says: calculation.summary,
    who: 'anybody',
    body: calculation.input,
    status: 200,
    gives: json(
      object({
        result: { type: 'object' },
        sources: { type: 'array', items: { type: 'object' } },
        warnings: { type: 'array', items: { type: 'object' } },
        missing: { type: 'array', items: { type: 'object' } },
      }),
    ),
  })),
  {
    method: 'post',
    path: '/devices/reports',
    says: 'What an instrument reports.',
    who: 'instrument',
    body: object({
      sentAtDeviceS: { type: 'number' },
      reports: { type: 'array', items: { type: 'object' } },
    }),
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: '/calendar/{jobId}/{personId}/{file}',
    says: 'When sections may be tested, as a calendar that a program follows by its secret address.',
    who: 'anybody',
    status: 200,
    gives: { type: 'text/calendar', schema: text },
  },
  { method: 'get', path: '/session', says: 'Who is signed in.', who: 'anybody', status: 200, gives: json() },
  {
    method: 'post',
    path: '/session',
    says: 'Signs in.',
    who: 'anybody',
    body: object({ login: text, password: text }),
    status: 200,
    gives: json(),
  },
  { method: 'delete', path: '/session', says: 'Signs out.', who: 'anybody', status: 204 },
  {
    method: 'get',
    path: '/session/settings',
    says: 'Choices of the person.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'put',
    path: '/session/settings',
    says: 'Keeps the choices of the person.',
    who: 'person',
    body: { type: 'object' },
    status: 204,
  },
  { method: 'get', path: '/jobs', says: 'Jobs of the person.', who: 'person', status: 200, gives: json() },
  {
    method: 'post',
    path: '/jobs',
    says: 'Begins a job.',
    who: 'person',
    body: object({
      jobId: { type: 'string', format: 'uuid' },
      name: { type: 'string', minLength: 1, maxLength: 200 },
    }),
    status: 201,
    gives: json(),
  },
  {
    method: 'post',
    path: '/jobs/import',
    says: 'Reads an exported job back, with the same hashes.',
    who: 'person',
    body: JOB_FILE_SCHEMA,
    status: 201,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/members`,
    says: 'Who is on the job.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: `${job}/members`,
    says: 'Puts somebody on the job.',
    who: 'person',
    body: object({ login: text }),
    status: 201,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/events`,
    says: 'The log after an entry (?after=).',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: `${job}/events`,
    says: 'Entries of one device, in its order. Sent twice they are kept once.',
    who: 'person',
    body: batch,
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/live`,
    says: 'Where the log stands, as server-sent events with ids.',
    who: 'person',
    status: 200,
    gives: { type: 'text/event-stream', schema: text },
  },
  {
    method: 'get',
    path: `${job}/calendar`,
    says: 'Address of the calendar.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'put',
    path: `${job}/photos/{hash}`,
    says: 'A picture, under the SHA-256 of its bytes.',
    who: 'person',
    takes: PHOTO.kinds,
    status: 201,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/photos/{hash}`,
    says: 'The picture.',
    who: 'person',
    status: 200,
    gives: { type: 'image/*' },
  },
  {
    method: 'get',
    path: `${job}/devices`,
    says: 'Instruments of the job.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'post',
    path: `${job}/devices`,
    says: 'Puts an instrument up; its token is told once.',
    who: 'person',
    body: object({ name: text, kind: text }),
    status: 201,
    gives: json(),
  },
  {
    method: 'delete',
    path: `${job}/devices/{deviceId}`,
    says: 'Takes one down.',
    who: 'person',
    status: 204,
  },
  {
    method: 'post',
    path: `${job}/devices/{deviceId}/trigger`,
    says: 'Pulls the trigger of a stand-in.',
    who: 'person',
    body: { type: 'object' },
    status: 201,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/verify`,
    says: 'Does the chain of hashes hold.',
    who: 'person',
    status: 200,
    gives: json(),
  },
  {
    method: 'get',
    path: `${job}/export.json`,
    says: 'The whole job.',
    who: 'person',
    status: 200,
    gives: json(JOB_FILE_SCHEMA),
  },
  {
    method: 'get',
    path: `${job}/log.csv`,
    says: 'The joint log for people: a row for each life of each joint.',
    who: 'person',
    status: 200,
    gives: { type: 'text/csv', schema: text },
  },
  {
    method: 'get',
    path: `${job}/entries.csv`,
    says: 'The raw log: a row for each entry, with its hash.',
    who: 'person',
    status: 200,
    gives: { type: 'text/csv', schema: text },
  },
]
export { CERTIFICATE_SCHEMA, JOB_FILE_SCHEMA }

const patterns = OPERATIONS.map((operation) => ({
  method: operation.method.toUpperCase(),
  path: new RegExp(`^${operation.path.replace(/[.]/g, '\\.').replace(/\{\w+\}/g, '[^/]+')}/?$`),
}))
/** Methods that an address below /api answers; empty where there is nothing. */
export const methodsOf = (path: string): string[] => [
  ...new Set(patterns.filter((p) => p.path.test(path)).map((p) => p.method)),
]
