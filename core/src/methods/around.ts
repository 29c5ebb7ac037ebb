import { msg } from '../sources/source.js'
import type { Field } from './method.js'

/** Asked and answered with "nobody can say": the rules that depend on it keep still, and it is not asked again. */
export const NOT_KNOWN = 'not-known'
const YES_NO = ['no', 'yes'] as const
/** What runs in a line: the gases among it are those that plastic pipe for liquids must not hold. */
export const GASES = ['compressed-air', 'compressor-oil', 'fuel-gas'] as const
/**
 * What a rule of choice may depend on and only somebody on site can say. Asked once for a line, before its first joint;
 * a joint that differs says so for itself.
 */
export const ASKED = {
  medium: [
    'drinking-water',
    'heating-water',
    'chilled-water',
    'sea-water',
    'pure-water',
    'waste-water',
    'chemical',
    'steam',
    ...GASES,
    'other-medium',
  ],
  service: ['under-pressure', 'drain'],
  /** Rubber in the fittings. */
  seal: ['EPDM', 'HNBR', 'FKM', 'other-seal'],
  solderKind: ['lead-free', 'leaded'],
  /** What was put on to ease assembly. */
  lubricant: ['none', 'water', 'soap', 'oil', 'grease', 'silicone'],
  /** What stands within reach of the heat, or is still to be made there. */
  beside: ['neither', 'press', 'solder'],
  carriedChemical: YES_NO,
  tubeWall: ['as-listed', 'other-wall', 'not-measured'],
  /** What a flanged rubber meets. */
  meets: ['flat-face', 'raised-face', 'wafer-valve', 'butterfly-valve', 'expansion-joint'],
  welding: YES_NO,
  traced: YES_NO,
  rigged: ['to-pipe', 'to-lugs'],
  makers: ['one-maker', 'mixed-makers'],
  buried: YES_NO,
  nut: ['unlike-metals', 'same-stainless'],
  /** Is the ferrule it meets welded to tube of the same series? */
  otherEnd: ['same-tube', 'other-tube'],
} as const satisfies Readonly<Record<string, readonly string[]>>
export type AskedFact = keyof typeof ASKED
export const ASKED_FACTS = Object.keys(ASKED) as AskedFact[]
/** Facts that were said, by name. */
export type Said = { readonly [K in AskedFact]?: string | null }

/** What the record itself knows of a joint's surroundings. */
export interface Known {
  /** Plastic the tin in hand is made for, and whether it is past its date. */
  cement?: string | null
  tinExpired?: boolean | null
  live?: boolean
  hotWorkPermit?: boolean | null
}
export type Around = Known & Said

/** How a fact is asked. */
export const askedField = (fact: AskedFact): Field => ({
  key: fact,
  label: msg(`around-${fact}`),
  needed: false,
  control: 'choice',
  options: [...ASKED[fact], NOT_KNOWN],
})
