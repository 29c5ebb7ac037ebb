import {
  NO_LINES,
  type JobEvent,
  type Line,
  drawLine,
  foldJob,
  growthOf,
  lineInSpace,
  placeTexts,
  tooNear,
  withSpace,
} from '../core/src/index.js'

/** A line of 1,000 parts in space: an entry worked out, the line walked and drawn, its movement and its room. */
const T0 = 1_790_000_000
const LINE = '00000002-0000-4000-8000-000000000001'
const mid = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] as number
const tell = (what: string, list: number[], target: string): void =>
  console.log(
    JSON.stringify({
      what,
      measured: `${mid(list).toFixed(0)} ms, longest ${Math.max(...list).toFixed(0)} ms`,
      target,
    }),
  )
let n = 0
const newId = (): string => `00000001-0000-4000-8000-${String(++n).padStart(12, '0')}`
const events: JobEvent[] = []
const put = (kind: string, data: Record<string, unknown>): void =>
  void events.push({
    id: newId(),
    kind,
    v: 1,
    jointId: null,
    atDeviceS: T0,
    deviceSeq: events.length + 1,
    after: [],
    data,
    jobId: newId(),
    deviceId: '00000008-0000-4000-8000-000000000001',
    actorId: '00000007-0000-4000-8000-000000000001',
    occurredAtS: T0,
    clockErrorS: 0.1,
  })
put('job-set', { name: 'B', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 })
put('line-set', {
  lineId: LINE,
  tag: 'Q2',
  name: 'n',
  method: 'solvent-cement',
  material: 'pvc-u',
  school: 'metric',
  placeId: newId(),
})
const shop = { begun: new Set<string>(), newId, lines: NO_LINES }
const READER = { units: 'metric' } as const
/** Storeys of a winding line: round and up, a branch with a drain now and then. */
const WAYS = ['north', 'west', 'south', 'east', 'north', 'up'] as const
const texts = ['from +2.400 east', 'cap 63', 'anchor']
for (let i = 0; texts.length < 1001; i++)
  texts.push(
    `${700 + ((i * 137) % 2300)} c-c`,
    `elbow 90 ${WAYS[i % WAYS.length] === 'up' ? 'up' : WAYS[i % WAYS.length]}`,
  )
const line = (): Line => foldJob(events).lines.get(LINE) as Line
const set = (entries: readonly string[], after: string | null, into: number[] = []): void => {
  const state = foldJob(events)
  const own = state.lines.get(LINE) as Line
  lineInSpace(state, own)
  const began = performance.now()
  const placed = withSpace(state, own, placeTexts(own, entries, { after, branch: false }, shop, READER), shop)
  into.push(performance.now() - began)
  if (!placed.ok) throw new Error(`${placed.why.code} ${JSON.stringify(placed.why.params)}`)
  for (const { kind, data } of placed.edits) put(kind, { lineId: LINE, ...data })
}
set(texts, null)
const parts = line().items.length

const WRITING = {
  length: (mm: number) => mm.toFixed(0),
  level: (mm: number) => (mm / 1000).toFixed(3),
  fall: String,
}
const within = { width: 900, height: 430 }
const times = {
  entry: [] as number[],
  walk: [] as number[],
  draw: [] as number[],
  grow: [] as number[],
  room: [] as number[],
}
const timed = <T>(into: number[], work: () => T): T => {
  const began = performance.now()
  const made = work()
  into.push(performance.now() - began)
  return made
}
for (let i = 0; i < 12; i++) {
  set(['anchor'], line().items[i * 2 + 2]?.id ?? null, times.entry)
  const state = foldJob(events)
  const own = state.lines.get(LINE) as Line
  const space = timed(times.walk, () => lineInSpace(state, own))
  timed(times.draw, () => drawLine(space, { name: 'isometric', turns: 0 }, false, WRITING, within))
  timed(times.grow, () => growthOf(state))
  timed(times.room, () => tooNear(state))
}
const warm = (list: number[]): number[] => list.slice(2)
tell(`A line of ${parts} parts in space: an entry worked out`, warm(times.entry), '100 ms with what follows')
tell('The same: walked', warm(times.walk), '100 ms with the drawing')
tell('The same: drawn, all texts placed', warm(times.draw), '100 ms with the walk')
tell('The same: how it moves', warm(times.grow), 'none set')
tell('The same: what comes too near', warm(times.room), 'none set')
