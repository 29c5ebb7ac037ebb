import type { CodesOf } from '../../sources/wording.js'
import { fToC as f } from '../../units/units.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Adhesive bond',
  steps: {
    sand: {
      does: {
        says: '{sandMm, plural, =-1 {Fitting on, mark its depth and {limitMm, number, length} beyond; sand the glaze off to the second.} other {Mark {depthMm, number, length} and {sandMm, number, length}; sand the glaze off to the second.}}',
        figures: { limitMm: 12.7 },
      },
      look: 'Pipe at {cutFromC, number, temperature} or warmer before cutting. Dull all over, socket too; dust off dry, no bare hands.',
      mistake: 'Flap wheel: it polishes.',
      act: 'Sanded, dusted off',
      hint: 'starts 2 h',
    },
    mix: {
      does: {
        says: '{epoxy, plural, =0 {Mix the whole kit.{catalyst, select, cold { Cold-weather catalyst.} whole { Whole tube of catalyst.} hot { Hot-weather catalyst.} other {}}} other {Kit at {fromC, number, temperature} to {toC, number, temperature}: all of the hardener into all of the base.}}',
        figures: { fromC: f(85), toC: f(95) },
      },
      look: 'One colour; bottom and corners scraped.',
      mistake: 'Part of a kit, or not mixed through.',
      act: 'Mixed: pot life runs',
      hint: 'shorter when hot',
    },
    bond: {
      does: 'Thin coat, cut end, thick coat; thin into the socket; push home evenly.',
      look: 'Bottomed, square and level before cleaning up.',
      mistake: 'Pushing with adhesive that has begun to gel.',
      act: 'Home, fitting held up',
      hint: 'steady, to the stop',
    },
    fillet: {
      does: {
        says: 'Fillet at 45°, warm it moving, {fromMm, number, length} to {toMm, number, length} away. Blanket on where needed.',
        figures: { fromMm: 152.4, toMm: 254 },
      },
      look: 'Hard before the other end of that fitting is worked.',
      mistake: 'Working the other end while it is soft.',
      act: 'Fillet made, blanket on',
      hint: 'note when the blanket starts',
    },
    look: {
      does: 'Look: bottomed, fillet all round.',
      look: 'No gap in the fillet, nothing run into the bore.',
      mistake: 'Counting a blanket that was not on.',
      act: 'Bottomed, fillet all round',
      hint: 'then the cure',
    },
  },
  exceptions: {
    wet: 'Got wet or oily',
    damaged: 'Damaged or cracked',
    'not-uniform': 'Not one colour',
    gelled: 'Adhesive gelled',
    'not-bottomed': 'Did not bottom',
    moved: 'It moved',
    'cannot-see': 'Cannot see all of it',
  },
  clocks: {
    sanded: { runs: 'bond the sanded end', missed: 'Sanded more than 2 h ago: sand again.' },
    'pot-life': { runs: 'use the mixed kit', missed: 'Gelled: mix a new kit.' },
    fillet: { runs: 'work the other end', missed: 'Worked while soft: look for movement.' },
  },
  faults: {
    'cold-cut': 'Cut cold: cracked',
    'glaze-left': 'Glaze left',
    touched: 'Touched, wet or dusty',
    'too-late': 'Bonded too late after sanding',
    'not-mixed': 'Not mixed through',
    gelled: 'Gelled when pushed home',
    'other-end': 'Other end worked while soft',
    'half-cured': 'Blanket off: half cured',
  },
  says: {
    'name-bond-socket': 'bond socket',
    'field-bond-home': 'Pipe in the socket',
    'field-bond-fillet': 'Fillet',
    'tool-resin-saw': 'abrasive or diamond grit blade',
    'tool-resin-grit': '36 to 60 grit, cloth or drum with backing pad',
    'tool-resin-kit': 'adhesive kit, in date',
    'tool-resin-gloves': 'gloves and goggles',
    'never-toothed-blade': 'toothed blade',
    'never-flap-wheel': 'flap wheel or coarse flap disc',
    'never-resin-solvent': 'solvent on the sanded surface',
    'caution-resin-dust': 'Dust when cutting and sanding: mask, goggles.',
    'caution-resin-peroxide': 'Peroxide catalyst and promoter are never put straight together: explosion.',
    'caution-resin-skin': 'Resin and hardener off skin and eyes: gloves, goggles.',
    'caution-resin-hot': 'Hot gun and blanket burn.',
    'caution-resin-left-over': 'A left-over mixed kit heats up: outside, uncapped.',
    'resin-pipe-cold':
      'Pipe {temperatureC, number, temperature}; cut at {limitC, number, temperature} and warmer: cold pipe cracks. Warm it first.',
    'resin-too-cold':
      'Air {temperatureC, number, temperature}: no catalyst figure below {limitC, number, temperature}. Warm the place.',
    'choice-bond-cold-pipe': {
      says: 'Pipe is cut at {fromC, number, temperature} and warmer, resin-lined cored pipe at {toC, number, temperature}: cold pipe cracks.',
      figures: { fromC: f(55), toC: f(100) },
    },
    'choice-bond-cold-air': {
      says: 'Below {limitC, number, temperature} there is no catalyst figure for vinyl ester: warm the place.',
      figures: { limitC: f(40) },
    },
    'choice-bond-blanket': {
      says: 'Outside {fromC, number, temperature} to {toC, number, temperature} 24 h do not hold: heat blanket, time by the maker\u2019s sheet.',
      figures: { fromC: f(70), toC: f(100) },
    },
    'resin-sand-again': 'Sanded {forS, number, duration} ago: sand again.',
    'resin-needs-blanket':
      'At {temperatureC, number, temperature} it does not cure by itself: heat blanket, time by the maker\u2019s sheet.',
    'resin-no-cure': {
      says: 'No cure time at {temperatureC, number, temperature}: 24 h holds for {fromC, number, temperature} to {toC, number, temperature}. Maker\u2019s sheet.',
      figures: { fromC: f(70), toC: f(100) },
    },
    'pot-life-by-kit': 'By the kit and its temperature.',
    'fillet-by-touch': 'By touch: hard.',
    'bond-short': 'Not bottomed. Cut out and make again.',
    'bond-fillet-gaps': 'The fillet has gaps: fill it while it can be filled.',
    'cause-bond-gelled': 'Pushed when the adhesive had begun to gel.',
    'depth-measure': 'No table for {size}: slide the fitting on and measure its depth.',
    'interrupted-bond-sanded': 'Good for 2 h from sanding. After that sand again.',
    'interrupted-bond-wet': 'Wet: dry it, sand again.',
    'interrupted-bond-mixed': 'The kit gels. Outside, uncapped; mix a new one.',
    'interrupted-bond-moved': 'Set it straight now, or cut it out when hard.',
    'interrupted-bond-blanket': 'The blanket is off: its time does not count. Note when it is on again.',
    'test-bond-cured': {
      says: 'No pressure before 24 h at {fromC, number, temperature} to {toC, number, temperature}, or the blanket\u2019s time.',
      figures: { fromC: f(70), toC: f(100) },
    },
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
