import type { Finding, SourceId } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import type { Known, Said } from '../around.js'
import type { Around, AskedFact, Ctx } from '../method.js'

/**
 * A rule of choice: what may not be combined, with its reason. Its words are those of its code. It sees only what the
 * record knows and the facts it asks for: so every fact that a rule needs is asked.
 */
export interface ChoiceRule<S> {
  code: Code
  level: Finding['level']
  source: SourceId
  asks: readonly AskedFact[]
  /** Does it speak here? Parameters for the words, or true. */
  when(spec: S, around: Around, ctx: Ctx): boolean | Record<string, string | number>
}
/** Writes down a rule of choice with the facts it asks for. */
export const choiceRule = <S, const K extends AskedFact = never>(
  level: Finding['level'],
  code: Code,
  source: SourceId,
  asks: readonly K[],
  when: (spec: S, around: Known & Pick<Said, K>, ctx: Ctx) => boolean | Record<string, string | number>,
): ChoiceRule<S> => ({ level, code, source, asks, when })
