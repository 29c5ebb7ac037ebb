import { methodOf } from '@jugalis/core'
import { named, told } from '../../words/word'

/** A way of joining as it is called, by its id. */
export function methodTold(id: string): string {
  const method = methodOf(id)
  return method ? told(method.name) : named(id)
}
