import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Sanitary clamp',
  steps: {
    parts: {
      does: 'Two ferrules of {size} tube, gasket{gasket, select, none {} other { {gasket}}} of the same size.',
      look: 'Aligned on their supports, one gasket apart. No scratch, no old gasket; gasket flexed: no crack.',
      mistake: 'Going by the flange: several tube sizes share one.',
      act: 'Parts good',
      hint: 'size by tube, not by flange',
    },
    clamp: {
      does: 'Bead in both grooves, faces mated, clamp over both.',
      look: 'The clamp closes by itself; it does not pull the pipes into line.',
      mistake: 'Bead beside its groove.',
      act: 'Clamp on',
      hint: 'not tight yet',
    },
    gaps: {
      does: 'Measure the gap where it is least and where it is most.',
      look: 'Over 2° of tilt: align the supports. Over 3°: not like this.',
      mistake: 'Measuring one side only.',
      act: 'Write the gaps',
      hint: 'least, then most',
    },
    torque: {
      does: '{byTorque, plural, =0 {Tighten by hand, by the plant\u2019s rule.} other {{torqueNm, plural, =-1 {Tighten to the stated torque.} other {Tighten to {torqueNm, number, torque}.}}}}',
      look: 'Nut runs freely; stainless on stainless galls.',
      mistake: 'A wrench on a hand clamp.',
      act: 'Torque reached',
      hint: 'by the plant\u2019s rule',
    },
    look: {
      does: 'Jaws apart, bore flush.',
      look: {
        says: 'Jaws neither touch nor stand wide open; gasket at most {limitMm, number, thickness} into the bore.',
        figures: { limitMm: 0.635 },
      },
      mistake: 'Jaws that touch: over-tightened, wrong clamp, or bent.',
      act: 'Jaws apart, bore flush',
      hint: 'look again after the first heat',
    },
  },
  exceptions: {
    'gasket-bad': 'Gasket cracked or wrong',
    pulls: 'Pipes pull apart',
    scratched: 'Face scratched',
    'bead-off': 'Bead not in its groove',
    'cannot-measure': 'Cannot reach it',
    galling: 'Thread galls',
    'cannot-see-bore': 'Cannot see the bore',
  },
  clocks: {},
  faults: {
    'wrong-size': 'Two tube sizes on one flange',
    tilted: 'Tilted',
    'under-tightened': 'Under-tightened',
    'over-torque': 'Over-tightened',
    'old-gasket': 'Old gasket',
    residue: 'Residue on the faces',
    'not-rechecked': 'Not tightened again after the first steam',
  },
  unfixed: 'not tightened',
  differs: {
    'clamp-tighten': {
      point: 'Tightening a clamp',
      a: 'By hand',
      b: 'With a torque spanner',
      here: 'By the plant\u2019s rule, asked once; torque on steam.',
    },
    'clamp-tilt': {
      point: 'Tilt of a clamp',
      a: 'Over 2°',
      b: 'Over 3°',
      here: 'Over 2° warns, over 3° fails.',
    },
  },
  says: {
    'name-clamp-ferrule': 'clamp ferrule',
    'field-gasket': 'Gasket',
    'field-tighten': 'Tightened',
    'field-torque': 'Torque',
    'field-steam': 'Steam line',
    'field-gap-min': 'Gap, least',
    'field-gap-max': 'Gap, most',
    'field-jaws': 'Clamp jaws',
    'field-intrusion': 'Gasket into the bore',
    'tool-gasket': 'new gasket, its lot noted',
    'tool-clamp': 'clamp of the flange\u2019s size',
    'tool-torque': 'torque spanner',
    'caution-clamp-open': 'Steam, caustic, trapped pressure: lock out, drain, vent before opening.',
    'caution-clamp-leak': 'A small leak lets bacteria in where drips get out.',
    'clamp-tilted':
      'Tilted by {deg, number, tenths}°: over 3°. Align the supports; the clamp must not pull the pipe into line.',
    'clamp-tilt-warn': 'Tilted by {deg, number, tenths}°: over 2°. Align the supports when it is next open.',
    'clamp-recessed':
      'The gasket stands {mm, number, thickness} back from the bore: a pocket that no cleaning reaches. Tighten it, or another gasket.',
    'clamp-intrusion': {
      says: 'The gasket stands {mm, number, thickness} into the bore; {limitMm, number, thickness} is the most.',
      figures: { limitMm: 0.635 },
    },
    'clamp-jaws-touch': 'The jaws touch: over-tightened, wrong clamp, or bent.',
    'clamp-wide-open': 'The jaws stand wide open: the gasket is not squeezed, or the clamp is too small.',
    'cause-clamp-supports': 'The supports hold the pipes out of line.',
    'readings-contradict': 'The least is more than the most: measure again.',
    'flange-unknown': 'No flange diameter is known for {size}.',
    'interrupted-clamp-parts': 'Nothing runs out. Cover the open ends.',
    'interrupted-clamp-loose': 'Clamp not tightened: it stays on the list.',
    'test-clamp-cold-first':
      'Cold water or a low-pressure leak test before the first hot clean, then clean, then tighten again.',
    'choice-clamp-other-size':
      '{other, select, none {Tube sizes that share a flange clamp together and leave a ledge in the bore: go by the tube.} other {A {other} ferrule clamps to {size} and leaves a ledge in the bore. Take the same tube size.}}',
    'choice-clamp-steam-torque': 'On steam the torque spanner is used, whatever the plant does elsewhere.',
    'choice-clamp-ptfe-flows': 'PTFE flows cold: tighten again after the first heat.',
    'choice-clamp-nbr-steam': 'NBR does not stand steam. Take EPDM, FKM or PTFE by medium.',
    'choice-clamp-galling': 'Nut and bolt of the same stainless gall: take an anti-galling pair.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
