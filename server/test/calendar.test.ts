import ICAL from 'ical.js'
import { randomUUID } from 'node:crypto'
import { type Harness, batch, draft, harness } from './harness.js'
import { smallJob } from './small-job.js'

let h: Harness
const job = randomUUID()
const [line, place, section] = [randomUUID(), randomUUID(), randomUUID()]
const [a, b] = [randomUUID(), randomUUID()]
const NOW = 1_790_000_000
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  const made = (jointId: string) =>
    ['fit', 'cement', 'home', 'judge'].map((step, i) =>
      draft(
        'step-done',
        { life: 1, step, readings: step === 'judge' ? { checkMm: 50, bead: 'all-round' } : {}, shown: [] },
        { jointId, atDeviceS: NOW - 200 + i * 40 },
      ),
    )
  const r = await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch([
      ...smallJob({ name: 'Quay, loop; east', place, line, item: randomUUID(), tag: 'Q', joints: [a, b] }),
      draft('section-set', {
        sectionId: section,
        tag: 'Q-A',
        jointIds: [a, b],
        workingBar: 6,
        testBar: 9,
        holdS: 3600,
        allowedDropBar: 0.2,
      }),
      ...['wall', 'air', 'humidity'].map((what) =>
        draft(
          'reading',
          { placeId: place, what, basis: 'typed', atS: NOW - 3600, value: 14 },
          { atDeviceS: NOW - 3600 },
        ),
      ),
      ...made(a),
      ...made(b),
    ]),
  )
  expect(r.status).toBe(200)
})
afterAll(() => h.close())

/** Unfolded lines of a calendar, as RFC 5545 folds them. */
const linesOf = (text: string): string[] => text.replace(/\r\n[ \t]/g, '').split('\r\n')

it('the feed needs no signing in, says when joints may be moved and the section takes pressure, and moves with it', async () => {
  const { path } = (await h.call('GET', `/jobs/${job}/calendar`)).body as unknown as { path: string }
  const res = await fetch(h.url + path)
  expect([res.status, res.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8'])
  const lines = linesOf(await res.text())
  expect(lines[0]).toBe('BEGIN:VCALENDAR')
  expect(lines).toContain('VERSION:2.0')
  const said = lines.filter((l) => l.startsWith('SUMMARY:'))
  expect(said).toContain('SUMMARY:Q-A may take 9 bar')
  // One hour per bar from home (common practice): nine hours after the last joint, rounded up to the minute.
  const homeS = NOW - 200 + 80
  const readyAt = new Date(Math.ceil((homeS + 9 * 3600) / 60) * 60_000)
  expect(lines).toContain(`DTSTART:${readyAt.toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`)
  const uids = lines.filter((l) => l.startsWith('UID:'))
  expect(new Set(uids).size).toBe(uids.length)
  // Asked again, the same text; a program that says what it has is sent nothing.
  const tag = res.headers.get('etag') ?? ''
  expect((await fetch(h.url + path, { headers: { 'if-none-match': tag } })).status).toBe(304)
  const entry = (all: string[]): Record<string, string> => {
    const at = all.indexOf(`UID:ready-${section}@${job}`)
    const from = all.lastIndexOf('BEGIN:VEVENT', at)
    return Object.fromEntries(all.slice(from, all.indexOf('END:VEVENT', at)).map((l) => l.split(/:(.*)/, 2)))
  }
  expect(entry(lines)).toMatchObject({ STATUS: 'CONFIRMED', TRANSP: 'TRANSPARENT', ACTION: 'DISPLAY' })
  // A cold reading comes in and takes the time away: the same entry, later in number, cancelled.
  await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch([draft('reading', { placeId: place, what: 'wall', basis: 'typed', atS: NOW, value: 4 })]),
  )
  const later = linesOf(await (await fetch(h.url + path)).text())
  expect(entry(later)).toMatchObject({ STATUS: 'CANCELLED', SUMMARY: 'Q-A may take 9 bar' })
  expect(Number(entry(later).SEQUENCE)).toBeGreaterThan(Number(entry(lines).SEQUENCE))
  expect(later.filter((l) => l.startsWith('UID:')).sort()).toEqual(uids.sort())
  expect(later).not.toContain(`DTSTART:${readyAt.toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`)
})
it('another\u2019s address, a changed one, and that of somebody not on the job show nothing', async () => {
  const { path } = (await h.call('GET', `/jobs/${job}/calendar`)).body as unknown as { path: string }
  expect((await h.call('GET', `/jobs/${job}/calendar`, undefined, { as: 'teal' })).status).toBe(404)
  const parts = path.split('/')
  const wrong = [
    path.replace(/.\.ics$/, (x) => (x.startsWith('A') ? 'B.ics' : 'A.ics')),
    [...parts.slice(0, 4), randomUUID(), parts[5]].join('/'),
    [...parts.slice(0, 3), randomUUID(), ...parts.slice(4)].join('/'),
    '/api/calendar/x/y/z.ics',
  ]
  for (const p of wrong) expect([p, (await fetch(h.url + p)).status]).toEqual([p, 404])
})
it('people are put on a job by whoever began it', async () => {
  expect((await h.call('POST', `/jobs/${job}/members`, { login: 'nobody' })).body.error?.code).toBe(
    'unknown-person',
  )
  expect((await h.call('POST', `/jobs/${job}/members`, {})).status).toBe(422)
  expect((await h.call('POST', `/jobs/${job}/members`, { login: 'Teal' })).status).toBe(201)
  expect((await h.call('POST', `/jobs/${job}/members`, { login: 'wren' }, { as: 'teal' })).status).toBe(403)
  expect((await h.call('GET', `/jobs/${job}/calendar`, undefined, { as: 'teal' })).status).toBe(200)
})

it('is read by a package that had no part in writing it, line by line', async () => {
  const { body } = await h.call('GET', `/jobs/${job}/calendar`)
  const { text } = await h.call('GET', String(body.path).replace(/^\/api/, ''))
  // RFC 5545: lines end in CRLF, none is longer than 75 octets, what is folded goes on after a space.
  const lines = text.split('\r\n')
  expect(lines.at(-1)).toBe('')
  expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  for (const l of lines) expect(Buffer.byteLength(l)).toBeLessThanOrEqual(75)
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
  expect(calendar.name).toBe('vcalendar')
  for (const needed of ['version', 'prodid']) expect(calendar.getFirstPropertyValue(needed)).toBeTruthy()
  const events = calendar.getAllSubcomponents('vevent')
  expect(events.length).toBeGreaterThan(0)
  for (const e of events) {
    for (const needed of ['uid', 'dtstamp', 'dtstart', 'summary', 'sequence'])
      expect([needed, e.getAllProperties(needed).length]).toEqual([needed, 1])
    const event = new ICAL.Event(e)
    expect(event.startDate.toUnixTime()).toBeGreaterThan(NOW - 86_400)
    expect(e.getFirstPropertyValue('transp')).toBe('TRANSPARENT')
    // What was cancelled rings nobody.
    const stands = e.getFirstPropertyValue('status') === 'CONFIRMED'
    expect(e.getAllSubcomponents('valarm').length > 0).toBe(stands)
  }
  expect(
    String(calendar.getFirstPropertyValue('x-wr-calname') ?? events[0]?.getFirstPropertyValue('summary')),
  ).toContain('Quay, loop; east')
})

it('what is looked after in use stands on its day, the same entry moving on once it is done', async () => {
  const { path } = (await h.call('GET', `/jobs/${job}/calendar`)).body as unknown as { path: string }
  const say = (kind: string, data: Record<string, unknown>) =>
    h.call('POST', `/jobs/${job}/events`, batch([draft(kind, data, { atDeviceS: NOW })]))
  const device = randomUUID()
  await say('in-use', { sectionId: section, fromOn: '2026-01-31' })
  await say('device-set', { sectionId: section, deviceId: device, kind: 'filter', name: 'FI-1' })
  const cares = async () => {
    const text = await (await fetch(h.url + path)).text()
    const parsed = ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]
    return new ICAL.Component(parsed)
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
      .filter((one) => one.uid.startsWith('care-'))
      .map((one) => [one.summary, one.startDate.isDate, one.startDate.toString(), one.uid])
  }
  // EN 806-5:2012, table A.1 (from memory): filters every six months; July has a 31st.
  const [before] = await cares()
  expect(before?.slice(0, 3)).toEqual(['Clean: FI-1, Q-A', true, '2026-07-31'])
  await say('care-done', {
    sectionId: section,
    care: 'filter/clean',
    ofId: device,
    good: true,
    atS: Date.parse('2026-08-31T10:00:00Z') / 1000,
  })
  // And February has none: its last day.
  expect(await cares()).toEqual([['Clean: FI-1, Q-A', true, '2027-02-28', before?.[3]]])
})
