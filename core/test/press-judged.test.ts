import { type PressReadings, judgePress } from '../src/methods/press/rules.js'
import { parseSize, type Size } from '../src/sizes/size.js'

const size = (text: string): Size => parseSize(text) as Size
const judge = (reads: PressReadings, at = 'd28') => judgePress('copper', size(at), reads)
/** Codes with what they say beside them. */
const said = (reads: PressReadings, at?: string) =>
  judge(reads, at).findings.map(({ code, level, source, params }) => ({ code, level, source, params }))
const GOOD: PressReadings = { indicatorGone: true, markAtEdge: true }

describe('a press joint is judged by what was read, and says by what', () => {
  it('short: below the depth that is asked for, not at it', () => {
    // Generic insertion of d28 is 23 mm (common practice, `cp-press-depth`).
    expect(said({ ...GOOD, depthMm: 23 })).toEqual([])
    expect(said({ ...GOOD, depthMm: 22.9 })).toEqual([
      {
        code: 'press-short',
        level: 'stop',
        source: 'cp-press-depth',
        params: { depthMm: 22.9, neededMm: 23 },
      },
    ])
  })
  it('the maker’s depth goes before the generic one; of a size without one nothing is judged by depth', () => {
    expect(said({ ...GOOD, depthMm: 24, depthRequiredMm: 25 })[0]).toMatchObject({ source: 'given' })
    expect(said({ ...GOOD, depthMm: 24, depthRequiredMm: 24 })).toEqual([])
    const unknown = judge({ ...GOOD, depthMm: 1 }, 'd130')
    expect([unknown.depthRequired.value, unknown.findings]).toEqual([null, []])
  })
  it.each([
    ['weld', 'toWeldMm'],
    ['bend', 'toBendMm'],
  ] as const)('too near a %s: less than 4 in to 1-1/2, than 6 in from 2 (common practice)', (to, key) => {
    expect(said({ ...GOOD, [key]: 101.6 })).toEqual([])
    expect(said({ ...GOOD, [key]: 101.5 })).toEqual([
      {
        code: 'press-too-close',
        level: 'stop',
        source: 'cp-press-clearance',
        params: { to, mm: 101.5, neededMm: 101.6 },
      },
    ])
    expect(said({ ...GOOD, [key]: 152.3 }, 'NPS 2')[0]).toMatchObject({ code: 'press-too-close' })
    expect(said({ ...GOOD, [key]: 152.4 }, 'NPS 2')).toEqual([])
  })
  it('coating, stamps and lubricants name themselves and their source', () => {
    expect(said({ ...GOOD, coatingMm: 0.31 })).toEqual([
      { code: 'press-coating', level: 'stop', source: 'cp-press-surface', params: { mm: 0.31 } },
    ])
    expect(said({ ...GOOD, coatingMm: 0.3, stamped: false, lubricant: 'water' })).toEqual([])
    expect(said({ ...GOOD, stamped: true })).toMatchObject([
      { code: 'press-stamped', source: 'cp-press-surface' },
    ])
    expect(said({ ...GOOD, lubricant: 'grease' })).toMatchObject([
      { code: 'press-lubricant', source: 'cp-press-lubricant', params: { lubricant: 'grease' } },
    ])
  })
  it.each([
    [true, true, 'pass', []],
    [false, true, 'unknown', ['press-tab-there']],
    [true, false, 'fail', ['press-mark-moved']],
    [false, false, 'fail', ['press-not-pressed']],
    [null, true, 'unknown', []],
    [true, null, 'unknown', []],
    [false, null, 'unknown', ['press-tab-there']],
  ] as const)(
    'indicator gone %s and mark at the edge %s: %s',
    (indicatorGone, markAtEdge, verdict, codes) => {
      const judged = judge({ indicatorGone, markAtEdge })
      expect([judged.verdict, judged.findings.map((f) => f.code)]).toEqual([verdict, codes])
      for (const f of judged.findings) expect(f.source).toBe('cp-press-steps')
    },
  )
  it('what nobody read is named, whether it is absent or empty; what was read is not', () => {
    expect(judge({}).unread).toEqual([
      'depthMm',
      'toWeldMm',
      'toBendMm',
      'coatingMm',
      'stamped',
      'lubricant',
      'indicatorGone',
      'markAtEdge',
    ])
    expect(judge({ ...GOOD, depthMm: null, stamped: false, lubricant: null, coatingMm: 0 }).unread).toEqual([
      'depthMm',
      'toWeldMm',
      'toBendMm',
      'lubricant',
    ])
  })
})
