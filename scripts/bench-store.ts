import { type JobEvent, foldJob, recall, shelfOf } from '@jugalis/core'

/** A store of 10,000 things in a job of 20,000 joints: looked at anew after an entry, and asked what was made with what. */
const JOINTS = 20_000
const THINGS = 10_000
const T0 = 1_790_000_000
const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
let seq = 0
const entry = (kind: string, data: object, jointId: string | null = null): JobEvent => ({
  id: uuid(5_000_000 + ++seq),
  kind,
  v: kind === 'step-done' ? 2 : 1,
  jobId: uuid(1),
  jointId,
  deviceId: uuid(2),
  actorId: uuid(10 + (seq % 40)),
  deviceSeq: seq,
  atDeviceS: T0 + seq,
  occurredAtS: T0 + seq,
  clockErrorS: 0,
  after: [],
  data: data as Record<string, unknown>,
})
const thing = (n: number): string => uuid(1_000_000 + n)
const joint = (n: number): string => uuid(2_000_000 + n)

function job(): JobEvent[] {
  const set = { name: 'J', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }
  const events = [entry('job-set', set), entry('place-set', { placeId: uuid(3), name: 'P' })]
  for (let line = 0; line < JOINTS / 1000; line++) {
    const lineId = uuid(100 + line)
    const head = { tag: `L${line}`, name: '', method: 'solvent-cement', material: 'pvc-u', school: 'metric' }
    events.push(entry('line-set', { lineId, ...head, placeId: uuid(3), ratingBar: 16 }))
    const items = Array.from({ length: 500 }, (_, i) => {
      const at = line * 1000 + i * 2
      return {
        itemId: uuid(3_000_000 + line * 500 + i),
        item: {
          type: 'piece',
          tag: `L${line}/P${i}`,
          size: 'd63',
          measure: 'end-end',
          measuredMm: 1000,
          jointA: joint(at),
          jointB: joint(at + 1),
          tagA: `L${line}-${2 * i + 1}`,
          tagB: `L${line}-${2 * i + 2}`,
        },
      }
    })
    events.push(entry('items-put', { lineId, items }))
  }
  for (let n = 0; n < THINGS; n++) {
    const lot = {
      lotId: thing(n),
      kind: 'cement',
      name: `T-${n}`,
      matches: { plastic: n % 3 ? 'pvc-u' : 'abs' },
    }
    events.push(entry('lot-set', { ...lot, expiresOn: '2099-01-31' }))
  }
  for (let n = 0; n < JOINTS / 2; n++)
    for (const [i, step] of ['fit', 'cement', 'home'].entries()) {
      const data = { life: 1, step, readings: {}, shown: [], ...(i ? {} : { tinId: thing(n % 400) }) }
      events.push(entry('step-done', data, joint(n)))
    }
  return events
}
const timed = (work: () => unknown): number => {
  const began = performance.now()
  work()
  return performance.now() - began
}
const said = (all: number[]): string => {
  const sorted = [...all].sort((a, b) => a - b)
  return `median ${Math.round(sorted[sorted.length >> 1] as number)} ms, longest ${Math.round(sorted.at(-1) as number)} ms`
}
const events = job()
const states = Array.from({ length: 5 }, () => foldJob(events))
const nowS = T0 + seq + 60
const anew = states.map((state) => timed(() => shelfOf(state, nowS)))
const again = states.map((state) => timed(() => shelfOf(state, nowS)))
const state = states[0] as (typeof states)[number]
const { shelf } = shelfOf(state, nowS)
const searched = Array.from({ length: 40 }, (_, i) =>
  timed(() => shelf.filter(({ item }) => `${item.name} ${item.kind}`.toLowerCase().includes(`t-${i * 97}`))),
)
const recalled = Array.from({ length: 40 }, (_, i) => timed(() => recall(state, { itemId: thing(i * 7) })))
const people = Array.from({ length: 40 }, (_, i) => timed(() => recall(state, { personId: uuid(10 + i) })))
const row = (what: string, measured: string, target: string): void =>
  console.log(JSON.stringify({ what, measured, target }))
row('10,000 things, 20,000 joints: the store looked at after an entry', said(anew), '-')
row('The same again, a minute later', said(again), '-')
row('The same: a text looked for', said(searched), '100 ms')
row('The same: what was made with a thing', said(recalled), '200 ms')
row('The same: what somebody made', said(people), '200 ms')
