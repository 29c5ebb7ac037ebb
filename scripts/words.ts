/**
 * The book for a translator, as a table that any spreadsheet opens, and back into its file.
 *
 *   npm run words -- es --out book.csv   every sentence: code, where it is said, English, translation
 *   npm run words -- es --in book.csv    takes the column `translation` into words/es.json; wrong ones are named, none is taken
 */
import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import Papa from 'papaparse'
import { usesOfMessage } from '../core/src/words/print.js'
import { allWords } from '../core/src/words/words.js'
import '../server/src/words.js'
import '../web/src/words/book.js'

const root = path.join(import.meta.dirname, '..')
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { out: { type: 'string' }, in: { type: 'string' } },
})
const [language] = positionals
if (!language || !/^[a-z]{2}$/.test(language) || !(values.out || values.in)) {
  process.stderr.write('npm run words -- es --out FILE, or --in FILE\n')
  process.exit(2)
}
const file = path.join(root, 'words', `${language}.json`)
const kept = JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>
const english = new Map([...allWords()].map(([code, { says }]) => [code, says]))

/** Source files by what they hold: a code's context is where it is named. */
const sources = ['core/src', 'web/src', 'server/src'].flatMap((dir) =>
  readdirSync(path.join(root, dir), { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.(ts|vue)$/.test(f))
    .map((f) => ({ name: `${dir}/${f}`, text: readFileSync(path.join(root, dir, f), 'utf8') })),
)
const worded = (name: string): boolean => /\/words(\/|\.ts)/.test(name)
/** Codes that are put together of parts are named nowhere: for those it is the file they are worded in. */
function whereSaid(code: string): string {
  const named = sources.filter((s) => s.text.includes(`'${code}'`)).map((s) => s.name)
  const said = named.filter((name) => !worded(name))
  return (said.length ? said : named).join('; ')
}

/** What is wrong with a translation; empty where it prints what the English one prints. */
function faultOf(code: string, says: string): string {
  const of = english.get(code)
  if (of === undefined) return 'no such code'
  try {
    const [own, wanted] = [usesOfMessage(says), usesOfMessage(of)].map((u) =>
      [...u.names.sort(), ...[...new Set(u.styles)].sort()].join(' '),
    )
    return own === wanted ? '' : `has ${own || 'no parameters'}, needs ${wanted || 'none'}`
  } catch (e) {
    return (e as Error).message
  }
}
if (values.out) {
  const rows = [...english].map(([code, says]) => ({
    code,
    where: whereSaid(code),
    english: says,
    translation: kept[code] ?? '',
  }))
  writeFileSync(values.out, Papa.unparse(rows))
  process.stdout.write(
    `${rows.length} sentences, ${rows.filter((r) => r.translation).length} of them translated.\n`,
  )
} else if (values.in) {
  const { data } = Papa.parse<{ code?: string; translation?: string }>(readFileSync(values.in, 'utf8'), {
    header: true,
    skipEmptyLines: true,
  })
  const given = data.flatMap((r) =>
    r.code && r.translation?.trim() ? [[r.code, r.translation.trim()] as const] : [],
  )
  const faults = given.map(([code, says]) => [code, faultOf(code, says)] as const).filter(([, why]) => why)
  for (const [code, why] of faults) process.stderr.write(`${code}: ${why}\n`)
  if (faults.length) process.exit(1)
  const all = Object.entries({ ...kept, ...Object.fromEntries(given) }).sort(([a], [b]) => (a < b ? -1 : 1))
  writeFileSync(file, `${JSON.stringify(Object.fromEntries(all), null, 2)}\n`)
  process.stdout.write(
    `${given.length} taken; ${all.length} of ${english.size} sentences are in ${language}.\n`,
  )
}
