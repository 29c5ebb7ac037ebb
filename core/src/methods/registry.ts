import { adhesiveBond } from './adhesive-bond/index.js'
import { compression } from './compression/index.js'
import { expansionJoint } from './expansion-joint/index.js'
import { flange } from './flange/index.js'
import { flare } from './flare/index.js'
import { groovedCoupling } from './grooved-coupling/index.js'
import { type Joinable, type School, joined } from './joinable.js'
import type { Method } from './method.js'
import { pipeSaddle } from './pipe-saddle/index.js'
import { press } from './press/index.js'
import { sanitaryClamp } from './sanitary-clamp/index.js'
import { socketFusion } from './socket-fusion/index.js'
import { solder } from './solder/index.js'
import { solventCement } from './solvent-cement/index.js'
import { splitCoupling } from './split-coupling/index.js'
import { threaded } from './threaded/index.js'

/** Every joining method the product knows. A method is added by one folder and one line here. */
const METHODS_KNOWN: readonly Method[] = [
  solventCement as Method,
  adhesiveBond as Method,
  socketFusion as Method,
  flare as Method,
  press as Method,
  solder as Method,
  compression as Method,
  sanitaryClamp as Method,
  groovedCoupling as Method,
  splitCoupling as Method,
  expansionJoint as Method,
  flange as Method,
  threaded as Method,
  pipeSaddle as Method,
]
const BY_ID: ReadonlyMap<string, Method> = new Map(METHODS_KNOWN.map((m) => [m.id, m]))
const extra = new Map<string, Method>()

let known: readonly Method[] = METHODS_KNOWN

/** Every way of joining that this build knows, in the order they are shown: the same list until one comes to it. */
export const allMethods = (): readonly Method[] => known
/**
 * The method of an id.
 * @example methodOf('press')?.id // 'press'
 */
export const methodOf = (id: string): Method | undefined => BY_ID.get(id) ?? extra.get(id)

/**
 * Does a method join this material in this size, by this school? Says which of the three is in the way.
 * @example joinable('press', 'copper', 'd22', 'metric').ok // true
 */
export const joinable = (id: string, material: string, size: string, school: School): Joinable =>
  joined(methodOf(id) ?? { id, joins: {} }, material, size, school)

/** Adds a method at run time: for tests, which prove that places and routes know no method by name. */
export function registerMethod(method: Method): () => void {
  extra.set(method.id, method)
  known = [...METHODS_KNOWN, ...extra.values()]
  return () => {
    extra.delete(method.id)
    known = [...METHODS_KNOWN, ...extra.values()]
  }
}
