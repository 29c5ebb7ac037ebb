import { type Draft, type JobEvent, KINDS } from '../src/index.js'

/** Small builder of job logs for tests: one device a person, times in epoch seconds. */
export const JOB = '00000000-0000-4000-8000-000000000001'
export const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
export const T0 = 1_790_000_000

export class Log {
  readonly events: JobEvent[] = []
  private readonly seqs = new Map<string, number>()
  private n = 1000
  put(
    kind: string,
    data: Record<string, unknown>,
    o: { atS?: number; jointId?: string; who?: number; after?: string[]; id?: string } = {},
  ): string {
    const who = o.who ?? 1
    const deviceId = uuid(900_000 + who)
    const deviceSeq = (this.seqs.get(deviceId) ?? 0) + 1
    this.seqs.set(deviceId, deviceSeq)
    const draft: Draft = {
      id: o.id ?? uuid(this.n++),
      kind,
      v: KINDS[kind]?.v ?? 1,
      jointId: o.jointId ?? null,
      atDeviceS: o.atS ?? T0,
      deviceSeq,
      after: o.after ?? [],
      data,
    }
    this.events.push({
      ...draft,
      jobId: JOB,
      deviceId,
      actorId: uuid(800_000 + who),
      occurredAtS: draft.atDeviceS,
      clockErrorS: 0,
    })
    return draft.id
  }
  step(
    jointId: string,
    step: string,
    atS: number,
    readings: Record<string, unknown> = {},
    life = 1,
    who = 1,
  ): string {
    return this.put(
      'step-done',
      { life, step, readings, shown: [], pin: { rules: 1, chart: null, school: 'metric', table: 'current' } },
      { atS, jointId, who },
    )
  }
  make(jointId: string, atS: number, life = 1, checkMm = 50): void {
    this.step(jointId, 'fit', atS, {}, life)
    this.step(jointId, 'cement', atS + 60, {}, life)
    this.step(jointId, 'home', atS + 100, {}, life)
    this.step(jointId, 'judge', atS + 160, { checkMm, bead: 'all-round' }, life)
  }
}

export const PLACE = uuid(10)
export const LINE = uuid(11)
export const SECTION = uuid(12)
export const joint = (n: number): string => uuid(100 + n)

/** A metric line, of cemented PVC-U where nothing else is asked for, of `pieces` pieces, two joints each, and a section over all of them. */
export function lineJob(
  pieces: number,
  o: {
    size?: string
    testBar?: number
    ratingBar?: number | null
    way?: { method: string; material: string }
  } = {},
): Log {
  const log = new Log()
  const size = o.size ?? 'd63'
  const atS = T0 - 7 * 86400
  log.put(
    'job-set',
    { name: 'J', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 },
    { atS },
  )
  log.put('place-set', { placeId: PLACE, name: 'P' }, { atS })
  log.put(
    'line-set',
    {
      lineId: LINE,
      tag: 'Q',
      name: 'Q',
      ...(o.way ?? { method: 'solvent-cement', material: 'pvc-u' }),
      school: 'metric',
      placeId: PLACE,
      ratingBar: o.ratingBar ?? null,
    },
    { atS },
  )
  const ids: string[] = []
  log.put(
    'item-put',
    { lineId: LINE, itemId: uuid(20), item: { type: 'fitting', tag: 'F01', size, fitting: 'tee' } },
    { atS },
  )
  for (let i = 0; i < pieces; i++) {
    const [a, b] = [joint(2 * i + 1), joint(2 * i + 2)]
    ids.push(a, b)
    log.put(
      'item-put',
      {
        lineId: LINE,
        itemId: uuid(30 + 2 * i),
        item: {
          type: 'piece',
          tag: `P${i}`,
          size,
          measure: 'centre-centre',
          measuredMm: 900,
          jointA: a,
          jointB: b,
          tagA: `Q-${2 * i + 1}`,
          tagB: `Q-${2 * i + 2}`,
        },
      },
      { atS },
    )
    log.put(
      'item-put',
      {
        lineId: LINE,
        itemId: uuid(31 + 2 * i),
        item: { type: 'fitting', tag: `F${i + 2}`, size, fitting: 'elbow 90' },
      },
      { atS },
    )
  }
  log.put(
    'section-set',
    {
      sectionId: SECTION,
      tag: 'Q-A',
      jointIds: ids,
      workingBar: 6,
      testBar: o.testBar ?? 9,
      holdS: 3600,
      allowedDropBar: 0.2,
    },
    { atS },
  )
  return log
}
/** Hourly readings of the wall, from a list of temperatures. */
export function walls(log: Log, fromS: number, temperatures: readonly number[], stepS = 3600): void {
  temperatures.forEach((value, i) =>
    log.put(
      'reading',
      { placeId: PLACE, what: 'wall', basis: 'measured', atS: fromS + i * stepS, value },
      { atS: fromS + i * stepS, who: 9 },
    ),
  )
  log.put(
    'reading',
    { placeId: PLACE, what: 'air', basis: 'measured', atS: fromS, value: 15 },
    { atS: fromS, who: 9 },
  )
  log.put(
    'reading',
    { placeId: PLACE, what: 'humidity', basis: 'measured', atS: fromS, value: 50 },
    { atS: fromS, who: 9 },
  )
}
