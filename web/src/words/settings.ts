import type { Wordings } from '@jugalis/core'

/** The place settings. */
export const SETTINGS = {
  // Settings
  'settings-settings-of': 'Settings of {name}',
  'settings-units': 'Units',
  'settings-a-job-reads-by':
    'A job reads by its school. Where you read otherwise, choose it here: it goes with you.',
  'settings-as-the-job': 'as the job',
  'settings-figures-and-times': 'Figures and times',
  'settings-decimal-sign': 'Decimal sign',
  'settings-as-this-device': 'as this device',
  'settings-clock': 'Clock',
  'settings-colours-of-this-device': 'Colours of this device',
  'settings-colours': 'Colours',
  'settings-as-it-has-them': 'as it has them',
  'settings-this-device': 'This device',
  'settings-notices-when-a-clock': 'Notices when a clock is due',
  'settings-on-the-home-screen': 'On the home screen',
  'settings-it-is-there-this': 'It is there: this page runs by itself.',
  'settings-it-opens-without-the':
    'It opens without the browser round it, and works without signal all the same.',
  'settings-share-then-add-to': 'Share, then “Add to Home Screen”.',
  'settings-the-browser-offers-it': 'The browser offers it in its own menu, where it can.',
  'settings-done': 'Done',
  'settings-lengths': 'Lengths',
  'settings-pressures': 'Pressures',
  'settings-temperatures': 'Temperatures',
  'settings-torques': 'Torques',
  'settings-volumes': 'Volumes',
  'settings-weights': 'Weights',
  'settings-in-a-metric-job':
    'In {isInch, select, yes {an inch} other {a metric}} job: cut {cut}; {pressure}; wall {temperature} at {at}.',
  'settings-sound': 'Sound',
  'settings-wet-screen-actions-are': 'Wet screen: actions are pressed longer',
  'settings-single-letters-as-keys': 'Single letters as keys',
  'settings-this-device-has-no': 'This device has no notices.',
  'settings-the-browser-was-told':
    'The browser was told to show none from here: change it in its own settings.',
  'settings-the-browser-asks-you': 'The browser asks you once.',
  'settings-they-come-while-this':
    'They come while this page is open behind others. Once the device puts it to sleep none can come: what ended is listed on waking.',
  'settings-language': 'Language',
  'settings-language-unchecked':
    'Make, Cut, Wait, the clocks, cautions and findings are in this language; the rest is in English. No tradesman who grew up with it has checked it yet: where a sentence is in doubt, read it in English.',
  'settings-on': 'on',
  'settings-off': 'off',
  'settings-day': 'day',
  'settings-night': 'night',
} as const satisfies Wordings
