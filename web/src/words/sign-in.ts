import type { Wordings } from '@jugalis/core'

/** The place sign in. */
export const SIGN_IN = {
  // SignIn
  'sign-in-what-may-i-do': 'What may I do to this pipe now, and how do I know?',
  'sign-in-password': 'Password',
  'sign-in-sign-in': 'Sign in',
  'sign-in-in-the-demo-wren':
    'In the demo: wren or teal (fitters), rook (charge-hand), plover (tester). Password tide-and-pipe.',
} as const satisfies Wordings
