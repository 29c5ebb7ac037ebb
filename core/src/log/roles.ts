/**
 * What somebody is on a job. `owner` has the job; a `charge-hand` leads it; a `tester` proves what others made; a
 * `witness` looks and signs (an inspector, the customer); a `reader` reads. Each role is said in the log by who leads.
 */
export const ROLES = ['owner', 'charge-hand', 'fitter', 'apprentice', 'tester', 'witness', 'reader'] as const
export type Role = (typeof ROLES)[number]
/** A part of the work, made of the kinds of entries that belong to it. */
export type Work =
  | 'set-out'
  | 'settle'
  | 'plan'
  | 'make'
  | 'look'
  | 'store'
  | 'upkeep'
  | 'read'
  | 'prove'
  | 'hold'
  | 'sign'
  | 'correct'
  | 'propose'
  | 'people'
  | 'qualify'
  /** Of the server alone. */
  | 'bring'

const KINDS_OF: Readonly<Record<Work, readonly string[]>> = {
  'set-out': [
    'line-set',
    'line-changed',
    'line-stands',
    'point-set',
    'item-put',
    'items-put',
    'item-moved',
    'item-removed',
    'group-set',
    'place-set',
    'take-off',
    'socket-measured',
    'piece-cut',
    'stock-set',
    'section-set',
    'section-plan',
    'part-set',
    'hold-point',
  ],
  settle: ['job-set', 'job-closed', 'chart-loaded', 'source-checked', 'permit-set'],
  plan: ['crew-set', 'work-time', 'joint-fixed', 'shutdown-set', 'plan-pinned'],
  make: [
    'joint-placed',
    'step-done',
    'batch-done',
    'interrupted',
    'cut-out',
    'around-said',
    'photo-kept',
    'joints-doubted',
  ],
  look: ['looked-over'],
  store: ['tin-set', 'lot-set', 'store-state', 'tool-set', 'tool-proof', 'tool-found', 'tool-said'],
  upkeep: ['in-use', 'device-set', 'care-interval', 'care-done'],
  read: ['reading'],
  prove: [
    'section-state',
    'gate',
    'tag-put',
    'tag-back',
    'test-begun',
    'test-read',
    'test-log',
    'stage-done',
    'leak-seen',
    'test-ended',
    'after-done',
  ],
  hold: ['hold-answered'],
  sign: ['signed'],
  correct: ['correction', 'proposal-declined'],
  propose: ['correction-proposed'],
  people: ['role-given'],
  // One's own; of others who leads.
  qualify: ['qualified'],
  bring: ['log-brought'],
}
const WORK_OF: ReadonlyMap<string, Work> = new Map(
  (Object.keys(KINDS_OF) as Work[]).flatMap((part) => KINDS_OF[part].map((kind) => [kind, part] as const)),
)
/** The part an entry belongs to; undefined for a kind that nobody knows. @example workOf('line-set') // 'set-out' */
export const workOf = (kind: string): Work | undefined => WORK_OF.get(kind)

const ALL = (Object.keys(KINDS_OF) as Work[]).filter((part) => part !== 'bring')
const MAY: Readonly<Record<Role, ReadonlySet<Work>>> = {
  owner: new Set(ALL),
  'charge-hand': new Set(ALL),
  fitter: new Set(ALL.filter((part) => part !== 'people')),
  // Makes and sets out; somebody else looks at each joint, proves and signs.
  apprentice: new Set<Work>(['set-out', 'make', 'store', 'upkeep', 'read', 'correct', 'propose', 'qualify']),
  tester: new Set<Work>(['look', 'store', 'read', 'prove', 'sign', 'correct', 'propose', 'qualify']),
  witness: new Set<Work>(['look', 'hold', 'sign', 'correct', 'propose']),
  reader: new Set(),
}
/** A role as it is written; whatever else is written is no role. @example asRole('fitter') // 'fitter' */
export const asRole = (text: string | undefined): Role | null => ROLES.find((role) => role === text) ?? null
/** Does this role take part in that work? Nobody who is nothing on a job does. */
export const takesPart = (role: Role | null, part: Work): boolean => role !== null && MAY[role].has(part)
/** May this role write entries of this kind? A kind that nobody knows is refused elsewhere, in words of its own. */
export function mayWrite(role: Role | null, kind: string): boolean {
  const part = workOf(kind)
  return role !== null && (part === undefined || takesPart(role, part))
}
/**
 * Leads the job: corrects what others wrote, ends a test for another, gives roles.
 * @example leads('charge-hand') // true
 */
export const leads = (role: string): boolean => role === 'owner' || role === 'charge-hand'
/**
 * Roles that somebody may give to others; the job itself is handed on by its owner, not given as a role.
 * @example rolesToGive('fitter') // []
 */
export const rolesToGive = (role: string): readonly Role[] => {
  if (role === 'owner') return ROLES.filter((one) => one !== 'owner')
  return role === 'charge-hand' ? ROLES.filter((one) => !leads(one)) : []
}
