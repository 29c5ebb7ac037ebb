import { randomUUID } from 'node:crypto'
import { type Batch, textOfBytes } from '@jugalis/core'
import { type SigningDevice, signingDevice } from '../../demo/device.js'
import { newKeyFile, ownKeyOf, signWith } from '../src/index.js'
import { type Answer, type Harness, batch, harness, jobSet } from './harness.js'

export const SERVER = ownKeyOf(newKeyFile(1_780_000_000))
/** A server that signs, two people signed in, devices that sign. */
export function signingServer() {
  let h: Harness
  beforeAll(async () => {
    signWith(SERVER)
    h = await harness()
    await h.signIn('wren')
    await h.signIn('teal')
  })
  afterAll(async () => {
    signWith(null)
    await h.close()
  })
  const whoIs = async (as: string): Promise<string> =>
    ((await h.call('GET', '/session', undefined, { as })).body.person as { personId: string }).personId
  const tellKey = async (spki: Uint8Array, as = 'wren', of = as): Promise<Answer> =>
    h.call('PUT', '/session/key', { personId: await whoIs(of), spki: textOfBytes(spki) }, { as })
  async function newJob(): Promise<string> {
    const job = randomUUID()
    await h.call('POST', '/jobs', { jobId: job, name: 'S' })
    return job
  }
  const send = (job: string, of: object): Promise<Answer> => h.call('POST', `/jobs/${job}/events`, of)
  /** A device that signs, known here. */
  async function device(): Promise<SigningDevice> {
    const own = signingDevice()
    expect((await tellKey(own.spki)).body.key).toBe(own.key)
    return own
  }
  /** A log of four entries: two that a device signed, two that nobody did. */
  async function signedLog(): Promise<string> {
    const job = await newJob()
    const own = await device()
    const wren = await whoIs('wren')
    expect((await send(job, batch(['a'].map(jobSet)))).status).toBe(200)
    expect((await send(job, own.signed(batch(['b', 'c'].map(jobSet)) as Batch, job, wren))).status).toBe(200)
    expect((await send(job, batch(['d'].map(jobSet)))).status).toBe(200)
    return job
  }
  const verified = async (job: string) => (await h.call('GET', `/jobs/${job}/verify`)).body
  return { server: () => h, whoIs, tellKey, newJob, send, device, signedLog, verified }
}
