import { fallFaults, foldJob, lineInSpace } from '../../src/index.js'
import { leastFall } from '../../src/line/space/fall-rule.js'
import { Bench } from '../line-bench.js'
import { LINE } from '../make-job.js'

describe('falls of drains', () => {
  // IPC table 704.1 (2021), from memory: 1/4 in a foot to 2-1/2 in, 1/8 from 3 to 6 in, 1/16 from 8 in on.
  it.each([
    ['NPS 1-1/4', 48],
    ['NPS 2', 48],
    ['NPS 2-1/2', 48],
    ['NPS 3', 96],
    ['NPS 4', 96],
    ['NPS 6', 96],
    ['NPS 8', 192],
    ['NPS 10', 192],
    ['d50', 48],
    ['d110', 96],
  ])('%s: 1 in %s', (size, one) => {
    const found = leastFall('drain', size)
    expect(found?.source).toBe('ipc-704-1')
    expect(1 / (found?.share ?? 0)).toBeCloseTo(one, 6)
  })
  // Usual practice, no published source: 1/8 in a foot.
  it('condensate: 1 in 96 in every size', () => {
    expect(
      ['NPS 3/4', 'd32', 'NPS 4'].map((size) => 1 / (leastFall('condensate', size)?.share ?? 0)),
    ).toEqual([expect.closeTo(96, 6), expect.closeTo(96, 6), expect.closeTo(96, 6)])
  })

  const faults = (...texts: string[]): string[] => {
    const b = new Bench({ material: 'pvc', school: 'inch', series: 'Sch 40' })
    expect(b.type(...texts)).toBe('ok')
    b.log.put('line-stands', { lineId: LINE, stands: { ...b.line.stands, carries: 'drain' } })
    const state = foldJob(b.log.events)
    const line = state.lines.get(LINE)
    return line ? fallFaults(lineInSpace(state, line)).map((one) => `${one.item.tag} ${one.how}`) : []
  }
  it('the way it was said to flow is the way it must fall', () => {
    const texts = ['from +8 ft east', 'cap 2', 'fall 1:40', '60 c-c', 'union', '60 c-c', 'cap']
    expect(faults(...texts)).toEqual([])
    expect(faults(...texts, 'flow on')).toEqual([])
    expect(faults(...texts, 'flow back')).toEqual(['Q2/P01 wrong-way', 'Q2/P02 wrong-way'])
    expect(faults(...texts, 'flow back', 'flow off')).toEqual([])
  })
  it('too little, level, the wrong way; a stack asks for none', () => {
    expect(
      faults(
        `from +10' east`,
        'cleanout 2',
        'fall 1:48',
        '60',
        'coupling; fall 1:60',
        '60',
        'coupling; fall 0',
        '60',
        'coupling; rise 1:200',
        '20',
        'elbow 90 down',
        '80',
        'coupling',
      ),
    ).toEqual(['Q2/P02 too-little', 'Q2/P03 level', 'Q2/P04 wrong-way'])
  })
  it('a run laid out from the stack upwards drains the other way, and its branches drain into it', () => {
    const withBranch = (branch: string): string[] =>
      faults(
        `from +1' east`,
        'cap 3',
        'rise 1:96',
        '90',
        'wye branch north',
        branch,
        '40',
        'cap',
        '..',
        '80',
        'cap',
      )
    expect(withBranch('branch')).toEqual([])
    expect(withBranch('branch; fall 1:48')).toEqual(['Q2/P02 wrong-way'])
  })
})
