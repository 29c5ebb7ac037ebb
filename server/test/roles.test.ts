import { randomUUID } from 'node:crypto'
import { KINDS, ROLES, mayWrite } from '@jugalis/core'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

/** Every role at every door of a job: what is no part of theirs is refused, and nothing of it is kept. */
let h: Harness
let job = ''
const ids = new Map<string, string>()
const others = ROLES.filter((role) => role !== 'owner')
const give = (who: string, role: string, as: string) =>
  h.call('POST', `/jobs/${job}/events`, batch([draft('role-given', { personId: ids.get(who), role })]), {
    as,
  })

beforeAll(async () => {
  h = await harness({ people: [...ROLES] })
  for (const login of ROLES) await h.signIn(login)
  job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'J' }, { as: 'owner' })
  await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]), { as: 'owner' })
  for (const login of others) await h.call('POST', `/jobs/${job}/members`, { login }, { as: 'owner' })
  const { rows } = await h.pool.query<{ id: string; login: string }>(
    'select person_id as id, login from person',
  )
  for (const { id, login } of rows) ids.set(login, id)
  for (const role of others) if (role !== 'fitter') expect((await give(role, role, 'owner')).status).toBe(200)
})
afterAll(() => h.close())

const eventsOf = async (): Promise<number> => {
  const { rows } = await h.pool.query<{ n: string }>('select count(*) as n from event where job_id = $1', [
    job,
  ])
  return Number(rows[0]?.n)
}

describe.each(ROLES)('%s', (role) => {
  it.each(Object.keys(KINDS))('%s: only where it is part of the work', async (kind) => {
    // Nothing in it: whoever may is told what is missing, whoever may not is told that.
    const before = await eventsOf()
    const empty = { ...draft(kind, {}), v: KINDS[kind]?.v, jointId: null }
    const { status, body } = await h.call('POST', `/jobs/${job}/events`, batch([empty]), { as: role })
    if (mayWrite(role, kind)) expect(body.error?.code).not.toBe('not-your-part')
    else {
      expect([status, body.error?.code, body.error?.field]).toEqual([403, 'not-your-part', 'events[0]'])
      expect(await eventsOf()).toBe(before)
    }
    expect(status).toBeLessThan(500)
  })
  it('reads everything', async () => {
    for (const path of ['events', 'members', 'verify', 'export.json', 'log.csv', 'entries.csv', 'devices'])
      expect((await h.call('GET', `/jobs/${job}/${path}`, undefined, { as: role })).status).toBe(200)
  })
  const DOORS: readonly [method: 'POST' | 'PUT' | 'DELETE', path: string, who: readonly string[]][] = [
    ['POST', 'members', ['owner', 'charge-hand']],
    ['DELETE', `members/${randomUUID()}`, ['owner', 'charge-hand']],
    ['POST', 'devices', ['owner', 'charge-hand', 'fitter']],
    ['DELETE', `devices/${randomUUID()}`, ['owner', 'charge-hand', 'fitter']],
    ['POST', `devices/${randomUUID()}/trigger`, ['owner', 'charge-hand', 'fitter', 'apprentice', 'tester']],
    ['PUT', `photos/${'a'.repeat(64)}`, ['owner', 'charge-hand', 'fitter', 'apprentice']],
    ['PUT', 'away', ['owner']],
    ['PUT', 'owner', ['owner']],
  ]
  it.each(DOORS)('%s %s', async (method, path, who) => {
    const { status } = await h.call(method, `/jobs/${job}/${path}`, {}, { as: role })
    // Nothing was sent: whoever may is refused for that, and not for who they are.
    if (who.includes(role)) expect([404, 409, 422]).toContain(status)
    else expect(status).toBe(403)
  })
})

describe('a role', () => {
  it('holds from the moment it is given, for the next entry of the same person', async () => {
    const reading = () =>
      batch([
        draft('reading', {
          placeId: randomUUID(),
          what: 'wall',
          basis: 'typed',
          atS: 1_790_000_000,
          value: 12,
        }),
      ])
    const read = () => h.call('POST', `/jobs/${job}/events`, reading(), { as: 'fitter' })
    expect((await read()).status).toBe(200)
    expect((await give('fitter', 'reader', 'charge-hand')).status).toBe(200)
    expect((await read()).body.error?.code).toBe('not-your-part')
    const { body } = await h.call('GET', `/jobs/${job}/members`, undefined, { as: 'reader' })
    expect(body.members).toContainEqual(
      expect.objectContaining({ personId: ids.get('fitter'), role: 'reader' }),
    )
    expect((await give('fitter', 'fitter', 'charge-hand')).status).toBe(200)
    expect((await read()).status).toBe(200)
  })
  it('is not given upwards, to oneself, or to who is not on the job', async () => {
    for (const [who, role, as] of [
      ['fitter', 'charge-hand', 'charge-hand'],
      ['charge-hand', 'reader', 'charge-hand'],
      ['owner', 'reader', 'charge-hand'],
      ['owner', 'reader', 'owner'],
    ] as const)
      expect((await give(who, role, as)).body.error?.code).toBe('not-your-role')
    ids.set('stranger', randomUUID())
    expect((await give('stranger', 'fitter', 'owner')).body.error?.code).toBe('not-your-role')
  })
  it('who corrects at all corrects what an instrument wrote, and not what another wrote', async () => {
    const probe = { name: 'Probe', kind: 'probe', placeId: randomUUID() }
    const made = await h.call('POST', `/jobs/${job}/devices`, probe, { as: 'owner' })
    expect(made.status).toBe(201)
    const at = { placeId: randomUUID(), what: 'wall', basis: 'measured', atS: 1_790_000_000, value: 3 }
    const target = draft('reading', at)
    await h.call('POST', `/jobs/${job}/events`, batch([target]), { as: 'owner' })
    const undo = () => batch([draft('correction', { target: target.id, undo: true })])
    const send = () => h.call('POST', `/jobs/${job}/events`, undo(), { as: 'fitter' })
    expect((await send()).body.error?.code).toBe('not-yours')
    // The same entry, had the instrument written it.
    await h.pool.query('update event set actor_id = $2 where job_id = $1 and id = $3', [
      job,
      made.body.deviceId,
      target.id,
    ])
    expect((await send()).status).toBe(200)
  })
  it('what another wrote is proposed to be wrong; its author accepts, another fitter does not answer for them', async () => {
    const target = draft('place-set', { placeId: randomUUID(), name: 'Loft' })
    const put = (as: string, ...drafts: ReturnType<typeof draft>[]) =>
      h.call('POST', `/jobs/${job}/events`, batch(drafts), { as })
    expect((await put('charge-hand', target)).status).toBe(200)
    const proposed = draft('correction-proposed', { target: target.id, undo: true, reason: 'no loft here' })
    expect((await put('fitter', proposed)).status).toBe(200)
    const declined = () => draft('proposal-declined', { proposalId: proposed.id, note: 'there is' })
    expect((await put('tester', declined())).body.error?.code).toBe('not-yours')
    const accepted = draft('correction', { target: target.id, undo: true, proposalId: proposed.id })
    expect((await put('tester', accepted)).body.error?.code).toBe('not-yours')
    expect((await put('charge-hand', accepted)).status).toBe(200)
    // In one batch too the proposal is known to what answers it.
    const own = draft('correction-proposed', { target: target.id, undo: true, reason: 'again' })
    const letGo = draft('proposal-declined', { proposalId: own.id })
    expect((await put('fitter', own, letGo)).status).toBe(200)
  })
  it('a charge-hand takes off whoever they lead, not who leads', async () => {
    const off = (who: string) =>
      h.call('DELETE', `/jobs/${job}/members/${ids.get(who)}`, undefined, { as: 'charge-hand' })
    expect((await off('owner')).status).toBe(403)
    expect((await off('reader')).status).toBe(204)
    const seen = await h.call('GET', `/jobs/${job}/events`, undefined, { as: 'reader' })
    expect(seen.status).toBe(404)
  })
})
