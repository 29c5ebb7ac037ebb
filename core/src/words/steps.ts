import type { Params, Wordings } from './words.js'

const known = (p: Params, key: string): boolean => p.n(key) >= 0

/** What to do, what good looks like, what goes wrong, and the words on the buttons. */
export const STEPS: Wordings = {
  'method-solvent-cement': 'Solvent cement',
  'field-material': 'Material',
  'field-size': 'Size',
  'field-school': 'School',
  'field-schedule': 'Schedule',
  'field-socket-depth': 'Socket depth, measured',
  'field-check-offset': 'Check mark stands off the face by',
  'field-pressure-service': 'Under pressure in service',
  'field-wall': 'Pipe wall',
  'field-check-reading': 'Socket face to check mark',
  'field-bead': 'Bead',
  'bead-all-round': 'bead all round',
  'bead-broken-short': 'bead broken',
  'do-fit-metric': (p) =>
    known(p, 'depthMm')
      ? `Dry fit, then mark ${p.figure('depthMm')} and ${p.figure('checkMm')}.`
      : 'Measure the socket, dry fit, then mark its depth.',
  'do-fit-inch': (p) =>
    known(p, 'depthMm')
      ? `Dry fit, then mark ${p.mm('depthMm')} and ${p.mm('checkMm')}.`
      : 'Measure the socket, dry fit, then mark its depth.',
  'look-fit-metric': (p) =>
    `Chamfer ${p.mm('chamferMinMm')} to ${p.mm('chamferMaxMm')}. The pipe may slide to the stop, without wobble.`,
  'look-fit-inch': (p, own) =>
    known(p, 'depthMm')
      ? `Should begin to bind between ${p.mm('meetsFromMm')} and ${p.mm('meetsToMm')}. Chamfer ${own.small(2.38125)}.`
      : `Should begin to bind between 1/3 and 2/3 of the socket. Chamfer ${own.small(2.38125)}.`,
  'mistake-fit': 'No chamfer: the pipe shaves the cement off the socket.',
  'act-fit': 'Fits, marked',
  'hint-fit': 'both marks drawn round',
  'do-rig': 'Set the puller, ropes slack. Tins and applicators to hand, everybody in place.',
  'look-rig': 'The clamps grip without marking the pipe, and the pull is in line with it.',
  'mistake-rig': 'Cement on, and then the puller is looked for.',
  'act-rig': 'Puller set, everybody in place',
  'hint-rig': 'tried dry, to the depth mark and back',
  'ex-slips': 'Clamp slips',
  'tool-pipe-wrap': 'pipe wrap, to mark the cut square',
  'tool-large-saw': 'power saw, used only by those trained for it; file or power beveller',
  'never-side-grinder': 'a side grinder or disc for the chamfer',
  'never-brush-large': 'a brush at this size: it starves the joint. Swab or roller',
  'tool-puller': 'puller; it stays on until the joint is set',
  'caution-puller': 'Keep hands out from between pipe and fitting while the puller draws.',
  'do-prime': 'Prime socket, pipe, socket again.',
  'look-prime': 'Softened: a little scrapes off. No puddles, none running down the bore.',
  'mistake-prime': 'Primer left to dry before the cement.',
  'act-prime': 'Primer on',
  'hint-prime': 'starts 5 min',
  'do-cement-metric': (p) =>
    `Clean both. Coat the socket thin, then the pipe full, along the axis${p.n('people') > 1 ? ', two people at once' : ''}.`,
  'do-cement-inch': (p) =>
    `While the primer is wet: pipe full, socket medium, pipe again${p.n('people') > 1 ? ', two people at once' : ''}.`,
  'look-cement': (p) =>
    `Applicator ${p.mm('applicatorMm')} or wider. Even coat to the mark, no puddle in the socket.`,
  'mistake-cement': 'Too little cement: most failures come from it.',
  'act-cement-metric': 'Cleaned, cement on',
  'act-cement-inch': 'Cement on',
  'hint-cement': 'tap at the first stroke',
  'do-home-metric': 'Push home. Straight, no twist.',
  'do-home-inch': (p) =>
    `Push home${p.n('people') > 1 ? ' straight, with the puller' : ' with a quarter turn'}.`,
  'look-home-metric': 'To the stop. Then hold it there.',
  'look-home-inch': 'To the stop. Then hold it there.',
  'mistake-home': 'Letting go: the taper pushes the pipe back out.',
  'act-home-metric': 'Home: start the hold',
  'act-home-inch': 'Home: start the hold',
  'hint-home': 'push, then tap with a knuckle',
  'do-judge': (p) => `Check mark should stand ${p.figure('offsetMm')} off the face.`,
  'look-judge': 'An even bead all round. Wipe the excess.',
  'mistake-judge': 'Reading the wiped depth mark instead of the check mark.',
  'act-judge': 'Write the reading',
  'hint-judge': 'right, short or long, then the number',
  'ex-too-loose': 'Too loose',
  'ex-wont-reach-third': 'Won\u2019t reach 1/3',
  'ex-put-down': 'Put it down',
  'ex-skinned': 'Cement skinned, still soft',
  'ex-hard': 'Cement hard',
  'ex-bead-broken': 'Bead broken',
  'ex-cannot-read': 'Cannot read it',
  'tool-cutter': 'cutter or saw with a guide',
  'tool-chamfer': 'chamfer tool',
  'tool-applicator': (p) => `applicator ${p.mm('applicatorMm')} or wider`,
  'clock-primer': 'put cement on',
  'clock-open': 'push home',
  'clock-hold': 'let go',
  'clock-set': 'move',
  'primer-dried': 'Primer dried: prime again.',
  'cement-closed': 'Skinned and soft: coat again at once. Hard: cut off, new fitting.',
  'moved-before-set': 'Moved before it was set: look again after cure, or judge it as failed.',
  'open-by-temperature': (p) => `by the hotter of air and wall, ${p.c('temperatureC')}`,
  'gap-check': (p) => `${p.figure('offsetMm')} off the face`,
}
