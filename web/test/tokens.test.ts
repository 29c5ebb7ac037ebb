import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'

/** Contrast of the tokens as WCAG 2 defines it (relative luminance). */
const css = readFileSync(path.join(process.cwd(), 'web/src/styles/tokens.css'), 'utf8')
const tokens = (block: string): Map<string, string> =>
  new Map(
    [...block.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6})/gi)].map((m) => [
      m[1] as string,
      (m[2] as string).toLowerCase(),
    ]),
  )
const [dayBlock = '', nightBlock = ''] = css.split(":root[data-theme='night']")
const day = tokens(dayBlock)
const night = tokens(nightBlock)
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: string, b: string): number {
  const [hi, lo] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (hi + 0.05) / (lo + 0.05)
}
const of = (t: Map<string, string>, a: string, b: string): number =>
  contrast(t.get(a) ?? '#000000', t.get(b) ?? '#000000')

const TEXT = ['ink', 'soft', 'copper', 'violet', 'wet-ink', 'sound', 'stop-ink']
const ON: [string, string, number][] = [
  ['on-steel', 'steel', 7],
  ['on-copper', 'copper-fill', 7],
  ['tape-ink', 'tape', 4.5],
  ['rail-ink', 'rail', 7],
  ['edge', 'paper', 3],
  ['edge', 'sheet', 3],
  ['cure', 'paper', 3],
  ['set', 'paper', 3],
  ['sound', 'paper', 3],
  ['wet', 'paper', 3],
  ['stop', 'paper', 3],
  ['violet', 'tape', 3],
]
for (const [name, t] of [
  ['day', day],
  ['night', night],
] as const)
  describe(`tokens by ${name}`, () => {
    it.each(TEXT)('text %s stands 7 to 1 on paper and sheet', (token) => {
      expect(of(t, token, 'paper')).toBeGreaterThanOrEqual(7)
      expect(of(t, token, 'sheet')).toBeGreaterThanOrEqual(name === 'day' ? 7 : 7)
    })
    it.each(ON.filter(([a, b]) => !(name === 'night' && a === 'violet' && b === 'tape')))(
      '%s on %s at least %p',
      (a, b, least) => expect(of(t, a, b)).toBeGreaterThanOrEqual(least),
    )
  })
it('every day token that changes at night is there at night', () => {
  for (const key of night.keys()) expect(day.has(key)).toBe(true)
  for (const key of ['paper', 'sheet', 'ink', 'soft', 'stop-ink', 'wet-ink', 'tape'])
    expect(night.has(key)).toBe(true)
})

it('every colour and measure that a style asks for is there', () => {
  const root = path.join(process.cwd(), 'web/src')
  const sources = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(css|vue|ts)$/.test(name))
    .map((name) => [name, readFileSync(path.join(root, name), 'utf8')] as const)
  const set = new Set(
    sources.flatMap(([, source]) => [...source.matchAll(/(--[a-z][\w-]*)['"]?\s*:/g)].map((m) => m[1])),
  )
  const lost = sources.flatMap(([name, source]) =>
    // What says what to do without is there in any case; the library's own are the library's.
    [...source.matchAll(/var\((--[a-z][\w-]*)\s*\)/g)]
      .map((m) => m[1] as string)
      .filter((token) => !token.startsWith('--el-') && !set.has(token))
      .map((token) => `${name}: ${token}`),
  )
  expect(lost).toEqual([])
})
