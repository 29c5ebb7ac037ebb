import type { Wordings } from '@jugalis/core'

/** The place cut stock. */
export const CUT_STOCK = {
  // Bars
  'cut-stop-planning': 'Stop planning',
  'cut-plan-again': 'Plan again',
  'cut-lay-out-on-bars': 'Lay out on bars',
  'cut-change-the-stock': 'Change the stock',
  'cut-what-it-is-cut': 'What it is cut from',
  'cut-piece-by-piece': 'Piece by piece',
  'cut-of-pipes': '{done} of {of} pipes',
  'cut-planning': 'Planning {pipe}',
  'cut-the-bars-could-not': 'The bars could not be planned. {failed}',
  'cut-is-long-longer-than':
    '{tag} is {length} long: longer than any bar. Put a coupling in it, or get longer bars.',
  'cut-offcut': 'offcut',
  'cut-bar': 'bar',
  'cut-bar-is-cut': 'Bar is cut',
  'cut-no-plan-opens-fewer': 'no plan opens fewer',
  'cut-not-proved-to-be': 'not proved to be the least',
  'cut-at-most-bars-more': 'at most {gap, plural, one {{gap} bar} other {{gap} bars}} more than the least',
  'cut-bars-proved-the-least': 'bars proved the least, their length not',
  'cut-nothing-is-left-to': 'Nothing is left to cut.',
  'cut-pieces-to-cut-say':
    '{count, plural, one {{count} piece} other {{count} pieces}} to cut. Say what they are cut from.',
  'cut-planning-2': 'Planning {pipe} …',
  'cut-pieces-to-cut-not':
    '{count, plural, one {{count} piece} other {{count} pieces}} to cut, not yet laid out on bars.',
  'cut-there-is-not-enough':
    'There is not enough stock for {pipe}. Say how long the bars are that can be had.',
  'cut-bars-of': 'Bars of {barsMm}',
  'cut-no-new-bars': 'No new bars',
  'cut-offcuts-at-hand-the':
    '{from}, {offcuts, plural, one {{offcuts} offcut} other {{offcuts} offcuts}} at hand, the saw takes {kerf}, {keep} and more is kept.',
  'cut-pieces-cut-from-one': '{cuts, plural, one {{cuts} piece} other {{cuts} pieces}} cut from one bar.',
  // MeasureSheet
  'cut-this-box-of-measures': 'This box of {size} measures',
  'cut-socket-face-to-stop':
    'Socket face to stop. It wins over the published figure; uncut pieces change, cut ones are flagged.',
  'cut-socket-depth': 'Socket depth',
  'cut-use-this-depth': 'Use this depth',
  'cut-this-box-measures': '{size}: this box measures {mm, number, length}.',
  // NearSheet
  'cut-what-is-near-2': 'What is near {tag}',
  'cut-along-the-pipe-from':
    'Along the pipe from the fitting’s face; to the wall, clear of the pipe. Empty: nothing near.',
  'cut-its-fitting': 'its fitting',
  'cut-in': '{tag}, in {fitting}',
  'cut-to': 'To {says}{least}',
  'cut-a-weld': 'a weld',
  'cut-a-bend': 'a bend',
  'cut-the-wall-or-floor': 'the wall or floor',
  'cut-not-known-how-much': ', not known how much',
  'cut-at-least-2': ', at least {f, number, length}',
  'cut-what-is-near-is': '{tag}: what is near is kept.',
  // PaperSheet
  'cut-on-paper-and-off': 'On paper and off',
  'cut-pieces-strips-and-rulers':
    '{pieces, plural, one {{pieces} piece} other {{pieces} pieces}}. Strips and rulers are full size: print them at 100 %.',
  'cut-making-it': 'Making it …',
  'cut-cut-list-pdf': 'Cut list, PDF',
  'cut-cut-list-workbook': 'Cut list, workbook',
  'cut-cut-list-csv': 'Cut list, CSV',
  'cut-mark-strips-full-size': 'Mark strips, full size, PDF',
  'cut-mark-strips-full-size-svg': 'Mark strips, full size, SVG',
  'cut-labels-for-pieces-and': 'Labels for pieces and joints, PDF',
  'cut-this-could-not-be':
    'This could not be made. Without signal it must have been made once before on this device.',
  // StockSheet
  'cut-bars-as-they-come': 'Bars as they come, {unit}; several lengths with ;',
  'cut-the-saw-takes': 'The saw takes',
  'cut-worth-keeping-from': 'Worth keeping from',
  'cut-pipe-of-the-offcut': 'Pipe of the offcut',
  'cut-an-offcut-at-hand': 'An offcut at hand',
  'cut-take-out-the-offcut': 'Take out the offcut of {pipe}',
  'cut-take-out': 'take out',
  'cut-note-it': 'Note it',
  'cut-is-not-a-length': '"{text}" is not a length that can be.',
  'cut-a-length-is-needed': 'A length is needed here.',
  'cut-say-how-long-the': 'Say how long the bars are that can be had.',
  'cut-the-stock-is-noted': 'The stock is noted.',
  // Tube
  'cut-marks-are-where-each': 'Marks are where each arc begins, from the left end.',
  'cut-legs-are-measured-to': 'Legs are measured to where the centre lines cross.',
  'cut-every-bend-is-turned': 'Every bend is turned {spring}° further than it is to be.',
  'cut-bend-a-tube': 'Bend a tube',
  'cut-leg-turn-leg-and': 'Leg, turn, leg …, {unit} and degrees',
  'cut-radius-of-the-bender': 'Radius of the bender, {unit}',
  'cut-least-straight': 'Least straight, {unit}',
  'cut-springs-back': 'Springs back, °',
  'cut-bends': 'Bends',
  'cut-bend-2': 'Bend',
  'cut-mark-from-left': 'Mark from left',
  'cut-from-right': 'from right',
  'cut-bend-to': 'Bend to',
  'cut-gain': 'Gain',
  'cut-left': 'left',
  'cut-right': 'right',
  'cut-the-bent-tube-as': 'The bent tube as it will lie',
  'cut-caution-hard-copper-is':
    'Caution: hard copper is annealed before it is bent, and then carries only the pressure of soft tube. Ratchet benders stop at 90°.',
  'cut-offset-with-fittings': 'Offset with fittings',
  'cut-set': 'Set, {unit}',
  'cut-roll-empty-none': 'Roll, {unit} (empty: none)',
  'cut-fitting-turns-by': 'Fitting turns by, °',
  'cut-travel': 'Travel {travel}, run {run}, centre to centre.',
  'cut-set-is-a-length': 'Set is a length, the fitting turns by more than 0 and at most 90 degrees.',
  'cut-as-a-measure-in': 'As a measure in Set out: {figure} c-c between the two fittings.',
  'cut-type-leg-turn-leg':
    'Type leg, turn, leg: {isUnit, select, yes {8 90 12} other {200 90 300}}. A turn to the other side has a minus.',
  'cut-the-radius-is-a': 'The radius is a length above nothing, to the centre line.',
  'cut-springback-is-from-0': 'Springback is from 0 to 45 degrees.',
  'cut-the-least-leg-that': 'The least leg that works is {length}.',
  'cut-leg-leaves-straight': 'Leg {leg} leaves {length} straight. {least}',
  'cut-leg-is-too-short': 'Leg {leg} is too short for its bends. {least}',
  'cut-cut-bends-begin-at':
    'Cut {length}. {bends, plural, one {The bend begins} other {Bends begin}} at {bends2}.',
  'cut-travel-run': 'Travel {travel}, run {run}.',
  'cut-type-a-bent-run': 'Type a bent run, or an offset, and its lengths appear here.',
  'cut-pieces-from-bars':
    '{pieces, plural, one {{pieces} piece} other {{pieces} pieces}} from {bars, plural, one {{bars} new bar} other {{bars} new bars}}, {waste} waste, {proof}.',
  'cut-cut-to': 'cut {mm, number, length}',
  'cut-in-fitting': 'in {fitting}',
  'cut-of-piece': 'of {tag}',
  'cut-plan-sum':
    '{pieces, plural, one {{pieces} piece} other {{pieces} pieces}}, {bars, plural, one {{bars} new bar} other {{bars} new bars}}, {proof, select, proved {proved} least {at least {least}} other {at least unknown}}',
} as const satisfies Wordings
