import { createHash, generateKeyPairSync, randomBytes, sign } from 'node:crypto'

/** A device that makes and uses a passkey, in a few lines of its own: Web Authentication, level 2, 6.1, 6.5.4, 7 (from memory). */
const sha256 = (bytes: Uint8Array | string): Buffer => createHash('sha256').update(bytes).digest()
const b64 = (bytes: Uint8Array): string => Buffer.from(bytes).toString('base64url')
/** User present, user verified, a key of its own comes along. */
const [PRESENT, VERIFIED, WITH_KEY] = [0x01, 0x04, 0x40]
/** CBOR: a text, and bytes, of up to 255. */
const textOf = (text: string): Buffer => Buffer.concat([Buffer.from([0x60 + text.length]), Buffer.from(text)])
const bytesOf = (bytes: Buffer): Buffer => Buffer.concat([Buffer.from([0x58, bytes.length]), bytes])

export interface Place {
  origin: string
  /** The name of the server, as a browser tells the device. */
  rpId: string
}
export function softKey({ origin, rpId }: Place) {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const { x = '', y = '' } = publicKey.export({ format: 'jwk' })
  const id = randomBytes(32)
  let counter = 0
  const client = (type: string, challenge: string, from: string): Buffer =>
    Buffer.from(JSON.stringify({ type, challenge, origin: from, crossOrigin: false }))
  const head = (flags: number): Buffer => {
    const count = Buffer.alloc(4)
    count.writeUInt32BE(++counter)
    return Buffer.concat([sha256(rpId), Buffer.from([flags]), count])
  }
  const answered = <Response extends object>(response: Response) => ({
    id: b64(id),
    rawId: b64(id),
    type: 'public-key',
    clientExtensionResults: {},
    response,
  })
  return {
    id: b64(id),
    /** Sets its own count, as a copy of it would have it. */
    countFrom: (at: number) => void (counter = at),
    made({ challenge }: { challenge: string }, from = origin) {
      const [keyX, keyY] = [x, y].map((part) => bytesOf(Buffer.from(part, 'base64url'))) as [Buffer, Buffer]
      const key = Buffer.concat([
        Buffer.from([0xa5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21]),
        keyX,
        Buffer.from([0x22]),
        keyY,
      ])
      const own = Buffer.concat([Buffer.alloc(16), Buffer.from([0, id.length]), id, key])
      const data = Buffer.concat([head(PRESENT | VERIFIED | WITH_KEY), own])
      const parts = [textOf('fmt'), textOf('none'), textOf('attStmt'), Buffer.from([0xa0])]
      const attestation = Buffer.concat([Buffer.from([0xa3]), ...parts, textOf('authData'), bytesOf(data)])
      return answered({
        clientDataJSON: b64(client('webauthn.create', challenge, from)),
        attestationObject: b64(attestation),
        transports: ['internal'],
      })
    },
    signed({ challenge }: { challenge: string }, { from = origin, flags = PRESENT | VERIFIED } = {}) {
      const data = head(flags)
      const said = client('webauthn.get', challenge, from)
      return answered({
        clientDataJSON: b64(said),
        authenticatorData: b64(data),
        signature: b64(sign('sha256', Buffer.concat([data, sha256(said)]), privateKey)),
      })
    },
  }
}
