import type { Wordings } from '@jugalis/core'

/** The place cut. */
export const CUT = {
  // Cut
  'cut-this-piece-is-not':
    'This piece is not in the job any more. Its label can go; here is the next one to cut.',
  'cut-put-a-in': 'Put a {f} in',
  'cut-cut-at-the-figures': 'Cut at {length}; the figures have changed since. Check it before it goes in.',
  'cut-measure-it': '{tag}, {size}, is not measured yet.',
  'cut-measure-between':
    '{how, select, cc {From the centre of {first} to the centre of {second}} cf {From the centre of {first} to the face of {second}} ff {From the face of {first} to the face of {second}} other {From end to end of the pipe}}',
  'cut-open-end': 'the open end',
  'cut-set-the-measure': 'Set the measure',
  'cut-is-measured': '{tag}: {measure} {length}.',
  'cut-measure-again': 'Measure again …',
  'cut-its-take-off': 'Take-off of {fitting} …',
  'cut-previous-piece': 'Previous piece',
  'cut-is-cut': 'Is cut',
  'cut-next-piece': 'Next piece',
  'cut-the-socket-measures': 'The socket measures …',
  'cut-what-is-near': 'What is near …',
  'cut-not-a-closing-piece': 'Not a closing piece',
  'cut-goes-in-last': '{tag} goes in last.',
  'cut-bends-and-offsets': 'Bends and offsets',
  'cut-on-paper': 'On paper',
  'cut-pieces-still-to-cut':
    '{pieces, plural, one {{pieces} piece} other {{pieces} pieces}}, {uncut} still to cut{unmeasured, plural, =0 {} other {, {unmeasured} to be measured}}.',
  'cut-where-this-length-comes': 'Where this length comes from',
  'cut-take-offs-as-measured': 'Take-offs: as measured on this job.',
  'cut-both-ends': '{figure} both ends',
  'cut-mark':
    '{checks, select, none {Mark {depths}.} other {{ends, plural, one {Mark {depths}; check mark at {checks}.} other {Mark {depths}; check marks at {checks}.}}}}',
  'cut-no-measures-yet-give': 'No measures yet. Give one piece its measure and its cut length appears here.',
  'cut-less-take-offs-plus':
    '{tag}, {size} {material}: {measure} {measured}, less take-offs {takeOffs}, plus insertions {insertions}{hasGaps, select, yes {, less gaps {gaps}} other {}}.',
  'cut-its-carrier-is-cut':
    'Its carrier {tag} is cut {which, select, shorter {{by} shorter, and joined first. Inner sockets are usually the deeper ones: measure both.} other {{by} longer, and joined first.}}',
  'cut-it-is-than-round':
    '{which, select, shorter {It is {by} shorter than {tag} round it, and joined first. Inner sockets are usually the deeper ones: measure both.} other {It is {by} longer than {tag} round it, and joined first.}}',
  'cut-is-an-ordinary-piece': '{tag} is an ordinary piece.',
  'cut-is-two-pieces-with': '{tag} is two pieces with a {fitting} between: measure both.',
  'cut-bend': 'Bend {bends}.',
  'cut-is-cut-2': '{tag} is cut.',
  // PieceList
  'cut-length': 'Cut',
  'cut-pieces': 'Pieces',
  'cut-between': 'Between',
  'cut-to-one-scale': 'To one scale',
  'cut-measured': 'Measured',
  'cut-state': 'State',
  'cut-and': '{one} and {other}',
  'cut-changed-since-cut': 'changed since cut',
  'cut-no-room': 'no room',
  'cut-to-measure': 'to measure',
  'cut-to-cut': 'to cut',
  'cut-headline': 'Cut {length}. {marks} {bends} {holes}',
  'cut-hole-at': '{at} for {tag}',
  'cut-holes':
    '{count, plural, one {Hole} other {Holes}} {end, select, none {from the first end} other {from the end of {end}}}: {holes}.',
  'cut-depth-at': '{depth} at {tag}',
  'cut-bend-from': '{turn}° {side, select, right {right} other {left}} from {at}',
  'cut-make-closing': 'Goes in last',
  'cut-mark-as-cut': 'Cut',
} as const satisfies Wordings
