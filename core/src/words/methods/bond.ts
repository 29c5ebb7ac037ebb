import { fToC as f } from '../../units/units.js'
import type { Wordings } from '../words.js'

const CATALYST = {
  cold: ' Cold-weather catalyst.',
  whole: ' Whole tube of catalyst.',
  hot: ' Hot-weather catalyst.',
} as Readonly<Record<string, string>>

/** Adhesive-bonded resin pipe: steps, looks, mistakes, choices. */
export const BOND: Wordings = {
  'method-adhesive-bond': 'Adhesive bond',
  'field-bond-home': 'Pipe in the socket',
  'field-bond-fillet': 'Fillet',
  'do-bond-sand': (p, own) =>
    p.n('sandMm') >= 0
      ? `Mark ${p.mm('depthMm')} and ${p.mm('sandMm')}; sand the glaze off to the second.`
      : `Fitting on, mark its depth and ${own.mm(12.7)} beyond; sand the glaze off to the second.`,
  'look-bond-sand': (p) =>
    `Pipe at ${p.c('cutFromC')} or warmer before cutting. Dull all over, socket too; dust off dry, no bare hands.`,
  'mistake-bond-sand': 'Flap wheel: it polishes.',
  'act-bond-sand': 'Sanded, dusted off',
  'hint-bond-sand': 'starts 2 h',
  'ex-bond-wet': 'Got wet or oily',
  'ex-bond-damaged': 'Damaged or cracked',
  'do-bond-mix': (p, own) =>
    p.n('epoxy')
      ? `Kit at ${own.c(f(85))} to ${own.c(f(95))}: all of the hardener into all of the base.`
      : `Mix the whole kit.${CATALYST[p.s('catalyst')] ?? ''}`,
  'look-bond-mix': 'One colour; bottom and corners scraped.',
  'mistake-bond-mix': 'Part of a kit, or not mixed through.',
  'act-bond-mix': 'Mixed: pot life runs',
  'hint-bond-mix': 'shorter when hot',
  'ex-bond-not-uniform': 'Not one colour',
  'do-bond-bond': 'Thin coat, cut end, thick coat; thin into the socket; push home evenly.',
  'look-bond-bond': 'Bottomed, square and level before cleaning up.',
  'mistake-bond-bond': 'Pushing with adhesive that has begun to gel.',
  'act-bond-bond': 'Home, fitting held up',
  'hint-bond-bond': 'steady, to the stop',
  'ex-bond-gelled': 'Adhesive gelled',
  'ex-bond-not-bottomed': 'Did not bottom',
  'do-bond-fillet': (_, own) =>
    `Fillet at 45°, warm it moving, ${own.mm(152.4)} to ${own.mm(254)} away. Blanket on where needed.`,
  'look-bond-fillet': 'Hard before the other end of that fitting is worked.',
  'mistake-bond-fillet': 'Working the other end while it is soft.',
  'act-bond-fillet': 'Fillet made, blanket on',
  'hint-bond-fillet': 'note when the blanket starts',
  'ex-bond-moved': 'It moved',
  'do-bond-look': 'Look: bottomed, fillet all round.',
  'look-bond-look': 'No gap in the fillet, nothing run into the bore.',
  'mistake-bond-look': 'Counting a blanket that was not on.',
  'act-bond-look': 'Bottomed, fillet all round',
  'hint-bond-look': 'then the cure',
  'ex-bond-cannot-see': 'Cannot see all of it',
  'tool-resin-saw': 'abrasive or diamond grit blade',
  'tool-resin-grit': '36 to 60 grit, cloth or drum with backing pad',
  'tool-resin-kit': 'adhesive kit, in date',
  'tool-resin-gloves': 'gloves and goggles',
  'never-toothed-blade': 'toothed blade',
  'never-flap-wheel': 'flap wheel or coarse flap disc',
  'never-resin-solvent': 'solvent on the sanded surface',
  'clock-bond-sanded': 'bond the sanded end',
  'clock-bond-pot-life': 'use the mixed kit',
  'clock-bond-fillet': 'work the other end',
  'miss-bond-sanded': 'Sanded more than 2 h ago: sand again.',
  'miss-bond-pot-life': 'Gelled: mix a new kit.',
  'miss-bond-fillet': 'Worked while soft: look for movement.',
  'caution-resin-dust': 'Dust when cutting and sanding: mask, goggles.',
  'caution-resin-peroxide': 'Peroxide catalyst and promoter are never put straight together: explosion.',
  'caution-resin-skin': 'Resin and hardener off skin and eyes: gloves, goggles.',
  'caution-resin-hot': 'Hot gun and blanket burn.',
  'caution-resin-left-over': 'A left-over mixed kit heats up: outside, uncapped.',
  'resin-pipe-cold': (p) =>
    `Pipe ${p.c('temperatureC')}; cut at ${p.c('limitC')} and warmer: cold pipe cracks. Warm it first.`,
  'resin-too-cold': (p) =>
    `Air ${p.c('temperatureC')}: no catalyst figure below ${p.c('limitC')}. Warm the place.`,
  'choice-bond-cold-pipe': (_, own) =>
    `Pipe is cut at ${own.c(f(55))} and warmer, resin-lined cored pipe at ${own.c(f(100))}: cold pipe cracks.`,
  'choice-bond-cold-air': (_, own) =>
    `Below ${own.c(f(40))} there is no catalyst figure for vinyl ester: warm the place.`,
  'choice-bond-blanket': (_, own) =>
    `Outside ${own.c(f(70))} to ${own.c(f(100))} 24 h do not hold: heat blanket, time by the maker\u2019s sheet.`,
  'resin-sand-again': (p) => `Sanded ${p.dur('forS')} ago: sand again.`,
  'resin-needs-blanket': (p) =>
    `At ${p.c('temperatureC')} it does not cure by itself: heat blanket, time by the maker\u2019s sheet.`,
  'resin-no-cure': (p, own) =>
    `No cure time at ${p.c('temperatureC')}: 24 h holds for ${own.c(f(70))} to ${own.c(f(100))}. Maker\u2019s sheet.`,
  'pot-life-by-kit': 'By the kit and its temperature.',
  'fillet-by-touch': 'By touch: hard.',
  'bond-short': 'Not bottomed. Cut out and make again.',
  'bond-fillet-gaps': 'The fillet has gaps: fill it while it can be filled.',
  'cause-bond-gelled': 'Pushed when the adhesive had begun to gel.',
  'depth-measure': (p) => `No table for ${p.s('size')}: slide the fitting on and measure its depth.`,
  'interrupted-bond-sanded': 'Good for 2 h from sanding. After that sand again.',
  'interrupted-bond-wet': 'Wet: dry it, sand again.',
  'interrupted-bond-mixed': 'The kit gels. Outside, uncapped; mix a new one.',
  'interrupted-bond-moved': 'Set it straight now, or cut it out when hard.',
  'interrupted-bond-blanket': 'The blanket is off: its time does not count. Note when it is on again.',
  'test-bond-cured': (_, own) =>
    `No pressure before 24 h at ${own.c(f(70))} to ${own.c(f(100))}, or the blanket\u2019s time.`,
  'fault-bond-cold-cut': 'Cut cold: cracked',
  'fault-bond-glaze-left': 'Glaze left',
  'fault-bond-not-mixed': 'Not mixed through',
  'fault-bond-too-late': 'Bonded too late after sanding',
}
