import { nodePackages } from './lib/deps.mjs'
import { BATCH, begun, counted, devices, msSaid, phone } from './lib/phones.mjs'
import { Plain, endWith, freePort, optionsOf, sleep } from './lib/proc.mjs'
import { lineTo, troublesOf } from './lib/troubles.mjs'

/** Under load the server and its database are killed, the line is cut, the disk full, clocks set back: nothing lost, nothing doubled. */
const HELP = `npm run test:long -- [options]
  --kills N    how often something happens: server killed, database killed, line cut, disk full, clocks back, in turn (200)
  --rate N     entries a second, each signed by its device (300)`
const OPTIONS = { kills: { type: 'string', default: '200' }, rate: { type: 'string', default: '300' } }
const PHONES = 6
/** What is not back by then is not coming. */
const PATIENCE_MS = 60_000

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
/** Everything that is started: database, server, what devices sign with. */
async function started() {
  nodePackages()
  const { buildServer } = await import('./lib/build.mjs')
  const { startPostgres } = await import('./lib/pg.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await buildServer()
  const signingDevice = await devices()
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
  const { cookie, personId, jobs, key } = await begun(base, server.code, PHONES / 2)
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
