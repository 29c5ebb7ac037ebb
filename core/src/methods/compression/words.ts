import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Compression',
  steps: {
    ready: {
      does: '{kind, select, twin_ferrule {Nut, rear ferrule, front ferrule point first. Bottom the tube, mark round it.} other {{kind, select, stab {Cut square, bevel, clean, mark the depth.} other {Cut square, round, clean{plastic, plural, =0 {} other {, insert stiffener}}. Mark the depth.}}}}',
      look: 'Right size, wall and material on the printed line. No scratch a thumbnail feels, no dent, round, edge broken.',
      mistake: 'A ferrule turned round or left out.',
      act: 'Parts in order, depth marked',
      hint: 'loosen and look',
    },
    start: {
      does: '{kind, select, twin_ferrule {To the shoulder, nut {start, select, finger {finger tight} tube_tight {until the tube will not turn} other {}}, mark at 6 o\u2019clock.} packed_nut {Nut by hand until the gasket begins to compress.} stab {Push straight in, past grip and seal, to the stop.} other {Tube {offMm, number, length} off the bottom, nut to first compression.}}',
      look: 'The depth mark is where it was marked.',
      mistake: 'Tube not bottomed before the turns are counted.',
      act: 'Tube home, ready to turn',
      hint: 'mark the nut',
    },
    turn: {
      does: '{turnsMin, plural, =-1 {{kind, select, stab {Pull back: it must hold.} other {Turn until the nut meets its stop.}}} other {{turnsMin, number, quarters}{turnsTo, select, none {} other { to {turnsTo, number, quarters}}} turns{clock, select, none {} other {; the mark ends at {clock} o\u2019clock}}.}}',
      look: 'Body held with a second spanner.',
      mistake: 'Backing off after too many turns.',
      act: 'Turned',
      hint: 'count from the mark',
    },
    look: {
      does: '{kind, select, twin_ferrule {The depth mark shows behind the nut.} other {The depth mark stands at the nut.}}',
      look: 'A gap gauge proves a first make-up only.',
      mistake: 'Trusting a gap gauge on a remake.',
      act: 'Mark seen',
      hint: 'proof that the tube was home',
    },
  },
  exceptions: {
    scratched: 'Scratched or dented',
    oval: 'Oval: round it again',
    'not-bottomed': 'Tube not bottomed',
    'over-turned': 'Over-turned',
    'cannot-see': 'Cannot see the mark',
  },
  clocks: {},
  faults: {
    'not-bottomed': 'Tube not bottomed',
    'ferrule-turned': 'Ferrule turned round',
    'ferrule-out': 'Ferrule left out',
    'too-few': 'Too few turns',
    'over-turned': 'Over-turned',
    'not-at-stop': 'Nut not at its stop',
    scratched: 'Scratch along the tube',
    oval: 'Tube oval',
    'no-stiffener': 'No stiffener in plastic',
    'mixed-makers': 'Parts of two makers',
    'bottomed-first': 'Bottomed before the nut was tightened',
    backfilled: 'Backfilled under strain',
  },
  unfixed: 'not tightened',
  differs: {
    'compression-start': {
      point: 'Counting turns from',
      a: 'Finger tight',
      b: 'Tube tight',
      here: 'By size and alloy: tube tight from 1/2 in, 12 mm or hard alloy.',
    },
    'compression-turns': {
      point: 'Turns',
      a: '1-1/4',
      b: '1 to 2-1/2, or to the stop',
      here: 'By the kind of fitting.',
    },
  },
  says: {
    'name-compression-nut': 'compression nut',
    'field-compression-kind': 'Kind of fitting',
    'field-hard-alloy': 'Hard alloy or severe service',
    'field-own-turns': 'Turns, by the maker',
    'field-remake': 'Taken apart and made again',
    'field-turns': 'Turns',
    'field-nut-stop': 'Nut',
    'field-depth-mark': 'Depth mark',
    'tool-two-spanners': 'two smooth-jaw spanners',
    'tool-gap-gauge': 'gap gauge where the maker has one',
    'never-mix-makers': 'parts of different makers',
    'never-back-off': 'backing off to correct',
    'caution-compression-pressure': 'Never tighten or loosen under pressure.',
    'caution-hot-media': 'What was inside may be hot or under pressure: drain, vent, wait.',
    'turns-over':
      '{turns, number, quarters} turns; {max, number, quarters} is the most. New ferrules, never back off.',
    'turns-short': '{turns, number, quarters} turns; {min, number, quarters} are needed. Turn on.',
    'nut-not-at-stop': 'The nut is not at its stop. Turn on.',
    'tube-not-home':
      'The mark did not move: the tube was not home, or the ferrules did not bite. Cut off, new ferrules.',
    'tube-pulled-out': 'The mark moved out: the tube is not home. Take apart and make again.',
    'kind-needed': 'Say which kind of fitting it is.',
    'kind-not-for-size': '{kind} is not made for {size}.',
    'turns-to-stop': 'No count: to the stop.',
    'depth-by-gauge':
      'No table for {size}: push the tube to the shoulder or into the depth gauge, and mark it.',
    'ferrules-preset': {
      says: 'Above {limitMm, number, length} ferrules are pre-set with a hydraulic tool; after it the remake rule counts.',
      figures: { limitMm: 25.4 },
    },
    'interrupted-compression-ready': 'Nothing runs out. Look at the order of the parts again.',
    'interrupted-compression-start': 'Finger tight is not made. It stays on the list.',
    'interrupted-compression-turn': 'Turned, not looked at. Come back and look.',
    'test-before-backfill': 'Test before backfilling; backfill so that earth does not load the joint.',
    'choice-compression-preset': {
      says: 'Above {limitMm, number, length} the ferrules are pre-set with a hydraulic tool.',
      figures: { limitMm: 25.4 },
    },
    'choice-compression-mixed': 'Parts of different makers are not mixed: ferrules and cones differ.',
    'choice-compression-stiffener':
      'Plastic tube takes a solid insert stiffener, or it gives way under the nut.',
    'choice-stab-class':
      'Stab fittings take one pipe class only: read the printed line. Re-use needs a new grip ring.',
    'choice-backfill': 'Keep bending off the joint; earth must not load it.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
