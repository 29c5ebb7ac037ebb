export interface Way {
  tag: string
  method: string
  material: string
  /** Wall chosen where it is not the usual one. */
  wall?: string
  /** Answers of the line by field: a choice by its name, a figure as it is typed. */
  asks?: Readonly<Record<string, string>>
  entries: readonly string[]
  joints: number
  /** Figures read in Make, as they are typed. */
  reads?: Readonly<Record<string, string>>
  /**
   * The one mistake at a step, by its own button, and its way back: taken back at once, the step done again as the joint
   * wants it, the joint cut out and made anew, or the part put aside while nothing is made with it.
   */
  slip: { step: number; says: string; back: 'undo' | 'again' | 'cut out' | 'aside' }
}
/** Every way of joining, as a job in inches has it. */
export const INCH_WAYS: readonly Way[] = [
  {
    tag: 'A',
    method: 'solvent-cement',
    material: 'pvc',
    wall: 'Sch 80',
    entries: ['elbow 90 2', '40 c-c', 'tee 2', 'branch', '24-1/2 c-c', 'cap 2', '..', "3' c-c", 'cap 2'],
    joints: 1,
    reads: { checkMm: '2' },
    slip: { step: 3, says: 'Cement hard', back: 'cut out' },
  },
  {
    tag: 'B',
    method: 'solder',
    material: 'copper',
    entries: ['union 3/4', '18 c-c', 'ball valve 3/4'],
    joints: 2,
    slip: { step: 0, says: 'Water in the line', back: 'undo' },
  },
  {
    tag: 'C',
    method: 'press',
    material: 'carbon-steel',
    entries: ['elbow 90 1', '30 c-c', 'tee 1'],
    joints: 2,
    slip: { step: 0, says: 'Mark not reached', back: 'undo' },
  },
  {
    tag: 'D',
    method: 'compression',
    material: 'pe',
    asks: { kind: 'grip nut' },
    entries: ['coupling 3/4', '60 c-c', 'elbow 90 3/4'],
    joints: 1,
    reads: { turns: '2' },
    slip: { step: 0, says: 'Oval: round it again', back: 'again' },
  },
  {
    tag: 'E',
    method: 'compression',
    material: 'stainless',
    entries: ['union 1/2', '20 c-c', 'tee 1/2'],
    joints: 1,
    reads: { turns: '1-1/4' },
    slip: { step: 1, says: 'Tube not bottomed', back: 'again' },
  },
  {
    tag: 'F',
    method: 'sanitary-clamp',
    material: 'stainless',
    asks: { gasket: 'EPDM', tighten: 'torque', torqueNm: '35 in-lb' },
    entries: ['elbow 90 2', '30 c-c', 'tee 2'],
    joints: 2,
    reads: { gapMinMm: '0.035', gapMaxMm: '0.035', torqueNm: '35 in-lb', intrusionMm: '0.004' },
    slip: { step: 1, says: 'Bead not in its groove', back: 'again' },
  },
  {
    tag: 'G',
    method: 'flare',
    material: 'pfa',
    asks: { cold: 'yes', quenched: 'yes' },
    entries: ['elbow 90 1/2', '20 c-c', 'tee 1/2'],
    joints: 1,
    reads: { gapMinMm: '0.1', gapMaxMm: '0.12' },
    slip: { step: 0, says: 'Not square', back: 'again' },
  },
  {
    tag: 'H',
    method: 'socket-fusion',
    material: 'pp-r',
    entries: ['elbow 90 d20', '20 c-c', 'tee d20'],
    joints: 1,
    reads: { toolC: '500', tiltDeg: '1' },
    slip: { step: 0, says: 'Foil left over', back: 'again' },
  },
  {
    tag: 'I',
    method: 'adhesive-bond',
    material: 'epoxy-resin',
    entries: ['elbow 90 4', '60 c-c', 'tee 4'],
    joints: 1,
    slip: { step: 0, says: 'Got wet or oily', back: 'again' },
  },
  {
    tag: 'J',
    method: 'split-coupling',
    material: 'carbon-steel',
    asks: { bolts: '4', dryTorqueNm: '148 ft-lb', kDry: '0.2', kLubricated: '0.15' },
    entries: ['elbow 90 8', '80 c-c', 'tee 8'],
    joints: 1,
    reads: { torqueNm: '111 ft-lb' },
    slip: { step: 1, says: 'Gap to a ring', back: 'again' },
  },
  {
    tag: 'K',
    method: 'expansion-joint',
    material: 'carbon-steel',
    asks: { dryTorqueNm: '59 ft-lb', rods: 'limit', extensionMm: '0.4' },
    entries: ['elbow 90 6', '60 c-c', 'tee 6'],
    joints: 1,
    reads: { torqueNm: '59 ft-lb', outerMm: '0.4' },
    slip: { step: 0, says: 'Raised face', back: 'again' },
  },
  {
    tag: 'L',
    method: 'flange',
    material: 'carbon-steel',
    asks: { bolts: '8', dryTorqueNm: '60 ft-lb' },
    entries: ['elbow 90 4', '60 c-c', 'tee 4'],
    joints: 2,
    reads: { torqueNm: '60 ft-lb' },
    slip: { step: 0, says: 'Face scratched', back: 'aside' },
  },
  {
    tag: 'M',
    method: 'grooved-coupling',
    material: 'carbon-steel',
    asks: { kind: 'flexible', leaveMm: '1/16' },
    entries: ['elbow 90 4', '60 c-c', 'tee 4'],
    joints: 1,
    reads: { grooveMm: '4.33', endGapMm: '0.06', deflectionDeg: '0.5' },
    slip: { step: 1, says: 'Wrong or cut gasket', back: 'again' },
  },
  {
    tag: 'N',
    method: 'threaded',
    material: 'carbon-steel',
    entries: ['elbow 90 1', '20 c-c', 'tee 1'],
    joints: 1,
    reads: { turns: '2', threadsShowing: '3' },
    slip: { step: 2, says: 'Tape against the thread', back: 'again' },
  },
]

/** The same for a job in millimetres. */
export const METRIC_WAYS: readonly Way[] = [
  {
    tag: 'A',
    method: 'solvent-cement',
    material: 'pvc-u',
    wall: 'SDR 13.6',
    entries: [
      'elbow 90 63',
      '900 c-c',
      'tee 63',
      'branch',
      '62,5 cm c-c',
      'cap 63',
      '..',
      '1.2 m c-c',
      'cap 63',
    ],
    joints: 1,
    reads: { checkMm: '50' },
    slip: { step: 2, says: 'Cement hard', back: 'cut out' },
  },
  {
    tag: 'B',
    method: 'solder',
    material: 'copper',
    entries: ['union 22', '450 c-c', 'ball valve 22'],
    joints: 2,
    slip: { step: 0, says: 'Water in the line', back: 'undo' },
  },
  {
    tag: 'C',
    method: 'press',
    material: 'copper',
    entries: ['elbow 90 22', '800 c-c', 'tee 22'],
    joints: 2,
    slip: { step: 0, says: 'Seal lifted', back: 'again' },
  },
  {
    tag: 'D',
    method: 'compression',
    material: 'stainless',
    entries: ['union 12', '500 c-c', 'tee 12'],
    joints: 1,
    reads: { turns: '1-1/4' },
    slip: { step: 1, says: 'Tube not bottomed', back: 'again' },
  },
  {
    tag: 'F',
    method: 'sanitary-clamp',
    material: 'stainless',
    asks: { gasket: 'EPDM', tighten: 'torque', torqueNm: '4' },
    entries: ['elbow 90 DN 40', '700 c-c', 'tee DN 40'],
    joints: 2,
    reads: { gapMinMm: '0.9', gapMaxMm: '0.9', torqueNm: '4', intrusionMm: '0.1' },
    slip: { step: 0, says: 'Gasket cracked or wrong', back: 'again' },
  },
  {
    tag: 'H',
    method: 'socket-fusion',
    material: 'pp-r',
    entries: ['elbow 90 20', '500 c-c', 'tee 20'],
    joints: 1,
    reads: { toolC: '260', tiltDeg: '1' },
    slip: { step: 0, says: 'Die dirty', back: 'again' },
  },
  {
    tag: 'L',
    method: 'flange',
    material: 'pvc-u',
    asks: { bolts: '8', dryTorqueNm: '30' },
    entries: ['elbow 90 110', '1500 c-c', 'tee 110'],
    joints: 1,
    reads: { torqueNm: '30' },
    slip: { step: 0, says: 'Face scratched', back: 'aside' },
  },
  {
    tag: 'M',
    method: 'grooved-coupling',
    material: 'carbon-steel',
    asks: { kind: 'rigid', torqueNm: '90' },
    entries: ['elbow 90 NPS 6', '1500 c-c', 'tee NPS 6'],
    joints: 1,
    reads: { grooveMm: '163.7', endGapMm: '1', torqueNm: '90' },
    slip: { step: 0, says: 'End flared by rolling', back: 'aside' },
  },
  {
    tag: 'N',
    method: 'threaded',
    material: 'carbon-steel',
    entries: ['elbow 90 1', '500 c-c', 'tee 1'],
    joints: 1,
    reads: { turns: '1-1/2', threadsShowing: '3' },
    slip: { step: 2, says: 'Tape against the thread', back: 'again' },
  },
]
