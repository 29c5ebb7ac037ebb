import type { Wordings } from '@jugalis/core'

/** Drawings of pieces and bars. */
export const TAPES = {
  // BarTape
  'tapes-left': '{figure} left',
  'tapes-a-piece': 'a piece',
  'tapes-bar-of-left': 'Bar of {stock}: {cuts}; {left} left',
  // BendTape
  'tapes-tube-of-with-bends': 'Tube of {figure} with bends beginning at {bends}',
  // JointGlyph
  'tapes-look-at-it': 'look at it',
  'tapes-made-again': 'made again',
  // JointSection
  'tapes-the-joint-in-section': 'The joint in section, drawn to scale',
  'tapes-sand-to-here': 'sand to here',
  // PieceTape
  'tapes-piece-cut-depth-mark':
    'Piece {tag}, cut {cut}, depth mark at {depth}{hasCheck, select, yes {, check mark at {check}} other {}} from each end',
  'tapes-after-face-to-mark': 'after: face to mark {gap}',
  'tapes-face-to-mark': 'face to mark {gap}',
  'tapes-right': 'right',
  'tapes-left-2': 'left',
  'tapes-check': 'check {figure}',
  'tapes-sand-to': 'sand to {figure}',
  'tapes-depth': 'depth {figure}',
  // UprightTape
  'tapes-marks-of-from-the': 'Marks of {tag} from the hook down',
  'tapes-the-free-end': 'the free end',
  'tapes-0-hook-on': '0, hook on {jointTag}',
  'tapes-cut-here': '{figure}, cut here',
  'tapes-joint-in': '{joint}, in {fitting}',
  'tapes-fitting': 'fitting',
  'tapes-holes-between': '{count, plural, one {{count} hole} other {{count} holes}} between',
  'tapes-hole': 'hole {figure}, {tag}',
  'tapes-bend': 'bend {turn}° {side, select, right {right} other {left}}',
} as const satisfies Wordings
