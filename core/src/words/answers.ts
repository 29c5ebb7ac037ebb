import type { CodesOf, Wordings } from '../sources/wording.js'

/** Headlines, why-lines, gates, states. */
export const ANSWERS = {
  'state-planned': 'not begun',
  'state-marked': 'marked',
  'state-prepared': 'prepared',
  'state-window': 'window open',
  'state-unfixed': 'assembled, not fixed',
  'state-hold': 'being held',
  'state-set': 'not set',
  'state-made': 'home',
  'state-cure25': 'curing',
  'state-cure50': 'curing',
  'state-cure75': 'curing',
  'state-loadable': 'ready',
  'state-tested': 'proved',
  'state-failed': 'failed',
  'state-cutout': 'cut out',
  'state-cant-tell': 'not judged',
  'not-made': '{many, select, yes {{joint} are not made} other {{joint} is not made}}',
  'not-set': '{many, select, yes {{joint} are not set} other {{joint} is not set}}',
  'joint-failed': '{many, select, yes {{joint} are judged failed} other {{joint} is judged failed}}',
  'joint-no-figure':
    '{many, select, yes {{joint} have no figure by this rule} other {{joint} has no figure by this rule}}',
  'joint-curing': '{many, select, yes {{joint} are curing} other {{joint} is curing}}',
  'section-empty': 'No joints in this section yet.',
  'gate-joints-made':
    '{open, plural, =0 {All {all} joints are made.} other {{open} of {all} joints are not made: {list}{more, plural, =0 {} other { and {more} more}}.}}',
  'gate-joints-judged':
    '{open, plural, =0 {All {all} joints are judged good.} other {{open} of {all} joints are not judged good: {list}{more, plural, =0 {} other { and {more} more}}.}}',
  'gate-cured':
    '{open, plural, =0 {Every joint is cured for {bar, number, pressure} by its rule.} other {Not cured for {bar, number, pressure}: {list} holds it back.}}',
  'gate-state': 'The section is {state}.',
  'gate-supports': 'Supports and anchors are in.',
  'gate-vents': 'Vents open at the high points, drain at the low point.',
  'gate-isolated': 'Parts that can\u2019t take the pressure are isolated or out, and tagged.',
  'gate-gauge': 'Gauge in date, range 1.5 to 4 times the test pressure.',
  'gate-people': 'People are kept back. Local rules and permits are met.',
  'stop-not-looked-over':
    '{joint} was made by an apprentice or found wrong. Somebody else looks at it and finds it good.',
  'stop-not-made': '{joint} is not made. No test before every joint is home.',
  'stop-not-set': '{joint} is not set. No pressure yet.',
  'stop-not-cured':
    '{joint} may take {allowed, number, pressure} now, not {bar, number, pressure}{when, select, none {} other {; from {when} it may}}.',
  'stop-no-figure': '{joint} has no figure by this rule. Load the maker\u2019s chart or choose another rule.',
  'stop-failed': '{joint} is judged failed and still in the line. Cut it out and make it again.',
  'stop-not-judged': '{joint} is not judged yet. Read its check mark.',
  'stop-gas-on-plastic': 'Gas test on PVC, CPVC or ABS: stopped. Test with water.',
  'stop-gate-open': 'A gate is open: {gate}',
  'stop-over-rating':
    '{bar, number, pressure} is above what {part, select, none {the section} other {{part}}} may ever take ({rating, number, pressure} at the gauge).',
  'aside-stop-not-made': 'A joint was not made.',
  'aside-stop-not-set': 'A joint was not set.',
  'aside-stop-not-cured': 'A joint was not cured for this pressure.',
  'aside-stop-no-figure': 'A joint had no figure by its rule.',
  'aside-stop-failed': 'A joint was judged failed.',
  'aside-stop-not-judged': 'A joint was not judged.',
  'aside-stop-gas-on-plastic': 'Gas on PVC, CPVC or ABS.',
  'aside-stop-gate-open': 'A gate was open.',
  'aside-stop-over-rating': 'The pressure was above a rating.',
  'aside-stop-check-too-low': 'The check was too low at the highest fitting.',
  'aside-stop-gauge-late': 'The gauge was out of date.',
  'aside-stop-gauge-range': 'The range of the gauge did not fit.',
  'certificate-not-ended': 'Not ended.',
  'certificate-leak': 'Lost: a leak was seen, {where}.',
  'stop-unknown-section': 'This section is not known in this job.',
  'stop-test-running': 'A test is already running on this section. End it first.',
  'stop-section-state': 'The section is {state}. Nothing is cut or opened there.',
  'note-after-cut-out': '{who} cut this joint out before. This entry is kept as a note.',
  'flag-order': '{step} was written before the step it needs. No credit until it is settled.',
  'flag-brought': 'The log up to entry {entries} came in as a file: this server did not see it written.',
  'flag-unknown-life': 'Written for a life of this joint that had not begun. Kept, no credit.',
  'flag-unknown-target': 'Corrects an entry that is not here. Kept, no credit.',
  'flag-unknown-item': 'Names something that is not in this job. Kept, no credit.',
  'flag-future-reading': 'A reading from the future: the clock of its probe is wrong. Kept, not counted.',
  'flag-evidence':
    'A reading that came after the verdict would have moved it. The verdict stands; look again.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof ANSWERS> {}
}
