import type { Wordings } from '../words.js'

/** Sanitary clamps: steps, looks, mistakes, choices. */
export const CLAMP: Wordings = {
  'method-sanitary-clamp': 'Sanitary clamp',
  'field-gasket': 'Gasket',
  'field-tighten': 'Tightened',
  'field-torque': 'Torque',
  'field-steam': 'Steam line',
  'field-gap-min': 'Gap, least',
  'field-gap-max': 'Gap, most',
  'field-jaws': 'Clamp jaws',
  'field-intrusion': 'Gasket into the bore',
  'do-clamp-parts': (p) =>
    `Two ferrules of ${p.s('size')} tube, gasket${p.s('gasket') ? ` ${p.s('gasket')}` : ''} of the same size.`,
  'look-clamp-parts':
    'Aligned on their supports, one gasket apart. No scratch, no old gasket; gasket flexed: no crack.',
  'mistake-clamp-parts': 'Going by the flange: several tube sizes share one.',
  'act-clamp-parts': 'Parts good',
  'hint-clamp-parts': 'size by tube, not by flange',
  'ex-clamp-gasket-bad': 'Gasket cracked or wrong',
  'ex-clamp-pulls': 'Pipes pull apart',
  'ex-clamp-scratched': 'Face scratched',
  'do-clamp-clamp': 'Bead in both grooves, faces mated, clamp over both.',
  'look-clamp-clamp': 'The clamp closes by itself; it does not pull the pipes into line.',
  'mistake-clamp-clamp': 'Bead beside its groove.',
  'act-clamp-clamp': 'Clamp on',
  'hint-clamp-clamp': 'not tight yet',
  'ex-clamp-bead-off': 'Bead not in its groove',
  'do-clamp-gaps': 'Measure the gap where it is least and where it is most.',
  'look-clamp-gaps': 'Over 2° of tilt: align the supports. Over 3°: not like this.',
  'mistake-clamp-gaps': 'Measuring one side only.',
  'act-clamp-gaps': 'Write the gaps',
  'hint-clamp-gaps': 'least, then most',
  'ex-clamp-cannot-measure': 'Cannot reach it',
  'do-clamp-torque': (p) =>
    p.n('byTorque')
      ? p.n('torqueNm') >= 0
        ? `Tighten to ${p.nm('torqueNm')}.`
        : 'Tighten to the stated torque.'
      : 'Tighten by hand, by the plant\u2019s rule.',
  'look-clamp-torque': 'Nut runs freely; stainless on stainless galls.',
  'mistake-clamp-torque': 'A wrench on a hand clamp.',
  'act-clamp-torque': 'Torque reached',
  'hint-clamp-torque': 'by the plant\u2019s rule',
  'ex-clamp-galling': 'Thread galls',
  'do-clamp-look': 'Jaws apart, bore flush.',
  'look-clamp-look': (_, own) =>
    `Jaws neither touch nor stand wide open; gasket at most ${own.gap(0.635)} into the bore.`,
  'mistake-clamp-look': 'Jaws that touch: over-tightened, wrong clamp, or bent.',
  'act-clamp-look': 'Jaws apart, bore flush',
  'hint-clamp-look': 'look again after the first heat',
  'ex-clamp-cannot-see-bore': 'Cannot see the bore',
  'tool-gasket': 'new gasket, its lot noted',
  'tool-clamp': 'clamp of the flange\u2019s size',
  'tool-torque': 'torque spanner',
  'caution-clamp-open': 'Steam, caustic, trapped pressure: lock out, drain, vent before opening.',
  'caution-clamp-leak': 'A small leak lets bacteria in where drips get out.',
  'clamp-tilted': (p) =>
    `Tilted by ${p.n('deg').toFixed(1)}°: over 3°. Align the supports; the clamp must not pull the pipe into line.`,
  'clamp-tilt-warn': (p) =>
    `Tilted by ${p.n('deg').toFixed(1)}°: over 2°. Align the supports when it is next open.`,
  'clamp-recessed': (p) =>
    `The gasket stands ${p.gap('mm')} back from the bore: a pocket that no cleaning reaches. Tighten it, or another gasket.`,
  'clamp-intrusion': (p, own) =>
    `The gasket stands ${p.gap('mm')} into the bore; ${own.gap(0.635)} is the most.`,
  'clamp-jaws-touch': 'The jaws touch: over-tightened, wrong clamp, or bent.',
  'clamp-wide-open': 'The jaws stand wide open: the gasket is not squeezed, or the clamp is too small.',
  'cause-clamp-supports': 'The supports hold the pipes out of line.',
  'readings-contradict': 'The least is more than the most: measure again.',
  'flange-unknown': (p) => `No flange diameter is known for ${p.s('size')}.`,
  'interrupted-clamp-parts': 'Nothing runs out. Cover the open ends.',
  'interrupted-clamp-loose': 'Clamp not tightened: it stays on the list.',
  'test-clamp-cold-first':
    'Cold water or a low-pressure leak test before the first hot clean, then clean, then tighten again.',
  'choice-clamp-other-size': (p) =>
    p.s('other')
      ? `A ${p.s('other')} ferrule clamps to ${p.s('size')} and leaves a ledge in the bore. Take the same tube size.`
      : 'Tube sizes that share a flange clamp together and leave a ledge in the bore: go by the tube.',
  'choice-clamp-steam-torque': 'On steam the torque spanner is used, whatever the plant does elsewhere.',
  'choice-clamp-ptfe-flows': 'PTFE flows cold: tighten again after the first heat.',
  'choice-clamp-nbr-steam': 'NBR does not stand steam. Take EPDM, FKM or PTFE by medium.',
  'choice-clamp-galling': 'Nut and bolt of the same stainless gall: take an anti-galling pair.',
  'fault-clamp-wrong-size': 'Two tube sizes on one flange',
  'fault-clamp-tilted': 'Tilted',
  'fault-clamp-over-torque': 'Over-tightened',
  'fault-clamp-old-gasket': 'Old gasket',
}
