import type { CodesOf } from '../../sources/wording.js'
import type { MethodWords } from '../kit/words.js'

/** What is said of a joint made this way. */
export const WORDS = {
  name: 'Pipe saddle',
  steps: {
    place: {
      does: 'Mark where the middle of the branch comes, and which way it points. Saddle for this pipe: read its label.',
      look: 'Round, clean pipe a hand\u2019s width both ways: no weld, dent, print or thread under the gasket.',
      mistake: 'Measuring from the end of the pipe where the drawing measures from the fitting.',
      act: 'Marked, saddle fits the pipe',
      hint: 'its size stands on the label',
    },
    hole: {
      does: 'Hole saw {holeMm, plural, =-1 {of the size that the saddle\u2019s sheet names} other {of {holeMm, number, length}}}, square to the pipe. Take the disc out.',
      look: 'The disc lies in your hand. Nothing is left in the pipe.',
      mistake: 'A second cut to make the hole larger: the gasket has nothing to sit on.',
      act: 'Hole measured, disc in hand',
      hint: 'write the diameter of the hole',
    },
    edge: {
      does: 'Edge of the hole smooth inside and out, seat wiped clean.',
      look: 'A finger feels no burr; the seat is dry and without a groove.',
      mistake: 'A file across the seat: water follows the scratch.',
      act: 'Smooth and clean',
      hint: 'feel it all round',
    },
    seat: {
      does: 'Gasket thinly lubricated, saddle on with its collar in the hole, strap round, nuts by hand.',
      look: 'The collar sits in the hole: the saddle does not slide. The branch points where it should.',
      mistake: 'Turning the saddle after the nuts have caught: the gasket rolls.',
      act: 'Collar in, nuts by hand',
      hint: 'turn it now, not later',
    },
    tighten: {
      does: 'Nuts evenly, side to side, {torqueNm, plural, =-1 {to the maker\u2019s torque} other {to {torqueNm, number, torque}}}.',
      look: 'The same thread shows on both sides.',
      mistake: 'Tightening until it stops: plastic pipe goes oval.',
      act: 'Torque reached',
      hint: 'write the torque',
    },
    look: {
      does: 'Look all round: gasket, strap, branch. The branch\u2019s own pipe is carried.',
      look: 'Gasket even all round; strap square across the pipe.',
      mistake: 'Hanging the branch on the saddle.',
      act: 'Even all round',
      hint: 'both sides, with a lamp',
    },
  },
  exceptions: {
    'wrong-saddle': 'Not made for this pipe',
    'seat-bad': 'Dent, weld or groove there',
    'off-mark': 'Hole beside the mark',
    'disc-inside': 'Disc fell into the pipe',
    'collar-tight': 'Collar will not go in',
    'bolt-stuck': 'A bolt is stuck',
    'cannot-see': 'Cannot see all round',
  },
  clocks: {},
  faults: {
    'hole-large': 'Hole too large',
    burr: 'Burr left',
    'dry-gasket': 'Gasket dry',
    tilted: 'One side tightened first',
    loose: 'Nuts not tight',
    'over-tight': 'Tightened too far',
  },
  unfixed: 'not tightened',
  says: {
    'name-saddle': 'saddle',
    'name-wall': 'wall of a pipe',
    'field-saddle-hole': 'Hole for the saddle, by its maker',
    'field-saddle-hole-most': 'Largest hole it takes, by its maker',
    'field-hole': 'Diameter of the hole',
    'field-disc': 'Disc of the hole',
    'field-seated': 'Saddle',
    'disc-out': 'disc in hand',
    'disc-lost': 'Disc still inside',
    'seated-even': 'even all round',
    'seated-tilted': 'Saddle stands tilted',
    'tool-hole-saw': 'hole saw of the saddle\u2019s size',
    'tool-saddle-gasket': 'gasket for what runs in the pipe',
    'caution-saddle-pressure':
      'Shut off, drained, locked and tagged before the wall is cut. A hole under pressure is for those who hold its gear, permit and training.',
    'caution-saddle-drill':
      'Drill with a second handle: the saw catches as it goes through. Goggles, cut-proof gloves.',
    'saddle-hole-large':
      'Hole of {mm, number, length}; {mostMm, number, length} is the most. The gasket has too little to sit on: new piece of pipe, or a larger saddle.',
    'saddle-hole-small':
      'Hole of {mm, number, length}; the saddle asks for {holeMm, number, length}. The collar does not go in: cut it to size.',
    'saddle-hole-unknown':
      'Hole of {mm, number, length}; nobody has given what the saddle takes. Read its sheet and write it for the line.',
    'saddle-disc-lost':
      'The disc is in the pipe: it will lie in a valve or a meter. Get it out before anything else.',
    'saddle-tilted': 'The saddle stands tilted: loosen it, look at the gasket, tighten side to side.',
    'cause-saddle-one-side': 'One nut run down before the other.',
    'cause-saddle-collar': 'Collar beside the hole.',
    'interrupted-saddle-open': 'Cover the hole. Nothing runs out.',
    'interrupted-saddle-loose': 'Not tightened: it stays on the list.',
    'test-saddle-branch': 'The branch is carried by its own supports before pressure comes on.',
    'choice-saddle-gas': 'Gas: only a saddle listed for it, put on by those who are licensed for gas.',
    'choice-saddle-plastic':
      'Plastic pipe: a saddle with a strap as wide as its maker asks for plastic. A narrow strap bites in.',
    'choice-saddle-hole':
      'Nobody has given the hole that the saddle takes: read its sheet and write it for the line.',
    'figure-saddleHoleMm': 'Hole',
    'figure-saddleHoleMostMm': 'Hole, at most',
  },
} as const satisfies MethodWords
declare module '../../sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS.says> {}
}
