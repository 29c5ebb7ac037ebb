import type { Wordings } from '@jugalis/core'

/** What is said of files of rows: tables and workbooks. */
export const FILES = {
  'files-empty': 'The file is empty.',
  'files-old-workbook': 'This is a workbook of the old kind. Save it as .xlsx or as CSV, and take that.',
  'files-not-a-table': 'This is not a table: neither CSV nor a workbook.',
  'files-workbook-broken': 'This workbook cannot be opened. Save it again as .xlsx or as CSV, and take that.',
  'files-no-sheet': 'There is no sheet in this workbook.',
  'files-too-large': 'This workbook is too large to open here. Save the sheet alone, as .xlsx or CSV.',
  'files-not-utf8': 'The file is not in UTF-8; it was read as Windows-1252. Look at letters with accents.',
  'files-quote-open': 'A quotation mark is not closed, from row {row}: look at what follows it.',
  'files-merged': 'Cells are merged ({cells}): check which heading stands over which column.',
  'files-hidden':
    '{rows, plural, one {{rows} row is} other {{rows} rows are}} hidden in this sheet ({which}): they are read like the others.',
  'files-formulas':
    '{cells, plural, one {{cells} cell holds a formula: its last result is taken.} other {{cells} cells hold formulas: their last results are taken.}}',
  'files-errors':
    '{cells, plural, one {{cells} cell holds an error} other {{cells} cells hold errors}}, like #N/A.',
  'files-opening': 'Opening the file …',
  'files-row-of': 'Row {row} of {rows}',
  'files-unreadable': 'The file could not be read. {why}',
} as const satisfies Wordings
