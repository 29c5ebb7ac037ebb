import { build } from 'esbuild'
import { readdirSync, statSync } from 'node:fs'
import { examplesOf, exportedFunctions } from '../core/test/written-above.ts'

/**
 * Core's tests with what they test, all in one file: a mutation run loads it some ten thousand times, and loads of sixty
 * files are what it would spend its hours on. Tests that read the sources themselves say nothing of a change.
 */
const READS_SOURCES = [
  'plain-words.test',
  'examples.test',
  'doc-paths.test',
  'tables.test',
  'source-ids.test',
  'method-types.test',
]
/** Those that take seconds come last: what is noticed is noticed by a quick one first. */
const SLOW = [
  'stock.test',
  'verdict.test',
  'lives.test',
  'cure-incidents.test',
  'incidents.test',
  'walls.test',
]
const root = process.cwd()
const late = (file) => SLOW.findIndex((name) => file.includes(name))
const tests = readdirSync('core/test', { recursive: true })
  .filter((file) => file.endsWith('.test.ts') && !READS_SOURCES.some((name) => file.includes(name)))
  .map((file) => `core/test/${file}`)
  .sort((a, b) => late(a) - late(b) || statSync(a).size - statSync(b).size)
/** What is written above a function to be given by it, as a test: a bundle cannot fetch files by their names. */
const examples = examplesOf(exportedFunctions()).map(
  (example) =>
    `it(${JSON.stringify(`${example.file}: ${example.use}`)}, () => expect(otherThanWritten(require('./core/src/${example.file}'), ${JSON.stringify(example)})).toBeNull())`,
)
await build({
  stdin: {
    contents: [
      `const { otherThanWritten } = require('./core/test/written-above.ts')`,
      ...examples,
      ...tests.map((file) => `describe('${file}', () => void require('./${file}'))`),
    ].join('\n'),
    resolveDir: root,
  },
  outfile: '.jugalis/bundles/core.test.js',
  bundle: true,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
  external: ['highs', '@jest/globals', 'typescript'],
  define: { 'import.meta.dirname': JSON.stringify(`${root}/core/test`) },
  logLevel: 'error',
})
