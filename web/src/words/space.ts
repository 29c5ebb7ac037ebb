import type { Wordings } from '@jugalis/core'

/** Where lines lie in the building. */
export const SPACE = {
  'space-looked-at': 'How it is looked at',
  'space-view':
    '{name, select, plan {Plan} from_south {From the south} from_east {From the east} from_north {From the north} from_west {From the west} other {Isometric}}',
  'space-turn': 'Turn',
  'space-turn-by-a-quarter': 'Turn by a quarter',
  'space-to-scale': 'To scale',
  'space-with-joined': '{more, plural, one {+ {tags}} other {+ {more}}}',
  'space-with-joined-lines': 'With what it is joined to: {tags}',
  'space-names-have-no-room':
    '{left, plural, one {{left} name has no room} other {{left} names have no room}}',
  'space-save-as-dxf': 'DXF',
  'space-save-as-svg': 'SVG',
  'space-save-the-dxf': 'Save as DXF',
  'space-on-paper': 'On paper',
  'space-drawn':
    '{tag} in space, {name, select, plan {from above} from_south {from the south} from_east {from the east} from_north {from the north} from_west {from the west} other {isometric}}. Drag moves it, plus and minus zoom.',
  'space-whole-screen': 'Whole screen',
  'space-north': 'N',
  'space-straight': 'Straight',
  'space-in-space': 'In space',
  'space-where-it-lies': 'Where it lies',
  'space-not-placed':
    "It has no place in the building yet. To have levels, closing errors and high points, type where it begins: from {unit, select, ft {+7''-6\"} other {+2.400}} east; then elbow 90 up, tee branch north, fall 1:80.",
  'space-levels': ', {lengthMm, number, distance} long, between {low} and {high}.',
  'space-points': 'Measured points',
  'space-coordinates': 'Coordinates',
  'space-coordinates-of': 'Coordinates of {tag}',
  'space-coordinates-say':
    'From the corner of the job, or from where the line begins, if that is at a level alone. Faces stand where their take-off was measured to the face.',
  'space-coordinate-of':
    '{what, select, centre {{tag}, centre} face {{tag}, {at, select, 0 {face of the way in} 1 {face of the way on} other {face of its branch}}} other {{tag}, end of pipe}}',
  'space-place': 'Place',
  'space-along-pipe': 'Along',
  'space-sums': 'Sums by axis',
  'space-there': 'There',
  'space-back': 'Back',
  'space-left-over': 'Left',
  'space-axis': '{on, select, east {East, west} north {North, south} other {Up, down}}',
  'space-coordinates-csv': 'Save as CSV',
  'space-measure-it': 'Measure it',
  'space-close-it': 'Close it with a piece',
  'space-so-far':
    '{mm} {way, select, east {to the east} west {to the west} north {to the north} south {to the south} up {up} other {down}}',
  'space-closes':
    '{closed, select, yes {It comes to {to} within {missMm, number, length}; of {measures, plural, one {{measures} measure} other {{measures} measures}} {expectedMm, number, length} are to be expected.} other {It misses {to} by {missMm, number, length} ({direction}); of {measures, plural, one {{measures} measure} other {{measures} measures}} {expectedMm, number, length} are to be expected.}}',
  'space-suspect':
    '{alike, plural, =0 {Measure again:} =1 {Measure again:} =2 {One of two, measure again:} other {These lie parallel and nothing tells them apart, measure again:}}',
  'space-suspect-is': '{tag} is {byMm, number, length} {sense, select, short {too short} other {too long}}',
  'space-no-suspect': 'No single measure explains it: more than one is wrong, or a direction is.',
  'space-stays':
    '{kind, select, air {Air stays at {tags} ({level}): no vent there.} other {Water stays at {tags} ({level}): no drain there.}}',
  'space-more-not-known': 'And {more} more that are not known.',
  'space-points-of-the-job': 'Measured points',
  'space-points-say':
    'A place in the building that lines begin at or come to: how far east and north of the job\u2019s own corner, and its level.',
  'space-no-points': 'No point measured yet.',
  'space-point-is':
    '{name}: {east, number, distance} east, {north, number, distance} north, {level}{heading, select, east {, going east} west {, going west} north {, going north} south {, going south} up {, going up} down {, going down} other {}}',
  'space-point-name': 'Name of the point',
  'space-point-east': 'East',
  'space-point-north': 'North',
  'space-point-level': 'Level',
  'space-point-heading': 'How a way goes on there',
  'space-heading':
    '{name, select, east {east} west {west} north {north} south {south} up {up} down {down} other {not said}}',
  'space-point-needs-a-name': 'A point needs a name of letters and figures, another than those there are.',
  'space-point-kept': '{name} measured.',
  'space-point-put-away': '{name} put away.',
  'space-close-title': 'Close {tag} with a piece',
  'space-close-from': 'From {tag}, the last fitting, to an end that is open or a point with a heading.',
  'space-close-nowhere':
    'The line must end in a fitting of which place and direction are known, and something must be there to close on.',
  'space-close-on': 'Close on',
  'space-close-take-off': 'Take-off of the elbows (centre to face)',
  'space-close-straight': 'Least pipe between two faces',
  'space-close-headings':
    'The two ends do not point the same way: {ways, plural, =0 {no one or two elbows that are made close it. Turn the last fitting, or say less pipe between faces.} other {these close it, the simplest first.}}',
  'space-turning-way':
    '{two, select, yes {{first}° and {second}°: {one, number, length}, {between, number, length} and {last, number, length} centre to centre} other {One {first}°: {one, number, length} and {last, number, length} centre to centre}}',
  'space-close-is':
    'It is {setMm, number, length} up or down and {rollMm, number, length} aside: {trueOffsetMm, number, length} off in all.',
  'space-close-way':
    '{kind, select, straight {One piece, {travelMm, number, length} centre to centre} offset {2 × {angleDeg}°: travel {travelMm, number, length}, run {runMm, number, length}, leads {leadInMm, number, length} and {leadOutMm, number, length}} other {2 × {angleDeg}°: there is no room for it}}',
  'space-close-cuts': 'Cut to {cuts}{open, select, yes { (?: a take-off is not known there)} other {}}.',
  'space-close-gets-in':
    '{how, select, draws {The last is got in where one end draws back by {backMm, number, length}.} other {The last can be got in.}}',
  'space-close-may-err': 'Its end may be {mm, number, length} out, by what measures err.',
  'space-close-set-out': 'Set it out',
  'space-closed-on': 'Closed on {name}.',
  'paper-isometric':
    'Line {tag}, {name, select, plan {plan} from_south {seen from the south} from_east {seen from the east} from_north {seen from the north} from_west {seen from the west} other {isometric}}',
  'space-paper-title': 'Line {tag} on paper',
  'space-paper-says':
    'As it is looked at now, in a frame, with the bill of its parts and their cut lengths. A filled joint is made.',
  'space-paper-sheet': '{name, select, a4 {A4} a3 {A3} other {Letter}}, lying',
  'space-what-it-carries': 'What it carries',
  'space-carries':
    '{what, select, drain {Drain: falls by IPC 704.1} condensate {Condensate: usual fall} other {No fall asked}}',
  'space-fall-fault':
    '{how, select, level {{tag} lies level} wrong_way {{tag} falls away from the drain, 1:{has}} other {{tag} falls 1:{has}}}; {source, select, code {by IPC 704.1 (from memory) a drain of its size} other {condensate by usual practice}} falls 1:{least} at least.',
  'space-more-falls': 'And {more} more that do not fall enough.',
  'space-keep-the-point': 'Keep the point',
  'space-put-away': 'Put away',
} as const satisfies Wordings
