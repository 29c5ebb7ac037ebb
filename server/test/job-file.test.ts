import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { type FileCheck, checkJobFile } from '@jugalis/core'
import { sectionsOnServer } from './section-under-test.js'
import { batch, draft } from './harness.js'

/**
 * The file of a job before two who know nothing of each other: our own check, and one in another language by the page
 * that describes the format (docs/verify). Whoever forges one is found out by both.
 */
const { server, sectionUnderTest } = sectionsOnServer()
interface File {
  format: string
  jobId: string
  head: { seq: number; hash: string }
  lines: { seq: number; recordedAt: string; body: string; prevHash: string; hash: string }[]
}
let file: File
const folder = mkdtempSync(path.join(tmpdir(), 'job-file-'))
afterAll(() => rmSync(folder, { recursive: true }))
beforeAll(async () => {
  const { job } = await sectionUnderTest()
  // Letters beyond ASCII, beyond the first plane, and what a careless reader would take for an end of line.
  await server().call(
    'POST',
    `/jobs/${job}/events`,
    batch([draft('signed', { what: 'job', refId: job, statement: 'übergeben \u{1F6BF} \u2028 "ja"' })]),
  )
  file = (await server().call('GET', `/jobs/${job}/export.json`)).body as unknown as File
})
interface Said {
  code: number
  says: string
}
function byOthers(of: unknown, ...more: string[]): Said {
  const at = path.join(folder, 'job.json')
  writeFileSync(at, typeof of === 'string' ? of : JSON.stringify(of))
  try {
    return { code: 0, says: execFileSync('python3', ['docs/verify/verify.py', at, ...more]).toString() }
  } catch (error) {
    const { status, stdout } = error as { status: number; stdout: Buffer }
    return { code: status, says: stdout.toString() }
  }
}
const forged = (spoil: (own: File) => void): File => {
  const own = structuredClone(file)
  spoil(own)
  return own
}

it('holds before both, to the same head', () => {
  const own = checkJobFile(file)
  expect(own).toMatchObject({ is: 'whole', job: { ...file.head, brought: [] } })
  expect(file.lines).toHaveLength(file.head.seq)
  expect(byOthers(file)).toEqual({
    code: 0,
    says: expect.stringContaining(`holds: ${file.head.seq} lines, head ${file.head.hash}\n`),
  })
})
const last = (own: File) => own.lines.at(-1) as File['lines'][number]
it.each<[string, (own: File) => void, Extract<FileCheck, { is: 'broken' }>['why']]>([
  ['a word changed', (own) => void (last(own).body = last(own).body.replace('ja', 'na')), 'hash'],
  ['a time changed', (own) => void (last(own).recordedAt = '2020-01-01T00:00:00.000Z'), 'hash'],
  ['an entry taken out', (own) => void own.lines.splice(1, 1), 'missing'],
  ['two exchanged', (own) => void own.lines.splice(0, 2, ...own.lines.slice(0, 2).reverse()), 'missing'],
  ['cut short', (own) => void own.lines.pop(), 'end'],
  ['another head', (own) => void (own.head.hash = 'a'.repeat(64)), 'end'],
  ['a link of its own', (own) => void (last(own).prevHash = 'a'.repeat(64)), 'link'],
  [
    'another job',
    (own) => void (own.jobId = own.jobId.replace(/^./, (c) => (c === 'a' ? 'b' : 'a'))),
    'hash',
  ],
  ['no hash', (own) => void delete (last(own) as { hash?: string }).hash, 'torn'],
])('%s: found out by both', (_says, spoil, why) => {
  const own = forged(spoil)
  expect(checkJobFile(own)).toMatchObject({ is: 'broken', why })
  expect(byOthers(own)).toMatchObject({ code: 1, says: expect.stringContaining('DOES NOT HOLD') })
})
it('a log written anew holds in itself, and not by the head on a paper', () => {
  const { head } = file
  const paper = head.hash.slice(0, 12)
  const other = forged((own) => {
    own.lines.pop()
    own.head = { seq: own.lines.length, hash: last(own).hash }
  })
  expect(checkJobFile(file, paper)).toMatchObject({ job: { at: head.seq } })
  expect(byOthers(file, '--head', paper).code).toBe(0)
  expect(checkJobFile(other, paper)).toMatchObject({ is: 'whole', job: { at: null } })
  expect(byOthers(other, '--head', paper).says).toContain('never at the head')
})
it.each(['', 'x', '[]', '{"format":"jugalis-job-1"}', '{"format":"other","lines":[],"head":{}}', '[['])(
  'what is no job is said to be none by both: %s',
  (text) => {
    let raw: unknown = null
    try {
      raw = JSON.parse(text)
    } catch {
      // Neither can read it.
    }
    expect(checkJobFile(raw)).toEqual({ is: 'no-job' })
    expect(byOthers(text).code).toBe(2)
  },
)
