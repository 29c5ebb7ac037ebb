import { practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-resin-steps', 'Adhesive-bonded resin pipe, step by step, as the trade does it'),
  practice('cp-resin-sand', 'Sand 1/2 in beyond the socket depth; sand again 2 h after sanding'),
  practice('cp-resin-cut', 'Cut at 55 °F and warmer; resin-lined cored pipe at 100 °F and warmer'),
  practice(
    'cp-resin-catalyst',
    'Vinyl ester: whole catalyst, cold-weather below 70 °F, hot-weather above 100 °F, none below 40 °F',
    'Common practice, no published source. The kit\u2019s own sheet rules.',
  ),
  practice('cp-resin-cure', 'Without a blanket 24 h at 70 to 100 °F; below that with heat only'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'adhesive-bond': typeof SOURCES
  }
}
