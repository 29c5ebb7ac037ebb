import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Socket fusion',
  steps: {
    ready: {
      does: 'Cut square{layered, plural, =0 {} other {, peel to the stop, foil off}}, clean all, mark {depthMm, number, length}.',
      look: '{layered, plural, =0 {Dies of this size, clean; pipe and fitting wiped.} other {Peeled length = socket depth; no foil left. Stepped dies for layered pipe.}}',
      mistake: 'Layered pipe not peeled.',
      act: 'Clean, marked',
      hint: 'mark all round',
    },
    heat: {
      does: '{heatS, plural, =-1 {Fitting first, then pipe, both to depth. Air not read: no heating time.} other {Fitting first, then pipe, both to depth: heat {heatS, number, duration} from there.}}',
      look: {
        says: 'Tool {fromC, number, temperature} to {toC, number, temperature}. Straight on, no twist, both hands stay on.',
        figures: { fromC: 250, toC: 270 },
      },
      mistake: 'Counting before both are at full depth.',
      act: 'Both at depth: heat',
      hint: 'exact: neither shorter nor longer',
    },
    join: {
      does: 'Off straight, together within {changeoverS, number, duration}, to the mark.',
      look: 'No turning; set straight at once, at most {tiltDeg}°.',
      mistake: 'Pushing beyond the mark: the bore closes.',
      act: 'Joined: hold',
      hint: 'to the mark, not beyond',
    },
    look: {
      does: 'A double bead all round, bore open, axis straight.',
      look: 'Look into the bore where it can be seen.',
      mistake: 'Loading it while it is warm.',
      act: 'Double bead, straight',
      hint: 'no force until it is cool',
    },
  },
  exceptions: {
    'foil-left': 'Foil left over',
    'die-dirty': 'Die dirty',
    turned: 'Turned on the die',
    'lost-hold': 'Slipped off',
    'too-slow': 'Too slow',
    twisted: 'Twisted',
    'cannot-see': 'Cannot see all of it',
  },
  clocks: {
    heat: { runs: 'heat', missed: 'Heated too long: cut off, new fitting.' },
    changeover: { runs: 'join', missed: 'Skin has formed: cut off, new fitting.' },
    fix: { runs: 'let go', missed: 'Let go early: look for tilt.' },
    cool: { runs: 'load', missed: 'Loaded while warm: look at it again.' },
  },
  faults: {
    'too-long': 'Heated too long',
    'too-short': 'Heated too short',
    'tool-cold': 'Tool cold',
    'too-deep': 'Pushed too deep',
    'slow-change': 'Changeover slow',
    twisted: 'Twisted',
    'set-late': 'Set straight late',
    'not-peeled': 'Not peeled',
    'loaded-warm': 'Loaded while warm',
  },
  differs: {
    'fusion-tool': {
      point: 'Temperature of the tool',
      a: '260 ± 10 °C',
      b: '240 to 280 °C',
      here: '250 to 270 °C; the wider band is warned.',
    },
  },
  says: {
    'name-fusion-socket': 'fusion socket',
    'field-tool-temperature': 'Tool',
    'field-fusion-bead': 'Bead',
    'field-tilt': 'Tilt, degrees',
    'tool-fusion-cutter': 'shears to d32, wheel cutter above',
    'tool-peeler': 'peeler of this size',
    'tool-fusion-dies': 'tool with the pair of dies, pyrometer',
    'caution-fusion-burn': {
      says: 'The tool is at {limitC, number, temperature}: gloves, stand, cable out of the way.',
      figures: { limitC: 260 },
    },
    'caution-fusion-fumes': 'Overheated plastic fumes: fresh air.',
    'fusion-tool-off': {
      says: 'The tool was at {temperatureC, number, temperature}: outside {fromC, number, temperature} to {toC, number, temperature}. Cut out and make again.',
      figures: { fromC: 240, toC: 280 },
    },
    'fusion-tool-wide': {
      says: 'The tool was at {temperatureC, number, temperature}: outside {fromC, number, temperature} to {toC, number, temperature}, which only some accept.',
      figures: { fromC: 250, toC: 270 },
    },
    'fusion-bead-broken': 'The bead is broken: too cold or too slow. Cut out and make again.',
    'fusion-bore-closed': 'Over-inserted: the bore is closed. Cut out and make again.',
    'fusion-tilted': 'Tilted by {deg, number, whole}°: more than 5°. Cut out and make again.',
    'fusion-cold-heat': {
      says: 'Below {limitC, number, temperature} heating is longer: half again is our figure. Follow the maker.',
      figures: { limitC: 5 },
    },
    'cause-fusion-too-deep': 'Pushed beyond the mark, or heated too long.',
    'cause-fusion-cold': 'Tool too cold, heated too short, or too slow.',
    'interrupted-fusion-ready': 'Nothing runs out. Wipe again before heating.',
    'interrupted-fusion-hot': 'Cut off what was heated; new fitting.',
    'interrupted-fusion-joined': 'Leave it alone until it is cool.',
    'test-fusion-hour': 'Test at least 1 h after the last joint has cooled.',
    'choice-fusion-peel': 'Layered pipe is peeled first: aluminium does not fuse.',
    'choice-fusion-cold': {
      says: 'Below {limitC, number, temperature}: heat longer, shield from wind, try one on scrap.',
      figures: { limitC: 5 },
    },
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
