import {
  type Columns,
  type JobEvent,
  type JobState,
  NO_COLUMNS,
  factsOn,
  foldFrom,
  proposalsOf,
} from '@jugalis/core'
import { api, apiText } from '../api'
import { letters } from '../paper/sheet'
import { paperFonts } from '../paper/fonts'
import { handOverBook } from '../paper/pack/book'
import { handOverFolder, pictureFiles } from '../paper/pack/folder'
import { packOf } from '../paper/pack/pack'
import { pictureOf } from '../stores/photos'
import * as kept from '../sync/kept-log'
import type { Lines } from '../sync/machine'
import { hours } from '../when'
import { bring } from '../words/language'
import { reading } from '../words/word'
import type { PackAsk, PackReply } from './pack-reply'

/** Puts together what is handed over, off the main thread; it is ended from outside when somebody stops it. */
letters.read = paperFonts
const reply = (said: PackReply): void => self.postMessage(said)

interface Log {
  events: readonly JobEvent[]
  columns: Columns
}
async function readFrom(jobId: string, seq: number): Promise<JobEvent[]> {
  const { lines } = await api<Lines>('GET', `/jobs/${jobId}/events?after=${seq}`)
  return lines.map(({ event }) => event)
}
/** The log as far as this device keeps it, the rest from the server. */
async function logOf({ jobId, personId, head }: PackAsk): Promise<Log> {
  const had = await kept.open(jobId, personId)
  const rest = had.head < head.seq ? await readFrom(jobId, had.head) : []
  return { events: [...had.events, ...rest], columns: had.columns }
}
/** The job as this device shows it, and its entries. */
async function stateOf(ask: PackAsk): Promise<{ state: JobState; entries: readonly JobEvent[] }> {
  const { events, columns } = await logOf(ask)
  const entries = [...events, ...ask.pending]
  const folded = foldFrom(entries, columns)
  if (!folded.lacks) return { state: folded.state, entries }
  // A correction of a reading that stands in a column is told by the log entry by entry alone.
  const all = [...(await readFrom(ask.jobId, 0)), ...ask.pending]
  return { state: foldFrom(all, NO_COLUMNS).state, entries: all }
}
/** Longer side of a picture on a page, px: as sharp as it prints. */
const ON_PAGE_PX = 560
async function forPage(picture: Blob): Promise<Uint8Array> {
  const image = await createImageBitmap(picture)
  const by = Math.min(1, ON_PAGE_PX / Math.max(image.width, image.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(image.width * by)),
    Math.max(1, Math.round(image.height * by)),
  )
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
  const small = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.75 })
  return new Uint8Array(await small.arrayBuffer())
}

async function make(ask: PackAsk): Promise<void> {
  await bring(ask.reader.language ?? 'en').catch(() => undefined)
  reading.value = ask.reader
  hours.value = ask.hours
  reply({ part: 'log', done: 0, all: 1 })
  const read = await stateOf(ask).catch(() => null)
  if (!read) return reply({ failed: 'log' })
  const { state, entries } = read
  const facts = factsOn(null, state, 'coldest', ask.nowS).all
  const names = new Map(ask.names)
  let away = 0
  const asked = {
    state,
    facts,
    proposals: proposalsOf(entries),
    sectionId: ask.sectionId,
    nowS: ask.nowS,
    name: (id: string) => names.get(id) ?? id.slice(0, 8),
    head: ask.head,
    waiting: ask.pending.length,
    pictureFiles: new Map<string, string>(),
    pictureOf: async (hash: string) => {
      const picture = await pictureOf(ask.jobId, hash)
      const small = picture && (await forPage(picture).catch(() => null))
      if (!small) away++
      return small
    },
  }
  const plain = packOf(asked)
  const heard = (part: 'joints' | 'tests' | 'pictures' | 'files', done: number, all: number): void =>
    reply({ part, done, all })
  const files = pictureFiles({ state }, plain.joints)
  if (ask.as === 'pdf') {
    const made = new Blob([(await handOverBook(plain, heard)) as BlobPart], { type: 'application/pdf' })
    return reply({ made, pictures: files.size, away, record: false })
  }
  const record = await apiText(`/jobs/${ask.jobId}/export.json`).catch(() => null)
  const pack = { ...plain, pictureFiles: files }
  const made = await handOverFolder(pack, record, (hash) => pictureOf(ask.jobId, hash), heard)
  reply({ made, pictures: files.size, away, record: record !== null })
}
self.onmessage = ({ data }: MessageEvent<PackAsk>) =>
  void make(data).catch((error: unknown) => {
    console.error(error)
    reply({ failed: 'paper' })
  })
