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

function draftOf(device: Device, report: Reports['reports'][number], sentAtS: number, i: number): Draft {
  const field = `reports[${i}]`
  if (!MAY[device.kind].includes(report.what))
    throw bad(
      refusal('refused-kind-does-not-report', { kind: device.kind, what: report.what }),
      `${field}.what`,
    )
  if (report.atDeviceS > sentAtS + AHEAD_S)
    throw bad(refusal('refused-report-from-the-future'), `${field}.atDeviceS`)
  const envelope = {
    id: idOf(device.deviceId, report.seq),
    jointId: null,
    atDeviceS: report.atDeviceS,
    deviceSeq: report.seq,
    after: [],
  }
  if ((CLIMATE as readonly string[]).includes(report.what)) {
    if (report.value === undefined) throw bad(refusal('refused-reading-needs-a-value'), `${field}.value`)
    const [min, max] = report.what === 'humidity' ? [0, 100] : [-60, 150]
    if (report.value < min || report.value > max)
      throw bad(refusal('refused-value-between', { what: report.what, min, max }), `${field}.value`)
    if (!device.placeId) throw bad(refusal('refused-instrument-at-no-place'), 'placeId')
    const data = {
      placeId: device.placeId,
      what: report.what,
      basis: 'measured',
      atS: report.atDeviceS,
      value: report.value,
    }
    return { ...envelope, kind: 'reading', v: KINDS.reading?.v ?? 1, data }
  }
  if (!device.toolId) throw bad(refusal('refused-instrument-of-no-tool'), 'toolId')
  if (report.result === undefined) throw bad(refusal('refused-tool-says-its-result'), `${field}.result`)
  const data = {
    toolId: device.toolId,
    what: report.what,
    result: report.result,
    atS: report.atDeviceS,
    ...(report.value === undefined ? {} : { value: report.value }),
    ...(report.jaw === undefined ? {} : { jaw: report.jaw }),
    ...(report.profile === undefined ? {} : { profile: report.profile }),
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
  return appendBatch(pool, device.jobId, {
    actorId: device.deviceId,
    batch: { deviceId: device.deviceId, sentAtDeviceS, clockErrorS: 0, events },
    receivedAtS,
  })
}
