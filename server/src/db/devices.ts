import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto'
import { type Silence, isUuid } from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { insertMember } from './jobs.js'
import { refusal } from '../words.js'

export const DEVICE_KINDS = ['probe', 'press-tool', 'torque-tool', 'heat-blanket', 'pressure-logger'] as const
export type DeviceKind = (typeof DEVICE_KINDS)[number]
/** How a stand-in behaves: well, or in one of the ways instruments fail. */
export const STAND_INS = ['well', 'jumps', 'gaps', 'future', 'stuck', 'leak', 'swing', 'air pocket'] as const
export type StandIn = (typeof STAND_INS)[number]

export interface Device {
  jobId: string
  deviceId: string
  name: string
  kind: DeviceKind
  placeId: string | null
  toolId: string | null
  /** The section a pressure logger sits on. */
  sectionId: string | null
  /** Where a Modbus logger is read; null: it sends by itself. */
  settings: Record<string, unknown> | null
  standIn: StandIn | null
  revoked: boolean
  createdAtS: number
  /** Why one that the server reads gives nothing; null while it answers. */
  silent: { why: Silence; sinceS: number } | null
}
interface Row {
  job_id: string
  device_id: string
  name: string
  kind: string
  place_id: string | null
  tool_id: string | null
  section_id: string | null
  settings: string | null
  stand_in: string | null
  revoked_at: Date | null
  token_hash: Buffer
  created_at: Date
  silent_why: string | null
  silent_since: Date | null
}
const COLUMNS = [
  'job_id',
  'device_id',
  'name',
  'kind',
  'place_id',
  'tool_id',
  'section_id',
  'settings',
  'stand_in',
  'revoked_at',
  'token_hash',
  'created_at',
  'silent_why',
  'silent_since',
].join(', ')
const asDevice = (r: Row): Device => ({
  jobId: r.job_id,
  deviceId: r.device_id,
  name: r.name,
  kind: r.kind as DeviceKind,
  placeId: r.place_id,
  toolId: r.tool_id,
  sectionId: r.section_id,
  settings: r.settings === null ? null : (JSON.parse(r.settings) as Record<string, unknown>),
  standIn: r.stand_in as StandIn | null,
  revoked: r.revoked_at !== null,
  createdAtS: r.created_at.getTime() / 1000,
  silent:
    r.silent_why && r.silent_since
      ? { why: r.silent_why as Silence, sinceS: r.silent_since.getTime() / 1000 }
      : null,
})
const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest()

/** Instruments of a job, each with when it last said something. */
export async function devicesOf(
  pool: pg.Pool,
  jobId: string,
): Promise<(Device & { lastAtS: number | null })[]> {
  const r = await pool.query<Row & { last_at: number | null }>(
    `select ${COLUMNS}, (select extract(epoch from e.occurred_at)::float8 from event e
       where e.job_id = d.job_id and e.device_id = d.device_id order by e.device_seq desc limit 1) as last_at
     from device d where job_id = $1 order by created_at`,
    [jobId],
  )
  return r.rows.map((row) => ({ ...asDevice(row), lastAtS: row.last_at }))
}
/** Keeps why an instrument gives nothing, from when on; null: it answers. Written only where that changes. */
export async function keepSilence(
  pool: pg.Pool,
  d: Pick<Device, 'jobId' | 'deviceId'>,
  why: Silence | null,
  nowS: number,
): Promise<void> {
  await pool.query(
    `update device set silent_why = $3,
       silent_since = case when $3::text is null then null else coalesce(silent_since, to_timestamp($4)) end
     where job_id = $1 and device_id = $2 and silent_why is distinct from $3`,
    [d.jobId, d.deviceId, why, nowS],
  )
}
/** Instruments that the server plays or reads itself. */
export async function ownDevices(pool: pg.Pool): Promise<Device[]> {
  const r = await pool.query<Row>(
    `select ${COLUMNS} from device where (stand_in is not null or settings is not null) and revoked_at is null`,
  )
  return r.rows.map(asDevice)
}

/** Registers an instrument on a job; its token is told once and never again. */
export async function addDevice(
  pool: pg.Pool,
  d: Omit<Device, 'deviceId' | 'revoked' | 'createdAtS' | 'silent'> & { deviceId?: string },
  nowS: number,
): Promise<{ deviceId: string; token: string }> {
  const deviceId = d.deviceId ?? randomUUID()
  const secret = randomBytes(24).toString('base64url')
  const r = await pool.query(
    `insert into device (job_id, device_id, name, kind, place_id, tool_id, section_id, settings, stand_in,
       token_hash, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, to_timestamp($11)) on conflict do nothing`,
    [
      d.jobId,
      deviceId,
      d.name,
      d.kind,
      d.placeId,
      d.toolId,
      d.sectionId,
      d.settings === null ? null : JSON.stringify(d.settings),
      d.standIn,
      hashOf(secret),
      nowS,
    ],
  )
  if (!r.rowCount)
    throw new HttpError(409, 'id-reused', refusal('refused-this-instrument-is-already'), 'deviceId')
  // Its entries bear its own name, not that of whoever put it up.
  await insertMember(pool, d.jobId, deviceId, d.name, 'device')
  return { deviceId, token: `${d.jobId}.${deviceId}.${secret}` }
}

/** Ends a token. What the instrument wrote stays. */
export async function revokeDevice(
  pool: pg.Pool,
  jobId: string,
  deviceId: string,
  nowS: number,
): Promise<void> {
  const r = await pool.query(
    'update device set revoked_at = coalesce(revoked_at, to_timestamp($3)) where job_id = $1 and device_id = $2',
    [jobId, deviceId, nowS],
  )
  if (!r.rowCount) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such'))
}

/** The instrument that a token belongs to. @throws HttpError 401: no token, forged, ended; which of them is not said. */
export async function deviceOf(pool: pg.Pool, authorization: string | undefined): Promise<Device> {
  const refused = new HttpError(401, 'device-token', refusal('refused-this-token-is-not'))
  const [jobId = '', deviceId = '', secret = ''] = (
    /^Bearer (\S+)$/.exec(authorization ?? '')?.[1] ?? ''
  ).split('.')
  if (!isUuid(jobId) || !isUuid(deviceId)) throw refused
  const r = await pool.query<Row>(`select ${COLUMNS} from device where job_id = $1 and device_id = $2`, [
    jobId,
    deviceId,
  ])
  const row = r.rows[0]
  if (!row || row.revoked_at || !timingSafeEqual(row.token_hash, hashOf(secret))) throw refused
  return asDevice(row)
}
