import { type Msg, msg } from '../sources/source.js'
import type { Judgement } from './judge.js'

/** The sentence of a judgement. */
export function saysOf(j: Judgement, test: { holdS: number; allowedDropBar: number }): Msg {
  if (j.verdict !== 'inconclusive')
    return msg(`verdict-${j.verdict}`, {
      dropBar: j.correctedDropBar ?? 0,
      doubtBar: j.uncertaintyBar ?? 0,
      allowedBar: test.allowedDropBar,
    })
  return msg(`verdict-${j.cause ?? 'few'}`, {
    seenS: Math.max(0, j.seenS),
    holdS: test.holdS,
    what: j.lacking ?? '',
  })
}
