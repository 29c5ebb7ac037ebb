import { randomUUID } from 'node:crypto'
import type { JobEvent } from '@jugalis/core'
import {
  blanketReports,
  climateAt,
  headsOf,
  playStandIns,
  probeReports,
  readLog,
  underBlanket,
} from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

let h: Harness
const job = randomUUID()
const NOW = 1_790_000_000
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch([jobSet(), draft('place-set', { placeId: 'p', name: 'P' })]),
  )
  const tool = { toolId: 't', kind: 'press-tool', name: 'PT-2', matches: {} }
  await h.call('POST', `/jobs/${job}/events`, batch([draft('tool-set', tool)]))
})
afterAll(() => h.close())

const put = (d: Record<string, unknown>) => h.call('POST', `/jobs/${job}/devices`, d)
const report = (token: string, reports: unknown[], sentAtDeviceS = NOW) =>
  h.call(
    'POST',
    '/devices/reports',
    { sentAtDeviceS, reports },
    { as: 'nobody', headers: { authorization: `Bearer ${token}` } },
  )
const written = async (deviceId: string): Promise<JobEvent[]> =>
  (await readLog(h.pool, job, 0))
    .map((l) => JSON.parse(l.body) as JobEvent)
    .filter((e) => e.deviceId === deviceId)
const wall = (seq: number, value: number, atDeviceS = NOW - 60) => ({ seq, atDeviceS, what: 'wall', value })

describe('an instrument', () => {
  it('reports with a token of its own; the same report twice is kept once, another under its number refused', async () => {
    const made = await put({ name: 'Probe B', kind: 'probe', placeId: 'p' })
    expect(made.status).toBe(201)
    const { token, deviceId } = made.body as unknown as { token: string; deviceId: string }
    const first = await report(token, [wall(1, 12.5), { ...wall(2, 70), what: 'humidity' }])
    expect(first.status).toBe(200)
    expect((await report(token, [wall(1, 12.5)])).body.seqs).toEqual(
      (first.body.seqs as unknown[]).slice(0, 1),
    )
    expect((await report(token, [wall(1, 13)])).body.error?.code).toBe('id-reused')
    const events = await written(deviceId)
    expect(events.map((e) => [e.kind, e.data.what, e.data.value, e.actorId])).toEqual([
      ['reading', 'wall', 12.5, deviceId],
      ['reading', 'humidity', 70, deviceId],
    ])
    expect(
      ((await h.call('GET', `/jobs/${job}/members`)).body.members as { name: string }[]).map((m) => m.name),
    ).toContain('Probe B')
  })
  it('its clock may be wrong by hours: how long ago it read is right', async () => {
    const { token, deviceId } = (await put({ name: 'Slow', kind: 'probe', placeId: 'p' }))
      .body as unknown as Record<string, string>
    await report(token as string, [wall(1, 9, NOW - 7200 - 300)], NOW - 7200)
    expect((await written(deviceId as string))[0]?.occurredAtS).toBe(NOW - 300)
  })
  it('a forged, cut or ended token is refused, and nothing is written', async () => {
    const { token, deviceId } = (await put({ name: 'X', kind: 'probe', placeId: 'p' })).body as unknown as {
      token: string
      deviceId: string
    }
    const before = (await readLog(h.pool, job, 0)).length
    const [j, d, s] = token.split('.') as [string, string, string]
    const forged = [
      `${j}.${d}.${s.slice(0, -1)}A`,
      `${j}.${randomUUID()}.${s}`,
      `${randomUUID()}.${d}.${s}`,
      'nonsense',
      '',
    ]
    for (const t of forged) {
      const r = await report(t, [wall(1, 9)])
      expect([t.length, r.status, r.body.error?.code]).toEqual([t.length, 401, 'device-token'])
    }
    expect((await h.call('DELETE', `/jobs/${job}/devices/${deviceId}`)).status).toBe(204)
    expect((await report(token, [wall(1, 9)])).status).toBe(401)
    expect((await readLog(h.pool, job, 0)).length).toBe(before)
    const stored = await h.pool.query('select token_hash from device')
    for (const row of stored.rows as { token_hash: Buffer }[])
      expect(row.token_hash.toString()).not.toContain(s)
  })
  it.each([
    [[{ ...wall(1, 12), atDeviceS: NOW + 600 }], 'reports[0].atDeviceS'],
    [[wall(1, 900)], 'reports[0].value'],
    [[{ seq: 1, atDeviceS: NOW, what: 'wall' }], 'reports[0].value'],
    [[{ seq: 1, atDeviceS: NOW, what: 'cycle', result: 'complete' }], 'reports[0].what'],
    [[{ ...wall(1, 12), value: '12' }], 'reports[0].value'],
    [[{ ...wall(1, 12), surprise: 1 }], 'reports[0]'],
    [[], 'reports'],
  ])('bad report %#: a sentence at its field', async (reports, field) => {
    const { token } = (await put({ name: 'B', kind: 'probe', placeId: 'p' })).body as unknown as {
      token: string
    }
    const r = await report(token, reports)
    expect([r.status, r.body.error?.field]).toEqual([422, field])
    expect(r.body.error?.message).toMatch(/\.$/)
  })
  it('is put up and taken down by people of the job only', async () => {
    expect(
      (await h.call('POST', `/jobs/${job}/devices`, { name: 'N', kind: 'probe' }, { as: 'teal' })).status,
    ).toBe(404)
    expect((await put({ name: 'N', kind: 'toaster' })).body.error?.field).toBe('kind')
    expect((await h.call('DELETE', `/jobs/${job}/devices/${randomUUID()}`)).status).toBe(404)
  })
})

describe('a press tool that stands in', () => {
  it('logs a cycle when its trigger is pulled, complete or broken off', async () => {
    const { deviceId } = (await put({ name: 'PT', kind: 'press-tool', toolId: 't', standIn: 'well' }))
      .body as unknown as { deviceId: string }
    expect((await h.call('POST', `/jobs/${job}/devices/${deviceId}/trigger`, {})).status).toBe(201)
    h.clock.s += 30
    expect((await h.call('POST', `/jobs/${job}/devices/${deviceId}/trigger`, { fault: true })).status).toBe(
      201,
    )
    h.clock.s -= 30
    expect((await written(deviceId)).map((e) => [e.kind, e.data.toolId, e.data.result])).toEqual([
      ['tool-said', 't', 'complete'],
      ['tool-said', 't', 'interrupted'],
    ])
  })
  it('a real instrument has no trigger here', async () => {
    const { deviceId } = (await put({ name: 'R', kind: 'press-tool', toolId: 't' })).body as unknown as {
      deviceId: string
    }
    expect((await h.call('POST', `/jobs/${job}/devices/${deviceId}/trigger`, {})).status).toBe(404)
  })
})

describe('stand-in probes', () => {
  const week = Array.from({ length: 7 * 96 }, (_, i) => climateAt(1_700_006_400 + i * 900, 's'))
  const mean = (xs: number[]): number => xs.reduce((a, b) => a + b, 0) / xs.length
  it('play a week that repeats, with one cold night', () => {
    expect(week.map((_, i) => climateAt(1_700_006_400 + i * 900, 's'))).toEqual(week)
    const walls = week.map((c) => c.wallC)
    expect(mean(walls)).toBeGreaterThan(12)
    expect(mean(walls)).toBeLessThan(13.5)
    // Least of each day: one of seven lies some 5 K below all the others.
    const phase = (1_700_006_400 % (7 * 86400)) / 900
    const days = Array.from({ length: 7 }, (_, d) =>
      Math.min(...walls.filter((_, i) => Math.floor(((i + phase + 48) % 672) / 96) === d)),
    ).sort((a, b) => a - b)
    expect(days[0]).toBeLessThan(7)
    expect((days[1] as number) - (days[0] as number)).toBeGreaterThan(3)
    expect((days[6] as number) - (days[1] as number)).toBeLessThan(2.5)
    // The wall follows the air late and less far; a quarter of an hour changes little.
    const spread = (xs: number[]): number => Math.max(...xs) - Math.min(...xs)
    expect(spread(walls)).toBeLessThan(spread(week.map((c) => c.airC)))
    const steps = walls.slice(1).map((w, i) => Math.abs(w - (walls[i] as number)))
    expect(Math.max(...steps)).toBeLessThan(0.8)
    expect(week.every((c) => c.humidityPct > 50 && c.humidityPct <= 100)).toBe(true)
  })
  it('misbehave as instruments do: jumps, hours of silence, stuck', () => {
    const of = (standIn: 'well' | 'jumps' | 'gaps' | 'stuck') =>
      probeReports({ deviceId: 'd', standIn }, NOW - 7 * 86400, NOW).filter((r) => r.what === 'wall')
    const well = of('well')
    expect(well).toHaveLength(2016)
    const jumped = of('jumps').filter((r, i) => (r.value as number) - (well[i]?.value as number) > 39)
    expect(jumped.length).toBeGreaterThan(60)
    expect(jumped.length).toBeLessThan(150)
    expect(of('gaps').length).toBeLessThan(1650)
    expect(new Set(of('stuck').map((r) => r.value)).size).toBeLessThan(10)
  })
  it('a blanket warms its wall and holds it', () => {
    expect(underBlanket(8, 60, 0)).toBe(8)
    expect(underBlanket(8, 60, 1500)).toBeCloseTo(60 - 52 / Math.E, 1)
    const r = blanketReports({ deviceId: 'd' }, NOW, NOW - 9000, NOW + 4 * 3600)
    expect(r.every((x, i) => i === 0 || (x.value as number) >= (r[i - 1]?.value as number))).toBe(true)
    expect(r.at(-1)?.value).toBeGreaterThan(59.9)
  })
  it('a blanket that stands in reports from when it is switched on until it is switched off', async () => {
    const { deviceId } = (
      await put({ name: 'HB', kind: 'heat-blanket', placeId: 'p', toolId: 'hb', standIn: 'well' })
    ).body as unknown as { deviceId: string }
    const heads = headsOf(h.pool)
    const player = playStandIns(h.pool, heads, () => h.clock.s, 1e9)
    const walls = async (): Promise<number> =>
      (await written(deviceId)).filter((e) => e.kind === 'reading').length
    const after = async (seconds: number): Promise<number> => {
      h.clock.s += seconds
      await player.once()
      return walls()
    }
    const pull = (how: Record<string, unknown>) =>
      h.call('POST', `/jobs/${job}/devices/${deviceId}/trigger`, how)
    const began = h.clock.s
    expect(await after(3600)).toBe(0)
    expect((await pull({})).status).toBe(201)
    expect(await after(3600)).toBe(12)
    expect((await pull({ off: true })).status).toBe(201)
    expect(await after(3600)).toBe(12)
    await player.stop()
    heads.stop()
    h.clock.s = began
  })
  it('with two server processes run once; when one goes the other goes on', async () => {
    const { deviceId } = (await put({ name: 'S', kind: 'probe', placeId: 'p', standIn: 'well' }))
      .body as unknown as { deviceId: string }
    const clock = { s: NOW + 6 * 3600 }
    const heads = headsOf(h.pool)
    const [a, b] = [0, 1].map(() => playStandIns(h.pool, heads, () => clock.s, 1e9)) as [
      ReturnType<typeof playStandIns>,
      ReturnType<typeof playStandIns>,
    ]
    await Promise.all([a.once(), b.once()])
    const count = async (): Promise<number> => (await written(deviceId)).length
    expect(await count()).toBe(72 * 3)
    clock.s += 3600
    const said = await Promise.all([a.once(), b.once()])
    expect(said.filter((n) => n > 0)).toHaveLength(1)
    expect(await count()).toBe(84 * 3)
    await a.stop()
    clock.s += 900
    await b.once()
    await b.once()
    expect(await count()).toBe(87 * 3)
    await b.stop()
    heads.stop()
  })
})
