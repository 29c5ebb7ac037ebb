import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())

const BOX = {
  name: 'flow box',
  form: 'through',
  shapes: [{ kind: 'box', at: [-10, -8, 10, 8] }],
  ends: ['usual', 'flanged'],
  takeOffs: [{ end: 0, size: 'd63', mm: 120, to: 'face' }],
}
const list = async (): Promise<unknown> => (await h.call('GET', '/parts')).body.parts

describe('fittings that an organisation names itself', () => {
  it('are kept, changed under their name, and taken out', async () => {
    expect(await list()).toEqual([])
    expect((await h.call('POST', '/parts', { parts: [BOX] })).status).toBe(201)
    const turned = { ...BOX, form: 'turn', turnDeg: 37 }
    expect((await h.call('POST', '/parts', { parts: [turned, { ...BOX, name: 'a box' }] })).body).toEqual({
      parts: [{ ...BOX, name: 'a box' }, turned],
    })
    expect((await h.call('DELETE', '/parts/a%20box')).status).toBe(204)
    expect((await h.call('DELETE', '/parts/a%20box')).status).toBe(404)
    expect(await list()).toEqual([turned])
  })
  it.each([
    ['parts', {}],
    ['parts', { parts: [] }],
    ['parts[0].form', { parts: [{ ...BOX, form: 'spiral' }] }],
    ['parts[0].shapes[0].at[0]', { parts: [{ ...BOX, shapes: [{ kind: 'circle', at: [9e9, 0, 1] }] }] }],
    ['parts[0].name', { parts: [{ ...BOX, name: 'tee' }] }],
    ['parts[0].name', { parts: [{ ...BOX, name: 'from here' }] }],
    ['parts[0].ends', { parts: [{ ...BOX, ends: ['usual', 'sideways'] }] }],
    ['parts[0].ends', { parts: [{ ...BOX, ends: ['usual', 'usual', 'usual'] }] }],
    ['parts[1].name', { parts: [BOX, BOX] }],
    ['parts[0].colour', { parts: [{ ...BOX, colour: 'red' }] }],
    ['parts[1].turnDeg', { parts: [BOX, { ...BOX, name: 'a bend', form: 'turn' }] }],
  ])('refuses at %s what is wrong there, and keeps what was', async (field, wrong) => {
    const before = await list()
    const answer = await h.call('POST', '/parts', wrong)
    expect([answer.status, answer.body.error?.field]).toEqual([422, field])
    expect(await list()).toEqual(before)
  })
  it('asks who it is; another organisation has its own', async () => {
    expect((await h.call('GET', '/parts', undefined, { as: 'nobody' })).status).toBe(401)
    await h.pool.query(`insert into own_part values (gen_random_uuid(), 'x', '{}', gen_random_uuid(), now())`)
    expect(JSON.stringify(await list())).not.toContain('"x"')
  })
})
