import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { Plain, ROOT, run, sleep } from './proc.mjs'

/** Phones that write into jobs at their pace, each entry signed: for the long run and the benchmark. */
export const BATCH = 5
const PASSWORD = 'long-run-of-kills'

/** What devices sign with, made ready to run. */
export async function devices() {
  const outfile = path.join(ROOT, 'server/dist/device.mjs')
  const bundle = ['--bundle', '--platform=node', '--format=esm', `--outfile=${outfile}`]
  run('npx', ['esbuild', 'demo/device.ts'].concat(bundle))
  return (await import(outfile)).signingDevice
}

/** A clock that is right. */
const NOW = { backS: 0 }
/** A phone that writes batches at its pace, each sent again until it is taken. */
export function phone({ base, cookie, personId, job, device, everyMs, clock = NOW }) {
  const deviceId = randomUUID()
  const seen = { sent: [], ms: [], away: 0, odd: new Map() }
  let ended = false
  let deviceSeq = 0
  const batch = () => {
    const now = Date.now() / 1000 - clock.backS
    const draft = () => ({
      id: randomUUID(),
      kind: 'place-set',
      v: 1,
      jointId: null,
      atDeviceS: now,
      deviceSeq: ++deviceSeq,
      after: [],
      data: { placeId: randomUUID(), name: 'P' },
    })
    const events = Array.from({ length: BATCH }, draft)
    return device.signed({ deviceId, sentAtDeviceS: now, clockErrorS: 0, events }, job, personId)
  }
  const send = async (body) => {
    const began = performance.now()
    const status = await fetch(`${base}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(10_000),
    }).then(
      async (answer) => (await answer.text(), answer.status),
      () => 0,
    )
    return { status, ms: performance.now() - began }
  }
  const running = (async () => {
    for (let due = performance.now(); !ended; due += everyMs) {
      const body = batch()
      for (let taken = false; !taken && !ended;) {
        const { status, ms } = await send(body)
        taken = status === 200
        if (taken) {
          seen.sent.push(...body.events.map(({ id }) => id))
          seen.ms.push(ms)
        } else {
          if (status === 503 || status === 0) seen.away++
          else seen.odd.set(status, (seen.odd.get(status) ?? 0) + 1)
          await sleep(100)
        }
      }
      // Who fell behind does not catch up all at once.
      due = Math.max(due, performance.now() - everyMs)
      await sleep(Math.max(0, due + everyMs - performance.now()))
    }
  })()
  return {
    seen,
    async end() {
      ended = true
      await running
    },
  }
}

export const share = (sorted, part) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0
export const msSaid = (list) => {
  const sorted = [...list].sort((one, other) => one - other)
  return `median ${share(sorted, 0.5).toFixed(0)} ms, p99 ${share(sorted, 0.99).toFixed(0)} ms, longest ${(sorted.at(-1) ?? 0).toFixed(0)} ms`
}

/** A person and jobs in an empty database, and a device of theirs for each phone. */
export async function begun(base, code, count) {
  const ask = async (method, where, body, cookie = '') => {
    const answer = await fetch(`${base}/api${where}`, {
      method,
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    })
    if (answer.status >= 300) throw new Plain(`${method} ${where}: ${answer.status} ${await answer.text()}`)
    return answer
  }
  const came = await ask('POST', `/welcome/${code}`, {
    org: 'Own',
    name: 'Wren',
    login: 'wren',
    password: PASSWORD,
  })
  const cookie = came.headers.get('set-cookie').split(';')[0]
  const said = await fetch(`${base}/api/session`, { headers: { cookie } })
  const { personId } = (await said.json()).person
  const jobs = Array.from({ length: count }, () => randomUUID())
  for (const jobId of jobs) await ask('POST', '/jobs', { jobId, name: 'Long' }, cookie)
  const key = (device) =>
    ask('PUT', '/session/key', { personId, spki: device.spki.toString('base64url') }, cookie)
  return { cookie, personId, jobs, key }
}
/** What is there of what was acknowledged. */
export async function counted(url, jobs, phones) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const { rows } = await client.query('select id from event where job_id = any($1)', [jobs])
  await client.end()
  const there = new Set(rows.map(({ id }) => id))
  const sent = phones.flatMap(({ seen }) => seen.sent)
  return {
    acknowledged: sent.length,
    there: rows.length,
    doubled: rows.length - there.size,
    lost: sent.filter((id) => !there.has(id)).length,
  }
}
