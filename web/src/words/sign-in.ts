import type { Wordings } from '@jugalis/core'

/** The place sign in. */
export const SIGN_IN = {
  // SignIn
  'sign-in-what-may-i-do': 'What may I do to this pipe now, and how do I know?',
  'sign-in-password': 'Password',
  'sign-in-sign-in': 'Sign in',
  'sign-in-by-passkey': 'Sign in with a passkey',
  'sign-in-no-passkey': 'No passkey was used.',
  'sign-in-in-the-demo-wren':
    'In the demo: wren or teal (fitters), rook (charge-hand), plover (tester). Password tide-and-pipe.',
  'sign-in-check-a-file': 'Check the file of a job',
  // Welcome
  'sign-in-looking': 'The invitation is being looked up.',
  'sign-in-no-way-in': 'This way in is closed.',
  'sign-in-you-are-first': 'You are the first here.',
  'sign-in-first-why':
    'You bring the others in and let them go. Say what your firm or crew is called and how you sign in; jobs come after.',
  'sign-in-come-in': 'Come in to {org}.',
  'sign-in-come-in-why': 'Your name stands beside whatever you write. Choose how you sign in.',
  'sign-in-new-password-for': 'A new password for {login}.',
  'sign-in-new-password-why': 'Everywhere else you are signed out with the old one.',
  'sign-in-org': 'Firm or crew',
  'sign-in-called': 'What you are called',
  'sign-in-as': 'You sign in as',
  'sign-in-new-password': 'Password, 8 letters or more: a few words are good',
  'sign-in-show-it': 'show it',
  'sign-in-begin': 'Begin',
  'sign-in-keep-password': 'Keep this password',
} as const satisfies Wordings
