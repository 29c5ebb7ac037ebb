import { type Harness, harness } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())
const ask = (body: unknown) => h.call('POST', '/calc/plan-order', body)

const HOUR = 3600
const DAY = { fromS: 8 * HOUR, untilS: 16 * HOUR }
const joint = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  workS: HOUR,
  readyAfterS: HOUR,
  ...more,
})
const QUESTION = {
  startS: 8 * HOUR,
  people: [
    { id: 'one', shifts: [DAY] },
    { id: 'other', shifts: [DAY], mayMake: ['small'] },
  ],
  things: [{ kind: 'jaw', count: 1 }],
  joints: [joint('A', { kind: 'large', hands: 1 }), joint('B', { kind: 'small', after: ['A'] })],
}

it('plans in the thread: the same question, the same answer, every figure with its source', async () => {
  const [one, again] = [await ask(QUESTION), await ask(QUESTION)]
  expect(one.status).toBe(200)
  expect(one.body).toEqual(again.body)
  expect(one.body.result).toMatchObject({
    valueS: 11 * HOUR,
    boundS: 11 * HOUR,
    proven: true,
    status: 'optimal',
  })
  const figures = (one.body.sources as { figure: string }[]).map(({ figure }) => figure)
  expect(figures).toEqual(
    expect.arrayContaining(['plan', 'sections', 'valueS', 'boundS', 'proven', 'status']),
  )
})
it('no joints: the start; what cannot be says which joint, and what would help', async () => {
  expect((await ask({ ...QUESTION, joints: [] })).body.result).toMatchObject({
    valueS: 8 * HOUR,
    proven: true,
    plan: [],
  })
  const long = await ask({ ...QUESTION, joints: [joint('A', { workS: 9 * HOUR })] })
  expect(long.body.result).toMatchObject({ status: 'infeasible', plan: [], valueS: null, proven: true })
  const [reason] = (long.body.result as { reasons: { code: string; joint: string; mend: string[] }[] })
    .reasons
  expect([reason?.code, reason?.joint, (reason?.mend.length ?? 0) > 0]).toEqual([
    'longer-than-a-shift',
    'A',
    true,
  ])
  expect(long.body.missing).toEqual(
    expect.arrayContaining([expect.objectContaining({ figure: 'valueS', code: 'infeasible' })]),
  )
})
it.each<[string, Record<string, unknown>, string, string]>([
  [
    'a circle',
    { joints: [joint('A', { after: ['B'] }), joint('B', { still: ['A'] })] },
    'bad-input',
    'joints[1].still[0]',
  ],
  [
    'a joint that waits for itself',
    { joints: [joint('A', { after: ['A'] })] },
    'bad-input',
    'joints[0].after[0]',
  ],
  ['an unknown joint before', { joints: [joint('A', { after: ['C'] })] }, 'bad-input', 'joints[0].after[0]'],
  ['a double name', { joints: [joint('A'), joint('A')] }, 'bad-input', 'joints[1].id'],
  [
    'a thing that is not there',
    { joints: [joint('A', { things: ['jaw', 'die'] })] },
    'bad-input',
    'joints[0].things[1]',
  ],
  [
    'nobody may',
    { people: [QUESTION.people[1]], joints: [joint('A', { kind: 'large' })] },
    'bad-input',
    'joints[0].kind',
  ],
  ['too few hands', { joints: [joint('A', { hands: 3 })] }, 'bad-input', 'joints[0].hands'],
  ['too few who may', { joints: [joint('A', { kind: 'large', hands: 2 })] }, 'bad-input', 'joints[0].hands'],
  ['a stranger', { joints: [joint('A', { people: ['third'] })] }, 'bad-input', 'joints[0].people[0]'],
  ['not ready ever', { joints: [{ id: 'A', workS: 60 }] }, 'missing-field', 'joints[0].readyAfterS'],
  [
    'no such table',
    { joints: [{ id: 'A', workS: 60, readyByEnd: 'x' }] },
    'bad-input',
    'joints[0].readyByEnd',
  ],
  [
    'a table that begins late',
    { joints: [{ id: 'A', workS: 60, readyByEnd: [{ fromS: 9 * HOUR, readyAfterS: 1 }] }] },
    'bad-input',
    'joints[0].readyByEnd[0].fromS',
  ],
  [
    'a shift that ends before it begins',
    { people: [{ id: 'one', shifts: [{ fromS: 9, untilS: 8 }] }] },
    'bad-input',
    'people[0].shifts[0].untilS',
  ],
  ['half a second', { joints: [joint('A', { workS: 0.5 })] }, 'bad-input', 'joints[0].workS'],
  [
    'home after the plan began',
    { joints: [joint('A', { doneAtS: 9 * HOUR })] },
    'bad-input',
    'joints[0].doneAtS',
  ],
  ['too many', { joints: Array.from({ length: 301 }, (_, i) => joint(`j${i}`)) }, 'bad-input', 'joints'],
  ['tables as a list', { tables: [] }, 'bad-input', 'tables'],
  [
    'a bad row of a table',
    { tables: { a: [{ fromS: 'x', readyAfterS: 1 }] } },
    'bad-input',
    'tables.a[0].fromS',
  ],
])('%s is refused at its field', async (_what, more, code, field) => {
  const r = await ask({ ...QUESTION, ...more })
  expect([r.status, r.body.error?.code, r.body.error?.field]).toEqual([422, code, field])
})
