import type { Wordings } from '@jugalis/core'

/** The place set out. */
export const SET_OUT = {
  // EntryLine
  'set-out-next-fitting-or-piece': 'Next fitting or piece',
  'set-out-to-the-end-of': 'To the end of {line}',
  'set-out-set-out': 'Set out',
  'set-out-tab': 'Tab',
  // LineDrawing
  'set-out-drawing-on-the-whole': 'Drawing on the whole screen',
  'set-out-zoom-out': 'Zoom out',
  'set-out-zoom-in': 'Zoom in',
  'set-out-fit': 'Fit',
  'set-out-at':
    '{named, select, some {at {percent} %, {stride, plural, =2 {every 2nd joint named} other {every {stride}th joint named}}} none_fit {at {percent} %, names have no room} other {at {percent} %}}',
  'set-out-save-as-svg': 'Save as SVG',
  'set-out-close-the-drawing': 'Close the drawing',
  'set-out-laid-out-straight-to':
    '{tag} laid out straight, to scale. Drag or arrow keys move it, plus and minus zoom.',
  // PartList
  'set-out-parts-of-the-line': 'Parts of the line',
  'set-out-joints': 'Joints',
  // PartRow
  'set-out-drag-to-move': 'Drag to move',
  'set-out-as-typed-2': '{tag} as typed',
  'set-out-not-known':
    '{end, select, branch {branch not known} kind {{kind} not known} other {run not known}}',
  // RowTools
  'set-out-row-take-out': 'Take out',
  'set-out-row-down-move': 'Move down',
  'set-out-row-down': 'Down',
  'set-out-row-up-move': 'Move up',
  'set-out-row-up': 'Up',
  'set-out-row-copy-below': 'Copy below',
  'set-out-row-insert-after': 'Insert after',
  'set-out-row-edit': 'Edit',
  'set-out-the-chosen-rows': 'The chosen rows',
  'set-out-rows': '{chosen} rows',
  'set-out-no-row-chosen': 'No row chosen',
  'set-out-keep-as-a-group': 'Keep as a group',
  // SetOut
  'set-out-lines': 'Lines',
  'set-out-new-line': 'New line',
  'set-out-show-it': 'Show it',
  'set-out-a-place-not-named': 'a place not named',
  'set-out-begin-a-line': 'Begin a line',
  'set-out-sections': 'Sections',
  'set-out-no-boundary-painted-on': 'No boundary painted on this line yet.',
  'set-out-joints-test-for-working':
    '{section} {jointIds, plural, one {{jointIds} joint} other {{jointIds} joints}}, test {testBar, number, pressure} for {holdS, number, duration}, working {workingBar, number, pressure}.',
  'set-out-paint-a-section-on':
    'Paint a section on {painted, plural, one {{painted} joint} other {{painted} joints}}',
  'set-out-paint-a-section-on-this': 'Paint a section on this line',
  'set-out-pipe-in-pipe-a': 'Pipe in pipe: a carrier inside',
  'set-out-bring-in-a-schedule': 'Bring in a schedule',
  'set-out-fittings-and-take-offs': 'Fittings and take-offs',
  'set-out-supports-and-growth': 'Supports and growth',
  'set-out-copy-the-line': 'Copy the line',
  'set-out-number-anew': 'Number anew',
  'set-out-groups': 'Groups',
  'set-out-use': 'use {name}',
  'set-out-put-away': 'put away',
  'set-out-keep-these-rows-as': 'Keep these rows as a group',
  'set-out-name-of-the-group': 'Name of the group',
  'set-out-a-group-is-typed': 'A group is typed in one go: use and its name.',
  'set-out-copy': 'Copy {tag}',
  'set-out-tag-of-the-new': 'Tag of the new line',
  'set-out-the-same-parts-and': 'The same parts and measures under another tag, nothing made, nothing cut.',
  'set-out-nothing-set-out-yet': 'Nothing set out yet. Begin with a line.',
  'set-out-has-pieces-to-measure':
    '{tag} has {jointIds, plural, one {{jointIds} joint} other {{jointIds} joints}} and {pieces, plural, one {{pieces} piece} other {{pieces} pieces}}; {unmeasured, plural, one {{unmeasured} is} other {{unmeasured} are}} to be measured.',
  'set-out-such-as': '{part}, or {length}',
  'set-out-one-after-the-other': 'For example, one after the other:',
  'set-out-measure-first': 'Measure the first piece: {tag}',
  'set-out-nothing-set-out-yet-type':
    'Nothing set out yet. Type a fitting and a size{example, select, none {} other {, for example: {example}}}.',
  'set-out-has-no-method-choose': '{tag} has no method: choose how its ends meet.',
  'set-out-cannot-be-joined-as':
    '{tag} cannot be built as it stands: {faults, plural, one {{faults} place} other {{faults} places}} to mend.',
  'set-out-has-joints-and-pieces':
    '{tag} has {jointIds, plural, one {{jointIds} joint} other {{jointIds} joints}} and {pieces, plural, one {{pieces} piece} other {{pieces} pieces}}; {kinds, plural, one {{kinds} take-off} other {{kinds} take-offs}} {kinds, plural, one {is} other {are}} not known.',
  'set-out-is-complete-joints-pieces':
    '{tag} is complete: {jointIds, plural, one {{jointIds} joint} other {{jointIds} joints}}, {pieces, plural, one {{pieces} piece} other {{pieces} pieces}}, {sections, plural, =0 {no section yet} one {{sections} section} other {{sections} sections}}.',
  'set-out-a-group-needs-a': 'A group needs a name of letters and figures, for example: drop.',
  // use-entry
  'set-out-into-the-branch-of': 'into the branch of {tag}',
  'set-out-there-is-no-group':
    'There is no group called {group}. Choose rows and keep them as a group first.',
  'set-out-set-out-2': '{typed}: set out.',
  // use-lines
  'set-out-is-there-already-choose': '{tag} is there already. Choose another tag.',
  'set-out-numbered-in-the-order': 'Numbered in the order in which it stands.',
  'set-out-is-copied-as': '{tag} is copied as {tag2}.',
  'set-out-is-kept-as-a': '{name} is kept as a group. Type: use {name}.',
  'set-out-is-no-longer-a': '{name} is no longer a group.',
  // use-rows
  'set-out-taken-out': '{name}: taken out.',
  'set-out-copied-below': '{name}: copied below.',
  'set-out-which-was-meant-or': 'Which was meant, {own} or {other}? Write the unit.',
  'set-out-entry-help':
    '{branch} into the tee, {back} back, {again} the last pair again, {unknown} not yet measured, {tag} a name',
  'set-out-change-it': 'Change it\u2026',
  'set-out-joints-by': '{way} {joints, number, whole}',
  'set-out-way-asks': 'say what it asks\u2026',
  'set-out-way-said': 'as said\u2026',
  'set-out-way-of-line': '{way} in line {tag}',
  'set-out-way-counts-for':
    'It counts for every joint made so in this line. A joint that is begun keeps what was said before it.',
  'set-out-change-line': 'Change line {tag}',
  'set-out-where-it-runs': 'Where it runs',
  'set-out-change-the-line-now': 'Change the line',
  'set-out-change-it-so': 'Change it so',
  'set-out-line-changed': 'Line {tag} is changed.',
  'set-out-change-anew':
    '{joints, plural, one {# joint that is not begun is made otherwise} other {# joints that are not begun are made otherwise}}.',
  'set-out-change-keep': 'Begun, and stays as it was: {list}.',
  'set-out-change-recut': 'Cut, and no longer fits: {list}.',
  'set-out-change-proved': 'Proved before the change: {list}. The proof is of the line as it was.',
  'set-out-line-is':
    '{name}. {material}{series, select, none {} other {, {series}}}, {school, select, inch {inch school} other {metric school}}{ratingBar, select, none {} other {, rated {ratingBar, number, pressure}}}, in {place}.',
  'set-out-after': 'after {tag}',
  'set-out-parts': '{parts} parts',
  'set-out-moved': '{what}: moved.',
  'set-out-take-off-to':
    '{end, select, branch {branch } run {run } kind {{kind} } other {}}{mm} to {to, select, stop {stop} other {face}}',
} as const satisfies Wordings
