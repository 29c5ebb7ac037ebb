import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Expansion joint',
  steps: {
    place: {
      does: 'Right place: away from valves and welds, one between two anchors, flat faces.',
      look: 'Mating flange flat and of the right bore; raised face: add a ring gasket.',
      mistake: 'Beside a wafer or butterfly valve: the disc cuts the rubber.',
      act: 'Place checked',
      hint: 'faces flat, edges rounded',
    },
    studs: {
      does: 'Studs in, snug.',
      look: 'No more than about four threads past the nut, heads toward the rubber.',
      mistake: 'Long studs that cut the rubber.',
      act: 'Studs in, snug',
      hint: 'four threads at most',
    },
    star: {
      does: 'Star order, several passes {torqueNm, plural, =-1 {to the maker\u2019s torque} other {to {torqueNm, number, torque}}}.',
      look: 'Rubber bulges evenly; never metal to metal.',
      mistake: 'Tightening until metal meets metal.',
      act: 'Torque reached',
      hint: 'write the torque',
    },
    rods: {
      does: '{outerMm, plural, =-1 {Rods: gaps as the designer allows movement.} =0 {Rods: no gap, nuts snug.} other {Rods: outer gap {outerMm, number, length}{innerMm, plural, =-1 {} other {, inner gap {innerMm, number, length}}}.}}',
      look: 'Outer gap = extension allowed, inner gap = compression allowed.',
      mistake: 'Gaps left on a line without anchors.',
      act: 'Rods set',
      hint: 'write the gaps',
    },
  },
  exceptions: {
    'beside-valve': 'A valve stands beside it',
    'raised-face': 'Raised face',
    'stud-long': 'Studs too long',
    'metal-to-metal': 'Metal to metal',
    'no-rods': 'No rods here',
  },
  clocks: {},
  faults: {
    'over-torque': 'Over-tightened',
    'too-loose': 'Bolts not tight',
    'long-studs': 'Studs too long',
    'beside-valve': 'Beside a disc valve',
    'rods-loose': 'Rods not set',
  },
  unfixed: 'not tightened',
  says: {
    'name-rubber-flange': 'rubber flange',
    'tool-studs': 'studs and nuts of the right length',
    'never-paint-rubber': 'paint on the rubber',
    'never-heat-tracing': 'heat tracing or fixed insulation on it',
    'rods-missing': 'No control rods: no pressure before they are fitted and set.',
    'movement-by-designer': 'By the designer.',
    'rod-gap-wide': 'Gap {mm, number, length}; {allowedMm, number, length} is allowed. Set the nuts.',
    'test-anchors-in': 'Anchors and rods in before any pressure.',
    'field-rods': 'Control rods',
    'field-extension': 'Extension allowed',
    'field-compression': 'Compression allowed',
    'field-anchored': 'Pipe anchored',
    'field-outer-gap': 'Gap at the outer nut',
    'field-inner-gap': 'Gap at the inner nut',
    'caution-expansion-open': 'Isolated, drained, vented before the line is opened.',
    'caution-expansion-weld': 'Protect the rubber from welding heat.',
    'interrupted-expansion-rods': 'Rods not set: no pressure before they are.',
    'choice-expansion-wafer': 'Not beside a wafer check or butterfly valve: its disc cuts the rubber.',
    'choice-expansion-raised': 'Raised face: add a ring gasket, or take a flat face.',
    'choice-expansion-two': 'Only one between two main anchors.',
    'choice-expansion-weld': 'Not while it is welded beside it: heat ruins the rubber.',
    'choice-expansion-traced': 'No heat tracing on rubber; insulation must come off.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
