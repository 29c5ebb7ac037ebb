import type { CodesOf, Wordings } from '../sources/wording.js'

/** What joints and devices in use ask for, and what is said of it. */
export const UPKEEP = {
  'care-torque-hot': 'Bring back the torque after the first heat',
  'care-torque-season': 'Look at the torque, each season',
  'care-gasket': 'Change the gasket',
  'care-opened': 'Opened and closed again',
  'care-looked-over': 'Look it over',
  'care-inspect': 'Inspect',
  'care-service': 'Service',
  'care-clean': 'Clean',
  'care-test': 'Test',
  'care-try': 'Try by hand',
  'care-alarm': 'Test the waterflow alarm',
  'care-main-drain': 'Test the main drain',
  'care-inside': 'Look inside the pipe',
  'care-torque-fell':
    'Found at {foundNm, number, torque}; it was left at {leftNm, number, torque}. More than a third is gone: look at the gasket, bring the torque back, and look again after the next heat.',
  'care-not-in-use': '{section} is not in use.',
  'care-not-made': '{tag} is not made: {section} can\u2019t be in use.',
  'care-made-since': '{tag} was made on {on}: {section} can\u2019t have been in use as it is before.',
  'care-not-proved': 'No test of {section} was held.',
  'care-day-to-come': '{on} has not been yet.',
  'care-before-use': 'That was before {section} was in use, on {on}.',
  'care-before-made': 'That was before {tag} was made.',
  'care-how-often': 'Say after how many months, or how many openings.',
  'care-whole':
    '{text} is no number of {what, select, months {months} other {openings}}. Write a whole number from 1 to {most}.',
  'care-who-says': 'Say whose interval it is: the maker\u2019s sheet, the plant\u2019s rule.',
  'care-found-needed': 'Read the torque at which it gives, before it is brought back.',
  'care-left-needed': 'Write the torque it was left at.',
  'care-what-was-wrong': 'Say what was wrong.',
  'care-device-name': 'Write what it is called and where it is, up to {most} letters.',
  'care-named-twice': '{name} is there already.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof UPKEEP> {}
}
