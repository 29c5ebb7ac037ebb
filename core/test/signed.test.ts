import { webcrypto } from 'node:crypto'
import fc from 'fast-check'
import {
  type JobEvent,
  type PublicKey,
  type Verifies,
  bytesOfText,
  canonical,
  checkSigned,
  keyIdOf,
  keysIn,
  signedIn,
  textOfBytes,
  textToSign,
} from '../src/index.js'

const HOW = { name: 'ECDSA', hash: 'SHA-256' }
const CURVE = { name: 'ECDSA', namedCurve: 'P-256' }
const { subtle } = webcrypto
const verifies: Verifies = async (spki, signature, text) =>
  subtle.verify(HOW, await subtle.importKey('spki', spki, CURVE, false, ['verify']), signature, text)
const event = (data: Record<string, unknown>, more: Partial<JobEvent> = {}): JobEvent => ({
  id: 'e',
  kind: 'job-set',
  v: 1,
  jointId: null,
  atDeviceS: 1.5,
  deviceSeq: 1,
  after: [],
  data,
  jobId: 'j',
  deviceId: 'd',
  actorId: 'a',
  occurredAtS: 2.25,
  clockErrorS: 0.1,
  ...more,
})

it('what a device signs is the body as it is hashed, without what the server adds', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (data) => {
      const own = event(data as Record<string, unknown>)
      const { occurredAtS, clockErrorS, ...told } = own
      expect([occurredAtS, clockErrorS]).toEqual([2.25, 0.1])
      expect(textToSign(own)).toBe(`jugalis-entry-1\n${canonical(told)}`)
    }),
  )
})
it('base64url as Node writes and reads it; anything else is no bytes', () => {
  fc.assert(
    fc.property(fc.uint8Array(), (bytes) => {
      const text = Buffer.from(bytes).toString('base64url')
      expect(textOfBytes(bytes)).toBe(text)
      expect(Buffer.from(bytesOfText(text) ?? []).equals(Buffer.from(bytes))).toBe(true)
    }),
  )
  for (const wrong of ['a', 'ab+c', 'ab/c', 'ab=', 'ä', 'a b']) expect(bytesOfText(wrong)).toBeNull()
})
it('what a file holds where signatures and keys should be never throws', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (raw) => {
      expect(signedIn(raw) === null || typeof signedIn(raw)?.key === 'string').toBe(true)
      expect(Array.isArray(keysIn(raw))).toBe(true)
    }),
  )
})
it('says who signed, and the first that does not stand: any letter changed, another person, a key that lies about its name', async () => {
  const pair = await subtle.generateKey(CURVE, true, ['sign', 'verify'])
  const spki = new Uint8Array(await subtle.exportKey('spki', pair.publicKey))
  const key: PublicKey = { id: keyIdOf(spki), of: 'device', spki: textOfBytes(spki), personId: 'a' }
  const own = event({ name: 'J' })
  const sign = async (of: JobEvent) => ({
    key: key.id,
    signature: textOfBytes(
      new Uint8Array(await subtle.sign(HOW, pair.privateKey, Buffer.from(textToSign(of)))),
    ),
  })
  const line = { seq: 1, hash: 'h', body: canonical(own), signed: await sign(own) }
  const plain = { ...line, seq: 2, signed: null }
  expect(await checkSigned('j', [line, plain], [key], verifies)).toEqual({
    by: [{ personId: 'a', entries: 2, signed: 1, devices: 1 }],
    countersigned: null,
    wrong: null,
  })
  // When by the server's clock is the server's to say.
  const later = { ...line, body: canonical(event({ name: 'J' }, { occurredAtS: 9 })) }
  expect((await checkSigned('j', [later], [key], verifies)).wrong).toBeNull()
  const changed = { ...line, body: canonical(event({ name: 'K' })) }
  expect((await checkSigned('j', [plain, changed], [key], verifies)).wrong).toEqual({
    seq: 1,
    why: 'signature',
  })
  expect((await checkSigned('j', [line], [{ ...key, personId: 'b' }], verifies)).wrong?.why).toBe('person')
  expect((await checkSigned('j', [line], [{ ...key, of: 'server' }], verifies)).wrong?.why).toBe('key')
  const liar = { ...key, spki: key.spki.replace(/.$/, (letter) => (letter === 'A' ? 'Q' : 'A')) }
  expect((await checkSigned('j', [line], [liar], verifies)).wrong?.why).toBe('key')
})
