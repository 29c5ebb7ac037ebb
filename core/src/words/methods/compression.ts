import type { Params, Wordings } from '../words.js'

const quarters = (n: number): string => {
  const whole = Math.floor(n)
  const part =
    { 0: '', 25: '1/4', 5: '1/2', 75: '3/4' }[String(n % 1).slice(2)] ??
    (n % 1 ? (n % 1).toFixed(2).slice(1) : '')
  return part ? (whole ? `${whole}-${part}` : part) : String(whole)
}
const turns = (p: Params): string => {
  const [min, max] = [p.n('turnsMin'), p.n('turnsMax')]
  return min === max ? `${quarters(min)} turns` : `${quarters(min)} to ${quarters(max)} turns`
}
const START = { finger: 'finger tight', 'tube-tight': 'until the tube will not turn' } as Readonly<
  Record<string, string>
>

/** Compression joints: steps, looks, mistakes, choices. */
export const COMPRESSION: Wordings = {
  'method-compression': 'Compression',
  'field-compression-kind': 'Kind of fitting',
  'field-hard-alloy': 'Hard alloy or severe service',
  'field-own-turns': 'Turns, by the maker',
  'field-remake': 'Taken apart and made again',
  'field-turns': 'Turns',
  'field-nut-stop': 'Nut',
  'field-depth-mark': 'Depth mark',
  'do-compression-ready': (p) =>
    p.s('kind') === 'twin-ferrule'
      ? 'Nut, rear ferrule, front ferrule point first. Bottom the tube, mark round it.'
      : p.s('kind') === 'stab'
        ? 'Cut square, bevel, clean, mark the depth.'
        : `Cut square, round, clean${p.n('plastic') ? ', insert stiffener' : ''}. Mark the depth.`,
  'look-compression-ready':
    'Right size, wall and material on the printed line. No scratch a thumbnail feels, no dent, round, edge broken.',
  'mistake-compression-ready': 'A ferrule turned round or left out.',
  'act-compression-ready': 'Parts in order, depth marked',
  'hint-compression-ready': 'loosen and look',
  'ex-compression-scratched': 'Scratched or dented',
  'ex-compression-oval': 'Oval: round it again',
  'do-compression-start': (p) => {
    switch (p.s('kind')) {
      case 'twin-ferrule':
        return `To the shoulder, nut ${START[p.s('start')] ?? ''}, mark at 6 o\u2019clock.`
      case 'packed-nut':
        return 'Nut by hand until the gasket begins to compress.'
      case 'stab':
        return 'Push straight in, past grip and seal, to the stop.'
      default:
        return `Tube ${p.mm('offMm')} off the bottom, nut to first compression.`
    }
  },
  'look-compression-start': 'The depth mark is where it was marked.',
  'mistake-compression-start': 'Tube not bottomed before the turns are counted.',
  'act-compression-start': 'Tube home, ready to turn',
  'hint-compression-start': 'mark the nut',
  'ex-compression-not-bottomed': 'Tube not bottomed',
  'do-compression-turn': (p) =>
    p.n('turnsMin') < 0
      ? p.s('kind') === 'stab'
        ? 'Pull back: it must hold.'
        : 'Turn until the nut meets its stop.'
      : `${turns(p)}${p.n('clock') > 0 ? `; the mark ends at ${p.s('clock')} o\u2019clock` : ''}.`,
  'look-compression-turn': 'Body held with a second spanner.',
  'mistake-compression-turn': 'Backing off after too many turns.',
  'act-compression-turn': 'Turned',
  'hint-compression-turn': 'count from the mark',
  'ex-compression-over-turned': 'Over-turned',
  'do-compression-look': (p) =>
    p.s('kind') === 'twin-ferrule'
      ? 'The depth mark shows behind the nut.'
      : 'The depth mark stands at the nut.',
  'look-compression-look': 'A gap gauge proves a first make-up only.',
  'mistake-compression-look': 'Trusting a gap gauge on a remake.',
  'act-compression-look': 'Mark seen',
  'hint-compression-look': 'proof that the tube was home',
  'ex-compression-cannot-see': 'Cannot see the mark',
  'tool-two-spanners': 'two smooth-jaw spanners',
  'tool-gap-gauge': 'gap gauge where the maker has one',
  'never-mix-makers': 'parts of different makers',
  'never-back-off': 'backing off to correct',
  'caution-compression-pressure': 'Never tighten or loosen under pressure.',
  'caution-hot-media': 'What was inside may be hot or under pressure: drain, vent, wait.',
  'turns-over': (p) =>
    `${quarters(p.n('turns'))} turns; ${quarters(p.n('max'))} is the most. New ferrules, never back off.`,
  'turns-short': (p) => `${quarters(p.n('turns'))} turns; ${quarters(p.n('min'))} are needed. Turn on.`,
  'nut-not-at-stop': 'The nut is not at its stop. Turn on.',
  'tube-not-home':
    'The mark did not move: the tube was not home, or the ferrules did not bite. Cut off, new ferrules.',
  'tube-pulled-out': 'The mark moved out: the tube is not home. Take apart and make again.',
  'kind-needed': 'Say which kind of fitting it is.',
  'kind-not-for-size': (p) => `${p.s('kind')} is not made for ${p.s('size')}.`,
  'turns-to-stop': 'No count: to the stop.',
  'depth-by-gauge': (p) =>
    `No table for ${p.s('size')}: push the tube to the shoulder or into the depth gauge, and mark it.`,
  'ferrules-preset': (_, own) =>
    `Above ${own.mm(25.4)} ferrules are pre-set with a hydraulic tool; after it the remake rule counts.`,
  'interrupted-compression-ready': 'Nothing runs out. Look at the order of the parts again.',
  'interrupted-compression-start': 'Finger tight is not made. It stays on the list.',
  'interrupted-compression-turn': 'Turned, not looked at. Come back and look.',
  'test-before-backfill': 'Test before backfilling; backfill so that earth does not load the joint.',
  'choice-compression-preset': (_, own) =>
    `Above ${own.mm(25.4)} the ferrules are pre-set with a hydraulic tool.`,
  'choice-compression-mixed': 'Parts of different makers are not mixed: ferrules and cones differ.',
  'choice-compression-stiffener':
    'Plastic tube takes a solid insert stiffener, or it gives way under the nut.',
  'choice-stab-class':
    'Stab fittings take one pipe class only: read the printed line. Re-use needs a new grip ring.',
  'choice-backfill': 'Keep bending off the joint; earth must not load it.',
  'fault-compression-not-bottomed': 'Tube not bottomed',
  'fault-compression-ferrule-turned': 'Ferrule turned round',
  'fault-compression-too-few': 'Too few turns',
  'fault-compression-over-turned': 'Over-turned',
}
