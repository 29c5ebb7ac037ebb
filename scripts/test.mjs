import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium as findChromium, nodePackages } from './lib/deps.mjs'
import { ROOT, endWith, freePort, run } from './lib/proc.mjs'

/** npm test: first what reads the sources, side by side, then what runs them; the last line adds all runners up.
 * `--only=format,lint,types,unit,e2e`, `--grep=…` for a few of the browser's tests. */
let passed = 0
let failed = 0
const only = process.argv
  .find((a) => a.startsWith('--only='))
  ?.slice(7)
  .split(',')
const wanted = (name) => !only || only.includes(name)

async function check(name, cmd, args) {
  if (!wanted(name)) return
  const began = Date.now()
  const started = spawn(cmd, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] })
  let out = ''
  for (const stream of [started.stdout, started.stderr]) stream.on('data', (part) => (out += part))
  const ok = await new Promise((done) => {
    started.once('close', (code) => done(code === 0))
    started.once('error', () => done(false))
  })
  console.log(`${ok ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - began) / 1000).toFixed(0)} s)`)
  if (!ok) console.log(out.slice(-6000))
  if (ok) passed++
  else failed++
}

/** Where the time goes: the longest of a runner, in seconds. */
function slowest(took, most = 8) {
  const worst = [...took].sort((a, b) => b.ms - a.ms).slice(0, most)
  if (worst.length)
    console.log(`     longest: ${worst.map((t) => `${t.name} ${(t.ms / 1000).toFixed(0)} s`).join(', ')}`)
}
/** Every test of a browser report, however deep its file groups it. */
const testsOf = (suite) => [
  ...(suite.specs ?? []).flatMap((spec) =>
    spec.tests.map((ran) => ({
      name: `${spec.file}:${spec.line}`,
      title: spec.title,
      status: ran.status,
      wrong: ran.results.map((r) => r.error?.message ?? '').find(Boolean) ?? '',
      ms: ran.results.reduce((ms, r) => ms + r.duration, 0),
    })),
  ),
  ...(suite.suites ?? []).flatMap(testsOf),
]
/** Tests that failed, or came only the second time: each in two lines, at the end, where whoever reads a part of the output reads. */
function named(tests, status, how) {
  const those = tests.filter((t) => t.status === status)
  if (!those.length) return
  console.log(`${those.length} ${how}:`)
  const plain = (text) =>
    // eslint-disable-next-line no-control-regex -- colours of a terminal
    text.replace(/\u001b\[\d+m/g, '').replace(/\s+/g, ' ')
  for (const each of those)
    console.log(`  ${each.name} ${each.title.slice(0, 90)}\n    ${plain(each.wrong).slice(0, 240)}`)
}

async function main() {
  const work = mkdtempSync(path.join(os.tmpdir(), 'jugalis-run-'))
  nodePackages()
  await Promise.all([
    check('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
    check('lint', 'npx', ['eslint', '.']),
    check('types', 'npm', ['run', '--silent', 'types']),
  ])
  const { startPostgres } = await import('./lib/pg.mjs')
  const database = wanted('unit') || wanted('e2e') ? await startPostgres({ throwaway: true }) : null
  try {
    if (wanted('unit')) unit(path.join(work, 'jest.json'), database)
    if (wanted('e2e')) await e2e(path.join(work, 'e2e.json'), database)
  } finally {
    await database?.stop()
    rmSync(work, { recursive: true, force: true })
  }
  console.log(`\nTests: ${passed} passed, ${failed} failed`)
  process.exit(failed > 0 || passed === 0 ? 1 : 0)
}

function unit(out, database) {
  const ran = run(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--no-warnings',
      'node_modules/jest/bin/jest.js',
      '--json',
      `--outputFile=${out}`,
      '--silent=false',
    ],
    {
      env: { ...process.env, TEST_DATABASE: database.base },
    },
  )
  let report = null
  try {
    report = JSON.parse(readFileSync(out, 'utf8'))
  } catch {
    failed++
  }
  passed += report?.numPassedTests ?? 0
  failed += (report?.numFailedTests ?? 0) + (report?.numRuntimeErrorTestSuites ?? 0)
  console.log(`${ran.ok ? 'ok  ' : 'FAIL'} unit and server: ${report?.numPassedTests ?? 0} passed`)
  slowest(
    (report?.testResults ?? []).map((t) => ({ name: path.basename(t.name), ms: t.endTime - t.startTime })),
  )
  if (!ran.ok) console.log(ran.out.replace(/^\{.*\}$/ms, '').slice(-12000))
}

async function e2e(out, database) {
  const { build } = await import('./lib/build.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  const browser = findChromium()
  await build()
  const port = await freePort()
  const { default: pg } = await import('pg')
  const admin = new pg.Client({ connectionString: database.url })
  await admin.connect()
  await admin.query('create database e2e')
  await admin.end()
  const server = await startServer({ databaseUrl: `${database.base}/e2e`, port, limiter: false, quiet: true })
  try {
    const few = process.argv.filter((a) => a.startsWith('--grep='))
    const ran = run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', ...few], {
      env: {
        ...process.env,
        TEST_DATABASE: database.base,
        BASE_URL: `http://127.0.0.1:${port}`,
        CHROMIUM: browser,
        PLAYWRIGHT_JSON_OUTPUT_NAME: out,
      },
      cwd: ROOT,
    })
    let [stats, tests] = [null, []]
    try {
      const report = JSON.parse(readFileSync(out, 'utf8'))
      stats = report.stats
      tests = report.suites.flatMap(testsOf)
      slowest(tests)
    } catch {
      failed++
    }
    passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0)
    failed += stats?.unexpected ?? 0
    console.log(`${ran.ok ? 'ok  ' : 'FAIL'} browser: ${stats?.expected ?? 0} passed`)
    if (!ran.ok || few.length) console.log(ran.out.slice(-12000))
    named(tests, 'flaky', 'came only the second time')
    named(tests, 'unexpected', 'failed')
  } finally {
    await server.stop()
  }
}
main().catch(endWith)
