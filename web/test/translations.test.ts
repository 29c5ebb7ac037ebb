import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { LANGUAGES } from '@jugalis/core'
import { allWords } from '../../core/src/words/words'
import { usesOfMessage } from '../../core/src/words/print'
import '../../server/src/words'
import '../src/words/book'

const DIR = path.join(import.meta.dirname, '../../words')
const english = new Map([...allWords()].map(([code, { says }]) => [code, says]))
const files = readdirSync(DIR).filter((f) => f.endsWith('.json'))

it('a language has one file, and each file a language', () => {
  expect(files.map((f) => f.replace('.json', '')).sort()).toEqual(LANGUAGES.filter((l) => l !== 'en'))
})
describe.each(files)('%s', (file) => {
  const words = JSON.parse(readFileSync(path.join(DIR, file), 'utf8')) as Record<string, string>
  it('says what is in the book and nothing else', () => {
    expect(Object.keys(words).filter((code) => !english.has(code))).toEqual([])
  })
  it('each sentence can be read, prints what the English one prints, and reads figures the same way', () => {
    const wrong = Object.entries(words).flatMap(([code, says]) => {
      const own = usesOfMessage(says)
      const of = usesOfMessage(english.get(code) ?? '')
      const more = own.names.filter((n) => !of.names.includes(n))
      const less = of.names.filter((n) => !own.names.includes(n))
      const styles = [own, of].map((u) => [...new Set(u.styles)].sort().join())
      return more.length || less.length || styles[0] !== styles[1]
        ? [`${code}: ${JSON.stringify({ more, less, styles })}`]
        : []
    })
    expect(wrong).toEqual([])
  })
  it('the places of the fitter are whole: Make, Cut, Wait, the clocks, cautions, findings', () => {
    /** What is not said in the fitter's places: setting out, proving, handing over, the Handbook, settings, files. */
    const ELSEWHERE =
      /^(?:about|handbook|figure|hand-over|jobs|settings|sign-in|site|paper|set-out|space|growth|held|room|shelf|own|mate|upkeep|care|prove|files|app|chart|entry|edit|schedule|closing|rule|stage|plan|support|mostly|aside|reading|verdict|test|differ|practice|how|seen|surface|fault)-/
    const bare = [...english].filter(([code]) => !ELSEWHERE.test(code) && !Object.hasOwn(words, code))
    // Names and figures that are the same in every language.
    expect(bare.filter(([, says]) => /\p{Ll}{3}/u.test(says.replace(/\{[^}]*\}/g, '')))).toEqual([])
  })
})
