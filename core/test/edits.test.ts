import fc from 'fast-check'
import {
  type Item,
  type Line,
  changeTo,
  copied,
  copyBelow,
  difference,
  entryText,
  fittingAt,
  foldJob,
  jointPlaces,
  lineFaults,
  moveAfter,
  neighbours,
  nextItemTag,
  parseEntry,
  pieceCut,
  renumbered,
  settle,
  splitWith,
  takeOut,
  unknownTakeOffs,
} from '../src/index.js'
import { Bench, bench, entry } from './line-bench.js'
import { LINE, Log, uuid } from './make-job.js'

describe('branches', () => {
  const b = (): Bench =>
    bench('tee 110 63', '1250 c-c', 'elbow 90', 'branch', '400', 'valve 63 tag V2', '..', '300', 'cap')
  it('go into the tee and back to the run', () => {
    expect(b().joints()).toEqual([
      'Q2-03:P02>F01 branch',
      'Q2-04:P02>V2',
      'Q2-01:P01>F01',
      'Q2-02:P01>F02',
      'Q2-05:P03>F02',
      'Q2-06:P03>F03',
    ])
  })
  it('take the size of the tee\u2019s second figure; the way on keeps the first', () => {
    expect(b().item('Q2/P02').size).toBe('d63')
    expect(b().item('Q2/P03').size).toBe('d110')
  })
  it('have a take-off of their own', () => {
    const made = b()
    expect(unknownTakeOffs(made.state, made.line).filter((o) => o.at === 2)).toHaveLength(1)
    made.log.put('take-off', { fitting: 'tee', size: 'd110', size2: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    made.log.put('take-off', {
      fitting: 'tee branch',
      size: 'd110',
      size2: 'd63',
      takeOffMm: 66,
      takeOffTo: 'face',
    })
    made.log.put('take-off', { fitting: 'valve', size: 'd63', takeOffMm: 50, takeOffTo: 'face' })
    // 400 less 66 of the branch and 50 of the valve, two sockets of 37.5 (ISO 727-1, from memory).
    expect(pieceCut(made.state, made.line, made.item('Q2/P02')).cutMm.value).toBe(400 - 66 - 50 + 75)
  })
  it.each([
    [['elbow 110', 'branch'], 'entry-no-tee'],
    [['tee 110', '..'], 'entry-no-run'],
  ])('%j is refused: %s', (texts, why) => expect(bench().type(...texts)).toBe(why))
  it('keep their tee: it goes only after them', () => {
    const made = b()
    expect(made.take(takeOut(made.line, made.ids('Q2/F01'), made.shop))).toBe('edit-has-branch')
    expect(made.take(changeTo(made.line, made.item('Q2/F01'), entry('elbow 110'), made.shop))).toBe(
      'edit-has-branch',
    )
    expect(made.take(takeOut(made.line, made.ids('Q2/F01', 'Q2/P02', 'V2'), made.shop))).toBe('ok')
  })
})

describe('edits of a line', () => {
  it('an entry goes where the cursor stands, and splits the joint there', () => {
    const b = bench('tee 110', '1250', 'elbow 90', '700', 'cap')
    b.cursor = { after: b.item('Q2/F02').id, branch: false }
    expect(b.type('300', 'coupling')).toBe('ok')
    expect(b.tags()).toBe('F01 P01 F02 P03 F04 P02 F03')
    // Joints that stand keep their tags; P02 now starts in the coupling: another joint, and so another number.
    expect(b.joints()).toContain('Q2-04:P02>F03')
    expect(b.joints()).toContain('Q2-07:P02>F04')
  })
  it('a begun joint stays what it is', () => {
    const b = bench('tee 110', '1250', 'elbow 90', '700', 'cap')
    b.begun.add(b.item('Q2/P02').joints[0] as string)
    expect(b.take(takeOut(b.line, b.ids('Q2/P02'), b.shop))).toBe('edit-joint-begun')
    expect(b.take(takeOut(b.line, b.ids('Q2/F03'), b.shop))).toBe('ok')
    expect(b.take(changeTo(b.line, b.item('Q2/P02'), entry('650 c-c'), b.shop))).toBe('ok')
    expect(b.take(changeTo(b.line, b.item('Q2/F02'), entry('elbow 90 63'), b.shop))).toBe('edit-joint-begun')
  })
  it('a moved part takes its branch along; it cannot stand in it', () => {
    const b = bench('elbow 110', '500', 'tee 110 63', 'branch', '400', 'cap', '..', '600', 'cap')
    expect(b.take(moveAfter(b.line, b.ids('Q2/F02'), b.item('Q2/P02').id, b.shop))).toBe('edit-into-itself')
    expect(b.take(moveAfter(b.line, b.ids('Q2/F02'), b.item('Q2/P03').id, b.shop))).toBe('ok')
    expect(b.tags()).toBe('F01 P01 P03 F02 P02 F03 F04')
    expect(lineFaults(b.line).map((f) => f.says.code)).toEqual(['pieces-meet', 'mate-two-sockets'])
  })
  it('a copy stands below, with tags of its own', () => {
    const b = bench('tee 110', '1250', 'elbow 90')
    const tagFor = (type: Item['type'], items: readonly Item[]): string => nextItemTag(b.line, items, type)
    expect(b.take(copyBelow(b.line, b.ids('Q2/P01', 'Q2/F02'), b.shop, tagFor))).toBe('ok')
    expect(b.tags()).toBe('F01 P01 F02 P02 F03')
    expect(b.item('Q2/P02').joints.every(Boolean)).toBe(true)
  })
  it('a copy of several goes behind the last of them, in their order, and goes in last no more', () => {
    const b = bench('tee 110', '1250', 'elbow 90', '700', 'cap')
    const tagFor = (type: Item['type'], items: readonly Item[]): string => nextItemTag(b.line, items, type)
    const closing = {
      ...b.line,
      items: b.line.items.map((i) => (i.tag === 'Q2/P01' ? { ...i, closing: true } : i)),
    }
    const ids = b.ids('Q2/P01', 'Q2/F02', 'Q2/P02')
    const copy = copyBelow(closing as Line, ids, b.shop, tagFor)
    expect(copy.ok && copy.items.map((i) => [i.type, i.size, i.measuredMm, i.closing ?? false])).toEqual([
      ['fitting', 'd110', null, false],
      ['piece', 'd110', 1250, true],
      ['fitting', 'd110', null, false],
      ['piece', 'd110', 700, false],
      ['piece', 'd110', 1250, false],
      ['fitting', 'd110', null, false],
      ['piece', 'd110', 700, false],
      ['fitting', 'd110', null, false],
    ])
  })
  it('what stands in two runs is not copied at once; nothing chosen is nothing done', () => {
    const b = bench('tee 110 63', '1250', 'elbow 90', 'branch', '400', 'cap')
    const tagFor = (): string => 'Q2/X'
    const [run, branch] = ['Q2/P01', 'Q2/P02']
    expect(copyBelow(b.line, b.ids(run, branch), b.shop, tagFor)).toMatchObject({
      why: { code: 'edit-one-run' },
    })
    expect(copyBelow(b.line, new Set(), b.shop, tagFor)).toEqual({ ok: true, edits: [], items: b.line.items })
  })
  it('a changed size runs on to where it changes anyway', () => {
    const b = bench('tee 110', '1250', 'elbow 90', '700', 'reducer 110 63', '300', 'cap')
    expect(b.take(changeTo(b.line, b.item('Q2/F01'), entry('tee 90'), b.shop))).toBe('ok')
    expect(b.line.items.map((i) => [i.size, i.size2].filter(Boolean).join('-'))).toEqual([
      'd90',
      'd90',
      'd90',
      'd90',
      'd90-d63',
      'd63',
      'd63',
    ])
    expect(lineFaults(b.line)).toEqual([])
  })
  it('renumbering follows the order, and leaves what is begun, cut or named', () => {
    const b = bench('tee 110', '1250', 'elbow 90 tag X9', '700', 'cap')
    b.cursor = { after: b.item('Q2/F01').id, branch: false }
    b.type('200', 'coupling')
    b.begun.add(b.item('Q2/P02').joints[1] as string)
    b.log.put('piece-cut', { itemId: b.item('Q2/P02').id, cutMm: 600 })
    expect(b.tags()).toBe('F01 P03 F03 P01 X9 P02 F02')
    expect(b.take(settle(b.line, renumbered(b.line, b.begun), b.shop))).toBe('ok')
    expect(b.tags()).toBe('F01 P01 F02 P03 X9 P02 F03')
    expect(b.item('Q2/P02').jointTags[1]).toBe('Q2-04')
    const all = b.line.items.flatMap((i) => i.jointTags.filter(Boolean))
    expect(new Set(all).size).toBe(all.length)
  })
  it('a copied line has the same shape and nothing of the old one\u2019s', () => {
    const b = bench('tee 110 63', '1250', 'valve tag V2', 'branch', '400', 'cap')
    const copy = copied(b.line, 'Q3', b.newId)
    const ids = (items: readonly Item[]) => items.flatMap((i) => [i.id, ...i.joints]).filter(Boolean)
    expect(ids(copy).some((id) => ids(b.line.items).includes(id))).toBe(false)
    expect(copy.map((i) => i.tag)).toEqual(['Q3/F01', 'Q3/P02', 'Q3/F02', 'Q3/P01', 'Q3/F03'])
    expect(copy.map((i) => fittingAt(copy, i, 0)?.tag ?? null)).toEqual(
      b.line.items
        .map((i) => fittingAt(b.line.items, i, 0)?.tag ?? null)
        .map((t) => t && t.replace('Q2', 'Q3')),
    )
  })
  it('a closing piece that cannot be got in becomes two with a union between; the far joint is another one', () => {
    const b = bench('tee 110', '1250', 'elbow 90')
    const far = b.item('Q2/P01').joints[1]
    expect(b.take(splitWith(b.line, b.item('Q2/P01'), 'union', b.shop))).toBe('ok')
    expect(b.joints().map((j) => j.slice(6))).toEqual(['P01>F01', 'P01>F03', 'P02>F03', 'P02>F02'])
    expect(b.line.items.flatMap((i) => i.joints)).not.toContain(far)
    expect(lineFaults(b.line)).toEqual([])
  })
  it('a part as an entry is read back as that part', () => {
    const b = bench('tee 110 63', '1250 c-f', 'reducer 110 50', '?', 'elbow 90')
    const again = bench()
    let size: string | null = null
    for (const i of b.line.items) {
      again.type(entryText(i, { units: 'metric' }, { size }))
      size = i.size
    }
    const shape = (x: Bench) =>
      x.line.items.map((i) => [i.type, i.fitting, i.size, i.size2, i.measure, i.measuredMm])
    expect(shape(again)).toEqual(shape(b))
  })
})

const texts = fc.constantFrom(
  'tee 110',
  'tee 110 63',
  'elbow 90',
  '500',
  '800 c-f',
  'reducer 110 63',
  'cap',
  'branch',
  '..',
  'x2',
  '?',
)
const act = fc.oneof(
  fc.record({ do: fc.constant('type' as const), text: texts, at: fc.nat() }),
  fc.record({ do: fc.constant('out' as const), at: fc.nat(), many: fc.nat(2) }),
  fc.record({ do: fc.constant('move' as const), at: fc.nat(), to: fc.nat(), many: fc.nat(2) }),
  fc.record({ do: fc.constant('copy' as const), at: fc.nat(), many: fc.nat(2) }),
  fc.record({ do: fc.constant('change' as const), at: fc.nat(), text: texts }),
  fc.record({ do: fc.constant('number' as const), at: fc.nat() }),
  fc.record({ do: fc.constant('begin' as const), at: fc.nat() }),
)

describe('any edits in any order', () => {
  it('joints stand where a piece meets a fitting and nowhere else; begun ones never change; the log gives it back', () => {
    fc.assert(
      fc.property(fc.array(act, { minLength: 4, maxLength: 24 }), (acts) => {
        const b = bench('tee 110', '500', 'tee 110 63')
        const joinery = new Map<string, string>()
        for (const a of acts) {
          const { line } = b
          const items = line.items
          const at = items.length ? a.at % items.length : 0
          const some = (many: number): Set<string> => new Set(items.slice(at, at + 1 + many).map((i) => i.id))
          const one = items[at]
          if (!one) break
          if (a.do === 'type') {
            b.cursor = { after: one.id, branch: false }
            b.type(a.text)
          } else if (a.do === 'out') b.take(takeOut(line, some(a.many), b.shop))
          else if (a.do === 'move') {
            const to = a.to % (items.length + 1)
            b.take(moveAfter(line, some(a.many), to ? (items[to - 1] as Item).id : null, b.shop))
          } else if (a.do === 'copy')
            b.take(copyBelow(line, some(a.many), b.shop, (type, all) => nextItemTag(line, all, type)))
          else if (a.do === 'change') {
            const e = parseEntry(a.text, { units: 'metric' })
            if (e.ok) b.take(changeTo(line, one, e, b.shop))
          } else if (a.do === 'number') b.take(settle(line, renumbered(line, b.begun), b.shop))
          else {
            const id = one.joints[0] ?? one.joints[1]
            if (id) b.begun.add(id)
          }
          const { line: now, state } = b
          const places = jointPlaces(state)
          for (const p of now.items)
            for (const end of [0, 1] as const)
              expect(p.joints[end] !== null).toBe(p.type === 'piece' && fittingAt(now.items, p, end) !== null)
          const tags = now.items.flatMap((i) => [i.tag, ...i.jointTags]).filter((t) => t !== null)
          expect(new Set(tags).size).toBe(tags.length)
          for (const id of b.begun) {
            const p = places.get(id)
            const is = [p?.part.id, p?.end, p?.fitting?.id, p?.tag, p?.part.size].join()
            expect(joinery.get(id) ?? is).toBe(is)
            joinery.set(id, is)
          }
          // Every run begins in a fitting that is there.
          for (const i of now.items)
            if (i.run) expect(now.items.some((f) => f.id === i.run && f.type === 'fitting')).toBe(true)
          expect([...neighbours(now.items).keys()]).toHaveLength(now.items.length)
        }
      }),
      { numRuns: 150 },
    )
  })
  it('the difference between two orders leads from one to the other, and moves no more than it must', () => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g']
    const items = bench('tee 110', '500', 'cap').line.items
    const list = (names: readonly string[]): Item[] =>
      names.map((id) => ({ ...(items[0] as Item), id, tag: id }))
    fc.assert(
      fc.property(fc.shuffledSubarray(ids), fc.shuffledSubarray(ids), (from, to) => {
        const log = new Log()
        const head = { tag: 'Q2', name: 'n', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
        log.put('line-set', { lineId: LINE, ...head, placeId: uuid(1) })
        for (const e of difference([], list(from))) log.put(e.kind, { lineId: LINE, ...e.data })
        const edits = difference(list(from), list(to))
        for (const e of edits) log.put(e.kind, { lineId: LINE, ...e.data })
        expect(
          foldJob(log.events)
            .lines.get(LINE)
            ?.items.map((i) => i.id),
        ).toEqual(to)
        if (from.join() === to.join()) expect(edits).toEqual([])
      }),
    )
  })
})
