import { GLYPHS, finding, isWorded, msg, say } from '../src/index.js'
import { STYLE_NAMES, usesOfMessage } from '../src/words/print.js'
import { allWords } from '../src/words/words.js'

// The compiler is the test: each of these lines is an error, or `@ts-expect-error` is one itself.
// @ts-expect-error no message has words by this code
const unworded = (): unknown => msg('nobody-worded-this')
// @ts-expect-error nor has a finding
const unfound = (): unknown => finding('warn', 'nobody-worded-this', 'given')

const ALL = [...allWords()]
describe('the book', () => {
  it('a code without words does not compile; there are many, none of them worded twice', () => {
    expect([typeof unworded, typeof unfound]).toEqual(['function', 'function'])
    const codes = ALL.map(([code]) => code)
    expect(codes.filter((c, i) => codes.indexOf(c) !== i)).toEqual([])
    expect(codes.length).toBeGreaterThan(1000)
  })
  it('every message is read, and names only quantities that can be printed', () => {
    for (const [code, { says, figures }] of ALL) {
      const { names, styles } = usesOfMessage(says)
      expect([code, styles.filter((s) => !STYLE_NAMES.includes(s))]).toEqual([code, []])
      expect([code, Object.keys(figures).filter((f) => !names.includes(f))]).toEqual([code, []])
    }
  })
})

it.each(GLYPHS)('the glyph %s has its word', (id) => expect(isWorded(`state-${id}`)).toBe(true))

describe('the words', () => {
  const params = {
    joint: 'Q2-17',
    list: 'Q2-17',
    open: 2,
    all: 8,
    bar: 9,
    allowed: 3,
    rating: 16,
    field: 'size',
    size: 'd110',
    material: 'pvc-u',
    pipeC: 4,
    dewC: 5,
    aboveK: -1,
    temperatureC: 3,
    limitC: 5,
    lateS: 70,
    readingMm: 54,
    shortMm: 4,
    overMm: 3,
    dropBar: 0.4,
    allowedBar: 0.2,
    kelvin: '3.0',
    seenS: 600,
    holdS: 3600,
    gate: 'vents',
    who: 'Teal',
    state: 'full',
    clock: 'open',
    cement: 'cpvc',
    text: 'x',
    measuredMm: 1250,
    a: 'd63',
    b: 'd50',
  }
  const sentences = ALL.flatMap(([code]) =>
    (['metric', 'inch'] as const).map((units) => say({ code, params }, { units })),
  )
  it('are calm: no exclamation marks, never "safe", never "please", never "error"', () => {
    for (const s of sentences) expect(s).not.toMatch(/!|\bsafe\b|\bplease\b|\berror\b/i)
  })
  it('say what was measured, in the reader\u2019s units', () => {
    const mark = (units: 'metric' | 'inch'): string =>
      say({ code: 'mark-short', params: { readingMm: 54, shortMm: 4 } }, { units })
    expect(mark('metric')).toBe('The mark stands 54 mm off, 4 mm short of home. Cut out and make again.')
    expect(mark('inch')).toBe('The mark stands 2-1/8 in off, 3/16 in short of home. Cut out and make again.')
    expect(say({ code: 'too-cold', params: { temperatureC: 3, limitC: 5 } }, { units: 'inch' })).toContain(
      '37 °F',
    )
  })
  it('an unknown code shows itself', () =>
    expect(say({ code: 'no-such-code', params: {} })).toBe('no-such-code'))
})
