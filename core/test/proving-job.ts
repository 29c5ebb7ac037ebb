import { foldJob, stopsForTest } from '../src/index.js'
import type { Section } from '../src/log/state.js'
import { Log, PLACE, SECTION, T0, joint, lineJob } from './make-job.js'

export const H = 3600
export const HEAD = { seq: 1, hash: 'f'.repeat(64) }
export const GATES = ['supports', 'vents', 'isolated', 'gauge', 'people']
export function wall(log: Log, value: number, fromH: number, toH: number): void {
  for (let h = fromH; h <= toH; h++)
    log.put(
      'reading',
      { placeId: PLACE, what: 'wall', basis: 'measured', atS: T0 + h * H, value },
      { atS: T0 + h * H },
    )
}
/** Four joints home at T0, every gate closed, wall at 15 °C, measures that give cut lengths. */
export function ready(): Log {
  const log = lineJob(2, { testBar: 9, ratingBar: 16 })
  for (const [n, mm] of [
    ['tee', 40],
    ['elbow 90', 38],
  ] as const)
    log.put(
      'take-off',
      { fitting: n, size: 'd63', takeOffMm: mm, takeOffTo: 'face' },
      { atS: T0 - 6 * 86400 },
    )
  wall(log, 15, -2, 40)
  for (let n = 1; n <= 4; n++) log.make(joint(n), T0 + n * 300)
  log.put('section-state', { sectionId: SECTION, state: 'full' }, { atS: T0 + H })
  for (const gate of GATES) log.put('gate', { sectionId: SECTION, gate, done: true }, { atS: T0 + H })
  return log
}
export const plan = (more: Record<string, unknown>): Record<string, unknown> => ({
  sectionId: SECTION,
  medium: 'water',
  ...more,
})
export const sectionIn = (log: Log): Section => foldJob(log.events).sections.get(SECTION) as Section
export const codes = (log: Log, bar = 9, medium = 'water', atH = 20, more = {}) =>
  stopsForTest(foldJob(log.events), SECTION, bar, medium, T0 + atH * H, more).map((s) => s.code)
export const BEGUN = {
  sectionId: SECTION,
  bar: 9,
  medium: 'water',
  holdS: 1800,
  allowedDropBar: 0.3,
  resolutionBar: 0.05,
  tester: 'T',
}
export function test(
  log: Log,
  id: string,
  atH: number,
  verdict = 'held',
  more: Record<string, unknown> = {},
): void {
  const atS = T0 + atH * H
  log.put(
    'test-begun',
    {
      ...BEGUN,
      testId: id,
      ...more,
    },
    { atS },
  )
  log.put(
    'test-log',
    { testId: id, from: 'L', rows: Array.from({ length: 31 }, (_, i) => [atS + i * 60, 9, 15]) },
    { atS: atS + 1900 },
  )
  log.put('test-ended', { testId: id, verdict, dropBar: 0.01, uncertaintyBar: 0.1 }, { atS: atS + 2000 })
}
