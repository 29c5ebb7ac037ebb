import type { Wordings } from '@jugalis/core'

/** The place wait. */
export const WAIT = {
  // AnswerHead
  'wait-where-this-comes-from': '{headline} Where this comes from',
  'wait-the-coldest-reading-rules': 'The coldest reading rules.',
  'wait-each-hour-counts-at': 'Each hour counts at its own temperature: for planning, not for sign-off.',
  'wait-where-these-times-come': 'Where these times come from',
  'wait-no-joint-has-a': 'No joint has a figure yet.',
  'wait-by-this-rule-with':
    'By this rule, with these readings. Local code, the maker and licensed practice come first.',
  'wait-has-no-joints-yet': '{tag} has no joints yet. Paint it again in Set out.',
  'wait-is-proved-at-held': '{tag} is proved at {bar}. Held {when}.',
  'wait-may-take-nothing-yet': '{tag} may take nothing yet: {nothing}. {later}',
  'wait-is-ready-for-by': '{tag} is ready for {test}, by this rule, with these readings.',
  'wait-no-figure-above': 'no figure above.',
  'wait-may-take-now': '{tag} may take {bar} now, {later}',
  'wait-from-if-are-home':
    '{bar, number, pressure} from {at} if {joints} {count, plural, one {is} other {are}} home by {homeAt}.',
  'wait-held-back-by-not': 'Held back by {tag} ({piece}, not made yet).',
  'wait-one-reading-of-at': 'One reading of {passed, number, temperature} at {at} was too short to count.',
  'wait-damp-air-since-its': 'Damp air since {at}: its cure takes half again.',
  'wait-held-back-by-home':
    'Held back by {tag} ({piece}, home {at}, coldest wall {coldestC, number, temperature}). {damp} {passed}',
  'wait-moved-from-to-the':
    'Moved from {at} to {at2}: the wall fell to {temperatureC, number, temperature} at {at3}.',
  'wait-no-readings-here-no': 'No readings here: no time can be given.',
  'wait-last-reading-ago-the':
    'Last reading {age, number, duration} ago: the colder of the last two is held on.',
  'wait-with-readings-up-to': 'With readings up to {at}.',
  // BackwardSheet
  'wait-backward-at': 'Backward: {tag} at {bar, number, pressure}',
  'wait-test-on': 'Test on',
  'wait-at': 'at',
  'wait-minutes-a-joint': 'Minutes a joint',
  'wait-order-to-make-them': 'Order to make them in',
  'wait-not-possible-any-more': 'not possible any more',
  'wait-home-by': 'home by {by}',
  'wait-and-more': 'and {order} more',
  'wait-start-it-or-leave': 'Start it, or leave it?',
  'wait-start-at': 'Start at',
  'wait-or-leave-until': 'or leave until',
  'wait-home': '{says}: home {home}, {bar, number, pressure} {ready}.',
  'wait-by-these-rules-with':
    'By these rules, with the wall held as it is known now. A colder night moves it.',
  'wait-say-a-day-and': 'Say a day and time that lie ahead.',
  'wait-say-how-long-one': 'Say how long one joint takes you.',
  'wait-not-by-then-is':
    'Not by then: {tag} is made and takes {pressure} {isReadyAtS, select, yes {at no time by its rule} other {only from {at}}}.',
  'wait-all-joints-are-made': 'All joints are made, and all are ready by then.',
  'wait-not-by-then-would':
    'Not by then: {tag} would have to be home before now, or has no figure for {pressure}.',
  'wait-too-tight-at-min':
    'Too tight at {pace} min a joint: {tag} must be home by {by} and would be {at}. Start sooner or work in two pairs.',
  'wait-last-joint-home-by': 'Last joint home by {by}. At {pace} min a joint the last is home {at}.',
  'wait-left-until': 'Left until {at}',
  'wait-started-at': 'Started at {at}',
  'wait-no-figure-by-its': 'no figure by its rule',
  // LadderPart
  'wait-may-take': '{tag} may take',
  'wait-no-reading-yet': 'No reading yet.',
  // NextHour
  'wait-next-hour': 'Next hour',
  'wait-next': 'Next',
  'wait-nothing-more-will-change': 'Nothing more will change by itself here.',
  'wait-may-be-moved-with': 'may be moved with care',
  'wait-may-take-2': 'may take {testBar, number, pressure}',
  // PhoneRows
  'wait-what-the-section-may': 'What the section may take from now on; slide along it',
  'wait-not-made': 'not made',
  'wait-move': 'move {short}',
  'wait-no-ceiling': 'no ceiling',
  // Shift
  'wait-as-of': 'As of {at}, {name}.',
  'wait-and-more-2': 'and {lines} more.',
  'wait-print-it': 'Print it',
  'wait-back-to-wait': 'Back to Wait',
  'wait-not-read-since': '{name}: not read since {at}.',
  'wait-jumps-of-the-probe': '{name}: {jumps} jumps of the probe wait for a word.',
  'wait-under-pressure-or-vacuum': 'Under pressure or vacuum',
  'wait-is-nobody-cuts-or': 'is {state}. Nobody cuts or opens it.',
  'wait-half-made': 'Half made',
  'wait-judged-failed-still-in': 'Judged failed, still in the line',
  'wait-cut-out-and-make': 'Cut out and make again.',
  'wait-not-to-be-touched': 'Not to be touched',
  'wait-until-somebody-has-said': 'until somebody has said when: no figure.',
  'wait-blankets-on': 'Blankets on',
  'wait-on-since': 'on since {at}.',
  'wait-to-look-at-again': 'To look at again',
  'wait-not-judged': 'not judged.',
  'wait-tools-not-good': 'Tools not good',
  'wait-failed-its-trial': 'failed its trial ({how}).',
  'wait-hot-work-permits-in': 'Hot-work permits in force',
  'wait-no-pressure-yet': 'No pressure yet',
  'wait-at-no-time-yet': '{bar, number, pressure} at no time yet: joints are not made or have no figure.',
  'wait-readings-in-doubt': 'Readings in doubt',
  'wait-under-pressure': '{sections} under pressure',
  'wait-not-fixed': '{unfixed} not fixed',
  'wait-half-made-2': '{halfMade} half made',
  'wait-not-to-be-touched-2': '{dontTouch} not to be touched',
  'wait-for-the-next-shift': 'For the next shift: {parts}.',
  'wait-for-the-next-shift-nothing': 'For the next shift: nothing is left half done.',
  // TimeLanes
  'wait-time-tape-of-each':
    "Time tape of {tag}: each joint's window, set and cure, and what the section may take",
  'wait-move-2': 'move',
  'wait-lanes': 'Lanes',
  'wait-a-lane-for-each': 'A lane for each joint',
  'wait-what-the-section-may-take':
    'What the section may take, and the temperature of the wall, over the same time',
  // Wait
  'wait-nothing-is-waiting': 'Nothing is waiting.',
  'wait-no-section-is-painted':
    'No section is painted yet. Paint a boundary in Set out to see when it may take pressure.',
  'wait-changing-temperature': 'Changing temperature:',
  'wait-coldest-rules-sign-off': 'coldest rules (sign-off): {coldest}',
  'wait-add-up-the-hours': 'add up the hours (planning): {accumulate}',
  'wait-show': 'Show:',
  'wait-over': 'over',
  'wait-as-planned': '{at} as planned',
  'wait-no-time-by-its': 'no time by its rule',
  // WaitTools
  'wait-backward': 'Backward…',
  'wait-hang-tags': 'Hang-tags{isWaiting, select, yes { ({waiting})} other {}}',
  'wait-calendar': 'Calendar…',
  'wait-shift-handover': 'Shift handover',
  'wait-site-readings': 'Site readings',
  'wait-in-your-calendar': 'In your calendar',
  'wait-a-calendar-that-follows':
    'A calendar that follows this address shows when joints may be moved and sections take pressure, and moves with them.',
  'wait-whoever-has-the-address':
    'Whoever has the address sees these times, without signing in. It ends when you leave the job.',
  'wait-take-it-as-a': 'Take it as a file',
  // filters
  'wait-filter-all': 'all',
  'wait-filter-waiting': 'waiting',
  'wait-filter-not-to-be-moved': 'not to be moved',
  'wait-filter-not-made': 'not made',
  'wait-filter-failed-or-doubtful': 'failed or doubtful',
  'wait-from-at': 'from {at}',
  'wait-plan-at': 'plan {at}',
  'wait-last-step': '{step}, {at}.',
  'wait-last-step-over': '{step}, {at}; its time ended {by}.',
  'wait-last-step-until': '{step}, {at}; until {by}.',
  'wait-until': 'until {at}.',
  'wait-bar-from': '{bar, number, pressure} from {at}.',
  'wait-blankets-are-on': '{blankets, plural, one {{blankets} blanket} other {{blankets} blankets}} on',
  'wait-test-from': '{test} from {at}.',
  'wait-nothing-and-more':
    '{rest, plural, =0 {{nothing}} one {{nothing}, {rest} more waits} other {{nothing}, {rest} more wait}}',
  'wait-held-back-unread': 'Held back by {tag} ({piece}, home {at}, no reading). {damp} {passed}',
} as const satisfies Wordings
