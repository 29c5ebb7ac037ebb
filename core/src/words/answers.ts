import type { Wordings } from './words.js'

/** Headlines, why-lines, gates, states. */
export const ANSWERS: Wordings = {
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
  'not-made': (p) => `${p.s('joint')} is not made`,
  'not-set': (p) => `${p.s('joint')} is not set`,
  'joint-failed': (p) => `${p.s('joint')} is judged failed`,
  'joint-no-figure': (p) => `${p.s('joint')} has no figure by this rule`,
  'joint-curing': (p) => `${p.s('joint')} is curing`,
  'section-empty': 'No joints in this section yet.',
  'gate-joints-made': (p) =>
    p.n('open')
      ? `${p.n('open')} of ${p.n('all')} joints are not made: ${p.s('list')}.`
      : `All ${p.n('all')} joints are made.`,
  'gate-joints-judged': (p) =>
    p.n('open')
      ? `${p.n('open')} of ${p.n('all')} joints are not judged good: ${p.s('list')}.`
      : `All ${p.n('all')} joints are judged good.`,
  'gate-cured': (p) =>
    p.n('open')
      ? `Not cured for ${p.bar('bar')}: ${p.s('list')} holds it back.`
      : `Every joint is cured for ${p.bar('bar')} by its rule.`,
  'gate-state': (p) => `The section is ${p.s('state')}.`,
  'gate-supports': 'Supports and anchors are in.',
  'gate-vents': 'Vents open at the high points, drain at the low point.',
  'gate-isolated': 'Parts that can\u2019t take the pressure are isolated or out, and tagged.',
  'gate-gauge': 'Gauge in date, range 1.5 to 4 times the test pressure.',
  'gate-people': 'People are kept back. Local rules and permits are met.',
  'stop-not-made': (p) => `${p.s('joint')} is not made. No test before every joint is home.`,
  'stop-not-set': (p) => `${p.s('joint')} is not set. No pressure yet.`,
  'stop-not-cured': (p) =>
    `${p.s('joint')} may take ${p.bar('allowed')} now, not ${p.bar('bar')}${p.s('when') ? `; from ${p.s('when')} it may` : ''}.`,
  'stop-no-figure': (p) =>
    `${p.s('joint')} has no figure by this rule. Load the maker\u2019s chart or choose another rule.`,
  'stop-failed': (p) =>
    `${p.s('joint')} is judged failed and still in the line. Cut it out and make it again.`,
  'stop-not-judged': (p) => `${p.s('joint')} is not judged yet. Read its check mark.`,
  'stop-gas-on-plastic': 'Gas test on PVC, CPVC or ABS: stopped. Test with water.',
  'stop-gate-open': (p) => `A gate is open: ${p.s('gate')}`,
  'stop-over-rating': (p) =>
    `${p.bar('bar')} is above what ${p.s('part') || 'the section'} may ever take (${p.bar('rating')} at the gauge).`,
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
  'certificate-leak': (p) => `Lost: a leak was seen, ${p.s('where')}.`,
  'stop-unknown-section': 'This section is not known in this job.',
  'stop-test-running': 'A test is already running on this section. End it first.',
  'stop-section-state': (p) => `The section is ${p.s('state')}. Nothing is cut or opened there.`,
  'note-after-cut-out': (p) => `${p.s('who')} cut this joint out before. This entry is kept as a note.`,
  'flag-order': (p) => `${p.s('step')} was written before the step it needs. No credit until it is settled.`,
  'flag-unknown-life': 'Written for a life of this joint that had not begun. Kept, no credit.',
  'flag-unknown-target': 'Corrects an entry that is not here. Kept, no credit.',
  'flag-unknown-item': 'Names something that is not in this job. Kept, no credit.',
  'flag-future-reading': 'A reading from the future: the clock of its probe is wrong. Kept, not counted.',
  'flag-evidence':
    'A reading that came after the verdict would have moved it. The verdict stands; look again.',
}
