import { bigint, boolean, index, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import { at, bytea } from './schema-types.js'

// Reference tables of people: how they come in, what their devices sign with, what was done.
/** An invitation that was sent: of its token only the hash is kept. It is good once. */
export const invitation = pgTable(
  'invitation',
  {
    tokenHash: bytea('token_hash').notNull().primaryKey(),
    orgId: uuid('org_id').notNull(),
    name: text('name').notNull(),
    admin: boolean('admin').notNull(),
    /** The job its guest is put on; null: on none yet. */
    jobId: uuid('job_id'),
    /** Whose password it makes anew; null: it makes a new person. */
    personId: uuid('person_id'),
    madeBy: uuid('made_by'),
    madeAt: at('made_at').notNull(),
    until: at('until').notNull(),
    usedAt: at('used_at'),
  },
  (t) => [index('invitation_org').on(t.orgId)],
)
/** Sign-ins, and what was done to people: written once, never changed. */
export const audit = pgTable(
  'audit',
  {
    orgId: uuid('org_id'),
    auditId: uuid('audit_id').notNull().primaryKey(),
    at: at('at').notNull(),
    what: text('what').notNull(),
    /** Who did it, and to whom; null where nobody is known. */
    byPerson: uuid('by_person'),
    ofPerson: uuid('of_person'),
    said: text('said').notNull(),
  },
  (t) => [index('audit_org_at').on(t.orgId, t.at)],
)
/** Public keys of people's devices: entries are signed with the other half, which no device gives away. */
export const deviceKey = pgTable(
  'device_key',
  {
    orgId: uuid('org_id').notNull(),
    /** The beginning of the key's own hash. */
    keyId: text('key_id').notNull().primaryKey(),
    personId: uuid('person_id').notNull(),
    spki: bytea('spki').notNull(),
    madeAt: at('made_at').notNull(),
    /** What the device says it is. */
    agent: text('agent').notNull(),
  },
  (t) => [index('device_key_person').on(t.personId)],
)
/** Keys by which a person signs in without a password; the other half never leaves their device. */
export const passkey = pgTable(
  'passkey',
  {
    orgId: uuid('org_id').notNull(),
    /** As the device names the key: base64url. */
    credentialId: text('credential_id').notNull().primaryKey(),
    personId: uuid('person_id').notNull(),
    /** What the person calls it: the phone in the van. */
    name: text('name').notNull(),
    publicKey: bytea('public_key').notNull(),
    /** How often it signed, by its own count; one that goes back is a copy. */
    counter: bigint('counter', { mode: 'number' }).notNull(),
    madeAt: at('made_at').notNull(),
    usedAt: at('used_at'),
  },
  (t) => [index('passkey_person').on(t.personId)],
)
