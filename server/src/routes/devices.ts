import { Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { DEVICE_KINDS, STAND_INS, addDevice, deviceOf, devicesOf, revokeDevice } from '../db/devices.js'
import { checkHost, modbusSettings } from '../devices/modbus.js'
import { chance, torqueAt } from '../devices/models.js'
import { takeReports } from '../devices/report.js'
import { HttpError } from '../errors.js'
import type { Heads } from '../live/heads.js'
import { refusal } from '../words.js'
import type { JobOf } from './job-of.js'
import { jsonBody } from '../json-body.js'

const newDevice = yup
  .object({
    name: yup.string().trim().min(1).max(40).required(),
    kind: yup
      .string()
      .oneOf([...DEVICE_KINDS])
      .required(),
    placeId: yup.string().max(64),
    toolId: yup.string().max(64),
    sectionId: yup.string().max(64),
    settings: modbusSettings.optional().default(undefined),
    standIn: yup.string().oneOf([...STAND_INS]),
  })
  .noUnknown()
const asked = yup
  .object({
    fault: yup.boolean(),
    off: yup.boolean(),
    setNm: yup.number().min(0.1).max(20_000),
    profile: yup.string().max(40),
  })
  .noUnknown()

/** What a stand-in tool reports when its trigger is pulled; null for instruments that read by themselves. */
function standInSays(
  { deviceId, kind }: { deviceId: string; kind: string },
  how: yup.InferType<typeof asked>,
  seq: number,
): Record<string, unknown> | null {
  if (kind === 'press-tool') {
    const profile = how.profile ? { profile: how.profile } : {}
    return { what: 'cycle', result: how.fault ? 'interrupted' : 'complete', ...profile }
  }
  if (kind === 'torque-tool') {
    const reached = how.fault ? 0.5 + 0.3 * chance(deviceId, seq) : 1
    const value = torqueAt((how.setNm ?? 10) * reached, deviceId, seq)
    return { what: 'torque', result: how.fault ? 'not-reached' : 'reached', value }
  }
  const blanket = how.off ? 'off' : 'on'
  return kind === 'heat-blanket' ? { what: 'blanket', result: how.fault ? 'fault' : blanket } : null
}

/** Instruments of a job, as its people see them. Mounted below a job; `jobId` checks who asks. */
export function deviceRoutes(pool: pg.Pool, nowS: () => number, heads: Heads, jobId: JobOf): Router {
  const routes = Router({ mergeParams: true })
  const json = jsonBody('100kb')
  routes.get('/', async (req, res) => {
    res.json({ devices: await devicesOf(pool, await jobId(req)) })
  })
  routes.post('/', json, async (req, res) => {
    const id = await jobId(req, 'settle')
    const body = checked(newDevice, req.body)
    if (body.settings) checkHost(body.settings.host)
    const made = await addDevice(
      pool,
      {
        jobId: id,
        name: body.name,
        kind: body.kind as (typeof DEVICE_KINDS)[number],
        placeId: body.placeId ?? null,
        toolId: body.toolId ?? null,
        sectionId: body.sectionId ?? null,
        settings: body.settings ?? null,
        standIn: (body.standIn as (typeof STAND_INS)[number] | undefined) ?? null,
      },
      nowS(),
    )
    res.status(201).json(made)
  })
  routes.delete('/:deviceId', async (req, res) => {
    await revokeDevice(pool, await jobId(req, 'settle'), String(req.params.deviceId), nowS())
    res.status(204).end()
  })
  // A stand-in tool does its work when somebody pulls its trigger.
  routes.post('/:deviceId/trigger', json, async (req, res) => {
    const id = await jobId(req, 'read')
    const device = (await devicesOf(pool, id)).find((d) => d.deviceId === req.params.deviceId)
    if (!device?.standIn || device.revoked)
      throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-stand'))
    const body = checked(asked, req.body ?? {})
    const now = nowS()
    const seq = Math.floor(now * 100)
    const says = standInSays(device, body, seq)
    if (!says) throw new HttpError(422, 'bad-input', refusal('refused-this-one-reads-by'))
    const done = await takeReports(
      pool,
      device,
      { sentAtDeviceS: now, reports: [{ seq, atDeviceS: now, ...says }] },
      now,
    )
    heads.grew(id, done.head.seq)
    res.status(201).json(done)
  })
  return routes
}

/** The door that instruments knock at: JSON over HTTP, a token of their own, see docs/instruments.md. */
export function deviceDoor(pool: pg.Pool, nowS: () => number, heads: Heads): Router {
  const routes = Router()
  routes.post('/reports', jsonBody('200kb'), async (req, res) => {
    const receivedAtS = nowS()
    const device = await deviceOf(pool, req.headers.authorization)
    const done = await takeReports(pool, device, req.body, receivedAtS)
    heads.grew(device.jobId, done.head.seq)
    res.json({ seqs: done.seqs, serverNowS: nowS() })
  })
  return routes
}
