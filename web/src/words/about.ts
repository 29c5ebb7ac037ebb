import type { Wordings } from '@jugalis/core'

/** What a job is. */
export const ABOUT = {
  'about-this-job': 'About this job',
  'about-headline':
    '{name}: {school, select, inch {inch practice} other {metric practice}} where nothing else is said.',
  'about-says':
    'Names stand on papers. What joints go by holds for those begun from now on; each line may say otherwise.',
  'about-site': 'Site',
  'about-customer': 'Customer',
  'about-drawings': 'Drawing numbers',
  'about-zone': 'Time zone',
  'about-no-zone': 'This is no time zone known here. Choose one of the list: Europe/Vienna.',
  'about-go-by': 'What joints go by',
  'about-cure-table': 'Cure table of inch practice',
  'about-table': '{table, select, current {current practice} other {ASTM D2855-96}}',
  'about-check-offset': 'Check mark behind the depth mark',
  'about-no-offset': 'Say how far behind the depth mark the check mark is drawn.',
  'about-usual': 'Usual in this job',
  'about-usual-says':
    'They stand in the fields of a new line or section, where they can be seen and changed.',
  'about-usual-unread': 'One of the usual figures can\u2019t be read.',
  'about-begun-keep':
    '{begun, plural, one {One joint is begun and keeps} other {{begun} joints are begun and keep}} what they were begun under.',
  'about-keep': 'Keep it',
  'about-changed': 'The job is changed.',
  'about-from-here': 'What becomes of it',
  'about-closed-by': 'Closed {at} by {by}.',
  'about-close': 'Close the job',
  'about-close-says':
    'Its work is done. Everything in it can be read, and it goes on when it is opened again.',
  'about-closed-now': 'The job is closed.',
  'about-reopen': 'Open it again',
  'about-open-now': 'The job goes on.',
  'about-copy': 'Begin one like it',
  'about-copy-says': 'All that is set out is set out there too. Nothing of what was done comes along.',
  'about-copy-name': 'What the new job is called',
  'about-copy-measures': 'with what was measured',
  'about-put-away': 'Put it away',
  'about-put-away-says': 'It leaves the list of jobs of everybody on it. Nothing is lost.',
  'about-bring-back': 'Bring it back',
  'about-is-away': 'This job is put away.',
  'about-hand': 'Hand it to',
  'about-hand-says': 'Who has a job puts people on it, and puts it away. You stay on it.',
  'about-handed': 'The job is {name}’s now.',
  'about-nobody-else': 'Nobody else is on this job: put somebody on it in Site first.',
  'about-take-out': 'Take it out',
  'about-take-out-says': 'Nothing is set out in it. It cannot be brought back.',
  'about-take-out-sure': 'Take it out for good',
  'about-keep-job': 'Leave it',
} as const satisfies Wordings
