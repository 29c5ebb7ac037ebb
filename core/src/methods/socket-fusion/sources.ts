import { computed, practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-fusion-steps', 'Socket fusion, step by step, as the trade does it'),
  practice('cp-fusion-band', 'Some accept the tool at 240 to 280 °C'),
  practice('cp-fusion-test', 'Test at least 1 h after the last joint has cooled'),
  computed(
    'ours-fusion-ready',
    'Cooling time, and 1 h after it',
    ['dvs-2207-11', 'cp-fusion-test'],
    'The last joint decides.',
  ),
  computed(
    'ours-fusion-cold',
    'Below +5 °C: heating half again',
    ['dvs-2207-11'],
    'Our cautious figure: the trade says longer, without a number.',
  ),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'socket-fusion': typeof SOURCES
  }
}
