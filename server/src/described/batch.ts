import { KINDS, jsonSchemaOf } from '@jugalis/core'

export type Schema = Readonly<Record<string, unknown>>
export const text: Schema = { type: 'string' }
export const object = (properties: Record<string, Schema>, required = Object.keys(properties)): Schema => ({
  type: 'object',
  properties,
  required,
})

/** An entry of the log as a device sends it, each kind with the fields it is checked by. */
export const EVENT_SCHEMA: Schema = {
  oneOf: Object.entries(KINDS).map(([kind, { v: version, joint, fields }]) => ({
    title: kind,
    ...object(
      {
        id: text,
        kind: { const: kind },
        v: { type: 'integer', minimum: 1, maximum: version },
        jointId: joint ? text : { type: ['string', 'null'] },
        atDeviceS: { type: 'number' },
        deviceSeq: { type: 'integer', minimum: 1 },
        after: { type: 'array', items: text },
        data: jsonSchemaOf({ type: 'object', fields: [...fields] }),
      },
      ['id', 'kind', 'v', 'atDeviceS', 'deviceSeq', 'data'],
    ),
  })),
}
/** Entries of one device, sent together. */
export const batch = object(
  {
    deviceId: text,
    sentAtDeviceS: { type: 'number' },
    clockErrorS: { type: 'number', minimum: 0 },
    events: { type: 'array', items: EVENT_SCHEMA },
    signed: object({ key: text, signatures: { type: 'array', items: text } }),
  },
  ['deviceId', 'sentAtDeviceS', 'events'],
)
