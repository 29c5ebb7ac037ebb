import type { Form } from '../log/own-form.js'
import type { School } from '../methods/joinable.js'

/** What an end is where nobody says: as usual in the line, something that must be said, or a kind as it is typed. */
export type EndUsual =
  'usual' | 'ask' | 'plain' | 'male' | 'female' | 'flanged' | 'rubber' | 'ringed' | 'saddle' | Shut
/** Ends that nothing is joined to. */
export type Shut = 'closed' | 'open' | 'hose'
export const SHUT: readonly Shut[] = ['closed', 'open', 'hose']
/**
 * Is this, a kind of end or the word for one, an end that nothing is joined to?
 * @example isShut('closed') // true
 */
export const isShut = (end: string): end is Shut => (SHUT as readonly string[]).includes(end)

/** A part by the name that the log keeps, and what fitters call it. */
export interface Part {
  name: string
  /** Besides its name. A word that only one school says stands for that school. */
  words: readonly string[]
  form: Form
  /** Way in, way on, branches. */
  ends: readonly EndUsual[]
  /** The way on is of another metal, kept apart from the first. */
  dielectric?: true
  /** It sits on the wall of a pipe, which it does not part. */
  sits?: true
}
const through = (name: string, words: readonly string[], ends: readonly EndUsual[] = USUAL_2): Part => ({
  name,
  words,
  form: 'through',
  ends,
})
const USUAL_2 = ['usual', 'usual'] as const
const USUAL_3 = ['usual', 'usual', 'usual'] as const
const valve = (name: string, ...words: string[]): Part => through(name, words)
const end = (name: string, words: readonly string[], ends: readonly EndUsual[]): Part => ({
  name,
  words,
  form: 'end',
  ends,
})

/** Parts that are no elbows: those have an angle in their name. */
export const PARTS: readonly Part[] = [
  { name: 'tee', words: ['t', 'swept tee'], form: 'tee', ends: USUAL_3 },
  { name: 'gauge tee', words: [], form: 'tee', ends: ['usual', 'usual', 'female'] },
  { name: 'wye', words: ['y', 'y branch', 'single branch'], form: 'tee', ends: USUAL_3 },
  { name: 'double wye', words: ['double y', 'double branch'], form: 'cross', ends: [...USUAL_3, 'usual'] },
  { name: 'cross', words: ['double tee'], form: 'cross', ends: [...USUAL_3, 'usual'] },
  through('reducer', ['red', 'increaser']),
  through('bushing', ['reducing bush', 'bush'], ['plain', 'usual']),
  through('coupling', ['socket', 'coup']),
  through('slip coupling', ['slip', 'repair coupling']),
  through('split coupling', [], ['ringed', 'ringed']),
  { ...through('saddle', ['pipe saddle', 'tapping saddle', 'saddle tee'], ['saddle', 'female']), sits: true },
  through('adapter', ['adaptor'], ['usual', 'ask']),
  through('male adapter', ['male adaptor', 'male connector'], ['usual', 'male']),
  through('female adapter', ['female adaptor', 'female connector'], ['usual', 'female']),
  through('nipple', ['barrel nipple'], ['male', 'male']),
  through('union', []),
  {
    ...through('dielectric union', ['insulating union'], ['usual', 'female']),
    dielectric: true,
  },
  valve('valve', 'ball valve', 'ball'),
  valve('gate valve', 'gate'),
  valve('butterfly valve', 'butterfly'),
  valve('check valve', 'check', 'non-return valve', 'non-return'),
  valve('globe valve', 'globe', 'stop valve'),
  valve('relief valve', 'relief', 'safety valve'),
  valve('balancing valve', 'balancing', 'regulating valve'),
  valve('strainer'),
  valve('meter', 'water meter'),
  through('pump', ['circulator'], ['ask', 'ask']),
  through('vessel', [], ['ask', 'ask']),
  through('expansion joint', ['rubber joint'], ['rubber', 'rubber']),
  through('trap', ['running trap']),
  through('p-trap', ['p trap']),
  through('flange', [], ['usual', 'flanged']),
  end('cap', ['end cap', 'stop end'], ['usual', 'closed']),
  end('plug', [], ['male', 'closed']),
  end('cleanout', ['rodding eye', 'access'], ['usual', 'closed']),
  end('tank adapter', ['tank', 'tank connector'], ['usual', 'open']),
  end('floor flange', [], ['usual', 'open']),
  end('air vent', ['vent', 'automatic air vent'], ['male', 'open']),
  end('drain', ['drain valve', 'drain cock', 'drain off'], ['male', 'hose']),
  end('hose end', ['hose bib', 'hose valve'], ['male', 'hose']),
  end('gauge', ['pressure gauge'], ['male', 'closed']),
]
/** Angles that elbows are made with, as they are typed. Any other is typed with its sign: `elbow 37°`. */
export const ANGLES: readonly string[] = ['11-1/4', '22-1/2', '30', '45', '60', '67-1/2', '87-1/2', '90']
const ANGLE_WORDS: Readonly<Record<string, string>> = {
  '11.25': '11-1/4',
  '22.5': '22-1/2',
  '67.5': '67-1/2',
  '87.5': '87-1/2',
}
const ELBOW = /^(street )?(?:elbow|ell|bend|knee)(?: (\S+))?$/
const TURN = /^(\d{1,3}(?:\.\d+)?|\d{1,3}-\d\/\d)(?:°| ?deg)$/

/**
 * The angle of an elbow by its stored name, degrees; null for what is none.
 * @example elbowAngle('elbow 22-1/2') // 22.5
 */
export function elbowAngle(name: string): number | null {
  const match = /^(?:street )?elbow (\d+(?:\.\d+)?)(?:-(\d)\/(\d))?°?$/.exec(name)
  if (!match) return null
  return Number(match[1]) + (match[2] ? Number(match[2]) / Number(match[3]) : 0)
}

/** An elbow by what is said after its name; null where that is no angle. */
function elbow(street: boolean, said: string | undefined): Part | null {
  const turned = said && TURN.exec(said)?.[1]
  const angle = turned ?? (said === undefined ? '90' : (ANGLE_WORDS[said] ?? said))
  if (!turned && !ANGLES.includes(angle)) return null
  const made = ANGLE_WORDS[angle] ?? angle
  const name = `${street ? 'street ' : ''}elbow ${made}${ANGLES.includes(made) ? '' : '°'}`
  const degrees = elbowAngle(name)
  if (degrees === null || degrees <= 0 || degrees >= 180) return null
  return { name, words: [], form: 'turn', ends: street ? ['usual', 'plain'] : USUAL_2 }
}

const BY_WORD: ReadonlyMap<string, Part> = new Map(
  PARTS.flatMap((part) => [part.name, ...part.words].map((word) => [word, part] as const)),
)
/**
 * The part of a stored name or of a word that fitters use.
 * @example partNamed('ball valve')?.name // 'valve'
 */
export function partNamed(name: string): Part | null {
  const match = ELBOW.exec(name)
  return match ? elbow(match[1] !== undefined, match[2]) : (BY_WORD.get(name) ?? null)
}

/**
 * The longest beginning of an entry that names a part, and what follows it.
 * @param own parts that a house names itself: they come first.
 * @example partIn('elbow 45 2 x 2 mip')?.rest // '2 x 2 mip'
 */
export function partIn(said: string, own: readonly Part[] = []): { part: Part; rest: string } | null {
  const named = own.filter(({ name }) => said === name || said.startsWith(`${name} `))
  const [longest] = named.sort((a, b) => b.name.length - a.name.length)
  if (longest) return { part: longest, rest: said.slice(longest.name.length).trim() }
  const words = said.split(' ')
  for (let count = Math.min(3, words.length); count > 0; count--) {
    const part = partNamed(words.slice(0, count).join(' '))
    if (part) return { part, rest: words.slice(count).join(' ') }
  }
  return null
}

/**
 * Names to offer, elbows by the angles that are common.
 * @param school whose other angles are offered.
 * @example partNames('inch')[0] // 'elbow 90'
 */
export const partNames = (school: School): string[] => [
  'elbow 90',
  'elbow 45',
  ...PARTS.map((part) => part.name),
  ...(school === 'inch' ? ['elbow 22-1/2', 'elbow 60'] : ['elbow 30', 'elbow 60', 'elbow 87-1/2']),
  'street elbow 90',
  'street elbow 45',
]
