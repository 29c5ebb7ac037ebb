import { readFileSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import { GLYPHS, isWorded, say } from '../src/index.js'

function* sources(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const full = path.join(folder, name)
    if (statSync(full).isDirectory()) yield* sources(full)
    else if (full.endsWith('.ts')) yield full
  }
}
/** Codes as they stand in the code: msg('x'), finding('stop', 'x'), say('warn', 'x'), no('x'), flagged(s, e, 'x'). */
const PATTERNS = [
  /\bmsg\('([a-z0-9-]+)'/g,
  /\b(?:finding|say)\(\s*'(?:stop|warn|note)',\s*'([a-z0-9-]+)'/g,
  /\bchoiceRule\(\s*'(?:stop|warn|note)',\s*'([a-z0-9-]+)'/g,
  /\bno\('([a-z0-9-]+)'/g,
  /\bflagged\(s, e, '([a-z0-9-]+)'/g,
  /\bnote\('([a-z0-9-]+)'/g,
]
const found = new Map<string, string>()
for (const file of sources(path.join(process.cwd(), 'core/src')))
  for (const pattern of PATTERNS)
    for (const m of readFileSync(file, 'utf8').matchAll(pattern))
      found.set(m[1] as string, path.relative(process.cwd(), file))

describe('every message that core can give has its words', () => {
  it('and there are many', () => expect(found.size).toBeGreaterThan(80))
  it.each([...found])('%s (%s)', (code) => expect(isWorded(code)).toBe(true))
})

it.each(GLYPHS)('the glyph %s has its word', (id) => expect(isWorded(`state-${id}`)).toBe(true))

it('no code is worded twice', () => {
  const seen = new Map<string, string>()
  const twice: string[] = []
  for (const file of sources(path.join(process.cwd(), 'core/src/words')))
    for (const m of readFileSync(file, 'utf8').matchAll(/^ {2}'?([A-Za-z0-9-]+)'?:/gm)) {
      const code = m[1] as string
      if (!code.includes('-')) continue
      if (seen.has(code)) twice.push(`${code}: ${seen.get(code)} and ${path.basename(file)}`)
      seen.set(code, path.basename(file))
    }
  expect(twice).toEqual([])
  expect(seen.size).toBeGreaterThan(600)
})

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
  const sentences = [...found.keys()].flatMap((code) =>
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
