import type { Wordings } from '@jugalis/core'

/** The place make. */
export const MAKE = {
  // ActionArea
  'make-put-it-right': 'Put it right',
  'make-cut-out-begin-again': 'Cut out, begin again',
  'make-both-lives-stay-in': 'both lives stay in the log',
  'make-cut-it-out': 'Cut it out',
  'make-hands-stay-on-the': 'Hands stay on the pipe',
  'make-no-tap-needed': 'no tap needed',
  'make-let-go-early': 'Let go early',
  'make-it-was-earlier': 'It was earlier…',
  'make-next': 'Next: {tag}',
  'make-all-joints-are-made': 'All joints are made',
  'make-something-happened': 'Something happened',
  'make-not-like-this': 'Not like this',
  'make-what-is-wrong-stands': 'what is wrong stands above',
  'make-say-it-first': 'say it first',
  'make-more': 'More…',
  'make-wet-screen-long-press': 'wet screen: long press',
  'make-leave-it-as-it': 'Leave it as it is',
  'make-put-it-down': 'Put it down',
  'make-skip': 'Skip…',
  'make-made-before': 'Made before…',
  // JointList
  'make-marked-take-the-mark': 'Marked; take the mark off',
  // Make
  'make-joints': 'Joints',
  'make-this-joint-is-not': 'This joint is not in the job any more. Its label can go.',
  'make-no-joints-yet-set': 'No joints yet. Set out a line first.',
  'make-of-joints-are-to': '{toMake} of {all} joints are to be made.',
  'make-nothing-to-make-all':
    'Nothing to make. {all, plural, one {The joint is} other {All {all} joints are}} made.',
  'make-marked': '{marked} marked',
  'make-write-them-down-b': 'Write them down (B)',
  'make-clear': 'Clear',
  'make-find-a-joint': 'Find a joint',
  'make-tag-size-or-state': 'tag, size or state',
  'make-no-joint-is-called': 'No joint is called that.',
  'make-choose-a-joint-on':
    'Choose a joint on the left, scan its label, or {isLife, select, yes {go on where work has begun} other {begin here}}.',
  'make-go-on-with': 'Go on with {tag}',
  'make-begin': 'Begin {tag}',
  // MakeHead
  'make-stands':
    '{what, select, branch {The branch of {tag}} saddle {{tag}} other {The other end of {tag}}} points {one, select, east {east} west {west} north {north} south {south} up {up} other {down}}{two, select, east { and east} west { and west} north { and north} south { and south} up { and up} down { and down} other {}}{clock, plural, =0 {} other {, at {clock} o\u2019clock looking {what, select, saddle {along the pipe} other {into it}}}}{what, select, saddle {.} other {: mark socket and pipe, and let the marks meet.}}',
  'make-round-pipe': 'On a tape round the pipe…',
  'make-round-title': 'Round the pipe of {tag}',
  'make-round-says':
    'From the {from, select, north {north side} other {top}}, {way, select, along {looking along the pipe} other {looking into {fitting}}}: {turn, plural, =0 {straight on} other {{round} round to the {side, select, left {left} other {right}} ({turn, number}°)}}.',
  'make-round-how':
    'Mark the {from, select, north {north side} other {top}} of the pipe, lay the tape round it, mark there, and carry the mark on to the fitting with both held as they will stand.',
  'make-round-clock': '{hour} o\u2019clock',
  'make-saddle-at':
    'Its middle {along} along {piece}, as that was measured{end, select, none {} other {: {end} from its end}}.',
  'make-pipe-to':
    '{joint} {size}, {part, select, none {pipe} other {{part}}} to {fitting}{way, select, none {} other {, {way}}}',
  'make-made-again-life': 'made again: life {lifeNo}',
  'make-all-joints': 'all joints',
  'make-where-from': 'Where from?',
  // MakePanel
  'make-joint': 'Joint {tag}',
  'make-the-cycle-broke-off': '{tool}: the cycle broke off. This joint counts as not pressed.',
  'make-to-the-line': 'To the line',
  'make-says-take-it': '{tool} says {torque, number, torque}: take it',
  // OtherHands
  'make-written-twice': 'Written twice: {list}. The careful one counts until you agree.',
  'make-s-stands': '{name}’s stands',
  'make-is-making-this-joint':
    '{name} is making this joint ({says}, {at}). What you tap is written beside it.',
  'make-agreed-s-entry-stands': 'agreed: {name}’s entry stands',
  'make-s-entry-stands-the': '{name}’s entry stands; the other is kept as corrected.',
  // PhotoStrip
  'make-one-moment': 'One moment …',
  'make-photo': 'Photo…',
  'make-picture-of': 'Picture {i} of {tag}, {when}',
  'make-life': '{tag}, life {life}',
  'make-picture-of-2': 'Picture of {tag}',
  'make-named-in-the-log': '{name}, {when}. Named in the log by its hash {hash}…',
  'make-a-picture-is-kept': 'A picture is kept.',
  'make-this-file-is-no': 'This file is no picture that can be read here.',
  // ScanLine
  'make-scan-a-code': 'Scan a code…',
  'make-code-of-a-tin': 'Code of a tin or tool',
  'make-code': 'code',
  'make-is-in-hand': '{code} is in hand.',
  // StepBar
  'make-step-later': '{does}: later',
  'make-step-now': '{does}: now',
  'make-step-wet': '{does}: now, its window is open',
  'make-step-done': '{does}: done',
  'make-steps': 'Steps',
  // groups
  'make-to-make': 'To make',
  'make-to-look-at': 'To look at',
  'make-made': 'Made',
  // use-around
  'make-is-held-for-more': '{tag} is held for {clock} more. Begin here after that.',
  // use-writes
  'make-came-out-with': 'came out with {tag}',
  'make-are-cut-out-all': '{joints} are cut out. All lives stay in the log.',
  'make-is-cut-out-both': '{tag} is cut out. Both lives stay in the log.',
  'make-let-go-early-read': '{tag}: let go early. Read the check mark now.',
  'make-again': '{action} again',
  'make-skipped': '{tag}: skipped ({reason}).',
} as const satisfies Wordings
