/** The demo job as a person sets it out: lines by their entries, take-offs measured, sections, stock. Invented. */
export interface DemoLine {
  tag: string
  name: string
  entries: string[]
  joined?: { method: string; material: string; details?: Readonly<Record<string, unknown>> }
}
export const LINES: readonly DemoLine[] = [
  {
    tag: 'Q1',
    name: 'Feed to quarantine tanks',
    entries: ['tee 50', '940 c-c', 'elbow 90 50', '615 c-c', 'valve 50 tag V1'],
  },
  {
    tag: 'Q2',
    name: 'Quarantine loop, seawater',
    entries: [
      'tee 110',
      '1250 c-c',
      'elbow 90 110',
      '860 c-c',
      'reducer 110 63',
      '702 c-c',
      'reducer 63 20',
      '415 c-c',
      'valve 20 tag V2',
    ],
  },
  {
    tag: 'HW',
    name: 'Hot water to the feed kitchen',
    entries: [
      'tee 22',
      '1850 c-c',
      'elbow 90',
      '960 c-c',
      'tee',
      'x3',
      'branch',
      '640 c-c',
      'elbow 90',
      'bent 300 45 420 -45 300 r 76',
      'valve 22 tag V5',
    ],
    joined: { method: 'solder', material: 'copper' },
  },
  {
    tag: 'ML',
    name: 'Laboratories, cold water',
    entries: ['tee 20', '2300 c-c', 'elbow 90', '1140 c-c', 'elbow 90', 'x2'],
    joined: { method: 'press', material: 'multilayer' },
  },
  {
    tag: 'FK',
    name: 'Feed kitchen, rinse',
    entries: ['tee DN 40', '780 f-f', 'valve DN 40 tag V7'],
    joined: { method: 'sanitary-clamp', material: 'stainless' },
  },
  {
    tag: 'AD',
    name: 'Acid dosing, containment',
    entries: ['elbow 90 63', '1400 c-c', 'tee', '620 c-c', 'elbow 90'],
  },
  {
    tag: 'QR',
    name: 'Quarantine ring main, round the room',
    entries: [
      'from +2.600 north',
      'flow on',
      'elbow 90 63 east',
      '2400 c-c',
      'tee branch down',
      'branch',
      '1400 c-c',
      'valve 63 tag V11',
      'anchor',
      '..',
      '1800 c-c',
      'elbow 90 south',
      '1350 c-c',
      'tee branch down',
      'branch',
      '900 c-c',
      'valve 63 tag V12',
      '..',
      '1350 c-c',
      'elbow 90 west',
      '1800 c-c',
      'union',
      'anchor',
      '2402 c-c',
      'elbow 90 north',
      // Measured as rooms are: it comes back to within 3 mm.
      '2698 c-c',
      'to QR/F01',
    ],
  },
]
export const CARRIER = {
  inside: 'AD',
  tag: 'ADi',
  name: 'Acid dosing, containment, carrier',
  sizes: { d63: 'd32' },
} as const
export const TAKE_OFFS: readonly (readonly [
  fitting: string,
  size: string,
  size2: string | null,
  mm: number,
])[] = [
  ['tee', 'd50', null, 59],
  ['elbow 90', 'd50', null, 59],
  ['valve', 'd50', null, 74],
  ['tee', 'd110', null, 118],
  ['elbow 90', 'd110', null, 119],
  ['reducer', 'd110', 'd63', 84],
  ['reducer', 'd63', 'd20', 55],
  ['valve', 'd20', null, 41],
  ['tee', 'd22', null, 24],
  ['elbow 90', 'd22', null, 22],
  ['tee branch', 'd22', null, 24],
  ['valve', 'd22', null, 31],
  ['elbow 90', 'd63', null, 70],
  ['tee', 'd63', null, 70],
  ['tee branch', 'd63', null, 70],
  ['valve', 'd63', null, 88],
  ['union', 'd63', null, 52],
]
export const RATING_BAR = 16
export const SECTION = { workingBar: 8, testBar: 12, holdS: 3600, allowedDropBar: 0.2 } as const
export const STOCK = { kerfMm: 2.5, keepMm: 400, barsMm: [3000, 5000] }
/** Lines of other ways of joining, set out with what those ask besides, and made. */
export const MORE_LINES: readonly DemoLine[] = [
  {
    tag: 'PR',
    name: 'Circulation, cold and warm',
    entries: ['tee 32', '900 f-f', 'elbow 90 32', '700 f-f', 'elbow 90 32', '480 f-f', 'valve 32 tag V8'],
    joined: { method: 'socket-fusion', material: 'pp-r' },
  },
  {
    tag: 'PD',
    name: 'Dosing tube',
    entries: [
      'tee OD 1/2',
      '600 f-f',
      'elbow 90 OD 1/2',
      '450 f-f',
      'elbow 90 OD 1/2',
      '300 f-f',
      'valve OD 1/2 tag V9',
    ],
    joined: { method: 'flare', material: 'pfa', details: { cold: true, quenched: true } },
  },
  {
    tag: 'OZ',
    name: 'Ozone sampling',
    entries: ['tee 12', '820 f-f', 'elbow 90 12', '540 f-f', 'elbow 90 12', '410 f-f', 'valve 12 tag V10'],
    joined: { method: 'compression', material: 'stainless', details: { socketDepthMm: 20 } },
  },
  {
    tag: 'ST',
    name: 'Feed kitchen, steam',
    entries: [
      'tee DN 40',
      '780 f-f',
      'valve DN 40 tag V13',
      '520 f-f',
      'elbow 90 DN 40',
      '610 f-f',
      'tee DN 40',
    ],
    joined: {
      method: 'sanitary-clamp',
      material: 'stainless',
      details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4, steam: true },
    },
  },
]
