import { rmSync } from 'node:fs'
import { open } from 'node:fs/promises'
import http from 'node:http'
import path from 'node:path'
import { begun, counted, devices, msSaid, phone } from './lib/phones.mjs'
import { freePort, sleep } from './lib/proc.mjs'

/** npm run bench -- append: entries that come in, with the disk's own sync, signatures on, two servers over one database. */
const [RATE, LASTS_S, MANY] = [300, 120, 50]
const SERVERS = 2
/** Into ten jobs at once, against a handler that does nothing; and one after another from one who does not wait. */
const [JOBS, COUNT] = [10, 3000]

const median = (list) => [...list].sort((one, other) => one - other)[list.length >> 1]
/** What one sync of a small write costs on this disk, ms. */
async function syncMs(folder) {
  const file = await open(path.join(folder, 'sync'), 'w')
  const took = []
  for (let i = 0; i < 200; i++) {
    const began = performance.now()
    await file.write('x'.repeat(512), i * 512)
    await file.datasync()
    took.push(performance.now() - began)
  }
  await file.close()
  rmSync(path.join(folder, 'sync'))
  return median(took)
}

/** Phones on both servers, so many entries a second for so long. */
async function steady({ bases, cookie, personId, key, url, signingDevice }, jobs, row) {
  const phones = Array.from({ length: 20 }, (_, at) => ({ at, device: signingDevice() }))
  for (const { device } of phones) await key(device)
  const everyMs = (1000 * phones.length * 5) / RATE
  const running = []
  for (const { at, device } of phones) {
    const own = { base: bases[at % SERVERS], cookie, personId, job: jobs[at % jobs.length], device, everyMs }
    running.push(phone(own))
    await sleep(everyMs / phones.length)
  }
  await sleep(LASTS_S * 1000)
  for (const one of running) await one.end()
  const found = await counted(url, jobs, running)
  const verified = await Promise.all(
    jobs.map(async (job) =>
      (await fetch(`${bases[0]}/api/jobs/${job}/verify`, { headers: { cookie } })).json(),
    ),
  )
  const hold = verified.every(({ ok, seq, vouched }) => ok && (!seq || vouched === 'here'))
  const took = running.flatMap(({ seen }) => seen.ms)
  const inJobs = jobs.length === 1 ? 'one job' : `${jobs.length} jobs`
  row(
    `${RATE} signed entries a second for ${LASTS_S} s into ${inJobs}, ${SERVERS} servers, the disk's own sync`,
    `${Math.round(found.acknowledged / LASTS_S)} a second; ${msSaid(took)}; lost ${found.lost}, doubled ${found.doubled}; ${hold ? 'all logs hold' : 'A LOG DOES NOT HOLD'}`,
    'p99 250 ms, none lost',
  )
}

/** As many as go, without signatures: what the way itself costs. */
async function fullSpeed({ bases, cookie }, jobs, row) {
  const agent = new http.Agent({ keepAlive: true, maxSockets: 32 })
  const { randomUUID } = await import('node:crypto')
  const ask = (where, body) =>
    new Promise((done, fail) => {
      const headers = {
        'content-type': 'application/json',
        'content-length': Buffer.byteLength(body),
        cookie,
      }
      const request = http.request(`${bases[0]}/api${where}`, { method: 'POST', agent, headers }, (answer) =>
        answer
          .on('data', () => {})
          .on('end', () => (answer.statusCode === 200 ? done() : fail(new Error(`${answer.statusCode}`)))),
      )
      request.on('error', fail)
      request.end(body)
    })
  const writers = (count) => Array.from({ length: count }, () => ({ deviceId: randomUUID(), deviceSeq: 0 }))
  const bodyOf = (writer) => {
    const nowS = Date.now() / 1000
    const data = { placeId: randomUUID(), name: 'P' }
    const event = {
      id: randomUUID(),
      kind: 'place-set',
      v: 1,
      jointId: null,
      atDeviceS: nowS,
      after: [],
      data,
    }
    const events = [{ ...event, deviceSeq: ++writer.deviceSeq }]
    return JSON.stringify({ deviceId: writer.deviceId, sentAtDeviceS: nowS, clockErrorS: 0, events })
  }
  const rate = async (whereOf, count) => {
    let left = COUNT
    const began = performance.now()
    await Promise.all(
      writers(count).map(async (writer, at) => {
        while (left-- > 0) await ask(whereOf(at), bodyOf(writer))
      }),
    )
    return (COUNT * 1000) / (performance.now() - began)
  }
  const into = (at) => `/jobs/${jobs[at % JOBS]}/events`
  await rate(into, JOBS)
  const empty = await rate(() => '/yardstick', JOBS)
  const ten = await rate(into, JOBS)
  const one = await rate(() => into(0), 1)
  const crowd = await rate(() => into(0), 30)
  agent.destroy()
  row(
    `Entries into ${JOBS} jobs at once, against a handler that reads and does nothing`,
    `${(ten / empty).toFixed(2)} of its rate (${Math.round(ten)} of ${Math.round(empty)} a second)`,
    '0.3',
  )
  row(
    'Entries of one who waits for each answer; of 30 into one job',
    `${Math.round(one)}; ${Math.round(crowd)} a second`,
    '400',
  )
}

export async function appends(row) {
  const { startPostgres } = await import('./lib/pg.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  const cluster = await startPostgres({ name: 'bench', fresh: true })
  const servers = []
  try {
    const bases = []
    for (let at = 0; at < SERVERS; at++) {
      const port = await freePort()
      const own = { seed: false, limiter: false, quiet: true, web: false, yardstick: true }
      servers.push(await startServer({ databaseUrl: cluster.url, port, ...own }))
      bases.push(`http://127.0.0.1:${port}`)
    }
    const signingDevice = await devices()
    const all = {
      ...(await begun(bases[0], servers.at(-1).code, MANY + JOBS + 1)),
      bases,
      url: cluster.url,
      signingDevice,
    }
    const [first, ...others] = all.jobs
    const [quick, many] = [others.slice(0, JOBS), others.slice(JOBS)]
    row("The disk's own sync of 512 bytes, beside it", `median ${(await syncMs('.')).toFixed(1)} ms`, '-')
    await fullSpeed(all, quick, row)
    await steady(all, [first], row)
    await steady(all, many, row)
  } finally {
    for (const server of servers) await server.stop()
    await cluster.stop()
  }
}
