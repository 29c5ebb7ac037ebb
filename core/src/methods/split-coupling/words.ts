import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Split coupling',
  steps: {
    ready: {
      does: 'Parts list, isolation, permit. Rig the pipe, not the coupling\u2019s lugs.',
      look: 'Rigging rated for the load; the ends close together and in line.',
      mistake: 'Lifting by the lugs: they carry the coupling only.',
      act: 'Checked, rigged',
      hint: 'all parts there',
    },
    gasket: {
      does: 'Gasket on, ends together, lubricant, gasket to the middle.',
      look: 'No visible gap to either ring; outside lubricated generously.',
      mistake: 'Too little lubricant.',
      act: 'Gasket centred',
      hint: 'no gap to the rings',
    },
    halves: {
      does: 'Both halves on, all bolts by hand, turn it now if it must be turned.',
      look: 'Bolts start by hand.',
      mistake: 'Pulling the faces together with the bolts.',
      act: 'Halves on, bolts in',
      hint: 'by hand',
    },
    bolts: {
      does: 'Tighten evenly {torqueNm, plural, =-1 {to the maker\u2019s torque} other {to {torqueNm, number, torque}{lubricated, plural, =0 {} other {, lubricated}}}}.',
      look: 'Side to side, little by little.',
      mistake: 'Dry torque on lubricated bolts.',
      act: 'Torque reached',
      hint: 'write the torque',
    },
    look: {
      does: 'Faces together. Release the rigging slowly.',
      look: 'Stored strain can move it: keep out of line.',
      mistake: 'Letting the load go at once.',
      act: 'Faces together, rigging off',
      hint: 'slowly',
    },
  },
  exceptions: {
    'part-missing': 'A part is missing',
    'gap-to-ring': 'Gap to a ring',
    'faces-apart': 'Faces will not come together',
    'bolt-stuck': 'A bolt is stuck',
    moved: 'It moved',
  },
  clocks: {},
  faults: {
    gap: 'Gap too large',
    'dry-gasket': 'Gasket dry',
    uneven: 'Tightened unevenly',
    'over-stretched': 'Torque not reduced for the lubricant',
    'too-loose': 'Bolts not tight',
    rotated: 'Rotated under load',
  },
  unfixed: 'not tightened',
  says: {
    'name-ringed-end': 'ringed end',
    'caution-coupling-body': 'Heavy and under strain: keep the body out of line, hands out of the gap.',
    'caution-coupling-isolate': 'Isolated, drained, tagged before the line is opened.',
    'coupling-faces-apart': 'The faces are apart: pipe gap too large or too little lubricant. Take it off.',
    'cause-coupling-gap': 'Pipe ends too far apart.',
    'cause-coupling-dry': 'Too little lubricant.',
    'interrupted-coupling-open': 'Cover the ends. Nothing runs out.',
    'interrupted-coupling-hanging': 'Not bolted: it stays rigged, nobody below.',
    'choice-coupling-lugs': 'The lugs carry the coupling, not the pipe. Rig to the pipe.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
