import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Press',
  steps: {
    insert: {
      does: '{depthMm, plural, =-1 {Measure the socket, mark its depth, look into the fitting, push in to the mark.} other {Mark {depthMm, number, length}, look into the fitting, push in to the mark.}}',
      look: 'Cut square and right through, deburred inside and out{layered, plural, =0 {} other {, rounded and chamfered}}. Seal there and seated, no dirt. No scratch, dent, paint run, rust.',
      mistake: 'Not pushed in to the mark, or pushed in tilted.',
      act: 'In to the mark',
      hint: 'mark stays visible at the edge',
    },
    press: {
      does: 'Press it. {tool, select, sling {Sling} other {Jaw}} for {size}, groove over the bead, square.',
      look: 'Tool supported, square to the pipe; the cycle runs to its end.',
      mistake: 'Breaking off the cycle, or pressing with another profile.',
      act: 'Pressed',
      hint: 'only when the cycle has ended',
    },
    look: {
      does: 'Indicator gone, mark still at the edge.',
      look: 'Ring or tab broken away or crimped; the mark right at the fitting. A tab that hangs is pulled off.',
      mistake: 'Counting it as pressed because it was assembled.',
      act: 'Ring gone, mark at the edge',
      hint: 'look, do not count',
    },
  },
  exceptions: {
    'seal-lifted': 'Seal lifted',
    'mark-not-reached': 'Mark not reached',
    'surface-bad': 'Pipe scratched or stamped',
    'cycle-broke': 'Cycle broke off',
    'wrong-jaw': 'Wrong jaw or profile',
  },
  clocks: {},
  faults: {
    'not-pressed': 'Never pressed',
    short: 'Not in to the mark',
    'wrong-jaw': 'Wrong jaw profile',
    'no-deburr': 'Not deburred: the seal was cut',
    askew: 'Pushed in askew: the seal rolled',
    'cycle-broken': 'Cycle broken off',
    'wrong-lubricant': 'Oil on the seal',
    scratched: 'Scratch along the pipe',
    snapped: 'Part cut and snapped',
  },
  unfixed: 'not pressed',
  differs: {
    'press-lubricant': {
      point: 'Lubricant on a press joint',
      a: 'Water or soap',
      b: 'Nothing',
      here: 'Water or soap at most; follow the maker.',
    },
  },
  says: {
    'name-press-end': 'press end',
    'field-press-profile': 'Profile of the jaw, by the maker',
    'field-press-indicator': 'Indicator',
    'field-press-edge': 'Depth mark',
    'field-tool-room': 'Room the tool needs to the wall',
    'tool-wheel-cutter': 'wheel cutter with the right wheel',
    'tool-deburrer': 'deburrer, inside and outside',
    'tool-calibrator': 'calibrator: rounds and chamfers',
    'tool-marker': 'depth gauge and marker',
    'tool-press-jaw': 'press tool with the jaw for {size}, in service date',
    'tool-press-sling': 'press tool with adapter and sling for {size}, in service date',
    'never-press-saw': 'oil-cooled saw',
    'never-press-grinder': 'grinding wheel or flame',
    'never-press-snap': 'part cut and snapped off',
    'never-press-oil': 'oil or grease',
    'caution-press-pinch':
      'Pinch and kick-back: hands clear of the jaw, tool square. Isolate it before changing jaws.',
    'caution-press-drop': 'The tool is heavy: hold it with both hands, nobody below.',
    'caution-press-air':
      'Air under pressure stores energy: the leak check stays at or below its limit, people back.',
    'press-short':
      'In by {depthMm, number, length}; {neededMm, number, length} are needed. Cut out and make again.',
    'press-too-close':
      'Only {mm, number, length} to the {to}; at least {neededMm, number, length} are needed.',
    'press-coating': {
      says: 'The coating is {mm, number, thickness} thick; {limitMm, number, thickness} is the most. Sand it down.',
      figures: { limitMm: 0.3 },
    },
    'press-stamped': 'Stamped or engraved pipe is not pressed, even ground off. Cut it away.',
    'press-lubricant': '{lubricant} is not put under a seal. Water or soapy water at most.',
    'press-mark-moved':
      'Pressed, but the mark is off the edge: it moved or was short. Cut out and make again.',
    'press-not-pressed': 'Not pressed, and not in to the mark. Cut out and make again.',
    'press-tab-there': 'The indicator is still there: a stuck tab, or not pressed. Look closely.',
    'press-depth-unknown':
      'No depth is known for this size: insertion was not judged. Load the maker\u2019s chart.',
    'press-depth-generic': 'Judged by a generic depth. Load the maker\u2019s chart or give depthRequiredMm.',
    'cause-press-not-in': 'Not pushed in to the mark.',
    'cause-press-jaw': 'Wrong or worn jaw: look at every joint made with it today.',
    'interrupted-press-insert': 'Assembled, not pressed. It stays on the list until it is pressed.',
    'interrupted-press-cycle': 'The cycle did not finish. This joint counts as not pressed.',
    'interrupted-press-look': 'Pressed, not looked at. Come back and look.',
    'test-press-leak-check':
      'First the low-pressure check at which an unpressed fitting leaks: air at most {airBar, number, pressure} or water at most {waterBar, number, pressure}.',
    'choice-press-drinking-steel': 'Carbon steel press is not for drinking water: it corrodes.',
    'choice-press-oil-epdm': 'Compressor oil destroys EPDM. Take fittings with a seal made for oil.',
    'choice-press-solder-first':
      'Solder beside a press joint first, press when it is cold: heat ruins the seal.',
    'choice-press-lubricant':
      'No oil, grease or silicone: they attack the seal. Water or soapy water at most.',
    'choice-press-store-dry': 'Carbon-steel fittings are stored dry: relative humidity at most 65 %.',
    'by-the-medium': 'By the medium.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
