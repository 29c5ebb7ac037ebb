import { flag, number, oneOf, text } from '../schema/shape.js'
import { type Kind, day, id, instant, may, must, tag } from './kinds-shapes.js'

/** What a section may carry that has to be looked after whatever its joints are. */
export const DEVICE_KINDS = [
  'backflow preventer',
  'relief valve',
  'pressure reducer',
  'filter',
  'sprinklers',
  'other device',
] as const
export type DeviceKind = (typeof DEVICE_KINDS)[number]
/** Longest time between two looks, months; nobody counts more openings than this. */
export const MOST_MONTHS = 1200
export const MOST_OPENINGS = 100_000
const torque = number({ min: 0, max: 20_000 })
/** Name of a care: of a way of joining or a kind of device, and what is done. */
const care = { type: 'string', max: 80 } as const

/** Events of joints that live on after they were handed over. */
export const UPKEEP_KINDS: Readonly<Record<string, Kind>> = {
  // A section is in use since a day; without one it is out of use.
  'in-use': { v: 1, joint: false, fields: [must('sectionId', id), may('fromOn', day)] },
  'device-set': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('deviceId', id),
      must('kind', oneOf(...DEVICE_KINDS)),
      must('name', tag),
      may('gone', flag),
    ],
  },
  // How often, where a maker or the plant says so; with neither figure the rule holds again.
  'care-interval': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('care', care),
      may('months', number({ min: 1, max: MOST_MONTHS, integer: true })),
      may('openings', number({ min: 1, max: MOST_OPENINGS, integer: true })),
      may('reference', text),
    ],
  },
  'care-done': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('care', care),
      // The joint or the device.
      must('ofId', id),
      must('good', flag),
      may('atS', instant),
      may('foundNm', torque),
      may('leftNm', torque),
      // A new gasket went in, out of this lot.
      may('renewed', flag),
      may('lotId', id),
      may('says', text),
    ],
  },
}
