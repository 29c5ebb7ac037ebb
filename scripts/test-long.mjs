import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { nodePackages } from './lib/deps.mjs'
import { Plain, ROOT, endWith, freePort, optionsOf, run, sleep } from './lib/proc.mjs'
import { lineTo, troublesOf } from './lib/troubles.mjs'

/** Under load the server and its database are killed, the line is cut, the disk full, clocks set back: nothing lost, nothing doubled. */
const HELP = `npm run test:long -- [options]
  --kills N    how often something happens: server killed, database killed, line cut, disk full, clocks back, in turn (200)
  --rate N     entries a second, each signed by its device (300)`
const OPTIONS = { kills: { type: 'string', default: '200' }, rate: { type: 'string', default: '300' } }
const [PHONES, BATCH] = [6, 5]
const PASSWORD = 'long-run-of-kills'
/** What is not back by then is not coming. */
const PATIENCE_MS = 60_000

/** A phone that writes batches at its pace, each sent again until it is taken. */
function phone({ base, cookie, personId, job, device, everyMs, clock }) {
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

async function untilHere(base) {
  const began = performance.now()
  for (;;) {
    const is = await fetch(`${base}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
      ({ status }) => status,
      () => 0,
    )
    if (is === 200) return performance.now() - began
    if (performance.now() - began > PATIENCE_MS) throw new Plain('It did not come back.')
    await sleep(25)
  }
}
const share = (sorted, part) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0
const msSaid = (list) => {
  const sorted = [...list].sort((one, other) => one - other)
  return `median ${share(sorted, 0.5).toFixed(0)} ms, p99 ${share(sorted, 0.99).toFixed(0)} ms, longest ${(sorted.at(-1) ?? 0).toFixed(0)} ms`
}

/** A person and jobs in an empty database, and a device of theirs for each phone. */
async function begun(base, code) {
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
  const jobs = Array.from({ length: PHONES / 2 }, () => randomUUID())
  for (const jobId of jobs) await ask('POST', '/jobs', { jobId, name: 'Long' }, cookie)
  const key = (device) =>
    ask('PUT', '/session/key', { personId, spki: device.spki.toString('base64url') }, cookie)
  return { cookie, personId, jobs, key }
}
/** What is there of what was acknowledged. */
async function counted(url, jobs, phones) {
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

/** Everything that is started: database, server, what devices sign with. */
async function started() {
  nodePackages()
  const { buildServer } = await import('./lib/build.mjs')
  const { startPostgres } = await import('./lib/pg.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await buildServer()
  const outfile = path.join(ROOT, 'server/dist/device.mjs')
  const bundle = ['--bundle', '--platform=node', '--format=esm', `--outfile=${outfile}`]
  run('npx', ['esbuild', 'demo/device.ts'].concat(bundle))
  const { signingDevice } = await import(outfile)
  const cluster = await startPostgres({ throwaway: true, mayBeKilled: true })
  const port = await freePort()
  const own = { seed: false, limiter: false, quiet: true, web: false }
  const server = await startServer({ databaseUrl: cluster.url, port, ...own })
  void server.keep()
  const line = await lineTo(port)
  const clock = { backS: 0 }
  // Phones come over the line; whoever looks whether it is there again goes straight to it.
  const [base, far] = [port, line.port].map((at) => `http://127.0.0.1:${at}`)
  return { cluster, server, base, far, line, clock, signingDevice }
}
/** One trouble after another. Gives how long it took each time until all was well again, ms, by what it was. */
async function troubled(all, times, told) {
  const troubles = Object.entries(troublesOf(all))
  const back = new Map(troubles.map(([name]) => [name, []]))
  for (let at = 0; at < times; at++) {
    await sleep(300 + Math.random() * 700)
    const [name, happens] = troubles[at % troubles.length]
    const killed = performance.now()
    await happens()
    const over = performance.now()
    await untilHere(all.base)
    // What is killed is away from then on; else from when it is over.
    back.get(name).push(performance.now() - (name === 'server' ? killed : over))
    if (at % 20 === 19) told(at + 1)
  }
  return back
}
const AFTER = {
  server: 'the server was killed',
  database: 'the database, killed, was there again',
  network: 'the line was whole again',
  full: 'the disk had room again',
  clock: 'clocks of phones were set',
}
/** What came of it, in lines. Gives whether it held. */
function say({ kills, lasted, found, verified, back, phones }) {
  const odd = phones.flatMap(({ seen }) => [...seen.odd])
  const whole = verified.every(({ ok, vouched }) => ok && vouched === 'here')
  const rate = (found.acknowledged / lasted).toFixed(0)
  console.log(`${kills} troubles in ${lasted.toFixed(0)} s, in turn, under ${rate} signed entries a second`)
  console.log(
    `acknowledged ${found.acknowledged}, there ${found.there}, lost ${found.lost}, doubled ${found.doubled}`,
  )
  console.log(`every log holds, with its signatures: ${whole}`)
  for (const [name, list] of back) if (list.length) console.log(`back after ${AFTER[name]}: ${msSaid(list)}`)
  console.log(`an entry that was taken: ${msSaid(phones.flatMap(({ seen }) => seen.ms))}`)
  if (odd.length) console.log(`other answers than 200 and 503: ${JSON.stringify(odd)}`)
  return whole && !found.lost && !found.doubled && !odd.length
}

/** Phones that write while everything is killed again and again. Gives whether all held. */
async function longRun(all, kills, rate) {
  const { base, far, cluster, server, clock } = all
  const { cookie, personId, jobs, key } = await begun(base, server.code)
  const everyMs = (1000 * PHONES * BATCH) / rate
  const phones = []
  for (let at = 0; at < PHONES; at++) {
    const device = all.signingDevice()
    await key(device)
    phones.push(phone({ base: far, cookie, personId, job: jobs[at % jobs.length], device, everyMs, clock }))
  }
  const began = performance.now()
  const back = await troubled(all, kills, (at) =>
    console.log(`${at} of ${kills}, ${phones.flatMap(({ seen }) => seen.sent).length} entries`),
  )
    .then(async (done) => (await sleep(2000), done))
    .finally(() => Promise.all(phones.map((one) => one.end())))
  const lasted = (performance.now() - began) / 1000
  const found = await counted(cluster.url, jobs, phones)
  const verify = (job) =>
    fetch(`${base}/api/jobs/${job}/verify`, { headers: { cookie } }).then((answer) => answer.json())
  const verified = await Promise.all(jobs.map(verify))
  return say({ kills, lasted, found, verified, back, phones })
}

async function main() {
  const options = optionsOf(OPTIONS, HELP)
  if (options.help) return console.log(HELP)
  const [kills, rate] = [Number(options.kills), Number(options.rate)]
  const all = await started()
  try {
    process.exitCode = (await longRun(all, kills, rate)) ? 0 : 1
  } finally {
    all.line.close()
    await all.server.stop()
    await all.cluster.stop()
  }
}
main().catch(endWith)
