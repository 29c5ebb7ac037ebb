import type { Wordings } from '@jugalis/core'

/** The place make joint. */
export const MAKE_JOINT = {
  // CheckTape
  'make-less': 'less, {stepMm, number, length}',
  'make-more-2': 'more, {stepMm, number, length}',
  'make-right': 'right',
  'make-short': 'short',
  'make-long': 'long',
  'make-not-read-yet-is': 'Not read yet. Is it right, short or long?',
  'make-short-of-home': '{off, number, length} short of home',
  'make-past-the-stop': '{off, number, length} past the stop',
  'make-home-by-the-check': 'home, by the check mark',
  // CoverageGrid
  'make-what-is-painted': 'What is painted',
  'make-paint-bare': 'paint bare',
  'make-paint-burnt': 'paint burnt',
  'make-degrees-of-from-the': '{c} degrees, {r} of {rows} from the face: {stateOf}',
  'make-covered-largest-void-no':
    '{coveragePct} % covered, largest void {largestVoidPct} %, {isLeakPath, select, yes {a bare path from face to stop} other {no path through}}{isBurnt, select, yes {, flux burnt} other {}}.',
  // GapReads
  'make-oclock': "{hour} o'clock",
  'make-less-2': 'less',
  'make-more-3': 'more',
  'make-read-it-at-each': 'Read it at each place: tap the tape or use the buttons.',
  'make-between-the-widest-and': '{spread, number, thickness} between the widest and the narrowest.',
  'make-out-of-line': '{tiltDeg}° out of line.',
  // ReadNumber
  'make-is-not-a-figure': '"{t}" is not a figure.',
  'make-that-cant-be': 'That can’t be: {value}.',
  // StepReads
  'make-read-it-off-the': 'Read it off the drawing',
  'make-type-it': 'Type it',
  // TurnsDial
  'make-less-an-eighth-of': 'less, an eighth of a turn',
  'make-more-an-eighth-of': 'more, an eighth of a turn',
  'make-draw-the-mark-round': 'Draw the mark round.',
  'make-to-draw-the-mark': 'To {goal}. Draw the mark round.',
  'make-too-far': '{off} too far',
  'make-as-far-as-it': 'as far as it should be',
  // use-joint
  'make-judged-failed-cut-out': 'Judged failed. Cut out and make again.',
  'make-the-limit-was': '{openedFor} The limit was {span}.',
  'make-the-limit-was-done': 'The limit was {at}. Done already? Tap, then say when.',
  'make-too-late-to': 'Too late to {label}: {span}.',
  'make-hold-more-do-not': 'Hold {more} more. Do not let go.',
  'make-more-no-longer': '{what} {more} more, no longer.',
  'make-made-leave-it-alone': 'Made. Leave it alone: no set time is known here.',
  'make-leave-alone-until': 'Leave alone until {when}.',
  'make-made-it-may-be': 'Made. It may be moved with care.',
  'make-home-at': 'Home at {at}.',
  'make-since-2': 'Since {at}. {why}',
  'make-no-figure-for-by': 'No figure for {bar} by this rule, with these readings.',
  'make-from-by-this-rule': '{bar} from {when}, by this rule, with these readings.',
  'make-may-take-by-this': 'May take {bar}, by this rule, with these readings.',
  'make-turns-short': '{off} short',
  'make-turns-from-to': '{from} to {to}',
  'make-turns': '{turns} turns',
  'make-within': '{does} within {span}{rest}',
} as const satisfies Wordings
