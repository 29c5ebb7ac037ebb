import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())
const plan = (body: unknown) => h.call('POST', '/calc/stock-plan', body)
/** Small pieces of many lengths: takes the planner a while. */
const LONG = {
  stock: [{ lengthMm: 6000 }],
  kerfMm: 3,
  pieces: Array.from({ length: 60 }, (_, i) => ({ id: `p${i}`, lengthMm: 311 + 37 * i, count: 5 })),
}

it('plans in a thread of its own and answers with sources', async () => {
  const r = await plan({
    stock: [{ lengthMm: 6000 }],
    kerfMm: 0,
    pieces: [{ id: 'a', lengthMm: 2000, count: 4 }],
  })
  expect(r.status).toBe(200)
  expect(r.body.result).toMatchObject({
    barsUsed: 2,
    lowerBoundBars: 2,
    lowerBoundMm: 12000,
    status: 'optimal',
  })
  expect((r.body.sources as { figure: string }[]).map((s) => s.figure)).toContain('bars')
})
it('one at a time and few behind it: who comes after is asked to come again, what is no question is refused at once', async () => {
  const [bad, other, ...long] = await Promise.all([
    plan({ ...LONG, kerfMm: -1 }),
    h.call('POST', '/calc/cut-length', { measure: 'end-end', measuredMm: 100, ends: [{}, {}] }),
    ...Array.from({ length: 6 }, () => plan(LONG)),
  ])
  expect([bad.status, bad.body.error?.field, other.status]).toEqual([422, 'kerfMm', 200])
  const answers = long.map((one) => `${one.status} ${one.body.error?.code ?? ''}`).sort()
  expect(answers).toEqual(['200 ', '200 ', '200 ', '503 busy', '503 busy', '503 busy'])
  expect((await plan(LONG)).status).toBe(200)
})
it.each([
  [
    'too long for any stock',
    { ...LONG, pieces: [{ id: 'a', lengthMm: 6001, count: 1 }] },
    'does-not-fit',
    'pieces[0].lengthMm',
  ],
  [
    'too many',
    {
      ...LONG,
      pieces: [
        { id: 'a', lengthMm: 1, count: 2000 },
        { id: 'b', lengthMm: 1, count: 1 },
      ],
    },
    'bad-input',
    'pieces',
  ],
  [
    'half a piece',
    { ...LONG, pieces: [{ id: 'a', lengthMm: 1, count: 1.5 }] },
    'bad-input',
    'pieces[0].count',
  ],
  ['letters', { ...LONG, kerfMm: '3' }, 'bad-input', 'kerfMm'],
])('%s is refused', async (_what, body, code, field) => {
  const r = await plan(body)
  expect([r.status, r.body.error?.code, r.body.error?.field]).toEqual([422, code, field])
})
