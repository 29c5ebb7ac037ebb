import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'
import { Plain, ROOT, run } from './proc.mjs'

function* files(folder) {
  for (const name of readdirSync(folder).sort()) {
    if (name === 'node_modules' || name === 'dist') continue
    const full = path.join(folder, name)
    if (statSync(full).isDirectory()) yield* files(full)
    else yield full
  }
}
function fingerprint(parts) {
  const hash = createHash('sha256')
  for (const part of parts) {
    const full = path.join(ROOT, part)
    for (const file of statSync(full).isDirectory() ? files(full) : [full])
      hash.update(path.relative(ROOT, file)).update(readFileSync(file))
  }
  return hash.digest('hex')
}
const MARKS = path.join(ROOT, '.jugalis')
async function unlessSame(name, parts, result, work) {
  const mark = path.join(MARKS, `built-${name}`)
  const now = fingerprint(parts)
  if (existsSync(result) && existsSync(mark) && readFileSync(mark, 'utf8') === now) return false
  await work()
  mkdirSync(MARKS, { recursive: true })
  writeFileSync(mark, now)
  return true
}

export const SERVER_BUNDLE = path.join(ROOT, 'server/dist/main.mjs')
/** Fills an empty database with the demo world. */
export const DEMO_BUNDLE = path.join(ROOT, 'server/dist/demo.mjs')
export const WEB_ROOT = path.join(ROOT, 'web/dist')

/** How the server is bundled: our own packages go in, the registry's stay where npm put them. */
const SERVER = {
  entryPoints: {
    main: path.join(ROOT, 'server/src/main.ts'),
    'stock-worker': path.join(ROOT, 'server/src/stock-worker.ts'),
    'import-worker': path.join(ROOT, 'server/src/import-worker.ts'),
    'read-worker': path.join(ROOT, 'server/src/read-worker.ts'),
    'behind-worker': path.join(ROOT, 'server/src/behind-worker.ts'),
    demo: path.join(ROOT, 'demo/main.ts'),
  },
  outdir: path.dirname(SERVER_BUNDLE),
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'outside',
      setup: (build) =>
        build.onResolve({ filter: /^[^./]/ }, (asked) =>
          asked.path.startsWith('@jugalis/') || asked.kind === 'entry-point'
            ? undefined
            : { path: asked.path, external: true },
        ),
    },
  ],
}
/** Builds the server where it changed since the last time. */
export const buildServer = () =>
  unlessSame(
    'server',
    ['core/src', 'server/src', 'words', 'demo', 'package-lock.json'],
    SERVER_BUNDLE,
    async () => {
      const esbuild = await import('esbuild')
      await esbuild.build(SERVER)
    },
  )
/** Builds the server anew whenever one of its files changes. @param built is called after each time but the first. */
export async function watchServer(built) {
  const { context } = await import('esbuild')
  let times = 0
  const tell = {
    name: 'tell',
    setup: (b) => b.onEnd((r) => (!r.errors.length && times++ ? built() : undefined)),
  }
  const watched = await context({ ...SERVER, plugins: [...SERVER.plugins, tell] })
  await watched.watch()
  return watched
}
/** What is text among the parts of the interface. */
const TEXT = /\.(?:js|mjs|css|svg|wasm|ttf)$/
/** The slowest but one: a tenth smaller than what can be done while somebody waits. */
const QUALITY = 10
/** Parts of the interface lie ready as they are sent: packed once, not for everybody who asks. */
async function packed(folder) {
  const pack = promisify(brotliCompress)
  const names = readdirSync(folder).filter((name) => TEXT.test(name))
  await Promise.all(
    names.map(async (name) => {
      const bytes = readFileSync(path.join(folder, name))
      const params = {
        [constants.BROTLI_PARAM_QUALITY]: QUALITY,
        [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
      }
      writeFileSync(path.join(folder, `${name}.br`), await pack(bytes, { params }))
    }),
  )
}
const buildWeb = () =>
  unlessSame(
    'web',
    ['core/src', 'web/src', 'words', 'web/index.html', 'web/vite.config.ts', 'package-lock.json'],
    path.join(WEB_ROOT, 'index.html'),
    async () => {
      console.log('Building the interface …')
      const built = run('npx', [
        'vite',
        'build',
        'web',
        '--config',
        'web/vite.config.ts',
        '--logLevel',
        'warn',
      ])
      if (!built.ok) throw new Plain(`The interface could not be built:\n${built.out.slice(-3000)}`)
      await packed(path.join(WEB_ROOT, 'assets'))
    },
  )
/** Builds what changed since the last time: the server bundle and the interface. */
export async function build() {
  await buildServer()
  await buildWeb()
}
