import { methodOf } from '@jugalis/core'
import { named, told, within } from '../../words/word'

/** A way of joining as it is called inside a sentence, by its id. */
export function methodTold(id: string): string {
  const method = methodOf(id)
  return method ? within(told(method.name)) : named(id)
}
