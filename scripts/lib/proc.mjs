import { spawn, spawnSync } from 'node:child_process'
import { createServer } from 'node:net'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { fileURLToPath } from 'node:url'

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..')
export const isRoot = process.getuid?.() === 0

/** A sentence for the person at the keyboard, without a stack. */
export class Plain extends Error {}
export const endWith = (error) => {
  console.error(error instanceof Plain ? error.message : error)
  process.exit(1)
}

/** What was asked for on the command line; an option that is not known says what there are. */
export function optionsOf(options, help) {
  try {
    return parseArgs({ options: { ...options, help: { type: 'boolean', default: false } } }).values
  } catch (error) {
    throw new Plain(`${error.message}\n${help}`)
  }
}

/** Runs a command to its end; output only when it fails or `show` is set. */
export function run(cmd, args, { show = false, ...options } = {}) {
  const done = spawnSync(cmd, args, {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: show ? 'inherit' : 'pipe',
    maxBuffer: 1 << 28,
    ...options,
  })
  return { ok: done.status === 0, out: `${done.stdout ?? ''}${done.stderr ?? ''}`, status: done.status }
}
export const has = (cmd) => run('sh', ['-c', `command -v ${cmd}`]).ok

export const freePort = () =>
  new Promise((done, fail) => {
    const server = createServer()
    server.once('error', fail)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => done(port))
    })
  })
export const portBusy = (port, host) =>
  new Promise((done) => {
    const server = createServer()
    server.once('error', (e) => done(e.code === 'EADDRINUSE' || e.code === 'EACCES' ? e.code : null))
    server.listen(port, host, () => server.close(() => done(null)))
  })
export const sleep = (ms) => new Promise((r) => setTimeout(r, ms))

/** Starts a child and gives its exit as a promise beside it. */
export function child(cmd, args, options = {}) {
  const started = spawn(cmd, args, { cwd: ROOT, ...options })
  const exited = new Promise((done) => {
    started.once('exit', (code, signal) => done({ code, signal }))
    started.once('error', (error) => done({ code: 1, signal: null, error }))
  })
  return { p: started, exited }
}

/** From the first to the longest pause before something is started again, ms. */
const PAUSE = { first: 500, longest: 15_000 }
/**
 * Starts a program again whenever it ends by itself, and says so: soon, since one that had come up was ended from outside;
 * one that does not come up is tried at growing distances.
 * @param exited when the running one ends. @param start makes another, and is done once that serves.
 * @param stopping whether it was asked to end.
 */
export async function keptUp(name, exited, start, stopping) {
  for (;;) {
    let pause = PAUSE.first
    await exited()
    if (stopping()) return
    console.error(`${name} has ended. What was acknowledged is kept; it is started again.`)
    for (let up = false; !up && !stopping();) {
      await sleep(pause)
      pause = Math.min(pause * 2, PAUSE.longest)
      up =
        !stopping() &&
        (await start().then(
          () => true,
          (error) => console.error(error.message),
        ))
    }
    if (stopping()) return
    console.error(`${name} is there again.`)
  }
}
