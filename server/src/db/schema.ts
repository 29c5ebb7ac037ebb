import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  index,
  json,
  jsonb,
  pgTable,
  primaryKey,
  real,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
  varchar,
} from 'drizzle-orm/pg-core'
import { at, bytea } from './schema-types.js'

export * from './schema-people.js'

// Reference tables: shared by all jobs of an organisation, they carry org_id.
export const org = pgTable('org', { orgId: uuid('org_id').primaryKey(), name: text('name').notNull() })
export const person = pgTable(
  'person',
  {
    orgId: uuid('org_id').notNull(),
    personId: uuid('person_id').notNull().primaryKey(),
    name: text('name').notNull(),
    login: text('login').unique(),
    /** Null: known by name from an imported job, cannot sign in. */
    passwordHash: text('password_hash'),
    /** Hash of the PIN by which they take over a device that another signed in on; null: none. */
    pinHash: text('pin_hash'),
    /** How this person reads: units, decimal sign, hours, keys. */
    settings: jsonb('settings'),
    /** Brings people in and lets them go. */
    admin: boolean('admin').notNull().default(false),
    /** Since when this person may not sign in any more; the name stays in the record. */
    leftAt: at('left_at'),
  },
  (t) => [index('person_org').on(t.orgId)],
)

/** Work that one server process of several does: whose it is, until when. */
export const lease = pgTable('lease', {
  name: text('name').notNull().primaryKey(),
  holder: uuid('holder').notNull(),
  until: at('until').notNull(),
})
/** Who is signed in, in the shape that the package for sessions asks for. */
export const session = pgTable('session', {
  sid: varchar('sid').notNull().primaryKey(),
  sess: json('sess').notNull(),
  expire: timestamp('expire', { precision: 6 }).notNull(),
})

/** Fittings that the organisation names itself; a line keeps what it uses of one, so that a job stands by itself. */
export const ownPart = pgTable(
  'own_part',
  {
    orgId: uuid('org_id').notNull(),
    name: text('name').notNull(),
    body: jsonb('body').notNull(),
    changedBy: uuid('changed_by').notNull(),
    changedAt: at('changed_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.orgId, t.name] })],
)

// Job tables: primary and foreign keys start with job_id, so that jobs can be spread over servers.
export const job = pgTable('job', {
  jobId: uuid('job_id').primaryKey(),
  orgId: uuid('org_id').notNull(),
  name: text('name').notNull(),
  createdAt: at('created_at').notNull(),
  /** Put away from the list of jobs; null while it stands there. */
  awayAt: at('away_at'),
})
export const jobMember = pgTable(
  'job_member',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    personId: uuid('person_id').notNull(),
    name: text('name').notNull(),
    role: text('role').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.personId] })],
)
export const jobHead = pgTable('job_head', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => job.jobId),
  seq: bigint('seq', { mode: 'number' }).notNull(),
  hash: bytea('hash').notNull(),
})
/** A large log as it is sent to whoever opens it. Made from the log, anew when that has grown by much. */
export const jobPack = pgTable('job_pack', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => job.jobId),
  /** The last entry of the log that is in it, and the hash of that. */
  seq: bigint('seq', { mode: 'number' }).notNull(),
  hash: bytea('hash').notNull(),
  /** Version of how it is packed: another one is made anew. */
  v: smallint('v').notNull(),
  /** JSON, brotli. */
  body: bytea('body').notNull(),
})
/** What matters of a job to who looks over all of theirs. Made from the log, anew when that has grown. */
export const jobGlance = pgTable('job_glance', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => job.jobId),
  /** The last entry of the log that it knows. */
  seq: bigint('seq', { mode: 'number' }).notNull(),
  /** Version of what is kept here: another one is made anew. */
  v: smallint('v').notNull(),
  madeAt: at('made_at').notNull(),
  body: jsonb('body').notNull(),
})
/** What of a job can be looked for by name. Made with the glance. */
export const jobNamed = pgTable(
  'job_named',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    kind: text('kind').notNull(),
    ref: text('ref').notNull(),
    label: text('label').notNull(),
    more: text('more').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.kind, t.ref] })],
)
/** Joints a job has defined: an event may only name one of them. Rebuilt from events. */
export const jobJoint = pgTable(
  'job_joint',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    jointId: uuid('joint_id').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.jointId] })],
)
export const event = pgTable(
  'event',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    id: uuid('id').notNull(),
    jointId: uuid('joint_id'),
    kind: text('kind').notNull(),
    v: smallint('v').notNull(),
    /** Canonical JSON text exactly as hashed; jsonb would rewrite it. */
    body: text('body').notNull(),
    actorId: uuid('actor_id').notNull(),
    deviceId: uuid('device_id').notNull(),
    deviceSeq: bigint('device_seq', { mode: 'number' }).notNull(),
    occurredAt: at('occurred_at').notNull(),
    clockErrorS: real('clock_error_s').notNull(),
    recordedAt: at('recorded_at').notNull(),
    prevHash: bytea('prev_hash').notNull(),
    hash: bytea('hash').notNull(),
    /** Which device signed the entry, and its signature; null: none did. */
    signedWith: text('signed_with'),
    signature: bytea('signature'),
    /** With which key of the server, of the line at which the log ended then. */
    countersignedWith: text('countersigned_with'),
    countersignature: bytea('countersignature'),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.seq] }),
    unique('event_id').on(table.jobId, table.id),
    unique('event_device').on(table.jobId, table.deviceId, table.deviceSeq),
    // Who began a test decides who may end it: few among hundreds of thousands.
    index('event_tests')
      .on(table.jobId, table.seq)
      .where(sql`${table.kind} in ('test-begun', 'test-ended')`),
  ],
)

/** Public keys that came along in the file of a job: of devices and servers elsewhere, by the word of that file. */
export const jobKey = pgTable(
  'job_key',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    keyId: text('key_id').notNull(),
    of: text('of').notNull(),
    spki: bytea('spki').notNull(),
    personId: uuid('person_id'),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.of, t.keyId] })],
)

/** Pictures that the log names by the hash of their bytes. */
export const photo = pgTable(
  'photo',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    hash: bytea('hash').notNull(),
    kind: text('kind').notNull(),
    bytes: bytea('bytes').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.hash] })],
)

/** Instruments that report to a job by themselves. Of a token only its hash is kept. */
export const device = pgTable(
  'device',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.jobId),
    deviceId: uuid('device_id').notNull(),
    name: text('name').notNull(),
    kind: text('kind').notNull(),
    /** Where a probe hangs; which tool a tool's report is about. */
    placeId: text('place_id'),
    toolId: text('tool_id'),
    /** The section a pressure logger sits on, and where a Modbus one is read, as JSON. */
    sectionId: text('section_id'),
    settings: text('settings'),
    tokenHash: bytea('token_hash').notNull(),
    /** How a stand-in behaves; null: a real instrument. */
    standIn: text('stand_in'),
    createdAt: at('created_at').notNull(),
    revokedAt: at('revoked_at'),
    /** Why one that the server reads gives nothing, and since when; null while it answers. */
    silentWhy: text('silent_why'),
    silentSince: at('silent_since'),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.deviceId] })],
)
