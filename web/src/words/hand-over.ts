import type { Wordings } from '@jugalis/core'

/** The place hand over. */
export const HAND_OVER = {
  // HandOver
  'hand-over-anybody-checks': 'Anybody with the file of this job can check it',
  'hand-over-brought':
    'Entries 1 to {entries} came in as a file, brought by {name} {at}: this server did not see them written. They end in {head}…',
  'hand-over-the-log-is-chained':
    '{name}. The log is chained: each entry carries the hash of the one before. It shows what was recorded; it is no code authority.',
  'hand-over-upkeep': 'Upkeep',
  'hand-over-missing': 'Missing',
  'hand-over-whole-job-json': 'Whole job, JSON',
  'hand-over-joint-log-csv': 'Joint log, CSV',
  'hand-over-raw-log-csv': 'Raw log, CSV',
  'hand-over-joint-log': 'Joint log',
  'hand-over-no-joint-has-been': 'No joint has been begun.',
  'hand-over-find': 'Find in the joint log',
  'hand-over-find-by': 'Tag, size, name or outcome',
  'hand-over-found': '{found, number} of {all, number}',
  'hand-over-state': 'State',
  'hand-over-life': 'Life',
  'hand-over-home': 'Home',
  'hand-over-by': 'By',
  'hand-over-read-when-judged': 'Read when judged',
  'hand-over-outcome': 'Outcome',
  'hand-over-tests': 'Tests',
  'hand-over-at-with':
    '{date} {at}: {section} at {bar, number, pressure} with {medium}, {verdict}, {tester}.',
  'hand-over-no-test-yet': 'No test yet.',
  'hand-over-signatures': 'Signatures',
  'hand-over-sign-the-hand-over': 'Sign the hand-over as {name}',
  'hand-over-sign-the-hand-over-2': 'Sign the hand-over',
  'hand-over-printed': 'Printed {date} {at}.',
  'hand-over-joints-are-not-made': '{fs} joints are not made: {tag} to {tag2}.',
  'hand-over-is-not-made': '{tag} is not made.',
  'hand-over-not-good': '{count, number} joints from {tag} to {tag2} are not judged good.',
  'hand-over-is-judged-failed': '{tag} is judged failed.',
  'hand-over-is-not-judged-good': '{tag} is not judged good.',
  'hand-over-is-not-proved': '{tag} is not proved.',
  'hand-over-is-not-back': 'Not back as it was: {kind}, {where}.',
  'hand-over-nobody-has-signed-the': 'Nobody has signed the job over.',
  'hand-over-nothing-to-hand-over': 'Nothing to hand over yet. The first made joint starts the log.',
  'hand-over-of-joints-made-and':
    '{good} of {joints} joints made and judged good, {proved} of {sections} sections proved. {missing} {missing, plural, one {thing is} other {things are}} missing.',
  'hand-over-ready-to-hand-over': 'Ready to hand over: nothing is missing.',
  'hand-over-not-judged': 'not judged',
  'hand-over-failed': 'failed',
  'hand-over-open': 'open',
  'hand-over-cut-out': 'cut out {at}',
  'hand-over-handed-over-with-things':
    'Handed over with {left} {left, plural, one {thing} other {things}} missing, as listed.',
  'hand-over-handed-over-with-nothing': 'Handed over with nothing missing.',
} as const satisfies Wordings
