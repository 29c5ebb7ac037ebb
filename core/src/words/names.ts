import type { CodesOf, Wordings } from '../sources/wording.js'

/** Materials and choices as the trade writes them, by what is stored of them. */
export const NAMES = {
  'name-pvc-u': 'PVC-U',
  'name-pvc': 'PVC',
  'name-cpvc': 'CPVC',
  'name-abs': 'ABS',
  'name-pp-r': 'PP-R',
  'name-pp-r-layered': 'PP-R with a metal layer',
  'name-pfa': 'PFA',
  'name-carbon-steel': 'carbon steel',
  'name-pe': 'PE',
  'name-pex': 'PEX',
  'name-epoxy-resin': 'epoxy resin',
  'name-vinyl-ester-resin': 'vinyl ester resin',
  'name-cored-resin': 'cored resin',
  'name-K': 'type K',
  'name-L': 'type L',
  'name-M': 'type M',
  'name-GW 392': 'usual walls (GW 392)',
  'name-Table X': 'thin walls (table X)',
  'name-Table Y': 'thick walls (table Y)',
  'name-not-known': 'nobody can say',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof NAMES> {}
}
