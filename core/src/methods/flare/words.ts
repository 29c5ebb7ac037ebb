import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Flare',
  steps: {
    nut: {
      does: 'Nut on the tube first. Cut square{grooved, plural, =0 {} other {, groove: on to the stop, 3 to 4 turns}}.',
      look: {
        says: 'Wall {wallMm, number, thickness} for {size}; square within about {limitMm, number, thickness}.',
        figures: { limitMm: 1.8 },
      },
      mistake: 'The nut is not on the tube.',
      act: 'Nut on, cut square',
      hint: 'nut first, threads to the end',
    },
    heat: {
      does: {
        says: '{heatS, plural, =-1 {Heat {toMm, number, length} of the end, always turning, by the tool\u2019s chart.} other {Heat {fromMm, number, length} of the end, always turning, about {heatS, number, duration}.}}',
        figures: { toMm: 19, fromMm: 19 },
      },
      look: 'Clear and soft all round; no kink, no buckle.',
      mistake: 'Heated too far down: it kinks.',
      act: 'Heat on',
      hint: 'turning all the time',
    },
    form: {
      does: '{cold, plural, =0 {At once over the mandrel, up to the stop.} other {Flare it cold, up to the tool\u2019s stop.}}',
      look: 'Shoulder even all round.',
      mistake: 'Off the mandrel too soon: it shrinks back.',
      act: 'On the mandrel',
      hint: '{quenched, plural, =0 {hold 2 min} other {hold 20 s, then quench}}',
    },
    fit: {
      does: 'On the nose, nut hand tight{torqueNm, plural, =-1 {} other {, at least {torqueNm, number, torque}}}.',
      look: 'The flare goes on to its shoulder without force.',
      mistake: 'Forcing a cold flare on.',
      act: 'Nut tight',
      hint: 'torque spanner where the hand cannot reach',
    },
    look: {
      does: 'Gap between tube end and body {gapMinMm, number, thickness} to {gapMaxMm, number, thickness} all round.',
      look: 'Even all round: an uneven gap is a leak path.',
      mistake: 'Looking from one side only.',
      act: 'Write the gaps',
      hint: 'least, then most',
    },
  },
  exceptions: {
    'wrong-wall': 'Wrong wall',
    'not-square': 'Not square',
    kinked: 'Kinked or buckled',
    uneven: 'Shoulder uneven',
    'shrank-back': 'Shrank back',
    'wont-go-on': 'Will not go on',
    'cannot-measure': 'Cannot reach it',
  },
  clocks: {
    heat: { runs: 'heat', missed: 'Too long: it buckles. Cut off and begin again.' },
    mandrel: { runs: 'take off the mandrel', missed: 'Off too soon: it shrinks back and will not go on.' },
  },
  faults: {
    'nut-forgotten': 'Nut forgotten',
    'too-hot': 'Heated too long',
    'one-side': 'Heated from one side',
    'off-too-soon': 'Off the mandrel too soon',
    'short-flare': 'Short flare',
    forced: 'Forced on: split',
    'part-groove': 'Groove not all round',
  },
  says: {
    'name-flare-nose': 'flare nose',
    'field-grooved': 'Grooved and flared',
    'field-quenched': 'Quenched in water',
    'field-cold-flare': 'Cold flare tool',
    'tool-tube-cutter': 'tube cutter for this size',
    'tool-groover': 'grooving tool',
    'tool-heat-source': 'hot air or infra-red ring',
    'tool-mandrel': 'mandrel for this size',
    'tool-cold-flare': 'cold flare tool',
    'never-flare-knife': 'knife or side cutters',
    'caution-flare-burn': {
      says: 'Burns: hot air at some {limitC, number, temperature}, hot mandrel.',
      figures: { limitC: 650 },
    },
    'caution-flare-fumes': 'Fluoropolymer fumes when overheated: open air or extraction.',
    'caution-flare-chemical': 'A tube that blows off sprays chemical: drain and vent, face shield.',
    'flare-heat-unknown': 'No heating time is known for {size}. Use the tool\u2019s chart.',
    'flare-torque-unknown': 'No least torque is known for {size}. Use the maker\u2019s chart.',
    'flare-short':
      'Gap {mm, number, thickness}; {maxMm, number, thickness} is the most: the flare is short. Cut off and make again.',
    'flare-gap-small':
      'Gap {mm, number, thickness}; {minMm, number, thickness} is the least. Cut off and make again.',
    'cause-flare-heat': 'Heated unevenly, too short or too long.',
    'cause-flare-square': 'Not cut square.',
    'interrupted-flare-cold': 'Nothing runs out. See that the nut is on.',
    'interrupted-flare-hot': 'Cut the heated end off and begin again.',
    'interrupted-flare-mandrel': 'Leave it on the mandrel: longer does no harm.',
    'test-flare-water': 'Water first; chemical only when it held.',
    'choice-flare-carried-chemical':
      'Tube that carried chemical is not heated again: its vapours are dangerous. Cold flare tool only.',
    'choice-flare-wall': 'The wrong wall will not flare right: check it before starting.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
