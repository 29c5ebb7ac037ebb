import { randomUUID } from 'node:crypto'
import { type Harness, batch, harness, jobSet } from './harness.js'

let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
})
afterAll(() => h.close())

/** As the settings page keeps them. */
const MINE = { own: { pressure: 'inch', length: 'metric' }, decimal: ',', hours: 12, keys: false }

describe('settings of a person', () => {
  it('are kept with the person, whole, and are nobody else’s', async () => {
    expect((await h.call('GET', '/session/settings')).body).toEqual({ settings: null })
    expect((await h.call('PUT', '/session/settings', MINE)).status).toBeLessThan(300)
    expect((await h.call('GET', '/session/settings')).body).toEqual({ settings: MINE })
    expect((await h.call('GET', '/session/settings', undefined, { as: 'teal' })).body).toEqual({
      settings: null,
    })
  })
  it.each([
    ['own.pressure', { ...MINE, own: { pressure: 'kelvin' } }],
    ['own', { ...MINE, own: { speed: 'inch' } }],
    ['decimal', { ...MINE, decimal: ';' }],
    ['hours', { ...MINE, hours: 13 }],
    ['language', { ...MINE, language: 'xx' }],
    [null, { ...MINE, colour: 'red' }],
    [null, []],
  ])('refuses at %s what is wrong there, and keeps what was: %j', async (field, wrong) => {
    const before = (await h.call('GET', '/session/settings')).body
    const answer = await h.call('PUT', '/session/settings', wrong)
    expect([answer.status, answer.body.error?.field]).toEqual([422, field])
    expect((await h.call('GET', '/session/settings')).body).toEqual(before)
  })
  it('a language is one of those the book is in', async () => {
    const spanish = { ...MINE, language: 'es' }
    expect((await h.call('PUT', '/session/settings', spanish)).status).toBe(204)
    expect((await h.call('GET', '/session/settings')).body).toEqual({ settings: spanish })
  })
  it('asks who it is', async () => {
    expect((await h.call('GET', '/session/settings', undefined, { as: 'nobody' })).status).toBe(401)
    expect((await h.call('PUT', '/session/settings', MINE, { as: 'nobody' })).status).toBe(401)
  })
})

describe('a refusal', () => {
  const refused = async (language: string): Promise<string> => {
    const answer = await fetch(`${h.url}/api/jobs`, { headers: { 'accept-language': language } })
    expect(answer.status).toBe(401)
    return ((await answer.json()) as { error: { message: string } }).error.message
  }
  it('is said in the language of who asks, in English where the book has not got it', async () => {
    expect(await refused('es-MX,es;q=0.9')).toBe('Entra primero.')
    expect(await refused('de')).toBe('Sign in first.')
    expect(await refused('en-GB,es;q=0.5')).toBe('Sign in first.')
  })
})

describe('the name of a job', () => {
  it('is listed as its log has it: set anew, and taken back', async () => {
    const job = randomUUID()
    await h.call('POST', '/jobs', { jobId: job, name: 'First' })
    const listed = async (): Promise<unknown> =>
      ((await h.call('GET', '/jobs')).body.jobs as { jobId: string; name: string }[]).find(
        (j) => j.jobId === job,
      )?.name
    const [one, two] = [jobSet('Second'), jobSet('Third')]
    await h.call('POST', `/jobs/${job}/events`, batch([one]))
    expect(await listed()).toBe('Second')
    await h.call('POST', `/jobs/${job}/events`, batch([two]))
    expect(await listed()).toBe('Third')
    const undo = { ...jobSet(), kind: 'correction', data: { target: two.id, undo: true } }
    expect((await h.call('POST', `/jobs/${job}/events`, batch([undo]))).status).toBe(200)
    expect(await listed()).toBe('Second')
  })
})
