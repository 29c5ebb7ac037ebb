import type { CodesOf } from '../../sources/wording.js'
import { fToC } from '../../units/units.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a solvent-cemented joint: its steps differ by school, so each text stands by its own code. */
export const WORDS = {
  name: 'Solvent cement',
  steps: {},
  exceptions: {},
  clocks: {},
  faults: {},
  differs: {
    insertion: {
      point: 'Pushing home',
      a: 'With a quarter turn',
      b: 'Straight, no twist',
      here: 'Follows the job\u2019s school; pipe-in-pipe straight.',
    },
    coat: {
      point: 'Order of coats',
      a: 'Pipe, socket, pipe',
      b: 'Socket thin, then pipe',
      here: 'Follows the job\u2019s school.',
    },
    primer: {
      point: 'Primer',
      a: 'Primer on PVC and CPVC',
      b: 'Cleaner and gap-filling cement',
      here: 'Follows the job\u2019s school; ABS is never primed.',
    },
    hold: {
      point: 'Hold',
      a: '15 s',
      b: '30 s and more',
      here: 'Inch 30 s, 60 s cold or from 4 in, 3 min from 8 in; metric 30 s to d63, 60 s to d110, 3 min above.',
    },
    chamfer: {
      point: 'Chamfer',
      a: '3/32 in at 10 to 15°',
      b: '2 to 8 mm by size; 45° for pipe-in-pipe',
      here: 'Follows the job\u2019s school.',
    },
    'dry-fit': {
      point: 'Dry fit',
      a: 'Binds at 1/3 in',
      b: 'Binds between 1/3 and 2/3; metric sockets may slide home',
      here: 'By the kind of socket: tapered or near-parallel.',
    },
    brush: {
      point: 'Large brush',
      a: 'Natural brush, half the diameter',
      b: 'Swab or roller only',
      here: 'Applicator at least half the diameter; from 4 in up not a brush.',
    },
    'cure-form': {
      point: 'Inch cure table',
      a: 'Current handbook form',
      b: 'Older D2855-96 form',
      here: 'Current unless the job chooses the older one.',
    },
    cure: {
      point: 'Cure',
      a: 'Table by size, temperature, pressure',
      b: '1 h a bar; 24 and 48 h',
      here: 'By the job\u2019s school; below 10 °C the stricter of the two.',
    },
    crew: {
      point: 'Two people from',
      a: 'About 6 in',
      b: 'Above d75 ABS, above d90 PVC-U',
      here: 'Follows the job\u2019s school.',
    },
  },
  says: {
    'field-check-offset': 'Check mark stands off the face by',
    'field-check-reading': 'Socket face to check mark',
    'field-bead': 'Bead',
    'bead-all-round': 'bead all round',
    'bead-broken-short': 'bead broken',
    'do-fit-metric':
      '{depthMm, plural, =-1 {Measure the socket, dry fit, then mark its depth.} other {Dry fit, then mark {depthMm, number, figure} and {checkMm, number, figure}.}}',
    'do-fit-inch':
      '{depthMm, plural, =-1 {Measure the socket, dry fit, then mark its depth.} other {Dry fit, then mark {depthMm, number, length} and {checkMm, number, length}.}}',
    'look-fit-metric':
      'Chamfer {chamferMinMm, number, length} to {chamferMaxMm, number, length}. The pipe may slide to the stop, without wobble.',
    'look-fit-inch': {
      says: '{depthMm, plural, =-1 {Should begin to bind between 1/3 and 2/3 of the socket. Chamfer {toMm, number, small}.} other {Should begin to bind between {meetsFromMm, number, length} and {meetsToMm, number, length}. Chamfer {fromMm, number, small}.}}',
      figures: { toMm: 2.38125, fromMm: 2.38125 },
    },
    'mistake-fit': 'No chamfer: the pipe shaves the cement off the socket.',
    'act-fit': 'Fits, marked',
    'hint-fit': 'both marks drawn round',
    'do-rig': 'Set the puller, ropes slack. Tins and applicators to hand, everybody in place.',
    'look-rig': 'The clamps grip without marking the pipe, and the pull is in line with it.',
    'mistake-rig': 'Cement on, and then the puller is looked for.',
    'act-rig': 'Puller set, everybody in place',
    'hint-rig': 'tried dry, to the depth mark and back',
    'ex-slips': 'Clamp slips',
    'tool-pipe-wrap': 'pipe wrap, to mark the cut square',
    'tool-large-saw': 'power saw, used only by those trained for it; file or power beveller',
    'never-side-grinder': 'a side grinder or disc for the chamfer',
    'never-brush-large': 'a brush at this size: it starves the joint. Swab or roller',
    'tool-puller': 'puller; it stays on until the joint is set',
    'caution-puller': 'Keep hands out from between pipe and fitting while the puller draws.',
    'do-prime': 'Prime socket, pipe, socket again.',
    'look-prime': 'Softened: a little scrapes off. No puddles, none running down the bore.',
    'mistake-prime': 'Primer left to dry before the cement.',
    'act-prime': 'Primer on',
    'hint-prime': 'starts 5 min',
    'do-cement-metric':
      'Clean both. Coat the socket thin, then the pipe full, along the axis{people, plural, =0 {} =1 {} other {, two people at once}}.',
    'do-cement-inch':
      'While the primer is wet: pipe full, socket medium, pipe again{people, plural, =0 {} =1 {} other {, two people at once}}.',
    'look-cement':
      'Applicator {applicatorMm, number, length} or wider. Even coat to the mark, no puddle in the socket.',
    'mistake-cement': 'Too little cement: most failures come from it.',
    'act-cement-metric': 'Cleaned, cement on',
    'act-cement-inch': 'Cement on',
    'hint-cement': 'tap at the first stroke',
    'do-home-metric': 'Push home. Straight, no twist.',
    'do-home-inch':
      'Push home{people, plural, =0 { with a quarter turn} =1 { with a quarter turn} other { straight, with the puller}}.',
    'look-home-metric': 'To the stop. Then hold it there.',
    'look-home-inch': 'To the stop. Then hold it there.',
    'mistake-home': 'Letting go: the taper pushes the pipe back out.',
    'act-home-metric': 'Home: start the hold',
    'act-home-inch': 'Home: start the hold',
    'hint-home': 'push, then tap with a knuckle',
    'do-judge': 'Check mark should stand {offsetMm, number, figure} off the face.',
    'look-judge': 'An even bead all round. Wipe the excess.',
    'mistake-judge': 'Reading the wiped depth mark instead of the check mark.',
    'act-judge': 'Write the reading',
    'hint-judge': 'right, short or long, then the number',
    'ex-too-loose': 'Too loose',
    'ex-wont-reach-third': 'Won\u2019t reach 1/3',
    'ex-put-down': 'Put it down',
    'ex-skinned': 'Cement skinned, still soft',
    'ex-hard': 'Cement hard',
    'ex-bead-broken': 'Bead broken',
    'ex-cannot-read': 'Cannot read it',
    'tool-cutter': 'cutter or saw with a guide',
    'tool-chamfer': 'chamfer tool',
    'tool-applicator': 'applicator {applicatorMm, number, length} or wider',
    'clock-primer': 'put cement on',
    'clock-open': 'push home',
    'clock-hold': 'let go',
    'clock-set': 'move',
    'primer-dried': 'Primer dried: prime again.',
    'cement-closed': 'Skinned and soft: coat again at once. Hard: cut off, new fitting.',
    'moved-before-set': 'Moved before it was set: look again after cure, or judge it as failed.',
    'open-by-temperature': 'by the hotter of air and wall, {temperatureC, number, temperature}',
    'gap-check': '{offsetMm, number, figure} off the face',
    'no-cure-abs-inch': 'No cure figure for ABS in the inch school. Load the maker\u2019s chart.',
    'no-cure-metric': 'No metric cure figure for {material}. Load the maker\u2019s chart.',
    'no-open-time': 'No open time is known for {material}. Follow the tin.',
    'no-primer-used': 'No primer is used here.',
    'assemble-while-wet': 'No figure in the inch school: assemble while the cement is wet.',
    condensation:
      'Pipe wall is {side} the dew point ({dewC, number, temperature}). Dry it and wait, or warm it, before cementing.',
    'too-cold':
      'It is {temperatureC, number, temperature}; this cement is good down to {limitC, number, temperature}. Warm the place or fetch a cement rated for it.',
    'too-hot':
      'It is {temperatureC, number, temperature}; cementing ends at {limitC, number, temperature}. Shade it or wait.',
    'cold-needs-provision':
      'Below {limitC, number, temperature} PVC-U is cemented only with provision against condensation and ice.',
    'no-temperature-limit': 'No temperature limits are known for metric {material}. Follow the tin.',
    'wrong-cement': 'This tin is {cement} cement; the pipe is {material}. Fetch the right tin.',
    'transition-under-pressure':
      'Transition cement joins PVC to ABS without pressure only. Fetch the right tin.',
    'transition-one-joint':
      'Transition cement is for one PVC-to-ABS connection, where the local code allows it.',
    'one-step-if-code-permits': 'One-step cement goes without primer only where the local code permits it.',
    'tin-expired': 'This tin is past its date. Fetch another.',
    'conditions-missing': 'Air, wall or humidity is not known. Type in a reading before you start.',
    'window-missed':
      'The {clock, select, primer {primer} other {cement}} was {lateS, number, duration} past its time.',
    'window-not-judged':
      'Written down afterwards, between two times: whether it was home while the cement was open can’t be told.',
    'window-asked': 'Tapped {lateS, number, duration} after the limit. When was it home?',
    'let-go-early': 'Let go before the hold was over: the taper may have pushed it back.',
    'too-loose': 'The pipe is loose in the socket. Take another fitting.',
    disturbed: 'Disturbed while it was setting ({kind}). Look again after cure, or judge it as failed.',
    'mark-short':
      'The mark stands {readingMm, number, length} off, {shortMm, number, length} short of home. Cut out and make again.',
    'mark-over':
      'The mark stands {overMm, number, length} past its offset: the socket is deeper than figured. Measure the socket.',
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
    'rule-cement-by-plastic':
      'Cement is made for one plastic: PVC cement for PVC, CPVC for CPVC, ABS for ABS.',
    'rule-no-primer-on-abs': 'ABS is never primed: a clear cleaner, sparingly, if dirty.',
    'rule-no-condensation': 'No condensation on the surfaces: the wall stays above the dew point.',
    'rule-temperature-limits': {
      says: 'Ordinary cement {fromC, number, temperature} to {toC, number, temperature}; metric ABS {absFromC, number, temperature} to {absToC, number, temperature}; PVC-U below {coldC, number, temperature} only protected.',
      figures: { fromC: fToC(40), toC: fToC(110), absFromC: 5, absToC: 40, coldC: 5 },
    },
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
