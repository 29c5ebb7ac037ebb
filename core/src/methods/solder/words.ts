import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Solder',
  steps: {
    fit: {
      does: 'Clean tube and cup bright, dry fit to the stop.{part, select, union { Nut on the tailpiece first.} ball_valve { Drain the ball, then fully closed or fully open by its sheet.} gate_valve { Gate valve open.} other {}}',
      look: 'Square, deburred both ways, round{depthMm, plural, =-1 {} other {; cup {depthMm, number, length} deep}}. Not so tight that flux is scraped off, not loose.',
      mistake: 'Union nut forgotten, or metal taken off while cleaning.',
      act: 'Clean, fits',
      hint: 'bright all round',
    },
    flux: {
      does: 'Flux tube and cup thin, then assemble.',
      look: 'All covered, thin, none pushed into the bore.',
      mistake: 'Leaving it assembled and fluxed for hours.',
      act: 'Fluxed, assembled',
      hint: 'solder it soon',
    },
    heat: {
      does: 'Tube first, then the base of the cup; solder opposite the flame{wireMm, plural, =-1 {} other {, about {wireMm, number, length} of wire}}.',
      look: 'Flux bubbles and smokes; solder melts on the joint, not in the flame. Wipe while liquid.',
      mistake: 'Flame into the gap: the flux burns black.',
      act: 'Soldered: let it cool',
      hint: 'do not move it, no quench',
    },
    look: {
      does: 'Look: a bright ring all round.',
      look: 'No gap, no black, no drop on a union\u2019s thread.',
      mistake: 'Tightening a union before it is cold.',
      act: 'Ring all round',
      hint: 'touch it: cool',
    },
  },
  exceptions: {
    'nut-forgotten': 'Union nut forgotten: sweat off',
    'too-loose': 'Too loose',
    'water-in-line': 'Water in the line',
    'put-down': 'Put it down',
    'flux-burnt': 'Flux burnt black',
    'moved-while-soft': 'Moved while soft',
    drips: 'Drips to melt off',
  },
  clocks: {
    cool: { runs: 'load', missed: 'Loaded while hot: look at it again when cold.' },
    'fire-watch': { runs: 'leave the fire watch', missed: 'Go back and look for smoulder.' },
  },
  faults: {
    'one-side': 'Heated from one side',
    'no-flux': 'No flux',
    'burnt-flux': 'Flux burnt',
    'union-nut': 'Union nut forgotten',
    moved: 'Moved while soft',
  },
  differs: {
    'ball-valve': {
      point: 'Ball valve while soldering',
      a: 'Fully closed',
      b: 'Fully open',
      here: 'Its sheet decides, else it is asked; part-open stops.',
    },
    coverage: {
      point: 'Coverage of solder',
      a: 'Full',
      b: '70 % and no void over 30 %',
      here: '70 and 30 pass; full is good.',
    },
  },
  says: {
    'name-solder-cup': 'solder cup',
    'field-union-nut': 'Union\u2019s nut on the tailpiece',
    'unionNut-on': 'It is on',
    'unionNut-other-side': 'Nut comes on the other side',
    'unionNut-forgotten': 'Not yet',
    'solder-nut-forgotten': 'The union\u2019s nut is not on. Sweat it off, put the nut on, begin again.',
    'field-coverage': 'Coverage, where it was looked through or peeled',
    'solder-coverage':
      '{coveragePct, number, whole} % covered, largest void {largestVoidPct, number, whole} %: under 70 %, over 30 %, or a path through. Cut out and make again.',
    'field-solder-part': 'What is soldered',
    'field-valve-position': 'Valve stands',
    'field-solder-ring': 'Ring of solder',
    'tool-solder-cloth': 'abrasive cloth, 120 grit or coarser, or brush',
    'tool-flux': 'water-flushable flux (ASTM B813) and brush',
    'tool-torch': 'torch, heat shield',
    'tool-extinguisher': 'extinguisher within reach',
    'never-solder-metal-off': 'file or anything that takes metal off',
    'never-solder-into-gap': 'flame into the gap',
    'never-solder-quench': 'water to cool it',
    'never-toothed-wrench': 'toothed pipe wrench',
    'caution-solder-fire': 'Fire: permit, extinguisher, heat shield; a fire watch after the last flame.',
    'caution-solder-steam': 'Water left in the line turns to steam: drain and open it.',
    'caution-solder-flux': 'Flux burns skin and eyes; its smoke is not breathed.',
    'caution-solder-burn': 'Hot copper looks like cold copper: gloves.',
    'solder-part-open': 'Part-open burns the seat along its edge. The valve is changed.',
    'solder-gaps': 'The ring has gaps. Take it apart, clean, make again.',
    'solder-black': 'Burnt flux. Take it apart, clean, make again.',
    'cause-solder-one-side': 'Uneven heat: one side stayed cold.',
    'cause-solder-flux': 'Flux not active, or tube and cup do not pair.',
    'cause-solder-burnt': 'Flux burnt: too hot, or flame into the gap.',
    'cause-solder-base-cold': 'The base of the cup stayed cold.',
    'interrupted-solder-clean': 'Clean and dry. Clean it again if it waits for hours.',
    'interrupted-solder-flux': 'Fluxed: solder it soon, or take apart and clean.',
    'interrupted-solder-wet': 'Wet: take apart, dry, clean, flux again.',
    'interrupted-solder-hot': 'Leave it alone until it is cool. The fire watch goes on.',
    'test-solder-cool': 'No pressure before it is cool: 10 to 20 min.',
    'choice-solder-lead': 'Lead is not put where drinking water runs. Take lead-free solder.',
    'choice-solder-permit': 'No flame or hot tool without the hot-work permit.',
    'choice-solder-beside-press':
      'A press joint stands beside it: heat ruins its seal. Keep distance, cool it, or solder first.',
    'choice-solder-valve-sheet':
      'A ball valve is soldered fully closed or fully open: its sheet decides. Part-open is always wrong.',
    'choice-solder-gate-open': 'A gate valve is soldered open.',
    'choice-solder-union-nut': 'The union\u2019s nut goes on before the flame.',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
