import { type Reader, type Sum, fmt } from '@jugalis/core'
import { dayText } from '../../when'
import { word } from '../../words/word'

/** An answer of a sum as it is read. */
export function answerSaid(sum: Sum, answer: number | string, reader: Reader): string {
  if (sum.as === 'length') return fmt.length(Number(answer), reader)
  if (sum.as === 'temperature') return fmt.temperature(Number(answer), reader)
  return sum.as === 'day' ? dayText(String(answer)) : word('practice-hour', { clock: answer })
}
