/** One life of each method: what its line says, the readings of each step, and what one bad reading leads to. */
export interface Story {
  method: string
  material: string
  size: string
  details?: Record<string, unknown>
  /** Readings by step, in order. */
  steps: Record<string, Record<string, unknown>>
  /** Glyph after each step, a second later. */
  glyphs: string[]
  /** Readings that replace good ones, and the verdict they lead to. */
  bad: readonly (readonly [Record<string, unknown>, 'fail' | 'unknown'])[]
  /** Readings that are warned of, and pass all the same. */
  warned?: readonly (readonly [Record<string, unknown>, string])[]
  /** Seconds from made until it may take pressure, by the rule; null = not on this wall. */
  readyS: number | null
  insertsMm: number | null
}
export const WALL_C = 24
export const STORIES: readonly Story[] = [
  {
    method: 'press',
    material: 'copper',
    size: 'd22',
    steps: { insert: {}, press: {}, look: { indicator: 'gone', edge: 'at-edge' } },
    glyphs: ['unfixed', 'loadable', 'loadable'],
    bad: [
      [{ indicator: 'there' }, 'unknown'],
      [{ edge: 'off-edge' }, 'fail'],
    ],
    readyS: 0,
    insertsMm: 21,
  },
  {
    method: 'solder',
    material: 'copper',
    size: 'd15',
    details: { part: 'ball-valve' },
    steps: { fit: { valvePosition: 'closed' }, flux: {}, heat: {}, look: { ring: 'all-round' } },
    glyphs: ['marked', 'prepared', 'set', 'set'],
    bad: [
      [{ ring: 'gaps' }, 'fail'],
      [{ valvePosition: 'part-open' }, 'fail'],
      [{ ring: null }, 'unknown'],
    ],
    readyS: 1200,
    insertsMm: 10.6,
  },
  {
    method: 'compression',
    material: 'stainless',
    size: 'd12',
    details: { socketDepthMm: 20 },
    steps: { ready: {}, start: {}, turn: { turns: 1.25 }, look: { mark: 'shows-behind-nut' } },
    glyphs: ['marked', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ turns: 1.75 }, 'fail'],
      [{ turns: 0.75 }, 'unknown'],
      [{ mark: 'not-moved' }, 'fail'],
    ],
    readyS: 0,
    insertsMm: null,
  },
  {
    method: 'sanitary-clamp',
    material: 'stainless',
    size: 'DN 40',
    details: { gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
    steps: {
      parts: {},
      clamp: {},
      gaps: { gapMinMm: 0.9, gapMaxMm: 0.9 },
      torque: { torqueNm: 4 },
      look: { jaws: 'apart', intrusionMm: 0.2 },
    },
    glyphs: ['prepared', 'unfixed', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ gapMaxMm: 3.9 }, 'fail'],
      [{ gapMinMm: 2 }, 'unknown'],
      [{ intrusionMm: 0.7 }, 'fail'],
      [{ jaws: 'touch' }, 'fail'],
      [{ jaws: 'wide-open' }, 'unknown'],
    ],
    // A gap of 2.2 mm more on one side of a 50.5 mm flange: 2.5 degrees.
    warned: [[{ gapMaxMm: 3.1 }, 'clamp-tilt-warn']],
    readyS: 0,
    insertsMm: 0,
  },
  {
    method: 'flare',
    material: 'pfa',
    size: 'OD 1/2',
    details: { quenched: true },
    steps: { nut: {}, heat: {}, form: {}, fit: {}, look: { gapMinMm: 2.5, gapMaxMm: 3 } },
    glyphs: ['marked', 'prepared', 'prepared', 'loadable', 'loadable'],
    bad: [
      [{ gapMaxMm: 4 }, 'fail'],
      [{ gapMinMm: 1 }, 'fail'],
      [{ gapMinMm: 3.5 }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: null,
  },
  {
    method: 'socket-fusion',
    material: 'pp-r',
    size: 'd32',
    steps: {
      ready: {},
      heat: { toolC: 260 },
      join: {},
      look: { fusionBead: 'double-all-round', tiltDeg: 1 },
    },
    glyphs: ['marked', 'window', 'hold', 'set'],
    bad: [
      [{ toolC: 230 }, 'fail'],
      [{ fusionBead: 'bore-closed' }, 'fail'],
      [{ tiltDeg: 8 }, 'fail'],
    ],
    warned: [[{ toolC: 245 }, 'fusion-tool-wide']],
    readyS: 240 + 3600,
    insertsMm: 16.5,
  },
  {
    method: 'adhesive-bond',
    material: 'vinyl-ester-resin',
    size: 'NPS 4',
    details: { socketDepthMm: 50 },
    steps: { sand: {}, mix: {}, bond: {}, fillet: {}, look: { home: 'bottomed', fillet: 'all-round' } },
    glyphs: ['window', 'window', 'made', 'set', 'set'],
    bad: [
      [{ home: 'short' }, 'fail'],
      [{ fillet: 'gaps' }, 'unknown'],
    ],
    readyS: 86400,
    insertsMm: null,
  },
  {
    method: 'split-coupling',
    material: 'carbon-steel',
    size: 'NPS 8',
    details: { bolts: 4, dryTorqueNm: 200, kDry: 0.2, kLubricated: 0.15 },
    steps: { ready: {}, gasket: {}, halves: {}, bolts: { torqueNm: 150 }, look: { faces: 'together' } },
    glyphs: ['marked', 'prepared', 'unfixed', 'loadable', 'loadable'],
    bad: [
      // Over its torque a joint takes no pressure until it has been loosened and tightened again.
      [{ torqueNm: 200 }, 'fail'],
      [{ faces: 'apart' }, 'fail'],
    ],
    readyS: 0,
    insertsMm: 0,
  },
  {
    method: 'expansion-joint',
    material: 'carbon-steel',
    size: 'NPS 6',
    details: { dryTorqueNm: 80, rods: 'control', extensionMm: 10, compressionMm: 15 },
    steps: { place: {}, studs: {}, star: { torqueNm: 80 }, rods: { outerMm: 10, innerMm: 14 } },
    glyphs: ['marked', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ outerMm: 12 }, 'fail'],
      [{ innerMm: null }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: 0,
  },
  {
    method: 'grooved-coupling',
    material: 'carbon-steel',
    size: 'NPS 4',
    details: { kind: 'flexible' },
    steps: {
      groove: { grooveMm: 110 },
      gasket: {},
      ends: { endGapMm: 1.6 },
      housing: {},
      tighten: {},
      look: { pads: 'met', keys: 'in', deflectionDeg: 0.5 },
    },
    glyphs: ['marked', 'prepared', 'prepared', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ grooveMm: 110.4 }, 'fail'],
      [{ grooveMm: 109.3 }, 'fail'],
      [{ endGapMm: 3.5 }, 'fail'],
      [{ keys: 'out' }, 'fail'],
      [{ pads: 'apart' }, 'fail'],
      [{ deflectionDeg: 2.5 }, 'fail'],
      [{ deflectionDeg: null }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: 0,
  },
  {
    method: 'threaded',
    material: 'stainless',
    size: 'NPS 1/2',
    steps: {
      thread: {},
      seal: { sealant: 'tape-and-paste' },
      hand: {},
      wrench: { turns: 2 },
      look: { threadsShowing: 3 },
    },
    glyphs: ['marked', 'prepared', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ threadsShowing: 0 }, 'fail'],
      [{ threadsShowing: 1 }, 'unknown'],
      [{ threadsShowing: 6 }, 'unknown'],
      [{ turns: 1 }, 'unknown'],
      [{ turns: 4 }, 'unknown'],
      [{ sealant: 'tape' }, 'unknown'],
      [{ threadsShowing: null }, 'unknown'],
    ],
    warned: [[{ threadsShowing: 4 }, 'thread-many-showing']],
    readyS: 0,
    // ISO 7-1 (from memory): gauge length, and 1-1/2 turns of 14 and of 11 threads in an inch.
    insertsMm: 8.2 + (1.5 * 25.4) / 14,
  },
  {
    method: 'threaded',
    material: 'pvc-u',
    size: 'NPS 1',
    details: { into: 'brass', cutOn: 'fitting' },
    steps: { thread: {}, seal: { sealant: 'tape' }, hand: {}, wrench: { turns: 1.5 }, look: {} },
    glyphs: ['marked', 'prepared', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ turns: 2.5 }, 'fail'],
      [{ turns: 0.5 }, 'unknown'],
      [{ sealant: 'paste' }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: 10.4 + (1.5 * 25.4) / 11,
  },
  {
    method: 'flange',
    material: 'pvc-u',
    size: 'd110',
    details: { bolts: 8, dryTorqueNm: 30 },
    steps: { align: {}, gasket: {}, star: { torqueNm: 30 }, look: { faces: 'even' } },
    glyphs: ['marked', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ faces: 'uneven' }, 'fail'],
      [{ torqueNm: 20 }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: 0,
  },
  {
    method: 'pipe-saddle',
    material: 'pvc',
    size: 'NPS 4',
    details: { bolts: 2, dryTorqueNm: 27, holeMm: 25.4, holeMostMm: 28 },
    steps: {
      place: {},
      hole: { holeMm: 25.4, disc: 'out' },
      edge: {},
      seat: {},
      tighten: { torqueNm: 27 },
      look: { seated: 'even' },
    },
    glyphs: ['marked', 'marked', 'prepared', 'unfixed', 'loadable', 'loadable'],
    bad: [
      [{ holeMm: 29 }, 'fail'],
      [{ holeMm: 22 }, 'fail'],
      [{ disc: 'lost' }, 'fail'],
      [{ seated: 'tilted' }, 'fail'],
      [{ torqueNm: 40 }, 'fail'],
      [{ torqueNm: 20 }, 'unknown'],
    ],
    readyS: 0,
    insertsMm: 0,
  },
]
