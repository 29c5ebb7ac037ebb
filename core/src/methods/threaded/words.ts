import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Threaded',
  steps: {
    thread: {
      does: 'Clean both threads and look all round. Start it by hand, dry: 3 to 5 turns, then out again.',
      look: 'Full threads, none torn or chipped{plastic, plural, =0 {} other {, no oil on plastic}}. {standard, select, npt {NPT} other {ISO 7-1}} on both sides.',
      mistake: 'Two families that start in each other and never seal: NPT and ISO 7-1.',
      act: 'Clean, starts by hand',
      hint: '3 to 5 turns, no wrench',
    },
    seal: {
      does: 'Tape 2 to 3 turns with the thread (4 to 6 on large ones), the first thread bare; paste on the male only.',
      look: 'Sealant that suits both sides and what runs in it{plastic, plural, =0 {} other {: on plastic only what its maker names}}.',
      mistake: 'Tape wound against the thread: it peels off going in.',
      act: 'Write what seals it',
      hint: 'first thread bare',
    },
    hand: {
      does: 'By hand until firm, then mark both sides.',
      look: 'It goes in straight and freely until it is firm.',
      mistake: 'Started askew: the wrench forces it, the thread is gone.',
      act: 'Hand tight, marked',
      hint: 'one line over both',
    },
    wrench: {
      does: '{least, number, quarters} to {most, number, quarters} turns past the mark, never back.',
      look: '{plastic, plural, =0 {Smooth jaws} other {Strap wrench}}, held right at the thread. The last turn to the angle wanted.',
      mistake: 'Backing off to line it up: it leaks. Apart, clean, seal again.',
      act: 'Write the turns',
      hint: 'past hand tight, never back',
    },
    look: {
      does: 'Look at the threads that stay in sight{plastic, plural, =0 { and count them} other {}}.',
      look: '{plastic, plural, =0 {2 to 3 threads} other {No white line, no crack}}; what stands behind it has not turned.',
      mistake: 'The joint behind it turned with it: a soldered or cemented one is broken.',
      act: '{plastic, plural, =0 {Write the threads in sight} other {No crack, nothing turned}}',
      hint: 'look at the joint behind it too',
    },
  },
  exceptions: {
    chipped: 'Thread torn or chipped',
    'will-not-start': 'Will not start by hand',
    'wrong-family': 'Other family of thread',
    'tape-against': 'Tape against the thread',
    'cross-threaded': 'Started askew',
    'backed-off': 'Backed off',
    galled: 'Seized on the way',
    'turned-behind': 'The joint behind it turned',
  },
  clocks: {},
  faults: {
    'tape-against': 'Tape against the thread',
    'cross-threaded': 'Started askew',
    'too-few': 'Too few turns',
    'backed-off': 'Backed off to line up',
    'over-plastic': 'Plastic turned too far',
    'over-turned': 'Turned too far',
  },
  unfixed: 'hand tight',
  says: {
    'name-npt': 'NPT',
    'name-iso-7': 'ISO 7-1',
    'name-npt-female': 'female NPT thread',
    'name-npt-male': 'male NPT thread',
    'name-iso-7-female': 'female ISO 7-1 thread',
    'name-iso-7-male': 'male ISO 7-1 thread',
    'field-thread-standard': 'Thread',
    'field-thread-cut-on': 'The male thread is on the',
    'field-thread-into': 'What it goes into is of',
    'field-sealant': 'Sealed with',
    'field-turns-past-hand': 'Turns past hand tight',
    'field-threads-showing': 'Threads in sight',
    'name-thread-sealant': 'thread sealant',
    'sealant-tape': 'tape',
    'sealant-paste': 'paste',
    'sealant-tape-and-paste': 'tape and paste',
    'sealant-anti-seize': 'anti-seize paste',
    'tool-thread-brush': 'thread brush',
    'tool-thread-sealant': 'sealant that suits both sides',
    'tool-strap-wrench': 'strap wrench',
    'tool-two-wrenches': 'two smooth-jaw wrenches',
    'never-power-on-thread': 'power tools on stainless threads',
    'never-thread-back-off': 'backing off to line up',
    'caution-thread-sharp': 'Fresh threads and their chips cut: gloves, brush, no fingers.',
    'caution-thread-slip': 'A wrench that slips throws you: stand firm, pull, never push.',
    'caution-thread-pressure': 'Never tighten or loosen under pressure: isolate, drain, vent.',
    'thread-unlisted': 'No thread of {size} is listed here: measure one that is made up.',
    'thread-turns-over':
      '{turns, number, quarters} turns past hand tight; {most, number, quarters} is the most. Take it apart and look: sound, then clean it, seal it and turn it again.',
    'thread-plastic-over':
      '{turns, number, quarters} turns past hand tight; {most, number, quarters} is the most for plastic: it is split or will split. Out with both.',
    'thread-turns-short':
      '{turns, number, quarters} turns past hand tight; at least {least, number, quarters}. Go on, never back.',
    'thread-none-showing':
      'No thread stays in sight: bored out, or turned too far. Another fitting, or a fresh thread.',
    'thread-few-showing':
      'One thread in sight: turned far, or bored wide. Take it apart and look: sound, then clean it, seal it and turn it again.',
    'thread-many-showing':
      '{count} threads in sight: short. A little further if a turn is left, else apart and look.',
    'thread-paste-plastic':
      'Paste on plastic: many crack ABS and CPVC, often weeks later. Only what the plastic\u2019s maker names; apart and clean it off else.',
    'thread-stainless-dry': 'Stainless seizes without anti-seize paste, or tape with paste. Seal it again.',
    'cause-thread-askew': 'Started askew, or the wrong family of thread.',
    'cause-thread-sealant': 'Tape against the thread, or the first thread not bare.',
    'interrupted-thread-sealed': 'Dust sits on the sealant: wipe it off, clean, seal it again.',
    'interrupted-thread-hand': 'Hand tight only: it stays on the list.',
    'test-thread-weep':
      'Leave every thread in sight. A weep: let the pressure off first, then a little further if a turn is left, else apart.',
    'choice-thread-family':
      'Thread standards of the two sides must be one. An adapter with both goes between.',
    'choice-thread-plastic-female':
      'A male thread of metal splits a female one of plastic, often weeks later. Male plastic into female metal, or a metal ring.',
    'choice-thread-wall':
      'Threads are cut into Sch 80 only: on any other plastic wall nothing is left under them.',
    'choice-thread-half':
      'Threaded plastic takes half of what its pipe takes, and none above what the fitting says.',
    'choice-thread-hot': 'No plastic thread for steam, and none hot beyond what its maker says.',
    'choice-thread-gas':
      'Gas: yellow tape or gas paste. Tested with soap and a gauge, never with a flame. Plastic for liquids holds no gas.',
    'choice-thread-galls': 'Stainless on stainless seizes: anti-seize paste, slowly, by hand.',
    'figure-engagementMm': 'In when it is tight',
    'figure-byHandMm': 'In by hand',
    'figure-byWrenchMm': 'Further by wrench',
    'figure-perInch': 'Threads in an inch',
    'figure-turnsPastMin': 'Turns past hand tight, at least',
    'figure-turnsPastMax': 'Turns past hand tight, at most',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
