import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Flange',
  steps: {
    align: {
      does: 'Faces parallel and in line, bolts slide in by hand.',
      look: 'Faces clean, no radial scratch.',
      mistake: 'Pulling pipes into line with the bolts.',
      act: 'Aligned, clean',
      hint: 'bolts slide in by hand',
    },
    gasket: {
      does: 'New gasket centred, bolts lubricated, snug.',
      look: 'Gasket of the right rubber, no old one behind it.',
      mistake: 'Using the old gasket.',
      act: 'Gasket in, bolts snug',
      hint: 'by hand',
    },
    star: {
      does: '30, 60, 100 % {torqueNm, plural, =-1 {to the maker\u2019s torque} other {to {torqueNm, number, torque}}} in star order{order, select, none {} other { {order}}}, then round.',
      look: 'Gap stays even all round.',
      mistake: 'Going round from the start: one side closes first.',
      act: 'Torque reached, went round',
      hint: 'write the torque',
    },
    look: {
      does: 'Gap even all round.',
      look: 'Same thread past every nut.',
      mistake: 'Tightening again under pressure.',
      act: 'Even all round',
      hint: 'look, measure if in doubt',
    },
  },
  exceptions: {
    pulls: 'Pipes pull apart',
    'face-bad': 'Face scratched',
    'gasket-bad': 'Gasket damaged',
    'bolt-stuck': 'A bolt is stuck',
    'cannot-see': 'Cannot reach it',
  },
  clocks: {},
  faults: {
    'one-side': 'One side tightened first',
    'no-last-round': 'No last round',
    'pulled-in': 'Pulled into line',
    'old-gasket': 'Old gasket',
    'over-stretched': 'Torque not reduced for the lubricant',
    'too-loose': 'Bolts not tight',
  },
  unfixed: 'not tightened',
  says: {
    'caution-flange-open': 'Never open or tighten a flange under pressure: isolate, drain, vent.',
    'by-the-flange': 'By the flange.',
    'flange-uneven': 'The gap is uneven. Loosen all, new gasket, star order.',
    'cause-flange-order': 'Not tightened in star order, or faces out of line.',
    'test-flange-gauge': 'Tighten nothing under pressure: let it off first.',
    'choice-flange-plastic':
      'Plastic flanges: low torque by the maker, full-face gasket, washers, no raised face.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
