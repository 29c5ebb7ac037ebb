import type { CodesOf, Wordings } from '../sources/wording.js'

/** What is asked about a joint's surroundings, and the answers. */
export const AROUND_WORDS = {
  'around-medium': 'What runs in it',
  'around-service': 'In service it stands',
  'around-seal': 'Rubber in the fittings',
  'around-solderKind': 'Solder in hand',
  'around-lubricant': 'Put on to ease assembly',
  'around-beside': 'Within reach of the heat there is, or will be',
  'around-carriedChemical': 'Has the tube carried chemicals?',
  'around-tubeWall': 'Wall of the tube, measured',
  'around-meets': 'What it bolts to',
  'around-welding': 'Is anything still to be welded beside it?',
  'around-traced': 'Heat tracing or insulation over it?',
  'around-rigged': 'Lifting gear hangs on',
  'around-makers': 'Nut, ferrules and body come from',
  'around-buried': 'Will it lie in the ground?',
  'around-nut': 'Metals of nut and bolt',
  'around-otherEnd': 'The ferrule it meets is for',
  'said-medium-compressor-oil': 'compressed air with oil',
  'said-medium-other-medium': 'something else',
  'said-seal-other-seal': 'another rubber',
  'said-beside-neither': 'nothing pressed or soldered',
  'said-beside-press': 'a press joint',
  'said-beside-solder': 'a joint to solder',
  'said-tubeWall-as-listed': 'as listed for its size',
  'said-tubeWall-other-wall': 'another wall',
  'said-meets-flat-face': 'a flat face',
  'said-meets-raised-face': 'a raised face',
  'said-meets-wafer-valve': 'a wafer check valve',
  'said-meets-butterfly-valve': 'a butterfly valve',
  'said-meets-expansion-joint': 'another rubber joint',
  'said-rigged-to-pipe': 'the pipe',
  'said-rigged-to-lugs': 'its lugs',
  'said-makers-one-maker': 'one maker',
  'said-makers-mixed-makers': 'different makers',
  'said-nut-unlike-metals': 'different, or coated',
  'said-nut-same-stainless': 'the same stainless, bare',
  'said-otherEnd-same-tube': 'tube of the same size and series',
  'said-otherEnd-other-tube': 'tube of another series',
  'choice-plastic-gas':
    'Gas or compressed air is not run in {material}: it bursts in splinters. Only pipe made and listed for it.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof AROUND_WORDS> {}
}
