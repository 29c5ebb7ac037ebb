import type { Wordings } from '@jugalis/core'

/** The place handbook. */
export const HANDBOOK = {
  // Charts
  'handbook-a-chart-wins-over':
    'A chart wins over generic figures and is named beside each. Joints already begun keep the chart they were begun under. Figures: {fields} (C or F, bar or psi, of your own). Units: mm, in, Nm, in-lbf, ft-lbf, s, min, h, turns, flats.',
  'handbook-name-of-the-chart': 'Name of the chart',
  'handbook-load-the-chart': 'Load the chart',
  'handbook-figures-loaded-by-at':
    '{rows, plural, one {{rows} figure} other {{rows} figures}}, loaded by {name} at {at}.',
  'handbook-for': 'For',
  'handbook-figure': 'Figure',
  'handbook-value': 'Value',
  'handbook-reference': 'Reference',
  'handbook-any-method': 'any method',
  'handbook-socket-depth': 'socket depth',
  'handbook-give-the-chart-a': 'Give the chart a name: whose fittings, which sheet.',
  'handbook-figures-are-loaded-for':
    '{rows, plural, one {{rows} figure is} other {{rows} figures are}} loaded, for joints not yet begun.',
  // ChooseJoint
  'handbook-method': 'Method',
  'handbook-sch': 'Sch {schedule}',
  'handbook-at': 'at',
  'handbook-put-another-beside': 'Put another beside',
  'handbook-leave-the-right-one': 'Leave the right one',
  'handbook-print-the-card': 'Print the card',
  // CureChart
  'handbook-hours': 'hours',
  'handbook-cure-against-wall-temperature':
    'Cure against wall temperature, steady, {humidityPct} % humidity{lowest, select, none {} other {, {lowest}}}',
  'handbook-one-line-for-each': 'One line for each',
  'handbook-by-pressure': '{size} by pressure',
  'handbook-by-size': '{material} by size',
  'handbook-hours-of-cure-against': 'Hours of cure against wall temperature',
  // FigureTable
  'handbook-figures': 'Figures',
  'handbook-by-the-edition-of': '{figureText} by the edition of {edition}',
  'handbook-from': 'From: {from}.',
  // Handbook
  'handbook-one-or-other': '{one}, or {other}',
  'handbook-ask-the-handbook': 'Ask the Handbook',
  'handbook-figures-found': 'Figures found',
  'handbook-open-a-method': 'Open a method',
  'handbook-3-4-solder-depth': '3/4 solder depth',
  'handbook-2-in-sch-80': '2 in sch 80 cure 45 F',
  'handbook-22-mm-solder-depth': '22 mm solder depth',
  'handbook-published-tables-are-not': '{toCheck} published tables are not yet checked against a copy.',
  'handbook-cut-square-deburr-both': 'Cut square, deburr both edges, wipe: before any joint.',
  'handbook-charts-of-makers-figures':
    '{n, plural, one {{n} chart} other {{n} charts}} of makers’ figures {n, plural, one {is} other {are}} loaded.',
  'handbook-no-makers-chart-is': 'No maker’s chart is loaded yet.',
  'handbook-no-figure-by-that': 'No figure by that name. Try a size, a method or a standard number.',
  'handbook-joints-by-methods-sources':
    '{allEntries} joints by {methods} methods; {allSources} sources, {toCheck} of them tables from memory.',
  'handbook-by-the-school-at': 'By the {school} school, at {temperature}, {humidity} % humidity.',
  'handbook-only-the-first-are': 'only the first are shown: say a size or a material',
  'handbook-not-understood': 'not understood: {unknown}',
  'handbook-not-yet-checked': 'Not yet checked',
  'handbook-makers-charts': 'Makers’ charts',
  'handbook-tube-work': 'Tube work',
  // JointPage
  'handbook-school': '{school} school',
  'handbook-choose-it-above': '{lacks} Choose it above.',
  'handbook-steps': 'Steps',
  'handbook-usual-mistake': 'Usual mistake: {mistake}',
  'handbook-caution': 'Caution: {c}',
  'handbook-use': 'Use: {tools}.',
  'handbook-never': 'Never: {never}.',
  'handbook-before-a-test': 'Before a test',
  'handbook-cautions': 'Cautions',
  'handbook-what-not-to-combine': 'What not to combine',
  'handbook-stop': 'Stop',
  'handbook-mind': 'Mind',
  'handbook-note': 'Note',
  'handbook-where-schools-differ': 'Where schools differ',
  'handbook-point': 'Point',
  'handbook-one': 'One',
  'handbook-another': 'Another',
  'handbook-here': 'Here',
  // TubeWork
  'handbook-touch-the-wheel-to':
    'Touch the wheel to the tube, then feed it a little each time round. A blunt wheel or a greedy feed leaves a ridge inside. Deburr {deburrturns} to {deburrturns2} turns inside and as many outside. With a hacksaw: a guide and at least {HACKSAWTEETHPERINCH} teeth to the inch. Oval tube is not forced into a fitting: copper may be re-rounded, hard tube is rejected, as is a scratch that a thumbnail feels.',
  'handbook-caution-cut-edges-are':
    'Caution: cut edges are sharp, gloves on. Hard copper is annealed before it is bent, and then carries only the pressure of soft tube. A spring of the wrong size lets the tube collapse.',
  'handbook-tube-work-by-size': 'Tube work by size',
  'handbook-tube': 'Tube',
  'handbook-wheel-cutter-each-feed': 'Wheel cutter, each feed',
  'handbook-chamfers-together-at-most': 'Chamfers together at most',
  'handbook-swage-at-least': 'Swage at least',
  'handbook-turn-every-rotations':
    '{inchFraction} turn every {everyRotations, plural, one {rotation} other {{everyRotations} rotations}}',
  'handbook-half-the-wall-measure': 'half the wall: measure it',
  'handbook-not-swaged': 'not swaged',
  // Unverified
  'handbook-published-not-yet-compared': 'Published, not yet compared with a copy',
  'handbook-edition': 'Edition',
  'handbook-how-sure': 'How sure',
  'handbook-column-in': '{column}, {unit}',
  'handbook-compare': 'Compare',
  'handbook-compared-with-a-copy': 'Compared with a copy: {reference}',
  'handbook-compared': 'Compared…',
  'handbook-checked': 'Checked',
  'handbook-on-by': '{reference}: {edition}, on {on}, by {name}. {note}',
  'handbook-practices-and-rules-of': '{rest} practices and rules of ours, without a published source',
  'handbook-practices-and-rules-of-ours': 'Practices and rules of ours',
  'handbook-checked-against-a-copy': 'Checked against a copy',
  'handbook-says-every-figure-of':
    '{name} says: every figure of this table was compared with a copy, and is the same.',
  'handbook-day': 'Day',
  'handbook-table-page': 'table, page',
  'handbook-i-compared-it': 'I compared it',
  'handbook-which-edition-lay-before': 'Which edition lay before you? For example: 2018.',
  'handbook-the-day-is-written': 'The day is written like 2026-11-23.',
  'handbook-that-day-is-still': 'That day is still to come.',
  'handbook-marked-as-checked-with': 'Marked as checked, with your name.',
  // figure-text
  'handbook-measured': 'measured',
  'handbook-ours-computed': 'ours, computed',
  'handbook-common-practice': 'common practice',
  'handbook-your-chart': 'your chart',
  'handbook-checked-against': 'checked against {edition}, {on}',
  'handbook-published-from-memory': 'published, from memory',
  'handbook-cure': 'cure',
  'handbook-to-pressure': 'to {bar}',
  'handbook-sizes-to': '{from} to {to}',
  'handbook-wall-in': 'wall, {unit}',
  'handbook-beside': '{one}, beside {other}',
  'handbook-at-both': 'at {metric}, {inch}',
  'handbook-figures-of-joints':
    '{figures, plural, one {{figures} figure} other {{figures} figures}} of {joints, plural, one {{joints} joint} other {{joints} joints}}',
  'handbook-figure-from-to':
    '{name}{from, select, none {} other { from {from}}}{to, select, none {} other { to {to}}}',
  // MethodCard
  'handbook-joints': '{joints, plural, one {{joints} joint} other {{joints} joints}}',
} as const satisfies Wordings
