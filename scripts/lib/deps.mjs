import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { Plain, ROOT, has, isRoot, run } from './proc.mjs'

/** Data and secrets of the private cluster. JUGALIS_STATE puts them elsewhere (a second instance, a test). */
export const STATE = process.env.JUGALIS_STATE ?? path.join(ROOT, '.jugalis')
export const hashOf = (text) => createHash('sha256').update(text).digest('hex').slice(0, 16)

/** Installs the node packages when they are missing or the lock file has changed since. */
export function nodePackages() {
  const mark = path.join(ROOT, 'node_modules/.jugalis-lock')
  const lock = hashOf(readFileSync(path.join(ROOT, 'package-lock.json'), 'utf8'))
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  console.log('Installing node packages …')
  const installed = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
  })
  if (!installed.ok) throw new Plain(`npm ci failed:\n${installed.out.slice(-2000)}`)
  writeFileSync(mark, lock)
}

let updated = false
/** Installs Debian packages as root or through sudo; otherwise says exactly what to type. */
export function debianPackages(names, what) {
  const by = isRoot ? [] : has('sudo') && run('sudo', ['-n', 'true']).ok ? ['sudo', '-n'] : null
  const line = `apt-get install -y ${names.join(' ')}`
  if (!by || !has('apt-get'))
    throw new Plain(`${what} is missing. Install it, then start again:\n  sudo ${line}`)
  console.log(`Installing ${what} from Debian's packages …`)
  const apt = (...args) => {
    const [cmd, ...rest] = [...by, 'apt-get', ...args]
    return run(cmd, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  }
  if (!updated) updated = apt('update', '-qq').ok
  const installed = apt('install', '-y', '-qq', '--no-install-recommends', ...names)
  if (!installed.ok)
    throw new Plain(
      `${what} could not be installed. Try by hand:\n  sudo ${line}\n${installed.out.slice(-800)}`,
    )
}

export function chromium() {
  const find = () =>
    ['chromium-headless-shell', 'chromium']
      .map((n) => run('sh', ['-c', `command -v ${n}`]))
      .find((r) => r.ok)
      ?.out.trim()
  const had = find()
  if (had) return had
  try {
    debianPackages(['chromium-headless-shell'], 'Chromium')
  } catch {
    debianPackages(['chromium'], 'Chromium')
  }
  const now = find()
  if (!now) throw new Plain('Chromium was installed but can\u2019t be found on the path.')
  return now
}

export function stateFolder() {
  mkdirSync(STATE, { recursive: true })
  return STATE
}
/** Key by which this server signs where a log ends: outside the database. */
export const keyFile = () => path.join(stateFolder(), 'server.key.json')
