import { FIRST_HASH, lineHash } from './chain.js'
import { isUuid } from './events.js'

export * from './signed.js'

/** What the file of a job says of itself, and whether it holds. */
export type FileCheck =
  /** It is no job file. */
  | { is: 'no-job' }
  /** It does not hold: from this line on, or `end` where the log does not end as it says. */
  | { is: 'broken'; seq: number; why: 'missing' | 'torn' | 'link' | 'hash' | 'entry' | 'end' }
  | { is: 'whole'; job: FileFacts }
/** Of a file that holds. */
export interface FileFacts {
  jobId: string
  name: string
  /** Lines, and where they end. */
  seq: number
  hash: string
  /** Who wrote how many entries, most first: by the names of the file. */
  by: readonly { name: string; entries: number }[]
  /** Up to which entry the log came in as a file somewhere, each time it did. */
  brought: readonly number[]
  /** Where the head that was asked for stands: its line; null where it never was, or none was asked for. */
  at: number | null
}
type Fields = Readonly<Record<string, unknown>>
const fields = (value: unknown): Fields | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Fields) : null
function entryOf(body: string): Fields | null {
  try {
    return fields(JSON.parse(body))
  } catch {
    return null
  }
}

/** One line over the one before it: its hash and its entry, or what is wrong with it. */
function readLine(
  raw: unknown,
  jobId: string,
  before: { seq: number; hash: string },
): { hash: string; entry: Fields } | { why: 'missing' | 'torn' | 'link' | 'hash' | 'entry' } {
  const line = fields(raw)
  const seq = before.seq + 1
  if (line?.seq !== seq) return { why: 'missing' }
  const { recordedAt, body, prevHash, hash } = line
  if (
    typeof recordedAt !== 'string' ||
    typeof body !== 'string' ||
    typeof prevHash !== 'string' ||
    typeof hash !== 'string'
  )
    return { why: 'torn' }
  if (prevHash !== before.hash) return { why: 'link' }
  if (lineHash(prevHash, jobId, seq, recordedAt, body) !== hash) return { why: 'hash' }
  const entry = entryOf(body)
  return entry?.jobId === jobId ? { hash, entry } : { why: 'entry' }
}

function namesIn(people: unknown): ReadonlyMap<unknown, string> {
  const list: readonly unknown[] = Array.isArray(people) ? people : []
  return new Map(
    list.map((each) => {
      const person = fields(each)
      return [person?.personId, typeof person?.name === 'string' ? person.name : ''] as const
    }),
  )
}

/**
 * Checks the file of a job as it was exported: format, every line over the one before it, and where the log ends. Never
 * throws, whatever it is given. See docs/verify.
 * @param raw the file, read as JSON. @param head as it stands on a paper: the whole hash or its beginning, hex.
 */
export function checkJobFile(raw: unknown, head: string | null = null): FileCheck {
  const file = fields(raw)
  const end = fields(file?.head)
  if (!file || !end || file.format !== 'jugalis-job-1' || !isUuid(file.jobId) || !Array.isArray(file.lines))
    return { is: 'no-job' }
  const names = namesIn(file.people)
  const wrote = new Map<unknown, number>()
  const brought: number[] = []
  let before = { seq: 0, hash: FIRST_HASH }
  let at: number | null = null
  for (const raw of file.lines as unknown[]) {
    const read = readLine(raw, file.jobId, before)
    if ('why' in read) return { is: 'broken', seq: before.seq + 1, why: read.why }
    before = { seq: before.seq + 1, hash: read.hash }
    if (head !== null && at === null && read.hash.startsWith(head)) at = before.seq
    const { kind, actorId, data } = read.entry
    wrote.set(actorId, (wrote.get(actorId) ?? 0) + 1)
    const entries = kind === 'log-brought' ? fields(data)?.entries : undefined
    if (typeof entries === 'number') brought.push(entries)
  }
  if (end.seq !== before.seq || end.hash !== before.hash)
    return { is: 'broken', seq: before.seq + 1, why: 'end' }
  const by = [...wrote].map(([id, entries]) => ({ name: names.get(id) ?? '', entries }))
  return {
    is: 'whole',
    job: {
      jobId: file.jobId,
      name: typeof file.name === 'string' ? file.name : '',
      ...before,
      by: by.sort((a, b) => b.entries - a.entries),
      brought,
      at,
    },
  }
}
