import { type Answer, type Harness, harness } from './harness.js'
import { softKey } from './soft-key.js'

/** Signing in with a key that never leaves its device. */
let h: Harness
let key: ReturnType<typeof softKey>
beforeAll(async () => {
  h = await harness({ people: ['wren', 'teal'] })
  await h.signIn('wren')
  await h.signIn('teal')
  key = softKey({ origin: h.url, rpId: '127.0.0.1' })
})
afterAll(() => h.close())

interface Options {
  challenge: string
}
const optionsOf = ({ body }: Answer): Options => body.options as Options
const begin = (as: string, password = 'tide') =>
  h.call('POST', '/session/passkeys/begin', { password }, { as })
const put = (as: string, answer: object, name = 'Phone') =>
  h.call('POST', '/session/passkeys', { name, answer }, { as })
/** A browser that nobody is signed in on. */
let strangers = 0
const stranger = (): string => `stranger ${++strangers}`
const askedAs = async (as: string): Promise<Options> => {
  const answer = await h.call('POST', '/session/passkey/begin', undefined, { as })
  expect(answer.status).toBe(200)
  return optionsOf(answer)
}
const comeAs = (as: string, answer: object) => h.call('POST', '/session/passkey', { answer }, { as })
const whoIs = async (as: string): Promise<string | null> =>
  ((await h.call('GET', '/session', undefined, { as })).body.person as { name: string } | null)?.name ?? null
const refused = async (answer: Promise<Answer>, code = 'wrong-passkey'): Promise<void> =>
  expect((await answer).body.error?.code).toBe(code)

describe('a passkey is put on', () => {
  it('by who says their password again, and for what this server asked', async () => {
    expect(
      (await h.call('POST', '/session/passkeys/begin', { password: 'tide' }, { as: stranger() })).status,
    ).toBe(401)
    expect((await begin('wren', 'wrong')).body.error).toMatchObject({ field: 'password' })
    await refused(put('wren', key.made({ challenge: 'c' })), 'asked-too-long-ago')
    const options = optionsOf(await begin('wren'))
    await refused(put('wren', key.made(options, 'https://elsewhere.example')))
    await refused(
      put('wren', key.made({ challenge: optionsOf(await begin('wren')).challenge.toUpperCase() })),
    )
    const asked = optionsOf(await begin('wren'))
    h.clock.s += 301
    await refused(put('wren', key.made(asked)), 'asked-too-long-ago')
    expect((await put('wren', key.made(optionsOf(await begin('wren'))))).status).toBe(201)
    const { body } = await h.call('GET', '/session/passkeys')
    expect(body.passkeys).toMatchObject([{ key: key.id, name: 'Phone', usedAtS: null }])
  })
  it('once, and for one person', async () => {
    await refused(put('teal', key.made(optionsOf(await begin('teal')))))
    const takeAway = h.call('DELETE', `/session/passkeys/${key.id}`, undefined, { as: 'teal' })
    expect((await takeAway).status).toBe(204)
    // Nothing of another's is touched by it.
    expect((await h.call('GET', '/session/passkeys')).body.passkeys).toHaveLength(1)
  })
})

describe('a passkey signs in', () => {
  it('who it is of, without a password, and it is written down', async () => {
    const as = stranger()
    const answer = key.signed(await askedAs(as))
    expect((await comeAs(as, answer)).body.person).toMatchObject({ name: 'wren' })
    expect(await whoIs(as)).toBe('wren')
    // What was answered once is answered.
    await refused(comeAs(stranger(), answer), 'asked-too-long-ago')
    const { rows } = await h.pool.query<{ what: string }>('select what from audit order by at desc, what')
    expect(rows.map(({ what }) => what)).toContain('passkey-added')
    const { body } = await h.call('GET', '/session/passkeys')
    expect(body.passkeys).toMatchObject([{ usedAtS: h.clock.s }])
  })
  it.each([
    ['from a page elsewhere', (asked: Options) => key.signed(asked, { from: 'https://elsewhere.example' })],
    ['for another question', () => key.signed({ challenge: 'c'.repeat(43) })],
    ['by a device that did not look who holds it', (asked: Options) => key.signed(asked, { flags: 0x01 })],
    [
      'by a key that nobody put on',
      (asked: Options) => softKey({ origin: h.url, rpId: '127.0.0.1' }).signed(asked),
    ],
    [
      'under the name of a key, by another',
      (asked: Options) => ({
        ...softKey({ origin: h.url, rpId: '127.0.0.1' }).signed(asked),
        id: key.id,
        rawId: key.id,
      }),
    ],
    [
      'for another server',
      (asked: Options) => ({
        ...softKey({ origin: h.url, rpId: 'elsewhere.example' }).signed(asked),
        id: key.id,
        rawId: key.id,
      }),
    ],
    ['without anything in it', () => ({ id: key.id, response: {} })],
  ])('not %s', async (_how, answer) => {
    const as = stranger()
    await refused(comeAs(as, answer(await askedAs(as))))
    expect(await whoIs(as)).toBeNull()
  })
  it('not when its count goes back: then there are two of it', async () => {
    key.countFrom(0)
    const as = stranger()
    await refused(comeAs(as, key.signed(await askedAs(as))))
    key.countFrom(100)
    expect((await comeAs(as, key.signed(await askedAs(as)))).status).toBe(200)
  })
  it('not whoever was let go, nor with a key that was taken away', async () => {
    await h.pool.query(`update person set left_at = now() where login = 'wren'`)
    const as = stranger()
    await refused(comeAs(as, key.signed(await askedAs(as))))
    await h.pool.query(`update person set left_at = null where login = 'wren'`)
    expect((await h.call('DELETE', `/session/passkeys/${key.id}`)).status).toBe(204)
    await refused(comeAs(as, key.signed(await askedAs(as))))
    expect(await whoIs(as)).toBeNull()
  })
})
