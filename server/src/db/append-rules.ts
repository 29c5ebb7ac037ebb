import {
  type Draft,
  type JobEvent,
  type LogLine,
  type Signed,
  type Written,
  canonical,
  chainLine,
  notAllowed,
} from '@jugalis/core'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { type Row, type Seen, type Sent, jointsDefined, jointsNamed } from './append-view.js'
import { roleIn } from './jobs.js'
import { type SignedLogLine, ended } from './lines.js'
import { checkParts } from './rights.js'

export interface Head {
  seq: number
  hash: string
}
/** A batch that may be written: its new lines, and the numbers of all its entries. */
export interface Weighed {
  fresh: readonly JobEvent[]
  lines: readonly SignedLogLine[]
  /** Joints that it defines. */
  defined: readonly string[]
  seqs: { id: string; seq: number }[]
  head: Head
}

/** What a log has, as it grows by one batch after another. */
interface Grown {
  head: Head
  known: Map<string, Pick<Row, 'seq' | 'body'>>
  used: Set<string>
  joints: Set<string>
  roles: Map<string, string>
  entries: Map<string, Written>
  tests: Map<string, { by: string; ended: boolean }>
}
const useOf = (deviceId: string, deviceSeq: number): string => `${deviceId} ${deviceSeq}`
function take(
  { entries, tests, roles }: Grown,
  { id, by }: { id: string; by: string },
  { kind, data, atDeviceS }: Draft | JobEvent,
): void {
  entries.set(id, { kind, data, atDeviceS, by })
  const testId = String(data.testId)
  if (kind === 'test-begun') tests.set(testId, { by, ended: false })
  const test = tests.get(testId)
  if (kind === 'test-ended' && test) test.ended = true
  if (kind === 'role-given') roles.set(String(data.personId), String(data.role))
}
function grownFrom({ head, known, used, joints, roles, said }: Seen): Grown {
  const grown: Grown = {
    head,
    known: new Map(known.map((row) => [row.id, row])),
    used: new Set(used.map(([deviceId, deviceSeq]) => useOf(deviceId, deviceSeq))),
    joints: new Set(joints),
    roles: new Map(),
    entries: new Map(),
    tests: new Map(),
  }
  for (const row of said) take(grown, row, JSON.parse(row.body) as JobEvent)
  // What they are now, whatever the entries said of it before.
  grown.roles = new Map(Object.entries(roles))
  return grown
}

/** What the device said, without what the server added: the same draft gives the same text. */
const draftText = (draft: Draft & { deviceId: string }): string =>
  canonical({
    id: draft.id,
    kind: draft.kind,
    v: draft.v,
    jointId: draft.jointId ?? null,
    atDeviceS: draft.atDeviceS,
    deviceSeq: draft.deviceSeq,
    after: draft.after,
    data: draft.data,
    deviceId: draft.deviceId,
  })
/** Times are kept to the millisecond. */
const round = (atS: number): number => Math.round(atS * 1000) / 1000
/** What a device signed of one entry of a batch. */
const signedOf = ({ signed }: Sent['batch'], i: number): Signed | null =>
  signed ? { key: signed.key, signature: signed.signatures[i] ?? '' } : null

/** Of a batch what is new, with the signatures of its device, and the numbers of what is known. */
interface SortedOut {
  fresh: JobEvent[]
  signatures: (Signed | null)[]
  seqs: Weighed['seqs']
}
function sortOut({ known }: Grown, jobId: string, { batch, actorId, receivedAtS }: Sent): SortedOut {
  const out: SortedOut = { fresh: [], signatures: [], seqs: [] }
  for (const [i, draft] of batch.events.entries()) {
    const stored = known.get(draft.id)
    if (stored) {
      if (
        draftText(JSON.parse(stored.body) as JobEvent) !== draftText({ ...draft, deviceId: batch.deviceId })
      )
        throw new HttpError(409, 'id-reused', refusal('refused-this-id-belongs-to'), `events[${i}].id`)
      out.seqs.push({ id: draft.id, seq: stored.seq })
      continue
    }
    out.signatures.push(signedOf(batch, i))
    out.fresh.push({
      ...draft,
      jointId: draft.jointId ?? null,
      jobId,
      deviceId: batch.deviceId,
      actorId,
      // A device's clock may be wrong by hours; how long ago it wrote this is right.
      occurredAtS: round(receivedAtS - Math.max(0, batch.sentAtDeviceS - draft.atDeviceS)),
      clockErrorS: batch.clockErrorS,
    })
  }
  return out
}

function requireOwnSeqs({ used }: Grown, fresh: readonly JobEvent[]): void {
  if (new Set(fresh.map(({ deviceSeq }) => deviceSeq)).size !== fresh.length)
    throw new HttpError(409, 'device-seq-reused', refusal('refused-two-entries-of-this'), 'events')
  if (fresh.some(({ deviceId, deviceSeq }) => used.has(useOf(deviceId, deviceSeq))))
    throw new HttpError(409, 'device-seq-reused', refusal('refused-this-device-has-used'), 'events')
}
function requireJoints(
  { joints }: Grown,
  { fresh, defined }: { fresh: readonly JobEvent[]; defined: readonly string[] },
  all: readonly Draft[],
): void {
  const own = new Set(defined)
  const missing = new Set(
    fresh.flatMap(jointsNamed).filter((jointId) => !joints.has(jointId) && !own.has(jointId)),
  )
  const at = missing.size ? all.findIndex((draft) => jointsNamed(draft).some((id) => missing.has(id))) : -1
  if (at >= 0)
    throw new HttpError(422, 'unknown-joint', refusal('refused-this-joint-is-not'), `events[${at}].jointId`)
}
/** Refuses what this person may not write: by the rules of core, on what the log has and what came before it in the batch. */
function requireRights(
  grown: Grown,
  fresh: readonly JobEvent[],
  { actorId, batch }: Pick<Sent, 'actorId' | 'batch'>,
): void {
  const log = {
    entry: (id: string) => grown.entries.get(id),
    test: (testId: string) => grown.tests.get(testId) ?? null,
    role: (personId: string) => grown.roles.get(personId) ?? '',
  }
  for (const event of fresh) {
    const why = notAllowed(event, { personId: actorId, role: log.role(actorId) || 'device' }, log)
    if (why) {
      const at = batch.events.findIndex(({ id }) => id === event.id)
      throw new HttpError(403, why, refusal(`refused-${why}`), `events[${at}]`)
    }
    take(grown, { id: event.id, by: event.actorId }, event)
  }
}

function weighOne(grown: Grown, jobId: string, sent: Sent): Weighed {
  const { batch, receivedAtS } = sent
  if (sent.byMember) checkParts(roleIn(grown.roles.get(sent.actorId)), batch)
  const { fresh, signatures, seqs } = sortOut(grown, jobId, sent)
  if (fresh.length && batch.expectedSeq != null && batch.expectedSeq !== grown.head.seq)
    throw new HttpError(409, 'stale', refusal('refused-others-have-written-since'), 'expectedSeq', {
      seq: grown.head.seq,
    })
  const defined = jointsDefined(fresh)
  requireOwnSeqs(grown, fresh)
  requireJoints(grown, { fresh, defined }, batch.events)
  requireRights(grown, fresh, sent)
  const recordedAt = new Date(Math.round(receivedAtS * 1000)).toISOString()
  const lines: LogLine[] = []
  for (const event of fresh) {
    const line = chainLine(grown.head, event, recordedAt)
    lines.push(line)
    seqs.push({ id: event.id, seq: line.seq })
    grown.head = line
    grown.known.set(event.id, line)
    grown.used.add(useOf(event.deviceId, event.deviceSeq))
  }
  for (const jointId of defined) grown.joints.add(jointId)
  return {
    fresh,
    lines: ended(
      jobId,
      lines.map((line, i) => ({ ...line, signed: signatures[i] })),
    ),
    defined,
    seqs,
    head: { seq: grown.head.seq, hash: grown.head.hash },
  }
}

/**
 * Weighs batches one after another: each as if those before it were written. One that is refused is as if it had never
 * come.
 */
export function weigh(seen: Seen, jobId: string, all: readonly Sent[]): Map<Sent, Weighed | HttpError> {
  const refused = new Map<Sent, HttpError>()
  for (;;) {
    const grown = grownFrom(seen)
    const weighed = new Map<Sent, Weighed | HttpError>(refused)
    const had = refused.size
    for (const sent of all) {
      if (refused.has(sent)) continue
      try {
        weighed.set(sent, weighOne(grown, jobId, sent))
      } catch (error) {
        if (!(error instanceof HttpError)) throw error
        // It may have left half of itself behind: the others are weighed again without it.
        refused.set(sent, error)
        break
      }
    }
    if (refused.size === had) return weighed
  }
}
