import { CALCULATIONS } from '@jugalis/core'
import { type Harness, harness } from './harness.js'

/** Large questions are looked at where nobody else waits for them, each in its turn. */
let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())

const ladder = (joints: number) => {
  const example = CALCULATIONS.get('ladder')?.example.input as { joints: object[] }
  const [one] = example.joints
  return { ...example, joints: Array.from({ length: joints }, (_, i) => ({ ...one, id: `Q-${i}` })) }
}
const ask = (body: unknown) => h.call('POST', '/calc/ladder', body)

it('several at once are all answered, as they are in the core', async () => {
  const body = ladder(200)
  expect(JSON.stringify(body).length).toBeGreaterThan(8192)
  const answers = await Promise.all([ask(body), ask(body), ask(ladder(1)), ask(body)])
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200])
  const own = JSON.parse(JSON.stringify(CALCULATIONS.get('ladder')?.run(body))) as unknown
  expect(answers[0]?.body).toEqual(own)
  expect(answers[3]?.body).toEqual(own)
})
it('what is wrong with one is said as it is with a small one', async () => {
  const body = ladder(200)
  const wrong = { ...body, joints: [...body.joints, { id: 'Q' }] }
  const { status, body: said } = await ask(wrong)
  expect([status, said.error?.field]).toEqual([422, 'joints[200].method'])
})
it('a list longer than any may be is refused by its length alone', async () => {
  const { status, body } = await ask({ ...ladder(1), joints: Array.from({ length: 20_001 }, () => 1) })
  expect([status, body.error?.field]).toEqual([422, 'joints'])
  expect(body.error?.message).toContain('at most 20000')
})
