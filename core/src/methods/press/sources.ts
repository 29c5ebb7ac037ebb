import { practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-press-steps', 'Press joints, step by step, as the trade does it'),
  practice('cp-press-clearance', '4 in to 1-1/2, 6 in from 2, between a press joint and a weld or bend'),
  practice('cp-press-surface', 'Coating at most 0.012 in (0.30 mm); no stamped or engraved pipe'),
  practice('cp-press-lubricant', 'Water or soapy water at most; no oil, grease or silicone'),
  practice('cp-press-store', 'Carbon-steel press fittings: RH at most 65 %'),
  practice(
    'cp-press-leak-check',
    'Leak-if-unpressed check: air at most 45 psi, water at most 85 psi; not below 0.5 psi of air or 15 psi of water at the highest fitting',
  ),
  practice(
    'cp-press-spacing',
    'Two press fittings: at least one pipe diameter, 10 mm or more, and room for the tool',
    'Common practice, no published source. The maker\u2019s chart rules.',
  ),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    press: typeof SOURCES
  }
}
