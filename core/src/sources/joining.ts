import { computed, practice, published } from './records.js'
import type { Source } from './records.js'

/** Sources that several joining methods share, and those of tube work. */
export const JOINING_SOURCES = [
  practice('cp-nothing-cures', 'Mechanical joints: nothing cures, made is made'),
  practice('cp-face-to-face', 'Ends that meet face to face: nothing is pushed in'),
  practice('cp-shift-proof', 'Before the shift: a test bite of the press, the fusion die by pyrometer'),
  practice('cp-hot-work', 'Hot work: permit, extinguisher, heat shield'),
  published(
    'nfpa-51b',
    'NFPA 51B: fire watch after the last flame, 60 min unless the permit says otherwise',
    '2019',
  ),
  practice(
    'cp-bolted-steps',
    'Split couplings and rubber expansion joints, step by step, as the trade does it',
  ),
  published('asme-pcc-1', 'ASME PCC-1: star order, passes of 30, 60 and 100 %, then a circular pass', '2010'),
  computed(
    'nut-factor',
    'T = K D F: torque in proportion to the nut factor',
    ['given'],
    'Bolted-joint texts.',
  ),
  computed('arc-round-pipe', 'Round a pipe = π · outside diameter · angle / 360', ['given'], 'Geometry.'),
  computed(
    'bend-geometry',
    'Arc = R a; setback = R tan(a/2); gain = 2 R tan(a/2) − R a',
    ['given'],
    'Geometry.',
  ),
  computed(
    'stock-plan',
    'Sum of pieces and saw cuts on a bar ≤ its length and one saw cut; bounds from the relaxed problem over all patterns',
    ['given'],
    'Integer programming.',
  ),
  computed(
    'plan-order',
    'Joints in an order, each where it goes at the earliest; bounds from what must lie between two times and how much staffed time there is; every order where they are few',
    ['given'],
    'Machine scheduling: heads and tails (Carlier 1982), work within intervals, branch and bound.',
  ),
  computed('offset-geometry', 'Travel = offset / sin a; run = offset / tan a', ['given'], 'Geometry.'),
  computed(
    'closing-geometry',
    'Offset = way − its part along the heading; travel = offset / sin a; run = offset / tan a; cut = travel − 2 take-offs + 2 insertions',
    ['given'],
    'Geometry in space.',
  ),
  computed(
    'line-geometry',
    'Each centre = the one before + length × heading; an elbow turns the way by its angle in the plane of both; 1 mm in N along a level pipe falls',
    ['given'],
    'Geometry in space.',
  ),
  computed(
    'closing-error',
    'Error = reached − named; expected = error of one measure × √measures; a suspect is the least-squares change of one measure',
    ['given'],
    'Root of squares: errors of measuring are taken to be of each other independent.',
  ),
  practice('cp-vents-and-drains', 'A vent at every high point of a closed line, a drain at every low one'),
  practice('cp-measure-error', 'A tape read on site errs by some 2 mm'),
  practice('cp-tube-work', 'Tube cutting, deburring, swaging and bending, as the trade does it'),
] as const satisfies readonly Source[]
