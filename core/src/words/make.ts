import type { CodesOf, Wordings } from '../sources/wording.js'

/** Tools, permits, batches, back-entries: what the record says of how the work was done. */
export const MAKE = {
  'tool-does-not-fit': '{tool} is for {has}; this joint needs {wants}. Fetch the right one.',
  'lot-out-of-date': '{tool} was good until {on}. Fetch another.',
  'item-open-too-long': '{tool} was opened on {on} and kept until {untilOn}. Fetch another.',
  'item-condemned': '{tool} was thrown away. Take another.',
  'item-empty': '{tool} was said to be empty. Put it back in the store if it is not.',
  'item-found-wrong': '{tool} was found wrong: {says}. Take another until it is put right.',
  'tool-out-of-date': '{tool} was due on {on}. Take another, or have it looked at.',
  'tool-not-proved': '{tool} has not been tried today. Try it before the first joint.',
  'tool-proof-bad': '{tool} failed its last trial ({how}). Take another.',
  'part-aside': '{why}: nothing is made with it yet. Put this part aside and take another, then begin.',
  'life-overlaps':
    'A step of this life lies before the life before it was cut out: one of the two times is wrong. Look at it again.',
  'step-skipped': 'Skipped: {step} ({reason}).',
  'from-memory': 'Written down from memory. Clocks count from the latest time it may have been.',
  'no-cycle-logged': 'The tool logged no finished cycle for this joint. Look at it: it may not be pressed.',
  'joint-doubted': 'Said to be in doubt: {says}. Look at it again.',
  'made-with-wrong-tool': 'Made with {tool}: {says}. Look at it again.',
  'scan-unknown': 'Nothing here is called {code}. Write the tool down, or type its name.',
  'scan-not-here': '{code} is a {kind}: in hand, but not needed at this joint.',
  'forecast-empty': 'There are no rows below the first line.',
  'forecast-long': 'More than {most} rows. Leave out what lies far ahead.',
  'forecast-time': '"{text}" is not a time like 2026-11-26 14:00.',
  'forecast-value': '"{text}" is not a temperature out of doors.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof MAKE> {}
}
