import {
  NO_LINES,
  type Line,
  barGroups,
  carrierEdits,
  closingFinding,
  foldJob,
  jointPlaces,
  pieceCut,
  putOf,
  twinFindings,
  twinJoint,
} from '../src/index.js'
import { ask } from './reference/door.js'
import { LINE, T0, type Log, joint, lineJob, uuid } from './make-job.js'

const INNER = uuid(7001)
/** A carrier d40 in the d63 test line. */
function pipeInPipe(pieces: number): Log {
  const log = lineJob(pieces)
  const outer = foldJob(log.events).lines.get(LINE) as Line
  let n = 7100
  const sizes = Object.fromEntries(outer.items.map((i) => [i.size, 'd40']))
  const shop = { begun: new Set<string>(), newId: () => uuid(n++), lines: NO_LINES }
  const made = carrierEdits(outer, { ...outer, tag: 'Ai', items: [] }, sizes, shop)
  if (!made.ok) throw new Error(made.why.code)
  const { name, method, material, school, schedule, details, placeId } = outer
  const head = { lineId: INNER, tag: 'Ai', name, method, material, school, schedule, details, placeId }
  log.put('line-set', { ...head, insideOf: LINE })
  for (const e of made.edits) log.put(e.kind, { lineId: INNER, ...e.data })
  return log
}
const cutOf = (log: Log, lineId: string, i: number) => {
  const state = foldJob(log.events)
  const line = state.lines.get(lineId) as Line
  return pieceCut(state, line, line.items[i] as Line['items'][number])
}

describe('pipe-in-pipe as two linked lines', () => {
  it('has the take-offs of the shared body, and is longer by what the calculation door says', () => {
    const log = pipeInPipe(2)
    // "This box": inner sockets deeper than outer ones, an example of one\u2019s own.
    log.put('socket-measured', { material: 'pvc-u', size: 'd40', depthMm: 31 }, { atS: T0 - 10 })
    log.put('socket-measured', { material: 'pvc-u', size: 'd63', depthMm: 14.5 }, { atS: T0 - 10 })
    for (const fitting of ['tee', 'elbow 90', 'coupling'])
      log.put('take-off', { fitting, size: 'd63', takeOffMm: 38, takeOffTo: 'face' })
    const [outer, inner] = [cutOf(log, LINE, 1), cutOf(log, INNER, 1)]
    expect(outer.cutMm.value).toBe(900 - 2 * 38 + 2 * 14.5)
    expect(inner.takeOffsMm).toBe(outer.takeOffsMm)
    const by = ask('dual-containment', { innerSocketMm: 31, outerSocketMm: 14.5, ends: 2 }).innerLongerByMm
    expect((inner.cutMm.value as number) - (outer.cutMm.value as number)).toBeCloseTo(by as number, 9)
    expect(by).toBe(33)
  })
  it('each joint knows the one round it or in it', () => {
    const state = foldJob(pipeInPipe(2).events)
    const places = jointPlaces(state)
    const outer = places.get(joint(2))
    const twin = outer && twinJoint(state, outer)
    expect([twin?.inner, twin?.place.line.id, twin?.place.tag]).toEqual([
      true,
      INNER,
      outer?.tag.replace('Q', 'Ai'),
    ])
    const back = twin && twinJoint(state, twin.place)
    expect([back?.inner, back?.place.jointId]).toEqual([false, joint(2)])
  })
  it('asks for the inner joint first, and is content once that is begun', () => {
    const log = pipeInPipe(1)
    const warns = () => {
      const state = foldJob(log.events)
      const place = jointPlaces(state).get(joint(1))
      return place ? twinFindings(state, place).map((f) => f.code) : null
    }
    expect(warns()).toEqual(['inner-joint-first'])
    const state = foldJob(log.events)
    const inner = twinJoint(state, jointPlaces(state).get(joint(1)) as never)?.place.jointId as string
    expect(twinFindings(state, jointPlaces(state).get(inner) as never)).toEqual([])
    log.make(inner, T0)
    expect(warns()).toEqual([])
  })
  it('is brought up to date with its line without touching what is there', () => {
    const log = pipeInPipe(1)
    const state = foldJob(log.events)
    const [outer, inner] = [state.lines.get(LINE) as Line, state.lines.get(INNER) as Line]
    const sizes = Object.fromEntries(outer.items.map((i) => [i.size, 'd40']))
    const shop = { begun: new Set<string>(), newId: () => uuid(1), lines: NO_LINES }
    expect(carrierEdits(outer, inner, sizes, shop)).toMatchObject({ ok: true, edits: [] })
    expect(carrierEdits(outer, inner, {}, shop)).toMatchObject({
      ok: false,
      why: { code: 'carrier-size-missing' },
    })
    const bad = Object.fromEntries(outer.items.map((i) => [i.size, 'd41']))
    expect(carrierEdits(outer, inner, bad, shop)).toMatchObject({
      ok: false,
      why: { code: 'entry-size-unknown' },
    })
  })
})

describe('a piece that goes in last', () => {
  const withEnd = (fitting: string) => {
    const log = lineJob(1)
    const state = foldJob(log.events)
    const line = state.lines.get(LINE) as Line
    const [first, piece] = line.items as [Line['items'][number], Line['items'][number]]
    log.put('item-put', { lineId: LINE, ...putOf({ ...first, fitting }) })
    log.put('item-put', { lineId: LINE, ...putOf({ ...piece, closing: true }) })
    for (const known of ['tee', 'elbow 90', 'union'])
      log.put('take-off', { fitting: known, size: 'd63', takeOffMm: 38, takeOffTo: 'face' })
    return foldJob(log.events)
  }
  const findingOf = (fitting: string) => {
    const state = withEnd(fitting)
    const line = state.lines.get(LINE) as Line
    return closingFinding(pieceCut(state, line, line.items[1] as Line['items'][number]))
  }
  it('needs an end that draws back by its insertion, unless a fitting opens', () => {
    expect(findingOf('tee')).toMatchObject({
      level: 'warn',
      code: 'closing-draw-back',
      params: { backMm: 37.5 },
    })
    expect(findingOf('union')?.code).toBe('closing-opens')
  })
  it('is planned on its bar with a hundred millimetres over', () => {
    const state = withEnd('tee')
    const line = state.lines.get(LINE) as Line
    const cut = pieceCut(state, line, line.items[1] as Line['items'][number]).cutMm.value as number
    expect(barGroups(state)[0]?.pieces[0]?.lengthMm).toBe(cut + 100)
  })
})
