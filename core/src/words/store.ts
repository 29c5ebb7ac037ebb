import type { CodesOf, Wordings } from '../sources/wording.js'

/** What is said of a thing that is put into the store. */
export const STORE = {
  'store-no-such-kind': 'No kind of thing is called {text}.',
  'store-name': 'Write the code, name or number that stands on it, up to {most} letters.',
  'store-there-already': '{name} is in the store already.',
  'store-day-to-come': '{on} has not been yet.',
  'store-checked-before-bought':
    'Looked at on {on}, before it was bought on {bought}: one of the two days is wrong.',
  'store-due-before-checked': 'Due on {on}, not after it was last looked at on {checked}.',
  'store-whole-days': '{text} is no number of days. Write whole days, such as 30.',
  'store-amount': '{text} is no amount. Write a number above nothing.',
  'store-unit': 'Say what the amount is in: {units}.',
  'store-size': '{text} is no size. Write it like {like}.',
  'store-fits':
    '{text} is not read. Write what it fits like this: {school, select, inch {size=CTS 3/4; profile=B} other {size=d22; profile=M}}',
  'store-which-plastic': 'Say which plastic it is for.',
  'store-last-day': 'Write the last good day that stands on it, like 2027-03-31.',
  'store-rows': 'More than {most} rows at once.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof STORE> {}
}
