import type { Wordings } from '@jugalis/core'

/** The place set out import. */
export const SET_OUT_IMPORT = {
  // Import
  'set-out-it-comes-in-whole':
    'It comes in whole or not at all. New lines are begun like {tag}: {material}, {school} school.',
  'set-out-reading-the-file': 'Reading the file',
  'set-out-stop': 'Stop',
  'set-out-another-file': 'Another file…',
  'set-out-choose-a-file': 'Choose a file…',
  'set-out-look-at-it': 'Look at it',
  'set-out-take-rows': 'Take {rows} rows',
  'set-out-back-to': 'Back to {tag}',
  'set-out-sheet-of-this-workbook': 'Sheet of this workbook',
  'set-out-rows-to-mend': 'Rows to mend',
  'set-out-row': '{field, select, none {Row {row}:} other {Row {row}, {field}:}}',
  'set-out-lines-named-in-it': 'Lines named in it: {lines}.',
  'set-out-parts-read': 'Parts read',
  'set-out-line': 'Line',
  'set-out-part': 'Part',
  'set-out-as-typed': 'As typed',
  'set-out-joints-named': 'Joints named',
  'set-out-each-row-is': 'Each row is',
  'set-out-first-row-below-the': 'First row below the headings',
  'set-out-bare-figures-are': 'Bare figures are',
  'set-out-millimetres': 'millimetres',
  'set-out-inches': 'inches',
  'set-out-a-comma-is': 'A comma is',
  'set-out-asked-when-it-matters': 'asked when it matters',
  'set-out-a-decimal-sign': 'a decimal sign',
  'set-out-between-thousands': 'between thousands',
  'set-out-may-be-left-out': '(may be left out)',
  'set-out-no-column': 'no column',
  'set-out-first-rows-of-the': 'First rows of the file',
  'set-out-row-2': 'Row',
  'set-out-a-row-may-be':
    'A row may be a part in order (tee, pipe, elbow …), a piece with its length and the fittings at its ends, or a joint with the fitting it goes into. The first row holds the headings; which column is which is asked next.',
  'set-out-a-part-fitting-or': 'a part, fitting or pipe, in order',
  'set-out-a-piece-of-pipe': 'a piece of pipe',
  'set-out-a-joint': 'a joint',
  'set-out-fitting-or-pipe': 'Fitting, or "pipe"',
  'set-out-second-size': 'Second size',
  'set-out-length': 'Length',
  'set-out-measured-between-c-c': 'Measured between (c-c, c-f, f-f, e-e)',
  'set-out-fitting-at-its-first': 'Fitting at its first end',
  'set-out-fitting-at-its-second': 'Fitting at its second end',
  'set-out-joint-at-its-first': 'Joint at its first end',
  'set-out-joint-at-its-second': 'Joint at its second end',
  'set-out-fitting-it-goes-into': 'Fitting it goes into',
  'set-out-no-heading': '(no heading)',
  'set-out-there-is-no-such': 'There is no such line. Begin one in Set out first.',
  'set-out-rows-make':
    '{rows, plural, one {{rows} row makes} other {{rows} rows make}} {pieces, plural, one {{pieces} piece} other {{pieces} pieces}} and {fittings, plural, one {{fittings} fitting} other {{fittings} fittings}}.',
  'set-out-nothing-is-taken-rows':
    'Nothing is taken: {faults, plural, one {one row is} other {{faults} rows are}} not as it should be.',
  'set-out-rows-say-what-the':
    '{name}: {rows, plural, one {one row} other {{rows} rows}}. Say what the columns hold.',
  'set-out-a-schedule-into-from': 'A schedule into {tag}, from CSV or a workbook.',
  'set-out-rows-are-taken': '{name}: {rows} rows are taken.',
  // use-import
  'set-out-starting': 'Starting …',
  'set-out-the-file-could-not': 'The file could not be read on this device.',
} as const satisfies Wordings
