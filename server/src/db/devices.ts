import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto'
import { type Silence, isUuid } from '@jugalis/core'
import { and, desc, eq, isNotNull, isNull, or, sql } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { type Client, dateOf, on, secondsOf } from './connect.js'
import { insertMember } from './jobs.js'
import { device, event } from './schema.js'
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
type Row = typeof device.$inferSelect
const asDevice = (row: Row): Device => ({
  jobId: row.jobId,
  deviceId: row.deviceId,
  name: row.name,
  kind: row.kind as DeviceKind,
  placeId: row.placeId,
  toolId: row.toolId,
  sectionId: row.sectionId,
  settings: row.settings === null ? null : (JSON.parse(row.settings) as Record<string, unknown>),
  standIn: row.standIn as StandIn | null,
  revoked: row.revokedAt !== null,
  createdAtS: secondsOf(row.createdAt),
  silent:
    row.silentWhy && row.silentSince
      ? { why: row.silentWhy as Silence, sinceS: secondsOf(row.silentSince) }
      : null,
})
const thisOne = (jobId: string, deviceId: string) =>
  and(eq(device.jobId, jobId), eq(device.deviceId, deviceId))
const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest()

/** Instruments of a job, each with when it last said something. */
export async function devicesOf(
  pool: pg.Pool,
  jobId: string,
): Promise<(Device & { lastAtS: number | null })[]> {
  const last = on(pool)
    .select({ at: event.occurredAt })
    .from(event)
    .where(and(eq(event.jobId, device.jobId), eq(event.deviceId, device.deviceId)))
    .orderBy(desc(event.deviceSeq))
    .limit(1)
    .as('last')
  const rows = await on(pool)
    .select({ device, lastAt: last.at })
    .from(device)
    .leftJoinLateral(last, sql`true`)
    .where(eq(device.jobId, jobId))
    .orderBy(device.createdAt)
  return rows.map((row) => ({ ...asDevice(row.device), lastAtS: row.lastAt && secondsOf(row.lastAt) }))
}
/** Keeps why an instrument gives nothing, from when on; null: it answers. Written only where that changes. */
export async function keepSilence(
  pool: pg.Pool,
  own: Pick<Device, 'jobId' | 'deviceId'>,
  why: Silence | null,
  nowS: number,
): Promise<void> {
  const since = why === null ? null : sql`coalesce(${device.silentSince}, ${dateOf(nowS)})`
  await on(pool)
    .update(device)
    .set({ silentWhy: why, silentSince: since })
    .where(and(thisOne(own.jobId, own.deviceId), sql`${device.silentWhy} is distinct from ${why}`))
}
/** Instruments that the server plays or reads itself. */
export async function ownDevices(pool: pg.Pool): Promise<Device[]> {
  const rows = await on(pool)
    .select()
    .from(device)
    .where(and(or(isNotNull(device.standIn), isNotNull(device.settings)), isNull(device.revokedAt)))
  return rows.map(asDevice)
}

/** Registers an instrument on a job; its token is told once and never again. */
export async function addDevice(
  client: Client,
  wanted: Omit<Device, 'deviceId' | 'revoked' | 'createdAtS' | 'silent'> & { deviceId?: string },
  nowS: number,
): Promise<{ deviceId: string; token: string }> {
  const deviceId = wanted.deviceId ?? randomUUID()
  const secret = randomBytes(24).toString('base64url')
  const added = await on(client)
    .insert(device)
    .values({
      ...wanted,
      deviceId,
      settings: wanted.settings === null ? null : JSON.stringify(wanted.settings),
      tokenHash: hashOf(secret),
      createdAt: dateOf(nowS),
    })
    .onConflictDoNothing()
  if (!added.rowCount)
    throw new HttpError(409, 'id-reused', refusal('refused-this-instrument-is-already'), 'deviceId')
  // Its entries bear its own name, not that of whoever put it up.
  await insertMember(client, wanted.jobId, deviceId, wanted.name, 'device')
  return { deviceId, token: `${wanted.jobId}.${deviceId}.${secret}` }
}

/** Instruments that came in the file of a job: what they were, without a token; each is put up anew where it reports again. */
export async function keepInstruments(
  client: Client,
  jobId: string,
  all: readonly (Pick<Row, 'deviceId' | 'name' | 'kind'> &
    Partial<Pick<Row, 'placeId' | 'toolId' | 'sectionId'>>)[],
  nowS: number,
): Promise<void> {
  for (const own of all)
    await on(client)
      .insert(device)
      .values({ ...own, jobId, tokenHash: randomBytes(32), createdAt: dateOf(nowS), revokedAt: dateOf(nowS) })
      .onConflictDoNothing()
}

/** Ends a token. What the instrument wrote stays. */
export async function revokeDevice(
  pool: pg.Pool,
  jobId: string,
  deviceId: string,
  nowS: number,
): Promise<void> {
  const ended = await on(pool)
    .update(device)
    .set({ revokedAt: sql`coalesce(${device.revokedAt}, ${dateOf(nowS)})` })
    .where(thisOne(jobId, deviceId))
  if (!ended.rowCount) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such'))
}

/** The instrument that a token belongs to. @throws HttpError 401: no token, forged, ended; which of them is not said. */
export async function deviceOf(pool: pg.Pool, authorization: string | undefined): Promise<Device> {
  const refused = new HttpError(401, 'device-token', refusal('refused-this-token-is-not'))
  const [jobId = '', deviceId = '', secret = ''] = (
    /^Bearer (\S+)$/.exec(authorization ?? '')?.[1] ?? ''
  ).split('.')
  if (!isUuid(jobId) || !isUuid(deviceId)) throw refused
  const [row] = await on(pool).select().from(device).where(thisOne(jobId, deviceId))
  if (!row || row.revokedAt || !timingSafeEqual(row.tokenHash, hashOf(secret))) throw refused
  return asDevice(row)
}
