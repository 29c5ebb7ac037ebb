import { type Draft, KINDS } from '@jugalis/core'
import type pg from 'pg'
import * as yup from 'yup'
import type { Device } from '../db/devices.js'
import { type Appended, appendBatch } from '../db/log.js'
import { AHEAD_S, bad, idOf } from './entry.js'
import { takeLog } from './logger.js'
import { refusal } from '../words.js'

const CLIMATE = ['wall', 'air', 'humidity'] as const
const TOOL = ['cycle', 'torque', 'blanket'] as const
/** What an instrument may speak of. */
const MAY: Readonly<Record<Device['kind'], readonly string[]>> = {
  probe: CLIMATE,
  'heat-blanket': [...CLIMATE, 'blanket'],
  'press-tool': ['cycle'],
  'torque-tool': ['torque'],
  'pressure-logger': ['pressure'],
}

const finite = (v: unknown): boolean => v === undefined || v === null || Number.isFinite(v)
const report = yup
  .object({
    seq: yup
      .number()
      .integer()
      .min(1)
      .max(2 ** 40)
      .required(),
    atDeviceS: yup.number().min(0).max(4e9).test('finite', 'must be finite', finite).required(),
    what: yup
      .string()
      .oneOf([...CLIMATE, ...TOOL, 'pressure'])
      .required(),
    value: yup.number().min(-100).max(10_000).test('finite', 'must be finite', finite),
    temperatureC: yup.number().min(-60).max(200).test('finite', 'must be finite', finite),
    result: yup.string().oneOf(['complete', 'interrupted', 'reached', 'not-reached', 'on', 'off', 'fault']),
    jaw: yup.string().max(40),
    profile: yup.string().max(40),
  })
  .noUnknown()
const body = yup
  .object({
    sentAtDeviceS: yup.number().min(0).max(4e9).test('finite', 'must be finite', finite).required(),
    reports: yup.array().of(report.required()).min(1).max(500).required(),
  })
  .noUnknown()
export type Reports = yup.InferType<typeof body>

export function checkReports(raw: unknown): Reports {
  try {
    return body.validateSync(raw, { strict: true, abortEarly: true })
  } catch (error) {
    const path = (error as yup.ValidationError).path ?? ''
    throw bad(refusal('refused-report-unreadable', { why: (error as Error).message }), path || 'reports')
  }
}

function draftOf(device: Device, r: Reports['reports'][number], sentAtS: number, i: number): Draft {
  const field = `reports[${i}]`
  if (!MAY[device.kind].includes(r.what))
    throw bad(refusal('refused-kind-does-not-report', { kind: device.kind, what: r.what }), `${field}.what`)
  if (r.atDeviceS > sentAtS + AHEAD_S)
    throw bad(refusal('refused-report-from-the-future'), `${field}.atDeviceS`)
  const envelope = {
    id: idOf(device.deviceId, r.seq),
    jointId: null,
    atDeviceS: r.atDeviceS,
    deviceSeq: r.seq,
    after: [],
  }
  if ((CLIMATE as readonly string[]).includes(r.what)) {
    if (r.value === undefined) throw bad(refusal('refused-reading-needs-a-value'), `${field}.value`)
    const [min, max] = r.what === 'humidity' ? [0, 100] : [-60, 150]
    if (r.value < min || r.value > max)
      throw bad(refusal('refused-value-between', { what: r.what, min, max }), `${field}.value`)
    if (!device.placeId) throw bad(refusal('refused-instrument-at-no-place'), 'placeId')
    const data = {
      placeId: device.placeId,
      what: r.what,
      basis: 'measured',
      atS: r.atDeviceS,
      value: r.value,
    }
    return { ...envelope, kind: 'reading', v: KINDS.reading?.v ?? 1, data }
  }
  if (!device.toolId) throw bad(refusal('refused-instrument-of-no-tool'), 'toolId')
  if (r.result === undefined) throw bad(refusal('refused-tool-says-its-result'), `${field}.result`)
  const data = {
    toolId: device.toolId,
    what: r.what,
    result: r.result,
    atS: r.atDeviceS,
    ...(r.value === undefined ? {} : { value: r.value }),
    ...(r.jaw === undefined ? {} : { jaw: r.jaw }),
    ...(r.profile === undefined ? {} : { profile: r.profile }),
  }
  return { ...envelope, kind: 'tool-said', v: KINDS['tool-said']?.v ?? 1, data }
}

/** Takes what an instrument sends into its job's log, as any device's entries are: whole or not at all. */
export async function takeReports(
  pool: pg.Pool,
  device: Device,
  raw: unknown,
  receivedAtS: number,
): Promise<Appended> {
  const { sentAtDeviceS, reports } = checkReports(raw)
  if (device.kind === 'pressure-logger') return takeLog(pool, device, { sentAtDeviceS, reports }, receivedAtS)
  const events = reports.map((r, i) => draftOf(device, r, sentAtDeviceS, i))
  return appendBatch(
    pool,
    device.jobId,
    device.deviceId,
    { deviceId: device.deviceId, sentAtDeviceS, clockErrorS: 0, events },
    receivedAtS,
  )
}
