import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'

/**
 * Turns of phrase that a newcomer has to guess at, and what to write instead. Where one is meant as it is said (a tag
 * hangs on a joint) its line is named.
 */
const RIDDLES: readonly (readonly [RegExp, instead: string])[] = [
  [/\bhangs? on\b/i, 'depends on, is attached to'],
  [/\bwithout a home\b/i, 'the term of the field'],
  [/\bthe way of what was\b/i, 'what becomes of'],
  [/\bis a matter of\b/i, 'depends on'],
  [/\bstands and falls\b/i, 'depends on'],
]
const MEANT = [
  "'around-rigged': 'Lifting gear hangs on'",
  '/** What hangs on the loop today',
  'Tags to hang on joints',
]
const ROOMS = [
  '.',
  'core/src',
  'core/test',
  'web/src',
  'web/test',
  'server/src',
  'server/test',
  'e2e',
  'demo',
  'scripts',
  'docs',
]
const SELF = 'core/test/plain-words.test.ts'

it('texts and comments say what they mean in the plain term', () => {
  const files = ROOMS.flatMap((room) =>
    readdirSync(room, { recursive: room !== '.', encoding: 'utf8' })
      .map((file) => path.join(room, file))
      .filter((file) => /\.(?:ts|vue|mjs|md)$/.test(file) && file !== SELF),
  )
  expect(files.length).toBeGreaterThan(500)
  const found = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .filter((line) => !MEANT.some((meant) => line.includes(meant)))
      .flatMap((line) =>
        RIDDLES.filter(([riddle]) => riddle.test(line)).map(([, say]) => `${file}: ${line.trim()} (${say})`),
      ),
  )
  expect(found).toEqual([])
})
