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
  'about-begun-keep':
    '{begun, plural, one {One joint is begun and keeps} other {{begun} joints are begun and keep}} what they were begun under.',
  'about-keep': 'Keep it',
  'about-changed': 'The job is changed.',
} as const satisfies Wordings
