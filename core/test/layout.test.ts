import { NO_LINES, END, type Line, foldJob, layOut, placeTexts, stretchesOf } from '../src/index.js'
import { LINE, Log, uuid } from './make-job.js'

function lineOf(texts: string[], takeOffs: [string, string, string | null, number][] = []) {
  const log = new Log()
  const head = { tag: 'Q2', name: 'n', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
  log.put('line-set', { lineId: LINE, ...head, placeId: uuid(1) })
  for (const [fitting, size, size2, takeOffMm] of takeOffs)
    log.put('take-off', { fitting, size, size2, takeOffMm, takeOffTo: 'face' })
  let n = 60_000
  const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
  const placed = placeTexts(foldJob(log.events).lines.get(LINE) as Line, texts, END, shop, {
    units: 'metric',
  })
  if (!placed.ok) throw new Error(placed.why.code)
  for (const e of placed.edits) log.put(e.kind, { lineId: LINE, ...e.data })
  const state = foldJob(log.events)
  return { state, line: state.lines.get(LINE) as Line }
}
const known: [string, string, string | null, number][] = [
  ['tee', 'd110', null, 100],
  ['elbow 90', 'd110', null, 100],
  ['cap', 'd110', null, 60],
]

describe('a line to scale', () => {
  it('centres stand at what was measured; pipes end at the faces', () => {
    const { state, line } = lineOf(['tee 110', '1250 c-c', 'elbow 90', '800 c-f', 'cap'], known)
    const { parts, totalMm } = layOut(state, line)
    const centre = (i: number) => ((parts[i]?.fromMm ?? 0) + (parts[i]?.toMm ?? 0)) / 2
    expect(centre(2) - centre(0)).toBeCloseTo(1250, 9)
    expect([parts[1]?.fromMm, parts[1]?.toMm]).toEqual([200, 1250])
    // To the face of the cap, and then the cap itself.
    expect((parts[4]?.fromMm ?? 0) - centre(2)).toBeCloseTo(800, 9)
    expect(totalMm).toBeCloseTo(100 + 1250 + 800 + 120, 9)
  })
  it('each way of measuring reaches from where to where it says', () => {
    /** Of what is drawn of one piece of 800 between two elbows of 100: between their middles, and between their faces. */
    const drawn = (measure: string): number[] => {
      const { state, line } = lineOf(['elbow 110', `800 ${measure}`, 'elbow 90'], known)
      const { parts } = layOut(state, line)
      const centre = (i: number) => ((parts[i]?.fromMm ?? 0) + (parts[i]?.toMm ?? 0)) / 2
      return [centre(2) - centre(0), (parts[2]?.fromMm ?? 0) - (parts[0]?.toMm ?? 0)].map(Math.round)
    }
    expect([drawn('c-c'), drawn('c-f'), drawn('f-f')]).toEqual([
      [800, 600],
      [900, 700],
      [1000, 800],
    ])
  })
  it('a fitting of which no take-off is known is drawn as wide as its pipe asks, and none is drawn as nothing', () => {
    const wide = (size: string): number => {
      const { state, line } = lineOf([`elbow ${size}`, '2000', 'elbow 90'])
      const [part] = layOut(state, line).parts
      return (part?.toMm ?? 0) - (part?.fromMm ?? 0)
    }
    expect(wide('16')).toBeGreaterThan(0)
    expect(wide('160')).toBeGreaterThan(2 * wide('16'))
  })
  it('a branch starts at its tee and runs in a lane of its own; lanes are shared where nothing meets', () => {
    const { state, line } = lineOf(['tee 110', '3000', 'tee 110', '2000', 'cap', '..'].slice(0, 5), known)
    const second = line.items.find((i) => i.tag === 'Q2/F02')?.id as string
    let n = 70_000
    const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
    let items = line.items
    for (const after of [line.items[0]?.id as string, second]) {
      const placed = placeTexts(
        { ...line, items },
        ['branch', '900', 'cap'],
        { after, branch: false },
        shop,
        { units: 'metric' },
      )
      if (!placed.ok) throw new Error(placed.why.code)
      items = placed.items
    }
    const laid = layOut(state, { ...line, items })
    expect(laid.lanes).toBe(2)
    expect(laid.stems.map((s) => [s.fromLane, s.toLane])).toEqual([
      [0, 1],
      [0, 1],
    ])
    for (const a of laid.parts)
      for (const b of laid.parts)
        if (a !== b && a.lane === b.lane)
          expect(a.toMm <= b.fromMm + 1e-9 || b.toMm <= a.fromMm + 1e-9).toBe(true)
  })
  it('straight stretches run from one change of direction to the next', () => {
    const { state, line } = lineOf(
      ['elbow 110', '4000', 'coupling', '5000', 'elbow 90', '2000', 'tee', '1000', 'cap'],
      known,
    )
    expect(
      stretchesOf(state, line).map((s) => [Math.round(s.lengthMm), s.from.fitting, s.to.fitting]),
    ).toEqual([
      [9000, 'elbow 90', 'elbow 90'],
      [3000, 'elbow 90', 'cap'],
    ])
  })
})

describe('library and groups', () => {
  it('a measured take-off is not changed by a list that is loaded later', () => {
    const log = new Log()
    log.put('take-off', { fitting: 'tee', size: 'd110', takeOffMm: 100, takeOffTo: 'face', chart: 'list' })
    log.put('take-off', { fitting: 'tee', size: 'd110', takeOffMm: 103, takeOffTo: 'face' })
    log.put('take-off', {
      fitting: 'tee',
      size: 'd110',
      takeOffMm: 99,
      takeOffTo: 'face',
      chart: 'other list',
    })
    expect([...foldJob(log.events).takeOffs.values()]).toMatchObject([{ takeOffMm: 103, chart: null }])
  })
})
