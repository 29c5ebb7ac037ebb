import type { Wordings } from '@jugalis/core'

/** Papers: certificate, cut list, strips, tags, labels. */
export const PAPER = {
  // certificate-drawings
  'paper-chart-of-readings-at': 'Chart of {readings} readings: {said} at {clock}, {said2} at {clock2}.',
  'paper-thin-as-read-thick': 'Thin: as read. Thick: had the temperature stayed. Dotted: temperature.',
  'paper-line-joints-in-this': 'Line {tag}; joints in this section: {joints}',
  // certificate
  'paper-seen-for-reckoned-for': '(seen for {max, number, duration}, reckoned for the hold)',
  'paper-as-read': 'As read',
  'paper-over-the-hold-may': '{moved} over the hold{seen}; {fine} may be lost',
  'paper-corrected': 'Corrected',
  'paper-with-the-temperatures-share': '{moved} with the temperature’s share taken out, {doubt}',
  'paper-at-the-gauge-with': '{fine} at the gauge, with {medium}; working pressure {fine2}',
  'paper-hold': 'Hold',
  'paper-after-to-settle': '{holdS, number, duration}, after {stabiliseS, number, duration} to settle',
  'paper-begun': 'Begun',
  'paper-tester': 'Tester',
  'paper-reads-to-may-drift':
    '{gauge}, reads to {fine}, may drift {fine2}{isGaugeDueOn, select, yes {, in date until {gaugeDueOn}} other {}}',
  'paper-the-gauge-may-show': '{name}, {fine}; the gauge may show {fine2}',
  'paper-stage': 'Stage {stage}',
  'paper-not-signed': 'Not signed',
  'paper-set-aside': 'Set aside',
  'paper-reason': '{say} Reason: {reason}',
  'paper-leak-seen': 'Leak seen',
  'paper-leak-rate': 'Leak rate',
  'paper-reckoned-with': 'Reckoned with',
  'paper-not-said-whether-held': 'not said whether held along',
  'paper-x-air-temperatures-of':
    '{pipeMaterial}, {figure} x {figure2}{isOdMm, select, yes {} other { {unitOf}}}, {axial}, air {isAirPct, select, yes {not known} other {{airPct} %}}, temperatures of the {temperatureOf}',
  'paper-joints': 'Joints',
  'paper-signed': 'Signed',
  'paper-witness': 'Witness',
  'paper-by-this-rule-with': 'By this rule, with these readings. Local code and the engineer decide.',
  'paper-pressure-test': '{job}: {section}, pressure test',
  'paper-log-head': 'Log {seq}, head {hash}',
  'paper-pressure-test-of': 'Pressure test of {section}',
  'paper-no-reason-given': 'no reason given',
  'paper-recorded-as-by': 'Recorded as {verdict} by {name}, {when}: {note}',
  'paper-section': 'Section',
  'paper-the-record': 'The record',
  'paper-what-was-signed': 'What was signed',
  // cut-list
  'paper-between': '{a} and {b}',
  'paper-cut-done': 'cut',
  'paper-pipe': 'Pipe',
  'paper-measured': 'Measured',
  'paper-cut': 'Cut',
  'paper-marks-first-end': 'Marks: first end',
  'paper-second-end': 'second end',
  'paper-cut-by': 'Cut by',
  'paper-to-cut': 'to cut',
  'paper-lengths-in-millimetres-marks':
    'Lengths in {isInches, select, yes {inches} other {millimetres}}. Marks: depth / check.',
  'paper-cut-list': '{job}: cut list',
  'paper-is-cut': 'is cut',
  'paper-bends-from': 'bends from: {bendsText}',
  'paper-no-pieces-yet': 'No pieces yet.',
  // hang-tags
  'paper-set': 'SET',
  'paper-home': '{section, select, none {home {made}} other {{section}, home {made}}}',
  'paper-hang-tags': '{job}: hang-tags',
  'paper-no-figure-ask': 'NO FIGURE: ASK',
  'paper-no-touch-until': 'NO TOUCH UNTIL',
  'paper-move-with-care': 'MOVE WITH CARE',
  'paper-no-pressure-until': 'NO PRESSURE ({bar}) UNTIL',
  'paper-by-its-rule-with': 'By its rule, with the readings so far. A colder night moves it.',
  'paper-nothing-waits-no-tag': 'Nothing waits: no tag to hang.',
  // labels
  'paper-code-that-opens': 'Code that opens {tag}',
  'paper-nothing-to-label': 'Nothing to label.',
  // mark-strips
  'paper-print-at-full-size': 'Print at full size (100 %, not fitted). Check both with a tape before use:',
  'paper-and-more': 'and more',
  'paper-mark-strips-hook-edge': '{job}: mark strips. Hook edge at the pipe’s end.',
  'paper-rulers-of-100-mm': 'Rulers of 100 mm and 4 in, to prove the scale of the print',
  'paper-depth-check-longer-than':
    '{size}: depth {fmt}{isCheckMm, select, yes {} other {, check {fmt2}}}: longer than this sheet, mark it with a tape.',
  'paper-mark-strips': '{job}: mark strips',
  // sheet
  'paper-some-letters-here-are':
    'Some letters here are in none of the fonts that ship with this: each stands as a box.',
  // tables
  'paper-cut-list-2': 'Cut list',
} as const satisfies Wordings
