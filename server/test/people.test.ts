import { randomUUID } from 'node:crypto'
import bcrypt from 'bcryptjs'
import { firstCode, invite } from '../src/db/invitations.js'
import { ORG, type Harness, harness } from './harness.js'

/** How people come in, what they may, how they go. */
let h: Harness
const PASSWORD = 'reed and gravel'
beforeAll(async () => {
  h = await harness({ people: ['wren', 'teal', 'rook'] })
  for (const login of ['wren', 'teal', 'rook']) await h.signIn(login)
  await h.pool.query(`update person set admin = true where login = 'wren'`)
})
afterAll(() => h.close())

const idOf = async (login: string): Promise<string> => {
  const { rows } = await h.pool.query<{ id: string }>('select person_id as id from person where login = $1', [
    login,
  ])
  return rows[0]?.id ?? ''
}
const invited = async (more: object = {}): Promise<string> => {
  const { status, body } = await h.call('POST', '/people/invitations', { name: 'Smew', ...more })
  expect(status).toBe(201)
  return String(body.token)
}
const comes = (token: string, body: object, as = 'guest') => h.call('POST', `/welcome/${token}`, body, { as })
const smew = { name: 'Smew', login: 'smew', password: PASSWORD }

describe('an invitation', () => {
  it('brings somebody in once, signed in at once, on the job it says', async () => {
    const job = randomUUID()
    await h.call('POST', '/jobs', { jobId: job, name: 'J' })
    const token = await invited({ jobId: job })
    expect((await h.call('GET', `/welcome/${token}`, undefined, { as: 'nobody' })).body).toEqual({
      name: 'Smew',
      org: 'Test',
      login: null,
    })
    expect((await comes(token, smew)).status).toBe(201)
    const { body } = await h.call('GET', '/jobs', undefined, { as: 'guest' })
    expect(body.jobs).toMatchObject([{ jobId: job, role: 'fitter' }])
    expect((await comes(token, { ...smew, login: 'smew2' }, 'late')).body.error?.code).toBe('no-invitation')
    expect((await h.call('GET', '/people', undefined, { as: 'guest' })).status).toBe(403)
    const { audit } = (await h.call('GET', '/people')).body as { audit: { what: string; said: string }[] }
    expect(audit.map(({ what, said }) => `${what} ${said}`)).toEqual(
      expect.arrayContaining(['came Smew', 'invited Smew', 'signed-in 127.0.0.1']),
    )
  })
  it('two who open it at once: one comes in', async () => {
    const token = await invited()
    const both = await Promise.all(
      ['pochard', 'gadwall'].map((login) => comes(token, { ...smew, login }, login)),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([201, 404])
  })
  it('what is missing is named at its field, and the invitation stays good', async () => {
    const token = await invited()
    const fault = async (body: object) =>
      (await comes(token, { ...smew, login: 'dipper', ...body })).body.error
    expect(await fault({ name: ' ' })).toMatchObject({ field: 'name' })
    expect(await fault({ login: 'a b' })).toMatchObject({ field: 'login' })
    expect(await fault({ login: 'wren' })).toMatchObject({ code: 'login-taken', field: 'login' })
    for (const password of [
      'short',
      'dipperdipper'.slice(0, 6),
      'tide-and-pipe',
      'aaaaaaaaaa',
      'x'.repeat(201),
    ])
      expect([password, (await fault({ password }))?.field]).toEqual([password, 'password'])
    expect(await fault({ login: 'goldeneye', password: 'Goldeneye' })).toMatchObject({ field: 'password' })
    expect((await comes(token, { ...smew, login: 'dipper' })).status).toBe(201)
  })
  it('is past after its days, and can be taken back; its token is kept by its hash alone', async () => {
    const token = await invited()
    expect(
      (await h.pool.query('select 1 from invitation where token_hash = $1', [Buffer.from(token)])).rowCount,
    ).toBe(0)
    const { body } = await h.call('GET', '/people')
    const [open] = body.invitations as { key: string }[]
    expect((await h.call('DELETE', `/people/invitations/${open?.key}`)).status).toBe(204)
    expect((await h.call('GET', `/welcome/${token}`)).status).toBe(404)
    const old = await invite(
      h.pool,
      { orgId: ORG, name: 'Late', admin: false, jobId: null, personId: null, by: null },
      h.clock.s - 8 * 86_400,
    )
    expect((await comes(old, smew)).status).toBe(404)
  })
  it('only an administrator invites, and nobody to another firm', async () => {
    expect(
      (await h.call('POST', '/people/invitations', { name: 'X' }, { as: 'teal' })).body.error?.code,
    ).toBe('not-admin')
    const other = await h.call('POST', '/people/invitations', { name: 'X', personId: randomUUID() })
    expect(other.status).toBe(404)
  })
})

describe('who goes', () => {
  it('is signed out everywhere at once, signs in no more, and keeps their name in the record; back again by a word', async () => {
    const teal = await idOf('teal')
    expect((await h.call('PUT', `/people/${teal}`, { left: true })).status).toBe(204)
    expect((await h.call('GET', '/jobs', undefined, { as: 'teal' })).status).toBe(401)
    const tries = await h.call('POST', '/session', { login: 'teal', password: 'tide' }, { as: 'teal' })
    expect(tries.status).toBe(401)
    expect((await h.pool.query('select name from person where person_id = $1', [teal])).rows).toEqual([
      { name: 'teal' },
    ])
    expect((await h.call('PUT', `/people/${teal}`, { left: false })).status).toBe(204)
    await h.signIn('teal')
  })
  it('the last administrator stays one', async () => {
    const wren = await idOf('wren')
    for (const to of [{ left: true }, { admin: false }])
      expect((await h.call('PUT', `/people/${wren}`, to)).body.error?.code).toBe('last-admin')
    const rook = await idOf('rook')
    expect((await h.call('PUT', `/people/${rook}`, { admin: true })).status).toBe(204)
    const both = await Promise.all([
      h.call('PUT', `/people/${wren}`, { admin: false }),
      h.call('PUT', `/people/${rook}`, { admin: false }, { as: 'rook' }),
    ])
    // Whichever comes first; somebody is left.
    expect(both.filter(({ status }) => status === 204)).toHaveLength(1)
    const { rows } = await h.pool.query<{ login: string }>('select login from person where admin')
    expect(rows).toHaveLength(1)
    await h.pool.query(`update person set admin = (login = 'wren')`)
  })
  it('leaving a job ends sight of it, the live stream too; what was written stays under the name', async () => {
    const job = randomUUID()
    await h.call('POST', '/jobs', { jobId: job, name: 'J' })
    await h.call('POST', `/jobs/${job}/members`, { login: 'rook' })
    const live = await fetch(`${h.url}/api/jobs/${job}/live`, { headers: { cookie: h.cookieOf('rook') } })
    const rook = await idOf('rook')
    expect((await h.call('DELETE', `/jobs/${job}/members/${rook}`, undefined, { as: 'teal' })).status).toBe(
      404,
    )
    expect((await h.call('DELETE', `/jobs/${job}/members/${await idOf('wren')}`)).status).toBe(409)
    expect((await h.call('DELETE', `/jobs/${job}/members/${rook}`)).status).toBe(204)
    // Ended by the server: its reader comes to the end.
    expect(await live.text()).toContain('retry')
    expect((await h.call('GET', `/jobs/${job}/events?after=0`, undefined, { as: 'rook' })).status).toBe(404)
    expect((await h.call('GET', '/jobs', undefined, { as: 'rook' })).body.jobs).toEqual([])
    const { body } = await h.call('GET', `/jobs/${job}/members`)
    expect(body.members).toContainEqual({ personId: rook, name: 'rook', role: 'left' })
    await h.call('POST', `/jobs/${job}/members`, { login: 'rook' })
    expect((await h.call('GET', `/jobs/${job}/events?after=0`, undefined, { as: 'rook' })).status).toBe(200)
  })
})

describe('a password', () => {
  it('is changed by who knows it, and everywhere else they are signed out', async () => {
    const elsewhere = await h.call(
      'POST',
      '/session',
      { login: 'teal', password: 'tide' },
      { as: 'teal elsewhere' },
    )
    expect(elsewhere.status).toBe(200)
    const to = (old: string) =>
      h.call('PUT', '/session/password', { old, password: PASSWORD }, { as: 'teal' })
    expect((await to('wrong')).body.error).toMatchObject({ field: 'old' })
    expect((await h.call('GET', '/session/all', undefined, { as: 'teal' })).body.sessions).toHaveLength(2)
    expect((await to('tide')).status).toBe(204)
    expect((await h.call('GET', '/jobs', undefined, { as: 'teal elsewhere' })).status).toBe(401)
    expect((await h.call('GET', '/jobs', undefined, { as: 'teal' })).status).toBe(200)
    expect((await h.call('POST', '/session', { login: 'teal', password: 'tide' }, { as: 'x' })).status).toBe(
      401,
    )
  })
  it('as it was kept before is known still, and kept anew', async () => {
    await h.pool.query(`update person set password_hash = $1 where login = 'rook'`, [
      await bcrypt.hash('tide', 10),
    ])
    await h.signIn('rook')
    const { rows } = await h.pool.query<{ kept: string }>(
      `select password_hash as kept from person where login = 'rook'`,
    )
    expect(rows[0]?.kept).toMatch(/^scrypt\$/)
    await h.signIn('rook')
  })
  it('forgotten, a link of an administrator makes a new one, and every session of the old one ends', async () => {
    const token = await invited({ personId: await idOf('rook') })
    expect((await h.call('GET', `/welcome/${token}`)).body).toMatchObject({ login: 'rook' })
    expect((await comes(token, { password: PASSWORD }, 'rook anew')).status).toBe(201)
    expect((await h.call('GET', '/jobs', undefined, { as: 'rook' })).status).toBe(401)
    expect((await h.call('GET', '/jobs', undefined, { as: 'rook anew' })).status).toBe(200)
  })
  it('sessions are listed, and ended one by one', async () => {
    await h.call(
      'POST',
      '/session',
      { login: 'wren', password: 'tide' },
      { as: 'wren elsewhere', headers: { 'user-agent': 'Tablet' } },
    )
    const { body } = await h.call('GET', '/session/all')
    const all = body.sessions as { key: string; agent: string; here: boolean }[]
    expect(all.filter(({ here }) => here)).toHaveLength(1)
    const tablet = all.find(({ agent }) => agent === 'Tablet')
    expect((await h.call('DELETE', `/session/all/${tablet?.key}`)).status).toBe(204)
    expect((await h.call('GET', '/jobs', undefined, { as: 'wren elsewhere' })).status).toBe(401)
    // Another's session is nothing to end.
    const theirs = (await h.call('GET', '/session/all', undefined, { as: 'teal' })).body.sessions as {
      key: string
    }[]
    await h.call('DELETE', `/session/all/${theirs[0]?.key}`)
    expect((await h.call('GET', '/jobs', undefined, { as: 'teal' })).status).toBe(200)
  })
})

it('the first administrator comes by a code that is printed once more at each start, and then no more', async () => {
  const own = await harness({ people: [] })
  try {
    await own.pool.query('delete from org')
    const old = await firstCode(own.pool, own.clock.s)
    const code = await firstCode(own.pool, own.clock.s)
    expect((await own.call('GET', `/welcome/${old}`)).status).toBe(404)
    expect((await own.call('GET', `/welcome/${code}`)).body).toEqual({ name: '', org: null, login: null })
    expect((await own.call('POST', `/welcome/${code}`, smew)).body.error).toMatchObject({ field: 'org' })
    expect((await own.call('POST', `/welcome/${code}`, { ...smew, org: 'Smew & Co' })).status).toBe(201)
    expect((await own.call('GET', '/people')).body.people).toMatchObject([{ login: 'smew', admin: true }])
    expect(await firstCode(own.pool, own.clock.s)).toBeNull()
    const job = randomUUID()
    expect((await own.call('POST', '/jobs', { jobId: job, name: 'J' })).status).toBe(201)
  } finally {
    await own.close()
  }
})
