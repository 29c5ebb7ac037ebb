import { type Draft, type JobEvent, KINDS } from '@jugalis/core'

/** What somebody wrote, before it has an id, a number and a time. */
export interface NewEntry {
  kind: string
  data: Record<string, unknown>
  jointId?: string | null
  /** When it happened, if not now; by the server's clock. */
  atS?: number
}

const HALVES = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g
/** What is no text, as something pasted may hold: a NUL, half of a character. The server would refuse the entry for it. */
const asText = (_name: string, value: unknown): unknown =>
  typeof value === 'string' ? value.replaceAll('\0', '').replace(HALVES, '') : value

/**
 * Entries as they are kept and sent.
 * @param seen what this device had seen when they were written: an entry made now follows the last of all, and the last
 * of its joint. @param wallS this device's clock, s. @param offsetS the server's less this one, s.
 */
export function draftsOf(
  entries: readonly NewEntry[],
  seen: readonly JobEvent[],
  { wallS, offsetS }: { wallS: number; offsetS: number },
): Omit<Draft, 'deviceSeq'>[] {
  const last = seen.at(-1)?.id
  return entries.map((entry) => {
    const ofJoint = entry.jointId ? seen.findLast((x) => x.jointId === entry.jointId)?.id : undefined
    const follows = [...new Set([last, ofJoint].filter((x): x is string => Boolean(x)))]
    return {
      id: crypto.randomUUID(),
      kind: entry.kind,
      v: KINDS[entry.kind]?.v ?? 1,
      jointId: entry.jointId ?? null,
      atDeviceS: entry.atS === undefined ? wallS : entry.atS - offsetS,
      // What lies in the past is not said to follow what is only known now.
      after: entry.atS === undefined ? follows : [],
      // Vue's proxies can't be stored; this device's store takes plain data only.
      data: JSON.parse(JSON.stringify(entry.data, asText)) as Record<string, unknown>,
    }
  })
}
