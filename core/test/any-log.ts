import fc from 'fast-check'
import type { JobEvent } from '../src/index.js'
import { LINE, PLACE, SECTION, T0, joint, lineJob, uuid } from './make-job.js'

/** Any well-formed sequence, sensible or not: steps out of order, unknown joints, corrections of anything. */
export const anyEvents = fc.array(
  fc.record({
    kind: fc.constantFrom(
      'step-done',
      'cut-out',
      'correction',
      'interrupted',
      'reading',
      'test-begun',
      'test-read',
      'test-ended',
      'gate',
      'item-removed',
      'piece-cut',
      'section-state',
      'joint-placed',
      'item-put',
      'batch-done',
      'tool-set',
      'tool-said',
      'tool-found',
      'tool-proof',
      'permit-set',
      'job-set',
      'line-changed',
      'around-said',
      'chart-loaded',
      'socket-measured',
      'joints-doubted',
      'role-given',
      'looked-over',
      'section-set',
      'plan-pinned',
    ),
    joint: fc.integer({ min: 1, max: 6 }),
    life: fc.integer({ min: 1, max: 3 }),
    step: fc.constantFrom('fit', 'cement', 'home', 'judge', 'prime', 'nonsense'),
    atS: fc.integer({ min: 0, max: 100_000 }),
    who: fc.integer({ min: 1, max: 3 }),
    ref: fc.integer({ min: 0, max: 40 }),
    after: fc.array(fc.integer({ min: 0, max: 40 }), { maxLength: 3 }),
    value: fc.double({ min: -20, max: 60, noNaN: true }),
  }),
  { maxLength: 40 },
)
export type Raw = typeof anyEvents extends fc.Arbitrary<infer T> ? T : never

/** The log of a short line in which all of it was written. */
export function logOf(raw: Raw): JobEvent[] {
  const log = lineJob(2)
  const id = (n: number): string => uuid(5000 + n)
  raw.forEach((r, i) => {
    const data: Record<string, Record<string, unknown>> = {
      'step-done': {
        life: r.life,
        step: r.step,
        readings: { checkMm: 50 + (r.ref % 7), bead: 'all-round', ...(r.ref % 5 ? {} : { byTool: true }) },
        ...(r.ref % 3 ? {} : { toolIds: [uuid(r.ref % 4)] }),
        shown: [{ key: 'depthMm', value: 50 + r.ref, source: 'x' }],
        pin: { school: 'metric' },
      },
      'cut-out': { life: r.life },
      correction: { target: id(r.ref), undo: r.ref % 2 === 0, atS: T0 + r.atS },
      interrupted: { life: r.life, what: 'rain' },
      reading: {
        placeId: PLACE,
        what: 'wall',
        basis: r.ref % 4 ? 'typed' : 'forecast',
        atS: T0 + r.atS,
        value: r.value,
        ...(r.ref % 3 ? {} : { supersedes: id(r.ref) }),
      },
      'test-begun': {
        testId: id(r.ref),
        sectionId: SECTION,
        bar: 9,
        medium: 'water',
        holdS: 60,
        allowedDropBar: 0.1,
        resolutionBar: 0.1,
        tester: 'x',
      },
      'test-read': { testId: id(r.ref), atS: T0 + r.atS, bar: r.value },
      'test-ended': { testId: id(r.ref), verdict: 'held' },
      gate: { sectionId: uuid(r.ref), gate: 'vents', done: true },
      'item-removed': { lineId: LINE, itemId: uuid(30 + r.joint) },
      'piece-cut': { itemId: uuid(30 + r.joint), cutMm: r.value },
      'section-state': { sectionId: SECTION, state: 'full' },
      'joint-placed': { placeId: uuid(r.ref), fromS: T0 + r.atS },
      'batch-done': {
        joints: [
          { jointId: joint(r.joint), life: r.life },
          { jointId: joint(r.ref % 6), life: 1 },
        ],
        steps: [{ step: r.step, readings: {} }],
        fromS: T0 + r.atS,
        toS: T0 + r.atS + 60,
        basis: 'memory',
        toolIds: [uuid(r.ref % 4)],
      },
      'tool-set': { toolId: uuid(r.ref % 4), kind: 'press-tool', name: 'T', matches: { size: 'd63' } },
      'tool-said': { toolId: uuid(r.ref % 4), what: 'cycle', result: 'complete', atS: T0 + r.atS },
      'tool-found': { toolId: uuid(r.ref % 4), fromS: T0, toS: T0 + r.atS, says: 'cracked' },
      'tool-proof': { toolId: uuid(r.ref % 4), good: r.ref % 2 === 0, how: 'bite' },
      'job-set': { name: 'J', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 40 + r.ref },
      'line-changed': {
        lineId: LINE,
        tag: 'Q',
        name: 'Q',
        method: r.ref % 2 ? 'solvent-cement' : 'press',
        material: r.ref % 2 ? 'pvc-u' : 'copper',
        school: 'metric',
        placeId: r.ref % 3 ? PLACE : uuid(r.ref),
        ratingBar: r.ref,
      },
      'around-said': {
        lineId: LINE,
        jointId: r.ref % 2 ? joint(r.joint) : null,
        said: { service: r.ref % 3 ? 'drain' : 'pressure' },
      },
      'chart-loaded': {
        chartId: uuid(400 + r.ref),
        name: 'C',
        rows: [
          {
            method: 'solvent-cement',
            material: 'pvc-u',
            size: 'd63',
            field: 'socketDepthMm',
            value: 30 + r.ref,
            reference: 'p. 3',
          },
        ],
      },
      'socket-measured': { material: 'pvc-u', size: 'd63', depthMm: 30 + r.ref },
      'joints-doubted': { jointIds: [joint(r.joint), joint(r.ref % 6)], says: 'seen by none' },
      'role-given': { personId: uuid(800_000 + r.who), role: r.ref % 2 ? 'apprentice' : 'fitter' },
      'looked-over': { life: r.life, found: r.ref % 2 ? 'good' : 'wrong' },
      'section-set': {
        sectionId: r.ref % 2 ? SECTION : uuid(r.ref),
        tag: 'S',
        jointIds: [joint(r.joint), joint(r.ref % 6)],
        workingBar: 6,
        testBar: 9,
        holdS: 60,
        allowedDropBar: 0.1,
      },
      'plan-pinned': {
        aim: 'each',
        joints: [{ jointId: joint(r.joint), startS: T0 + r.atS, endS: T0 + r.atS + 60, crew: [] }],
        valueS: 1,
        boundS: 1,
      },
      'permit-set': { what: 'hot-work', number: 'H', fromS: T0, untilS: T0 + r.atS },
      'item-put': {
        lineId: r.ref % 3 ? LINE : uuid(77),
        itemId: uuid(60 + r.joint),
        afterItemId: uuid(r.ref),
        item: {},
      },
    }
    log.put(r.kind, data[r.kind] ?? {}, {
      atS: T0 + r.atS,
      who: r.who,
      jointId: joint(r.joint),
      id: id(i),
      after: r.after.map(id),
    })
  })
  return log.events
}
/** What a method says of itself is the same wherever it is met. */
const SAID_ONCE = new Set(['method', 'words', 'steps'])
/** A state as text: maps do not compare by themselves. */
export const plain = (x: unknown): string =>
  JSON.stringify(x, (key, v: unknown) =>
    v instanceof Map ? [...v.entries()].sort() : SAID_ONCE.has(key) && typeof v === 'object' ? undefined : v,
  )
