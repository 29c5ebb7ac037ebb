import { psiToBar as psi } from '../../units/units.js'
import type { Wordings } from '../words.js'

/** Press joints: steps, looks, mistakes, choices. */
export const PRESS: Wordings = {
  'field-press-profile': 'Profile of the jaw, by the maker',
  'method-press': 'Press',
  'do-press-insert': (p) =>
    p.n('depthMm') >= 0
      ? `Mark ${p.mm('depthMm')}, look into the fitting, push in to the mark.`
      : 'Measure the socket, mark its depth, look into the fitting, push in to the mark.',
  'look-press-insert': (p) =>
    `Cut square and right through, deburred inside and out${p.n('layered') ? ', rounded and chamfered' : ''}. Seal there and seated, no dirt. No scratch, dent, paint run, rust.`,
  'mistake-press-insert': 'Not pushed in to the mark, or pushed in tilted.',
  'act-press-insert': 'In to the mark',
  'hint-press-insert': 'mark stays visible at the edge',
  'ex-press-seal-lifted': 'Seal lifted',
  'ex-press-mark-not-reached': 'Mark not reached',
  'ex-press-surface-bad': 'Pipe scratched or stamped',
  'do-press-press': (p) =>
    `Press it. ${p.s('tool') === 'sling' ? 'Sling' : 'Jaw'} for ${p.s('size')}, groove over the bead, square.`,
  'look-press-press': 'Tool supported, square to the pipe; the cycle runs to its end.',
  'mistake-press-press': 'Breaking off the cycle, or pressing with another profile.',
  'act-press-press': 'Pressed',
  'hint-press-press': 'only when the cycle has ended',
  'ex-press-cycle-broke': 'Cycle broke off',
  'ex-press-wrong-jaw': 'Wrong jaw or profile',
  'do-press-look': 'Indicator gone, mark still at the edge.',
  'look-press-look':
    'Ring or tab broken away or crimped; the mark right at the fitting. A tab that hangs is pulled off.',
  'mistake-press-look': 'Counting it as pressed because it was assembled.',
  'act-press-look': 'Ring gone, mark at the edge',
  'hint-press-look': 'look, do not count',
  'field-press-indicator': 'Indicator',
  'field-press-edge': 'Depth mark',
  'field-tool-room': 'Room the tool needs to the wall',
  'tool-wheel-cutter': 'wheel cutter with the right wheel',
  'tool-deburrer': 'deburrer, inside and outside',
  'tool-calibrator': 'calibrator: rounds and chamfers',
  'tool-marker': 'depth gauge and marker',
  'tool-press-jaw': (p) => `press tool with the jaw for ${p.s('size')}, in service date`,
  'tool-press-sling': (p) => `press tool with adapter and sling for ${p.s('size')}, in service date`,
  'never-press-saw': 'oil-cooled saw',
  'never-press-grinder': 'grinding wheel or flame',
  'never-press-snap': 'part cut and snapped off',
  'never-press-oil': 'oil or grease',
  'caution-press-pinch':
    'Pinch and kick-back: hands clear of the jaw, tool square. Isolate it before changing jaws.',
  'caution-press-drop': 'The tool is heavy: hold it with both hands, nobody below.',
  'caution-press-air':
    'Air under pressure stores energy: the leak check stays at or below its limit, people back.',
  'press-short': (p) => `In by ${p.mm('depthMm')}; ${p.mm('neededMm')} are needed. Cut out and make again.`,
  'press-too-close': (p) =>
    `Only ${p.mm('mm')} to the ${p.s('to')}; at least ${p.mm('neededMm')} are needed.`,
  'press-coating': (p, own) =>
    `The coating is ${p.gap('mm')} thick; ${own.gap(0.3)} is the most. Sand it down.`,
  'press-stamped': 'Stamped or engraved pipe is not pressed, even ground off. Cut it away.',
  'press-lubricant': (p) => `${p.s('lubricant')} is not put under a seal. Water or soapy water at most.`,
  'press-mark-moved': 'Pressed, but the mark is off the edge: it moved or was short. Cut out and make again.',
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
  'test-press-leak-check': (p, own) =>
    `First the low-pressure check at which an unpressed fitting leaks: air at most ${own.bar(psi(p.n('air')))} or water at most ${own.bar(psi(p.n('water')))}.`,
  'choice-press-drinking-steel': 'Carbon steel press is not for drinking water: it corrodes.',
  'choice-press-oil-epdm': 'Compressor oil destroys EPDM. Take fittings with a seal made for oil.',
  'choice-press-solder-first':
    'Solder beside a press joint first, press when it is cold: heat ruins the seal.',
  'choice-press-lubricant': 'No oil, grease or silicone: they attack the seal. Water or soapy water at most.',
  'choice-press-store-dry': 'Carbon-steel fittings are stored dry: relative humidity at most 65 %.',
  'fault-press-not-pressed': 'Never pressed',
  'fault-press-short': 'Not in to the mark',
  'fault-press-wrong-jaw': 'Wrong jaw profile',
  'fault-press-no-deburr': 'Not deburred: the seal was cut',
  'by-the-medium': 'By the medium.',
}
