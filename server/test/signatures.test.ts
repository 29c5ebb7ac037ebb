import { execFileSync } from 'node:child_process'
import { createSign, generateKeyPairSync } from 'node:crypto'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { type Batch, keyIdOf, textOfBytes, textToSign } from '@jugalis/core'
import { type SigningDevice, signingDevice } from '../../demo/device.js'
import { newKeyFile, ownKeyOf, signWith, verifies } from '../src/index.js'
import { batch, jobSet } from './harness.js'
import { SERVER, signingServer } from './signing.js'

const { server, whoIs, tellKey, newJob, send, device, signedLog, verified } = signingServer()

describe('keys of devices', () => {
  it('one that Web Crypto made signs what the server, Node and OpenSSL find good', async () => {
    const pair = await crypto.subtle.generateKey({ name: 'ECDSA', namedCurve: 'P-256' }, false, [
      'sign',
      'verify',
    ])
    const spki = new Uint8Array(await crypto.subtle.exportKey('spki', pair.publicKey))
    expect((await tellKey(spki)).body.key).toBe(keyIdOf(spki))
    const job = await newJob()
    const wren = await whoIs('wren')
    const plain = batch(['Ä \u2028 "'].map(jobSet)) as Batch
    const text = textToSign({ ...plain.events[0]!, jobId: job, actorId: wren, deviceId: plain.deviceId })
    const algorithm = { name: 'ECDSA', hash: 'SHA-256' }
    const raw = new Uint8Array(
      await crypto.subtle.sign(algorithm, pair.privateKey, new TextEncoder().encode(text)),
    )
    const signed = { key: keyIdOf(spki), signatures: [textOfBytes(raw)] }
    expect((await send(job, { ...plain, signed })).status).toBe(200)
    expect(await verifies(spki, raw, new TextEncoder().encode(text))).toBe(true)
    const folder = mkdtempSync(path.join(tmpdir(), 'signed-'))
    try {
      const at = (name: string): string => path.join(folder, name)
      writeFileSync(at('text'), text)
      writeFileSync(at('key'), spki)
      writeFileSync(at('signature'), derOf(raw))
      const said = execFileSync('openssl', [
        'dgst',
        '-sha256',
        '-keyform',
        'DER',
        '-verify',
        at('key'),
        '-signature',
        at('signature'),
        at('text'),
      ])
      expect(said.toString()).toContain('Verified OK')
    } finally {
      rmSync(folder, { recursive: true })
    }
  })
  it('told twice is one; somebody else’s, another curve, no key, somebody who is not signed in: refused', async () => {
    const own = await device()
    expect((await tellKey(own.spki)).status).toBe(200)
    expect((await tellKey(own.spki, 'teal')).status).toBe(409)
    const { publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-384' })
    expect((await tellKey(publicKey.export({ type: 'spki', format: 'der' }))).status).toBe(422)
    expect((await tellKey(new Uint8Array([1, 2, 3]))).body.error?.field).toBe('spki')
    const personId = await whoIs('wren')
    expect((await server().call('PUT', '/session/key', { personId, spki: '!' })).status).toBe(422)
    expect((await tellKey(own.spki, 'teal', 'wren')).body.error?.code).toBe('other-person')
    expect((await tellKey(own.spki, 'nobody', 'wren')).status).toBe(401)
  })
})
/** An ECDSA signature as OpenSSL wants it. */
function derOf(raw: Uint8Array): Buffer {
  const whole = (bytes: Uint8Array): Buffer => {
    const short = Buffer.from(bytes).subarray(bytes.findIndex((byte) => byte !== 0))
    const own = (short[0] ?? 0) >= 0x80 ? Buffer.concat([Buffer.from([0]), short]) : short
    return Buffer.concat([Buffer.from([2, own.length]), own])
  }
  const both = Buffer.concat([whole(raw.subarray(0, 32)), whole(raw.subarray(32))])
  return Buffer.concat([Buffer.from([0x30, both.length]), both])
}

describe('entries with their signatures', () => {
  it('are taken, sent twice they are there once, and verify says who signed what', async () => {
    const job = await signedLog()
    const [wren, own] = [await whoIs('wren'), await device()]
    const again = own.signed(batch(['e'].map(jobSet)) as Batch, job, wren)
    expect([(await send(job, again)).status, (await send(job, again)).status]).toEqual([200, 200])
    expect(await verified(job)).toMatchObject({
      ok: true,
      seq: 5,
      vouched: 'here',
      signed: { by: [{ personId: wren, entries: 5, signed: 3, devices: 2 }], wrong: null },
    })
  })
  const spoilt: [string, number, string, (own: Batch, other: SigningDevice) => unknown][] = [
    ['a word changed on the way', 422, 'events[1]', (own) => void (own.events[1]!.data.name = 'x')],
    ['a signature of another entry', 422, 'events[0]', (own) => void own.signed!.signatures.reverse()],
    ['no base64', 422, 'events[0]', (own) => void (own.signed!.signatures[0] = '!!')],
    ['a signature too few', 422, 'signed.signatures', (own) => void own.signed!.signatures.pop()],
    ['a key that is not known here', 409, 'signed.key', (own) => void (own.signed!.key = 'a'.repeat(32))],
    ['the key of somebody else', 422, 'signed.key', (own, other) => void (own.signed!.key = other.key)],
  ]
  it.each(spoilt)('%s: refused, and nothing written', async (_says, status, field, spoil) => {
    const job = await newJob()
    const [own, other] = [await device(), signingDevice()]
    expect((await tellKey(other.spki, 'teal')).status).toBe(200)
    const sent = structuredClone(own.signed(batch(['a', 'b'].map(jobSet)) as Batch, job, await whoIs('wren')))
    spoil(sent, other)
    const said = await send(job, sent)
    expect([said.status, said.body.error?.field]).toEqual([status, field])
    expect((await verified(job)).seq).toBe(0)
  })
})

describe('the key of the server', () => {
  it('is published, and what an older one signed still stands', async () => {
    const job = await signedLog()
    const first = newKeyFile(1_780_000_000)
    signWith(ownKeyOf(first))
    try {
      expect((await send(job, batch(['e'].map(jobSet)))).status).toBe(200)
      const next = ownKeyOf(newKeyFile(1_790_000_000, first))
      signWith(next)
      expect(next.published.map(({ untilS }) => untilS)).toEqual([null, 1_790_000_000])
      expect((await server().call('GET', '/keys')).body.keys).toEqual(next.published)
      // The first lines were signed by a key that this server does not know.
      expect(await verified(job)).toMatchObject({ ok: false, seq: 1, why: 'server' })
      const own = await newJob()
      expect((await send(own, batch(['a'].map(jobSet)))).status).toBe(200)
      expect(await verified(own)).toMatchObject({ ok: true, vouched: 'here' })
    } finally {
      signWith(SERVER)
    }
  })
  it('signs as Node does by itself', () => {
    const file = newKeyFile(1)
    const { key, signature } = ownKeyOf(file).sign('text')
    expect(key).toBe(ownKeyOf(file).published[0]?.id)
    const theirs = createSign('sha256').update('text').sign({ key: file.key, dsaEncoding: 'ieee-p1363' })
    expect(Buffer.from(signature, 'base64url')).toHaveLength(theirs.length)
  })
})
