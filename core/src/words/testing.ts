import { psiToBar } from '../units/units.js'
import type { CodesOf, Wordings } from '../sources/wording.js'

/** Test rules, ratings, the judgement of a test. */
export const TESTING = {
  'stress-ratio-one': 'No ratio of stresses was given: 1 is used. It is more where the pipe works hot.',
  'stress-ratio-most': 'The ratio of stresses counts no further than {most}.',
  'working-unsaid': {
    says: 'No working pressure was given: {fromBar, number, pressure} is right only to a working pressure of {toBar, number, pressure}.',
    figures: { fromBar: psiToBar(200), toBar: psiToBar(150) },
  },
  'dry-other-figure':
    'Some common practice says {bar, number, pressure} and {dropBar, number, pressure} lost for dry systems: the published figure is used.',
  'pn-unsaid': {
    says: 'No PN was given: the test may not go above PN + {limitBar, number, pressure}.',
    figures: { limitBar: 5 },
  },
  'dvs-unsure': 'Stages and times are from memory and not sure: check the supplement or ask the engineer.',
  'materials-unsaid': 'No material was named: whether gas may be used was not checked.',
  'gas-on-plastic': 'No gas on PVC, CPVC or ABS: it is brittle and bursts into splinters. Test with water.',
  'air-not-on-plastic': 'This rule allows no air on plastic pipe. Test with water.',
  'gas-energy':
    'Gas under pressure holds much energy: keep people back by the distance, fit a relief valve, raise it in steps.',
  'en806-od-unsaid': {
    says: 'Above {limitMm, number, length} outside diameter these plastics want procedure B or C: give the largest diameter.',
    figures: { limitMm: 63 },
  },
  'en806-b-or-c':
    'Slowly stretching plastic above {od, number, length} outside diameter wants procedure B or C, not A.',
  'en806-wait': {
    says: 'Where water and air differ by more than {limitK, number, warmer}, wait 30 min after filling before the test.',
    figures: { limitK: 10 },
  },
  'derating-unknown': 'No service factor is known for {material}. Load the maker\u2019s chart.',
  'derating-too-hot': '{material} has no rating at {c, number, temperature} by this table.',
  'no-threads': 'Only Sch 80 pipe is threaded: on any other wall there is no rating.',
  'verdict-few': 'Inconclusive: fewer than three readings. Read the gauge again.',
  'verdict-short':
    '{seenS, number, duration} of {holdS, number, duration} seen. Go on to the end of the hold.',
  'certificate-short':
    'Inconclusive: ended when {seenS, number, duration} of {holdS, number, duration} were seen. Test again.',
  'verdict-lacking':
    'Inconclusive: {what, select, odMm {the outside diameter} wallMm {the wall} axial {whether the pipe may grow along} material {how this pipe gives way} temperature {the temperature} other {something}} is not known, and temperature may do more than a quarter of what is allowed.',
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
  'reading-outlier':
    '{count, plural, =1 {One reading stands apart from those beside it and was set aside.} other {{count} readings stand apart from those beside them and were set aside.}}',
  'reading-temperature-jump':
    '{count, plural, =1 {One temperature jumps as no pipe can and was set aside.} other {{count} temperatures jump as no pipe can and were set aside.}}',
  'reading-pressure-restored': 'The pressure rose with nothing to raise it: somebody pumped.',
  'verdict-noise': 'Inconclusive: the readings scatter too much.',
  'verdict-held':
    'Held: {dropBar, select, none {no loss} other {lost {dropBar, number, fine}}} ± {doubtBar, number, fine}, {allowedBar, number, fine} allowed.',
  'logger-nothing-yet': '{name} has sent nothing yet. Look at it, or type what the gauge shows.',
  'logger-stopped':
    '{name} has sent nothing for {forS, number, duration}. A gap longer than {gapS, number, duration} makes the test inconclusive: type what the gauge shows.',
  'logger-refused': '{name} is not there: its address takes no connection.',
  'logger-no-answer': '{name} does not answer in time.',
  'logger-short-answer': '{name} gives fewer registers than its kind of number fills.',
  'logger-no-number': '{name} gives something that is no number.',
  'logger-not-allowed': '{name} sits on a host that this server may not speak to.',
  'logger-other': '{name} can\u2019t be read: it answers with a fault of its own.',
  'test-fell':
    '{dropBar, select, none {did not fall} other {fell {dropBar, number, fine}}} in {holdS, number, duration}, {allowedBar, number, fine} allowed',
  'verdict-lost':
    'Lost {dropBar, number, fine} ± {doubtBar, number, fine}: more than {allowedBar, number, fine} allowed.',
  'gate-neighbours':
    '{open, plural, =0 {Behind the same valve: {list}.} other {Behind the same valve: {list}. Say what they are first.}}',
  'gate-leak-check':
    '{open, plural, =0 {The low-pressure look found every joint fixed.} other {The low-pressure look for joints that are not fixed comes first.}}',
  'stop-check-too-low':
    'At the highest fitting there would be {bar, number, pressure}: below {least, number, pressure} a joint that is not fixed may hold.',
  'stop-gauge-late': 'The gauge is out of date since {on}.',
  'stop-gauge-range':
    'The gauge goes to {top, number, pressure}: its range should lie between {from, number, pressure} and {to, number, pressure}.',
  'suspect-marginal': 'judged with a finding, or not judged',
  'suspect-memory': 'written down from memory',
  'suspect-remade': 'made again after it was cut out',
  'suspect-untested': 'never under test before',
  'suspect-late': 'among those made last',
  'flag-not-made': '{joint} was not made when this test was: it is not pressure tested.',
  'flag-work-since': '{joint} was worked on after this test: it is not pressure tested.',
  'flag-cold-since':
    'By readings that came later {joint} was not ready for this pressure when the test began. The verdict stands; look again.',
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
  'cover-not-proved': 'Not yet: {section} is not proved.',
  'cover-hold': 'Not yet: {name} waits for {who}.',
  'cover-may': '{section} is proved, and nobody asked to see it first. It may be covered up.',
  'test-over-weakest':
    '{bar, number, fine} was read at {at}: {name} may take {limitBar, number, fine} at the gauge. Let the pressure off before anybody goes near.',
  'flag-above-weakest':
    '{bar, number, fine} was read during the test, above what {name} may take: {limitBar, number, fine} at the gauge.',
  'flag-gauge-wrong': 'It was read on {gauge}, which was found wrong: {says}. Whether it held is open.',
  'work-full': '{section} is full. Drain it before anything on it is opened.',
  'work-live': '{section} is {state}. Nothing is cut or opened there.',
  'work-live-near': '{section}, behind the same valve, is {state}. Nothing is cut or opened here.',
  'log-many': 'More than {most} rows: split the file.',
  'log-time': '“{text}” is no date and time. Write 2026-11-26 14:00:05, or with its offset.',
  'log-backwards': '“{text}”: time runs backwards here, or stands still.',
  'log-pressure': '“{text}” is no pressure.',
  'log-pressure-range': '“{text}” is out of range. Is the unit right?',
  'log-temperature': '“{text}” is no temperature of a pipe. Is the unit right?',
  'log-empty': 'There are no rows in this file.',
  'plan-says':
    '{holdS, plural, =0 {{bar, number, fine} at most, for a look.} other {{bar, number, fine}, held {holdS, number, duration}.}}',
  'mostly-leak': 'What fell is mostly a leak.',
  'mostly-temperature': 'What moved the pressure is mostly the temperature.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof TESTING> {}
}
