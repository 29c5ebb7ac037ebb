import type { Wordings } from '@jugalis/core'

/** What is handed over, as one paper or as a folder. */
export const PAPER_PACK = {
  'paper-pack-of': 'Hand-over of {job}{section, select, none {} other {, {section}}}',
  'paper-pack-site': 'Site',
  'paper-pack-customer': 'Customer',
  'paper-pack-drawings': 'Drawings',
  'paper-pack-as-of': 'As it stood',
  'paper-pack-record': 'The record',
  'paper-pack-record-ends': 'It ends with entry {seq}, in {head}.',
  'paper-pack-waiting':
    '{waiting, plural, one {One entry waits} other {{waiting} entries wait}} on the device this was made on: told here, and not yet in that record.',
  'paper-pack-sections': 'Sections',
  'paper-pack-section-made':
    '{joints, plural, one {One joint} other {{joints} joints}}, {made, number} made, {good, number} judged good.',
  'paper-pack-open': 'Still open',
  'paper-pack-loose':
    '{count, plural, one {{first} is in no section: nothing proves it} other {{count, number} joints are in no section, from {first} to {last}: nothing proves them}}.',
  'paper-pack-shows':
    'It shows what was recorded; it is no code authority. Local code, the maker and the engineer decide.',
  'paper-pack-lines': 'Lines as built',
  'paper-pack-lines-say': 'Along the page, to scale. A filled mark is a joint that is made.',
  'paper-pack-blanks': 'Put up or taken out for tests',
  'paper-pack-blank':
    '{where}, {section}: {name}, {when}. {isBack, select, yes {Back as it was: {backBy}, {backAt}. {how}} other {NOT BACK.}}',
  'paper-pack-paper':
    '{methods}{covers, select, none {} other {, {covers}}}{paper, select, none {} other { ({paper})}}{until, select, none {} other {, until {until}}}.',
  'paper-pack-upkeep': 'Upkeep',
  'paper-pack-sources': 'Where figures come from',
  'paper-pack-joint': '{tag}: {size}, {method}{into, select, none {} other {, into {into}}}',
  'paper-pack-not-begun':
    '{count, plural, one {One joint is} other {{count, number} joints are}} not begun: {tags}.',
  'paper-pack-made':
    '{life, plural, =1 {} other {Life {life}: }}{made, select, none {Not finished: {by}.} other {Made {made} by {by}{memory, select, yes {, partly from memory} other {}}.}} {outcome, select, cut_out {Cut out {out}.} good {Judged good {judged}.} failed {Judged failed {judged}.} other {Not judged.}}',
  'paper-pack-with': 'With {things}.',
  'paper-pack-batch': '{name} (batch {batch})',
  'paper-pack-conditions':
    'When it was made{place, select, none {} other {, {place}}}: {air, select, none {} other {air {air}}}{wall, select, none {} other {{air, select, none {} other {, }}wall {wall}}}{pct, select, none {} other {, {pct} % humidity}}.',
  'paper-pack-read': 'Read: {readings}.',
  'paper-pack-looked':
    '{name} looked at it {when}: {found, select, good {good} other {wrong}}.{note, select, none {} other { {note}}}',
  'paper-pack-doubted': '{name}, {when}: in doubt. {says}',
  'paper-pack-picture': '{tag}, {does}: {name}, {when}',
  'paper-pack-picture-files': 'Pictures: {files}',
  'paper-pack-picture-away': 'A picture could not be had: {says}',
  'paper-pack-file-book': 'All of it, to be read',
  'paper-pack-file-log': 'Joint log, a row for each life of each joint',
  'paper-pack-file-certificate': 'Certificate of a test',
  'paper-pack-file-readings': 'Readings of that test',
  'paper-pack-file-drawing': 'Isometric of lines as built',
  'paper-pack-file-upkeep': 'Upkeep',
  'paper-pack-file-picture': 'Picture of a joint',
  'paper-pack-file-record':
    'The record, entry by entry, signed: anybody checks it at /verify, with docs/verify of the program, or with a program of their own',
} as const satisfies Wordings
