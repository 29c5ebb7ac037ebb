/** Schemas of what leaves the house, JSON Schema 2020-12. Kept beside the code that writes them; a test reads real files by them. */
const DRAFT = 'https://json-schema.org/draft/2020-12/schema'
const hash = { type: 'string', pattern: '^[0-9a-f]{64}$' }
const person = {
  type: 'object',
  properties: { personId: { type: 'string' }, name: { type: 'string' }, role: { type: 'string' } },
  required: ['personId', 'name', 'role'],
}

const signature = {
  type: 'object',
  properties: { key: { type: 'string' }, signature: { type: 'string', pattern: '^[A-Za-z0-9_-]{86}$' } },
  required: ['key', 'signature'],
}
const key = {
  type: 'object',
  properties: {
    id: { type: 'string', pattern: '^[0-9a-f]{32}$' },
    of: { enum: ['device', 'server'] },
    spki: { type: 'string', description: 'SubjectPublicKeyInfo, DER, base64url: P-256' },
    personId: { type: ['string', 'null'] },
  },
  required: ['id', 'of', 'spki'],
}

export const JOB_FILE_SCHEMA = {
  $schema: DRAFT,
  title: 'A whole job: its log as it was hashed, and the names behind it',
  type: 'object',
  properties: {
    format: { const: 'jugalis-job-1' },
    jobId: { type: 'string', format: 'uuid' },
    name: { type: 'string' },
    exportedAt: { type: 'string', format: 'date-time' },
    people: { type: 'array', items: person },
    head: {
      type: 'object',
      properties: { seq: { type: 'integer', minimum: 0 }, hash },
      required: ['seq', 'hash'],
    },
    keys: { type: 'array', items: key },
    instruments: { type: 'array', items: { type: 'object' } },
    photos: {
      type: 'array',
      items: {
        type: 'object',
        properties: { hash, kind: { type: 'string' }, bytes: { type: 'string', contentEncoding: 'base64' } },
        required: ['hash', 'kind', 'bytes'],
      },
    },
    lines: {
      type: 'array',
      items: {
        type: 'object',
        properties: {
          seq: { type: 'integer', minimum: 1 },
          recordedAt: { type: 'string', format: 'date-time' },
          body: { type: 'string', description: 'One entry as canonical JSON: what was hashed' },
          prevHash: hash,
          hash,
          signed: signature,
          countersigned: signature,
        },
        required: ['seq', 'recordedAt', 'body', 'prevHash', 'hash'],
      },
    },
  },
  required: ['format', 'jobId', 'name', 'people', 'head', 'lines'],
} as const

const figure = { type: ['number', 'null'] }
const text = { type: 'string' }
const maybe = { type: ['string', 'null'] }
/** A sentence as its code and figures: programs read the code, people the words of the paper. */
const message = {
  type: 'object',
  properties: { code: text, params: { type: 'object' } },
  required: ['code', 'params'],
}
const list = (properties: Record<string, object>, required = Object.keys(properties)) => ({
  type: 'array',
  items: { type: 'object', properties, required },
})
export const CERTIFICATE_SCHEMA = {
  $schema: DRAFT,
  title: 'Certificate of a pressure test. Pressures in bar gauge, temperatures in °C, times in epoch seconds',
  type: 'object',
  properties: {
    job: text,
    section: text,
    test: {
      type: 'object',
      properties: {
        id: text,
        bar: { type: 'number' },
        medium: { enum: ['water', 'air', 'nitrogen'] },
        holdS: { type: 'number' },
        allowedDropBar: { type: 'number' },
        resolutionBar: { type: 'number' },
        tester: text,
        begunAtS: { type: 'number' },
        readings: list({ atS: { type: 'number' }, bar: { type: 'number' } }),
      },
      required: ['id', 'bar', 'medium', 'holdS', 'allowedDropBar', 'tester', 'begunAtS', 'readings'],
    },
    rule: {
      type: 'object',
      properties: { id: maybe, reference: maybe, note: maybe },
      required: ['id', 'reference', 'note'],
    },
    workingBar: { type: 'number' },
    weakest: {
      type: ['object', 'null'],
      properties: { name: text, ratingBar: { type: 'number' }, atGaugeBar: { type: 'number' } },
      required: ['name', 'ratingBar', 'atGaugeBar'],
    },
    gates: list({ id: text, says: message, open: { type: 'boolean' }, by: maybe, atS: figure, how: maybe }),
    joints: list({
      tag: text,
      size: text,
      method: text,
      lives: { type: 'integer' },
      homeAtS: figure,
      verdict: text,
    }),
    judgement: {
      type: 'object',
      properties: {
        verdict: { enum: ['held', 'lost', 'inconclusive'] },
        correctedDropBar: figure,
        uncertaintyBar: figure,
      },
      required: ['verdict', 'correctedDropBar', 'uncertaintyBar'],
    },
    heading: message,
    corrected: list({ atS: { type: 'number' }, bar: { type: 'number' } }),
    flags: { type: 'array', items: message },
    signed: list({ by: text, atS: { type: 'number' }, statement: text }),
    head: { type: 'object', properties: { seq: { type: 'integer' }, hash: text }, required: ['seq', 'hash'] },
  },
  required: [
    'job',
    'section',
    'test',
    'rule',
    'workingBar',
    'weakest',
    'gates',
    'joints',
    'judgement',
    'heading',
    'signed',
    'head',
  ],
}
