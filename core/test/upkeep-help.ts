import { DateTime } from 'luxon'
import { type CareTask, allFacts, foldJob, inUseEntry, upkeepOf } from '../src/index.js'
import { LINE, Log, PLACE, SECTION, T0, joint, uuid } from './make-job.js'

export const DAY_S = 86_400
/** 2026-09-21. */
export const MADE = DateTime.fromSeconds(T0, { zone: 'utc' })
export const dayOf = (when: DateTime): string => when.toISODate() as string
export const PIN = { rules: 1, chart: null, school: 'metric', table: 'current' }

/** Two clamps on steam, torqued at 4 Nm on the day of these tests. */
export function clamps(details: object = {}): Log {
  const log = new Log()
  const atS = T0 - DAY_S
  log.put('job-set', { name: 'J', zone: 'UTC', school: 'metric' }, { atS })
  log.put('place-set', { placeId: PLACE, name: 'P' }, { atS })
  log.put(
    'line-set',
    {
      lineId: LINE,
      tag: 'H',
      name: 'H',
      method: 'sanitary-clamp',
      material: 'stainless',
      school: 'metric',
      placeId: PLACE,
      details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4, steam: true, ...details },
    },
    { atS },
  )
  const [jointA, jointB] = [joint(1), joint(2)]
  const ends = { jointA, jointB, tagA: 'H-1', tagB: 'H-2' }
  const piece = { type: 'piece', tag: 'P1', size: 'DN 40', measure: 'face-face', measuredMm: 900, ...ends }
  log.put('item-put', { lineId: LINE, itemId: uuid(20), item: piece }, { atS })
  for (const jointId of [jointA, jointB])
    ['parts', 'clamp', 'gaps', 'torque', 'look'].forEach((step, i) =>
      log.put(
        'step-done',
        {
          life: 1,
          step,
          readings:
            {
              gaps: { gapMinMm: 0.9, gapMaxMm: 0.9 },
              torque: { torqueNm: 4 },
              look: { jaws: 'apart', intrusionMm: 0.1 },
            }[step] ?? {},
          pin: PIN,
        },
        { jointId, atS: T0 + i * 60 },
      ),
    )
  const bars = { workingBar: 3, testBar: 4.5, holdS: 600, allowedDropBar: 0.1 }
  log.put('section-set', { sectionId: SECTION, tag: 'H-A', jointIds: [jointA, jointB], ...bars })
  return log
}
export function seen(log: Log) {
  const state = foldJob(log.events)
  const facts = allFacts(state, T0)
  const tasks = upkeepOf(state, facts)
  const task = (care: string): CareTask => tasks.find((one) => one.care.endsWith(care)) as CareTask
  return { state, facts, tasks, task, section: state.sections.get(SECTION)! }
}
export const use = (log: Log, days = 0): Log => {
  const { kind, data } = inUseEntry(SECTION, dayOf(MADE.plus({ days })))
  log.put(kind, data, { atS: T0 + days * DAY_S + 3600 })
  return log
}
export const done = (log: Log, care: string, days: number, more: object, ofId = joint(1)): unknown =>
  log.put(
    'care-done',
    { sectionId: SECTION, care: `sanitary-clamp/${care}`, ofId, good: true, ...more },
    { atS: T0 + days * DAY_S },
  )
