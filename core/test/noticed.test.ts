import {
  type LogColumns,
  type StockSet,
  allPieces,
  contentsOf,
  fmt,
  foldJob,
  growthMm,
  jointFacts,
  offcutsAfter,
  physicsOf,
  readLog,
  steadyFromS,
} from '../src/index.js'
import type { Section } from '../src/log/state.js'
import { faceToFace } from '../src/methods/kit/drawing.js'
import { gaugeRange } from '../src/prove/test-plan/rules.js'
import { type Log, LINE, PLACE, SECTION, T0, joint, lineJob, uuid, walls } from './make-job.js'

/** Small things that a change once went through unseen: each is told here by what it does to somebody. */
describe('what a change must not go through unseen', () => {
  it('a broken bead fails the joint: it is cut out, not doubted', () => {
    const log = lineJob(1)
    walls(log, T0 - 3600, [15, 15, 15])
    const id = joint(1)
    log.step(id, 'fit', T0)
    log.step(id, 'cement', T0 + 60)
    log.step(id, 'home', T0 + 100)
    log.step(id, 'judge', T0 + 160, { checkMm: 50, bead: 'broken' })
    const found = jointFacts(foldJob(log.events), id, 'coldest', T0 + 200)?.inspection
    expect([found?.verdict, found?.next]).toEqual(['fail', { do: 'cut-out' }])
    expect(found?.findings.map((f) => f.code)).toContain('bead-broken')
  })
  it.each([
    ['bar', '9'],
    ['mbar', '9000'],
    ['kPa', '900'],
    ['psi', '130.534'],
  ] as const)('a file in %s reads 9 bar from %s', (pressureUnit, text) => {
    const columns: LogColumns = { time: 0, pressure: 1, temperature: 2, pressureUnit, temperatureUnit: 'C' }
    const read = readLog([['2026-01-05 10:00:00', text, '15']], columns, 'UTC', null)
    expect(read.ok && read.rows[0]?.bar).toBeCloseTo(9, 4)
  })
  it('a section of two pipes is reckoned by the one that holds most', () => {
    const log = lineJob(1, { size: 'd63' })
    second(log, 'd110', 3000)
    const state = foldJob(log.events)
    const section = state.sections.get(SECTION) as Section
    const contents = contentsOf(state, section)
    expect(contents.runs.map((r) => r.odMm)).toEqual([110, 63])
    expect(physicsOf(state, section)?.odMm).toBe(110)
  })
  it('a fall that grows faster is no more steady than one that slows down', () => {
    const test = { holdS: 3600, allowedDropBar: 0.2, resolutionBar: 0.002 }
    const bend = (sign: 1 | -1) =>
      Array.from({ length: 120 }, (_, i) => {
        const t = i / 119
        return { tS: i * 30, bar: 9 - 0.6 * (sign > 0 ? t * t : 2 * t - t * t) }
      })
    expect([steadyFromS(bend(1), test), steadyFromS(bend(-1), test)]).toEqual([null, null])
  })
  // PP-R 0.15 mm for each metre and kelvin: DIN 8078 and the makers' usual figure, from memory.
  it('ten metres of PP-R grow by 30 mm over 20 K', () =>
    expect(growthMm('pp-r', 10_000, 10, 30).value).toBeCloseTo(30, 9))
  it('a gauge for 10 bar ends between 15 and 40 bar', () =>
    expect(gaugeRange(10)).toEqual({ minBar: 15, maxBar: 40 }))
  it('an insertion is left out at a centre whose take-off goes to the stop, and at no face', () => {
    const log = lineJob(1)
    for (const fitting of ['tee', 'elbow 90'])
      log.put('take-off', { fitting, size: 'd63', takeOffMm: 30, takeOffTo: 'stop' })
    const cut = (measure: string): number | null | undefined => {
      log.put('item-put', {
        lineId: LINE,
        itemId: uuid(30),
        item: { ...piece('d63', 900), measure },
      })
      return allPieces(foldJob(log.events)).find((p) => p.item.id === uuid(30))?.cutMm.value
    }
    const depth = allPieces(foldJob(log.events))[0]?.ends[0].depthMm?.value as number
    expect([cut('centre-centre'), cut('centre-face'), cut('face-face')]).toEqual([
      900 - 60,
      900 - 30 + depth,
      900 + 2 * depth,
    ])
  })
  it('of the offcuts the one that was cut is gone: of its pipe and its length', () => {
    const offcut = (id: string, pipe: string, lengthMm: number) => ({ id, pipe, lengthMm })
    const set: StockSet = {
      kerfMm: 3,
      keepMm: 300,
      barsMm: [6000],
      offcuts: [
        offcut('a', 'pvc-u d63', 900),
        offcut('c', 'pvc-u d110', 950),
        offcut('b', 'pvc-u d110', 900),
      ],
    }
    const bar = { stockMm: 900, offcut: true, cuts: [], leftMm: 400 }
    expect(offcutsAfter(set, 'pvc-u d110', bar, 'n').map((o) => o.id)).toEqual(['a', 'c', 'n'])
    expect(offcutsAfter(set, 'pvc-u d110', { ...bar, leftMm: 299 }, 'n').map((o) => o.id)).toEqual(['a', 'c'])
    expect(offcutsAfter(set, 'pvc-u d110', { ...bar, offcut: false }, 'n')).toHaveLength(4)
  })
  it('ends that meet face to face stand as each other in a mirror, the gap between them', () => {
    const spec = { material: 'carbon-steel', size: 'NPS 4', school: 'inch' as const }
    const spans = faceToFace(spec, 228.6, 24, 3).map((s) => ('x1' in s ? [s.x1, s.x2] : []))
    const [left, right] = [spans.slice(0, 2), spans.slice(2)]
    expect(right).toEqual(left.map(([a = 0, b = 0]) => [-b, -a]))
    expect(left.map(([, to]) => to)).toEqual([-1.5, -1.5])
    expect(left.every(([from = 0, to = 0]) => from < to)).toBe(true)
  })
  it.each([
    [0, '0:00'],
    [59.9, '0:59'],
    [3599, '59:59'],
    [3600, '1:00:00'],
    [36_061, '10:01:01'],
    [-61, '1:01'],
  ])('%p s is shown as %p', (s, says) => expect(fmt.clock(s)).toBe(says))
})

const piece = (size: string, measuredMm: number) => ({
  type: 'piece',
  tag: 'P0',
  size,
  measure: 'centre-centre',
  measuredMm,
  jointA: joint(1),
  jointB: joint(2),
  tagA: 'Q-1',
  tagB: 'Q-2',
})
/** A second line beside the first, of another pipe, in the same section; take-offs for both. */
function second(log: Log, size: string, measuredMm: number): void {
  const lineId = uuid(50)
  log.put('line-set', {
    lineId,
    tag: 'R',
    name: 'R',
    method: 'solvent-cement',
    material: 'pvc-u',
    school: 'metric',
    placeId: PLACE,
    ratingBar: null,
  })
  const put = (n: number, item: Record<string, unknown>) =>
    log.put('item-put', { lineId, itemId: uuid(n), item: { size, ...item } })
  const tags = { jointA: joint(51), jointB: joint(52), tagA: 'R-1', tagB: 'R-2' }
  put(51, { type: 'fitting', tag: 'F1', fitting: 'tee' })
  put(52, { ...piece(size, measuredMm), ...tags })
  put(53, { type: 'fitting', tag: 'F2', fitting: 'elbow 90' })
  for (const bore of ['d63', size])
    for (const fitting of ['tee', 'elbow 90'])
      log.put('take-off', { fitting, size: bore, takeOffMm: 40, takeOffTo: 'face' })
  log.put('section-set', {
    sectionId: SECTION,
    tag: 'Q-A',
    workingBar: 6,
    testBar: 9,
    holdS: 3600,
    allowedDropBar: 0.2,
    jointIds: [joint(1), joint(2), joint(51), joint(52)],
  })
}
