import type { CodesOf, Wordings } from '../sources/wording.js'

/** Setting out and cutting: entries, edits, schedules, pieces. */
export const SET_OUT = {
  'no-measure': '{piece} has no measure yet.',
  'piece-too-short':
    '{piece} cannot be cut: the take-offs are longer than the measure ({measuredMm, number, length}). Measure again or choose shorter fittings.',
  'take-off-unknown': 'The take-off of {fitting} is not known. Measure one and type it in.',
  'depth-unknown': 'The socket depth at {joint} is not known. Measure the socket.',
  'entry-not-understood':
    '"{text}" is not understood. Type a fitting and a size ({school, select, inch {tee 2} other {tee 110}}), or a measure ({school, select, inch {49-1/4 c-c} other {1250 c-c}}).',
  'entry-word-unknown':
    '"{word}" is not understood in "{text}". Sizes and ends go like this: {school, select, inch {valve 2 flanged, adapter 2 x 2 male} other {valve 63 flanged, adapter 63 x 2 male}}.',
  'entry-too-many-ends': '{fitting} has fewer ends than {ends}.',
  'entry-say-end':
    'Say what its other end is, for example: {school, select, inch {{fitting} 2 x 2 male, {fitting} 2 flanged} other {{fitting} 63 x 2 male, {fitting} 63 flanged}}.',
  'entry-no-end-size': 'No {kind} of {size} is known here. Say its size: {fitting} with a size for each end.',
  'entry-between': 'What is between {piece} and this piece? A coupling, a union, a valve: type it first.',
  'mate-two-sockets':
    'A pipe goes into both: type the piece between first, or ? for one still to be measured.',
  'mate-two-plain': 'Two plain ends do not meet: a coupling or a union goes between.',
  'mate-alike':
    'Two ends alike, {kind}, and neither goes into the other: {kind, select, npt_male {a coupling} iso_7_male {a coupling} other {a nipple}} goes between.',
  'mate-standards':
    '{one} and {other} are of two families and do not mate, even where they start: an adapter made with both goes between.',
  'mate-kinds': '{one} does not go on {other}: an adapter with both ends goes between.',
  'mate-materials': '{one} does not go into {other}: an adapter with an end of each goes between.',
  'mate-sizes': '{a} does not go on {b}: a reducer or a bushing goes between.',
  'mate-shut': '{tag} ends here ({kind}): nothing is joined to it.',
  'mate-plastic-female':
    'A male thread of metal splits a female one of {material}, often weeks later. Turn it round: male plastic into female metal, or a fitting with a metal ring (of brass).',
  'mate-metals':
    '{one} touches {other}: in water the {other} goes. A dielectric union or brass goes between.',
  'own-name':
    '"{name}" is no name for a fitting: small letters and figures, beginning with a letter, at most five words.',
  'own-name-taken': '"{name}" is a fitting known already. Give yours a name of its own.',
  'own-name-reserved':
    'Entries that begin with the first word of "{name}" mean something else. Give it another name.',
  'own-turn': 'Say how far it turns the way: above 0 and below 180 degrees.',
  'own-ends': 'It has {ends, number} ends (form {form}): say what each is.',
  'own-end-shuts': 'It ends a line: one end takes the pipe, the other is closed, open or hose.',
  'own-end-shut':
    'Nothing is joined to an end that is closed, open or hose: only what ends a line has one, and not as its first.',
  'own-end-unknown':
    '"{text}" is no kind of end known here: usual, or a word such as soldered, flanged, fip.',
  'own-take-off-end': 'There is no end {end, number}: it has {ends, number}.',
  'own-form': '"{text}" is no form of a fitting: {forms}.',
  'own-which-end': '"{text}" names no end: {ends}.',
  'own-drawing':
    'The drawing is not understood: shapes set off by semicolons, each with its figures from -{reach, number} to {reach, number}: line 4, box 4, triangle 6, circle 3; "filled" at the end fills it.',
  'space-not-a-level':
    '"{text}" has no level in it: a level is written with its sign, in {unit, select, ft {feet and inches (+7\'\'-6 1/2")} other {metres (+2.400)}}.',
  'space-no-heading': '"{text}" is no direction: a name (east, up), or three figures that are not all 0.',
  'space-not-a-fall':
    '"{text}" is no fall: write it as 1 in so many, {least} to {most} (fall 1:80, rise 1:200), or fall 0 where it ends.',
  'space-does-not-turn':
    'A {fitting} does not turn the way: only elbows, tees and what branches are given a direction.',
  'space-along':
    '{part} cannot turn {heading}: that is along the way it goes, on or back. Say another direction, or take the fitting out.',
  'space-past':
    '{part} turns further than {heading}: past what was said. Another angle, or another direction.',
  'space-no-side':
    '{part}: left and right are not known here, since the way never went level before it. Say north, east, south or west.',
  'space-level-out-of-reach':
    '{part} does not come to {levelMm, number, distance} this way: it begins at {atMm, number, distance}. Say the length, or turn first.',
  'space-no-such-place':
    '{part}: nothing here is called {name} and has a place. Name a measured point or a part by its tag.',
  'space-no-open-branch':
    'No branch of {part} stands open: it has none, or another run or line is joined there already. Name another part.',
  'space-loop-of-one':
    '{part} to {name} is one measure and nothing to compare it with: no loop. Go round another way.',
  'space-circle':
    '{line} would lie where {name} lies, and that lies where {line} does: one of the two must begin elsewhere.',
  'space-fall-on-riser':
    'The way goes straight up or down here: nothing falls. Say the fall behind the elbow.',
  'space-not-begun':
    "Say first where the line begins, for example: from {unit, select, ft {+7''-6\"} other {+2.400}} east.",
  'held-how-far':
    'Say how far along {part} it is held, from the middle of what stands before it: {as}, then the length.',
  'held-not-so': '{part} is a fitting: "anchor" holds it as it is. A guide stands on a pipe.',
  'held-past-end':
    '{part} is {lengthMm, number, length} from middle to middle: there is nothing of it to hold at {atMm, number, length}.',
  'growth-not-placed': 'Where {part} lies is not known: a measure or a direction is missing.',
  'growth-modulus-unknown':
    'How stiff {material} is, is not known here, and it is joined to other pipe: ask the engineer.',
  'space-no-turn': '{part}: which way it turns is not said. Nothing behind it has a place.',
  'space-no-branch-way': '{part}: which way the branch of {fitting} points is not said.',
  'space-no-way': '{part}: which way the line goes is not said.',
  'space-no-reach': '{part}: how far {fitting} reaches is not known. Measure its take-off.',
  'space-no-measure': '{part} has no measure yet: what lies behind it is not known.',
  'entry-no-size': 'Give {fitting} its size, for example: {fitting} {school, select, inch {2} other {110}}.',
  'entry-size-unknown': '{size} is not a size of {material}.',
  'closing-opens':
    'A closing piece beside a fitting that opens: it can be got in. The cut is {spareMm, number, length} over: take it to site measure.',
  'closing-slips-in':
    'A closing piece with an end that goes into nothing: it can be got in. The cut is {spareMm, number, length} over: take it to site measure.',
  'closing-draw-back':
    'To get it in, one end must draw back by {backMm, number, length}. If neither can: a union, a flange or a slip coupling. The cut is {spareMm, number, length} over: take it to site measure.',
  'carrier-size-missing': 'Say which carrier goes into {size}.',
  'entry-no-fitting': 'Begin with a fitting, for example: {school, select, inch {tee 2} other {tee 110}}.',
  'entry-not-a-length': '"{text}" is not a length.',
  'entry-gap':
    'A gap is what each end stays off its stop: a small length, for example {school, select, inch {49-1/4 c-c gap 1/8} other {1250 c-c gap 3}}.',
  'entry-bent':
    'Write a bent tube as legs and turns with its radius, for example: {school, select, inch {bent 16 90 20 r 3} other {bent 400 90 500 r 76}}.',
  'bend-too-near':
    '{piece}: leg {leg} leaves {straightMm, number, length} straight. The least leg that works is {leastMm, number, length}.',
  'clearance-fitting':
    '{piece} shows {mm, number, length} of pipe between its fittings; the tool needs {neededMm, number, length}.',
  'clearance-near':
    '{joint}: {mm, number, length} to the {to}; at least {neededMm, number, length} are needed.',
  'clearance-unknown':
    '{joint}: how far it must stand from the {to} is not known. Ask the tool\u2019s maker, or load the chart.',
  'tool-room-unknown': 'Room for the tool is not known: load the maker\u2019s chart.',
  'entry-too-long': '{mm, number, length} is longer than anything in a building. Check the figure.',
  'entry-sizes-differ': 'The pipe would have to be {a} and {b} at once: put a reducer between.',
  'entry-no-tee': 'There is no tee here to branch from. Set out a tee first.',
  'entry-no-run': 'This is the main run already.',
  'edit-line-size': '{part} is {size}: that is no size of {material} joined so. Change the part first.',
  'entry-saddle-where':
    'How far along the pipe does the {fitting} sit? Say it at the end: at, and the measure from where the pipe is measured from.',
  'entry-saddle-no-pipe':
    'A saddle sits on a pipe: type it where its pipe stands, or behind the fitting that follows it.',
  'entry-saddle-bent': '{piece} is a bent tube: a saddle sits on straight pipe.',
  'entry-saddle-beyond': '{piece} is {measuredMm, number, length} long: {mm, number, length} is not on it.',
  'edit-saddle':
    '{part}: a saddle stays on the pipe it was set on. Take it out, with all that leaves it, and type it where it should be.',
  'saddle-off-pipe': '{saddle} is not on {piece} as that is cut: measure again where it sits.',
  'edit-has-branch': '{part} carries a branch. Take the branch away first.',
  'edit-joint-begun': '{joint} is begun: it stays as it is until it is cut out.',
  'edit-into-itself': 'A part cannot stand in its own branch.',
  'edit-one-run': 'What is copied must stand in one run.',
  'edit-is-piece':
    'This is a piece of pipe: give its measure, for example {school, select, inch {49-1/4 c-c} other {1250 c-c}}.',
  'edit-is-fitting':
    'This is a fitting: give its name and size, for example {school, select, inch {tee 2} other {tee 110}}.',
  'pieces-meet': '{a} and {b} meet with no fitting between.',
  'sizes-meet': '{piece} is {a}, its socket in {fitting} is {b}.',
  'touches-nothing-lost': 'Pipe and fitting can be used again.',
  'touches-piece': '{piece} loses its end: it is to be cut anew, and is no longer called cut.',
  'touches-holed-pipe': '{piece} has a hole there: it is to be cut anew, and is no longer called cut.',
  'touches-other-end':
    '{joint} at the other end of {piece} is begun: it comes out too, or the pipe is cut between.',
  'touches-fitting':
    '{list, select, none {{fitting} is lost.} other {{fitting} is lost, and what is joined in it: {list}.}}',
  'touches-proof': '{section} was proved with it in: it is no longer proved.',
  'touches-signature': 'The job was signed over: this is written after the signature.',
  'schedule-too-many': '{rows} rows are more than can be taken at once ({most}). Split the file.',
  'schedule-no-column': 'Say which column holds the {field}.',
  'schedule-empty': 'There are no rows below the headings.',
  'schedule-line-tag':
    '"{text}" is not a tag for a line. A tag is short, of letters and figures, for example Q2.',
  'schedule-no-size': 'The size is missing.',
  'schedule-no-length': 'The length is missing. For a piece still to be measured write ?.',
  'schedule-no-fitting':
    '"{text}" is not a fitting known here. Known are elbow 90, elbow 45, tee, reducer, coupling, slip coupling, union, valve, flange, cap and tank adapter.',
  'schedule-measure': '"{text}" is not how a piece is measured. Write c-c, c-f, f-f or e-e.',
  'schedule-comma':
    '"{text}" can be read in two ways. Say whether the comma is a decimal sign or sets thousands apart.',
  'schedule-formula': 'A formula without a result. Open the file in its program, save it, and take it again.',
  'schedule-twice': '{tag} stands in row {row} already.',
  'schedule-there': '{tag} is in this line already.',
  'schedule-three-joints': '{piece} has two joints already: a piece has two ends.',
  'size-not-read': '"{text}" is not a size. Write d110, NPS 2, CTS 3/4, OD 1/4, BPE 1-1/2 or DN 40.',
  'take-off-to': '"{text}" is not face or stop: say what the take-off goes to.',
  'weight-unknown': 'The weight of {material} {size} is not known: ask its maker.',
  'growth-unknown': 'How much {material} grows is not known here: ask its maker.',
  'arm-unknown': 'No figure for an arm of {material}: ask the engineer.',
  'span-unknown': 'No figure for supports of {material}: ask its maker.',
  'span-too-warm': 'No figure above {c, number, temperature}: closer supports, by its maker\u2019s chart.',
} as const satisfies Wordings
declare module '../sources/wording.js' {
  interface WordBook extends CodesOf<typeof SET_OUT> {}
}
