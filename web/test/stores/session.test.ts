import { nextTick } from 'vue'
import { device, heardFromOtherTab, newPage, reload, server, settled } from './browser'

const { Refused, NoSignal } = await import('../../src/api')
const { usePrefs } = await import('../../src/stores/prefs')
const { useSession } = await import('../../src/stores/session')

const WREN = { personId: 'p-wren', name: 'Wren', orgId: 'o' }
const TEAL = { personId: 'p-teal', name: 'Teal', orgId: 'o' }
const KEPT = 'jugalis-person'
beforeEach(() => {
  for (const key of [KEPT, 'jugalis-signed-out', 'jugalis-prefs']) device.removeItem(key)
  reload.mockClear()
  newPage()
})
const refused = (status: number): Error => new Refused(status, 'x', 'no', null, [])

describe('who is here', () => {
  it('a person this device remembers is let in before the server answers', async () => {
    device.setItem(KEPT, JSON.stringify(WREN))
    const at = server()
    let answer = (_: object): void => undefined
    at.answers('GET /session', () => new Promise((done) => (answer = done as never)))
    const session = useSession()
    await session.ask()
    expect([session.person?.name, session.lapsed]).toEqual(['Wren', false])
    answer({ body: { person: null } })
    await settled()
    expect([session.person?.name, session.lapsed]).toEqual(['Wren', true])
  })
  it('nobody remembered: the answer is waited for', async () => {
    server().answers('GET /session', { body: { person: TEAL } })
    const session = useSession()
    await session.ask()
    expect(session.person?.name).toBe('Teal')
    expect(JSON.parse(device.getItem(KEPT) ?? 'null')).toEqual(TEAL)
  })
  it('somebody else has signed in since: the page is loaded anew', async () => {
    device.setItem(KEPT, JSON.stringify(WREN))
    server().answers('GET /session', { body: { person: TEAL } })
    await useSession().ask()
    await settled()
    expect(reload).toHaveBeenCalledTimes(1)
  })
  it('without signal the last person goes on, and is not said to be signed out', async () => {
    device.setItem(KEPT, JSON.stringify(WREN))
    server().answers('GET /session', 'no signal')
    const session = useSession()
    await session.ask()
    await settled()
    expect([session.person?.name, session.lapsed]).toEqual(['Wren', false])
  })
  it.each(['no json', '{"personId":5,"name":"x"}'])('%s is nobody', async (kept) => {
    device.setItem(KEPT, kept)
    server().answers('GET /session', { body: { person: null } })
    const session = useSession()
    await session.ask()
    expect(session.person).toBeNull()
  })
  it('only an answer about the session says whether it has lapsed', () => {
    const session = useSession()
    session.heard(refused(401))
    expect(session.lapsed).toBe(true)
    // Refused for another reason, or not heard at all: nothing new about who is here.
    for (const other of [refused(500), refused(404), refused(422), new NoSignal()]) session.heard(other)
    expect(session.lapsed).toBe(true)
    session.heard()
    expect(session.lapsed).toBe(false)
  })
  it('another tab signed in as somebody else: loaded anew; the same person again: not', async () => {
    server().answers('POST /session', { body: { person: WREN } })
    await useSession().signIn('wren', 'x')
    heardFromOtherTab(KEPT)
    expect(reload).not.toHaveBeenCalled()
    device.setItem(KEPT, JSON.stringify(TEAL))
    heardFromOtherTab('something else')
    expect(reload).not.toHaveBeenCalled()
    heardFromOtherTab(KEPT)
    expect(reload).toHaveBeenCalled()
  })
})

describe('signing out', () => {
  it('without signal it holds at once; the server is told before it is asked again', async () => {
    const at = server()
    at.answers('POST /session', { body: { person: WREN } })
    at.answers('DELETE /session', 'no signal')
    const session = useSession()
    await session.signIn('wren', 'x')
    await session.signOut()
    expect([session.person, device.getItem(KEPT)]).toEqual([null, null])
    newPage()
    at.answers('DELETE /session', { status: 204 })
    at.answers('GET /session', { body: { person: null } })
    at.asked.length = 0
    await useSession().ask()
    expect(at.asked.map((a) => `${a.method} ${a.path}`)).toEqual(['DELETE /session', 'GET /session'])
    expect(device.getItem('jugalis-signed-out')).toBeNull()
  })
})

describe('the choices of a person', () => {
  it('are read when they come, and kept in order as they change', async () => {
    const at = server()
    at.answers('POST /session', { body: { person: WREN } })
    at.answers('GET /session/settings', { body: { settings: { hours: 12, own: { length: 'inch' } } } })
    const waiting: (() => void)[] = []
    at.answers(
      'PUT /session/settings',
      () => new Promise((done) => waiting.push(() => done({ status: 204 }))),
    )
    const { prefs } = usePrefs()
    await useSession().signIn('wren', 'x')
    await settled()
    expect([prefs.hours, prefs.own, prefs.decimal]).toEqual([12, { length: 'inch' }, 'device'])
    // What was only just read is not sent back.
    expect(at.count('PUT')).toBe(0)
    prefs.decimal = ','
    await nextTick()
    prefs.decimal = '.'
    await nextTick()
    await settled()
    // The second is sent when the first has been answered: the last one is what is kept.
    expect(at.count('PUT')).toBe(1)
    while (waiting.length) {
      waiting.shift()?.()
      await settled()
    }
    const kept = at.asked
      .filter((a) => a.method === 'PUT')
      .map((a) => (a.body as { decimal: string }).decimal)
    expect(kept).toEqual([',', '.'])
  })
  it('what was chosen before they could be read is not sent over them', async () => {
    const at = server()
    at.answers('POST /session', { body: { person: WREN } })
    at.answers('GET /session/settings', 'no signal')
    await useSession().signIn('wren', 'x')
    await settled()
    usePrefs().prefs.decimal = ','
    await nextTick()
    await settled()
    expect(at.count('PUT')).toBe(0)
  })
})
