import { type Line, foldJob, layOut, stretchesOf } from '../src/index.js'
import { type Bench, bench } from './line-bench.js'

/** Where the middle of a part, or the end of a piece, lies along the line. */
function placesOf(b: Bench) {
  const parts = new Map(layOut(b.state, b.line).parts.map((p) => [p.item.tag, p]))
  const part = (tag: string) => {
    const found = parts.get(`Q2/${tag}`)
    if (!found) throw new Error(`no ${tag}`)
    return found
  }
  return {
    centre: (tag: string) => (part(tag).fromMm + part(tag).toMm) / 2,
    from: (tag: string) => part(tag).fromMm,
    to: (tag: string) => part(tag).toMm,
  }
}
const told = (b: Bench, line: Line = b.line) =>
  stretchesOf(b.state, line).map((s) => [s.from.tag.slice(3), s.to.tag.slice(3), s.pipe.size, s.guessed])

describe('straight stretches', () => {
  it('from the middle of one turn to the middle of the next, the longest first', () => {
    const b = bench('elbow 63', '800', 'elbow 45', '2000', 'tee', '500', 'elbow 90')
    const at = placesOf(b)
    expect(told(b)).toEqual([
      ['F02', 'F04', 'd63', false],
      ['F01', 'F02', 'd63', false],
    ])
    expect(stretchesOf(b.state, b.line).map((s) => s.lengthMm)).toEqual([
      at.centre('F04') - at.centre('F02'),
      at.centre('F02') - at.centre('F01'),
    ])
  })
  it('a line that begins or ends with bare pipe: from its end, to its end', () => {
    const b = bench('elbow 63', '1000')
    const at = placesOf(b)
    expect(told(b)).toEqual([['F01', 'P01', 'd63', false]])
    expect(stretchesOf(b.state, b.line)[0]?.lengthMm).toBe(at.to('P01') - at.centre('F01'))
    // The fitting before it taken out: the same pipe, from where it begins.
    const bare = { ...b.line, items: b.line.items.slice(1).map((i) => ({ ...i, measuredMm: 1000 })) }
    const [only] = stretchesOf(b.state, bare)
    expect([only?.from.tag, only?.to.tag]).toEqual(['Q2/P01', 'Q2/P01'])
    expect(only?.lengthMm).toBeGreaterThan(900)
  })
  it('a piece that nobody measured makes its stretch a guess, and no other', () => {
    const b = bench('elbow 63', '?', 'coupling', '700', 'elbow 90', '900', 'cap')
    expect(Object.fromEntries(told(b).map(([from, , , guessed]) => [from, guessed]))).toEqual({
      F01: true,
      F03: false,
    })
  })
  it('a change of size ends it; each bears the size of its own pipe', () => {
    const b = bench('elbow 110', '1500', 'reducer 110 63', '600', 'cap')
    expect(told(b)).toEqual([
      ['F01', 'F02', 'd110', false],
      ['F02', 'F03', 'd63', false],
    ])
  })
  it('a branch has its own, from the middle of its tee', () => {
    const b = bench('tee 110 63', '1500', 'cap', 'branch')
    expect(b.type('..')).toBe('ok')
    const c = bench('elbow 110', '1500', 'tee 110 63', '900', 'cap')
    const tee = c.item('Q2/F02')
    c.cursor = { after: tee.id, branch: 2 }
    expect(c.type('400', 'cap')).toBe('ok')
    const at = placesOf(c)
    const branch = stretchesOf(c.state, c.line).find((s) => s.pipe.size === 'd63')
    expect([branch?.from.tag, branch?.guessed]).toEqual(['Q2/F02', false])
    expect(branch?.lengthMm).toBeCloseTo(at.centre('F04') - at.centre('F02'), 6)
    // The way through is one stretch still: a branch is no turn.
    expect(told(c)[0]).toEqual(['F01', 'F03', 'd110', false])
  })
  it('where there is no pipe there is no stretch', () => {
    expect(stretchesOf(foldJob([]), { ...bench('tee 63').line })).toEqual([])
    expect(told(bench('elbow 63'))).toEqual([])
  })
})
