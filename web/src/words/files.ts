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
  // The file of a job
  'files-check-title': 'Does the file of a job hold?',
  'files-check-why':
    'The file is read in this browser alone and goes nowhere. No account is needed. A job writes its file in Hand over.',
  'files-check-file': 'Job file',
  'files-check-head': 'Log head, as it stands on a paper: the first 8 letters or more (may be empty)',
  'files-check-head-unread': 'A log head is made of 8 to 64 letters 0 to 9 and a to f.',
  'files-check-look': 'Look again',
  'files-check-busy': 'Reading every entry …',
  'files-check-no-job': '{name} is no job file.',
  'files-check-broken':
    '{name} does not hold, {why, select, end {since it does not end where it says} other {from entry {seq} on: {why, select, missing {it is missing} torn {it is not whole} link {it does not follow the one before it} hash {it was changed after it was written} other {it cannot be read as an entry of this job}}}}.',
  'files-check-whole':
    '{name} holds: {entries, plural, one {one entry} other {{entries} entries}}, each as it was written.',
  'files-check-other': '{name} holds in itself, but it never had the head that stands on the paper.',
  'files-check-at':
    'The head on the paper is that of entry {at} of {entries}: what came before it is what the paper stood on.',
  'files-check-brought': 'Entries 1 to {entries} came in as a file: that server did not see them written.',
  'files-check-ends': 'It ends with entry {seq}, in the head',
  'files-check-by': 'Who wrote',
  'files-check-wrote':
    '{name}: {entries, plural, one {one entry} other {{entries} entries}}, {signed, plural, =0 {none signed} other {{signed} signed by {devices, plural, one {one device} other {{devices} devices}}}}',
  'files-check-wrote-so': '{name}: {entries, plural, one {one entry} other {{entries} entries}}',
  'files-check-not-as-signed':
    '{name} does not hold, from entry {seq} on: {why, select, key {the key it was signed with is not in the file} person {it was signed with the key of somebody else} server {the key of its server is not in the file} countersign {it is not what its server signed} other {it is not what its device signed}}.',
  'files-check-vouched':
    '{whose, select, here {This server} other {The server with key {key}}} signed that the log ended so at entry {seq}{last, select, yes {, its last} other {: what came after it no server vouches for}}.',
  'files-check-compare':
    'Whose key that is, the file cannot say: compare it with the one on a paper, or ask whoever keeps that server.',
  'files-check-nobody-vouches':
    'No server has signed this log: it may be from before servers signed, or written by whoever gave you the file.',
  'files-check-not-here':
    'Signatures are checked over https, or on the machine itself: here only the hashes were.',
  'files-check-paper':
    'The paper says: this log had {seq, plural, one {one entry} other {{seq} entries}} and ended in {head}.',
  'files-check-paper-by':
    '{is, select, here {This server signed that.} other {No key of this server signed that: it is another server’s paper, was printed without signal, or nobody’s.}}',
  'files-check-nobody': 'instruments and others without a name',
  'files-check-cannot':
    'That a file holds says that nothing in it was changed, taken out or put in since it was written. It does not say that somebody told the truth. Compare the head with one on a paper of another day: a log that was written anew does not have it.',
} as const satisfies Wordings
