import type { Draft } from '@jugalis/core'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { ref } from 'vue'
import type { Made, Returned, Waits } from './machine'

/** An entry as it lies on this device. */
interface Kept extends Waits {
  id: string
  jobId: string
  /** Who wrote it: on a shared device nobody sends what another wrote. Entries kept before this was known have none. */
  personId?: string
}
interface KeptReturned extends Kept {
  why: string
}
interface Shelf extends DBSchema {
  outbox: { key: string; value: Kept; indexes: { job: string } }
  tray: { key: string; value: KeptReturned; indexes: { job: string } }
  meta: { key: string; value: number | string }
}

let opened: Promise<IDBPDatabase<Shelf>> | null = null
const shelf = (): Promise<IDBPDatabase<Shelf>> =>
  (opened ??= openDB<Shelf>('jugalis', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('job', 'jobId')
      db.createObjectStore('tray', { keyPath: 'id' }).createIndex('job', 'jobId')
      db.createObjectStore('meta')
    },
  }))

/**
 * Entries this device could not keep: no store, or a full one. They wait in this page and go to the server from here;
 * whoever closes it before loses them, so it is said.
 */
const loose: Kept[] = []
export const unkept = ref(0)
let looseDevice = ''
let looseSeq = 0
/** Beyond what the store may have numbered already. */
function looseNext(): number {
  looseSeq ||= Math.floor(Date.now() / 1000)
  return ++looseSeq
}

export async function deviceId(): Promise<string> {
  try {
    const tx = (await shelf()).transaction('meta', 'readwrite')
    let id = (await tx.store.get('deviceId')) as string | undefined
    if (!id) await tx.store.put((id = crypto.randomUUID()), 'deviceId')
    await tx.done
    return id
  } catch {
    return (looseDevice ||= crypto.randomUUID())
  }
}
const all = async (jobId?: string): Promise<Kept[]> => {
  const here = loose.filter((w) => jobId === undefined || w.jobId === jobId)
  try {
    const db = await shelf()
    return [
      ...(await (jobId === undefined ? db.getAll('outbox') : db.getAllFromIndex('outbox', 'job', jobId))),
      ...here,
    ]
  } catch {
    return here
  }
}

const by =
  (personId: string) =>
  (entry: Kept): boolean =>
    entry.personId === undefined || entry.personId === personId

/** Keeps entries on this device, numbered in order, before anything is sent; in this page alone where it can't. */
export async function keep(
  jobId: string,
  personId: string,
  drafts: Omit<Draft, 'deviceSeq'>[],
  made: Made,
): Promise<Waits[]> {
  try {
    const tx = (await shelf()).transaction(['meta', 'outbox'], 'readwrite')
    let seq = ((await tx.objectStore('meta').get('deviceSeq')) as number | undefined) ?? 0
    const numbered = drafts.map((d) => ({ ...d, deviceSeq: ++seq }))
    for (const draft of numbered)
      await tx.objectStore('outbox').put({ id: draft.id, jobId, personId, draft, made })
    await tx.objectStore('meta').put(seq, 'deviceSeq')
    await tx.done
    return numbered.map((draft) => ({ draft, made }))
  } catch {
    const numbered = drafts.map((d) => ({ ...d, deviceSeq: looseNext() }))
    for (const draft of numbered) loose.push({ id: draft.id, jobId, personId, draft, made })
    unkept.value = loose.length
    return numbered.map((draft) => ({ draft, made }))
  }
}
/** The next number in this device's order, for an entry that is not to wait here. */
export async function nextSeq(): Promise<number> {
  try {
    const tx = (await shelf()).transaction('meta', 'readwrite')
    const seq = (((await tx.store.get('deviceSeq')) as number | undefined) ?? 0) + 1
    await tx.store.put(seq, 'deviceSeq')
    await tx.done
    return seq
  } catch {
    return looseNext()
  }
}
/** What a person wrote on a job here and the server has not got. */
export async function waiting(jobId: string, personId: string): Promise<Waits[]> {
  return (await all(jobId))
    .filter(by(personId))
    .map(({ draft, made }) => ({ draft, made }))
    .sort((a, b) => a.draft.deviceSeq - b.draft.deviceSeq)
}
/** How many entries wait here on all jobs: of this person, and of others who used this device. */
export async function waitingHere(personId: string): Promise<{ mine: number; others: number }> {
  const every = await all()
  const mine = every.filter(by(personId)).length
  return { mine, others: every.length - mine }
}
/** Jobs in which something of this person waits here to be sent. */
export async function jobsWaiting(personId: string): Promise<string[]> {
  return [...new Set((await all()).filter(by(personId)).map(({ jobId }) => jobId))]
}
function dropLoose(ids: ReadonlySet<string>): void {
  for (let i = loose.length - 1; i >= 0; i--) if (ids.has((loose[i] as Kept).id)) loose.splice(i, 1)
  unkept.value = loose.length
}
export async function sent(ids: readonly string[]): Promise<void> {
  dropLoose(new Set(ids))
  try {
    const tx = (await shelf()).transaction('outbox', 'readwrite')
    for (const id of ids) await tx.store.delete(id)
    await tx.done
  } catch {
    // What stays is sent once more, and the server knows it again.
  }
}
/** Refused entries that the store could not take either: shown while this page is open. */
const looseTray: KeptReturned[] = []
/** A refused entry goes to the tray, where a person sees it. */
export async function giveBack(
  jobId: string,
  personId: string,
  drafts: readonly Draft[],
  why: string,
): Promise<void> {
  try {
    const tx = (await shelf()).transaction(['outbox', 'tray'], 'readwrite')
    for (const draft of drafts) {
      await tx.objectStore('outbox').delete(draft.id)
      await tx.objectStore('tray').put({ id: draft.id, jobId, personId, draft, why })
    }
    await tx.done
  } catch {
    for (const draft of drafts) looseTray.push({ id: draft.id, jobId, personId, draft, why })
  }
  dropLoose(new Set(drafts.map((d) => d.id)))
}
export async function tray(jobId: string, personId: string): Promise<Returned[]> {
  const here = looseTray.filter((r) => r.jobId === jobId)
  try {
    return [...(await (await shelf()).getAllFromIndex('tray', 'job', jobId)), ...here].filter(by(personId))
  } catch {
    return here.filter(by(personId))
  }
}
export async function clearTray(id: string): Promise<void> {
  const at = looseTray.findIndex((r) => r.id === id)
  if (at >= 0) looseTray.splice(at, 1)
  try {
    await (await shelf()).delete('tray', id)
  } catch {
    // Nothing kept, nothing to clear.
  }
}
