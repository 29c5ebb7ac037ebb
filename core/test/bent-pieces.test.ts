import {
  NO_LINES,
  END,
  type Item,
  type JobState,
  type Line,
  clearanceFindings,
  entryText,
  foldJob,
  itemData,
  parseEntry,
  pieceCut,
  placeTexts,
} from '../src/index.js'
import { LINE, Log, uuid } from './make-job.js'

/** A copper line joined by press, d22, elbows with a take-off of 30 mm to the face. */
function pressLine(
  texts: string[],
  more: Record<string, unknown> = {},
): { log: Log; state: JobState; line: Line } {
  const log = new Log()
  const head = { tag: 'HW', name: 'n', method: 'press', material: 'copper', school: 'metric', details: more }
  log.put('line-set', { lineId: LINE, ...head, placeId: uuid(1) })
  for (const fitting of ['elbow 90', 'coupling', 'tee'])
    log.put('take-off', { fitting, size: 'd22', takeOffMm: 30, takeOffTo: 'face' })
  let n = 90_000
  const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
  const placed = placeTexts(foldJob(log.events).lines.get(LINE) as Line, texts, END, shop, {
    units: 'metric',
  })
  if (!placed.ok) throw new Error(placed.why.code)
  for (const e of placed.edits) log.put(e.kind, { lineId: LINE, ...e.data })
  const state = foldJob(log.events)
  return { log, state, line: state.lines.get(LINE) as Line }
}
const piece = (s: { state: JobState; line: Line }) =>
  pieceCut(s.state, s.line, s.line.items.find((i) => i.type === 'piece') as Item)
const R = 80

describe('a bent tube in a line', () => {
  const job = pressLine(['elbow 22', `bent 400 90 500 -45 350 r ${R}`, 'elbow 90'])
  const p = piece(job)
  const depth = p.ends[0].depthMm?.value as number
  it('is cut to its developed length: legs less take-offs plus insertions, less what each bend saves', () => {
    const saves = (deg: number) => 2 * R * Math.tan((deg * Math.PI) / 360) - (R * deg * Math.PI) / 180
    const legs = 400 + 500 + 350 - 2 * 30 + 2 * depth
    expect(p.cutMm.value).toBeCloseTo(legs - saves(90) - saves(45), 9)
  })
  it('a walk along the bent tube ends where the elbow\u2019s centre was measured', () => {
    // Straight, arc, straight: by small steps, from the tube\u2019s own end to the centre of the far elbow.
    let [x, y, heading] = [30 - depth, 0, 0]
    const go = (mm: number, turn: number) => {
      const n = 20_000
      for (let i = 0; i < n; i++) {
        heading += turn / n / 2
        x += (mm / n) * Math.cos(heading)
        y += (mm / n) * Math.sin(heading)
        heading += turn / n / 2
      }
    }
    let along = 0
    for (const b of p.bends) {
      go(b.atMm - along, 0)
      go(b.endMm - b.atMm, (b.turnDeg * Math.PI) / 180)
      along = b.endMm
    }
    go((p.cutMm.value as number) - along + 30 - depth, 0)
    // Corner to corner: 400 along x, 500 along y, 350 at 45 degrees.
    expect(x).toBeCloseTo(400 + 350 * Math.SQRT1_2, 4)
    expect(y).toBeCloseTo(500 + 350 * Math.SQRT1_2, 4)
  })
  it('a bend too near an end is refused with the least leg that works; that leg works', () => {
    const short = piece(pressLine(['elbow 22', `bent 100 90 500 r ${R}`, 'elbow 90']))
    expect(short.cutMm).toMatchObject({ value: null, why: { code: 'bend-too-near', params: { leg: 1 } } })
    const least = short.cutMm.value === null ? Number(short.cutMm.why.params.leastMm) : 0
    const atLeast = (mm: number) =>
      piece(pressLine(['elbow 22', `bent ${mm} 90 500 r ${R}`, 'elbow 90'])).cutMm.value
    expect(atLeast(Math.ceil(least * 10) / 10)).not.toBeNull()
    expect(atLeast(Math.floor(least * 10) / 10 - 0.2)).toBeNull()
  })
  it('a middle leg too short for its two bends is named by number', () => {
    const short = piece(pressLine(['elbow 22', `bent 400 90 100 90 400 r ${R}`, 'elbow 90']))
    expect(short.cutMm).toMatchObject({
      value: null,
      why: { code: 'bend-too-near', params: { leg: 2, leastMm: expect.closeTo(2 * R, 9) } },
    })
  })
  it('is typed as it is shown, and kept by the log', () => {
    const item = job.line.items[1] as Item
    expect(entryText(item, { units: 'metric' })).toBe(`bent 400 90 500 -45 350 r ${R} c-c`)
    const again = parseEntry(entryText(item, { units: 'metric' }), { units: 'metric' })
    expect(again).toMatchObject({ ok: true, bend: item.bend, measuredMm: 1250 })
    for (const wrong of ['bent 400 r 80', 'bent 400 90 500', 'bent 400 200 500 r 80', 'bent a 90 b r c'])
      expect(parseEntry(wrong, { units: 'metric' }).ok).toBe(false)
  })
})

describe('room for the press tool, before anything is cut', () => {
  const codes = (texts: string[], near: Item['near'] = [], more = {}) => {
    const { log } = pressLine(texts, more)
    const line = foldJob(log.events).lines.get(LINE) as Line
    const item = line.items.find((i) => i.type === 'piece') as Item
    log.put('item-put', { lineId: LINE, itemId: item.id, item: { ...itemData(item), near } })
    const state = foldJob(log.events)
    const p = piece({ state, line: state.lines.get(LINE) as Line })
    return clearanceFindings(state, p).map((f) => `${f.level} ${f.code}`)
  }
  it('two fittings too near one another; and far enough', () => {
    expect(codes(['elbow 22', '75 c-c', 'elbow 90'])).toEqual(['stop clearance-fitting'])
    expect(codes(['elbow 22', '200 c-c', 'elbow 90'])).toEqual([])
  })
  it('a weld nearer than 4 in, common practice', () => {
    expect(codes(['elbow 22', '900', 'elbow 90'], [{ end: 1, to: 'weld', mm: 101 }])).toEqual([
      'stop clearance-near',
    ])
    expect(codes(['elbow 22', '900', 'elbow 90'], [{ end: 1, to: 'weld', mm: 102 }])).toEqual([])
  })
  it('its own bend counts without being measured', () => {
    expect(codes(['elbow 22', `bent 200 90 500 r ${R}`, 'elbow 90'])).toEqual(['stop clearance-near'])
    expect(codes(['elbow 22', `bent 300 90 500 r ${R}`, 'elbow 90'])).toEqual([])
  })
  it('room to the wall is the maker\u2019s figure: unknown is said, never guessed', () => {
    const near = [{ end: 0 as const, to: 'wall' as const, mm: 30 }]
    expect(codes(['elbow 22', '900', 'elbow 90'], near)).toEqual(['note clearance-unknown'])
    expect(codes(['elbow 22', '900', 'elbow 90'], near, { toolRoomMm: 40 })).toEqual(['stop clearance-near'])
    expect(codes(['elbow 22', '900', 'elbow 90'], near, { toolRoomMm: 25 })).toEqual([])
  })
})
