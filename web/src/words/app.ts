import type { Wordings } from '@jugalis/core'

/** The app itself. */
export const APP = {
  // App
  'app-this-page-could-not': 'This page could not be loaded. What you wrote is kept.',
  'app-try-again': 'Try again',
  // api
  'app-the-server-does-not': 'The server does not answer.',
  'app-something-went-wrong': 'Something went wrong.',
  // router
  'app-set-out': 'Set out',
  'app-cut': 'Cut',
  'app-make': 'Make',
  'app-wait': 'Wait',
  'app-prove': 'Prove',
  'app-hand-over': 'Hand over',
  'app-store': 'Store',
  'app-practice': 'Practice',
  'app-handbook': 'Handbook',
  // when
  'app-yesterday': '{clock} yesterday',
  'app-tomorrow': '{clock} tomorrow',
} as const satisfies Wordings
