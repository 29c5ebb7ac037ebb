import { type Columns, type JobEvent, NO_COLUMNS } from '@jugalis/core'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { unpack } from './unpack'

/** A stretch of a job's log as it was read from the server. */
export interface Part {
  from: number
  events: JobEvent[]
  /** A log from its beginning, as it came packed; the entries are in it. */
  pack?: string
  head: number
  hash: string | null
}
/** Id, name, and what they are on the job; an older log on a device does not know that. */
export type KeptMember = [personId: string, name: string, role?: string]
interface Job {
  jobId: string
  /** Whom it was read for: nobody else on this device gets to see it. */
  personId: string
  openedAtMs: number
  /** Missing until the job was read once. */
  name?: string
  members: KeptMember[]
}
interface Shelf extends DBSchema {
  jobs: { key: string; value: Job }
  parts: { key: [string, number]; value: Part & { jobId: string } }
}
/** Jobs kept on a device; the one not opened for longest goes first. */
const MOST_JOBS = 8
/** From so many stretches they are put together into one. */
const MOST_PARTS = 40

let opened: Promise<IDBPDatabase<Shelf>> | null = null
const shelf = (): Promise<IDBPDatabase<Shelf>> =>
  (opened ??= openDB<Shelf>('jugalis-log', 1, {
    upgrade(db) {
      db.createObjectStore('jobs', { keyPath: 'jobId' })
      db.createObjectStore('parts', { keyPath: ['jobId', 'from'] })
    },
  }))
const partsOf = (jobId: string): IDBKeyRange => IDBKeyRange.bound([jobId, 0], [jobId, Infinity])

export interface Kept {
  events: JobEvent[]
  columns: Columns
  head: number
  hash: string | null
  members: KeptMember[]
}
/**
 * What this device keeps of a job, so that it opens without signal and only what is new is read. A device that can't
 * keep anything (private window, full disk) works from the server alone.
 */
export async function open(jobId: string, personId: string): Promise<Kept> {
  const none: Kept = { events: [], columns: NO_COLUMNS, head: 0, hash: null, members: [] }
  try {
    const db = await shelf()
    const job = await db.get('jobs', jobId)
    if (job && job.personId !== personId) await drop(jobId)
    const mine = job?.personId === personId ? job : null
    await db.put('jobs', { members: [], ...mine, jobId, personId, openedAtMs: Date.now() })
    await dropOldest(db)
    if (!mine) return none
    const parts = (await db.getAll('parts', partsOf(jobId))).sort((a, b) => a.from - b.from)
    // A stretch that is missing would leave a hole: what lies behind it is read again.
    const whole: Part[] = []
    for (const part of parts) if (part.from === (whole.at(-1)?.head ?? 0) + 1) whole.push(part)
    const last = whole.at(-1)
    if (!last) return { ...none, members: mine.members }
    const first = whole[0]?.pack === undefined ? null : unpack(whole[0].pack)
    // What this page can't read any more, or what was cut short, is asked for anew.
    if (whole[0]?.pack !== undefined && !first) return { ...none, members: mine.members }
    const grown = whole.flatMap((p) => p.events)
    if (parts.length > MOST_PARTS) await putTogether(db, jobId, whole, grown)
    const events = first ? [...first.events, ...grown] : grown
    const columns = first?.packed ?? NO_COLUMNS
    return { events, columns, head: last.head, hash: last.hash, members: mine.members }
  } catch {
    return none
  }
}
/** Many short stretches become one, behind what came packed. */
async function putTogether(
  db: IDBPDatabase<Shelf>,
  jobId: string,
  whole: readonly Part[],
  events: JobEvent[],
): Promise<void> {
  const packed = whole.filter(({ pack }) => pack !== undefined)
  const last = whole.at(-1) as Part
  await db.delete('parts', partsOf(jobId))
  for (const part of packed) await db.put('parts', { jobId, ...part })
  const from = (packed.at(-1)?.head ?? 0) + 1
  await db.put('parts', { jobId, from, events, head: last.head, hash: last.hash })
}
async function dropOldest(db: IDBPDatabase<Shelf>): Promise<void> {
  const jobs = (await db.getAll('jobs')).sort((a, b) => b.openedAtMs - a.openedAtMs)
  for (const job of jobs.slice(MOST_JOBS)) await drop(job.jobId)
}

export async function keepPart(jobId: string, part: Part): Promise<void> {
  try {
    await (await shelf()).put('parts', { jobId, ...part })
  } catch {
    // Not kept: it is read from the server next time.
  }
}
/** Jobs of a person that open from this device, the one opened last first. */
export async function list(personId: string): Promise<{ jobId: string; name: string }[]> {
  try {
    const mine = (await (await shelf()).getAll('jobs')).filter((j) => j.personId === personId && j.name)
    return mine
      .sort((a, b) => b.openedAtMs - a.openedAtMs)
      .map((j) => ({ jobId: j.jobId, name: j.name ?? '' }))
  } catch {
    return []
  }
}
export async function keepAbout(jobId: string, about: Pick<Job, 'name' | 'members'>): Promise<void> {
  try {
    const db = await shelf()
    const job = await db.get('jobs', jobId)
    if (job) await db.put('jobs', { ...job, ...about })
  } catch {
    // Names are asked for again next time.
  }
}
export async function drop(jobId: string): Promise<void> {
  try {
    const db = await shelf()
    await db.delete('parts', partsOf(jobId))
    await db.delete('jobs', jobId)
  } catch {
    // Nothing kept, nothing to drop.
  }
}
/** Signing out leaves nothing of the jobs behind; what was written and not sent stays. */
export async function dropAll(): Promise<void> {
  try {
    const db = await shelf()
    await db.clear('parts')
    await db.clear('jobs')
  } catch {
    // Nothing kept, nothing to drop.
  }
}
