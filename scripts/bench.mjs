import { cpus } from 'node:os'
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { calcRate, openingAJob, page, signIn } from './bench-server.mjs'
import { chromium as findChromium, nodePackages } from './lib/deps.mjs'
import { ROOT, endWith, freePort, run } from './lib/proc.mjs'

/** npm run bench: shows the speed targets and writes them to docs/benchmarks.md, with the machine named. */
const rows = []
/** `npm run bench -- server` leaves out the long core part, `-- waits` runs the clocks alone, `-- append` entries that come in, `-- prove` the judging of tests, `-- space` lines in space, `-- store` a large store, `-- practice` joints on the bench, `-- pack` a hospital on paper, `-- scale` a hospital, `-- large` the large job, `-- loggers` tests on the screen, `-- glance` all jobs at once; none of these writes. */
const only = process.argv[2]
const row = (what, measured, target) => {
  rows.push([what, measured, target])
  console.log(`${what}: ${measured} (target ${target})`)
}

/** A script of this folder made ready to run, beside the server's own so that it finds the same packages. */
function bundled(name) {
  const outfile = path.join(ROOT, `server/dist/${name}.mjs`)
  run('npx', [
    'esbuild',
    `scripts/${name}.ts`,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--external:highs',
    '--external:qrcode',
    `--outfile=${outfile}`,
    '--log-level=error',
  ])
  return outfile
}

async function main() {
  nodePackages()
  const { build } = await import('./lib/build.mjs')
  const { startPostgres } = await import('./lib/pg.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await build()
  const bundle = bundled('bench-core')
  if (!only) {
    const ran = run(process.execPath, [bundled('bench-stock')])
    if (!ran.ok) throw new Error(ran.out)
    const { what, measured, target } = JSON.parse(ran.out.split('\n').find((line) => line.startsWith('{')))
    row(what, measured, target)
  }
  for (const name of ['prove', 'space', 'store', 'plan', 'practice', 'pack']) {
    if (only && only !== name) continue
    const ran = run(process.execPath, [bundled(`bench-${name}`)])
    if (!ran.ok) throw new Error(ran.out)
    for (const line of ran.out.split('\n').filter((l) => l.startsWith('{'))) {
      const { what, measured, target } = JSON.parse(line)
      row(what, measured, target)
    }
    if (['prove', 'store', 'plan', 'practice', 'pack'].includes(only)) return
  }
  for (const part of !only ? ['fold', 'ladder', 'retime'] : only === 'waits' ? ['retime'] : []) {
    const results = [1, 2, 3, 4, 5].map(() => {
      const ran = run(process.execPath, [
        // As much room as a log of a million entries wants, from the beginning; the others run as they would in a browser.
        ...(part === 'fold'
          ? [
              '--max-semi-space-size=64',
              '--initial-old-space-size=1500',
              '--max-old-space-size=6000',
              '--expose-gc',
            ]
          : []),
        bundle,
        part,
      ])
      if (!ran.ok) throw new Error(ran.out)
      return JSON.parse(ran.out.split('\n').find((line) => line.startsWith('{')))
    })
    results.sort((a, b) => parseFloat(a.measured) - parseFloat(b.measured))
    const { what, measured, target } = results[2]
    row(`${what} (median of 5 processes)`, measured, target)
  }
  if (!only || only === 'append') {
    const { appends } = await import('./bench-append.mjs')
    await appends(row)
    if (only) return
  }
  const database = await startPostgres({ throwaway: true })
  const port = await freePort()
  const base = `http://127.0.0.1:${port}`
  const server = await startServer({
    databaseUrl: database.url,
    port,
    limiter: false,
    yardstick: true,
    quiet: true,
  })
  try {
    if (!only || only === 'server') {
      await calcRate(base, row)
      await openingAJob(base, row)
      await page(base, row)
    }
    if (only === 'scale') return await hospitals(base)
    await large(base)
    if (['loggers', 'large', 'space', 'glance'].includes(only)) return
    const { followers } = await import('./bench-waits.mjs')
    const second = await freePort()
    const other = await startServer({ databaseUrl: database.url, port: second, limiter: false, quiet: true })
    try {
      await followers([base, `http://127.0.0.1:${second}`], await signIn(base), row)
    } finally {
      await other.stop()
    }
  } finally {
    await server.stop()
    await database.stop()
  }
  if (only) return
  const machine = `${cpus().length} x ${cpus()[0]?.model ?? 'unknown'}, Node ${process.version}`
  const table = rows.map((r) => `| ${r.join(' | ')} |`).join('\n')
  writeFileSync(
    path.join(ROOT, 'docs/benchmarks.md'),
    `# Benchmarks\n\nWritten by \`npm run bench\` on ${machine}. Never a test: a busy machine is slower.\n\n| what | measured | target |\n| --- | --- | --- |\n${table}\n`,
  )
  run('npx', ['prettier', '--write', 'docs/benchmarks.md'])
}

/** How a job of a hospital grows: by the core alone, then in browsers. */
async function hospitals(base) {
  const script = bundled('bench-scale')
  for (const joints of [1000, 10_000, 30_000]) {
    const ran = run(process.execPath, [script, String(joints)])
    if (!ran.ok) throw new Error(ran.out)
    const { what, measured, target } = JSON.parse(ran.out.split('\n').find((line) => line.startsWith('{')))
    row(what, measured, target)
  }
  const { chromium } = await import('@playwright/test')
  const { pages } = await import('./bench-pages.mjs')
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--enable-precise-memory-info'],
  })
  await pages(base, await signIn(base), browser, row)
  await browser.close()
}

async function large(base) {
  const { chromium } = await import('@playwright/test')
  const { largeJob } = await import('./bench-large.mjs')
  const { scrubbing, waits } = await import('./bench-waits.mjs')
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--enable-precise-memory-info'],
  })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.request.post(`${base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
  if (only === 'glance' || !only) {
    const { glances } = await import('./bench-glance.mjs')
    await glances(base, await signIn(base), await context.newPage(), row)
    if (only) return void (await browser.close())
  }
  if (only === 'loggers' || !only) {
    const { loggers } = await import('./bench-loggers.mjs')
    await loggers(base, await signIn(base), await context.newPage(), row)
    if (only) return void (await browser.close())
  }
  if (!only || only === 'space') await scrubbing(base, await signIn(base), await context.newPage(), row)
  if (only === 'space') return void (await browser.close())
  if (only !== 'waits') await largeJob(base, await signIn(base), await context.newPage(), row)
  await waits(base, await signIn(base), await context.newPage(), row)
  await browser.close()
}

main().catch(endWith)
