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
  'jobs-you-are-on': '{name}, you are on {jobs, plural, one {{jobs} job} other {{jobs} jobs}}.',
  'jobs-you-are-on-no': 'You are on no job yet. Begin one below.',
  'jobs-give-the-job-a': 'Give the job a name.',
  'jobs-this-file-is-not': 'This file is not a Jugalis job.',
} as const satisfies Wordings
