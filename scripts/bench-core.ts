import {
  type JobEvent,
  canonical,
  foldJob,
  jointFacts,
  readToFold,
  sectionAnswer,
} from '../core/src/index.js'
import { historyOf } from '../core/src/conditions/history.js'
import { cureRule } from '../core/src/methods/solvent-cement/rule.js'
import { curingJoint, ladderOf } from '../core/src/prove/test-plan/ladder.js'

const T0 = 1_790_000_000
const tell = (what: string, measured: string, target: string): void =>
  console.log(JSON.stringify({ what, measured, target }))
const id = (kind: number, n: number): string =>
  `${String(kind).padStart(8, '0')}-0000-4000-8000-${String(n).padStart(12, '0')}`
const wall = (h: number): number => 12 + 6 * Math.sin(h / 3.8)

class Log {
  private readonly bytes: Buffer
  private readonly ends: number[] = []
  constructor(size: number) {
    this.bytes = Buffer.alloc(size)
  }
  write(body: string): void {
    const from = this.ends.at(-1) ?? 0
    this.ends.push(from + this.bytes.write(body, from, 'latin1'))
  }
  *bodies(): Generator<string> {
    let from = 0
    for (const end of this.ends) {
      yield this.bytes.toString('latin1', from, end)
      from = end
    }
  }
}

/** 100,000 joints with twelve events each, as stored bodies; parsing, order, clocks and pressure of every joint. */
function fold(): void {
  const JOINTS = 100_000
  const A_LINE = 200
  // Outside the heap, as a log comes from disk or network: what is measured is the reading of it, not its making.
  const log = new Log(600_000_000)
  let seq = 0
  const put = (
    kind: string,
    data: Record<string, unknown>,
    atS: number,
    jointId: string | null = null,
    v = 1,
  ): void => {
    seq++
    const e: JobEvent = {
      id: id(1, seq),
      kind,
      v,
      jointId,
      atDeviceS: atS,
      deviceSeq: seq,
      after: [],
      data,
      jobId: id(9, 1),
      deviceId: id(8, 1),
      actorId: id(7, 1),
      occurredAtS: atS,
      clockErrorS: 0.1,
    }
    log.write(canonical(e))
  }
  put(
    'job-set',
    { name: 'B', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 },
    T0 - 900_000,
  )
  for (let h = 0; h < 168; h++)
    for (const what of ['wall', 'air', 'humidity'])
      put(
        'reading',
        {
          placeId: 'p',
          what,
          basis: 'measured',
          atS: T0 + h * 3600,
          value: what === 'humidity' ? 70 : wall(h),
        },
        T0 + h * 3600,
      )
  for (let n = 0; n < JOINTS; n += 2) {
    const lineId = id(2, Math.floor(n / A_LINE))
    if (n % A_LINE === 0)
      put(
        'line-set',
        {
          lineId,
          tag: `L${n}`,
          name: 'L',
          method: 'solvent-cement',
          material: 'pvc-u',
          school: 'metric',
          placeId: 'p',
        },
        T0 - 800_000,
      )
    put(
      'item-put',
      {
        lineId,
        itemId: id(3, n),
        item: {
          type: 'piece',
          tag: `P${n}`,
          size: n % 4 ? 'd63' : 'd110',
          measure: 'centre-centre',
          measuredMm: 900,
          jointA: id(4, n),
          jointB: id(4, n + 1),
          tagA: `${n}`,
          tagB: `${n + 1}`,
        },
      },
      T0 - 700_000,
    )
  }
  for (let n = 0; n < JOINTS; n++) {
    const atS = T0 + (n % 90) * 4000
    const j = id(4, n)
    const step = (life: number, s: string, d: number, readings = {}): void =>
      put(
        'step-done',
        { life, step: s, readings, shown: [{ key: 'depthMm', value: 61, source: 'iso-727-1' }] },
        atS + d,
        j,
        2,
      )
    for (const [k, s] of ['fit', 'cement', 'home', 'judge'].entries())
      step(1, s, k * 60, s === 'judge' ? { checkMm: 54, bead: 'all-round' } : {})
    put('cut-out', { life: 1 }, atS + 500, j)
    put('interrupted', { life: 1, what: 'rain' }, atS + 501, j)
    if (n % 2) put('interrupted', { life: 1, what: 'called-away' }, atS + 502, j)
    for (const [k, s] of ['fit', 'cement', 'home', 'judge'].entries())
      step(2, s, 600 + k * 60, s === 'judge' ? { checkMm: 50, bead: 'all-round' } : {})
    put('joint-placed', { placeId: 'p', fromS: atS }, atS, j)
  }
  const gc = (globalThis as { gc?: () => void }).gc
  gc?.()
  const before = process.memoryUsage.rss()
  const began = performance.now()
  const state = foldJob(readToFold(log.bodies()))
  const folded = performance.now()
  let ready = 0
  for (let n = 0; n < JOINTS; n++) {
    const f = jointFacts(state, id(4, n), 'coldest', T0 + 700_000)
    if (f && f.pieces.length > 1 && f.clocks.length > 2) ready++
  }
  const done = performance.now()
  if (ready !== JOINTS) throw new Error(`only ${ready} joints came out whole`)
  // The most the process ever held, less what it held with the log ready: all that reading and folding took.
  const peak = process.resourceUsage().maxRSS * 1024 - before
  // Used after the count, so that the collector could not take it before.
  if (state.joints.size !== JOINTS) throw new Error('the state is not whole')
  // A yardstick for a machine whose speed comes and goes: the same bodies only read as JSON and dropped.
  const reading = performance.now()
  for (const body of log.bodies()) JSON.parse(body)
  const readS = (performance.now() - reading) / 1000
  tell(
    `Fold of ${(seq / 1e6).toFixed(2)} M events, ${JOINTS} joints: parsing, order, clocks, pressure`,
    `${((done - began) / 1000).toFixed(1)} s (fold ${((folded - began) / 1000).toFixed(1)} s), ${(peak / 1e9).toFixed(2)} GB at its peak; reading the JSON alone ${readS.toFixed(1)} s`,
    '6 s, 1 GB',
  )
}

/** 10,000 joints in four places, both modes, nothing worked out before. */
function ladder(): void {
  const sizes = ['d20', 'd63', 'd110', 'd160']
  const times: number[] = []
  for (let run = 0; run < 5; run++) {
    const histories = [0, 1, 2, 3].map((p) =>
      historyOf(
        Array.from({ length: 168 }, (_, h) => ({ atS: T0 + h * 3600, value: wall(h + p * 2) + run * 1e-6 })),
      ),
    )
    const began = performance.now()
    for (const mode of ['coldest', 'accumulate'] as const) {
      const joints = Array.from({ length: 10_000 }, (_, n) => {
        const size = sizes[n % 4] as string
        const found = cureRule({ material: 'pvc-u', size, school: 'metric' }, 'current')
        if (!found.ok) throw new Error('no rule')
        const madeAtS = T0 + ((n * 7919) % 10_000) * 29
        const history = histories[(n >> 2) % 4] as never
        return curingJoint({ id: `j${n}`, madeAtS, ratingBar: 16 }, found.rule, history, mode)
      })
      const out = ladderOf(joints, T0 + 600_000)
      if (out.allowedBar === null) throw new Error('no ladder')
    }
    times.push(performance.now() - began)
  }
  times.sort((a, b) => a - b)
  tell('Ladder of 10,000 joints, 4 places, both modes, cold caches', `${times[2]?.toFixed(0)} ms`, '150 ms')
}
/** 2,000 cured joints of one place, and one reading more: the section's answer and its ladder, worked out anew. */
function retime(): void {
  const ITEMS = 1000
  const events: JobEvent[] = []
  const put = (
    kind: string,
    data: Record<string, unknown>,
    atS: number,
    jointId: string | null = null,
  ): void => {
    const seq = events.length + 1
    events.push({
      id: id(1, seq),
      kind,
      v: kind === 'step-done' ? 2 : 1,
      jointId,
      atDeviceS: atS,
      deviceSeq: seq,
      after: [],
      data,
      jobId: id(9, 1),
      deviceId: id(8, 1),
      actorId: id(7, 1),
      occurredAtS: atS,
      clockErrorS: 0,
    })
  }
  const joint = (n: number): string => id(4, n)
  const lineId = id(2, 1)
  put('job-set', { name: 'J', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 }, T0)
  const how = { method: 'solvent-cement', material: 'pvc-u', school: 'metric', placeId: 'p', ratingBar: 16 }
  put('line-set', { lineId, tag: 'L', name: 'L', ...how }, T0)
  for (let n = 0; n < ITEMS; n++)
    put(
      'item-put',
      {
        lineId,
        itemId: id(3, n),
        item: {
          type: 'piece',
          tag: `P${n}`,
          size: n % 4 ? 'd63' : 'd110',
          measure: 'end-end',
          measuredMm: 900,
          jointA: joint(2 * n),
          jointB: joint(2 * n + 1),
          tagA: `${2 * n}`,
          tagB: `${2 * n + 1}`,
        },
      },
      T0,
    )
  const jointIds = Array.from({ length: 2 * ITEMS }, (_, n) => joint(n))
  const set = { sectionId: 's', tag: 'S', workingBar: 6, testBar: 9, holdS: 3600, allowedDropBar: 0.2 }
  put('section-set', { ...set, jointIds }, T0)
  const read = (what: string, value: number, h: number): void =>
    put('reading', { placeId: 'p', what, basis: 'measured', atS: T0 + h * 3600, value }, T0 + h * 3600)
  for (let h = 0; h < 48; h++)
    for (const what of ['wall', 'air', 'humidity']) read(what, what === 'humidity' ? 60 : wall(h), h)
  for (const [n, j] of jointIds.entries())
    for (const [k, s] of ['fit', 'cement', 'home', 'judge'].entries())
      put(
        'step-done',
        { life: 1, step: s, readings: s === 'judge' ? { checkMm: 50, bead: 'all-round' } : {}, shown: [] },
        T0 + 3600 + n * 60 + k * 40,
        j,
      )
  const times: number[] = []
  const folds: number[] = []
  for (let run = 0; run < 9; run++) {
    read('wall', 4 + run, 48 + run)
    const began = performance.now()
    const state = foldJob(events)
    const folded = performance.now()
    const answer = sectionAnswer(state, 's', T0 + (49 + run) * 3600)
    if (answer?.joints.length !== 2 * ITEMS) throw new Error('no answer')
    folds.push(folded - began)
    times.push(performance.now() - folded)
  }
  const mid = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] as number
  tell(
    'A new reading re-times 2,000 joints: facts, ladder, answer',
    `${Math.round(mid(times))} ms (and ${Math.round(mid(folds))} ms to fold the log)`,
    '100 ms',
  )
}

if (process.argv[2] === 'ladder') ladder()
else if (process.argv[2] === 'retime') retime()
else fold()
