import type { Wordings } from '@jugalis/core'

/** The place set out sheets. */
export const SET_OUT_SHEETS = {
  // CarrierSheet
  'set-out-a-carrier-inside': 'A carrier inside {tag}',
  'set-out-the-same-fittings-and':
    'The same fittings and measures, in the carrier’s sizes. Each inner joint is made before the one round it, and the carrier is cut longer by what its sockets are deeper.',
  'set-out-tag': 'Tag',
  'set-out-carrier-inside': 'Carrier inside {o}',
  'set-out-bring-it-up-to': 'Bring it up to date',
  'set-out-lay-the-carrier-in': 'Lay the carrier in',
  'set-out-a-carrier-needs-a': 'A carrier needs a short tag of letters and figures, for example Q2i.',
  'set-out-runs-inside': '{tag} runs inside {tag2}.',
  // Fittings
  'set-out-centre-to-socket-face':
    'Centre to socket face, or to the stop inside it. What is measured wins over a maker’s list.',
  'set-out-load-a-makers-list': 'Load a maker’s list',
  'set-out-back-to-the-lines': 'Back to the lines',
  'set-out-name-of-the-list': 'Name of the list',
  'set-out-load-the-list': 'Load the list',
  'set-out-fittings': 'Fittings',
  'set-out-fitting': 'Fitting',
  'set-out-used': 'Used',
  'set-out-take-off': 'Take-off',
  'set-out-where-it-comes-from': 'Where it comes from',
  'set-out-to': '{takeOffMm, number, figure} to {takeOffTo}',
  'set-out-not-known-measure-one': 'not known, measure one',
  'set-out-no-fittings-yet-set': 'No fittings yet. Set out a line first.',
  'set-out-take-offs-of-are':
    '{unknown, plural, one {{unknown} take-off} other {{unknown} take-offs}} of {rows} {unknown, plural, one {is} other {are}} not known. Measure one of each; it counts for all like it.',
  'set-out-all-take-offs-are': 'All {rows} take-offs are known.',
  'set-out-measured-by': 'measured by {name}, {at}',
  'set-out-loaded-by': '{chart}, loaded by {name}',
  'set-out-give-the-list-a': 'Give the list a name: whose fittings, which sheet.',
  // LineSheet
  'set-out-a-new-line': 'A new line',
  'set-out-what-it-carries': 'What it carries',
  'set-out-quarantine-loop-seawater': 'Quarantine loop, seawater',
  'set-out-where-nobody-says-otherwise': '{s}, where nobody says otherwise',
  'set-out-rating-of-its-weakest': 'Rating of its weakest part, where it is known',
  'set-out-begin-the-line': 'Begin the line',
  'set-out-a-line-needs-a': 'A line needs a short tag of letters and figures, for example Q2.',
  'set-out-is-begun': '{tag} is begun.',
  // SectionSheet
  'set-out-paint-a-test-section': 'Paint a test section',
  'set-out-all-joints-of-lie':
    'All {jointIds} joints of {tag} lie inside. Pressures by your test rule, local code or engineer.',
  'set-out-say-how-many-minutes': 'Say how many minutes it is held.',
  'set-out-paint-it': 'Paint it',
  'set-out-working-pressure': 'Working pressure',
  'set-out-fall-allowed-over-the': 'Fall allowed over the hold',
  'set-out-the-section-needs-a': 'The section needs a name.',
  'set-out-is-painted': '{tag} is painted.',
  // Supports
  'set-out-empty': 'nothing',
  'set-out-straight-runs-between-changes':
    'Straight runs between changes of direction. The closer of two spacings counts: the code’s table, and a sag of a five-hundredth when full. Prop long spans before they are filled. Local code, the maker and the engineer decide.',
  'set-out-full-of': 'Full of',
  'set-out-where-the-figures-come': 'Where the figures come from',
  'set-out-straight-stretches': 'Straight stretches',
  'set-out-stretches': 'Stretches',
  'set-out-stretch': 'Stretch',
  'set-out-pipe': 'Pipe',
  'set-out-to-one-scale': 'To one scale',
  'set-out-grows': 'Grows',
  'set-out-arm-or-loop-legs': 'Arm, or loop legs',
  'set-out-every-supports': 'Every, supports',
  'set-out-full-a-metre-all': 'Full: {isSystemOf, select, yes {a foot} other {a metre}}, all',
  'set-out-to-2': '{line} {from} to {to}',
  'set-out-or-2-of': '{arm}, or 2 of {each}',
  'set-out-in-all': '{each}, {full, number, weight} in all',
  'set-out-no-figure': 'No figure: {r}',
  'set-out-shorter-stretches-are-left': '{stretches} shorter stretches are left out.',
  'set-out-laid-at': 'Laid at',
  'set-out-coldest-wall-in-service': 'Coldest wall in service',
  'set-out-warmest-wall-in-service': 'Warmest wall in service',
  'set-out-nothing-lies-here-yet': 'Nothing lies here yet. Set out a line with measures first.',
  'set-out-straight-stretches-the-longest':
    '{stretches} straight stretches, the longest {dist} of {tag}. Say at what temperature it is laid, and how cold and warm it gets.',
  // TakeOffSheet
  'set-out-take-off-of': 'Take-off of {name} {sizes}',
  'set-out-measure-one-it-counts': 'Measure one; it counts for all like it on this job.',
  'set-out-measured-to-the-sockets': "Measured to the socket's",
  'set-out-measured-to': 'Measured to',
  'set-out-face': 'face',
  'set-out-stop-2': 'stop',
  'set-out-fitting-centre-to-the': 'Fitting centre to the socket',
  'set-out-name-of-carrier': '{name}, carrier',
  'set-out-take-offs-loaded':
    '{rows, plural, one {{rows} take-off of {name} is loaded.} other {{rows} take-offs of {name} are loaded.}}',
  'set-out-riser': 'riser',
  'set-out-moves-most':
    '{line} {from} to {to}: {length} {way, select, grows {grows} other {shrinks}} by {by}.',
  'set-out-moves-most-arm':
    '{line} {from} to {to}: {length} {way, select, grows {grows} other {shrinks}} by {by}. It needs a free arm of {arm}.',
} as const satisfies Wordings
