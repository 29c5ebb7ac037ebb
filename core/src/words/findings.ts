import type { CodesOf, Wordings } from '../sources/wording.js'

/** Findings, refusals and reasons why a figure is missing. Cause, then action. */
export const FINDINGS = {
  'size-unreadable': '"{size}" is not a size as written here. Write it like {suggestion}.',
  'size-not-made': '{material} is not made in {size} for this joint.',
  'material-not-joined': '{method} does not join {material}.',
  'family-not-joined': '{size} is not a size of {material} for this joint.',
  'school-not-joined': '{material} {size} is not joined by the {school} school.',
  'schedule-needed': '{size} needs its schedule, "40" or "80", or the measured socket depth.',
  'socket-depth-unknown': 'No socket depth is known for {size}. Measure the socket and give its depth.',
  'not-a-positive-number': '{field} must be a number above zero.',
  'not-a-date': '"{text}" is not a date. Write it like 2026-11-23.',
  'not-a-tin-code': '"{text}" does not begin with five figures (year and day).',
  'no-such-day': '{year} has no day {ordinal}.',
  missing: '{field} is missing.',
  'school-unknown': 'Choose a school: inch or metric.',
  'socket-too-deep': 'No socket is that deep. Measure again.',
  'no-cure-size': 'No figure for {size} in this rule. Load the maker\u2019s chart or choose another rule.',
  'no-cure-pressure': 'No figure for {bar, number, pressure} in this rule: it ends lower.',
  'no-cure-temperature':
    'No figure: the wall was outside the temperatures of this rule. Load the maker\u2019s chart or warm the pipe.',
  'no-set-time':
    'No set time is known for {size} at these temperatures. Leave it in the puller and follow the maker.',
  'no-temperature': 'No temperature is known here. Type in a reading first.',
  'not-home': 'Not home yet.',
  'quantity-unknown': 'How much depends on the tin.',
  'section-live': 'This section is not drained. Nobody cuts or opens it.',
  'inner-joint-first':
    'The inner joint {joint} comes first. Both at once only with everything prepared beforehand.',
  'too-early-to-press': 'The joint is not ready for this pressure.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof FINDINGS> {}
}
