/** How joints of a method are made in the demo: steps in order, so many seconds after the first, with what is read. */
export interface Making {
  steps: readonly (readonly [step: string, afterS: number, reads?: Readonly<Record<string, unknown>>])[]
  /** A reading with which it fails, and what is said when such a one is cut out. */
  bad: { reads: Readonly<Record<string, unknown>>; says: string }
}
const RIGHT = { indicator: 'gone', edge: 'at-edge' }

/** How a joint is made, of what, by which school. */
export interface Made {
  method: string
  material: string
  school: 'inch' | 'metric'
}
/** By method; where a material or a school does otherwise, by that besides. */
const MAKING: Readonly<Record<string, Making>> = {
  press: {
    steps: [
      ['insert', 0],
      ['press', 60],
      ['look', 90, RIGHT],
    ],
    bad: { reads: { edge: 'off-edge' }, says: 'pulled out before it was pressed' },
  },
  solder: {
    steps: [
      ['fit', 0, { unionNut: 'on' }],
      ['flux', 60],
      ['heat', 120],
      ['look', 420, { ring: 'all-round' }],
    ],
    bad: { reads: { ring: 'gaps' }, says: 'no solder behind, the flame stood in front' },
  },
  'solvent-cement': {
    steps: [
      ['fit', 0],
      ['prime', 60],
      ['cement', 95],
      ['home', 125],
      ['judge', 240, { checkMm: 50.8, bead: 'all-round' }],
    ],
    bad: { reads: { checkMm: 57 }, says: 'short of home, it pushed back' },
  },
  compression: {
    steps: [
      ['ready', 0],
      ['start', 60],
      ['turn', 120, { turns: 2 }],
      ['look', 180, { mark: 'at-nut' }],
    ],
    bad: { reads: { mark: 'moved-out' }, says: 'the tube walked out of the nut' },
  },
  'adhesive-bond': {
    steps: [
      ['sand', 0],
      ['mix', 300],
      ['bond', 480],
      ['fillet', 600],
      ['look', 900, { home: 'bottomed', fillet: 'all-round' }],
    ],
    bad: { reads: { home: 'short' }, says: 'not bottomed, set too early' },
  },
  flange: {
    steps: [
      ['align', 0],
      ['gasket', 300],
      ['star', 900, { torqueNm: 90 }],
      ['look', 1200, { faces: 'even' }],
    ],
    bad: { reads: { faces: 'uneven' }, says: 'gasket torn: it was set in crooked' },
  },
  'expansion-joint': {
    steps: [
      ['place', 0],
      ['studs', 300],
      ['star', 900, { torqueNm: 80 }],
      ['rods', 1500, { outerMm: 10 }],
    ],
    bad: { reads: { outerMm: 14 }, says: 'rods left open by a turn too many' },
  },
  'split-coupling': {
    steps: [
      ['ready', 0],
      ['gasket', 300],
      ['halves', 900],
      ['bolts', 1200, { torqueNm: 150 }],
      ['look', 1500, { faces: 'together' }],
    ],
    bad: { reads: { faces: 'apart' }, says: 'gasket pinched, the faces stayed apart' },
  },
  threaded: {
    steps: [
      ['thread', 0],
      ['seal', 60, { sealant: 'tape' }],
      ['hand', 120],
      ['wrench', 180, { turns: 2 }],
      ['look', 240, { threadsShowing: 3 }],
    ],
    bad: { reads: { threadsShowing: 0 }, says: 'bottomed, the thread was cut too long' },
  },
  'grooved-coupling': {
    steps: [
      ['groove', 0, { grooveMm: 110 }],
      ['gasket', 120],
      ['ends', 240, { endGapMm: 1.6 }],
      ['housing', 360],
      ['tighten', 480],
      ['look', 600, { pads: 'met', keys: 'in', deflectionDeg: 0.5 }],
    ],
    bad: { reads: { keys: 'out' }, says: 'a key stood beside its groove' },
  },
  'pipe-saddle': {
    steps: [
      ['place', 0],
      ['hole', 300, { holeMm: 25.4, disc: 'out' }],
      ['edge', 420],
      ['seat', 540],
      ['tighten', 660, { torqueNm: 27 }],
      ['look', 780, { seated: 'even' }],
    ],
    bad: { reads: { holeMm: 30 }, says: 'cut twice, the hole was too large' },
  },
  'solder metric': {
    steps: [
      ['fit', 0],
      ['flux', 60],
      ['heat', 120],
      ['look', 400, { ring: 'all-round' }],
    ],
    bad: { reads: { ring: 'gaps' }, says: 'a gap in the ring, moved while it set' },
  },
  'compression stainless': {
    steps: [
      ['ready', 0],
      ['start', 60],
      ['turn', 120, { turns: 1.25 }],
      ['look', 180, { mark: 'shows-behind-nut' }],
    ],
    bad: { reads: { turns: 1.75 }, says: 'half a turn too many' },
  },
  'socket-fusion': {
    steps: [
      ['ready', 0],
      ['heat', 60, { toolC: 260 }],
      ['join', 70],
      ['look', 330, { fusionBead: 'double-all-round', tiltDeg: 1 }],
    ],
    bad: { reads: { tiltDeg: 8 }, says: 'pushed in askew' },
  },
  flare: {
    steps: [
      ['nut', 0],
      ['form', 60],
      ['fit', 180],
      ['look', 400, { gapMinMm: 2.7, gapMaxMm: 2.9 }],
    ],
    bad: { reads: { gapMaxMm: 4 }, says: 'drawn up on one side' },
  },
  'sanitary-clamp': {
    steps: [
      ['parts', 0],
      ['clamp', 60],
      ['gaps', 90, { gapMinMm: 0.9, gapMaxMm: 0.9 }],
      ['torque', 150, { torqueNm: 4 }],
      ['look', 200, { jaws: 'apart', intrusionMm: 0.1 }],
    ],
    bad: { reads: { intrusionMm: 0.7 }, says: 'gasket torn, it stood in the bore' },
  },
}
/** How a joint of a line is made. */
export function makingOf({ method, material, school }: Made): Making {
  const own = MAKING[`${method} ${material}`] ?? MAKING[`${method} ${school}`] ?? MAKING[method]
  if (!own) throw new Error(`nobody told how ${method} is made`)
  return own
}
