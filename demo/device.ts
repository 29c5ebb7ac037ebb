import { generateKeyPairSync, sign } from 'node:crypto'
import { type Batch, keyIdOf, textOfBytes, textToSign } from '@jugalis/core'

/** The device of a person, as far as the log knows it: a key whose private half it keeps. */
export interface SigningDevice {
  key: string
  spki: Buffer
  /** A batch with the signatures of its entries, as a browser sends it. */
  signed(batch: Batch, jobId: string, actorId: string): Batch
}
export function signingDevice(): SigningDevice {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const spki = publicKey.export({ type: 'spki', format: 'der' })
  const key = keyIdOf(spki)
  return {
    key,
    spki,
    signed(batch, jobId, actorId) {
      const signatures = batch.events.map((draft) => {
        const said = { ...draft, jointId: draft.jointId ?? null, jobId, actorId, deviceId: batch.deviceId }
        const text = Buffer.from(textToSign(said))
        return textOfBytes(sign('sha256', text, { key: privateKey, dsaEncoding: 'ieee-p1363' }))
      })
      return { ...batch, signed: { key, signatures } }
    },
  }
}
