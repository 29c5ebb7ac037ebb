import { foldJob, jointFacts, jointPlaces, lineChange, lineHead, pieceCut } from '../src/index.js'
import { Bench } from './line-bench.js'
import { LINE, SECTION } from './make-job.js'

const COPPER = { method: 'solder', material: 'copper', school: 'inch', series: 'L' } as const
/** A soldered line of two pieces; the first joint is begun, the first piece cut. */
function begun() {
  const b = new Bench(COPPER)
  for (const entry of ['tee 3/4', '18 e-e', 'valve 3/4', '24 e-e', 'tee 3/4'])
    expect(b.type(entry)).toBe('ok')
  const ids = [...jointPlaces(b.state).keys()]
  const step = (id: string, name: string) =>
    b.log.put('step-done', { life: 1, step: name, readings: {} }, { jointId: id })
  step(ids[0] as string, 'fit')
  const item = b.item('Q2/P01')
  b.log.put('piece-cut', { itemId: item.id, cutMm: 18 * 25.4 })
  const methods = () => [...jointPlaces(b.state).values()].map((p) => p.way.method)
  const change = (more: Record<string, unknown>) =>
    b.log.put('line-changed', { ...lineHead(b.line), ...more, lineId: LINE })
  return { b, ids, methods, change, step }
}

describe('a line that is changed after it was begun', () => {
  it('what is begun stays what it was; all else follows; a joint begun after it is made the new way', () => {
    const { b, ids, methods, change, step } = begun()
    change({ method: 'press' })
    expect(methods()).toEqual(['solder', 'press', 'press', 'press'])
    step(ids[1] as string, 'insert')
    change({ method: 'compression', details: { kind: 'stab' } })
    expect(methods()).toEqual(['solder', 'press', 'compression', 'compression'])
    const facts = jointFacts(b.state, ids[0] as string, 'coldest', 0)
    expect(facts?.method?.id).toBe('solder')
    expect(facts?.life?.done.map((d) => d.step)).toEqual(['fit'])
    expect(b.line.before).toHaveLength(2)
  })
  it('cut out and made anew it is made as the line is now', () => {
    const { b, ids, methods, change } = begun()
    change({ method: 'press' })
    b.log.put('cut-out', { life: 1 }, { jointId: ids[0] as string })
    expect(methods()).toEqual(['press', 'press', 'press', 'press'])
  })
  it('taken back, nothing is left of it', () => {
    const { b, methods, change } = begun()
    const before = b.state.lines.get(LINE)
    change({ method: 'press', series: 'K', ratingBar: 7 })
    const event = b.log.events.at(-1)
    b.log.put('correction', { target: event?.id, undo: true })
    expect(methods()).toEqual(['solder', 'solder', 'solder', 'solder'])
    expect(foldJob(b.log.events).lines.get(LINE)).toEqual(before)
  })
  it('its parts, what was said around it and its joints stay in it', () => {
    const { b, change } = begun()
    b.log.put('around-said', { lineId: LINE, said: { medium: 'heating-water' } })
    const items = b.line.items
    change({ name: 'Other', placeId: 'p2' })
    expect(b.line).toMatchObject({ name: 'Other', placeId: 'p2', said: { medium: 'heating-water' }, items })
  })
  it('another line than one that is there is flagged, and changes nothing', () => {
    const { b } = begun()
    const before = b.state.lines
    b.log.put('line-changed', { ...lineHead(b.line), lineId: 'elsewhere' })
    expect(b.state.lines).toEqual(before)
    expect(b.state.notes.at(-1)?.says.code).toBe('flag-unknown-item')
  })
})

describe('what a line says only later', () => {
  const flanged = () => {
    const b = new Bench({ method: 'solvent-cement', material: 'pvc', school: 'inch' })
    for (const entry of ['tee 2', '18', 'flange', 'valve 2 flanged']) expect(b.type(entry)).toBe('ok')
    const joint = b.item('Q2/F03').joints[0] as string
    b.log.put('step-done', { life: 1, step: 'align', readings: {} }, { jointId: joint })
    const way = () => jointPlaces(b.state).get(joint)?.way
    const change = (more: Record<string, unknown>) =>
      b.log.put('line-changed', { ...lineHead(b.line), ...more, lineId: LINE })
    return { b, way, change }
  }
  it('counts for what is begun too, where nobody had said it; what was said then stands', () => {
    const { b, way, change } = flanged()
    const torque = { ...lineHead(b.line), ways: { flange: { dryTorqueNm: 30 } } }
    expect(lineChange(b.state, b.line, torque)).toMatchObject({ keep: [], anew: 1 })
    change(torque)
    expect(way()?.details).toMatchObject({ dryTorqueNm: 30 })
    change({ ways: { flange: { dryTorqueNm: 50, bolts: 4 } } })
    expect(way()?.details).toMatchObject({ dryTorqueNm: 30, bolts: 4 })
  })
  it('but not the walls of another material: a begun joint stays in the pipe that it was begun on', () => {
    const { way, change } = flanged()
    change({ material: 'cpvc', series: 'Sch 80' })
    expect(way()?.pipe).toMatchObject({ material: 'pvc', series: null, said: false })
  })
  it('and walls of the same pipe are known for it from then on', () => {
    const { way, change } = flanged()
    change({ series: 'Sch 80' })
    expect(way()?.pipe).toMatchObject({ material: 'pvc', series: 'Sch 80', said: true })
  })
  it('a series that is taken back is none in what the change comes to either', () => {
    const { b } = begun()
    const { series: _series, ...none } = lineHead(b.line)
    expect(lineChange(b.state, b.line, none)).toMatchObject({ anew: 3, keep: ['Q2-01'] })
  })
})

describe('what a change would come to, before it is made', () => {
  it('joints made anew, joints that stay, pieces that no longer fit', () => {
    const { b } = begun()
    const change = lineChange(b.state, b.line, { ...lineHead(b.line), method: 'press' })
    expect(change).toMatchObject({ wrong: null, keep: ['Q2-01'], anew: 3, proved: [] })
  })
  it('a cut that goes by the insertion is flagged where the new way goes in otherwise', () => {
    const { b, change } = begun()
    b.log.put('take-off', { fitting: 'valve', size: 'CTS 3/4', takeOffMm: 20, takeOffTo: 'face' })
    b.log.put('take-off', { fitting: 'tee', size: 'CTS 3/4', takeOffMm: 20, takeOffTo: 'face' })
    const item = b.item('Q2/P02')
    b.log.put('item-put', {
      lineId: LINE,
      itemId: item.id,
      item: {
        ...item,
        measure: 'centre-centre',
        jointA: item.joints[0],
        jointB: item.joints[1],
        tagA: item.jointTags[0],
        tagB: item.jointTags[1],
      },
    })
    const cutMm = pieceCut(b.state, b.line, b.item('Q2/P02')).cutMm.value
    b.log.put('piece-cut', { itemId: item.id, cutMm })
    expect(lineChange(b.state, b.line, { ...lineHead(b.line), method: 'press' }).recut).toEqual(['Q2/P02'])
    change({ method: 'press' })
    expect(pieceCut(b.state, b.line, b.item('Q2/P02')).changedSinceCut).toBe(true)
  })
  it('a size that the new material is not made in is said', () => {
    const { b } = begun()
    const change = lineChange(b.state, b.line, {
      ...lineHead(b.line),
      method: 'solvent-cement',
      material: 'pvc',
      schedule: '40',
    })
    expect(change.wrong).toMatchObject({
      code: 'edit-line-size',
      params: { part: 'Q2/F01', size: 'CTS 3/4' },
    })
  })
  it('a name or a place alone changes no joint', () => {
    const { b } = begun()
    const change = lineChange(b.state, b.line, {
      ...lineHead(b.line),
      name: 'x',
      placeId: 'p2',
      ratingBar: 3,
    })
    expect(change).toEqual({ wrong: null, keep: [], anew: 0, recut: [], proved: [] })
  })
  it('a proof that stands over joints which would be made otherwise is named', () => {
    const { b, ids } = begun()
    b.log.put('section-set', { sectionId: SECTION, tag: 'S1', jointIds: ids })
    b.log.put('test-begun', {
      testId: 't',
      sectionId: SECTION,
      bar: 5,
      medium: 'water',
      holdS: 60,
      allowedDropBar: 0,
    })
    b.log.put('test-ended', { testId: 't', verdict: 'held' })
    const press = { ...lineHead(b.line), method: 'press' }
    expect(lineChange(b.state, b.line, press).proved).toEqual(['S1'])
    expect(lineChange(b.state, b.line, { ...lineHead(b.line), name: 'x' }).proved).toEqual([])
    // What stays as it was is no change, the second time too.
    b.log.put('line-changed', { ...press, lineId: LINE })
    expect(lineChange(b.state, b.line, { ...lineHead(b.line), name: 'x' })).toMatchObject({
      keep: ['Q2-01'],
      anew: 0,
    })
  })
})

describe('what another way of joining asks of a line', () => {
  it('is answered for it alone', () => {
    const b = new Bench(COPPER)
    for (const entry of ['union 3/4', '18', 'union 3/4 compression']) expect(b.type(entry)).toBe('ok')
    const spec = () => jointFacts(b.state, b.item('Q2/P01').joints[1] as string, 'coldest', 0)?.spec
    // A nut for a service line must be named: until then nothing is known of the joint.
    expect(spec()).toBeNull()
    b.log.put('line-changed', {
      ...lineHead(b.line),
      lineId: LINE,
      ways: { compression: { kind: 'grip-nut' } },
    })
    expect(spec()).toMatchObject({ kind: 'grip-nut', material: 'copper', size: 'CTS 3/4' })
    expect(jointFacts(b.state, b.item('Q2/P01').joints[0] as string, 'coldest', 0)?.method?.id).toBe('solder')
  })
})
