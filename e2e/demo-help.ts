import { type ChildProcess, spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import os from 'node:os'
import path from 'node:path'

export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number }
      s.close(() => done(port))
    })
  })
export interface Demo {
  child: ChildProcess
  exited: Promise<number | null>
  said: () => string
}
/** Runs the demo command in a state folder of its own and waits until it says it is ready, or ends. */
export async function demo(state: string, port: number, env: Record<string, string> = {}): Promise<Demo> {
  const child = spawn(process.execPath, ['scripts/demo.mjs', '--port', String(port)], {
    env: { ...process.env, JUGALIS_STATE: state, DATABASE_URL: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const exited = new Promise<number | null>((done) => child.once('exit', (code) => done(code)))
  const ready = new Promise<void>((done) => {
    const hear = (d: Buffer): void => {
      said += d.toString()
      if (said.includes('ready in')) done()
    }
    child.stdout?.on('data', hear)
    child.stderr?.on('data', hear)
  })
  await Promise.race([ready, exited])
  return { child, exited, said: () => said }
}
/** Processes that belong to a state folder or to a parent, by what their command line says. */
export function pids(match: (cmd: string, ppid: number) => boolean): number[] {
  return readdirSync('/proc')
    .filter((d) => /^\d+$/.test(d))
    .flatMap((d) => {
      try {
        const cmd = readFileSync(`/proc/${d}/cmdline`, 'utf8')
        const ppid = Number(/\) \S (\d+)/.exec(readFileSync(`/proc/${d}/stat`, 'utf8'))?.[1])
        return cmd && match(cmd, ppid) ? [Number(d)] : []
      } catch {
        return []
      }
    })
}

/** A folder for a demo of its own. The database runs as another user, who must be able to look into it. */
export function stateFolder(): { state: string; gone: () => void } {
  const state = mkdtempSync(path.join(os.tmpdir(), 'jugalis-state-'))
  chmodSync(state, 0o755)
  return {
    state,
    gone: () => {
      for (const pid of pids((cmd) => cmd.includes(state))) process.kill(pid, 'SIGINT')
      rmSync(state, { recursive: true, force: true })
    },
  }
}
/** The server process of a demo. */
export const serverOf = (d: Demo): number =>
  pids((cmd, ppid) => ppid === d.child.pid && cmd.includes('dist/main.mjs'))[0] as number
