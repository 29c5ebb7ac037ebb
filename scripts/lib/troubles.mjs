import net from 'node:net'
import { freePort, sleep } from './proc.mjs'

/** How long a line is cut, or a disk is full, ms. */
const LASTS_MS = 800
/** A clock that is set back in mid work is a day behind, s. */
const BACK_S = 86_400

/** A line to a port that can be cut: what is on its way is lost, an answer to what was written too. */
export async function lineTo(target) {
  const open = new Set()
  let cut = false
  const server = net.createServer((near) => {
    if (cut) return near.destroy()
    const far = net.connect(target, '127.0.0.1')
    const both = [near, far]
    open.add(both)
    const end = () => {
      open.delete(both)
      for (const one of both) one.destroy()
    }
    for (const one of both) one.on('error', end).on('close', end)
    near.pipe(far)
    far.pipe(near)
  })
  const port = await freePort()
  await new Promise((done) => server.listen(port, '127.0.0.1', done))
  const breakAll = () => {
    for (const both of [...open]) for (const one of both) one.destroy()
  }
  return {
    port,
    async cutFor(ms) {
      cut = true
      breakAll()
      await sleep(ms)
      cut = false
    },
    close() {
      server.close()
      breakAll()
    },
  }
}

/** As good as a full disk: the database refuses every entry as it does then (SQLSTATE 53100). */
async function full(url, ms) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    await client.query(
      `create or replace function no_room() returns trigger language plpgsql as $$
       begin raise exception 'no space left on device' using errcode = '53100'; end $$`,
    )
    await client.query(
      'create trigger no_room before insert on event for each statement execute function no_room()',
    )
    await sleep(ms)
    await client.query('drop trigger no_room on event')
  } finally {
    await client.end()
  }
}

/**
 * What may happen to a site, one after the other. Each lasts a moment and is over when its promise is done; what was killed
 * is started again by whoever keeps it.
 * @param clock what phones go by: `backS` is how far theirs are behind.
 */
export const troublesOf = ({ cluster, server, line, clock }) => ({
  server: async () => void process.kill(server.pid(), 'SIGKILL'),
  database: async () => {
    process.kill(cluster.pid(), 'SIGKILL')
    await sleep(100)
    await cluster.again()
  },
  network: () => line.cutFor(LASTS_MS),
  full: () => full(cluster.url, LASTS_MS),
  clock: async () => {
    clock.backS = clock.backS ? 0 : BACK_S
    await sleep(LASTS_MS)
  },
})
