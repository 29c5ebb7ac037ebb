import type { Wordings } from '@jugalis/core'

/** Room round the lines. */
export const ROOM = {
  'room-round-it': 'Room',
  'room-title': 'Room round {tag}',
  'room-says':
    'Pipes are compared from surface to surface, insulation counted, wherever their places are known against each other. Of two lines the larger wish counts.',
  'room-insulation': 'Insulation, thick',
  'room-clear': 'Free between it and others',
  'room-save': 'Keep it',
  'room-kept': 'Room round {tag} said.',
  'room-fault':
    '{how, select, crosses {{one} and {other} cross: they would lie {gap} in one another.} tool {{one}: {other} is {gap} off, and the tool needs {wanted}.} other {{one} and {other} are {gap} apart: {wanted} were asked.}}',
  'room-more': 'And {more} more that come too near.',
} as const satisfies Wordings
