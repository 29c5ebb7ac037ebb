import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import canonicalize from 'canonicalize'
import type { JobEvent, LogLine } from './events.js'

export const FIRST_HASH = '0'.repeat(64)

/** Canonical JSON text (RFC 8785): the form that is stored and hashed. */
export const canonical = (value: unknown): string => canonicalize(value) as string

/**
 * Hash of one log line over the one before it. Hex. No field but the body may hold a line feed, and it comes last.
 * @example lineHash('', 'job', 1, '2026-01-01T00:00:00Z', '{}').length // 64
 */
export function lineHash(
  prevHash: string,
  jobId: string,
  seq: number,
  recordedAt: string,
  body: string,
): string {
  return bytesToHex(sha256(utf8ToBytes(`${prevHash}\n${jobId}\n${seq}\n${recordedAt}\n${body}`)))
}

/** The next line of a job's log. */
export function chainLine(prev: { seq: number; hash: string }, event: JobEvent, recordedAt: string): LogLine {
  const seq = prev.seq + 1
  const body = canonical(event)
  return {
    seq,
    recordedAt,
    body,
    prevHash: prev.hash,
    hash: lineHash(prev.hash, event.jobId, seq, recordedAt, body),
  }
}

export type ChainCheck = { ok: true; seq: number; hash: string } | { ok: false; seq: number; why: string }

/** Walks a whole log and checks numbers, links and hashes. Says the first line that does not hold. */
export function checkChain(jobId: string, lines: readonly LogLine[]): ChainCheck {
  let prev = { seq: 0, hash: FIRST_HASH }
  for (const line of lines) {
    const at = prev.seq + 1
    if (line.seq !== at) return { ok: false, seq: at, why: `line ${at} is missing` }
    if (line.prevHash !== prev.hash)
      return { ok: false, seq: at, why: 'it does not link to the line before it' }
    if (lineHash(prev.hash, jobId, line.seq, line.recordedAt, line.body) !== line.hash)
      return { ok: false, seq: at, why: 'its hash does not fit its content' }
    prev = line
  }
  return { ok: true, seq: prev.seq, hash: prev.hash }
}
