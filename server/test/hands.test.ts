import { jest } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import { pinFault } from '../src/passwords.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

/** A device that goes from hand to hand: one password a day, a PIN for each who works on it. */
let h: Harness
const ids = new Map<string, string>()
const job = randomUUID()
jest.setTimeout(60_000)
beforeAll(async () => {
  h = await harness({ people: ['wren', 'teal', 'rook'] })
  for (const who of ['wren', 'teal', 'rook']) {
    await h.signIn(who)
    const { body } = await h.call('GET', '/session', undefined, { as: who })
    ids.set(who, (body as unknown as { person: { personId: string } }).person.personId)
  }
  expect((await h.call('POST', '/jobs', { jobId: job, name: 'J' })).status).toBe(201)
  expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))).status).toBe(200)
  expect((await h.call('POST', `/jobs/${job}/members`, { login: 'teal' })).status).toBe(201)
})
afterAll(() => h.close())

const setPin = (who: string, pin: string, password = 'tide') =>
  h.call('PUT', '/session/pin', { password, pin }, { as: who })
/** On the device that Wren signed in on. */
const take = (who: string, pin: string) => h.call('POST', '/session/hands', { personId: ids.get(who), pin })
const worker = async (): Promise<string> =>
  ((await h.call('GET', '/session')).body as unknown as { person: { name: string } }).person.name

describe('a PIN', () => {
  it.each([
    ['123', 'digits'],
    ['123456789', 'digits'],
    ['12a4', 'digits'],
    ['1111', 'plain'],
    ['2345', 'plain'],
    ['8765', 'plain'],
    ['2468', null],
    ['190724', null],
  ])('%s: %p', (pin, fault) => expect(pinFault(pin)).toBe(fault))
  it('is set with the password, and not a plain one', async () => {
    expect((await setPin('teal', '4821', 'wrong')).body.error).toMatchObject({ field: 'password' })
    expect((await setPin('teal', '4444')).body.error).toMatchObject({ code: 'weak-pin', field: 'pin' })
    expect((await setPin('teal', '4821')).status).toBe(204)
    const { rows } = await h.pool.query<{ pin: string }>(
      'select pin_hash as pin from person where login = $1',
      ['teal'],
    )
    expect(rows[0]?.pin).toMatch(/^scrypt\$/)
  })
})
describe('taking a device over', () => {
  it('wants a PIN of who lends it, and the right one of who takes it', async () => {
    expect((await take('teal', '4821')).body.error?.code).toBe('no-own-pin')
    expect((await setPin('wren', '7310')).status).toBe(204)
    expect((await take('teal', '4822')).body.error).toMatchObject({ code: 'wrong-pin', field: 'pin' })
    expect((await take('rook', '0000')).body.error?.code).toBe('wrong-pin')
    expect(await worker()).toBe('wren')
    const hands = await h.call('GET', '/session/hands')
    expect(hands.body).toMatchObject({ people: [{ name: 'teal' }], pin: true, guest: false })
    expect((await take('teal', '4821')).status).toBe(200)
    expect(await worker()).toBe('teal')
  })
  it('what is written then is theirs; people, passwords and PINs are not', async () => {
    const place = draft('place-set', { placeId: randomUUID(), name: 'Loft' })
    expect((await h.call('POST', `/jobs/${job}/events`, batch([place]))).status).toBe(200)
    const { rows } = await h.pool.query<{ by: string }>('select actor_id as by from event where id = $1', [
      place.id,
    ])
    expect(rows[0]?.by).toBe(ids.get('teal'))
    for (const [method, where, body] of [
      ['PUT', '/session/password', { old: 'tide', password: 'reed and gravel' }],
      ['PUT', '/session/pin', { password: 'tide', pin: '5927' }],
      ['DELETE', '/session/pin', undefined],
      ['DELETE', '/session/all/others', undefined],
      ['GET', '/people', undefined],
    ] as const)
      expect([where, (await h.call(method, where, body)).body.error?.code]).toEqual([
        where,
        'only-with-password',
      ])
  })
  it('goes back by the PIN of who signed in, and not a day later', async () => {
    expect((await take('wren', '1357')).body.error?.code).toBe('wrong-pin')
    expect((await take('wren', '7310')).status).toBe(200)
    expect(await worker()).toBe('wren')
    h.clock.s += 86_401
    expect((await take('teal', '4821')).body.error?.code).toBe('sign-in-anew')
    h.clock.s -= 86_401
  })
  it('ends where who signed in is let go', async () => {
    expect((await take('teal', '4821')).status).toBe(200)
    await h.pool.query('update person set admin = true where login = $1', ['rook'])
    const gone = await h.call('PUT', `/people/${ids.get('wren')}`, { left: true }, { as: 'rook' })
    expect(gone.status).toBe(204)
    expect((await h.call('GET', `/jobs/${job}/events?after=0`)).status).toBe(401)
  })
})
