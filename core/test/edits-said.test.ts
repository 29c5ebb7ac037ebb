import { type Item, changeTo, lineFaults } from '../src/index.js'
import { bench, entry } from './line-bench.js'

describe('what an edit says and keeps', () => {
  it('what cannot be is refused with what it speaks of', () => {
    const b = bench('tee 110 63', '1250', 'elbow 90', '700', 'cap', 'branch', '300', 'cap')
    const refused = (tag: string, text: string) => {
      const edited = changeTo(b.line, b.item(`Q2/${tag}`), entry(text), b.shop)
      return edited.ok ? 'ok' : [edited.why.code, edited.why.params]
    }
    expect(refused('P01', 'elbow 90')).toEqual(['edit-is-piece', { school: 'metric' }])
    expect(refused('F02', '500 c-c')).toEqual(['edit-is-fitting', { school: 'metric' }])
    expect(refused('F02', 'elbow 90 999')).toEqual([
      'entry-size-unknown',
      { size: 'd999', material: 'pvc-u' },
    ])
    expect(refused('F01', 'elbow 90 110')).toEqual(['edit-has-branch', { part: 'Q2/F01' }])
  })
  it('a piece keeps what it is not asked about, and loses the bend and gap that are not said again', () => {
    const b = bench('elbow 110', '1250 gap 3', 'elbow 90')
    expect(b.item('Q2/P01').gapMm).toBe(3)
    expect(b.take(changeTo(b.line, b.item('Q2/P01'), entry('bent 400 90 500 r 300'), b.shop))).toBe('ok')
    expect(b.item('Q2/P01')).toMatchObject({ bend: { radiusMm: 300 }, measuredMm: 900 })
    expect(b.item('Q2/P01').gapMm).toBeUndefined()
    expect(b.take(changeTo(b.line, b.item('Q2/P01'), entry('700 c-f gap 2'), b.shop))).toBe('ok')
    expect(b.item('Q2/P01')).toMatchObject({ gapMm: 2, measure: 'centre-face', measuredMm: 700 })
    expect(b.item('Q2/P01').bend).toBeUndefined()
  })
  it('a fitting takes a tag of its own, and keeps its size where none is said', () => {
    const b = bench('elbow 110', '1250', 'valve 110')
    expect(b.take(changeTo(b.line, b.item('Q2/F02'), entry('valve tag V7'), b.shop))).toBe('ok')
    expect(b.item('V7')).toMatchObject({ size: 'd110', fitting: 'valve' })
  })
  it('what cannot be joined says which parts, and which sizes', () => {
    const b = bench('elbow 110', '500', 'tee 110', '600', 'cap')
    const faults = (items: readonly Item[]) =>
      lineFaults({ ...b.line, items: [...items] }).map((f) => [f.item.tag, f.says.code, f.says.params])
    const without = b.line.items.filter((i) => i.tag !== 'Q2/F02')
    expect(faults(without)).toEqual([['Q2/P01', 'pieces-meet', { a: 'Q2/P01', b: 'Q2/P02' }]])
    const wide = b.line.items.map((i) => (i.tag === 'Q2/P01' ? { ...i, size: 'd63' } : i))
    expect(faults(wide)).toEqual([
      ['Q2/P01', 'sizes-meet', { piece: 'Q2/P01', a: 'd63', fitting: 'Q2/F01', b: 'd110' }],
      ['Q2/P01', 'sizes-meet', { piece: 'Q2/P01', a: 'd63', fitting: 'Q2/F02', b: 'd110' }],
    ])
  })
})
