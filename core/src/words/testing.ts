import { psiToBar } from '../units/units.js'
import type { Wordings } from './words.js'

/** Test rules, ratings, the judgement of a test. */
export const TESTING: Wordings = {
  'stress-ratio-one': 'No ratio of stresses was given: 1 is used. It is more where the pipe works hot.',
  'stress-ratio-most': (p) => `The ratio of stresses counts no further than ${p.n('most')}.`,
  'working-unsaid': (_, own) =>
    `No working pressure was given: ${own.bar(psiToBar(200))} is right only to a working pressure of ${own.bar(psiToBar(150))}.`,
  'dry-other-figure': (p) =>
    `Some common practice says ${p.bar('bar')} and ${p.bar('dropBar')} lost for dry systems: the published figure is used.`,
  'pn-unsaid': (_, own) => `No PN was given: the test may not go above PN + ${own.bar(5)}.`,
  'dvs-unsure': 'Stages and times are from memory and not sure: check the supplement or ask the engineer.',
  'materials-unsaid': 'No material was named: whether gas may be used was not checked.',
  'gas-on-plastic': 'No gas on PVC, CPVC or ABS: it is brittle and bursts into splinters. Test with water.',
  'air-not-on-plastic': 'This rule allows no air on plastic pipe. Test with water.',
  'gas-energy':
    'Gas under pressure holds much energy: keep people back by the distance, fit a relief valve, raise it in steps.',
  'en806-od-unsaid': (_, own) =>
    `Above ${own.mm(63)} outside diameter these plastics want procedure B or C: give the largest diameter.`,
  'en806-b-or-c': (p) =>
    `Slowly stretching plastic above ${p.mm('od')} outside diameter wants procedure B or C, not A.`,
  'en806-wait': (_, own) =>
    `Where water and air differ by more than ${own.k(10)}, wait 30 min after filling before the test.`,
  'derating-unknown': (p) =>
    `No service factor is known for ${p.s('material')}. Load the maker\u2019s chart.`,
  'derating-too-hot': (p) => `${p.s('material')} has no rating at ${p.c('c')} by this table.`,
  'no-threads': 'Only Sch 80 pipe is threaded: on any other wall there is no rating.',
  'verdict-few': 'Inconclusive: fewer than three readings. Read the gauge again.',
  'verdict-short': (p) => `${p.dur('seenS')} of ${p.dur('holdS')} seen. Go on to the end of the hold.`,
  'certificate-short': (p) =>
    `Inconclusive: ended when ${p.dur('seenS')} of ${p.dur('holdS')} were seen. Test again.`,
  'verdict-lacking': (p) =>
    `Inconclusive: ${p.s('what')} is not known, and temperature may do more than a quarter of what is allowed.`,
  'verdict-stuck':
    'Inconclusive: the sensor has shown one figure all the time while the temperature moved. Look at it.',
  'verdict-not-as-said':
    'Inconclusive: the pressure does not go with the temperature as it must. Look at where the sensor sits, the air let in, and the pipe that was named.',
  'verdict-temperature': 'Inconclusive: the change of temperature hides the answer.',
  'verdict-air':
    'Inconclusive: how much air is shut in hides the answer. Vent at the high points, or measure it.',
  'verdict-creep': 'Inconclusive: the pipe itself still gives way under the pressure.',
  'verdict-resolution': 'Inconclusive: the gauge is too coarse for what is allowed.',
  'verdict-sensor': 'Inconclusive: the gauge may drift by as much as the answer wants to be known.',
  'verdict-gap': 'Inconclusive: more than a quarter of the hold has no reading. Test again.',
  'verdict-outlier':
    'Inconclusive: more than one reading in twenty stands apart from those beside it. Look at the gauge and its wiring.',
  'verdict-temperature-jump':
    'Inconclusive: the temperature jumps as no pipe can. Look at where its sensor sits.',
  'verdict-pressure-restored':
    'Inconclusive: the pressure rose with nothing to raise it. Somebody pumped, or something warms the gauge. Shut the pump off and test again.',
  'reading-outlier': (p) =>
    p.n('count') === 1
      ? 'One reading stands apart from those beside it and was set aside.'
      : `${p.n('count')} readings stand apart from those beside them and were set aside.`,
  'reading-temperature-jump': (p) =>
    p.n('count') === 1
      ? 'One temperature jumps as no pipe can and was set aside.'
      : `${p.n('count')} temperatures jump as no pipe can and were set aside.`,
  'reading-pressure-restored': 'The pressure rose with nothing to raise it: somebody pumped.',
  'verdict-noise': 'Inconclusive: the readings scatter too much.',
  'verdict-held': (p) =>
    `Held: ${p.n('dropBar') > 0 ? `lost ${p.fine('dropBar')}` : 'no loss'} ± ${p.fine('doubtBar')}, ${p.fine('allowedBar')} allowed.`,
  'logger-nothing-yet': (p) =>
    `${p.s('name')} has sent nothing yet. Look at it, or type what the gauge shows.`,
  'logger-stopped': (p) =>
    `${p.s('name')} has sent nothing for ${p.dur('forS')}. A gap longer than ${p.dur('gapS')} makes the test inconclusive: type what the gauge shows.`,
  'logger-refused': (p) => `${p.s('name')} is not there: its address takes no connection.`,
  'logger-no-answer': (p) => `${p.s('name')} does not answer in time.`,
  'logger-short-answer': (p) => `${p.s('name')} gives fewer registers than its kind of number fills.`,
  'logger-no-number': (p) => `${p.s('name')} gives something that is no number.`,
  'logger-not-allowed': (p) => `${p.s('name')} sits on a host that this server may not speak to.`,
  'logger-other': (p) => `${p.s('name')} can\u2019t be read: it answers with a fault of its own.`,
  'test-fell': (p) =>
    `${p.n('dropBar') > 0 ? `fell ${p.fine('dropBar')}` : 'did not fall'} in ${p.dur('holdS')}, ${p.fine('allowedBar')} allowed`,
  'verdict-lost': (p) =>
    `Lost ${p.fine('dropBar')} ± ${p.fine('doubtBar')}: more than ${p.fine('allowedBar')} allowed.`,
  'gate-neighbours': (p) =>
    p.n('open')
      ? `Behind the same valve: ${p.s('list')}. Say what they are first.`
      : `Behind the same valve: ${p.s('list')}.`,
  'gate-leak-check': (p) =>
    p.n('open')
      ? 'The low-pressure look for joints that are not fixed comes first.'
      : 'The low-pressure look found every joint fixed.',
  'stop-check-too-low': (p) =>
    `At the highest fitting there would be ${p.bar('bar')}: below ${p.bar('least')} a joint that is not fixed may hold.`,
  'stop-gauge-late': (p) => `The gauge is out of date since ${p.s('on')}.`,
  'stop-gauge-range': (p) =>
    `The gauge goes to ${p.bar('top')}: its range should lie between ${p.bar('from')} and ${p.bar('to')}.`,
  'suspect-marginal': 'judged with a finding, or not judged',
  'suspect-memory': 'written down from memory',
  'suspect-remade': 'made again after it was cut out',
  'suspect-untested': 'never under test before',
  'suspect-late': 'among those made last',
  'flag-work-since': (p) => `${p.s('joint')} was worked on after this test: it is not pressure tested.`,
  'flag-cold-since': (p) =>
    `By readings that came later ${p.s('joint')} was not ready for this pressure when the test began. The verdict stands; look again.`,
  'after-relieve': 'Let the pressure off, slowly, and say so.',
  'after-relieve-caution': 'Never open under pressure.',
  'after-keep-full': 'Keep it full of water until use.',
  'after-frost-caution': 'Where frost may come, drain it.',
  'after-drain': 'Drain it.',
  'after-dry': 'Dry it: carbon steel left wet rusts.',
  'after-vent': 'Let the gas out where nobody stands.',
  'after-vent-caution': 'Nitrogen takes the air out of a closed room.',
  'after-rinse': 'Rinse or purge: solvent vapour is still in the pipe.',
  'after-vapour-caution': 'Solvent vapour burns: no flame, no spark at the open ends.',
  'after-flush': 'Flush until it runs clear; strainers out.',
  'after-disinfect': 'Disinfect if it carries drinking water, as the local code says; then rinse.',
  'after-chloride-caution': 'Leave no chloride on stainless or carbon steel.',
  'cover-not-proved': (p) => `Not yet: ${p.s('section')} is not proved.`,
  'cover-hold': (p) => `Not yet: ${p.s('name')} waits for ${p.s('who')}.`,
  'cover-may': (p) => `${p.s('section')} is proved, and nobody asked to see it first. It may be covered up.`,
  'test-over-weakest': (p) =>
    `${p.fine('bar')} was read at ${p.s('at')}: ${p.s('name')} may take ${p.fine('limitBar')} at the gauge. Let the pressure off before anybody goes near.`,
  'flag-above-weakest': (p) =>
    `${p.fine('bar')} was read during the test, above what ${p.s('name')} may take: ${p.fine('limitBar')} at the gauge.`,
  'work-full': (p) => `${p.s('section')} is full. Drain it before anything on it is opened.`,
  'work-live': (p) => `${p.s('section')} is ${p.s('state')}. Nothing is cut or opened there.`,
  'work-live-near': (p) =>
    `${p.s('section')}, behind the same valve, is ${p.s('state')}. Nothing is cut or opened here.`,
  'log-many': (p) => `More than ${p.n('most')} rows: split the file.`,
  'log-time': (p) => `“${p.s('text')}” is no date and time. Write 2026-11-26 14:00:05, or with its offset.`,
  'log-backwards': (p) => `“${p.s('text')}”: time runs backwards here, or stands still.`,
  'log-pressure': (p) => `“${p.s('text')}” is no pressure.`,
  'log-pressure-range': (p) => `“${p.s('text')}” is out of range. Is the unit right?`,
  'log-temperature': (p) => `“${p.s('text')}” is no temperature of a pipe. Is the unit right?`,
  'log-empty': 'There are no rows in this file.',
  'plan-says': (p) =>
    p.n('holdS') ? `${p.fine('bar')}, held ${p.dur('holdS')}.` : `${p.fine('bar')} at most, for a look.`,
  'mostly-leak': 'What fell is mostly a leak.',
  'mostly-temperature': 'What moved the pressure is mostly the temperature.',
}
