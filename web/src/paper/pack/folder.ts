import { certificateOf, dayOf, hangTogether, jointLog, linesAsOne, tagsOf, upkeepCsv } from '@jugalis/core'
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import Papa from 'papaparse'
import { writingFor } from '../../space/writing'
import { onPaper } from '../../when'
import { reading, word } from '../../words/word'
import { certificatePaper } from '../certificate'
import { certificateWords } from '../certificate-words'
import { fileName } from '../file-name'
import { isometricPaper } from '../isometric'
import { handOverBook } from './book'
import type { Heard, Pack } from './pack'
import { caresOf } from './rest'

/** What is already as small as it gets. */
const PACKED = /\.(jpg|pdf)$/
/** Files of pictures by their hash: the joint they show, its life, a number. */
export function pictureFiles(
  { state }: Pick<Pack, 'state'>,
  joints: Pack['joints'],
): ReadonlyMap<string, string> {
  const files = new Map<string, string>()
  for (const { id, tag } of joints)
    state.joints.get(id)?.photos.forEach(({ hash, life }, i) => {
      if (!files.has(hash))
        files.set(hash, `pictures/${fileName(tag)}-${life}-${i + 1}-${hash.slice(0, 8)}.jpg`)
    })
  return files
}

const csv = (columns: string[], rows: (string | number | null)[][]): string =>
  Papa.unparse([columns, ...rows], { newline: '\r\n', escapeFormulae: true })
const hexOf = (bytes: ArrayBuffer): string =>
  Array.from(new Uint8Array(bytes), (byte) => byte.toString(16).padStart(2, '0')).join('')

/** A zip that grows file by file, and a list of what is in it. */
function growing() {
  const parts: BlobPart[] = []
  const listed: (string | number)[][] = []
  const names = new Set<string>()
  const zip = new Zip((error, bytes) => {
    if (error) throw error
    parts.push(bytes as BlobPart)
  })
  /** No two files have one name, whatever the disk makes of capitals. */
  const free = (name: string): string => {
    const [, stem = '', ending = ''] = /^(.*?)(\.[a-z]+)?$/.exec(name) ?? []
    for (let count = 1; ; count++) {
      const tried = count === 1 ? name : `${stem}-${count}${ending}`
      if (!names.has(tried.toLowerCase())) return tried
    }
  }
  async function put(name: string, content: Uint8Array | string, what: string): Promise<void> {
    const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content
    const own = free(name)
    names.add(own.toLowerCase())
    const file = PACKED.test(own) ? new ZipPassThrough(own) : new ZipDeflate(own)
    zip.add(file)
    file.push(bytes, true)
    listed.push([
      own,
      bytes.length,
      hexOf(await crypto.subtle.digest('SHA-256', bytes as BufferSource)),
      what,
    ])
  }
  return { parts, listed, put, end: () => zip.end() }
}

/** Readings of a test as a table, and what they come to had the temperature stayed. */
function readingsCsv(pack: Pack, testId: string): string | null {
  const certificate = certificateOf(pack.state, testId, pack.head)
  if (!certificate?.test.readings.length) return null
  const corrected = new Map(certificate.corrected.map(({ atS, bar }) => [atS, bar]))
  return csv(
    ['at (UTC)', 'read (bar)', 'temperature (°C)', 'corrected (bar)'],
    certificate.test.readings.map(({ atS, bar, temperatureC }) => [
      new Date(atS * 1000).toISOString(),
      bar,
      temperatureC,
      corrected.get(atS) ?? null,
    ]),
  )
}
type Put = ReturnType<typeof growing>['put']
async function putTests(pack: Pack, put: Put): Promise<void> {
  for (const test of pack.tests) {
    const certificate = certificateOf(pack.state, test.id, pack.head)
    if (!certificate) continue
    const name = `tests/${fileName(certificate.section)}-${new Date(test.begunAtS * 1000).toISOString().slice(0, 10)}`
    const words = certificateWords(pack, test.sectionId, certificate.rule.id)
    await put(`${name}.pdf`, await certificatePaper(certificate, words), word('paper-pack-file-certificate'))
    const readings = readingsCsv(pack, test.id)
    if (readings) await put(`${name}-readings.csv`, readings, word('paper-pack-file-readings'))
  }
}
/** Lines that have a place in the building, those that hang together on one sheet. */
async function putDrawings(pack: Pack, put: Put): Promise<void> {
  const { state, lines } = pack
  const made = new Set(pack.joints.filter((facts) => facts.homeAtS !== null).map(({ id }) => id))
  for (const spaces of hangTogether(state, lines)) {
    const [first] = spaces
    if (!first) continue
    const space = linesAsOne(state, first.line, spaces)
    const bytes = await isometricPaper({
      state,
      space,
      view: { name: 'isometric', turns: 0 },
      scaled: false,
      writing: writingFor({ ...reading.value, units: first.line.school }),
      reader: reading.value,
      made,
      sheet: reading.value.units === 'inch' ? 'letter' : 'a4',
      on: onPaper(pack.nowS, state.job.zone),
    })
    await put(`drawings/${fileName(tagsOf(space))}.pdf`, bytes, word('paper-pack-file-drawing'))
  }
}
async function putPictures(
  pack: Pack,
  put: Put,
  fullSize: (hash: string) => Promise<Blob | null>,
  heard: Heard,
): Promise<void> {
  let done = 0
  for (const [hash, name] of pack.pictureFiles) {
    heard('pictures', done++, pack.pictureFiles.size)
    const picture = await fullSize(hash)
    if (picture) await put(name, new Uint8Array(await picture.arrayBuffer()), word('paper-pack-file-picture'))
  }
}

/**
 * What is handed over, as a folder in a zip: the book, each certificate with its readings, drawings, joint log, upkeep,
 * pictures, the record itself, and a list of all of them with their hashes.
 * @param record the file of the job as its server writes it; null where that can't be had.
 */
export async function handOverFolder(
  pack: Pack,
  record: string | null,
  fullSize: (hash: string) => Promise<Blob | null>,
  heard: Heard,
): Promise<Blob> {
  const { parts, listed, put, end } = growing()
  const { state, name, nowS, ids, sectionId } = pack
  await put('hand-over.pdf', await handOverBook(pack, heard), word('paper-pack-file-book'))
  const table = jointLog(state, name, reading.value, sectionId === null ? undefined : ids)
  await put('joint-log.csv', csv(table.columns, table.rows), word('paper-pack-file-log'))
  await putTests(pack, put)
  await putDrawings(pack, put)
  const cares = caresOf(pack)
  if (cares.length) {
    const text = upkeepCsv(cares, dayOf(nowS, state.job.zone), state.job.zone, reading.value)
    await put('upkeep.csv', text, word('paper-pack-file-upkeep'))
  }
  await putPictures(pack, put, fullSize, heard)
  if (record !== null) await put('record.json', record, word('paper-pack-file-record'))
  heard('files', 0, 1)
  await put('contents.csv', csv(['file', 'bytes', 'sha-256', 'what'], listed), '')
  end()
  return new Blob(parts, { type: 'application/zip' })
}
