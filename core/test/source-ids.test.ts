import { type SourceId, allSources, fig, finding, sourceOf } from '../src/index.js'

// The compiler is the test: each of these lines is an error, or `@ts-expect-error` is one itself.
// @ts-expect-error no such source was written down
const unknown: SourceId = 'cp-nobody-wrote-this'
// @ts-expect-error nor here
const figure = (): unknown => fig(1, 'astm-d0000')
// @ts-expect-error nor for a finding
const found = (): unknown => finding('warn', 'too-cold', 'cp-nobody')

it('a source that nobody wrote down does not compile; those there are have no twin and know what they come from', () => {
  expect([typeof unknown, typeof figure, typeof found]).toEqual(['string', 'function', 'function'])
  const ids = allSources().map((s) => s.id)
  expect(new Set(ids).size).toBe(ids.length)
  for (const s of allSources()) for (const from of s.from ?? []) expect(sourceOf(from).id).toBe(from)
  expect(sourceOf('chart:Handy, p. 3').kind).toBe('chart')
})
