import type { Wordings } from '@jugalis/core'

/** Fittings that a house names itself. */
export const OWN_PARTS = {
  'own-fittings': 'Fittings of your own',
  'own-fittings-say':
    'What no name is known for here: you name it once, for all jobs of the house. It is typed like any other, with its ends, its take-offs and its sign. Lines keep what they have of one, whatever becomes of it here.',
  'own-none': 'None yet.',
  'own-make-one': 'Make one…',
  'own-change': 'Change {name}…',
  'own-drop': 'Take {name} out of the list',
  'own-from-csv': 'From CSV',
  'own-to-csv': 'To CSV',
  'own-take-them': 'Take them',
  'own-title': '{name, select, none {A fitting of your own} other {{name}}}',
  'own-name-in-list': '{name} is in the list already: change that one, or give this one another name.',
  'own-called': 'What it is called',
  'own-example': 'flow box',
  'own-how-it-lies': 'How it lies in a line',
  'own-form-is':
    '{form, select, through {straight through} turn {turns the way} tee {one branch} cross {two branches} end {ends the line} other {{form}}}',
  'own-turns': 'How far it turns, degrees',
  'own-end': '{at, select, 0 {Way in} 1 {Way on} 2 {Branch} 3 {Other branch} other {{at}}}',
  'own-usual': 'as usual in the line',
  'own-sign': 'Sign',
  'own-shape': 'Shape',
  'own-line': 'Line',
  'own-box': 'Box',
  'own-triangle': 'Triangle',
  'own-circle': 'Circle',
  'own-filled': 'Filled',
  'own-tap':
    '{kind, select, circle {{left, plural, one {Tap a point on its ring.} other {Tap its middle, then a point on its ring.}}} other {{left, plural, one {Tap one more point.} other {Tap {left} points.}}}}',
  'own-take-last': 'Take the last away',
  'own-as-text': 'The same as text',
  'own-take-offs-say':
    'From its middle, as you measured one or as its drawing says. A job takes them over when it is first used there; what is measured in the job counts before them.',
  'own-which': 'End',
  'own-row-away': 'Take this away',
  'own-another-take-off': 'Another take-off',
  'own-keep': 'Keep it',
} as const satisfies Wordings
