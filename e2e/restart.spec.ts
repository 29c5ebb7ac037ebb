import { randomUUID } from 'node:crypto'
import { createServer } from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { demo, freePort, pids, serverOf, stateFolder } from './demo-help'

test('kill -9 of either process loses nothing that was acknowledged, and the next start recovers', async ({
  request,
}) => {
  const { state, gone } = stateFolder()
  const port = await freePort()
  const base = `http://127.0.0.1:${port}`
  const deviceId = randomUUID()
  let deviceSeq = 0
  let job = ''
  const marks: string[] = []
  const write = async (): Promise<void> => {
    const mark = randomUUID()
    const now = Date.now() / 1000
    const r = await request.post(`${base}/api/jobs/${job}/events`, {
      data: {
        deviceId,
        sentAtDeviceS: now,
        clockErrorS: 0,
        events: [
          {
            id: randomUUID(),
            kind: 'signed',
            v: 1,
            jointId: null,
            atDeviceS: now,
            deviceSeq: ++deviceSeq,
            after: [],
            data: { what: 'mark', refId: mark, statement: 'kept' },
          },
        ],
      },
    })
    expect(r.status()).toBe(200)
    marks.push(mark)
  }
  const allThere = async (): Promise<void> => {
    expect(
      (
        await request.post(`${base}/api/session`, { data: { login: 'rook', password: 'tide-and-pipe' } })
      ).status(),
    ).toBe(200)
    const jobs = (await (await request.get(`${base}/api/jobs`)).json()) as { jobs: { jobId: string }[] }
    job = jobs.jobs[0]?.jobId ?? ''
    const log = await (await request.get(`${base}/api/jobs/${job}/events?after=0`)).text()
    for (const m of marks) expect(log).toContain(m)
    expect(await (await request.get(`${base}/api/jobs/${job}/verify`)).json()).toMatchObject({ ok: true })
  }
  try {
    let d = await demo(state, port)
    expect(d.said()).toContain('ready in')
    await allThere()
    await write()
    const second = await demo(state, await freePort())
    expect(second.said()).toContain('already runs from this folder')
    // Each is started again by itself.
    process.kill(serverOf(d), 'SIGKILL')
    await expect.poll(d.said).toContain('The server is there again')
    await allThere()
    await write()
    const server = serverOf(d)
    process.kill(pids((cmd, ppid) => ppid === d.child.pid && cmd.includes(state))[0] as number, 'SIGKILL')
    await expect.poll(d.said).toContain('The database is there again')
    await allThere()
    await write()
    // The server lived through it.
    expect(serverOf(d)).toBe(server)
    d.child.kill('SIGKILL')
    await expect
      .poll(() => pids((cmd) => cmd.includes('dist/main.mjs') && cmd.includes(state)).length)
      .toBe(0)
    d = await demo(state, port)
    await allThere()
    d.child.kill('SIGTERM')
    expect(await d.exited).toBe(0)
    expect(pids((cmd) => cmd.includes(state))).toEqual([])
  } finally {
    gone()
  }
})

test('a busy port is one clear line', async () => {
  const port = await freePort()
  const taken = createServer().listen(port, '127.0.0.1')
  const d = await demo(path.join(os.tmpdir(), 'jugalis-none'), port)
  expect(await d.exited).toBe(1)
  expect(d.said().trim().split('\n')).toEqual([
    `Port ${port} on 127.0.0.1 is in use. Stop what runs there, or choose another with --port.`,
  ])
  taken.close()
})
