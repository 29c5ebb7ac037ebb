import { type AnyMsg, LANGUAGES, type Reader, addTranslation, addWords } from '@jugalis/core'
import type { Request } from 'express'
import spanish from '../../words/es.json' with { type: 'json' }

/** What the server refuses with. */
const REFUSALS = {
  'refused-logger-on-no-section': 'This logger sits on no section yet.',
  'refused-logger-reports-pressure': 'A pressure logger reports pressure.',
  'refused-reading-needs-a-value': 'A reading needs a value.',
  'refused-report-from-the-future': 'This report is from the future of its own clock.',
  'refused-numbers-must-ascend': 'Numbers and times must ascend.',
  'refused-instrument-at-no-place': 'This instrument hangs at no place yet.',
  'refused-instrument-of-no-tool': 'This instrument belongs to no tool yet.',
  'refused-tool-says-its-result': 'A tool says with what result.',
  'refused-report-unreadable': 'The report can’t be read: {why}.',
  'refused-kind-does-not-report': 'A {kind} does not report {what}.',
  'refused-value-between': '{what} must lie between {min} and {max}.',
  'refused-too-many': 'Too many at once. Wait a minute.',
  'refused-entry-of-another-job': 'An entry belongs to another job.',
  'refused-this-instrument-is-already': 'This instrument is already there.',
  'refused-there-is-no-such': 'There is no such instrument on this job.',
  'refused-this-token-is-not': 'This token is not one of an instrument on a job here.',
  'refused-nobody-here-signs-in': 'Nobody here signs in as "{login}".',
  'refused-there-is-no-such-job': 'There is no such job, or you are not on it.',
  'refused-this-id-belongs-to': 'This id belongs to another entry.',
  'refused-others-have-written-since': 'Others have written since. Read on, then decide again.',
  'refused-there-is-no-such-job-6': 'There is no such job.',
  'refused-two-entries-of-this': 'Two entries of this device have the same number.',
  'refused-this-device-has-used': 'This device has used that number for another entry.',
  'refused-this-joint-is-not': 'This joint is not one of this job.',
  'refused-no-test-is-running': 'No test is running on this section.',
  'refused-the-server-may-not':
    'The server may not speak to this host. Whoever runs it names it in MODBUS_HOSTS.',
  'refused-there-is-nothing-here': 'There is nothing here.',
  'refused-that-is-too-much': 'That is too much at once. Send smaller pieces.',
  'refused-this-is-not-json': 'This is not JSON.',
  'refused-the-request-cant-be': 'The request can’t be read.',
  'refused-something-went-wrong-here': 'Something went wrong here. Nothing was lost; try again.',
  'refused-database-lost':
    'The database is not there just now. Nothing was lost; it is asked again by itself.',
  'refused-database-starting': 'The database is just starting. Ask again in a moment.',
  'refused-database-slow': 'The database does not answer in time just now. Ask again in a moment.',
  'refused-database-locked': 'Somebody else is writing here just now. Ask again in a moment.',
  'refused-database-full':
    'The database has no room left. Nothing more is kept until whoever runs it makes room.',
  'refused-database-crowded': 'Too many are asking the database just now. Ask again in a moment.',
  'refused-database-read-only': 'The database only reads just now. Ask again in a moment.',
  'refused-another-plan-is-being': 'Another plan is being made. Ask again in a few seconds.',
  'refused-here-only-is-answered': 'Here only {methods} is answered.',
  'refused-send-json-and-say': 'Send JSON, and say so: Content-Type application/json.',
  'refused-read-the-list-with': 'Read the list with GET; compute with POST on one name.',
  'refused-there-is-no-calculation': 'There is no calculation called "{name}".',
  'refused-send-a-json-object': 'Send a JSON object.',
  'refused-there-is-no-such-calendar': 'There is no such calendar.',
  'refused-there-is-no-such-stand': 'There is no such stand-in on this job.',
  'refused-this-one-reads-by': 'This one reads by itself.',
  'refused-sign-in-first-4': 'Sign in first.',
  'refused-only-who-began-this': 'Only who began this job may do that.',
  'refused-say-what-to-look': 'Say what to look for, in 80 letters at most.',
  'refused-job-not-empty': 'Something is set out or written in this job: it is put away, not taken out.',
  'refused-not-on-this-job': 'Nobody on this job has this id. Put them on it first.',
  'refused-part-twice': '{name} is there twice.',
  'refused-no-such-part': 'There is no fitting called {name}.',
  'refused-a-job-needs-a': 'A job needs a name and an id.',
  'refused-this-job-is-already': 'This job is already there.',
  'refused-say-as-whom-the': 'Say as whom the person signs in.',
  'refused-after-must-be-a': 'after must be a number from 0.',
  'refused-who-wrote-these-entries': 'Who wrote these entries signs in to send them.',
  'refused-there-is-no-such-picture': 'There is no such picture.',
  'refused-a-picture-is-a': 'A picture is a JPEG, PNG or WebP file.',
  'refused-the-picture-is-not': 'The picture is not the one its name says.',
  'refused-this-picture-has-not': 'This picture has not come in yet.',
  'refused-give-a-name-and': 'Give a name and a password.',
  'refused-name-or-password-is': 'Name or password is not right.',
  'refused-this-is-not-a': 'This is not a whole Jugalis job file. Export it again.',
  'refused-the-job-id-is': 'The job id is not an id.',
  'refused-line-does-not-hold': 'Line {seq} does not hold: {why}.',
  'refused-the-end-of-the': 'The end of the log is missing.',
  'refused-this-job-is-already-here': 'This job is already here.',
  'refused-too-many-tries': 'Too many wrong tries for this name from here. Wait a quarter of an hour.',
  'refused-no-invitation': 'This invitation was used, taken back, or is past its time. Ask for another.',
  'refused-login-taken': 'Somebody signs in as "{login}" already. Choose another name.',
  'refused-no-such-person': 'There is no such person here.',
  'refused-last-admin': 'Somebody has to administer: make another administrator first.',
  'refused-only-an-administrator': 'Only an administrator may do that.',
  'refused-name-of-org': 'Say what your firm or crew is called.',
  'refused-name-of-person': 'Say what you are called: it stands beside what you write.',
  'refused-login': 'A name to sign in with has 2 to 80 letters or figures, without spaces.',
  'refused-password-short': 'A password has at least 8 letters.',
  'refused-password-long': 'A password has at most 200 letters.',
  'refused-password-like-login':
    'This password is guessed at once: not your own name, nor one letter again and again.',
  'refused-password-published': 'This password is printed in the demo. Choose another.',
  'refused-published-password':
    'The password of the demo is printed: from another machine it opens nothing. Start the demo with a password of your own.',
  'refused-only-with-password':
    'This is for whoever signed in on this device with their password. Sign in with your own.',
  'refused-pin-digits': 'A PIN is four to eight digits.',
  'refused-pin-plain': 'One digit again and again, or digits in a row, are tried first. Take others.',
  'refused-wrong-pin': 'That is not their PIN.',
  'refused-no-own-pin': 'Set a PIN of your own first, so that you can take this device back.',
  'refused-sign-in-anew': 'Somebody signs in here with a password once a day. Sign in anew.',
  'refused-old-password': 'The password so far is not right.',
  'refused-not-taken-off': 'Not on this job, or its owner: hand the job to another first.',
  'refused-sealed':
    'A verdict or a signature is never taken back, nor what a verdict stands on. A later word stands beside it.',
  'refused-not-the-tester': 'Who began a test ends it, or who leads the job.',
  'refused-not-your-part':
    'This is not for {role, select, apprentice {an apprentice} tester {a tester} witness {a witness} fitter {a fitter} other {a reader}} of this job. Who leads the job gives another role.',
  'refused-not-yours': 'Somebody else wrote this: they take it back, or who leads the job does.',
  'refused-from-memory':
    'This was more than an hour ago: say whether it was noted at the time or is from memory.',
  'refused-too-long-ago': 'This was more than a day ago: who leads the job writes it down.',
  'refused-own-test': 'Nobody witnesses a test they ran.',
  'refused-another-file': 'Another file is being read. Try again in a moment.',
  'refused-file-too-large': 'This file is too large to be read here.',
  'refused-not-your-role': 'This role is not yours to give, or not theirs to be given.',
  'refused-say-why': 'Say why another than its tester ends this test.',
  'refused-no-key': 'This is no key that entries can be signed with.',
  'refused-key-of-another': 'This key belongs to somebody else.',
  'refused-passkey': 'This passkey opens nothing here.',
  'refused-passkey-late': 'That took too long, or it was answered already. Begin again.',
  'refused-too-many-keys': 'Too many devices have signed in under this name.',
  'refused-key-not-known': 'The key of this device is not known here.',
  'refused-bad-signature': 'This entry is not what its device signed.',
  'refused-line-not-as-signed':
    'Line {seq} does not hold: {why, select, key {the key it was signed with is not in the file} person {it was signed with the key of somebody else} server {the key of its server is not in the file} countersign {it is not what its server signed} other {it is not what its device signed}}.',
  'refused-too-deep': 'This is nested deeper than anything that is read here.',
  'refused-no-text': 'A text in this holds what is no text: a NUL, or half of a character.',
  'refused-picture-says-where': 'This picture says where or with what it was taken. Send it without that.',
  'refused-cross-site': 'Another site asked this in your name. Nothing was done.',
  'refused-an-entry-cant-be': 'An entry can’t be read.',
} as const
/** What stands in a person's calendar. */
const CALENDAR = {
  'calendar-by-its-rule': 'By its rule, with the readings so far. A colder night moves it.',
  'calendar-held-back': 'By its rule, with the readings so far. A colder night moves it. Held back by {tag}.',
  'calendar-taken-back': 'No time by its rule any more, with the readings so far. Look at Wait.',
  'calendar-care':
    '{does}: {what, select, joint {{count, plural, one {{count} joint} other {{count} joints}} of {tag}} other {{device}, {tag}}}',
  'calendar-care-why': 'In use since {on}. What was done is written down in Upkeep.',
  'calendar-head': 'Log of {seq, plural, one {one entry} other {{seq} entries}}, head {head}',
  'calendar-may-be-moved': '{tag} may be moved with care',
  'calendar-may-take': '{tag} may take {bar, number, pressure}',
} as const
export type CalendarCode = keyof typeof CALENDAR
addWords(REFUSALS)
addWords(CALENDAR)
addTranslation('es', spanish)

/** A refusal's sentence, said when it is known who reads it. */
export const refusal = (
  code: keyof typeof REFUSALS,
  params: Record<string, string | number> = {},
): AnyMsg => ({
  code,
  params,
})

/** Who asks, by the language of the request. Figures of a job are said in the job's own units where they are made. */
export const readerOf = (req: Pick<Request, 'acceptsLanguages'>): Reader => {
  const language = req.acceptsLanguages([...LANGUAGES])
  return { units: 'metric', language: LANGUAGES.find((l) => l === language) ?? 'en' }
}
