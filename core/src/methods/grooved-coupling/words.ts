import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Grooved coupling',
  steps: {
    groove: {
      does: 'Diameter tape round the groove: {leastMm, number, thickness} to {mostMm, number, thickness}.',
      look: 'From the groove to the end smooth and clean: no dent, no weld bead, no lump of paint, no burr inside.',
      mistake: 'Trusting the roller\u2019s stop: it drifts from pipe to pipe.',
      act: 'Groove measured, seat smooth',
      hint: 'write the diameter in the groove',
    },
    gasket: {
      does: 'Gasket right for what runs in it. Lips and back thinly lubricated, then over one pipe end.',
      look: 'Nothing of it hangs over the end. Never dry, never swimming.',
      mistake: 'A dry gasket: it is pinched by the housing.',
      act: 'Lubricated, on one end',
      hint: 'colour and size read off the gasket',
    },
    ends: {
      does: 'Ends in line and at most {gapMm, number, thickness} apart. Slide the gasket to the middle.',
      look: 'It lies over both seats and in neither groove.',
      mistake: 'Pulling the pipes together with the bolts.',
      act: 'Write the gap',
      hint: 'read it before the gasket goes over',
    },
    housing: {
      does: 'Both halves on, keys in both grooves, bolts by hand.',
      look: 'Bolt heads sit in their recesses; the gasket shows nowhere.',
      mistake: 'A key that rides on the pipe beside its groove.',
      act: 'Halves on, keys in',
      hint: 'nuts by hand',
    },
    tighten: {
      does: 'Nuts evenly, side to side, {torqueNm, plural, =-1 {until the pads meet all round} other {to {torqueNm, number, torque}}}.',
      look: 'The gap between the pads stays equal on both sides.',
      mistake: 'One side run down first: the gasket is pinched there.',
      act: 'Tightened evenly',
      hint: 'side to side',
    },
    look: {
      does: 'Look all round: pads, keys, gasket{flexible, plural, =0 {} other {, angle}}.',
      look: 'Pads metal to metal where the coupling\u2019s sheet asks for it. The supports carry the pipe.',
      mistake: 'Looking from one side only.',
      act: 'Pads right, keys in',
      hint: 'both sides, with a lamp',
    },
  },
  exceptions: {
    'seat-bad': 'Dent or weld on the seat',
    'pipe-flared': 'End flared by rolling',
    'gasket-wrong': 'Wrong or cut gasket',
    'not-in-line': 'Ends not in line',
    'gasket-pinched': 'Gasket pinched',
    'bolt-stuck': 'A bolt is stuck',
    'cannot-see': 'Cannot see all round',
  },
  clocks: {},
  faults: {
    'shallow-groove': 'Groove too shallow',
    'dry-gasket': 'Gasket dry',
    'key-out': 'Key beside its groove',
    'one-side': 'One side tightened first',
    'pads-apart': 'Bolts not tight',
  },
  unfixed: 'not tightened',
  differs: {
    'grooved-pads': {
      point: 'When a grooved coupling is tight',
      a: 'Pads metal to metal',
      b: 'To a torque',
      here: 'Pads, unless the line gives a torque.',
    },
  },
  says: {
    'name-groove': 'groove',
    'field-grooved-kind': 'Rigid or flexible',
    'field-grooved-torque': 'Torque, by the maker',
    'field-grooved-gap': 'Gap to leave at each joint',
    'field-groove': 'Diameter in the groove',
    'field-end-gap': 'Gap between the ends',
    'field-pads': 'Pads',
    'field-keys': 'Keys',
    'field-deflection': 'Angle at the coupling',
    'pads-met': 'pads met',
    'pads-apart': 'Pads apart',
    'pads-uneven': 'Pads uneven',
    'keys-in': 'keys in both grooves',
    'keys-out': 'A key beside its groove',
    'tool-diameter-tape': 'diameter tape for the groove',
    'tool-go-gauge': 'straight edge',
    'tool-gasket-lubricant': 'gasket lubricant that its rubber stands',
    'tool-wrench': 'wrench or impact tool',
    'never-mineral-oil': 'mineral oil or grease on EPDM',
    'caution-grooved-open':
      'Nobody loosens a coupling before the line is drained and its pressure is off: the halves fly apart.',
    'caution-grooved-roller': 'Groove roller: long sleeves and gloves off, nobody\u2019s hand at the rolls.',
    'caution-grooved-pinch': 'Fingers out from between the halves and from between the ends.',
    'groove-shallow':
      '{mm, number, thickness} in the groove; {mostMm, number, thickness} is the most. The keys hold too little: roll it deeper.',
    'groove-deep':
      '{mm, number, thickness} in the groove; {leastMm, number, thickness} is the least. Cut the end off, new groove.',
    'groove-unlisted': 'No standard groove is listed for {size}. Ask the coupling\u2019s maker.',
    'grooved-gap-wide':
      'The ends stand {mm, number, thickness} apart; {mostMm, number, thickness} is the most. Open it, bring them together.',
    'grooved-pads-apart': 'The pads do not meet: tighten on, or the halves do not belong together.',
    'grooved-pads-uneven': 'The pads stand uneven: open it, look at the gasket, tighten side to side.',
    'grooved-key-out':
      'A key does not sit in its groove: it lets go under pressure. Open it, set both halves again.',
    'grooved-bent':
      'Bent by {deg, number, tenths}°; {most, number, tenths}° is the most for a flexible coupling of this size. Bring the pipes into line.',
    'grooved-rigid-bent':
      'Bent by {deg, number, tenths}°: a rigid coupling takes none. Bring the pipes into line.',
    'cause-grooved-dry': 'Gasket dry: the halves caught on it.',
    'cause-grooved-keys': 'Tightened before both keys were looked at.',
    'interrupted-grooved-open': 'Nothing runs out. Cover the ends, keep the gasket clean.',
    'interrupted-grooved-loose': 'Not tightened: it stays on the list.',
    'test-grooved-supports':
      'Supports and anchors in: a grooved line moves when the pressure comes on. Keep out of line with its ends.',
    'choice-grooved-lubricant': 'Mineral oil and grease swell EPDM. Take the lubricant its maker names.',
    'choice-grooved-oil': 'Compressor oil destroys EPDM. Take a gasket made for oil.',
    'choice-grooved-drinking':
      'Drinking water: gasket and lubricant listed for it, and no bare carbon steel where the code asks for more.',
    'figure-grooveMostMm': 'Diameter in the groove, at most',
    'figure-grooveLeastMm': 'Diameter in the groove, at least',
    'figure-grooveSeatMm': 'From the end to the groove',
    'figure-grooveWidthMm': 'Width of the groove',
    'figure-grooveWallMm': 'Wall to roll, at least',
    'figure-endGapMostMm': 'Gap between the ends, at most',
    'figure-deflectionDeg': 'Angle of a flexible coupling, at most',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
