import type { Wordings } from './words.js'

/** Findings, refusals and reasons why a figure is missing. Cause, then action. */
export const FINDINGS: Wordings = {
  'size-unreadable': (p) =>
    `"${p.s('size')}" is not a size as written here. Write it like ${p.s('suggestion')}.`,
  'size-not-made': (p) => `${p.s('material')} is not made in ${p.s('size')} for this joint.`,
  'material-not-joined': (p) => `${p.s('method')} does not join ${p.s('material')}.`,
  'family-not-joined': (p) => `${p.s('size')} is not a size of ${p.s('material')} for this joint.`,
  'school-not-joined': (p) =>
    `${p.s('material')} ${p.s('size')} is not joined by the ${p.s('school')} school.`,
  'schedule-needed': (p) => `${p.s('size')} needs its schedule, "40" or "80", or the measured socket depth.`,
  'socket-depth-unknown': (p) =>
    `No socket depth is known for ${p.s('size')}. Measure the socket and give its depth.`,
  'not-a-positive-number': (p) => `${p.s('field')} must be a number above zero.`,
  'not-a-date': (p) => `"${p.s('text')}" is not a date. Write it like 2026-11-23.`,
  'not-a-tin-code': (p) => `"${p.s('text')}" does not begin with five figures (year and day).`,
  'no-such-day': (p) => `${p.s('year')} has no day ${p.s('ordinal')}.`,
  missing: (p) => `${p.s('field')} is missing.`,
  'school-unknown': 'Choose a school: inch or metric.',
  'socket-too-deep': 'No socket is that deep. Measure again.',
  'no-cure-abs-inch': 'No cure figure for ABS in the inch school. Load the maker\u2019s chart.',
  'no-cure-size': (p) =>
    `No figure for ${p.s('size')} in this rule. Load the maker\u2019s chart or choose another rule.`,
  'no-cure-metric': (p) => `No metric cure figure for ${p.s('material')}. Load the maker\u2019s chart.`,
  'no-cure-pressure': (p) => `No figure for ${p.bar('bar')} in this rule: it ends lower.`,
  'no-cure-temperature':
    'No figure: the wall was outside the temperatures of this rule. Load the maker\u2019s chart or warm the pipe.',
  'no-open-time': (p) => `No open time is known for ${p.s('material')}. Follow the tin.`,
  'no-primer-used': 'No primer is used here.',
  'no-set-time': (p) =>
    `No set time is known for ${p.s('size')} at these temperatures. Leave it in the puller and follow the maker.`,
  'no-temperature': 'No temperature is known here. Type in a reading first.',
  'not-home': 'Not home yet.',
  'quantity-unknown': 'How much depends on the tin.',
  'assemble-while-wet': 'No figure in the inch school: assemble while the cement is wet.',
  condensation: (p) =>
    `Pipe wall is ${p.n('aboveK') < 0 ? 'below' : 'at'} the dew point (${p.c('dewC')}). Dry it and wait, or warm it, before cementing.`,
  'too-cold': (p) =>
    `It is ${p.c('temperatureC')}; this cement is good down to ${p.c('limitC')}. Warm the place or fetch a cement rated for it.`,
  'too-hot': (p) => `It is ${p.c('temperatureC')}; cementing ends at ${p.c('limitC')}. Shade it or wait.`,
  'cold-needs-provision': (p) =>
    `Below ${p.c('limitC')} PVC-U is cemented only with provision against condensation and ice.`,
  'no-temperature-limit': (p) =>
    `No temperature limits are known for metric ${p.s('material')}. Follow the tin.`,
  'wrong-cement': (p) =>
    `This tin is ${p.s('cement')} cement; the pipe is ${p.s('material')}. Fetch the right tin.`,
  'transition-under-pressure':
    'Transition cement joins PVC to ABS without pressure only. Fetch the right tin.',
  'transition-one-joint':
    'Transition cement is for one PVC-to-ABS connection, where the local code allows it.',
  'one-step-if-code-permits': 'One-step cement goes without primer only where the local code permits it.',
  'tin-expired': 'This tin is past its date. Fetch another.',
  'section-live': 'This section is not drained. Nobody cuts or opens it.',
  'conditions-missing': 'Air, wall or humidity is not known. Type in a reading before you start.',
  'window-missed': (p) =>
    `The ${p.s('clock') === 'primer' ? 'primer' : 'cement'} was ${p.dur('lateS')} past its time.`,
  'window-not-judged':
    'Written down afterwards, between two times: whether it was home while the cement was open can’t be told.',
  'window-asked': (p) => `Tapped ${p.dur('lateS')} after the limit. When was it home?`,
  'let-go-early': 'Let go before the hold was over: the taper may have pushed it back.',
  'too-loose': 'The pipe is loose in the socket. Take another fitting.',
  disturbed: (p) =>
    `Disturbed while it was setting (${p.s('kind')}). Look again after cure, or judge it as failed.`,
  'mark-short': (p) =>
    `The mark stands ${p.mm('readingMm')} off, ${p.mm('shortMm')} short of home. Cut out and make again.`,
  'mark-over': (p) =>
    `The mark stands ${p.mm('overMm')} past its offset: the socket is deeper than figured. Measure the socket.`,
  'bead-broken': 'The bead is broken: too little cement. Cut out and make again.',
  'no-gas-on-plastic': 'Gas test on PVC, CPVC or ABS: stopped. Test with water.',
  'caution-vapour': 'Solvent vapour: open a door or a fan, no flame, no spark, no smoking.',
  'caution-skin': 'Gloves that stand solvent, goggles.',
  'caution-trapped-vapour': 'Leave ends and valves open: vapour shut in can ignite or attack the pipe.',
  'cause-let-go-early': 'Let go before the hold was over.',
  'cause-not-to-stop': 'Not pushed to the stop.',
  'cause-no-chamfer': 'No chamfer: the pipe shaved the cement off the socket.',
  'cause-too-little-cement': 'Too little cement.',
  'cause-small-applicator': 'Applicator narrower than half the pipe.',
  'cause-cement-skinned': 'The cement had skinned over.',
  'cause-wrong-fitting': 'Fitting and pipe do not belong together.',
  'interrupted-after-start': 'Nothing has begun. Come back when you can.',
  'interrupted-after-fit': 'Marked and dry. Nothing runs out.',
  'inner-joint-first': (p) =>
    `The inner joint ${p.s('joint')} comes first. Both at once only with everything prepared beforehand.`,
  'interrupted-after-rig': 'Nothing is wet yet. Nothing runs out.',
  'interrupted-after-prime': 'Primer dries. After its time prime again, any number of times.',
  'interrupted-after-cement':
    'Push home before the cement closes. Skinned: coat again at once. Hard: cut off, new fitting.',
  'interrupted-after-home':
    'Let go early, the taper may push it back. Read the check mark now; moved means cut out.',
  'interrupted-after-judge': 'Made and judged. Leave it alone until it is set.',
  'interrupted-wet': 'Wet: dry, clean, start again at cleaning.',
  'fault-no-chamfer': 'No chamfer',
  'fault-dried-cement': 'Cement dried before push-home',
  'fault-let-go-early': 'Let go early',
  'too-early-to-press': 'The joint is not ready for this pressure.',
}
