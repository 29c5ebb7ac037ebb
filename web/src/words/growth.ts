import type { Wordings } from '@jugalis/core'

/** How lines move as they warm, and what holds them. */
export const GROWTH = {
  'growth-title': 'How the lines move',
  'growth-drawn': '{tag} as it moves, in space',
  'growth-drawn-larger': 'Dashed: where it goes, drawn larger than it is.',
  'growth-what-holds': 'What holds {tag}',
  'growth-say-temperatures':
    'Say what it is laid at, and the coldest or warmest wall in service: then it is worked out where each line goes.',
  'growth-nothing-holds':
    'Nobody said what holds {tag}: it is counted as held where it begins, and free to go from there. Anchors and guides may be typed too: anchor, guide {unit, select, in {24} other {600}}.',
  'growth-nothing-bends': 'Nothing of {tag} is bent by it.',
  'growth-legs': 'Straights that bend',
  'growth-leg': 'Straight',
  'growth-is-long': 'Is long',
  'growth-bends-by': 'Bends by',
  'growth-needs': 'Needs',
  'growth-stress': 'Stress',
  'growth-squeezed': 'no: kept from growing by {by}',
  'growth-cannot':
    '{line} {from} to {to} cannot grow: {by} of it is squeezed. It needs a longer leg beside it, or an expansion joint.',
  'growth-takes-it': 'Takes it?',
  'growth-from-to': '{from} to {to}',
  'growth-ask': 'no figure for {material}: ask the engineer',
  'growth-too-short': 'no: {by} too short',
  'growth-long-enough': 'yes',
  'growth-pushes':
    '{tag}, {as, select, guide {guide} other {anchor}}: {force, select, none {the force is not known} other {pushed {force}}}.',
  'growth-parts': '{tag}: its two sides go {moved}.',
  'growth-end-goes': '{tag} goes {moved}.',
  'growth-worst': '{line} {from} to {to} bends by {by} and is {length} long: it needs {needs}.',
  'growth-all-long-enough': 'Every straight that bends is long enough for it.',
  'growth-holds-say':
    'An anchor holds it altogether; a guide lets it go along its pipe only. Hangers and rods that swing hold nothing here.',
  'growth-no-holds': 'Nothing is said to hold it yet.',
  'growth-held':
    '{tag}: {as, select, guide {guide} other {anchor}}{at, select, none {} other {, {at} along}}',
  'growth-let-go': 'Take away',
  'growth-at': 'Held at',
  'growth-part': '{tag}, {what}',
  'growth-held-as': 'Held as',
  'growth-anchor': 'Anchor',
  'growth-guide': 'Guide',
  'growth-how-far': 'How far along, from the middle of what stands before it',
  'growth-hold': 'Hold it here',
  'growth-held-now': '{tag} is held.',
  'growth-let-go-now': '{tag} is no longer held there.',
} as const satisfies Wordings
