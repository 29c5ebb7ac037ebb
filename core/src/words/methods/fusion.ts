import type { Wordings } from '../words.js'

/** Socket fusion: steps, looks, mistakes, choices. */
export const FUSION: Wordings = {
  'method-socket-fusion': 'Socket fusion',
  'field-tool-temperature': 'Tool',
  'field-fusion-bead': 'Bead',
  'field-tilt': 'Tilt, degrees',
  'do-fusion-ready': (p) =>
    `Cut square${p.n('layered') ? ', peel to the stop, foil off' : ''}, clean all, mark ${p.mm('depthMm')}.`,
  'look-fusion-ready': (p) =>
    p.n('layered')
      ? 'Peeled length = socket depth; no foil left. Stepped dies for layered pipe.'
      : 'Dies of this size, clean; pipe and fitting wiped.',
  'mistake-fusion-ready': 'Layered pipe not peeled.',
  'act-fusion-ready': 'Clean, marked',
  'hint-fusion-ready': 'mark all round',
  'ex-fusion-foil-left': 'Foil left over',
  'ex-fusion-die-dirty': 'Die dirty',
  'do-fusion-heat': (p) =>
    p.n('heatS') >= 0
      ? `Fitting first, then pipe, both to depth: heat ${p.dur('heatS')} from there.`
      : 'Fitting first, then pipe, both to depth. Air not read: no heating time.',
  'look-fusion-heat': (_, own) =>
    `Tool ${own.c(250)} to ${own.c(270)}. Straight on, no twist, both hands stay on.`,
  'mistake-fusion-heat': 'Counting before both are at full depth.',
  'act-fusion-heat': 'Both at depth: heat',
  'hint-fusion-heat': 'exact: neither shorter nor longer',
  'ex-fusion-turned': 'Turned on the die',
  'ex-fusion-lost-hold': 'Slipped off',
  'do-fusion-join': (p) => `Off straight, together within ${p.dur('changeoverS')}, to the mark.`,
  'look-fusion-join': (p) => `No turning; set straight at once, at most ${p.s('tiltDeg')}°.`,
  'mistake-fusion-join': 'Pushing beyond the mark: the bore closes.',
  'act-fusion-join': 'Joined: hold',
  'hint-fusion-join': 'to the mark, not beyond',
  'ex-fusion-too-slow': 'Too slow',
  'ex-fusion-twisted': 'Twisted',
  'do-fusion-look': 'A double bead all round, bore open, axis straight.',
  'look-fusion-look': 'Look into the bore where it can be seen.',
  'mistake-fusion-look': 'Loading it while it is warm.',
  'act-fusion-look': 'Double bead, straight',
  'hint-fusion-look': 'no force until it is cool',
  'ex-fusion-cannot-see': 'Cannot see all of it',
  'tool-fusion-cutter': 'shears to d32, wheel cutter above',
  'tool-peeler': 'peeler of this size',
  'tool-fusion-dies': 'tool with the pair of dies, pyrometer',
  'clock-fusion-heat': 'heat',
  'clock-fusion-changeover': 'join',
  'clock-fusion-fix': 'let go',
  'clock-fusion-cool': 'load',
  'miss-fusion-heat': 'Heated too long: cut off, new fitting.',
  'miss-fusion-changeover': 'Skin has formed: cut off, new fitting.',
  'miss-fusion-fix': 'Let go early: look for tilt.',
  'miss-fusion-cool': 'Loaded while warm: look at it again.',
  'caution-fusion-burn': (_, own) => `The tool is at ${own.c(260)}: gloves, stand, cable out of the way.`,
  'caution-fusion-fumes': 'Overheated plastic fumes: fresh air.',
  'fusion-tool-off': (p, own) =>
    `The tool was at ${p.c('temperatureC')}: outside ${own.c(240)} to ${own.c(280)}. Cut out and make again.`,
  'fusion-tool-wide': (p, own) =>
    `The tool was at ${p.c('temperatureC')}: outside ${own.c(250)} to ${own.c(270)}, which only some accept.`,
  'fusion-bead-broken': 'The bead is broken: too cold or too slow. Cut out and make again.',
  'fusion-bore-closed': 'Over-inserted: the bore is closed. Cut out and make again.',
  'fusion-tilted': (p) => `Tilted by ${p.n('deg').toFixed(0)}°: more than 5°. Cut out and make again.`,
  'fusion-cold-heat': (_, own) =>
    `Below ${own.c(5)} heating is longer: half again is our figure. Follow the maker.`,
  'cause-fusion-too-deep': 'Pushed beyond the mark, or heated too long.',
  'cause-fusion-cold': 'Tool too cold, heated too short, or too slow.',
  'interrupted-fusion-ready': 'Nothing runs out. Wipe again before heating.',
  'interrupted-fusion-hot': 'Cut off what was heated; new fitting.',
  'interrupted-fusion-joined': 'Leave it alone until it is cool.',
  'test-fusion-hour': 'Test at least 1 h after the last joint has cooled.',
  'choice-fusion-peel': 'Layered pipe is peeled first: aluminium does not fuse.',
  'choice-fusion-cold': (_, own) => `Below ${own.c(5)}: heat longer, shield from wind, try one on scrap.`,
  'fault-fusion-too-long': 'Heated too long',
  'fault-fusion-too-short': 'Heated too short',
  'fault-fusion-too-deep': 'Pushed too deep',
  'fault-fusion-twisted': 'Twisted',
  'fault-fusion-not-peeled': 'Not peeled',
}
