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
} as const satisfies Wordings
