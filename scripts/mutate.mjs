import { spawnSync } from 'node:child_process'
import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import seedrandom from 'seedrandom'
import ts from 'typescript'
import { ROOT } from './lib/proc.mjs'

/**
 * npm run mutate: changes core's rules, verdict, cure, cut, units and readers one place at a time and asks whether a test
 * notices. All of it takes many hours; `-- --share 0.05 --seed 7` takes that share of the functions, drawn by the seed.
 * `-- --files core/src/units/parse.ts` takes these files.
 */
const FILES = [
  /^methods\/[^/]+\/rules\.ts$/,
  /^methods\/solvent-cement\/(rule|setup|clocks)\.ts$/,
  /^methods\/cure\//,
  /^prove\/test-plan\/(rules|answer|rating|limits|lasting|cured-under|ladder|water-column|energy)\.ts$/,
  /^prove\/verdict\/(judge|fit|expected|steady|outliers|restored|window|weigh-explanations)\.ts$/,
  /^prove\/test-run\/read-csv\.ts$/,
  /^(line|cut)\//,
  /^units\//,
  /^conditions\/forecast\.ts$/,
]
const inScope = () =>
  readdirSync(path.join(ROOT, 'core/src'), { recursive: true })
    .filter((file) => file.endsWith('.ts') && FILES.some((pattern) => pattern.test(file)))
    .map((file) => `core/src/${file}`)
    .sort()

/** First and last line of each statement that holds something to change. */
function statementsOf(file) {
  const source = ts.createSourceFile(
    file,
    readFileSync(path.join(ROOT, file), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  )
  const line = (at) => source.getLineAndCharacterOfPosition(at).line + 1
  return source.statements
    .filter(
      (s) => !ts.isImportDeclaration(s) && !ts.isInterfaceDeclaration(s) && !ts.isTypeAliasDeclaration(s),
    )
    .map((s) => `${file}:${line(s.getStart())}-${line(s.end)}`)
}

async function main() {
  const { values: options } = parseArgs({
    options: {
      share: { type: 'string', default: '1' },
      seed: { type: 'string', default: '1' },
      files: { type: 'string' },
      concurrency: { type: 'string', default: '2' },
    },
  })
  const files = options.files?.split(',') ?? inScope()
  const draw = seedrandom(options.seed)
  const drawn = files.flatMap(statementsOf).filter(() => draw() < Number(options.share))
  const ran = spawnSync(
    'npx',
    [
      'stryker',
      'run',
      'scripts/mutate.config.mjs',
      '--concurrency',
      options.concurrency,
      '--mutate',
      drawn.join(','),
    ],
    { cwd: ROOT, stdio: 'inherit' },
  )
  if (ran.status) process.exit(ran.status)
  report(options, drawn.length)
}

const NOTICED = ['Killed', 'Timeout', 'RuntimeError']
/** docs/mutation.md: what was noticed, by file, and each change that was not. */
function report(options, statements) {
  const { files } = JSON.parse(readFileSync(path.join(ROOT, '.jugalis/mutation.json'), 'utf8'))
  const rows = Object.entries(files)
    .map(([file, { mutants }]) => {
      const counted = mutants.filter((m) => m.status !== 'Ignored' && m.status !== 'CompileError')
      const lived = counted.filter((m) => !NOTICED.includes(m.status))
      return { file: file.replace('core/src/', ''), counted: counted.length, lived }
    })
    .filter((r) => r.counted)
  const all = rows.reduce((n, r) => n + r.counted, 0)
  const lived = rows.reduce((n, r) => n + r.lived.length, 0)
  const score = ((1 - lived / all) * 100).toFixed(1)
  const page = `# Mutation run

Made by \`npm run mutate -- --share ${options.share} --seed ${options.seed}\` on ${new Date().toISOString().slice(0, 10)}, with
Stryker: ${all} changes in ${statements} statements; **${score} % noticed** (${lived} lived).

| file | changes | noticed |
| --- | --- | --- |
${rows.map((r) => `| ${r.file} | ${r.counted} | ${(((r.counted - r.lived.length) / r.counted) * 100).toFixed(0)} % |`).join('\n')}

## What lived

${rows.flatMap((r) => r.lived.map((m) => `- \`${r.file}:${m.location.start.line}\` ${m.mutatorName}: \`${(m.replacement ?? '').replace(/\s+/g, ' ').slice(0, 90)}\``)).join('\n')}
`
  if (!options.files) writeFileSync(path.join(ROOT, 'docs/mutation.md'), page)
  console.log(`${all} changes, ${score} % noticed`)
}
await main()
