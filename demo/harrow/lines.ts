import type { MadeLine } from '../joints.js'

/** The lines of the light, in inches, by their entries: every way of joining its school has. Invented. */
export interface HarrowLine extends MadeLine {
  name: string
  schedule?: string
  details?: Readonly<Record<string, unknown>>
  /** What it answers of other ways of joining that it has. */
  ways?: Readonly<Record<string, Readonly<Record<string, unknown>>>>
  /** Where it is, if not in the boiler room. */
  place?: string
  entries: readonly string[]
}
const straight = (size: string, valve: string): readonly string[] => [
  `tee ${size}`,
  '48 f-f',
  `elbow 90 ${size}`,
  '36-1/2 f-f',
  `elbow 90 ${size}`,
  '29-1/4 f-f',
  `valve ${size} tag ${valve}`,
]
const TOLD: readonly Omit<HarrowLine, 'school'>[] = [
  {
    tag: 'HH',
    name: 'Heating, boiler room to the keeper\u2019s house',
    method: 'press',
    material: 'carbon-steel',
    entries: straight('1', 'V1'),
  },
  {
    tag: 'HD',
    name: 'Hot water to the keeper\u2019s kitchen',
    method: 'solder',
    material: 'copper',
    entries: ['tee 3/4', '42 f-f', 'union 3/4', '30 f-f', 'elbow 90 3/4', '24 f-f', 'valve 3/4 tag V2'],
  },
  {
    tag: 'KD',
    name: 'Boiler condensate',
    method: 'solvent-cement',
    material: 'pvc',
    schedule: '80',
    entries: straight('2', 'V3'),
  },
  {
    tag: 'HC',
    name: 'Hot water to the wash house',
    method: 'solvent-cement',
    material: 'cpvc',
    entries: straight('3/4', 'V4'),
  },
  {
    tag: 'SL',
    name: 'Service line from the well',
    method: 'compression',
    material: 'pe',
    details: { kind: 'grip-nut' },
    entries: straight('3/4', 'V5'),
  },
  {
    tag: 'SI',
    name: 'Seawater intake',
    method: 'adhesive-bond',
    material: 'epoxy-resin',
    details: { socketDepthMm: 50 },
    place: 'intake',
    entries: straight('4', 'V6'),
  },
  {
    tag: 'PF',
    name: 'Pump house, flanged suction',
    method: 'flange',
    material: 'carbon-steel',
    schedule: '40',
    details: { bolts: 8, dryTorqueNm: 90 },
    entries: straight('4', 'V7'),
  },
  {
    tag: 'PX',
    name: 'Pump house, expansion joints',
    method: 'expansion-joint',
    material: 'carbon-steel',
    schedule: '40',
    details: { bolts: 8, dryTorqueNm: 80, rods: 'limit', extensionMm: 10 },
    entries: straight('6', 'V8'),
  },
  {
    tag: 'PC',
    name: 'Pump house, split couplings',
    method: 'split-coupling',
    material: 'carbon-steel',
    schedule: '40',
    details: { bolts: 4, dryTorqueNm: 200, kDry: 0.2, kLubricated: 0.15 },
    entries: straight('8', 'V9'),
  },
  {
    tag: 'GT',
    name: 'Gauge and relief tappings',
    method: 'threaded',
    material: 'carbon-steel',
    entries: straight('3/4', 'V10'),
  },
  {
    tag: 'FM',
    name: 'Fire main',
    method: 'grooved-coupling',
    material: 'carbon-steel',
    schedule: '40',
    details: { kind: 'flexible' },
    entries: straight('4', 'V11'),
  },
  {
    tag: 'WM',
    name: 'Wash-down main with tappings',
    method: 'solvent-cement',
    material: 'pvc',
    schedule: '80',
    ways: { 'pipe-saddle': { bolts: 2, dryTorqueNm: 27, holeMm: 25.4, holeMostMm: 28 } },
    entries: [
      'tee 4',
      '120 f-f',
      'valve 4 tag V12',
      ...[24, 48, 72, 96, 110].flatMap((at) => [`saddle 3/4 at ${at}`, 'plug 3/4', '..']),
    ],
  },
]
export const LINES: readonly HarrowLine[] = TOLD.map((line) => ({ ...line, school: 'inch' }))
