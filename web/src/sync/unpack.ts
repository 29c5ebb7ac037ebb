import { PACK_VERSION, type Packed, unpackEntries } from '@jugalis/core'
import type { Pack } from './machine'

/** A packed log as it came; null where there is none, or it was packed in a way this page does not know. */
export function unpack(text: string | null): Pack | null {
  if (!text) return null
  try {
    const packed = JSON.parse(text) as Packed
    if (packed.v !== PACK_VERSION) return null
    const { columns, latestS, nowhere, seq, hash } = packed
    return {
      packed: { columns, latestS, nowhere },
      events: unpackEntries(packed.entries),
      head: { seq, hash },
      text,
    }
  } catch {
    // Cut short on its way, or on this device: the log itself is read.
    return null
  }
}
