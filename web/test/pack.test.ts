import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { type School, factsOn, foldJob } from '@jugalis/core'
import { type Log, SECTION, T0, joint, lineJob, uuid, walls } from '../../core/test/make-job'
import { handOverBook } from '../src/paper/pack/book'
import { handOverFolder, pictureFiles } from '../src/paper/pack/folder'
import { type Pack, packOf } from '../src/paper/pack/pack'
import { MARGIN_MM } from '../src/paper/sheet'
import { reading } from '../src/words/word'
import { elements, placed, shippedFonts, trees } from './read-paper'

beforeAll(shippedFonts)
afterEach(() => (reading.value = { units: 'metric' }))

const OTHER = uuid(13)
const PICTURE = 'a'.repeat(64)
/** As much of a JPEG as tells its size: 32 by 24. */
const JPEG = Uint8Array.from(Buffer.from('ffd8ffc0001108001800200301220002110103110100ffd9', 'hex'))
const NOTHING = (): void => undefined

/** Six joints, four made (one in a tin with a batch, cut out and made again), a test that held, a blank that is not back. */
function job(): Log {
  const log = lineJob(3)
  walls(
    log,
    T0 - 86_400,
    Array.from({ length: 40 }, () => 12),
  )
  log.put('lot-set', { lotId: uuid(70), kind: 'gasket', name: 'Tin 7', batch: 'B-1187', matches: {} })
  log.put('section-set', {
    sectionId: OTHER,
    tag: 'Q-B',
    jointIds: [joint(5), joint(6)],
    workingBar: 6,
    testBar: 9,
    holdS: 3600,
    allowedDropBar: 0.2,
  })
  log.put(
    'step-done',
    { life: 1, step: 'fit', readings: {}, toolIds: [uuid(70)] },
    { jointId: joint(1), atS: T0 + 500 },
  )
  log.put('qualified', {
    qualificationId: uuid(90),
    personId: uuid(800_002),
    methods: ['solvent-cement'],
  })
  for (const no of [1, 2, 3, 4]) log.make(joint(no), T0 + no * 600)
  log.put('cut-out', { life: 1, reason: 'short' }, { jointId: joint(2), atS: T0 + 4000 })
  log.make(joint(2), T0 + 5000, 2)
  log.put(
    'photo-kept',
    {
      hash: PICTURE,
      kind: 'image/jpeg',
      life: 1,
      step: 'home',
      widthPx: 32,
      heightPx: 24,
      bytes: JPEG.length,
    },
    { jointId: joint(1), atS: T0 + 800 },
  )
  log.put(
    'tag-put',
    { tagId: uuid(80), sectionId: SECTION, kind: 'blank', where: 'branch to tank 4' },
    { atS: T0 + 9000 },
  )
  log.put(
    'test-begun',
    {
      testId: 't',
      sectionId: SECTION,
      bar: 9,
      medium: 'water',
      holdS: 3600,
      allowedDropBar: 0.2,
      resolutionBar: 0.05,
      tester: 'T. Quill',
      gauge: 'G-4',
    },
    { atS: T0 + 200_000 },
  )
  for (let i = 0; i <= 12; i++)
    log.put(
      'test-read',
      { testId: 't', atS: T0 + 200_000 + i * 300, bar: 9, temperatureC: 12 },
      { atS: T0 + 200_000 + i * 300 },
    )
  log.put('test-ended', { testId: 't', verdict: 'held' }, { atS: T0 + 203_700 })
  log.put('signed', { what: 'job', refId: 'j', statement: 'Handed over as listed.' }, { atS: T0 + 204_000 })
  return log
}
function pack(units: School, sectionId: string | null): Pack {
  reading.value = { units }
  const { events } = job()
  const state = foldJob(events)
  const facts = factsOn(null, state, 'coldest', T0 + 210_000).all
  const asked = packOf({
    state,
    facts,
    proposals: [],
    sectionId,
    nowS: T0 + 210_000,
    name: () => 'T. Quill',
    head: {
      seq: events.length,
      hash: 'f'.repeat(64),
      address: 'https://jugalis.example/verify#x',
      short: 'ffff ffff ffff',
    },
    waiting: 0,
    pictureFiles: new Map(),
    pictureOf: () => Promise.resolve(JPEG),
  })
  return { ...asked, pictureFiles: pictureFiles({ state }, asked.joints) }
}
const textOf = async (of: Pack): Promise<string> =>
  (await placed(await handOverBook(of, NOTHING))).map(({ text }) => text).join(' ')

describe.each(['metric', 'inch'] as const)('what is handed over, on paper, in %s', (units) => {
  it('tells what is open, each joint with its lives and pictures, its tests, what is not back', async () => {
    const text = await textOf(pack(units, null))
    for (const says of [
      '4 of 6 joints made and judged good',
      'Q-5 is not made',
      'Q-5 was not made when this test was',
      'With Tin 7 (batch B-1187)',
      'Not back as it was: blank, branch to tank 4',
      'NOT BACK',
      '4 joints from Q-1 to Q-4 were made by somebody without a valid paper',
      'Pressure test of Q-A',
      'Life 2:',
      'Cut out',
      '2 joints are not begun: Q-5, Q-6',
      'Handed over as listed.',
      'pictures/Q-1-1-1-aaaaaaaa.jpg',
      'Where figures come from',
      'ffff ffff ffff',
    ])
      expect(text).toContain(says)
    expect(text).toContain(units === 'inch' ? '131 psi' : '9 bar')
  })
  it('keeps to its pages, and read aloud it is headings, texts and figures with their words', async () => {
    const bytes = await handOverBook(pack(units, null), NOTHING)
    const texts = await placed(bytes)
    for (const one of texts) {
      expect([one.text, one.x >= MARGIN_MM - 0.5 && one.x + one.wide <= one.w - 4]).toEqual([one.text, true])
      const over = texts.filter(
        (other) =>
          other !== one &&
          other.page === one.page &&
          Math.abs(other.y - one.y) < 1.2 &&
          other.x < one.x + one.wide - 0.1 &&
          one.x < other.x + other.wide - 0.1,
      )
      expect([one.text, over.map(({ text }) => text)]).toEqual([one.text, []])
    }
    // Beside the code of the head, as high as that is, nothing reaches into it.
    const [code] = texts.filter(({ text }) => text === 'ffff ffff ffff')
    if (!code) throw new Error('no code')
    const into = texts.filter(
      ({ page, x, wide, y }) =>
        page === code.page && x + wide > code.x + code.wide + 3.5 && y > code.y - 1.5 && y < code.y + 18,
    )
    expect(into.map(({ text }) => text)).toEqual([])
    const { pages } = await trees(bytes)
    expect(pages.flatMap(({ loose }) => loose)).toEqual([])
    const all = pages.flatMap(({ tree }) => elements(tree))
    expect(all.filter(({ role }) => role === 'H3')).toHaveLength(4)
    expect(all.filter(({ role }) => role === 'Figure').map(({ alt }) => alt)).toContainEqual(
      expect.stringMatching(/^Q-1, .+: T\. Quill, /),
    )
  })
})

it('of one section it tells of that section alone', async () => {
  const text = await textOf(pack('metric', OTHER))
  expect(text).toContain('Hand-over of J, Q-B')
  expect(text).toContain('0 of 2 joints made')
  for (const other of ['Q-A', 'Q-1:', 'tank 4']) expect(text).not.toContain(other)
})

/** Reads a zip as another program does; holds each file against the list. Prints its names, or what is wrong. */
const READ_ZIP = `
import csv, hashlib, io, json, sys, zipfile
z = zipfile.ZipFile(sys.argv[1])
assert z.testzip() is None
rows = list(csv.reader(io.StringIO(z.read('contents.csv').decode())))
listed = {r[0]: r for r in rows[1:]}
assert set(listed) == set(z.namelist()) - {'contents.csv'}, (set(listed), z.namelist())
for name, row in listed.items():
    data = z.read(name)
    assert len(data) == int(row[1]) and hashlib.sha256(data).hexdigest() == row[2], name
assert len({n.lower() for n in z.namelist()}) == len(z.namelist())
print(json.dumps({n: z.read(n).decode('utf8') if n.endswith(('.csv', '.json')) else z.read(n)[:4].decode('latin1') for n in z.namelist()}))
`
it('the folder is read by another program, every file as its list says', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'jugalis-pack-'))
  try {
    const file = path.join(folder, 'pack.zip')
    const record = '{"head":"\u00e9"}'
    const zip = await handOverFolder(
      pack('metric', null),
      record,
      () => Promise.resolve(new Blob([JPEG])),
      NOTHING,
    )
    writeFileSync(file, new Uint8Array(await zip.arrayBuffer()))
    const files = JSON.parse(execFileSync('python3', ['-c', READ_ZIP, file], { encoding: 'utf8' })) as Record<
      string,
      string
    >
    expect(Object.keys(files).sort()).toEqual(
      [
        'contents.csv',
        'hand-over.pdf',
        'joint-log.csv',
        'pictures/Q-1-1-1-aaaaaaaa.jpg',
        'record.json',
        'tests/Q-A-2026-09-23.pdf',
        'tests/Q-A-2026-09-23-readings.csv',
      ].sort(),
    )
    expect(files['hand-over.pdf']).toBe('%PDF')
    expect(files['record.json']).toBe(record)
    expect(files['joint-log.csv']?.trim().split('\r\n')).toHaveLength(1 + 5)
    expect(files['tests/Q-A-2026-09-23-readings.csv']?.trim().split('\r\n')).toHaveLength(1 + 13)
  } finally {
    rmSync(folder, { recursive: true })
  }
})
