import type { Wordings } from '@jugalis/core'

/** What stands round every place: strips, sheets, fields. */
export const FRAME = {
  // FoldingRule
  'frame-places': 'Places',
  'frame-more': 'More',
  // JobFrame
  'frame-to-the-work': 'To the work',
  'frame-sign-in-to-open': 'Sign in to open this job.',
  'frame-nothing-of-it-is':
    'Nothing of it is kept on this device yet{isLapsed, select, yes {} other {; it opens as soon as the server answers}}.',
  'frame-closed': 'This job was closed {at}.',
  'frame-opening-the-job': 'Opening the job …',
  'frame-there-is-no-such': 'There is no such job, or you are not on it.',
  // KeysHelp
  'frame-keys': 'Keys',
  'frame-in': 'In {says}',
  'frame-everywhere': 'Everywhere',
  'frame-the-places-in-working': 'the places, in working order',
  'frame-type-in-a-reading': 'type in a reading',
  'frame-day-and-night-colours': 'day and night colours',
  'frame-sound-off-and-on': 'sound off and on',
  'frame-the-nearest-clock-space': 'the nearest clock; Space takes a note of a missed one',
  'frame-take-back-with-shift': 'take back; with Shift do it again',
  'frame-leave-a-field': 'leave a field',
  'frame-this-list': 'this list',
  'frame-j-k-arrows': 'J K, arrows',
  'frame-next-previous-row-or': 'next, previous row or piece; with Shift more than one',
  'frame-the-large-action': 'the large action',
  'frame-mark-the-joint-write': 'mark the joint; write the marked ones down together',
  'frame-a-scanned-code-tin': 'a scanned code, tin or tool',
  'frame-back-and-on-in': 'back and on in time',
  'frame-the-next-filter': 'the next filter',
  'frame-to-the-entry-line': 'to the entry line',
  'frame-open-the-row': 'open the row',
  'frame-type-the-row-over': 'type the row over, insert after it',
  'frame-copy-below-take-out': 'copy below, take out',
  'frame-alt-arrows': 'Alt+arrows',
  'frame-move-up-or-down': 'move up or down',
  'frame-take-off-that-of': 'take-off, that of the branch',
  'frame-change-the-line': 'change the line',
  'frame-a-new-line': 'a new line',
  'frame-the-drawing-closer-further': 'the drawing: closer, further, fit',
  // LiveStrip
  'frame-is-state': '{tag} is {state}',
  'frame-since': 'since {when}',
  'frame-nothing-on-it-is': 'Nothing on it is cut, opened or tightened.',
  'frame-full': 'Full:',
  'frame-last-read': '{bar, number, pressure} last read',
  // QuantityField
  'frame-is-too-little-here': '{shown} is too little here.',
  'frame-is-more-than-can': '{shown} is more than can be. Check the unit.',
  'frame-this-is-needed': 'This is needed.',
  'frame-cant-be-read-as': '"{text}" can’t be read as a figure in {unit}.',
  // ReadingSheet
  'frame-what-is-it-like': 'What is it like there?',
  'frame-no-place-is-set': 'No place is set up yet.',
  'frame-clocks-and-cure-times': '{places}. Clocks and cure times go by these.',
  'frame-humidity': 'Humidity',
  'frame-humidity-is-a-number': 'Humidity is a number from 1 to 100.',
  'frame-keep-the-reading': 'Keep the reading',
  'frame-all-places-probes-forecast': 'All places, probes, forecast',
  'frame-leave-it': 'Leave it',
  'frame-air': 'Air',
  'frame-nothing-is-typed-in': 'Nothing is typed in yet.',
  'frame-reading-kept': 'Reading kept.',
  // RowFaults
  'frame-nothing-was-loaded-rows':
    'Nothing was loaded. {faults, plural, one {One row is} other {{faults} rows are}} not as it should be:',
  'frame-line': '{column, select, none {Line {line}:} other {Line {line}, {column}:}}',
  // SectionChooser
  'frame-section': '{tag}',
  'frame-section-proved': '{tag} proved',
  'frame-sections': 'Sections',
  'frame-the-whole-job': 'the whole job',
  // Sheet
  'frame-shut-this-sheet': 'Shut this sheet',
  'frame-kept-as-typed-or': 'Kept as typed. ✕ or Esc closes it.',
  // SignSheet
  'frame-it-stands-in-the': 'It stands in the log under {name} with its time. Undo is written too.',
  'frame-not-yet': 'Not yet',
  // TopStrip
  'frame-it-is-above-dew':
    '{which, select, air {Air} other {Wall}} {c, number, temperature}, {above, number, warmer} above dew.',
  'frame-it-is': '{which, select, air {Air} other {Wall}} {c, number, temperature}.',
  'frame-type-in-a-reading-r': 'Type in a reading (R)',
  'frame-signed-out': 'Signed out.',
  'frame-sign-in-again': 'Sign in again',
  'frame-sound-is-off-turn': 'Sound is off: turn it on',
  'frame-no-sound': 'no sound',
  'frame-day-colours': 'Day colours',
  'frame-night-colours': 'Night colours',
  'frame-day': 'day',
  'frame-night': 'night',
  'frame-read-it-again-before': 'Read it again before cementing.',
  'frame-open': 'Open {fig, number, duration}',
  'frame-cement-stays-open-about': 'Cement stays open about {fig, number, duration}.',
  'frame-no-reading-yet-type': 'No reading yet. Type in air, wall and humidity.',
  'frame-last-reading-ago': 'Last reading {age, number, duration} ago.',
  'frame-kept-on-this-device': 'Kept on this device; {pending} to send.',
  'frame-what-you-do-is': 'What you do is kept on this device.',
  // UndoStrip
  'frame-written': '{tag, select, none {written {at}} other {{tag}, written {at}}}',
  'frame-not-taken': 'Not taken ({which}): {why}',
  'frame-put-away': 'Put away',
  'frame-this-device-keeps-nothing':
    'This device keeps nothing: its store is full or closed. {unkept} {unkept, plural, one {entry waits} other {entries wait}} in this page: leave it open until there is signal.',
  'frame-a-newer-version-is': 'A newer version is here.',
  'frame-put-it-in': 'Put it in',
  'frame-taken-back': 'Taken back: {says}',
  'frame-do-it-again': 'Do it again',
  'frame-not-your-part':
    '{role, select, reader {You are a reader here: nothing was written.} other {This is not for {role, select, apprentice {an apprentice} tester {a tester} witness {a witness} other {a fitter}} of this job: nothing was written.}} Who leads the job gives another role.',
  'frame-not-yours': 'Somebody else wrote that: they take it back, or who leads the job does.',
  'frame-here-as':
    '{role, select, apprentice {You are an apprentice here: you set out and make, and somebody else looks at each joint, proves and signs.} tester {You are a tester here: you prove, look at joints and sign, and make none.} witness {You are a witness here: you look, answer hold points and sign.} other {You are a reader here: you see everything and write nothing.}}',
  'frame-undo': 'Undo',
} as const satisfies Wordings
