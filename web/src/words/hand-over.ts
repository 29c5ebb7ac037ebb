import type { Wordings } from '@jugalis/core'

/** The place hand over. */
export const HAND_OVER = {
  // HandOver
  'hand-over-anybody-checks': 'Anybody with the file of this job can check it',
  'hand-over-brought':
    'Entries 1 to {entries} came in as a file, brought by {name} {at}: this server did not see them written. They end in {head}…',
  'hand-over-the-log-is-chained':
    '{name}. The log is chained: each entry carries the hash of the one before. It shows what was recorded; it is no code authority.',
  'hand-over-known-ask': 'What was known then?',
  'hand-over-known-then': 'As it was known then',
  'hand-over-known-looking': 'Reading the log up to there …',
  'hand-over-known-of':
    '{at}: the log had {entries, plural, one {one entry} other {{entries} entries}}. {home, number} of {joints, number} joints were made.',
  'hand-over-known-since':
    '{since, plural, =0 {Nothing was written since.} one {One entry was written since} other {{since} entries were written since}}{since, plural, =0 {} other {{later, select, yes {, among them about the time before:} other {, none of them about the time before.}}}}',
  'hand-over-later':
    '{what, select, readings {{count, plural, one {one reading} other {{count} readings}}} steps {{count, plural, one {one step of a joint} other {{count} steps of joints}}} corrections {{count, plural, one {one correction} other {{count} corrections}}} other {{count, plural, one {one other entry} other {{count} other entries}}}}',
  'hand-over-pack': 'Hand-over pack',
  'hand-over-pack-open': 'Hand-over pack…',
  'hand-over-pack-holds':
    'What is open, sections, lines as built, tests with their charts, every joint with what it was made with, read and found, pictures, upkeep, and where figures come from. The folder holds them as files too, with the record itself and a list of hashes.',
  'hand-over-pack-about': 'What it is about',
  'hand-over-pack-whole-job': 'The whole job',
  'hand-over-pack-pdf': 'One paper (PDF)',
  'hand-over-pack-zip': 'A folder (zip)',
  'hand-over-pack-stop': 'Stop',
  'hand-over-pack-far': 'How far it is',
  'hand-over-pack-part':
    '{part, select, log {Reading the log …} joints {Joints: {done, number} of {all, number} …} tests {Tests: {done, number} of {all, number} …} pictures {Pictures: {done, number} of {all, number} …} other {Writing the file …}}',
  'hand-over-pack-saved':
    'Saved as {name}.{away, plural, =0 {} one { One picture could not be had.} other { {away} pictures could not be had.}}{record, select, no { The record itself could not be had: there is no signal.} other {}}',
  'hand-over-pack-no-log':
    'The log could not be read: this device keeps only some of it, and there is no signal.',
  'hand-over-pack-failed':
    'It could not be put together. The record itself is whole; try once more, or take the JSON.',
  'hand-over-how-made': 'How the making went',
  'hand-over-how-made-show': 'Show how the making went',
  'hand-over-right-at-once':
    '{made, plural, =0 {{whose, select, own {You have made no joint here.} other {No joint was made.}}} other {{judged, plural, =0 {Nothing is judged yet.} other {{right, number} of {judged, plural, one {one joint} other {{judged, number} joints}} that {judged, plural, one {is} other {are}} judged {right, plural, one {was} other {were}} right the first time.}}}}',
  'hand-over-own-alone': 'What you made yourself. Whoever leads the job sees that of all.',
  'hand-over-by-method': 'By way of joining',
  'hand-over-by-person': 'By who brought it home',
  'hand-over-times-made': 'Made',
  'hand-over-right-first': 'Right the first time',
  'hand-over-right-of': '{judged, plural, =0 {none judged} other {{right, number} of {judged, number}}}',
  'hand-over-a-day': 'Day',
  'hand-over-made-again': '{made, number}{again, plural, =0 {} other {, {again, number} of them again}}',
  'hand-over-causes': 'Cut out because',
  'hand-over-times': 'Times',
  'hand-over-no-cause': 'no reason written',
  'hand-over-record': 'The record',
  'hand-over-ends-in': 'It ends with entry {seq}, in {head}.',
  'hand-over-code':
    'The code holds that head{signed, select, yes { and this server’s signature} other {}}. Whoever has a paper with it can tell a log that was written anew or cut short.',
  'hand-over-code-of': 'Code of the log’s head',
  'hand-over-check-now': 'Check the record',
  'hand-over-checking': 'Checking every entry and signature …',
  'hand-over-holds':
    'It holds: {seq, plural, one {one entry} other {{seq} entries}}, {signed, plural, =0 {none signed by a device} one {one signed by a device} other {{signed} signed by devices}}. {vouched, select, here {This server signed its end.} before {It is from before this server signed.} other {This server signs nothing.}}',
  'hand-over-holds-not':
    'It does not hold, from entry {seq} on: {why, select, key {the key it was signed with is not known} person {it was signed with the key of somebody else} server {the key of its server is not known} countersign {it is not what its server signed} signature {it is not what its device signed} past {it was not written through this server} other {it was changed after it was written}}.',
  'hand-over-wrote':
    '{name}: {entries, plural, one {one entry} other {{entries} entries}}, {signed, plural, =0 {none signed} other {{signed} signed on {devices, plural, one {one device} other {{devices} devices}}}}',
  'hand-over-unsigned':
    'Not signed are entries of instruments, from before devices signed, and from pages that came over plain http.',
  'hand-over-upkeep': 'Upkeep',
  'hand-over-missing': 'Missing',
  'hand-over-whole-job-json': 'Whole job, JSON',
  'hand-over-joint-log-csv': 'Joint log, CSV',
  'hand-over-raw-log-csv': 'Raw log, CSV',
  'hand-over-joint-log': 'Joint log',
  'hand-over-no-joint-has-been': 'No joint has been begun.',
  'hand-over-find': 'Find in the joint log',
  'hand-over-find-by': 'Tag, size, name or outcome',
  'hand-over-found': '{found, number} of {all, number}',
  'hand-over-state': 'State',
  'hand-over-life': 'Life',
  'hand-over-home': 'Home',
  'hand-over-by': 'By',
  'hand-over-read-when-judged': 'Read when judged',
  'hand-over-outcome': 'Outcome',
  'hand-over-tests': 'Tests',
  'hand-over-at-with':
    '{date} {at}: {section} at {bar, number, pressure} with {medium}, {verdict}, {tester}.',
  'hand-over-no-test-yet': 'No test yet.',
  'hand-over-signatures': 'Signatures',
  'hand-over-sign-the-hand-over': 'Sign the hand-over as {name}',
  'hand-over-sign-the-hand-over-2': 'Sign the hand-over',
  'hand-over-printed': 'Printed {date} {at}.',
  'hand-over-joints-are-not-made': '{fs} joints are not made: {tag} to {tag2}.',
  'hand-over-is-not-made': '{tag} is not made.',
  'hand-over-not-good': '{count, number} joints from {tag} to {tag2} are not judged good.',
  'hand-over-is-judged-failed': '{tag} is judged failed.',
  'hand-over-is-not-judged-good': '{tag} is not judged good.',
  'hand-over-no-paper': '{tag} was made by somebody without a valid paper for it.',
  'hand-over-no-papers':
    '{count, number} joints from {tag} to {tag2} were made by somebody without a valid paper for them.',
  'hand-over-proposed': 'A correction of {tag} is proposed and not answered.',
  'hand-over-is-not-proved': '{tag} is not proved.',
  'hand-over-is-not-back': 'Not back as it was: {kind}, {where}.',
  'hand-over-nobody-has-signed-the': 'Nobody has signed the job over.',
  'hand-over-nothing-to-hand-over': 'Nothing to hand over yet. The first made joint starts the log.',
  'hand-over-of-joints-made-and':
    '{good} of {joints} joints made and judged good, {proved} of {sections} sections proved. {missing} {missing, plural, one {thing is} other {things are}} missing.',
  'hand-over-ready-to-hand-over': 'Ready to hand over: nothing is missing.',
  'hand-over-not-judged': 'not judged',
  'hand-over-failed': 'failed',
  'hand-over-open': 'open',
  'hand-over-cut-out': 'cut out {at}',
  'hand-over-handed-over-with-things':
    'Handed over with {left} {left, plural, one {thing} other {things}} missing, as listed.',
  'hand-over-handed-over-with-nothing': 'Handed over with nothing missing.',
} as const satisfies Wordings
