import { type Msg, msg } from '../../sources/source.js'
import type { Judgement } from '../verdict/judge.js'

/** The sentence of a judgement. */
export function saysOf(judgement: Judgement, test: { holdS: number; allowedDropBar: number }): Msg {
  if (judgement.verdict !== 'inconclusive')
    return msg(`verdict-${judgement.verdict}`, {
      dropBar: judgement.correctedDropBar ?? 0,
      doubtBar: judgement.uncertaintyBar ?? 0,
      allowedBar: test.allowedDropBar,
    })
  return msg(`verdict-${judgement.cause ?? 'few'}`, {
    seenS: Math.max(0, judgement.seenS),
    holdS: test.holdS,
    what: judgement.lacking ?? '',
  })
}
