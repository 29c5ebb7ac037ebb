import type { Wordings } from './words.js'

/** Setting out and cutting: entries, edits, schedules, pieces. */
export const SET_OUT: Wordings = {
  'no-measure': (p) => `${p.s('piece')} has no measure yet.`,
  'piece-too-short': (p) =>
    `${p.s('piece')} cannot be cut: the take-offs are longer than the measure (${p.mm('measuredMm')}). Measure again or choose shorter fittings.`,
  'take-off-unknown': (p) => `The take-off of ${p.s('fitting')} is not known. Measure one and type it in.`,
  'depth-unknown': (p) => `The socket depth at ${p.s('joint')} is not known. Measure the socket.`,
  'entry-not-understood': (p) =>
    `"${p.s('text')}" is not understood. Type a fitting and a size (tee 110), or a measure (1250 c-c).`,
  'entry-no-size': (p) => `Give ${p.s('fitting')} its size, for example: ${p.s('fitting')} 110.`,
  'entry-size-unknown': (p) => `${p.s('size')} is not a size of ${p.s('material')}.`,
  'closing-opens': (p) =>
    `A closing piece beside a fitting that opens: it can be got in. The cut is ${p.mm('spareMm')} over: take it to site measure.`,
  'closing-slips-in': (p) =>
    `A closing piece with an end that goes into nothing: it can be got in. The cut is ${p.mm('spareMm')} over: take it to site measure.`,
  'closing-draw-back': (p) =>
    `To get it in, one end must draw back by ${p.mm('backMm')}. If neither can: a union, a flange or a slip coupling. The cut is ${p.mm('spareMm')} over: take it to site measure.`,
  'carrier-size-missing': (p) => `Say which carrier goes into ${p.s('size')}.`,
  'entry-no-fitting': 'Begin with a fitting, for example: tee 110.',
  'entry-not-a-length': (p) => `"${p.s('text')}" is not a length.`,
  'entry-gap': 'A gap is what each end stays off its stop: a small length, for example 1250 c-c gap 3.',
  'entry-bent': 'Write a bent tube as legs and turns with its radius, for example: bent 400 90 500 r 76.',
  'bend-too-near': (p) =>
    `${p.s('piece')}: leg ${p.n('leg')} leaves ${p.mm('straightMm')} straight. The least leg that works is ${p.mm('leastMm')}.`,
  'clearance-fitting': (p) =>
    `${p.s('piece')} shows ${p.mm('mm')} of pipe between its fittings; the tool needs ${p.mm('neededMm')}.`,
  'clearance-near': (p) =>
    `${p.s('joint')}: ${p.mm('mm')} to the ${p.s('to')}; at least ${p.mm('neededMm')} are needed.`,
  'clearance-unknown': (p) =>
    `${p.s('joint')}: how far it must stand from the ${p.s('to')} is not known. Ask the tool\u2019s maker, or load the chart.`,
  'tool-room-unknown': 'Room for the tool is not known: load the maker\u2019s chart.',
  'entry-too-long': (p) => `${p.mm('mm')} is longer than anything in a building. Check the figure.`,
  'entry-sizes-differ': (p) =>
    `The pipe would have to be ${p.s('a')} and ${p.s('b')} at once: put a reducer between.`,
  'entry-no-tee': 'There is no tee here to branch from. Set out a tee first.',
  'entry-no-run': 'This is the main run already.',
  'edit-has-branch': (p) => `${p.s('part')} carries a branch. Take the branch away first.`,
  'edit-joint-begun': (p) => `${p.s('joint')} is begun: it stays as it is until it is cut out.`,
  'edit-into-itself': 'A part cannot stand in its own branch.',
  'edit-one-run': 'What is copied must stand in one run.',
  'edit-is-piece': 'This is a piece of pipe: give its measure, for example 1250 c-c.',
  'edit-is-fitting': 'This is a fitting: give its name and size, for example tee 110.',
  'pieces-meet': (p) => `${p.s('a')} and ${p.s('b')} meet with no fitting between.`,
  'sizes-meet': (p) => `${p.s('piece')} is ${p.s('a')}, its socket in ${p.s('fitting')} is ${p.s('b')}.`,
  'touches-nothing-lost': 'Pipe and fitting can be used again.',
  'touches-piece': (p) => `${p.s('piece')} loses its end: it is to be cut anew, and is no longer called cut.`,
  'touches-other-end': (p) =>
    `${p.s('joint')} at the other end of ${p.s('piece')} is begun: it comes out too, or the pipe is cut between.`,
  'touches-fitting': (p) =>
    p.s('list')
      ? `${p.s('fitting')} is lost, and what is joined in it: ${p.s('list')}.`
      : `${p.s('fitting')} is lost.`,
  'touches-proof': (p) => `${p.s('section')} was proved with it in: it is no longer proved.`,
  'touches-signature': 'The job was signed over: this is written after the signature.',
  'schedule-too-many': (p) =>
    `${p.n('rows')} rows are more than can be taken at once (${p.n('most')}). Split the file.`,
  'schedule-no-column': (p) => `Say which column holds the ${p.s('field')}.`,
  'schedule-empty': 'There are no rows below the headings.',
  'schedule-line-tag': (p) =>
    `"${p.s('text')}" is not a tag for a line. A tag is short, of letters and figures, for example Q2.`,
  'schedule-no-size': 'The size is missing.',
  'schedule-no-length': 'The length is missing. For a piece still to be measured write ?.',
  'schedule-no-fitting': (p) =>
    `"${p.s('text')}" is not a fitting known here. Known are elbow 90, elbow 45, tee, reducer, coupling, slip coupling, union, valve, flange, cap and tank adapter.`,
  'schedule-measure': (p) => `"${p.s('text')}" is not how a piece is measured. Write c-c, c-f, f-f or e-e.`,
  'schedule-comma': (p) =>
    `"${p.s('text')}" can be read in two ways. Say whether the comma is a decimal sign or sets thousands apart.`,
  'schedule-formula': 'A formula without a result. Open the file in its program, save it, and take it again.',
  'schedule-twice': (p) => `${p.s('tag')} stands in row ${p.n('row')} already.`,
  'schedule-there': (p) => `${p.s('tag')} is in this line already.`,
  'schedule-three-joints': (p) => `${p.s('piece')} has two joints already: a piece has two ends.`,
  'size-not-read': (p) =>
    `"${p.s('text')}" is not a size. Write d110, NPS 2, CTS 3/4, OD 1/4, BPE 1-1/2 or DN 40.`,
  'take-off-to': (p) => `"${p.s('text')}" is not face or stop: say what the take-off goes to.`,
  'weight-unknown': (p) => `The weight of ${p.s('material')} ${p.s('size')} is not known: ask its maker.`,
  'growth-unknown': (p) => `How much ${p.s('material')} grows is not known here: ask its maker.`,
  'arm-unknown': (p) => `No figure for an arm of ${p.s('material')}: ask the engineer.`,
  'span-unknown': (p) => `No figure for supports of ${p.s('material')}: ask its maker.`,
  'span-too-warm': (p) => `No figure above ${p.c('c')}: closer supports, by its maker\u2019s chart.`,
}
