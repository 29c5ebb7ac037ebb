import { randomUUID } from 'node:crypto'
import { type JobEvent, foldJob } from '@jugalis/core'
import { type Harness, batch, draft, harness } from './harness.js'
import { smallJob } from './small-job.js'

let h: Harness
const job = randomUUID()
const [line, place, jointId] = [randomUUID(), randomUUID(), randomUUID()]
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
  await h.call('POST', '/jobs', { jobId: job, name: 'House 1' })
  const joints = [jointId, randomUUID()] as const
  const said = await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch([
      ...smallJob({ name: 'House 1', place, line, item: randomUUID(), tag: 'Q', joints }),
      draft('step-done', { life: 1, step: 'fit', readings: {}, shown: [] }, { jointId }),
    ]),
  )
  expect(said.status).toBe(200)
})
afterAll(() => h.close())

const state = async (id: string, as = 'wren') => {
  const { lines } = (await h.call('GET', `/jobs/${id}/events`, undefined, { as })).body
  return foldJob((lines as { event: JobEvent }[]).map(({ event }) => event))
}
const listed = async (as = 'wren') =>
  (await h.call('GET', '/glance', undefined, { as })).body.jobs as {
    jobId: string
    name: string
    role: string
    away: boolean
  }[]

describe('a job begun like another one', () => {
  it('is a job of who asked, set out alike, with a log that holds by itself', async () => {
    const copy = randomUUID()
    const said = await h.call('POST', `/jobs/${job}/copy`, { jobId: copy, name: 'House 2', measures: true })
    expect([said.status, said.body.jobId]).toEqual([201, copy])
    const [from, to] = [await state(job), await state(copy)]
    expect(
      [...to.lines.values()].map(({ tag, items }) => [tag, items.map((i) => [i.tag, i.measuredMm])]),
    ).toEqual(
      [...from.lines.values()].map(({ tag, items }) => [tag, items.map((i) => [i.tag, i.measuredMm])]),
    )
    expect([to.job.name, [...to.joints.values()].flatMap((j) => j.lives)]).toEqual(['House 2', []])
    expect((await h.call('GET', `/jobs/${copy}/verify`)).body.ok).toBe(true)
    expect((await listed()).find(({ jobId }) => jobId === copy)).toMatchObject({
      name: 'House 2',
      role: 'owner',
    })
    // Work is written to its joints as to any.
    const [own] = [...to.lines.values()].flatMap(({ items }) => items.flatMap((i) => i.joints))
    const step = draft(
      'step-done',
      { life: 1, step: 'fit', readings: {}, shown: [] },
      { jointId: own as string },
    )
    expect((await h.call('POST', `/jobs/${copy}/events`, batch([step]))).status).toBe(200)
    const stray = draft('step-done', { life: 1, step: 'fit', readings: {}, shown: [] }, { jointId })
    expect((await h.call('POST', `/jobs/${copy}/events`, batch([stray]))).status).toBe(422)
  })
  it.each([
    [422, 'name', { jobId: randomUUID(), name: ' ', measures: true }],
    [422, 'jobId', { jobId: 'x', name: 'N', measures: true }],
    [422, 'measures', { jobId: randomUUID(), name: 'N' }],
    [409, 'jobId', { jobId: job, name: 'N', measures: true }],
  ])('refuses with %i at %s, and nothing is there', async (status, field, body) => {
    const before = (await listed()).length
    const said = await h.call('POST', `/jobs/${job}/copy`, body)
    expect([said.status, said.body.error?.field]).toEqual([status, field])
    expect(await listed()).toHaveLength(before)
  })
  it('is not made of a job one is not on', async () => {
    const body = { jobId: randomUUID(), name: 'N', measures: true }
    expect((await h.call('POST', `/jobs/${job}/copy`, body, { as: 'teal' })).status).toBe(404)
  })
})

describe('who has a job', () => {
  const put = (what: string, body: unknown, as = 'wren') =>
    h.call('PUT', `/jobs/${job}/${what}`, body, { as }).then(({ status }) => status)
  const away = async (): Promise<boolean | undefined> =>
    (await listed()).find(({ jobId }) => jobId === job)?.away
  it('puts it away and brings it back; others do not', async () => {
    await h.call('POST', `/jobs/${job}/members`, { login: 'teal' })
    expect(await put('away', { away: true }, 'teal')).toBe(403)
    expect(await away()).toBe(false)
    expect(await put('away', { away: true })).toBe(204)
    expect(await away()).toBe(true)
    expect(await put('away', { away: 'yes' })).toBe(422)
    expect(await put('away', { away: false })).toBe(204)
    expect(await away()).toBe(false)
  })
  it('hands it to somebody on it, and to nobody else; one has it at a time', async () => {
    const members = (await h.call('GET', `/jobs/${job}/members`)).body.members as {
      personId: string
      name: string
    }[]
    const idOf = (name: string) => members.find((m) => m.name === name)?.personId
    expect(await put('owner', { personId: randomUUID() })).toBe(422)
    // Refused, it stays whose it was.
    expect(await put('away', { away: false })).toBe(204)
    expect(await put('owner', { personId: idOf('teal') })).toBe(204)
    expect(await put('owner', { personId: idOf('wren') })).toBe(403)
    expect((await listed()).find(({ jobId }) => jobId === job)?.role).toBe('fitter')
    expect(await put('owner', { personId: idOf('wren') }, 'teal')).toBe(204)
    expect((await listed()).find(({ jobId }) => jobId === job)?.role).toBe('owner')
    // To oneself it changes nothing.
    expect(await put('owner', { personId: idOf('wren') })).toBe(204)
    expect((await listed()).find(({ jobId }) => jobId === job)?.role).toBe('owner')
  })
  it('takes it out only where nothing is in it', async () => {
    const drop = (id: string, as = 'wren') =>
      h.call('DELETE', `/jobs/${id}`, undefined, { as }).then(({ status }) => status)
    expect(await drop(job, 'teal')).toBe(403)
    expect(await drop(job)).toBe(409)
    expect((await state(job)).lines.size).toBe(1)
    const slip = randomUUID()
    await h.call('POST', '/jobs', { jobId: slip, name: 'Slip' })
    await h.call(
      'POST',
      `/jobs/${slip}/events`,
      batch([draft('job-set', { name: 'Slip', zone: 'UTC', school: 'inch' })]),
    )
    expect(await drop(slip)).toBe(204)
    expect(await drop(slip)).toBe(404)
    // Where something was set out and taken back, somebody may want to know what.
    const was = randomUUID()
    await h.call('POST', '/jobs', { jobId: was, name: 'Was' })
    const permit = { what: 'hot-work', number: 'HW-1', fromS: h.clock.s, untilS: h.clock.s + 60 }
    await h.call('POST', `/jobs/${was}/events`, batch([draft('permit-set', permit)]))
    expect(await drop(was)).toBe(409)
  })
})
