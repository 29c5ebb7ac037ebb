import type { Wordings } from '@jugalis/core'

/** The place jobs. */
export const JOBS = {
  // Jobs
  'jobs-jugalis-can-stand-on': 'Jugalis can stand on the home screen of this device.',
  'jobs-not-now': 'Not now',
  'jobs-of-yours-on-this':
    '{mine, plural, one {{mine} entry of yours on this device is not sent yet: open the job to send it.} other {{mine} entries of yours on this device are not sent yet: open the job to send them.}}',
  'jobs-on-this-device-were':
    '{others, plural, one {{others} entry on this device was written by somebody else, and goes out when they sign in here.} other {{others} entries on this device were written by somebody else, and go out when they sign in here.}}',
  'jobs-start-says':
    'Common jobs to begin with. Each has its lines set out and no length: measure a piece, cut it, join it. Whatever is different at yours, you change on the line.',
  'jobs-sizes-in': 'Sizes in',
  'jobs-in-millimetres': 'millimetre sizes',
  'jobs-in-inches': 'inch sizes',
  'jobs-name-of-the-job': 'Name of the job',
  'jobs-begin-with-these':
    '{lines, plural, one {Begin with this line} other {Begin with these {lines} lines}}',
  'jobs-from-a-common-job': 'From a common job',
  'jobs-back-to-the-list': 'Back to the list',
  'jobs-template-says':
    '{lines, plural, one {} other {{lines} lines. }}{method}, {material}, {sizes}; {pieces, plural, one {{pieces} piece} other {{pieces} pieces}} to measure.',
  'jobs-template-bathroom-copper': 'Bathroom, copper',
  'jobs-template-condensate': 'Condensate',
  'jobs-template-drain': 'Drain',
  'jobs-template-chilled-water': 'Chilled water',
  'jobs-template-sprinkler': 'Sprinkler, steel',
  'jobs-template-hygienic-spool': 'Hygienic spool',
  'jobs-template-service-line': 'Service line',
  'jobs-carries-hot': 'hot water',
  'jobs-carries-cold': 'cold water',
  'jobs-carries-condensate': 'condensate',
  'jobs-carries-waste': 'waste water',
  'jobs-carries-chilled': 'chilled water',
  'jobs-carries-sprinkler': 'sprinkler water',
  'jobs-carries-product': 'product',
  'jobs-carries-service': 'service water',
  'jobs-a-new-job': 'A new job',
  'jobs-school': 'School',
  'jobs-metric-cleaner-gap-filling': 'metric: cleaner, gap-filling cement, straight',
  'jobs-inch-primer-quarter-turn': 'inch: primer, quarter turn',
  'jobs-begin-the-job': 'Begin the job',
  'jobs-a-job-from-a': 'A job from a file',
  'jobs-the-json-export-of': 'The JSON export of a job reads back with the same log and the same hashes.',
  'jobs-choose-the-file': 'Choose the file',
  'jobs-of-yours-are-not':
    '{mine, plural, one {{mine} entry of yours is not sent. Signed out, it waits on this device until you sign in on it again.} other {{mine} entries of yours are not sent. Signed out, they wait on this device until you sign in on it again.}}',
  'jobs-sign-out-all-the': 'Sign out all the same',
  'jobs-stay-signed-in': 'Stay signed in',
  'jobs-sign-out': 'Sign out',
  'jobs-looking-for-your-jobs': 'Looking for your jobs …',
  'jobs-no-signal-can-be':
    '{jobs, plural, one {No signal. {jobs} job can be opened from this device.} other {No signal. {jobs} jobs can be opened from this device.}}',
  'jobs-no-signal-and-no': 'No signal, and no job is kept on this device.',
  'jobs-you-are-on':
    '{name}, you are on {jobs, plural, one {{jobs} job} other {{jobs} jobs}}. {pressing, plural, =0 {} one {{pressing} wants somebody now.} other {{pressing} want somebody now.}} {mine, plural, =0 {} one {{mine} waits for you.} other {{mine} wait for you.}}',
  'jobs-you-are-on-no': 'You are on no job yet. What will you join?',
  'jobs-give-the-job-a': 'Give the job a name.',
  'jobs-this-file-is-not': 'This file is not a Jugalis job.',
  'jobs-first': '{job}: {thing}.',
  'jobs-nothing-presses': 'Nothing presses. Next, {job}: {thing}.',
  'jobs-clocks': 'Clocks of all jobs',
  'jobs-look-for': 'Look for a job, joint, tin, tool, figure',
  'jobs-looking': 'Looking …',
  'jobs-found':
    '{count, plural, =0 {Nothing in your jobs by this text.} one {{count} thing in your jobs} other {{count} things in your jobs}}',
  'jobs-found-no-signal': 'No signal: only what is on this page can be looked through.',
  'jobs-in-the-handbook': 'Look up {text} in the Handbook',
  'jobs-kind-joint': 'joint',
  'jobs-kind-piece': 'piece',
  'jobs-kind-fitting': 'fitting',
  'jobs-kind-line': 'line',
  'jobs-kind-section': 'section',
  'jobs-kind-thing': 'in the store',
  'jobs-show': 'Show',
  'jobs-filter-all': 'All {count}',
  'jobs-filter-pressing': 'Pressing {count}',
  'jobs-filter-mine': 'Waits for me {count}',
  'jobs-filter-open': 'Not proved {count}',
  'jobs-filter-away': 'Put away {count}',
  'jobs-order': 'In order of',
  'jobs-order-next': 'what presses',
  'jobs-order-name': 'their names',
  'jobs-order-newest': 'newest',
  'jobs-none-of-these': 'None of your jobs is like that now.',
  'jobs-being-looked-at': 'This job is being looked through …',
  'jobs-at': 'at {site}',
  'jobs-for': 'for {customer}',
  'jobs-at-for': 'at {site}, for {customer}',
  'jobs-home-of': '{home} of {all} joints home',
  'jobs-thing-late': '{tag} is late {left}',
  'jobs-thing-window': 'a window is open: {tag}, {left}',
  'jobs-thing-hold': '{tag} is held, {left} more',
  'jobs-thing-runs': '{tag} is under test',
  'jobs-thing-lost': '{tag} lost its test',
  'jobs-thing-failed':
    '{rest, plural, =0 {{tag} failed} one {{tag} and {rest} more failed} other {{tag} and {rest} more failed}}',
  'jobs-thing-begun':
    '{rest, plural, =0 {{tag} is begun and not home} one {{tag} and {rest} more are begun and not home} other {{tag} and {rest} more are begun and not home}}',
  'jobs-thing-ready': '{tag} may take {bar} by its joints',
  'jobs-thing-ready-from': '{tag} may take {bar} from {at}',
  'jobs-thing-no-figure': '{tag}: no time is known for {joint}',
  'jobs-thing-nearest':
    '{count, plural, one {{tag} wants {count} joint more} other {{tag} wants {count} joints more}}',
  'jobs-thing-nearest-not-before':
    '{count, plural, one {{tag} wants {count} joint more, and is not ready before {at}} other {{tag} wants {count} joints more, and is not ready before {at}}}',
  'jobs-thing-tool':
    '{rest, plural, =0 {{tool} was found not good} one {{tool} and {rest} more tool were found not good} other {{tool} and {rest} more tools were found not good}}',
  'jobs-thing-not-made':
    '{count, plural, one {{count} joint is not made} other {{count} joints are not made}}',
  'jobs-thing-not-sectioned':
    '{count, plural, one {its joint is home; no section is drawn to test it in} other {all {count} joints are home; no section is drawn to test them in}}',
  'jobs-thing-all-proved':
    '{count, plural, one {its section is proved} other {all {count} sections are proved}}',
  'jobs-thing-closed': 'closed {at}',
  'jobs-thing-nothing': 'nothing is set out yet',
} as const satisfies Wordings
