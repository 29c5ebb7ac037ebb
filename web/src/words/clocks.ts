import type { Wordings } from '@jugalis/core'

/** Clocks in the dock and on tapes. */
export const CLOCKS = {
  // Dock
  'clocks-late': 'late {left}',
  'clocks-running-clocks': 'Running clocks',
  'clocks-mine-show-everyones': 'Mine ({mine}). Show everyone’s',
  'clocks-everyones-show-mine': 'Everyone’s. Show mine',
  'clocks-before': 'Before',
  'clocks-and-more': 'and {before} more',
  'clocks-until': 'Until',
  'clocks-and-more-next': 'and {until} more, next {digits}',
  'clocks-no-clock-is-running': 'No clock is running.',
  'clocks-next': 'next {digits}',
  'clocks-all-clocks': 'All clocks',
  'clocks-and-more-2': 'and {all} more',
  'clocks-this-device-cant-ring': 'This device can’t ring. Look at it.',
  'clocks-keep-the-screen-lit': 'Keep the screen lit: dark, it does not ring.',
  // MissedSheet
  'clocks-time-begun': '{joint} it may {label} {ago} ago. {way}',
  'clocks-time-ended': '{joint} the time to {label} ended {ago} ago. {way}',
  'clocks-while-the-screen-was': 'While the screen was dark',
  'clocks-a-dark-screen-does': 'A dark screen does not ring. Keep it lit while a window runs.',
  'clocks-done-meanwhile': 'Done meanwhile.',
  // UnfixedCount
  'clocks-not-fixed': 'not fixed',
  'clocks-assembled-and': 'assembled, {says}',
} as const satisfies Wordings
