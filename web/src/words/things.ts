import type { Wordings } from '@jugalis/core'

/** Things of the store, wherever they are put in, taken and tried. */
export const THINGS = {
  // ItemForm
  'thing-put-in': 'Put in',
  'thing-kind': 'What it is',
  'thing-choose': 'Choose what it is',
  'thing-name': 'Code, name or number on it',
  'thing-no-filling-date':
    'No filling date in this code: two digits of the year, then three of the day, such as 26105.',
  'thing-filled':
    'Filled {filledOn}, good to {expiresOn}: 24 months (common practice).{isExpired, select, yes { It is past its date.} other {}}',
  'thing-it-is-that-one': 'It is that one',
  'thing-another-of-it': 'Another of that batch',
  'thing-another': 'Another…',
  'thing-expiresOn': 'Good until, as printed on it',
  'thing-boughtOn': 'Bought on',
  'thing-dueOn': 'Next service or calibration',
  'thing-checkedOn': 'Last service or calibration',
  'thing-certificate': 'Number of its certificate',
  'thing-batch': 'Batch or lot',
  'thing-openDays': 'Days it keeps once opened, as its maker prints',
  'thing-amount': 'How much there is',
  'thing-amount-in': 'Counted or measured',
  'thing-in-count': 'pieces',
  'thing-in-mm': 'by length',
  'thing-in-l': 'by volume',
  'thing-in-kg': 'by weight',
  'thing-more': 'More of it…',
  'thing-kept': '{name} is in the store.',
  // ItemActs
  'thing-opened': 'Opened',
  'thing-empty': 'Empty',
  'thing-condemned': 'Thrown away',
  'thing-put-back': 'Put it back',
  'thing-earlier-why': 'It was earlier, or for a reason…',
  'thing-when': 'When, if it was not now',
  'thing-why': 'Why',
  'thing-is-opened': '{name} is opened.',
  'thing-is-empty': '{name} is empty.',
  'thing-is-condemned': '{name} is thrown away.',
  'thing-is-back': '{name} is back.',
  'thing-profile': 'profile {profile}',
  'thing-measure': '{mm, number, length}',
  // Make
  'thing-says':
    '{name}{hasFits, select, yes { · {fits}} other {}}{hasDay, select, yes { · until {untilOn}} other {}}',
  'thing-take': 'Take this {kind}: {says}',
  'thing-put-in-one': 'Put one in…',
  'thing-report-it': 'Empty, or wrong',
  'thing-made-with': 'Made with',
  // CameraSheet
  'camera-use': 'Camera',
  'camera-title': 'Read a code by camera',
  'camera-view': 'What the camera sees',
  'camera-starting': 'The camera is being asked for.',
  'camera-hold-over': 'Hold the code inside the dashes: bars lying, or squares.',
  'camera-several': 'Several codes are in view. Which one?',
  'camera-refused':
    'This browser was told not to lend the camera. Allow it in the address bar, take a picture of the code, or type it.',
  'camera-none': 'No camera here, or another program has it. Take a picture of the code, or type it.',
  'camera-none-lent':
    'A browser lends its camera only to a page that came over https. Take a picture of the code, or type it.',
  'camera-no-decoder': 'The reader of codes could not be loaded. Type the code.',
  'camera-no-picture': 'That file is no picture.',
  'camera-no-code': 'No code was found in that picture. Nearer, flat and without glare it may be.',
  'camera-picture': 'From a picture…',
  'camera-light': 'Light',
} as const satisfies Wordings
