import type { Wordings } from '@jugalis/core'

/** The place prove. */
export const PROVE = {
  // GateList
  'prove-open': 'open',
  'prove-closed': 'closed',
  'prove-computed-from-the-log': 'computed from the log',
  'prove-confirm': 'Confirm',
  'prove-open-again': 'Open again',
  'prove-looked-at': 'looked at',
  'prove-opened-again': 'opened again',
  'prove-confirmed': 'Confirmed: {says}',
  'prove-open-again-2': 'Open again: {says}',
  // Prove
  'prove-hook-weakest': 'weakest',
  'prove-hook-working': 'working',
  'prove-hook-test': 'test',
  'prove-no-section-painted': 'No section painted.',
  'prove-paint-a-boundary-in': 'Paint a boundary in Set out to test it.',
  'prove-tests-with-gauge': '{tester} tests with {medium}, gauge {gauge}. {head}',
  'prove-with-test-again-when':
    '{tag}, {bar} with {medium}, {ruleName}. {isVerdict, select, yes {Find it, mend it, test again: both tests are kept.} other {Test again when that is settled: both tests are kept.}}',
  'prove-not-yet-gates-are':
    'Not yet: {open} {open, plural, one {gate is} other {gates are}} open. First: {says}',
  'prove-relieve-now-shut-in':
    'Relieve now: shut in, it comes to {bar} at {warmC, number, temperature}; {limitName} may take {bar2}.',
  'prove-the-section-is': 'The section is',
  'prove-show': 'Show',
  'prove-parts-and-tags': 'Parts and tags',
  'prove-tests-and-after': 'Tests and after',
  'prove-is-brought-to-in': '{tag} is brought to {bar} in {of} stages.',
  'prove-may-take-now': 'may take now',
  'prove-at-the-lowest-point':
    'At {bar} the lowest point sees {atLowBar, number, fine}, the highest {atHighBar, number, fine}.',
  // RunTest
  'prove-no-reading-yet': 'no reading yet',
  'prove-left': '{clock} left',
  'prove-hold-is-over': 'hold is over',
  'prove-lost-a-leak-was': 'Lost: a leak was seen.',
  'prove-more-would-settle-it': '{moreTimeS, number, duration} more would settle it.',
  'prove-about': 'About {leakRateLPerH, number, leak}.',
  'prove-i-see-a-leak': 'I see a leak',
  'prove-end-the-test': 'End the test: {verdict}',
  'prove-where-it-leaks': 'Where it leaks',
  'prove-q2-07-at-the': 'Q2-07, at the face',
  'prove-let-the-pressure-off-before': 'let the pressure off before anybody goes near it.',
  'prove-gauge-now': 'Gauge now',
  'prove-read': 'Read',
  'prove-from-a-file': 'From a file…',
  'prove-it-is-right-keep': 'It is right: keep it',
  'prove-last-of-readings': 'Last of {readings} readings',
  'prove-the-temperatures-share-is':
    'The temperature’s share is taken out by what is shut in and the pipe it is in; what is left is fitted with a line and its 95 % doubt. By this method, with these readings.',
  'prove-temperature-inside': 'Temperature inside',
  'prove-temperature-of-the-wall': 'Temperature of the wall',
  'prove-temperature-of-the-air': 'Temperature of the air',
  'prove-not-steady-yet': 'Not steady yet.',
  'prove-steady-since': 'Steady since {at}.',
  'prove-read-it-at-least': 'Read it at least every {everyS, number, duration}: next by {at}.',
  'prove-is-far-above-the':
    '{bar, number, fine} is far above the test pressure of {most, number, pressure}. Is the gauge read right?',
  'prove-is-less-than-half':
    '{bar, number, fine} is less than half of the {before, number, fine} read last. Is the gauge read right?',
  'prove-type-what-the-gauge': 'Type what the gauge shows.',
  'prove-read-2': '{bar, number, fine} read.',
  'prove-a-leak-is-written': 'A leak is written down. Let the pressure off.',
  'prove-leak-seen': 'Leak seen: {where}',
  'prove-test-ended': 'Test ended: {verdict}.',
  // StageGuide
  'prove-stage-of': 'Stage {index} of {of}. {headline}',
  'prove-nobody-stands-by-ends': 'nobody stands by ends, blanks and valves while the pressure rises.',
  'prove-raise-it-to': 'Raise it to {at}.',
  'prove-let-it-down-to': 'Let it down to {at}.',
  'prove-at-read-the-gauge': 'At {at}. Read the gauge: the time runs from there.',
  'prove-stay-at-for-more': 'Stay at {at} for {clock} more.',
  'prove-at-walk-the-line': 'At {at}: walk the line, look at every joint.',
  'prove-the-time-at-is': 'The time at {at} is over.',
  'prove-stay-at-until-it': 'Stay at {at} until it is steady.',
  'prove-walked-no-leak-seen': 'Walked: no leak seen',
  'prove-this-stage-is-over': 'This stage is over',
  'prove-it-is-steady-go': 'It is steady: go on',
  'prove-no-reading-at-this': 'No reading at this pressure yet.',
  'prove-not-before': 'Not before {at}.',
  'prove-stage-of-over': 'Stage {index} of {of}: over.',
  // TestChart
  'prove-pressure-and-temperature-over': 'Pressure and temperature over the test',
  'prove-thin-as-read-thick': 'Thin: as read. Thick: had the temperature stayed. Dotted: temperature, right.',
  'prove-held-so-far': '{bar} held {seen, number, duration} of {hold, number, duration}.',
  'prove-held-so-far-loss':
    '{bar} held {seen, number, duration} of {hold, number, duration}; loss {loss, number, fine} of {allowed, number, fine} allowed.',
  'prove-is-state': '{tag} is {state}.',
} as const satisfies Wordings
