import { isUuid, type JobEvent } from './events.js'

/*
 * Entries in columns: what many of them share is said once, ids are bytes, times and counts are differences. Every entry
 * comes back as it was; one that does not fit stands by itself.
 */

export interface EntryColumns {
  count: number
  /** Sixteen bytes each, base64. */
  ids: string
  /** Ids of joints that entries are about. */
  joints: string
  /** Which of them, from 1; 0: none. */
  joint: number[]
  kinds: { kind: string; v: number }[]
  kind: number[]
  /** Who wrote on what. */
  hands: Pick<JobEvent, 'jobId' | 'deviceId' | 'actorId' | 'clockErrorS'>[]
  hand: number[]
  deviceSeq: number[]
  /** Whole milliseconds. */
  occurredMs: number[]
  /** By how much the device's own time was behind that, ms. */
  behindMs: number[]
  /** What entries say, as JSON, and which of it. */
  says: string[]
  said: number[]
  /** Entries that follow others: their places, and ids. */
  after: [at: number, ids: string[]][]
  /** Entries that do not fit, and their places among the others. */
  loose: [at: number, event: JobEvent][]
}

const BYTES = 16
/** Bytes of ids as text. */
function textOf(ids: readonly string[]): string {
  const hex = ids.map((id) => id.replaceAll('-', '')).join('')
  let bytes = ''
  for (let i = 0; i < hex.length; i += 2) bytes += String.fromCharCode(parseInt(hex.slice(i, i + 2), 16))
  return btoa(bytes)
}
const HEX = Array.from({ length: 256 }, (_, byte) => byte.toString(16).padStart(2, '0'))
function idsOf(text: string): string[] {
  const bytes = atob(text)
  return Array.from({ length: bytes.length / BYTES }, (_, at) => {
    let id = ''
    for (let i = 0; i < BYTES; i++) {
      if (i === 4 || i === 6 || i === 8 || i === 10) id += '-'
      id += HEX[bytes.charCodeAt(at * BYTES + i)] ?? ''
    }
    return id
  })
}
/** Says each thing once, and afterwards which it was. */
function sayer<T>(keyOf: (thing: T) => string) {
  const all: T[] = []
  const known = new Map<string, number>()
  return {
    all,
    at(thing: T): number {
      const key = keyOf(thing)
      let at = known.get(key)
      if (at === undefined) known.set(key, (at = all.push(thing) - 1))
      return at
    },
  }
}
/**
 * A time, epoch s, in whole milliseconds; null where it is none.
 * @example wholeMs(1.5) // 1500
 */
export const wholeMs = (atS: number): number | null => {
  const ms = Math.round(atS * 1000)
  return ms / 1000 === atS ? ms : null
}
const FIELDS: ReadonlySet<string> = new Set([
  'id',
  'kind',
  'v',
  'jointId',
  'atDeviceS',
  'deviceSeq',
  'after',
  'data',
  'jobId',
  'deviceId',
  'actorId',
  'occurredAtS',
  'clockErrorS',
])
/** Has an entry what every entry has, nothing else, and all of it as it mostly is? */
const fits = (event: JobEvent): boolean =>
  isUuid(event.id) &&
  (event.jointId === null || isUuid(event.jointId)) &&
  Object.keys(event).every((key) => FIELDS.has(key)) &&
  wholeMs(event.occurredAtS) !== null &&
  wholeMs(event.atDeviceS) !== null

/** Entries as columns, in the order in which they are given. */
export function packEntries(events: readonly JobEvent[]): EntryColumns {
  const joints = sayer<string>((id) => id)
  const kinds = sayer<EntryColumns['kinds'][number]>(({ kind, v }) => `${v} ${kind}`)
  const hands = sayer<EntryColumns['hands'][number]>(JSON.stringify)
  const says = sayer<string>((text) => text)
  const ids: string[] = []
  const out: EntryColumns = {
    count: events.length,
    ids: '',
    joints: '',
    joint: [],
    kinds: kinds.all,
    kind: [],
    hands: hands.all,
    hand: [],
    deviceSeq: [],
    occurredMs: [],
    behindMs: [],
    says: says.all,
    said: [],
    after: [],
    loose: [],
  }
  let [seq, ms] = [0, 0]
  for (const [at, event] of events.entries()) {
    if (!fits(event)) {
      out.loose.push([at, event])
      continue
    }
    const { kind, v: version, jobId, deviceId, actorId, clockErrorS } = event
    const occurredMs = wholeMs(event.occurredAtS) as number
    ids.push(event.id)
    out.joint.push(event.jointId === null ? 0 : joints.at(event.jointId) + 1)
    out.kind.push(kinds.at({ kind, v: version }))
    out.hand.push(hands.at({ jobId, deviceId, actorId, clockErrorS }))
    out.deviceSeq.push(event.deviceSeq - seq)
    out.occurredMs.push(occurredMs - ms)
    out.behindMs.push(occurredMs - (wholeMs(event.atDeviceS) as number))
    out.said.push(says.at(JSON.stringify(event.data)))
    if (event.after.length) out.after.push([at, event.after])
    ;[seq, ms] = [event.deviceSeq, occurredMs]
  }
  return { ...out, ids: textOf(ids), joints: textOf(joints.all) }
}

/** The entries again. What several of them say alike is the same object in all: nobody changes what was said. */
export function unpackEntries(columns: EntryColumns): JobEvent[] {
  const [ids, joints] = [idsOf(columns.ids), idsOf(columns.joints)]
  const says = columns.says.map((text) => JSON.parse(text) as JobEvent['data'])
  const after = new Map(columns.after)
  const loose = new Map(columns.loose)
  const none: string[] = []
  let [seq, ms, fitted] = [0, 0, 0]
  return Array.from({ length: columns.count }, (_, at): JobEvent => {
    const own = loose.get(at)
    if (own) return own
    const i = fitted++
    const { kind, v: version } = columns.kinds[columns.kind[i] as number] as EntryColumns['kinds'][number]
    const { jobId, deviceId, actorId, clockErrorS } = columns.hands[
      columns.hand[i] as number
    ] as EntryColumns['hands'][number]
    seq += columns.deviceSeq[i] as number
    ms += columns.occurredMs[i] as number
    return {
      id: ids[i] as string,
      kind,
      v: version,
      jointId: joints[(columns.joint[i] as number) - 1] ?? null,
      atDeviceS: (ms - (columns.behindMs[i] as number)) / 1000,
      deviceSeq: seq,
      after: after.get(at) ?? none,
      data: says[columns.said[i] as number] as JobEvent['data'],
      jobId,
      deviceId,
      actorId,
      occurredAtS: ms / 1000,
      clockErrorS,
    }
  })
}
