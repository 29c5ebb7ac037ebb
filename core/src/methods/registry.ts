import type { Method } from './method.js'
import { solventCement } from './solvent-cement/index.js'

/** Every joining method the product knows. A method is added by one folder and one line here. */
const METHODS_KNOWN: readonly Method[] = [solventCement as Method]

const extra = new Map<string, Method>()

export const allMethods = (): readonly Method[] => [...METHODS_KNOWN, ...extra.values()]
export const methodOf = (id: string): Method | undefined =>
  METHODS_KNOWN.find((m) => m.id === id) ?? extra.get(id)

/** Adds a method at run time: for tests, which prove that places and routes know no method by name. */
export function registerMethod(method: Method): () => void {
  extra.set(method.id, method)
  return () => extra.delete(method.id)
}
