import type { Wordings } from './words.js'

/** Tools, permits, batches, back-entries: what the record says of how the work was done. */
export const MAKE: Wordings = {
  'tool-does-not-fit': (p) =>
    `${p.s('tool')} is for ${p.s('has')}; this joint needs ${p.s('wants')}. Fetch the right one.`,
  'tool-out-of-date': (p) => `${p.s('tool')} was due on ${p.s('on')}. Take another, or have it looked at.`,
  'tool-not-proved': (p) => `${p.s('tool')} has not been tried today. Try it before the first joint.`,
  'tool-proof-bad': (p) => `${p.s('tool')} failed its trial today (${p.s('how')}). Take another.`,
  'part-aside': (p) =>
    `${p.s('why')}: nothing is made with it yet. Put this part aside and take another, then begin.`,
  'life-overlaps':
    'A step of this life lies before the life before it was cut out: one of the two times is wrong. Look at it again.',
  'step-skipped': (p) => `Skipped: ${p.s('step')} (${p.s('reason')}).`,
  'from-memory': 'Written down from memory. Clocks count from the latest time it may have been.',
  'no-cycle-logged': 'The tool logged no finished cycle for this joint. Look at it: it may not be pressed.',
  'made-with-wrong-tool': (p) => `Made with ${p.s('tool')}: ${p.s('says')}. Look at it again.`,
  'scan-unknown': (p) => `Nothing here is called ${p.s('code')}. Write the tool down, or type its name.`,
  'scan-not-here': (p) => `${p.s('code')} is a ${p.s('kind')}: in hand, but not needed at this joint.`,
  'forecast-empty': 'There are no rows below the first line.',
  'forecast-long': (p) => `More than ${p.s('most')} rows. Leave out what lies far ahead.`,
  'forecast-time': (p) => `"${p.s('text')}" is not a time like 2026-11-26 14:00.`,
  'forecast-value': (p) => `"${p.s('text')}" is not a temperature out of doors.`,
  'unfixed-press': 'not pressed',
  'unfixed-compression': 'not tightened',
  'unfixed-sanitary-clamp': 'not tightened',
  'unfixed-split-coupling': 'not tightened',
  'unfixed-expansion-joint': 'not tightened',
  'unfixed-flange': 'not tightened',
}
