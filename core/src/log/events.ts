import type * as yup from 'yup'
import { type Shape, firstFault, list, number, object, yupOf } from '../schema/shape.js'
import { anything, id, instant, may, must } from './kinds-shapes.js'
import { KINDS } from './kinds.js'

export { KINDS } from './kinds.js'

/** What a device writes. Ids are made by the device; `after` names the events it had seen. */
export interface Draft {
  id: string
  kind: string
  v: number
  jointId: string | null
  atDeviceS: number
  deviceSeq: number
  after: string[]
  data: Record<string, unknown>
}
export interface Batch {
  deviceId: string
  sentAtDeviceS: number
  /** Round trip of the last exchange and any jump of the device's clock: how wrong its times may be. */
  clockErrorS: number
  /** Refused as stale (409) when others have written since. */
  expectedSeq?: number | null
  /** Who wrote these entries: nobody else's session may send them. Left out by instruments and scripts. */
  personId?: string | null
  /** With which key of that person on this device each entry was signed, in their order (`textToSign`). */
  signed?: { key: string; signatures: string[] } | null
  events: Draft[]
}
/** A draft as the server keeps it: who, on which device, and when it happened by the server's clock. */
export interface JobEvent extends Draft {
  jobId: string
  deviceId: string
  actorId: string
  occurredAtS: number
  clockErrorS: number
}
/** One line of the job's log. `body` is the canonical text of the JobEvent, hashed as it stands. */
export interface LogLine {
  seq: number
  recordedAt: string
  body: string
  prevHash: string
  hash: string
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/
/** Is this a UUID in its usual text form? */
export const isUuid = (s: unknown): s is string => typeof s === 'string' && UUID.test(s)

const schemas = new Map<string, { shape: Shape & { type: 'object' }; schema: yup.Schema }>()
function schemaOf(kind: string): { shape: Shape & { type: 'object' }; schema: yup.Schema } | null {
  const known = KINDS[kind]
  if (!known) return null
  let schema = schemas.get(kind)
  if (!schema) {
    const shape: Shape & { type: 'object' } = { type: 'object', fields: known.fields }
    schemas.set(kind, (schema = { shape, schema: yupOf(shape) }))
  }
  return schema
}

const ENVELOPE: Shape & { type: 'object' } = {
  type: 'object',
  fields: [
    must('id', id),
    must('kind', { type: 'string', max: 40 }),
    must('v', number({ min: 1, max: 99, integer: true })),
    may('jointId', id),
    must('atDeviceS', instant),
    must('deviceSeq', number({ min: 1, max: 2 ** 40, integer: true })),
    must('after', list(id, 0, 50)),
    must('data', anything),
  ],
}
const envelopeSchema = yupOf(ENVELOPE)
const BATCH: Shape & { type: 'object' } = {
  type: 'object',
  fields: [
    must('deviceId', id),
    must('sentAtDeviceS', instant),
    must('clockErrorS', number({ min: 0, max: 1e6 })),
    may('expectedSeq', number({ min: 0, integer: true })),
    may('personId', id),
    may(
      'signed',
      object(
        must('key', { type: 'string', max: 64 }),
        must('signatures', list({ type: 'string', max: 100 }, 1, 1000)),
      ),
    ),
    must('events', list(anything, 1, 1000)),
  ],
}
const batchSchema = yupOf(BATCH)

export interface EventFault {
  code: string
  message: string
  field: string
}
const bad = (message: string, field: string): EventFault => ({ code: 'bad-input', message, field })

/** Checks one draft: envelope, kind, version, data. Null when it is well-formed. */
export function draftFault(raw: unknown, path: string): EventFault | null {
  const outer = firstFault(ENVELOPE, envelopeSchema, raw)
  if (outer) return { ...outer, field: `${path}.${outer.field}` }
  const draft = raw as Draft
  if (!isUuid(draft.id)) return bad('id must be a UUID.', `${path}.id`)
  const known = KINDS[draft.kind]
  const schema = schemaOf(draft.kind)
  if (!known || !schema) return bad(`There is no event called "${draft.kind}".`, `${path}.kind`)
  if (draft.v !== known.v) return bad(`${draft.kind} is written in version ${known.v}.`, `${path}.v`)
  if (known.joint && !isUuid(draft.jointId)) return bad('jointId is missing.', `${path}.jointId`)
  const inner = firstFault(schema.shape, schema.schema, draft.data)
  return inner ? { ...inner, field: `${path}.data.${inner.field}` } : null
}

/** Checks a batch as a device sends it: the first fault, or null. */
export function batchFault(raw: unknown): EventFault | null {
  const outer = firstFault(BATCH, batchSchema, raw)
  if (outer) return outer
  const batch = raw as Batch
  if (!isUuid(batch.deviceId)) return bad('deviceId must be a UUID.', 'deviceId')
  if (batch.signed && batch.signed.signatures.length !== batch.events.length)
    return bad('There is one signature for each entry.', 'signed.signatures')
  const ids = new Set<string>()
  for (let i = 0; i < batch.events.length; i++) {
    const fault = draftFault(batch.events[i], `events[${i}]`)
    if (fault) return fault
    const eventId = (batch.events[i] as Draft).id
    if (ids.has(eventId)) return bad('The same id is there twice.', `events[${i}].id`)
    ids.add(eventId)
  }
  return null
}
